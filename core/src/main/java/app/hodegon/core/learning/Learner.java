package app.hodegon.core.learning;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Rung;
import java.util.Random;

/**
 * One simulated student: a {@link Skill} of its own and a form that wavers from day to day. {@link #draw} is the learner
 * assumed everywhere; {@link #anybody} allows for those who learn otherwise.
 */
public final class Learner {

    static final double TYPICAL_START = 0.35;
    static final double TYPICAL_CEILING = 0.88;

    /** Spread of the day's form, in log-odds. */
    static final double DAILY_WAVER = 0.35;

    private static final int SET = 5;

    /** Of a relapse so much is left. */
    private static final double LEFT = 0.3;

    private final Random random;
    private final Skill skill;
    private final double waver;
    private double relapses;
    private double today;

    /**
     * @param waver spread of the day's form, in log-odds
     * @param relapses chance a night that most of what is learned is lost, once
     */
    private Learner(Random random, Skill skill, double waver, double relapses) {
        this.random = random;
        this.skill = skill;
        this.waver = waver;
        this.relapses = relapses;
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
                        typicalReps * Math.exp(0.35 * random.nextGaussian())),
                DAILY_WAVER,
                0);
    }

    /**
     * How a student of whom nothing is known may learn. That so many in a hundred are of each kind is an assumption.
     */
    private enum Kind {
        ASSUMED(30),
        /** Gets better up to a point well under a gate's asking, and no further. */
        LEVELS_OFF(25),
        /** Needs many times the reps. */
        HARDLY(25),
        /** Loses most of it one night within weeks, and begins again. */
        RELAPSES(20);

        private final int inAHundred;

        Kind(int inAHundred) {
            this.inAHundred = inAHundred;
        }

        static Kind any(Random random) {
            int at = random.nextInt(100);
            for (Kind kind : values()) {
                at -= kind.inAHundred;
                if (at < 0) return kind;
            }
            return ASSUMED;
        }
    }

    /**
     * A student of whom it is not known how they learn: as assumed, in several speeds; up to a plateau; hardly; or with a
     * relapse. Their form wavers more than is assumed elsewhere, and not all of them alike.
     *
     * @param needed reps of their level
     */
    public static Learner anybody(RepsNeeded needed, Random random) {
        Kind kind = Kind.any(random);
        double start = 0.38 + 0.1 * random.nextGaussian();
        double ceiling =
                kind == Kind.LEVELS_OFF ? 0.62 + 0.07 * random.nextGaussian() : 0.88 + 0.05 * random.nextGaussian();
        double speed = Math.exp(0.6 * random.nextGaussian());
        return new Learner(
                random,
                Skill.uneven(
                        start, Math.min(0.97, ceiling), needed.byRung(speed * (kind == Kind.HARDLY ? 10 : 1)), random),
                0.2 + 0.5 * random.nextDouble(),
                kind == Kind.RELAPSES ? 1.0 / 30 : 0);
    }

    /** Another who learns nearly like this one, and stands where this one does. */
    public Learner alike() {
        Learner other = new Learner(random, skill.alike(random), waver, relapses);
        other.today = today;
        return other;
    }

    /** So many nights pass, and with the last a new day begins. */
    public void sleep(long nights) {
        for (long night = 1; night < nights; night++) night();
        if (nights > 0) wakeUp();
    }

    private void night() {
        skill.sleep();
        if (relapses > 0 && random.nextDouble() < relapses) {
            skill.lose(1 - LEFT);
            relapses = 0;
        }
    }

    /** A new day with its own form. */
    public void wakeUp() {
        night();
        today = waver * random.nextGaussian();
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
