package app.hodegon.server.student;

import java.util.UUID;

/** Something of this student's was written; told within the same transaction. */
public record StudentChanged(UUID student) {}
