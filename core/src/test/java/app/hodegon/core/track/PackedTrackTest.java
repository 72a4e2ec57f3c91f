package app.hodegon.core.track;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.golfer.BodyPoint;
import app.hodegon.core.golfer.Golfer;
import app.hodegon.core.golfer.Pace;
import app.hodegon.core.simulate.Camera;
import app.hodegon.core.swing.Handedness;
import java.util.Arrays;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

class PackedTrackTest {

    private final Track film = Camera.ideal(View.DOWN_THE_LINE, 60, 0.4)
            .film(
                    new Golfer(Handedness.LEFT, 175, PressureSchool.CENTRED, Map.of(), Pace.USUAL).swing(),
                    0.5,
                    0.5,
                    new Random(1));

    @Test
    void comesBackAsItWasAndIsSmall() {
        Track.Path hip = film.path(BodyPoint.LEAD_HIP).orElseThrow();
        hip.along()[7] = Double.NaN;
        hip.up()[7] = Double.NaN;
        byte[] packed = PackedTrack.pack(film);
        Track back = PackedTrack.unpack(packed);
        assertThat(packed.length).isLessThan(40_000);
        assertThat(back.view()).isEqualTo(film.view());
        assertThat(back.length()).isEqualTo(film.length());
        assertThat(back.time(50)).isCloseTo(film.time(50), within(1e-6));
        for (BodyPoint point : Track.POINTS) {
            Track.Path was = film.path(point).orElseThrow();
            Track.Path is = back.path(point).orElseThrow();
            assertThat(is.up()[60]).isCloseTo(was.up()[60], within(0.051));
            assertThat(is.along()[8]).isCloseTo(was.along()[8], within(0.051));
            assertThat(is.certainty()[3]).isCloseTo(was.certainty()[3], within(0.0051));
        }
        assertThat(back.path(BodyPoint.LEAD_HIP).orElseThrow().along()[7]).isNaN();
        assertThat(PackedTrack.pack(back)).isEqualTo(packed);
    }

    @Test
    void whatIsNoneIsRefused() {
        byte[] packed = PackedTrack.pack(film);
        assertThatThrownBy(() -> PackedTrack.unpack(Arrays.copyOf(packed, packed.length / 2)))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> PackedTrack.unpack(new byte[] {1, 2, 3})).isInstanceOf(IllegalArgumentException.class);
    }
}
