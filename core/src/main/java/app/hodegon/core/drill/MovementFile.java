package app.hodegon.core.drill;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.DrillMovement.Form;
import app.hodegon.core.drill.DrillMovement.Mistake;
import app.hodegon.core.golfer.BodyPoint;
import app.hodegon.core.golfer.Coordinate;
import app.hodegon.core.golfer.Hands;
import app.hodegon.core.golfer.Movement.Ball;
import app.hodegon.core.golfer.Movement.Base;
import app.hodegon.core.golfer.Movement.Club;
import app.hodegon.core.golfer.Movement.Kind;
import app.hodegon.core.golfer.Movement.Setting;
import app.hodegon.core.golfer.Movement.Spot;
import app.hodegon.core.golfer.Movement.Stance;
import app.hodegon.core.golfer.Movement.Step;
import app.hodegon.core.golfer.Movement.Thing;
import app.hodegon.core.motion.Foot;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Identified;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.BiConsumer;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** How a drill moves, as it stands in a file of drills. */
final class MovementFile {

    private static final int LONGEST_NAME = 40;
    private static final int MOST = 12;
    /** Degrees. */
    private static final int STOOPED = 80;

    private static final double STILLEST = 10;

    private static final Set<String> FIELDS =
            Set.of("base", "stance", "pauses", "steps", "set", "things", "names", "shown", "look", "mistake", "on");

    private MovementFile() {}

    /**
     * @param drawn what is drawn with the drill's soles: the golfer has the same where nothing else is said
     * @throws IllegalArgumentException if something is wrong
     */
    static DrillMovement read(JsonNode node, List<Thing> drawn) {
        if (!node.isObject()) throw new IllegalArgumentException("must be an object.");
        known(node, FIELDS);
        Map<Checkpoint, Double> pauses = new EnumMap<>(Checkpoint.class);
        each(node, "pauses", (at, value) -> pauses.put(checkpoint(at), number(value, "pauses", 0.05, STILLEST)));
        List<Step> steps = new ArrayList<>();
        for (JsonNode step : node.path("steps")) {
            if (steps.size() == MOST) throw new IllegalArgumentException("steps: at most " + MOST + ".");
            steps.add(new Step(
                    Identified.of(Foot.class, step.path("foot").asString("")),
                    checkpoint(step.path("from").asString("")),
                    checkpoint(step.path("to").asString("")),
                    number(step.path("along"), "along", -120, 120),
                    number(step.path("in"), "in", -50, 50)));
        }
        List<Thing> things = new ArrayList<>(node.has("things") ? List.of() : drawn);
        each(
                node,
                "things",
                (spot, kind) -> things.add(
                        new Thing(Identified.of(Kind.class, kind.asString("")), Identified.of(Spot.class, spot))));
        Map<Checkpoint, String> names = new EnumMap<>(Checkpoint.class);
        each(node, "names", (at, name) -> {
            String text = name.asString("").strip();
            if (text.isEmpty() || text.length() > LONGEST_NAME) {
                throw new IllegalArgumentException("names: 1 to " + LONGEST_NAME + " letters each.");
            }
            names.put(checkpoint(at), text);
        });
        Map<Rung, Form> forms = new EnumMap<>(Rung.class);
        each(node, "on", (rung, form) -> forms.put(Identified.of(Rung.class, rung), form(form)));
        return new DrillMovement(
                optional(node, "base", Base.class).orElse(Base.SWING),
                optional(node, "stance", Stance.class).orElse(Stance.USUAL),
                pauses,
                steps,
                settings(node),
                things,
                names,
                optional(node, "shown", Checkpoint.class).orElse(Checkpoint.TOP),
                look(node),
                node.has("mistake") ? Optional.of(mistake(node.path("mistake"))) : Optional.empty(),
                forms);
    }

    private static Mistake mistake(JsonNode node) {
        known(node, Set.of("fault", "strength", "set", "look"));
        return new Mistake(
                optional(node, "fault", Fault.class),
                node.has("strength") ? number(node.path("strength"), "strength", 0.05, 1) : 1,
                settings(node),
                look(node));
    }

    private static Form form(JsonNode node) {
        known(node, Set.of("length", "hands", "club", "ball", "bend"));
        return new Form(
                node.has("length") ? Optional.of(number(node.path("length"), "length", 10, 110)) : Optional.empty(),
                optional(node, "hands", Hands.class),
                optional(node, "club", Club.class),
                optional(node, "ball", Ball.class),
                node.has("bend") ? Optional.of(number(node.path("bend"), "bend", 0, STOOPED)) : Optional.empty());
    }

