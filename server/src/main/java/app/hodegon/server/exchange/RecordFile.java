package app.hodegon.server.exchange;

import app.hodegon.server.exchange.RecordSection.Column;
import app.hodegon.server.http.InvalidParts;
import app.hodegon.server.http.InvalidParts.Part;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A record as JSON: written, described, and read again with every fault named. */
final class RecordFile {

    static final int VERSION = 1;
    static final String KIND = "hodegon-student-record";

    private static final JsonMapper JSON = new JsonMapper();
    private static final int MOST_FAULTS = 50;
    private static final int MOST_ROWS = 200_000;

    private final List<RecordSection> sections;
    private final List<Part> faults = new ArrayList<>();

    RecordFile(List<RecordSection> sections) {
        this.sections = sections;
    }

    /**
     * @param drills the coach's own drills that the record speaks of, as a drill file
     */
    ObjectNode write(Map<String, List<Map<String, Object>>> record, JsonNode drills) {
        ObjectNode file = JSON.createObjectNode();
        file.put("kind", KIND);
        file.put("version", VERSION);
        for (RecordSection section : sections) {
            ArrayNode rows = file.putArray(section.name());
            for (Map<String, Object> row : record.get(section.name())) {
                ObjectNode entry = rows.addObject();
                section.columns().forEach(c -> entry.set(c.name(), node(c, row.get(c.name()))));
            }
        }
        file.set("drills", drills);
        return file;
    }

    private static JsonNode node(Column column, Object value) {
        if (value == null) return JSON.nullNode();
        if (column.document()) return JSON.readTree((String) value);
        if (value instanceof OffsetDateTime time)
            return JSON.valueToTree(time.toInstant().toString());
        boolean plain = value instanceof Number || value instanceof Boolean || value instanceof String[];
        return JSON.valueToTree(plain ? value : value.toString());
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
            required.add(section.name());
            ObjectNode rows = fields.putObject(section.name());
            rows.put("type", "array");
            if (section.name().equals("student")) rows.put("minItems", 1).put("maxItems", 1);
            ObjectNode row = rows.putObject("items");
            row.put("type", "object").put("additionalProperties", false);
            ObjectNode columns = row.putObject("properties");
            ArrayNode needed = row.putArray("required");
            for (Column column : section.columns()) {
                needed.add(column.name());
                describe(column, columns.putObject(column.name()));
            }
        }
        required.add("drills");
        fields.putObject("drills")
                .put("type", "array")
                .put("description", "The coach's own drills, as in a drill file.");
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
     * Reads a file.
     *
     * @throws InvalidParts naming what is wrong with it
     */
    Map<String, List<Map<String, Object>>> read(JsonNode file) {
        faults.clear();
        if (!KIND.equals(file.path("kind").asString("")) || file.path("version").asInt(0) != VERSION) {
            fault("kind", "is no student record of version " + VERSION + ".");
        }
        Map<String, List<Map<String, Object>>> record = new LinkedHashMap<>();
        for (RecordSection section : sections) record.put(section.name(), rows(section, file.path(section.name())));
        if (!file.path("drills").isArray()) fault("drills", "must be a list.");
        if (faults.isEmpty() && record.get("student").size() != 1) fault("student", "must be one student.");
        if (faults.isEmpty()) references(record);
        if (!faults.isEmpty()) throw new InvalidParts(faults);
        return record;
    }

    private List<Map<String, Object>> rows(RecordSection section, JsonNode node) {
        List<Map<String, Object>> rows = new ArrayList<>();
        if (!node.isArray() || node.size() > MOST_ROWS) {
            fault(section.name(), "must be a list of at most " + MOST_ROWS + " entries.");
            return rows;
        }
        for (int i = 0; i < node.size(); i++) {
            Map<String, Object> row = new LinkedHashMap<>();
            for (Column column : section.columns()) {
                String path = "%s[%d].%s".formatted(section.name(), i, column.name());
                value(path, column, node.get(i).path(column.name())).ifPresent(v -> row.put(column.name(), v));
            }
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
            return Optional.ofNullable(value);
        } catch (DateTimeParseException | IllegalArgumentException | JacksonException unreadable) {
            fault(path, "is not a " + column.type().getSimpleName().toLowerCase() + ".");
            return Optional.empty();
        }
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
        if (type == LocalDate.class) return LocalDate.parse(text);
        if (type == OffsetDateTime.class) return OffsetDateTime.parse(text);
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
