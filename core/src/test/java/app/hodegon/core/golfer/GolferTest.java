package app.hodegon.core.golfer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.approach.PressureSchool.Corridor;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.motion.Cell;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Measure;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class GolferTest {

    private static Golfer golfer(PressureSchool school, Map<Fault, Double> faults) {
        return new Golfer(Handedness.RIGHT, 178, school, faults, Pace.USUAL);
    }

    @ParameterizedTest
    @EnumSource(PressureSchool.class)
    void aSoundSwingLiesInItsSchoolsCorridors(PressureSchool school) {
        GolfSwing swing = golfer(school, Map.of()).swing();
        for (Checkpoint at : Checkpoint.values()) {
            Corridor corridor = school.corridor(at);
            double share = swing.truth(Measure.TRAIL_SHARE, Optional.of(at)).orElseThrow();
            assertThat(corridor.beyond(share)).as(at.id()).isZero();
            assertThat(swing.value(Coordinate.TRAIL_SHARE, swing.seconds(at))).isCloseTo(share, within(1e-6));
        }
    }

    /** What the field says a fault shows in the loads and in the body, at full strength against none. */
    @ParameterizedTest
    @CsvSource({
        "SWAY, PELVIS_DRIFT, TOP, 5, 30",
        "SWAY, TRAIL_OUTER, TOP, 55, 97",
        "LATE_RECENTRE, TRAIL_SHARE, ARM_DOWN, 48, 100",
        "HANGING_BACK, TRAIL_SHARE, IMPACT, 45, 100",
        "REVERSE_PIVOT, TRAIL_SHARE, TOP, 0, 35",
        "EARLY_EXTENSION, PELVIS_THRUST, IMPACT, 4, 30",
        "EARLY_EXTENSION, TRAIL_TOE, IMPACT, 65, 97",
        "EARLY_EXTENSION, LEAD_TOE, IMPACT, 65, 97",
        "CLOSED_SLIDE, TRAIL_SHARE, ARM_DOWN, 0, 30",
        "OPEN_SETUP, HIP_LINE, ADDRESS, 5, 40",
        "CLOSED_SETUP, HIP_LINE, ADDRESS, -40, -5",
        "FROZEN_FEET, HIP_TURN, TOP, 0, 30",
        "TOE_FALL, LEAD_TOE, IMPACT, 65, 97",
        "LEAD_FOOT_SPIN, LEAD_FOOT_SHIFT, , 3, 30",
        "EARLY_SPIN, HIP_LINE, ARM_DOWN, 30, 90"
    })
    void aFaultMovesWhatItIsKnownFor(Fault fault, Measure measure, Checkpoint at, double low, double high) {
        GolfSwing swing =
                golfer(PressureSchool.EARLY_RETURN, Map.of(fault, 1.0)).swing();
        double value = swing.truth(measure, Optional.ofNullable(at)).orElseThrow();
        assertThat(value).isBetween(low, high);
        GolfSwing sound = golfer(PressureSchool.EARLY_RETURN, Map.of()).swing();
        GolfSwing half = golfer(PressureSchool.EARLY_RETURN, Map.of(fault, 0.5)).swing();
        double none = sound.truth(measure, Optional.ofNullable(at)).orElseThrow();
        double some = half.truth(measure, Optional.ofNullable(at)).orElseThrow();
        assertThat((some - none) * (value - some))
                .as("half as strong lies between")
                .isNotNegative();
        assertThat(some).isNotEqualTo(none);
    }

    @Test
    void noLoadNeverGoesOverItsLimit() {
        for (PressureSchool school : PressureSchool.values()) {
            assertThat(golfer(school, Map.of(Fault.NO_LOAD, 1.0))
                            .swing()
                            .truth(Measure.PEAK_TRAIL_SHARE, Optional.empty())
                            .orElseThrow())
                    .isLessThan(55);
        }
    }

    @ParameterizedTest
    @EnumSource(PressureSchool.class)
    void theQuartersBearWhatBothFeetPushAndNothingJumps(PressureSchool school) {
        GolfSwing swing = golfer(school, Map.of(Fault.SWAY, 0.7)).swing(new Random(3));
        double step = 0.001;
        Map<Cell, Double> before = null;
        for (double t = -0.1; t < swing.duration() + 0.1; t += step) {
            double all = 0;
            for (Cell cell : Cell.values()) all += swing.load(cell, t);
            assertThat(all).isCloseTo(swing.value(Coordinate.PUSH, t), within(1e-6));
            double now = t;
            Map<Cell, Double> loads = new EnumMap<>(Cell.class);
            for (Cell cell : Cell.values()) loads.put(cell, swing.load(cell, now));
            if (before != null) {
                for (Cell cell : Cell.values())
                    assertThat(Math.abs(loads.get(cell) - before.get(cell))).isLessThan(1.2);
            }
            before = loads;
        }
    }

    /** Ground first: pelvis, then shoulders, then arm, then club turn back down, and the club is fastest at the ball. */
    @Test
    void theWayDownBeginsAtTheGround() {
        GolfSwing swing = golfer(PressureSchool.EARLY_RETURN, Map.of()).swing();
        List<Coordinate> sequence =
                List.of(Coordinate.HIP_LINE, Coordinate.SHOULDER_LINE, Coordinate.ARM, Coordinate.CLUB);
        double impact = swing.seconds(Checkpoint.IMPACT);
        double fastest = Stream.iterate(0.0, t -> t < impact + 0.2, t -> t + 0.001)
                .max(Comparator.comparing(t -> Math.abs(swing.speed(Coordinate.CLUB, t))))
                .orElseThrow();
        assertThat(fastest).isCloseTo(impact, within(0.03));
        double[] speeds = sequence.stream()
                .mapToDouble(what -> Math.abs(swing.speed(what, impact - 0.002)))
                .toArray();
        assertThat(speeds[3]).as("the club over the arm").isGreaterThan(speeds[2]);
        assertThat(speeds[2]).as("the arm over the hips").isGreaterThan(speeds[0]);
    }

    @Test
    void swingsOfOneGolferDifferAndTheTypicalOneIsAlwaysTheSame() {
        Golfer golfer = golfer(PressureSchool.CENTRED, Map.of());
        Random random = new Random(1);
        double[] tops = Stream.generate(() -> golfer.swing(random))
                .limit(200)
                .mapToDouble(s -> s.truth(Measure.TRAIL_SHARE, Optional.of(Checkpoint.TOP))
                        .orElseThrow())
                .toArray();
        double mean = Arrays.stream(tops).average().orElseThrow();
        double typical = golfer.swing()
                .truth(Measure.TRAIL_SHARE, Optional.of(Checkpoint.TOP))
                .orElseThrow();
        assertThat(mean).isCloseTo(typical, within(0.6));
        double spread = Math.sqrt(
                Arrays.stream(tops).map(t -> (t - mean) * (t - mean)).average().orElseThrow());
        assertThat(spread).isBetween(1.2, 3.5);
    }

    @Test
    void whoCannotBeIsRefused() {
        assertThatThrownBy(() -> new Golfer(Handedness.LEFT, 40, PressureSchool.CENTRED, Map.of(), Pace.USUAL))
                .hasMessage("height must be 100 to 230 cm.");
        assertThatThrownBy(() -> golfer(PressureSchool.CENTRED, Map.of(Fault.SWAY, 1.5)))
                .hasMessage("sway must be there over 0 and up to 1.");
        assertThatThrownBy(() -> new Pace(0, 1, 1, 1)).hasMessage("every part of a swing takes time.");
    }
}
