package app.hodegon.server.progress;

import jakarta.validation.constraints.NotNull;
import java.util.List;

/**
 * What a stage of a lesson brought.
 *
 * @param fromFirst against the first balls
 * @param fromBefore against the stage before; empty for the first stage
 */
record TriedView(
        @NotNull List<ChangeView> fromFirst, @NotNull List<ChangeView> fromBefore) {}
