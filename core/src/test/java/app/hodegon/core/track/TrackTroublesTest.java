package app.hodegon.core.track;

import static app.hodegon.core.track.Films.BEFORE;
import static app.hodegon.core.track.Films.FOUND_NOISE;
import static app.hodegon.core.track.Films.film;
import static app.hodegon.core.track.Films.golfer;
import static app.hodegon.core.track.Films.kinds;
import static app.hodegon.core.track.Films.read;
import static app.hodegon.core.track.Films.spoiled;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.golfer.BodyPoint;
import app.hodegon.core.golfer.GolfSwing;
import app.hodegon.core.motion.SeveralSwingsException;
import app.hodegon.core.motion.Trouble.Kind;
import app.hodegon.core.simulate.Camera;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.track.Track.Path;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What spoils a film is named, and what is none is refused. */
class TrackTroublesTest {

    /** Pictures between two swings. */
    private static final int LOWERING = 90;

    @Test
    void whatSpoilsAFilmIsNamed() {
        GolfSwing swing = golfer(PressureSchool.CENTRED, Map.of()).swing(new Random(31));
        assertThat(troubles(Camera.ideal(View.FACE_ON, 120, FOUND_NOISE), swing))
                .isEmpty();
        assertThat(troubles(new Camera(View.FACE_ON, 120, 3.2, 0.2, 500, 95, 0), swing))
                .as("a usual camera")
                .isEmpty();
        assertThat(troubles(new Camera(View.FACE_ON, 120, 3.2, 0.2, 500, 95, 8), swing))
                .containsExactly(Kind.NOT_LEVEL);
        assertThat(troubles(Camera.ideal(View.FACE_ON, 30, 0.2), swing)).containsExactly(Kind.SLOW_CAMERA);

        Camera camera = Camera.ideal(View.FACE_ON, 120, 0.2);
        Track film = camera.film(swing, BEFORE, 0.8, new Random(5));
        int top = (int) ((BEFORE + swing.seconds(Checkpoint.TOP)) * 120);
        assertThat(kinds(read(
                        spoiled(film, (point, path) -> {
                            for (int i = top - 30; i < film.length(); i++) path.along()[i] += 25;
                        }),
                        camera)))
                .contains(Kind.CAMERA_MOVED);
        assertThat(kinds(read(
                        spoiled(film, (point, path) -> {
                            if (point == BodyPoint.LEAD_HIP) path.certainty()[top] = 0.4;
                        }),
                        camera)))
                .containsExactly(Kind.UNSURE);
        assertThat(kinds(read(
                        spoiled(film, (point, path) -> {
                            if (point.id().endsWith("toe")) Arrays.fill(path.certainty(), 0.05);
                        }),
                        camera)))
                .contains(Kind.OUT_OF_PICTURE);
        assertThat(kinds(read(
                        spoiled(film, (point, path) -> {
                            for (int i = 0; i < film.length(); i++) path.along()[i] = -path.along()[i];
                        }),
                        camera)))
                .contains(Kind.MIRRORED);
        assertThat(kinds(TrackReader.read(film, Optional.empty(), OptionalDouble.empty(), List.of())))
                .containsExactly(Kind.NO_SCALE);
    }

    @Test
    void aFilmThatLiesOnItsSideIsSaidAndNotRead() {
        GolfSwing swing = golfer(PressureSchool.CENTRED, Map.of()).swing(new Random(31));
        for (View view : View.values()) {
            Camera camera = Camera.ideal(view, 60, FOUND_NOISE);
            Track film = camera.film(swing, BEFORE, 0.8, new Random(5));
            assertThat(kinds(read(film, camera))).as("upright").doesNotContain(Kind.SIDEWAYS);
            for (int turns = 1; turns < 4; turns++) {
                int quarter = turns;
                TrackReading read = read(spoiled(film, (point, path) -> turn(path, quarter)), camera);
                assertThat(kinds(read)).containsExactly(Kind.SIDEWAYS);
                assertThat(read.swing().moments()).isEmpty();
                assertThat(read.swing().readings()).isEmpty();
            }
        }
    }

