package app.hodegon.core.diagnosis;

import static app.hodegon.core.diagnosis.Fault.*;
import static app.hodegon.core.diagnosis.Limit.above;
import static app.hodegon.core.diagnosis.Limit.aboveCorridor;
import static app.hodegon.core.diagnosis.Limit.below;
import static app.hodegon.core.diagnosis.Limit.belowCorridor;
import static app.hodegon.core.diagnosis.Pattern.*;
import static app.hodegon.core.diagnosis.Sign.*;
import static app.hodegon.core.swing.BallResult.*;
import static app.hodegon.core.swing.Checkpoint.ADDRESS;
import static app.hodegon.core.swing.Checkpoint.ARM_BACK;
import static app.hodegon.core.swing.Checkpoint.ARM_DOWN;
import static app.hodegon.core.swing.Checkpoint.FINISH;
import static app.hodegon.core.swing.Checkpoint.HIP_BACK;
import static app.hodegon.core.swing.Checkpoint.IMPACT;
import static app.hodegon.core.swing.Checkpoint.TOP;
import static app.hodegon.core.swing.Measure.*;

import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What shows each fault, what brings it and what it brings, with strengths. The strengths are starting values from
 * teaching practice, tuned against worked cases; they are not published constants.
 */
public final class Catalogue {

    /** Kept with every stored diagnosis, so that an old one can be read with the numbers it was made with. */
    public static final String VERSION = "3";

    /** Almost always, usually, often, sometimes: the chance that the fault alone shows or brings it. */
    private static final double A = 0.85;

    private static final double U = 0.65;
    private static final double O = 0.45;
    private static final double S = 0.25;

    /** Chance that a sign or a limit shows with none of its faults behind it. */
    private static final double SIGN_LEAK = 0.05;

    /** The same for what is plain to see: nobody stands so by chance. */
    private static final double PLAIN_LEAK = 0.01;

    /** The same for a ball result, which has many causes outside the catalogue. */
    private static final double BALL_LEAK = 0.12;

    /** For limits many sound swings cross too: staying inside speaks against, crossing hardly speaks for. */
    private static final double COMMON = 0.60;

    private final Map<Fault, Double> priors = new LinkedHashMap<>();
    private final List<Link> links = new ArrayList<>();
    private final Map<Showing, Map<Fault, Double>> shownBy = new LinkedHashMap<>();
    private final Map<Showing, Double> leaks = new LinkedHashMap<>();
    private final Map<Showing, Map<Fault, String>> reasons = new HashMap<>();

    private static final Catalogue STANDARD = new Catalogue();

    public static Catalogue standard() {
        return STANDARD;
    }

