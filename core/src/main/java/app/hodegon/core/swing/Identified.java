package app.hodegon.core.swing;

import java.util.Arrays;
import java.util.List;

/** A closed choice with the stable identifier used in the API, in files and in the catalogue. */
public interface Identified {

    /** The stable identifier, in lower case with hyphens. */
    String id();

    /**
     * The constant of {@code type} with this identifier.
     *
     * @throws UnknownIdException if there is none; it names what would be accepted
     */
    static <E extends Enum<E> & Identified> E of(Class<E> type, String id) {
        for (E constant : type.getEnumConstants()) {
            if (constant.id().equals(id)) return constant;
        }
        throw new UnknownIdException(kindOf(type), id, ids(type));
    }

    /** All identifiers of {@code type}, in declaration order. */
    static <E extends Enum<E> & Identified> List<String> ids(Class<E> type) {
        return Arrays.stream(type.getEnumConstants()).map(Identified::id).toList();
    }

    private static String kindOf(Class<?> type) {
        return type.getSimpleName().replaceAll("(?<=[a-z])(?=[A-Z])", " ").toLowerCase();
    }
}
