package app.hodegon.core.drill;

import app.hodegon.core.swing.Identified;

/** A step of the ladder from noticing to playing. */
public enum Rung implements Identified {
    PREPARE("prepare", "Prepare", 0, 0),
    FEEL("feel", "Feel", 0, 0),
    REHEARSE("rehearse", "Rehearse", 0, 0),
    SHORT("short", "Short ball", 3, 1),
    BUILD("build", "Build", 2, 1),
    FULL("full", "Full swing", 1, 1),
    TRANSFER("transfer", "Transfer", 1, 3);

    private final String id;
    private final String label;
    private final int rehearsals;
    private final int balls;

    Rung(String id, String label, int rehearsals, int balls) {
        this.id = id;
        this.label = label;
        this.rehearsals = rehearsals;
        this.balls = balls;
    }

    @Override
    public String id() {
        return id;
    }

    public String label() {
        return label;
    }

    /** Rehearsals that go with {@link #ballsPerRound()} balls; 0 on the rungs without a ball. */
    public int rehearsalsPerRound() {
        return rehearsals;
    }

    public int ballsPerRound() {
        return balls;
    }

    public boolean withBall() {
        return balls > 0;
    }

    /** Whether reps are scored and a gate stands at the end; preparing is done or not. */
    public boolean gated() {
        return this != PREPARE;
    }
}
