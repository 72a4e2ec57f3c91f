package app.hodegon.server.practice;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.practice.CheckSet;
import app.hodegon.core.practice.DrillRecord;
import app.hodegon.core.practice.Ladder;
import app.hodegon.core.practice.Pain;
import app.hodegon.core.practice.PracticeSession;
import app.hodegon.server.gate.StudentGates;
import app.hodegon.server.http.NotFound;
import app.hodegon.server.student.StudentChanged;
import app.hodegon.server.student.Students;
import app.hodegon.server.student.Whose;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What students did; the callers have made sure whose data it is. */
@Service
public class PracticeLog {

    private static final LocalDate BEFORE_ANY = LocalDate.of(1900, 1, 1);

    private final PracticeRepository practice;
    private final Students students;
    private final StudentGates gates;
    private final House house;
    private final ApplicationEventPublisher events;

    PracticeLog(
            PracticeRepository practice,
            Students students,
            StudentGates gates,
            House house,
            ApplicationEventPublisher events) {
        this.house = house;
        this.practice = practice;
        this.students = students;
        this.gates = gates;
        this.events = events;
    }

    /** So many sessions of a student, latest first, after the first {@code skip}. */
    List<StoredSession> page(UUID student, int skip, int size) {
        return practice.page(student, skip, size);
    }

    int count(UUID student) {
        return practice.count(student);
    }

    /** Days practised by plan, in order; a plan nobody practised is left out. */
    public Map<UUID, List<DayDone>> days(Collection<UUID> plans) {
        return practice.days(plans);
    }

    /** Check sets by plan, in the order done; a plan without one is left out. */
    public Map<UUID, List<CheckSet>> checks(Collection<UUID> plans) {
        return practice.checks(plans);
    }

    /** Sessions of a plan with what the phone needs to go on with them. */
    public List<StoredSession> storedOfPlan(UUID plan) {
        return practice.storedOfPlan(plan);
    }

    public List<PracticeSession> ofPlan(UUID plan) {
        return practice.ofPlan(plan);
    }

    /** All check sets of a student, in the order done. */
    public List<CheckSet> checks(UUID student) {
        return practice.checks(student);
    }

    /** Where a student stands on every rung tried. */
    public Ladder ladder(UUID student) {
        return Ladder.of(checks(student), gates.of(student));
    }

    /** All sessions from that day on, oldest first. */
    public List<PracticeSession> since(UUID student, LocalDate day) {
        return practice.since(student, day);
    }

    /** Sessions whose note the coach has not read. */
    public Set<UUID> unread(UUID student) {
        return practice.unread(student);
    }

    /** Drills stopped for pain, and since when. */
    public Map<String, LocalDate> stops(UUID student) {
        return practice.stops(student);
    }

    /** How a drill has gone for these students. */
    DrillRecord drillRecord(Whose whose, String drill) {
        return DrillRecord.of(practice.withDrill(whose, drill), drill, house.learnt());
    }

    /** What was practised towards a fault in these plans. */
    public List<Worked> worked(Collection<UUID> plans, Fault fault) {
        return practice.worked(plans, fault);
    }

    /**
     * Stores a session as it is now, however often it is sent; pain that calls for it stops the drill. An earlier
     * edition that arrives after a later one is not taken.
     *
     * @return the session as it is stored now
     */
    @Transactional
    public StoredSession put(UUID student, Set<Joint> flags, UUID plan, StoredSession sent) {
        PracticeSession session = sent.session();
        students.lock(student);
        practice.owner(session.id()).filter(owner -> !owner.equals(student)).ifPresent(other -> {
            throw new NotFound("practice session");
        });
        Optional<StoredSession> before = practice.stored(session.id());
        if (before.filter(b -> b.edition() > sent.edition()).isPresent()) return before.get();
        boolean finishes =
                session.finished() && before.filter(b -> b.session().finished()).isEmpty();
        List<String> stopped = store(student, flags, plan, sent);
        if (finishes) events.publishEvent(new DayPractised(student, plan, session, stopped));
        else if (!stopped.isEmpty()) events.publishEvent(new DrillsStopped(student, plan, stopped));
        events.publishEvent(new StudentChanged(student));
        return sent;
    }

    /**
     * Stores what was practised elsewhere, and tells nobody.
     *
     * @return drills that it stops
     */
    @Transactional
    public List<String> restore(UUID student, Set<Joint> flags, UUID plan, PracticeSession session) {
        return store(student, flags, plan, StoredSession.of(session));
    }

    /**
     * Reads all that is kept of a student's practice after it was taken in, and works out what stands beside it.
     *
     * @throws RuntimeException if any of it cannot be read
     */
    @Transactional
    public void readWhole(UUID student) {
        practice.since(student, BEFORE_ANY).forEach(practice::keepChecks);
        ladder(student);
    }

    private List<String> store(UUID student, Set<Joint> flags, UUID plan, StoredSession stored) {
        PracticeSession session = stored.session();
        practice.put(student, plan, stored);
        Optional<String> stops = session.pain().filter(p -> p.stopsDrill(flags)).map(Pain::drill);
        practice.keepOnly(session.id(), stops);
        return stops.stream()
                .filter(drill -> practice.stop(student, drill, session.id()))
                .toList();
    }

    /** Forgets a session and what it stopped; one that is not there is no error. */
    @Transactional
    public void remove(UUID student, UUID session) {
        students.lock(student);
        if (practice.owner(session).filter(student::equals).isEmpty()) return;
        practice.remove(session);
        events.publishEvent(new StudentChanged(student));
    }

    /** Drills stopped for pain until the coach lifts them. */
    public List<String> stopped(UUID student) {
        return practice.stopped(student);
    }

    @Transactional
    public void lift(UUID student, String drill) {
        students.lock(student);
        if (practice.lift(student, drill) == 0) throw new NotFound("stopped drill");
        events.publishEvent(new StudentChanged(student));
    }
}
