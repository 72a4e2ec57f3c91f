package app.hodegon.server.practice;

import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.practice.DrillRecord;
import app.hodegon.server.account.Account;
import app.hodegon.server.student.Students;
import app.hodegon.server.student.Whose;
import jakarta.validation.constraints.NotNull;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** How a drill has gone for this coach's own students; for the owner, for all of the house. */
@RestController
class DrillRecordController {

    private final PracticeLog practice;
    private final Students students;

    DrillRecordController(PracticeLog practice, Students students) {
        this.students = students;
        this.practice = practice;
    }

    /** @param house whether it tells of all students of the house */
    record DrillRecordView(
            @NotNull boolean house,
            @NotNull int students,
            @NotNull int sessions,
            @NotNull int passed,
            @NotNull double setsToPass,
            @NotNull int stepBacks,
            @NotNull int pains,
            RepsView reps) {}

    /** Reps to a gate: with any drill, and as learnt from these students, with its 95 % interval. */
    record RepsView(
            @NotNull double assumed,
            @NotNull double learnt,
            @NotNull double low,
            @NotNull double high) {}

    /** A drill nobody did has a record of nothing. */
    @GetMapping("/api/drills/{id}/record")
    DrillRecordView record(@AuthenticationPrincipal Account coach, @PathVariable String id) {
        // What a coach made has its name among the own students only.
        Whose whose = DrillLibrary.standard().has(id) ? students.whose(coach) : Whose.of(coach.id());
        DrillRecord record = practice.drillRecord(whose, id);
        return new DrillRecordView(
                whose.house(),
                record.students(),
                record.sessions(),
                record.passed(),
                record.setsToPass(),
                record.stepBacks(),
                record.pains(),
                record.reps()
                        .map(r -> new RepsView(r.assumed(), r.learnt(), r.low(), r.high()))
                        .orElse(null));
    }
}
