package app.hodegon.core.progress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.hodegon.core.progress.Evidence.Told;
import app.hodegon.core.progress.Proposal.Kind;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** One proposal for each row of what lessons and practice can say together. */
class ProposalTest {

    private static Evidence evidence(Verdict gain, Verdict kept, Double share, int passed) {
        return new Evidence(
                List.of(new Told("slice", Optional.ofNullable(gain), Optional.ofNullable(kept))),
                List.of(),
                Optional.ofNullable(share),
                3,
                passed,
                passed == 3,
                false,
                List.of(),
                List.of());
    }

    @ParameterizedTest
    @CsvSource({
        "BETTER,      BETTER,      0.9, 3, ADVANCE",
        "BETTER,      BETTER,      0.3, 3, ADVANCE",
        "CANNOT_TELL, BETTER,      0.8, 2, GO_ON",
        "BETTER,      CANNOT_TELL, 0.9, 1, SAME_RUNG",
        "BETTER,      CANNOT_TELL, 0.6, 1, SAME_RUNG",
        "BETTER,      CANNOT_TELL, 0.3, 1, SMALLER_PLAN",
        "CANNOT_TELL, CANNOT_TELL, 0.7, 3, OTHER_FEEDBACK",
        ",            CANNOT_TELL, 1.1, 0, OTHER_FEEDBACK",
        "CANNOT_TELL, CANNOT_TELL, 0.6, 0, GO_ON",
        "CANNOT_TELL, CANNOT_TELL, 0.49, 0, SMALLER_PLAN",
        "CANNOT_TELL, CANNOT_TELL, ,    0, GO_ON",
        "BETTER,      WORSE,       0.9, 3, LOOK_AGAIN",
        "BETTER,      ,            0.9, 3, MEASURE"
    })
    void followsFromWhatWasKeptAndPractised(Verdict gain, Verdict kept, Double share, int passed, Kind expected) {
        Proposal proposal = Proposal.of(evidence(gain, kept, share, passed));
        assertThat(proposal.kind()).isEqualTo(expected);
        assertThat(proposal.because()).isNotEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "0, 0, 'No gate was due yet.'",
        "1, 1, '1 of 1 gate due by now passed.'",
        "3, 2, '2 of 3 gates due by now passed.'"
    })
    void gatesAreCountedInWords(int due, int passed, String said) {
        Evidence kept = new Evidence(
                List.of(new Told("slice", Optional.empty(), Optional.of(Verdict.BETTER))),
                List.of(),
                Optional.of(0.9),
                due,
                passed,
                false,
                false,
                List.of(),
                List.of());
        assertThat(Proposal.of(kept).because()).contains(said);
    }

    @Test
    void painComesBeforeTheBall() {
        Evidence hurt = new Evidence(
                List.of(new Told("slice", Optional.empty(), Optional.of(Verdict.WORSE))),
                List.of("shank"),
                Optional.of(1.0),
                2,
                2,
                true,
                true,
                List.of("Disc turn"),
                List.of());
        Proposal proposal = Proposal.of(hurt);
        assertThat(proposal.kind()).isEqualTo(Kind.STOP_AND_REFER);
        assertThat(proposal.because().toString()).contains("Disc turn").contains("doctor or physiotherapist");
    }

    @Test
    void aNewBadBallMakesTheDiagnosisDoubtedAlsoWhereTheOldOneIsGone() {
        Evidence shanks = new Evidence(
                List.of(new Told("slice", Optional.empty(), Optional.of(Verdict.BETTER))),
                List.of("shank"),
                Optional.of(1.0),
                2,
                2,
                true,
                true,
                List.of(),
                List.of());
        assertThat(Proposal.of(shanks).kind()).isEqualTo(Kind.LOOK_AGAIN);
        assertThat(Proposal.of(shanks).because()).contains("New since the last lesson: shank.");
    }

    @Test
    void aDrillIsNotBlamedForPracticeThatDidNotHappen() {
        assertThat(Proposal.of(evidence(Verdict.CANNOT_TELL, Verdict.CANNOT_TELL, 0.2, 0))
                        .because())
                .contains("Practised 20 % of the reps planned.")
                .anyMatch(reason -> reason.contains("did not happen"));
    }

    @Test
    void aWayUpNotEndedAdvancesOnceTheFaultIsGoneAndWhatWasDueIsPassed() {
        List<Told> better = List.of(new Told("slice", Optional.empty(), Optional.of(Verdict.BETTER)));
        assertThat(kind(better, 2, 2, true)).isEqualTo(Kind.ADVANCE);
        assertThat(kind(better, 2, 1, true)).as("a gate was due").isEqualTo(Kind.GO_ON);
        assertThat(kind(better, 2, 2, false)).as("the fault still shows").isEqualTo(Kind.GO_ON);
        assertThat(kind(better, 0, 0, true)).as("none was due").isEqualTo(Kind.ADVANCE);
    }

    private static Kind kind(List<Told> told, int due, int passed, boolean gone) {
        return Proposal.of(
                        new Evidence(told, List.of(), Optional.of(0.9), due, passed, false, gone, List.of(), List.of()))
                .kind();
    }

    @Test
    void moreGatesPassedThanThereAreIsNoEvidence() {
        assertThatThrownBy(() -> evidence(null, null, null, 4)).hasMessageContaining("0 to 3");
    }

    @Test
    void whatPracticeTellsStandsBehindTheReasonsAndDecidesNothing() {
        Evidence without =
                new Evidence(List.of(), List.of(), Optional.of(0.9), 0, 0, false, false, List.of(), List.of());
        Evidence with = new Evidence(
                List.of(),
                List.of(),
                Optional.of(0.9),
                0,
                0,
                false,
                false,
                List.of(),
                List.of("Noticed right: 4 of 20."));
        assertThat(Proposal.of(with).kind()).isEqualTo(Proposal.of(without).kind());
        assertThat(Proposal.of(with).because()).endsWith("Noticed right: 4 of 20.");
    }
}
