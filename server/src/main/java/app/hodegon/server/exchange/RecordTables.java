package app.hodegon.server.exchange;

import app.hodegon.server.exchange.RecordSection.Column;
import app.hodegon.server.http.CsvCell;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** A record as CSV: a file for each section, the same columns as in the JSON. */
final class RecordTables {

    private RecordTables() {}

    static byte[] zip(List<RecordSection> sections, Map<String, List<Map<String, Object>>> rows) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            for (RecordSection section : sections) {
                zip.putNextEntry(new ZipEntry(section.name() + ".csv"));
                // Closing the printer would close the archive.
                CSVPrinter csv = new CSVPrinter(new OutputStreamWriter(zip, StandardCharsets.UTF_8), CSVFormat.DEFAULT);
                csv.printRecord(section.columns().stream().map(Column::name));
                for (Map<String, Object> row : rows.get(section.name())) {
                    csv.printRecord(section.columns().stream().map(c -> CsvCell.safe(text(row.get(c.name())))));
                }
                csv.flush();
                zip.closeEntry();
            }
        } catch (IOException inMemory) {
            throw new UncheckedIOException(inMemory);
        }
        return bytes.toByteArray();
    }

    private static Object text(Object value) {
        return value instanceof String[] several ? String.join(" ", several) : value;
    }
}
