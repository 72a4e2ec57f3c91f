package app.hodegon.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.approach.Choice;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Grade;
import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Equipment;
import app.hodegon.core.drill.Form;
import app.hodegon.core.drill.Ground;
import app.hodegon.core.drill.HalfStep;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.drill.Shoes;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Day;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.plan.Plan.LeftOut;
import app.hodegon.core.plan.Plan.Step;
import app.hodegon.core.plan.Week.Slot;
import app.hodegon.core.swing.Handedness;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Plans at which a good coach would shake the head if they were otherwise. */
class PlanJudgementTest {

    private static final DrillLibrary LIBRARY = DrillLibrary.standard();
    private static final Planner PLANNER = new Planner(LIBRARY);
    private static final LocalDate FROM = LocalDate.of(2026, 12, 1);
    private static final Set<Equipment> BALL_ROD_DISC = Set.of(Equipment.BALL, Equipment.ROD, Equipment.DISC);

    private static Week week(Place place, int days, int minutes) {
        Map<DayOfWeek, Slot> slots = new EnumMap<>(DayOfWeek.class);
        List.of(DayOfWeek.MONDAY, DayOfWeek.WEDNESDAY, DayOfWeek.FRIDAY, DayOfWeek.SUNDAY, DayOfWeek.TUESDAY)
                .subList(0, days)
                .forEach(d -> slots.put(d, new Slot(minutes, place)));
        return new Week(slots);
    }

    private static Week withRange(Week week) {
        Map<DayOfWeek, Slot> slots = new EnumMap<>(week.slots());
        slots.put(DayOfWeek.SATURDAY, new Slot(60, Place.RANGE));
        return new Week(slots);
    }

    private static Student student(Week week, Equipment... more) {
        Set<Equipment> kit = new TreeSet<>(BALL_ROD_DISC);
        kit.addAll(List.of(more));
        return new Student(Handedness.RIGHT, Level.IMPROVER, AgeBand.ADULT, Set.of(), kit, week, Shoes.SOFT, List.of());
    }

    private static Plan plan(Student student, int days, Fault... focus) {
        return PLANNER.plan(Requests.of(student, Approach.DEFAULT, days, focus));
    }

    private static List<Block> mains(Plan plan) {
        return plan.days().stream()
                .flatMap(d -> d.blocks().stream())
                .filter(b -> b.kind() == Kind.MAIN)
                .toList();
    }

    private static Block main(Day day) {
        return day.blocks().stream()
                .filter(b -> b.kind() == Kind.MAIN)
                .findFirst()
                .orElseThrow();
    }

    /** Share of the days whose work looks like that of the commonest day. */
    private static double commonest(Plan plan) {
        Map<String, Integer> counts = new HashMap<>();
        for (Day day : plan.days()) {
            Block main = main(day);
            counts.merge(
                    main.drill() + main.rung() + main.form() + main.condition().map(HalfStep::id), 1, Integer::sum);
        }
        return counts.values().stream().mapToInt(Integer::intValue).max().orElse(0)
                / (double) plan.days().size();
    }

    @ParameterizedTest
    @EnumSource(
            value = Fault.class,
            mode = EnumSource.Mode.EXCLUDE,
            names = {"STIFF_TRAIL_ANKLE", "STIFF_TRAIL_HIP"})
    void planThatMovesOnWithHomeDaysOnly(Fault fault) {
        Plan home = plan(student(week(Place.HOME, 4, 20)), 28, fault);
        assertThat(commonest(home)).isLessThan(0.35);
        Plan fortnight = plan(student(withRange(week(Place.HOME, 5, 15))), 14, fault);
        assertThat(commonest(fortnight)).isLessThan(0.45);
    }