    Catalogue() {
        fault(STIFF_TRAIL_ANKLE, 0.08)
                .shows(ANKLE_ROLL_LIMITED, A)
                .reads(below(ANKLE_REACH, 8), A, "A knee that stops short of the wall is an ankle that stops")
                .brings(EARLY_EXTENSION, O)
                .brings(EARLY_SPIN, O);
        fault(STIFF_TRAIL_HIP, 0.08)
                .shows(HIP_ROTATION_LIMITED, A)
                .brings(SWAY, S)
                .brings(FROZEN_FEET, S)
                .brings(EARLY_EXTENSION, S);
        fault(OPEN_SETUP, 0.06)
                .shows(HIPS_OPEN_AT_ADDRESS, A)
                .reads(above(HIP_LINE, ADDRESS, 5), A, "Every school starts within 5° of the target line")
                .brings(OVER_THE_TOP, O);
        fault(CLOSED_SETUP, 0.05)
                .shows(HIPS_CLOSED_AT_ADDRESS, A)
                .reads(below(HIP_LINE, ADDRESS, -5), A, "Every school starts within 5° of the target line")
                .brings(INSIDE_STUCK, O);
        fault(SWAY, 0.12)
                .shows(PELVIS_DRIFTS_BACK, A)
                .shows(TRAIL_OUTER_EDGE_LOADED, U)
                .shows(LITTLE_HIP_TURN, U)
                .shows(ARMS_LIFT, O)
                .shows(HEAD_DRIFTS_BACK, O)
                .reads(above(PELVIS_DRIFT, HIP_BACK, 5), O, "What drifts early drifts most")
                .reads(above(PELVIS_DRIFT, ARM_BACK, 5), U, "Most of the drift is there before the top")
                .reads(above(PELVIS_DRIFT, TOP, 5), A, "A little drift is normal, up to about {5 cm}")
                .reads(above(HEAD_DRIFT, TOP, 8), O, "The head goes along with the pelvis; half a head is normal")
                .reads(above(TRAIL_OUTER, ARM_BACK, 55), O, "The foot begins to roll before the top")
                .reads(above(TRAIL_OUTER, TOP, 55), U, "A pelvis that slides rolls the foot to its outer edge")
                .reads(below(HIP_TURN, TOP, 30), U, "What slides does not turn")
                .reads(above(STANCE_RATIO, 1.9), O, "A very wide stance has to be slid across")
                .brings(LATE_RECENTRE, O)
                .brings(OVER_THE_TOP, O)
                .brings(HANGING_BACK, S);
        fault(REVERSE_PIVOT, 0.06)
                .shows(WEIGHT_LEAD_AT_TOP, A)
                .shows(FALLS_BACK_AT_FINISH, U)
                .shows(PICKS_UP_CLUB, O)
                .shows(OVERLONG_BACKSWING, O)
                .shows(BACK_SORENESS, S)
                .reads(belowCorridor(ADDRESS), S, "It often begins on the {lead} foot")
                .reads(below(TRAIL_SHARE, HIP_BACK, 45), O, "The {trail} foot is emptied, not loaded")
                .reads(below(TRAIL_SHARE, ARM_BACK, 45), U, "The {trail} foot is emptied, not loaded")
                .reads(below(TRAIL_SHARE, TOP, 40), A, "No school has so little under the {trail} foot at the top")
                .reads(above(TRAIL_SHARE, FINISH, 25), O, "It falls back to the {trail} foot")
                .reads(below(HEAD_DRIFT, TOP, -4), O, "The head leans to the target going back")
                .reads(above(LEAD_OUTER, TOP, 65), O, "The body leans out over the {lead} foot")
                .reads(below(SHIFT_SPEED, 110), O, "An empty {trail} foot has nothing to send across")
                .flies(FAT, O)
                .flies(THIN, O)
                .flies(TOPPED, S)
                .brings(HANGING_BACK, U);
        fault(NO_LOAD, 0.05)
                .shows(WEIGHT_LEAD_AT_TOP, U)
                .shows(LITTLE_HIP_TURN, O)
                .shows(LOSES_DISTANCE, U)
                .reads(belowCorridor(ADDRESS), S, "It often begins on the {lead} foot")
                .reads(below(TRAIL_SHARE, HIP_BACK, 45), O, "Nothing goes to the {trail} foot")
                .reads(below(TRAIL_SHARE, ARM_BACK, 45), U, "Nothing goes to the {trail} foot")
                .reads(below(PEAK_TRAIL_SHARE, 55), A, "Every school loads the {trail} foot at some moment")
                .reads(below(TRAIL_SHARE, TOP, 40), O, "No school has so little under the {trail} foot at the top")
                .reads(below(SHOULDER_TURN, TOP, 75), O, "Who hangs over the {lead} side turns little")
                .reads(below(SHIFT_SPEED, 110), O, "What never went back cannot come across fast")
                .common(below(TRAIL_SHARE, IMPACT, 30), A, "It stays forward to the end, as sound swings do too")
                .flies(LOW, U)
                .flies(DEEP_DIVOT, O)
                .brings(ARMS_FIRST, S);
        fault(FROZEN_FEET, 0.06)
                .shows(FEET_FROZEN, A)
                .shows(LITTLE_HIP_TURN, A)
                .shows(ARMS_LIFT, O)
                .shows(BACK_SORENESS, S)
                .reads(below(HIP_TURN, TOP, 30), A, "Hips cannot turn on feet that are held still")
                .reads(below(SHOULDER_TURN, TOP, 75), O, "Shoulders stop with the hips")
                .common(below(PELVIS_DRIFT, TOP, 4), A, "It stays in place, as sound swings do too")
                .together(NO_EXCHANGE, U, "Feet that live change between toe and heel")
                .together(HEELS_BACK, S, "Sitting on both heels holds them still")
                .brings(OVER_THE_TOP, S)
                .brings(EARLY_SPIN, S);
        fault(LATE_RECENTRE, 0.08)
                .shows(WEIGHT_LATE, A)
                .reads(aboveCorridor(TOP), U, "More than the school has at the top has a longer way back")
                .reads(above(TRAIL_SHARE, ARM_DOWN, 55), A, "By arm level every school is down to about half")
                .reads(below(RECENTRE_LEAD, 0), A, "Even only after the arm is level")
                .reads(above(PELVIS_DRIFT, ARM_DOWN, 3), O, "The pelvis is still behind its place")
                .reads(above(TRAIL_OUTER, ARM_DOWN, 60), S, "Nobody pushes off an outer edge in time")
                .reads(above(DOWNSWING_TIME, 380), S, "Half of the way down goes into rearranging")
                .reads(below(TEMPO_RATIO, 2.2), S, "The way down takes too much of the swing")
                .flies(FAT, O)
                .flies(THIN, O)
                .flies(SHANK, S)
                .brings(HANGING_BACK, O);
        fault(EARLY_SPIN, 0.10)
                .shows(HIPS_SPIN_FIRST, A)
                .shows(TRAIL_FOOT_PUSHES_UP, U)
                .shows(LEAD_ARM_BUCKLES, S)
                .reads(above(HIP_LINE, ARM_DOWN, 30), U, "Open long before the club is there")
                .reads(above(TRAIL_HEEL_LIFT, ARM_DOWN, 3), U, "The {trail} foot pushes up before the arm is level")
                .flies(TOE, S)
                .brings(OVER_THE_TOP, U)
                .brings(EARLY_EXTENSION, S);
        fault(ARMS_FIRST, 0.10)
                .shows(ARMS_START_DOWN_FIRST, A)
                .shows(SLOW_BACKSWING, S)
                .reads(above(BACKSWING_TIME, 1200), S, "A very slow backswing forces a sudden change")
                .reads(below(DOWNSWING_TIME, 210), S, "Arms alone are quick")
                .reads(above(TEMPO_RATIO, 4), O, "A long backswing and a snatched way down; about 3 to 1 is usual")
                .brings(HANGING_BACK, O)
                .brings(OVER_THE_TOP, O)
                .brings(LATE_RECENTRE, S);
        fault(CLOSED_SLIDE, 0.05)
                .shows(PELVIS_SLIDES_CLOSED, A)
                .shows(CLUB_FAR_INSIDE, O)
                .reads(below(HIP_LINE, ARM_DOWN, -15), A, "At the target, and still shut")
                .reads(below(HIP_LINE, IMPACT, 0), O, "Still shut when the ball goes")
                .reads(below(PELVIS_DRIFT, ARM_DOWN, -14), O, "Further to the target than a shift goes")
                .reads(above(LEAD_TOE, ARM_DOWN, 75), O, "The load lands in the {lead} toes")
                .reads(above(LEAD_OUTER, IMPACT, 80), S, "Who slides past the {lead} foot rolls over its edge")
                .common(below(TRAIL_SHARE, ARM_DOWN, 35), A, "The load is across, as in sound swings too")
                .flies(PUSH, O)
                .brings(INSIDE_STUCK, O);
        fault(HANGING_BACK, 0.06)
                .shows(TRAIL_FOOT_FLAT_AT_IMPACT, A)
                .shows(WEIGHT_LATE, U)
                .shows(FALLS_BACK_AT_FINISH, U)
                .shows(FLIPS_HANDS, U)
                .reads(above(TRAIL_SHARE, IMPACT, 35), A, "Every school is on the {lead} foot at impact")
                .reads(above(TRAIL_SHARE, FINISH, 25), U, "Nearly all should be on the {lead} foot by then")
                .reads(above(PELVIS_DRIFT, IMPACT, 1), U, "The pelvis never came back over its place")
                .reads(above(HEAD_DRIFT, IMPACT, 10), S, "The head stays behind with the load")
                .reads(below(TRAIL_HEEL_LIFT, FINISH, 6), O, "The {trail} heel hardly comes up at all")
                .common(below(TRAIL_HEEL_LIFT, IMPACT, 1), U, "The heel is late; some schools keep it low")
                .reads(above(TRAIL_OUTER, ARM_DOWN, 60), S, "Nobody pushes off an outer edge")
                .reads(above(STANCE_RATIO, 1.9), S, "From a very wide stance the way is long")
                .together(HEELS_DOWN, O, "The body falls back on both heels")
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
                .reads(above(PELVIS_THRUST, ARM_DOWN, 4), U, "It has begun by then")
                .reads(above(PELVIS_THRUST, IMPACT, 4), A, "Up to about {3 cm} is normal")
                .reads(above(POSTURE_RISE, ARM_DOWN, 8), O, "It has begun by then")
                .reads(above(POSTURE_RISE, IMPACT, 8), A, "The bend of address is kept to the ball")
                .reads(above(TRAIL_HEEL_LIFT, ARM_DOWN, 3), O, "The {trail} foot pushes the pelvis in")
                .together(TOES_DOWN, U, "Who comes in and up comes up on the toes")
                .flies(THIN, O)
                .flies(PUSH, O)
                .flies(HOOK, S)
                .flies(SHANK, S)
                .brings(INSIDE_STUCK, S);
        fault(OVER_THE_TOP, 0.06)
                .shows(CLUB_STEEP_OUTSIDE, A)
                .shows(LEAD_ARM_BUCKLES, O)
                .reads(below(SHOULDER_TURN, ARM_DOWN, 5), O, "Open shoulders throw the club out")
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
                .reads(above(LEAD_TOE, IMPACT, 65), A, "The {lead} heel has not taken the load")
                .reads(above(LEAD_TOE, FINISH, 70), O, "The finish stands on the toes")
                .reads(below(STANCE_RATIO, 0.9), O, "A very narrow stance tips easily")
                .together(TOES_AT_ADDRESS, O, "It begins over the toes")
                .together(TOES_BACK, O, "Nothing went back to the {trail} heel")
                .together(TOES_DOWN, U, "Both feet are in their toes when it tips")
                .flies(HOOK, O)
                .flies(SHANK, S)
                .brings(EARLY_EXTENSION, S)
                .brings(OVER_THE_TOP, S);
        fault(LEAD_FOOT_SPIN, 0.05)
                .shows(LEAD_FOOT_SPINS, A)
                .shows(FLIPS_HANDS, U)
                .shows(FALLS_BACK_AT_FINISH, O)
                .reads(above(LEAD_FOOT_SHIFT, 3), A, "A planted foot moves up to about {2 cm}")
                .reads(above(HEAD_DRIFT, IMPACT, 10), S, "The body leans away as the foot goes")
                .together(HEELS_DOWN, S, "The foot spins on its heel")
                .flies(HOOK, U);
        shownBy.keySet().forEach(showing -> leaks.putIfAbsent(showing, usualLeak(showing)));
    }

