package app.hodegon.core.track;

import static app.hodegon.core.track.Films.BEFORE;
import static app.hodegon.core.track.Films.golfer;
import static app.hodegon.core.track.Films.kinds;
import static app.hodegon.core.track.Films.rod;
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
import app.hodegon.core.motion.Trouble.Kind;
import app.hodegon.core.simulate.Camera;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.track.Track.Path;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Points that somebody sets in the pictures of some moments, where nothing finds them. */
class SetByHandTest {

    private static final double RATE = 60;
    private static final List<Checkpoint> ASKED = List.of(Checkpoint.ADDRESS, Checkpoint.TOP, Checkpoint.IMPACT);

    /** What eye and finger are off by, cm. */
    private static final double HAND = 1;

    private static final GolfSwing SWAYS =
            golfer(PressureSchool.CENTRED, Map.of(Fault.SWAY, 1.0)).swing(new Random(3));

    /** The pictures of a film that are nearest to its true moments. */
    private static Track set(Track film, GolfSwing swing, List<Checkpoint> at, double off, Random random) {
        int[] pictures = at.stream()
                .mapToInt(c -> (int) Math.round((BEFORE + swing.seconds(c)) * RATE))
                .toArray();
        double[] seconds = new double[pictures.length];
        Map<BodyPoint, Path> paths = new EnumMap<>(BodyPoint.class);
        for (BodyPoint point : Track.POINTS) {
            Path all = film.path(point).orElseThrow();
            Path some = new Path(new double[at.size()], new double[at.size()], new double[at.size()]);
            for (int i = 0; i < pictures.length; i++) {
                seconds[i] = film.time(pictures[i]);
                some.along()[i] = all.along()[pictures[i]] + off * random.nextGaussian();
                some.up()[i] = all.up()[pictures[i]] + off * random.nextGaussian();
                some.certainty()[i] = 0.95;
            }
            paths.put(point, some);
        }
        return Track.byHand(film.view(), seconds, paths, 1 / RATE);
    }

    private static List<Moment> moments(Track set, List<Checkpoint> at) {
        return Stream.iterate(0, i -> i < at.size(), i -> i + 1)
                .map(i -> new Moment(at.get(i), set.time(i), Origin.CORRECTED, 500 / RATE))
                .toList();
    }

    private static TrackReading read(Track set, Camera camera) {
        return TrackReader.read(set, rod(camera), OptionalDouble.empty(), moments(set, ASKED));
    }

    private static Measured at(SwingReading read, Measure measure, Checkpoint at) {
        return read.reading(measure, Optional.ofNullable(at)).orElseThrow();
    }

    @Test
    void whatWasSetWellIsReadAsItIsAndWhatSinglePicturesCannotTellIsNotClaimed() {
        Camera camera = Camera.ideal(View.FACE_ON, RATE, 0);
        Track film = camera.film(SWAYS, BEFORE, 0.8, new Random(1));
        TrackReading reading = read(set(film, SWAYS, ASKED, 0, new Random(1)), camera);
        SwingReading read = reading.swing();

        assertThat(read.moments()).extracting(Moment::at).containsExactlyElementsOf(ASKED);
        for (Measure measure : List.of(Measure.PELVIS_DRIFT, Measure.HEAD_DRIFT)) {
            Measured top = at(read, measure, Checkpoint.TOP);
            assertThat(top.value()).isCloseTo(SWAYS.truth(measure, top.at()).orElseThrow(), within(0.8));
            assertThat(top.uncertainty()).isBetween(0.8, 3.0);
        }
        assertThat(at(read, Measure.DOWNSWING_TIME, null).value())
                .isCloseTo(SWAYS.truth(Measure.DOWNSWING_TIME, Optional.empty()).orElseThrow(), within(1000 / RATE));
        assertThat(read.readings())
                .extracting(Measured::measure)
                .contains(Measure.STANCE_RATIO)
                .doesNotContain(Measure.BACKSWING_TIME, Measure.TEMPO_RATIO, Measure.HIP_LINE);
        assertThat(kinds(reading)).as("60 pictures a second are few at impact").containsExactly(Kind.SLOW_CAMERA);
        assertThat(kinds(TrackReader.read(
                        set(film, SWAYS, ASKED, 0, new Random(1)),
                        Optional.empty(),
                        OptionalDouble.empty(),
                        List.of())))
                .containsExactly(Kind.NO_SCALE);
    }

    @Test
    void whatEyeAndFingerAreOffByStandsInTheUncertainty() {
        Random hand = new Random(7);
        for (View view : View.values()) {
            Measure measure = view == View.FACE_ON ? Measure.PELVIS_DRIFT : Measure.PELVIS_THRUST;
            Camera camera = Camera.ideal(view, RATE, 0);
            Track film = camera.film(SWAYS, BEFORE, 0.8, new Random(1));
            int within = 0;
            int all = 300;
            for (int i = 0; i < all; i++) {
                Measured impact = at(
                        read(set(film, SWAYS, ASKED, HAND * camera.pixels(1), hand), camera)
                                .swing(),
                        measure,
                        Checkpoint.IMPACT);
                double truth = SWAYS.truth(measure, impact.at()).orElseThrow();
                if (Math.abs(impact.value() - truth) < 2 * impact.uncertainty()) within++;
            }
            assertThat(within).as(view.id()).isBetween((int) (0.92 * all), all);
        }
    }

    @Test
    void itIsKeptAsItWasSetAndNeedsAPictureForEveryMoment() {
        Camera camera = Camera.ideal(View.FACE_ON, RATE, 0);
        Track set = set(camera.film(SWAYS, BEFORE, 0.8, new Random(1)), SWAYS, ASKED, 0, new Random(1));
        Track kept = PackedTrack.unpack(PackedTrack.pack(set));
        assertThat(kept.isByHand()).isTrue();
        assertThat(kept.step()).isEqualTo(1 / RATE);
        double drift = at(read(set, camera).swing(), Measure.PELVIS_DRIFT, Checkpoint.TOP)
                .value();
        assertThat(at(read(kept, camera).swing(), Measure.PELVIS_DRIFT, Checkpoint.TOP)
                        .value())
                .isCloseTo(drift, within(0.1));

        Moment beside = new Moment(Checkpoint.ARM_DOWN, set.time(1) + 0.1, Origin.CORRECTED, 8);
        assertThatThrownBy(() -> TrackReader.read(set, rod(camera), OptionalDouble.empty(), List.of(beside)))
                .hasMessageContaining("arm level, coming down: there is no picture");
        Path one = new Path(new double[1], new double[1], new double[1]);
        assertThatThrownBy(() -> Track.byHand(View.FACE_ON, new double[1], Map.of(BodyPoint.NOSE, one), 1 / RATE))
                .hasMessageContaining("2 to 8 moments");
        assertThatThrownBy(() -> Track.byHand(View.FACE_ON, new double[] {1, 0}, Map.of(), 1 / RATE))
                .hasMessageContaining("must rise");
        assertThatThrownBy(() -> Track.byHand(View.FACE_ON, new double[] {0, 1}, Map.of(), 1))
                .hasMessageContaining("5 to 1,000");
    }
}
