package app.hodegon.core.plan;

import app.hodegon.core.approach.Choice;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Grade;
import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Equipment;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Dose.Sets;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Day;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.plan.Plan.Kit;
import app.hodegon.core.plan.Plan.Step;
import app.hodegon.core.plan.Plan.Totals;
import app.hodegon.core.plan.Plan.Warning;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * Turns a diagnosis into a climb: a route of drills up the rungs for each focus fault, laid on the days the student has
 * until the next lesson. Deterministic. The first fault leads; the second gets at most a third of the main time until
 * the first has passed {@link Rung#REHEARSE}.
 */
public final class Planner {

    private static final double SECOND_FAULT_SHARE = 1.0 / 3;
    private static final double FLAGGED_JOINT_VOLUME = 0.5;
    private static final int MOST_DRILLS_A_DAY = 3;

    /** Lower end of what a new movement wants over seven to ten days. */
    private static final int NEW_MOVEMENT = 700;

    private final DrillLibrary library;

    public Planner(DrillLibrary library) {
        this.library = library;
    }

    /** The plan; total for any request. An empty or short plan says why in its warnings. */
    public Plan plan(PlanRequest request) {
        return new Draft(request).plan();
    }

    /** One plan in the making. */
    private final class Draft {
        private final PlanRequest request;
        private final Student student;
        private final DrillChoice choice;
        private final List<Climb> climbs = new ArrayList<>();
        private final List<Step> route = new ArrayList<>();
        private final List<Warning> warnings = new ArrayList<>();

        Draft(PlanRequest request) {
            this.request = request;
            this.student = request.student();
            this.choice = new DrillChoice(request, library);
            RouteFinder finder = new RouteFinder(request, library, choice);
            for (PlanRequest.Focus focus : request.focus()) {
                List<Step> steps = finder.route(focus.fault());
                route.addAll(steps);
                climbs.add(new Climb(
                        steps,
                        finder.below(focus.fault()),
                        student.level().daysPerRung(),
                        student.age().volume(),
                        (step, place) -> library.drill(step.drill()).possibleAt(place, step.rung())));
            }
        }

        Plan plan() {
            List<LocalDate> dates = student.week().practiceDays(request.from(), request.nextLesson());
            List<Day> days = new ArrayList<>();
            for (LocalDate date : dates) {
                Day day = day(date, student.week().on(date).orElseThrow(), days.size());
                if (!day.blocks().isEmpty()) days.add(day);
            }
            Totals totals = totals(days);
            warn(dates, days, totals);
            return new Plan(
                    List.copyOf(route),
                    List.copyOf(days),
                    totals,
                    kit(days),
                    choice.leftOut(),
                    Cautions.of(request, days, library),
                    List.copyOf(warnings));
        }

        private Day day(LocalDate date, Week.Slot slot, int dayNumber) {
            int available = slot.minutes() * 60 - Dose.SET_UP_SECONDS;
            Place place = slot.place();
            List<Block> blocks = new ArrayList<>();
            List<Work> works = works(place);
            if (works.isEmpty()) return new Day(date, place, 0, List.of());

            // The shape of a session: refresher, main block or blocks, one check. What does not fit goes in the order
            // refresher, check; the main block stays.
            Work first = works.get(0);
            Optional<Block> refresher = refresher(first, place, works);
            List<Block> checks = checks(works, dayNumber, available);
            int left = available - seconds(refresher.stream().toList()) - seconds(checks);
            if (left < smallestMain(first)) {
                refresher = Optional.empty();
                left = available - seconds(checks);
            }
            if (left < smallestMain(first)) {
                checks = List.of();
                left = available;
            }
            List<Block> mains = mains(works, left);
            if (mains.isEmpty()) return new Day(date, place, 0, List.of());

            refresher.ifPresent(blocks::add);
            blocks.addAll(mains);
            blocks.addAll(checks);
            book(works, mains, checks);
            return new Day(date, place, Dose.SET_UP_SECONDS + seconds(blocks), List.copyOf(blocks));
        }

        /** What each fault works on today, in order of focus. */
        private List<Work> works(Place place) {
            List<Work> works = new ArrayList<>();
            for (Climb climb : climbs) {
                climb.stepAt(place).ifPresent(step -> works.add(new Work(climb, step, library.drill(step.drill()))));
            }
            return works;
        }

        private Optional<Block> refresher(Work first, Place place, List<Work> works) {
            return first.climb()
                    .refresherBelow(first.step(), place)
                    .filter(step -> drills(works, step).size() <= MOST_DRILLS_A_DAY)
                    .map(step -> Dose.refresher(library.drill(step.drill()), step.rung())
                            .block(step, Kind.REFRESH, cue(step)));
        }

        private static Set<String> drills(List<Work> works, Step more) {
            Set<String> drills = new TreeSet<>(Set.of(more.drill()));
            works.forEach(w -> drills.add(w.step().drill()));
            return drills;
        }

        /** One check of ten; for two faults both where there is time for both, else in turns. */
        private List<Block> checks(List<Work> works, int dayNumber, int available) {
            List<Work> gated =
                    works.stream().filter(w -> w.step().gate().isPresent()).toList();
            List<Block> all = gated.stream()
                    .map(w -> Dose.check(w.drill(), w.step().rung()).block(w.step(), Kind.CHECK, cue(w.step())))
                    .toList();
            if (all.size() < 2 || seconds(all) * 2 <= available) return all;
            return List.of(all.get(dayNumber % 3 == 2 ? 1 : 0));
        }

        private int smallestMain(Work work) {
            return Dose.main(work.drill(), work.step().rung(), Integer.MAX_VALUE / 2, 5, true)
                    .seconds();
        }

        private List<Block> mains(List<Work> works, int seconds) {
            List<Block> mains = new ArrayList<>();
            int forSecond = 0;
            if (works.size() == 2) {
                boolean firstIsThrough = climbs.get(0).hasPassed(Rung.REHEARSE);
                forSecond = (int) (seconds * (firstIsThrough ? 0.5 : SECOND_FAULT_SHARE));
            }
            Optional<Block> second = works.size() == 2 ? main(works.get(1), forSecond) : Optional.empty();
            int forFirst = seconds - second.map(Block::seconds).orElse(0);
            Optional<Block> first = main(works.get(0), forFirst);
            if (first.isPresent() && second.isPresent() && !climbs.get(0).hasPassed(Rung.REHEARSE)) {
                // The first block may be capped by its volume: the second keeps to half of it, a third of both.
                int half = first.get().seconds() / 2;
                if (second.get().seconds() > half) second = main(works.get(1), half);
            }
            first.ifPresent(mains::add);
            second.ifPresent(mains::add);
            return mains;
        }

        private Optional<Block> main(Work work, int seconds) {
            Rung rung = work.step().rung();
            double volume = student.age().volume() * jointVolume(work.drill());
            int most = (int) (Dose.mostReps(rung) * volume);
            Sets sets =
                    Dose.main(work.drill(), rung, seconds, most, work.climb().isNew(work.step()));
            return sets.sets() == 0
                    ? Optional.empty()
                    : Optional.of(sets.block(work.step(), Kind.MAIN, cue(work.step())));
        }

        private double jointVolume(Drill drill) {
            return drill.careWith().stream().anyMatch(student.flags()::contains) ? FLAGGED_JOINT_VOLUME : 1;
        }

        private void book(List<Work> works, List<Block> mains, List<Block> checks) {
            for (Work work : works) {
                int reps = mains.stream()
                        .filter(b -> b.fault() == work.step().fault())
                        .mapToInt(Block::reps)
                        .sum();
                boolean checked =
                        checks.stream().anyMatch(b -> b.fault() == work.step().fault());
                if (reps > 0) work.climb().practised(work.step(), reps, checked);
            }
        }

        private String cue(Step step) {
            return student.hand().say(library.drill(step.drill()).texts().cue());
        }

        private Totals totals(List<Day> days) {
            List<Block> blocks = days.stream().flatMap(d -> d.blocks().stream()).toList();
            return new Totals(
                    blocks.stream().mapToInt(Block::reps).sum(),
                    blocks.stream().mapToInt(Block::balls).sum(),
                    days.stream().mapToInt(Day::seconds).sum(),
                    wantedReps());
        }

        /** What the route's rungs want before the next lesson, up to the 700 a new movement takes in ten days. */
        private int wantedReps() {
            if (climbs.get(0).empty()) return 0;
            Fault first = request.focus().get(0).fault();
            int wanted = route.stream()
                    .filter(s -> s.fault() == first)
                    .mapToInt(s -> Dose.wantedReps(s.rung()))
                    .sum();
            return (int)
                    Math.round(Math.min(NEW_MOVEMENT, wanted) * student.age().volume());
        }

        private void warn(List<LocalDate> dates, List<Day> days, Totals totals) {
            for (PlanRequest.Focus focus : request.focus()) {
                if (focus.grade() != Grade.LIKELY && !alreadyOnTheWay(focus.fault())) {
                    warn(
                            "focus-not-likely",
                            focus.fault().label() + " is not graded likely: look again before much practice is spent.");
                }
            }
            for (int i = 0; i < climbs.size(); i++) {
                if (climbs.get(i).empty()) {
                    warn(
                            "no-drill",
                            "No drill for "
                                    + request.focus().get(i).fault().label().toLowerCase()
                                    + " is left under these rules; see what was left out.");
                }
            }
            if (dates.isEmpty()) warn("no-days", "There is no day to practise before the next lesson.");
            if (!dates.isEmpty() && days.isEmpty() && !climbs.get(0).empty()) {
                warn("days-too-short", "No day has the time or the place for even one set.");
            } else if (days.size() < dates.size() && !days.isEmpty()) {
                warn(
                        "days-unused",
                        (dates.size() - days.size())
                                + " of the days have no time or no place for what is due, and stay free.");
            }
            boolean ballPlace = dates.stream()
                    .anyMatch(d -> student.week().on(d).orElseThrow().place().ballsAllowed());
            if (!ballPlace && route.stream().anyMatch(s -> s.rung().withBall())) {
                warn(
                        "no-ball-day",
                        "There is no day at a net, range or course before the next lesson: the plan stays without a"
                                + " ball.");
            }
            if (!days.isEmpty() && totals.reps() < totals.wantedReps()) volumeShort(days, totals);
            refuseTraps();
        }

        /** A fault that fades because its gates were passed is worked to the top, likely or not. */
        private boolean alreadyOnTheWay(Fault fault) {
            return student.doneBefore().stream()
                    .anyMatch(d ->
                            d.passed() && library.drill(d.drill()).effects().containsKey(fault));
        }

        private void volumeShort(List<Day> days, Totals totals) {
            int missing = totals.wantedReps() - totals.reps();
            int working = days.stream()
                    .flatMap(d -> d.blocks().stream())
                    .mapToInt(Block::seconds)
                    .sum();
            double secondsPerRep = (double) working / totals.reps();
            int minutesADay = (int) Math.ceil(missing * secondsPerRep / 60 / days.size());
            warn(
                    "volume-short",
                    "%d of the %d reps a new movement wants fit: %d short. About %d more minutes on each day would close"
                                    .formatted(totals.reps(), totals.wantedReps(), missing, minutesADay)
                            + " it; so would more days, a later lesson, or a lower aim.");
        }

        private void refuseTraps() {
            Fault first = request.focus().get(0).fault();
            if (first == Fault.HANGING_BACK && request.approach().has(Choice.LEAD_BIASED)) {
                warn(
                        "trap",
                        "Starting on the {lead} foot is not used in this plan: it cannot be held there and the fall back"
                                + " grows.");
            }
            if (first == Fault.HANGING_BACK
                    && !request.likely().contains(Fault.EARLY_EXTENSION)
                    && request.approach().has(Choice.ROLL_LOW)) {
                warn(
                        "suggest-release-up",
                        "Letting the {trail} heel come up would get this student off the {trail} foot sooner; it is an"
                                + " answer of your approach.");
            }
        }

        private void warn(String code, String text) {
            warnings.add(new Warning(code, student.hand().say(text)));
        }

        private List<Kit> kit(List<Day> days) {
            Set<Equipment> used = new TreeSet<>();
            days.stream()
                    .flatMap(d -> d.blocks().stream())
                    .forEach(b -> used.addAll(library.drill(b.drill()).kit()));
            return used.stream()
                    .map(e -> new Kit(e, student.has(e), student.has(e) ? Optional.empty() : e.substitute()))
                    .toList();
        }

        private static int seconds(List<Block> blocks) {
            return blocks.stream().mapToInt(Block::seconds).sum();
        }
    }

    private record Work(Climb climb, Step step, Drill drill) {}
}
