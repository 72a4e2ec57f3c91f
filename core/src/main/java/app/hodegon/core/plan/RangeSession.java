package app.hodegon.core.plan;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.plan.Plan.Step;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * A session with balls climbs within its time: above the day's rung to the shoulder and to the full swing, a few balls each,
 * as tries that do not count. What it holds goes by the minutes, the level and the age; a flagged joint that a drill loads
 * halves it.
 */
final class RangeSession {

    /** Fewer balls before their rung, or in a try, tell nothing. */
    static final int HANDFUL = 5;

    /** An hour holds so many, whatever the level and the age. */
    private static final int FEWEST_AN_HOUR = 25;

    private static final int MOST_AN_HOUR = 60;

    /** Nobody hits well for longer, in minutes. */
    private static final int LONGEST = 90;

    private final PlanRequest request;
    private final Student student;
    private final DrillLibrary library;
    private final DrillChoice choice;
    private final LocalDate date;
    private final Week.Slot slot;

    RangeSession(PlanRequest request, DrillLibrary library, DrillChoice choice, LocalDate date) {
        this.request = request;
        this.student = request.student();
        this.library = library;
        this.choice = choice;
        this.date = date;
        this.slot = student.week().on(date).orElseThrow();
    }

    /** A part of the session: a step, and the sets of it. */
    record Part(Step step, Dose.Sets sets) {}

    /** How many balls it holds of this drill. */
    int balls(Drill drill) {
        double usual = student.level().ballsAnHour() * student.age().volume();
        return held(Math.max(FEWEST_AN_HOUR, Math.min(MOST_AN_HOUR, usual)), drill);
    }

    private int held(double anHour, Drill drill) {
        return (int) Math.ceil(anHour * Math.min(slot.minutes(), LONGEST) / 60 * Layout.share(student, drill));
    }

    /**
     * What the time that is left holds above the work that is laid. Where a check left a gate open it is one rung and no
     * more; at the top the session ends with more of the same.
     *
     * @param laid the day's blocks, in which the climb's fault is worked on
     * @param seconds that are left of the day
     */
    List<Part> above(List<Block> laid, Climb climb, int seconds, Function<Step, Dose> doses) {
        Optional<Block> highest = laid.stream()
                .filter(b -> b.fault() == climb.fault())
                .reduce((low, high) -> high.rung().compareTo(low.rung()) > 0 ? high : low);
        if (highest.isEmpty()) return List.of();
        List<Step> steps = stepsAbove(highest.get(), laid, climb);
        if (lastCheckWasBad(climb.fault())) steps = steps.subList(0, Math.min(1, steps.size()));
        List<Part> parts = new ArrayList<>();
        int left = seconds;
        int hit = laid.stream().mapToInt(Block::strikes).sum();
        for (int i = 0; i < steps.size(); i++) {
            Step step = steps.get(i);
            Drill drill = library.drill(step.drill());
            int to = steps.size() - i;
            int wanted = (int) Math.ceil((double) (balls(drill) - hit) / to);
            int most = Math.max(0, held(MOST_AN_HOUR, drill) - hit);
            Dose.Sets sets = doses.apply(step).strikes(left / to, Math.min(most, Math.max(HANDFUL, wanted)));
            if (sets.sets() == 0) break;
            parts.add(new Part(step, sets));
            left -= sets.seconds();
            hit += sets.strikes();
        }
        return parts;
    }

    /** One step for each rung above, without a gap: the route's, or on with the drill of the rung below. */
    private List<Step> stepsAbove(Block highest, List<Block> laid, Climb climb) {
        Set<String> drills = new TreeSet<>();
        laid.forEach(b -> drills.add(b.drill()));
        List<Step> steps = new ArrayList<>();
        Step below = new Step(highest.rung(), highest.fault(), highest.drill(), Optional.empty(), "");
        for (Step above : climb.ballsAbove(highest.rung())) {
            Step onWith = new Step(above.rung(), above.fault(), below.drill(), Optional.empty(), "");
            Optional<Step> step = Stream.of(above, onWith)
                    .filter(this::canBeTried)
                    .filter(s -> drills.contains(s.drill()) || drills.size() < Layout.MOST_DRILLS_A_DAY)
                    .findFirst();
            if (step.isEmpty() || request.edits().dropped(date, above.fault(), above.rung(), Kind.TRY)) break;
            below = step.get();
            drills.add(below.drill());
            steps.add(below);
        }
        return steps.isEmpty() && below.rung().withBall() ? List.of(below) : steps;
    }

    private boolean canBeTried(Step step) {
        Drill drill = library.drill(step.drill());
        return choice.worksOn(drill, step.fault(), step.rung())
                && choice.possibleAt(drill, slot.place(), step.rung())
                && drill.after().stream().allMatch(student::hasPassed);
    }

    private boolean lastCheckWasBad(Fault fault) {
        return request.lowestOpen(fault)
                .filter(rung -> !request.worked(new Edits.StepId(fault, rung)).oneGood())
                .isPresent();
    }
}
