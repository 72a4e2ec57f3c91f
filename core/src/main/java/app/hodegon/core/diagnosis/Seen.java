package app.hodegon.core.diagnosis;

import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Repeatability;
import java.util.Optional;
import java.util.function.Predicate;

/** Plain questions to what was seen and measured. */
record Seen(Observations observations, Repeatability repeatability) {

    /** A reading counts as beyond a value from half its uncertainty on. */
    private static final double BEYOND = 0.5;

    boolean sign(Sign sign) {
        return observations.signs().getOrDefault(sign, false);
    }

    /** Looked for and not there. */
    boolean no(Sign sign) {
        return !observations.signs().getOrDefault(sign, true);
    }

    boolean has(Measure measure) {
        return observations.readings().stream().anyMatch(r -> r.measure() == measure);
    }

    /**
     * @param at null for a measure of the whole swing
     */
    boolean above(Measure measure, Checkpoint at, double value) {
        return any(measure, at, r -> r.value() - value >= BEYOND * Clues.error(r, repeatability));
    }

    /**
     * @param at null for a measure of the whole swing
     */
    boolean below(Measure measure, Checkpoint at, double value) {
        return any(measure, at, r -> value - r.value() >= BEYOND * Clues.error(r, repeatability));
    }

    private boolean any(Measure measure, Checkpoint at, Predicate<Reading> which) {
        return observations.readings().stream()
                .anyMatch(r -> r.measure() == measure && r.at().equals(Optional.ofNullable(at)) && which.test(r));
    }

    /** Share of a result among its balls; 0 for fewer than {@code atLeast} balls. */
    double share(BallResult result, int atLeast) {
        int balls = observations.shots().total(result.kind());
        return balls < atLeast ? 0 : (double) observations.shots().of(result) / balls;
    }
}
