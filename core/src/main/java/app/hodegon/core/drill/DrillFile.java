package app.hodegon.core.drill;

import app.hodegon.core.approach.Choice;
import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Sign;
import app.hodegon.core.drill.Diagram.Move;
import app.hodegon.core.drill.Diagram.Prop;
import app.hodegon.core.drill.Diagram.PropShape;
import app.hodegon.core.drill.Diagram.Stance;
import app.hodegon.core.drill.Drill.Effect;
import app.hodegon.core.drill.Drill.Pace;
import app.hodegon.core.golfer.Movement.Spot;
import app.hodegon.core.swing.Identified;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Drills as JSON: an array of objects, described by {@link DrillSchema}. Reading says everything that is wrong. */
public final class DrillFile {

    /** Most drills one file may hold. */
    public static final int MOST = 200;

    static final int LONGEST_TEXT = 600;
    public static final int LONGEST_NAME = 60;
    static final int LONGEST_HALF_STEP = 30;
    static final int LOWEST_SPEED = 20;
    static final int FULL_SPEED = 100;

    /** Most entries of a list within a drill. */
    static final int LONGEST_LIST = 40;

    static final String ID = "[a-z][a-z0-9]*(-[a-z0-9]+)*";

    private static final List<String> TEXTS =
            List.of("setUp", "do", "feel", "good", "mistake", "easier", "harder", "cue");
    private static final JsonMapper JSON = new JsonMapper();

    private DrillFile() {}

    /**
     * Something wrong in a file.
     *
     * @param path where: {@code [2].rungs}
     */
    public record Problem(String path, String message) {}

    /** A file with problems. */
    public static final class Broken extends RuntimeException {
        private static final long serialVersionUID = 1;
        private final transient List<Problem> problems;

        Broken(List<Problem> problems) {
            super(problems.stream().map(p -> p.path() + " " + p.message()).collect(Collectors.joining(" ")));
            this.problems = List.copyOf(problems);
        }

        public List<Problem> problems() {
            return problems;
        }
    }

    /**
     * Reads a file.
     *
     * @param known drills that these may build on besides each other
     * @throws Broken if anything is wrong; it holds all that is
     */
    public static List<Drill> read(String json, Set<String> known) {
        return read(json, known::contains);
    }

    /**
     * Reads a file.
     *
     * @param known whether a drill of that id is there to build on
     * @throws Broken if anything is wrong; it holds all that is
     */
    public static List<Drill> read(String json, Predicate<String> known) {
        JsonNode file;
        try {
            file = JSON.readTree(json);
        } catch (JacksonException noJson) {
            throw new Broken(List.of(new Problem("file", "is no JSON.")));
        }
        if (!file.isArray()) throw new Broken(List.of(new Problem("file", "must be a list of drills.")));
        if (file.size() > MOST) {
            throw new Broken(List.of(new Problem("file", "holds " + file.size() + " drills; at most " + MOST + ".")));
        }
        List<Problem> problems = new ArrayList<>();
        List<Drill> drills = new ArrayList<>();
        Set<String> ids = new HashSet<>();
        for (int i = 0; i < file.size(); i++) {
            Reader reader = new Reader("[" + i + "]", file.get(i), problems);
            reader.drill().ifPresent(drills::add);
            String id = file.get(i).path("id").asString("");
            if (!id.isEmpty() && !ids.add(id))
                problems.add(new Problem("[" + i + "].id", "is there twice: " + id + "."));
        }
        for (int i = 0; i < file.size(); i++) {
            for (String field : List.of("after", "moves", "combines")) {
                for (JsonNode named : file.get(i).path(field)) {
                    String id = named.asString("");
                    if (!ids.contains(id) && !known.test(id)) {
                        problems.add(new Problem("[" + i + "]." + field, "names no known drill: " + id + "."));
                    }
                }
            }
        }
        if (!problems.isEmpty()) throw new Broken(problems);
        return List.copyOf(drills);
    }

    /**
     * Reads a drill's movement alone.
     *
     * @throws IllegalArgumentException if something is wrong
     */
    public static DrillMovement movement(String json) {
        try {
            return MovementFile.read(JSON.readTree(json), List.of());
        } catch (JacksonException noJson) {
            throw new IllegalArgumentException("is no JSON.");
        }
    }

