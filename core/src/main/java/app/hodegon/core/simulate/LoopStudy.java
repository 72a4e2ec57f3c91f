package app.hodegon.core.simulate;

import app.hodegon.core.practice.DrillRecord.Practised;
import app.hodegon.core.practice.HouseReps;
import app.hodegon.core.progress.Proposal;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Whole seasons of students whom nothing here assumes: learners of other families, faults that show otherwise than the
 * catalogue says, a coach who errs, days that are not kept, students who call too much good. Each lesson is diagnosed,
 * proposed, planned and practised by the real engine; what follows from what is counted.
 */
public final class LoopStudy {

    private static final double ERRS = 0.1;

    private final int students;
    private final long seed;
    private final boolean remembers;
    private final HouseReps house;
    private final double times;

    /** @param remembers whether a lesson knows of the ones before it */
    public LoopStudy(int students, long seed, boolean remembers) {
        this(students, seed, remembers, HouseReps.NONE, 1);
    }

    /**
     * @param remembers whether a lesson knows of the ones before it
     * @param house what was learnt of other students; planner and forecast know it
     * @param times so many times the reps of their level do they take
     */
    public LoopStudy(int students, long seed, boolean remembers, HouseReps house, double times) {
        this.times = times;
        this.house = house;
        this.students = students;
        this.seed = seed;
        this.remembers = remembers;
    }

    /** So many of so many. */
    public record Share(int hits, int of) {
        Share and(Share other) {
            return new Share(hits + other.hits, of + other.of);
        }

        public double share() {
            return of == 0 ? 0 : (double) hits / of;
        }
    }

    /** By lesson, whether its first focus was a root. */
    static final List<Counted> ROOTS = List.of(Counted.ROOT_1, Counted.ROOT_2, Counted.ROOT_3, Counted.ROOT_4);

    /** What is counted, in the order of the table. */
    public enum Counted {
        ABOVE_AN_OPEN_GATE("days worked above a gate that a check had left open"),
        EMPTY_PLAN("plans without a day of work"),
        ADVANCED_TO_THE_SAME("\"advance\" to the same fault"),
        ANOTHER_TWICE("\"another feedback\" or \"easier\" twice running"),
        CONFLICT_FOLLOWED("conflicts of work and diagnosis that are proposed to be followed"),
        LOOKED_AGAIN("non-improvers who practised, looked at again or turned to what is likely by the third lesson"),
        IMPROVER_BLAMED("proposals to improvers that blame drill or diagnosis"),
        ROOT_1("first focus a true root, lesson 1"),
        ROOT_2("first focus a true root, lesson 2"),
        ROOT_3("first focus a true root, lesson 3"),
        ROOT_4("first focus a true root, lesson 4"),
        SURE_GATE_PASSED("gates given 90 % or more that were passed"),
        STANDS_STILL_LISTED("learned nothing in four weeks of practice, and on the list as stuck or lost"),
        STUCK_THOUGH_LEARNING("on the list as stuck, of whom a third or more was learned there in the last fortnight");

        private final String label;

        Counted(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /**
     * @param counts by what is counted
     * @param proposals how often each was proposed
     * @param forecast chances at hand-over against what was passed by the next lesson
     * @param logScore mean logarithm of the chance given to what happened
     * @param notKnowing the same of the same plans, had the forecast known nothing of the house
     * @param practice of each student
     */
    public record Result(
            Map<Counted, Share> counts,
            Map<Proposal.Kind, Integer> proposals,
            Reliability forecast,
            double logScore,
            double notKnowing,
            List<Practised> practice) {}

    public Result run() {
        OtherEyes eyes = new OtherEyes(new Random(seed), ERRS);
        List<StrangeSeason> seasons = IntStream.range(0, students)
                .parallel()
                .mapToObj(i -> {
                    StrangeSeason season = new StrangeSeason(
                            eyes,
                            remembers,
                            house,
                            times,
                            new Random(new SplittableRandom(seed * 1_000_003 + i).nextLong()));
                    season.live();
                    return season;
                })
                .toList();
        Map<Counted, Share> counts = new EnumMap<>(Counted.class);
        Map<Proposal.Kind, Integer> proposals = new EnumMap<>(Proposal.Kind.class);
        List<Reliability.Case> cases = new ArrayList<>();
        for (StrangeSeason season : seasons) {
            season.counts().forEach((what, share) -> counts.merge(what, share, Share::and));
            season.proposals().forEach(kind -> proposals.merge(kind, 1, Integer::sum));
            cases.addAll(season.cases());
        }
        List<Reliability.Case> sure =
                cases.stream().filter(c -> c.chance() >= 0.9).toList();
        counts.put(
                Counted.SURE_GATE_PASSED,
                new Share((int) sure.stream().filter(Reliability.Case::happened).count(), sure.size()));
        return new Result(
                counts,
                proposals,
                Reliability.of(cases),
                score(cases.stream()),
                score(seasons.stream().flatMap(season -> season.notKnowing().stream())),
                seasons.stream().map(StrangeSeason::practised).toList());
    }

    private static double score(Stream<Reliability.Case> cases) {
        return cases.mapToDouble(Reliability.Case::logScore).average().orElse(0);
    }
}
