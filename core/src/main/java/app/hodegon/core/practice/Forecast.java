package app.hodegon.core.practice;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.learning.Learner;
import app.hodegon.core.plan.Plan;
import app.hodegon.core.plan.Plan.Day;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.plan.Plan.Step;
import app.hodegon.core.plan.Student;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.hipparchus.distribution.discrete.BinomialDistribution;

/**
 * The chance of being through each gate by the next lesson: the share of simulated students who are. They are drawn from
 * all kinds of learners of the level, practise what this student practised, and are kept in proportion to how well they explain this student's
 * own check sets (a particle filter with systematic resampling, Kitagawa 1996; whoever is kept twice goes on nearly, not
 * wholly, alike); then they go on with the plan, each keeping the days of somebody with this student's {@link Attendance}.
 * Rests on what {@link Learner#anybody} allows for.
 */
public final class Forecast {

    private static final int STUDENTS = 400;

    /** Attendances that the students have, in turns. */
    private static final int SHARES = 25;

    private static final long SEED = 20260101;

    /** Resample when the weights leave fewer than this share of the students effective. */
    private static final double FEW = 0.5;

    private Forecast() {}

    /**
     * What is to be expected of one gate.
     *
     * @param chance of being through by the next lesson, 0 to 1
     * @param likelyOn the first day on which half of the students are through; empty while none is, and for a gate
     *     passed already
     */
    public record Outlook(double chance, Optional<LocalDate> likelyOn) {}

    /**
     * What is known of a student.
     *
     * @param practice what was done so far, oldest first; also before this plan
     * @param ladder where that left the student
     * @param today what lies before it is behind; a day practised already is, too
     * @param planned the days of earlier plans
     */
    public record History(List<PracticeSession> practice, Ladder ladder, LocalDate today, List<LocalDate> planned) {

        /** Nothing done yet. */
        public static final History NONE = new History(List.of(), new Ladder(Map.of()), LocalDate.MIN, List.of());

        public History {
            practice = List.copyOf(practice);
            planned = List.copyOf(planned);
        }
    }

    /**
     * Per step of the route that has a gate, in the route's order; always falling along one fault's route.
     *
     * @param lessonCheck the day of the lesson that begins with scored balls; empty where none does
     */
    public static Map<Step, Outlook> of(
            Plan plan, Student who, DrillLibrary library, History history, Optional<LocalDate> lessonCheck) {
        PlanWalk.Ways ways = new PlanWalk.Ways(plan, who, library);
        Random random = new Random(SEED);
        List<PlanWalk> drawn = new ArrayList<>();
        for (int i = 0; i < STUDENTS; i++) {
            drawn.add(new PlanWalk(Learner.anybody(who.needs(), random), ways));
        }
        List<PlanWalk> students = believing(drawn, history.practice(), ways, random);
        students.forEach(student -> student.stand(history.ladder()));

        Set<LocalDate> practised =
                history.practice().stream().map(PracticeSession::day).collect(Collectors.toSet());
        Attendance attendance = Attendance.of(
                Stream.concat(
                                history.planned().stream(),
                                plan.days().stream().filter(Day::hasWork).map(Day::date))
                        .toList(),
                practised,
                history.today());
        double[] keeps = attendance.shares(SHARES);
        List<Day> ahead = plan.days().stream()
                .filter(d -> !d.date().isBefore(history.today()) && !practised.contains(d.date()))
                .toList();

        Count count = new Count(ways.ladders());
        count.start(students);
        for (Day day : ahead) {
            for (int i = 0; i < STUDENTS; i++) {
                if (random.nextDouble() < keeps[i % SHARES]) students.get(i).walk(day);
            }
            count.after(day.date(), students);
        }
        lessonCheck.ifPresent(lesson -> {
            students.forEach(student -> student.inLesson(lesson));
            count.after(lesson, students);
        });
        return count.outlooks();
    }

