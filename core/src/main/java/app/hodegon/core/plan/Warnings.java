package app.hodegon.core.plan;

import app.hodegon.core.approach.Choice;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Grade;
import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Day;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.plan.Plan.Totals;
import app.hodegon.core.plan.Plan.Warning;
import app.hodegon.core.plan.Planner.Laid;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/** What a coach should know about a plan before handing it over. */
final class Warnings {

    /** More minutes are offered in steps of so many, and never more than an hour. */
    private static final int MINUTE_STEP = 5;

    private static final int MOST_MORE_MINUTES = 60;
    private static final int MOST_WEEKS_LATER = 3;

    /** Below this share of what is missing, more minutes hardly help. */
    private static final double LITTLE = 0.1;

    /** Of the reps wanted so many are enough: a few short are no matter. */
    private static final double NEARLY_ALL = 0.97;

    /** Time left is worth a word from so many seconds and this share of the day's on. */
    private static final int MUCH_FREE_SECONDS = 480;

    private static final double MUCH_FREE = 0.3;

    private final PlanRequest request;
    private final Student student;
    private final DrillLibrary library;
    private final DrillChoice choice;
    private final List<Route> routes;
    private final List<Day> days;
    private final Totals totals;
    private final Function<PlanRequest, Laid> lay;
    private final List<Warning> warnings = new ArrayList<>();

    /**
     * @param lay lays another request, to find out what would help
     */
    Warnings(
            PlanRequest request, DrillLibrary library, DrillChoice choice, Laid laid, Function<PlanRequest, Laid> lay) {
        this.request = request;
        this.student = request.student();
        this.library = library;
        this.choice = choice;
        this.routes = laid.routes();
        this.days = laid.days();
        this.totals = laid.totals();
        this.lay = lay;
    }

    List<Warning> list() {
        focusNotLikely();
        noDrill();
        daysWithoutUse();
        ballsNowhere();
        if (!days.isEmpty() && totals.reps() < NEARLY_ALL * totals.wantedReps()) volumeShort();
        minutesUnused();
        ownRepsEased();
        refuseTraps();
        edited();
        return List.copyOf(warnings);
    }

    private void focusNotLikely() {
        for (PlanRequest.Focus focus : request.focus()) {
            if (focus.grade() != Grade.LIKELY && !alreadyOnTheWay(focus.fault())) {
                warn(
                        "focus-not-likely",
                        focus.fault().label() + " is not graded likely: look again before much practice is spent.");
            }
        }
    }

    /** A fault that fades because its gates were passed is worked to the top, likely or not. */
    private boolean alreadyOnTheWay(Fault fault) {
        return student.doneBefore().stream()
                .anyMatch(d -> d.passed() && library.drill(d.drill()).effects().containsKey(fault));
    }

    private void noDrill() {
        for (Route route : routes) {
            Optional<Rung> open = request.lowestOpen(route.fault())
                    .filter(rung ->
                            route.steps().stream().noneMatch(s -> s.rung().compareTo(rung) >= 0));
            if (open.isPresent()) {
                warn(
                        "no-drill",
                        "The gate on “%s” is open for %s and no drill for it is left under these rules: nothing is laid above it; see what was left out."
                                .formatted(
                                        open.get().label().toLowerCase(),
                                        route.fault().label().toLowerCase()));
            } else if (route.steps().isEmpty()) {
                warn(
                        "no-drill",
                        "No drill for " + route.fault().label().toLowerCase()
                                + " is left under these rules; see what was left out.");
            }
        }
    }

    private void daysWithoutUse() {
        List<LocalDate> dates = student.week().practiceDays(request.from(), request.nextLesson());
        if (dates.isEmpty()) {
            warn("no-days", "There is no day to practise before the next lesson.");
        } else if (days.isEmpty() && !routes.get(0).steps().isEmpty()) {
            warn("days-too-short", "No day has the time or the place for even one set.");
        } else if (days.size() < dates.size() && !days.isEmpty()) {
            Set<LocalDate> laid = days.stream().map(Day::date).collect(Collectors.toSet());
            // What the coach took out needs no explanation.
            long free = dates.stream()
                    .filter(d -> !laid.contains(d) && !request.edits().thinned(d))
                    .count();
            if (free == 0) return;
            warn(
                    "days-unused",
                    (free == 1 ? "One of the days stays" : free + " of the days stay")
                            + " free: there is no time or no place for what is due, and what is passed is"
                            + " kept up often enough.");
        }
    }

