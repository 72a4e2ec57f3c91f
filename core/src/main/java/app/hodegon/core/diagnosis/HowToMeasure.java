package app.hodegon.core.diagnosis;

import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Source;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;

/** Where to stand, which moment, and what to compare, for the measures that can tell faults apart. */
final class HowToMeasure {

    /**
     * @param view where to stand or where the camera stands
     * @param what what is judged, in lead/trail placeholders
     */
    private record Guide(String view, String what) {}

    private static final String FACE_ON = "face on";
    private static final String BEHIND_THE_HANDS = "down the line, behind the hands";
    private static final Map<Measure, Guide> GUIDES = new EnumMap<>(Map.ofEntries(
            guide(Measure.TRAIL_SHARE, FACE_ON, "how much of the load is under the {trail} foot"),
            guide(Measure.PEAK_TRAIL_SHARE, FACE_ON, "the most the {trail} foot ever carries before impact"),
            guide(Measure.SHIFT_SPEED, FACE_ON, "how fast the load comes over to the {lead} foot at its fastest"),
            guide(Measure.TRAIL_TOE, BEHIND_THE_HANDS, "how much of the {trail} foot's load is in its front half"),
            guide(Measure.LEAD_OUTER, BEHIND_THE_HANDS, "how much of the {lead} foot's load is on its outer half"),
            guide(Measure.HEAD_DRIFT, FACE_ON, "how far the head has gone from its place at address"),
            guide(Measure.SHOULDER_TURN, BEHIND_THE_HANDS, "how far the shoulders have turned since address"),
            guide(Measure.TRAIL_HEEL_LIFT, FACE_ON, "how high the {trail} heel is off the ground"),
            guide(Measure.BACKSWING_TIME, FACE_ON, "the time from the first move to the top"),
            guide(Measure.DOWNSWING_TIME, FACE_ON, "the time from the top to the ball"),
            guide(Measure.TEMPO_RATIO, FACE_ON, "the time to the top over the time down"),
            guide(Measure.STANCE_RATIO, FACE_ON, "the distance between the ankles over the width of the pelvis"),
            guide(Measure.TRAIL_OUTER, BEHIND_THE_HANDS, "how much of the {trail} foot's load is on its outer half"),
            guide(Measure.LEAD_TOE, BEHIND_THE_HANDS, "how much of the {lead} foot's load is in its front half"),
            guide(Measure.RECENTRE_LEAD, FACE_ON, "how long before the {lead} arm is level both feet share evenly"),
            guide(Measure.PELVIS_DRIFT, FACE_ON, "how far the belt buckle has gone from its place at address"),
            guide(Measure.HIP_TURN, BEHIND_THE_HANDS, "how far the belt has turned since address"),
            guide(Measure.HIP_LINE, BEHIND_THE_HANDS, "the line across both hip bones against the target line"),
            guide(Measure.PELVIS_THRUST, BEHIND_THE_HANDS, "how far the seat has left the line it touched at address"),
            guide(Measure.POSTURE_RISE, BEHIND_THE_HANDS, "how much of the forward bend is lost since address"),
            guide(Measure.LEAD_FOOT_SHIFT, FACE_ON, "how far the {lead} foot ends from its mark")));

    private HowToMeasure() {}

    private static Map.Entry<Measure, Guide> guide(Measure measure, String view, String what) {
        return Map.entry(measure, new Guide(view, what));
    }

    /** In lead/trail placeholders. */
    static String how(Measure measure, Optional<Checkpoint> at, Source source) {
        if (measure == Measure.ANKLE_REACH) {
            return "Knee to the wall, {trail} heel down: the furthest the toes can stand from it.";
        }
        Guide guide = GUIDES.get(measure);
        String moment = at.map(a -> ", " + moment(a)).orElse("");
        String stop = at.map(a -> ", stopped " + moment(a)).orElse("");
        return switch (source) {
            case FELT -> "Ask the player before telling anything" + moment + ": " + guide.what() + ".";
            case SEEN -> capital(guide.view()) + moment + ": judge " + guide.what() + ".";
            case CLIP -> "Clip " + guide.view() + stop + ": measure " + guide.what() + ".";
            case RULER -> "With a ruler" + moment + ": " + guide.what() + ".";
            case PLATE, MONITOR -> "Three swings on the plate" + moment + ": read " + guide.what() + ".";
        };
    }

    private static String moment(Checkpoint at) {
        return switch (at) {
            case ADDRESS -> "at address";
            case TRIGGER -> "at the trigger";
            case HIP_BACK -> "with the hands at the hip, going back";
            case ARM_BACK -> "with the {lead} arm level, going back";
            case TOP -> "at the top";
            case ARM_DOWN -> "with the {lead} arm level, coming down";
            case IMPACT -> "at impact";
            case FINISH -> "in the finish";
        };
    }

    private static String capital(String text) {
        return Character.toUpperCase(text.charAt(0)) + text.substring(1);
    }
}
