package app.hodegon.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.progress.Distance.Where;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Source;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class DistanceTest {

    private static Distance of(double value, double half) {
        return Distance.of(new Estimate(value, value - half, value + half), new Target(40, 60));
    }

    @Test
    void isTheWayToTheNearerEdge() {
        assertThat(of(72, 5)).isEqualTo(new Distance(12, Where.OUTSIDE));
        assertThat(of(33, 5)).isEqualTo(new Distance(-7, Where.OUTSIDE));
        assertThat(of(50, 5)).isEqualTo(new Distance(0, Where.INSIDE));
    }

    @Test
    void aWideIntervalLeavesOpenOnWhichSideOfTheEdgeTheValueLies() {
        assertThat(of(50, 15)).isEqualTo(new Distance(0, Where.ACROSS));
        assertThat(of(63, 5)).isEqualTo(new Distance(3, Where.ACROSS));
    }

    @Test
    void aTargetIsTheSchoolsCorridorOrWhatEverySchoolWants() {
        assertThat(target(Measure.TRAIL_SHARE, Checkpoint.TOP, PressureSchool.CENTRED))
                .contains(new Target(45, 60));
        assertThat(target(Measure.TRAIL_SHARE, Checkpoint.TOP, PressureSchool.EARLY_RETURN))
                .contains(new Target(40, 60));
        assertThat(target(Measure.HIP_TURN, Checkpoint.TOP, PressureSchool.CENTRED))
                .contains(new Target(35, 45));
        assertThat(target(Measure.HIP_TURN, Checkpoint.FINISH, PressureSchool.CENTRED))
                .isEmpty();
        Target drift = target(Measure.PELVIS_DRIFT, Checkpoint.TOP, PressureSchool.CENTRED)
                .orElseThrow();
        assertThat(Distance.of(new Estimate(-2, -4, 0), drift)).isEqualTo(new Distance(0, Where.INSIDE));
        assertThat(Distance.of(new Estimate(9, 7, 11), drift)).isEqualTo(new Distance(4, Where.OUTSIDE));
    }

    private static Optional<Target> target(Measure measure, Checkpoint at, PressureSchool school) {
        return Target.of(new Reading(measure, Optional.of(at), 40, Source.CLIP, 3), school);
    }
}
