package app.hodegon.server.progress;

import app.hodegon.core.progress.Proposal;
import app.hodegon.core.progress.Verdict;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.plan.Done;
import app.hodegon.server.practice.RungStanding;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;

/**
 * What happened since the last lesson.
 *
 * @param since day of the last lesson; null for a first one
 * @param done practice between; null without a plan
 * @param proposal what to do next; null where nothing was worked on
 */
record ProgressView(
        LocalDate since,
        Done done,
        @NotNull List<RungStanding> rungs,
        @NotNull List<Change> changes,
        ProposalView proposal) {

    /**
     * A tally or a measure then and now.
     *
     * @param unit of the difference; for balls the difference is a share of one
     * @param concerns whether it tells of what was worked on
     * @param gain the change within the earlier lesson; null where it was not measured after it
     */
    record Change(
            @NotNull String id,
            @NotNull String label,
            @NotNull String unit,
            @NotNull String then,
            @NotNull String now,
            @NotNull boolean concerns,
            ComparisonView gain,
            @NotNull ComparisonView comparison) {

        Change with(Change gained) {
            return new Change(
                    id, label, unit, then, now, concerns, gained == null ? null : gained.comparison, comparison);
        }

        Verdict verdict() {
            return Identified.of(Verdict.class, comparison.verdict());
        }
    }

    /**
     * @param because in sentences
     */
    record ProposalView(
            @NotNull String kind,
            @NotNull String label,
            @NotNull List<String> because) {

        static ProposalView of(Proposal proposal) {
            return new ProposalView(proposal.kind().id(), proposal.kind().label(), proposal.because());
        }
    }
}