    /** By coordinate: one number for the whole movement, or numbers by checkpoint. */
    private static List<Setting> settings(JsonNode node) {
        List<Setting> settings = new ArrayList<>();
        each(node, "set", (id, values) -> {
            Coordinate what = Identified.of(Coordinate.class, id);
            if (values.isNumber()) {
                for (Checkpoint at : Checkpoint.values()) settings.add(new Setting(what, at, values.asDouble()));
            } else {
                if (!values.isObject()) throw new IllegalArgumentException("set: a number, or numbers by checkpoint.");
                values.properties()
                        .forEach(v -> settings.add(
                                new Setting(what, checkpoint(v.getKey()), number(v.getValue(), id, -400, 400))));
            }
        });
        return settings;
    }

    private static List<BodyPoint> look(JsonNode node) {
        List<BodyPoint> look = new ArrayList<>();
        for (JsonNode point : node.path("look")) look.add(Identified.of(BodyPoint.class, point.asString("")));
        return look;
    }

    private static Checkpoint checkpoint(String id) {
        return Identified.of(Checkpoint.class, id);
    }

    private static double number(JsonNode value, String name, double lowest, double highest) {
        OptionalDouble number = value.isNumber() ? OptionalDouble.of(value.asDouble()) : OptionalDouble.empty();
        if (number.isEmpty() || !(number.getAsDouble() >= lowest && number.getAsDouble() <= highest)) {
            throw new IllegalArgumentException(name + ": a number from " + lowest + " to " + highest + ".");
        }
        return number.getAsDouble();
    }

    private static <E extends Enum<E> & Identified> Optional<E> optional(JsonNode node, String field, Class<E> type) {
        if (!node.has(field)) return Optional.empty();
        return Optional.of(Identified.of(type, node.path(field).asString("")));
    }

    private static void each(JsonNode node, String field, BiConsumer<String, JsonNode> read) {
        JsonNode object = node.path(field);
        if (object.isMissingNode()) return;
        if (!object.isObject()) throw new IllegalArgumentException(field + ": must be an object.");
        object.properties().forEach(e -> read.accept(e.getKey(), e.getValue()));
    }

    private static void known(JsonNode node, Set<String> fields) {
        node.propertyNames().forEach(name -> {
            if (!fields.contains(name)) throw new IllegalArgumentException("no such field: " + name + ".");
        });
    }

    static void put(ObjectNode node, DrillMovement movement, List<Thing> drawn) {
        if (movement.base() != Base.SWING) node.put("base", movement.base().id());
        if (movement.stance() != Stance.USUAL)
            node.put("stance", movement.stance().id());
        if (!movement.pauses().isEmpty()) {
            ObjectNode pauses = node.putObject("pauses");
            for (Checkpoint at : Checkpoint.values()) {
                if (movement.pauses().containsKey(at))
                    put(pauses, at.id(), movement.pauses().get(at));
            }
        }
        if (!movement.steps().isEmpty()) {
            ArrayNode steps = node.putArray("steps");
            for (Step step : movement.steps()) {
                ObjectNode one = steps.addObject();
                one.put("foot", step.foot().id());
                one.put("from", step.from().id()).put("to", step.to().id());
                put(one, "along", step.along());
                put(one, "in", step.in());
            }
        }
        put(node, movement.settings());
        if (!movement.things().equals(drawn)) {
            ObjectNode things = node.putObject("things");
            movement.things().forEach(t -> things.put(t.spot().id(), t.kind().id()));
        }
        if (!movement.names().isEmpty()) {
            ObjectNode names = node.putObject("names");
            for (Checkpoint at : Checkpoint.values()) {
                if (movement.names().containsKey(at))
                    names.put(at.id(), movement.names().get(at));
            }
        }
        node.put("shown", movement.shown().id());
        put(node, "look", movement.look());
        movement.mistake().ifPresent(wrong -> {
            ObjectNode mistake = node.putObject("mistake");
            wrong.fault().ifPresent(fault -> mistake.put("fault", fault.id()));
            if (wrong.strength() != 1) put(mistake, "strength", wrong.strength());
            put(mistake, wrong.settings());
            put(mistake, "look", wrong.look());
        });
        if (!movement.forms().isEmpty()) {
            ObjectNode on = node.putObject("on");
            movement.forms().forEach((rung, form) -> {
                ObjectNode one = on.putObject(rung.id());
                form.length().ifPresent(v -> put(one, "length", v));
                form.hands().ifPresent(v -> one.put("hands", v.id()));
                form.club().ifPresent(v -> one.put("club", v.id()));
                form.ball().ifPresent(v -> one.put("ball", v.id()));
                form.bend().ifPresent(v -> put(one, "bend", v));
            });
        }
    }

