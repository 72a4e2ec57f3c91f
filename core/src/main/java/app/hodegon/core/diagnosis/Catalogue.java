package app.hodegon.core.diagnosis;

import static app.hodegon.core.diagnosis.Fault.*;
import static app.hodegon.core.diagnosis.Limit.above;
import static app.hodegon.core.diagnosis.Limit.aboveCorridor;
import static app.hodegon.core.diagnosis.Limit.below;
import static app.hodegon.core.diagnosis.Sign.*;
import static app.hodegon.core.swing.BallResult.*;
import static app.hodegon.core.swing.Checkpoint.ARM_DOWN;
import static app.hodegon.core.swing.Checkpoint.IMPACT;
import static app.hodegon.core.swing.Checkpoint.TOP;
import static app.hodegon.core.swing.Measure.*;

import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Checkpoint;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What shows each fault, what brings it and what it brings, with strengths. The strengths are starting values from
 * teaching practice, tuned against worked cases; they are not published constants.
 */
public final class Catalogue {

    /** Kept with every stored diagnosis, so that an old one can be read with the numbers it was made with. */
    public static final String VERSION = "1";

    /** Almost always, usually, often, sometimes: the chance that the fault alone shows or brings it. */
    private static final double A = 0.85;

    private static final double U = 0.65;
    private static final double O = 0.45;
    private static final double S = 0.25;

    /** Chance that a sign or a limit shows with none of its faults behind it. */
    private static final double SIGN_LEAK = 0.05;

    /** The same for a ball result, which has many causes outside the catalogue. */
    private static final double BALL_LEAK = 0.12;

    /** For limits many sound swings cross too: staying inside speaks against, crossing hardly speaks for. */
    private static final double COMMON = 0.60;

    private final Map<Fault, Double> priors = new LinkedHashMap<>();
    private final List<Link> links = new ArrayList<>();
    private final Map<Showing, Map<Fault, Double>> shownBy = new LinkedHashMap<>();
    private final Map<Showing, Double> leaks = new LinkedHashMap<>();

    private static final Catalogue STANDARD = new Catalogue();

    public static Catalogue standard() {
        return STANDARD;
    }

