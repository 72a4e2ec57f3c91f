package app.hodegon.core.motion;

import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Reading.Scatter;
import app.hodegon.core.swing.Source;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.stat.descriptive.DescriptiveStatistics;

/** What the swings that were kept say together. */
public final class KeptSwings {

    /** From so many swings on, their spread is this student's own repeatability. */
    public static final int OWN_FROM = 5;

    /** And from so many on they make a reading; a clip does alone, since nobody films three to see one. */
    public static final int READING_FROM = 3;

    private KeptSwings() {}

    /**
     * @param mean over the swings that have the reading
     * @param swings how many have it
     * @param uncertainty of one swing's reading, from its measuring alone, in the measure's unit
     * @param spread standard deviation between the swings; empty for one
     */
    public record Joint(
            Measure measure,
            Optional<Checkpoint> at,
            double mean,
            int swings,
            double uncertainty,
            OptionalDouble spread) {

        /**
         * As a lesson's reading; empty for too few swings.
         *
         * @param own whether the student's own repeatability counts alone where it can be told
         */
        public Optional<Reading> reading(Source source, boolean own) {
            if (source != Source.CLIP && swings < READING_FROM) return Optional.empty();
            Scatter scatter = own && own().isPresent()
                    ? new Scatter(Math.max(uncertainty, own().getAsDouble()), true)
                    : new Scatter(uncertainty, false);
            return Optional.of(new Reading(measure, at, mean, source, Math.min(MOST, swings), Optional.of(scatter)));
        }

        /** The student's own repeatability of one swing, if there are swings enough to tell. */
        public OptionalDouble own() {
            return swings >= OWN_FROM ? spread : OptionalDouble.empty();
        }
    }

    /** More swings than this are not told of a reading. */
    private static final int MOST = 200;

    private record Key(Measure measure, Optional<Checkpoint> at) {}

    /** By measure and checkpoint, in the order of the first swing. */
    public static List<Joint> of(Collection<SwingReading> swings) {
        Map<Key, DescriptiveStatistics> values = new LinkedHashMap<>();
        Map<Key, DescriptiveStatistics> squares = new LinkedHashMap<>();
        for (SwingReading swing : swings) {
            for (Measured reading : swing.readings()) {
                Key key = new Key(reading.measure(), reading.at());
                values.computeIfAbsent(key, k -> new DescriptiveStatistics()).addValue(reading.value());
                squares.computeIfAbsent(key, k -> new DescriptiveStatistics())
                        .addValue(reading.uncertainty() * reading.uncertainty());
            }
        }
        return values.entrySet().stream()
                .map(e -> joint(e.getKey(), e.getValue(), squares.get(e.getKey())))
                .toList();
    }

    private static Joint joint(Key key, DescriptiveStatistics values, DescriptiveStatistics squares) {
        int n = (int) values.getN();
        return new Joint(
                key.measure(),
                key.at(),
                values.getMean(),
                n,
                Math.sqrt(squares.getMean()),
                n > 1 ? OptionalDouble.of(values.getStandardDeviation()) : OptionalDouble.empty());
    }
}
