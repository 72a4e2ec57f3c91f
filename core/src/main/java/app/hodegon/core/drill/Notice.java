package app.hodegon.core.drill;

import app.hodegon.core.swing.Identified;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * What a drill asks the student to notice beside good or not, said once per set: the question, what may be answered and
 * which answers a good set has. Texts use lead/trail placeholders.
 *
 * @param kind by what it is noticed
 */
public record Notice(Kind kind, String question, Reply reply) {

    /** Most answers to choose from: they stand as large targets on a phone. */
    public static final int MOST_ANSWERS = 5;

    /** No number noticed is larger. */
    public static final int MOST = 60;

    /** What may be noticed; what a drill leaves open of its question and answers, it takes from here. */
    public enum Kind implements Identified {
        EDGE(
                "edge",
                "Edge under the foot",
                "Where did the load run under the {trail} foot?",
                new Choices(
                        List.of(
                                new Answer("inner", "Inner edge"),
                                new Answer("middle", "Middle"),
                                new Answer("outer", "Outer edge")),
                        Set.of("inner"))),
        SOUND(
                "sound",
                "Sound",
                "When did it sound?",
                new Choices(
                        List.of(
                                new Answer("before-level", "Before the arm was level"),
                                new Answer("later", "Later"),
                                new Answer("silent", "Not at all")),
                        Set.of("before-level"))),
        TOUCH(
                "touch",
                "Touch",
                "Was the prop felt as it should be?",
                new Choices(
                        List.of(
                                new Answer("all", "Each time"),
                                new Answer("some", "Now and then"),
                                new Answer("none", "Never")),
                        Set.of("all"))),
        SIGHT(
                "sight",
                "Sight",
                "Did you see what you should?",
                new Choices(
                        List.of(
                                new Answer("all", "Each time"),
                                new Answer("some", "Now and then"),
                                new Answer("none", "Never")),
                        Set.of("all"))),
        CENTIMETRES("foot-moved", "Centimetres", "How far did the {lead} foot move?", new Measured("cm", 0, 2)),
        HELD("held", "Held finish", "How long did the last finish stand?", new Measured("s", 3, MOST)),
        CLOCK(
                "clock",
                "Clock of the finish",
                "The target is 12 o'clock. Where did the belt buckle end?",
                new Choices(
                        List.of(
                                new Answer("twelve", "On 12"),
                                new Answer("one-short", "An hour short"),
                                new Answer("far-short", "Shorter still")),
                        Set.of("twelve")));

        private final String id;
        private final String label;
        private final String question;
        private final Reply reply;

        Kind(String id, String label, String question, Reply reply) {
            this.id = id;
            this.label = label;
            this.question = question;
            this.reply = reply;
        }

        @Override
        public String id() {
            return id;
        }

        public String label() {
            return label;
        }

        /** The usual question with the usual answers. */
        public Notice usual() {
            return new Notice(this, question, reply);
        }
    }

    /** One of the things that may be noticed. */
    public record Answer(String id, String label) {}

    /** What may be answered. */
    public sealed interface Reply permits Choices, Measured {}

    /**
     * One of some answers.
     *
     * @param right ids of those that a good set has
     */
    public record Choices(List<Answer> answers, Set<String> right) implements Reply {
        public Choices {
            answers = List.copyOf(answers);
            right = Set.copyOf(right);
            if (answers.size() < 2 || answers.size() > MOST_ANSWERS) {
                throw new IllegalArgumentException("2 to " + MOST_ANSWERS + " answers, please.");
            }
            Set<String> ids = new HashSet<>();
            for (Answer answer : answers) {
                if (!ids.add(answer.id())) throw new IllegalArgumentException("is there twice: " + answer.id() + ".");
            }
            if (right.isEmpty() || !ids.containsAll(right) || right.size() == ids.size()) {
                throw new IllegalArgumentException("some of the answers, not all of them, must be right.");
            }
        }
    }

    /**
     * A number from 0 to {@value #MOST}, with at most two decimals.
     *
     * @param unit {@code cm} or {@code s}
     * @param from smallest right one
     * @param to largest right one
     */
    public record Measured(String unit, int from, int to) implements Reply {
        public Measured {
            if (from < 0 || to < from || to > MOST) {
                throw new IllegalArgumentException("what is right must lie within 0 to " + MOST + ".");
            }
        }
    }

    /** Whether this can be said: an answer's id or a number; nothing said is fine too. */
    public boolean accepts(String said) {
        if (said.isEmpty()) return true;
        if (reply instanceof Choices choices) {
            return choices.answers().stream().anyMatch(a -> a.id().equals(said));
        }
        return said.matches("\\d{1,2}(\\.\\d{1,2})?") && Double.parseDouble(said) <= MOST;
    }

    /** Whether this was said and is what a good set has; never for what cannot be said here. */
    public boolean isRight(String said) {
        if (said.isEmpty() || !accepts(said)) return false;
        if (reply instanceof Choices choices) return choices.right().contains(said);
        Measured measured = (Measured) reply;
        // Typed in another unit it may miss the edge by what rounding takes.
        double number = Math.round(Double.parseDouble(said) * 10) / 10.0;
        return number >= measured.from() && number <= measured.to();
    }
}