    Catalogue() {
        fault(STIFF_TRAIL_ANKLE, 0.08)
                .shows(ANKLE_ROLL_LIMITED, A)
                .reads(below(ANKLE_REACH, 8), A)
                .brings(EARLY_EXTENSION, O)
                .brings(EARLY_SPIN, O);
        fault(STIFF_TRAIL_HIP, 0.08)
                .shows(HIP_ROTATION_LIMITED, A)
                .brings(SWAY, S)
                .brings(FROZEN_FEET, S)
                .brings(EARLY_EXTENSION, S);
        fault(OPEN_SETUP, 0.06)
                .shows(HIPS_OPEN_AT_ADDRESS, A)
                .reads(above(HIP_LINE, Checkpoint.ADDRESS, 5), A)
                .brings(OVER_THE_TOP, O);
        fault(CLOSED_SETUP, 0.05)
                .shows(HIPS_CLOSED_AT_ADDRESS, A)
                .reads(below(HIP_LINE, Checkpoint.ADDRESS, -5), A)
                .brings(INSIDE_STUCK, O);
        fault(SWAY, 0.12)
                .shows(PELVIS_DRIFTS_BACK, A)
                .shows(TRAIL_OUTER_EDGE_LOADED, U)
                .shows(LITTLE_HIP_TURN, U)
                .shows(ARMS_LIFT, O)
                .shows(HEAD_DRIFTS_BACK, O)
                .reads(above(PELVIS_DRIFT, TOP, 5), A)
                .reads(above(TRAIL_OUTER, TOP, 55), U)
                .reads(below(HIP_TURN, TOP, 30), U)
                .brings(LATE_RECENTRE, O)
                .brings(OVER_THE_TOP, O)
                .brings(HANGING_BACK, S);
        fault(REVERSE_PIVOT, 0.06)
                .shows(WEIGHT_LEAD_AT_TOP, A)
                .shows(FALLS_BACK_AT_FINISH, U)
                .shows(PICKS_UP_CLUB, O)
                .shows(OVERLONG_BACKSWING, O)
                .shows(BACK_SORENESS, S)
                .reads(below(TRAIL_SHARE, TOP, 40), A)
                .flies(FAT, O)
                .flies(THIN, O)
                .flies(TOPPED, S)
                .brings(HANGING_BACK, U);
        fault(NO_LOAD, 0.05)
                .shows(WEIGHT_LEAD_AT_TOP, U)
                .shows(LITTLE_HIP_TURN, O)
                .shows(LOSES_DISTANCE, U)
                .reads(below(PEAK_TRAIL_SHARE, 55), A)
                .reads(below(TRAIL_SHARE, TOP, 40), O)
                .reads(below(TRAIL_SHARE, IMPACT, 30), A, COMMON)
                .flies(LOW, U)
                .flies(DEEP_DIVOT, O)
                .brings(ARMS_FIRST, S);
        fault(FROZEN_FEET, 0.06)
                .shows(FEET_FROZEN, A)
                .shows(LITTLE_HIP_TURN, A)
                .shows(ARMS_LIFT, O)
                .shows(BACK_SORENESS, S)
                .reads(below(HIP_TURN, TOP, 30), A)
                .reads(below(PELVIS_DRIFT, TOP, 4), A, COMMON)
                .brings(OVER_THE_TOP, S)
                .brings(EARLY_SPIN, S);
        fault(LATE_RECENTRE, 0.08)
                .shows(WEIGHT_LATE, A)
                .reads(aboveCorridor(TOP), U)
                .reads(above(TRAIL_SHARE, ARM_DOWN, 55), A)
                .reads(below(RECENTRE_LEAD, 0), A)
                .flies(FAT, O)
                .flies(THIN, O)
                .flies(SHANK, S)
                .brings(HANGING_BACK, O);
        fault(EARLY_SPIN, 0.10)
                .shows(HIPS_SPIN_FIRST, A)
                .shows(TRAIL_FOOT_PUSHES_UP, U)
                .shows(LEAD_ARM_BUCKLES, S)
                .flies(TOE, S)
                .brings(OVER_THE_TOP, U)
                .brings(EARLY_EXTENSION, S);
        fault(ARMS_FIRST, 0.10)
                .shows(ARMS_START_DOWN_FIRST, A)
                .shows(SLOW_BACKSWING, S)
                .brings(HANGING_BACK, O)
                .brings(OVER_THE_TOP, O)
                .brings(LATE_RECENTRE, S);
        fault(CLOSED_SLIDE, 0.05)
                .shows(PELVIS_SLIDES_CLOSED, A)
                .shows(CLUB_FAR_INSIDE, O)
                .reads(below(HIP_LINE, ARM_DOWN, -15), A)
                .reads(below(TRAIL_SHARE, ARM_DOWN, 35), A, COMMON)
                .flies(PUSH, O)
                .brings(INSIDE_STUCK, O);
        fault(HANGING_BACK, 0.06)
                .shows(TRAIL_FOOT_FLAT_AT_IMPACT, A)
                .shows(WEIGHT_LATE, U)
                .shows(FALLS_BACK_AT_FINISH, U)
                .shows(FLIPS_HANDS, U)
                .reads(above(TRAIL_SHARE, IMPACT, 35), A)
                .flies(FAT, U)
                .flies(THIN, O)
                .flies(HIGH_WEAK, S);
        fault(EARLY_EXTENSION, 0.08)
                .shows(PELVIS_TOWARD_BALL, A)
                .shows(POSTURE_RISES, A)
                .shows(TOES_LOADED_DOWN, U)
                .shows(TRAIL_FOOT_PUSHES_UP, O)
                .shows(TRAIL_KNEE_OUT, O)
                .shows(FLIPS_HANDS, O)
                .reads(above(PELVIS_THRUST, IMPACT, 4), A)
                .reads(above(POSTURE_RISE, IMPACT, 8), A)
                .flies(THIN, O)
                .flies(PUSH, O)
                .flies(HOOK, S)
                .flies(SHANK, S)
                .brings(INSIDE_STUCK, S);
        fault(OVER_THE_TOP, 0.06)
                .shows(CLUB_STEEP_OUTSIDE, A)
                .shows(LEAD_ARM_BUCKLES, O)
                .flies(SLICE, U)
                .flies(PULL, O)
                .flies(NO_DIVOT, S)
                .flies(TOE, S)
                .flies(SHANK, S);
        fault(INSIDE_STUCK, 0.04)
                .shows(CLUB_FAR_INSIDE, A)
                .shows(FLIPS_HANDS, O)
                .flies(HOOK, U)
                .flies(PUSH, O);
        fault(TOE_FALL, 0.06)
                .shows(FALLS_TO_TOES, A)
                .shows(TOES_LOADED_DOWN, U)
                .shows(FINISH_OFF_BALANCE, U)
                .shows(TOE_HEAVY_AT_ADDRESS, O)
                .shows(TOES_LOADED_BACK, O)
                .shows(FLIPS_HANDS, O)
                .reads(above(LEAD_TOE, IMPACT, 65), A)
                .flies(HOOK, O)
                .flies(SHANK, S)
                .brings(EARLY_EXTENSION, S)
                .brings(OVER_THE_TOP, S);
        fault(LEAD_FOOT_SPIN, 0.05)
                .shows(LEAD_FOOT_SPINS, A)
                .shows(FLIPS_HANDS, U)
                .shows(FALLS_BACK_AT_FINISH, O)
                .reads(above(LEAD_FOOT_SHIFT, 3), A)
                .flies(HOOK, U);
        shownBy.keySet()
                .forEach(showing ->
                        leaks.putIfAbsent(showing, showing instanceof Showing.OfBalls ? BALL_LEAK : SIGN_LEAK));
    }

