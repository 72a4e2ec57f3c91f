package app.hodegon.server.plan;

import java.time.LocalDate;
import java.util.Map;
import java.util.UUID;

/**
 * A plan that a student has, without its document.
 *
 * @param planned reps by planned day
 */
public record PlanHead(UUID id, UUID lessonId, LocalDate from, LocalDate nextLesson, Map<LocalDate, Integer> planned) {}
