package app.hodegon.server.http;

import jakarta.validation.constraints.NotNull;
import java.lang.reflect.RecordComponent;
import java.util.List;
import java.util.Map;

/** Whether a stored document that was read has all that its type promises: what a file said may be anything. */
public final class Complete {

    private static final int LONGEST_LIST = 2_000;

    private Complete() {}

    /**
     * Walks through records, lists and maps.
     *
     * @param path what it is called in the refusal
     * @throws IllegalArgumentException naming the first thing that is missing or endless
     */
    public static <T> T check(String path, T value) {
        walk(path, value);
        return value;
    }

    private static void walk(String path, Object value) {
        if (value instanceof Record record) {
            for (RecordComponent part : record.getClass().getRecordComponents()) {
                Object held = held(record, part);
                String inner = path + "." + part.getName();
                if (held != null) walk(inner, held);
                else if (part.getAccessor().isAnnotationPresent(NotNull.class)) missing(inner);
            }
        } else if (value instanceof List<?> list) {
            if (list.size() > LONGEST_LIST) throw new IllegalArgumentException(path + " is too long");
            for (int i = 0; i < list.size(); i++) {
                if (list.get(i) == null) missing(path + "[" + i + "]");
                walk(path + "[" + i + "]", list.get(i));
            }
        } else if (value instanceof Map<?, ?> map) {
            map.forEach((key, held) -> {
                if (held == null) missing(path + "." + key);
                walk(path + "." + key, held);
            });
        }
    }

    private static void missing(String path) {
        throw new IllegalArgumentException(path + " is missing");
    }

    private static Object held(Record record, RecordComponent part) {
        try {
            part.getAccessor().setAccessible(true);
            return part.getAccessor().invoke(record);
        } catch (ReflectiveOperationException unreadable) {
            throw new IllegalStateException(unreadable);
        }
    }
}
