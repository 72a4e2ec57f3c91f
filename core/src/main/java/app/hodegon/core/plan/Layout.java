package app.hodegon.core.plan;

import app.hodegon.core.approach.Choice;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Form;
import app.hodegon.core.drill.HalfStep;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Edits.Locked;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Day;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.plan.Plan.Step;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * Lays routes on the student's days: each day a refresher, a main block per fault and one check, in the minutes there
 * are, and a few short balls where the climb has not come to balls yet. What the coach locked stands first; the rest is
 * laid around it. What is passed is only kept up, further and further apart, and no work is the same for more than a few
 * days running.
 */
final class Layout {

    private static final double SECOND_FAULT_SHARE = 1.0 / 3;
    private static final double FLAGGED_JOINT_VOLUME = 0.5;
    static final int MOST_DRILLS_A_DAY = 3;

    /** One deliberately wrong rep in so many. */
    private static final int CONTRAST_EVERY = 15;

    /** Days running on which a fault's work may look the same before it changes; one more is the rule's limit. */
    private static final int MOST_ALIKE = 2;

    /** What is passed gets this share of the reps it had. */
    private static final double KEPT_UP_SHARE = 1.0 / 3;

    /** What a rung gets that has had enough and only waits for its gate. */
    private static final double WAITING_SHARE = 0.5;

    /** Where it hurt. */
    private static final double EASED_SHARE = 0.5;

    /** Short balls before their rung take at most this share of the time. */
    private static final double FIRST_BALLS_SHARE = 0.4;

    /** Of a session's balls so many are the short ones, where the climb has not come to them. */
    private static final double SHORT_SHARE = 0.5;

    private final PlanRequest request;
    private final Student student;
    private final DrillLibrary library;
    private final DrillChoice choice;
    private final List<Route> routes;
    private final Conditions conditions;
    private final CourseRound round;
    private final List<LocalDate> dates;
    private final Map<Step, String> cues = new IdentityHashMap<>();

    Layout(PlanRequest request, DrillLibrary library, DrillChoice choice, List<Route> routes) {
        this.request = request;
        this.student = request.student();
        this.library = library;
        this.choice = choice;
        this.routes = routes;
        this.conditions = new Conditions(request, library, choice);
        this.round = new CourseRound(student, library, choice.places());
        this.dates = student.week().practiceDays(request.from(), request.nextLesson());
    }

    /**
     * The days for this pace; the same pace always gives the same days.
     *
     * @param pace practice days per step, for each route
     */
    List<Day> lay(int[][] pace) {
        List<Climb> climbs = new ArrayList<>();
        boolean oneThing = request.settings().oneThing();
        for (int i = 0; i < routes.size(); i++) {
            climbs.add(new Climb(routes.get(i), pace[i], this::possible, oneThing && i == 0, this::workedBefore));
        }
        List<Day> days = new ArrayList<>();
        int dayNumber = 0;
        for (LocalDate date : dates) {
            Day day = new DayInTheMaking(date, climbs, dayNumber++).day();
            if (!day.blocks().isEmpty()) days.add(day);
        }
        return List.copyOf(days);
    }

    private PlanRequest.Worked workedBefore(Step step) {
        return request.worked(new Edits.StepId(step.fault(), step.rung()));
    }

    private boolean possible(Step step, Place place) {
        return choice.possibleAt(drill(step), place, step.rung());
    }

    private Dose dose(Step step, Place place) {
        Drill drill = drill(step);
        return Dose.of(step, drill, choice.formAt(drill, place, step.rung()).orElseGet(() -> Form.usual(step.rung())));
    }

    /** What share of the usual reps of a day this student does of a drill, for age and flagged joints. */
    static double volume(Student student, Drill drill) {
        return student.age().volume() * share(student, drill);
    }

    /** What of it is left for whoever has a joint that it loads flagged. */
    static double share(Student student, Drill drill) {
        return student.flags().stream().anyMatch(drill::loads) ? FLAGGED_JOINT_VOLUME : 1;
    }

    private Drill drill(Step step) {
        return library.drill(step.drill());
    }

    /** What one fault works on that day. */
    private record Work(Climb climb, Step step, Drill drill, Dose dose) {
        Fault fault() {
            return step.fault();
        }
    }