    @Test
    void ballRungsHaveLesserFormsByPlaceAndKit() {
        assertThat(student(week(Place.HOME, 4, 20)).form(Place.HOME, Rung.SHORT))
                .contains(Form.BRUSH);
        assertThat(student(week(Place.HOME, 4, 20), Equipment.STRIKE_MAT).form(Place.HOME, Rung.BUILD))
                .contains(Form.CLIP);
        assertThat(student(week(Place.HOME, 4, 20), Equipment.FOAM_BALL).form(Place.HOME, Rung.SHORT))
                .contains(Form.SOFT_BALL);
        assertThat(student(week(Place.HOME, 4, 20), Equipment.FOAM_BALL).form(Place.HOME, Rung.FULL))
                .as("indoors nothing of full length")
                .isEmpty();
        assertThat(student(week(Place.GARDEN, 4, 20)).form(Place.GARDEN, Rung.FULL))
                .contains(Form.CLIP);
        assertThat(student(week(Place.GARDEN, 4, 20), Equipment.NET).form(Place.GARDEN, Rung.FULL))
                .contains(Form.NET);
        Plan soft = plan(student(week(Place.HOME, 4, 20), Equipment.FOAM_BALL), 28, Fault.SWAY);
        assertThat(mains(soft)).anyMatch(b -> b.form() == Form.SOFT_BALL && b.strikes() > 0 && b.balls() == 0);
        assertThat(soft.cautions()).anyMatch(c -> c.contains("Indoors"));
    }

    @Test
    void aPassedRungIsKeptNotRepeated() {
        Student passed =
                student(week(Place.HOME, 4, 30)).after(List.of(new Student.Done("disc-turn", Rung.BUILD, true)));
        Plan plan = plan(passed, 28, Fault.SWAY);
        assertThat(plan.days()).hasSizeLessThan(8);
        assertThat(mains(plan)).allMatch(b -> b.reps() <= 32);
        List<Integer> gaps = new ArrayList<>();
        for (int i = 1; i < plan.days().size(); i++) {
            gaps.add((int) (plan.days().get(i).date().toEpochDay()
                    - plan.days().get(i - 1).date().toEpochDay()));
        }
        assertThat(gaps.get(gaps.size() - 1)).as("further and further apart").isGreaterThan(gaps.get(0));
    }

    @Test
    void aBlockOfOneThingIsChosenOnPurpose() {
        PlanRequest usual = Requests.of(student(week(Place.HOME, 5, 30)), Approach.DEFAULT, 28, Fault.SWAY);
        Plan one = PLANNER.plan(usual.with(PlanRequest.Settings.USUAL.ofOneThing()));
        List<Day> first = one.days().subList(0, 6);
        assertThat(first).allSatisfy(d -> {
            assertThat(main(d).looksLike(main(first.get(0)))).isTrue();
            assertThat(main(d).repsPerSet()).isBetween(10, 15);
        });
        int reps = one.days().stream()
                .map(PlanJudgementTest::main)
                .filter(b -> b.rung() == main(first.get(0)).rung())
                .mapToInt(Block::reps)
                .sum();
        assertThat(reps).isBetween(700, 1000);
        assertThat(one.cautions()).anyMatch(c -> c.contains("one thing"));
        assertThat(PLANNER.plan(usual).cautions()).noneMatch(c -> c.contains("one thing"));
    }

    @Test
    void theCoachsSchoolIsPreferred() {
        for (Drill drill : LIBRARY.all()) {
            for (Choice choice : drill.favour().choices()) {
                assertThat(choice.usual())
                        .as("what stands there until a coach answers prefers nothing")
                        .isFalse();
                assertThat(drill.favour()
                                .of(Approach.of(Map.of(choice.question().id(), choice.id())))
                                .orElse(""))
                        .as(drill.id())
                        .isNotEmpty();
            }
        }
        Approach flatten = Approach.of(Map.of("trail-edge", "let-flatten", "pressure", "ankle-to-ankle"));
        Plan plan = PLANNER.plan(Requests.of(student(week(Place.HOME, 4, 20)), flatten, 21, Fault.NO_LOAD));
        Step feel = plan.route().stream()
                .filter(s -> s.rung() == Rung.FEEL)
                .findFirst()
                .orElseThrow();
        assertThat(feel.drill()).isEqualTo("ankle-load-turn");
        assertThat(feel.why()).startsWith("because you teach");
    }

