package app.hodegon.core.golfer;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Handedness;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** A look goes where, and when, the fault can be seen. */
class FaultLookTest {

    private static Map<BodyPoint, Point> body(Map<Fault, Double> faults, Checkpoint at) {
        GolfSwing swing = new Golfer(Handedness.RIGHT, 178, PressureSchool.EARLY_RETURN, faults, Pace.USUAL).swing();
        return swing.body(swing.seconds(at));
    }

    /** From a place seen from there to another, cm. */
    private static double apart(FaultLook.Seen seen, Point one, Point other) {
        return switch (seen) {
            case FACE -> Math.hypot(one.x() - other.x(), one.z() - other.z());
            case LINE -> Math.hypot(one.y() - other.y(), one.z() - other.z());
            case ABOVE -> Math.hypot(one.x() - other.x(), one.y() - other.y());
        };
    }

    @ParameterizedTest
    @EnumSource
    void somethingIsToBeSeenThere(Fault fault) {
        FaultLook look = FaultLook.of(fault);
        Map<BodyPoint, Point> sound = body(Map.of(), look.at());
        Map<BodyPoint, Point> faulty = body(Map.of(fault, 1.0), look.at());
        assertThat(look.points())
                .as("%s", look)
                .anySatisfy(point -> assertThat(apart(look.seen(), sound.get(point), faulty.get(point)))
                        .as("%s", point)
                        .isGreaterThan(1.5));
    }

    /** Where a coach would stand, and what for. */
    @ParameterizedTest
    @CsvSource({
        "STIFF_TRAIL_ANKLE, LINE, ARM_DOWN, TRAIL_HEEL",
        "STIFF_TRAIL_HIP, FACE, TOP, TRAIL_HIP",
        "OPEN_SETUP, ABOVE, ADDRESS, LEAD_HIP",
        "CLOSED_SETUP, ABOVE, ADDRESS, LEAD_HIP",
        "SWAY, FACE, TOP, TRAIL_HIP",
        "REVERSE_PIVOT, FACE, TOP, NOSE",
        "NO_LOAD, FACE, TOP, TRAIL_HIP",
        "FROZEN_FEET, FACE, TOP, LEAD_HEEL",
        "LATE_RECENTRE, FACE, ARM_DOWN, LEAD_HIP",
        "EARLY_SPIN, LINE, ARM_DOWN, TRAIL_HEEL",
        "ARMS_FIRST, FACE, ARM_DOWN, LEAD_WRIST",
        "CLOSED_SLIDE, FACE, ARM_DOWN, LEAD_HIP",
        "HANGING_BACK, FACE, IMPACT, TRAIL_HEEL",
        "EARLY_EXTENSION, LINE, IMPACT, TRAIL_HIP",
        "OVER_THE_TOP, LINE, ARM_DOWN, CLUB_HEAD",
        "INSIDE_STUCK, LINE, ARM_DOWN, CLUB_HEAD",
        "TOE_FALL, LINE, IMPACT, LEAD_HEEL",
        "LEAD_FOOT_SPIN, FACE, FINISH, LEAD_TOE"
    })
    void isFromWhereACoachWouldStand(Fault fault, FaultLook.Seen seen, Checkpoint at, BodyPoint point) {
        FaultLook look = FaultLook.of(fault);
        assertThat(look.seen()).isEqualTo(seen);
        assertThat(look.at()).isEqualTo(at);
        assertThat(look.points()).contains(point);
    }
}
