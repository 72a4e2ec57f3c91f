package app.hodegon.core.plan;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Grade;
import app.hodegon.core.drill.Equipment;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Shoes;
import app.hodegon.core.swing.Handedness;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What a planner is asked in tests: an improver with the usual bag and an ordinary week, unless said otherwise. */
final class Requests {

    static final LocalDate FROM = LocalDate.of(2026, 12, 1);

    /** Three short evenings at home and an hour at the range. */
    static final Week USUAL_WEEK = week(60);

    private Requests() {}

    static Week week(int minutesAtTheRange) {
        return new Week(Map.of(
                DayOfWeek.MONDAY, new Week.Slot(15, Place.HOME),
                DayOfWeek.WEDNESDAY, new Week.Slot(15, Place.HOME),
                DayOfWeek.FRIDAY, new Week.Slot(15, Place.HOME),
                DayOfWeek.SATURDAY, new Week.Slot(minutesAtTheRange, Place.RANGE)));
    }

    static Week everyDay(int minutes, Place place) {
        return new Week(Stream.of(DayOfWeek.values())
                .collect(Collectors.toMap(day -> day, day -> new Week.Slot(minutes, place))));
    }

    static Student student(Level level, AgeBand age, Set<Joint> flags, Week week) {
        return new Student(Handedness.RIGHT, level, age, flags, Set.of(), week, Shoes.SOFT, List.of());
    }

    static Student improver(Week week) {
        return student(Level.IMPROVER, AgeBand.ADULT, Set.of(), week);
    }

    static Student improver(Week week, Set<Joint> flags, Set<Equipment> kit) {
        return new Student(Handedness.RIGHT, Level.IMPROVER, AgeBand.ADULT, flags, kit, week, Shoes.SOFT, List.of());
    }

    static PlanRequest of(Student student, Approach approach, int days, Fault... focus) {
        return new PlanRequest(
                student,
                approach,
                Stream.of(focus)
                        .map(f -> new PlanRequest.Focus(f, Grade.LIKELY))
                        .toList(),
                Set.of(),
                FROM,
                FROM.plusDays(days));
    }

    /** Two weeks of an improver, taught as usual. */
    static PlanRequest of(Fault... focus) {
        return of(improver(USUAL_WEEK), Approach.DEFAULT, 14, focus);
    }
}
