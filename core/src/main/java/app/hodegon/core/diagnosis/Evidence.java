package app.hodegon.core.diagnosis;

import java.util.Optional;

/**
 * What one observation does to one fault.
 *
 * @param weight change of the fault's log-odds (natural) when this is left out; positive speaks for the fault
 * @param text what was observed, for the student's hand
 * @param why why a reading tells of the fault, for the student's hand; empty for what speaks for itself
 */
public record Evidence(String id, double weight, String text, Optional<String> why) {}
