package app.hodegon.server.choice;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.account.Account;
import app.hodegon.server.http.Invalid;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Comparator;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What a coach uses first, rung by rung. */
@RestController
@RequestMapping("/api/first-choices")
class ChoiceController {

    private final Choices choices;

    ChoiceController(Choices choices) {
        this.choices = choices;
    }

    /** @param drills ids, the first choice first */
    record FirstChoice(
            @NotNull String fault,
            @NotNull String rung,
            @NotNull List<String> drills) {}

    record Order(@NotNull @Size(max = 20) List<@NotNull @Size(max = 60) String> drills) {}

    @GetMapping
    List<FirstChoice> all(@AuthenticationPrincipal Account coach) {
        return choices.of(coach.id()).orders().entrySet().stream()
                .sorted(Comparator.comparing(e -> e.getKey(), BY_STEP))
                .map(e -> new FirstChoice(
                        e.getKey().fault().id(), e.getKey().rung().id(), e.getValue()))
                .toList();
    }

    private static final Comparator<StepId> BY_STEP =
            Comparator.comparing(StepId::fault).thenComparing(StepId::rung);

    @PutMapping("/{fault}/{rung}")
    List<FirstChoice> put(
            @AuthenticationPrincipal Account coach,
            @PathVariable String fault,
            @PathVariable String rung,
            @Valid @RequestBody Order order) {
        StepId step = new StepId(
                Invalid.in("fault", () -> Identified.of(Fault.class, fault)),
                Invalid.in("rung", () -> Identified.of(Rung.class, rung)));
        choices.put(coach, step, order.drills());
        return all(coach);
    }
}