    /** Writes drills so that {@link #read} gives them back. */
    public static String write(Collection<Drill> drills) {
        ArrayNode file = JSON.createArrayNode();
        drills.forEach(drill -> file.add(node(drill)));
        return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(file);
    }

    private static ObjectNode node(Drill drill) {
        ObjectNode node = JSON.createObjectNode();
        node.put("id", drill.id());
        node.put("name", drill.name());
        ArrayNode rungs = node.putArray("rungs");
        rungs.add(drill.lowest().id());
        if (drill.highest() != drill.lowest()) rungs.add(drill.highest().id());
        put(node, "main", effects(drill, Effect.MAIN));
        put(node, "helps", effects(drill, Effect.HELPS));
        put(node, "kit", sorted(drill.kit()));
        put(node, "places", sorted(drill.places()));
        put(node, "feedback", drill.feedback().stream().map(Feedback::id).toList());
        put(node, "needs", sorted(drill.needs()));
        put(node, "schools", sorted(drill.schools()));
        put(node, "clashes", sorted(drill.clashes()));
        put(node, "neverWith", sorted(drill.neverWith()));
        put(node, "careWith", sorted(drill.careWith()));
        put(node, "after", drill.after());
        node.put("pace", drill.pace().name());
        Drill.Texts t = drill.texts();
        List<String> texts =
                List.of(t.setUp(), t.action(), t.feel(), t.good(), t.mistake(), t.easier(), t.harder(), t.cue());
        for (int i = 0; i < TEXTS.size(); i++) node.put(TEXTS.get(i), texts.get(i));
        if (!t.fix().isEmpty()) node.put("fix", t.fix());
        t.onPurpose().ifPresent(error -> node.put("onPurpose", error));
        if (!t.caution().isEmpty()) node.put("caution", t.caution());
        put(node, "variations", drill.variations());
        ObjectNode diagram = node.putObject("diagram");
        if (drill.diagram().stance() != Stance.NORMAL) {
            diagram.put("stance", drill.diagram().stance().id());
        }
        Map<String, String> props = new LinkedHashMap<>();
        drill.diagram().props().forEach(p -> props.put(p.at().id(), p.shape().id()));
        if (!props.isEmpty()) props.forEach(diagram.putObject("props")::put);
        put(diagram, "press", drill.diagram().press().stream().map(Spot::id).toList());
        if (drill.diagram().move() != Move.NONE) {
            diagram.put("move", drill.diagram().move().id());
        }
        drill.notice().ifPresent(n -> NoticeFile.put(node.putObject("notice"), n));
        put(node, "notIn", sorted(drill.footing().notIn()));
        put(node, "onlyOn", sorted(drill.footing().onlyOn()));
        put(node, "firstFor", sorted(drill.favour().choices()));
        put(node, "firstForSchools", sorted(drill.favour().schools()));
        put(node, "firstForSigns", sorted(drill.favour().signs()));
        put(node, drill.ways());
        drill.movement()
                .ifPresent(m -> MovementFile.put(
                        node.putObject("movement"), m, drill.diagram().things()));
        return node;
    }

    private static void put(ObjectNode node, Drill.Ways ways) {
        if (!ways.halfSteps().isEmpty()) {
            ObjectNode byRung = node.putObject("halfSteps");
            for (Rung rung : Rung.values()) {
                List<HalfStep> steps = ways.halfSteps().get(rung);
                if (steps == null) continue;
                ArrayNode array = byRung.putArray(rung.id());
                for (HalfStep step : steps) {
                    if (HalfStep.STANDARD.containsKey(step.id())) array.add(step.id());
                    else
                        array.addObject()
                                .put("id", step.id())
                                .put("label", step.label())
                                .put("do", step.action());
                }
            }
        }
        if (!ways.speeds().isEmpty()) {
            ObjectNode byRung = node.putObject("speeds");
            for (Rung rung : Rung.values()) {
                if (ways.speeds().containsKey(rung))
                    byRung.put(rung.id(), ways.speeds().get(rung));
            }
        }
        put(node, "moves", ways.moves());
        put(node, "combines", ways.combines());
    }

    private static List<String> effects(Drill drill, Effect effect) {
        return Arrays.stream(Fault.values())
                .filter(f -> drill.effects().get(f) == effect)
                .map(Fault::id)
                .toList();
    }

    private static <E extends Enum<E> & Identified> List<String> sorted(Set<E> values) {
        return values.stream()
                .sorted(Comparator.naturalOrder())
                .map(Identified::id)
                .toList();
    }

