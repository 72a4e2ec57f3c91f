package app.hodegon.server.student;

import app.hodegon.core.drill.Equipment;
import app.hodegon.core.drill.Ground;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Shoes;
import app.hodegon.core.plan.AgeBand;
import app.hodegon.core.plan.Level;
import app.hodegon.core.plan.Student;
import app.hodegon.core.plan.Week;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.http.Plain;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.DayOfWeek;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What a coach knows of a student, on the wire.
 *
 * @param week minutes and place by weekday (mon to sun); days left out are free
 * @param height in cm; null if not known
 * @param look of the student's golfer; null for whatever goes with the name
 * @param grounds what a place has underfoot, by place, where it is not the usual; null for the usual everywhere
 */
public record StudentEntry(
        @NotBlank @Plain @Size(max = 100) String name,
        @NotNull @Size(max = 20) String handedness,
        @NotNull @Size(max = 20) String level,
        @NotNull @Size(max = 20) String ageBand,
        @NotNull @Size(max = 20) String shoes,

        @NotNull @Pattern(regexp = "metric|imperial", message = "must be metric or imperial")
        String units,

        @NotNull @Size(max = 500) String complaint,
        @NotNull @Size(max = 10) List<String> flags,
        @NotNull @Size(max = 40) List<String> kit,
        @NotNull @Size(max = 7) Map<String, @Valid SlotEntry> week,
        @Size(max = 10) Map<String, @NotNull @Size(max = 20) String> grounds,

        @DecimalMin("" + Figure.SMALLEST) @DecimalMax("" + Figure.TALLEST)
        Double height,

        @Pattern(regexp = Figure.LOOK) String look) {

    public StudentEntry {
        if (grounds == null) grounds = Map.of();
    }

    public record SlotEntry(
            @NotNull Integer minutes,
            @NotNull @Size(max = 20) String place) {}

    Figure figure() {
        return new Figure(Optional.ofNullable(height), Optional.ofNullable(look));
    }

    /** The same as the planner takes it, without any history. */
    public Student profile() {
        return new Student(
                Invalid.in("handedness", () -> Identified.of(Handedness.class, handedness)),
                Invalid.in("level", () -> Identified.of(Level.class, level)),
                Invalid.in("ageBand", () -> Identified.of(AgeBand.class, ageBand)),
                set("flags", Joint.class, flags),
                set("kit", Equipment.class, kit),
                week(week),
                Invalid.in("shoes", () -> Identified.of(Shoes.class, shoes)),
                List.of(),
                grounds(grounds));
    }

    /** Reads grounds; null is the usual everywhere. */
    public static Map<Place, Ground> grounds(Map<String, String> grounds) {
        Map<Place, Ground> read = new EnumMap<>(Place.class);
        if (grounds == null) return read;
        grounds.forEach((place, ground) -> read.put(
                Invalid.in("grounds", () -> Identified.of(Place.class, place)),
                Invalid.in("grounds." + place, () -> Identified.of(Ground.class, ground))));
        return read;
    }

    /** Reads a set of identifiers; null is the empty set. */
    public static <E extends Enum<E> & Identified> Set<E> set(String field, Class<E> type, List<String> ids) {
        if (ids == null) return Set.of();
        return ids.stream()
                .map(id -> Invalid.in(field, () -> Identified.of(type, id)))
                .collect(Collectors.toSet());
    }

    /** Reads a week; null is one without time. */
    public static Week week(Map<String, SlotEntry> slots) {
        Map<DayOfWeek, Week.Slot> week = new EnumMap<>(DayOfWeek.class);
        if (slots != null) {
            slots.forEach((day, slot) -> {
                String field = "week." + day;
                DayOfWeek weekday = weekday(day);
                if (slot == null || slot.minutes() == null) throw new Invalid(field, "needs minutes and a place.");
                Place place = Invalid.in(field + ".place", () -> Identified.of(Place.class, slot.place()));
                if (slot.minutes() == 0) return;
                week.put(weekday, Invalid.in(field + ".minutes", () -> new Week.Slot(slot.minutes(), place)));
            });
        }
        return new Week(week);
    }

    private static DayOfWeek weekday(String id) {
        for (DayOfWeek day : DayOfWeek.values()) if (id(day).equals(id)) return day;
        throw new Invalid("week", "There is no weekday \"" + id + "\". Accepted: mon, tue, wed, thu, fri, sat, sun.");
    }

    private static String id(DayOfWeek day) {
        return day.name().substring(0, 3).toLowerCase(Locale.ROOT);
    }

    /** A week as it goes over the wire. */
    public static Map<String, SlotEntry> slots(Week week) {
        Map<String, SlotEntry> slots = new LinkedHashMap<>();
        week.slots()
                .forEach((day, slot) -> slots.put(
                        id(day), new SlotEntry(slot.minutes(), slot.place().id())));
        return slots;
    }

    public static StudentEntry of(String name, String complaint, String units, Student profile, Figure figure) {
        Map<String, String> grounds = new LinkedHashMap<>();
        profile.grounds().entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .forEach(e -> grounds.put(e.getKey().id(), e.getValue().id()));
        return new StudentEntry(
                name,
                profile.hand().id(),
                profile.level().id(),
                profile.age().id(),
                profile.shoes().id(),
                units,
                complaint,
                profile.flags().stream().map(Joint::id).sorted().toList(),
                profile.kit().stream().sorted().map(Equipment::id).toList(),
                slots(profile.week()),
                grounds,
                figure.height().orElse(null),
                figure.look().orElse(null));
    }
}