    private Entry fault(Fault fault, double prior) {
        priors.put(fault, prior);
        return new Entry(fault);
    }

    /** One fault's lines of the catalogue while they are being written. */
    private final class Entry {
        private final Fault fault;

        Entry(Fault fault) {
            this.fault = fault;
        }

        Entry shows(Sign sign, double strength) {
            return showing(new Showing.OfSign(sign), strength);
        }

        Entry reads(Limit limit, double strength) {
            return showing(new Showing.OfLimit(limit), strength);
        }

        Entry reads(Limit limit, double strength, double leak) {
            leaks.put(new Showing.OfLimit(limit), leak);
            return showing(new Showing.OfLimit(limit), strength);
        }

        Entry flies(BallResult result, double strength) {
            return showing(new Showing.OfBalls(result), strength);
        }

        Entry brings(Fault to, double strength) {
            links.add(new Link(fault, to, strength));
            return this;
        }

        private Entry showing(Showing showing, double strength) {
            shownBy.computeIfAbsent(showing, s -> new LinkedHashMap<>()).put(fault, strength);
            return this;
        }
    }

    /** Chance of the fault when nothing in the catalogue brings it. */
    public double prior(Fault fault) {
        return priors.get(fault);
    }

    public List<Link> links() {
        return Collections.unmodifiableList(links);
    }

    /** Everything any fault shows. */
    public Iterable<Showing> showings() {
        return shownBy.keySet();
    }

    /** The faults that show this, with their strengths; empty when none does. */
    public Map<Fault, Double> shownBy(Showing showing) {
        return Collections.unmodifiableMap(shownBy.getOrDefault(showing, Map.of()));
    }

    /** Chance that this shows with none of its faults behind it. */
    public double leak(Showing showing) {
        return leaks.get(showing);
    }

    /** Whether {@code from} can bring {@code to} about, directly or through others. */
    public boolean leadsTo(Fault from, Fault to) {
        return links.stream().anyMatch(link -> link.from() == from && (link.to() == to || leadsTo(link.to(), to)));
    }
}
