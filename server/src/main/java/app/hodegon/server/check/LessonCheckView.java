package app.hodegon.server.check;

import jakarta.validation.constraints.NotNull;

/**
 * The check of one fault's rung at the start of a lesson.
 *
 * @param drill the last plan's drill for it
 * @param good good balls of ten; null while not scored
 * @param said what the gate says after it; null while not scored
 */
record LessonCheckView(
        @NotNull String fault,
        @NotNull String rung,
        @NotNull String drill,
        Integer good,
        String said) {}