    private static void put(ObjectNode node, String field, List<String> values) {
        if (values.isEmpty()) return;
        ArrayNode array = node.putArray(field);
        values.forEach(array::add);
    }

    /** One drill being read; what is wrong is collected and reading goes on. */
    private static final class Reader {
        private final String path;
        private final JsonNode node;
        private final List<Problem> problems;
        private final int before;

        Reader(String path, JsonNode node, List<Problem> problems) {
            this.path = path;
            this.node = node;
            this.problems = problems;
            this.before = problems.size();
        }

        Optional<Drill> drill() {
            if (!node.isObject()) {
                wrong("", "must be a drill.");
                return Optional.empty();
            }
            String id = text("id", LONGEST_NAME, true);
            if (!id.isEmpty() && !id.matches(ID)) wrong(".id", "must be words of small letters joined by hyphens.");
            String name = text("name", LONGEST_NAME, true);
            List<Rung> rungs = each("rungs", r -> Identified.of(Rung.class, r));
            if (rungs.isEmpty() || rungs.size() > 2)
                wrong(".rungs", "must name the lowest rung and, if there are more, the highest.");
            Map<Fault, Effect> effects = effects();
            if (effects.isEmpty()) wrong(".main", "must name a fault it works on, here or in helps.");
            List<Place> places = each("places", p -> Identified.of(Place.class, p));
            if (places.isEmpty()) wrong(".places", "must name where it can be done.");
            List<Feedback> feedback = each("feedback", f -> Identified.of(Feedback.class, f));
            if (feedback.isEmpty()) wrong(".feedback", "must name how a good rep is told.");
            Pace pace = pace();
            List<String> texts =
                    TEXTS.stream().map(t -> text(t, LONGEST_TEXT, true)).toList();
            List<String> variations = strings("variations");
            if (!rungs.isEmpty() && rungs.size() <= 2) {
                Rung highest = rungs.get(rungs.size() - 1);
                int covered = highest.ordinal() - rungs.get(0).ordinal() + 1;
                if (covered < 1) wrong(".rungs", "are upside down.");
                else if (variations.size() != covered) {
                    wrong(".variations", "needs one per rung: " + covered + ", not " + variations.size() + ".");
                }
            }
            List<Fault> clashes = each("clashes", f -> Identified.of(Fault.class, f));
            clashes.stream()
                    .filter(effects::containsKey)
                    .forEach(f -> wrong(".clashes", "makes worse what it works on: " + f.id() + "."));
            Diagram diagram = diagram();
            List<Equipment> kit = each("kit", k -> Identified.of(Equipment.class, k));
            List<Choice> needs = each("needs", c -> Identified.of(Choice.class, c));
            List<PressureSchool> schools = each("schools", s -> Identified.of(PressureSchool.class, s));
            List<Joint> never = each("neverWith", j -> Identified.of(Joint.class, j));
            List<Joint> care = each("careWith", j -> Identified.of(Joint.class, j));
            String caution = text("caution", LONGEST_TEXT, false);
            String fix = text("fix", LONGEST_TEXT, false);
            Optional<String> onPurpose =
                    Optional.of(text("onPurpose", LONGEST_TEXT, false)).filter(t -> !t.isEmpty());
            List<String> after = strings("after");
            Optional<Notice> notice = notice();
            Drill.Footing footing = new Drill.Footing(
                    Set.copyOf(each("notIn", s -> Identified.of(Shoes.class, s))),
                    Set.copyOf(each("onlyOn", g -> Identified.of(Ground.class, g))));
            Drill.Favour favour = new Drill.Favour(
                    Set.copyOf(each("firstFor", c -> Identified.of(Choice.class, c))),
                    Set.copyOf(each("firstForSchools", s -> Identified.of(PressureSchool.class, s))),
                    Set.copyOf(each("firstForSigns", s -> Identified.of(Sign.class, s))));
            Drill.Ways ways = new Drill.Ways(halfSteps(), speeds(), strings("moves"), strings("combines"));
            Optional<DrillMovement> movement = movement(diagram);
            if (problems.size() > before) return Optional.empty();
            return Optional.of(new Drill(
                    id,
                    name,
                    rungs.get(0),
                    rungs.get(rungs.size() - 1),
                    effects,
                    Set.copyOf(kit),
                    Set.copyOf(places),
                    feedback,
                    Set.copyOf(needs),
                    Set.copyOf(schools),
                    Set.copyOf(clashes),
                    Set.copyOf(never),
                    Set.copyOf(care),
                    after,
                    pace,
                    new Drill.Texts(
                            texts.get(0),
                            texts.get(1),
                            texts.get(2),
                            texts.get(3),
                            texts.get(4),
                            fix,
                            onPurpose,
                            texts.get(5),
                            texts.get(6),
                            texts.get(7),
                            caution),
                    variations,
                    diagram,
                    notice,
                    footing,
                    favour,
                    ways,
                    movement));
        }

