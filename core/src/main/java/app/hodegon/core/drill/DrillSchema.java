package app.hodegon.core.drill;

import app.hodegon.core.approach.Choice;
import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Sign;
import app.hodegon.core.drill.Diagram.Move;
import app.hodegon.core.drill.Diagram.PropShape;
import app.hodegon.core.drill.Diagram.Stance;
import app.hodegon.core.drill.Drill.Pace;
import app.hodegon.core.golfer.Movement.Spot;
import app.hodegon.core.swing.Identified;
import java.util.Arrays;
import java.util.List;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The published description of the drill file (JSON Schema 2020-12), made from the same types that read it. */
public final class DrillSchema {

    private static final List<String> FEET =
            Arrays.stream(Spot.values()).filter(Spot::ofAFoot).map(Spot::id).toList();
    private static final JsonMapper JSON = new JsonMapper();

    private DrillSchema() {}

    public static String json() {
        ObjectNode schema = JSON.createObjectNode();
        schema.put("$schema", "https://json-schema.org/draft/2020-12/schema");
        schema.put("title", "Hodegon drills");
        schema.put("description", "Texts say {lead}, {trail}, {Lead}, {Trail} and {away}; they are said for the hand.");
        schema.put("type", "array");
        schema.put("maxItems", DrillFile.MOST);
        ObjectNode drill = schema.putObject("items");
        drill.put("type", "object");
        ObjectNode fields = drill.putObject("properties");
        fields.putObject("id").put("type", "string").put("pattern", "^" + DrillFile.ID + "$");
        text(fields, "name", DrillFile.LONGEST_NAME);
        list(fields, "rungs", Identified.ids(Rung.class)).put("minItems", 1).put("maxItems", 2);
        fields.putObject("everyFault").put("type", "boolean");
        list(fields, "main", Identified.ids(Fault.class));
        list(fields, "helps", Identified.ids(Fault.class));
        list(fields, "kit", Identified.ids(Equipment.class));
        list(fields, "places", Identified.ids(Place.class)).put("minItems", 1);
        list(fields, "feedback", Identified.ids(Feedback.class)).put("minItems", 1);
        list(fields, "needs", Identified.ids(Choice.class));
        list(fields, "schools", Identified.ids(PressureSchool.class));
        list(fields, "clashes", Identified.ids(Fault.class));
        list(fields, "neverWith", Identified.ids(Joint.class));
        list(fields, "careWith", Identified.ids(Joint.class));
        texts(fields, "after");
        choice(fields, "pace", Arrays.stream(Pace.values()).map(Enum::name).toList());
        for (String field : List.of(
                "setUp", "do", "feel", "good", "mistake", "fix", "onPurpose", "easier", "harder", "cue", "caution")) {
            text(fields, field, DrillFile.LONGEST_TEXT);
        }
        texts(fields, "variations").put("description", "One per rung, the lowest first.");
        NoticeFile.describe(fields.putObject("notice"));
        diagram(fields.putObject("diagram"));
        MovementFile.describe(fields.putObject("movement"));
        list(fields, "notIn", Identified.ids(Shoes.class)).put("description", "Shoes in which it is not done.");
        list(fields, "onlyOn", Identified.ids(Ground.class)).put("description", "Grounds it needs; left out, any.");
        list(fields, "firstFor", Identified.ids(Choice.class))
                .put("description", "Answers of an approach that regard it as one of their first drills.");
        list(fields, "firstForSchools", Identified.ids(PressureSchool.class));
        list(fields, "firstForSigns", Identified.ids(Sign.class))
                .put("description", "Signs of a lesson that it answers before other drills do.");
        halfSteps(byRung(fields, "halfSteps", "Small changes within a rung, in the order in which they come up."));
        byRung(fields, "speeds", "Percent of full speed.")
                .put("type", "integer")
                .put("minimum", DrillFile.LOWEST_SPEED)
                .put("maximum", DrillFile.FULL_SPEED);
        texts(fields, "moves").put("description", "Drills that are its moves, done in this order.");
        texts(fields, "combines").put("description", "Drills that it goes together with in one block.");
        ArrayNode required = drill.putArray("required");
        for (String field : List.of(
                "id",
                "name",
                "rungs",
                "places",
                "feedback",
                "pace",
                "setUp",
                "do",
                "feel",
                "good",
                "mistake",
                "easier",
                "harder",
                "cue",
                "variations")) {
            required.add(field);
        }
        return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(schema);
    }

    /** An object by rung; what each rung holds is to be filled in. */
    private static ObjectNode byRung(ObjectNode fields, String field, String description) {
        ObjectNode node = fields.putObject(field).put("type", "object").put("description", description);
        values(node.putObject("propertyNames"), Identified.ids(Rung.class));
        return node.putObject("additionalProperties");
    }

    private static void halfSteps(ObjectNode list) {
        list.put("type", "array").put("maxItems", DrillFile.LONGEST_LIST);
        ArrayNode either = list.putObject("items").putArray("oneOf");
        values(either.addObject(), HalfStep.STANDARD.keySet().stream().sorted().toList());
        ObjectNode own = either.addObject().put("type", "object");
        ObjectNode fields = own.putObject("properties");
        fields.putObject("id").put("type", "string").put("pattern", "^" + DrillFile.ID + "$");
        text(fields, "label", DrillFile.LONGEST_HALF_STEP);
        text(fields, "do", DrillFile.LONGEST_TEXT);
        own.putArray("required").add("id").add("label").add("do");
    }

    private static void diagram(ObjectNode diagram) {
        diagram.put("type", "object");
        ObjectNode fields = diagram.putObject("properties");
        choice(fields, "stance", Identified.ids(Stance.class));
        ObjectNode props = fields.putObject("props");
        props.put("type", "object");
        props.put("description", "What lies where: a zone of a foot and the thing there.");
        values(props.putObject("propertyNames"), FEET);
        values(props.putObject("additionalProperties"), Identified.ids(PropShape.class));
        list(fields, "press", FEET);
        choice(fields, "move", Identified.ids(Move.class));
    }

    private static void text(ObjectNode fields, String field, int longest) {
        fields.putObject(field).put("type", "string").put("maxLength", longest);
    }

    private static ObjectNode texts(ObjectNode fields, String field) {
        ObjectNode node = fields.putObject(field).put("type", "array");
        node.putObject("items").put("type", "string").put("maxLength", DrillFile.LONGEST_TEXT);
        return node;
    }

    private static ObjectNode list(ObjectNode fields, String field, List<String> ids) {
        ObjectNode node = fields.putObject(field).put("type", "array");
        values(node.putObject("items"), ids);
        return node;
    }

    private static void choice(ObjectNode fields, String field, List<String> ids) {
        values(fields.putObject(field), ids);
    }

    private static void values(ObjectNode node, List<String> ids) {
        ArrayNode values = node.putArray("enum");
        ids.forEach(values::add);
    }
}
