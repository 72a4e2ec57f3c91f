package app.hodegon.core.practice;

import app.hodegon.core.plan.Gate;
import app.hodegon.core.swing.Identified;
import java.util.List;

/** Where a student stands at a gate. */
public enum Standing implements Identified {
    PASSED("passed"),
    /** The reps are there; the coach has not given the word yet. */
    WAITS("waits"),
    STAY("stay"),
    /** Once passed; a step back from the rung above opened it again, and no new set was done yet. */
    REOPENED("reopened"),
    STEP_BACK("step-back");

    /** At or under this many of ten, twice running, the rung is too high. */
    private static final double TOO_FEW = 4;

    private final String id;

    Standing(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }

    /**
     * Passed once the latest sets, on as many different days as the gate asks, each had enough good reps, the last of them
     * with a real ball where the rung has one; a gate once passed stays passed. Step back after two sets running of four or fewer in ten, or felt lost.
     *
     * @param sets all check sets on this rung in the order done
     */
    public static Standing of(Gate gate, List<CheckSet> sets) {
        for (int end = gate.days(); end <= sets.size(); end++) {
            if (passes(gate, sets.subList(end - gate.days(), end))) return gate.coachSigns() ? WAITS : PASSED;
        }
        if (sets.size() < 2) return STAY;
        List<CheckSet> lastTwo = sets.subList(sets.size() - 2, sets.size());
        boolean tooFew = lastTwo.stream().allMatch(s -> s.goodOf(CheckSet.REPS) <= TOO_FEW);
        boolean lost =
                lastTwo.stream().allMatch(s -> s.feel().filter(Feel::lost).isPresent());
        return tooFew || lost ? STEP_BACK : STAY;
    }

    /**
     * What the gate says next, in a sentence for the student.
     *
     * @param below whether there is a lower rung to step back to
     */
    public static String say(Gate gate, CheckSet last, Standing standing, boolean below) {
        String score = last.good() + " of " + last.of() + ". ";
        return score
                + switch (standing) {
                    case PASSED -> "This gate is passed: on to the next rung.";
                    case WAITS -> "The reps are there: your coach looks at it and opens the next rung.";
                    case STEP_BACK ->
                        below
                                ? "This rung is too high for now: go back to the easier one, your coach will see it."
                                : "Too hard as it is: it comes in an easier form now, and your coach will see it.";
                    case REOPENED -> "This rung is open again, for the one above was too high: pass it once more.";
                    case STAY ->
                        last.isEnoughFor(gate)
                                ? "Once more like this on another day" + (last.closesAGate() ? "" : " with a real ball")
                                        + " and the gate is passed."
                                : "Stay on this rung; " + gate.good() + " of " + gate.of() + " on " + gate.days()
                                        + " days running pass it.";
                };
    }

    private static boolean passes(Gate gate, List<CheckSet> latest) {
        return latest.get(latest.size() - 1).closesAGate()
                && latest.stream().allMatch(s -> s.isEnoughFor(gate))
                && latest.stream().map(CheckSet::on).distinct().count() == gate.days();
    }
}
