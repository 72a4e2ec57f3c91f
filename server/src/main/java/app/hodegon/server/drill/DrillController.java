package app.hodegon.server.drill;

import app.hodegon.core.drill.DrillFile;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.DrillSchema;
import app.hodegon.server.account.Account;
import app.hodegon.server.http.NotFound;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
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

    record SharedView(
            @NotNull UUID coachId,
            @NotNull String coach,
            @NotNull String id,
            @NotNull String name,
            @NotNull boolean taken) {}

    /**
     * @param own ids of one's own drills that the house sees
     */
    record SharingView(
            @NotNull List<SharedView> others, @NotNull List<String> own) {}

    record SharedEntry(@NotNull Boolean shared) {}

    /** What the coaches of the house share with each other. */
    @GetMapping("/shared")
    SharingView shared(@AuthenticationPrincipal Account coach) {
        return new SharingView(
                drills.shared(coach.id()).stream()
                        .map(s -> new SharedView(
                                s.coachId(),
                                s.coach(),
                                s.drill().id(),
                                s.drill().name(),
                                s.taken()))
                        .toList(),
                drills.sharedBy(coach.id()));
    }

    @PutMapping("/own/{id}/shared")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void share(@AuthenticationPrincipal Account coach, @PathVariable String id, @Valid @RequestBody SharedEntry entry) {
        drills.share(coach.id(), id, entry.shared());
    }

    /** Takes a copy of a drill another coach shares. */
    @PostMapping("/shared/{coachId}/{id}/copy")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void copy(@AuthenticationPrincipal Account coach, @PathVariable UUID coachId, @PathVariable String id) {
        drills.copy(coach.id(), coachId, id);
    }

    @DeleteMapping("/own/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void delete(
            @AuthenticationPrincipal Account coach,
            @PathVariable String id,
            @RequestParam(defaultValue = "false") boolean anyway) {
        drills.delete(coach.id(), id, anyway);
    }
}
