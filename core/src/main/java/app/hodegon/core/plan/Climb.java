package app.hodegon.core.plan;

import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Plan.Step;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiPredicate;
import java.util.stream.Stream;

/** How far one fault's route has been climbed while the days are laid, assuming that gates pass when they should. */
final class Climb {

    private final List<Step> route;
    private final Map<Rung, Map<Place, Step>> standIns;
    private final List<Step> below;
    private final int[] days;
    private final BiPredicate<Step, Place> possible;

    private int at;
    private int daysOnStep;

    /**
     * @param days practice days on each step before the next one is laid
     */
    Climb(Route route, int[] days, BiPredicate<Step, Place> possible) {
        this.route = route.steps();
        this.standIns = route.standIns();
        this.below = route.below();
        this.days = days;
        this.possible = possible;
        // Preparing opens the first sessions as their refresher; it is a main block only where nothing comes after it.
        this.at = this.route.size() > 1 && !this.route.get(0).rung().gated() ? 1 : 0;
    }

    boolean empty() {
        return route.isEmpty();
    }

    /** The step to work on there: the one reached, or the highest earlier one that the place allows. */
    Optional<Step> stepAt(Place place) {
        if (route.isEmpty()) return Optional.empty();
        for (int i = at; i >= 0; i--) {
            Optional<Step> step = at(i, place);
            if (step.isPresent()) return step;
        }
        return belowAt(place).findFirst();
    }

    /** A step of the route, or what stands in for it where its drill is not possible. */
    private Optional<Step> at(int index, Place place) {
        Step step = route.get(index);
        if (possible.test(step, place)) return Optional.of(step);
        return Optional.ofNullable(standIns.getOrDefault(step.rung(), Map.of()).get(place));
    }

    private Stream<Step> belowAt(Place place) {
        return below.stream().filter(s -> possible.test(s, place));
    }

    /** The step a refresher set repeats before the main block. */
    Optional<Step> refresherBelow(Step main, Place place) {
        for (int i = indexOf(main) - 1; i >= 0; i--) {
            Optional<Step> step = at(i, place).filter(s -> !s.rung().withBall());
            if (step.isPresent()) return step;
        }
        return belowAt(place).filter(s -> s != main && !s.rung().withBall()).findFirst();
    }

    boolean isNew(Step step) {
        return indexOf(step) == at && daysOnStep < 2;
    }

    /** Whether the climb is past this step, so that a day with it only keeps it up. */
    boolean keepsUp(Step step) {
        return indexOf(step) < at;
    }

    boolean hasPassed(Rung rung) {
        return route.isEmpty() || (at < route.size() && route.get(at).rung().compareTo(rung) > 0);
    }

    /** Books a day's main block and check; goes on to the next step when this one has had its days. */
    void practised(Step step, boolean checked) {
        if (indexOf(step) != at) return;
        daysOnStep += checked || step.gate().isEmpty() ? 1 : 0;
        if (at < route.size() - 1 && daysOnStep >= days[at]) {
            at++;
            daysOnStep = 0;
        }
    }

    /** The route's step on this rung, for a block that a coach put there. */
    Optional<Step> stepOn(Rung rung) {
        return route.stream().filter(s -> s.rung() == rung).findFirst();
    }

    /** Which rung of the route it is, whatever the drill; −1 for none. */
    private int indexOf(Step step) {
        for (int i = 0; i < route.size(); i++) if (route.get(i).rung() == step.rung()) return i;
        return -1;
    }
}
