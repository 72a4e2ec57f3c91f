package app.hodegon.server.exchange;

import java.util.List;
import java.util.Optional;

/**
 * One kind of entries in a student's record.
 *
 * @param optional whether a file may have none at all: one made before there were such entries
 */
record RecordSection(String name, boolean optional, List<Column> columns) {

    /**
     * A field of an entry.
     *
     * @param type UUID, LocalDate, OffsetDateTime, Short, Integer, Double, Boolean, String or String[]
     * @param nullable whether an entry may have none, or takes the usual one where it has none
     * @param length most characters of a text; 0 for the rest
     * @param document whether a text holds JSON, which stands in the record as JSON
     * @param refersTo section whose {@code id} it names
     */
    record Column(
            String name, Class<?> type, boolean nullable, int length, boolean document, Optional<String> refersTo) {}
}
