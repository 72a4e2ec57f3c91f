package app.hodegon.core.practice;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Grade;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Equipment;
import app.hodegon.core.drill.Form;
import app.hodegon.core.drill.HalfStep;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.drill.Shoes;
import app.hodegon.core.plan.AgeBand;
import app.hodegon.core.plan.Edits;
import app.hodegon.core.plan.Level;
import app.hodegon.core.plan.Plan;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Day;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.plan.PlanRequest;
import app.hodegon.core.plan.PlanRequest.Ease;
import app.hodegon.core.plan.Planner;
import app.hodegon.core.plan.Student;
import app.hodegon.core.plan.Week;
import app.hodegon.core.plan.Week.Slot;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Tally;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Pain goes down, never up. */
class EasingTest {

    private static final LocalDate DAY = LocalDate.of(2026, 12, 2);
    private static final LocalDate LESSON = DAY.plusDays(21);
    private static final String HURT = "outer-prop";

    private static PracticeSession hurting(int score) {
        return new PracticeSession(
                new UUID(0, 1),
                DAY,
                List.of(new BlockResult(0, Fault.SWAY, HURT, Rung.FEEL, Kind.MAIN, "ooooo")),
                Optional.empty(),
                Optional.of(new Pain(Joint.BACK, score, HURT)),
                Tally.EMPTY,
                "",
                true);
    }

    private static Optional<Ease> ease(int score, Set<String> stopped, LocalDate from) {
        return Easing.of(List.of(hurting(score)), stopped, Set.of(), from, LESSON);
    }

    @Test
    void aWeekAfterPainIsEasy() {
        assertThat(ease(4, Set.of(), DAY.plusDays(1)))
                .contains(new Ease(Map.of(Fault.SWAY, Rung.FEEL), DAY.plusDays(8)));
        assertThat(ease(4, Set.of(), DAY.plusDays(8))).as("a week is over").isEmpty();
        assertThat(ease(2, Set.of(), DAY.plusDays(1))).as("hardly any").isEmpty();
    }

    @Test
    void whatIsNotLiftedHoldsOn() {
        assertThat(ease(4, Set.of(HURT), DAY.plusDays(12)).orElseThrow().before())
                .isEqualTo(LESSON);
    }

    private static PlanRequest request(Fault fault) {
        return new PlanRequest(
                new Student(
                        Handedness.RIGHT,
                        Level.IMPROVER,
                        AgeBand.ADULT,
                        Set.of(),
                        Set.of(Equipment.values()),
                        new Week(Arrays.stream(DayOfWeek.values())
                                .collect(Collectors.toMap(
                                        Function.identity(),
                                        d -> new Slot(30, d == DayOfWeek.SATURDAY ? Place.RANGE : Place.HOME)))),
                        Shoes.SOFT,
                        List.of()),
                Approach.DEFAULT,
                List.of(new PlanRequest.Focus(fault, Grade.LIKELY)),
                Set.of(),
                DAY.plusDays(1),
                LESSON);
    }

    private static Stream<Block> blocks(Plan plan) {
        return plan.days().stream().flatMap(d -> d.blocks().stream());
    }

    private static Map<LocalDate, Block> mains(Plan plan) {
        return plan.days().stream()
                .collect(Collectors.toMap(
                        Day::date,
                        d -> d.blocks().stream()
                                .filter(b -> b.kind() == Kind.MAIN)
                                .findFirst()
                                .orElseThrow()));
    }

    /** Whatever hurt on whichever rung: nothing above it, no club where there was none, half as much and half as fast. */
    @ParameterizedTest
    @EnumSource(
            value = Fault.class,
            names = {"SWAY", "REVERSE_PIVOT", "LATE_RECENTRE", "HANGING_BACK", "EARLY_EXTENSION", "FROZEN_FEET"})
    void afterPainNothingGoesUp(Fault fault) {
        Planner planner = new Planner(DrillLibrary.standard());
        PlanRequest usual = request(fault);
        Plan before = planner.plan(usual);
        Block hurt = mains(before).get(DAY.plusDays(1));
        LocalDate end = DAY.plusDays(9);
        PlanRequest eased = new PlanRequest(
                        usual.student().sparing(Set.of(Joint.BACK)),
                        usual.approach(),
                        usual.focus(),
                        usual.likely(),
                        usual.from(),
                        usual.nextLesson(),
                        Set.of(hurt.drill()),
                        Edits.NONE)
                .after(new PlanRequest.SoFar(Map.of(), Optional.of(new Ease(Map.of(fault, hurt.rung()), end))));
        Plan after = planner.plan(eased);
        assertThat(after.days()).isNotEmpty();
        assertThat(blocks(after)).noneMatch(b -> b.drill().equals(hurt.drill()));
        assertThat(blocks(after)).allMatch(b -> b.rung().compareTo(hurt.rung()) <= 0);
        assertThat(blocks(after)).allMatch(b -> b.form() == Form.NONE);
        mains(after).forEach((date, main) -> {
            if (!date.isBefore(end)) return;
            assertThat(main.contrast()).isZero();
            assertThat(main.harder()).isFalse();
            assertThat(main.condition().map(HalfStep::isGentle).orElse(true)).isTrue();
            assertThat(main.speed()).isLessThanOrEqualTo(hurt.speed() / 2);
        });
    }

    /** Half is half: pain and the joint it spares do not halve each other's half. */
    @Test
    void afterPainItIsHalfAndNotAQuarter() {
        Planner planner = new Planner(DrillLibrary.standard());
        PlanRequest sound = request(Fault.SWAY);
        Ease ease = new Ease(Map.of(Fault.SWAY, Rung.FEEL), DAY.plusDays(9));
        Plan eased = planner.plan(sound.with(sound.student().sparing(Set.of(Joint.BACK)))
                .after(new PlanRequest.SoFar(Map.of(), Optional.of(ease))));
        LocalDate first = DAY.plusDays(1);
        int usual = mains(planner.plan(sound)).get(first).reps();
        assertThat(mains(eased).get(first).reps()).isBetween(usual / 2 - 5, usual / 2);
        assertThat(eased.cautions()).anyMatch(c -> c.startsWith("It hurt: before "));
    }

    @Test
    void aSoreBackLightensFromTheFirstRungOn() {
        Planner planner = new Planner(DrillLibrary.standard());
        PlanRequest usual = request(Fault.SWAY);
        Plan sound = planner.plan(usual);
        Plan sore = planner.plan(usual.with(usual.student().sparing(Set.of(Joint.BACK))));
        assertThat(sore.totals().wantedReps())
                .isLessThanOrEqualTo(sound.totals().wantedReps() * 2 / 3);
        assertThat(mains(sore).get(DAY.plusDays(1)).reps())
                .isLessThanOrEqualTo(mains(sound).get(DAY.plusDays(1)).reps() / 2);
    }
}
