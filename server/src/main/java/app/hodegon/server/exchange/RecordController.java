package app.hodegon.server.exchange;

import app.hodegon.server.account.Account;
import app.hodegon.server.http.HeavyWork;
import app.hodegon.server.student.Students;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.ByteArrayOutputStream;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
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
    private final HeavyWork heavy;

    RecordController(Records records, Students students, HeavyWork heavy) {
        this.records = records;
        this.students = students;
        this.heavy = heavy;
    }

    record Taken(@NotNull UUID id, @NotNull String name) {}

    record Erasure(@NotNull @Size(max = 100) String name) {}

    @GetMapping("/students/{id}/record")
    ResponseEntity<byte[]> file(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        return download(named(coach, id, ".json"), MediaType.APPLICATION_JSON, heavy.done(() -> {
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            records.write(coach, id, bytes);
            return bytes.toByteArray();
        }));
    }

    private static ResponseEntity<byte[]> download(String disposition, MediaType type, byte[] bytes) {
        return ResponseEntity.ok()
                .contentType(type)
                .header(HttpHeaders.CONTENT_DISPOSITION, disposition)
                .body(bytes);
    }

    /** A download under the student's name. */
    private String named(Account coach, UUID id, String ending) {
        String name = students.own(coach, id).name().toLowerCase().replaceAll("\\s+", "-");
        return ContentDisposition.attachment()
                .filename(name + ending, StandardCharsets.UTF_8)
                .build()
                .toString();
    }

    /** A CSV file for each section, the same columns as in the JSON. */
    @GetMapping("/students/{id}/record.zip")
    ResponseEntity<byte[]> tables(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        return download(
                named(coach, id, ".zip"),
                MediaType.valueOf("application/zip"),
                heavy.done(() -> RecordTables.zip(records.sections(), records.rows(coach, id))));
    }

    @GetMapping("/records/schema")
    JsonNode schema() {
        return records.schema();
    }

    @PostMapping("/records")
    @ResponseStatus(HttpStatus.CREATED)
    Taken take(@AuthenticationPrincipal Account coach, InputStream file) {
        var student = heavy.done(() -> records.take(coach, file));
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
