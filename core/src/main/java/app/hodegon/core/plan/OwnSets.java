package app.hodegon.core.plan;

import java.util.Optional;

/**
 * How a coach wants the work of a day cut: turns in fives, a hundred a day. What is left out is as usual.
 *
 * @param size reps in a set, {@value SMALLEST} to {@value Dose#LARGEST_SET}; of balls with their rehearsals whole rounds
 * @param repsADay main reps of a healthy adult on a day without a ball, {@value #FEWEST} to {@value #MOST}; age and flagged
 *     joints take their share of it
 */
public record OwnSets(Optional<Integer> size, Optional<Integer> repsADay) {

    public static final OwnSets USUAL = new OwnSets(Optional.empty(), Optional.empty());

    private static final int SMALLEST = 5;
    private static final int FEWEST = 10;
    private static final int MOST = 200;

    /** @throws IllegalArgumentException if a number is out of its range; it says which */
    public OwnSets {
        size.filter(n -> n < SMALLEST || n > Dose.LARGEST_SET).ifPresent(n -> {
            throw new IllegalArgumentException(
                    "A set has %d to %d reps, not %d.".formatted(SMALLEST, Dose.LARGEST_SET, n));
        });
        repsADay.filter(n -> n < FEWEST || n > MOST).ifPresent(n -> {
            throw new IllegalArgumentException("A day has %d to %d main reps, not %d.".formatted(FEWEST, MOST, n));
        });
    }
}
