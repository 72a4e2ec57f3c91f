package app.hodegon.core.diagnosis;

import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Identified;
import java.util.List;

/**
 * What the front halves of both feet show together. Going back the load goes to the trail heel and the lead toe, coming
 * down to the trail toe and then the lead heel: never both toes, never both heels, and never the same throughout.
 */
public enum Pattern implements Identified {
    TOES_AT_ADDRESS("toes-at-address", "Both feet in their toes at address", Side.TOES, List.of(Checkpoint.ADDRESS)),
    TOES_BACK("toes-back", "Both feet in their toes going back", Side.TOES, Moments.BACK),
    TOES_DOWN("toes-down", "Both feet in their toes coming down", Side.TOES, Moments.DOWN),
    HEELS_BACK("heels-back", "Both feet in their heels going back", Side.HEELS, Moments.BACK),
    HEELS_DOWN("heels-down", "Both feet in their heels coming down", Side.HEELS, Moments.DOWN),
    NO_EXCHANGE("no-exchange", "Toes and heels do not exchange the load", Side.NEITHER, List.of());

    /** Which half of both feet is loaded. */
    enum Side {
        TOES,
        HEELS,
        NEITHER
    }

    /** Where the exchange is looked for. */
    static final class Moments {
        static final List<Checkpoint> BACK = List.of(Checkpoint.HIP_BACK, Checkpoint.ARM_BACK, Checkpoint.TOP);
        static final List<Checkpoint> DOWN = List.of(Checkpoint.ARM_DOWN, Checkpoint.IMPACT);

        private Moments() {}
    }

    /** From this share in the front half on, a foot is in its toes; below {@link #HEELS_BELOW} in its heel, %. */
    static final double TOES_FROM = 62;

    static final double HEELS_BELOW = 38;

    /** A foot whose front half changes by less between going back and coming down did not exchange, in points of %. */
    static final double EXCHANGE = 10;

    private final String id;
    private final String label;
    private final Side side;
    private final List<Checkpoint> moments;

    Pattern(String id, String label, Side side, List<Checkpoint> moments) {
        this.id = id;
        this.label = label;
        this.side = side;
        this.moments = moments;
    }

    @Override
    public String id() {
        return id;
    }

    public String label() {
        return label;
    }

    Side side() {
        return side;
    }

    List<Checkpoint> moments() {
        return moments;
    }
}
