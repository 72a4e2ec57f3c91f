package app.hodegon.core.practice;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Form;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.drill.Shoes;
import app.hodegon.core.learning.Learner;
import app.hodegon.core.plan.AgeBand;
import app.hodegon.core.plan.Gate;
import app.hodegon.core.plan.Gates;
import app.hodegon.core.plan.Level;
import app.hodegon.core.plan.Plan;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Day;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.plan.Plan.Step;
import app.hodegon.core.plan.Student;
import app.hodegon.core.plan.Week;
import app.hodegon.core.swing.Handedness;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** A simulated student on the way up a plan. */
class PlanWalkTest {

    private static final LocalDate DAY = LocalDate.of(2026, 12, 1);
    private static final List<Step> LADDER =
            List.of(step(Rung.FEEL), step(Rung.REHEARSE), step(Rung.SHORT), step(Rung.BUILD), step(Rung.FULL));
    private static final Student STUDENT = new Student(
            Handedness.RIGHT,
            Level.IMPROVER,
            AgeBand.ADULT,
            Set.of(),
            Set.of(),
            new Week(Map.of()),
            Shoes.SOFT,
            List.of());

    private static PlanWalk.Ways ways(List<Step> ladder) {
        Plan plan =
                new Plan(ladder, List.of(), new Plan.Totals(0, 0, 0, 0), List.of(), List.of(), List.of(), List.of());
        return new PlanWalk.Ways(plan, STUDENT, DrillLibrary.standard());
    }

    private static Step step(Rung rung) {
        return new Step(rung, Fault.SWAY, "disc-turn", Optional.of(Gate.STANDARD), "");
    }

    private static PlanWalk walk(double reps, long seed) {
        return new PlanWalk(Learner.draw(reps, new Random(seed)), ways(LADDER));
    }

    private static Day day(int day, Place place, Kind kind, Fault fault) {
        Block block = new Block(
                fault,
                "disc-turn",
                Rung.FEEL,
                kind,
                1,
                10,
                20,
                0,
                120,
                "",
                kind == Kind.CHECK,
                0,
                false,
                false,
                Optional.empty(),
                Form.NONE,
                50,
                Optional.empty());
        return new Day(DAY.plusDays(day), place, 600, List.of(block));
    }

    private static Day check(int day) {
        return day(day, Place.HOME, Kind.CHECK, Fault.SWAY);
    }

    private static CheckSet set(int day, Rung rung, int good) {
        return new CheckSet(DAY.plusDays(day), Fault.SWAY, "disc-turn", rung, good, 10, Optional.empty());
    }

    @Test
    void laddersAreTheGatedStepsByFault() {
        Step prepare = new Step(Rung.PREPARE, Fault.SWAY, "edge-notice", Optional.empty(), "");
        Step other = new Step(Rung.FEEL, Fault.NO_LOAD, "arch-press", Optional.of(Gate.STANDARD), "");
        Plan plan = new Plan(
                List.of(prepare, LADDER.get(0), LADDER.get(1), other),
                List.of(),
                new Plan.Totals(0, 0, 0, 0),
                List.of(),
                List.of(),
                List.of(),
                List.of());
        assertThat(PlanWalk.ladders(plan))
                .containsEntry(Fault.SWAY, LADDER.subList(0, 2))
                .containsEntry(Fault.NO_LOAD, List.of(other));
    }

    @Test
    void whatIsPractisedIsTheOpenStepAndRecordedAsStored() {
        PlanWalk student = walk(600, 1);
        BlockResult main =
                student.practise(day(0, Place.HOME, Kind.MAIN, Fault.SWAY)).get(0);
        assertThat(main.marks()).isEqualTo("oooooooooo");
        BlockResult check = student.practise(check(1)).get(0);
        assertThat(check.marks()).hasSize(10).matches("\\+*-*");
        assertThat(check.rung()).isEqualTo(Rung.FEEL);
        assertThat(check.block()).isZero();
        assertThat(student.practise(day(2, Place.HOME, Kind.MAIN, Fault.NO_LOAD)))
                .as("nothing of a fault that has no ladder")
                .isEmpty();
    }

    @Test
    void whereAStudentStandsComesFromTheLadder() {
        PlanWalk student = walk(600, 2);
        student.stand(Ladder.of(
                List.of(set(0, Rung.FEEL, 8), set(1, Rung.FEEL, 9), set(2, Rung.REHEARSE, 8)), Gates.STANDARD));
        assertThat(student.passed(Fault.SWAY)).isEqualTo(1);
        assertThat(student.practise(check(3)).get(0).rung()).isEqualTo(Rung.REHEARSE);
        student.stand(new Ladder(Map.of()));
        assertThat(student.passed(Fault.SWAY)).isZero();
    }

