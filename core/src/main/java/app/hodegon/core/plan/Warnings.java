package app.hodegon.core.plan;

import app.hodegon.core.approach.Choice;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Grade;
import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Day;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.plan.Plan.Totals;
import app.hodegon.core.plan.Plan.Warning;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** What a coach should know about a plan before handing it over. */
final class Warnings {

    private final PlanRequest request;
    private final Student student;
    private final DrillLibrary library;
    private final DrillChoice choice;
    private final List<Route> routes;
    private final List<Day> days;
    private final Totals totals;
    private final List<Warning> warnings = new ArrayList<>();

    Warnings(
            PlanRequest request,
            DrillLibrary library,
            DrillChoice choice,
            List<Route> routes,
            List<Day> days,
            Totals totals) {
        this.request = request;
        this.student = request.student();
        this.library = library;
        this.choice = choice;
        this.routes = routes;
        this.days = days;
        this.totals = totals;
    }

    List<Warning> list() {
        focusNotLikely();
        noDrill();
        daysWithoutUse();
        ballsNowhere();
        if (!days.isEmpty() && totals.reps() < totals.wantedReps()) volumeShort();
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
            if (route.steps().isEmpty()) {
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
            warn(
                    "days-unused",
                    (dates.size() - days.size())
                            + " of the days have no time or no place for what is due, and stay free.");
        }
    }

    private void ballsNowhere() {
        boolean ballPlace = student.week().practiceDays(request.from(), request.nextLesson()).stream()
                .anyMatch(d -> student.week().on(d).orElseThrow().place().ballsAllowed());
        boolean wanted = routes.stream()
                .flatMap(r -> r.steps().stream())
                .anyMatch(s -> s.rung().withBall());
        if (!ballPlace && wanted) {
            warn(
                    "no-ball-day",
                    "There is no day at a net, range or course before the next lesson: the plan stays without a ball.");
            return;
        }
        days.stream()
                .filter(d -> d.place().ballsAllowed())
                .filter(d -> d.blocks().stream().allMatch(b -> b.balls() == 0))
                .filter(d -> wanted)
                .findFirst()
                .ifPresent(d -> warn(
                        "ball-day-without-ball",
                        Words.day(d.date()) + " is spent without a ball: none comes before its rung."));
    }

    private void volumeShort() {
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
