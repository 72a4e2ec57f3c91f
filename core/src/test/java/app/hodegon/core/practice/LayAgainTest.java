package app.hodegon.core.practice;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Grade;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Equipment;
import app.hodegon.core.drill.Form;
import app.hodegon.core.drill.HalfStep;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.drill.Shoes;
import app.hodegon.core.plan.AgeBand;
import app.hodegon.core.plan.Edits;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Gates;
import app.hodegon.core.plan.Level;
import app.hodegon.core.plan.Plan;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.plan.PlanRequest;
import app.hodegon.core.plan.Planner;
import app.hodegon.core.plan.Student;
import app.hodegon.core.plan.Week;
import app.hodegon.core.plan.Week.Slot;
import app.hodegon.core.swing.Handedness;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** What a day of practice makes of the days left. */
class LayAgainTest {

    private static final DrillLibrary LIBRARY = DrillLibrary.standard();
    private static final LocalDate DAY = LocalDate.of(2026, 12, 2);
    private static final StepId FEEL = new StepId(Fault.SWAY, Rung.FEEL);
    private static final PlanRequest REQUEST = new PlanRequest(
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
                    List.of()),
            Approach.DEFAULT,
            List.of(new PlanRequest.Focus(Fault.SWAY, Grade.LIKELY)),
            Set.of(),
            DAY,
            DAY.plusDays(21));

    private final List<CheckSet> done = new ArrayList<>();
    private PlanRequest request = REQUEST;

    private static BlockResult check(String drill, Rung rung, int good) {
        return new BlockResult(
                0, Fault.SWAY, drill, rung, Kind.CHECK, "+".repeat(good) + "-".repeat(CheckSet.REPS - good));
    }

    private Ladder ladder() {
        return Ladder.of(done, Gates.STANDARD);
    }

    /** A day with these blocks; the days left are asked for with what came of it. */
    private LayAgain practised(int day, BlockResult... blocks) {
        return practised(day, List.of(), 0, blocks);
    }

    private LayAgain practised(int day, List<String> stopped, int missed, BlockResult... blocks) {
        PracticeSession session = PracticeSession.of(new UUID(0, day), DAY.plusDays(day), List.of(blocks));
        Ladder before = ladder();
        done.addAll(session.checks());
        request = request.with(request.student().after(ladder().done()))
                .after(new PlanRequest.SoFar(ladder().worked(Gates.STANDARD), Optional.empty()))
                .from(DAY.plusDays(day + 1L));
        LayAgain again = LayAgain.after(new LayAgain.Day(session, before, ladder(), stopped, missed), request, LIBRARY);
        request = request.with(again.edits());
        return again;
    }

    private Plan plan() {
        return new Planner(LIBRARY).plan(request);
    }

    private List<Block> mains() {
        return plan().days().stream()
                .map(d -> d.blocks().stream()
                        .filter(b -> b.kind() == Kind.MAIN)
                        .findFirst()
                        .orElseThrow())
                .toList();
    }

    private String ownDrill() {
        return new Planner(LIBRARY)
                .plan(REQUEST).route().stream()
                        .filter(s -> s.gate().isPresent())
                        .findFirst()
                        .orElseThrow()
                        .drill();
    }

    @Test
    void aCheckUnderTheGateHoldsTheNextDayAndMakesItEasier() {
        LayAgain again = practised(0, check(ownDrill(), Rung.FEEL, 6));
        assertThat(again.reasons()).containsExactly("Feel stays at 6 of 10, it takes 8: slower on its next day.");
        assertThat(again.edits().easier()).containsExactly(FEEL);
        assertThat(mains().get(0).rung()).isEqualTo(Rung.FEEL);
        assertThat(mains().get(0).condition()).map(HalfStep::id).contains("slower");
    }

    @Test
    void afterTwoAnotherDrillTellsOtherwiseInFivesAndKeepsItsTurn() {
        String first = ownDrill();
        practised(0, check(first, Rung.FEEL, 6));
        LayAgain again = practised(2, check(first, Rung.FEEL, 7));
        String other = again.edits().instead().get(FEEL);
        assertThat(other).isNotNull().isNotEqualTo(first);
        assertThat(LIBRARY.drill(other).feedback())
                .as("in a way the first one did not")
                .anyMatch(f -> f.external() && !LIBRARY.drill(first).feedback().contains(f));
        assertThat(again.why()).startsWith("Feel stays at 7 of 10, it takes 8: in fives, with ");
        assertThat(again.edits().easier()).isEmpty();
        assertThat(mains().get(0).drill()).isEqualTo(other);
        assertThat(mains().get(0).repsPerSet()).isLessThanOrEqualTo(5);
        assertThat(plan().route())
                .filteredOn(step -> step.rung() == Rung.FEEL)
                .extracting(Plan.Step::why)
                .singleElement()
                .asString()
                .startsWith("tells otherwise than the one that was stuck");

        LayAgain third = practised(4, check(other, Rung.FEEL, 7));
        assertThat(third.edits().instead()).as("it has had one check").containsEntry(FEEL, other);
        assertThat(third.why()).endsWith("The coach is asked to look.");
    }

    /** However long a rung is held, no evening comes back for the fourth time running. */
    @Test
    void aRungHeldForLongDoesNotBecomeTheSameEvening() {
        List<Block> evenings = new ArrayList<>();
        for (int day = 0; day < 12; day++) {
            Block main = mains().get(0);
            assertThat(main.rung()).isEqualTo(Rung.FEEL);
            evenings.add(main);
            practised(day, check(main.drill(), Rung.FEEL, 6));
        }
        for (int day = 3; day < evenings.size(); day++) {
            Block last = evenings.get(day);
            assertThat(evenings.subList(day - 3, day)).as("day %d", day).anyMatch(b -> !b.looksLike(last));
        }
    }

    @Test
    void aDrillThatTakesOverBeginsPlain() {
        String first = ownDrill();
        practised(0, check(first, Rung.FEEL, 6));
        practised(2, check(first, Rung.FEEL, 7));
        assertThat(mains().get(0).condition()).isEmpty();
    }

    @Test
    void whatTheCoachChoseStays() {
        request = request.with(new Edits(List.of(), Set.of(), Map.of(FEEL, "outer-prop"), Set.of()));
        practised(0, check("outer-prop", Rung.FEEL, 5));
        LayAgain again = practised(2, check("outer-prop", Rung.FEEL, 6));
        assertThat(again.edits().instead()).isEmpty();
        assertThat(again.why()).contains("in fives and slower");
        assertThat(mains().get(0).drill()).isEqualTo("outer-prop");
    }

    /** The check decides, however well the drill went before it: what is said of fives is done. */
    @Test
    void aHarderStepThatHeldDoesNotUndoWhatACheckHeld() {
        String first = ownDrill();
        Told harder =
                new Told(List.of(), List.of(), Optional.empty(), List.of(), List.of(new Turn(8, Turn.Kind.HARDER)));
        BlockResult main = new BlockResult(
                1,
                Fault.SWAY,
                first,
                Rung.FEEL,
                Kind.MAIN,
                "++++++++" + "+++++",
                Form.NONE,
                Optional.empty(),
                harder,
                Optional.empty());
        assertThat(practised(0, main, check(first, Rung.FEEL, 8)).edits().ahead())
                .as("with a good check its half-steps are due")
                .contains(FEEL);
        practised(1, check(first, Rung.FEEL, 6));
        LayAgain again = practised(2, main, check(first, Rung.FEEL, 6));
        assertThat(again.why()).contains("in fives");
        assertThat(again.edits().shortSets()).contains(FEEL);
    }

    @Test
    void aPassedGateLeavesAllThatBehind() {
        String first = ownDrill();
        practised(0, check(first, Rung.FEEL, 6));
        practised(2, check(first, Rung.FEEL, 7));
        assertThat(practised(4, check(first, Rung.FEEL, 8)).reasons())
                .containsExactly("Feel: 8 of 10, once more on another day.");
        LayAgain passed = practised(6, check(first, Rung.FEEL, 9));
        assertThat(passed.reasons()).containsExactly("Feel was passed.");
        assertThat(passed.edits().shortSets()).isEmpty();
        assertThat(passed.edits().instead()).isEmpty();
        assertThat(mains().get(0).rung()).isGreaterThan(Rung.FEEL);
    }

    @Test
    void aStepBackGoesDownWhereThereIsALowerRung() {
        String first = ownDrill();
        practised(0, check(first, Rung.FEEL, 8));
        practised(1, check(first, Rung.FEEL, 9));
        practised(2, check("rod-underfoot", Rung.REHEARSE, 3));
        assertThat(practised(3, check("rod-underfoot", Rung.REHEARSE, 4)).reasons())
                .containsExactly("Rehearse was too high for now: a step back.");
        assertThat(mains().get(0).rung()).isEqualTo(Rung.FEEL);
    }

    @Test
    void onTheLowestRungItIsTheRungThatComesEasier() {
        String first = ownDrill();
        practised(0, check(first, Rung.FEEL, 3));
        LayAgain again = practised(1, check(first, Rung.FEEL, 4));
        assertThat(again.why()).startsWith("Feel was too high for now: slower and in fives, with ");
        assertThat(again.edits().instead()).containsKey(FEEL);
        Block next = mains().get(0);
        assertThat(next.rung()).isEqualTo(Rung.FEEL);
        assertThat(next.condition()).map(HalfStep::id).contains("slower");
    }

    /** One good check of two: what was foreseen for the days after it still is. */
    @Test
    void aGoodFirstCheckChangesNothing() {
        List<Plan.Day> foreseen = plan().days();
        int first = (int) ChronoUnit.DAYS.between(DAY, foreseen.get(0).date());
        practised(first, check(ownDrill(), Rung.FEEL, 9));
        assertThat(plan().days()).isEqualTo(foreseen.subList(1, foreseen.size()));
    }

    @Test
    void halfStepsGoOnWhereTheyWere() {
        String first = ownDrill();
        practised(0, check(first, Rung.FEEL, 8));
        practised(1, check(first, Rung.FEEL, 7));
        practised(2, check(first, Rung.FEEL, 8));
        request = request.with(Edits.NONE);
        assertThat(request.soFar().worked()).containsEntry(FEEL, new PlanRequest.Worked(Map.of(first, 3), true));
        assertThat(mains().get(0).condition()).as("its plain days lie behind").isPresent();
        assertThat(mains().get(0).repsPerSet()).as("nor is it new").isGreaterThan(5);
    }

    @Test
    void stoppedDrillsAndMissedDaysAreNamedInThisOrder() {
        String first = ownDrill();
        practised(0, check(first, Rung.FEEL, 8));
        assertThat(practised(4, List.of("Disc turn", "Outer prop"), 2, check(first, Rung.FEEL, 8))
                        .reasons())
                .containsExactly(
                        "Feel was passed.",
                        LayAgain.stopped("Disc turn"),
                        LayAgain.stopped("Outer prop"),
                        "2 planned days were missed.");
        assertThat(LayAgain.missed(0)).isEmpty();
        assertThat(LayAgain.missed(1)).contains("A planned day was missed.");
    }

    @Test
    void aDayWithoutAnythingToSayIsSaidAsSuch() {
        assertThat(practised(0).why()).isEqualTo("A day was practised.");
    }
}
