package app.hodegon.core.drill;

import app.hodegon.core.swing.Identified;

/** A step of the ladder from noticing to playing. */
public enum Rung implements Identified {
    PREPARE("prepare", "Prepare", 0, 0, 50),
    FEEL("feel", "Feel", 0, 0, 50),
    REHEARSE("rehearse", "Rehearse", 0, 0, 50),
    SHORT("short", "Short ball", 3, 1, 50),
    BUILD("build", "Build", 2, 1, 70),
    FULL("full", "Full swing", 1, 1, 90),
    TRANSFER("transfer", "Transfer", 1, 3, 100);

    private final String id;
    private final String label;
    private final int rehearsals;
    private final int balls;
    private final int speed;

    Rung(String id, String label, int rehearsals, int balls, int speed) {
        this.id = id;
        this.label = label;
        this.rehearsals = rehearsals;
        this.balls = balls;
        this.speed = speed;
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

    /** Usual speed, percent of full. */
    public int speed() {
        return speed;
    }

    /** Whether reps are scored and a gate stands at the end; preparing is done or not. */
    public boolean gated() {
        return this != PREPARE;
    }
}
