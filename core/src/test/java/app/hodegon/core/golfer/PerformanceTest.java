package app.hodegon.core.golfer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.golfer.Movement.Ball;
import app.hodegon.core.golfer.Movement.Base;
import app.hodegon.core.golfer.Movement.Club;
import app.hodegon.core.golfer.Movement.Manner;
import app.hodegon.core.golfer.Movement.Stance;
import app.hodegon.core.motion.Cell;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Handedness;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** A golfer does what a movement says. */
class PerformanceTest {

    private static final Golfer GOLFER =
            new Golfer(Handedness.RIGHT, 180, PressureSchool.FULL_LOAD, Map.of(), Pace.USUAL);

    private static Performance swing(double length, double tempo, Map<Checkpoint, Double> pauses) {
        return Performance.of(
                GOLFER,
                new Movement(
                        Base.SWING,
                        new Manner(length, tempo, Hands.CLUB, Club.IRON, Ball.GROUND),
                        Stance.USUAL,
                        pauses,
                        List.of(),
                        List.of(),
                        List.of(),
                        List.of(),
                        Map.of(),
                        Checkpoint.TOP));
    }

    @Test
    void aFullSwingIsTheGolfersOwn() {
        Performance full = swing(100, 100, Map.of());
        GolfSwing own = GOLFER.swing();
        for (double t = 0.5; t < 1; t += 0.05) {
            for (BodyPoint point : List.of(BodyPoint.LEAD_WRIST, BodyPoint.TRAIL_KNEE, BodyPoint.NOSE)) {
                assertThat(full.body(t).get(point).distance(own.body(t).get(point)))
                        .isLessThan(0.001);
            }
            assertThat(full.load(Cell.TRAIL_BACK_INNER, t)).isCloseTo(own.load(Cell.TRAIL_BACK_INNER, t), within(1e-9));
        }
    }

    @Test
    void shorterIsShorterAndSlowerTakesLonger() {
        Performance full = swing(100, 100, Map.of());
        Performance half = swing(50, 50, Map.of());
        assertThat(half.value(Coordinate.ARM, half.seconds(Checkpoint.TOP)))
                .isLessThan(0.6 * full.value(Coordinate.ARM, full.seconds(Checkpoint.TOP)));
        assertThat(half.seconds(Checkpoint.IMPACT)).isCloseTo(2 * full.seconds(Checkpoint.IMPACT), within(1e-9));
    }

    @Test
    void inAPauseNothingMoves() {
        Performance held = swing(100, 100, Map.of(Checkpoint.TOP, 2.0, Checkpoint.FINISH, 3.0));
        double top = held.seconds(Checkpoint.TOP);
        assertThat(held.body(top + 0.1)).isEqualTo(held.body(top + 1.9));
        assertThat(held.seconds(Checkpoint.ARM_DOWN) - top).isGreaterThan(2);
        assertThat(held.duration()).isGreaterThan(held.seconds(Checkpoint.FINISH) + 3);
    }

    @Test
    void theClubStandsBehindTheBallAndMeetsItAndNothingIsLost() {
        Performance full = swing(100, 100, Map.of());
        Point ball = full.ball().orElseThrow();
        assertThat(full.body(0).get(BodyPoint.CLUB_HEAD).distance(ball)).isLessThan(5);
        assertThat(full.body(full.seconds(Checkpoint.IMPACT))
                        .get(BodyPoint.CLUB_HEAD)
                        .distance(ball))
                .isLessThan(5);
        double all =
                Arrays.stream(Cell.values()).mapToDouble(c -> full.load(c, 0)).sum();
        assertThat(all).isCloseTo(100, within(0.01));
    }

    @Test
    void picturesLieCloseEnough() {
        Performance full = swing(100, 100, Map.of());
        Motion motion = Motion.of(full);
        for (int i = 1; i < motion.frames().size(); i++) {
            Motion.Frame a = motion.frames().get(i - 1);
            Motion.Frame b = motion.frames().get(i);
            Map<BodyPoint, Point> between = full.body((a.seconds() + b.seconds()) / 2);
            for (BodyPoint point : List.of(BodyPoint.LEAD_WRIST, BodyPoint.LEAD_HIP, BodyPoint.LEAD_KNEE)) {
                Point straight = a.body().get(point).plus(b.body().get(point)).times(0.5);
                assertThat(straight.distance(between.get(point)))
                        .as(point + " at " + a.seconds())
                        .isLessThan(1.5);
            }
        }
        assertThat(motion.frames()).hasSizeLessThan(120);
    }
}
