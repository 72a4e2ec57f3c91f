package app.hodegon.core.swing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.hodegon.core.practice.OwnTempo;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class WordingTest {

    private static final Wording METRIC = new Wording(Handedness.LEFT, Units.METRIC);
    private static final Wording IMPERIAL = new Wording(Handedness.LEFT, Units.IMPERIAL);

    @Test
    void sidesAndLengthsAreSaidForThePerson() {
        String text = "{Trail} foot {5 cm} back, club {50 cm} behind, {-3 cm} at most.";
        assertThat(METRIC.say(text)).isEqualTo("Left foot 5 cm back, club 50 cm behind, -3 cm at most.");
        assertThat(IMPERIAL.say(text)).isEqualTo("Left foot 2 in back, club 20 in behind, -1.2 in at most.");
        assertThat(IMPERIAL.say("Nothing to measure.")).isEqualTo("Nothing to measure.");
        assertThat(Handedness.RIGHT.say("{lead} {1 cm}")).isEqualTo("left 1 cm");
        assertThat(Units.IMPERIAL.say("{100 m}")).isEqualTo("109 yd");
    }

    @Test
    void onlyLengthsAreHeldOpen() {
        assertThat(Units.inText("9.5", "cm")).isEqualTo("{9.5 cm}");
        assertThat(Units.inText("45", "%")).isEqualTo("45 %");
    }

    @Test
    void ballsAddUp() {
        Ball fat = new Ball(Optional.of(BallResult.SLICE), Optional.of(BallResult.FAT));
        Tally two = Ball.tally(List.of(fat, fat)).plus(Ball.tally(List.of(fat)));
        assertThat(two.of(BallResult.FAT)).isEqualTo(3);
        assertThat(two.total(BallResult.Kind.FLIGHT)).isEqualTo(3);
        assertThatThrownBy(() -> new Ball(Optional.of(BallResult.FAT), Optional.empty()))
                .hasMessageContaining("flight");
    }

    @Test
    void aBeatIsTheStudentsOwnWhereItWasMeasured() {
        assertThat(OwnTempo.of(List.of())).isEqualTo(OwnTempo.USUAL);
        Reading back = time(Measure.BACKSWING_TIME, 900);
        assertThat(OwnTempo.of(List.of(back))).as("half of it is none").isEqualTo(OwnTempo.USUAL);
        assertThat(OwnTempo.of(List.of(back, time(Measure.DOWNSWING_TIME, 250))))
                .isEqualTo(new OwnTempo(900, 250, true));
        assertThat(OwnTempo.of(List.of(time(Measure.TEMPO_RATIO, 2.5)))).isEqualTo(new OwnTempo(700, 280, true));
    }

    private static Reading time(Measure measure, double value) {
        return new Reading(measure, Optional.empty(), value, Source.CLIP, 1);
    }
}
