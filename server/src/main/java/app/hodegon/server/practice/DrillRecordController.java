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
            @NotNull int pains) {}

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
                record.pains());
    }
}
