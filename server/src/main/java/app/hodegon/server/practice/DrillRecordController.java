package app.hodegon.server.practice;

import app.hodegon.core.practice.DrillRecord;
import app.hodegon.server.account.Account;
import jakarta.validation.constraints.NotNull;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** How a drill has gone for this coach's own students. */
@RestController
class DrillRecordController {

    private final PracticeLog practice;

    DrillRecordController(PracticeLog practice) {
        this.practice = practice;
    }

    record DrillRecordView(
            @NotNull int students,
            @NotNull int sessions,
            @NotNull int passed,
            @NotNull double setsToPass,
            @NotNull int stepBacks,
            @NotNull int pains,
            RepsView reps) {}

    /** Reps to a gate: as assumed of anybody, and as learnt from these students, with its 95 % interval. */
    record RepsView(
            @NotNull double assumed,
            @NotNull double learnt,
            @NotNull double low,
            @NotNull double high) {}

    /** A drill nobody did has a record of nothing. */
    @GetMapping("/api/drills/{id}/record")
    DrillRecordView record(@AuthenticationPrincipal Account coach, @PathVariable String id) {
        DrillRecord record = practice.drillRecord(coach.id(), id);
        return new DrillRecordView(
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
