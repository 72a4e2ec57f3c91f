package app.hodegon.core.diagnosis;

/**
 * One fault bringing another about.
 *
 * @param strength chance that {@code from}, acting alone, brings {@code to}
 */
public record Link(Fault from, Fault to, double strength) {}
