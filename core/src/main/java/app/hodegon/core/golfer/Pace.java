package app.hodegon.core.golfer;

import app.hodegon.core.swing.Checkpoint;

/**
 * How long the parts of a swing take, in seconds.
 *
 * @param press from address to the trigger
 * @param back from the trigger to the top
 * @param down from the top to impact
 * @param through from impact to the still finish
 */
public record Pace(double press, double back, double down, double through) {

    /** Of the way back, hands at hip and lead arm level are passed after these parts. */
    private static final double HIP_BACK = 0.34;

    private static final double ARM_BACK = 0.57;

    /** Of the way down, the lead arm is level after this part. */
    private static final double ARM_DOWN = 0.55;

    public static final Pace USUAL = new Pace(0.13, 0.84, 0.28, 0.9);

    public Pace {
        for (double part : new double[] {press, back, down, through}) {
            if (!(part > 0)) throw new IllegalArgumentException("every part of a swing takes time.");
        }
    }

    Pace slower(double back, double down) {
        return new Pace(press, this.back * back, this.down * down, through);
    }

    /** Seconds from address. */
    double at(Checkpoint at) {
        return switch (at) {
            case ADDRESS -> 0;
            case TRIGGER -> press;
            case HIP_BACK -> press + HIP_BACK * back;
            case ARM_BACK -> press + ARM_BACK * back;
            case TOP -> press + back;
            case ARM_DOWN -> press + back + ARM_DOWN * down;
            case IMPACT -> press + back + down;
            case FINISH -> press + back + down + through;
        };
    }
}
