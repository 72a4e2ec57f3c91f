package app.hodegon.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Grade;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Equipment;
import app.hodegon.core.drill.Feedback;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.drill.Shoes;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.plan.Week.Slot;
import app.hodegon.core.swing.Handedness;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What a next plan is made of after a last one that did not bring what it should. */
class RefitTest {

    private static final DrillLibrary LIBRARY = DrillLibrary.standard();
    private static final LocalDate FROM = LocalDate.of(2026, 12, 1);

    private static PlanRequest request(List<Student.Done> done, Fault... faults) {
        return new PlanRequest(
                new Student(
                        Handedness.RIGHT,
                        Level.IMPROVER,
                        AgeBand.ADULT,
                        Set.of(),
                        Set.of(Equipment.values()),
                        new Week(Map.of(
                                DayOfWeek.MONDAY, new Slot(20, Place.HOME),
                                DayOfWeek.THURSDAY, new Slot(30, Place.HOME),
                                DayOfWeek.SATURDAY, new Slot(60, Place.RANGE))),
                        Shoes.SOFT,
                        done),
                Approach.DEFAULT,
                Stream.of(faults)
                        .map(f -> new PlanRequest.Focus(f, Grade.LIKELY))
                        .toList(),
                Set.of(),
                FROM,
                FROM.plusDays(14));
    }

    private static Plan.Step current(PlanRequest request) {
        return new Planner(LIBRARY)
                .plan(request).route().stream()
                        .filter(s -> s.gate().isPresent())
                        .findFirst()
                        .orElseThrow();
    }

    @Test
    void aSmallerPlanAsksForWhatWasDone() {
        PlanRequest smaller = Refit.smaller(request(List.of(), Fault.SWAY, Fault.LEAD_FOOT_SPIN), 0.5);
        assertThat(smaller.focus()).extracting(PlanRequest.Focus::fault).containsExactly(Fault.SWAY);
        assertThat(smaller.student().week().slots().values())
                .extracting(Slot::minutes)
                .containsExactlyInAnyOrder(10, 15, 30);
        assertThat(Refit.smaller(request(List.of(), Fault.SWAY), 0).student().week())
                .as("nothing done at all still leaves a plan")
                .isEqualTo(request(List.of(), Fault.SWAY).student().week().scaled(0.4));
        assertThat(Refit.smaller(request(List.of(), Fault.SWAY), 1.3).student().week())
                .isEqualTo(request(List.of(), Fault.SWAY).student().week());
    }

    @ParameterizedTest
    @EnumSource(
            value = Fault.class,
            names = {"SWAY", "REVERSE_PIVOT", "LATE_RECENTRE", "HANGING_BACK", "EARLY_EXTENSION"})
    void aDenserPlanHasOneMoreDayShortSetsAndSomethingToTouchOrHear(Fault fault) {
        PlanRequest asked = request(List.of(), fault);
        PlanRequest denser = Refit.denser(asked, LIBRARY);
        assertThat(denser.student().week().slots()).hasSize(4);
        Plan plan = new Planner(LIBRARY).plan(denser);
        Plan.Step step = current(denser);
        assertThat(step.rung()).isEqualTo(current(asked).rung());
        assertThat(LIBRARY.drill(step.drill()).feedback()).containsAnyOf(Feedback.TOUCH, Feedback.SOUND);
        List<Block> mains = plan.days().stream()
                .flatMap(d -> d.blocks().stream())
                .filter(b -> b.kind() == Kind.MAIN && b.rung() == step.rung())
                .toList();
        assertThat(mains).isNotEmpty().allMatch(b -> b.repsPerSet() <= 5);
    }

    @ParameterizedTest
    @EnumSource(
            value = Fault.class,
            names = {"SWAY", "LATE_RECENTRE", "HANGING_BACK"})
    void anotherFeedbackIsOneTheDrillInUseHadNot(Fault fault) {
        Plan.Step first = current(request(List.of(), fault));
        PlanRequest asked = request(List.of(new Student.Done(first.drill(), first.rung(), false)), fault);
        PlanRequest other = Refit.otherFeedback(asked, LIBRARY);
        String chosen = other.edits().chosen().get(new StepId(fault, first.rung()));
        assertThat(chosen).isNotNull().isNotEqualTo(first.drill());
        assertThat(LIBRARY.drill(chosen).feedback())
                .anyMatch(f ->
                        f.external() && !LIBRARY.drill(first.drill()).feedback().contains(f));
        assertThat(current(other).drill()).isEqualTo(chosen);
        assertThat(current(other).why()).startsWith("by the proposal you took");
    }

    @Test
    void whoIsPastThePlainFormBeginsWithHalfSteps() {
        PlanRequest asked = request(List.of(), Fault.SWAY);
        PlanRequest ahead = asked.with(asked.edits().goingOn(Set.of(new StepId(Fault.SWAY, Rung.FEEL))));
        assertThat(firstMain(asked, Rung.FEEL).condition()).isEmpty();
        assertThat(firstMain(ahead, Rung.FEEL).condition()).isPresent();
        assertThat(firstMain(ahead, Rung.REHEARSE).condition()).isEmpty();
    }

    private static Block firstMain(PlanRequest request, Rung rung) {
        return new Planner(LIBRARY)
                .plan(request).days().stream()
                        .flatMap(d -> d.blocks().stream())
                        .filter(b -> b.kind() == Kind.MAIN && b.rung() == rung)
                        .findFirst()
                        .orElseThrow();
    }

    @Test
    void shortSetsHoldOnlyOnTheRungTheyWereAskedFor() {
        PlanRequest asked = request(List.of(), Fault.SWAY);
        PlanRequest fives = asked.with(asked.edits().inShortSets(Set.of(new StepId(Fault.SWAY, Rung.FEEL))));
        Plan plan = new Planner(LIBRARY).plan(fives);
        assertThat(plan.days().stream().flatMap(d -> d.blocks().stream()).filter(b -> b.kind() == Kind.MAIN))
                .anyMatch(b -> b.rung() != Rung.FEEL && b.repsPerSet() > 5)
                .noneMatch(b -> b.rung() == Rung.FEEL && b.repsPerSet() > 5);
    }
}
