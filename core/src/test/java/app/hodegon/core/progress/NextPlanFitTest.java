package app.hodegon.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Grade;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Equipment;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Shoes;
import app.hodegon.core.plan.AgeBand;
import app.hodegon.core.plan.Level;
import app.hodegon.core.plan.PlanRequest;
import app.hodegon.core.plan.Student;
import app.hodegon.core.plan.Week;
import app.hodegon.core.progress.Proposal.Kind;
import app.hodegon.core.swing.Handedness;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What each proposal makes of the request for the next plan. */
class NextPlanFitTest {

    private static final LocalDate FROM = LocalDate.of(2026, 12, 1);
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
            assertThat(NextPlan.follows(kind)).as(kind.id()).isEqualTo(kind != Kind.LOOK_AGAIN && kind != Kind.MEASURE);
        }
    }
}
