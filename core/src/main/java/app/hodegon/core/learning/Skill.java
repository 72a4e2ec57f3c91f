package app.hodegon.core.learning;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Rung;
import java.util.Arrays;
import java.util.Random;

/**
 * How a movement is learned with repetitions: an assumption, not a finding. Learning on a rung follows an exponential
 * curve (Heathcote, Brown and Mewhort 2000); reps massed on one day count less and less; what a rung below has not
 * learned holds the next one up; feedback from outside helps early; nights without practice take a little away. What
 * half-steps, mixed sets and lesser strikes change is in {@link Circumstances}.
 */
public final class Skill {

    private static final int RUNGS = Rung.values().length;
    /** Of what a rung taught so much is there at the first rep of the next one up. */
    private static final double CARRIED_OVER = 0.35;

    /** So many reps of one rung in a day count for about two thirds of as many spread out. */
    private static final double MASSED = 120;

    /** What a rung teaches when the one below is not learned at all. */
    private static final double WITHOUT_GROUND = 0.35;

    private static final double EXTERNAL_FEEDBACK = 1.2;

    /** Spaced reps of who has passed a rung, in units of the reps to learn it: two thirds come with one. */
    private static final double PASSED = 1.4;

    private static final double KEPT_OVERNIGHT = 0.985;

    /** Each higher rung is harder to begin with. */
    private static final double HARDER = 0.03;

    /** Spread of a chance among those who learn nearly alike. */
    private static final double NEARLY = 0.02;

    /** What a rung asks beside another of the same student spreads: its first chance, and the logarithm of its reps. */
    private static final double FIRST_CHANCE = 0.06;

    private static final double REPS = 0.5;

    private final double start;
    private final double ceiling;
    private final double[] repsToLearn;
    private final double carries;

    /** Draws how hard each rung is beside the others; null where all are alike. */
    private final Random uneven;

    /** By so much harder or easier, in standard deviations; not a number until the rung is looked at. */
    private final double[][] hard;

    private final double[][] reps = new double[Fault.values().length][RUNGS];
    private final double[][] today = new double[Fault.values().length][RUNGS];

    /**
     * @param start chance of a good rep before any practice, 0 to 1
     * @param ceiling the chance that practice tends to
     * @param repsToLearn spaced reps after which about two thirds of a rung are learned
     */
    public Skill(double start, double ceiling, double repsToLearn) {
        this(start, ceiling, RepsNeeded.assumed(repsToLearn).byRung(1), CARRIED_OVER, null);
    }

    /** @param repsToLearn by rung */
    private Skill(double start, double ceiling, double[] repsToLearn, double carries, Random uneven) {
        this.carries = carries;
        this.start = start;
        this.ceiling = ceiling;
        this.repsToLearn = repsToLearn;
        this.uneven = uneven;
        this.hard = uneven == null ? null : new double[reps.length][RUNGS];
        if (hard != null) for (double[] rungs : hard) Arrays.fill(rungs, Double.NaN);
    }

    /**
     * Whose rungs are not all equally hard, and help the next one up more or less: how hard one is shows only when it is worked on.
     *
     * @param repsToLearn by rung, were they equally hard
     */
    static Skill uneven(double start, double ceiling, double[] repsToLearn, Random random) {
        return new Skill(start, ceiling, repsToLearn, CARRIED_OVER * random.nextDouble(), random);
    }

    /** Who has passed this rung has learned it and what lies under it, about three quarters of what can be learned. */
    public void know(Fault fault, Rung passed) {
        for (int r = 0; r <= passed.ordinal(); r++) reps[fault.ordinal()][r] = PASSED * repsToLearn[r];
    }

    /** One who learns nearly like this one, with as many reps behind. */
    Skill alike(Random random) {
        Skill other = new Skill(
                start + NEARLY * random.nextGaussian(),
                Math.min(0.97, ceiling + NEARLY * random.nextGaussian()),
                nearly(repsToLearn, random),
                carries,
                uneven);
        for (int f = 0; f < reps.length; f++) {
            System.arraycopy(reps[f], 0, other.reps[f], 0, RUNGS);
            System.arraycopy(today[f], 0, other.today[f], 0, RUNGS);
            // What was not worked on yet may be hard for the one and easy for the other.
            for (int r = 0; hard != null && r < RUNGS; r++) if (reps[f][r] > 0) other.hard[f][r] = hard[f][r];
        }
        return other;
    }

