package app.hodegon.server.lesson;

import app.hodegon.server.diagnosis.DiagnosisView;
import jakarta.validation.constraints.NotNull;
import java.time.OffsetDateTime;
import java.util.List;

/**
 * A decision on record.
 *
 * @param reason empty where the proposal was taken
 * @param diagnosis as it stood when this was decided
 */
record DecisionView(
        @NotNull OffsetDateTime decidedAt,
        @NotNull List<String> focus,
        @NotNull String reason,
        @NotNull String catalogueVersion,
        @NotNull DiagnosisView diagnosis) {}
