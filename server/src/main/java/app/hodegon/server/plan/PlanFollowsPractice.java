package app.hodegon.server.plan;

import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.plan.PlanRequest;
import app.hodegon.core.practice.CheckSet;
import app.hodegon.core.practice.Ladder;
import app.hodegon.core.practice.LayAgain;
import app.hodegon.core.practice.PracticeSession;
import app.hodegon.server.gate.GateSigned;
import app.hodegon.server.gate.StudentGates;
import app.hodegon.server.http.Conflict;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.plan.PlanView.DayView;
import app.hodegon.server.practice.DayDone;
import app.hodegon.server.practice.DayPractised;
import app.hodegon.server.practice.DrillsStopped;
import app.hodegon.server.practice.PracticeLog;
import app.hodegon.server.zone.Today;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;

/**
 * Lays the rest of a running plan again after every practice, missed days, a stop and a signature: the checks decide, not
 * the calendar. Only once what the student did is stored: a plan that cannot be laid never costs a rep.
 */
@Component
public class PlanFollowsPractice {

    private static final Logger LOG = LoggerFactory.getLogger(PlanFollowsPractice.class);

    private final Plans plans;
    private final PlanDrafts drafts;
    private final PracticeLog practice;
    private final StudentGates gates;
    private final Today today;

    PlanFollowsPractice(Plans plans, PlanDrafts drafts, PracticeLog practice, StudentGates gates, Today today) {
        this.plans = plans;
        this.drafts = drafts;
        this.practice = practice;
        this.gates = gates;
        this.today = today;
    }

    @TransactionalEventListener
    void on(DayPractised day) {
        StoredPlan running = plans.running(day.student()).orElseThrow();
        if (running.id().equals(day.plan())) follow(running, day.session(), day.stopped());
    }

    private void follow(StoredPlan running, PracticeSession session, List<String> stopped) {
        UUID student = running.studentId();
        List<CheckSet> checks = practice.checks(student);
        List<CheckSet> before = new ArrayList<>(checks);
        session.checks().forEach(before::remove);
        LayAgain.Day done = new LayAgain.Day(
                session,
                Ladder.of(before, gates.of(student)),
                Ladder.of(checks, gates.of(student)),
                names(student, stopped),
                missedBefore(running, session.day()));
        DrillLibrary library = plans.library(student);
        layAgain(running.id(), request -> LayAgain.after(done, request, library));
    }

    /**
     * Lays what is left again where the days left hold a drill that is stopped for pain, or by the last day practised where
     * the next day asks for work above a gate that a check left open: it was practised elsewhere, or before plans followed.
     */
    public void catchUp(UUID student) {
        plans.running(student).ifPresent(running -> {
            List<String> stopped = stoppedAhead(running);
            if (!stopped.isEmpty()) {
                layAgainWithout(running, stopped);
            } else if (isAhead(running)) {
                practice.ofPlan(running.id()).stream()
                        .reduce((earlier, later) -> later)
                        .ifPresent(last -> follow(running, last, List.of()));
            }
        });
    }

    /** Drills on the days left that are stopped for pain. */
    private List<String> stoppedAhead(StoredPlan running) {
        LocalDate now = today.ofStudent(running.studentId());
        Set<String> ahead = running.plan().days().stream()
                .filter(d -> !d.date().isBefore(now))
                .flatMap(d -> d.blocks().stream())
                .map(PlanView.BlockView::drill)
                .collect(Collectors.toSet());
        return practice.stopped(running.studentId()).stream()
                .filter(ahead::contains)
                .sorted()
                .toList();
    }

    private boolean isAhead(StoredPlan running) {
        Ladder ladder = practice.ladder(running.studentId());
        return running.plan().toPlan().days().stream()
                .filter(d -> !d.date().isBefore(today.ofStudent(running.studentId())))
                .findFirst()
                .filter(ladder::isAboveAnOpenGate)
                .isPresent();
    }

    /** Pain does not wait for the end of a session. */
    @TransactionalEventListener
    void on(DrillsStopped stopped) {
        plans.running(stopped.student())
                .filter(running -> running.id().equals(stopped.plan()))
                .ifPresent(running -> layAgainWithout(running, stopped.drills()));
    }

    private void layAgainWithout(StoredPlan running, List<String> stopped) {
        layAgain(
                running.id(),
                names(running.studentId(), stopped).stream()
                        .map(LayAgain::stopped)
                        .collect(Collectors.joining(" ")));
    }

    private List<String> names(UUID student, List<String> drills) {
        DrillLibrary library = plans.library(student);
        return drills.stream()
                .map(id -> library.has(id) ? library.drill(id).name() : id)
                .toList();
    }

    /**
     * A student looks at the plan again: days missed are taken out of it, and work above a gate left open, before anything
     * more is done by it. Once
     * today's practice is begun, it stays as it is.
     *
     * @return the running plan as it is then
     */
    public Optional<StoredPlan> look(UUID student) {
        Optional<StoredPlan> running = plans.running(student);
        if (running.isEmpty()) return running;
        LocalDate now = today.ofStudent(student);
        boolean begun = practice.days(List.of(running.get().id())).values().stream()
                .flatMap(List::stream)
                .anyMatch(d -> d.day().equals(now));
        int missed = begun ? 0 : missedBefore(running.get(), now);
        if (missed > 0) layAgain(running.get().id(), LayAgain.missed(missed).orElseThrow());
        else if (!begun) catchUp(student);
        return plans.running(student);
    }

    /** Planned days without practice before this one, since the last practised or the plan was laid again. */
    private int missedBefore(StoredPlan running, LocalDate day) {
        LocalDate practised = practice.days(List.of(running.id())).getOrDefault(running.id(), List.of()).stream()
                .map(DayDone::day)
                .filter(d -> d.isBefore(day))
                .reduce((a, b) -> b)
                .orElse(LocalDate.MIN);
        LocalDate laid =
                plans.relaid(running.id()).stream().findFirst().map(Relaid::on).orElse(LocalDate.MIN);
        return (int) running.plan().days().stream()
                .filter(DayView::hasWork)
                .map(DayView::date)
                .filter(d -> d.isAfter(practised) && !d.isBefore(laid) && d.isBefore(day))
                .count();
    }

    @TransactionalEventListener
    void on(GateSigned gate) {
        plans.running(gate.student())
                .ifPresent(running -> layAgain(running.id(), gate.step().rung().label() + " was signed by the coach."));
    }

    private void layAgain(UUID plan, String reason) {
        layAgain(plan, request -> LayAgain.because(reason, request));
    }

    /** What the coach locked may no longer fit; then the plan stays as it is and the coach decides. */
    private void layAgain(UUID plan, Function<PlanRequest, LayAgain> how) {
        try {
            drafts.layAgain(plan, UnaryOperator.identity(), how);
        } catch (Invalid | Conflict doesNotFit) {
            LOG.info("Plan {} was not laid again: what is locked does not fit any more.", plan);
        }
    }
}
