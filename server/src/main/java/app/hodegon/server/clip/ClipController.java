package app.hodegon.server.clip;

import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.account.Account;
import app.hodegon.server.clip.ClipsView.ClipPoints;
import app.hodegon.server.clip.ClipsView.EarlierClips;
import app.hodegon.server.clip.ClipsView.SentClip;
import app.hodegon.server.film.Mp4;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.lesson.Stage;
import app.hodegon.server.track.TrackRequest;
import app.hodegon.server.track.TrackRequest.MarksEntry;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.CacheControl;
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
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Swings filmed in a lesson, or sent by a student between two. */
@RestController
@RequestMapping("/api")
class ClipController {

    private final Clips clips;

    ClipController(Clips clips) {
        this.clips = clips;
    }

    /**
     * @param agreed who agrees that the pictures are kept: the student, or for a junior the adult; null for none
     */
    record SentEntry(
            @NotBlank @Size(max = 120) String name,
            @NotNull @Min(16) @Max(3000) Integer width,
            @NotNull @Min(16) @Max(3000) Integer height,
            @NotNull @Valid TrackRequest track,
            @Size(min = 1, max = 100) String agreed)
            implements Filmed {}

    /**
     * @param moments seconds by checkpoint; null gives a moment back
     * @param scale null to go by the height
     * @param height of the student, cm
     */
    record ClipTold(
            @NotNull @Size(max = 8) Map<@Size(max = 20) String, Double> moments,
            @Valid MarksEntry scale,
            @DecimalMin("100") @DecimalMax("230") Double height) {}

    record ClipDecision(
            @NotNull @Size(max = 10) String state,
            @NotNull @Size(max = 10) String stage) {}

    /** @param by the student, or for a junior the adult; null takes the agreement back */
    record Agreement(@Size(min = 1, max = 100) String by) {}

    /** @param jpeg Base64 */
    record Still(@NotNull @Size(max = 2 * Jpeg.LARGEST) String jpeg) {}

    /**
     * @param mp4 Base64
     * @param agreed who agrees to this film: the student, or for a junior the adult
     */
    record FilmBody(
            @NotNull @Size(max = 2 * Mp4.LARGEST) String mp4,
            @NotBlank @Size(max = 100) String agreed) {}

    @GetMapping("/lessons/{lessonId}/clips")
    ClipsView ofLesson(@AuthenticationPrincipal Account coach, @PathVariable UUID lessonId) {
        return clips.ofLesson(coach, lessonId);
    }

    @GetMapping("/lessons/{lessonId}/earlier-clips")
    List<EarlierClips> earlier(@AuthenticationPrincipal Account coach, @PathVariable UUID lessonId) {
        return clips.earlier(coach, lessonId);
    }

    @PostMapping("/lessons/{lessonId}/clips")
    ClipsView add(
            @AuthenticationPrincipal Account coach, @PathVariable UUID lessonId, @Valid @RequestBody ClipEntry entry) {
        return clips.add(coach, lessonId, entry);
    }

    @GetMapping("/clips/{id}/points")
    ClipPoints points(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        return clips.points(coach, id);
    }

    @PutMapping("/clips/{id}/told")
    ClipsView tell(@AuthenticationPrincipal Account coach, @PathVariable UUID id, @Valid @RequestBody ClipTold told) {
        return clips.tell(coach, id, told.moments(), told.scale(), told.height());
    }

    @PutMapping("/clips/{id}/state")
    ClipsView decide(
            @AuthenticationPrincipal Account coach, @PathVariable UUID id, @Valid @RequestBody ClipDecision decision) {
        Stage stage = Invalid.in("stage", () -> Identified.of(Stage.class, decision.stage()));
        return clips.decide(coach, id, decision.state(), stage);
    }

    @DeleteMapping("/clips/{id}")
    ClipsView delete(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        return clips.delete(coach, id);
    }

    @PutMapping("/clips/{id}/pictures/{checkpoint}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void putPicture(
            @AuthenticationPrincipal Account coach,
            @PathVariable UUID id,
            @PathVariable String checkpoint,
            @Valid @RequestBody Still still) {
        Checkpoint at = Invalid.in("checkpoint", () -> Identified.of(Checkpoint.class, checkpoint));
        clips.putPicture(coach, id, at, Invalid.in("jpeg", () -> Jpeg.of(still.jpeg())));
    }

    @GetMapping(path = "/clips/{id}/pictures/{checkpoint}", produces = MediaType.IMAGE_JPEG_VALUE)
    ResponseEntity<byte[]> picture(
            @AuthenticationPrincipal Account coach, @PathVariable UUID id, @PathVariable String checkpoint) {
        Checkpoint at = Invalid.in("checkpoint", () -> Identified.of(Checkpoint.class, checkpoint));
        return ResponseEntity.ok().cacheControl(CacheControl.noStore()).body(clips.picture(coach, id, at));
    }

    /** The film, cut to the swing; at most twelve of a student are kept. */
    @PutMapping("/clips/{id}/film")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void putFilm(@AuthenticationPrincipal Account coach, @PathVariable UUID id, @Valid @RequestBody FilmBody film) {
        clips.putFilm(coach, id, film.agreed(), Invalid.in("mp4", () -> Mp4.of(film.mp4())));
    }

    @DeleteMapping("/clips/{id}/film")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void deleteFilm(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        clips.deleteFilm(coach, id);
    }

    @GetMapping(path = "/clips/{id}/film", produces = "video/mp4")
    ResponseEntity<byte[]> film(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        return ResponseEntity.ok().cacheControl(CacheControl.noStore()).body(clips.film(coach, id));
    }

    /** What a student sent, the latest first. */
    @GetMapping("/students/{id}/sent-clips")
    List<SentClip> sent(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        return clips.sent(coach, id);
    }

    /** The coach has looked at what was sent. */
    @PostMapping("/clips/{id}/seen")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void see(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        clips.see(coach, id);
    }

    /** The student's own, the latest first. */
    @GetMapping("/me/clips")
    List<SentClip> own(@AuthenticationPrincipal Account student) {
        return clips.own(student);
    }

    @PostMapping("/me/clips")
    @ResponseStatus(HttpStatus.CREATED)
    List<SentClip> send(@AuthenticationPrincipal Account student, @Valid @RequestBody SentEntry entry) {
        return clips.send(student, entry);
    }

    @PutMapping("/me/clips/{id}/pictures/{checkpoint}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void sendPicture(
            @AuthenticationPrincipal Account student,
            @PathVariable UUID id,
            @PathVariable String checkpoint,
            @Valid @RequestBody Still still) {
        Checkpoint at = Invalid.in("checkpoint", () -> Identified.of(Checkpoint.class, checkpoint));
        clips.sendPicture(student, id, at, Invalid.in("jpeg", () -> Jpeg.of(still.jpeg())));
    }

    @PutMapping("/me/clips/{id}/film")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void sendFilm(@AuthenticationPrincipal Account student, @PathVariable UUID id, @Valid @RequestBody FilmBody film) {
        clips.sendFilm(student, id, film.agreed(), Invalid.in("mp4", () -> Mp4.of(film.mp4())));
    }

    @DeleteMapping("/me/clips/{id}")
    List<SentClip> takeBack(@AuthenticationPrincipal Account student, @PathVariable UUID id) {
        return clips.takeBack(student, id);
    }

    @PutMapping("/students/{id}/pictures-agreed")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void agree(@AuthenticationPrincipal Account coach, @PathVariable UUID id, @Valid @RequestBody Agreement agreement) {
        clips.agree(coach, id, agreement.by());
    }
}
