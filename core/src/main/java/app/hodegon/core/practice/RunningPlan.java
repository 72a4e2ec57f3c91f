package app.hodegon.core.practice;

import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.plan.Plan.Day;
import app.hodegon.core.plan.PlanRequest;
import app.hodegon.core.plan.PlanRequest.SoFar;
import app.hodegon.core.plan.Planner;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** A plan while it is practised: what lies behind stays, what is left is laid again after every day. */
public final class RunningPlan {

    private final DrillLibrary library;
    private final Planner planner;
    private final List<CheckSet> checks;
    private final List<PracticeSession> practice = new ArrayList<>();
    private PlanRequest request;
    private List<Day> days;
    private LocalDate behind;

    /**
     * @param request what the plan was made from
     * @param days as it was handed over
     * @param checks all check sets of the student before it, in the order done
     */
    public RunningPlan(PlanRequest request, List<Day> days, List<CheckSet> checks, DrillLibrary library) {
        this.request = request;
        this.days = List.copyOf(days);
        this.checks = new ArrayList<>(checks);
        this.library = library;
        this.planner = new Planner(library);
        this.behind = request.from().minusDays(1);
    }

    /** The next planned day from that one on, after days without practice were taken out of it. */
    public Optional<Day> next(LocalDate from) {
        boolean missed = days.stream()
                .anyMatch(
                        d -> d.hasWork() && d.date().isAfter(behind) && d.date().isBefore(from));
        if (missed && from.isBefore(request.nextLesson())) {
            layAgain(from, asked(from));
            behind = from.minusDays(1);
        }
        return days.stream().filter(d -> !d.date().isBefore(from)).findFirst();
    }

    /** What comes of a day. */
    public void practised(PracticeSession session, List<String> stopped) {
        Ladder before = ladder();
        checks.addAll(session.checks());
        practice.add(session);
        behind = session.day();
        LocalDate from = session.day().plusDays(1);
        if (!from.isBefore(request.nextLesson())) return;
        PlanRequest asked = asked(from);
        LayAgain again = LayAgain.after(new LayAgain.Day(session, before, ladder(), stopped, 0), asked, library);
        layAgain(from, asked.with(again.edits()));
    }

    private PlanRequest asked(LocalDate from) {
        Ladder ladder = ladder();
        return request.with(request.student().after(ladder.done()))
                .after(new SoFar(
                        ladder.worked(request.edits().gates()),
                        Easing.of(practice, request.stopped(), Set.of(), from, request.nextLesson())))
                .from(from);
    }

    private void layAgain(LocalDate from, PlanRequest asked) {
        List<Day> all = new ArrayList<>(
                days.stream().filter(d -> d.date().isBefore(from)).toList());
        all.addAll(planner.plan(asked).days());
        days = List.copyOf(all);
        request = asked;
    }

    /** Where the student stands. */
    public Ladder ladder() {
        return Ladder.of(checks, request.edits().gates());
    }

    /** All check sets by now, in the order done. */
    public List<CheckSet> checks() {
        return List.copyOf(checks);
    }
}
