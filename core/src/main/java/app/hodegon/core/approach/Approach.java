package app.hodegon.core.approach;

import app.hodegon.core.approach.Choice.Question;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.UnknownIdException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** A coach's answers: the pressure school and one choice per further question. Complete by construction. */
public record Approach(PressureSchool school, Map<Question, Choice> choices) {

    private static final String PRESSURE = "pressure";

    /** Every question answered with its default. */
    public static final Approach DEFAULT = new Approach(PressureSchool.EARLY_RETURN, Map.of());

    public Approach {
        EnumMap<Question, Choice> all = new EnumMap<>(Question.class);
        for (Question question : Question.values()) {
            Choice choice = choices.getOrDefault(question, question.choices().get(0));
            if (choice.question() != question) {
                throw new IllegalArgumentException(choice.id() + " is no answer to " + question.id() + ".");
            }
            all.put(question, choice);
        }
        choices = Collections.unmodifiableMap(all);
    }

    /**
     * Reads answers by identifier; questions left out take their defaults.
     *
     * @throws UnknownIdException if a question or an answer is not known
     */
    public static Approach of(Map<String, String> answers) {
        PressureSchool school = PressureSchool.EARLY_RETURN;
        EnumMap<Question, Choice> choices = new EnumMap<>(Question.class);
        for (Map.Entry<String, String> answer : answers.entrySet()) {
            if (answer.getKey().equals(PRESSURE)) {
                school = Identified.of(PressureSchool.class, answer.getValue());
            } else {
                Question question = question(answer.getKey());
                choices.put(question, choice(question, answer.getValue()));
            }
        }
        return new Approach(school, choices);
    }

    private static Question question(String id) {
        for (Question question : Question.values()) if (question.id().equals(id)) return question;
        List<String> accepted = new ArrayList<>(List.of(PRESSURE));
        accepted.addAll(Identified.ids(Question.class));
        throw new UnknownIdException("approach question", id, accepted);
    }

    private static Choice choice(Question question, String id) {
        return question.choices().stream()
                .filter(c -> c.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new UnknownIdException(
                        question.id() + " answer",
                        id,
                        question.choices().stream().map(Choice::id).toList()));
    }

    public boolean has(Choice choice) {
        return choices.get(choice.question()) == choice;
    }

    public Choice answer(Question question) {
        return choices.get(question);
    }

    /** The answers by identifier, the pressure school first. */
    public Map<String, String> ids() {
        Map<String, String> ids = new java.util.LinkedHashMap<>();
        ids.put(PRESSURE, school.id());
        choices.forEach((question, choice) -> ids.put(question.id(), choice.id()));
        return ids;
    }
}
