package app.hodegon.core.plan;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Step;
import app.hodegon.core.plan.PlanRequest.Worked;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiPredicate;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** How far one fault's route has been climbed while the days are laid, assuming that gates pass when they should. */
final class Climb {

    /** What is passed is kept up after so many practice days, further and further apart. */
    private static final int[] KEEP_UP_AFTER = {1, 2, 3};

    /** What a block of one thing wants of its movement, and after how many days it is over all the same. */
    private static final int ONE_THING_REPS = 700;

    private static final int ONE_THING_DAYS = 10;

    private static final double ENOUGH = 1.5;

    private record DrillOn(Rung rung, String drill) {
        static DrillOn of(Step step) {
            return new DrillOn(step.rung(), step.drill());
        }
    }

    private final Route route;
    private final List<Step> steps;
    private final int[] days;
    private final BiPredicate<Step, Place> possible;
    private final boolean oneThing;
    private final Function<Step, Worked> before;
    private final int first;

    private int at;
    private int daysOnStep;
    private int repsOnStep;
    private boolean realBall;

    private final Map<DrillOn, Integer> worked = new HashMap<>();
    private int keptUp;
    private int lastKeptUp = -1;
    private Optional<Block> lastMain = Optional.empty();
    private int alike;

    /**
     * @param days practice days on each step before the next one is laid
     * @param oneThing whether the first gated step takes a block of one thing
     * @param before what was done on each step's rung before the first day that is laid
     */
    Climb(Route route, int[] days, BiPredicate<Step, Place> possible, boolean oneThing, Function<Step, Worked> before) {
        this.route = route;
        this.steps = route.steps();
        this.days = days;
        this.possible = possible;
        this.oneThing = oneThing;
        this.before = before;
        // Preparing opens the first sessions as their refresher; it is a main block only where nothing comes after it.
        this.first = steps.size() > 1 && !steps.get(0).rung().gated() ? 1 : 0;
        this.at = first;
        this.daysOnStep = !steps.isEmpty() && before.apply(steps.get(first)).oneGood() ? 1 : 0;
    }

    /** The step to work on there: the one reached, or the highest earlier one that the place allows. */
    Optional<Step> stepAt(Place place) {
        // Whose way up is ended keeps it up.
        for (int i = steps.isEmpty() ? -1 : at; i >= 0; i--) {
            Optional<Step> step = route.at(steps.get(i), place, possible);
            if (step.isPresent()) return step;
        }
        return belowAt(place).findFirst();
    }

    private Stream<Step> belowAt(Place place) {
        return route.below().stream().filter(s -> possible.test(s, place));
    }

    /** The step a refresher set repeats before the main block. */
    Optional<Step> refresherBelow(Step main, Place place) {
        for (int i = indexOf(main) - 1; i >= 0; i--) {
            Optional<Step> step = route.at(steps.get(i), place, possible)
                    .filter(s -> !s.rung().withBall());
            if (step.isPresent()) return step;
        }
        return belowAt(place).filter(s -> s != main && !s.rung().withBall()).findFirst();
    }

    /** A few short balls there, before their rung; empty where the climb has reached balls. */
    Optional<Step> firstBalls(Place place) {
        if (steps.isEmpty() || steps.get(at).rung().withBall()) return Optional.empty();
        return Optional.ofNullable(route.firstBalls().get(place));
    }

    Fault fault() {
        return route.fault();
    }

    /** The steps with a ball above this rung, the lowest first; the course is not tried. */
    List<Step> ballsAbove(Rung rung) {
        return steps.stream()
                .filter(s -> s.rung().withBall() && s.rung().compareTo(rung) > 0 && s.rung() != Rung.TRANSFER)
                .toList();
    }

    /** What has been met so far, the highest first. */
    Stream<Step> met() {
        return Stream.concat(
                IntStream.rangeClosed(0, steps.isEmpty() ? -1 : at).mapToObj(i -> steps.get(at - i)),
                route.below().stream());
    }

    boolean isNew(Step step) {
        return indexOf(step) == at && worked(step) < 2;
    }

    /** Whether the climb is past this step, so that a day with it only keeps it up. */
    boolean keepsUp(Step step) {
        return indexOf(step) < at;
    }

    /** Whether what is passed is to be kept up on this practice day already. */
    boolean keepUpIsDue(int dayNumber) {
        int after = KEEP_UP_AFTER[Math.min(keptUp, KEEP_UP_AFTER.length - 1)];
        return lastKeptUp < 0 || dayNumber - lastKeptUp >= after;
    }

    boolean isOneThing(Step step) {
        return oneThing && indexOf(step) == first && at == first;
    }

    /** Practice days with a main block of this step's drill on its rung so far: what stood in for it does not count. */
    int worked(Step step) {
        return before.apply(step).days(step.drill()) + laid(step);
    }

    /** Of them, those that are laid. */
    int laid(Step step) {
        return worked.getOrDefault(DrillOn.of(step), 0);
    }

    /** Whether a day with this main block would be one more of too many alike. */
    boolean tooAlike(Block main, int most) {
        return alike >= most && lastMain.filter(main::looksLike).isPresent();
    }

    /**
     * Whether this step has had what it wants and half as much again: it only waits, for a real ball or for its days, and
     * its days get shorter.
     */
    boolean waits(Step step) {
        return indexOf(step) == at && repsOnStep >= ENOUGH * Dose.wantedReps(step.fault(), step.rung());
    }

    boolean hasPassed(Rung rung) {
        return steps.isEmpty() || (at < steps.size() && steps.get(at).rung().compareTo(rung) > 0);
    }

    /**
     * Books a day's main block and check; goes on to the next step when this one has had its days, and one of its checks
     * a real ball where it has balls.
     */
    void practised(Step step, Block main, boolean checked, int dayNumber) {
        alike = lastMain.filter(main::looksLike).isPresent() ? alike + 1 : 1;
        lastMain = Optional.of(main);
        worked.merge(DrillOn.of(step), 1, Integer::sum);
        if (keepsUp(step)) {
            keptUp++;
            lastKeptUp = dayNumber;
        }
        if (indexOf(step) != at) return;
        boolean toldSomething = checked || step.gate().isEmpty();
        daysOnStep += toldSomething ? 1 : 0;
        repsOnStep += main.reps();
        realBall |= toldSomething && (!step.rung().withBall() || main.form().realBall());
        if (isOneThing(step) && repsOnStep < ONE_THING_REPS && daysOnStep < ONE_THING_DAYS) return;
        if (at < steps.size() - 1 && daysOnStep >= days[at] && realBall) {
            at++;
            daysOnStep = 0;
            repsOnStep = 0;
            realBall = false;
        }
    }

    /** The route's step on this rung, for a block that a coach put there. */
    Optional<Step> stepOn(Rung rung) {
        return steps.stream().filter(s -> s.rung() == rung).findFirst();
    }

    /** Which rung of the route it is, whatever the drill; −1 for none. */
    private int indexOf(Step step) {
        for (int i = 0; i < steps.size(); i++) if (steps.get(i).rung() == step.rung()) return i;
        return -1;
    }
}
