package app.hodegon.core.golfer;

import static app.hodegon.core.golfer.Coordinate.*;
import static app.hodegon.core.swing.Checkpoint.ADDRESS;
import static app.hodegon.core.swing.Checkpoint.ARM_BACK;
import static app.hodegon.core.swing.Checkpoint.ARM_DOWN;
import static app.hodegon.core.swing.Checkpoint.FINISH;
import static app.hodegon.core.swing.Checkpoint.HIP_BACK;
import static app.hodegon.core.swing.Checkpoint.IMPACT;
import static app.hodegon.core.swing.Checkpoint.TOP;
import static app.hodegon.core.swing.Checkpoint.TRIGGER;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.swing.Checkpoint;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * What a fault does to one coordinate at one checkpoint when it is fully there; half a fault does half of it.
 *
 * @param how whether the amount is added, or a bound that the course is drawn to where it does not reach it
 */
record Displacement(Coordinate what, Checkpoint at, How how, double amount) {

    enum How {
        PLUS,
        AT_LEAST,
        AT_MOST
    }

    double apply(double value, double strength) {
        return switch (how) {
            case PLUS -> value + strength * amount;
            case AT_LEAST -> value + strength * Math.max(0, amount - value);
            case AT_MOST -> value - strength * Math.max(0, value - amount);
        };
    }

    private static Displacement plus(Coordinate what, Checkpoint at, double amount) {
        return new Displacement(what, at, How.PLUS, amount);
    }

    private static Displacement least(Coordinate what, Checkpoint at, double amount) {
        return new Displacement(what, at, How.AT_LEAST, amount);
    }

    private static Displacement most(Coordinate what, Checkpoint at, double amount) {
        return new Displacement(what, at, How.AT_MOST, amount);
    }

