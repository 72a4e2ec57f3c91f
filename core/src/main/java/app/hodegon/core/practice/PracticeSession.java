package app.hodegon.core.practice;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.swing.Ball;
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
 * @param balls counted without saying in which block
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

    /** A finished one of which nothing is told but what was done. */
    public static PracticeSession of(UUID id, LocalDate day, List<BlockResult> blocks) {
        return new PracticeSession(id, day, blocks, Optional.empty(), Optional.empty(), Tally.EMPTY, "", true);
    }

    public PracticeSession {
        Objects.requireNonNull(id);
        Objects.requireNonNull(day);
        blocks = List.copyOf(blocks);
        if (note.length() > LONGEST_NOTE) {
            throw new IllegalArgumentException("note holds at most " + LONGEST_NOTE + " characters.");
        }
    }

    /** What was done of the day's work: tries stand above it and do not count. */
    public List<BlockResult> work() {
        return blocks.stream().filter(b -> b.kind() != Kind.TRY).toList();
    }

    /** Reps of the day's work. */
    public int reps() {
        return work().stream().mapToInt(BlockResult::reps).sum();
    }

    /** Every ball of the day. */
    public Tally allBalls() {
        return blocks.stream().map(b -> Ball.tally(b.told().balls())).reduce(balls, Tally::plus);
    }

    /**
     * The scored sets of the plan, in the order done. Sets not finished are left out; so are the first ten after a gap,
     * which tell what stayed and pass nothing.
     */
    public List<CheckSet> checks() {
        return blocks.stream()
                .filter(b -> b.kind() == Kind.CHECK && b.aside().isEmpty() && b.reps() >= CheckSet.REPS)
                .map(b ->
                        new CheckSet(day, b.fault(), b.drill(), b.rung(), b.good(), b.reps(), feel(b), b.form(), false))
                .toList();
    }

    /** A movement that was lost on the way and sought on the rung below was lost, whatever is said at the end. */
    private Optional<Feel> feel(BlockResult block) {
        return lost(block.fault()) ? Optional.of(Feel.LOST) : feel;
    }

    /** Whether the movement of this fault was lost on the way. */
    public boolean lost(Fault fault) {
        return blocks.stream().anyMatch(b -> b.fault() == fault && b.aside().equals(Optional.of(Aside.BELOW)));
    }
}
