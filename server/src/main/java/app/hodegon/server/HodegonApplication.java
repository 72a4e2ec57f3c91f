package app.hodegon.server;

import app.hodegon.server.demo.DemoSeasons;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;

/** Starts the server. */
@SpringBootApplication
public class HodegonApplication {

    public static void main(String[] args) {
        if (List.of(args).contains("--spring.profiles.active=demo")) DemoSeasons.begin(LocalDate.now());
        SpringApplication.run(HodegonApplication.class, args);
    }

    @Bean
    Clock clock() {
        return Clock.systemDefaultZone();
    }
}
