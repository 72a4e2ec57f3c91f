package app.hodegon.core.practice;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Form;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Plan.Kind;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * What a student did in one block.
 *
 * @param block position of the block in the day's plan, from 0
 * @param marks one character per rep in the order done: {@code +} good, {@code -} not, {@code o} done and not
 *     judged (a box ticked on paper says no more); a scored rep is always judged
 * @param form what the club met
 * @param condition id of the half-step it was done under; empty for the plain form
 * @param noticed per set what the drill's {@link app.hodegon.core.drill.Notice} asks for, empty where nothing was said
 */
public record BlockResult(
        int block,
        Fault fault,
        String drill,
        Rung rung,
        Kind kind,
        String marks,
        List<String> noticed,
        Form form,
        Optional<String> condition) {

    /** A plain block in which nothing was asked to be noticed, on ball rungs with a range ball. */
    public BlockResult(int block, Fault fault, String drill, Rung rung, Kind kind, String marks) {
        this(block, fault, drill, rung, kind, marks, List.of(), Form.usual(rung), Optional.empty());
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
