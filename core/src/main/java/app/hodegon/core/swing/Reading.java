package app.hodegon.core.swing;

import java.util.Objects;
import java.util.Optional;

/**
 * One value of a measure, averaged over some swings of one source.
 *
 * @param at the checkpoint, empty for measures that have none
 * @param value in the measure's unit, within its quantity's range
 * @param swings how many swings the value averages, 1 to 200
 */
public record Reading(Measure measure, Optional<Checkpoint> at, double value, Source source, int swings) {

    public Reading {
        Objects.requireNonNull(measure);
        Objects.requireNonNull(at);
        Objects.requireNonNull(source);
        Quantity quantity = measure.quantity();
        if (!(value >= quantity.lowest() && value <= quantity.highest())) {
            throw new IllegalArgumentException("%s must lie between %s and %s %s."
                    .formatted(measure.label(), plain(quantity.lowest()), plain(quantity.highest()), quantity.unit()));
        }
        if (swings < 1 || swings > 200) throw new IllegalArgumentException("swings must be 1 to 200.");
        if (measure.atCheckpoint() && at.isEmpty()) {
            throw new IllegalArgumentException(measure.label() + " needs a checkpoint (at): "
                    + String.join(", ", Identified.ids(Checkpoint.class)) + ".");
        }
        if (!measure.atCheckpoint() && at.isPresent()) {
            throw new IllegalArgumentException(
                    measure.label() + " belongs to the whole swing: leave the checkpoint" + " (at) empty.");
        }
        if (Repeatability.sem(measure, source).isEmpty() && source != Source.MONITOR && hasAnySource(measure)) {
            throw new IllegalArgumentException("%s cannot be read as \"%s\"; accepted sources: %s."
                    .formatted(
                            measure.label(),
                            source.id(),
                            String.join(
                                    ", ",
                                    Repeatability.sources(measure).stream()
                                            .map(Source::id)
                                            .toList())));
        }
    }

    private static boolean hasAnySource(Measure measure) {
        return !Repeatability.sources(measure).isEmpty();
    }

    private static String plain(double number) {
        return number == Math.rint(number) ? Long.toString((long) number) : Double.toString(number);
    }
}
