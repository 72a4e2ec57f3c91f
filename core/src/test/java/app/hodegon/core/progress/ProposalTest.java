package app.hodegon.core.progress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.hodegon.core.progress.Evidence.Today;
import app.hodegon.core.progress.Evidence.Told;
import app.hodegon.core.progress.Evidence.Work;
import app.hodegon.core.progress.Proposal.Kind;
import app.hodegon.core.swing.Handedness;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** One case for each rule, and for its edges; the first rule that holds decides. */
class ProposalTest {

    private static final Today THERE = new Today(false, true, false, List.of(), List.of());
    private static final Today MAYBE = new Today(false, false, false, List.of(), List.of());
    private static final Today GONE = new Today(true, false, false, List.of(), List.of());
    private static final Today GONE_NEXT = new Today(true, false, true, List.of(), List.of());

    private static Work work(Double share, int due, int passed, boolean ended) {
        return work(share, due, passed, ended, null, true);
    }

    private static Work work(Double share, int due, int passed, boolean ended, Kind before, boolean other) {
        return new Work(
                Optional.ofNullable(share),
                due,
                passed,
                ended,
                false,
                List.of(),
                Optional.ofNullable(before),
                () -> other);
    }

    private static List<Told> slice(Verdict gain, Verdict kept) {
        return List.of(new Told("Slice", Optional.ofNullable(gain), Optional.ofNullable(kept)));
    }

    private static Proposal of(List<Told> told, Work work, Today today) {
        return Proposal.of(new Evidence(told, List.of(), work, today, List.of(), List.of()));
    }

    private static Kind kind(Verdict kept, Work work, Today today) {
        return of(slice(null, kept), work, today).kind();
    }

    @Test
    void painComesFirst() {
        Evidence hurt = new Evidence(
                slice(null, Verdict.WORSE),
                List.of("shank"),
                work(1.0, 2, 2, true),
                new Today(true, false, true, List.of(), List.of("Likely today: early spin.")),
                List.of("Disc turn"),
                List.of());
        assertThat(Proposal.of(hurt).kind()).isEqualTo(Kind.STOP_AND_REFER);
        assertThat(Proposal.of(hurt).because().toString()).contains("Disc turn").contains("doctor or physiotherapist");
    }

    @Test
    void whatIsLikelyTodayComesBeforeWhatWasBegun() {
        List<String> sides = List.of("Worked on: sway, 6 %.", "Likely today: early spin, 90 %.");
        Proposal proposal =
                of(slice(null, Verdict.WORSE), work(0.9, 2, 0, false), new Today(true, false, true, List.of(), sides));
        assertThat(proposal.kind()).isEqualTo(Kind.TODAY);
        assertThat(proposal.because()).as("side by side").isEqualTo(sides);
    }

    @Test
    void worseOrANewBallIsLookedAtAgain() {
        assertThat(kind(Verdict.WORSE, work(0.9, 3, 3, true), GONE)).isEqualTo(Kind.LOOK_AGAIN);
        Evidence shanks = new Evidence(
                slice(null, Verdict.BETTER), List.of("shank"), work(1.0, 2, 2, true), GONE, List.of(), List.of());
        assertThat(Proposal.of(shanks).kind()).isEqualTo(Kind.LOOK_AGAIN);
        assertThat(Proposal.of(shanks).because()).contains("New since the last lesson: shank.");
    }

    @Test
    void goneAndKeptIsDoneOrTheNextFault() {
        assertThat(kind(Verdict.CANNOT_TELL, work(0.9, 2, 2, false), GONE)).isEqualTo(Kind.DONE);
        assertThat(kind(Verdict.CANNOT_TELL, work(0.9, 2, 2, false), GONE_NEXT)).isEqualTo(Kind.ADVANCE);
        assertThat(kind(null, work(0.2, 0, 0, true), GONE))
                .as("nothing left to lay")
                .isEqualTo(Kind.DONE);
        assertThat(kind(Verdict.BETTER, work(0.9, 0, 0, false), GONE))
                .as("none was due")
                .isEqualTo(Kind.DONE);
        assertThat(kind(Verdict.BETTER, work(0.9, 2, 1, false), GONE))
                .as("a gate was due")
                .isEqualTo(Kind.GO_ON);
    }

