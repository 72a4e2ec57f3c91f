package app.hodegon.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.approach.Choice;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Equipment;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Day;
import app.hodegon.core.plan.Plan.Kind;
import java.time.DayOfWeek;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** A day on the course is a round with one thought, and no practice ground. */
class CourseRoundTest {

    private static final DrillLibrary LIBRARY = DrillLibrary.standard();
    private static final Planner PLANNER = new Planner(LIBRARY);

    private static Week withSunday(Week week, int minutes) {
        EnumMap<DayOfWeek, Week.Slot> slots = new EnumMap<>(week.slots());
        slots.put(DayOfWeek.SUNDAY, new Week.Slot(minutes, Place.COURSE));
        return new Week(slots);
    }

    private static List<Day> rounds(PlanRequest request) {
        return PLANNER.plan(request).days().stream()
                .filter(d -> d.place() == Place.COURSE)
                .toList();
    }

    private static PlanRequest asked(int minutes, int days, Fault fault) {
        Student student = Requests.improver(withSunday(Requests.USUAL_WEEK, minutes));
        return Requests.of(student, Approach.DEFAULT, days, fault);
    }

    /** Of the body alone nothing is swung; its own exercise needs no course. */
    @ParameterizedTest
    @EnumSource(
            value = Fault.class,
            mode = EnumSource.Mode.EXCLUDE,
            names = {"STIFF_TRAIL_ANKLE", "STIFF_TRAIL_HIP"})
    void everyRoundHasAFewSwingsOfADrillThatNeedsNothingUnderfoot(Fault fault) {
        List<Day> rounds = rounds(asked(90, 14, fault));
        assertThat(rounds)
                .hasSize(2)
                .allSatisfy(day -> assertThat(day.blocks()).singleElement().satisfies(b -> {
                    assertThat(b.kind()).isEqualTo(Kind.TRY);
                    assertThat(b.balls()).isEqualTo(6);
                    assertThat(b.restSeconds()).isZero();
                    assertThat(b.scored()).isFalse();
                    assertThat(LIBRARY.drill(b.drill()).bare()).isTrue();
                    assertThat(b.cue()).isNotBlank();
                }));
    }

    @ParameterizedTest
    @CsvSource({"5, 4", "45, 4", "90, 6", "240, 8"})
    void aLongerRoundHasMoreOfThemButNeverMany(int minutes, int swings) {
        assertThat(rounds(asked(minutes, 7, Fault.SWAY))).singleElement().satisfies(day -> {
            assertThat(day.blocks()).singleElement().extracting(Block::balls).isEqualTo(swings);
            assertThat(day.seconds()).isLessThanOrEqualTo(minutes * 60);
        });
    }

    @Test
    void theThoughtIsOneThatWasMetAndNotWhatComesLater() {
        Plan plan = PLANNER.plan(asked(90, 7, Fault.SWAY));
        Block swing = plan.days().stream()
                .filter(d -> d.place() == Place.COURSE)
                .flatMap(d -> d.blocks().stream())
                .findFirst()
                .orElseThrow();
        List<String> met = plan.days().stream()
                .filter(d -> d.place() != Place.COURSE)
                .flatMap(d -> d.blocks().stream())
                .filter(b -> b.kind() != Kind.TRY)
                .map(Block::cue)
                .toList();
        assertThat(met).contains(swing.cue());
    }

    @Test
    void onceTheClimbHasComeToTheCourseARoundIsWorkAndChecked() {
        Student passed = Requests.improver(withSunday(Requests.USUAL_WEEK, 240))
                .after(List.of(new Student.Done("plain-swing", Rung.BUILD, true), done("finish-hold", Rung.FULL)));
        PlanRequest request = Requests.of(passed, Approach.DEFAULT, 14, Fault.HANGING_BACK);
        Plan plan = PLANNER.plan(request);
        assertThat(plan.route()).extracting(Plan.Step::rung).contains(Rung.TRANSFER);
        assertThat(rounds(request)).isNotEmpty().allSatisfy(day -> {
            assertThat(day.blocks().get(0).kind()).isEqualTo(Kind.MAIN);
            assertThat(day.blocks().get(0).balls()).isEqualTo(8);
            assertThat(day.blocks()).extracting(Block::kind).contains(Kind.CHECK);
        });
    }

