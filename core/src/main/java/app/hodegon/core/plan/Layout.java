package app.hodegon.core.plan;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Edits.Locked;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Day;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.plan.Plan.Step;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * Lays routes on the student's days: each day a refresher, a main block per fault and one check, in the minutes there
 * are. What the coach locked stands first; the rest is laid around it.
 */
final class Layout {

    private static final double SECOND_FAULT_SHARE = 1.0 / 3;
    private static final double FLAGGED_JOINT_VOLUME = 0.5;
    static final int MOST_DRILLS_A_DAY = 3;

    /** One deliberately wrong rep in so many. */
    private static final int CONTRAST_EVERY = 15;

    private final PlanRequest request;
    private final Student student;
    private final DrillLibrary library;
    private final List<Route> routes;
    private final Map<String, String> cues = new HashMap<>();

    Layout(PlanRequest request, DrillLibrary library, List<Route> routes) {
        this.request = request;
        this.student = request.student();
        this.library = library;
        this.routes = routes;
    }

    /**
     * The days for this pace; the same pace always gives the same days.
     *
     * @param pace practice days per step, for each route
     */
    List<Day> lay(int[][] pace) {
        List<Climb> climbs = new ArrayList<>();
        for (int i = 0; i < routes.size(); i++) {
            climbs.add(new Climb(
                    routes.get(i), pace[i], (step, place) -> drill(step).possibleAt(place, step.rung())));
        }
        List<Day> days = new ArrayList<>();
        for (LocalDate date : student.week().practiceDays(request.from(), request.nextLesson())) {
            Day day = new DayInTheMaking(date, climbs, days.size()).day();
            if (!day.blocks().isEmpty()) days.add(day);
        }
        return List.copyOf(days);
    }

    /** What share of the usual reps of a day this student does of a drill, for age and flagged joints. */
    static double volume(Student student, Drill drill) {
        boolean flagged = drill.careWith().stream().anyMatch(student.flags()::contains);
        return student.age().volume() * (flagged ? FLAGGED_JOINT_VOLUME : 1);
    }

    private Drill drill(Step step) {
        return library.drill(step.drill());
    }

    /** What one fault works on that day. */
    private record Work(Climb climb, Step step, Drill drill) {
        Fault fault() {
            return step.fault();
        }
    }

    private final class DayInTheMaking {
        private final LocalDate date;
        private final Week.Slot slot;
        private final int dayNumber;
        private final List<Work> works = new ArrayList<>();

        DayInTheMaking(LocalDate date, List<Climb> climbs, int dayNumber) {
            this.date = date;
            this.slot = student.week().on(date).orElseThrow();
            this.dayNumber = dayNumber;
            for (int i = 0; i < climbs.size(); i++) {
                Climb climb = climbs.get(i);
                Fault fault = routes.get(i).fault();
                request.edits()
                        .locked(date, fault, Kind.MAIN)
                        .map(l -> asked(climb, l))
                        .or(() -> climb.stepAt(slot.place()))
                        .filter(step -> !request.edits().dropped(date, fault, Kind.MAIN))
                        .ifPresent(step -> works.add(new Work(climb, step, drill(step))));
            }
        }

        /** The step of a locked block: the route's own, or one with the coach's drill. */
        private Step asked(Climb climb, Locked locked) {
            Optional<Step> own = climb.stepOn(locked.rung());
            if (own.filter(s -> s.drill().equals(locked.drill())).isPresent()) return own.get();
            return new Step(locked.rung(), locked.fault(), locked.drill(), own.flatMap(Step::gate), "your choice");
        }

        Day day() {
            if (works.isEmpty()) return new Day(date, slot.place(), 0, List.of());
            int available = slot.minutes() * 60 - Dose.SET_UP_SECONDS;
            // The shape of a session: refresher, main block or blocks, one check. What does not fit goes in the order
            // refresher, check; the main block stays.
            Optional<Block> refresher = refresher();
            List<Block> checks = checks(available);
            int least = lockedMains().isEmpty() ? smallestMain(works.get(0)) : seconds(lockedMains());
            if (available - seconds(refresher.stream().toList()) - seconds(checks) < least) {
                refresher = Optional.empty();
            }
            if (available - seconds(checks) < least) checks = List.of();
            int left = available - seconds(refresher.stream().toList()) - seconds(checks);
            List<Block> mains = mains(left);
            if (mains.isEmpty()) return new Day(date, slot.place(), 0, List.of());

            List<Block> blocks = new ArrayList<>();
            refresher.ifPresent(blocks::add);
            blocks.addAll(mains);
            blocks.addAll(checks);
            int seconds = Dose.SET_UP_SECONDS + seconds(blocks);
            if (seconds > slot.minutes() * 60) {
                throw new IllegalArgumentException("%s has %d minutes; this would take %d."
                        .formatted(Words.day(date), slot.minutes(), (seconds + 59) / 60));
            }
            book(mains, checks);
            return new Day(date, slot.place(), seconds, List.copyOf(blocks));
        }

        private List<Block> lockedMains() {
            return works.stream().flatMap(w -> lockedMain(w).stream()).toList();
        }

        private Optional<Block> lockedMain(Work work) {
            return request.edits()
                    .locked(date, work.fault(), Kind.MAIN)
                    .map(l -> Dose.asAsked(work.drill(), l.rung(), l.sets(), l.repsPerSet())
                            .block(work.step(), Kind.MAIN, cue(work.step()))
                            .keptByCoach());
        }

