package app.hodegon.core.plan;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Plan.Step;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiPredicate;

/**
 * The way up for one focus fault.
 *
 * @param steps from the first rung not yet passed upwards; empty if no drill is allowed
 * @param standIns for a rung whose drill is not possible at a place, the drill that is worked there instead
 * @param below what lies under them, highest first: to refresh, and for days that have no place for the steps
 * @param firstBalls by place, what a few short balls are hit with before their rung is reached
 * @param round what is swung on the course before that is reached; empty where nothing is
 */
record Route(
        Fault fault,
        List<Step> steps,
        Map<Rung, Map<Place, Step>> standIns,
        List<Step> below,
        Map<Place, Step> firstBalls,
        Optional<Step> round) {

    /** This step there, or what stands in for it; empty where neither is possible. */
    Optional<Step> at(Step step, Place place, BiPredicate<Step, Place> possible) {
        if (possible.test(step, place)) return Optional.of(step);
        return Optional.ofNullable(standIns.getOrDefault(step.rung(), Map.of()).get(place));
    }
}
