package app.hodegon.server.progress;

import app.hodegon.core.diagnosis.Observations;
import app.hodegon.server.diagnosis.ReadingEntry;
import app.hodegon.server.diagnosis.ShotsEntry;
import app.hodegon.server.lesson.Stage;
import app.hodegon.server.lesson.StoredLesson;
import app.hodegon.server.plan.Done;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;

/**
 * Two moments side by side.
 *
 * @param done what was practised of the plans between the two; null within one lesson or without a plan
 * @param notes what could not be compared, and why
 */
record CompareView(
        @NotNull MomentView first,
        @NotNull MomentView second,
        Done done,
        @NotNull List<ChangeView> changes,
        @NotNull List<String> notes) {

    /**
     * @param moment before or after
     * @param school the pressure school it was taught in
     */
    record MomentView(
            @NotNull UUID lessonId,
            @NotNull LocalDate heldOn,
            @NotNull String moment,
            @NotNull String school,
            @NotNull List<String> focus,
            @NotNull List<ReadingEntry> readings,
            @NotNull ShotsEntry shots) {

        static MomentView of(StoredLesson lesson, Stage stage, Observations seen) {
            return new MomentView(
                    lesson.id(),
                    lesson.heldOn(),
                    stage.id(),
                    lesson.approach().school().id(),
                    lesson.focus().stream().map(f -> f.id()).toList(),
                    seen.readings().stream().map(ReadingEntry::of).toList(),
                    ShotsEntry.of(seen.shots()));
        }
    }
}
