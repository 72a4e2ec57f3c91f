package app.hodegon.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Grade;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Equipment;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.drill.Shoes;
import app.hodegon.core.plan.Edits.Dropped;
import app.hodegon.core.plan.Edits.Locked;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Day;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.plan.Plan.Warning;
import app.hodegon.core.plan.Week.Slot;
import app.hodegon.core.swing.Handedness;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What a coach changes in a plan stays; the planner lays the rest around it, by the same rules. */
class EditsTest {

    private static final Planner PLANNER = new Planner(DrillLibrary.standard());
    private static final LocalDate WEDNESDAY = LocalDate.of(2026, 12, 2);
    private static final LocalDate SATURDAY = LocalDate.of(2026, 12, 5);
    private static final LocalDate SUNDAY = LocalDate.of(2026, 12, 6);

    private static PlanRequest request(Set<Joint> flags) {
        Student student = new Student(
                Handedness.RIGHT,
                Level.IMPROVER,
                AgeBand.ADULT,
                flags,
                Set.of(Equipment.BALL, Equipment.ROD, Equipment.DISC),
                new Week(Map.of(
                        DayOfWeek.MONDAY, new Slot(15, Place.HOME),
                        DayOfWeek.WEDNESDAY, new Slot(15, Place.HOME),
                        DayOfWeek.SUNDAY, new Slot(15, Place.HOME),
                        DayOfWeek.SATURDAY, new Slot(60, Place.RANGE))),
                Shoes.SOFT,
                List.of());
        return new PlanRequest(
                student,
                Approach.DEFAULT,
                List.of(new PlanRequest.Focus(Fault.SWAY, Grade.LIKELY)),
                Set.of(Fault.OVER_THE_TOP),
                LocalDate.of(2026, 12, 1),
                LocalDate.of(2026, 12, 22));
    }

    private static Plan plan(Edits edits) {
        return PLANNER.plan(request(Set.of()).with(edits));
    }

    private static Locked locked(LocalDate date, Rung rung, String drill, int sets) {
        return new Locked(date, Fault.SWAY, rung, drill, Kind.MAIN, sets, 5);
    }

    private static Edits lock(Locked locked) {
        return new Edits(List.of(locked), Set.of(), Map.of(), Set.of());
    }

    private static Day on(Plan plan, LocalDate date) {
        return plan.days().stream()
                .filter(d -> d.date().equals(date))
                .findFirst()
                .orElseThrow();
    }

