package app.hodegon.server.student;

import java.util.Optional;
import java.util.UUID;

/**
 * Whose students a figure tells of.
 *
 * @param coach whose they are; empty for all of the house
 */
public record Whose(Optional<UUID> coach) {

    /** All of them. */
    public static final Whose HOUSE = new Whose(Optional.empty());

    public static Whose of(UUID coach) {
        return new Whose(Optional.of(coach));
    }

    public boolean house() {
        return coach.isEmpty();
    }
}
