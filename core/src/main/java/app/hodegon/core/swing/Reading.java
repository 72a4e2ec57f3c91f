package app.hodegon.core.swing;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * One value of a measure, averaged over some swings of one source.
 *
 * @param at the checkpoint, empty for measures that have none
 * @param value in the measure's unit, within its quantity's range
 * @param swings how many swings the value averages, 1 to 200
 * @param scatter what these very swings told of their repeatability
 */
public record Reading(
        Measure measure, Optional<Checkpoint> at, double value, Source source, int swings, Optional<Scatter> scatter) {

    /**
     * @param sem of one swing in the measure's unit, over 0
     * @param alone whether it counts alone; else the larger of it and what is assumed of the source
     */
    public record Scatter(double sem, boolean alone) {

        public Scatter {
            if (!(sem > 0)) throw new IllegalArgumentException("no reading is certain.");
        }
    }

    public Reading(Measure measure, Optional<Checkpoint> at, double value, Source source, int swings) {
        this(measure, at, value, source, swings, Optional.empty());
    }

    public Reading {
        Objects.requireNonNull(measure);
        Objects.requireNonNull(at);
        Objects.requireNonNull(source);
        Quantity quantity = measure.quantity();
        if (!quantity.mayBe(value)) {
            throw new IllegalArgumentException("%s must lie between %s and %s %s."
                    .formatted(measure.id(), plain(quantity.lowest()), plain(quantity.highest()), quantity.unit()));
        }
        if (swings < 1 || swings > 200) throw new IllegalArgumentException("swings must be 1 to 200.");
        if (measure.atCheckpoint() && at.isEmpty()) {
            throw new IllegalArgumentException(measure.id() + " needs a checkpoint (at): "
                    + String.join(", ", Identified.ids(Checkpoint.class)) + ".");
        }
        if (!measure.atCheckpoint() && at.isPresent()) {
            throw new IllegalArgumentException(
                    measure.id() + " belongs to the whole swing: leave the checkpoint" + " (at) empty.");
        }
        List<Source> sources = Repeatability.sources(quantity);
        if (!sources.isEmpty() && !sources.contains(source) && source != Source.MONITOR) {
            throw new IllegalArgumentException("%s cannot be read as \"%s\"; accepted sources: %s."
                    .formatted(
                            measure.id(),
                            source.id(),
                            sources.stream().map(Source::id).collect(Collectors.joining(", "))));
        }
    }

    /** The same reading of another value, kept within the quantity's range. */
    public Reading at(double other) {
        Quantity quantity = measure.quantity();
        double kept = Math.max(quantity.lowest(), Math.min(quantity.highest(), other));
        return new Reading(measure, at, kept, source, swings, scatter);
    }

    private static String plain(double number) {
        return number == Math.rint(number) ? Long.toString((long) number) : Double.toString(number);
    }
}