    /** The reason for a drill is said where it is met first, not on each rung above. */
    @Test
    void aReasonIsSaidOnce() {
        int goesOn = 0;
        for (Fault fault : Fault.values()) {
            List<Step> route = PLANNER.plan(Requests.of(student(week(Place.HOME, 4, 20)), Approach.DEFAULT, 21, fault))
                    .route();
            for (int i = 1; i < route.size(); i++) {
                if (!route.get(i).drill().equals(route.get(i - 1).drill())) continue;
                goesOn++;
                assertThat(route.get(i).why()).startsWith("goes on with the drill already known");
            }
        }
        assertThat(goesOn).isPositive();
    }

    @Test
    void setsOfDrillsAreLaidInTheirOrder() {
        Drill set = LIBRARY.drill("across-in-three");
        assertThat(set.ways().moves()).containsExactly("ankle-load-turn", "drop-across-hip-back", "drop-across-square");
        Approach school =
                Approach.of(Map.of("lead-landing", "ankle", "trail-edge", "let-flatten", "pressure", "ankle-to-ankle"));
        PlanRequest request = Requests.of(student(week(Place.HOME, 5, 20)), school, 21, Fault.EARLY_SPIN);
        Edits edits = new Edits(
                List.of(), Set.of(), Map.of(new Edits.StepId(Fault.EARLY_SPIN, Rung.FEEL), set.id()), Set.of());
        List<String> conditions = PLANNER.plan(request.with(edits)).days().stream()
                .map(PlanJudgementTest::main)
                .filter(b -> b.drill().equals(set.id()) && b.rung() == Rung.FEEL)
                .map(b -> b.condition().map(HalfStep::id).orElse("plain"))
                .toList();
        assertThat(conditions).startsWith("move-1", "move-2", "move-3");
    }

    /** A day with what stands in for a set is none of its days: who comes back goes on with the move that is due. */
    @Test
    void aSetCountsItsOwnDays() {
        Map<DayOfWeek, Slot> slots = new EnumMap<>(DayOfWeek.class);
        List.of(DayOfWeek.TUESDAY, DayOfWeek.WEDNESDAY).forEach(d -> slots.put(d, new Slot(20, Place.NET)));
        List.of(DayOfWeek.THURSDAY, DayOfWeek.FRIDAY, DayOfWeek.SATURDAY, DayOfWeek.SUNDAY)
                .forEach(d -> slots.put(d, new Slot(20, Place.HOME)));
        Edits.StepId feel = new Edits.StepId(Fault.NO_LOAD, Rung.FEEL);
        PlanRequest request = Requests.of(student(new Week(slots)), Approach.DEFAULT, 21, Fault.NO_LOAD)
                .with(new Edits(List.of(), Set.of(), Map.of(feel, "press-in-three"), Set.of()));
        List<Block> onFeel = PLANNER.plan(request).days().stream()
                .map(PlanJudgementTest::main)
                .filter(b -> b.rung() == Rung.FEEL)
                .toList();
        assertThat(onFeel)
                .extracting(Block::drill)
                .as("something stands in at the net first")
                .startsWith("rocking-start");
        assertThat(onFeel.stream()
                        .filter(b -> b.drill().equals("press-in-three"))
                        .map(b -> b.condition().map(HalfStep::id).orElse("plain"))
                        .toList())
                .startsWith("move-1");
    }

