package app.hodegon.server;

import app.hodegon.server.http.Failure;
import app.hodegon.server.operation.Operator;
import app.hodegon.server.plate.StandIn;
import app.hodegon.server.storage.DataFolder;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.event.ApplicationEnvironmentPreparedEvent;
import org.springframework.boot.web.server.PortInUseException;
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
            SpringApplication server = new SpringApplication(HodegonApplication.class);
            // Before anything opens the database, which would make a new one in place of one that is gone.
            server.addListeners((ApplicationListener<ApplicationEnvironmentPreparedEvent>) prepared ->
                    new DataFolder(Path.of(prepared.getEnvironment().getProperty("hodegon.data", "./data"))).prepare());
            server.run(args);
        } catch (DataFolder.Refused refused) {
            stop(refused.getMessage());
        } catch (DataFolder.InUse running) {
            stop("Hodegon is running already on this data.");
        } catch (PortInUseException taken) {
            stop("Port " + taken.getPort() + " is in use: choose another.");
        } catch (RuntimeException failed) {
            if (isPlannedEnd(failed)) throw failed;
            stop("Hodegon could not start.\n" + Failure.without(failed));
        }
    }

    /** The launcher lets a run end once everything is loaded. */
    private static boolean isPlannedEnd(RuntimeException failed) {
        return failed.getClass().getSimpleName().equals("AbandonedRunException");
    }

    private static void stop(String why) {
        System.err.println(why);
        System.exit(1);
    }

    @Bean
    Clock clock() {
        return Clock.systemDefaultZone();
    }
}
