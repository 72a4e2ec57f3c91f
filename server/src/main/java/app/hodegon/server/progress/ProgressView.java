package app.hodegon.server.progress;

import app.hodegon.core.progress.NextPlan;
import app.hodegon.core.progress.Proposal;
import app.hodegon.core.progress.SignChange;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.plan.Done;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * What happened since the last lesson.
 *
 * @param since day of the last lesson; null for a first one
 * @param sinceLesson that lesson
 * @param worked the faults it chose
 * @param done practice between; null without a plan
 * @param promised gates of its plan in the order of the climb, with what was forecast when it was laid
 * @param signs what was looked for both times and seen once at least
 * @param whole over the whole work, from its first lesson on; null where that is the last one
 * @param between what practice since then tells by itself
 * @param stopped names of drills that hurt and are stopped
 * @param notes what could not be compared, and why
 * @param proposal what to do next; null where nothing was worked on
 */
record ProgressView(
        LocalDate since,
        UUID sinceLesson,
        @NotNull List<String> worked,
        Done done,
        @NotNull List<Promised> promised,
        @NotNull List<ChangeView> changes,
        @NotNull List<SignChangeView> signs,
        Whole whole,
        @NotNull List<BetweenView.Sum> between,
        @NotNull List<String> stopped,
        @NotNull List<String> notes,
        ProposalView proposal) {

    static final ProgressView FIRST = new ProgressView(
            null, null, List.of(), null, List.of(), List.of(), List.of(), null, List.of(), List.of(), List.of(), null);

    /** A sign looked for then and now. */
    record SignChangeView(
            @NotNull String sign,
            @NotNull boolean then,
            @NotNull boolean now) {

        static List<SignChangeView> of(List<SignChange> changes) {
            return changes.stream()
                    .map(c -> new SignChangeView(c.sign().id(), c.then(), c.now()))
                    .toList();
        }
    }

    /**
     * What the work has changed since it began.
     *
     * @param since day of the first lesson that chose it
     * @param lesson that lesson
     * @param changes what tells of the work
     */
    record Whole(
            @NotNull LocalDate since,
            @NotNull UUID lesson,
            @NotNull List<ChangeView> changes,
            @NotNull List<SignChangeView> signs) {}

    /**
     * A gate of the last plan.
     *
     * @param chance of being through by now, as it was forecast, 0 to 1; null where it was not
     * @param standing where the student stands; null where it was never checked
     * @param checks good reps of ten in each check set, in the order done
     */
    record Promised(
            @NotNull String fault,
            @NotNull String rung,
            @NotNull String drill,
            Double chance,
            String standing,
            @NotNull List<Integer> checks) {}

    /**
     * @param because in sentences
     * @param others what else may be done
     * @param answer what the coach did with it; null while unanswered
     */
    record ProposalView(
            @NotNull KindView kind,
            @NotNull List<String> because,
            @NotNull List<KindView> others,
            AnswerView answer) {

        static ProposalView of(Proposal proposal, AnswerView answer) {
            return new ProposalView(
                    KindView.of(proposal.kind()),
                    proposal.because(),
                    Arrays.stream(Proposal.Kind.values())
                            // Nothing is stopped that did not hurt; where something did, that is proposed.
                            .filter(k -> k != proposal.kind() && k != Proposal.Kind.STOP_AND_REFER)
                            .map(KindView::of)
                            .toList(),
                    answer);
        }
    }

    /**
     * @param means what taking it does
     * @param plan whether a plan follows from it
     */
    record KindView(
            @NotNull String id,
            @NotNull String label,
            @NotNull String means,
            @NotNull boolean plan) {

        static KindView of(Proposal.Kind kind) {
            return new KindView(kind.id(), kind.label(), kind.means(), NextPlan.follows(kind));
        }
    }

    /**
     * @param proposed what was proposed then
     * @param answer taken, changed or refused
     * @param done what is done; null where nothing of it
     */
    record AnswerView(
            @NotNull KindView proposed,
            @NotNull String answer,
            KindView done,
            @NotNull String reason,
            @NotNull OffsetDateTime answeredAt) {

        /** What is done of it. */
        Optional<Proposal.Kind> kind() {
            return Optional.ofNullable(done).map(k -> Identified.of(Proposal.Kind.class, k.id()));
        }
    }
}
