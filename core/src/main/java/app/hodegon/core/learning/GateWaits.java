package app.hodegon.core.learning;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Rung;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import java.util.stream.Stream;

/**
 * How many spaced reps the gate of a rung takes students of whom nothing is known, those below it passed: simulated students, each
 * as {@link Learner#anybody} has it, climb a ladder.
 */
final class GateWaits {

    private static final int STUDENTS = 800;
    private static final long SEED = 20261201;
    private static final Fault ANY = Fault.SWAY;

    /** A day's reps on one rung, the last of them its check. */
    private static final int DAY = 25;

    private static final int CHECK = 10;
    private static final int ENOUGH = 8;

    /** Who is not through by then is not counted on. */
    private static final int MOST_DAYS = 40;

    private static final List<Rung> RUNGS =
            Stream.of(Rung.values()).filter(Rung::gated).toList();

    /** Reps to learn are told apart in such steps. */
    private static final double STEP = 1.1;

    /** Students of so many steps to either side count too: without them chance would tell one step from the next. */
    private static final int ABOUT = 2;

    private static final Map<Long, Map<Rung, GateWaits>> SIMULATED = new ConcurrentHashMap<>();
    private static final Map<Long, Map<Rung, GateWaits>> WAITS = new ConcurrentHashMap<>();

    /** Reps after which each who got through was through, in order. */
    private final double[] through;

    /** Students who came to the rung. */
    private final int came;

    private GateWaits(double[] through, int came) {
        this.through = through;
        this.came = came;
    }

    /**
     * @param repsToLearn 1 and more
     * @param rung one with a gate
     */
    static GateWaits of(double repsToLearn, Rung rung) {
        long step = Math.round(Math.log(repsToLearn) / Math.log(STEP));
        return WAITS.computeIfAbsent(step, GateWaits::about).get(rung);
    }

    private static Map<Rung, GateWaits> about(long step) {
        List<Map<Rung, GateWaits>> near = LongStream.rangeClosed(step - ABOUT, step + ABOUT)
                .mapToObj(s -> SIMULATED.computeIfAbsent(s, at -> simulate(Math.pow(STEP, at))))
                .toList();
        Map<Rung, GateWaits> together = new EnumMap<>(Rung.class);
        for (Rung rung : RUNGS) {
            together.put(
                    rung,
                    new GateWaits(
                            near.stream()
                                    .flatMapToDouble(waits -> Arrays.stream(waits.get(rung).through))
                                    .sorted()
                                    .toArray(),
                            near.stream()
                                    .mapToInt(waits -> waits.get(rung).came)
                                    .sum()));
        }
        return together;
    }

    private static Map<Rung, GateWaits> simulate(double repsToLearn) {
        Random random = new Random(SEED);
        Learner[] climbing = new Learner[STUDENTS];
        for (int i = 0; i < STUDENTS; i++) climbing[i] = Learner.anybody(RepsNeeded.assumed(repsToLearn), random);
        Map<Rung, GateWaits> waits = new EnumMap<>(Rung.class);
        for (Rung rung : RUNGS) {
            double[] reps = Arrays.stream(climbing)
                    .mapToDouble(learner -> repsToPass(learner, rung))
                    .toArray();
            waits.put(
                    rung,
                    new GateWaits(
                            Arrays.stream(reps)
                                    .filter(Double::isFinite)
                                    .sorted()
                                    .toArray(),
                            reps.length));
            Learner[] all = climbing;
            climbing = IntStream.range(0, reps.length)
                    .filter(i -> Double.isFinite(reps[i]))
                    .mapToObj(i -> all[i])
                    .toArray(Learner[]::new);
        }
        return waits;
    }

    private static double repsToPass(Learner learner, Rung rung) {
        Circumstances plain = Circumstances.plain(false);
        double reps = 0;
        boolean good = false;
        for (int day = 1; day <= MOST_DAYS; day++) {
            learner.wakeUp();
            learner.learn(ANY, rung, DAY, plain);
            int count = 0;
            for (boolean rep : learner.practise(ANY, rung, CHECK, plain)) if (rep) count++;
            reps += Skill.spaced(rung, 0, DAY + CHECK, plain);
            if (good && count >= ENOUGH) return reps;
            good = count >= ENOUGH;
        }
        return Double.POSITIVE_INFINITY;
    }

    /** Share of students who are through within so many reps, 0 to 1. */
    double within(double reps) {
        int at = Arrays.binarySearch(through, reps);
        int below = at < 0 ? -at - 1 : at + 1;
        // Nothing is certain, least of all beyond what was looked at.
        return (below + 0.5) / (came + 1);
    }

    /** Reps within which half are through. */
    double half() {
        return through[Math.min(through.length - 1, came / 2)];
    }
}
