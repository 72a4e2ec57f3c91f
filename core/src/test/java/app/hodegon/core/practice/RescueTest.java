package app.hodegon.core.practice;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Joint;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** On the course each fault is helped by its own thing: one given for another makes matters worse. */
class RescueTest {

    @ParameterizedTest
    @CsvSource({
        "STIFF_TRAIL_ANKLE, Flare the {trail} foot",
        "STIFF_TRAIL_HIP, Flare the {trail} foot",
        "OPEN_SETUP, set it along the line",
        "CLOSED_SETUP, turn it back to the line",
        "SWAY, Turn over the {trail} foot",
        "REVERSE_PIVOT, A sore back ends it",
        "NO_LOAD, Press into the {trail} foot",
        "FROZEN_FEET, Lift each heel once",
        "LATE_RECENTRE, Rock once onto the {lead} foot",
        "EARLY_SPIN, 'wait: onto the {lead} foot first, then turn'",
        "ARMS_FIRST, 'back, step, swing'",
        "CLOSED_SLIDE, let the {lead} hip turn out of the way",
        "HANGING_BACK, '{trail} heel up'",
        "EARLY_EXTENSION, the seat kept back",
        "OVER_THE_TOP, Back to the target a moment longer",
        "INSIDE_STUCK, chest all the way round",
        "TOE_FALL, heels heavy",
        "LEAD_FOOT_SPIN, Flare the {lead} foot"
    })
    void helpsItsOwnFault(Fault fault, String help) {
        assertThat(Rescue.of(fault, Set.of(), () -> Set.of(fault))).contains(help);
    }

    @Test
    void nothingIsGivenThatHurtsThisStudentOrFeedsAnotherFault() {
        assertThat(Rescue.of(Fault.LEAD_FOOT_SPIN, Set.of(Joint.KNEE), Set::of)).isEqualTo(Rescue.FOR_ANYBODY);
        assertThat(Rescue.of(Fault.EARLY_SPIN, Set.of(), () -> Set.of(Fault.CLOSED_SLIDE)))
                .isEqualTo(Rescue.FOR_ANYBODY);
        assertThat(Rescue.of(Fault.EARLY_SPIN, Set.of(Joint.KNEE), () -> Set.of(Fault.SWAY)))
                .isNotEqualTo(Rescue.FOR_ANYBODY);
    }
}
