package app.hodegon.core.practice;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Plan.Kind;
import java.util.List;
import java.util.Objects;

/**
 * What a student did in one block.
 *
 * @param block position of the block in the day's plan, from 0
 * @param marks one character per rep in the order done: {@code +} good, {@code -} not, {@code o} done and not
 *     judged (a box ticked on paper says no more); a scored rep is always judged
 * @param noticed per set what the drill's {@link app.hodegon.core.drill.Notice} asks for, empty where nothing was said
 */
public record BlockResult(
        int block, Fault fault, String drill, Rung rung, Kind kind, String marks, List<String> noticed) {

    /** A block in which nothing was asked to be noticed. */
    public BlockResult(int block, Fault fault, String drill, Rung rung, Kind kind, String marks) {
        this(block, fault, drill, rung, kind, marks, List.of());
    }

    /** More reps than any block plans; a runaway client is refused. */
    public static final int MOST_REPS = 400;

    public BlockResult {
        Objects.requireNonNull(fault);
        Objects.requireNonNull(drill);
        Objects.requireNonNull(rung);
        Objects.requireNonNull(kind);
        noticed = List.copyOf(noticed);
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
