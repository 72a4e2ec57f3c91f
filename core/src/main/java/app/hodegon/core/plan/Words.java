package app.hodegon.core.plan;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.TextStyle;
import java.util.Locale;

/** How days are named in texts. */
public final class Words {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE d MMMM", Locale.UK);

    private Words() {}

    /** Wednesday 2 December. */
    public static String day(LocalDate date) {
        return DAY.format(date);
    }

    /** Wednesday. */
    static String weekday(DayOfWeek day) {
        return day.getDisplayName(TextStyle.FULL, Locale.UK);
    }
}
