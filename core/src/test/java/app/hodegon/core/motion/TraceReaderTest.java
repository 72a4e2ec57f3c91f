package app.hodegon.core.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.golfer.GolfSwing;
import app.hodegon.core.golfer.Golfer;
import app.hodegon.core.golfer.Pace;
import app.hodegon.core.golfer.Plate;
import app.hodegon.core.golfer.Plate.Shape;
import app.hodegon.core.motion.Trouble.Kind;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Measure;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class TraceReaderTest {

    private static final double BEFORE = 0.9;

    /** Points of trail share in the first press. */
    private static final double FAINT = 2;

    private static final Plate PLATE = new Plate(200, 0.5, LoadUnit.KILOGRAM, 82);

    static Stream<Arguments> golfers() {
        List<Arguments> all = new ArrayList<>();
        for (PressureSchool school : PressureSchool.values()) {
            all.add(Arguments.of(school, Map.of()));
            for (Fault fault : Fault.values()) all.add(Arguments.of(school, Map.of(fault, 1.0)));
        }
        return all.stream();
    }

    @ParameterizedTest
    @MethodSource("golfers")
    void readsWhatWasPutInWhateverTheSchoolTheFaultAndTheShape(PressureSchool school, Map<Fault, Double> faults) {
        Random random = new Random(seed(school, faults, 31));
        for (Shape shape : Shape.values()) {
            GolfSwing swing = golfer(school, faults).swing(random);
            SwingReading read = TraceReader.read(PLATE.record(swing, shape, BEFORE, 0.8, random), given(swing));

            for (Checkpoint at : Checkpoint.values()) {
                near(swing, read, Measure.TRAIL_SHARE, Optional.of(at), 1.5);
                if (shape == Shape.FEET) continue;
                for (Measure half :
                        List.of(Measure.TRAIL_TOE, Measure.LEAD_TOE, Measure.TRAIL_OUTER, Measure.LEAD_OUTER)) {
                    near(swing, read, half, Optional.of(at), 3);
                }
            }
            near(swing, read, Measure.PEAK_TRAIL_SHARE, Optional.empty(), 1.6);
            if (swing.truth(Measure.RECENTRE_LEAD, Optional.empty()).isPresent()) {
                near(swing, read, Measure.RECENTRE_LEAD, Optional.empty(), 15);
            }
            assertThat(read.troubles()).isEmpty();
        }
    }

    @ParameterizedTest
    @MethodSource("golfers")
    void findsAddressAndFinishFromLoadsAloneAndNeverClaimsATop(PressureSchool school, Map<Fault, Double> faults) {
        Random random = new Random(seed(school, faults, 37));
        GolfSwing swing = golfer(school, faults).swing(random);
        SwingReading read = TraceReader.read(PLATE.record(swing, Shape.FEET, BEFORE, 0.8, random), List.of());

        // Where the first press hardly moves the load, its begin is hardly to be seen.
        if (press(swing) > FAINT) {
            Moment address = read.moment(Checkpoint.ADDRESS).orElseThrow();
            assertThat(address.from()).isEqualTo(Origin.FOUND);
            assertThat(address.seconds()).isCloseTo(BEFORE, within(0.08));
        }
        assertThat(read.moment(Checkpoint.FINISH).orElseThrow().seconds())
                .isCloseTo(BEFORE + swing.seconds(Checkpoint.FINISH), within(0.3));
        assertThat(read.moments()).extracting(Moment::at).doesNotContain(Checkpoint.TOP, Checkpoint.IMPACT);
        assertThat(read.readings()).extracting(Measured::measure).doesNotContain(Measure.RECENTRE_LEAD);
    }

    @Test
    void theSameSwingIsReadTheSameInAnyUnitAndRateAndByEitherHand() {
        GolfSwing swing = golfer(PressureSchool.CENTRED, Map.of()).swing();
        Plate quiet = new Plate(200, 0, LoadUnit.KILOGRAM, 82);
        SwingReading read =
                TraceReader.read(quiet.record(swing, Shape.CELLS, BEFORE, 0.8, new Random(1)), given(swing));
        Plate heavy = new Plate(800, 0, LoadUnit.POUND, 181);
        SwingReading other =
                TraceReader.read(heavy.record(swing, Shape.CELLS, BEFORE, 0.8, new Random(1)), given(swing));

        for (Measured reading : read.readings()) {
            double most = reading.measure() == Measure.SHIFT_SPEED ? 10 : 0.4;
            assertThat(other.reading(reading.measure(), reading.at())
                            .orElseThrow()
                            .value())
                    .as(reading.measure().id() + reading.at())
                    .isCloseTo(reading.value(), within(most));
        }
        assertThat(Cell.LEAD_FRONT_INNER.channel(Handedness.RIGHT)).isEqualTo("left-front-inner");
        assertThat(Cell.LEAD_FRONT_INNER.channel(Handedness.LEFT)).isEqualTo("right-front-inner");
    }

    @Test
    void aMomentThatIsMovedTakesItsReadingsAlong() {
        GolfSwing swing = golfer(PressureSchool.FULL_LOAD, Map.of()).swing();
        Trace trace = PLATE.record(swing, Shape.FEET, BEFORE, 0.8, new Random(2));
        List<Moment> moved = new ArrayList<>(given(swing));
        moved.removeIf(m -> m.at() == Checkpoint.IMPACT);
        double earlier = BEFORE + swing.seconds(Checkpoint.IMPACT) - 0.05;
        moved.add(new Moment(Checkpoint.IMPACT, earlier, Origin.CORRECTED, 5));

        double before = share(TraceReader.read(trace, given(swing)), Checkpoint.IMPACT);
        SwingReading after = TraceReader.read(trace, moved);
        assertThat(share(after, Checkpoint.IMPACT)).isGreaterThan(before + 5);
        assertThat(after.moment(Checkpoint.IMPACT).orElseThrow().from()).isEqualTo(Origin.CORRECTED);
    }

    /** A coach may drag a moment anywhere: what comes of it must be a reading that a lesson can hold, or none. */
    @Test
    void whatNoMeasureCanBeIsNoReading() {
        GolfSwing swing = golfer(PressureSchool.FULL_LOAD, Map.of()).swing();
        Trace trace = PLATE.record(swing, Shape.FEET, 8, 0.8, new Random(2));
        SwingReading read = TraceReader.read(
                trace, List.of(at(Checkpoint.TRIGGER, 0.5), at(Checkpoint.TOP, 8 + swing.seconds(Checkpoint.TOP))));
        assertThat(read.reading(Measure.BACKSWING_TIME, Optional.empty())).isEmpty();
        assertThat(read.reading(Measure.PEAK_TRAIL_SHARE, Optional.empty())).isPresent();
    }

    @Test
    void momentsOutOfOrderOrBeyondTheLoadsAreRefused() {
        GolfSwing swing = golfer(PressureSchool.FULL_LOAD, Map.of()).swing();
        Trace trace = PLATE.record(swing, Shape.FEET, BEFORE, 0.8, new Random(2));
        assertThatThrownBy(() -> TraceReader.read(trace, List.of(at(Checkpoint.TOP, 2), at(Checkpoint.IMPACT, 1.9))))
                .hasMessage("Impact: must come after top.");
        assertThatThrownBy(() -> TraceReader.read(trace, List.of(at(Checkpoint.IMPACT, 60))))
                .hasMessageStartingWith("Impact: lies outside what was recorded");
    }

    @Test
    void twoSwingsInOneTraceAreSaidAndNotMixed() {
        GolfSwing swing = golfer(PressureSchool.EARLY_RETURN, Map.of()).swing();
        Trace one = PLATE.record(swing, Shape.CELLS, BEFORE, 0.8, new Random(3));
        assertThatThrownBy(() -> TraceReader.read(twice(one), List.of()))
                .isInstanceOf(SeveralSwingsException.class)
                .hasMessageStartingWith("2 swings are in this");
    }

    @Test
    void standingStillIsNoSwing() {
        double[] even = new double[400];
        Arrays.fill(even, 40);
        SwingReading read = TraceReader.read(Trace.ofFeet(100, LoadUnit.KILOGRAM, even, even), List.of());
        assertThat(read.troubles()).extracting(Trouble::kind).containsExactly(Kind.NO_SWING);
        assertThat(read.moments()).isEmpty();
    }

    @Test
    void whatSpoilsATraceIsSaidByName() {
        says(Kind.DEAD_CELL, changed(Cell.TRAIL_BACK_OUTER, load -> fill(load, 0)));
        says(Kind.SATURATED_CELL, changed(Cell.LEAD_BACK_OUTER, load -> cut(load, 0.7)));
        says(Kind.GAP, lost(300, 330));
        says(Kind.DRIFT, changed(Cell.LEAD_BACK_OUTER, TraceReaderTest::growing));
        GolfSwing swing = golfer(PressureSchool.EARLY_RETURN, Map.of()).swing();
        says(
                Kind.NOISY,
                new Plate(200, 3.5, LoadUnit.KILOGRAM, 82).record(swing, Shape.CELLS, BEFORE, 0.8, new Random(4)));
        says(
                Kind.SLOW_PLATE,
                new Plate(60, 0.3, LoadUnit.KILOGRAM, 82).record(swing, Shape.CELLS, BEFORE, 0.8, new Random(4)));
        says(Kind.CUT_SHORT, swing().slice(0, (int) (200 * (BEFORE + swing.seconds(Checkpoint.IMPACT) + 0.1))));
        says(Kind.NO_STILLNESS, swing().slice((int) (200 * (BEFORE + 0.05)), swing().length()));
    }

    @Test
    void aGapIsBridgedForWhatLiesOutsideIt() {
        SwingReading whole = TraceReader.read(
                swing(), given(golfer(PressureSchool.EARLY_RETURN, Map.of()).swing()));
        SwingReading gap = TraceReader.read(
                lost(280, 300),
                given(golfer(PressureSchool.EARLY_RETURN, Map.of()).swing()));
        assertThat(share(gap, Checkpoint.IMPACT)).isEqualTo(share(whole, Checkpoint.IMPACT));
    }

    private static long seed(PressureSchool school, Map<Fault, Double> faults, int test) {
        int fault = faults.keySet().stream().mapToInt(Fault::ordinal).sum();
        return (school.ordinal() * 100L + fault) * test;
    }

    private static double press(GolfSwing swing) {
        return Math.abs(swing.truth(Measure.TRAIL_SHARE, Optional.of(Checkpoint.TRIGGER))
                        .orElseThrow()
                - swing.truth(Measure.TRAIL_SHARE, Optional.of(Checkpoint.ADDRESS))
                        .orElseThrow());
    }

    private static Trace swing() {
        return PLATE.record(
                golfer(PressureSchool.EARLY_RETURN, Map.of()).swing(), Shape.CELLS, BEFORE, 0.8, new Random(5));
    }

    private static void says(Kind kind, Trace trace) {
        assertThat(TraceReader.read(trace, List.of()).troubles())
                .extracting(Trouble::kind)
                .contains(kind);
    }

    private static Trace changed(Cell cell, UnaryOperator<double[]> change) {
        Map<Cell, double[]> cells = cells(swing());
        cells.compute(cell, (c, load) -> change.apply(load));
        return Trace.ofCells(200, LoadUnit.KILOGRAM, cells);
    }

    private static Trace lost(int from, int to) {
        Map<Cell, double[]> cells = cells(swing());
        cells.values().forEach(load -> Arrays.fill(load, from, to, Double.NaN));
        return Trace.ofCells(200, LoadUnit.KILOGRAM, cells);
    }

    private static Trace twice(Trace trace) {
        Map<Cell, double[]> cells = cells(trace);
        cells.replaceAll((cell, load) ->
                Stream.of(load, load).flatMapToDouble(Arrays::stream).toArray());
        return Trace.ofCells(200, LoadUnit.KILOGRAM, cells);
    }

    private static Map<Cell, double[]> cells(Trace trace) {
        Map<Cell, double[]> cells = new EnumMap<>(Cell.class);
        for (Cell cell : Cell.values()) {
            double[] load = new double[trace.length()];
            for (int i = 0; i < load.length; i++) load[i] = trace.load(cell, i);
            cells.put(cell, load);
        }
        return cells;
    }

    private static double[] fill(double[] load, double value) {
        Arrays.fill(load, value);
        return load;
    }

    private static double[] cut(double[] load, double part) {
        double most = part * Arrays.stream(load).max().orElseThrow();
        return Arrays.stream(load).map(v -> Math.min(v, most)).toArray();
    }

    private static double[] growing(double[] load) {
        for (int i = 0; i < load.length; i++) load[i] += i * 0.01;
        return load;
    }

    private static double share(SwingReading read, Checkpoint at) {
        return read.reading(Measure.TRAIL_SHARE, Optional.of(at)).orElseThrow().value();
    }

    private static Moment at(Checkpoint at, double seconds) {
        return new Moment(at, seconds, Origin.GIVEN, 3);
    }

    private static void near(
            GolfSwing swing, SwingReading read, Measure measure, Optional<Checkpoint> at, double most) {
        Optional<Measured> reading = read.reading(measure, at);
        if (reading.isEmpty()) return;
        assertThat(reading.get().value())
                .as("%s %s", measure.id(), at)
                .isCloseTo(swing.truth(measure, at).orElseThrow(), within(most));
    }

    static Golfer golfer(PressureSchool school, Map<Fault, Double> faults) {
        return new Golfer(Handedness.RIGHT, 178, school, faults, Pace.USUAL);
    }

    private static List<Moment> given(GolfSwing swing) {
        return Arrays.stream(Checkpoint.values())
                .map(at -> new Moment(at, BEFORE + swing.seconds(at), Origin.GIVEN, 2.5))
                .toList();
    }
}
