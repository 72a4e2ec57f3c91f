package app.hodegon.server.drill;

import app.hodegon.core.drill.DrillFile;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.DrillSchema;
import app.hodegon.server.account.Account;
import app.hodegon.server.http.NotFound;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A coach's own drills in and out, as drill files. */
@RestController
@RequestMapping("/api/drills")
class DrillController {

    private final Drills drills;

    DrillController(Drills drills) {
        this.drills = drills;
    }

    /** The description of the drill file. */
    @GetMapping(value = "/schema", produces = MediaType.APPLICATION_JSON_VALUE)
    String schema() {
        return DrillSchema.json();
    }

    /** The coach's own drills as a file. */
    @GetMapping(value = "/own", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<String> file(@AuthenticationPrincipal Account coach) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"drills.json\"")
                .body(drills.file(coach.id()));
    }

    /** One drill as in a file, with its placeholders: to copy or to edit. */
    @GetMapping(value = "/{id}/file", produces = MediaType.APPLICATION_JSON_VALUE)
    String one(@AuthenticationPrincipal Account coach, @PathVariable String id) {
        DrillLibrary library = drills.of(coach.id());
        if (!library.has(id)) throw new NotFound("drill");
        return DrillFile.write(List.of(library.drill(id)));
    }

    record Taken(@NotNull int drills) {}

    /** Takes a drill file; a drill of the same id is replaced. All of it or nothing. */
    @PostMapping(value = "/own", consumes = MediaType.APPLICATION_JSON_VALUE)
    Taken take(@AuthenticationPrincipal Account coach, @RequestBody String file) {
        return new Taken(drills.take(coach.id(), file));
    }

    @DeleteMapping("/own/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void delete(@AuthenticationPrincipal Account coach, @PathVariable String id) {
        drills.delete(coach.id(), id);
    }
}
