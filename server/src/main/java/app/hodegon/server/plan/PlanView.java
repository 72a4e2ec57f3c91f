package app.hodegon.server.plan;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Form;
import app.hodegon.core.drill.HalfStep;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Gate;
import app.hodegon.core.plan.Plan;
import app.hodegon.core.practice.Forecast;
import app.hodegon.core.swing.Identified;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A plan on the wire and in the store.
 *
 * @param expectedGates gates a typical student of this level will have passed by the next lesson; null where nothing is
 *     forecast
 * @param spared joints that a sore lesson or pain reported since spares like a flag; null for none
 */
public record PlanView(
        @NotNull List<StepView> route,
        @NotNull List<DayView> days,
        @NotNull TotalsView totals,
        Double expectedGates,
        @NotNull List<KitView> kit,
        @NotNull List<LeftOutView> leftOut,
        @NotNull List<String> cautions,
        @NotNull List<WarningView> warnings,
        List<String> spared) {

    /**
     * @param gate null where preparing is done or not
     * @param chance of being through by the next lesson, 0 to 1; null without a gate or where none was forecast
     * @param likelyOn the day on which half of such students are through; null where that is not before the next lesson
     */
    public record StepView(
            @NotNull String rung,
            @NotNull String fault,
            @NotNull String drill,
            GateView gate,
            @NotNull String why,
            Double chance,
            LocalDate likelyOn) {

        public StepId id() {
            return new StepId(Identified.of(Fault.class, fault), Identified.of(Rung.class, rung));
        }

        /** The step as the core forecasts it. */
        Plan.Step toStep() {
            return new Plan.Step(
                    id().rung(), id().fault(), drill, Optional.ofNullable(gate).map(GateView::toGate), why);
        }

        StepView with(Forecast.Outlook outlook) {
            return new StepView(
                    rung,
                    fault,
                    drill,
                    gate,
                    why,
                    outlook.chance(),
                    outlook.likelyOn().orElse(null));
        }
    }

    public record GateView(
            @NotNull int good,
            @NotNull int of,
            @NotNull int days,
            @NotNull boolean coachSigns) {

        private Gate toGate() {
            return new Gate(good, of, days, coachSigns);
        }
    }

    public record DayView(
            @NotNull LocalDate date,
            @NotNull String place,
            @NotNull double minutes,
            @NotNull List<BlockView> blocks) {

        /** Of the day's work: nobody owes a try. */
        int reps() {
            return blocks.stream()
                    .filter(BlockView::isWork)
                    .mapToInt(BlockView::reps)
                    .sum();
        }

        /** Whether practice is to be expected on it. */
        public boolean hasWork() {
            return reps() > 0;
        }

        /** The day as the core compares it. */
        Plan.Day toDay() {
            return new Plan.Day(
                    date,
                    Identified.of(Place.class, place),
                    (int) Math.round(minutes * 60),
                    blocks.stream().map(BlockView::toBlock).toList());
        }
    }

    /**
     * @param balls real golf balls among the reps
     * @param condition id of the half-step; null for the plain form
     * @param conditionLabel the half-step in a few words; null for the plain form
     * @param conditionDo what is different under it; null for the plain form
     * @param form what the club meets
     * @param strikes reps on which the club meets something, of whatever form
     * @param speed percent of full speed
     * @param joined a second drill that is done at once with it; null for most
     */
    public record BlockView(
            @NotNull String fault,
            @NotNull String drill,
            @NotNull String rung,
            @NotNull String kind,
            @NotNull int sets,
            @NotNull int repsPerSet,
            @NotNull int restSeconds,
            @NotNull int balls,
            @NotNull double minutes,
            @NotNull String cue,
            @NotNull boolean scored,
            @NotNull int contrast,
            @NotNull boolean locked,
            @NotNull boolean harder,
            String condition,
            String conditionLabel,
            String conditionDo,
            @NotNull String form,
            @NotNull int strikes,
            @NotNull int speed,
            String joined) {

        /** Blocks stored before there were forms had real balls, at the rung's usual speed. */
        public BlockView {
            if (form == null) {
                Rung of = Identified.of(Rung.class, rung);
                form = Form.usual(of).id();
                strikes = balls;
                speed = of.speed();
            }
        }

        /** Whether its swings are spread over a round: the game is the rest between them. */
        boolean ofARound() {
            return Form.COURSE.id().equals(form) && restSeconds == 0;
        }

        boolean isWork() {
            return !kind.equals(Plan.Kind.TRY.id());
        }

        public int reps() {
            return sets * repsPerSet;
        }

        private Plan.Block toBlock() {
            return new Plan.Block(
                    Identified.of(Fault.class, fault),
                    drill,
                    Identified.of(Rung.class, rung),
                    Identified.of(Plan.Kind.class, kind),
                    sets,
                    repsPerSet,
                    restSeconds,
                    strikes,
                    (int) Math.round(minutes * 60),
                    cue,
                    scored,
                    contrast,
                    locked,
                    harder,
                    Optional.ofNullable(condition).map(c -> HalfStep.stored(c, conditionLabel, conditionDo)),
                    Identified.of(Form.class, form),
                    speed,
                    Optional.ofNullable(joined));
        }
    }

    /**
     * What is laid from the first open day on.
     *
     * @param behind what the days before it had; null where none lie behind
     */
    public record TotalsView(
            @NotNull int reps,
            @NotNull int balls,
            @NotNull double minutes,
            @NotNull int wantedReps,
            BehindView behind) {}

    public record BehindView(
            @NotNull int days,
            @NotNull int reps,
            @NotNull int balls,
            @NotNull double minutes) {

        /** Null without such days. */
        private static BehindView of(List<DayView> days) {
            if (days.isEmpty()) return null;
            List<BlockView> work = days.stream()
                    .flatMap(d -> d.blocks().stream())
                    .filter(BlockView::isWork)
                    .toList();
            return new BehindView(
                    days.size(),
                    work.stream().mapToInt(BlockView::reps).sum(),
                    work.stream().mapToInt(BlockView::balls).sum(),
                    days.stream().mapToDouble(DayView::minutes).sum());
        }
    }

    public record KitView(@NotNull String id, @NotNull boolean have, String substitute) {}

    public record LeftOutView(
            @NotNull String drill, @NotNull String reason) {}

    public record WarningView(@NotNull String code, @NotNull String text) {}

    /** Only laid, not forecast. */
    static PlanView of(Plan plan) {
        return of(plan, Map.of(), null, List.of());
    }

    /**
     * @param outlooks per step of the route that has a gate
     * @param behind days of the running plan that stay as they were
     */
    static PlanView of(
            Plan plan, Map<Plan.Step, Forecast.Outlook> outlooks, Double expectedGates, List<DayView> behind) {
        List<DayView> days = Stream.concat(behind.stream(), plan.days().stream().map(PlanView::day))
                .toList();
        return new PlanView(
                plan.route().stream().map(s -> step(s, outlooks.get(s))).toList(),
                days,
                new TotalsView(
                        plan.totals().reps(),
                        plan.totals().balls(),
                        minutes(plan.totals().seconds()),
                        plan.totals().wantedReps(),
                        BehindView.of(behind)),
                expectedGates,
                plan.kit().stream()
                        .map(k -> new KitView(
                                k.item().id(), k.have(), k.substitute().orElse(null)))
                        .toList(),
                plan.leftOut().stream()
                        .map(l -> new LeftOutView(l.drill(), l.reason()))
                        .toList(),
                plan.cautions(),
                plan.warnings().stream()
                        .map(w -> new WarningView(w.code(), w.text()))
                        .toList(),
                null);
    }

    /** The same, saying which joints are spared. */
    PlanView sparing(List<String> joints) {
        return new PlanView(
                route, days, totals, expectedGates, kit, leftOut, cautions, warnings, joints.isEmpty() ? null : joints);
    }

    private static StepView step(Plan.Step step, Forecast.Outlook outlook) {
        StepView view = new StepView(
                step.rung().id(),
                step.fault().id(),
                step.drill(),
                step.gate().map(PlanView::gate).orElse(null),
                step.why(),
                null,
                null);
        return outlook == null ? view : view.with(outlook);
    }

    /** The plan as the core forecasts it: route and days, and nothing of the rest. */
    Plan toPlan() {
        return new Plan(
                route.stream().map(StepView::toStep).toList(),
                days.stream().map(DayView::toDay).toList(),
                new Plan.Totals(0, 0, 0, 0),
                List.of(),
                List.of(),
                List.of(),
                List.of());
    }

    PlanView with(Map<Plan.Step, Forecast.Outlook> outlooks) {
        return new PlanView(
                route.stream()
                        .map(s -> outlooks.containsKey(s.toStep()) ? s.with(outlooks.get(s.toStep())) : s)
                        .toList(),
                days,
                totals,
                expectedGates,
                kit,
                leftOut,
                cautions,
                warnings,
                spared);
    }

    private static GateView gate(Gate gate) {
        return new GateView(gate.good(), gate.of(), gate.days(), gate.coachSigns());
    }

    private static DayView day(Plan.Day day) {
        return new DayView(
                day.date(),
                day.place().id(),
                minutes(day.seconds()),
                day.blocks().stream().map(PlanView::block).toList());
    }

    private static BlockView block(Plan.Block block) {
        return new BlockView(
                block.fault().id(),
                block.drill(),
                block.rung().id(),
                block.kind().id(),
                block.sets(),
                block.repsPerSet(),
                block.restSeconds(),
                block.balls(),
                minutes(block.seconds()),
                block.cue(),
                block.scored(),
                block.contrast(),
                block.locked(),
                block.harder(),
                block.condition().map(HalfStep::id).orElse(null),
                block.condition().map(HalfStep::label).orElse(null),
                block.condition().map(HalfStep::action).orElse(null),
                block.form().id(),
                block.strikes(),
                block.speed(),
                block.joined().orElse(null));
    }

    /** Minutes with one decimal. */
    private static double minutes(int seconds) {
        return Math.round(seconds / 6.0) / 10.0;
    }
}
