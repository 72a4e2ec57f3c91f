package app.hodegon.server.progress;

import app.hodegon.core.progress.Distance;
import app.hodegon.core.progress.NextPlan;
import app.hodegon.core.progress.Proposal;
import app.hodegon.core.progress.Spread;
import app.hodegon.core.progress.Verdict;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Units.Scale;
import app.hodegon.server.plan.Done;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;

/**
 * What happened since the last lesson.
 *
 * @param since day of the last lesson; null for a first one
 * @param sinceLesson that lesson
 * @param worked the faults it chose
 * @param done practice between; null without a plan
 * @param promised gates of its plan in the order of the climb, with what was forecast when it was laid
 * @param notes what could not be compared, and why
 * @param proposal what to do next; null where nothing was worked on
 */
record ProgressView(
        LocalDate since,
        UUID sinceLesson,
        @NotNull List<String> worked,
        Done done,
        @NotNull List<Promised> promised,
        @NotNull List<Change> changes,
        @NotNull List<String> notes,
        ProposalView proposal) {

    static final ProgressView FIRST =
            new ProgressView(null, null, List.of(), null, List.of(), List.of(), List.of(), null);

    /**
     * A gate of the last plan.
     *
     * @param chance of being through by now, as it was forecast, 0 to 1; null where it was not
     * @param standing where the student stands; null where it was never checked
     */
    record Promised(
            @NotNull String fault,
            @NotNull String rung,
            @NotNull String drill,
            Double chance,
            String standing) {}

    /**
     * A tally, a measure or a figure of measured balls, then and now.
     *
     * @param unit of the difference, the student's own; for balls the difference is a share of one
     * @param tries what more of would tell: balls or swings
     * @param concerns whether it tells of what was worked on
     * @param gain the change within the earlier lesson; null where it was not measured after it
     * @param lost from the end of the earlier lesson to now; null where it was not measured after it
     * @param comparison what was kept: first balls against first balls
     * @param distance of the present value to its target; null where there is none
     * @param spread of measured balls; null for the rest
     * @param said in words for the student
     */
    record Change(
            @NotNull String id,
            @NotNull String label,
            @NotNull String unit,
            @NotNull String tries,
            @NotNull String then,
            @NotNull String now,
            @NotNull boolean concerns,
            ComparisonView gain,
            ComparisonView lost,
            @NotNull ComparisonView comparison,
            DistanceView distance,
            SpreadView spread,
            @NotNull String said) {

        Change with(Change gained, Change lostAgain) {
            return new Change(
                    id,
                    label,
                    unit,
                    tries,
                    then,
                    now,
                    concerns,
                    gained == null ? null : gained.comparison,
                    lostAgain == null ? null : lostAgain.comparison,
                    comparison,
                    distance,
                    spread,
                    said);
        }

        Verdict verdict() {
            return Identified.of(Verdict.class, comparison.verdict());
        }
    }

    /**
     * @param value 0 on target, else the way to its nearer edge, negative below it
     * @param where inside, across or outside: where the value's interval lies
     */
    record DistanceView(@NotNull double value, @NotNull String where) {

        static DistanceView of(Distance distance, Scale scale) {
            return new DistanceView(
                    scale.factor() * distance.value(), distance.where().id());
        }
    }

    /**
     * @param then and now: median of the distances from the median
     * @param p chance of such a difference if both scatter alike
     */
    record SpreadView(
            @NotNull double then,
            @NotNull double now,
            @NotNull double p,
            @NotNull String verdict) {

        static SpreadView of(Spread spread, Scale scale) {
            return new SpreadView(
                    scale.factor() * spread.first(),
                    scale.factor() * spread.second(),
                    spread.p(),
                    spread.verdict().id());
        }
    }

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
                            .filter(k -> k != proposal.kind())
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
            @NotNull OffsetDateTime answeredAt) {}
}
