package app.hodegon.core.practice;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Gates;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class LayAgainTest {

    private static final LocalDate DAY = LocalDate.of(2026, 12, 2);

    private static CheckSet set(int day, Rung rung, int good) {
        return new CheckSet(DAY.plusDays(day), Fault.SWAY, "disc-turn", rung, good, 10, Optional.empty());
    }

    private static Ladder ladder(CheckSet... sets) {
        return Ladder.of(List.of(sets), Gates.STANDARD);
    }

    @Test
    void aGateThatWasPassedIsAReason() {
        CheckSet first = set(0, Rung.FEEL, 8);
        assertThat(LayAgain.reasons(ladder(first), ladder(first, set(1, Rung.FEEL, 9)), List.of(), 0))
                .containsExactly("Feel was passed.");
    }

    @Test
    void whatStoodBeforeIsNone() {
        Ladder passed = ladder(set(0, Rung.FEEL, 8), set(1, Rung.FEEL, 9));
        assertThat(LayAgain.reasons(passed, passed, List.of(), 0)).isEmpty();
        assertThat(LayAgain.reasons(ladder(), ladder(set(0, Rung.FEEL, 7)), List.of(), 0))
                .as("a set that changes nothing")
                .isEmpty();
    }

    @Test
    void aStepBackIsOne() {
        CheckSet low = set(0, Rung.REHEARSE, 3);
        assertThat(LayAgain.reasons(ladder(low), ladder(low, set(1, Rung.REHEARSE, 4)), List.of(), 0))
                .containsExactly("Rehearse was too high for now: a step back.");
    }

    @Test
    void stoppedDrillsAndMissedDaysAreNamedInThisOrder() {
        CheckSet first = set(0, Rung.FEEL, 8);
        List<String> all = new ArrayList<>(LayAgain.reasons(
                ladder(first), ladder(first, set(1, Rung.FEEL, 8)), List.of("Disc turn", "Outer prop"), 2));
        assertThat(all)
                .containsExactly(
                        "Feel was passed.",
                        "Disc turn was stopped for pain.",
                        "Outer prop was stopped for pain.",
                        "2 planned days were missed.");
    }

    @Test
    void missedDaysAreCountedInWords() {
        assertThat(LayAgain.missed(0)).isEmpty();
        assertThat(LayAgain.missed(1)).contains("A planned day was missed.");
        assertThat(LayAgain.missed(5)).contains("5 planned days were missed.");
    }
}
