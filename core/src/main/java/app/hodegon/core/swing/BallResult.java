package app.hodegon.core.swing;

import java.util.Arrays;
import java.util.List;

/** What became of a ball: how it flew, how it was struck, what the ground shows. */
public enum BallResult implements Identified {
    STRAIGHT(Kind.FLIGHT, "straight", "straight"),
    DRAW(Kind.FLIGHT, "draw", "draw"),
    FADE(Kind.FLIGHT, "fade", "fade"),
    HOOK(Kind.FLIGHT, "hook", "hook"),
    SLICE(Kind.FLIGHT, "slice", "slice"),
    PUSH(Kind.FLIGHT, "push", "push"),
    PULL(Kind.FLIGHT, "pull", "pull"),
    LOW(Kind.FLIGHT, "low", "low"),
    HIGH_WEAK(Kind.FLIGHT, "high-weak", "high, weak"),
    SOLID(Kind.STRIKE, "solid", "solid"),
    FAT(Kind.STRIKE, "fat", "fat"),
    THIN(Kind.STRIKE, "thin", "thin"),
    TOPPED(Kind.STRIKE, "topped", "topped"),
    TOE(Kind.STRIKE, "toe", "off the toe"),
    SHANK(Kind.STRIKE, "shank", "shank"),
    NO_DIVOT(Kind.DIVOT, "none", "no divot"),
    THIN_DIVOT(Kind.DIVOT, "thin", "thin divot"),
    DEEP_DIVOT(Kind.DIVOT, "deep", "deep divot");

    /** The three tallies kept of a run of balls. */
    public enum Kind implements Identified {
        FLIGHT("flight"),
        STRIKE("strike"),
        DIVOT("divot");

        private final String id;

        Kind(String id) {
            this.id = id;
        }

        @Override
        public String id() {
            return id;
        }
    }

    private final Kind kind;
    private final String id;
    private final String label;

    BallResult(Kind kind, String id, String label) {
        this.kind = kind;
        this.id = id;
        this.label = label;
    }

    /** Unique within its kind only: a thin strike and a thin divot share one. */
    @Override
    public String id() {
        return id;
    }

    public Kind kind() {
        return kind;
    }

    public String label() {
        return label;
    }

    public static List<BallResult> of(Kind kind) {
        return Arrays.stream(values()).filter(r -> r.kind == kind).toList();
    }

    /**
     * @throws UnknownIdException if this kind of tally has no such result
     */
    public static BallResult of(Kind kind, String id) {
        return of(kind).stream()
                .filter(r -> r.id.equals(id))
                .findFirst()
                .orElseThrow(() -> new UnknownIdException(
                        kind.id, id, of(kind).stream().map(BallResult::id).toList()));
    }
}
