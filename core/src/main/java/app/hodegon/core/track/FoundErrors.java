package app.hodegon.core.track;

import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import java.util.EnumMap;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * How far a reading lies from the body's own because of points that a program found: standard deviations, in the measure's
 * unit, learnt from films of the simulated golfer in many builds, clothes, lights, cameras and rates
 * (docs/measuring-learnt.md; every third film was left out and the test holds them).
 */
final class FoundErrors {

    private static final Map<Measure, Map<Checkpoint, Double>> LEARNT = new EnumMap<>(Measure.class);

    static {
        // At hip back, arm back, top, arm down, impact; 0 where nothing is read.
        learnt(Measure.PELVIS_DRIFT, 1.7, 1.8, 1.8, 3.2, 1.6);
        learnt(Measure.HEAD_DRIFT, 0.8, 1.4, 1.9, 0.8, 0.85);
        learnt(Measure.TRAIL_HEEL_LIFT, 0, 0, 1.7, 2, 3.2);
        learnt(Measure.PELVIS_THRUST, 0, 0, 1.3, 1.8, 0.85);
        learnt(Measure.POSTURE_RISE, 0, 0, 3.4, 6.5, 1.2);
        learnt(Measure.HIP_TURN, 0, 12, 13, 38, 29);
        learnt(Measure.HIP_LINE, 0, 0, 0, 28, 23);
        learnt(Measure.SHOULDER_TURN, 0, 10.5, 30, 9.5, 7.2);
    }

    /** What is off by more than this, a view cannot tell: 15 degrees, and the fifth more that few films ask for. */
    private static final double CANNOT_TELL = 18;

    private FoundErrors() {}

    private static void learnt(Measure measure, double... ofTheSwing) {
        Map<Checkpoint, Double> by = new EnumMap<>(Checkpoint.class);
        Checkpoint[] at = {
            Checkpoint.HIP_BACK, Checkpoint.ARM_BACK, Checkpoint.TOP, Checkpoint.ARM_DOWN, Checkpoint.IMPACT
        };
        for (int i = 0; i < at.length; i++) if (ofTheSwing[i] > 0) by.put(at[i], ofTheSwing[i]);
        LEARNT.put(measure, by);
    }

    /** Whether a turn can be told at a moment: it, and the measure as a whole, must not be off by too much. */
    static boolean tellTurn(Measure measure, Checkpoint at) {
        Map<Checkpoint, Double> learnt = LEARNT.getOrDefault(measure, Map.of());
        double squares =
                learnt.values().stream().mapToDouble(v -> v * v).average().orElse(0);
        return learnt.getOrDefault(at, 0.0) <= CANNOT_TELL && Math.sqrt(squares) <= CANNOT_TELL;
    }

    /** Empty for what nothing was learnt of. */
    static OptionalDouble of(Measure measure, Checkpoint at) {
        Double learnt = LEARNT.getOrDefault(measure, Map.of()).get(at);
        return learnt == null ? OptionalDouble.empty() : OptionalDouble.of(learnt);
    }
}
