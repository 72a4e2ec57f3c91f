package app.hodegon.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Source;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ConcernTest {

    private static final Concern SWAY = Concern.of(List.of(Fault.SWAY));

    @Test
    void aFaultIsToldByWhatShowsIt() {
        Reading drift = new Reading(Measure.PELVIS_DRIFT, Optional.of(Checkpoint.TOP), 9, Source.CLIP, 3);
        Reading footMoved = new Reading(Measure.LEAD_FOOT_SHIFT, Optional.empty(), 3, Source.SEEN, 3);
        assertThat(SWAY.with(drift)).isTrue();
        assertThat(SWAY.with(footMoved)).isFalse();
        assertThat(Concern.of(List.of(Fault.LEAD_FOOT_SPIN)).with(footMoved)).isTrue();
        assertThat(Concern.of(List.of()).with(drift)).isFalse();
    }

    @Test
    void aRootIsToldByTheBallAtTheEndOfItsChain() {
        assertThat(SWAY.with(BallResult.SLICE)).as("by way of over the top").isTrue();
        assertThat(Concern.of(List.of(Fault.OVER_THE_TOP)).with(BallResult.SLICE))
                .isTrue();
        assertThat(Concern.of(List.of(Fault.OVER_THE_TOP)).with(BallResult.HOOK))
                .isFalse();
    }

    @Test
    void thePressureTellsWhereTheCatalogueHasALimitForIt() {
        assertThat(Concern.of(List.of(Fault.LATE_RECENTRE)).with(share(Checkpoint.ARM_DOWN)))
                .isTrue();
        assertThat(SWAY.with(share(Checkpoint.FINISH)))
                .as("by way of hanging back")
                .isTrue();
        assertThat(SWAY.with(share(Checkpoint.TRIGGER))).isFalse();
    }

    private static Reading share(Checkpoint at) {
        return new Reading(Measure.TRAIL_SHARE, Optional.of(at), 40, Source.PLATE, 3);
    }
}
