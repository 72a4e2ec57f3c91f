package app.hodegon.core.plan;

import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Place;
import app.hodegon.core.learning.GateChance;
import app.hodegon.core.learning.Skill;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Day;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.plan.Plan.Step;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/**
 * How far a typical student of this level comes with these days, worked out without chance: where the student stands
 * is a distribution over the gates passed, and each day moves it, for a student goes on when a gate is passed and stays
 * while it is not, whatever the plan foresaw. Rests on the assumptions of {@link Skill}.
 */
final class ExpectedClimb {

    /** By the number of good reps that ten scored ones must hold. */
    private static final List<GateChance> CHANCES = IntStream.rangeClosed(1, Gate.STANDARD.of())
            .mapToObj(good -> new GateChance(good, Gate.STANDARD.of()))
            .toList();

    private ExpectedClimb() {}

    /**
     * What can be expected of one route.
     *
     * @param gates expected number of gates passed by the end
     * @param fit how well the days suit where the student will be: over the main blocks, the rung's height times the
     *     chance that it is the one to work on that day
     */
    record Expected(double gates, double fit) {}

    /** For each route. */
    static List<Expected> of(List<Day> days, List<Route> routes, Level level, DrillLibrary library) {
        List<Expected> expected = new ArrayList<>();
        for (Route route : routes) expected.add(new Walk(route, level, library).through(days));
        return expected;
    }

    static boolean external(Step step, DrillLibrary library) {
        return library.drill(step.drill()).tellsFromOutside();
    }

    /** One route's way through the days. */
    private static final class Walk {
        private final Route route;
        private final DrillLibrary library;
        private final List<Step> gated;
        private final Skill skill;

        /** Chance that so many gates are passed. */
        private final double[] at;

        /** Chance of standing there with the last check good. */
        private final double[] oneGood;

        private double fit;

        Walk(Route route, Level level, DrillLibrary library) {
            this.route = route;
            this.library = library;
            this.gated =
                    route.steps().stream().filter(s -> s.gate().isPresent()).toList();
            this.skill = Skill.typical(level.repsToLearn());
            route.below().stream()
                    .map(Step::rung)
                    .max(Comparator.naturalOrder())
                    .ifPresent(passed -> skill.know(route.fault(), passed));
            this.at = new double[gated.size() + 1];
            this.oneGood = new double[gated.size() + 1];
            at[0] = 1;
        }

        Expected through(List<Day> days) {
            LocalDate yesterday = null;
            for (Day day : days) {
                if (yesterday != null) {
                    for (long night = ChronoUnit.DAYS.between(yesterday, day.date()); night > 0; night--) skill.sleep();
                }
                yesterday = day.date();
                day(day);
            }
            double gates = 0;
            for (int passed = 1; passed < at.length; passed++) gates += passed * at[passed];
            return new Expected(gates, fit);
        }

        private void day(Day day) {
            int reps = 0;
            boolean check = false;
            Block main = null;
            for (Block block : day.blocks()) {
                if (block.fault() != route.fault()) continue;
                reps += block.reps();
                check |= block.kind() == Kind.CHECK;
                if (block.kind() == Kind.MAIN) main = block;
            }
            if (reps == 0 || gated.isEmpty()) return;
            double[] standing = at.clone();
            for (int passed = 0; passed < standing.length; passed++) {
                if (standing[passed] == 0) continue;
                int worked = workedOn(Math.min(passed, gated.size() - 1), day.place());
                if (worked < 0) continue;
                Step step = gated.get(worked);
                if (main != null && main.rung() == step.rung())
                    fit += standing[passed] * step.rung().ordinal();
                skill.practise(route.fault(), step.rung(), reps * standing[passed], external(step, library));
                if (check && worked == passed) check(passed, standing[passed], step);
            }
        }

        /** The first gate not passed, or the highest below it that needs no ball where there is none; −1 for none. */
        private int workedOn(int passed, Place place) {
            for (int i = passed; i >= 0; i--) {
                if (!gated.get(i).rung().withBall() || place.ballsAllowed()) return i;
            }
            return -1;
        }

        /** Two good checks running pass a gate. */
        private void check(int passed, double standing, Step step) {
            double good = CHANCES.get(step.gate().orElseThrow().good() - 1)
                    .at(skill.chanceOfGood(route.fault(), step.rung()));
            double through = oneGood[passed] * good;
            at[passed] -= through;
            at[passed + 1] += through;
            oneGood[passed] = (standing - oneGood[passed]) * good;
        }
    }
}
