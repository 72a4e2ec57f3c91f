package app.hodegon.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** The published description of the API, from which requests are made, sound and broken. */
final class OpenApi {

    private static final JsonMapper JSON = new JsonMapper();
    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    private final JsonNode api;

    private OpenApi(JsonNode api) {
        this.api = api;
    }

    static OpenApi committed() {
        try {
            return new OpenApi(JSON.readTree(Files.readString(Path.of("..", "web", "openapi.json"))));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * @param body schema of the body; null for none
     */
    record Endpoint(String method, String path, JsonNode parameters, JsonNode body) {

        /** The address with each parameter filled in. */
        String at(Map<String, String> values, String otherwise) {
            StringBuilder address = new StringBuilder();
            for (String part : path.split("(?=\\{)|(?<=})")) {
                boolean named = part.startsWith("{");
                String name = named ? part.substring(1, part.length() - 1) : part;
                address.append(named ? values.getOrDefault(name, otherwise) : part);
            }
            StringBuilder query = new StringBuilder();
            for (JsonNode parameter : parameters) {
                String name = parameter.path("name").asString();
                boolean asked = parameter.path("in").asString().equals("query")
                        && (parameter.path("required").asBoolean() || values.containsKey(name));
                if (asked) {
                    query.append(query.isEmpty() ? "?" : "&")
                            .append(name)
                            .append("=")
                            .append(values.getOrDefault(name, otherwise));
                }
            }
            return address.append(query).toString();
        }

        /** The same names with what {@code {id}} stands for under this address. */
        Map<String, String> own(Map<String, String> names) {
            Map<String, String> own = new HashMap<>(names);
            if (path.startsWith("/api/lessons/")) own.put("id", names.get("lessonId"));
            if (path.startsWith("/api/plans/")) own.put("id", names.get("planId"));
            if (isOfALibrary()) own.put("id", "disc-turn");
            return own;
        }

        /** Whose drill ships is everybody's. */
        boolean isOfALibrary() {
            return path.startsWith("/api/drills/") || path.startsWith("/api/motions/drills/");
        }

        @Override
        public String toString() {
            return method + " " + path;
        }
    }

    /** What a student's things are called in addresses. */
    static Map<String, String> names(String student, String lesson, String plan) {
        Map<String, String> names = new HashMap<>();
        names.put("id", student);
        names.put("studentId", student);
        names.put("lessonId", lesson);
        names.put("planId", plan);
        names.put("first", lesson);
        names.put("second", lesson);
        names.put("fault", "sway");
        names.put("rung", "feel");
        names.put("drill", "disc-turn");
        names.put("date", "2026-12-01");
        names.put("against", "centred");
        names.put("degrees", "3");
        names.put("wanted", "straight");
        return names;
    }

    List<Endpoint> endpoints() {
        List<Endpoint> all = new ArrayList<>();
        for (Map.Entry<String, JsonNode> path : api.path("paths").properties()) {
            if (path.getKey().startsWith("/operator")) continue;
            for (Map.Entry<String, JsonNode> method : path.getValue().properties()) {
                JsonNode content = method.getValue().at("/requestBody/content");
                JsonNode body = content.isMissingNode()
                        ? null
                        : content.properties().iterator().next().getValue().path("schema");
                all.add(new Endpoint(
                        method.getKey().toUpperCase(),
                        path.getKey(),
                        method.getValue().path("parameters"),
                        body));
            }
        }
        return all;
    }

    private JsonNode resolved(JsonNode schema) {
        String ref = schema.path("$ref").asString("");
        return ref.isEmpty() ? schema : api.at(ref.substring(1));
    }

    /** A body of the right form; what it names is not there. */
    JsonNode sound(JsonNode schema, Random random, int depth) {
        JsonNode kind = resolved(schema);
        return switch (kind.path("type").asString("object")) {
            case "string" -> NODES.stringNode(text(kind.path("format").asString(""), random));
            case "integer" -> NODES.numberNode(1 + random.nextInt(5));
            case "number" -> NODES.numberNode(random.nextDouble() * 10);
            case "boolean" -> NODES.booleanNode(random.nextBoolean());
            case "array" -> {
                ArrayNode list = NODES.arrayNode();
                if (depth < 5) list.add(sound(kind.path("items"), random, depth + 1));
                yield list;
            }
            default -> {
                ObjectNode object = NODES.objectNode();
                kind.path("properties")
                        .properties()
                        .forEach(p -> object.set(p.getKey(), sound(p.getValue(), random, depth + 1)));
                yield object;
            }
        };
    }

    private static String text(String format, Random random) {
        return switch (format) {
            case "uuid" -> new UUID(random.nextLong(), random.nextLong()).toString();
            case "date" -> "2026-12-0" + (1 + random.nextInt(9));
            case "email" -> "x" + random.nextInt(1000) + "@x.example";
            default ->
                List.of("sway", "feel", "before", "taken", "right", "some words")
                        .get(random.nextInt(6));
        };
    }

    /** The same with something wrong in one or more places. */
    JsonNode broken(JsonNode sound, Random random) {
        if (sound instanceof ObjectNode object && !object.isEmpty() && random.nextInt(4) > 0) {
            List<String> names = new ArrayList<>(object.propertyNames());
            String name = names.get(random.nextInt(names.size()));
            switch (random.nextInt(4)) {
                case 0 -> object.remove(name);
                case 1 -> object.set("x" + random.nextInt(10), odd(random));
                default -> object.set(name, broken(object.get(name), random));
            }
            return object;
        }
        if (sound instanceof ArrayNode list && random.nextInt(3) > 0) {
            if (random.nextBoolean() || list.isEmpty()) list.add(odd(random));
            else list.set(0, broken(list.get(0), random));
            return list;
        }
        return odd(random);
    }

    private static JsonNode odd(Random random) {
        return switch (random.nextInt(16)) {
            case 0 -> NODES.nullNode();
            case 1 -> NODES.numberNode(-1);
            case 2 -> NODES.numberNode(Long.MAX_VALUE);
            case 3 -> NODES.numberNode(1e308);
            case 4 -> NODES.stringNode("");
            case 5 -> NODES.stringNode("x".repeat(3000));
            case 6 -> NODES.stringNode("9999-12-31");
            case 7 -> NODES.stringNode("-999999999-01-01");
            case 8 -> NODES.stringNode("a\u0000b\u202E\uD800");
            case 9 -> NODES.booleanNode(true);
            case 10 -> NODES.arrayNode();
            case 11 -> NODES.objectNode();
            case 12 -> NODES.stringNode("' or 1=1 --");
            case 13 -> {
                ArrayNode many = NODES.arrayNode();
                for (int i = 0; i < 400; i++) many.add(i);
                yield many;
            }
            case 14 -> NODES.numberNode(0.5);
            default -> NODES.stringNode("sway");
        };
    }
}
