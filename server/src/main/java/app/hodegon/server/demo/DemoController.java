package app.hodegon.server.demo;

import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Moves the demo's day on, so that a week can be lived in an afternoon. */
@RestController
@ConditionalOnProperty("hodegon.demo")
class DemoController {

    private final DemoClock clock;

    DemoController(DemoClock clock) {
        this.clock = clock;
    }

    @PostMapping("/api/demo/next-day")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void nextDay() {
        clock.nextDay();
    }
}