    @Test
    void drillsThatGoTogetherAreCombinedInOneBlock() {
        PlanRequest request = Requests.of(student(week(Place.HOME, 5, 20)), Approach.DEFAULT, 28, Fault.SWAY);
        Edits edits = new Edits(
                List.of(),
                Set.of(),
                Map.of(new Edits.StepId(Fault.SWAY, Rung.FEEL), "outer-prop"),
                Set.of(new Edits.StepId(Fault.SWAY, Rung.PREPARE), new Edits.StepId(Fault.SWAY, Rung.REHEARSE)));
        PlanRequest slow = request.with(edits)
                .with(new Student(
                        Handedness.RIGHT,
                        Level.BEGINNER,
                        AgeBand.ADULT,
                        Set.of(),
                        BALL_ROD_DISC,
                        week(Place.HOME, 5, 20),
                        Shoes.SOFT,
                        List.of()));
        Layout layout = new Layout(
                slow,
                LIBRARY,
                new DrillChoice(slow, LIBRARY),
                new RouteFinder(slow, LIBRARY, new DrillChoice(slow, LIBRARY)).routes());
        int steps = new RouteFinder(slow, LIBRARY, new DrillChoice(slow, LIBRARY))
                .routes()
                .get(0)
                .steps()
                .size();
        int[] pace = new int[steps];
        java.util.Arrays.fill(pace, 14);
        assertThat(layout.lay(new int[][] {pace}))
                .extracting(d -> main(d).condition().map(HalfStep::id).orElse("plain"))
                .contains("with-step-away-swing");
    }

    @ParameterizedTest
    @EnumSource(
            value = Fault.class,
            mode = EnumSource.Mode.EXCLUDE,
            names = {"STIFF_TRAIL_ANKLE", "STIFF_TRAIL_HIP"})
    void aBallOnTheFirstDayThatAllowsOne(Fault fault) {
        Student student = student(withRange(week(Place.HOME, 5, 15)));
        Day first = plan(student, 14, fault).days().stream()
                .filter(d -> d.place() == Place.RANGE)
                .findFirst()
                .orElseThrow();
        Block balls =
                first.blocks().stream().filter(b -> b.balls() > 0).findFirst().orElseThrow();
        if (!Dose.isSetUp(fault) && balls.kind() == Kind.MAIN && balls.rung() == Rung.SHORT) {
            assertThat(balls.reps() - balls.balls())
                    .as("three rehearsals to one")
                    .isEqualTo(3 * balls.balls());
        }
        Approach earned = Approach.of(Map.of("first-ball", "earn-the-ball"));
        Plan without = PLANNER.plan(Requests.of(student, earned, 14, fault));
        Day range = without.days().stream()
                .filter(d -> d.place() == Place.RANGE)
                .findFirst()
                .orElseThrow();
        if (!main(range).rung().withBall()) {
            assertThat(range.blocks()).noneMatch(b -> b.balls() > 0);
            assertThat(without.warnings()).anyMatch(w -> w.code().equals("ball-day-without-ball"));
        }
    }

    @ParameterizedTest
    @EnumSource(
            value = Fault.class,
            names = {"OPEN_SETUP", "CLOSED_SETUP"})
    void aSetUpFaultHasItsOwnDoseAndIsPassedInAWeek(Fault fault) {
        Plan plan = plan(student(withRange(week(Place.HOME, 5, 15))), 14, fault);
        assertThat(plan.route()).extracting(Step::rung).containsExactly(Rung.FEEL, Rung.SHORT, Rung.FULL);
        assertThat(plan.totals().wantedReps()).isLessThan(200);
        assertThat(mains(plan)).allMatch(b -> b.reps() <= 36);
        assertThat(mains(plan))
                .filteredOn(b -> b.strikes() > 0)
                .isNotEmpty()
                .allMatch(b -> b.reps() == 6 * b.strikes());
        assertThat(plan.days().stream()
                        .filter(d -> main(d).rung() == Rung.FEEL)
                        .map(Day::date)
                        .reduce((a, b) -> b)
                        .orElseThrow())
                .isBefore(FROM.plusDays(8));
    }

