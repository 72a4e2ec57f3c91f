package app.hodegon.core.diagnosis;

import static app.hodegon.core.diagnosis.Fault.*;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Repeatability;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** Fixes known to make a fault worse, found at work in what was seen or measured. */
final class WrongFixes {

    /** Load under the trail foot of who stands even, percent. */
    private static final double EVEN = 50;

    private final Seen seen;
    private final PressureSchool school;

    WrongFixes(Observations observations, PressureSchool school, Repeatability repeatability) {
        this.seen = new Seen(observations, repeatability);
        this.school = school;
    }

    /** A sentence for each, in lead/trail placeholders, the likely faults it harms named in it. */
    List<String> found(List<Fault> likely) {
        List<String> found = new ArrayList<>();
        if (startsOnTheLeadFoot()) {
            say(
                    found,
                    likely,
                    EnumSet.of(HANGING_BACK, REVERSE_PIVOT, ARMS_FIRST),
                    "Starts with the load on the {lead} foot, where it cannot be held: begin even before anything else"
                            + " is changed. It feeds %s.");
            say(
                    found,
                    likely,
                    EnumSet.of(NO_LOAD),
                    "Starts with the load on the {lead} foot already: nothing will go to the {trail} foot from there."
                            + " It feeds %s.");
        }
        if (seen.sign(Sign.SLOW_BACKSWING) || seen.above(Measure.BACKSWING_TIME, null, 1200)) {
            say(
                    found,
                    likely,
                    EnumSet.of(ARMS_FIRST),
                    "The backswing is already very slow: slower still makes the change more sudden. It feeds %s.");
        }
        if (seen.sign(Sign.FEET_FROZEN)) {
            say(
                    found,
                    likely,
                    EnumSet.of(SWAY),
                    "The feet are held still, perhaps against the drift: let them move, or a swing that never loads"
                            + " takes the place of %s.");
        }
        if (seen.sign(Sign.TOE_HEAVY_AT_ADDRESS) || seen.above(Measure.LEAD_TOE, Checkpoint.ADDRESS, 60)) {
            say(
                    found,
                    likely,
                    EnumSet.of(CLOSED_SLIDE, INSIDE_STUCK),
                    "Starts well into the {lead} toes: the cue that helps a slice feeds %s.");
        }
        if (seen.below(Measure.LEAD_TOE, Checkpoint.ADDRESS, Pattern.HEELS_BELOW)
                && seen.below(Measure.TRAIL_TOE, Checkpoint.ADDRESS, Pattern.HEELS_BELOW)) {
            say(
                    found,
                    likely,
                    EnumSet.of(TOE_FALL),
                    "Leans back on both heels at address, which tips the other way later: spread the load over the whole"
                            + " foot. It feeds %s.");
        }
        if (seen.above(Measure.HIP_LINE, Checkpoint.IMPACT, 50)) {
            say(
                    found,
                    likely,
                    EnumSet.of(EARLY_SPIN),
                    "The hips are further round at impact than they need be: clearing them faster feeds %s.");
        }
        return found;
    }

    /** Whether the school sets it so on purpose. */
    private boolean beginsOnTheLeadFoot() {
        return school.corridor(Checkpoint.ADDRESS).high() <= EVEN;
    }

    /** Seen so, or read below the school's corridor at address, by whatever source. */
    private boolean startsOnTheLeadFoot() {
        return seen.sign(Sign.LEAD_HEAVY_AT_ADDRESS) && !beginsOnTheLeadFoot()
                || seen.below(
                        Measure.TRAIL_SHARE,
                        Checkpoint.ADDRESS,
                        school.corridor(Checkpoint.ADDRESS).low());
    }

    private static void say(List<String> found, List<Fault> likely, Set<Fault> harmed, String sentence) {
        List<String> names = likely.stream()
                .filter(harmed::contains)
                .sorted()
                .map(f -> f.label().toLowerCase())
                .toList();
        if (!names.isEmpty()) found.add(sentence.formatted(String.join(" and ", names)));
    }
}
