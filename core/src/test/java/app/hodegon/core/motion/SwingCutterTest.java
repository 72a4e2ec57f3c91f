package app.hodegon.core.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.golfer.GolfSwing;
import app.hodegon.core.golfer.Golfer;
import app.hodegon.core.golfer.Pace;
import app.hodegon.core.golfer.Plate;
import app.hodegon.core.golfer.PlateStream;
import app.hodegon.core.golfer.PlateStream.Act;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Handedness;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class SwingCutterTest {

    private static final double RATE = 200;

    /** After so much at the latest a swing is told, seconds after the golfer stands still in its finish. */
    private static final double TOLD_WITHIN = 1;

    private static final int SWINGS = 4;

    private record Found(long told, SwingCutter.Cut cut) {}

    static Stream<Arguments> golfers() {
        return Stream.of(PressureSchool.values())
                .flatMap(school -> Stream.of(
                                Map.<Fault, Double>of(),
                                Map.of(Fault.SWAY, 1.0),
                                Map.of(Fault.HANGING_BACK, 1.0),
                                Map.of(Fault.REVERSE_PIVOT, 1.0),
                                Map.of(Fault.LATE_RECENTRE, 0.6))
                        .map(faults -> Arguments.of(school, faults)));
    }

    @ParameterizedTest
    @MethodSource("golfers")
    void everySwingIsToldOnceAndSoonAndNothingElseIs(PressureSchool school, Map<Fault, Double> faults) {
        Golfer golfer = new Golfer(Handedness.RIGHT, 175, school, faults, Pace.USUAL);
        PlateStream stream = new PlateStream(golfer, new Plate(RATE, 0.5, LoadUnit.NEWTON, 760), 11);
        Random random = new Random(school.ordinal());
        SwingCutter cutter = new SwingCutter(RATE, LoadUnit.NEWTON, true);
        List<Found> found = new ArrayList<>();
        List<Long> finishes = new ArrayList<>();
        long samples = 0;
        for (int swing = 0; swing < SWINGS; swing++) {
            if (random.nextBoolean()) stream.ask(Act.WAGGLE);
            if (random.nextInt(3) == 0) stream.ask(Act.FALSE_START);
            stream.ask(Act.SWING);
            int before = stream.swings();
            long begun = 0;
            do {
                Optional<SwingCutter.Cut> cut = cutter.add(loads(stream));
                samples++;
                long now = samples;
                cut.ifPresent(c -> found.add(new Found(now, c)));
                if (begun == 0 && stream.swings() > before) begun = samples;
            } while (!stream.resting());
            GolfSwing made = stream.swing();
            finishes.add(begun + Math.round((1 + made.seconds(Checkpoint.FINISH)) * RATE));
        }
        assertThat(found).hasSize(SWINGS);
        for (int i = 0; i < SWINGS; i++) {
            assertThat((found.get(i).told() - finishes.get(i)) / RATE).isLessThan(TOLD_WITHIN);
            SwingReading read = TraceReader.read(found.get(i).cut().trace(), List.of());
            assertThat(read.moment(Checkpoint.ADDRESS)).as("%s", read.moments()).isPresent();
            assertThat(read.moment(Checkpoint.FINISH))
                    .as("%s %s", read.moments(), found.get(i).cut().trace().duration())
                    .isPresent();
        }
    }

    @Test
    void aLostStretchLosesNoSwing() {
        Golfer golfer = new Golfer(Handedness.LEFT, 175, PressureSchool.FULL_LOAD, Map.of(), Pace.USUAL);
        PlateStream stream = new PlateStream(golfer, new Plate(RATE, 0.5, LoadUnit.NEWTON, 760), 3);
        SwingCutter cutter = new SwingCutter(RATE, LoadUnit.NEWTON, true);
        stream.ask(Act.SWING);
        double[] lost = new double[Cell.values().length];
        java.util.Arrays.fill(lost, Double.NaN);
        List<SwingCutter.Cut> cuts = new ArrayList<>();
        for (int i = 0; i < 8 * RATE; i++) {
            double[] loads = loads(stream);
            cutter.add(i > 330 && i < 338 ? lost : loads).ifPresent(cuts::add);
        }
        assertThat(cuts).hasSize(1);
        assertThat(TraceReader.read(cuts.get(0).trace(), List.of()).troubles())
                .extracting(Trouble::kind)
                .contains(Trouble.Kind.GAP);
    }

    @ParameterizedTest
    @ValueSource(doubles = {50, 100, 333, 1000})
    void theRateDoesNotMatter(double rate) {
        Golfer golfer = new Golfer(Handedness.RIGHT, 175, PressureSchool.EARLY_RETURN, Map.of(), Pace.USUAL);
        PlateStream stream = new PlateStream(golfer, new Plate(rate, 0.5, LoadUnit.NEWTON, 760), 3);
        SwingCutter cutter = new SwingCutter(rate, LoadUnit.NEWTON, true);
        for (int i = 0; i < 3; i++) stream.ask(Act.SWING);
        List<SwingCutter.Cut> cuts = new ArrayList<>();
        while (!stream.resting()) cutter.add(loads(stream)).ifPresent(cuts::add);
        assertThat(cuts).hasSize(3);
        assertThat(cuts.get(2).trace().rate()).isEqualTo(rate);
    }

    @Test
    void aSampleOfAnotherShapeIsRefused() {
        SwingCutter feet = new SwingCutter(100, LoadUnit.POUND, false);
        assertThatThrownBy(() -> feet.add(1, 2, 3)).hasMessage("a sample has 2 loads, this one 3.");
    }

    private static double[] loads(PlateStream stream) {
        Map<Cell, Double> next = stream.next();
        double[] loads = new double[Cell.values().length];
        for (Cell cell : Cell.values()) loads[cell.ordinal()] = next.get(cell);
        return loads;
    }
}
