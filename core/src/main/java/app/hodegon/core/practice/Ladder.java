package app.hodegon.core.practice;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Gate;
import app.hodegon.core.plan.Gates;
import app.hodegon.core.plan.Plan;
import app.hodegon.core.plan.PlanRequest.Worked;
import app.hodegon.core.plan.Student;
import app.hodegon.core.progress.Better;
import app.hodegon.core.progress.Comparison;
import app.hodegon.core.progress.Verdict;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * Where a student stands on each rung of each fault's ladder, found by going through the check sets in the order done. A
 * gate once passed stays passed, but for a step back: then the rung above was too high, the highest passed rung below it
 * is open again, and both are judged by new sets only.
 *
 * @param rungs in the order first checked
 */
public record Ladder(Map<StepId, RungState> rungs) {

    /** One rise in ten may be luck: it only decides whether one more plan is worth it. */
    private static final double RISES = 0.8;

    private static final int ENOUGH_TO_RISE = 4;

    /**
     * One rung.
     *
     * @param all every set done on it
     * @param counting the sets that still count for its gate
     * @param passes the days on which its gate was passed; several where it was opened again
     */
    public record RungState(List<CheckSet> all, List<CheckSet> counting, Standing standing, List<LocalDate> passes) {

        public CheckSet last() {
            return all.get(all.size() - 1);
        }

        /** The good reps of the sets from that day on where their later half is better than the earlier one; else none. */
        public List<Integer> rising(LocalDate from) {
            List<CheckSet> since =
                    all.stream().filter(set -> !set.on().isBefore(from)).toList();
            if (since.size() < ENOUGH_TO_RISE) return List.of();
            int half = since.size() / 2;
            Comparison change = Comparison.ofCounts(
                    count(since.subList(0, half)),
                    count(since.subList(since.size() - half, since.size())),
                    Better.HIGHER,
                    RISES);
            return change.verdict() == Verdict.BETTER
                    ? since.stream().map(CheckSet::good).toList()
                    : List.of();
        }

        private static Comparison.Count count(List<CheckSet> sets) {
            return new Comparison.Count(
                    sets.stream().mapToInt(CheckSet::good).sum(),
                    sets.stream().mapToInt(CheckSet::of).sum());
        }

        /** Sets running, up to the last, that did not have enough good reps for this gate. */
        public int held(Gate gate) {
            return running(counting, set -> !set.isEnoughFor(gate)).size();
        }

        /** All sets running, up to the last, that did not have enough good reps, whatever steps back lie between. */
        List<CheckSet> under(Gate gate) {
            return running(all, set -> !set.isEnoughFor(gate));
        }

        /**
         * The last so many sets, whatever steps back lie between, where only one had enough good reps, which chance alone
         * may bring; none where there are fewer sets.
         */
        List<CheckSet> mostlyUnder(Gate gate, int sets) {
            if (all.size() < sets) return List.of();
            List<CheckSet> last = all.subList(all.size() - sets, all.size());
            long enough = last.stream().filter(set -> set.isEnoughFor(gate)).count();
            return enough <= 1 ? last : List.of();
        }

        /** The sets that count, running, up to the last, that had enough good reps. */
        List<CheckSet> enough(Gate gate) {
            return running(counting, set -> set.isEnoughFor(gate));
        }

        private static List<CheckSet> running(List<CheckSet> sets, Predicate<CheckSet> which) {
            int from = sets.size();
            while (from > 0 && which.test(sets.get(from - 1))) from--;
            return sets.subList(from, sets.size());
        }

        /** Since its gate is open. */
        Worked worked(Gate gate) {
            Map<String, Set<LocalDate>> days = counting.stream()
                    .collect(Collectors.groupingBy(
                            CheckSet::drill, Collectors.mapping(CheckSet::on, Collectors.toSet())));
            Map<String, Integer> counted = new LinkedHashMap<>();
            days.forEach((drill, on) -> counted.put(drill, on.size()));
            return new Worked(counted, !counting.isEmpty() && held(gate) == 0);
        }
    }

