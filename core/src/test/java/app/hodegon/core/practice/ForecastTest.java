package app.hodegon.core.practice;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Grade;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Equipment;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.drill.Shoes;
import app.hodegon.core.learning.RepsNeeded;
import app.hodegon.core.plan.AgeBand;
import app.hodegon.core.plan.Gates;
import app.hodegon.core.plan.Level;
import app.hodegon.core.plan.Plan;
import app.hodegon.core.plan.PlanRequest;
import app.hodegon.core.plan.Planner;
import app.hodegon.core.plan.Student;
import app.hodegon.core.plan.Week;
import app.hodegon.core.practice.Forecast.History;
import app.hodegon.core.practice.Forecast.Outlook;
import app.hodegon.core.swing.Handedness;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class ForecastTest {

    private static final LocalDate FROM = LocalDate.of(2026, 12, 1);
    private static final Week WEEK = new Week(Arrays.stream(DayOfWeek.values())
            .collect(Collectors.toMap(Function.identity(), d -> new Week.Slot(20, Place.HOME))));
    private static final Student STUDENT = new Student(
            Handedness.RIGHT,
            Level.IMPROVER,
            AgeBand.ADULT,
            Set.of(),
            Set.of(Equipment.BALL, Equipment.DISC),
            WEEK,
            Shoes.SOFT,
            List.of());
    private static final Plan PLAN = new Planner(DrillLibrary.standard())
            .plan(new PlanRequest(
                    STUDENT,
                    Approach.DEFAULT,
                    List.of(new PlanRequest.Focus(Fault.SWAY, Grade.LIKELY)),
                    Set.of(),
                    FROM,
                    FROM.plusDays(14)));

    /** One check set a day on the rung given, from the plan's first day on. */
    private static Map<Rung, Outlook> after(Rung rung, int... good) {
        List<PracticeSession> practice = IntStream.range(0, good.length)
                .mapToObj(day -> session(day, rung, good[day]))
                .toList();
        return outlooks(practice);
    }

    private static PracticeSession session(int day, Rung rung, int good) {
        String check = "+".repeat(good) + "-".repeat(10 - good);
        return PracticeSession.of(
                new UUID(rung.ordinal(), day),
                FROM.plusDays(day),
                List.of(
                        new BlockResult(0, Fault.SWAY, "disc-turn", rung, Plan.Kind.MAIN, "o".repeat(40)),
                        new BlockResult(1, Fault.SWAY, "disc-turn", rung, Plan.Kind.CHECK, check)));
    }

    private static Map<Rung, Outlook> outlooks(List<PracticeSession> practice) {
        List<CheckSet> checks =
                practice.stream().flatMap(s -> s.checks().stream()).toList();
        History history =
                new History(practice, Ladder.of(checks, Gates.STANDARD), FROM.plusDays(practice.size()), List.of());
        return Forecast.of(PLAN, STUDENT, DrillLibrary.standard(), history, Optional.empty()).entrySet().stream()
                .collect(Collectors.toMap(e -> e.getKey().rung(), Map.Entry::getValue));
    }

    @Test
    void goodChecksRaiseAndPoorOnesLowerWhatIsExpectedNext() {
        double before = after(Rung.FEEL).get(Rung.REHEARSE).chance();
        assertThat(after(Rung.FEEL, 10, 10).get(Rung.REHEARSE).chance()).isGreaterThan(before);
        assertThat(after(Rung.FEEL, 5, 5, 5, 5).get(Rung.REHEARSE).chance()).isLessThan(before);
    }

    @Test
    void whatAHouseHasLearntOfItsStudentsAndDrillsCounts() {
        double reps = STUDENT.level().repsToLearn();
        double usual = first(STUDENT);
        assertThat(first(STUDENT.needing(RepsNeeded.assumed(reps)))).isEqualTo(usual);
        assertThat(first(STUDENT.needing(new RepsNeeded(reps, Map.of(Rung.FEEL, 2.5), Map.of()))))
                .isLessThan(usual);
        assertThat(first(STUDENT.needing(new RepsNeeded(reps, Map.of(), Map.of("disc-turn", 2.5)))))
                .isLessThan(usual);
    }

    /** Chance of the first gate, nothing done yet. */
    private static double first(Student student) {
        return Forecast.of(PLAN, student, DrillLibrary.standard(), History.NONE, Optional.empty())
                .values()
                .iterator()
                .next()
                .chance();
    }

    @Test
    void aPassedGateIsCertainAndAReopenedOneIsNot() {
        assertThat(after(Rung.FEEL, 8, 9).get(Rung.FEEL).chance()).isEqualTo(1);
        List<PracticeSession> stepsBack = List.of(
                session(0, Rung.FEEL, 8),
                session(1, Rung.FEEL, 9),
                session(2, Rung.REHEARSE, 3),
                session(3, Rung.REHEARSE, 4));
        assertThat(outlooks(stepsBack).get(Rung.FEEL).chance()).isBetween(0.2, 0.99);
    }

    @Test
    void theLikelyDayIsAPlannedOneStillToCome() {
        Outlook feel = after(Rung.FEEL, 7).get(Rung.FEEL);
        assertThat(feel.chance()).isGreaterThan(0.5);
        assertThat(feel.likelyOn().orElseThrow()).isAfterOrEqualTo(FROM.plusDays(1));
        assertThat(PLAN.days())
                .extracting(Plan.Day::date)
                .contains(feel.likelyOn().orElseThrow());
        assertThat(after(Rung.FEEL, 8, 9).get(Rung.FEEL).likelyOn()).isEmpty();
    }

    @Test
    void withOneDayLeftAGateThatNeedsTwoIsOutOfReach() {
        int days = PLAN.days().size();
        Map<Rung, Outlook> late =
                after(Rung.FEEL, IntStream.range(0, days - 1).map(d -> 5).toArray());
        assertThat(late.get(Rung.FEEL).chance()).isZero();
    }
}
