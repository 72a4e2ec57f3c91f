package app.hodegon.core.simulate;

import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.learning.Learner;
import app.hodegon.core.plan.Gates;
import app.hodegon.core.plan.Plan;
import app.hodegon.core.plan.Plan.Day;
import app.hodegon.core.plan.Plan.Step;
import app.hodegon.core.plan.PlanRequest;
import app.hodegon.core.plan.Planner;
import app.hodegon.core.practice.Forecast;
import app.hodegon.core.practice.Ladder;
import app.hodegon.core.practice.PlanWalk;
import app.hodegon.core.practice.PracticeSession;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.SplittableRandom;
import java.util.UUID;
import java.util.stream.IntStream;

/**
 * Simulated students practise a part of their plans, are forecast from what they did, and go on: do gates given 70 % pass
 * about 70 times in a hundred?
 */
public final class ForecastStudy {

    private static final int DAYS = 28;

    private final int students;
    private final long seed;
    private final Planner planner = new Planner(DrillLibrary.standard());

    public ForecastStudy(int students, long seed) {
        this.students = students;
        this.seed = seed;
    }

    /** Every gate still open on the day of the forecast is a case. */
    public Reliability run() {
        return Reliability.of(IntStream.range(0, students)
                .parallel()
                .mapToObj(i -> cases(new Random(new SplittableRandom(seed * 1_000_003 + i).nextLong())))
                .flatMap(List::stream)
                .toList());
    }

    private List<Reliability.Case> cases(Random random) {
        PlanRequest request = PlanStudy.request(random, DAYS);
        Plan plan = planner.plan(request);
        if (plan.days().isEmpty()) return List.of();
        DrillLibrary library = DrillLibrary.standard();
        PlanWalk student = new PlanWalk(
                Learner.anybody(request.student().needs(), random),
                new PlanWalk.Ways(plan, request.student(), library));
        // Drawn from the beta distribution of four days kept to one missed.
        double keeps = Math.pow(random.nextDouble(), 1.0 / 4);
        int until = random.nextInt(plan.days().size());
        List<PracticeSession> done = new ArrayList<>();
        for (Day day : plan.days().subList(0, until)) {
            if (random.nextDouble() < keeps) done.add(session(student, day));
        }
        Map<Step, Forecast.Outlook> outlooks = Forecast.of(
                plan,
                request.student(),
                library,
                new Forecast.History(
                        done,
                        Ladder.of(
                                done.stream().flatMap(d -> d.checks().stream()).toList(), Gates.STANDARD),
                        plan.days().get(until).date(),
                        List.of()),
                Optional.empty());
        Map<Step, Boolean> open = open(plan, student);
        for (Day day : plan.days().subList(until, plan.days().size())) {
            if (random.nextDouble() < keeps) student.practise(day);
        }
        Map<Step, Boolean> stillOpen = open(plan, student);
        List<Reliability.Case> cases = new ArrayList<>();
        outlooks.forEach((step, outlook) -> {
            if (open.get(step)) cases.add(new Reliability.Case(outlook.chance(), !stillOpen.get(step)));
        });
        return cases;
    }

    private static Map<Step, Boolean> open(Plan plan, PlanWalk student) {
        Map<Step, Boolean> open = new LinkedHashMap<>();
        PlanWalk.ladders(plan).forEach((fault, steps) -> {
            for (int i = 0; i < steps.size(); i++) open.put(steps.get(i), student.passed(fault) <= i);
        });
        return open;
    }

    private static PracticeSession session(PlanWalk student, Day day) {
        return PracticeSession.of(new UUID(0, day.date().toEpochDay()), day.date(), student.practise(day));
    }
}
