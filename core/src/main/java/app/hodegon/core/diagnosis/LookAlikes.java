package app.hodegon.core.diagnosis;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Repeatability;
import java.util.ArrayList;
import java.util.List;

/** What is easily mistaken, told apart by what was seen or measured. */
final class LookAlikes {

    /** Balls from which a curve is a pattern. */
    private static final double MOST_OF_THEM = 0.5;

    private static final int A_FEW = 4;

    private LookAlikes() {}

    /** Sentences in lead/trail placeholders. */
    static List<String> found(
            List<Fault> likely, Observations observations, PressureSchool school, Repeatability repeatability) {
        Seen seen = new Seen(observations, repeatability);
        List<String> found = new ArrayList<>();
        boolean heavyTop = seen.above(Measure.TRAIL_SHARE, Checkpoint.TOP, 65);
        boolean staysHome = seen.no(Sign.PELVIS_DRIFTS_BACK) || seen.below(Measure.PELVIS_DRIFT, Checkpoint.TOP, 5);
        boolean turns = seen.no(Sign.LITTLE_HIP_TURN) || seen.above(Measure.HIP_TURN, Checkpoint.TOP, 30);
        if (heavyTop && staysHome && turns) found.add("No sway: " + Fault.SWAY.lookAlike());
        if (heavyTop
                && school.corridor(Checkpoint.TOP).high() < 65
                && seen.below(Measure.TRAIL_SHARE, Checkpoint.ARM_DOWN, 50)) {
            found.add("Heavy at the top, yet across by arm level: another school's load, not a late one.");
        }
        boolean fallsBack =
                seen.sign(Sign.FALLS_BACK_AT_FINISH) || seen.above(Measure.TRAIL_SHARE, Checkpoint.FINISH, 25);
        boolean staysForward =
                seen.no(Sign.FALLS_BACK_AT_FINISH) || seen.below(Measure.TRAIL_SHARE, Checkpoint.FINISH, 15);
        if (likely.contains(Fault.NO_LOAD) && staysForward) found.add("No reverse pivot: it stays forward to the end.");
        if (likely.contains(Fault.REVERSE_PIVOT) && fallsBack) {
            found.add("No swing that never loads: it falls back at the finish.");
        }
        boolean footUnseen =
                !observations.signs().containsKey(Sign.LEAD_FOOT_SPINS) && !seen.has(Measure.LEAD_FOOT_SHIFT);
        boolean fallUnseen = !observations.signs().containsKey(Sign.FALLS_TO_TOES);
        if (seen.share(BallResult.HOOK, A_FEW) >= MOST_OF_THEM && (footUnseen || fallUnseen)) {
            found.add(
                    "A hook has two causes in the feet: a {lead} foot that spins out, or a body that falls to the toes."
                            + " Look at both before the hands.");
        }
        return found;
    }
}
