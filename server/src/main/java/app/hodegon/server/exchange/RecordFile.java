package app.hodegon.server.exchange;

import app.hodegon.server.exchange.RecordSection.Column;
import app.hodegon.server.http.Days;
import app.hodegon.server.http.InvalidParts;
import app.hodegon.server.http.InvalidParts.Part;
import java.io.InputStream;
import java.io.OutputStream;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.core.exc.StreamConstraintsException;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.NullNode;
import tools.jackson.databind.node.ObjectNode;

/** A record as JSON: written, described, and read again with every fault named. */
final class RecordFile {

    static final int VERSION = 1;
    static final String KIND = "hodegon-student-record";

    /** Of one text, letters: a film is the longest. */
    private static final int LONGEST_TEXT = 4_000_000;

    /** Of one value: a plan of many weeks is the largest. */
    private static final int MOST_NODES = 100_000;

    /** Rows are read one after the other, so something follows most of them. */
    private static final JsonMapper JSON = JsonMapper.builder(JsonFactory.builder()
                    .streamReadConstraints(StreamReadConstraints.builder()
                            .maxStringLength(LONGEST_TEXT)
                            .build())
                    .build())
            .disable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .build();

    private static final int MOST_FAULTS = 50;

    /** Of all sections together: ten years of daily practice and many files of balls. */
    private static final int MOST_ROWS = 150_000;

    private static final Part NO_RECORD = new Part("kind", "is no student record of version " + VERSION + ".");

    private final List<RecordSection> sections;
    private final List<Part> faults = new ArrayList<>();
    private int all;

    RecordFile(List<RecordSection> sections) {
        this.sections = sections;
    }

    /**
     * Writes row by row.
     *
     * @param drills the coach's own drills that the record speaks of, as a drill file
     * @param about what the installation keeps of the student beside it; not taken in again
     */
    void write(
            Map<String, List<Map<String, Object>>> record, String drills, Map<String, Object> about, OutputStream to) {
        try (JsonGenerator out = JSON.createGenerator(to)) {
            out.writeStartObject();
            out.writeStringProperty("kind", KIND);
            out.writeNumberProperty("version", VERSION);
            for (RecordSection section : sections) {
                out.writeArrayPropertyStart(section.name());
                for (Map<String, Object> row : record.get(section.name())) {
                    out.writeStartObject();
                    for (Column column : section.columns()) {
                        out.writeName(column.name());
                        write(out, column, row.get(column.name()));
                    }
                    out.writeEndObject();
                }
                out.writeEndArray();
            }
            out.writeName("drills");
            out.writeRawValue(drills);
            out.writeName("about");
            out.writePOJO(about);
            out.writeEndObject();
        }
    }

    private static void write(JsonGenerator out, Column column, Object value) {
        if (column.document() && value != null) out.writeRawValue((String) value);
        else if (value instanceof OffsetDateTime time)
            out.writeString(time.toInstant().toString());
        else if (value instanceof UUID || value instanceof LocalDate) out.writeString(value.toString());
        else out.writePOJO(value);
    }

    /** The published description of the file (JSON Schema 2020-12), made from what is stored. */
    ObjectNode schema() {
        ObjectNode schema = JSON.createObjectNode();
        schema.put("$schema", "https://json-schema.org/draft/2020-12/schema");
        schema.put("title", "Hodegon student record");
        schema.put("type", "object");
        ObjectNode fields = schema.putObject("properties");
        fields.putObject("kind").put("const", KIND);
        fields.putObject("version").put("const", VERSION);
        ArrayNode required = schema.putArray("required").add("kind").add("version");
        for (RecordSection section : sections) {
            if (!section.optional()) required.add(section.name());
            ObjectNode rows = fields.putObject(section.name());
            rows.put("type", "array");
            if (section.name().equals("student")) rows.put("minItems", 1).put("maxItems", 1);
            ObjectNode row = rows.putObject("items");
            row.put("type", "object").put("additionalProperties", false);
            ObjectNode columns = row.putObject("properties");
            ArrayNode needed = row.putArray("required");
            for (Column column : section.columns()) {
                if (!column.nullable()) needed.add(column.name());
                describe(column, columns.putObject(column.name()));
            }
        }
        required.add("drills");
        fields.putObject("drills")
                .put("type", "array")
                .put("description", "The coach's own drills, as in a drill file.");
        fields.putObject("about")
                .put("type", "object")
                .put("description", "What the installation kept beside the record; not taken in again.");
        schema.put("additionalProperties", false);
        return schema;
    }

