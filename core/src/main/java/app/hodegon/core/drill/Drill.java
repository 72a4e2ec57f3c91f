package app.hodegon.core.drill;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.approach.Choice;
import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Sign;
import app.hodegon.core.golfer.Movement;
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
 * @param footing on what and in what it is done
 * @param favour whose first drill it is, and for what
 * @param ways how it changes within its rungs
 * @param movement how it moves; empty where only its soles are drawn
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
        Optional<Notice> notice,
        Footing footing,
        Favour favour,
        Ways ways,
        Optional<DrillMovement> movement) {

    /**
     * @param notIn shoes in which it is not done
     * @param onlyOn grounds on which alone it is done; empty for all
     */
    public record Footing(Set<Shoes> notIn, Set<Ground> onlyOn) {

        public static final Footing ANY = new Footing(Set.of(), Set.of());

        public Footing {
            notIn = Set.copyOf(notIn);
            onlyOn = Set.copyOf(onlyOn);
        }
    }

    /**
     * Whose first drill it is, and for what.
     *
     * @param signs what a lesson shows that it answers before other drills do
     */
    public record Favour(Set<Choice> choices, Set<PressureSchool> schools, Set<Sign> signs) {

        public static final Favour NOBODYS = new Favour(Set.of(), Set.of(), Set.of());

        public Favour {
            choices = Set.copyOf(choices);
            schools = Set.copyOf(schools);
            signs = Set.copyOf(signs);
        }

        /**
         * The answer of this approach that likes it first, in words within a sentence; empty if none does. What stands
         * there until a coach answers likes nothing.
         */
        public Optional<String> of(Approach approach) {
            return choices.stream()
                    .filter(c -> !c.usual() && approach.has(c))
                    .sorted()
                    .findFirst()
                    .map(Choice::taught)
                    .or(() -> Optional.of(approach.school())
                            .filter(s -> s != Approach.DEFAULT.school() && schools.contains(s))
                            .map(PressureSchool::taught));
        }

        /** The first of these signs that it answers. */
        public Optional<Sign> of(Set<Sign> seen) {
            return signs.stream().filter(seen::contains).sorted().findFirst();
        }
    }

    /**
     * @param halfSteps small changes by rung, in the order in which they come up; a rung left out takes the usual ones
     * @param speeds percent of full speed by rung; a rung left out takes its usual one
     * @param moves drills that are its moves, done in this order
     * @param combines drills that it goes together with in one block
     */
    public record Ways(
            Map<Rung, List<HalfStep>> halfSteps, Map<Rung, Integer> speeds, List<String> moves, List<String> combines) {

        public static final Ways USUAL = new Ways(Map.of(), Map.of(), List.of(), List.of());

        public Ways {
            halfSteps = Map.copyOf(halfSteps);
            speeds = Map.copyOf(speeds);
            moves = List.copyOf(moves);
            combines = List.copyOf(combines);
        }
    }

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

    /**
     * What is said about a drill.
     *
     * @param mistake the usual error alone
     * @param fix what helps against it; empty where nothing is said
     * @param onPurpose the error as it may be made on purpose, to feel the difference; empty where none is safe
     * @param cue the one thing to have in mind
     * @param caution empty where only the general cautions apply
     */
    public record Texts(
            String setUp,
            String action,
            String feel,
            String good,
            String mistake,
            String fix,
            Optional<String> onPurpose,
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
                notice,
                footing,
                favour,
                ways,
                movement);
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

    /** Whether it asks something of that joint: a turn asks something of every back. */
    public boolean loads(Joint joint) {
        boolean turns = movement.map(m -> m.base() == Movement.Base.SWING).orElse(true);
        return careWith.contains(joint) || joint == Joint.BACK && turns;
    }

    public boolean covers(Rung rung) {
        return rung.compareTo(lowest) >= 0 && rung.compareTo(highest) <= 0;
    }

    /** Whether it is the bridge to the game that serves every fault of the movement. */
    public boolean servesEveryFault() {
        return Arrays.stream(Fault.values()).filter(f -> !f.ofTheBody()).allMatch(effects::containsKey);
    }

    /** Whether it needs no prop, so that it comes along to the course. */
    public boolean bare() {
        return kit.stream().allMatch(Equipment::played);
    }

    /** What the drill is on this rung. */
    public String variation(Rung rung) {
        return variations.get(rung.ordinal() - lowest.ordinal());
    }

    /** Where it is done: the garden does for a drill of home or range. */
    public boolean isDoneAt(Place place) {
        return places.contains(place)
                || place == Place.GARDEN && (places.contains(Place.HOME) || places.contains(Place.RANGE));
    }

    /** As the golfer does it on a rung; empty where that is not told. */
    public Optional<Movement> movement(Rung rung) {
        return movement.map(m -> m.on(rung, speed(rung)));
    }

    /** Of the rungs it covers the nearest to this one. */
    Rung nearest(Rung rung) {
        if (rung.compareTo(lowest) < 0) return lowest;
        return rung.compareTo(highest) > 0 ? highest : rung;
    }

    /** Percent of full speed on this rung. */
    public int speed(Rung rung) {
        return ways.speeds().getOrDefault(rung, rung.speed());
    }

    /** Seconds one rep without a ball takes on this rung. */
    public int secondsPerRep(Rung rung) {
        return rung.compareTo(Rung.FEEL) <= 0 && pace != Pace.STEP
                ? Pace.BODY.seconds()
                : Math.max(pace.seconds(), Pace.SLOW_CLUB.seconds());
    }
}
