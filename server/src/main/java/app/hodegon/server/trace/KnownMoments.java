package app.hodegon.server.trace;

import app.hodegon.core.motion.Moment;
import app.hodegon.core.motion.Origin;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.trace.TraceView.SwingMomentView;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.DoubleUnaryOperator;

/** Moments that a request brings along. */
public final class KnownMoments {

    /** What is given from elsewhere is taken to be good to so many ms. */
    static final double UNCERTAINTY = 5;

    private KnownMoments() {}

    /**
     * @param seconds by the checkpoint's id; null for none
     * @param rate samples or pictures a second
     * @param field under whose name they are refused
     */
    public static List<Moment> of(Map<String, Double> seconds, double rate, String field) {
        List<Moment> known = new ArrayList<>();
        if (seconds == null) return known;
        seconds.forEach((id, time) -> {
            String of = field + "." + id;
            Checkpoint at = Invalid.in(of, () -> Identified.of(Checkpoint.class, id));
            double uncertainty = Math.max(UNCERTAINTY, 500 / rate);
            known.add(Invalid.in(of, () -> new Moment(at, time, Origin.GIVEN, uncertainty)));
        });
        return known;
    }

    /**
     * What was told of a swing's moments, and what the coach sets now.
     *
     * @param moved seconds by the checkpoint's id; null gives a moment back to what was told or found
     * @param uncertainty of a moment set by hand, ms, by where it is set
     */
    public static List<Moment> moved(
            List<SwingMomentView> told, Map<String, Double> moved, DoubleUnaryOperator uncertainty) {
        Map<Checkpoint, Moment> all = new EnumMap<>(Checkpoint.class);
        told.forEach(m -> all.put(Identified.of(Checkpoint.class, m.id()), m.moment()));
        moved.forEach((id, seconds) -> {
            String of = "moments." + id;
            Checkpoint at = Invalid.in(of, () -> Identified.of(Checkpoint.class, id));
            if (seconds == null) {
                all.remove(at);
            } else {
                double within = uncertainty.applyAsDouble(seconds);
                all.put(at, Invalid.in(of, () -> new Moment(at, seconds, Origin.CORRECTED, within)));
            }
        });
        return List.copyOf(all.values());
    }
}
