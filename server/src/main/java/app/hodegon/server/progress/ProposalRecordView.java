package app.hodegon.server.progress;

import app.hodegon.server.progress.ProgressView.AnswerView;
import app.hodegon.server.progress.ProgressView.KindView;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;

/**
 * How a coach's proposals went.
 *
 * @param answers how many the lines are made from: the latest ones
 * @param recent the last of them, the latest first
 */
record ProposalRecordView(
        @NotNull int answers,
        @NotNull List<KindLine> lines,
        @NotNull List<Recent> recent) {

    /**
     * One kind of proposal.
     *
     * @param takenTold taken, and the next lesson measured what was worked on
     * @param takenBorneOut of these, better with nothing worse
     * @param otherTold changed or refused, and measured
     * @param otherBorneOut of these, better with nothing worse
     */
    record KindLine(
            @NotNull KindView kind,
            @NotNull int proposed,
            @NotNull int taken,
            @NotNull int changed,
            @NotNull int refused,
            @NotNull int takenTold,
            @NotNull int takenBorneOut,
            @NotNull int otherTold,
            @NotNull int otherBorneOut) {}

    /**
     * @param outcome borne-out, not or open
     */
    record Recent(
            @NotNull UUID lessonId,
            LocalDate heldOn,
            @NotNull UUID studentId,
            @NotNull String student,
            @NotNull AnswerView answer,
            @NotNull String outcome) {}
}