    @Test
    void goneWithABallThatIsNotIsNoReasonToPlayOn() {
        List<String> slices = List.of("8 of 10 balls slice, and nothing likely explains it.");
        Today stillSlices = new Today(true, false, false, slices, List.of());
        Proposal proposal = of(slice(null, Verdict.CANNOT_TELL), work(0.9, 2, 2, true), stillSlices);
        assertThat(proposal.kind()).isEqualTo(Kind.LOOK_FURTHER);
        assertThat(proposal.because()).containsAll(slices);
        assertThat(kind(Verdict.CANNOT_TELL, work(0.9, 2, 2, true), new Today(true, false, true, slices, List.of())))
                .as("there is a next one")
                .isEqualTo(Kind.ADVANCE);
    }

    @Test
    void betterAndKeptGoesOnAndAdvancesOnlyToAnotherFault() {
        assertThat(kind(Verdict.BETTER, work(0.8, 3, 1, false), THERE)).isEqualTo(Kind.GO_ON);
        assertThat(kind(Verdict.BETTER, work(0.3, 3, 3, true), new Today(false, true, true, List.of(), List.of())))
                .isEqualTo(Kind.ADVANCE);
        assertThat(kind(Verdict.BETTER, work(0.9, 3, 3, true), MAYBE))
                .as("nothing to advance to")
                .isEqualTo(Kind.DONE);
    }

    @Test
    void gatesThatFallAtOnceWhileTheFaultStaysAreDoubted() {
        Work atOnce = new Work(Optional.of(0.9), 3, 3, true, true, List.of(), Optional.empty(), () -> true);
        assertThat(kind(Verdict.CANNOT_TELL, atOnce, THERE)).isEqualTo(Kind.LOOK_AGAIN);
        assertThat(kind(Verdict.NO_CHANGE, atOnce, THERE)).isEqualTo(Kind.LOOK_AGAIN);
        assertThat(kind(Verdict.CANNOT_TELL, atOnce, MAYBE)).isEqualTo(Kind.MEASURE);
    }

    @Test
    void gatesOnTimeAndABallThatCannotTellGoOnAndMeasure() {
        Told told = new Told("slice", Optional.empty(), Optional.of(Verdict.CANNOT_TELL), OptionalInt.of(34));
        Proposal proposal = of(List.of(told), work(0.9, 3, 2, false), THERE);
        assertThat(proposal.kind()).isEqualTo(Kind.GO_ON_AND_MEASURE);
        assertThat(proposal.because()).anyMatch(r -> r.endsWith("Slice: 34 more each time would tell."));
        assertThat(of(List.of(), work(0.9, 0, 0, false), THERE).because())
                .as("none due, nothing measured")
                .anyMatch(r -> r.contains("30 from before the first word"));
    }

    @Test
    void gatesThatPassWhileTheFaultStaysAsLikelyTellSomethingOnce() {
        assertThat(kind(Verdict.CANNOT_TELL, work(0.9, 3, 2, false, Kind.GO_ON_AND_MEASURE, true), THERE))
                .isEqualTo(Kind.LOOK_AGAIN);
        assertThat(kind(Verdict.CANNOT_TELL, work(0.9, 3, 2, false, Kind.GO_ON_AND_MEASURE, true), MAYBE))
                .as("less likely than it was")
                .isEqualTo(Kind.GO_ON_AND_MEASURE);
    }

    @Test
    void whoPractisedAndPassedNothingTriesItAnotherWayOnceAndIsThenLookedAtAgain() {
        assertThat(kind(Verdict.CANNOT_TELL, work(0.7, 3, 0, false), THERE)).isEqualTo(Kind.OTHER_FEEDBACK);
        assertThat(kind(Verdict.CANNOT_TELL, work(0.7, 3, 0, false, null, false), THERE))
                .as("the library has none")
                .isEqualTo(Kind.EASIER_FORM);
        for (Kind before : List.of(Kind.OTHER_FEEDBACK, Kind.EASIER_FORM)) {
            assertThat(kind(Verdict.CANNOT_TELL, work(0.7, 3, 0, false, before, true), THERE))
                    .isEqualTo(Kind.LOOK_AGAIN);
        }
        assertThat(kind(Verdict.CANNOT_TELL, work(0.7, 3, 0, false, Kind.GO_ON, true), THERE))
                .isEqualTo(Kind.OTHER_FEEDBACK);
        assertThat(kind(Verdict.CANNOT_TELL, work(0.7, 3, 0, false, Kind.DONE, true), THERE))
                .as("done, and here again")
                .isEqualTo(Kind.LOOK_AGAIN);
    }

