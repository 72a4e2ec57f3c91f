package app.hodegon.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.approach.Choice;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Day;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.plan.PlanRequest.Worked;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A session at the range climbs: the day's work, a few short balls, to the shoulder, full; the upper ones are tries. */
class RangeSessionTest {

    private static final Planner PLANNER = new Planner(DrillLibrary.standard());

    private static List<Day> rangeDays(Plan plan) {
        return plan.days().stream().filter(d -> d.place() == Place.RANGE).toList();
    }

    private static int balls(Day day) {
        return day.blocks().stream().mapToInt(Block::balls).sum();
    }

    private static List<Block> tries(Day day) {
        return day.blocks().stream().filter(b -> b.kind() == Kind.TRY).toList();
    }

    /** Whatever the fault, the level and the age. */
    @ParameterizedTest
    @EnumSource
    void anHourHoldsTwentyFiveToSixtyBalls(Fault fault) {
        if (fault.ofTheBody()) return;
        for (Level level : Level.values()) {
            for (AgeBand age : AgeBand.values()) {
                Plan plan = PLANNER.plan(Requests.of(
                        Requests.student(level, age, Set.of(), Requests.USUAL_WEEK), Approach.DEFAULT, 14, fault));
                assertThat(rangeDays(plan)).isNotEmpty().allSatisfy(day -> {
                    assertThat(balls(day)).as("%s %s %s", level, age, day).isBetween(25, 60);
                    climbs(day);
                });
            }
        }
    }

    private static void climbs(Day day) {
        List<Block> tries = tries(day);
        assertThat(tries).extracting(Block::rung).isSorted().doesNotHaveDuplicates();
        if (tries.isEmpty()) return;
        int first = day.blocks().indexOf(tries.get(0));
        assertThat(day.blocks().subList(first, day.blocks().size()))
                .as("they come last")
                .isEqualTo(tries);
        assertThat(day.blocks().subList(0, first))
                .as("and stand above the rest, or go on at the top")
                .allMatch(b -> b.rung().compareTo(tries.get(0).rung()) < 0
                        || tries.size() == 1 && b.rung() == tries.get(0).rung());
        assertThat(tries).noneMatch(Block::scored).allMatch(b -> b.rung() != Rung.TRANSFER);
    }

    @Test
    void aFlaggedJointHalvesThem() {
        PlanRequest request = Requests.of(
                Requests.student(Level.IMPROVER, AgeBand.ADULT, Set.of(Joint.BALANCE), Requests.USUAL_WEEK),
                Approach.DEFAULT,
                14,
                Fault.SWAY);
        DrillLibrary library = DrillLibrary.standard();
        RangeSession saturday =
                new RangeSession(request, library, new DrillChoice(request, library), LocalDate.of(2026, 12, 5));
        assertThat(library.drill("outer-prop").loads(Joint.BALANCE)).isTrue();
        assertThat(saturday.balls(library.drill("plain-swing"))).isEqualTo(35);
        assertThat(saturday.balls(library.drill("outer-prop"))).isEqualTo(18);
    }

    @Test
    void theFirstRangeDayGoesFromTheDrillToTheFullSwing() {
        Day first = rangeDays(PLANNER.plan(Requests.of(Fault.SWAY))).get(0);
        assertThat(first.blocks().stream().filter(b -> b.kind() != Kind.REFRESH))
                .extracting(Block::kind, Block::rung)
                .containsExactly(
                        tuple(Kind.MAIN, Rung.REHEARSE),
                        tuple(Kind.MAIN, Rung.SHORT),
                        tuple(Kind.CHECK, Rung.REHEARSE),
                        tuple(Kind.TRY, Rung.BUILD),
                        tuple(Kind.TRY, Rung.FULL));
        assertThat(first.seconds()).isLessThanOrEqualTo(3600);
    }

