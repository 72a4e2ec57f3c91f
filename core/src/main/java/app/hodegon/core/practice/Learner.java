package app.hodegon.core.practice;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Level;
import java.util.EnumMap;
import java.util.Map;
import java.util.Random;

/**
 * A model of a student learning a movement, an assumption of the product and not a finding: the share of good reps on a
 * rung rises with the reps done on it towards a ceiling (an exponential learning curve), carries over in part from the
 * rung below, and wavers from day to day. Everything random comes from the given generator.
 */
public final class Learner {

    private static final double DAILY_WAVER = 0.35;
    private static final double CARRIED_OVER = 0.35;

    private final Random random;
    private final double start;
    private final double ceiling;
    private final double repsToLearn;
    private final Map<Fault, Map<Rung, Double>> reps = new EnumMap<>(Fault.class);
    private double today;

    private Learner(Random random, double start, double ceiling, double repsToLearn) {
        this.random = random;
        this.start = start;
        this.ceiling = ceiling;
        this.repsToLearn = repsToLearn;
    }

    /** A student of this level, drawn at random. */
    public static Learner draw(Level level, Random random) {
        double typicalReps = switch (level) {
            case BEGINNER -> 120;
            case IMPROVER -> 90;
            case CLUB -> 70;
            case SCRATCH -> 50;
        };
        return new Learner(
                random,
                0.35 + 0.1 * random.nextGaussian(),
                Math.min(0.97, 0.88 + 0.05 * random.nextGaussian()),
                typicalReps * Math.exp(0.35 * random.nextGaussian()));
    }

    /** A new day with its own form. */
    public void wakeUp() {
        today = DAILY_WAVER * random.nextGaussian();
    }

    /** Chance that a rep on this rung is good today. */
    public double chanceOfGood(Fault fault, Rung rung) {
        double skill = skill(fault, rung);
        return 1 / (1 + Math.exp(-(Math.log(skill / (1 - skill)) + today)));
    }

    /** So many reps; learning goes with them. The chance of a good one is looked up afresh every five. */
    public boolean[] practise(Fault fault, Rung rung, int count) {
        boolean[] good = new boolean[count];
        Map<Rung, Double> done = reps.computeIfAbsent(fault, f -> new EnumMap<>(Rung.class));
        double chance = 0;
        for (int rep = 0; rep < count; rep++) {
            if (rep % 5 == 0) {
                if (rep > 0) done.merge(rung, 5.0, Double::sum);
                chance = chanceOfGood(fault, rung);
            }
            good[rep] = random.nextDouble() < chance;
        }
        done.merge(rung, (double) (count - (count - 1) / 5 * 5), Double::sum);
        return good;
    }

    /** So many reps whose outcome nobody counts. */
    void learn(Fault fault, Rung rung, int count) {
        reps.computeIfAbsent(fault, f -> new EnumMap<>(Rung.class)).merge(rung, (double) count, Double::sum);
    }

    /** Skill on a rung, 0 to 1, apart from the day's form. */
    public double skill(Fault fault, Rung rung) {
        double first = Math.max(0.1, start - 0.03 * rung.ordinal() + carriedOver(fault, rung));
        return Math.max(0.05, Math.min(0.97, first + (ceiling - first) * learned(fault, rung)));
    }

    /** How much of what can be learned on a rung is learned, 0 to 1. */
    public double learned(Fault fault, Rung rung) {
        return 1 - Math.exp(-reps.getOrDefault(fault, Map.of()).getOrDefault(rung, 0.0) / repsToLearn);
    }

    private double carriedOver(Fault fault, Rung rung) {
        if (rung.ordinal() <= Rung.FEEL.ordinal()) return 0;
        return CARRIED_OVER * learned(fault, Rung.values()[rung.ordinal() - 1]);
    }
}
