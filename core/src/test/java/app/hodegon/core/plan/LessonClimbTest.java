package app.hodegon.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Planner.ClimbPart;
import app.hodegon.core.swing.SwingLength;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** In the lesson the coach leads from the drill to the full swing. */
class LessonClimbTest {

    private static final DrillLibrary LIBRARY = DrillLibrary.standard();
    private static final Planner PLANNER = new Planner(LIBRARY);

    private static List<Rung> rungs(List<ClimbPart> parts) {
        return parts.stream().map(p -> p.step().rung()).toList();
    }

    @Test
    void goesFromTheDrillByShortAndShoulderToFullAndSharesTheTimeOut() {
        List<ClimbPart> parts = PLANNER.climb(Requests.of(Fault.SWAY), 30);
        assertThat(rungs(parts)).containsExactly(Rung.FEEL, Rung.SHORT, Rung.BUILD, Rung.FULL);
        assertThat(parts).extracting(ClimbPart::minutes).containsExactly(9, 9, 6, 6);
        assertThat(parts)
                .extracting(ClimbPart::length)
                .containsExactly(
                        Optional.empty(),
                        Optional.of(SwingLength.WAIST),
                        Optional.of(SwingLength.SHOULDER),
                        Optional.of(SwingLength.FULL));
    }

    /** The lesson has its bay even where the student practises at home only. */
    @ParameterizedTest
    @EnumSource
    void everyFaultThatIsSwungHasOneForWhoeverPractisesAtHomeToo(Fault fault) {
        PlanRequest request =
                Requests.of(Requests.improver(Requests.everyDay(15, Place.HOME)), Approach.DEFAULT, 14, fault);
        List<ClimbPart> parts = PLANNER.climb(request, 30);
        if (fault.ofTheBody()) {
            assertThat(parts).isEmpty();
            return;
        }
        assertThat(rungs(parts)).as(fault.id()).endsWith(Rung.FULL).isSorted();
        assertThat(parts).allSatisfy(p -> {
            Drill drill = LIBRARY.drill(p.step().drill());
            assertThat(drill.places()).contains(Place.RANGE);
        });
        for (int minutes = 10; minutes <= 120; minutes++) {
            List<ClimbPart> shared = PLANNER.climb(request, minutes);
            assertThat(shared.stream().mapToInt(ClimbPart::minutes).sum()).isEqualTo(minutes);
            assertThat(shared).allMatch(p -> p.minutes() > 0);
        }
    }

    /** What was passed long ago is no way round the pain. */
    @Test
    void nobodyIsLedUpOutOfPain() {
        Student passed = Requests.improver(Requests.USUAL_WEEK)
                .after(PLANNER
                        .plan(Requests.of(Requests.improver(Requests.USUAL_WEEK), Approach.DEFAULT, 28, Fault.SWAY))
                        .route()
                        .stream()
                        .filter(s -> s.rung().compareTo(Rung.FULL) <= 0)
                        .map(s -> new Student.Done(s.drill(), s.rung(), true))
                        .toList());
        PlanRequest request = Requests.of(passed, Approach.DEFAULT, 14, Fault.SWAY);
        assertThat(rungs(PLANNER.climb(request, 30))).contains(Rung.FULL);
        PlanRequest hurt = request.after(new PlanRequest.SoFar(
                Map.of(),
                Optional.of(new PlanRequest.Ease(Map.of(Fault.SWAY, Rung.SHORT), Requests.FROM.plusDays(7)))));
        assertThat(rungs(PLANNER.climb(hurt, 30))).isNotEmpty().allMatch(r -> r.compareTo(Rung.SHORT) <= 0);
    }

    @Test
    void ofABodyCauseAndASwingFaultItIsTheSwingsClimb() {
        List<ClimbPart> parts = PLANNER.climb(Requests.of(Fault.STIFF_TRAIL_ANKLE, Fault.EARLY_SPIN), 30);
        assertThat(parts).isNotEmpty().allMatch(p -> p.step().fault() == Fault.EARLY_SPIN);
    }

    @Test
    void usesTheCoachsFirstChoiceAndNothingThatAFlagForbids() {
        String own = PLANNER.alternatives(Requests.of(Fault.SWAY), Fault.SWAY, Rung.SHORT)
                .get(1)
                .drill();
        FirstChoices first = new FirstChoices(Map.of(new Edits.StepId(Fault.SWAY, Rung.SHORT), List.of(own)));
        List<ClimbPart> parts = PLANNER.climb(Requests.of(Fault.SWAY).with(PlanRequest.Settings.USUAL.with(first)), 30);
        assertThat(parts.get(1).step().drill()).isEqualTo(own);

        for (Joint joint : Joint.values()) {
            Student sore = Requests.student(Level.IMPROVER, AgeBand.ADULT, Set.of(joint), Requests.USUAL_WEEK);
            assertThat(PLANNER.climb(Requests.of(sore, Approach.DEFAULT, 14, Fault.SWAY), 30))
                    .noneMatch(p -> LIBRARY.drill(p.step().drill()).neverWith().contains(joint));
        }
    }

    @Test
    void whatWasPassedIsClimbedAgain() {
        Student passed = Requests.improver(Requests.USUAL_WEEK)
                .after(PLANNER.plan(Requests.of(Fault.SWAY)).route().stream()
                        .filter(s -> s.rung().compareTo(Rung.SHORT) <= 0)
                        .map(s -> new Student.Done(s.drill(), s.rung(), true))
                        .toList());
        List<ClimbPart> parts = PLANNER.climb(Requests.of(passed, Approach.DEFAULT, 14, Fault.SWAY), 30);
        assertThat(rungs(parts)).contains(Rung.SHORT, Rung.BUILD, Rung.FULL);
        assertThat(parts.get(0).length()).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 9, 121})
    void aClimbOfNoTimeOrOfADayIsRefused(int minutes) {
        assertThatThrownBy(() -> PLANNER.climb(Requests.of(Fault.SWAY), minutes))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessage("A climb takes 10 to 120 min.");
    }
}
