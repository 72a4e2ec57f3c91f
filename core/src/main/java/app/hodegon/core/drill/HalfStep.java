package app.hodegon.core.drill;

import app.hodegon.core.swing.Handedness;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A small change of one condition within a rung, so that the same drill does not look the same every day. Texts use
 * lead/trail placeholders.
 *
 * @param id stable identifier
 * @param label in a few words
 * @param action what is different now
 * @param kind what it asks for
 * @param speed change of the rung's speed, percent of full
 * @param with drills it is done together with
 */
public record HalfStep(String id, String label, String action, Kind kind, int speed, List<String> with) {

    /** What a half-step asks of who does it. */
    public enum Kind {
        /** Nothing that the rung does not ask for. */
        CHANGE,
        /** A steady stand: not with a flagged balance. */
        STEADY,
        /** The drill's prop. */
        PROP,
        /** One more move of a set, after the moves before it. */
        MOVE,
        /** Another drill at the same time. */
        COMBINED,
        /** Another drill in turns. */
        MIXED
    }

    public HalfStep {
        Objects.requireNonNull(kind);
        with = List.copyOf(with);
    }

    private static HalfStep of(String id, String label, String action, Kind kind, int speed) {
        return new HalfStep(id, label, action, kind, speed, List.of());
    }

    /** A coach's own. */
    static HalfStep own(String id, String label, String action) {
        return of(id, label, action, Kind.CHANGE, 0);
    }

    /** As a stored plan has it, its texts said for a hand. */
    public static HalfStep stored(String id, String label, String action) {
        HalfStep standard = STANDARD.get(id);
        return standard == null
                ? own(id, label, action)
                : new HalfStep(id, label, action, standard.kind, standard.speed, List.of());
    }

    /** The {@code number}-th move of a set, the ones before it included. */
    static HalfStep move(int number, Drill move) {
        return new HalfStep(
                "move-" + number,
                number == 1 ? "First move" : "Up to move " + number,
                (number == 1 ? "Only the first move: " : "Add move " + number + ": ")
                        + move.texts().action(),
                Kind.MOVE,
                0,
                List.of(move.id()));
    }

    /** This drill with another at the same time. */
    static HalfStep combined(Drill other) {
        return new HalfStep(
                "with-" + other.id(),
                "With " + other.name().toLowerCase(),
                "Both at once: " + other.texts().action(),
                Kind.COMBINED,
                0,
                List.of(other.id()));
    }

    /** Whether a run of good ones may bring it at once: harder, and safe for everybody. */
    boolean isNextAfterAGoodRun() {
        return NEXT_AFTER_A_GOOD_RUN.contains(id);
    }

    /** Whether it asks for no more than the plain form, and may be done after pain. */
    public boolean isGentle() {
        return GENTLE.contains(id);
    }

    /** The same with its texts for this hand. */
    public HalfStep said(Handedness hand) {
        return new HalfStep(id, hand.say(label), hand.say(action), kind, speed, with);
    }

    public static final HalfStep MIXED =
            of("mixed", "Mixed", "Every third set with the drill of the rung below.", Kind.MIXED, 0);

    private static final Set<String> GENTLE = Set.of("slower", "no-club", "other-foot");

    private static final Set<String> NEXT_AFTER_A_GOOD_RUN = Set.of("no-pause", "finish-target");

    /** Half-steps that any drill may name, by id. */
    static final Map<String, HalfStep> STANDARD = Stream.of(
                    of("slower", "Slower", "Take twice the time for each one.", Kind.CHANGE, -20),
                    of("faster", "Quicker", "A notch quicker, still in balance.", Kind.CHANGE, 20),
                    of("no-club", "Empty hands", "Without the club; the feet do the same.", Kind.CHANGE, 0),
                    of("with-club", "Club across", "Hold a club across the chest.", Kind.CHANGE, 0),
                    of(
                            "eyes-closed",
                            "Eyes closed",
                            "Eyes closed from start to finish; something to hold nearby.",
                            Kind.STEADY,
                            0),
                    of(
                            "half-prop",
                            "Prop for half",
                            "The prop for the first half of each set, without it after.",
                            Kind.PROP,
                            0),
                    of("no-pause", "No pause", "Straight through, without stopping on the way.", Kind.CHANGE, 0),
                    of(
                            "other-foot",
                            "Other foot aloud",
                            "Say aloud what the other foot does, each time.",
                            Kind.CHANGE,
                            0),
                    of(
                            "finish-target",
                            "To a target",
                            "Pick a target and finish with the belt buckle on it.",
                            Kind.CHANGE,
                            0),
                    MIXED)
            .collect(Collectors.toUnmodifiableMap(HalfStep::id, Function.identity()));

    /** Easier than the plain form of any drill, and safe for everybody. */
    public static final HalfStep SLOWER = STANDARD.get("slower");

    /** What any drill may do on this rung that names nothing of its own. */
    public static List<HalfStep> usual(Rung rung) {
        List<String> ids = rung.withBall()
                ? List.of("other-foot", "finish-target", "slower", "mixed")
                : List.of("slower", "other-foot", "faster");
        return ids.stream().map(STANDARD::get).toList();
    }
}
