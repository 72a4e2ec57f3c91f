package app.hodegon.core.plan;

import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Plan.Step;
import java.util.List;
import java.util.Optional;
import java.util.function.BiPredicate;
import java.util.stream.Stream;

/** How far one fault's route has been climbed while the days are laid, assuming that gates pass when they should. */
final class Climb {

    private final List<Step> route;
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
        for (int i = at; i >= 0; i--) if (possible.test(route.get(i), place)) return Optional.of(route.get(i));
        return belowAt(place).findFirst();
    }

    private Stream<Step> belowAt(Place place) {
        return below.stream().filter(s -> possible.test(s, place));
    }

    /** The step a refresher set repeats before the main block. */
    Optional<Step> refresherBelow(Step main, Place place) {
        int index = route.indexOf(main);
        for (int i = index - 1; i >= 0; i--) {
            if (possible.test(route.get(i), place) && !route.get(i).rung().withBall()) return Optional.of(route.get(i));
        }
        return belowAt(place).filter(s -> s != main && !s.rung().withBall()).findFirst();
    }

    boolean isNew(Step step) {
        return route.indexOf(step) == at && daysOnStep < 2;
    }

    boolean hasPassed(Rung rung) {
        return route.isEmpty() || (at < route.size() && route.get(at).rung().compareTo(rung) > 0);
    }

    /** Books a day's main block and check; goes on to the next step when this one has had its days. */
    void practised(Step step, boolean checked) {
        if (route.indexOf(step) != at) return;
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

    /** Whether this step comes after the one being worked on. */
    boolean tooEarly(Step step) {
        return route.indexOf(step) > at;
    }
}
