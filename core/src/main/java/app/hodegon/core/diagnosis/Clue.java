package app.hodegon.core.diagnosis;

/**
 * One piece of evidence as the inference takes it.
 *
 * @param id names it in answers: a sign's id, {@code measure@checkpoint} with its limit, or {@code flight:slice}
 * @param cause the chance of its showing, by fault
 * @param present likelihood of what was observed when the showing is there
 * @param absent likelihood when it is not
 * @param unexplained by how much the showing is more often off than its cause says, because chance alone does not bring
 *     it this far; 1 for as often
 * @param text what was observed, in lead/trail placeholders
 */
record Clue(String id, Showing showing, Cause cause, double present, double absent, double unexplained, String text) {

    Clue(String id, Showing showing, Cause cause, double present, double absent, String text) {
        this(id, showing, cause, present, absent, 1, text);
    }

    /** Likelihood of what was observed when the showing is off with this chance. */
    double likelihood(double off) {
        return present + (absent - present) * off * unexplained;
    }
}
