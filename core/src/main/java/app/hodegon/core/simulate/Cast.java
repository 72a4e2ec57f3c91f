package app.hodegon.core.simulate;

import static app.hodegon.core.drill.Equipment.*;
import static java.time.DayOfWeek.*;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Equipment;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Shoes;
import app.hodegon.core.plan.AgeBand;
import app.hodegon.core.plan.Level;
import app.hodegon.core.plan.Student;
import app.hodegon.core.plan.Week;
import app.hodegon.core.plan.Week.Slot;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Source;
import java.time.DayOfWeek;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** The invented students of the demonstration, all at one invented practice ground. */
public final class Cast {

    private Cast() {}

    /** The first coach's students. */
    public static List<Persona> first() {
        return List.of(
                new Persona(
                        "Bram Ellery",
                        "Slices everything longer than a wedge",
                        student(
                                Handedness.LEFT,
                                Level.IMPROVER,
                                AgeBand.ADULT,
                                Set.of(),
                                Set.of(BALL, ROD, DISC),
                                week(15, 60, MONDAY, WEDNESDAY, FRIDAY, SUNDAY),
                                Shoes.SOFT),
                        Map.of(Fault.SWAY, 0.95, Fault.OVER_THE_TOP, 0.8),
                        0.9,
                        4,
                        14,
                        Source.PLATE,
                        false),
                new Persona(
                        "Nia Quill",
                        "Cannot turn, all arms",
                        student(
                                Handedness.RIGHT,
                                Level.BEGINNER,
                                AgeBand.JUNIOR,
                                Set.of(),
                                Set.of(STICK, DISC, FOAM_BALL),
                                atHome(15, TUESDAY, THURSDAY, SATURDAY, SUNDAY),
                                Shoes.SOFT),
                        Map.of(Fault.FROZEN_FEET, 0.9),
                        0.75,
                        3,
                        6,
                        Source.SEEN,
                        false),
                new Persona(
                        "Osric Vane",
                        "Fat shots, and the knee does not like twisting",
                        student(
                                Handedness.RIGHT,
                                Level.CLUB,
                                AgeBand.SENIOR,
                                Set.of(Joint.KNEE),
                                Set.of(BALL, STICK, SQUEAKER),
                                week(15, 60, MONDAY, TUESDAY, WEDNESDAY, THURSDAY, FRIDAY),
                                Shoes.SOFT),
                        Map.of(Fault.HANGING_BACK, 0.9, Fault.LEAD_FOOT_SPIN, 0.7),
                        0.8,
                        3,
                        9,
                        Source.SEEN,
                        false),
                new Persona(
                        "Petra Lund",
                        "Stands up through the ball, blocks and hooks",
                        student(
                                Handedness.RIGHT,
                                Level.SCRATCH,
                                AgeBand.ADULT,
                                Set.of(Joint.ANKLE),
                                Set.of(BALL, ROD, MIRROR, PHONE_CAMERA),
                                week(20, 90, MONDAY, TUESDAY, WEDNESDAY, THURSDAY, FRIDAY, SUNDAY),
                                Shoes.SOFT),
                        Map.of(Fault.EARLY_EXTENSION, 0.9, Fault.STIFF_TRAIL_ANKLE, 1.0),
                        0.9,
                        4,
                        5,
                        Source.PLATE,
                        false),
                new Persona(
                        "Tobin Marsh",
                        "Slices, pulls and now and then a shank",
                        student(
                                Handedness.RIGHT,
                                Level.BEGINNER,
                                AgeBand.ADULT,
                                Set.of(),
                                Set.of(BALL, ROD),
                                week(15, 60, MONDAY, WEDNESDAY, SUNDAY),
                                Shoes.SOFT),
                        Map.of(Fault.OPEN_SETUP, 0.95, Fault.OVER_THE_TOP, 0.7),
                        0.7,
                        3,
                        7,
                        Source.SEEN,
                        false),
                new Persona(
                        "Wren Castell",
                        "Thin and fat with the irons",
                        student(
                                Handedness.RIGHT,
                                Level.IMPROVER,
                                AgeBand.ADULT,
                                Set.of(),
                                Set.of(BALL, HALF_BALLS),
                                week(20, 60, TUESDAY, THURSDAY, SUNDAY),
                                Shoes.SOFT),
                        Map.of(Fault.LATE_RECENTRE, 0.9),
                        0.08,
                        3,
                        14,
                        Source.PLATE,
                        false),
                new Persona(
                        "Ansel Roe",
                        "Tops and fats, lower back complains",
                        student(
                                Handedness.RIGHT,
                                Level.IMPROVER,
                                AgeBand.ADULT,
                                Set.of(Joint.BACK),
                                Set.of(BALL, STICK, HALF_BALLS),
                                week(15, 60, MONDAY, WEDNESDAY, FRIDAY, SUNDAY),
                                Shoes.SOFT),
                        Map.of(Fault.REVERSE_PIVOT, 0.9),
                        0.85,
                        3,
                        8,
                        Source.SEEN,
                        true),
                new Persona(
                        "Corin Hale",
                        "Hooks, lately all of them",
                        student(
                                Handedness.RIGHT,
                                Level.CLUB,
                                AgeBand.ADULT,
                                Set.of(),
                                Set.of(BALL, TWO_RODS, TEE),
                                week(15, 75, MONDAY, WEDNESDAY, FRIDAY),
                                Shoes.SPIKES),
                        Map.of(Fault.LEAD_FOOT_SPIN, 0.95),
                        0.85,
                        5,
                        4,
                        Source.SEEN,
                        false));
    }

    /** The second coach's students. */
    public static List<Persona> second() {
        return List.of(new Persona(
                "Mira Fenn",
                "Low, short and tired of it",
                student(
                        Handedness.LEFT,
                        Level.IMPROVER,
                        AgeBand.ADULT,
                        Set.of(Joint.KNEE),
                        Set.of(BALL, HALF_BALLS, BUCKET_BROOM),
                        week(15, 60, TUESDAY, THURSDAY, SUNDAY),
                        Shoes.SPIKES),
                Map.of(Fault.NO_LOAD, 0.9),
                0.85,
                3,
                10,
                Source.PLATE,
                false));
    }

    private static Student student(
            Handedness hand, Level level, AgeBand age, Set<Joint> flags, Set<Equipment> kit, Week week, Shoes shoes) {
        return new Student(hand, level, age, flags, kit, week, shoes, List.of());
    }

    /** At home on these days, and nowhere else. */
    private static Week atHome(int minutes, DayOfWeek... days) {
        Map<DayOfWeek, Slot> slots = new EnumMap<>(DayOfWeek.class);
        for (DayOfWeek day : days) slots.put(day, new Slot(minutes, Place.HOME));
        return new Week(slots);
    }

    /** At home on these days, Saturdays at the range. */
    private static Week week(int homeMinutes, int rangeMinutes, DayOfWeek... home) {
        Map<DayOfWeek, Slot> slots = new EnumMap<>(DayOfWeek.class);
        for (DayOfWeek day : home) slots.put(day, new Slot(homeMinutes, Place.HOME));
        slots.put(SATURDAY, new Slot(rangeMinutes, Place.RANGE));
        return new Week(slots);
    }
}
