package app.hodegon.server.plan;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/**
 * A plan that a student has, without its document.
 *
 * @param planned reps by planned day
 */
public record PlanHead(UUID id, UUID lessonId, LocalDate from, LocalDate nextLesson, Map<LocalDate, Integer> planned) {

    /** The running one of this lesson among some, which stand in the order handed over. */
    public static Optional<PlanHead> of(UUID lesson, List<PlanHead> heads) {
        return heads.stream().filter(p -> p.lessonId().equals(lesson)).reduce((earlier, later) -> later);
    }
}
