package app.hodegon.core.plan;

import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Form;
import app.hodegon.core.drill.HalfStep;
import app.hodegon.core.drill.Place;
import app.hodegon.core.learning.Circumstances;
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
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * How far a typical student of this level comes with some days, worked out without chance: where the student stands is a
 * distribution over the gates passed, and each day moves it, for a student goes on when a gate is passed and stays while
 * it is not, whatever the plan foresaw. Rests on the assumptions of {@link Skill}.
 */
final class ExpectedClimb {

    /** By the number of good reps that ten scored ones must hold. */
    private static final List<GateChance> CHANCES = IntStream.rangeClosed(1, Gate.STANDARD.of())
            .mapToObj(good -> new GateChance(good, Gate.STANDARD.of()))
            .toList();

    private final PlanRequest request;
    private final DrillLibrary library;
    private final List<Ladder> ladders;

    ExpectedClimb(PlanRequest request, DrillLibrary library, DrillChoice choice, List<Route> routes) {
        this.request = request;
        this.library = library;
        this.ladders = routes.stream().map(r -> new Ladder(r, choice)).toList();
    }

    /**
     * What can be expected of one route.
     *
     * @param gates expected number of gates passed by the end
     * @param fit how well the days suit where the student will be: over the main blocks, the rung's height times the
     *     chance that it is the one to work on that day
     * @param through chance of being through each gate, in the route's order
     */
    record Expected(double gates, double fit, List<Double> through) {}

    /** For each route. */
    List<Expected> of(List<Day> days) {
        List<Expected> expected = new ArrayList<>();
        for (Ladder ladder : ladders) expected.add(new Walk(ladder).through(days));
        return expected;
    }

    /** One route's gates, and where each can be worked in which form. */
    private final class Ladder {
        private final Route route;
        private final List<Step> gated;
        private final boolean[] external;
        private final double[] worth;
        private final Map<Place, Form[]> forms = new EnumMap<>(Place.class);

        Ladder(Route route, DrillChoice choice) {
            this.route = route;
            this.gated =
                    route.steps().stream().filter(s -> s.gate().isPresent()).toList();
            this.external = new boolean[gated.size()];
            this.worth = new double[gated.size()];
            for (int i = 0; i < external.length; i++) {
                external[i] = library.drill(gated.get(i).drill()).tellsFromOutside();
                worth[i] = request.student().needs().worth(gated.get(i).drill());
            }
            for (Place place : choice.places()) {
                Form[] there = new Form[gated.size()];
                for (int i = 0; i < there.length; i++) {
                    Step step = gated.get(i);
                    there[i] = route.at(step, place, (s, p) -> choice.possibleAt(library.drill(s.drill()), p, s.rung()))
                            .flatMap(s -> choice.formAt(library.drill(s.drill()), place, s.rung()))
                            .orElse(null);
                }
                forms.put(place, there);
            }
        }

        /** The form of a gate's step there; null where it cannot be worked. */
        Form form(int gate, Place place) {
            Form[] there = forms.get(place);
            return there == null ? null : there[gate];
        }
    }

    /** One route's way through the days. */
    private final class Walk {
        private final Ladder ladder;
        private final List<Step> gated;
        private final Skill skill;

        /** Chance that so many gates are passed. */
        private final double[] at;

        /** Chance of standing there with the last check good. */
        private final double[] oneGood;

        private double fit;
        private Block lastMain;
        private int alike;

        Walk(Ladder ladder) {
            this.ladder = ladder;
            this.gated = ladder.gated;
            this.skill = Skill.typical(request.student().needs());
            ladder.route.below().stream()
                    .map(Step::rung)
                    .max(Comparator.naturalOrder())
                    .ifPresent(passed -> skill.know(ladder.route.fault(), passed));
            this.at = new double[gated.size() + 1];
            this.oneGood = new double[gated.size() + 1];
            at[0] = 1;
            boolean begun = !gated.isEmpty()
                    && request.worked(new Edits.StepId(
                                    ladder.route.fault(), gated.get(0).rung()))
                            .oneGood();
            oneGood[0] = begun ? 1 : 0;
        }

