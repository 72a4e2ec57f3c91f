package app.hodegon.core.swing;

import static app.hodegon.core.swing.Source.CLIP;
import static app.hodegon.core.swing.Source.FELT;
import static app.hodegon.core.swing.Source.PLATE;
import static app.hodegon.core.swing.Source.RULER;
import static app.hodegon.core.swing.Source.SEEN;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * Standard error of measurement (SEM) of one reading, per quantity and source, in the quantity's unit. The
 * {@link #ASSUMED} values are working assumptions of the product, not published constants; a coach who knows better
 * puts in others.
 */
public final class Repeatability {

    public static final Repeatability ASSUMED = new Repeatability(Map.of(
            Quantity.SHARE, Map.of(FELT, 12.0, SEEN, 8.0, CLIP, 8.0, PLATE, 2.5),
            Quantity.SHIFT, Map.of(PLATE, 30.0),
            Quantity.TRAVEL, Map.of(SEEN, 2.5, CLIP, 1.0),
            Quantity.TURN, Map.of(SEEN, 8.0, CLIP, 5.0),
            Quantity.POSTURE, Map.of(SEEN, 5.0, CLIP, 3.0),
            Quantity.FOOT, Map.of(SEEN, 1.5, CLIP, 0.8),
            Quantity.TIME, Map.of(CLIP, 25.0, PLATE, 10.0),
            Quantity.TEMPO, Map.of(CLIP, 0.3, PLATE, 0.15),
            Quantity.STANCE, Map.of(SEEN, 0.2, CLIP, 0.08, RULER, 0.05),
            Quantity.REACH, Map.of(SEEN, 2.0, CLIP, 1.0, RULER, 0.5)));

    /** How many times larger or smaller than the assumed value a coach's own may be. */
    private static final double WIDEST = 5;

    private final Map<Quantity, Map<Source, Double>> sems;

    private Repeatability(Map<Quantity, Map<Source, Double>> sems) {
        this.sems = sems;
    }

    /**
     * The same with another SEM.
     *
     * @throws IllegalArgumentException if this source cannot read the quantity, or the value lies outside a fifth to
     *     five times the assumed one
     */
    public Repeatability with(Quantity quantity, Source source, double sem) {
        Double assumed = ASSUMED.sems.getOrDefault(quantity, Map.of()).get(source);
        if (assumed == null) {
            throw new IllegalArgumentException("\"%s\" is no source for a %s.".formatted(source.id(), quantity.id()));
        }
        if (!(sem >= assumed / WIDEST && sem <= assumed * WIDEST)) {
            throw new IllegalArgumentException("The repeatability of a %s (%s) must lie between %s and %s %s."
                    .formatted(quantity.id(), source.id(), assumed / WIDEST, assumed * WIDEST, quantity.unit()));
        }
        Map<Quantity, Map<Source, Double>> next = new EnumMap<>(sems);
        Map<Source, Double> bySource = new EnumMap<>(next.get(quantity));
        bySource.put(source, sem);
        next.put(quantity, bySource);
        return new Repeatability(next);
    }

    /** SEM of one reading, or empty where this source is not known to be able to read the quantity. */
    public OptionalDouble sem(Measure measure, Source source) {
        return sem(measure.quantity(), source);
    }

    /** SEM of one swing of a reading, with what its own swings told of it. */
    public OptionalDouble sem(Reading reading) {
        OptionalDouble assumed = sem(reading.measure(), reading.source());
        if (reading.scatter().isEmpty()) return assumed;
        Reading.Scatter own = reading.scatter().get();
        return OptionalDouble.of(own.alone() ? own.sem() : Math.max(own.sem(), assumed.orElse(0)));
    }

    /** SEM of one reading of this kind of quantity. */
    public OptionalDouble sem(Quantity quantity, Source source) {
        Double sem = sems.getOrDefault(quantity, Map.of()).get(source);
        return sem == null ? OptionalDouble.empty() : OptionalDouble.of(sem);
    }

    /** Sources that can read this quantity, from soft to hard. */
    public static List<Source> sources(Quantity quantity) {
        return ASSUMED.sems.getOrDefault(quantity, Map.of()).keySet().stream()
                .sorted()
                .toList();
    }
}