    /** What is said to close the volume is laid and closes it; what would hardly help is laid and hardly does. */
    @Test
    void warningsAreTrue() {
        for (int minutes : List.of(8, 15, 40)) {
            for (int days : List.of(2, 4)) {
                PlanRequest request =
                        Requests.of(student(week(Place.HOME, days, minutes)), Approach.DEFAULT, 21, Fault.SWAY);
                Plan plan = PLANNER.plan(request);
                String said = plan.warnings().stream()
                        .filter(w -> w.code().equals("volume-short"))
                        .map(Plan.Warning::text)
                        .findFirst()
                        .orElse("");
                Matcher more = Pattern.compile("About (\\d+) more minutes").matcher(said);
                int missing = plan.totals().wantedReps() - plan.totals().reps();
                assertThat(said.isEmpty()).isEqualTo(missing <= 0);
                if (more.find()) {
                    Plan longer = PLANNER.plan(
                            request.with(request.student().week().longer(Integer.parseInt(more.group(1)))));
                    assertThat(longer.totals().reps())
                            .isGreaterThanOrEqualTo(longer.totals().wantedReps());
                } else if (said.contains("hardly help")) {
                    Plan longer =
                            PLANNER.plan(request.with(request.student().week().longer(60)));
                    assertThat(longer.totals().reps() - plan.totals().reps()).isLessThan(missing / 2);
                }
            }
        }
    }

    @Test
    void aSoreBackLightensThePlanLikeAFlag() {
        Student sound = student(withRange(week(Place.RANGE, 3, 40)))
                .after(List.of(new Student.Done("disc-turn", Rung.SHORT, true)));
        Student sore = sound.sparing(Set.of(Joint.BACK));
        assertThat(sore.flags()).containsExactly(Joint.BACK);
        Plan light = plan(sore, 14, Fault.SWAY);
        assertThat(mains(light)).noneMatch(b -> b.contrast() > 0 || b.harder());
        int usual = mains(plan(sound, 14, Fault.SWAY)).stream()
                .mapToInt(Block::reps)
                .max()
                .orElse(0);
        assertThat(mains(light))
                .filteredOn(b -> b.rung().compareTo(Rung.BUILD) >= 0)
                .allMatch(b -> b.reps() <= usual / 2 + 1);
        assertThat(light.cautions()).anyMatch(c -> c.contains("flagged joint"));
    }

    @Test
    void shoesAndGroundKeepDrillsOut() {
        Student spikes = new Student(
                Handedness.LEFT,
                Level.CLUB,
                AgeBand.ADULT,
                Set.of(),
                EnumSet.allOf(Equipment.class),
                week(Place.RANGE, 3, 20),
                Shoes.SPIKES,
                List.of());
        Plan soft = plan(spikes, 21, Fault.NO_LOAD);
        assertThat(soft.leftOut()).extracting(LeftOut::drill).contains("arch-press", "press-in-three");
        assertThat(soft.leftOut()).anyMatch(l -> l.reason().startsWith("not in spikes"));
        Approach square = Approach.of(Map.of("trail-foot-set", "square"));
        Plan home = PLANNER.plan(Requests.of(spikes.with(week(Place.HOME, 4, 20)), square, 14, Fault.SWAY));
        assertThat(mains(home)).noneMatch(b -> b.drill().equals("grip-turns"));
        Student mats = new Student(
                Handedness.LEFT,
                Level.CLUB,
                AgeBand.ADULT,
                Set.of(),
                EnumSet.allOf(Equipment.class),
                week(Place.RANGE, 4, 40),
                Shoes.SPIKES,
                List.of(),
                Map.of(Place.RANGE, Ground.MAT));
        assertThat(PLANNER.plan(Requests.of(mats, square, 14, Fault.SWAY)).leftOut())
                .contains(new LeftOut("grip-turns", "the ground is wrong for it where this student practises"));
        Plan grass = PLANNER.plan(Requests.of(mats.with(week(Place.GARDEN, 4, 40)), square, 14, Fault.SWAY));
        assertThat(grass.route()).extracting(Step::drill).contains("grip-turns");
    }

