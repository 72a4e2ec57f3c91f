package app.hodegon.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Diagnosis;
import app.hodegon.core.diagnosis.Diagnosis.Finding;
import app.hodegon.core.diagnosis.Diagnostician;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Grade;
import app.hodegon.core.diagnosis.Observations;
import app.hodegon.core.diagnosis.Sign;
import app.hodegon.core.progress.Evidence.Told;
import app.hodegon.core.progress.Proposal.Kind;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Repeatability;
import app.hodegon.core.swing.Tally;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NextPlanTest {

    private static Diagnosis seeing(boolean yes, Sign... signs) {
        Map<Sign, Boolean> seen = new EnumMap<>(Sign.class);
        Stream.of(signs).forEach(s -> seen.put(s, yes));
        return new Diagnostician(PressureSchool.EARLY_RETURN, Repeatability.ASSUMED, Handedness.RIGHT)
                .diagnose(new Observations(seen, List.of(), Tally.EMPTY));
    }

    /** Late recentring, which sway brings about, of this grade, and nothing else. */
    private static Diagnosis late(Grade grade) {
        List<Finding> findings = Stream.of(Fault.values())
                .map(f -> new Finding(f, 0.1, f == Fault.LATE_RECENTRE ? grade : Grade.UNLIKELY, List.of(), List.of()))
                .toList();
        return new Diagnosis(findings, List.of(), List.of(), List.of(), List.of(), List.of());
    }

    @Test
    void advancingTakesTheNextFaultDownTheChainThatIsLikely() {
        List<Fault> sway = List.of(Fault.SWAY);
        assertThat(NextPlan.hasNext(sway, late(Grade.LIKELY))).isTrue();
        assertThat(NextPlan.focus(Kind.ADVANCE, sway, late(Grade.LIKELY), true)).containsExactly(Fault.LATE_RECENTRE);
        assertThat(NextPlan.hasNext(sway, late(Grade.POSSIBLE)))
                .as("what is only possible is not gone on to")
                .isFalse();
        assertThat(NextPlan.focus(Kind.ADVANCE, List.of(Fault.SWAY, Fault.LATE_RECENTRE), late(Grade.POSSIBLE), true))
                .as("but for the second fault of the last lesson")
                .containsExactly(Fault.LATE_RECENTRE);
    }

    @Test
    void aWayUpThatIsNotEndedIsKeptUpBesideTheNextFault() {
        assertThat(NextPlan.focus(Kind.ADVANCE, List.of(Fault.SWAY), late(Grade.LIKELY), false))
                .containsExactly(Fault.LATE_RECENTRE, Fault.SWAY);
    }

    @Test
    void whatTodayFindsIsShownBesideWhatWasBegun() {
        Diagnosis spin = new Diagnostician(PressureSchool.EARLY_RETURN, Repeatability.ASSUMED, Handedness.RIGHT)
                .diagnose(new Observations(
                        Map.of(
                                Sign.HIPS_SPIN_FIRST, true,
                                Sign.PELVIS_DRIFTS_BACK, false),
                        List.of(),
                        Tally.EMPTY));
        assertThat(spin.focus()).doesNotContain(Fault.SWAY);
        assertThat(spin.of(Fault.SWAY).grade()).isEqualTo(Grade.UNLIKELY);
        List<String> sides = NextPlan.instead(List.of(Fault.SWAY), spin);
        assertThat(sides).hasSize(2);
        assertThat(sides.get(0)).startsWith("Worked on: sway, ");
        assertThat(sides.get(1)).startsWith("Likely today: ");
        assertThat(NextPlan.focus(Kind.TODAY, List.of(Fault.SWAY), spin, false)).isEqualTo(spin.focus());
        assertThat(NextPlan.instead(spin.focus(), spin))
                .as("what is worked on is likely")
                .isEmpty();
    }

    @Test
    void whatIsOnlyPossibleGivesWayToWhatBringsItAboutAndToNothingElse() {
        Finding late = new Finding(Fault.LATE_RECENTRE, 0.4, Grade.POSSIBLE, List.of(), List.of());
        Finding sway = new Finding(Fault.SWAY, 0.9, Grade.LIKELY, List.of(), List.of());
        Finding toes = new Finding(Fault.TOE_FALL, 0.4, Grade.POSSIBLE, List.of(), List.of());
        Diagnosis now = new Diagnosis(
                List.of(sway, late, toes), List.of(), List.of(Fault.SWAY), List.of(), List.of(), List.of());
        assertThat(NextPlan.instead(List.of(Fault.LATE_RECENTRE), now))
                .containsExactly("Worked on: late recentring, 40 %.", "Likely today: sway, 90 %.");
        assertThat(NextPlan.instead(List.of(Fault.TOE_FALL), now))
                .as("sway does not bring it about")
                .isEmpty();
    }

    @Test
    void withNothingLeftToTakeItGoesOnWithTheSame() {
        Diagnosis sound = seeing(false, Sign.values());
        assertThat(NextPlan.focus(Kind.ADVANCE, List.of(Fault.SWAY), sound, true))
                .containsExactly(Fault.SWAY);
    }

    @Test
    void aSmallerPlanKeepsTheFirstFaultAndTheOthersBoth() {
        Diagnosis any = seeing(true, Sign.WEIGHT_LATE);
        List<Fault> two = List.of(Fault.SWAY, Fault.LEAD_FOOT_SPIN);
        assertThat(NextPlan.focus(Kind.SMALLER_PLAN, two, any, true)).containsExactly(Fault.SWAY);
        assertThat(NextPlan.focus(Kind.SAME_RUNG, two, any, true)).isEqualTo(two);
    }

    @ParameterizedTest
    @CsvSource({
        "GO_ON,   BETTER,      CANNOT_TELL, BORNE_OUT",
        "GO_ON,   BETTER,      WORSE,       NOT",
        "GO_ON,   CANNOT_TELL, CANNOT_TELL, NOT",
        "ADVANCE, WORSE,       ,            NOT",
        "MEASURE, CANNOT_TELL, ,            BORNE_OUT",
        "DONE,    CANNOT_TELL, ,            BORNE_OUT",
        "DONE,    BETTER,      WORSE,       NOT",
        "GO_ON,   ,            ,            OPEN",
        "MEASURE, ,            ,            OPEN"
    })
    void theNextLessonBearsAProposalOutOrNot(Kind kind, Verdict first, Verdict second, Outcome expected) {
        List<Told> told = Stream.of(Optional.ofNullable(first), Optional.ofNullable(second))
                .map(kept -> new Told("slice", Optional.empty(), kept))
                .toList();
        assertThat(Outcome.of(kind, told)).isEqualTo(expected);
    }
}
