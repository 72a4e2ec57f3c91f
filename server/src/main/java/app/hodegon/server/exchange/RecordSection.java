package app.hodegon.server.exchange;

import java.util.List;
import java.util.Optional;

/** One kind of entries in a student's record. */
record RecordSection(String name, List<Column> columns) {

    /**
     * A field of an entry.
     *
     * @param type UUID, LocalDate, OffsetDateTime, Short, Integer, Double, Boolean, String or String[]
     * @param length most characters of a text; 0 for the rest
     * @param document whether a text holds JSON, which stands in the record as JSON
     * @param refersTo section whose {@code id} it names
     */
    record Column(
            String name, Class<?> type, boolean nullable, int length, boolean document, Optional<String> refersTo) {}
}
