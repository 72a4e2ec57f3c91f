package app.hodegon.core.practice;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Joint;
import java.util.Collections;
import java.util.Set;
import java.util.function.Supplier;

/** What a student does on the course when today's fault is back: one thing that needs no drill and no thought twice. */
public final class Rescue {

    /** What suits everybody, whatever hurts and whatever else is wrong. */
    static final String FOR_ANYBODY =
            "Take one club more, swing at three quarters, and play for the middle of the green.";

    private Rescue() {}

    /**
     * In a sentence or two, in lead/trail placeholders.
     *
     * @param flags joints that need care: what loads one of them is not given
     * @param likely faults beside this one: what feeds one of them is not given; asked only where that can be
     */
    public static String of(Fault fault, Set<Joint> flags, Supplier<Set<Fault>> likely) {
        Set<Fault> fed = feeds(fault);
        boolean refused = !Collections.disjoint(loads(fault), flags)
                || !fed.isEmpty() && !Collections.disjoint(fed, likely.get());
        return refused ? FOR_ANYBODY : of(fault);
    }

    /** A foot that stays planted twists the knee; a longer turn asks the back. */
    private static Set<Joint> loads(Fault fault) {
        return switch (fault) {
            case LEAD_FOOT_SPIN -> Set.of(Joint.KNEE, Joint.ANKLE);
            case OVER_THE_TOP, INSIDE_STUCK -> Set.of(Joint.BACK);
            case REVERSE_PIVOT, HANGING_BACK, TOE_FALL -> Set.of(Joint.BALANCE);
            case EARLY_EXTENSION -> Set.of(Joint.BACK, Joint.HIP);
            default -> Set.of();
        };
    }

    private static Set<Fault> feeds(Fault fault) {
        return switch (fault) {
            case LATE_RECENTRE -> Set.of(Fault.REVERSE_PIVOT, Fault.NO_LOAD);
            case NO_LOAD -> Set.of(Fault.SWAY, Fault.HANGING_BACK);
            case EARLY_SPIN -> Set.of(Fault.CLOSED_SLIDE);
            case CLOSED_SLIDE, INSIDE_STUCK -> Set.of(Fault.EARLY_SPIN, Fault.OVER_THE_TOP);
            case OVER_THE_TOP -> Set.of(Fault.HANGING_BACK, Fault.INSIDE_STUCK);
            default -> Set.of();
        };
    }

    private static String of(Fault fault) {
        return switch (fault) {
            case STIFF_TRAIL_ANKLE, STIFF_TRAIL_HIP ->
                "Flare the {trail} foot a little more, take one club more and swing at three quarters.";
            case OPEN_SETUP -> "Lay the club across the hips once, set it along the line, and leave it there.";
            case CLOSED_SETUP -> "Lay the club across the hips once, turn it back to the line, and leave it there.";
            case SWAY ->
                "Feet a hand closer together for the next one. Turn over the {trail} foot; three quarters is enough.";
            case REVERSE_PIVOT ->
                "One rehearsal that ends standing on the {lead} foot, then a three-quarter swing. A sore back ends it.";
            case NO_LOAD -> "Press into the {trail} foot once before you start, then swing at your own pace.";
            case FROZEN_FEET -> "Lift each heel once at address, then turn belt and shirt together.";
            case LATE_RECENTRE -> "Rock once onto the {lead} foot to start. The way back begins before the top.";
            case EARLY_SPIN -> "Take one club more and wait: onto the {lead} foot first, then turn.";
            case ARMS_FIRST -> "Say it under your breath: back, step, swing. Three quarters.";
            case CLOSED_SLIDE -> "Shorter swing, and let the {lead} hip turn out of the way through the ball.";
            case HANGING_BACK ->
                "Rehearse to a finish on the {lead} foot, {trail} heel up, and play to the same picture.";
            case EARLY_EXTENSION ->
                "One rehearsal with the seat kept back against a wall that is not there, then three quarters.";
            case OVER_THE_TOP -> "Back to the target a moment longer. Aim where a miss costs least.";
            case INSIDE_STUCK -> "Shorter backswing, chest all the way round to the target.";
            case TOE_FALL -> "Wiggle the toes at address, then hold the finish for two seconds, heels heavy.";
            case LEAD_FOOT_SPIN -> "Flare the {lead} foot a little and finish with it where it stood. Three quarters.";
        };
    }
}
