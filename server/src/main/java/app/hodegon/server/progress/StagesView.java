package app.hodegon.server.progress;

import jakarta.validation.constraints.NotNull;
import java.util.List;

/**
 * The stages of a lesson.
 *
 * @param tried what each thing that was tried brought, in order
 * @param rungs from the first balls to the last, those that have balls
 * @param unit of distances
 */
record StagesView(
        @NotNull List<TriedView> tried,
        @NotNull List<LadderRung> rungs,
        @NotNull String unit) {

    /**
     * @param stage before, after, or the name of what was tried
     * @param struck balls whose strike was counted
     * @param solid of them
     * @param carry null where none was measured
     * @param offline plus to the right of the target line, as seen from behind; null where none was measured
     */
    record LadderRung(
            @NotNull String stage,
            @NotNull int struck,
            @NotNull int solid,
            LadderFigure carry,
            LadderFigure offline) {}

    record LadderFigure(
            @NotNull List<Double> balls, @NotNull double mean) {}
}
