package app.hodegon.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Source;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class HowToMeasureTest {

    /** Each measure is taken from its own side and judged by its own parts of the body. */
    @ParameterizedTest
    @CsvSource({
        "TRAIL_SHARE, face on, load is under the {trail} foot",
        "PEAK_TRAIL_SHARE, face on, the most the {trail} foot ever carries",
        "SHIFT_SPEED, face on, comes over to the {lead} foot",
        "TRAIL_TOE, down the line, {trail} foot's load is in its front half",
        "LEAD_TOE, down the line, {lead} foot's load is in its front half",
        "TRAIL_OUTER, down the line, {trail} foot's load is on its outer half",
        "LEAD_OUTER, down the line, {lead} foot's load is on its outer half",
        "HEAD_DRIFT, face on, the head has gone",
        "SHOULDER_TURN, down the line, the shoulders have turned",
        "TRAIL_HEEL_LIFT, face on, the {trail} heel is off the ground",
        "BACKSWING_TIME, face on, from the first move to the top",
        "DOWNSWING_TIME, face on, from the top to the ball",
        "TEMPO_RATIO, face on, time to the top over the time down",
        "STANCE_RATIO, face on, between the ankles over the width of the pelvis",
        "RECENTRE_LEAD, face on, both feet share evenly",
        "PELVIS_DRIFT, face on, the belt buckle has gone",
        "HIP_TURN, down the line, the belt has turned",
        "HIP_LINE, down the line, both hip bones against the target line",
        "PELVIS_THRUST, down the line, the seat has left the line",
        "POSTURE_RISE, down the line, the forward bend is lost",
        "LEAD_FOOT_SHIFT, face on, the {lead} foot ends from its mark"
    })
    void isTakenFromItsOwnSide(Measure measure, String view, String what) {
        assertThat(HowToMeasure.how(measure, Optional.of(Checkpoint.TOP), Source.CLIP))
                .startsWith("Clip " + view)
                .contains("stopped at the top")
                .contains(what);
    }

    @ParameterizedTest
    @CsvSource({
        "FELT, Ask the player before telling anything",
        "SEEN, Face on",
        "CLIP, Clip face on",
        "RULER, With a ruler",
        "PLATE, Three swings on the plate",
        "MONITOR, Three swings on the plate"
    })
    void isTakenByItsOwnMeans(Source source, String means) {
        assertThat(HowToMeasure.how(Measure.PELVIS_DRIFT, Optional.of(Checkpoint.IMPACT), source))
                .startsWith(means)
                .contains("at impact");
    }
}