    private void ballsNowhere() {
        boolean rounds = choice.places().contains(Place.COURSE);
        boolean ballPlace = student.meetsARealBall(request.from(), request.nextLesson())
                || rounds && days.stream().anyMatch(Warnings::ballsAsWork);
        boolean wanted = routes.stream()
                .flatMap(r -> r.steps().stream())
                .anyMatch(s -> s.rung().withBall());
        if (!ballPlace && wanted) {
            warn(
                    "no-ball-day",
                    "From %s to the next lesson there is no day at a net or range: %s until then. What is struck in its place counts as the first of a gate's two checks."
                            .formatted(
                                    Words.day(request.from()),
                                    rounds
                                            ? "no real ball but a few in a round, which do not count,"
                                            : "no real ball"));
            return;
        }
        days.stream()
                .filter(d -> d.place().ballsAllowed())
                .filter(d -> d.blocks().stream().allMatch(b -> b.balls() == 0))
                .filter(d -> wanted)
                .findFirst()
                .ifPresent(d -> warn(
                        "ball-day-without-ball",
                        Words.day(d.date())
                                + (request.approach().has(Choice.EARN_THE_BALL)
                                        ? " is spent without a ball: none comes before its rung."
                                        : " is spent without a ball: there is no time, or no drill, for one.")));
    }

    private static boolean ballsAsWork(Day day) {
        return day.blocks().stream().anyMatch(b -> b.kind() != Kind.TRY && b.balls() > 0);
    }

    private void volumeShort() {
        warn(
                "volume-short",
                "From %s on, %d of the %d reps these rungs want fit: %d short. %s"
                        .formatted(
                                Words.day(request.from()),
                                totals.reps(),
                                totals.wantedReps(),
                                totals.wantedReps() - totals.reps(),
                                whatWouldCloseIt()));
    }

    /** Only what was laid and found to help. */
    private String whatWouldCloseIt() {
        int more = minutesThatSeemMissing();
        int withMore =
                lay.apply(request.with(student.week().longer(more))).totals().reps();
        if (withMore >= totals.wantedReps()) return "About %d more minutes on each day would close it.".formatted(more);
        String minutes = withMore - totals.reps() < LITTLE * (totals.wantedReps() - totals.reps())
                ? "More minutes a day would hardly help: a day takes only so many reps of a rung."
                : "%d more minutes on each day would bring %d of them.".formatted(more, withMore - totals.reps());
        return minutes + laterLesson();
    }

    private int minutesThatSeemMissing() {
        int working = days.stream()
                .flatMap(d -> d.blocks().stream())
                .mapToInt(Block::seconds)
                .sum();
        double seconds = (totals.wantedReps() - totals.reps()) * (double) working / totals.reps();
        int minutes = (int) Math.ceil(seconds / 60 / days.size() / MINUTE_STEP) * MINUTE_STEP;
        return Math.min(minutes, MOST_MORE_MINUTES);
    }

    private int weeksThatSeemMissing() {
        double weeks = ChronoUnit.DAYS.between(request.from(), request.nextLesson()) / 7.0;
        double missing = totals.wantedReps() - totals.reps();
        return Math.max(1, (int) Math.ceil(missing * weeks / totals.reps() - 0.5));
    }

    private String laterLesson() {
        int seem = weeksThatSeemMissing();
        for (int weeks = seem; weeks <= Math.min(seem + 1, MOST_WEEKS_LATER); weeks++) {
            LocalDate later = request.nextLesson().plusWeeks(weeks);
            if (later.isAfter(request.from().plusDays(PlanRequest.LONGEST))) break;
            Totals then = lay.apply(request.until(later)).totals();
            if (then.reps() >= then.wantedReps()) {
                return " A lesson %s later would close it.".formatted(weeks == 1 ? "a week" : weeks + " weeks");
            }
        }
        return " Aim lower, or give it more than one plan.";
    }

    /** Where a day leaves much of its time free, why, and what it could hold; nothing where it could hold nothing useful. */
    private void minutesUnused() {
        List<Day> slack = days.stream().filter(this::hasItsFill).toList();
        if (slack.isEmpty()) return;
        Day first = slack.get(0);
        Block main = mains(first).get(0);
        Optional<String> more = whatTheTimeCouldHold(first, main);
        if (more.isEmpty()) return;
        warn(
                "minutes-unused",
                "%s %d of the %d minutes are used: %d reps of %s are %s. %s"
                        .formatted(
                                slack.size() == 1
                                        ? "On " + Words.day(first.date()) + ","
                                        : "On %d days, first on %s,".formatted(slack.size(), Words.day(first.date())),
                                Math.round(first.seconds() / 60f),
                                student.week().on(first.date()).orElseThrow().minutes(),
                                main.reps(),
                                main.rung().label().toLowerCase(),
                                ownFill(main)
                                        ? "the fill that you set for a day"
                                        : "a day's fill, so that the last are as good as the first",
                                more.get()));
    }

    /** Whether the coach asks for less in a day than it would take. */
    private boolean ownFill(Block main) {
        return !main.rung().withBall()
                && request.settings()
                        .sets()
                        .repsADay()
                        .filter(reps -> reps < usualMost(main))
                        .isPresent();
    }

