package app.hodegon.core.progress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Repeatability;
import app.hodegon.core.swing.Source;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AimTest {

    private static Reading reading(Measure measure, Checkpoint at, double value, Source source) {
        return new Reading(measure, Optional.ofNullable(at), value, source, 4);
    }

    @ParameterizedTest
    @CsvSource({
        "75, EARLY_RETURN, lower",
        "75, FULL_LOAD,",
        "30, EARLY_RETURN, higher",
        "30, CENTRED, higher",
        "50, EARLY_RETURN,"
    })
    void theTrailShareAimsForTheSchoolsCorridor(double value, PressureSchool school, String better) {
        Reading top = reading(Measure.TRAIL_SHARE, Checkpoint.TOP, value, Source.PLATE);
        assertThat(Aim.of(top, school)).isEqualTo(Optional.ofNullable(better).map(b -> Identified.of(Better.class, b)));
    }

    @Test
    void otherMeasuresAimAwayFromTheirFaults() {
        PressureSchool any = PressureSchool.CENTRED;
        assertThat(Aim.of(reading(Measure.PELVIS_DRIFT, Checkpoint.TOP, 9, Source.CLIP), any))
                .contains(Better.LOWER);
        assertThat(Aim.of(reading(Measure.HIP_TURN, Checkpoint.TOP, 20, Source.CLIP), any))
                .contains(Better.HIGHER);
        assertThat(Aim.of(reading(Measure.SHOULDER_TURN, Checkpoint.TOP, 80, Source.CLIP), any))
                .contains(Better.HIGHER);
        assertThat(Aim.of(reading(Measure.HIP_LINE, Checkpoint.ADDRESS, 9, Source.CLIP), any))
                .as("faults on both sides: back from the one that was crossed")
                .contains(Better.LOWER);
        assertThat(Aim.of(reading(Measure.HIP_LINE, Checkpoint.ADDRESS, -9, Source.CLIP), any))
                .contains(Better.HIGHER);
        assertThat(Aim.of(reading(Measure.HIP_LINE, Checkpoint.ADDRESS, 0, Source.CLIP), any))
                .isEmpty();
    }

    @Test
    void ballsAimForSolidAndStraight() {
        assertThat(Aim.of(BallResult.SOLID)).contains(Better.HIGHER);
        assertThat(Aim.of(BallResult.SLICE)).contains(Better.LOWER);
        assertThat(Aim.of(BallResult.DRAW)).isEmpty();
    }

    @Test
    void anEstimateCarriesItsInterval() {
        Estimate share = Estimate.of(
                        reading(Measure.TRAIL_SHARE, Checkpoint.TOP, 70, Source.SEEN), Repeatability.ASSUMED)
                .orElseThrow();
        // 1.96 · 8 / √4
        assertThat(share.high() - share.value()).isCloseTo(7.84, within(0.01));
        // Wilson 1927: 5 of 10 lies between 23.7 % and 76.3 %.
        Estimate balls = Estimate.of(new Comparison.Count(5, 10));
        assertThat(balls.low()).isCloseTo(23.66, within(0.01));
        assertThat(balls.high()).isCloseTo(76.34, within(0.01));
        assertThat(Estimate.of(new Comparison.Count(0, 10)).low()).isCloseTo(0, within(1e-9));
        assertThat(Estimate.of(reading(Measure.TEMPO_RATIO, null, 3, Source.MONITOR), Repeatability.ASSUMED))
                .isEmpty();
    }
}