        Expected through(List<Day> days) {
            LocalDate yesterday = null;
            for (Day day : days) {
                if (yesterday != null) sleep(yesterday, day.date());
                yesterday = day.date();
                day(day);
            }
            if (request.settings().lessonCheck() && yesterday != null) {
                sleep(yesterday, request.nextLesson());
                double[] standing = at.clone();
                for (int passed = 0; passed < gated.size(); passed++) check(passed, standing[passed], true);
            }
            double gates = 0;
            List<Double> through = new ArrayList<>();
            for (int passed = 1; passed < at.length; passed++) gates += passed * at[passed];
            double beyond = 1;
            for (int gate = 0; gate < gated.size(); gate++) {
                beyond -= at[gate];
                through.add(Math.max(0, beyond));
            }
            return new Expected(gates, fit, through);
        }

        private void sleep(LocalDate from, LocalDate until) {
            for (long night = ChronoUnit.DAYS.between(from, until); night > 0; night--) skill.sleep();
        }

        private void day(Day day) {
            int reps = 0;
            boolean check = false;
            Block main = null;
            List<Block> aboveIt = new ArrayList<>();
            for (Block block : day.blocks()) {
                if (block.fault() != ladder.route.fault()) continue;
                if (block.kind() == Kind.MAIN && main != null || block.kind() == Kind.TRY) {
                    aboveIt.add(block);
                    continue;
                }
                reps += block.reps();
                check |= block.kind() == Kind.CHECK;
                if (block.kind() == Kind.MAIN) main = block;
            }
            if (reps == 0 || gated.isEmpty()) return;
            if (main != null) {
                alike = lastMain != null && main.looksLike(lastMain) ? alike + 1 : 1;
                lastMain = main;
            }
            boolean mixed =
                    main != null && main.condition().map(HalfStep::kind).equals(Optional.of(HalfStep.Kind.MIXED));
            double[] standing = at.clone();
            for (int passed = 0; passed < standing.length; passed++) {
                if (standing[passed] == 0) continue;
                int worked = workedOn(Math.min(passed, gated.size() - 1), day.place());
                if (worked < 0) continue;
                Step step = gated.get(worked);
                boolean asLaid = main != null && main.rung() == step.rung();
                if (asLaid) fit += standing[passed] * step.rung().ordinal();
                Form form = ladder.form(worked, day.place());
                skill.practise(
                        ladder.route.fault(),
                        step.rung(),
                        reps * standing[passed],
                        new Circumstances(
                                ladder.external[worked],
                                form,
                                asLaid && alike > Circumstances.ALIKE,
                                asLaid && mixed,
                                ladder.worth[worked]));
                if (check && worked == passed) {
                    check(passed, standing[passed], !step.rung().withBall() || form.realBall());
                }
            }
            for (Block tried : aboveIt) {
                skill.practise(
                        ladder.route.fault(),
                        tried.rung(),
                        tried.reps(),
                        Circumstances.plain(false).withStrikes(tried.form()));
            }
        }

        /** The first gate not passed, or the highest below it that can be worked there; −1 for none. */
        private int workedOn(int passed, Place place) {
            for (int i = passed; i >= 0; i--) if (ladder.form(i, place) != null) return i;
            return -1;
        }

        /** Two good checks running pass a gate, the second with a real ball where the rung has one. */
        private void check(int passed, double standing, boolean real) {
            Step step = gated.get(passed);
            double good = CHANCES.get(step.gate().orElseThrow().good() - 1)
                    .at(skill.chanceOfGood(ladder.route.fault(), step.rung()));
            double through = real ? oneGood[passed] * good : 0;
            at[passed] -= through;
            at[passed + 1] += through;
            oneGood[passed] = (standing - (real ? oneGood[passed] : 0)) * good;
        }
    }
}
