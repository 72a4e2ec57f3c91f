package app.hodegon.core.track;

import static app.hodegon.core.track.Films.golfer;
import static app.hodegon.core.track.Films.kinds;
import static app.hodegon.core.track.Films.read;
import static app.hodegon.core.track.Films.spoiled;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.golfer.GolfSwing;
import app.hodegon.core.golfer.Plate;
import app.hodegon.core.motion.LoadUnit;
import app.hodegon.core.motion.SwingReading;
import app.hodegon.core.motion.Trace;
import app.hodegon.core.motion.TraceReader;
import app.hodegon.core.motion.Trouble.Kind;
import app.hodegon.core.simulate.Camera;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A quarter of a second of rest is a rest, whatever was going on before it: everything is measured from it. */
class ShortRestTest {

    private static final double REST = 0.25;
    private static final double MOVING = 0.6;

    /** Seconds. */
    private static final double NEAR = 0.09;

    private static GolfSwing swing(int seed) {
        return golfer(PressureSchool.values()[seed % 4], Map.of()).swing(new Random(seed));
    }

    private static double address(SwingReading read) {
        return read.moments().stream()
                .filter(m -> m.at() == Checkpoint.ADDRESS)
                .findFirst()
                .orElseThrow(() -> new AssertionError("no address: " + read.troubles()))
                .seconds();
    }

    @ParameterizedTest
    @ValueSource(ints = {60, 120, 240})
    void onAFilm(int rate) {
        for (int seed = 0; seed < 8; seed++) {
            Camera camera = Camera.ideal(View.FACE_ON, rate, Films.FOUND_NOISE);
            Track film = camera.film(swing(seed), MOVING + REST, 0.8, new Random(seed));
            // The golfer steps in, and then is still.
            Track stepping = spoiled(film, (point, path) -> {
                for (int i = 0; i < MOVING * rate; i++) path.along()[i] += 60 * (MOVING - (double) i / rate);
            });
            TrackReading read = read(stepping, camera);
            assertThat(address(read.swing())).isCloseTo(MOVING + REST, within(NEAR));
            assertThat(read.swing().readings())
                    .extracting(r -> r.measure())
                    .contains(Measure.PELVIS_DRIFT, Measure.HEAD_DRIFT, Measure.BACKSWING_TIME);
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 3, 4, 5, 6, 7})
    void onATrace(int seed) {
        Plate plate = new Plate(200, 0.5, LoadUnit.KILOGRAM, 82);
        Trace whole = plate.record(swing(seed), Plate.Shape.CELLS, REST, 0.8, new Random(seed));
        assertThat(address(TraceReader.read(whole, List.of()))).isCloseTo(REST, within(NEAR));
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 3})
    void nothingIsTakenForOne(int seed) {
        Plate plate = new Plate(200, 0.5, LoadUnit.KILOGRAM, 82);
        Trace hurried = plate.record(swing(seed), Plate.Shape.CELLS, 0.05, 0.8, new Random(seed));
        assertThat(TraceReader.read(hurried, List.of()).troubles())
                .extracting(t -> t.kind())
                .contains(Kind.NO_STILLNESS);
        Camera camera = Camera.ideal(View.FACE_ON, 120, Films.FOUND_NOISE);
        assertThat(kinds(read(camera.film(swing(seed), 0.05, 0.8, new Random(seed)), camera)))
                .contains(Kind.NO_STILLNESS);
    }
}
