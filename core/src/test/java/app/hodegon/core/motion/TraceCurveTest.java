package app.hodegon.core.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.golfer.GolfSwing;
import app.hodegon.core.golfer.Plate;
import app.hodegon.core.golfer.Plate.Shape;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class TraceCurveTest {

    private static final double BEFORE = 0.8;

    @ParameterizedTest
    @EnumSource(Shape.class)
    void isWhatWasMeasuredAtEvenSteps(Shape shape) {
        GolfSwing swing =
                TraceReaderTest.golfer(PressureSchool.FULL_LOAD, Map.of()).swing();
        Trace trace = new Plate(500, 0.4, LoadUnit.NEWTON, 760).record(swing, shape, BEFORE, 0.5, new Random(2));
        TraceCurve curve = TraceCurve.of(trace, 100);

        assertThat(curve.step()).isEqualTo(0.01);
        assertThat(curve.trailShare()).hasSize((int) (trace.duration() * 100) + 1);
        assertThat(curve.push()).hasSameSizeAs(curve.trailShare());
        assertThat(curve.halves().isPresent()).isEqualTo(shape != Shape.FEET);
        for (Checkpoint at : Checkpoint.values()) {
            int point = (int) Math.round((BEFORE + swing.seconds(at)) / curve.step());
            assertThat(curve.trailShare()[point])
                    .isCloseTo(swing.truth(Measure.TRAIL_SHARE, Optional.of(at)).orElseThrow(), within(3.5));
            curve.halves()
                    .ifPresent(halves -> assertThat(halves.leadFront()[point])
                            .isCloseTo(
                                    swing.truth(Measure.LEAD_TOE, Optional.of(at))
                                            .orElseThrow(),
                                    within(3.0)));
        }
        assertThat(curve.push()[0]).isCloseTo(100.0, within(3.0));
        assertThat(Arrays.stream(curve.push()).max().orElseThrow()).isGreaterThan(125);
    }

    @Test
    void aLostStretchAndAFootInTheAirAreNotDrawn() {
        double[] lead = new double[200];
        double[] trail = new double[200];
        Arrays.fill(lead, 400);
        Arrays.fill(trail, 300);
        Arrays.fill(lead, 80, 120, Double.NaN);
        TraceCurve curve = TraceCurve.of(Trace.ofFeet(100, LoadUnit.NEWTON, lead, trail), 1000);
        assertThat(curve.step()).as("never finer than the samples").isEqualTo(0.01);
        assertThat(curve.trailShare()[100]).isNaN();
        assertThat(curve.trailShare()[50]).isCloseTo(42.86, within(0.01));
    }
}
