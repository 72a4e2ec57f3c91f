package app.hodegon.core.diagnosis;

/**
 * What one observation does to one fault.
 *
 * @param weight change of the fault's log-odds (natural) when this is left out; positive speaks for the fault
 * @param text what was observed, for the student's hand
 */
public record Evidence(String id, double weight, String text) {}
