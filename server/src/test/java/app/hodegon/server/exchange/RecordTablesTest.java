package app.hodegon.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.server.exchange.RecordSection.Column;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;

/** A record's tables may be opened in a spreadsheet. */
class RecordTablesTest {

    private static Column column(String name, Class<?> type) {
        return new Column(name, type, true, 100, false, Optional.empty());
    }

    @Test
    void nothingInThemIsAFormula() throws IOException {
        RecordSection section = new RecordSection(
                "student",
                false,
                List.of(
                        column("name", String.class),
                        column("flags", String[].class),
                        column("reading", Double.class)));
        Map<String, Object> row = new HashMap<>();
        row.put("name", "=HYPERLINK(\"x\")");
        row.put("flags", new String[] {"@knee", "hip"});
        row.put("reading", -2.5);
        byte[] zip = RecordTables.zip(List.of(section), Map.of("student", List.of(row)));
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            assertThat(in.getNextEntry().getName()).isEqualTo("student.csv");
            assertThat(new String(in.readAllBytes(), StandardCharsets.UTF_8))
                    .isEqualTo("name,flags,reading\r\n\"'=HYPERLINK(\"\"x\"\")\",'@knee hip,-2.5\r\n");
        }
    }
}
