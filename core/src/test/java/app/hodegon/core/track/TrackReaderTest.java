package app.hodegon.core.track;

import static app.hodegon.core.track.Films.BEFORE;
import static app.hodegon.core.track.Films.FOUND_NOISE;
import static app.hodegon.core.track.Films.film;
import static app.hodegon.core.track.Films.golfer;
import static app.hodegon.core.track.Films.read;
import static app.hodegon.core.track.Films.rod;
import static app.hodegon.core.track.Films.spoiled;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.golfer.BodyPoint;
import app.hodegon.core.golfer.GolfSwing;
import app.hodegon.core.motion.Measured;
import app.hodegon.core.motion.Moment;
import app.hodegon.core.motion.Origin;
import app.hodegon.core.motion.SwingReading;
import app.hodegon.core.motion.Trouble;
import app.hodegon.core.motion.Trouble.Kind;
import app.hodegon.core.simulate.Camera;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.track.Track.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class TrackReaderTest {

    /** The lead foot turns on its heel as well, which the shift along the line does not tell. */
    private static final Fault TURNS_THE_FOOT = Fault.LEAD_FOOT_SPIN;

    static Stream<Arguments> golfers() {
        List<Arguments> all = new ArrayList<>();
        double[] rates = {30, 60, 120, 240};
        for (Fault fault : Fault.values()) {
            PressureSchool school = PressureSchool.values()[fault.ordinal() % PressureSchool.values().length];
            all.add(Arguments.of(school, Map.of(fault, 0.9), rates[fault.ordinal() % rates.length]));
        }
        for (double rate : rates) all.add(Arguments.of(PressureSchool.CENTRED, Map.of(), rate));
        return all.stream();
    }

    @ParameterizedTest
    @MethodSource("golfers")
    void truePointsFaceOnAreReadAsTheyAre(PressureSchool school, Map<Fault, Double> faults, double rate) {
        GolfSwing swing = golfer(school, faults).swing(new Random(11));
        SwingReading read = film(Camera.ideal(View.FACE_ON, rate, 0), swing, 1).swing();

        double frame = Math.max(1 / rate, 0.012);
        for (Checkpoint at : List.of(Checkpoint.ARM_BACK, Checkpoint.TOP, Checkpoint.ARM_DOWN, Checkpoint.IMPACT)) {
            Moment moment = read.moment(at).orElseThrow();
            assertThat(moment.seconds()).as(at.id()).isCloseTo(BEFORE + swing.seconds(at), within(frame));
            assertThat(moment.uncertainty()).isGreaterThanOrEqualTo(500 / rate);
        }
        assertThat(read.moment(Checkpoint.ADDRESS).orElseThrow().seconds()).isCloseTo(BEFORE, within(0.06));
        near(swing, read, Measure.PELVIS_DRIFT, Checkpoint.TOP, 0.5);
        near(swing, read, Measure.PELVIS_DRIFT, Checkpoint.IMPACT, 0.5);
        near(swing, read, Measure.HEAD_DRIFT, Checkpoint.TOP, 0.5);
        near(swing, read, Measure.TRAIL_HEEL_LIFT, Checkpoint.ARM_DOWN, 0.5);
        near(swing, read, Measure.TRAIL_HEEL_LIFT, Checkpoint.IMPACT, 0.5);
        if (!faults.containsKey(TURNS_THE_FOOT)) near(swing, read, Measure.LEAD_FOOT_SHIFT, null, 0.5);
        times(swing, read, 60, 15);
    }

    @ParameterizedTest
    @MethodSource("golfers")
    void aTurnIsReadFromTheWidthAndSaysHowWellItCanBe(PressureSchool school, Map<Fault, Double> faults, double rate) {
        GolfSwing swing = golfer(school, faults).swing(new Random(12));
        SwingReading read = film(Camera.ideal(View.FACE_ON, rate, 0), swing, 1).swing();

        for (Measure turn : List.of(Measure.HIP_TURN, Measure.SHOULDER_TURN)) {
            Measured top = read.reading(turn, Optional.of(Checkpoint.TOP)).orElseThrow();
            double truth = swing.truth(turn, top.at()).orElseThrow();
            // Address is never exactly square: what the width cannot tell stands in the uncertainty.
            assertThat(top.value()).isCloseTo(truth, within(Math.max(4, 3 * top.uncertainty())));
            assertThat(top.uncertainty()).isBetween(1.0, 20.0);
        }
        Measured shoulders =
                read.reading(Measure.SHOULDER_TURN, Optional.of(Checkpoint.TOP)).orElseThrow();
        if (faults.isEmpty())
            assertThat(shoulders.value()).as("past the camera").isGreaterThan(85);
        if (!faults.isEmpty()) return;
        assertThat(read.reading(Measure.HIP_LINE, Optional.of(Checkpoint.IMPACT))
                        .orElseThrow()
                        .value())
                .as("open at impact")
                .isCloseTo(
                        swing.truth(Measure.HIP_LINE, Optional.of(Checkpoint.IMPACT))
                                .orElseThrow(),
                        within(4.0));
    }

    @ParameterizedTest
    @MethodSource("golfers")
    void truePointsDownTheLineAreReadAsTheyAre(PressureSchool school, Map<Fault, Double> faults, double rate) {
        GolfSwing swing = golfer(school, faults).swing(new Random(13));
        Camera camera = Camera.ideal(View.DOWN_THE_LINE, rate, 0);
        TrackReading film = TrackReader.read(
                camera.film(swing, BEFORE, 0.8, new Random(1)), rod(camera), OptionalDouble.empty(), given(swing));

        for (Checkpoint at : List.of(Checkpoint.TOP, Checkpoint.ARM_DOWN, Checkpoint.IMPACT)) {
            near(swing, film.swing(), Measure.PELVIS_THRUST, at, 0.5);
            near(swing, film.swing(), Measure.POSTURE_RISE, at, 1);
            near(swing, film.swing(), Measure.TRAIL_HEEL_LIFT, at, 0.5);
        }
        assertThat(film.swing().readings())
                .extracting(Measured::measure)
                .as("what this camera cannot see")
                .doesNotContain(Measure.HIP_TURN, Measure.SHOULDER_TURN, Measure.PELVIS_DRIFT, Measure.TEMPO_RATIO);
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
    void noisyPointsAreReadWithinWhatIsSaidOfThem(int seed) {
        int values = 0;
        int within = 0;
        for (Fault fault : Fault.values()) {
            if (fault == TURNS_THE_FOOT) continue;
            Random random = new Random(100L * seed + fault.ordinal());
            GolfSwing swing =
                    golfer(PressureSchool.EARLY_RETURN, Map.of(fault, 0.8)).swing(random);
            for (View view : View.values()) {
                Camera camera = Camera.ideal(view, 60, FOUND_NOISE);
                SwingReading read = TrackReader.read(
                                camera.film(swing, BEFORE, 0.8, random),
                                rod(camera),
                                OptionalDouble.empty(),
                                given(swing))
                        .swing();
                for (Measured reading : read.readings()) {
                    OptionalDouble truth = swing.truth(reading.measure(), reading.at());
                    // The way back is told from another beginning than the loads' (see times).
                    if (truth.isEmpty() || reading.at().isEmpty()) continue;
                    values++;
                    if (Math.abs(reading.value() - truth.getAsDouble()) < 2 * reading.uncertainty()) within++;
                }
            }
        }
        assertThat((double) within / values).isGreaterThan(0.93);
    }

    @Test
    void swappedSidesAndJumpsAndGapsAreSeenThrough() {
        Random random = new Random(21);
        GolfSwing swing =
                golfer(PressureSchool.CENTRED, Map.of(Fault.SWAY, 1.0)).swing(random);
        Camera camera = Camera.ideal(View.FACE_ON, 60, FOUND_NOISE);
        Track clean = camera.film(swing, BEFORE, 0.8, new Random(3));
        SwingReading before = read(clean, camera).swing();
        int top = (int) ((BEFORE + swing.seconds(Checkpoint.TOP)) * 60);
        SwingReading spoiled = read(
                        spoiled(clean, (point, path) -> {
                            if (point == BodyPoint.LEAD_HIP) {
                                path.along()[top] += 160;
                                path.up()[top + 9] -= 200;
                            }
                            if (point == BodyPoint.TRAIL_HEEL) {
                                for (int i = top + 3; i < top + 7; i++) path.certainty()[i] = 0.1;
                            }
                        }),
                        camera)
                .swing();
        for (Measure measure : List.of(Measure.PELVIS_DRIFT, Measure.HIP_TURN, Measure.SHOULDER_TURN)) {
            same(before, spoiled, measure, Checkpoint.TOP, 1.2);
        }

        Track crossed = spoiled(clean, (point, path) -> {});
        for (BodyPoint[] pair : new BodyPoint[][] {
            {BodyPoint.LEAD_HIP, BodyPoint.TRAIL_HIP},
            {BodyPoint.LEAD_ANKLE, BodyPoint.TRAIL_ANKLE},
            {BodyPoint.LEAD_HEEL, BodyPoint.TRAIL_HEEL}
        }) {
            for (int i = top - 4; i < top + 5; i++) cross(crossed, pair[0], pair[1], i);
        }
        TrackReading put = read(crossed, camera);
        assertThat(put.swing().troubles()).extracting(Trouble::kind).contains(Kind.SWAPPED);
        same(before, put.swing(), Measure.HIP_TURN, Checkpoint.TOP, 0.5);
        same(before, put.swing(), Measure.TRAIL_HEEL_LIFT, Checkpoint.TOP, 0.2);
    }

    @Test
    void picturesMayLieCloserWhereTheClubComesDown() {
        GolfSwing swing =
                golfer(PressureSchool.CENTRED, Map.of(Fault.SWAY, 1.0)).swing(new Random(25));
        Camera camera = Camera.ideal(View.FACE_ON, 120, FOUND_NOISE);
        Track all = camera.film(swing, BEFORE, 0.8, new Random(5));
        double top = BEFORE + swing.seconds(Checkpoint.TOP);
        int[] kept = IntStream.range(0, all.length())
                .filter(i -> i % 4 == 0 || Math.abs(all.time(i) - top - 0.15) < 0.3)
                .toArray();
        Map<BodyPoint, Path> paths = new EnumMap<>(BodyPoint.class);
        for (BodyPoint point : Track.POINTS) {
            Path path = all.path(point).orElseThrow();
            paths.put(point, new Path(some(path.along(), kept), some(path.up(), kept), some(path.certainty(), kept)));
        }
        double[] seconds = Arrays.stream(kept).mapToDouble(all::time).toArray();
        SwingReading read =
                read(new Track(View.FACE_ON, seconds, paths), camera).swing();
        assertThat(read.troubles()).isEmpty();
        for (Checkpoint at : List.of(Checkpoint.ARM_DOWN, Checkpoint.IMPACT)) {
            Moment moment = read.moment(at).orElseThrow();
            assertThat(moment.seconds()).isCloseTo(BEFORE + swing.seconds(at), within(0.008));
            assertThat(moment.uncertainty()).isLessThan(8);
        }
        near(swing, read, Measure.PELVIS_DRIFT, Checkpoint.TOP, 1);
    }

    private static double[] some(double[] values, int[] kept) {
        return Arrays.stream(kept).mapToDouble(i -> values[i]).toArray();
    }

    @Test
    void withoutAScaleThereAreAnglesTimesAndRatiosAndByTheHeightLengthsLessWell() {
        GolfSwing swing =
                golfer(PressureSchool.CENTRED, Map.of(Fault.SWAY, 1.0)).swing(new Random(41));
        Camera camera = Camera.ideal(View.FACE_ON, 60, FOUND_NOISE);
        Track film = camera.film(swing, BEFORE, 0.8, new Random(5));
        TrackReading none = TrackReader.read(film, Optional.empty(), OptionalDouble.empty(), List.of());
        assertThat(none.ruler().from()).isEqualTo(Ruler.From.NONE);
        assertThat(none.swing().readings())
                .extracting(Measured::measure)
                .contains(Measure.SHOULDER_TURN, Measure.TEMPO_RATIO, Measure.STANCE_RATIO)
                .doesNotContain(Measure.PELVIS_DRIFT, Measure.TRAIL_HEEL_LIFT);

        TrackReading high = TrackReader.read(film, Optional.empty(), OptionalDouble.of(175), List.of());
        TrackReading marks = read(film, camera);
        assertThat(high.ruler().from()).isEqualTo(Ruler.From.HEIGHT);
        assertThat(high.ruler().pixelsPerCentimetre()).isCloseTo(3.2, within(0.2));
        assertThat(high.ruler().uncertainty()).isGreaterThan(2 * marks.ruler().uncertainty());
        assertThat(Ruler.ofMarks(14, Ruler.BALL).from()).isEqualTo(Ruler.From.BALL);
        assertThat(Ruler.ofMarks(14, Ruler.BALL).uncertainty()).isGreaterThan(0.1);
        Optional<Checkpoint> top = Optional.of(Checkpoint.TOP);
        assertThat(high.swing().reading(Measure.PELVIS_DRIFT, top).orElseThrow().uncertainty())
                .isGreaterThan(marks.swing()
                        .reading(Measure.PELVIS_DRIFT, top)
                        .orElseThrow()
                        .uncertainty());
    }

    @Test
    void aMomentThatIsSetTakesItsReadingsAlongAndKeepsItsOrder() {
        GolfSwing swing =
                golfer(PressureSchool.CENTRED, Map.of(Fault.SWAY, 1.0)).swing(new Random(51));
        Camera camera = Camera.ideal(View.FACE_ON, 60, 0);
        Track film = camera.film(swing, BEFORE, 0.8, new Random(5));
        double early = BEFORE + swing.seconds(Checkpoint.ARM_BACK) + 0.02;
        Moment top = new Moment(Checkpoint.TOP, early, Origin.CORRECTED, 10);
        SwingReading read = TrackReader.read(film, rod(camera), OptionalDouble.empty(), List.of(top))
                .swing();
        assertThat(read.moment(Checkpoint.TOP)).contains(top);
        assertThat(read.reading(Measure.PELVIS_DRIFT, Optional.of(Checkpoint.TOP))
                        .orElseThrow()
                        .value())
                .isCloseTo(
                        read.reading(Measure.PELVIS_DRIFT, Optional.of(Checkpoint.ARM_BACK))
                                .orElseThrow()
                                .value(),
                        within(0.5));

        Moment after = new Moment(Checkpoint.TOP, BEFORE + swing.seconds(Checkpoint.FINISH), Origin.CORRECTED, 10);
        TrackReading pushed = TrackReader.read(film, rod(camera), OptionalDouble.empty(), List.of(after));
        assertThat(pushed.swing().moment(Checkpoint.IMPACT)).isEmpty();
        assertThat(pushed.swing().troubles())
                .filteredOn(t -> t.kind() == Kind.UNFITTING)
                .extracting(Trouble::text)
                .singleElement()
                .asString()
                .contains("arm down, impact");

        Moment late = new Moment(Checkpoint.ADDRESS, early + 0.1, Origin.CORRECTED, 10);
        assertThatThrownBy(() -> TrackReader.read(film, rod(camera), OptionalDouble.empty(), List.of(top, late)))
                .hasMessageContaining("must come after");
        Moment outside = new Moment(Checkpoint.FINISH, 30, Origin.CORRECTED, 10);
        assertThatThrownBy(() -> TrackReader.read(film, rod(camera), OptionalDouble.empty(), List.of(outside)))
                .hasMessageContaining("outside what was recorded");
    }

    private static List<Moment> given(GolfSwing swing) {
        return Stream.of(
                        Checkpoint.ADDRESS, Checkpoint.ARM_BACK, Checkpoint.TOP, Checkpoint.ARM_DOWN, Checkpoint.IMPACT)
                .map(at -> new Moment(at, BEFORE + swing.seconds(at), Origin.GIVEN, 5))
                .toList();
    }

    private static void near(GolfSwing swing, SwingReading read, Measure measure, Checkpoint at, double most) {
        Optional<Checkpoint> checkpoint = Optional.ofNullable(at);
        assertThat(read.reading(measure, checkpoint).orElseThrow().value())
                .as(measure.id() + checkpoint)
                .isCloseTo(swing.truth(measure, checkpoint).orElseThrow(), within(most));
    }

    /** A film sees the hands begin, which is before the press is over. */
    private static void times(GolfSwing swing, SwingReading read, double back, double down) {
        double truth = 1000 * swing.seconds(Checkpoint.TOP);
        assertThat(read.reading(Measure.BACKSWING_TIME, Optional.empty())
                        .orElseThrow()
                        .value())
                .isCloseTo(truth, within(back));
        near(swing, read, Measure.DOWNSWING_TIME, null, down);
    }

    private static void same(SwingReading a, SwingReading b, Measure measure, Checkpoint at, double most) {
        assertThat(b.reading(measure, Optional.of(at)).orElseThrow().value())
                .as(measure.id())
                .isCloseTo(a.reading(measure, Optional.of(at)).orElseThrow().value(), within(most));
    }

    private static void cross(Track track, BodyPoint lead, BodyPoint trail, int i) {
        Path a = track.path(lead).orElseThrow();
        Path b = track.path(trail).orElseThrow();
        double along = a.along()[i];
        double up = a.up()[i];
        a.along()[i] = b.along()[i];
        a.up()[i] = b.up()[i];
        b.along()[i] = along;
        b.up()[i] = up;
    }
}
