package app.hodegon.core.plan;

import app.hodegon.core.drill.Place;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** When and where a student can practise. */
public record Week(Map<DayOfWeek, Slot> slots) {

    /** Longest practice of one day, in minutes. */
    public static final int LONGEST = 300;

    /**
     * @param minutes 1 to {@value #LONGEST}
     */
    public record Slot(int minutes, Place place) {
        public Slot {
            if (minutes < 1 || minutes > LONGEST) {
                throw new IllegalArgumentException("minutes must be 1 to " + LONGEST + ", not " + minutes + ".");
            }
        }
    }

    public Week {
        EnumMap<DayOfWeek, Slot> copy = new EnumMap<>(DayOfWeek.class);
        copy.putAll(slots);
        slots = Collections.unmodifiableMap(copy);
    }

    /** The same days with this share of their minutes, five at least. */
    public Week scaled(double share) {
        EnumMap<DayOfWeek, Slot> scaled = new EnumMap<>(DayOfWeek.class);
        slots.forEach((day, slot) -> scaled.put(
                day,
                new Slot(
                        Math.min(slot.minutes(), Math.max(5, (int) Math.round(slot.minutes() * share))),
                        slot.place())));
        return new Week(scaled);
    }

    /** The same days with so many more minutes each, up to {@value #LONGEST}. */
    Week longer(int minutes) {
        EnumMap<DayOfWeek, Slot> longer = new EnumMap<>(DayOfWeek.class);
        slots.forEach((day, slot) ->
                longer.put(day, new Slot(Math.min(LONGEST, slot.minutes() + minutes), slot.place())));
        return new Week(longer);
    }

    /** The free weekday that lies furthest from the days taken; empty where none is taken or none is free. */
    Optional<DayOfWeek> freeDay() {
        if (slots.isEmpty()) return Optional.empty();
        return Stream.of(DayOfWeek.values())
                .filter(d -> !slots.containsKey(d))
                .max(Comparator.comparingInt(this::distance));
    }

    private int distance(DayOfWeek day) {
        return slots.keySet().stream()
                .mapToInt(taken -> Math.abs(day.getValue() - taken.getValue()))
                .map(apart -> Math.min(apart, DayOfWeek.values().length - apart))
                .min()
                .orElseThrow();
    }

    /** With one more day like the shortest one; the same where there is no free one. */
    Week withOneMoreDay() {
        Map<DayOfWeek, Slot> more = new EnumMap<>(DayOfWeek.class);
        more.putAll(slots);
        freeDay()
                .ifPresent(free -> more.put(
                        free,
                        slots.values().stream()
                                .min(Comparator.comparingInt(Slot::minutes))
                                .orElseThrow()));
        return new Week(more);
    }

    /** At most so many of its days, far apart and one with balls where there is one, each at most so long. */
    Week keeping(int most, int minutes) {
        List<DayOfWeek> kept = new ArrayList<>();
        slots.keySet().stream()
                .max(Comparator.comparing((DayOfWeek d) -> slots.get(d).place().ballsAllowed())
                        .thenComparing(Comparator.reverseOrder()))
                .ifPresent(kept::add);
        while (kept.size() < Math.min(most, slots.size())) {
            Week taken = new Week(kept.stream().collect(Collectors.toMap(Function.identity(), slots::get)));
            slots.keySet().stream()
                    .filter(d -> !kept.contains(d))
                    .max(Comparator.comparingInt(taken::distance).thenComparing(Comparator.reverseOrder()))
                    .ifPresent(kept::add);
        }
        EnumMap<DayOfWeek, Slot> shorter = new EnumMap<>(DayOfWeek.class);
        kept.forEach(d -> shorter.put(
                d,
                new Slot(Math.min(minutes, slots.get(d).minutes()), slots.get(d).place())));
        return new Week(shorter);
    }

    public Optional<Slot> on(LocalDate date) {
        return Optional.ofNullable(slots.get(date.getDayOfWeek()));
    }

    /** The days with time to practise, the first included, the last not. */
    public List<LocalDate> practiceDays(LocalDate from, LocalDate until) {
        return from.datesUntil(until).filter(d -> on(d).isPresent()).toList();
    }
}
