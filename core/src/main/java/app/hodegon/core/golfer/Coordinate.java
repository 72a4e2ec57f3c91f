package app.hodegon.core.golfer;

import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Identified;
import java.util.Arrays;
import java.util.Locale;

/**
 * One thing that moves in the golfer, with its course through a sound swing: a value at each checkpoint. The load under
 * the trail foot has none: it is the school's. The courses are working assumptions, set by what every school agrees on
 * and what the catalogue's limits call sound.
 */
public enum Coordinate implements Identified {
    /** Load under the trail foot, % of what is under both. */
    TRAIL_SHARE(0, 100, 50, 50, 50, 50, 50, 50, 50, 50),
    /** Push of both feet, % of the body's weight: lighter before the top, hardest before the ball. */
    PUSH(30, 250, 100, 100, 97, 95, 104, 136, 90, 100),
    /** Load of the foot's front half, %: heel of the trail foot and toe of the lead going back, the other way coming down. */
    TRAIL_FRONT(3, 97, 50, 49, 45, 41, 39, 52, 58, 74),
    LEAD_FRONT(3, 97, 50, 52, 57, 61, 60, 56, 46, 41),
    /** Load of the foot's outer half, %. */
    TRAIL_OUTER(3, 97, 48, 47, 45, 44, 43, 38, 33, 30),
    LEAD_OUTER(3, 97, 48, 48, 46, 45, 44, 50, 56, 62),
    /** Pelvis centre away from the target, cm. */
    PELVIS_SIDE(-60, 60, 0, 0.3, 1.5, 2.3, 1.5, -4, -9, -14),
    /** Pelvis centre towards the ball, cm. */
    PELVIS_IN(-60, 60, 0, 0, 0, 0.3, 0.5, 0.2, 1, 3),
    /** Pelvis centre upwards, cm. */
    PELVIS_UP(-60, 30, 0, 0, 0, 0.3, 0.5, -2.5, 0.5, 4),
    /** Pelvis line against the target line, °, shut is plus. */
    HIP_LINE(-150, 90, 0, 1, 14, 30, 43, -8, -38, -95),
    /** Shoulder line, °, shut is plus. */
    SHOULDER_LINE(-180, 150, 0, 1, 28, 62, 92, 36, -22, -118),
    /** Head away from the target, cm. */
    HEAD_SIDE(-80, 60, 0, 0, 0.6, 1.2, 1.5, 1.8, 2.5, -14),
    /** Forward bend of the trunk, °. */
    BEND(-20, 70, 33, 33, 33, 32, 31, 33, 30, 6),
    /** Trail heel off the ground, cm. */
    TRAIL_HEEL(0, 20, 0, 0, 0, 0, 0, 0.6, 4, 15),
    /** Lead heel off the ground, cm. */
    LEAD_HEEL(0, 12, 0, 0, 0, 0.5, 1.2, 0, 0, 0),
    /** Lead foot from its mark, cm. */
    LEAD_SHIFT(0, 20, 0, 0, 0, 0, 0, 0, 0.4, 0.6),
    /** Lead arm in its plane, °: 0 hanging to the ball, plus going back. */
    ARM(-220, 220, 10, 12, 48, 90, 142, 90, 2, -150),
    /** The arm's plane against the level, °: steep is more. */
    ARM_PLANE(20, 90, 68, 68, 64, 60, 57, 54, 66, 52),
    /** Club in the plane, °: 0 to the ball, plus going back. */
    CLUB(-400, 400, 0, 4, 88, 172, 262, 190, 0, -285),
    /** The club's plane against the level, °. */
    CLUB_PLANE(20, 90, 56, 56, 55, 54, 52, 52, 57, 48),
    /** Length of the lead arm from shoulder to hands as a part of its full length, %. */
    LEAD_ARM(40, 100, 99, 99, 99, 99, 97, 98, 99, 58),

    /** Where a foot is set down from its usual place, cm towards the target. */
    TRAIL_STEP(-140, 140, 0),
    LEAD_STEP(-140, 140, 0),
    /** The same towards the ball, cm. */
    TRAIL_STEP_IN(-60, 60, 0),
    LEAD_STEP_IN(-60, 60, 0),
    /** A whole foot off the ground, cm. */
    TRAIL_LIFT(0, 40, 0),
    LEAD_LIFT(0, 40, 0),
    /** A foot rolled about its length, °: inner edge down is plus. */
    TRAIL_ROLL(-25, 25, 0),
    LEAD_ROLL(-25, 25, 0),
    /** A foot turned out from square, °. */
    TRAIL_FLARE(-90, 70, 18),
    LEAD_FLARE(-90, 70, 18),
    /** Toes off the ground, cm. */
    TRAIL_TOE_UP(0, 12, 0),
    LEAD_TOE_UP(0, 12, 0);

    private final double lowest;
    private final double highest;
    private final double[] sound;
    private final boolean placed;

    Coordinate(double lowest, double highest, double... sound) {
        this.lowest = lowest;
        this.highest = highest;
        this.sound = sound;
        this.placed = false;
    }

    /** What a sound swing leaves where it is. */
    Coordinate(double lowest, double highest, double sound) {
        this.lowest = lowest;
        this.highest = highest;
        this.sound = new double[Checkpoint.values().length];
        Arrays.fill(this.sound, sound);
        this.placed = true;
    }

    @Override
    public String id() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** Whether it is where a golfer puts it, and the same from swing to swing. */
    boolean isPlaced() {
        return placed;
    }

    double sound(Checkpoint at) {
        return sound[at.ordinal()];
    }

    /** The value within what a body can do. */
    double within(double value) {
        return Math.max(lowest, Math.min(highest, value));
    }
}