    @Test
    void whereACheckLeftTheGateOpenItIsOneRungHigherAndNoMore() {
        StepId open = new StepId(Fault.SWAY, Rung.FEEL);
        PlanRequest after = Requests.of(Fault.SWAY)
                .after(new PlanRequest.SoFar(
                        Map.of(open, new Worked(Map.of("disc-turn", 2), false)), Optional.empty()));
        assertThat(rangeDays(PLANNER.plan(after)))
                .isNotEmpty()
                .allMatch(day -> tries(day).size() <= 1);
        PlanRequest good = Requests.of(Fault.SWAY)
                .after(new PlanRequest.SoFar(Map.of(open, new Worked(Map.of("disc-turn", 1), true)), Optional.empty()));
        assertThat(rangeDays(PLANNER.plan(good))).anyMatch(day -> tries(day).size() > 1);
    }

    @Test
    void nothingIsTriedByWhomeverHurtsOrEarnsTheBall() {
        Approach earned =
                new Approach(Approach.DEFAULT.school(), Map.of(Choice.Question.FIRST_BALL, Choice.EARN_THE_BALL));
        Student healthy = Requests.improver(Requests.USUAL_WEEK);
        PlanRequest sore = Requests.of(Fault.SWAY)
                .after(new PlanRequest.SoFar(
                        Map.of(), Optional.of(new PlanRequest.Ease(Map.of(), Requests.FROM.plusDays(14)))));
        for (PlanRequest request : List.of(Requests.of(healthy, earned, 14, Fault.SWAY), sore)) {
            assertThat(rangeDays(PLANNER.plan(request)))
                    .isNotEmpty()
                    .allMatch(day -> tries(day).isEmpty());
        }
    }

    /** Short and long: five minutes are one thing, four hours are no day of six hundred balls. */
    @Test
    void theMinutesDecideHowManyBalls() {
        int before = 0;
        for (int minutes : new int[] {5, 20, 40, 60, 90}) {
            Student student = Requests.improver(Requests.week(minutes));
            int balls = rangeDays(PLANNER.plan(Requests.of(student, Approach.DEFAULT, 14, Fault.SWAY))).stream()
                    .mapToInt(RangeSessionTest::balls)
                    .max()
                    .orElse(0);
            assertThat(balls).as("in %d minutes", minutes).isBetween(before, minutes + 10);
            before = balls;
        }
        Student allDay = Requests.student(Level.SCRATCH, AgeBand.ADULT, Set.of(), Requests.week(240));
        assertThat(rangeDays(PLANNER.plan(Requests.of(allDay, Approach.DEFAULT, 14, Fault.SWAY))))
                .as("nobody hits well for four hours")
                .allMatch(day -> balls(day) <= 90);
    }

    /** What the body lacks is short and daily beside the climb, whichever was named first. */
    @Test
    void theOrderOfTwoFaultsHardlyChangesTheWork() {
        List<String> differing = new ArrayList<>();
        for (Fault one : Fault.values()) {
            for (Fault other : Fault.values()) {
                if (one.compareTo(other) >= 0) continue;
                int there = PLANNER.plan(Requests.of(one, other)).totals().reps();
                int back = PLANNER.plan(Requests.of(other, one)).totals().reps();
                if (Math.abs(there - back) > Math.max(there, back) / 2) {
                    differing.add("%s, %s: %d and %d".formatted(one.id(), other.id(), there, back));
                }
            }
        }
        assertThat(differing).isEmpty();
    }

    @Test
    void nothingIsCheckedThatIsNotWorkedOn() {
        for (Fault one : Fault.values()) {
            for (Fault other : Fault.values()) {
                if (one == other) continue;
                for (Day day : PLANNER.plan(Requests.of(one, other)).days()) {
                    assertThat(day.blocks().stream().filter(b -> b.kind() == Kind.CHECK))
                            .as("%s, %s on %s", one, other, day.date())
                            .allMatch(check -> day.blocks().stream()
                                    .anyMatch(b -> b.kind() == Kind.MAIN
                                            && b.fault() == check.fault()
                                            && b.rung() == check.rung()));
                }
            }
        }
    }
}
