package app.hodegon.core.plan;

import app.hodegon.core.drill.Equipment;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Planner.Expectation;
import app.hodegon.core.plan.Week.Slot;
import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** What a coach could give or give up for a better climb, each worked out by planning anew. */
public final class Offers {

    private static final int MORE_MINUTES = 10;
    private static final int MOST_MINUTES = 60;
    private static final int RANGE_MINUTES = 40;
    private static final int MANY_RANGE_DAYS = 2;

    /** Fewer gates more are not worth a coach's asking. */
    private static final double WORTH_OFFERING = 0.02;

    private Offers() {}

    /**
     * @param code soft-ball, lesson-check, range-day, more-minutes, more-days, later-lesson, fewer-rungs or one-fault
     * @param request what the plan would be made from
     * @param expected what it would bring by the next lesson
     */
    public record Offer(String code, String text, PlanRequest request, Plan plan, Expectation expected) {}

    /**
     * In the order in which a coach would think of them; an offer that cannot be made, or that was laid and found to bring
     * neither more gates nor more reps, is left out.
     */
    public static List<Offer> of(PlanRequest request, Planner planner) {
        List<Offer> offers = new ArrayList<>();
        Plan now = planner.plan(request);
        Expectation before = planner.expected(request, now);
        Stream.of(
                        softBall(request),
                        lessonCheck(request),
                        rangeDay(request),
                        moreMinutes(request),
                        moreDays(request),
                        laterLesson(request),
                        fewerRungs(request, planner),
                        oneFault(request))
                .flatMap(Optional::stream)
                .forEach(asked -> {
                    Plan plan = planner.plan(asked.request());
                    Expectation expected = planner.expected(asked.request(), plan);
                    boolean helps = expected.gates() >= before.gates() + WORTH_OFFERING
                            || asked.moreReps()
                                    && plan.totals().reps() > now.totals().reps();
                    if (helps) offers.add(new Offer(asked.code(), asked.text(), asked.request(), plan, expected));
                });
        return List.copyOf(offers);
    }

    /**
     * @param code of the offer
     */
    private record Asked(String code, String text, PlanRequest request) {

        /** Whether more reps are worth something by themselves. */
        boolean moreReps() {
            return code.startsWith("more-") || code.equals("later-lesson");
        }
    }

    /** A foam ball for the days at home or in the garden. */
    private static Optional<Asked> softBall(PlanRequest request) {
        Student student = request.student();
        boolean lawnOrHome = student.week().slots().values().stream()
                .anyMatch(s -> !s.place().ballsAllowed());
        if (!lawnOrHome || student.has(Equipment.FOAM_BALL)) return Optional.empty();
        return Optional.of(
                new Asked("soft-ball", "A soft ball at home", request.with(student.with(Equipment.FOAM_BALL))));
    }

    private static Optional<Asked> lessonCheck(PlanRequest request) {
        if (request.settings().lessonCheck()) return Optional.empty();
        return Optional.of(new Asked(
                "lesson-check",
                "Ten scored balls at the start of the next lesson",
                request.with(request.settings().checking())));
    }

    /** One more day with real balls, on a free day where there is one, else in place of the shortest day at home. */
    private static Optional<Asked> rangeDay(PlanRequest request) {
        Week week = request.student().week();
        Optional<DayOfWeek> day = week.freeDay()
                .or(() -> week.slots().entrySet().stream()
                        .filter(e -> !e.getValue().place().ballsAllowed())
                        .min(Map.Entry.comparingByValue(Comparator.comparingInt(Slot::minutes)))
                        .map(Map.Entry::getKey));
        long real = week.slots().values().stream()
                .filter(s -> s.place().ballsAllowed())
                .count();
        if (day.isEmpty() || real > MANY_RANGE_DAYS) return Optional.empty();
        Map<DayOfWeek, Slot> slots = new EnumMap<>(DayOfWeek.class);
        slots.putAll(week.slots());
        slots.put(day.get(), new Slot(RANGE_MINUTES, Place.RANGE));
        String which = real == 0 ? "A range day" : real == 1 ? "A second range day" : "One more range day";
        return Optional.of(new Asked(
                "range-day",
                "%s: %s, %d minutes".formatted(which, Words.weekday(day.get()), RANGE_MINUTES),
                request.with(new Week(slots))));
    }

    /** Ten more minutes on the two shortest days. */
    private static Optional<Asked> moreMinutes(PlanRequest request) {
        List<DayOfWeek> shortest = request.student().week().slots().entrySet().stream()
                .filter(e -> e.getValue().minutes() <= MOST_MINUTES)
                .sorted(Comparator.comparingInt(e -> e.getValue().minutes()))
                .limit(2)
                .map(Map.Entry::getKey)
                .sorted()
                .toList();
        if (shortest.isEmpty()) return Optional.empty();
        Map<DayOfWeek, Slot> week = new EnumMap<>(request.student().week().slots());
        for (DayOfWeek day : shortest) {
            Slot slot = week.get(day);
            week.put(day, new Slot(slot.minutes() + MORE_MINUTES, slot.place()));
        }
        String days = shortest.stream()
                .map(Words::weekday)
                .reduce((a, b) -> a + " and " + b)
                .orElseThrow();
        return Optional.of(new Asked("more-minutes", "Ten more minutes on " + days, request.with(new Week(week))));
    }

    /** One more day, like the commonest one, as far from the others as can be. */
    private static Optional<Asked> moreDays(PlanRequest request) {
        return request.student().week().freeDay().map(free -> {
            Week week = request.student().week().withOneMoreDay();
            Slot slot = week.slots().get(free);
            return new Asked(
                    "more-days",
                    "One more day: %s, %d minutes %s"
                            .formatted(
                                    Words.weekday(free),
                                    slot.minutes(),
                                    slot.place().where()),
                    request.with(week));
        });
    }

    private static Optional<Asked> laterLesson(PlanRequest request) {
        if (!request.nextLesson().plusWeeks(1).isBefore(request.from().plusDays(PlanRequest.LONGEST))) {
            return Optional.empty();
        }
        return Optional.of(new Asked(
                "later-lesson",
                "The next lesson a week later, "
                        + Words.day(request.nextLesson().plusWeeks(1)),
                request.until(request.nextLesson().plusWeeks(1))));
    }

    /** Without the first fault's lowest gate but one: the climb has a rung less. */
    private static Optional<Asked> fewerRungs(PlanRequest request, Planner planner) {
        List<Rung> rungs = planner.plan(request).route().stream()
                .filter(s ->
                        s.fault() == request.focus().get(0).fault() && s.gate().isPresent())
                .map(Plan.Step::rung)
                .toList();
        if (rungs.size() < 3) return Optional.empty();
        Rung dropped = rungs.get(1);
        Edits edits = request.edits();
        Set<StepId> skipped = new HashSet<>(edits.skipped());
        skipped.add(new StepId(request.focus().get(0).fault(), dropped));
        return Optional.of(new Asked(
                "fewer-rungs",
                "Without the rung " + dropped.label().toLowerCase(),
                request.with(edits.skipping(skipped))));
    }

    private static Optional<Asked> oneFault(PlanRequest request) {
        if (request.focus().size() < 2) return Optional.empty();
        String later = request.student()
                .hand()
                .say(request.focus().get(1).fault().label().toLowerCase());
        return Optional.of(new Asked(
                "one-fault",
                "Only the first fault now; " + later + " later",
                request.with(request.focus().subList(0, 1))));
    }
}