    private final class DayInTheMaking {
        private final LocalDate date;
        private final Week.Slot slot;
        private final int dayNumber;
        private final boolean eased;
        private final RangeSession session;
        private final Climb leading;
        private final List<Work> works = new ArrayList<>();

        DayInTheMaking(LocalDate date, List<Climb> climbs, int dayNumber) {
            this.date = date;
            this.slot = student.week().on(date).orElseThrow();
            this.dayNumber = dayNumber;
            this.eased = request.soFar()
                    .ease()
                    .filter(e -> date.isBefore(e.before()))
                    .isPresent();
            this.session = new RangeSession(request, library, choice, date);
            this.leading = climbs.get(0);
            for (int i = 0; i < climbs.size(); i++) {
                Climb climb = climbs.get(i);
                Fault fault = routes.get(i).fault();
                Optional<Step> usual = climb.stepAt(slot.place())
                        .filter(step -> !climb.keepsUp(step) || climb.keepUpIsDue(dayNumber))
                        .filter(step -> !request.edits().dropped(date, fault, step.rung(), Kind.MAIN));
                List<Locked> locked = request.edits().locked(date, fault, Kind.MAIN);
                locked.stream()
                        .filter(l -> usual.isEmpty() || !isFirstBalls(climb, l))
                        .findFirst()
                        .map(l -> asked(climb, l))
                        .or(() -> usual)
                        .ifPresent(step -> works.add(new Work(climb, step, drill(step), dose(step, slot.place()))));
            }
        }

        /** Whether this is the day's few balls beside its main block, and not that block. */
        private boolean isFirstBalls(Climb climb, Locked locked) {
            return climb.firstBalls(slot.place())
                    .filter(s -> s.rung() == locked.rung() && s.drill().equals(locked.drill()))
                    .isPresent();
        }

        /** What the coach keeps on this day beside its main blocks. */
        private List<Block> besides() {
            return works.stream()
                    .flatMap(w -> request.edits().locked(date, w.fault(), Kind.MAIN).stream()
                            .filter(l -> l.rung() != w.step().rung())
                            .map(l -> asAsked(asked(w.climb(), l), l)))
                    .toList();
        }

        private Block asAsked(Step step, Locked locked) {
            Dose dose = dose(step, slot.place());
            return dose.block(dose.asAsked(locked.sets(), locked.repsPerSet()), step, Kind.MAIN, cue(step))
                    .keptByCoach();
        }

        /** The step of a locked block: the route's own, or one with the coach's drill. */
        private Step asked(Climb climb, Locked locked) {
            Optional<Step> own = climb.stepOn(locked.rung());
            if (own.filter(s -> s.drill().equals(locked.drill())).isPresent()) return own.get();
            return new Step(locked.rung(), locked.fault(), locked.drill(), own.flatMap(Step::gate), "your choice");
        }

        Day day() {
            if (slot.place() == Place.COURSE) {
                Optional<Day> round = round();
                if (round.isPresent()) return round.get();
            }
            if (works.isEmpty()) return free();
            List<Block> besides = besides();
            int available = slot.minutes() * 60 - Dose.SET_UP_SECONDS - seconds(besides);
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
            Optional<Block> firstBalls = firstBalls(left - least, refresher, besides);
            left -= seconds(firstBalls.stream().toList());
            List<Block> mains = mains(left, refresher.isPresent(), firstBalls.isPresent() || !besides.isEmpty());
            if (mains.isEmpty()) return free();
            // What is not worked on is not checked either.
            checks = checks.stream()
                    .filter(c -> mains.stream().anyMatch(m -> m.fault() == c.fault()))
                    .toList();

            List<Block> blocks = new ArrayList<>();
            refresher.ifPresent(blocks::add);
            blocks.addAll(mains);
            blocks.addAll(besides);
            firstBalls.ifPresent(blocks::add);
            blocks.addAll(checks);
            blocks.addAll(tries(blocks));
            if (eased) blocks.replaceAll(b -> b.locked() ? b : b.eased());
            int seconds = Dose.SET_UP_SECONDS + seconds(blocks);
            if (seconds > slot.minutes() * 60) {
                throw new IllegalArgumentException("%s has %d minutes; this would take %d."
                        .formatted(Words.day(date), slot.minutes(), (seconds + 59) / 60));
            }
            book(mains, checks);
            return new Day(date, slot.place(), seconds, List.copyOf(blocks));
        }

