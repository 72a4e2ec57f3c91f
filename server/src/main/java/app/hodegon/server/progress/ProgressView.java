package app.hodegon.server.progress;

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
 */
record ProgressView(
        LocalDate since,
        Done done,
        @NotNull List<RungStanding> rungs,
        @NotNull List<Change> changes) {

    /**
     * A tally or a measure then and now.
     *
     * @param unit of the difference; for balls the difference is a share of one
     */
    record Change(
            @NotNull String id,
            @NotNull String label,
            @NotNull String unit,
            @NotNull String then,
            @NotNull String now,
            @NotNull ComparisonView comparison) {}
}