    private static void describe(Column column, ObjectNode field) {
        if (column.document()) {
            field.put("description", "As Hodegon kept it; a copy, not to be edited.");
            return;
        }
        String type = column.type() == Boolean.class
                ? "boolean"
                : column.type() == Short.class || column.type() == Integer.class
                        ? "integer"
                        : column.type() == Double.class
                                ? "number"
                                : column.type() == String[].class ? "array" : "string";
        if (column.nullable()) field.putArray("type").add(type).add("null");
        else field.put("type", type);
        if (column.type() == UUID.class) field.put("format", "uuid");
        if (column.type() == LocalDate.class) field.put("format", "date");
        if (column.type() == OffsetDateTime.class) field.put("format", "date-time");
        if (column.type() == String[].class) field.putObject("items").put("type", "string");
        if (column.length() > 0) field.put("maxLength", column.length());
        column.refersTo().ifPresent(s -> field.put("description", "An id under \"" + s + "\"."));
    }

    /**
     * What a file holds.
     *
     * @param drills a drill file
     */
    record Content(Map<String, List<Map<String, Object>>> rows, String drills) {}

    /**
     * Reads a file, row by row.
     *
     * @throws InvalidParts naming what is wrong with it
     */
    Content read(InputStream file) {
        faults.clear();
        all = 0;
        Map<String, RecordSection> expected = sections.stream().collect(Collectors.toMap(RecordSection::name, s -> s));
        Map<String, List<Map<String, Object>>> record = new LinkedHashMap<>();
        String kind = "";
        int version = 0;
        String drills = null;
        try (JsonParser in = JSON.createParser(file)) {
            if (in.nextToken() != JsonToken.START_OBJECT) throw new InvalidParts(List.of(NO_RECORD));
            while (in.nextToken() == JsonToken.PROPERTY_NAME) {
                String name = in.currentName();
                JsonToken begins = in.nextToken();
                RecordSection section = expected.remove(name);
                if (section != null && begins == JsonToken.START_ARRAY) record.put(name, rows(section, in));
                else if (name.equals("kind")) kind = in.getValueAsString("");
                else if (name.equals("version")) version = in.getValueAsInt(0);
                else if (name.equals("drills") && begins == JsonToken.START_ARRAY)
                    drills = new Tree(in).read().toString();
                else in.skipChildren();
            }
        } catch (StreamConstraintsException beyond) {
            fault("file", "holds what no record has: too deep, or too long a text, name or number.");
        } catch (JacksonException broken) {
            TokenStreamLocation where = broken.getLocation();
            fault(
                    "file",
                    "is no JSON" + (where == null ? "." : ": it is broken after " + where.getByteOffset() + " bytes."));
        }
        if (!kind.equals(KIND) || version != VERSION) faults.add(0, NO_RECORD);
        for (RecordSection section : sections) {
            if (record.containsKey(section.name())) continue;
            if (section.optional()) record.put(section.name(), List.of());
            else fault(section.name(), "must be a list.");
        }
        if (drills == null) fault("drills", "must be a list.");
        if (faults.isEmpty() && record.get("student").size() != 1) fault("student", "must be one student.");
        if (faults.isEmpty()) references(record);
        if (!faults.isEmpty()) throw new InvalidParts(faults);
        return new Content(record, drills);
    }

    /** One value, read node by node: nobody has to hold more of a file than may be kept of it. */
    private static final class Tree {
        private final JsonParser in;
        private int nodes;

        Tree(JsonParser in) {
            this.in = in;
        }

        JsonNode read() {
            if (++nodes > MOST_NODES) {
                throw new InvalidParts(
                        List.of(new Part("file", "holds an entry of more than " + MOST_NODES + " parts.")));
            }
            return switch (in.currentToken()) {
                case START_OBJECT -> {
                    ObjectNode object = JSON.createObjectNode();
                    while (in.nextToken() == JsonToken.PROPERTY_NAME) {
                        String name = in.currentName();
                        in.nextToken();
                        object.set(name, read());
                    }
                    yield object;
                }
                case START_ARRAY -> {
                    ArrayNode list = JSON.createArrayNode();
                    while (in.nextToken() != JsonToken.END_ARRAY) list.add(read());
                    yield list;
                }
                default -> JSON.readTree(in);
            };
        }
    }

