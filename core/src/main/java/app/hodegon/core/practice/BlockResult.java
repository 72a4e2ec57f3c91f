package app.hodegon.core.practice;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Plan.Kind;
import java.util.Objects;

/**
 * What a student did in one block.
 *
 * @param block position of the block in the day's plan, from 0
 * @param marks one character per rep in the order done: {@code +} good, {@code -} not
 */
public record BlockResult(int block, Fault fault, String drill, Rung rung, Kind kind, String marks) {

    /** More reps than any block plans; a runaway client is refused. */
    public static final int MOST_REPS = 400;

    public BlockResult {
        Objects.requireNonNull(fault);
        Objects.requireNonNull(drill);
        Objects.requireNonNull(rung);
        Objects.requireNonNull(kind);
        if (block < 0) throw new IllegalArgumentException("block must not be negative.");
        if (marks.length() > MOST_REPS) {
            throw new IllegalArgumentException("marks holds at most " + MOST_REPS + " reps.");
        }
        if (!marks.chars().allMatch(c -> c == '+' || c == '-')) {
            throw new IllegalArgumentException("marks holds only + (good) and - (not).");
        }
    }

    public int reps() {
        return marks.length();
    }

    public int good() {
        return (int) marks.chars().filter(c -> c == '+').count();
    }
}
