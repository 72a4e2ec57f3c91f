package app.hodegon.server.practice;

import app.hodegon.core.plan.Gates;
import app.hodegon.core.practice.CheckSet;
import app.hodegon.core.practice.Ladder;
import app.hodegon.core.practice.Standing;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;

/**
 * Where a student stands on one rung.
 *
 * @param says what the gate says next, in a sentence
 */
public record RungStanding(
        @NotNull String fault,
        @NotNull String rung,
        @NotNull String drill,
        @NotNull String standing,
        @NotNull String says,
        @NotNull List<SetView> sets) {

    public record SetView(
            @NotNull LocalDate on,
            @NotNull int good,
            @NotNull int of) {}

    /** One line per rung that was checked, in the order first checked. */
    public static List<RungStanding> of(List<CheckSet> checks, Gates gates) {
        Ladder ladder = Ladder.of(checks, gates);
        return ladder.rungs().entrySet().stream()
                .map(e -> new RungStanding(
                        e.getKey().fault().id(),
                        e.getKey().rung().id(),
                        e.getValue().last().drill(),
                        e.getValue().standing().id(),
                        Standing.say(
                                gates.of(e.getKey()),
                                e.getValue().last(),
                                e.getValue().standing(),
                                ladder.hasBelow(e.getKey())),
                        e.getValue().all().stream()
                                .map(c -> new SetView(c.on(), c.good(), c.of()))
                                .toList()))
                .toList();
    }
}