    @Test
    void oneGoodSetMoreEndsAGateThatWasHalfDone() {
        int ended = 0;
        for (int seed = 0; seed < 60; seed++) {
            PlanWalk student = walk(60, seed);
            for (int d = 0; d < 12; d++) student.walk(day(d, Place.HOME, Kind.MAIN, Fault.SWAY));
            student.stand(Ladder.of(List.of(set(0, Rung.FEEL, 9)), Gates.STANDARD));
            student.walk(check(13));
            if (student.passed(Fault.SWAY) == 1) ended++;
        }
        assertThat(ended).as("for quick learners mostly").isGreaterThan(30);
    }

    @Test
    void atHomeTheHighestStepIsDoneThatNeedsNoFullSwing() {
        List<CheckSet> twoPassed =
                List.of(set(0, Rung.FEEL, 8), set(1, Rung.FEEL, 9), set(2, Rung.REHEARSE, 8), set(3, Rung.REHEARSE, 8));
        PlanWalk student = walk(600, 3);
        student.stand(Ladder.of(twoPassed, Gates.STANDARD));
        assertThat(student.practise(day(4, Place.HOME, Kind.MAIN, Fault.SWAY))
                        .get(0)
                        .rung())
                .as("a brushed mark is a short ball's lesser form")
                .isEqualTo(Rung.SHORT);
        assertThat(student.practise(day(5, Place.RANGE, Kind.MAIN, Fault.SWAY))
                        .get(0)
                        .rung())
                .isEqualTo(Rung.SHORT);
        PlanWalk ballsOnly = new PlanWalk(Learner.draw(600, new Random(3)), ways(List.of(step(Rung.FULL))));
        assertThat(ballsOnly.practise(day(0, Place.HOME, Kind.MAIN, Fault.SWAY)))
                .isEmpty();
    }

    @Test
    void whoLearnsNearlyAlikeGoesItsOwnWay() {
        PlanWalk student = walk(60, 4);
        student.stand(Ladder.of(List.of(set(0, Rung.FEEL, 8), set(1, Rung.FEEL, 9)), Gates.STANDARD));
        PlanWalk other = student.alike();
        assertThat(other.passed(Fault.SWAY)).isEqualTo(1);
        double before = student.learner().chanceOfGood(Fault.SWAY, Rung.REHEARSE);
        for (int d = 2; d < 30; d++) other.walk(day(d, Place.HOME, Kind.MAIN, Fault.SWAY));
        assertThat(student.learner().chanceOfGood(Fault.SWAY, Rung.REHEARSE)).isEqualTo(before);
        assertThat(other.learner().chanceOfGood(Fault.SWAY, Rung.REHEARSE)).isGreaterThan(before);
    }

    @Test
    void practiceTeachesAndAPauseCosts() {
        double afterPractice = 0;
        double afterPause = 0;
        double atFirst = 0;
        for (int seed = 0; seed < 40; seed++) {
            PlanWalk student = walk(300, seed);
            student.wakeUpOn(DAY);
            atFirst += student.learner().chanceOfGood(Fault.SWAY, Rung.FEEL);
            for (int d = 0; d < 8; d++) student.walk(day(d, Place.HOME, Kind.MAIN, Fault.SWAY));
            student.wakeUpOn(DAY.plusDays(8));
            afterPractice += student.learner().chanceOfGood(Fault.SWAY, Rung.FEEL);
            student.wakeUpOn(DAY.plusDays(60));
            afterPause += student.learner().chanceOfGood(Fault.SWAY, Rung.FEEL);
        }
        assertThat(afterPractice).isGreaterThan(atFirst + 1);
        assertThat(afterPause).isLessThan(afterPractice);
    }

    @Test
    void manyPoorSetsStepBackAndManyGoodOnesClimb() {
        List<Integer> climbed = new ArrayList<>();
        for (int seed = 0; seed < 30; seed++) {
            PlanWalk student = walk(80, seed);
            for (int d = 0; d < 60; d++) {
                student.walk(day(d, Place.RANGE, Kind.MAIN, Fault.SWAY));
                student.walk(day(d, Place.RANGE, Kind.CHECK, Fault.SWAY));
            }
            climbed.add(student.passed(Fault.SWAY));
        }
        assertThat(climbed).allMatch(n -> n >= 0 && n <= LADDER.size()).anyMatch(n -> n == LADDER.size());
        PlanWalk slow = walk(100_000, 1);
        slow.stand(Ladder.of(List.of(set(0, Rung.FEEL, 8), set(1, Rung.FEEL, 9)), Gates.STANDARD));
        for (int d = 2; d < 12; d++) slow.walk(check(d));
        assertThat(slow.passed(Fault.SWAY)).as("opened again below").isLessThanOrEqualTo(1);
    }
}