    private static double[] nearly(double[] reps, Random random) {
        double times = Math.exp(5 * NEARLY * random.nextGaussian());
        return Arrays.stream(reps).map(r -> r * times).toArray();
    }

    /** A typical student who needs about so many reps. */
    public static Skill typical(double repsToLearn) {
        return typical(RepsNeeded.assumed(repsToLearn));
    }

    /** A typical student of those who need so many. */
    public static Skill typical(RepsNeeded needed) {
        return new Skill(Learner.TYPICAL_START, Learner.TYPICAL_CEILING, needed.byRung(1), CARRIED_OVER, null);
    }

    /** A night passes: what was not practised that day fades a little. */
    public void sleep() {
        for (int f = 0; f < reps.length; f++) {
            for (int r = 0; r < RUNGS; r++) {
                if (today[f][r] == 0) reps[f][r] *= KEPT_OVERNIGHT;
                today[f][r] = 0;
            }
        }
    }

    /** So much of all that was learned is gone, 0 to 1. */
    void lose(double share) {
        for (double[] rungs : reps) for (int r = 0; r < RUNGS; r++) rungs[r] *= 1 - share;
    }

    /** So many reps. */
    public void practise(Fault fault, Rung rung, double count, Circumstances how) {
        int f = fault.ordinal();
        int r = rung.ordinal();
        if (how.mixed() && r > Rung.FEEL.ordinal()) {
            practise(
                    fault,
                    Rung.values()[r - 1],
                    count * Circumstances.OF_THE_RUNG_BELOW,
                    Circumstances.plain(how.external()));
        }
        double counted = spaced(rung, today[f][r], count, how);
        today[f][r] += count;
        if (r > Rung.FEEL.ordinal()) {
            counted *= WITHOUT_GROUND + (1 - WITHOUT_GROUND) * learned(fault, Rung.values()[r - 1]);
        }
        reps[f][r] += counted;
    }

    /**
     * What reps count for beside as many spread out, with a range ball and without feedback from outside.
     *
     * @param before reps on this rung on the same day
     */
    public static double spaced(Rung rung, double before, double count, Circumstances how) {
        double massed = MASSED * (Math.exp(-before / MASSED) - Math.exp(-(before + count) / MASSED));
        boolean told = how.external() && rung.compareTo(Rung.REHEARSE) <= 0;
        return massed * how.share() * (told ? EXTERNAL_FEEDBACK : 1);
    }

    /** How much of what can be learned on a rung is learned, 0 to 1. */
    public double learned(Fault fault, Rung rung) {
        double spaced = reps[fault.ordinal()][rung.ordinal()];
        if (spaced == 0) return 0;
        return 1 - Math.exp(-spaced / (repsToLearn[rung.ordinal()] * Math.exp(REPS * hard(fault, rung))));
    }

    /** Chance of a good rep on an ordinary day, 0 to 1. */
    public double chanceOfGood(Fault fault, Rung rung) {
        double first = Math.max(
                0.1, start - HARDER * rung.ordinal() - FIRST_CHANCE * hard(fault, rung) + carriedOver(fault, rung));
        return Math.max(0.05, Math.min(0.97, first + (ceiling - first) * learned(fault, rung)));
    }

    private double hard(Fault fault, Rung rung) {
        if (uneven == null) return 0;
        double[] rungs = hard[fault.ordinal()];
        if (Double.isNaN(rungs[rung.ordinal()])) rungs[rung.ordinal()] = uneven.nextGaussian();
        return rungs[rung.ordinal()];
    }

    private double carriedOver(Fault fault, Rung rung) {
        if (rung.ordinal() <= Rung.FEEL.ordinal()) return 0;
        return carries * learned(fault, Rung.values()[rung.ordinal() - 1]);
    }
}
