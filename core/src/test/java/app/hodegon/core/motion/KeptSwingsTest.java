package app.hodegon.core.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Diagnosis;
import app.hodegon.core.diagnosis.Diagnostician;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Grade;
import app.hodegon.core.diagnosis.Observations;
import app.hodegon.core.golfer.GolfSwing;
import app.hodegon.core.golfer.Golfer;
import app.hodegon.core.golfer.Pace;
import app.hodegon.core.golfer.Plate;
import app.hodegon.core.motion.KeptSwings.Joint;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Repeatability;
import app.hodegon.core.swing.Source;
import app.hodegon.core.swing.Tally;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class KeptSwingsTest {

    private static final double BEFORE = 0.9;

    @Test
    void threeSwingsMakeAReadingAndFiveTellTheirOwnRepeatability() {
        List<SwingReading> swings = swings(PressureSchool.CENTRED, Map.of(), 5);
        assertThat(top(KeptSwings.of(swings.subList(0, 2))).reading(Source.PLATE, true))
                .isEmpty();

        Joint three = top(KeptSwings.of(swings.subList(0, 3)));
        Reading reading = three.reading(Source.PLATE, true).orElseThrow();
        assertThat(reading.swings()).isEqualTo(3);
        assertThat(Repeatability.ASSUMED.sem(reading))
                .as("what is assumed is larger than what was measured")
                .hasValue(2.5);
        assertThat(three.own()).isEmpty();

        Joint five = top(KeptSwings.of(swings));
        double mean =
                swings.stream().mapToDouble(KeptSwingsTest::atTop).average().orElseThrow();
        double squares =
                swings.stream().mapToDouble(s -> Math.pow(atTop(s) - mean, 2)).sum();
        assertThat(five.mean()).isCloseTo(mean, within(1e-9));
        double own = five.own().orElseThrow();
        assertThat(own).isCloseTo(Math.sqrt(squares / 4), within(1e-9));
        assertThat(Repeatability.ASSUMED
                        .sem(five.reading(Source.PLATE, true).orElseThrow())
                        .orElseThrow())
                .isEqualTo(Math.max(own, five.uncertainty()));
        assertThat(Repeatability.ASSUMED.sem(five.reading(Source.PLATE, false).orElseThrow()))
                .hasValue(2.5);
    }

    @Test
    void aMeasuringWorseThanAssumedCountsInstead() {
        Joint shaky = new Joint(Measure.TRAIL_SHARE, Optional.of(Checkpoint.TOP), 60, 3, 12, OptionalDouble.of(1));
        assertThat(Repeatability.ASSUMED.sem(shaky.reading(Source.PLATE, false).orElseThrow()))
                .hasValue(12);
    }

    /** What the golfer was given comes out of the plate again, through swings, readings and diagnosis. */
    @ParameterizedTest
    @EnumSource(
            value = Fault.class,
            names = {"REVERSE_PIVOT", "NO_LOAD", "LATE_RECENTRE", "HANGING_BACK"})
    void theFaultThatWasPutInIsLikely(Fault fault) {
        for (PressureSchool school : List.of(PressureSchool.EARLY_RETURN, PressureSchool.CENTRED)) {
            Diagnosis sound = diagnosis(school, Map.of());
            Diagnosis diagnosis = diagnosis(school, Map.of(fault, 1.0));
            assertThat(diagnosis.of(fault).grade()).as(school.id()).isEqualTo(Grade.LIKELY);
            assertThat(sound.likely()).as(school.id()).isEmpty();
        }
    }

    private static Diagnosis diagnosis(PressureSchool school, Map<Fault, Double> faults) {
        List<Reading> readings = KeptSwings.of(swings(school, faults, 4)).stream()
                .flatMap(j -> j.reading(Source.PLATE, false).stream())
                .toList();
        return new Diagnostician(school, Handedness.RIGHT).diagnose(new Observations(Map.of(), readings, Tally.EMPTY));
    }

    private static List<SwingReading> swings(PressureSchool school, Map<Fault, Double> faults, int n) {
        Random random = new Random(7);
        Plate plate = new Plate(200, 0.5, LoadUnit.KILOGRAM, 70);
        List<SwingReading> readings = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            GolfSwing swing = new Golfer(Handedness.RIGHT, 170, school, faults, Pace.USUAL).swing(random);
            readings.add(TraceReader.read(
                    plate.record(swing, Plate.Shape.CELLS, BEFORE, 0.8, random),
                    Arrays.stream(Checkpoint.values())
                            .map(at -> new Moment(at, BEFORE + swing.seconds(at), Origin.GIVEN, 3))
                            .toList()));
        }
        return readings;
    }

    private static Joint top(List<Joint> joints) {
        return joints.stream()
                .filter(j -> j.measure() == Measure.TRAIL_SHARE && j.at().equals(Optional.of(Checkpoint.TOP)))
                .findFirst()
                .orElseThrow();
    }

    private static double atTop(SwingReading swing) {
        return swing.reading(Measure.TRAIL_SHARE, Optional.of(Checkpoint.TOP))
                .orElseThrow()
                .value();
    }
}
