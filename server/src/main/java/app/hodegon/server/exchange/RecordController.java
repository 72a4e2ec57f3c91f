package app.hodegon.server.exchange;

import app.hodegon.server.account.Account;
import app.hodegon.server.exchange.RecordSection.Column;
import app.hodegon.server.student.Students;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** A student's record as one JSON file or as tables, taken in, and erased. */
@RestController
@RequestMapping("/api")
class RecordController {

    private final Records records;
    private final Students students;

    RecordController(Records records, Students students) {
        this.records = records;
        this.students = students;
    }

    record Taken(@NotNull UUID id, @NotNull String name) {}

    record Erasure(@NotNull @Size(max = 100) String name) {}

    @GetMapping("/students/{id}/record")
    ResponseEntity<JsonNode> file(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, named(coach, id, ".json"))
                .body(records.file(coach, id));
    }

    /** A download under the student's name. */
    private String named(Account coach, UUID id, String ending) {
        String name = students.ofCoach(coach, id).name().toLowerCase().replaceAll("\\s+", "-");
        return ContentDisposition.attachment()
                .filename(name + ending, StandardCharsets.UTF_8)
                .build()
                .toString();
    }

    /** A CSV file for each section, the same columns as in the JSON. */
    @GetMapping("/students/{id}/record.zip")
    ResponseEntity<byte[]> tables(@AuthenticationPrincipal Account coach, @PathVariable UUID id) throws IOException {
        Map<String, List<Map<String, Object>>> rows = records.rows(coach, id);
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            for (RecordSection section : records.sections()) {
                zip.putNextEntry(new ZipEntry(section.name() + ".csv"));
                // Closing the printer would close the archive.
                CSVPrinter csv = new CSVPrinter(new OutputStreamWriter(zip, StandardCharsets.UTF_8), CSVFormat.DEFAULT);
                csv.printRecord(section.columns().stream().map(Column::name));
                for (Map<String, Object> row : rows.get(section.name())) {
                    csv.printRecord(section.columns().stream().map(c -> cell(row.get(c.name()))));
                }
                csv.flush();
                zip.closeEntry();
            }
        }
        return ResponseEntity.ok()
                .contentType(MediaType.valueOf("application/zip"))
                .header(HttpHeaders.CONTENT_DISPOSITION, named(coach, id, ".zip"))
                .body(bytes.toByteArray());
    }

    private static Object cell(Object value) {
        return value instanceof String[] several ? String.join(" ", several) : value;
    }

    @GetMapping("/records/schema")
    JsonNode schema() {
        return records.schema();
    }

    @PostMapping("/records")
    @ResponseStatus(HttpStatus.CREATED)
    Taken take(@AuthenticationPrincipal Account coach, @RequestBody JsonNode file) {
        var student = records.take(coach, file);
        return new Taken(student.id(), student.name());
    }

    @PostMapping("/students/{id}/erasure")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void erase(@AuthenticationPrincipal Account coach, @PathVariable UUID id, @Valid @RequestBody Erasure erasure) {
        records.erase(coach, id, erasure.name());
    }

    /** The days on which records were erased; of whom is not kept. */
    @GetMapping("/records/erasures")
    List<LocalDate> erasures(@AuthenticationPrincipal Account coach) {
        return records.erasures(coach);
    }
}
