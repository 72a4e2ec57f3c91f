package app.hodegon.server.diagnosis;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Observations;
import app.hodegon.core.diagnosis.PastLesson;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.http.Invalid;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * An earlier lesson on the wire.
 *
 * @param worked what was then chosen to be worked on; null for nothing
 * @param practised the share of its plan that was done since; null for none
 */
public record PastLessonEntry(
        @NotNull LocalDate on,
        @Size(max = 100) Map<String, String> signs,
        @Valid @Size(max = 200) List<ReadingEntry> measures,
        @Valid ShotsEntry shots,
        @Size(max = 20) List<@NotNull @Size(max = 40) String> worked,
        Double practised) {

    public static PastLessonEntry of(PastLesson lesson) {
        Map<String, String> signs = new LinkedHashMap<>();
        lesson.seen().signs().forEach((sign, yes) -> signs.put(sign.id(), yes ? "yes" : "no"));
        return new PastLessonEntry(
                lesson.on(),
                signs,
                lesson.seen().readings().stream().map(ReadingEntry::of).toList(),
                ShotsEntry.of(lesson.seen().shots()),
                lesson.worked().stream().map(Fault::id).toList(),
                lesson.practised());
    }

    PastLesson lesson(String field) {
        Observations seen = DiagnosisController.seen(field + ".", signs, measures, shots);
        Set<Fault> faults = worked == null
                ? Set.of()
                : Invalid.in(
                        field + ".worked",
                        () -> worked.stream()
                                .map(f -> Identified.of(Fault.class, f))
                                .collect(Collectors.toCollection(LinkedHashSet::new)));
        return Invalid.in(
                field + ".practised", () -> new PastLesson(on, seen, faults, practised == null ? 0 : practised));
    }
}
