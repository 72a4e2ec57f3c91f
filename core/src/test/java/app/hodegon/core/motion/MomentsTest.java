package app.hodegon.core.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.hodegon.core.swing.Checkpoint;
import java.util.List;
import org.junit.jupiter.api.Test;

class MomentsTest {

    private static Moment at(Checkpoint at, double seconds) {
        return new Moment(at, seconds, Origin.CORRECTED, 8);
    }

    @Test
    void theFirstAndTheLastPictureAreNotOutsideForBeingTold() {
        double last = 2.033333;
        Moments moments =
                Moments.of(List.of(at(Checkpoint.ADDRESS, 0.2666), at(Checkpoint.FINISH, 2.0334)), 0.266667, last);
        assertThat(moments.seconds(Checkpoint.ADDRESS)).contains(0.266667);
        assertThat(moments.seconds(Checkpoint.FINISH)).contains(last);
        assertThatThrownBy(() -> Moments.of(List.of(at(Checkpoint.FINISH, 2.035)), 0, last))
                .hasMessageContaining("outside what was recorded");
    }

    @Test
    void theyKeepTheOrderOfASwing() {
        List<Moment> known = List.of(at(Checkpoint.TOP, 1), at(Checkpoint.IMPACT, 1));
        assertThatThrownBy(() -> Moments.of(known, 0, 2)).hasMessageContaining("Impact: must come after top");
        Moments moments = Moments.of(List.of(at(Checkpoint.TOP, 1)), 0, 2);
        moments.add(new Moment(Checkpoint.IMPACT, 0.9, Origin.FOUND, 8));
        assertThat(moments.has(Checkpoint.IMPACT)).isFalse();
        assertThat(moments.unfitting()).isPresent();
    }
}
