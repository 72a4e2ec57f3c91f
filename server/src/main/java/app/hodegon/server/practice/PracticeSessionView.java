package app.hodegon.server.practice;

import app.hodegon.core.practice.Aside;
import app.hodegon.core.practice.BlockResult;
import app.hodegon.core.practice.PracticeSession;
import app.hodegon.server.diagnosis.ShotsEntry;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;

/**
 * A practice session on the wire.
 *
 * @param feel 1 (lost) to 5 (clear), null while not said
 * @param edition how often the phone had changed it
 * @param earlierPlan whether it was practised by the plan as it was before it was laid again
 */
public record PracticeSessionView(
        @NotNull UUID id,
        @NotNull LocalDate day,
        @NotNull List<ResultView> blocks,
        Integer feel,
        PainView pain,
        @NotNull ShotsEntry balls,
        @NotNull String note,
        @NotNull boolean finished,
        @NotNull int edition,
        @NotNull boolean earlierPlan) {

    /**
     * @param marks one + (good), - (not) or o (done) per rep
     * @param noticed per set what the drill asks to be noticed; empty where nothing was said
     * @param form what the club met
     * @param condition id of the half-step; null for the plain form
     * @param aside why it was done, where the day's plan does not have it; null where it has
     */
    public record ResultView(
            @NotNull int block,
            @NotNull String fault,
            @NotNull String drill,
            @NotNull String rung,
            @NotNull String kind,
            @NotNull String marks,
            @NotNull List<String> noticed,
            @NotNull String form,
            String condition,
            String aside,
            @NotNull ToldEntry told) {

        static ResultView of(BlockResult result) {
            return new ResultView(
                    result.block(),
                    result.fault().id(),
                    result.drill(),
                    result.rung().id(),
                    result.kind().id(),
                    result.marks(),
                    result.told().noticed(),
                    result.form().id(),
                    result.condition().orElse(null),
                    result.aside().map(Aside::id).orElse(null),
                    ToldEntry.of(result.told()));
        }
    }

    public record PainView(
            @NotNull String where,
            @NotNull int score,
            @NotNull String drill) {}

    public static PracticeSessionView of(StoredSession stored) {
        PracticeSession session = stored.session();
        return new PracticeSessionView(
                session.id(),
                session.day(),
                session.blocks().stream().map(ResultView::of).toList(),
                session.feel().map(f -> f.value()).orElse(null),
                session.pain()
                        .map(p -> new PainView(p.where().id(), p.score(), p.drill()))
                        .orElse(null),
                ShotsEntry.of(session.balls()),
                session.note(),
                session.finished(),
                stored.edition(),
                stored.earlierPlan());
    }
}
