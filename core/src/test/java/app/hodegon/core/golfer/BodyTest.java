package app.hodegon.core.golfer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Measure;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The body's points: a body that holds together, moved by what the swing says and by nothing else. */
class BodyTest {

    private static final double HEIGHT = 178;
    private static final double STEP = 0.002;

    static Stream<Map<Fault, Double>> golfers() {
        List<Map<Fault, Double>> all = new ArrayList<>(List.of(Map.of()));
        for (Fault fault : Fault.values()) all.add(Map.of(fault, 1.0));
        return all.stream();
    }

    private static GolfSwing swing(double height, Map<Fault, Double> faults) {
        return new Golfer(Handedness.RIGHT, height, PressureSchool.EARLY_RETURN, faults, Pace.USUAL).swing();
    }

    private static double between(Map<BodyPoint, Point> body, BodyPoint from, BodyPoint to) {
        return body.get(from).distance(body.get(to));
    }

    @ParameterizedTest
    @MethodSource("golfers")
    void bonesKeepTheirLengthFeetTheGroundAndNothingJumps(Map<Fault, Double> faults) {
        GolfSwing swing = swing(HEIGHT, faults);
        Map<BodyPoint, Point> last = null;
        for (double t = 0; t <= swing.duration(); t += STEP) {
            Map<BodyPoint, Point> body = swing.body(t);
            assertThat(body).hasSize(BodyPoint.values().length);
            assertThat(between(body, BodyPoint.LEAD_HIP, BodyPoint.LEAD_KNEE)).isCloseTo(0.245 * HEIGHT, within(0.1));
            assertThat(between(body, BodyPoint.LEAD_KNEE, BodyPoint.LEAD_ANKLE)).isCloseTo(0.246 * HEIGHT, within(0.1));
            assertThat(between(body, BodyPoint.TRAIL_KNEE, BodyPoint.TRAIL_ANKLE))
                    .isCloseTo(0.246 * HEIGHT, within(0.1));
            assertThat(between(body, BodyPoint.TRAIL_SHOULDER, BodyPoint.TRAIL_ELBOW))
                    .isCloseTo(0.186 * HEIGHT, within(0.1));
            assertThat(body.get(BodyPoint.LEAD_TOE).z()).isCloseTo(0, within(0.01));
            assertThat(body.get(BodyPoint.TRAIL_TOE).z()).isCloseTo(0, within(0.01));
            assertThat(body.get(BodyPoint.TRAIL_HEEL).z()).isNotNegative();
            if (last != null) {
                for (BodyPoint point : BodyPoint.values()) {
                    // Nothing of a golfer but the club's head is faster than 20 m/s.
                    double most = point == BodyPoint.CLUB_HEAD ? 12 : 4;
                    assertThat(body.get(point).distance(last.get(point)))
                            .as("%s at %.3f s", point.id(), t)
                            .isLessThan(most);
                }
            }
            last = body;
        }
    }

    /** What is measured on the points is what the swing was given. */
    @ParameterizedTest
    @MethodSource("golfers")
    void whatWasPutInIsMeasuredAgain(Map<Fault, Double> faults) {
        GolfSwing swing = swing(HEIGHT, faults);
        Map<BodyPoint, Point> address = swing.body(0);
        for (Checkpoint at : List.of(Checkpoint.HIP_BACK, Checkpoint.TOP, Checkpoint.ARM_DOWN, Checkpoint.IMPACT)) {
            Map<BodyPoint, Point> body = swing.body(swing.seconds(at));
            near(swing, Measure.PELVIS_DRIFT, at, hips(address).x() - hips(body).x(), 0.1);
            near(
                    swing,
                    Measure.PELVIS_THRUST,
                    at,
                    hips(body).y() - hips(address).y(),
                    0.1);
            near(swing, Measure.HEAD_DRIFT, at, ears(address).x() - ears(body).x(), 0.6);
            near(
                    swing,
                    Measure.TRAIL_HEEL_LIFT,
                    at,
                    body.get(BodyPoint.TRAIL_HEEL).z(),
                    0.1);
            Point across = body.get(BodyPoint.LEAD_HIP).minus(body.get(BodyPoint.TRAIL_HIP));
            near(swing, Measure.HIP_LINE, at, -Math.toDegrees(Math.atan2(across.y(), across.x())), 0.1);
        }
    }

