package app.hodegon.server.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.practice.Ladder.RungState;
import app.hodegon.core.practice.Standing;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class PromisedGateTest {

    private static final LocalDate FROM = LocalDate.of(2026, 12, 2);

    private static PromisedGate promised(LocalDate likelyOn) {
        return new PromisedGate("sway", "feel", "disc-turn", FROM, likelyOn, 0.6);
    }

    private static RungState passed(int... days) {
        List<LocalDate> on = IntStream.of(days).mapToObj(FROM::plusDays).toList();
        return new RungState(List.of(), List.of(), on.isEmpty() ? Standing.STAY : Standing.PASSED, on);
    }

    @Test
    void isInTimeByTheDayItWasPassedOn() {
        PromisedGate gate = promised(FROM.plusDays(5));
        assertThat(gate.inTime(passed(5), FROM, FROM.plusDays(9))).contains(true);
        assertThat(gate.inTime(passed(6), FROM, FROM.plusDays(9))).contains(false);
        assertThat(gate.inTime(passed(), FROM, FROM.plusDays(9))).contains(false);
        assertThat(gate.inTime(passed(3), FROM, FROM.plusDays(4)))
                .as("before its day")
                .contains(true);
    }

    @Test
    void tellsNothingBeforeItsDayOrOfAPassBeforeThePlan() {
        PromisedGate gate = promised(FROM.plusDays(5));
        assertThat(gate.inTime(passed(), FROM, FROM.plusDays(5))).isEmpty();
        assertThat(gate.inTime(passed(-3), FROM, FROM.plusDays(9)))
                .as("passed before, and open again")
                .contains(false);
        assertThat(promised(null).inTime(passed(2), FROM, FROM.plusDays(9))).isEmpty();
    }
}
