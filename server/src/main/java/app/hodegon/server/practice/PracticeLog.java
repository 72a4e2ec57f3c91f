package app.hodegon.server.practice;

import app.hodegon.core.drill.Joint;
import app.hodegon.core.practice.CheckSet;
import app.hodegon.core.practice.DrillRecord;
import app.hodegon.core.practice.PracticeSession;
import app.hodegon.server.http.NotFound;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What students did; the callers have made sure whose data it is. */
@Service
public class PracticeLog {

    private final PracticeRepository practice;

    PracticeLog(PracticeRepository practice) {
        this.practice = practice;
    }

    /** All sessions of a student, oldest first. */
    public List<PracticeSession> ofStudent(UUID student) {
        return practice.ofStudent(student);
    }

    public List<PracticeSession> ofPlan(UUID plan) {
        return practice.ofPlan(plan);
    }

    /** All check sets of a student, in the order done. */
    public List<CheckSet> checks(UUID student) {
        return practice.ofStudent(student).stream()
                .flatMap(s -> s.checks().stream())
                .toList();
    }

    /** How a drill has gone for a coach's students. */
    public DrillRecord drillRecord(UUID coach, String drill) {
        return DrillRecord.of(practice.ofCoachWithDrill(coach, drill).values(), drill);
    }

    /** Stores a session as it is now, however often it is sent; pain that calls for it stops the drill. */
    @Transactional
    public void put(UUID student, Set<Joint> flags, UUID plan, PracticeSession session) {
        practice.owner(session.id()).filter(owner -> !owner.equals(student)).ifPresent(other -> {
            throw new NotFound("practice session");
        });
        practice.put(student, plan, session);
        session.pain().filter(p -> p.stopsDrill(flags)).ifPresent(p -> practice.stop(student, p.drill(), session.id()));
    }

    /** Forgets a session and what it stopped; one that is not there is no error. */
    @Transactional
    public void remove(UUID session) {
        practice.remove(session);
    }

    /** Drills stopped for pain until the coach lifts them. */
    public List<String> stopped(UUID student) {
        return practice.stopped(student);
    }

    @Transactional
    public void lift(UUID student, String drill) {
        if (practice.lift(student, drill) == 0) throw new NotFound("stopped drill");
    }
}
