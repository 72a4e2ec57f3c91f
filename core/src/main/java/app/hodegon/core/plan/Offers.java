package app.hodegon.core.plan;

import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Edits.StepId;
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

    private Offers() {}

    /**
     * @param code more-minutes, more-days, later-lesson, fewer-rungs or one-fault
     * @param request what the plan would be made from
     * @param gates expected gates passed by the next lesson
     */
    public record Offer(String code, String text, PlanRequest request, Plan plan, double gates) {}

    /** In the order in which a coach would think of them; an offer that cannot be made is left out. */
    public static List<Offer> of(PlanRequest request, Planner planner) {
        List<Offer> offers = new ArrayList<>();
        Stream.of(
                        moreMinutes(request),
                        moreDays(request),
                        laterLesson(request),
                        fewerRungs(request, planner),
                        oneFault(request))
                .flatMap(Optional::stream)
                .forEach(asked -> {
                    Plan plan = planner.plan(asked.request());
                    offers.add(new Offer(
                            asked.code(),
                            asked.text(),
                            asked.request(),
                            plan,
                            planner.expectedGates(asked.request(), plan)));
                });
        return List.copyOf(offers);
    }

    private record Asked(String code, String text, PlanRequest request) {}

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
