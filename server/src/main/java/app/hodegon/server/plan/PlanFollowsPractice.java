package app.hodegon.server.plan;

import app.hodegon.core.practice.CheckSet;
import app.hodegon.core.practice.Ladder;
import app.hodegon.core.practice.LayAgain;
import app.hodegon.core.practice.PracticeSession;
import app.hodegon.server.gate.GateSigned;
import app.hodegon.server.gate.StudentGates;
import app.hodegon.server.http.Conflict;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.practice.DayPractised;
import app.hodegon.server.practice.PracticeLog;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;

/**
 * Lays the rest of a running plan again when a gate is passed early, after a step back, missed days or a stop. Only once
 * what the student did is stored: a plan that cannot be laid never costs a rep.
 */
@Component
class PlanFollowsPractice {

    private static final Logger LOG = LoggerFactory.getLogger(PlanFollowsPractice.class);

    private final Plans plans;
    private final PracticeLog practice;
    private final StudentGates gates;

    PlanFollowsPractice(Plans plans, PracticeLog practice, StudentGates gates) {
        this.plans = plans;
        this.practice = practice;
        this.gates = gates;
    }

    @TransactionalEventListener
    void on(DayPractised day) {
        StoredPlan running = plans.running(day.student()).orElseThrow();
        if (!running.id().equals(day.plan())) return;
        List<CheckSet> checks = practice.checks(day.student());
        List<CheckSet> before = new ArrayList<>(checks);
        day.session().checks().forEach(before::remove);
        List<String> reasons = LayAgain.reasons(
                Ladder.of(before, gates.of(day.student())),
                Ladder.of(checks, gates.of(day.student())),
                day.stopped(),
                missedBefore(running, day.session()));
        if (!reasons.isEmpty()) layAgain(running.id(), String.join(" ", reasons));
    }

    /** Planned days without practice between this one and the one practised before it. */
    private int missedBefore(StoredPlan running, PracticeSession session) {
        LocalDate last = practice.ofPlan(running.id()).stream()
                .map(PracticeSession::day)
                .filter(d -> d.isBefore(session.day()))
                .reduce((a, b) -> b)
                .orElse(running.from().minusDays(1));
        return (int) running.plan().days().stream()
                .filter(d -> d.date().isAfter(last) && d.date().isBefore(session.day()))
                .count();
    }

    @TransactionalEventListener
    void on(GateSigned gate) {
        plans.running(gate.student())
                .ifPresent(running -> layAgain(running.id(), gate.step().rung().label() + " was signed by the coach."));
    }

    /** What the coach locked may no longer fit; then the plan stays as it is and the coach decides. */
    private void layAgain(UUID plan, String reason) {
        try {
            plans.layAgain(plan, reason, UnaryOperator.identity());
        } catch (Invalid | Conflict doesNotFit) {
            LOG.info("Plan {} was not laid again ({}): {}", plan, reason, doesNotFit.getMessage());
        }
    }
}
