package app.hodegon.server.lesson;

import app.hodegon.core.approach.SchoolComparison;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.server.diagnosis.ReadingEntry;
import app.hodegon.server.lesson.LessonEntry.Moment;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;

/**
 * What the picture of the feet needs beside the lesson's own readings.
 *
 * @param earlier the lesson before this one, null when this is the first
 * @param before this lesson's trail shares against both schools
 * @param after the same for the last balls
 */
record FeetView(
        EarlierView earlier,
        @NotNull List<DeviationView> before,
        @NotNull List<DeviationView> after) {

    record EarlierView(
            @NotNull LocalDate heldOn,
            @NotNull Moment before,
            @NotNull Moment after) {}

    /**
     * @param kind within, difference-of-school, outside-both or fault-in-every-school
     * @param beyond how far outside the lesson's own school, %; 0 within
     * @param told whether that is more than the source's noise
     */
    record DeviationView(
            @NotNull ReadingEntry reading,
            @NotNull String at,
            @NotNull String kind,
            @NotNull double beyond,
            @NotNull boolean told) {

        static DeviationView of(SchoolComparison compared) {
            return new DeviationView(
                    ReadingEntry.of(compared.reading()),
                    compared.reading().at().map(Checkpoint::id).orElseThrow(),
                    compared.kind().id(),
                    compared.beyond(),
                    compared.told());
        }
    }
}
