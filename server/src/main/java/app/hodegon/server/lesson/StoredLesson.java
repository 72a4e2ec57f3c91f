package app.hodegon.server.lesson;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Observations;
import app.hodegon.core.practice.Tried;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/**
 * A lesson as stored.
 *
 * @param before signs, readings and balls of the first moment
 * @param after readings and balls of the last
 * @param tries stages by their names
 * @param focus what the coach chose; empty while undecided
 * @param version how often what is entered was changed
 * @param planVersion how often its plan was
 * @param saves the names of the last saves of what is entered, oldest first
 */
public record StoredLesson(
        UUID id,
        UUID studentId,
        LocalDate heldOn,
        Approach approach,
        Observations before,
        Observations after,
        String note,
        Map<String, TryEntry> tries,
        List<Fault> focus,
        String focusReason,
        int version,
        int planVersion,
        List<String> saves) {

    /** What was tried between the first balls and the last, in order. */
    public List<Tried> tried() {
        return tries.values().stream()
                .sorted(Comparator.comparing(TryEntry::number))
                .map(t -> t.tried("tries"))
                .toList();
    }
}