    private static Block main(Plan plan, LocalDate date) {
        return on(plan, date).blocks().stream()
                .filter(b -> b.kind() == Kind.MAIN)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aLockedBlockStaysAndTheRestIsLaidAroundIt() {
        Plan plan = plan(lock(locked(SUNDAY, Rung.FEEL, "outer-prop", 9)));
        Block kept = main(plan, SUNDAY);
        assertThat(kept.drill()).isEqualTo("outer-prop");
        assertThat(kept.reps()).isEqualTo(45);
        assertThat(kept.locked()).isTrue();
        assertThat(on(plan, SUNDAY).seconds()).isLessThanOrEqualTo(15 * 60);
        assertThat(plan.days()).hasSameSizeAs(plan(Edits.NONE).days());
        assertThat(main(plan, WEDNESDAY)).isEqualTo(main(plan(Edits.NONE), WEDNESDAY));
    }

    @Test
    void aDroppedBlockLeavesItsDay() {
        Plan plan = plan(new Edits(
                List.of(),
                Set.of(new Dropped(WEDNESDAY, Fault.SWAY, Optional.empty(), Kind.MAIN)),
                Map.of(),
                Set.of()));
        assertThat(plan.days()).noneMatch(d -> d.date().equals(WEDNESDAY));
        Plan unchecked = plan(new Edits(
                List.of(),
                Set.of(new Dropped(WEDNESDAY, Fault.SWAY, Optional.empty(), Kind.CHECK)),
                Map.of(),
                Set.of()));
        assertThat(on(unchecked, WEDNESDAY).blocks()).noneMatch(b -> b.kind() == Kind.CHECK);
    }

    private static List<Block> mains(Plan plan, LocalDate date) {
        return on(plan, date).blocks().stream()
                .filter(b -> b.kind() == Kind.MAIN)
                .toList();
    }

    /** A range day has its main block and a few first balls: two blocks of one fault, each edited by itself. */
    @Test
    void ofTwoMainBlocksOfADayTheOneThatIsMeantIsChanged() {
        List<Block> usual = mains(plan(Edits.NONE), SATURDAY);
        assertThat(usual).hasSize(2);
        Block main = usual.get(0);
        Block balls = usual.get(1);
        assertThat(balls.rung()).isEqualTo(Rung.SHORT);

        List<Block> fewer =
                mains(plan(lock(locked(SATURDAY, balls.rung(), balls.drill(), balls.sets() + 1))), SATURDAY);
        assertThat(fewer).extracting(Block::rung).containsExactly(main.rung(), Rung.SHORT);
        assertThat(fewer.get(1).sets()).isEqualTo(balls.sets() + 1);
        assertThat(fewer.get(1).locked()).isTrue();
        assertThat(fewer.get(0).locked()).isFalse();

        List<Block> longer = mains(plan(lock(locked(SATURDAY, main.rung(), main.drill(), main.sets() + 2))), SATURDAY);
        assertThat(longer.get(0).sets()).isEqualTo(main.sets() + 2);
        assertThat(longer).hasSize(2);

        Plan without = plan(new Edits(
                List.of(),
                Set.of(new Dropped(SATURDAY, Fault.SWAY, Optional.of(balls.rung()), Kind.MAIN)),
                Map.of(),
                Set.of()));
        assertThat(mains(without, SATURDAY)).extracting(Block::rung).containsExactly(main.rung());
        assertThat(without.warnings()).extracting(Warning::code).doesNotContain("days-unused");
    }

    @Test
    void whatTheCoachTookOutIsNotExplained() {
        Plan usual = plan(Edits.NONE);
        Plan plan = plan(new Edits(
                List.of(),
                Set.of(new Dropped(WEDNESDAY, Fault.SWAY, Optional.empty(), Kind.MAIN)),
                Map.of(),
                Set.of()));
        assertThat(plan.days()).hasSize(usual.days().size() - 1);
        assertThat(plan.warnings().stream()
                        .filter(w -> w.code().equals("days-unused"))
                        .toList())
                .isEqualTo(usual.warnings().stream()
                        .filter(w -> w.code().equals("days-unused"))
                        .toList());
    }

    @Test
    void aChosenDrillTakesItsRungAndASkippedRungIsLeftOut() {
        StepId rehearse = new StepId(Fault.SWAY, Rung.REHEARSE);
        Plan chosen = plan(new Edits(List.of(), Set.of(), Map.of(rehearse, "rod-underfoot"), Set.of()));
        assertThat(chosen.route())
                .filteredOn(s -> s.rung() == Rung.REHEARSE)
                .singleElement()
                .satisfies(s -> assertThat(s.drill()).isEqualTo("rod-underfoot"))
                .satisfies(s -> assertThat(s.why()).isEqualTo("your choice"));
        Plan skipped = plan(new Edits(List.of(), Set.of(), Map.of(), Set.of(rehearse)));
        assertThat(skipped.route()).noneMatch(s -> s.rung() == Rung.REHEARSE);
    }

    @Test
    void editsThatBreakARuleAreRefusedWithTheRule() {
        assertThatThrownBy(() -> plan(lock(locked(SUNDAY, Rung.FEEL, "disc-turn", 30))))
                .hasMessageContaining("Sunday 6 December has 15 minutes");
        assertThatThrownBy(() -> plan(lock(locked(WEDNESDAY.plusDays(1), Rung.FEEL, "disc-turn", 4))))
                .hasMessageContaining("no time to practise on Thursday 3 December");
        assertThatThrownBy(() -> plan(lock(locked(SUNDAY, Rung.FULL, "disc-turn", 4))))
                .hasMessageContaining("nothing of that length is swung at home");
        assertThatThrownBy(() -> plan(lock(locked(SUNDAY, Rung.FULL, "edge-notice", 4))))
                .hasMessageContaining("no drill for");
        assertThatThrownBy(() -> plan(lock(locked(LocalDate.of(2026, 12, 22), Rung.FEEL, "disc-turn", 4))))
                .hasMessageContaining("outside this plan");
        assertThatThrownBy(() -> locked(SUNDAY, Rung.FEEL, "disc-turn", 0)).hasMessageContaining("1 to 60 sets");
        PlanRequest knee = request(Set.of(Joint.KNEE));
        assertThatThrownBy(() -> PLANNER.plan(knee.with(new Edits(
                        List.of(), Set.of(), Map.of(new StepId(Fault.SWAY, Rung.FEEL), "grip-turns"), Set.of()))))
                .hasMessageContaining("flagged knee");
    }

    @Test
    void whatGoesAgainstCustomIsKeptAndSaid() {
        Plan early = plan(lock(locked(SATURDAY, Rung.BUILD, "disc-turn", 5)));
        assertThat(main(early, SATURDAY).rung()).isEqualTo(Rung.BUILD);
        assertThat(early.warnings())
                .filteredOn(w -> w.code().equals("before-its-rung"))
                .extracting(Warning::text)
                .singleElement()
                .asString()
                .contains("Saturday 5 December");
        Plan against =
                plan(new Edits(List.of(), Set.of(), Map.of(new StepId(Fault.SWAY, Rung.FEEL), "grip-turns"), Set.of()));
        assertThat(against.warnings()).extracting(Warning::code).contains("against-approach");
    }

    @Test
    void alternativesAreRankedAndAllowed() {
        List<Planner.Alternative> alternatives = PLANNER.alternatives(request(Set.of()), Fault.SWAY, Rung.REHEARSE);
        assertThat(alternatives)
                .hasSizeGreaterThan(2)
                .allSatisfy(a -> assertThat(a.why()).isNotBlank());
        assertThat(alternatives.get(0).drill()).isEqualTo("disc-turn");
        assertThat(alternatives).extracting(Planner.Alternative::drill).doesNotContain("inner-prop", "grip-turns");
    }

    @Test
    void aDrillStoppedForPainIsLeftOutAndCannotBeChosen() {
        PlanRequest whole = request(Set.of());
        PlanRequest sore = new PlanRequest(
                whole.student(),
                whole.approach(),
                whole.focus(),
                whole.likely(),
                whole.from(),
                whole.nextLesson(),
                Set.of("disc-turn"),
                Edits.NONE);
        Plan plan = PLANNER.plan(sore);
        assertThat(plan.route()).noneMatch(s -> s.drill().equals("disc-turn"));
        assertThat(plan.leftOut()).contains(new Plan.LeftOut("disc-turn", "stopped for pain until you lift it"));
        assertThatThrownBy(() -> PLANNER.plan(sore.with(lock(locked(SUNDAY, Rung.FEEL, "disc-turn", 4)))))
                .hasMessageContaining("stopped for pain");
    }

    @Test
    void withoutEditsAnUndoIsTheFirstPlanAgain() {
        assertThat(plan(Edits.NONE)).isEqualTo(PLANNER.plan(request(Set.of())));
    }
}