        /** The round of a day on the course; empty where the coach keeps work there, or nothing is swung. */
        private Optional<Day> round() {
            if (works.stream()
                    .anyMatch(w ->
                            !request.edits().locked(date, w.fault(), Kind.MAIN).isEmpty())) {
                return Optional.empty();
            }
            Optional<Work> lead = works.stream()
                    .filter(w -> w.fault() == leading.fault() && round.isWork(w.step(), leading))
                    .findFirst();
            if (lead.isPresent()) return Optional.of(worked(lead.get()));
            if (!ballsBeforeTheirRung() || round.isAllThereIs() && !works.isEmpty()) return Optional.empty();
            return routes.get(0).round().map(step -> {
                boolean dropped = request.edits().dropped(date, step.fault(), step.rung(), Kind.TRY);
                return dropped ? free() : round(swings(step, Kind.TRY), List.of());
            });
        }

        private Day worked(Work work) {
            Block swings = swings(work.step(), Kind.MAIN);
            int left = slot.minutes() * 60 - Dose.SET_UP_SECONDS - swings.seconds();
            List<Block> checks = checks(left).stream()
                    .filter(c -> c.fault() == work.fault() && c.seconds() <= left)
                    .toList();
            Day day = round(swings, checks);
            if (!day.blocks().isEmpty()) book(List.of(swings), checks);
            return day;
        }

        private Block swings(Step step, Kind kind) {
            return round.swings(slot.minutes(), dose(step, slot.place()), step, kind, leading);
        }

        private Day round(Block swings, List<Block> checks) {
            if (swings.sets() == 0) return free();
            List<Block> blocks = Stream.concat(Stream.of(swings), checks.stream())
                    .map(b -> eased ? b.eased() : b)
                    .toList();
            return new Day(date, slot.place(), Dose.SET_UP_SECONDS + seconds(blocks), blocks);
        }

        private Day free() {
            return new Day(date, slot.place(), 0, List.of());
        }

        private List<Block> lockedMains() {
            return works.stream().flatMap(w -> lockedMain(w).stream()).toList();
        }

        private Optional<Block> lockedMain(Work work) {
            return request.edits().locked(date, work.fault(), Kind.MAIN).stream()
                    .filter(l -> l.rung() == work.step().rung())
                    .findFirst()
                    .map(l -> asAsked(work.step(), l));
        }

        private Optional<Block> refresher() {
            Work first = works.get(0);
            return first.climb()
                    .refresherBelow(first.step(), slot.place())
                    .filter(step -> !request.edits().dropped(date, first.fault(), step.rung(), Kind.REFRESH))
                    .filter(step -> drillsWith(List.of(step.drill())) <= MOST_DRILLS_A_DAY)
                    .map(step -> {
                        Dose dose = dose(step, slot.place());
                        return dose.block(dose.refresher(), step, Kind.REFRESH, cue(step));
                    });
        }

        private int drillsWith(List<String> more) {
            Set<String> drills = new TreeSet<>(more);
            works.forEach(w -> drills.add(w.step().drill()));
            return drills.size();
        }

        /** Whether balls may come before their rung this day. */
        private boolean ballsBeforeTheirRung() {
            return !eased
                    && !request.approach().has(Choice.EARN_THE_BALL)
                    && slot.place().ballsAllowed();
        }

        private List<Block> tries(List<Block> laid) {
            if (!ballsBeforeTheirRung()) return List.of();
            int left = slot.minutes() * 60 - Dose.SET_UP_SECONDS - seconds(laid);
            return session.above(laid, leading, left, step -> dose(step, slot.place())).stream()
                    .map(part ->
                            dose(part.step(), slot.place()).block(part.sets(), part.step(), Kind.TRY, cue(part.step())))
                    .toList();
        }

