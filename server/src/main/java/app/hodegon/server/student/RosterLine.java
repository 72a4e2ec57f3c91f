package app.hodegon.server.student;

import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.UUID;

/**
 * A student in the coach's list.
 *
 * @param nextLesson of the running plan; null without one
 * @param hurt whether a drill is stopped for pain
 * @param today for the student
 * @param coach whose student it is, where the coach only stands in; null for an own one
 */
record RosterLine(
        @NotNull UUID id,
        @NotNull String name,
        @NotNull String complaint,
        @NotNull String handedness,
        @NotNull String level,
        LocalDate lastLesson,
        LocalDate nextLesson,
        LocalDate lastPractice,
        @NotNull boolean hurt,
        @NotNull LocalDate today,
        String coach) {}