    private Optional<String> whatTheTimeCouldHold(Day day, Block main) {
        if (ownFill(main)) return Optional.of("More reps a day would use the rest.");
        if (request.focus().size() > 1 || request.settings().oneThing()) return Optional.empty();
        return request.likely().stream()
                .sorted()
                .filter(f -> f != request.focus().get(0).fault() && couldBeWorkedOn(f, day.place()))
                .findFirst()
                .map(f -> "The rest could hold work on "
                        + student.hand().say(f.label().toLowerCase()) + ": take it on as well.");
    }

    /** Whether another likely fault has a drill that can be begun there. */
    private boolean couldBeWorkedOn(Fault fault, Place place) {
        DrillChoice with = new DrillChoice(
                request.with(List.of(request.focus().get(0), new PlanRequest.Focus(fault, Grade.LIKELY))), library);
        return with.best(
                        fault,
                        fault.ofTheBody() ? Rung.PREPARE : Rung.FEEL,
                        d -> with.possibleAt(d, place, Rung.FEEL),
                        student::hasPassed,
                        Optional.empty())
                .isPresent();
    }

    /** Whether the day ends with much time left because no block may have another set. */
    private boolean hasItsFill(Day day) {
        int minutes = student.week().on(day.date()).orElseThrow().minutes();
        int free = minutes * 60 - day.seconds();
        return free >= MUCH_FREE_SECONDS
                && free >= MUCH_FREE * minutes * 60
                && !mains(day).isEmpty()
                && mains(day).stream().noneMatch(Block::locked)
                && mains(day).stream().allMatch(b -> b.reps() + b.repsPerSet() > most(b));
    }

    /** What a coach asks for a day is an adult's. */
    private void ownRepsEased() {
        if (student.age().volume() == 1) return;
        request.settings()
                .sets()
                .repsADay()
                .ifPresent(reps -> warn(
                        "own-reps-eased",
                        "%d reps a day are %d for a student of this age (%s)."
                                .formatted(
                                        reps,
                                        (int) (reps * student.age().volume()),
                                        student.age().label().toLowerCase())));
    }

    private double most(Block block) {
        Drill drill = library.drill(block.drill());
        int usual = usualMost(block);
        int most = block.rung().withBall()
                ? usual
                : request.settings().sets().repsADay().orElse(usual);
        return most * Layout.volume(student, drill);
    }

    private int usualMost(Block block) {
        Drill drill = library.drill(block.drill());
        return new Dose(drill, block.rung(), block.form(), Dose.isSetUp(block.fault())).mostReps();
    }

    private static List<Block> mains(Day day) {
        return day.blocks().stream().filter(b -> b.kind() == Kind.MAIN).toList();
    }

    private void refuseTraps() {
        Fault first = request.focus().get(0).fault();
        if (first != Fault.HANGING_BACK) return;
        if (request.approach().has(Choice.LEAD_BIASED)) {
            warn(
                    "trap",
                    "Starting on the {lead} foot is not used in this plan: it cannot be held there and the fall back"
                            + " grows.");
        }
        if (!request.likely().contains(Fault.EARLY_EXTENSION)
                && request.approach().has(Choice.ROLL_LOW)) {
            warn(
                    "suggest-release-up",
                    "Letting the {trail} heel come up would get this student off the {trail} foot sooner; it is an"
                            + " answer of your approach.");
        }
    }

    /** Where the coach's own blocks go against custom. */
    private void edited() {
        Set<Rung> begun = new HashSet<>();
        for (Day day : days) {
            for (Block block : day.blocks()) {
                if (block.locked() && block.kind() == Kind.MAIN) tooEarly(day, block, begun);
                if (block.fault() == request.focus().get(0).fault()) begun.add(block.rung());
            }
            long drills = day.blocks().stream().map(Block::drill).distinct().count();
            if (drills > Layout.MOST_DRILLS_A_DAY) {
                warn("many-drills", drills + " drills on " + Words.day(day.date()) + ": three are enough.");
            }
        }
        routes.stream()
                .flatMap(r -> r.steps().stream())
                .map(s -> library.drill(s.drill()))
                .distinct()
                .forEach(this::againstApproach);
    }

    private void tooEarly(Day day, Block block, Set<Rung> begun) {
        routes.stream()
                .filter(r -> r.fault() == block.fault())
                .flatMap(r -> r.steps().stream())
                .map(Plan.Step::rung)
                .filter(r -> r.compareTo(block.rung()) < 0 && r.gated() && !begun.contains(r))
                .findFirst()
                .ifPresent(skipped -> warn(
                        "before-its-rung",
                        "%s on %s comes before %s was begun."
                                .formatted(
                                        block.rung().label(),
                                        Words.day(day.date()),
                                        skipped.label().toLowerCase())));
    }

    private void againstApproach(Drill drill) {
        choice.objection(drill)
                .filter(o -> !o.firm())
                .ifPresent(o -> warn("against-approach", drill.name() + " is in at your word: " + o.reason() + "."));
    }

    private void warn(String code, String text) {
        warnings.add(new Warning(code, student.hand().say(text)));
    }
}
