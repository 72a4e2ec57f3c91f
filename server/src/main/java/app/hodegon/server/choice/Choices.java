package app.hodegon.server.choice;

import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.FirstChoices;
import app.hodegon.server.account.Account;
import app.hodegon.server.account.Accounts;
import app.hodegon.server.drill.Drills;
import app.hodegon.server.http.Invalid;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The drills that each coach uses first. */
@Service
public class Choices {

    private final ChoiceRepository choices;
    private final Drills drills;
    private final Accounts accounts;

    Choices(ChoiceRepository choices, Drills drills, Accounts accounts) {
        this.choices = choices;
        this.drills = drills;
        this.accounts = accounts;
    }

    public FirstChoices of(UUID coach) {
        return choices.of(coach);
    }

    /**
     * Puts these drills first on a rung, in this order; none takes the order away.
     *
     * @throws Invalid if one is unknown or is not done there
     */
    @Transactional
    void put(Account coach, StepId step, List<String> order) {
        DrillLibrary library = drills.of(coach.id());
        for (String id : order) {
            if (!library.has(id)) throw new Invalid("drills", "There is no drill \"" + id + "\".");
            Drill drill = library.drill(id);
            if (!FirstChoices.fits(drill, step)) {
                throw new Invalid("drills", drill.name() + " is no drill for this fault on this rung.");
            }
        }
        if (!order.isEmpty()) Invalid.in("drills", () -> new FirstChoices(Map.of(step, order)));
        accounts.lock(coach.id());
        choices.put(coach.id(), step, order);
    }
}
