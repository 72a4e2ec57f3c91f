package app.hodegon.core.simulate;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Rung;
import java.util.Random;

/** A learner from a family that no plan and no forecast assumes. */
final class StrangeLearner {

    /** How learning goes on. */
    enum Family {
        /** Ever more slowly (Newell and Rosenbloom 1981), with form that changes from day to day. */
        POWER_LAW,
        /** Up to about the half, and no further. */
        PLATEAU,
        /** As the first, but after three weeks most of it is lost once. */
        RELAPSE,
        NEVER,
        /** Nothing for long, then all of it. */
        LATE_JUMP
    }

    private static final double START = 0.4;
    private static final double CEILING = 0.92;
    private static final double HARDER = 0.03;
    private static final double WAVER = 0.45;
    private static final int RELAPSES_AFTER = 21;

    private final Random random;
    private final Family family;
    private final double reps;
    private final double[][] done = new double[Fault.values().length][Rung.values().length];
    private double today;
    private int nights;

    StrangeLearner(Family family, double typicalReps, Random random) {
        this.family = family;
        this.random = random;
        this.reps = typicalReps * Math.exp(0.4 * random.nextGaussian());
    }

    Family family() {
        return family;
    }

    void wakeUp() {
        nights++;
        today = WAVER * random.nextGaussian();
        if (family == Family.RELAPSE && nights == RELAPSES_AFTER) {
            for (double[] rungs : done) for (int r = 0; r < rungs.length; r++) rungs[r] *= 0.25;
        }
    }

    void practise(Fault fault, Rung rung, int count) {
        done[fault.ordinal()][rung.ordinal()] += count;
    }

    /** How much is learned on a rung, 0 to 1; half of what lies below helps. */
    double learned(Fault fault, Rung rung) {
        double below = rung.ordinal() == 0 ? 0 : done[fault.ordinal()][rung.ordinal() - 1];
        double n = (done[fault.ordinal()][rung.ordinal()] + below / 2) / reps;
        return switch (family) {
            case POWER_LAW, RELAPSE -> 1 - Math.pow(1 + 1.5 * n, -1);
            case PLATEAU -> Math.min(0.45, 1 - Math.exp(-n));
            case NEVER -> 0;
            case LATE_JUMP -> n < 1.6 ? 0.05 : 0.9;
        };
    }

    /** So many scored ones: how many are good. */
    int good(Fault fault, Rung rung, int of) {
        double usual = START - HARDER * rung.ordinal() + (CEILING - START) * learned(fault, rung);
        double chance = 1 / (1 + Math.exp(-(Math.log(usual / (1 - usual)) + today)));
        int good = 0;
        for (int i = 0; i < of; i++) if (random.nextDouble() < chance) good++;
        return good;
    }
}