    private static Student.Done done(String drill, Rung rung) {
        return new Student.Done(drill, rung, true);
    }

    /** Who has balls nowhere else would never come through a gate. */
    @Test
    void whereNoOtherDayHasBallsARoundIsWorkFromBuildOn() {
        Student student = Requests.improver(withSunday(Requests.everyDay(20, Place.HOME), 120))
                .after(List.of(done("plain-swing", Rung.BUILD)));
        assertThat(rounds(Requests.of(student, Approach.DEFAULT, 14, Fault.SWAY)))
                .hasSize(2)
                .allSatisfy(
                        day -> assertThat(day.blocks()).extracting(Block::kind).containsExactly(Kind.MAIN, Kind.CHECK));
    }

    @Test
    void whoPractisesNowhereElseDoesThereWhatCanBeDone() {
        Student student = Requests.improver(new Week(Map.of(DayOfWeek.SUNDAY, new Week.Slot(90, Place.COURSE))));
        assertThat(rounds(Requests.of(student, Approach.DEFAULT, 14, Fault.HANGING_BACK)))
                .hasSize(2)
                .allSatisfy(day -> assertThat(day.hasWork()).isTrue());
    }

    @Test
    void whoEarnsTheBallTriesNothingOnTheCourse() {
        Approach earning =
                new Approach(Approach.DEFAULT.school(), Map.of(Choice.Question.FIRST_BALL, Choice.EARN_THE_BALL));
        Student student = Requests.improver(withSunday(Requests.USUAL_WEEK, 90));
        assertThat(rounds(Requests.of(student, earning, 7, Fault.SWAY)))
                .allSatisfy(day -> assertThat(day.blocks()).noneMatch(b -> b.balls() > 0));
    }

    @Test
    void theCoachsOwnDrillForTheCourseGoesAlong() {
        FirstChoices own = new FirstChoices(
                Map.of(new Edits.StepId(Fault.LATE_RECENTRE, Rung.TRANSFER), List.of("rocking-start")));
        PlanRequest request = asked(90, 7, Fault.LATE_RECENTRE);
        assertThat(rounds(request.with(request.settings().with(own))))
                .singleElement()
                .satisfies(day -> assertThat(day.blocks().get(0).drill()).isEqualTo("rocking-start"));
    }

    @Test
    void triesAreNoRepsOfThePlan() {
        Plan plan = PLANNER.plan(asked(90, 7, Fault.SWAY));
        int work = plan.days().stream()
                .flatMap(d -> d.blocks().stream())
                .filter(b -> b.kind() != Kind.TRY)
                .mapToInt(Block::reps)
                .sum();
        assertThat(plan.totals().reps()).isEqualTo(work);
    }

    /** It stands first, as on every other day. */
    @Test
    void whatTheCoachKeepsOnTheCourseStands() {
        PlanRequest request = asked(90, 7, Fault.HANGING_BACK);
        Edits.Locked kept = new Edits.Locked(
                rounds(request).get(0).date(), Fault.HANGING_BACK, Rung.REHEARSE, "finish-hold", Kind.MAIN, 3, 5);
        PlanRequest keeping = request.with(new Edits(List.of(kept), Set.of(), Map.of(), Set.of()));
        assertThat(rounds(keeping))
                .singleElement()
                .satisfies(day -> assertThat(day.blocks())
                        .anyMatch(b -> b.locked() && b.drill().equals("finish-hold") && b.sets() == 3));
    }

    @Test
    void aSecondBallIsAPropAndATeeIsNot() {
        assertThat(LIBRARY.drill("outer-prop").bare()).isFalse();
        assertThat(LIBRARY.drill("pocket-glove").bare()).isFalse();
        assertThat(LIBRARY.drill("forward-ball").bare()).isTrue();
        assertThat(LIBRARY.drill("top-hold").bare()).isTrue();
    }

    @Test
    void aRodStaysAtHome() {
        Student student = Requests.improver(
                withSunday(Requests.USUAL_WEEK, 90), Set.of(), Set.of(Equipment.ROD, Equipment.TWO_RODS));
        assertThat(rounds(Requests.of(student, Approach.DEFAULT, 14, Fault.OPEN_SETUP)))
                .hasSize(2)
                .allSatisfy(day -> assertThat(day.blocks())
                        .allMatch(b -> LIBRARY.drill(b.drill()).bare()));
    }
}