        /** Short balls for the first fault, where balls may be hit and its climb has not come to them. */
        private Optional<Block> firstBalls(int seconds, Optional<Block> refresher, List<Block> besides) {
            Work first = works.get(0);
            if (!ballsBeforeTheirRung() || first.fault() != routes.get(0).fault()) return Optional.empty();
            List<String> refreshed = refresher.map(Block::drill).stream().toList();
            return first.climb()
                    .firstBalls(slot.place())
                    .filter(step -> !request.edits().dropped(date, first.fault(), step.rung(), Kind.MAIN))
                    .filter(step -> besides.stream().noneMatch(b -> b.rung() == step.rung()))
                    .filter(step -> drillsWith(Stream.concat(refreshed.stream(), Stream.of(step.drill()))
                                    .toList())
                            <= MOST_DRILLS_A_DAY)
                    .flatMap(step -> {
                        Dose dose = dose(step, slot.place());
                        int wanted = (int) Math.ceil(Math.max(
                                RangeSession.HANDFUL * volume(drill(step)), SHORT_SHARE * session.balls(drill(step))));
                        int one = dose.strikes(Integer.MAX_VALUE / 2, 1).seconds();
                        Dose.Sets rounds = dose.strikes((int) Math.max(one, seconds * FIRST_BALLS_SHARE), wanted);
                        return rounds.sets() == 0 || rounds.seconds() > seconds
                                ? Optional.empty()
                                : Optional.of(dose.block(rounds, step, Kind.MAIN, cue(step)));
                    });
        }

        /** One check of ten; for two faults both where there is time for both, else in turns. */
        private List<Block> checks(int available) {
            List<Block> all = works.stream()
                    .filter(w -> w.step().gate().isPresent() && !w.climb().keepsUp(w.step()))
                    .filter(w ->
                            !request.edits().dropped(date, w.fault(), w.step().rung(), Kind.CHECK))
                    .map(w -> w.dose().block(w.dose().check(), w.step(), Kind.CHECK, cue(w.step())))
                    .toList();
            if (all.size() < 2 || seconds(all) * 2 <= available) return all;
            return List.of(all.get(dayNumber % 3 == 2 ? 1 : 0));
        }

        private int smallestMain(Work work) {
            return work.dose().main(Integer.MAX_VALUE / 2, 6, true).seconds();
        }

        private List<Block> mains(int seconds, boolean refreshed, boolean withFirstBalls) {
            boolean alone = works.size() == 1 && !withFirstBalls;
            if (works.size() == 1)
                return main(works.get(0), seconds, refreshed, alone).stream().toList();
            Work first = works.get(0);
            Work second = works.get(1);
            boolean firstIsThrough = first.climb().hasPassed(Rung.REHEARSE);
            int forSecond = (int) (seconds * (firstIsThrough ? 0.5 : SECOND_FAULT_SHARE));
            int lockedFirst = lockedMain(first).map(Block::seconds).orElse(0);
            Optional<Block> secondBlock = main(second, Math.min(forSecond, seconds - lockedFirst), false, false);
            Optional<Block> firstBlock =
                    main(first, seconds - secondBlock.map(Block::seconds).orElse(0), refreshed, false);
            if (firstBlock.isPresent() && secondBlock.filter(b -> !b.locked()).isPresent() && !firstIsThrough) {
                // The first block may be capped by its volume: the second keeps to half of it, a third of both.
                int half = firstBlock.get().seconds() / 2;
                if (secondBlock.get().seconds() > half) secondBlock = main(second, half, false, false);
            }
            List<Block> mains = new ArrayList<>();
            firstBlock.ifPresent(mains::add);
            secondBlock.ifPresent(mains::add);
            return mains;
        }

