package app.hodegon.core.drill;

import app.hodegon.core.drill.Notice.Answer;
import app.hodegon.core.drill.Notice.Choices;
import app.hodegon.core.drill.Notice.Measured;
import app.hodegon.core.swing.Identified;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What a drill asks to be noticed, as it stands in a file of drills. */
final class NoticeFile {

    private static final String WORDS = "must be words of small letters joined by hyphens";

    /** Answers are kept with every set. */
    private static final int LONGEST_ID = 20;

    private static final int LONGEST_QUESTION = 120;
    private static final int LONGEST_LABEL = 40;

    private NoticeFile() {}

    /**
     * A kind, and what differs from how it is usually asked.
     *
     * @throws IllegalArgumentException if something is wrong
     */
    static Notice read(JsonNode node) {
        if (!node.isObject()) throw new IllegalArgumentException("must be a kind, or an object with one.");
        Notice usual =
                Identified.of(Notice.Kind.class, node.path("kind").asString("")).usual();
        String question = node.has("question") ? text(node, "question", LONGEST_QUESTION) : usual.question();
        if (usual.reply() instanceof Measured measured) {
            return new Notice(
                    usual.kind(),
                    question,
                    new Measured(
                            measured.unit(), number(node, "from", measured.from()), number(node, "to", measured.to())));
        }
        Choices choices = (Choices) usual.reply();
        List<Answer> answers = choices.answers();
        if (node.has("answers")) {
            answers = new ArrayList<>();
            for (JsonNode answer : node.path("answers")) {
                String id = text(answer, "id", LONGEST_ID);
                if (!id.matches(DrillFile.ID))
                    throw new IllegalArgumentException("answers: " + WORDS + ": " + id + ".");
                answers.add(new Answer(id, text(answer, "label", LONGEST_LABEL)));
            }
        }
        Set<String> right = choices.right();
        if (node.has("right")) {
            right = new LinkedHashSet<>();
            for (JsonNode id : node.path("right")) right.add(id.asString(""));
        }
        return new Notice(usual.kind(), question, new Choices(answers, right));
    }

    private static String text(JsonNode node, String field, int longest) {
        String text = node.path(field).asString("").strip();
        if (text.isEmpty() || text.length() > longest || text.chars().anyMatch(Character::isISOControl)) {
            throw new IllegalArgumentException(field + " must be a text of 1 to " + longest + " letters.");
        }
        return text;
    }

    private static int number(JsonNode node, String field, int otherwise) {
        JsonNode number = node.path(field);
        if (number.isMissingNode()) return otherwise;
        if (!number.isInt()) throw new IllegalArgumentException(field + " must be a whole number.");
        return number.asInt();
    }

    static void put(ObjectNode node, Notice notice) {
        node.put("kind", notice.kind().id());
        node.put("question", notice.question());
        if (notice.reply() instanceof Measured measured) {
            node.put("from", measured.from());
            node.put("to", measured.to());
            return;
        }
        Choices choices = (Choices) notice.reply();
        ArrayNode answers = node.putArray("answers");
        choices.answers().forEach(a -> answers.addObject().put("id", a.id()).put("label", a.label()));
        ArrayNode right = node.putArray("right");
        choices.answers().stream()
                .map(Answer::id)
                .filter(choices.right()::contains)
                .forEach(right::add);
    }

    static void describe(ObjectNode node) {
        node.put(
                "description",
                "What is asked after each set. A kind alone, or an object; what it leaves out is as usual.");
        ArrayNode either = node.putArray("oneOf");
        ids(either.addObject());
        ObjectNode own = either.addObject().put("type", "object");
        ObjectNode fields = own.putObject("properties");
        ids(fields.putObject("kind"));
        fields.putObject("question").put("type", "string").put("maxLength", LONGEST_QUESTION);
        ObjectNode answers = fields.putObject("answers").put("type", "array");
        answers.put("minItems", 2).put("maxItems", Notice.MOST_ANSWERS);
        ObjectNode answer = answers.putObject("items").put("type", "object");
        ObjectNode parts = answer.putObject("properties");
        parts.putObject("id")
                .put("type", "string")
                .put("pattern", "^" + DrillFile.ID + "$")
                .put("maxLength", LONGEST_ID);
        parts.putObject("label").put("type", "string").put("maxLength", LONGEST_LABEL);
        answer.putArray("required").add("id").add("label");
        fields.putObject("right")
                .put("type", "array")
                .put("description", "Ids of the answers that a good set has.")
                .putObject("items")
                .put("type", "string");
        for (String end : List.of("from", "to")) {
            fields.putObject(end)
                    .put("type", "integer")
                    .put("minimum", 0)
                    .put("maximum", Notice.MOST)
                    .put("description", "The right numbers, where one is asked for.");
        }
        own.putArray("required").add("kind");
    }

    private static void ids(ObjectNode node) {
        ArrayNode ids = node.putArray("enum");
        Identified.ids(Notice.Kind.class).forEach(ids::add);
    }
}
