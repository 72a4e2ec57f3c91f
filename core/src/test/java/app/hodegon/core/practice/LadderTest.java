package app.hodegon.core.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Gate;
import app.hodegon.core.plan.Gates;
import app.hodegon.core.plan.Plan.Kind;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class LadderTest {

    private static final LocalDate DAY = LocalDate.of(2026, 12, 2);

    private final List<CheckSet> sets = new ArrayList<>();

    private void done(Fault fault, Rung rung, int... good) {
        for (int one : good) {
            sets.add(new CheckSet(DAY.plusDays(sets.size()), fault, "disc-turn", rung, one, 10, Optional.empty()));
        }
    }

    private Standing standing(Fault fault, Rung rung) {
        return Ladder.of(sets, Gates.STANDARD)
                .on(new StepId(fault, rung))
                .map(Ladder.RungState::standing)
                .orElseThrow();
    }

    @Test
    void aStepBackOpensTheHighestPassedRungBelowAndNoOther() {
        done(Fault.SWAY, Rung.FEEL, 8, 9);
        done(Fault.SWAY, Rung.REHEARSE, 8, 9);
        done(Fault.FROZEN_FEET, Rung.REHEARSE, 8, 9);
        done(Fault.SWAY, Rung.SHORT, 3, 2);
        assertThat(standing(Fault.SWAY, Rung.SHORT)).isEqualTo(Standing.STEP_BACK);
        assertThat(standing(Fault.SWAY, Rung.REHEARSE)).isEqualTo(Standing.REOPENED);
        assertThat(standing(Fault.SWAY, Rung.FEEL)).as("two below").isEqualTo(Standing.PASSED);
        assertThat(standing(Fault.FROZEN_FEET, Rung.REHEARSE))
                .as("another fault's")
                .isEqualTo(Standing.PASSED);
    }

    @Test
    void theDayOfAPassStaysWhateverIsCheckedAfter() {
        done(Fault.SWAY, Rung.FEEL, 5, 8, 9, 9, 4);
        assertThat(passes(Rung.FEEL)).containsExactly(DAY.plusDays(2));
        done(Fault.SWAY, Rung.REHEARSE, 3, 2);
        done(Fault.SWAY, Rung.FEEL, 8, 9, 10);
        assertThat(passes(Rung.FEEL)).as("opened again").containsExactly(DAY.plusDays(2), DAY.plusDays(8));
        assertThat(passes(Rung.REHEARSE)).isEmpty();
    }

    private List<LocalDate> passes(Rung rung) {
        return Ladder.of(sets, Gates.STANDARD)
                .on(new StepId(Fault.SWAY, rung))
                .map(Ladder.RungState::passes)
                .orElseThrow();
    }

    @Test
    void whatWasOpenedAgainIsJudgedByNewSetsOnly() {
        done(Fault.SWAY, Rung.FEEL, 8, 9);
        done(Fault.SWAY, Rung.REHEARSE, 3, 2);
        done(Fault.SWAY, Rung.FEEL, 8);
        assertThat(standing(Fault.SWAY, Rung.FEEL)).isEqualTo(Standing.STAY);
        done(Fault.SWAY, Rung.FEEL, 8);
        assertThat(standing(Fault.SWAY, Rung.FEEL)).isEqualTo(Standing.PASSED);
        Ladder.RungState feel = Ladder.of(sets, Gates.STANDARD)
                .on(new StepId(Fault.SWAY, Rung.FEEL))
                .orElseThrow();
        assertThat(feel.all()).hasSize(4);
        assertThat(feel.counting()).hasSize(2);
    }

    private List<Integer> rising(LocalDate from, int... good) {
        sets.clear();
        done(Fault.SWAY, Rung.FEEL, good);
        return Ladder.of(sets, Gates.STANDARD)
                .on(new StepId(Fault.SWAY, Rung.FEEL))
                .orElseThrow()
                .rising(from);
    }

    @Test
    void checksRiseOnlyBeyondChance() {
        assertThat(rising(DAY, 3, 4, 6, 7)).containsExactly(3, 4, 6, 7);
        assertThat(rising(DAY, 5, 6, 6, 6)).as("by chance").isEmpty();
        assertThat(rising(DAY, 7, 6, 4, 3)).as("falls").isEmpty();
        assertThat(rising(DAY, 2, 7)).as("two tell nothing").isEmpty();
        assertThat(rising(DAY.plusDays(2), 1, 1, 6, 6, 7, 6))
                .as("what lies before does not count")
                .isEmpty();
    }

    @Test
    void aRungThatIsNotPassedIsNotOpenedAgain() {
        done(Fault.SWAY, Rung.FEEL, 7);
        done(Fault.SWAY, Rung.REHEARSE, 3, 2);
        Ladder.RungState feel = Ladder.of(sets, Gates.STANDARD)
                .on(new StepId(Fault.SWAY, Rung.FEEL))
                .orElseThrow();
        assertThat(feel.counting()).hasSize(1);
    }

    @Test
    void whatIsHigherStaysWhenALowerRungStepsBack() {
        done(Fault.SWAY, Rung.SHORT, 8, 9);
        done(Fault.SWAY, Rung.FEEL, 3, 2);
        assertThat(standing(Fault.SWAY, Rung.SHORT)).isEqualTo(Standing.PASSED);
    }

    @Test
    void whatThePlannerHearsIsEachRungOnceWithItsLastDrill() {
        done(Fault.SWAY, Rung.FEEL, 8, 9);
        done(Fault.SWAY, Rung.REHEARSE, 5);
        assertThat(Ladder.of(sets, Gates.STANDARD).done())
                .extracting(d -> d.rung() + " " + d.drill() + " " + d.passed())
                .containsExactly("FEEL disc-turn true", "REHEARSE disc-turn false");
    }

    @Test
    void theGateSpeaksToTheStudent() {
        CheckSet good = new CheckSet(DAY, Fault.SWAY, "disc-turn", Rung.FEEL, 8, 10, Optional.empty());
        CheckSet poor = new CheckSet(DAY, Fault.SWAY, "disc-turn", Rung.FEEL, 7, 10, Optional.empty());
        assertThat(Standing.say(Gate.STANDARD, good, Standing.STAY, true)).contains("8 of 10. Once more like this");
        assertThat(Standing.say(Gate.STANDARD, poor, Standing.STAY, true))
                .isEqualTo("7 of 10. Stay on this rung; 8 of 10 on 2 days running pass it.");
        assertThat(Standing.say(Gate.STANDARD, good, Standing.PASSED, true)).contains("is passed");
        assertThat(Standing.say(Gate.STANDARD, good, Standing.WAITS, true)).contains("your coach");
        assertThat(Standing.say(Gate.STANDARD, poor, Standing.STEP_BACK, true)).contains("go back to the easier one");
        assertThat(Standing.say(Gate.STANDARD, poor, Standing.STEP_BACK, false))
                .as("nothing lies below")
                .contains("in an easier form");
        assertThat(Standing.STEP_BACK.id()).isEqualTo("step-back");
    }

    @Test
    void repsOnPaperAreDoneAndNotJudged() {
        BlockResult block = new BlockResult(0, Fault.SWAY, "disc-turn", Rung.FEEL, Kind.MAIN, "++-oo");
        assertThat(block.reps()).isEqualTo(5);
        assertThat(block.good()).isEqualTo(2);
        assertThat(block.judged()).isEqualTo(3);
        assertThatThrownBy(() -> new BlockResult(0, Fault.SWAY, "disc-turn", Rung.FEEL, Kind.CHECK, "++o"))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new BlockResult(-1, Fault.SWAY, "disc-turn", Rung.FEEL, Kind.MAIN, ""))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new BlockResult(0, Fault.SWAY, "disc-turn", Rung.FEEL, Kind.MAIN, "+".repeat(401)))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
