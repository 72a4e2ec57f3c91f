package app.hodegon.core.drill;

import app.hodegon.core.approach.Choice;
import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Diagram.Move;
import app.hodegon.core.drill.Diagram.Prop;
import app.hodegon.core.drill.Diagram.PropShape;
import app.hodegon.core.drill.Diagram.Stance;
import app.hodegon.core.drill.Diagram.Zone;
import app.hodegon.core.drill.Drill.Effect;
import app.hodegon.core.drill.Drill.Pace;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.UnknownIdException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The drills, read from the library file beside this class. */
public final class DrillLibrary {

    private static final DrillLibrary STANDARD = read(DrillLibrary.class.getResourceAsStream("drills.json"));

    private final Map<String, Drill> drills;

    private DrillLibrary(Map<String, Drill> drills) {
        this.drills = drills;
    }

    /** The drills that ship with the product. */
    public static DrillLibrary standard() {
        return STANDARD;
    }

    public Collection<Drill> all() {
        return drills.values();
    }

    /**
     * @throws UnknownIdException if the library has no such drill
     */
    public Drill drill(String id) {
        Drill drill = drills.get(id);
        if (drill == null) throw new UnknownIdException("drill", id, List.copyOf(drills.keySet()));
        return drill;
    }

    static DrillLibrary read(InputStream file) {
        Map<String, Drill> drills = new LinkedHashMap<>();
        for (JsonNode node : new JsonMapper().readTree(Objects.requireNonNull(file))) {
            Drill drill = drill(node);
            if (drills.put(drill.id(), drill) != null) throw new IllegalArgumentException("Twice: " + drill.id());
        }
        drills.values().forEach(d -> d.after().forEach(before -> Objects.requireNonNull(drills.get(before), before)));
        return new DrillLibrary(drills);
    }

    private static Drill drill(JsonNode node) {
        List<String> rungs = strings(node.path("rungs"));
        return new Drill(
                node.path("id").asString(),
                node.path("name").asString(),
                Identified.of(Rung.class, rungs.get(0)),
                Identified.of(Rung.class, rungs.get(rungs.size() - 1)),
                effects(node),
                set(node.path("kit"), id -> Identified.of(Equipment.class, id)),
                set(node.path("places"), id -> Identified.of(Place.class, id)),
                strings(node.path("feedback")).stream()
                        .map(id -> Identified.of(Feedback.class, id))
                        .toList(),
                set(node.path("needs"), id -> Identified.of(Choice.class, id)),
                set(node.path("schools"), id -> Identified.of(PressureSchool.class, id)),
                set(node.path("clashes"), id -> Identified.of(Fault.class, id)),
                set(node.path("neverWith"), id -> Identified.of(Joint.class, id)),
                set(node.path("careWith"), id -> Identified.of(Joint.class, id)),
                strings(node.path("after")),
                Pace.valueOf(node.path("pace").asString()),
                new Drill.Texts(
                        node.path("setUp").asString(),
                        node.path("do").asString(),
                        node.path("feel").asString(),
                        node.path("good").asString(),
                        node.path("mistake").asString(),
                        node.path("easier").asString(),
                        node.path("harder").asString(),
                        node.path("cue").asString(),
                        node.path("caution").asString("")),
                strings(node.path("variations")),
                diagram(node.path("diagram")));
    }

    private static Map<Fault, Effect> effects(JsonNode node) {
        Map<Fault, Effect> effects = new EnumMap<>(Fault.class);
        if (node.path("everyFault").asBoolean(false)) {
            Arrays.stream(Fault.values()).filter(f -> !f.ofTheBody()).forEach(f -> effects.put(f, Effect.HELPS));
        }
        strings(node.path("helps")).forEach(id -> effects.put(Identified.of(Fault.class, id), Effect.HELPS));
        strings(node.path("main")).forEach(id -> effects.put(Identified.of(Fault.class, id), Effect.MAIN));
        return effects;
    }

    private static Diagram diagram(JsonNode node) {
        List<Prop> props = new ArrayList<>();
        node.path("props")
                .properties()
                .forEach(e -> props.add(new Prop(
                        Identified.of(PropShape.class, e.getValue().asString()),
                        Identified.of(Zone.class, e.getKey()))));
        return new Diagram(
                Identified.of(Stance.class, node.path("stance").asString("normal")),
                props,
                strings(node.path("press")).stream()
                        .map(id -> Identified.of(Zone.class, id))
                        .toList(),
                Identified.of(Move.class, node.path("move").asString("none")));
    }

    private static <T> Set<T> set(JsonNode array, Function<String, T> read) {
        return strings(array).stream().map(read).collect(Collectors.toUnmodifiableSet());
    }

    private static List<String> strings(JsonNode array) {
        List<String> strings = new ArrayList<>();
        array.forEach(s -> strings.add(s.asString()));
        return strings;
    }
}
