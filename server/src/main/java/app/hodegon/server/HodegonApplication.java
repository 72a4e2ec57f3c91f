package app.hodegon.server;

import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.scheduling.annotation.EnableScheduling;

/** Starts the server. */
@EnableScheduling
@SpringBootApplication
public class HodegonApplication {

    public static void main(String[] args) {
        SpringApplication.run(HodegonApplication.class, args);
    }

    @Bean
    Clock clock() {
        return Clock.systemDefaultZone();
    }
}
