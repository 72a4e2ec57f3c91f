package app.hodegon.core.practice;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Plan.Kind;
import java.util.Objects;

/**
 * What a student did in one block.
 *
 * @param block position of the block in the day's plan, from 0
 * @param marks one character per rep in the order done: {@code +} good, {@code -} not, {@code o} done and not
 *     judged (a box ticked on paper says no more); a scored rep is always judged
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
        String allowed = kind == Kind.CHECK ? "+-" : "+-o";
        if (!marks.chars().allMatch(c -> allowed.indexOf(c) >= 0)) {
            throw new IllegalArgumentException(
                    "marks holds only + (good), - (not) and, where no rep is scored, o (done).");
        }
    }

    public int reps() {
        return marks.length();
    }

    public int good() {
        return count('+');
    }

    /** Reps of which it is known whether they were good. */
    public int judged() {
        return reps() - count('o');
    }

    private int count(char mark) {
        return (int) marks.chars().filter(c -> c == mark).count();
    }
}
