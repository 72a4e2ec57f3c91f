package app.hodegon.core.drill;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.approach.Choice;
import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Fault;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * An exercise with everything the planner and the student need. Texts use lead/trail placeholders.
 *
 * @param id stable identifier
 * @param lowest first rung it can be done on
 * @param highest last rung it can be done on
 * @param effects faults it works on
 * @param kit what it needs (all of it, or its substitutes)
 * @param places where it can be done
 * @param needs approach answers it depends on
 * @param schools pressure schools it belongs to; empty for all
 * @param clashes faults it makes worse: never planned while one of them is likely
 * @param neverWith flagged joints with which it is not done at all
 * @param careWith flagged joints with which it is done at half the volume
 * @param after drills that must have been passed first
 * @param pace what one rep without a ball costs in time
 * @param variations what it is on each rung it covers, lowest first
 * @param notice what the student is asked to notice after each set
 */
public record Drill(
        String id,
        String name,
        Rung lowest,
        Rung highest,
        Map<Fault, Effect> effects,
        Set<Equipment> kit,
        Set<Place> places,
        List<Feedback> feedback,
        Set<Choice> needs,
        Set<PressureSchool> schools,
        Set<Fault> clashes,
        Set<Joint> neverWith,
        Set<Joint> careWith,
        List<String> after,
        Pace pace,
        Texts texts,
        List<String> variations,
        Diagram diagram,
        Optional<Notice> notice) {

    /** How strongly a drill works on a fault. */
    public enum Effect {
        HELPS,
        MAIN
    }

    /** Seconds one rep without a ball takes. */
    public enum Pace {
        BODY(4),
        SLOW_CLUB(8),
        STEP(10);

        private final int seconds;

        Pace(int seconds) {
            this.seconds = seconds;
        }

        public int seconds() {
            return seconds;
        }
    }

    /** One ball, with setting it up and walking in, in seconds. */
    public static final int SECONDS_PER_BALL = 30;

    /**
     * What is said about a drill.
     *
     * @param cue the one thing to have in mind
     * @param caution empty where only the general cautions apply
     */
    public record Texts(
            String setUp,
            String action,
            String feel,
            String good,
            String mistake,
            String easier,
            String harder,
            String cue,
            String caution) {}

    public Drill {
        effects = Map.copyOf(effects);
        kit = Set.copyOf(kit);
        places = Set.copyOf(places);
        feedback = List.copyOf(feedback);
        needs = Set.copyOf(needs);
        schools = Set.copyOf(schools);
        clashes = Set.copyOf(clashes);
        neverWith = Set.copyOf(neverWith);
        careWith = Set.copyOf(careWith);
        after = List.copyOf(after);
        variations = List.copyOf(variations);
        if (lowest.compareTo(highest) > 0) throw new IllegalArgumentException(id + ": rungs are upside down.");
        if (variations.size() != highest.ordinal() - lowest.ordinal() + 1) {
            throw new IllegalArgumentException(id + ": one variation per rung, please.");
        }
    }

    /** The same drill under another name. */
    Drill named(String otherId, String otherName) {
        return with(otherId, otherName, after);
    }

    /** The same drill, bound to come after fewer others. */
    public Drill afterOnly(Set<String> known) {
        if (known.containsAll(after)) return this;
        return with(id, name, after.stream().filter(known::contains).toList());
    }

    private Drill with(String newId, String newName, List<String> newAfter) {
        return new Drill(
                newId,
                newName,
                lowest,
                highest,
                effects,
                kit,
                places,
                feedback,
                needs,
                schools,
                clashes,
                neverWith,
                careWith,
                newAfter,
                pace,
                texts,
                variations,
                diagram,
                notice);
    }

    /** Whether a coach with this approach would use it. */
    public boolean suits(Approach approach) {
        return needs.stream().allMatch(approach::has) && (schools.isEmpty() || schools.contains(approach.school()));
    }

    /** Whether something outside the body tells a good rep. */
    public boolean tellsFromOutside() {
        for (Feedback one : feedback) if (one.external()) return true;
        return false;
    }

    public boolean covers(Rung rung) {
        return rung.compareTo(lowest) >= 0 && rung.compareTo(highest) <= 0;
    }

    /** Whether it is the bridge to the game that serves every fault of the movement. */
    public boolean servesEveryFault() {
        return Arrays.stream(Fault.values()).filter(f -> !f.ofTheBody()).allMatch(effects::containsKey);
    }

    /** What the drill is on this rung. */
    public String variation(Rung rung) {
        return variations.get(rung.ordinal() - lowest.ordinal());
    }

    /** Whether this rung of the drill can be done there: its place allows it, and balls are hit only where they may. */
    public boolean possibleAt(Place place, Rung rung) {
        return places.contains(place) && (!rung.withBall() || place.ballsAllowed());
    }

    /** Seconds one rep without a ball takes on this rung. */
    public int secondsPerRep(Rung rung) {
        return rung.compareTo(Rung.FEEL) <= 0 && pace != Pace.STEP
                ? Pace.BODY.seconds()
                : Math.max(pace.seconds(), Pace.SLOW_CLUB.seconds());
    }
}
