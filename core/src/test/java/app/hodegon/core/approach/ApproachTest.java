package app.hodegon.core.approach;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.hodegon.core.approach.Choice.Question;
import app.hodegon.core.approach.PressureSchool.Corridor;
import app.hodegon.core.swing.Checkpoint;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class ApproachTest {

    @Test
    void whatIsLeftOutTakesItsDefault() {
        Approach approach = Approach.of(Map.of("trail-heel", "release-up"));
        assertThat(approach.school()).isEqualTo(PressureSchool.EARLY_RETURN);
        assertThat(approach.has(Choice.RELEASE_UP)).isTrue();
        assertThat(approach.has(Choice.ROLL_LOW)).isFalse();
        assertThat(approach.answer(Question.TRAIL_EDGE)).isEqualTo(Choice.HOLD_INNER);
        assertThat(Approach.of(approach.ids())).isEqualTo(approach);
        assertThat(Approach.of(Map.of())).isEqualTo(Approach.DEFAULT);
    }

    @Test
    void answersBelongToTheirQuestion() {
        assertThatThrownBy(() -> Approach.of(Map.of("trail-heel", "brisk")))
                .hasMessageContaining("roll-low, release-up");
        assertThatThrownBy(() -> Approach.of(Map.of("hat", "on"))).hasMessageContaining("pressure, trail-edge");
        assertThatThrownBy(() -> new Approach(PressureSchool.CENTRED, Map.of(Question.TRAIL_EDGE, Choice.BRISK)))
                .hasMessageContaining("no answer");
    }

    /** What every school agrees on, whatever its corridors. */
    @ParameterizedTest
    @EnumSource(PressureSchool.class)
    void schoolsKeepTheCommonRules(PressureSchool school) {
        for (Checkpoint at : Checkpoint.values()) {
            Corridor corridor = school.corridor(at);
            assertThat(corridor.low()).isLessThan(corridor.high());
        }
        assertThat(school.corridor(Checkpoint.ARM_DOWN).high())
                .as("about half at most")
                .isLessThanOrEqualTo(52);
        assertThat(school.corridor(Checkpoint.IMPACT).high())
                .as("lead-dominant")
                .isLessThanOrEqualTo(30);
        assertThat(school.corridor(Checkpoint.FINISH).high())
                .as("nearly all on lead")
                .isLessThanOrEqualTo(10);
    }
}