    private static void near(GolfSwing swing, Measure measure, Checkpoint at, double measured, double most) {
        assertThat(measured)
                .as("%s, %s", measure.id(), at.id())
                .isCloseTo(swing.truth(measure, Optional.of(at)).orElseThrow(), within(most));
    }

    private static Point hips(Map<BodyPoint, Point> body) {
        return body.get(BodyPoint.LEAD_HIP).plus(body.get(BodyPoint.TRAIL_HIP)).times(0.5);
    }

    private static Point ears(Map<BodyPoint, Point> body) {
        return body.get(BodyPoint.LEAD_EAR).plus(body.get(BodyPoint.TRAIL_EAR)).times(0.5);
    }

    @Test
    void theClubIsFastestAtTheBallAndComesBackToIt() {
        GolfSwing swing = swing(HEIGHT, Map.of());
        double fastest = 0;
        double when = 0;
        for (double t = STEP; t < swing.duration(); t += STEP) {
            double speed = swing.body(t)
                            .get(BodyPoint.CLUB_HEAD)
                            .distance(swing.body(t - STEP).get(BodyPoint.CLUB_HEAD))
                    / STEP
                    / 100;
            if (speed > fastest) {
                fastest = speed;
                when = t;
            }
        }
        assertThat(when).isCloseTo(swing.seconds(Checkpoint.IMPACT), within(0.01));
        assertThat(fastest).as("m/s, as of a middle iron").isBetween(30.0, 50.0);
        Point ball = swing.body(0).get(BodyPoint.CLUB_HEAD);
        assertThat(ball.z()).isBetween(0.0, 5.0);
        assertThat(swing.body(swing.seconds(Checkpoint.IMPACT))
                        .get(BodyPoint.CLUB_HEAD)
                        .distance(ball))
                .isLessThan(14);
    }

    @Test
    void atTheTopTheLeadArmLiesAcrossAndInTheFinishTheBodyFacesTheTarget() {
        GolfSwing swing = swing(HEIGHT, Map.of());
        Map<BodyPoint, Point> top = swing.body(swing.seconds(Checkpoint.TOP));
        assertThat(top.get(BodyPoint.LEAD_WRIST).z())
                .isGreaterThan(top.get(BodyPoint.LEAD_SHOULDER).z());
        assertThat(top.get(BodyPoint.LEAD_WRIST).x())
                .isLessThan(top.get(BodyPoint.TRAIL_SHOULDER).x());
        Map<BodyPoint, Point> level = swing.body(swing.seconds(Checkpoint.ARM_BACK));
        assertThat(level.get(BodyPoint.LEAD_WRIST).z())
                .as("level, as the checkpoint is called")
                .isCloseTo(level.get(BodyPoint.LEAD_SHOULDER).z(), within(3.0));
        Map<BodyPoint, Point> finish = swing.body(swing.seconds(Checkpoint.FINISH));
        assertThat(finish.get(BodyPoint.NOSE).x()).isGreaterThan(ears(finish).x());
    }

    @Test
    void aBodyGrowsWithItsHeight() {
        double small = between(swing(150, Map.of()).body(0), BodyPoint.LEAD_HIP, BodyPoint.LEAD_ANKLE);
        double tall = between(swing(195, Map.of()).body(0), BodyPoint.LEAD_HIP, BodyPoint.LEAD_ANKLE);
        assertThat(tall / small).isCloseTo(195 / 150.0, within(0.03));
        assertThat(BodyPoint.LEAD_KNEE.name(Handedness.LEFT)).isEqualTo("right-knee");
        assertThat(BodyPoint.NOSE.name(Handedness.LEFT)).isEqualTo("nose");
    }
}