    private static void turn(Path path, int quarters) {
        for (int q = 0; q < quarters; q++) {
            for (int i = 0; i < path.along().length; i++) {
                double along = path.along()[i];
                path.along()[i] = path.up()[i];
                path.up()[i] = -along;
            }
        }
    }

    @Test
    void twoSwingsAreRefusedAndNoneIsNone() {
        GolfSwing swing = golfer(PressureSchool.CENTRED, Map.of()).swing(new Random(61));
        Camera camera = Camera.ideal(View.FACE_ON, 60, FOUND_NOISE);
        Track once = camera.film(swing, 1.5, 1.2, new Random(5));
        Track twice = twice(once);
        assertThatThrownBy(() -> read(twice, camera))
                .isInstanceOf(SeveralSwingsException.class)
                .hasMessageContaining("2 swings");

        Track still = spoiled(once, (point, path) -> {
            for (int i = 1; i < once.length(); i++) {
                path.along()[i] = path.along()[i % 40];
                path.up()[i] = path.up()[i % 40];
            }
        });
        TrackReading nothing = read(still, camera);
        assertThat(kinds(nothing)).contains(Kind.NO_SWING);
        assertThat(nothing.swing().moments()).isEmpty();
        assertThat(nothing.swing().readings()).isEmpty();
    }

    @Test
    void aFilmThatIsNoneIsRefused() {
        Map<BodyPoint, Path> none = Map.of();
        assertThatThrownBy(() -> new Track(View.FACE_ON, new double[10], none)).hasMessageContaining("30 to 3,000");
        double[] back = new double[40];
        assertThatThrownBy(() -> new Track(View.FACE_ON, back, none)).hasMessageContaining("must rise");
        for (int i = 0; i < back.length; i++) back[i] = i;
        assertThatThrownBy(() -> new Track(View.FACE_ON, back, none)).hasMessageContaining("0.2 s apart");
        for (int i = 0; i < back.length; i++) back[i] = i * 1e-6;
        assertThatThrownBy(() -> new Track(View.FACE_ON, back, none)).hasMessageContaining("1,000 pictures");
        for (int i = 0; i < back.length; i++) back[i] = i / 60.0;
        Path shorter = new Path(new double[39], new double[39], new double[39]);
        assertThatThrownBy(() -> new Track(View.FACE_ON, back, Map.of(BodyPoint.NOSE, shorter)))
                .hasMessageContaining("every point");
        assertThatThrownBy(() -> Ruler.ofMarks(3, 90)).hasMessageContaining("5 pixels");
        assertThatThrownBy(() -> Ruler.ofMarks(300, 900)).hasMessageContaining("500 cm");
        // Nothing but a nose is a film without a swing.
        Path nose = new Path(new double[40], new double[40], new double[40]);
        TrackReading read = TrackReader.read(
                new Track(View.FACE_ON, back, Map.of(BodyPoint.NOSE, nose)),
                Optional.empty(),
                OptionalDouble.of(170),
                List.of());
        assertThat(kinds(read)).contains(Kind.NO_SWING, Kind.NO_SCALE);
    }

    private static List<Kind> troubles(Camera camera, GolfSwing swing) {
        return kinds(film(camera, swing, 7));
    }

    /** And again after the club was lowered. */
    private static Track twice(Track once) {
        double[] seconds = new double[2 * once.length() + LOWERING];
        for (int i = 0; i < seconds.length; i++) seconds[i] = i * once.step();
        Map<BodyPoint, Path> paths = new EnumMap<>(BodyPoint.class);
        for (BodyPoint point : Track.POINTS) {
            Path path = once.path(point).orElseThrow();
            paths.put(point, new Path(doubled(path.along()), doubled(path.up()), doubled(path.certainty())));
        }
        return new Track(once.view(), seconds, paths);
    }

    private static double[] doubled(double[] values) {
        int n = values.length;
        double[] twice = Arrays.copyOf(values, 2 * n + LOWERING);
        for (int i = 0; i < LOWERING; i++) twice[n + i] = values[n - 1] + (values[0] - values[n - 1]) * i / LOWERING;
        System.arraycopy(values, 0, twice, n + LOWERING, n);
        return twice;
    }
}
