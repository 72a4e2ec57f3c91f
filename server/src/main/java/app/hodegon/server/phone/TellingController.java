package app.hodegon.server.phone;

import app.hodegon.core.practice.RoundPlayed;
import app.hodegon.core.practice.SelfCheck;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.account.Account;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.student.StoredStudent;
import app.hodegon.server.student.Students;
import app.hodegon.server.told.ToldLog;
import app.hodegon.server.zone.Today;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What a student tells beside practice: a round on the course, the load felt in a slow swing. */
@RestController
@RequestMapping("/api/me")
class TellingController {

    private final Students students;
    private final ToldLog told;
    private final Today today;

    TellingController(Students students, ToldLog told, Today today) {
        this.students = students;
        this.told = told;
        this.today = today;
    }

    /**
     * @param edition how often the phone has changed it
     * @param thought before how many of ten shots it came to mind
     * @param held in how many of ten it held
     * @param cost id of the kind of shot that cost most
     */
    record RoundEntry(
            @NotNull LocalDate day,
            @NotNull @Min(0) @Max(1_000_000) Integer edition,
            @NotNull @Min(0) @Max(RoundPlayed.OF) Integer thought,
            @NotNull @Min(0) @Max(RoundPlayed.OF) Integer held,
            @NotNull @Size(max = 12) String cost) {}

    /**
     * Load felt under the trail foot, %.
     *
     * @param edition how often the phone has changed it
     */
    record SelfCheckEntry(
            @NotNull LocalDate day,
            @NotNull @Min(0) @Max(1_000_000) Integer edition,
            @NotNull @Min(0) @Max(100) Integer address,
            @NotNull @Min(0) @Max(100) Integer top,
            @NotNull @Min(0) @Max(100) Integer impact) {}

    @PutMapping("/rounds/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void round(@AuthenticationPrincipal Account account, @PathVariable UUID id, @Valid @RequestBody RoundEntry entry) {
        StoredStudent student = selfOn(account, entry.day);
        told.put(
                student.id(),
                new RoundPlayed(
                        id,
                        entry.day,
                        entry.thought,
                        entry.held,
                        Invalid.in("cost", () -> Identified.of(RoundPlayed.Cost.class, entry.cost))),
                entry.edition);
    }

    @PutMapping("/self-checks/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void selfCheck(
            @AuthenticationPrincipal Account account, @PathVariable UUID id, @Valid @RequestBody SelfCheckEntry entry) {
        StoredStudent student = selfOn(account, entry.day);
        told.put(
                student.id(),
                new SelfCheck(
                        id,
                        entry.day,
                        Map.of(
                                Checkpoint.ADDRESS, entry.address,
                                Checkpoint.TOP, entry.top,
                                Checkpoint.IMPACT, entry.impact)),
                entry.edition);
    }

    private StoredStudent selfOn(Account account, LocalDate day) {
        StoredStudent student = students.self(account);
        Ahead.refuse(day, today.latestOf(student.id()));
        return student;
    }
}