        private Optional<Block> refresher() {
            Work first = works.get(0);
            if (request.edits().dropped(date, first.fault(), Kind.REFRESH)) return Optional.empty();
            return first.climb()
                    .refresherBelow(first.step(), slot.place())
                    .filter(step -> drillsWith(step) <= MOST_DRILLS_A_DAY)
                    .map(step -> Dose.refresher(drill(step), step.rung()).block(step, Kind.REFRESH, cue(step)));
        }

        private int drillsWith(Step more) {
            Set<String> drills = new TreeSet<>(Set.of(more.drill()));
            works.forEach(w -> drills.add(w.step().drill()));
            return drills.size();
        }

        /** One check of ten; for two faults both where there is time for both, else in turns. */
        private List<Block> checks(int available) {
            List<Block> all = works.stream()
                    .filter(w -> w.step().gate().isPresent())
                    .filter(w -> !request.edits().dropped(date, w.fault(), Kind.CHECK))
                    .map(w -> Dose.check(w.drill(), w.step().rung()).block(w.step(), Kind.CHECK, cue(w.step())))
                    .toList();
            if (all.size() < 2 || seconds(all) * 2 <= available) return all;
            return List.of(all.get(dayNumber % 3 == 2 ? 1 : 0));
        }

        private int smallestMain(Work work) {
            return Dose.main(work.drill(), work.step().rung(), Integer.MAX_VALUE / 2, 5, true)
                    .seconds();
        }

        private List<Block> mains(int seconds) {
            if (works.size() == 1) return main(works.get(0), seconds).stream().toList();
            Work first = works.get(0);
            Work second = works.get(1);
            boolean firstIsThrough = first.climb().hasPassed(Rung.REHEARSE);
            int forSecond = (int) (seconds * (firstIsThrough ? 0.5 : SECOND_FAULT_SHARE));
            int lockedFirst = lockedMain(first).map(Block::seconds).orElse(0);
            Optional<Block> secondBlock = main(second, Math.min(forSecond, seconds - lockedFirst));
            Optional<Block> firstBlock =
                    main(first, seconds - secondBlock.map(Block::seconds).orElse(0));
            if (firstBlock.isPresent() && secondBlock.filter(b -> !b.locked()).isPresent() && !firstIsThrough) {
                // The first block may be capped by its volume: the second keeps to half of it, a third of both.
                int half = firstBlock.get().seconds() / 2;
                if (secondBlock.get().seconds() > half) secondBlock = main(second, half);
            }
            List<Block> mains = new ArrayList<>();
            firstBlock.ifPresent(mains::add);
            secondBlock.ifPresent(mains::add);
            return mains;
        }

        private Optional<Block> main(Work work, int seconds) {
            Optional<Block> locked = lockedMain(work);
            if (locked.isPresent()) return locked;
            Rung rung = work.step().rung();
            int most = (int) (Dose.mostReps(rung) * volume(student, work.drill()));
            boolean isNew = work.climb().isNew(work.step());
            boolean inFives = isNew || request.edits().shortSets().contains(new Edits.StepId(work.fault(), rung));
            Dose.Sets sets = Dose.main(work.drill(), rung, seconds, most, inFives);
            if (sets.sets() == 0) return Optional.empty();
            Block block = sets.block(work.step(), Kind.MAIN, cue(work.step()));
            if (contrastHelps(work, isNew)) block = block.withContrast(block.reps() / CONTRAST_EVERY);
            // What is known is kept up in its harder form; a flagged joint is left in peace.
            if (work.climb().keepsUp(work.step()) && student.flags().isEmpty()) block = block.madeHarder();
            return Optional.of(block);
        }

        /** A deliberately wrong rep teaches once the movement is known; never where it could hurt. */
        private boolean contrastHelps(Work work, boolean isNew) {
            Rung rung = work.step().rung();
            return !isNew
                    && (rung == Rung.FEEL || rung == Rung.REHEARSE)
                    && work.fault() != Fault.REVERSE_PIVOT
                    && student.flags().isEmpty();
        }

        private void book(List<Block> mains, List<Block> checks) {
            for (Work work : works) {
                boolean worked = mains.stream().anyMatch(b -> b.fault() == work.fault());
                boolean checked = checks.stream().anyMatch(b -> b.fault() == work.fault());
                if (worked) work.climb().practised(work.step(), checked);
            }
        }
    }

    private String cue(Step step) {
        String drill = drill(step).servesEveryFault() ? before(step) : step.drill();
        return cues.computeIfAbsent(
                drill, id -> student.hand().say(library.drill(id).texts().cue()));
    }

    /** The drill whose cue goes along to the game: the last of its own that the route had before this step. */
    private String before(Step step) {
        return routes.stream()
                .filter(r -> r.fault() == step.fault())
                .flatMap(r -> Stream.concat(
                        r.steps().stream().filter(s -> s.rung().compareTo(step.rung()) < 0), r.below().stream()))
                .filter(s -> !drill(s).servesEveryFault())
                .max(Comparator.comparing(Step::rung))
                .map(Step::drill)
                .orElse(step.drill());
    }

    private static int seconds(List<Block> blocks) {
        return blocks.stream().mapToInt(Block::seconds).sum();
    }
}
