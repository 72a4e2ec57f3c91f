package app.hodegon.core.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Gate;
import app.hodegon.core.plan.Gates;
import app.hodegon.core.plan.Plan.Kind;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class GatesTest {

    private static final LocalDate DAY = LocalDate.of(2026, 12, 2);

    private static CheckSet set(int day, int good, int feel) {
        return new CheckSet(
                DAY.plusDays(day), Fault.SWAY, "disc-turn", Rung.FEEL, good, 10, Optional.of(new Feel(feel)));
    }

    private static Standing standing(CheckSet... sets) {
        return Standing.of(Gate.STANDARD, List.of(sets));
    }

    @Test
    void passesOnTwoDaysRunning() {
        assertThat(standing(set(0, 8, 4), set(1, 9, 4))).isEqualTo(Standing.PASSED);
        assertThat(standing(set(0, 8, 4), set(1, 7, 4), set(2, 8, 4))).isEqualTo(Standing.STAY);
        assertThat(standing(set(0, 8, 4), set(0, 9, 4))).isEqualTo(Standing.STAY);
        assertThat(standing(set(0, 8, 4), set(1, 9, 4), set(2, 3, 1), set(3, 3, 1)))
                .isEqualTo(Standing.PASSED);
    }

    @Test
    void stepsBackWhenTooFewOrLostTwice() {
        assertThat(standing(set(0, 4, 3), set(1, 3, 3))).isEqualTo(Standing.STEP_BACK);
        assertThat(standing(set(0, 7, 2), set(1, 6, 1))).isEqualTo(Standing.STEP_BACK);
        assertThat(standing(set(0, 4, 3), set(1, 5, 3))).isEqualTo(Standing.STAY);
        assertThat(standing(set(0, 2, 1))).isEqualTo(Standing.STAY);
    }

    @Test
    void aCoachAsksForLessOrMoreOrForTheOwnWord() {
        List<CheckSet> sevens = List.of(set(0, 7, 4), set(1, 7, 4));
        assertThat(Standing.of(Gate.set(7, false), sevens)).isEqualTo(Standing.PASSED);
        assertThat(Standing.of(Gate.set(9, false), sevens)).isEqualTo(Standing.STAY);
        assertThat(Standing.of(Gate.set(7, true), sevens)).isEqualTo(Standing.WAITS);
        assertThat(Standing.of(Gate.set(7, true).signed(), sevens)).isEqualTo(Standing.PASSED);
        assertThat(Standing.say(Gate.set(7, true), sevens.get(1), Standing.WAITS, true))
                .contains("your coach looks at it");
        assertThatThrownBy(() -> Gate.set(5, false)).hasMessageContaining("6 to 10");
        Gates gates = new Gates(Map.of(new StepId(Fault.SWAY, Rung.FEEL), Gate.set(7, false)));
        assertThat(Ladder.of(sevens, gates).done()).singleElement().matches(d -> d.passed());
        assertThat(Ladder.of(sevens, Gates.STANDARD).done()).singleElement().matches(d -> !d.passed());
    }

    @Test
    void aStepBackOpensTheRungBelowAgainAndAsksForNewSets() {
        List<CheckSet> sets = new ArrayList<>(List.of(set(0, 8, 4), set(1, 9, 4)));
        sets.add(rehearse(2, 3));
        sets.add(rehearse(3, 4));
        assertThat(standings(sets)).containsExactly(Standing.REOPENED, Standing.STEP_BACK);
        sets.add(set(4, 9, 4));
        assertThat(standings(sets)).as("old sets do not count").containsExactly(Standing.STAY, Standing.STEP_BACK);
        sets.add(set(5, 8, 4));
        assertThat(standings(sets)).containsExactly(Standing.PASSED, Standing.STEP_BACK);
        sets.add(rehearse(6, 9));
        assertThat(standings(sets)).containsExactly(Standing.PASSED, Standing.STAY);
    }

    private static CheckSet rehearse(int day, int good) {
        return new CheckSet(
                DAY.plusDays(day), Fault.SWAY, "disc-turn", Rung.REHEARSE, good, 10, Optional.of(new Feel(4)));
    }

    private static List<Standing> standings(List<CheckSet> sets) {
        return Ladder.of(sets, Gates.STANDARD).rungs().values().stream()
                .map(Ladder.RungState::standing)
                .toList();
    }

    @ParameterizedTest
    @CsvSource({"2, false, false", "3, false, true", "1, true, true"})
    void painStopsADrillFromThreeOrInAFlaggedJoint(int score, boolean flagged, boolean stops) {
        Set<Joint> flags = flagged ? Set.of(Joint.KNEE) : Set.of(Joint.BACK);
        assertThat(new Pain(Joint.KNEE, score, "disc-turn").stopsDrill(flags)).isEqualTo(stops);
    }

    @Test
    void onlyFullCheckSetsCount() {
        PracticeSession session = PracticeSession.of(
                UUID.randomUUID(),
                DAY,
                List.of(
                        new BlockResult(0, Fault.SWAY, "disc-turn", Rung.FEEL, Kind.MAIN, "++-+++++--"),
                        new BlockResult(1, Fault.SWAY, "disc-turn", Rung.FEEL, Kind.CHECK, "+++++++++-"),
                        new BlockResult(2, Fault.SWAY, "disc-turn", Rung.REHEARSE, Kind.CHECK, "+++")));
        assertThat(session.checks()).singleElement().satisfies(c -> {
            assertThat(c.good()).isEqualTo(9);
            assertThat(c.rung()).isEqualTo(Rung.FEEL);
        });
        assertThat(session.reps()).isEqualTo(23);
        assertThat(Ladder.of(session.checks(), Gates.STANDARD).done())
                .singleElement()
                .matches(d -> !d.passed());
    }

    @Test
    void marksAreGoodOrNotAndNothingElse() {
        assertThatThrownBy(() -> new BlockResult(0, Fault.SWAY, "disc-turn", Rung.FEEL, Kind.MAIN, "+x"))
                .hasMessageContaining("only");
        assertThatThrownBy(() -> new Feel(6)).hasMessageContaining("1 (lost)");
        assertThatThrownBy(() -> new Pain(Joint.KNEE, 0, "x")).hasMessageContaining("1 to 10");
    }
}
