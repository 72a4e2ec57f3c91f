package app.hodegon.core.progress;

import app.hodegon.core.progress.Evidence.Told;
import app.hodegon.core.progress.Proposal.Kind;
import app.hodegon.core.swing.Identified;
import java.util.List;

/** Whether the next lesson bore a proposal out. */
public enum Outcome implements Identified {
    BORNE_OUT("borne-out"),
    NOT("not"),
    /** No next lesson yet, or nothing of what was worked on was measured in it. */
    OPEN("open");

    private final String id;

    Outcome(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }

    /**
     * Something of what was worked on is better at the next lesson's first balls and nothing is worse. A proposal to
     * measure asked only for that; what was done was only to be kept.
     *
     * @param told what the next lesson says of the measures and tallies worked on
     */
    public static Outcome of(Kind kind, List<Told> told) {
        List<Verdict> kept = told.stream().flatMap(t -> t.kept().stream()).toList();
        if (kept.isEmpty()) return OPEN;
        if (kind == Kind.MEASURE) return BORNE_OUT;
        if (kind == Kind.DONE) return kept.contains(Verdict.WORSE) ? NOT : BORNE_OUT;
        return kept.contains(Verdict.BETTER) && !kept.contains(Verdict.WORSE) ? BORNE_OUT : NOT;
    }
}