    @Test
    void checksThatRiseAreGivenOneMorePlan() {
        Work rises = new Work(Optional.of(0.9), 2, 0, false, false, List.of(3, 4, 6, 7), Optional.empty(), () -> true);
        Proposal proposal = of(slice(null, Verdict.CANNOT_TELL), rises, THERE);
        assertThat(proposal.kind()).isEqualTo(Kind.GO_ON_AND_MEASURE);
        assertThat(proposal.because()).contains("0 of 2 gates due by now passed. Its checks rise: 3, 4, 6, 7 of 10.");
        Work again = new Work(
                Optional.of(0.9),
                2,
                0,
                false,
                false,
                List.of(5, 6, 6, 7),
                Optional.of(Kind.GO_ON_AND_MEASURE),
                () -> true);
        assertThat(kind(Verdict.CANNOT_TELL, again, THERE)).as("once").isEqualTo(Kind.LOOK_AGAIN);
    }

    @Test
    void aDrillIsNotBlamedForPracticeThatDidNotHappen() {
        Proposal proposal = of(slice(null, Verdict.CANNOT_TELL), work(0.2, 3, 0, false), THERE);
        assertThat(proposal.kind()).isEqualTo(Kind.SMALLER_PLAN);
        assertThat(proposal.because())
                .contains("Practised 20 % of the reps planned.")
                .anyMatch(reason -> reason.contains("did not happen"));
    }

    @Test
    void whatWasBetterWithinTheLessonAndIsLostIsDoneMoreOften() {
        assertThat(of(slice(Verdict.BETTER, Verdict.CANNOT_TELL), work(0.9, 3, 1, false), THERE)
                        .kind())
                .isEqualTo(Kind.SAME_RUNG);
    }

    @Test
    void withNothingPractisedAndNothingMeasuredItIsMeasured() {
        assertThat(kind(null, work(null, 0, 0, false), MAYBE)).isEqualTo(Kind.MEASURE);
        assertThat(kind(Verdict.CANNOT_TELL, work(null, 0, 0, false), MAYBE)).isEqualTo(Kind.GO_ON_AND_MEASURE);
    }

    @ParameterizedTest
    @CsvSource({
        "0, 0, 'No gate was due yet.'",
        "1, 1, '1 of 1 gate due by now passed.'",
        "3, 2, '2 of 3 gates due by now passed.'"
    })
    void gatesAreCountedInWords(int due, int passed, String said) {
        assertThat(of(slice(null, Verdict.BETTER), work(0.9, due, passed, false), THERE)
                        .because())
                .contains(said);
    }

    @Test
    void moreGatesPassedThanThereAreIsNoEvidence() {
        assertThatThrownBy(() -> work(0.9, 3, 4, false)).hasMessageContaining("0 to 3");
    }

    @Test
    void whatPracticeTellsStandsBehindTheReasonsAndDecidesNothing() {
        Evidence with = new Evidence(
                List.of(), List.of(), work(0.9, 0, 0, false), THERE, List.of(), List.of("Noticed right: 4 of 20."));
        assertThat(Proposal.of(with).kind())
                .isEqualTo(of(List.of(), work(0.9, 0, 0, false), THERE).kind());
        assertThat(Proposal.of(with).because()).endsWith("Noticed right: 4 of 20.");
    }

    @Test
    void sidesAreTheStudentsOwn() {
        Proposal proposal = new Proposal(Kind.TODAY, List.of("Likely today: stiff {trail} hip."));
        assertThat(proposal.said(Handedness.LEFT).because()).containsExactly("Likely today: stiff left hip.");
    }
}