    /** The students who explain these check sets, as many as before. */
    private static List<PlanWalk> believing(
            List<PlanWalk> students, List<PracticeSession> practice, PlanWalk.Ways ways, Random random) {
        double[] weights = equal();
        List<PlanWalk> now = students;
        for (PracticeSession session : practice) {
            boolean scored = false;
            for (int i = 0; i < now.size(); i++) {
                PlanWalk student = now.get(i);
                student.wakeUpOn(session.day());
                for (BlockResult block : session.blocks()) {
                    if (isScored(block)) {
                        weights[i] *= likelihood(block, student.learner().chanceOfGood(block.fault(), block.rung()));
                        scored = true;
                    }
                    student.learner()
                            .learn(
                                    block.fault(),
                                    block.rung(),
                                    block.reps(),
                                    ways.plain(block.drill()).withStrikes(block.form()));
                }
            }
            if (scored && effective(weights) < FEW * now.size()) {
                now = resampled(now, weights, random);
                weights = equal();
            }
        }
        return resampled(now, weights, random);
    }

    private static boolean isScored(BlockResult block) {
        return block.kind() == Kind.CHECK && block.reps() > 0;
    }

    private static double likelihood(BlockResult block, double chance) {
        // A floor, so that one unlikely set never rules everybody out.
        return 1e-6 + new BinomialDistribution(block.reps(), chance).probability(block.good());
    }

    private static double[] equal() {
        double[] weights = new double[STUDENTS];
        Arrays.fill(weights, 1);
        return weights;
    }

    /** Kish's effective sample size. */
    private static double effective(double[] weights) {
        double sum = 0;
        double squares = 0;
        for (double w : weights) {
            sum += w;
            squares += w * w;
        }
        return sum * sum / squares;
    }

    private static List<PlanWalk> resampled(List<PlanWalk> students, double[] weights, Random random) {
        double total = 0;
        for (double w : weights) total += w;
        double step = total / students.size();
        double at = random.nextDouble() * step;
        List<PlanWalk> kept = new ArrayList<>(students.size());
        double reached = 0;
        for (int i = 0; i < students.size(); i++) {
            reached += weights[i];
            boolean first = true;
            for (; kept.size() < students.size() && at < reached; at += step) {
                kept.add(first ? students.get(i) : students.get(i).alike());
                first = false;
            }
        }
        while (kept.size() < students.size())
            kept.add(students.get(students.size() - 1).alike());
        return kept;
    }

    /** How many are through each gate, and since when half are. */
    private static final class Count {
        private final Map<Step, Integer> through = new LinkedHashMap<>();
        private final Map<Step, LocalDate> half = new LinkedHashMap<>();
        private final Set<Step> passed = new HashSet<>();
        private final Map<Fault, List<Step>> ladders;

        Count(Map<Fault, List<Step>> ladders) {
            this.ladders = ladders;
        }

        void start(List<PlanWalk> students) {
            ladders.forEach((fault, steps) -> {
                for (int i = 0; i < steps.size(); i++) {
                    through.put(steps.get(i), passed(fault, i, students));
                    if (through.get(steps.get(i)) == STUDENTS) passed.add(steps.get(i));
                }
            });
        }

        void after(LocalDate day, List<PlanWalk> students) {
            ladders.forEach((fault, steps) -> {
                for (int i = 0; i < steps.size(); i++) {
                    int before = through.get(steps.get(i));
                    // Who is through is not asked again, though some of such students would step back.
                    if (passed.contains(steps.get(i))) continue;
                    int now = passed(fault, i, students);
                    through.put(steps.get(i), now);
                    if (2 * before < STUDENTS && 2 * now >= STUDENTS) half.put(steps.get(i), day);
                }
            });
        }

        private static int passed(Fault fault, int gate, List<PlanWalk> students) {
            int count = 0;
            for (PlanWalk student : students) if (student.passed(fault) > gate) count++;
            return count;
        }

        Map<Step, Outlook> outlooks() {
            Map<Step, Outlook> outlooks = new LinkedHashMap<>();
            through.forEach((step, count) ->
                    outlooks.put(step, new Outlook((double) count / STUDENTS, Optional.ofNullable(half.get(step)))));
            return outlooks;
        }
    }
}