    public static Ladder of(List<CheckSet> checks, Gates gates) {
        Map<StepId, RungState> rungs = new LinkedHashMap<>();
        for (CheckSet set : checks) {
            StepId id = new StepId(set.fault(), set.rung());
            RungState before = rungs.getOrDefault(id, new RungState(List.of(), List.of(), Standing.STAY, List.of()));
            List<CheckSet> counting = with(before.counting(), set);
            Standing standing =
                    before.standing() == Standing.PASSED ? Standing.PASSED : Standing.of(gates.of(id), counting);
            boolean passes = standing == Standing.PASSED && before.standing() != Standing.PASSED;
            rungs.put(
                    id,
                    new RungState(
                            with(before.all(), set),
                            counting,
                            standing,
                            passes ? with(before.passes(), set.on()) : before.passes()));
            if (standing == Standing.STEP_BACK) stepBack(id, rungs);
        }
        return new Ladder(rungs);
    }

    private static void stepBack(StepId from, Map<StepId, RungState> rungs) {
        RungState tooHigh = rungs.get(from);
        rungs.put(from, new RungState(tooHigh.all(), List.of(), Standing.STEP_BACK, tooHigh.passes()));
        rungs.entrySet().stream()
                .filter(e -> e.getKey().fault() == from.fault())
                .filter(e -> e.getKey().rung().compareTo(from.rung()) < 0)
                .filter(e -> e.getValue().standing() == Standing.PASSED)
                .max(Comparator.comparing(e -> e.getKey().rung()))
                .ifPresent(below -> below.setValue(new RungState(
                        below.getValue().all(),
                        List.of(),
                        Standing.REOPENED,
                        below.getValue().passes())));
    }

    private static <T> List<T> with(List<T> some, T more) {
        List<T> all = new ArrayList<>(some);
        all.add(more);
        return List.copyOf(all);
    }

    /** What was done on each rung whose gate is open; what lies under a passed one no longer matters. */
    public Map<StepId, Worked> worked(Gates gates) {
        return rungs.entrySet().stream()
                .filter(e -> isOpen(e.getKey(), e.getValue()))
                .collect(Collectors.toMap(Map.Entry::getKey, e -> e.getValue().worked(gates.of(e.getKey()))));
    }

    /** Whether there is a lower rung of the same fault to step back to. */
    public boolean hasBelow(StepId step) {
        return rungs.entrySet().stream()
                .anyMatch(e -> e.getKey().fault() == step.fault()
                        && e.getKey().rung().compareTo(step.rung()) < 0
                        && (e.getValue().standing() == Standing.PASSED
                                || e.getValue().standing() == Standing.REOPENED));
    }

    /**
     * Whether a day asks for work above a gate that a check left open: what the coach locked and the few first balls set
     * aside.
     */
    public boolean isAboveAnOpenGate(Plan.Day day) {
        Set<Fault> worked = EnumSet.noneOf(Fault.class);
        return day.blocks().stream()
                .filter(b -> b.kind() == Plan.Kind.MAIN && worked.add(b.fault()) && !b.locked())
                .anyMatch(b -> lowestOpen(b.fault())
                        .filter(open -> b.rung().compareTo(open) > 0)
                        .isPresent());
    }

    /** Whether this is the lowest rung of its fault that was checked and is not passed. */
    boolean isLowestOpen(StepId step) {
        return lowestOpen(step.fault()).filter(step.rung()::equals).isPresent();
    }

    private Optional<Rung> lowestOpen(Fault fault) {
        return rungs.entrySet().stream()
                .filter(e -> e.getKey().fault() == fault && isOpen(e.getKey(), e.getValue()))
                .map(e -> e.getKey().rung())
                .min(Comparator.naturalOrder());
    }

    /** Whether a rung that was checked is not passed, nor lies under one that is. */
    private boolean isOpen(StepId step, RungState state) {
        return state.standing() != Standing.PASSED
                && rungs.entrySet().stream()
                        .noneMatch(e -> e.getKey().fault() == step.fault()
                                && e.getKey().rung().compareTo(step.rung()) > 0
                                && e.getValue().standing() == Standing.PASSED);
    }

    public Optional<RungState> on(StepId step) {
        return Optional.ofNullable(rungs.get(step));
    }

    /** What the planner should know of: each rung tried, with the drill last used, passed or not. */
    public List<Student.Done> done() {
        return rungs.entrySet().stream()
                .map(e -> new Student.Done(
                        e.getValue().last().drill(),
                        e.getKey().rung(),
                        e.getValue().standing() == Standing.PASSED))
                .toList();
    }
}