    private static void put(ObjectNode node, List<Setting> settings) {
        if (settings.isEmpty()) return;
        ObjectNode set = node.putObject("set");
        for (Setting setting : settings) {
            ObjectNode by = set.has(setting.what().id())
                    ? (ObjectNode) set.get(setting.what().id())
                    : set.putObject(setting.what().id());
            put(by, setting.at().id(), setting.value());
        }
    }

    private static void put(ObjectNode node, String field, List<BodyPoint> points) {
        if (points.isEmpty()) return;
        ArrayNode look = node.putArray(field);
        points.forEach(p -> look.add(p.id()));
    }

    /** Whole numbers without a fraction. */
    private static void put(ObjectNode node, String field, double value) {
        if (value == Math.rint(value)) node.put(field, (int) value);
        else node.put(field, value);
    }

    static void describe(ObjectNode node) {
        node.put("type", "object");
        node.put(
                "description",
                "How the golfer does it. What a rung usually is (hands, club, ball, length) and what is drawn with the soles"
                        + " need not be said.");
        node.put("additionalProperties", false);
        ObjectNode fields = node.putObject("properties");
        choice(fields.putObject("base"), Identified.ids(Base.class));
        choice(fields.putObject("stance"), Identified.ids(Stance.class));
        byCheckpoint(fields.putObject("pauses").put("description", "Seconds of stillness."), "number");
        ObjectNode steps = fields.putObject("steps").put("type", "array").put("maxItems", MOST);
        ObjectNode step = steps.putObject("items").put("type", "object");
        ObjectNode parts = step.putObject("properties");
        choice(parts.putObject("foot"), Identified.ids(Foot.class));
        choice(parts.putObject("from"), Identified.ids(Checkpoint.class));
        choice(parts.putObject("to"), Identified.ids(Checkpoint.class));
        parts.putObject("along").put("type", "number").put("description", "cm towards the target.");
        parts.putObject("in").put("type", "number").put("description", "cm towards the ball.");
        step.putArray("required").add("foot").add("from").add("to").add("along").add("in");
        settings(fields);
        ObjectNode things = fields.putObject("things").put("type", "object");
        choice(things.putObject("propertyNames"), Identified.ids(Spot.class));
        choice(things.putObject("additionalProperties"), Identified.ids(Kind.class));
        byCheckpoint(fields.putObject("names").put("description", "Names of its own moments."), "string");
        choice(fields.putObject("shown").put("description", "Its picture."), Identified.ids(Checkpoint.class));
        look(fields);
        ObjectNode mistake = fields.putObject("mistake").put("type", "object").put("additionalProperties", false);
        ObjectNode wrong = mistake.putObject("properties");
        choice(wrong.putObject("fault"), Identified.ids(Fault.class));
        wrong.putObject("strength")
                .put("type", "number")
                .put("exclusiveMinimum", 0)
                .put("maximum", 1);
        settings(wrong);
        look(wrong);
        ObjectNode on = fields.putObject("on").put("type", "object");
        choice(on.putObject("propertyNames"), Identified.ids(Rung.class));
        ObjectNode form =
                on.putObject("additionalProperties").put("type", "object").put("additionalProperties", false);
        ObjectNode manner = form.putObject("properties");
        manner.putObject("length").put("type", "number").put("minimum", 10).put("maximum", 110);
        choice(manner.putObject("hands"), Identified.ids(Hands.class));
        choice(manner.putObject("club"), Identified.ids(Club.class));
        choice(manner.putObject("ball"), Identified.ids(Ball.class));
        manner.putObject("bend").put("type", "number").put("minimum", 0).put("maximum", STOOPED);
    }

    private static void settings(ObjectNode fields) {
        ObjectNode set = fields.putObject("set").put("type", "object");
        set.put("description", "What is otherwise: a number, or numbers by checkpoint; cm, degrees or percent.");
        choice(set.putObject("propertyNames"), Identified.ids(Coordinate.class));
        ArrayNode either = set.putObject("additionalProperties").putArray("oneOf");
        either.addObject().put("type", "number");
        byCheckpoint(either.addObject(), "number");
    }

    private static void look(ObjectNode fields) {
        ObjectNode look = fields.putObject("look").put("type", "array");
        choice(look.putObject("items"), Identified.ids(BodyPoint.class));
    }

    private static void byCheckpoint(ObjectNode node, String type) {
        node.put("type", "object");
        choice(node.putObject("propertyNames"), Identified.ids(Checkpoint.class));
        node.putObject("additionalProperties").put("type", type);
    }

    private static void choice(ObjectNode node, List<String> ids) {
        ArrayNode values = node.putArray("enum");
        ids.forEach(values::add);
    }
}