        /**
         * @param refreshed whether the day has the drill of the rung below already
         * @param alone whether the day has no other main block, so that a half-step may bring one more drill
         */
        private Optional<Block> main(Work work, int seconds, boolean refreshed, boolean alone) {
            Optional<Block> locked = lockedMain(work);
            if (locked.isPresent()) return locked;
            Rung rung = work.step().rung();
            double volume = volume(work.drill());
            boolean isNew = work.climb().isNew(work.step());
            boolean keepsUp = work.climb().keepsUp(work.step());
            if (keepsUp) volume *= KEPT_UP_SHARE;
            else if (work.climb().waits(work.step())) volume *= WAITING_SHARE;
            boolean oneThing = work.climb().isOneThing(work.step());
            boolean shortSets = request.edits().shortSets().contains(new Edits.StepId(work.fault(), rung));
            OwnSets own = request.settings().sets();
            Optional<Integer> size = shortSets ? Optional.of(Dose.SMALL_SET) : own.size();
            int usual = oneThing ? Dose.ONE_THING_A_DAY : work.dose().mostReps();
            int most = (int) ((rung.withBall() ? usual : own.repsADay().orElse(usual)) * volume);
            Dose.Sets sets = size.map(n -> work.dose().inSetsOf(n, seconds, most))
                    .filter(s -> s.sets() > 0)
                    .orElseGet(() -> oneThing
                            ? work.dose().oneThing(seconds, most, isNew)
                            : work.dose().main(seconds, most, isNew));
            if (sets.sets() == 0) return Optional.empty();
            Block block = work.dose().block(sets, work.step(), Kind.MAIN, cue(work.step()));
            if (!oneThing) block = changed(block, work, refreshed, alone);
            if (eased) return Optional.of(block);
            if (contrastHelps(work, isNew)) {
                block = block.withContrast((block.reps() - block.strikes()) / CONTRAST_EVERY);
            }
            // What is known is kept up in its harder form; a flagged joint is left in peace.
            if (keepsUp && student.flags().isEmpty()) block = block.madeHarder();
            return Optional.of(block);
        }

        /** Under the half-step whose turn it is, or the next one where that would be one more day alike. */
        private Block changed(Block plain, Work work, boolean refreshed, boolean alone) {
            Edits.StepId id = new Edits.StepId(work.fault(), plain.rung());
            boolean held = request.edits().easier().contains(id) && work.climb().laid(work.step()) == 0;
            if (held) return plain.under(HalfStep.SLOWER.said(student.hand()));
            Block best = plain;
            for (Optional<HalfStep> step : conditions.on(
                    work.fault(),
                    work.drill(),
                    plain.rung(),
                    slot.place(),
                    work.climb().worked(work.step()),
                    request.edits().ahead().contains(id))) {
                if (step.filter(s -> !fits(s, refreshed, alone)).isPresent()) continue;
                best = step.map(plain::under).orElse(plain);
                if (!work.climb().tooAlike(best, MOST_ALIKE)) return best;
            }
            return best;
        }

        /** Pain and a flagged joint ask for half together, not each for half of the other's. */
        private double volume(Drill drill) {
            double usual = Layout.volume(student, drill);
            return eased ? Math.min(usual, student.age().volume() * EASED_SHARE) : usual;
        }

        private boolean fits(HalfStep step, boolean refreshed, boolean alone) {
            if (eased && !step.isGentle()) return false;
            return switch (step.kind()) {
                case MIXED -> refreshed;
                case COMBINED -> alone && !refreshed;
                default -> true;
            };
        }

        /** A deliberately wrong rep teaches once the movement is known; never where it could hurt. */
        private boolean contrastHelps(Work work, boolean isNew) {
            Rung rung = work.step().rung();
            return !isNew
                    && work.drill().texts().onPurpose().isPresent()
                    && !Dose.isSetUp(work.fault())
                    && rung.compareTo(Rung.FEEL) >= 0
                    && rung.compareTo(Rung.BUILD) <= 0
                    && work.fault() != Fault.REVERSE_PIVOT
                    && student.flags().isEmpty();
        }

        private void book(List<Block> mains, List<Block> checks) {
            for (Work work : works) {
                Optional<Block> main =
                        mains.stream().filter(b -> b.fault() == work.fault()).findFirst();
                boolean checked = checks.stream().anyMatch(b -> b.fault() == work.fault());
                main.ifPresent(b -> work.climb().practised(work.step(), b, checked, dayNumber));
            }
        }
    }

    private String cue(Step step) {
        return cues.computeIfAbsent(step, s -> {
            String drill = drill(s).servesEveryFault() ? before(s) : s.drill();
            return student.hand().say(library.drill(drill).texts().cue());
        });
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
