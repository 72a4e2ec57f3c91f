package app.hodegon.server.word;

import app.hodegon.server.account.Account;
import app.hodegon.server.film.Mp4;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.http.Plain;
import app.hodegon.server.student.StoredStudent;
import app.hodegon.server.student.Students;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A coach's own words and film on a drill, and what students call its cue. */
@RestController
@RequestMapping("/api")
class WordController {

    private final OwnWords words;
    private final Students students;

    WordController(OwnWords words, Students students) {
        this.words = words;
        this.students = students;
    }

    record WordsEntry(@NotNull @Size(max = 600) String words) {}

    /**
     * @param agreed who is in it and agrees that students see it
     */
    record DrillFilmEntry(
            @NotBlank @Size(max = 2_200_000) String mp4,
            @NotBlank @Plain @Size(max = 120) String agreed) {}

    /**
     * @param edition how often the phone has changed it
     */
    record CueEntry(
            @NotNull @Plain @Size(max = 120) String words,
            @NotNull @Min(0) @Max(1_000_000) Integer edition) {}

    /** What this coach says of drills, by drill. */
    @GetMapping("/drill-words")
    Map<String, DrillWordsView> all(@AuthenticationPrincipal Account coach) {
        return words.ofCoach(coach.id());
    }

    @PutMapping("/drill-words/{drill}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void say(@AuthenticationPrincipal Account coach, @PathVariable String drill, @Valid @RequestBody WordsEntry entry) {
        words.say(coach, drill, entry.words());
    }

    @PutMapping("/drill-words/{drill}/film")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void show(
            @AuthenticationPrincipal Account coach,
            @PathVariable String drill,
            @Valid @RequestBody DrillFilmEntry entry) {
        words.show(coach, drill, Invalid.in("mp4", () -> Mp4.of(entry.mp4())), entry.agreed());
    }

    @DeleteMapping("/drill-words/{drill}/film")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void hide(@AuthenticationPrincipal Account coach, @PathVariable String drill) {
        words.hide(coach, drill);
    }

    @GetMapping(path = "/drill-words/{drill}/film", produces = "video/mp4")
    ResponseEntity<byte[]> film(@AuthenticationPrincipal Account coach, @PathVariable String drill) {
        return ResponseEntity.ok().cacheControl(CacheControl.noStore()).body(words.film(coach.id(), drill));
    }

    /**
     * What is said of drills for one student.
     *
     * @param words the student's own coach's, whoever stands in
     * @param cues the student's, by drill
     */
    record OwnWordsView(
            @NotNull Map<String, DrillWordsView> words,
            @NotNull Map<String, String> cues) {}

    @GetMapping("/students/{id}/own-words")
    OwnWordsView ofStudent(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        StoredStudent student = students.ofCoach(coach, id);
        return new OwnWordsView(words.ofCoach(student.coachId()), words.cues(id));
    }

    @GetMapping(path = "/me/drill-words/{drill}/film", produces = "video/mp4")
    ResponseEntity<byte[]> filmOfOwnCoach(@AuthenticationPrincipal Account student, @PathVariable String drill) {
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noStore())
                .body(words.film(students.self(student).coachId(), drill));
    }

    @PutMapping("/me/cues/{drill}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void call(
            @AuthenticationPrincipal Account student, @PathVariable String drill, @Valid @RequestBody CueEntry entry) {
        words.call(student, drill, entry.words());
    }
}