    @Test
    void theReleasedHeelIsNotLostWhenArmsFirstIsTheRoot() {
        Approach release = Approach.of(Map.of("trail-heel", "release-up"));
        PlanRequest root = new PlanRequest(
                student(withRange(week(Place.HOME, 4, 20))),
                release,
                List.of(new PlanRequest.Focus(Fault.ARMS_FIRST, Grade.LIKELY)),
                Set.of(Fault.HANGING_BACK),
                FROM,
                FROM.plusDays(21));
        Step heel = PLANNER.plan(root).route().stream()
                .filter(s -> s.drill().equals("heel-lift-through"))
                .findFirst()
                .orElseThrow();
        assertThat(heel.why()).contains("your answer to what arms start down first brings");
        PlanRequest standing = new PlanRequest(
                root.student(),
                release,
                root.focus(),
                Set.of(Fault.HANGING_BACK, Fault.EARLY_EXTENSION),
                FROM,
                FROM.plusDays(21));
        assertThat(PLANNER.plan(standing).route()).extracting(Step::drill).doesNotContain("heel-lift-through");
    }

    @Test
    void contrastRepsExistBesideBallsWhereTheyAreSafe() {
        Student known =
                student(week(Place.RANGE, 4, 60)).after(List.of(new Student.Done("disc-turn", Rung.REHEARSE, true)));
        assertThat(mains(plan(known, 28, Fault.SWAY)))
                .anyMatch(b -> b.balls() > 0 && b.contrast() > 0 && b.contrast() <= (b.reps() - b.balls()) / 15);
        assertThat(mains(plan(known.sparing(Set.of(Joint.HIP)), 28, Fault.SWAY)))
                .noneMatch(b -> b.contrast() > 0);
    }

    @ParameterizedTest
    @EnumSource(
            value = Fault.class,
            mode = EnumSource.Mode.EXCLUDE,
            names = {"STIFF_TRAIL_ANKLE", "STIFF_TRAIL_HIP"})
    void aLowHandicapDoesNotMeetTheBallLaterThanABeginner(Fault fault) {
        Map<Level, LocalDate> firstBallRung = new EnumMap<>(Level.class);
        for (Level level : List.of(Level.BEGINNER, Level.CLUB, Level.SCRATCH)) {
            Student student = new Student(
                    Handedness.RIGHT,
                    level,
                    AgeBand.ADULT,
                    Set.of(),
                    BALL_ROD_DISC,
                    withRange(week(Place.RANGE, 2, 40)),
                    Shoes.SOFT,
                    List.of());
            firstBallRung.put(
                    level,
                    plan(student, 28, fault).days().stream()
                            .filter(d -> main(d).rung().withBall())
                            .map(Day::date)
                            .findFirst()
                            .orElse(LocalDate.MAX));
        }
        assertThat(firstBallRung.get(Level.CLUB)).isBeforeOrEqualTo(firstBallRung.get(Level.BEGINNER));
        assertThat(firstBallRung.get(Level.SCRATCH)).isBeforeOrEqualTo(firstBallRung.get(Level.BEGINNER));
    }

    @Test
    void everyBlockSaysItsSpeed() {
        List<Block> mains = mains(plan(student(withRange(week(Place.RANGE, 4, 40))), 28, Fault.SWAY));
        Map<Rung, Set<Integer>> speeds = mains.stream()
                .filter(b -> b.condition().isEmpty())
                .collect(Collectors.groupingBy(Block::rung, Collectors.mapping(Block::speed, Collectors.toSet())));
        assertThat(speeds.get(Rung.SHORT)).containsExactly(50);
        assertThat(speeds.getOrDefault(Rung.BUILD, Set.of(70))).containsExactly(70);
        assertThat(mains).allMatch(b -> b.speed() >= 20 && b.speed() <= 100);
    }
}
