package app.hodegon.core.swing;

import static app.hodegon.core.swing.Source.CLIP;
import static app.hodegon.core.swing.Source.FELT;
import static app.hodegon.core.swing.Source.PLATE;
import static app.hodegon.core.swing.Source.SEEN;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * Standard error of measurement (SEM) of one reading, per quantity and source, in the quantity's unit. The values are
 * working assumptions of the product, not published constants.
 */
public final class Repeatability {

    private static final Map<Quantity, Map<Source, Double>> ASSUMED = Map.of(
            Quantity.SHARE, Map.of(FELT, 12.0, SEEN, 8.0, CLIP, 8.0, PLATE, 2.5),
            Quantity.TRAVEL, Map.of(SEEN, 2.5, CLIP, 1.0),
            Quantity.TURN, Map.of(SEEN, 8.0, CLIP, 5.0),
            Quantity.POSTURE, Map.of(SEEN, 5.0, CLIP, 3.0),
            Quantity.FOOT, Map.of(SEEN, 1.5, CLIP, 0.8),
            Quantity.TIME, Map.of(CLIP, 25.0, PLATE, 10.0));

    private Repeatability() {}

    /** SEM of one reading, or empty where this source is not known to be able to read the quantity. */
    public static OptionalDouble sem(Measure measure, Source source) {
        Double sem = ASSUMED.getOrDefault(measure.quantity(), Map.of()).get(source);
        return sem == null ? OptionalDouble.empty() : OptionalDouble.of(sem);
    }

    /** Sources that can read this measure. */
    public static List<Source> sources(Measure measure) {
        return ASSUMED.getOrDefault(measure.quantity(), Map.of()).keySet().stream()
                .sorted()
                .toList();
    }
}
