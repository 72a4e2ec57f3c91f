package app.hodegon.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Grade;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Equipment;
import app.hodegon.core.drill.HalfStep;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.drill.Shoes;
import app.hodegon.core.plan.AgeBand;
import app.hodegon.core.plan.Level;
import app.hodegon.core.plan.Plan;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.PlanRequest;
import app.hodegon.core.plan.Planner;
import app.hodegon.core.plan.Refit;
import app.hodegon.core.plan.Student;
import app.hodegon.core.plan.Week;
import app.hodegon.core.progress.Proposal.Kind;
import app.hodegon.core.swing.Handedness;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What each proposal makes of the request for the next plan. */
class NextPlanFitTest {

    private static final LocalDate FROM = LocalDate.of(2026, 12, 1);
    private static final DrillLibrary LIBRARY = DrillLibrary.standard();
    private static final PlanRequest REQUEST = new PlanRequest(
            new Student(
                    Handedness.RIGHT,
                    Level.IMPROVER,
                    AgeBand.ADULT,
                    Set.of(),
                    Set.of(Equipment.BALL, Equipment.DISC),
                    new Week(Map.of(
                            DayOfWeek.MONDAY, new Week.Slot(20, Place.HOME),
                            DayOfWeek.WEDNESDAY, new Week.Slot(20, Place.HOME),
                            DayOfWeek.SATURDAY, new Week.Slot(60, Place.RANGE))),
                    Shoes.SOFT,
                    List.of()),
            Approach.of(Map.of()),
            List.of(
                    new PlanRequest.Focus(Fault.SWAY, Grade.LIKELY),
                    new PlanRequest.Focus(Fault.LATE_RECENTRE, Grade.LIKELY)),
            Set.of(Fault.SWAY, Fault.LATE_RECENTRE),
            FROM,
            FROM.plusDays(14));

    private static PlanRequest fitted(Kind kind, Double share) {
        return NextPlan.fit(kind, REQUEST, DrillLibrary.standard(), Optional.ofNullable(share));
    }

    private static int minutes(PlanRequest request) {
        return request.student().week().slots().values().stream()
                .mapToInt(Week.Slot::minutes)
                .sum();
    }

    @Test
    void aSmallerPlanAsksForLessTheLessWasDone() {
        assertThat(minutes(fitted(Kind.SMALLER_PLAN, 0.4))).isLessThan(minutes(REQUEST));
        assertThat(minutes(fitted(Kind.SMALLER_PLAN, 0.1)))
                .isLessThanOrEqualTo(minutes(fitted(Kind.SMALLER_PLAN, 0.45)));
        assertThat(minutes(fitted(Kind.SMALLER_PLAN, null))).isPositive();
    }

    @Test
    void theSameRungGetsMoreDaysAndShorterSets() {
        PlanRequest denser = fitted(Kind.SAME_RUNG, 0.9);
        assertThat(denser.student().week().slots().size())
                .isGreaterThan(REQUEST.student().week().slots().size());
        assertThat(denser.edits().shortSets()).isNotEmpty();
    }

    /** What its sentence says: two short days a week for three weeks, and scored balls at their end. */
    @Test
    void whatIsDoneIsKeptByASmallPlan() {
        PlanRequest keeping = fitted(Kind.DONE, 0.9);
        assertThat(keeping.student().week().slots().values())
                .hasSizeLessThanOrEqualTo(2)
                .allMatch(slot -> slot.minutes() <= 15);
        assertThat(ChronoUnit.DAYS.between(keeping.from(), keeping.nextLesson()))
                .isEqualTo(20);
        assertThat(keeping.settings().lessonCheck()).isTrue();
        Plan plan = new Planner(LIBRARY)
                .plan(keeping.with(keeping.student()
                        .after(Stream.of(Rung.values())
                                .map(r -> new Student.Done("disc-turn", r, true))
                                .toList())));
        assertThat(plan.days().stream().flatMap(d -> d.blocks().stream()))
                .as("also where every rung is passed")
                .isNotEmpty();
    }

    @Test
    void anEasierFormIsTheSameRungSlowerAndInFives() {
        Plan before = new Planner(LIBRARY).plan(REQUEST);
        Plan easier = new Planner(LIBRARY).plan(fitted(Kind.EASIER_FORM, 0.9));
        Block first = main(easier);
        assertThat(first.rung()).isEqualTo(main(before).rung());
        assertThat(first.condition()).map(HalfStep::id).contains("slower");
        assertThat(first.repsPerSet()).isLessThanOrEqualTo(5);
    }

    private static Block main(Plan plan) {
        return plan.days().get(0).blocks().stream()
                .filter(b -> b.kind() == Plan.Kind.MAIN)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void goingOnAndMeasuringBeginsTheNextLessonWithScoredBalls() {
        assertThat(fitted(Kind.GO_ON_AND_MEASURE, 0.9).settings().lessonCheck()).isTrue();
    }

    /** Another feedback is proposed only where it would be the main work of most days. */
    @Test
    void anotherFeedbackIsTheMainWorkOfMostDaysOrNotProposed() {
        assertThat(Refit.couldTellOtherwise(REQUEST, LIBRARY)).isTrue();
        String drill = fitted(Kind.OTHER_FEEDBACK, 0.9)
                .edits()
                .chosen()
                .values()
                .iterator()
                .next();
        Plan plan = new Planner(LIBRARY).plan(fitted(Kind.OTHER_FEEDBACK, 0.9));
        List<Block> mains = plan.days().stream()
                .flatMap(d -> d.blocks().stream())
                .filter(b -> b.kind() == Plan.Kind.MAIN && b.fault() == Fault.SWAY)
                .filter(b -> b.rung() == main(plan).rung())
                .toList();
        assertThat(mains).filteredOn(b -> b.drill().equals(drill)).hasSizeGreaterThan(mains.size() / 2);
    }

    @ParameterizedTest
    @EnumSource(
            value = Kind.class,
            names = {"GO_ON", "ADVANCE"})
    void otherwiseItStaysAsAsked(Kind kind) {
        assertThat(fitted(kind, 0.9)).isEqualTo(REQUEST);
    }

    @Test
    void onlyLookingAndMeasuringLeadToNoPlan() {
        for (Kind kind : Kind.values()) {
            assertThat(NextPlan.follows(kind))
                    .as(kind.id())
                    .isEqualTo(!EnumSet.of(Kind.LOOK_AGAIN, Kind.LOOK_FURTHER, Kind.MEASURE)
                            .contains(kind));
        }
    }
}
