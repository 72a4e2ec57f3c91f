package app.hodegon.server.demo;

import java.time.Clock;
import java.time.Instant;
import java.time.Period;
import java.time.ZoneId;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.annotation.Primary;
import org.springframework.stereotype.Component;

/** The demo's time: the real one, until somebody moves the day on. */
@Primary
@Component
@ConditionalOnProperty("hodegon.demo")
class DemoClock extends Clock {

    private final Clock real;
    private final AtomicInteger daysAhead;

    /** @param daysAhead so far on its day begins */
    @Autowired
    DemoClock(@Value("${hodegon.demo.days-ahead:0}") int daysAhead) {
        this(Clock.systemDefaultZone(), new AtomicInteger(daysAhead));
    }

    private DemoClock(Clock real, AtomicInteger daysAhead) {
        this.real = real;
        this.daysAhead = daysAhead;
    }

    void nextDay() {
        daysAhead.incrementAndGet();
    }

    int daysAhead() {
        return daysAhead.get();
    }

    @Override
    public ZoneId getZone() {
        return real.getZone();
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return new DemoClock(real.withZone(zone), daysAhead);
    }

    @Override
    public Instant instant() {
        return real.instant()
                .atZone(getZone())
                .plus(Period.ofDays(daysAhead.get()))
                .toInstant();
    }
}