        private Optional<DrillMovement> movement(Diagram diagram) {
            JsonNode movement = node.path("movement");
            if (movement.isMissingNode() || movement.isNull()) return Optional.empty();
            try {
                return Optional.of(MovementFile.read(movement, diagram.things()));
            } catch (IllegalArgumentException wrong) {
                wrong(".movement", wrong.getMessage());
                return Optional.empty();
            }
        }

        private Optional<Notice> notice() {
            JsonNode notice = node.path("notice");
            if (notice.isMissingNode() || notice.isNull()) return Optional.empty();
            // A kind alone is asked as usual; so were all before a drill could say its own.
            if (notice.isString()) {
                return one(
                        "notice",
                        Optional.empty(),
                        n -> Optional.of(Identified.of(Notice.Kind.class, n).usual()));
            }
            try {
                return Optional.of(NoticeFile.read(notice));
            } catch (IllegalArgumentException wrong) {
                wrong(".notice", wrong.getMessage());
                return Optional.empty();
            }
        }

        private Map<Rung, List<HalfStep>> halfSteps() {
            Map<Rung, List<HalfStep>> steps = new EnumMap<>(Rung.class);
            byRung("halfSteps", (rung, list) -> {
                if (!list.isArray() || list.size() > LONGEST_LIST) {
                    wrong(".halfSteps." + rung.id(), "must be a list of at most " + LONGEST_LIST + ".");
                    return;
                }
                List<HalfStep> read = new ArrayList<>();
                for (int i = 0; i < list.size(); i++) {
                    halfStep(".halfSteps." + rung.id() + "[" + i + "]", list.get(i))
                            .ifPresent(read::add);
                }
                steps.put(rung, List.copyOf(read));
            });
            return steps;
        }

        /** One of the standard ones by its id, or one of the drill's own. */
        private Optional<HalfStep> halfStep(String where, JsonNode node) {
            if (node.isString()) {
                HalfStep standard = HalfStep.STANDARD.get(node.asString());
                if (standard == null) {
                    wrong(
                            where,
                            "must be one of "
                                    + String.join(
                                            ", ",
                                            HalfStep.STANDARD.keySet().stream()
                                                    .sorted()
                                                    .toList())
                                    + ", or have an id, a label and a do of its own.");
                }
                return Optional.ofNullable(standard);
            }
            Reader own = new Reader(path + where, node, problems);
            String id = own.text("id", LONGEST_NAME, true);
            String label = own.text("label", LONGEST_HALF_STEP, true);
            String action = own.text("do", LONGEST_TEXT, true);
            if (!id.isEmpty() && !id.matches(ID)) own.wrong(".id", "must be words of small letters joined by hyphens.");
            if (HalfStep.STANDARD.containsKey(id)) own.wrong(".id", "is a standard one's: " + id + ".");
            return Optional.of(HalfStep.own(id, label, action));
        }

        private Map<Rung, Integer> speeds() {
            Map<Rung, Integer> speeds = new EnumMap<>(Rung.class);
            byRung("speeds", (rung, percent) -> {
                if (!percent.isInt() || percent.asInt() < LOWEST_SPEED || percent.asInt() > FULL_SPEED) {
                    wrong(
                            ".speeds." + rung.id(),
                            "must be a whole percentage from " + LOWEST_SPEED + " to " + FULL_SPEED + ".");
                    return;
                }
                speeds.put(rung, percent.asInt());
            });
            return speeds;
        }

        private void byRung(String field, BiConsumer<Rung, JsonNode> read) {
            JsonNode byRung = node.path(field);
            if (byRung.isMissingNode() || byRung.isNull()) return;
            if (!byRung.isObject()) {
                wrong("." + field, "must name rungs.");
                return;
            }
            byRung.properties().forEach(entry -> {
                try {
                    read.accept(Identified.of(Rung.class, entry.getKey()), entry.getValue());
                } catch (IllegalArgumentException unknown) {
                    wrong("." + field, unknown.getMessage());
                }
            });
        }