    private static double usualLeak(Showing showing) {
        if (showing instanceof Showing.OfBalls) return BALL_LEAK;
        return showing instanceof Showing.OfSign of && of.sign().isPlain() ? PLAIN_LEAK : SIGN_LEAK;
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

        Entry reads(Limit limit, double strength, String why) {
            return showing(new Showing.OfLimit(limit), strength, why);
        }

        /** A limit that many sound swings cross too. */
        Entry common(Limit limit, double strength, String why) {
            leaks.put(new Showing.OfLimit(limit), COMMON);
            return reads(limit, strength, why);
        }

        Entry together(Pattern pattern, double strength, String why) {
            return showing(new Showing.OfPattern(pattern), strength, why);
        }

        Entry flies(BallResult result, double strength) {
            return showing(new Showing.OfBalls(result), strength);
        }

        Entry brings(Fault to, double strength) {
            links.add(new Link(fault, to, strength));
            return this;
        }

        private Entry showing(Showing showing, double strength, String why) {
            reasons.computeIfAbsent(showing, s -> new EnumMap<>(Fault.class)).put(fault, why);
            return showing(showing, strength);
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

    /** Why a reading tells of the fault, in lead/trail placeholders; a sign or a ball speaks for itself. */
    public Optional<String> reason(Showing showing, Fault fault) {
        return Optional.ofNullable(reasons.getOrDefault(showing, Map.of()).get(fault));
    }

    /**
     * Where a coach is asked for a measure: where it tells of a fault, and for the trail share wherever a school has a
     * corridor. Empty for what is never asked for, as the distances of balls.
     */
    public Set<Optional<Checkpoint>> asksFor(Measure measure) {
        Set<Optional<Checkpoint>> asked = new LinkedHashSet<>();
        for (Checkpoint at : Checkpoint.values()) {
            if (measure == TRAIL_SHARE || tells(measure, Optional.of(at))) asked.add(Optional.of(at));
        }
        if (tells(measure, Optional.empty())) asked.add(Optional.empty());
        return asked;
    }

    /** Whether a reading of it there can speak for a fault. */
    public boolean tells(Measure measure, Optional<Checkpoint> at) {
        return shownBy.keySet().stream().anyMatch(showing -> showing.reads(measure, at));
    }

    /**
     * Whether sound swings do not lie beyond it, so that the further beyond it a reading lies, the less it can be chance.
     * What many swings cross, and what only another school does, stays as likely however far.
     */
    public boolean rulesOutChance(Limit limit) {
        return !limit.ofSchool() && leak(new Showing.OfLimit(limit)) < COMMON;
    }

    /** Whether {@code from} can bring {@code to} about, directly or through others. */
    public boolean leadsTo(Fault from, Fault to) {
        return links.stream().anyMatch(link -> link.from() == from && (link.to() == to || leadsTo(link.to(), to)));
    }
}
