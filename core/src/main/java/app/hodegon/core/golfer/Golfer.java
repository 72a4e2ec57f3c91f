package app.hodegon.core.golfer;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.approach.PressureSchool.Corridor;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Handedness;
import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.Random;

/**
 * Who swings.
 *
 * @param height in cm, 100 to 230
 * @param school along the middle of whose corridors the load moves where no fault displaces it
 * @param faults how far each is there, over 0 up to 1
 */
public record Golfer(Handedness hand, double height, PressureSchool school, Map<Fault, Double> faults, Pace pace) {

    /*
     * How a golfer's swings differ from each other, standard deviations: working assumptions. What all moments of a swing
     * share, and what each has of its own.
     */
    private static final double SHARE_OF_SWING = 1.4;
    private static final double SHARE_OF_MOMENT = 1.6;
    private static final double SHARE_AT_FIRST = 0.5;
    private static final double HALVES = 1.5;
    private static final double TRAVEL = 0.5;
    private static final double TURN = 1.5;
    private static final double PACE = 0.025;

    /** Arms that start first go back slowly and come down in a hurry. */
    private static final double SLOW_BACK = 0.45;

    private static final double HURRIED_DOWN = -0.3;

    public Golfer {
        if (!(height >= 100 && height <= 230)) throw new IllegalArgumentException("height must be 100 to 230 cm.");
        faults.forEach((fault, strength) -> {
            if (!(strength > 0 && strength <= 1)) {
                throw new IllegalArgumentException(fault.id() + " must be there over 0 and up to 1.");
            }
        });
        faults = faults.isEmpty() ? Map.of() : Collections.unmodifiableMap(new EnumMap<>(faults));
    }

    /** The golfer's typical swing. */
    public GolfSwing swing() {
        return swing(new Scatter(() -> 0));
    }

    /** One swing among others. */
    public GolfSwing swing(Random random) {
        return swing(new Scatter(random::nextGaussian));
    }

    private record Scatter(java.util.function.DoubleSupplier normal) {

        double draw(double deviation) {
            return deviation * normal.getAsDouble();
        }
    }

    private GolfSwing swing(Scatter scatter) {
        double hurried = faults.getOrDefault(Fault.ARMS_FIRST, 0.0);
        Pace own = pace.slower(
                (1 + SLOW_BACK * hurried) * (1 + scatter.draw(PACE)),
                (1 + HURRIED_DOWN * hurried) * (1 + scatter.draw(PACE)));
        Map<Coordinate, double[]> knots = new EnumMap<>(Coordinate.class);
        for (Coordinate what : Coordinate.values()) {
            double common = what == Coordinate.TRAIL_SHARE ? scatter.draw(SHARE_OF_SWING) : 0;
            double[] values = new double[Checkpoint.values().length];
            for (Checkpoint at : Checkpoint.values()) {
                double value = displaced(what, at) + common;
                double off = what.isPlaced() ? 0 : scatter.draw(deviation(what, at));
                values[at.ordinal()] = what.within(value + off);
            }
            knots.put(what, values);
        }
        return new GolfSwing(this, own, knots);
    }

    /** Where this golfer typically is at a checkpoint, faults and all. */
    double displaced(Coordinate what, Checkpoint at) {
        return displaced(what, at, sound(what, at));
    }

    /** Where a golfer of this school is without faults. */
    double sound(Coordinate what, Checkpoint at) {
        return what == Coordinate.TRAIL_SHARE ? middle(school.corridor(at)) : what.sound(at);
    }

    /** What the faults make of a value. */
    double displaced(Coordinate what, Checkpoint at, double sound) {
        double value = sound;
        for (Map.Entry<Fault, Double> fault : faults.entrySet()) {
            for (Displacement displacement : Displacement.of(fault.getKey())) {
                if (displacement.what() == what && displacement.at() == at) {
                    value = displacement.apply(value, fault.getValue());
                }
            }
        }
        return value;
    }

    private static double middle(Corridor corridor) {
        return (corridor.low() + corridor.high()) / 2;
    }

    /** At address everybody stands as they stand. */
    private static double deviation(Coordinate what, Checkpoint at) {
        return switch (what) {
            case TRAIL_SHARE -> at.compareTo(Checkpoint.TRIGGER) > 0 ? SHARE_OF_MOMENT : SHARE_AT_FIRST;
            case TRAIL_FRONT, LEAD_FRONT, TRAIL_OUTER, LEAD_OUTER -> HALVES;
            case PELVIS_SIDE, HEAD_SIDE, PELVIS_IN -> at == Checkpoint.ADDRESS ? 0 : TRAVEL;
            case HIP_LINE, SHOULDER_LINE, BEND -> TURN;
            default -> 0;
        };
    }
}