    private static final Map<Fault, List<Displacement>> BY_FAULT = new EnumMap<>(Map.ofEntries(
            of(
                    Fault.STIFF_TRAIL_ANKLE,
                    plus(TRAIL_HEEL, ARM_DOWN, 2.5),
                    plus(TRAIL_OUTER, ARM_DOWN, 10),
                    plus(TRAIL_OUTER, IMPACT, 12),
                    plus(TRAIL_ROLL, ARM_DOWN, -4),
                    plus(TRAIL_ROLL, IMPACT, -6)),
            of(Fault.STIFF_TRAIL_HIP, plus(HIP_LINE, TOP, -12), plus(HIP_LINE, ARM_BACK, -7)),
            of(
                    Fault.OPEN_SETUP,
                    plus(HIP_LINE, ADDRESS, -12),
                    plus(HIP_LINE, TRIGGER, -12),
                    plus(HIP_LINE, HIP_BACK, -8),
                    plus(HIP_LINE, ARM_BACK, -4)),
            of(
                    Fault.CLOSED_SETUP,
                    plus(HIP_LINE, ADDRESS, 12),
                    plus(HIP_LINE, TRIGGER, 12),
                    plus(HIP_LINE, HIP_BACK, 8),
                    plus(HIP_LINE, ARM_BACK, 4)),
            of(
                    Fault.SWAY,
                    plus(PELVIS_SIDE, HIP_BACK, 4.5),
                    plus(PELVIS_SIDE, ARM_BACK, 7),
                    plus(PELVIS_SIDE, TOP, 8),
                    plus(PELVIS_SIDE, ARM_DOWN, 5),
                    plus(PELVIS_SIDE, IMPACT, 2),
                    plus(HEAD_SIDE, HIP_BACK, 3),
                    plus(HEAD_SIDE, ARM_BACK, 6),
                    plus(HEAD_SIDE, TOP, 8),
                    plus(HEAD_SIDE, ARM_DOWN, 5),
                    plus(HIP_LINE, HIP_BACK, -6),
                    plus(HIP_LINE, ARM_BACK, -13),
                    plus(HIP_LINE, TOP, -19),
                    plus(TRAIL_OUTER, HIP_BACK, 8),
                    least(TRAIL_OUTER, ARM_BACK, 60),
                    least(TRAIL_OUTER, TOP, 64),
                    plus(TRAIL_OUTER, ARM_DOWN, 12),
                    plus(TRAIL_ROLL, HIP_BACK, -3),
                    plus(TRAIL_ROLL, ARM_BACK, -7),
                    plus(TRAIL_ROLL, TOP, -9),
                    plus(TRAIL_ROLL, ARM_DOWN, -3),
                    plus(TRAIL_SHARE, ARM_BACK, 5),
                    plus(TRAIL_SHARE, TOP, 8)),
            of(
                    Fault.REVERSE_PIVOT,
                    most(TRAIL_SHARE, ADDRESS, 42),
                    most(TRAIL_SHARE, TRIGGER, 42),
                    most(TRAIL_SHARE, HIP_BACK, 40),
                    most(TRAIL_SHARE, ARM_BACK, 35),
                    most(TRAIL_SHARE, TOP, 31),
                    least(TRAIL_SHARE, ARM_DOWN, 46),
                    least(TRAIL_SHARE, IMPACT, 40),
                    least(TRAIL_SHARE, FINISH, 33),
                    least(LEAD_OUTER, TOP, 70),
                    plus(HEAD_SIDE, ARM_BACK, -5),
                    plus(HEAD_SIDE, TOP, -9),
                    plus(PELVIS_SIDE, TOP, -3),
                    plus(PELVIS_SIDE, IMPACT, 8),
                    plus(PELVIS_SIDE, FINISH, 12),
                    plus(HEAD_SIDE, IMPACT, 6),
                    plus(HEAD_SIDE, FINISH, 22),
                    most(TRAIL_HEEL, FINISH, 4)),
            of(
                    Fault.NO_LOAD,
                    most(TRAIL_SHARE, ADDRESS, 44),
                    most(TRAIL_SHARE, TRIGGER, 43),
                    most(TRAIL_SHARE, HIP_BACK, 43),
                    most(TRAIL_SHARE, ARM_BACK, 43),
                    most(TRAIL_SHARE, TOP, 38),
                    most(TRAIL_SHARE, ARM_DOWN, 27),
                    plus(SHOULDER_LINE, ARM_BACK, -12),
                    plus(SHOULDER_LINE, TOP, -22),
                    plus(HIP_LINE, ARM_BACK, -10),
                    plus(HIP_LINE, TOP, -15),
                    plus(PELVIS_SIDE, HIP_BACK, -2),
                    plus(PELVIS_SIDE, ARM_BACK, -4),
                    plus(PELVIS_SIDE, TOP, -5)),
            of(
                    Fault.FROZEN_FEET,
                    plus(HIP_LINE, HIP_BACK, -7),
                    plus(HIP_LINE, ARM_BACK, -15),
                    plus(HIP_LINE, TOP, -22),
                    plus(SHOULDER_LINE, ARM_BACK, -11),
                    plus(SHOULDER_LINE, TOP, -22),
                    plus(PELVIS_SIDE, ARM_BACK, -1.5),
                    plus(PELVIS_SIDE, TOP, -1),
                    least(TRAIL_FRONT, HIP_BACK, 50),
                    least(TRAIL_FRONT, ARM_BACK, 50),
                    least(TRAIL_FRONT, TOP, 50),
                    most(TRAIL_FRONT, ARM_DOWN, 51),
                    most(TRAIL_FRONT, IMPACT, 52),
                    most(LEAD_FRONT, HIP_BACK, 50),
                    most(LEAD_FRONT, ARM_BACK, 50),
                    most(LEAD_FRONT, TOP, 50),
                    most(LEAD_FRONT, ARM_DOWN, 50),
                    least(LEAD_FRONT, IMPACT, 50),
                    most(LEAD_HEEL, TOP, 0),
                    most(LEAD_HEEL, ARM_BACK, 0),
                    most(TRAIL_HEEL, IMPACT, 0.5),
                    most(TRAIL_HEEL, FINISH, 5)),
            of(
                    Fault.LATE_RECENTRE,
                    plus(TRAIL_SHARE, TOP, 10),
                    plus(TRAIL_SHARE, ARM_DOWN, 20),
                    least(TRAIL_SHARE, ARM_DOWN, 60),
                    plus(PELVIS_SIDE, ARM_DOWN, 7.5),
                    plus(PELVIS_SIDE, IMPACT, 2)),
            of(
                    Fault.EARLY_SPIN,
                    plus(HIP_LINE, ARM_DOWN, -30),
                    plus(HIP_LINE, IMPACT, -12),
                    plus(TRAIL_HEEL, ARM_DOWN, 5),
                    plus(TRAIL_HEEL, IMPACT, 3),
                    plus(SHOULDER_LINE, ARM_DOWN, -18),
                    plus(TRAIL_FRONT, ARM_DOWN, 12)),
            of(Fault.ARMS_FIRST, plus(HIP_LINE, ARM_DOWN, 14), plus(HIP_LINE, IMPACT, 14), plus(CLUB, ARM_DOWN, -24)),
            of(
                    Fault.CLOSED_SLIDE,
                    plus(HIP_LINE, ARM_DOWN, 32),
                    least(HIP_LINE, IMPACT, 5),
                    plus(HIP_LINE, FINISH, 30),
                    plus(PELVIS_SIDE, ARM_DOWN, -12.5),
                    plus(PELVIS_SIDE, IMPACT, -9),
                    most(TRAIL_SHARE, ARM_DOWN, 27),
                    least(LEAD_FRONT, ARM_DOWN, 81),
                    plus(LEAD_FRONT, IMPACT, 14),
                    least(LEAD_OUTER, IMPACT, 85)),
            of(
                    Fault.HANGING_BACK,
                    least(TRAIL_SHARE, ARM_DOWN, 60),
                    least(TRAIL_SHARE, IMPACT, 48),
                    least(TRAIL_SHARE, FINISH, 33),
                    plus(PELVIS_SIDE, ARM_DOWN, 6),
                    plus(PELVIS_SIDE, IMPACT, 12),
                    plus(PELVIS_SIDE, FINISH, 11),
                    plus(HEAD_SIDE, ARM_DOWN, 4),
                    plus(HEAD_SIDE, IMPACT, 9),
                    plus(HEAD_SIDE, FINISH, 18),
                    most(TRAIL_HEEL, ARM_DOWN, 0),
                    most(TRAIL_HEEL, IMPACT, 0),
                    most(TRAIL_HEEL, FINISH, 4)),
            of(
                    Fault.EARLY_EXTENSION,
                    plus(PELVIS_IN, ARM_DOWN, 5.5),
                    plus(PELVIS_IN, IMPACT, 7.5),
                    plus(PELVIS_IN, FINISH, 3),
                    plus(PELVIS_UP, ARM_DOWN, 2),
                    plus(PELVIS_UP, IMPACT, 2.5),
                    plus(BEND, ARM_DOWN, -10),
                    plus(BEND, IMPACT, -13),
                    plus(TRAIL_HEEL, ARM_DOWN, 4),
                    plus(TRAIL_HEEL, IMPACT, 3),
                    least(TRAIL_FRONT, ARM_DOWN, 70),
                    least(LEAD_FRONT, ARM_DOWN, 70),
                    least(TRAIL_FRONT, IMPACT, 74),
                    least(LEAD_FRONT, IMPACT, 71)),
            of(
                    Fault.OVER_THE_TOP,
                    plus(SHOULDER_LINE, ARM_DOWN, -36),
                    plus(SHOULDER_LINE, IMPACT, -14),
                    plus(ARM_PLANE, ARM_DOWN, 16),
                    plus(CLUB_PLANE, ARM_DOWN, 18)),
            of(
                    Fault.INSIDE_STUCK,
                    plus(SHOULDER_LINE, ARM_DOWN, 16),
                    plus(HIP_LINE, ARM_DOWN, -8),
                    plus(ARM_PLANE, ARM_DOWN, -13),
                    plus(CLUB_PLANE, ARM_DOWN, -16)),
            of(
                    Fault.TOE_FALL,
                    least(TRAIL_FRONT, ADDRESS, 60),
                    least(LEAD_FRONT, ADDRESS, 60),
                    least(LEAD_FRONT, ARM_DOWN, 70),
                    least(TRAIL_FRONT, ARM_DOWN, 68),
                    least(LEAD_FRONT, IMPACT, 75),
                    least(TRAIL_FRONT, IMPACT, 72),
                    least(LEAD_FRONT, FINISH, 78),
                    plus(PELVIS_IN, ARM_DOWN, 1.5),
                    plus(PELVIS_IN, IMPACT, 2),
                    plus(PELVIS_IN, FINISH, 3),
                    plus(LEAD_HEEL, ARM_DOWN, 1),
                    plus(LEAD_HEEL, IMPACT, 2),
                    plus(BEND, ARM_DOWN, 3),
                    plus(BEND, IMPACT, 5)),
            of(
                    Fault.LEAD_FOOT_SPIN,
                    plus(LEAD_SHIFT, IMPACT, 5),
                    plus(LEAD_SHIFT, FINISH, 8),
                    plus(LEAD_FLARE, IMPACT, 12),
                    plus(LEAD_FLARE, FINISH, 30),
                    plus(LEAD_HEEL, IMPACT, 1.5),
                    plus(HEAD_SIDE, IMPACT, 9),
                    plus(HEAD_SIDE, FINISH, 16),
                    plus(PELVIS_SIDE, FINISH, 5),
                    least(TRAIL_SHARE, FINISH, 20))));

    /** In the order in which they are applied. */
    static List<Displacement> of(Fault fault) {
        return BY_FAULT.get(fault);
    }

    private static Map.Entry<Fault, List<Displacement>> of(Fault fault, Displacement... displacements) {
        return Map.entry(fault, List.of(displacements));
    }
}
