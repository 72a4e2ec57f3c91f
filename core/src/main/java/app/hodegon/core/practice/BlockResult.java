package app.hodegon.core.practice;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Form;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Plan.Kind;
import java.util.Objects;
import java.util.Optional;

/**
 * What a student did in one block.
 *
 * @param block position of the block in the day's plan, from 0; a block that it does not have comes after them
 * @param marks one character per rep in the order done: {@code +} good, {@code -} not, {@code o} done and not
 *     judged (a box ticked on paper says no more); a scored rep is always judged
 * @param form what the club met
 * @param condition id of the half-step it was done under; empty for the plain form
 * @param told what the student said of it
 * @param aside why it was done, where the day's plan does not have it
 */
public record BlockResult(
        int block,
        Fault fault,
        String drill,
        Rung rung,
        Kind kind,
        String marks,
        Form form,
        Optional<String> condition,
        Told told,
        Optional<Aside> aside) {

    /** A plain block of which nothing was said, on ball rungs with a range ball. */
    public BlockResult(int block, Fault fault, String drill, Rung rung, Kind kind, String marks) {
        this(block, fault, drill, rung, kind, marks, Form.usual(rung), Optional.empty());
    }

    /** A block of the plan of which nothing was said. */
    public BlockResult(
            int block,
            Fault fault,
            String drill,
            Rung rung,
            Kind kind,
            String marks,
            Form form,
            Optional<String> condition) {
        this(block, fault, drill, rung, kind, marks, form, condition, Told.NOTHING, Optional.empty());
    }

    /** More reps than any block plans; a runaway client is refused. */
    public static final int MOST_REPS = 400;

    public BlockResult {
        Objects.requireNonNull(fault);
        Objects.requireNonNull(drill);
        Objects.requireNonNull(rung);
        Objects.requireNonNull(kind);
        Objects.requireNonNull(told);
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
