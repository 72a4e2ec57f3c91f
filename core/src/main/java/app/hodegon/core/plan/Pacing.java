package app.hodegon.core.plan;

import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.ExpectedClimb.Expected;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Day;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.plan.Plan.Step;
import java.util.Arrays;
import java.util.List;

/**
 * Finds how many days each rung is given. The objective, in this order: gates passed by the next lesson (a gate of the
 * second fault counts half), then days that suit where the student will be, then few different drills, then even days. Coordinate
 * descent from the level's usual pace: for one rung after the other, the best number of days while the others stand.
 * Deterministic; a local optimum, not proven the best.
 */
final class Pacing {

    private static final double SECOND_FAULT = 0.5;

    /** Weight of a day's fit: nobody lingers on what is all but passed, or climbs far ahead of it. */
    private static final double FIT = 0.05;

    /** Small enough never to outweigh a real chance of a gate. */
    private static final double PER_DRILL = 0.004;

    private static final double UNEVEN = 0.002;

    /** Two different days pass a gate: fewer on a rung make no sense. */
    private static final int FEWEST_DAYS = 2;

    private static final int MOST_DAYS = 12;

    /** A set-up is right within a week or something else is wrong. */
    private static final int MOST_SET_UP_DAYS = 3;

    private static final int ROUNDS = 3;

    private final PlanRequest request;
    private final DrillLibrary library;
    private final List<Route> routes;
    private final Layout layout;
    private final ExpectedClimb expected;

    private int[][] pace;
    private List<Day> days;
    private double score;

    Pacing(PlanRequest request, DrillLibrary library, DrillChoice choice, List<Route> routes) {
        this.request = request;
        this.library = library;
        this.routes = routes;
        this.layout = new Layout(request, library, choice, routes);
        this.expected = new ExpectedClimb(request, library, choice, routes);
        int usual = request.student().level().daysPerRung();
        this.pace = routes.stream()
                .map(r -> r.steps().stream()
                        .mapToInt(s -> s.gate().isEmpty() ? 1 : Math.max(moves(s), fewer(s) ? FEWEST_DAYS : usual))
                        .toArray())
                .toArray(int[][]::new);
        this.days = layout.lay(pace);
        this.score = score(days);
    }

    /** Whether its days do not begin from the level's usual pace. */
    private boolean fewer(Step step) {
        return Dose.isSetUp(step.fault())
                || !step.rung().withBall() && request.student().level().compareTo(Level.CLUB) >= 0;
    }

    List<Day> best() {
        boolean better = !days.isEmpty();
        for (int round = 0; better && round < ROUNDS; round++) {
            better = false;
            for (int route = 0; route < pace.length; route++) {
                for (int step = 0; step < pace[route].length; step++) {
                    if (reached(routes.get(route).steps().get(step))) better |= tries(route, step);
                }
            }
        }
        return days;
    }

    /** Whether the days laid so far get to this step: what lies beyond them need not be tried. */
    private boolean reached(Step step) {
        return step.gate().isPresent()
                && days.stream()
                        .flatMap(d -> d.blocks().stream())
                        .anyMatch(b -> b.fault() == step.fault() && b.rung() == step.rung());
    }

    private boolean tries(int route, int step) {
        boolean better = false;
        int before = pace[route][step];
        for (int next = fewestDays(route, step); next <= Math.min(mostDays(route, step), days.size()); next++) {
            if (next == before) continue;
            int[][] other = Arrays.stream(pace).map(int[]::clone).toArray(int[][]::new);
            other[route][step] = next;
            List<Day> laid = layout.lay(other);
            double scored = score(laid);
            if (scored > score + 1e-9) {
                pace = other;
                days = laid;
                score = scored;
                better = true;
            }
            // Where the days run out before the climb goes on, more of them change nothing.
            if (checkedDays(laid, routes.get(route).steps().get(step)) < next) break;
        }
        return better;
    }

    /** A set of drills wants a day for each of its moves; a beginner one more of a movement without a ball. */
    private int fewestDays(int route, int step) {
        Step at = routes.get(route).steps().get(step);
        boolean begins = !at.rung().withBall()
                && !Dose.isSetUp(at.fault())
                && request.student().level() == Level.BEGINNER;
        return Math.max(begins ? FEWEST_DAYS + 1 : FEWEST_DAYS, moves(at));
    }

    private int moves(Step step) {
        return library.drill(step.drill()).ways().moves().size();
    }

    /** A good player does not wait longer for the ball than a beginner does. */
    private int mostDays(int route, int step) {
        Rung rung = routes.get(route).steps().get(step).rung();
        if (!rung.withBall() && request.student().level().compareTo(Level.CLUB) >= 0) {
            return fewestDays(route, step);
        }
        return Dose.isSetUp(routes.get(route).fault()) ? MOST_SET_UP_DAYS : MOST_DAYS;
    }

    private static long checkedDays(List<Day> laid, Step step) {
        long checked = 0;
        for (Day day : laid) {
            for (Block block : day.blocks()) {
                if (block.kind() == Kind.CHECK && block.fault() == step.fault() && block.rung() == step.rung()) {
                    checked++;
                }
            }
        }
        return checked;
    }

    private double score(List<Day> laid) {
        double total = 0;
        double weight = 1;
        for (Expected climb : expected.of(laid)) {
            total += weight * (climb.gates() + FIT * climb.fit());
            weight = SECOND_FAULT;
        }
        long drills = laid.stream()
                .flatMap(d -> d.blocks().stream())
                .map(Block::drill)
                .distinct()
                .count();
        return total - PER_DRILL * drills - UNEVEN * uneven(laid);
    }

    /** Spread of the days' minutes, as a share of their mean. */
    private static double uneven(List<Day> laid) {
        if (laid.isEmpty()) return 0;
        double mean = laid.stream().mapToInt(Day::seconds).average().orElse(0);
        double square = laid.stream()
                .mapToDouble(d -> (d.seconds() - mean) * (d.seconds() - mean))
                .average()
                .orElse(0);
        return Math.sqrt(square) / mean;
    }
}
