package app.hodegon.server;

import app.hodegon.server.operation.Operator;
import app.hodegon.server.operation.Start;
import app.hodegon.server.plate.StandIn;
import java.time.Clock;
import java.util.List;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.event.ApplicationEnvironmentPreparedEvent;
import org.springframework.context.ApplicationListener;
import org.springframework.context.annotation.Bean;
import org.springframework.scheduling.annotation.EnableScheduling;

/** Starts the server, or does one thing for the owner of the machine. */
@EnableScheduling
@SpringBootApplication
public class HodegonApplication {

    public static void main(String[] args) {
        if (args.length > 0 && args[0].equals("plate")) {
            System.exit(new StandIn(System.out, System.err).run(List.of(args).subList(1, args.length)));
        }
        if (args.length > 0 && !args[0].startsWith("--")) {
            System.exit(new Operator(System.out, System.err).run(List.of(args)));
        }
        try {
            Start.ready(server().run(args).getEnvironment(), System.out);
        } catch (RuntimeException failed) {
            if (isPlannedEnd(failed)) throw failed;
            System.err.println(Start.problem(failed));
            System.exit(1);
        }
    }

    static SpringApplication server() {
        SpringApplication server = new SpringApplication(HodegonApplication.class);
        server.addListeners((ApplicationListener<ApplicationEnvironmentPreparedEvent>)
                prepared -> Start.prepare(prepared.getEnvironment()));
        return server;
    }

    /** The launcher lets a run end once everything is loaded. */
    private static boolean isPlannedEnd(RuntimeException failed) {
        return failed.getClass().getSimpleName().equals("AbandonedRunException");
    }

    @Bean
    Clock clock() {
        return Clock.systemDefaultZone();
    }
}