        private void wrong(String where, String message) {
            problems.add(new Problem(path + where, message));
        }

        private String text(String field, int longest, boolean needed) {
            JsonNode value = node.path(field);
            if (value.isMissingNode() || value.isNull()) {
                if (needed) wrong("." + field, "is missing.");
                return "";
            }
            if (!value.isString()) {
                wrong("." + field, "must be a text.");
                return "";
            }
            String text = value.asString().strip();
            if (needed && text.isEmpty()) wrong("." + field, "is empty.");
            if (text.length() > longest) wrong("." + field, "is longer than " + longest + " letters.");
            if (text.chars().anyMatch(c -> Character.isISOControl(c) && c != '\n')) {
                wrong("." + field, "holds control characters.");
            }
            return text;
        }

        private List<String> strings(String field) {
            JsonNode array = node.path(field);
            if (array.isMissingNode() || array.isNull()) return List.of();
            if (!array.isArray()) {
                wrong("." + field, "must be a list.");
                return List.of();
            }
            if (array.size() > LONGEST_LIST) {
                wrong("." + field, "holds " + array.size() + " entries; at most " + LONGEST_LIST + ".");
                return List.of();
            }
            List<String> strings = new ArrayList<>();
            for (JsonNode value : array) {
                if (!value.isString() || value.asString().isBlank()) wrong("." + field, "must hold texts only.");
                else if (value.asString().length() > LONGEST_TEXT) {
                    wrong("." + field, "holds a text longer than " + LONGEST_TEXT + " letters.");
                } else strings.add(value.asString());
            }
            return strings;
        }

        private <T> List<T> each(String field, Function<String, T> read) {
            List<T> values = new ArrayList<>();
            for (String id : strings(field)) {
                try {
                    values.add(read.apply(id));
                } catch (IllegalArgumentException unknown) {
                    wrong("." + field, unknown.getMessage());
                }
            }
            return values;
        }

        private Map<Fault, Effect> effects() {
            Map<Fault, Effect> effects = new EnumMap<>(Fault.class);
            if (node.path("everyFault").asBoolean(false)) {
                Arrays.stream(Fault.values()).filter(f -> !f.ofTheBody()).forEach(f -> effects.put(f, Effect.HELPS));
            }
            each("helps", f -> Identified.of(Fault.class, f)).forEach(f -> effects.put(f, Effect.HELPS));
            each("main", f -> Identified.of(Fault.class, f)).forEach(f -> effects.put(f, Effect.MAIN));
            return effects;
        }

        private Pace pace() {
            String name = text("pace", LONGEST_NAME, true);
            for (Pace pace : Pace.values()) if (pace.name().equals(name)) return pace;
            if (!name.isEmpty()) wrong(".pace", "must be BODY, SLOW_CLUB or STEP.");
            return Pace.BODY;
        }

        private Diagram diagram() {
            JsonNode diagram = node.path("diagram");
            Reader in = new Reader(path + ".diagram", diagram, problems);
            List<Prop> props = new ArrayList<>();
            diagram.path("props").properties().forEach(e -> {
                try {
                    props.add(
                            new Prop(Identified.of(PropShape.class, e.getValue().asString("")), foot(e.getKey())));
                } catch (IllegalArgumentException unknown) {
                    in.wrong(".props", unknown.getMessage());
                }
            });
            List<Spot> press = in.each("press", Reader::foot);
            return new Diagram(
                    in.one("stance", Stance.NORMAL, s -> Identified.of(Stance.class, s)),
                    props,
                    press,
                    in.one("move", Move.NONE, m -> Identified.of(Move.class, m)));
        }

        private static Spot foot(String id) {
            Spot spot = Identified.of(Spot.class, id);
            if (!spot.ofAFoot()) throw new IllegalArgumentException(id + " is no part of a foot.");
            return spot;
        }

        private <T> T one(String field, T otherwise, Function<String, T> read) {
            String id = text(field, LONGEST_NAME, false);
            if (id.isEmpty()) return otherwise;
            try {
                return read.apply(id);
            } catch (IllegalArgumentException unknown) {
                wrong("." + field, unknown.getMessage());
                return otherwise;
            }
        }
    }
}
