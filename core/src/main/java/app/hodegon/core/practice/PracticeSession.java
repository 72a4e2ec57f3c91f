package app.hodegon.core.practice;

import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.swing.Tally;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;

/**
 * One day's practice as the student did it.
 *
 * @param id made by the student's phone, so that sending twice stores once
 * @param day the planned day it belongs to
 */
public record PracticeSession(
        UUID id,
        LocalDate day,
        List<BlockResult> blocks,
        Optional<Feel> feel,
        Optional<Pain> pain,
        Tally balls,
        String note,
        boolean finished) {

    public static final int LONGEST_NOTE = 1000;

    public PracticeSession {
        Objects.requireNonNull(id);
        Objects.requireNonNull(day);
        blocks = List.copyOf(blocks);
        if (note.length() > LONGEST_NOTE) {
            throw new IllegalArgumentException("note holds at most " + LONGEST_NOTE + " characters.");
        }
    }

    public int reps() {
        return blocks.stream().mapToInt(BlockResult::reps).sum();
    }

    /** The scored sets, in the order done. Sets not finished are left out. */
    public List<CheckSet> checks() {
        return blocks.stream()
                .filter(b -> b.kind() == Kind.CHECK && b.reps() >= CheckSet.REPS)
                .map(b -> new CheckSet(day, b.fault(), b.drill(), b.rung(), b.good(), b.reps(), feel, b.form(), false))
                .toList();
    }
}
