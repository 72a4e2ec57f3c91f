package app.hodegon.e2e;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;

/** The demo's day in the tests: the next Friday, so that its weeks lie the same whenever they run. */
final class DemoDay {

    private static final LocalDate FIRST = LocalDate.now().with(TemporalAdjusters.nextOrSame(DayOfWeek.FRIDAY));

    /** How a server is told. */
    static final String TOLD = "--hodegon.demo.days-ahead=" + ChronoUnit.DAYS.between(LocalDate.now(), FIRST);

    private DemoDay() {}

    static LocalDate today() {
        return FIRST;
    }
}
