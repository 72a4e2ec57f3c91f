package app.hodegon.server.shots;

import app.hodegon.server.http.Invalid;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** The cells of a file: a heading and rows. */
record CsvText(List<String> heading, List<List<String>> rows) {

    static final int MOST_ROWS = 50_000;
    static final int MOST_CELLS = 200;

    private static final String BYTE_ORDER_MARK = "\uFEFF";

    /**
     * @throws Invalid if there is no heading with rows under it, or a quote is never closed
     */
    static CsvText read(String text) {
        String plain = text.startsWith(BYTE_ORDER_MARK) ? text.substring(1) : text;
        String first = plain.lines().findFirst().orElse("");
        char separator = Stream.of(',', ';', '\t')
                .max(Comparator.comparingLong(
                        c -> first.chars().filter(x -> x == c).count()))
                .orElseThrow();
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(separator)
                .setIgnoreEmptyLines(false)
                .setTrim(true)
                .get();
        List<List<String>> rows = new ArrayList<>();
        try (CSVParser parser = CSVParser.parse(new StringReader(plain), format)) {
            for (CSVRecord row : parser) {
                if (rows.size() > MOST_ROWS) throw new Invalid("text", "A file may hold " + MOST_ROWS + " rows.");
                if (row.size() > MOST_CELLS) throw new Invalid("text", "A row may hold " + MOST_CELLS + " cells.");
                rows.add(row.toList());
            }
        } catch (IOException | UncheckedIOException broken) {
            throw new Invalid("text", "Row " + (rows.size() + 1) + " cannot be read: a quote is never closed.");
        }
        if (rows.size() < 2 || rows.get(0).stream().allMatch(String::isBlank)) {
            throw new Invalid("text", "There must be a heading line and rows under it.");
        }
        return new CsvText(List.copyOf(rows.get(0)), List.copyOf(rows.subList(1, rows.size())));
    }
}