    private List<Map<String, Object>> rows(RecordSection section, JsonParser in) {
        Map<String, Column> columns = section.columns().stream().collect(Collectors.toMap(Column::name, c -> c));
        List<Map<String, Object>> rows = new ArrayList<>();
        while (in.nextToken() != JsonToken.END_ARRAY) {
            if (++all > MOST_ROWS) {
                throw new InvalidParts(List.of(new Part("file", "may hold at most " + MOST_ROWS + " entries.")));
            }
            String at = "%s[%d].".formatted(section.name(), rows.size());
            Map<String, Object> row = new LinkedHashMap<>();
            Set<String> missing = new TreeSet<>(columns.keySet());
            if (in.currentToken() == JsonToken.START_OBJECT) {
                while (in.nextToken() == JsonToken.PROPERTY_NAME) {
                    Column column = columns.get(in.currentName());
                    in.nextToken();
                    if (column == null || !missing.remove(column.name())) in.skipChildren();
                    else
                        value(at + column.name(), column, new Tree(in).read())
                                .ifPresent(v -> row.put(column.name(), v));
                }
            } else {
                in.skipChildren();
            }
            for (String name : missing) value(at + name, columns.get(name), NullNode.getInstance());
            rows.add(row);
        }
        return rows;
    }

    private Optional<Object> value(String path, Column column, JsonNode node) {
        if (node.isNull() || node.isMissingNode()) {
            if (!column.nullable()) fault(path, "is missing.");
            return Optional.empty();
        }
        try {
            Object value = column.document() ? node.toString() : plain(column.type(), node);
            if (value == null) {
                fault(path, "is not a " + column.type().getSimpleName().toLowerCase() + ".");
            } else if (value instanceof String text && column.length() > 0 && text.length() > column.length()) {
                fault(path, "holds at most " + column.length() + " characters.");
            }
            if (value instanceof String text && !column.document() && hasControls(text)) {
                fault(path, "holds control characters.");
            }
            return Optional.ofNullable(value);
        } catch (DateTimeException | IllegalArgumentException | JacksonException unreadable) {
            fault(path, "is not a " + column.type().getSimpleName().toLowerCase() + " that can be.");
            return Optional.empty();
        }
    }

    private static boolean hasControls(String text) {
        return text.chars().anyMatch(c -> Character.isISOControl(c) && c != '\n' && c != '\r' && c != '\t');
    }

    private static Object plain(Class<?> type, JsonNode node) {
        if (type == Boolean.class) return node.isBoolean() ? node.booleanValue() : null;
        if (type == Integer.class) return node.isInt() ? node.intValue() : null;
        if (type == Short.class) {
            return node.isInt() && node.intValue() == (short) node.intValue() ? (short) node.intValue() : null;
        }
        if (type == Double.class) return node.isNumber() ? node.doubleValue() : null;
        if (type == String[].class) return node.isArray() ? texts(node) : null;
        if (!node.isString()) return null;
        String text = node.asString();
        if (type == UUID.class) return UUID.fromString(text);
        if (type == LocalDate.class) return Days.read(text);
        if (type == OffsetDateTime.class) return Days.readTime(text);
        return text;
    }

    private static String[] texts(JsonNode node) {
        return node.valueStream().map(n -> n.isString() ? n.asString() : "?").toArray(String[]::new);
    }

    /** Whatever a row names must be in the same record: nothing of another student can be touched. */
    private void references(Map<String, List<Map<String, Object>>> record) {
        for (RecordSection section : sections) {
            for (Column column : section.columns()) {
                if (column.refersTo().isEmpty()) continue;
                Set<Object> ids = new HashSet<>();
                record.get(column.refersTo().get()).forEach(row -> ids.add(row.get("id")));
                for (Map<String, Object> row : record.get(section.name())) {
                    Object named = row.get(column.name());
                    if (named != null && !ids.contains(named)) {
                        fault(section.name() + "." + column.name(), "names what is not in this record: " + named);
                    }
                }
            }
        }
    }

    private void fault(String path, String message) {
        if (faults.size() < MOST_FAULTS) faults.add(new Part(path, message));
    }
}
