package app.hodegon.core.learning;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Rung;
import java.util.Random;

/** One simulated student: a {@link Skill} of its own and a form that wavers from day to day. */
public final class Learner {

    static final double TYPICAL_START = 0.35;
    static final double TYPICAL_CEILING = 0.88;

    /** Spread of the day's form, in log-odds. */
    static final double DAILY_WAVER = 0.35;

    private static final int SET = 5;

    private final Random random;
    private final Skill skill;
    private double today;

    private Learner(Random random, Skill skill) {
        this.random = random;
        this.skill = skill;
    }

    /**
     * A student drawn at random.
     *
     * @param typicalReps spaced reps after which a typical student of this level has learned two thirds of a rung
     */
    public static Learner draw(double typicalReps, Random random) {
        return new Learner(
                random,
                new Skill(
                        TYPICAL_START + 0.1 * random.nextGaussian(),
                        Math.min(0.97, TYPICAL_CEILING + 0.05 * random.nextGaussian()),
                        typicalReps * Math.exp(0.35 * random.nextGaussian())));
    }

    /** Another student who stands exactly where this one does; luck comes from the same source. */
    public Learner copy() {
        Learner other = new Learner(random, skill.copy());
        other.today = today;
        return other;
    }

    /** So many nights pass, and with the last a new day begins. */
    public void sleep(long nights) {
        for (long night = 1; night < nights; night++) skill.sleep();
        if (nights > 0) wakeUp();
    }

    /** A new day with its own form. */
    public void wakeUp() {
        skill.sleep();
        today = DAILY_WAVER * random.nextGaussian();
    }

    /** Chance that a rep on this rung is good today. */
    public double chanceOfGood(Fault fault, Rung rung) {
        double usual = skill.chanceOfGood(fault, rung);
        return 1 / (1 + Math.exp(-(Math.log(usual / (1 - usual)) + today)));
    }

    /** So many reps; learning goes with them. The chance of a good one is looked up afresh every five. */
    public boolean[] practise(Fault fault, Rung rung, int count, Circumstances how) {
        boolean[] good = new boolean[count];
        for (int rep = 0; rep < count; rep += SET) {
            double chance = chanceOfGood(fault, rung);
            int reps = Math.min(SET, count - rep);
            for (int i = 0; i < reps; i++) good[rep + i] = random.nextDouble() < chance;
            skill.practise(fault, rung, reps, how);
        }
        return good;
    }

    /** So many reps whose outcome nobody counts. */
    public void learn(Fault fault, Rung rung, int count, Circumstances how) {
        skill.practise(fault, rung, count, how);
    }

    /** How much of what can be learned on a rung is learned, 0 to 1. */
    public double learned(Fault fault, Rung rung) {
        return skill.learned(fault, rung);
    }
}
