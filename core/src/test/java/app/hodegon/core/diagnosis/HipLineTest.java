package app.hodegon.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.diagnosis.HipLine.Flight;
import app.hodegon.core.diagnosis.HipLine.Press;
import app.hodegon.core.swing.Handedness;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class HipLineTest {

    @ParameterizedTest
    @CsvSource({
        "9, STRAIGHT, LEAD_TOE",
        "-9, STRAIGHT, LEAD_HEEL",
        "4, STRAIGHT,",
        "-5, STRAIGHT,",
        "0, DRAW, LEAD_TOE",
        "-4, DRAW,",
        "-12, DRAW, LEAD_HEEL",
        "0, FADE, LEAD_HEEL",
        "5, FADE,",
        "15, FADE, LEAD_TOE"
    })
    void theLeadToeClosesAndTheLeadHeelOpens(double degrees, Flight wanted, Press press) {
        assertThat(HipLine.at(degrees, wanted, Set.of(), Handedness.RIGHT)
                        .press()
                        .orElse(null))
                .isEqualTo(press);
    }

    @Test
    void saysItForTheHandAndWarnsWhereThePressWouldFeedAFault() {
        assertThat(HipLine.at(9, Flight.STRAIGHT, Set.of(Fault.CLOSED_SLIDE), Handedness.LEFT)
                        .texts())
                .anyMatch(t -> t.contains("Press the right toes"))
                .anyMatch(t -> t.contains("slide worse"));
        assertThat(HipLine.at(-9, Flight.STRAIGHT, Set.of(Fault.OVER_THE_TOP), Handedness.RIGHT)
                        .texts())
                .anyMatch(t -> t.contains("Press the left heel"))
                .anyMatch(t -> t.contains("over the top"));
        assertThat(HipLine.at(0.2, Flight.STRAIGHT, Set.of(), Handedness.RIGHT).texts())
                .containsExactly("Hips square: fits a straight ball (within 5° of the target line).");
    }
}
