package app.hodegon.server.gate;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Gate;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.account.Account;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.student.Students;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A student's own gates, set and signed by the coach. */
@RestController
@RequestMapping("/api/students/{studentId}/gates")
class GateController {

    private final StudentGates gates;
    private final Students students;

    GateController(StudentGates gates, Students students) {
        this.gates = gates;
        this.students = students;
    }

    /**
     * @param good of ten scored reps, 6 to 10
     * @param coachSigns whether the coach's word is needed besides
     */
    record GateEntry(@NotNull Integer good, @NotNull Boolean coachSigns) {}

    record SetGateView(
            @NotNull String fault,
            @NotNull String rung,
            @NotNull int good,
            @NotNull boolean coachSigns,
            @NotNull boolean signed) {}

    @GetMapping
    List<SetGateView> ofStudent(@AuthenticationPrincipal Account coach, @PathVariable UUID studentId) {
        students.ofCoach(coach, studentId);
        return gates.stored(studentId).stream()
                .map(g -> new SetGateView(
                        g.step().fault().id(),
                        g.step().rung().id(),
                        g.gate().good(),
                        g.gate().coachSigns(),
                        g.signed()))
                .toList();
    }

    @PutMapping("/{fault}/{rung}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void set(
            @AuthenticationPrincipal Account coach,
            @PathVariable UUID studentId,
            @PathVariable String fault,
            @PathVariable String rung,
            @Valid @RequestBody GateEntry entry) {
        gates.set(
                coach, studentId, step(fault, rung), Invalid.in("good", () -> Gate.set(entry.good, entry.coachSigns)));
    }

    @PostMapping("/{fault}/{rung}/signature")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void sign(
            @AuthenticationPrincipal Account coach,
            @PathVariable UUID studentId,
            @PathVariable String fault,
            @PathVariable String rung) {
        gates.sign(coach, studentId, step(fault, rung));
    }

    private static StepId step(String fault, String rung) {
        StepId step = new StepId(
                Invalid.in("fault", () -> Identified.of(Fault.class, fault)),
                Invalid.in("rung", () -> Identified.of(Rung.class, rung)));
        if (!step.rung().gated()) throw new Invalid("rung", "has no gate.");
        return step;
    }
}
