package app.hodegon.core.drill;

import app.hodegon.core.swing.Identified;
import java.util.List;
import java.util.Optional;

/**
 * What a drill asks the student to notice beside good or not, said once per set. Texts use lead/trail placeholders.
 */
public enum Notice implements Identified {
    FOOT_MOVED("foot-moved", "How far did the {lead} foot move?", Optional.of("cm"), List.of()),
    EDGE(
            "edge",
            "Where did the load run under the {trail} foot?",
            Optional.empty(),
            List.of(
                    new Answer("inner", "Inner edge"),
                    new Answer("middle", "Middle"),
                    new Answer("outer", "Outer edge"))),
    SOUND(
            "sound",
            "When did it sound?",
            Optional.empty(),
            List.of(
                    new Answer("before-level", "Before the arm was level"),
                    new Answer("later", "Later"),
                    new Answer("silent", "Not at all")));

    /** No foot moves further than this in a swing. */
    public static final int MOST = 60;

    /** One of the things that may be noticed. */
    public record Answer(String id, String label) {}

    private final String id;
    private final String question;
    private final Optional<String> unit;
    private final List<Answer> answers;

    Notice(String id, String question, Optional<String> unit, List<Answer> answers) {
        this.id = id;
        this.question = question;
        this.unit = unit;
        this.answers = answers;
    }

    @Override
    public String id() {
        return id;
    }

    public String question() {
        return question;
    }

    /** The unit of a whole number from 0 to {@link #MOST}; empty where one of the {@link #answers} is chosen. */
    public Optional<String> unit() {
        return unit;
    }

    public List<Answer> answers() {
        return answers;
    }

    /** Whether this can be said: an answer's id or a whole number; nothing said is fine too. */
    public boolean accepts(String said) {
        if (said.isEmpty()) return true;
        if (unit.isEmpty()) return answers.stream().anyMatch(a -> a.id().equals(said));
        return said.matches("\\d{1,2}") && Integer.parseInt(said) <= MOST;
    }
}
