package app.hodegon.server.student;

import app.hodegon.server.account.Account;
import app.hodegon.server.account.Accounts;
import app.hodegon.server.account.Coach;
import app.hodegon.server.account.Tokens;
import app.hodegon.server.http.Conflict;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.http.NotFound;
import app.hodegon.server.http.Stale;
import app.hodegon.server.zone.Today;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.Period;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** A coach's students, and how they get their accounts. */
@Service
public class Students {

    private static final Duration INVITATION_LASTS = Duration.ofDays(14);
    private static final Period LONGEST_STAND_IN = Period.ofYears(1);

    private final StudentRepository students;
    private final StandInRepository standIns;
    private final AccessLog accesses;
    private final Accounts accounts;
    private final Clock clock;
    private final Today today;
    private final ApplicationEventPublisher events;

    Students(
            StudentRepository students,
            StandInRepository standIns,
            AccessLog accesses,
            Accounts accounts,
            Clock clock,
            Today today,
            ApplicationEventPublisher events) {
        this.events = events;
        this.students = students;
        this.standIns = standIns;
        this.accesses = accesses;
        this.accounts = accounts;
        this.clock = clock;
        this.today = today;
    }

    List<RosterLine> roster(Account coach) {
        return students.roster(coach.id(), standingInFor(coach.id()), today.ofCoach(coach.id()), today.ofZones());
    }

    /**
     * A student whom this coach may see and teach: an own one, or one the coach stands in for, which is put on record.
     *
     * @throws NotFound if there is no such student
     */
    public StoredStudent ofCoach(Account coach, UUID id) {
        return students.byId(id).filter(s -> teaches(coach, s)).orElseThrow(() -> new NotFound("student"));
    }

    private boolean teaches(Account coach, StoredStudent student) {
        if (isOwn(coach, student)) return true;
        if (!standIns.standsIn(coach.id(), student.id(), today.ofCoach(coach.id()))) return false;
        accesses.used(coach.id(), student.id());
        return true;
    }

    /** Whether this coach may see and teach a student. */
    public boolean teaches(Account coach, UUID student) {
        return students.byId(student).filter(s -> teaches(coach, s)).isPresent();
    }

    /**
     * A student of this coach's own.
     *
     * @throws NotFound if there is no such student
     */
    public StoredStudent own(Account coach, UUID id) {
        return students.byId(id).filter(s -> isOwn(coach, s)).orElseThrow(() -> new NotFound("student of your own"));
    }

    /** The owner of the house sees to the students of whoever left. */
    boolean isOwn(Account coach, StoredStudent student) {
        return student.coachId().equals(coach.id()) || accounts.hasLeft(student.coachId()) && accounts.isOwner(coach);
    }

    /** The same outside a request, for what goes on by itself: nothing is put on record. */
    public boolean mayTeach(Account coach, UUID student) {
        return students.byId(student)
                .filter(s -> isOwn(coach, s) || standIns.standsIn(coach.id(), student, today.ofCoach(coach.id())))
                .isPresent();
    }

    /** A student whom this coach may teach, for a change: writers wait for each other until the transaction ends. */
    @Transactional(propagation = Propagation.MANDATORY)
    public StoredStudent toChange(Account coach, UUID id) {
        lock(id);
        return ofCoach(coach, id);
    }

    /** Puts writers of this student's things in order, until the caller's transaction ends. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void lock(UUID id) {
        students.lock(id);
    }

    /** Students of other coaches whom this one teaches today: as a stand-in, or as the owner after a coach left. */
    public Set<UUID> standingInFor(UUID coach) {
        Set<UUID> all = standIns.students(coach, today.ofCoach(coach));
        all.addAll(students.ofCoaches(leftTo(coach)));
        return all;
    }

    /** The coaches of those students. */
    public Set<UUID> standingInForCoaches(UUID coach) {
        Set<UUID> all = standIns.coaches(coach, today.ofCoach(coach));
        all.addAll(leftTo(coach));
        return all;
    }

    /** Whose students tell this coach what is learnt of drills: the own; the owner of a house of several, all of them. */
    public Whose whose(Account coach) {
        return accounts.isOwner(coach) && accounts.coaches().size() > 1 ? Whose.HOUSE : Whose.of(coach.id());
    }

    /** Coaches who left and whose students are this one's to see to. */
    private List<UUID> leftTo(UUID coach) {
        boolean owner = accounts.coach(coach).filter(Coach::owner).isPresent();
        return owner ? accounts.left() : List.of();
    }

    List<StandIn> standIns(Account coach, UUID id) {
        own(coach, id);
        return standIns.of(id, today.ofCoach(coach.id()));
    }

    @Transactional
    List<StandIn> letStandIn(Account coach, UUID id, UUID other, LocalDate until) {
        lock(id);
        own(coach, id);
        LocalDate now = today.ofCoach(coach.id());
        if (other.equals(coach.id())) throw new Invalid("coachId", "This is your own student.");
        accounts.lockCoach(other);
        if (until.isBefore(now) || until.isAfter(now.plus(LONGEST_STAND_IN))) {
            throw new Invalid("until", "The day must lie between today and a year from now.");
        }
        standIns.put(id, other, until);
        return standIns.of(id, now);
    }

    /** Ends it at once, by the student's coach or by the one who stood in. */
    @Transactional
    void endStandIn(Account coach, UUID id, UUID other) {
        lock(id);
        if (!other.equals(coach.id())) own(coach, id);
        if (standIns.end(id, other) == 0) throw new NotFound("coach who stands in");
    }

    List<Access> accesses(Account coach, UUID id) {
        own(coach, id);
        return standIns.accesses(id);
    }

    /**
     * Gives a student to another coach, with all that belongs to it; nobody stands in for the new coach, and what the
     * earlier one made to open the student's account opens it no more.
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void move(UUID id, UUID toCoach) {
        standIns.endAll(id);
        students.endInvitation(id);
        students.accountOf(id).ifPresent(accounts::endLinks);
        students.move(id, toCoach);
        events.publishEvent(new StudentChanged(id));
    }

    /** What the coach knows of a student is another than it was. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void changed(UUID id) {
        students.changed(id);
    }

    /** Ids of a coach's own students. */
    public List<UUID> ownIds(UUID coach) {
        return students.ids(coach);
    }

    public int count(Account coach) {
        return students.ofCoachCount(coach.id());
    }

    /** A student whom the caller may see. */
    public StoredStudent byId(UUID id) {
        return students.byId(id).orElseThrow(() -> new NotFound("student"));
    }

    /** The student who is signed in. */
    public StoredStudent self(Account account) {
        return students.ofAccount(account.id()).orElseThrow(() -> new NotFound("student"));
    }

    /** Which adult knows that this junior practises. */
    @Transactional
    public void setAdult(Account account, String adult) {
        lock(self(account).id());
        students.setAdult(account.id(), adult);
    }

    @Transactional
    public StoredStudent add(Account coach, StudentEntry entry) {
        accounts.lockCoach(coach.id());
        UUID id = students.add(
                coach.id(),
                entry.name().strip(),
                entry.complaint().strip(),
                entry.units(),
                entry.profile(),
                entry.figure());
        return students.byId(id).orElseThrow();
    }

    @Transactional
    StoredStudent update(Account coach, UUID id, int seen, StudentEntry entry) {
        StoredStudent now = toChange(coach, id);
        if (now.version() != seen) throw new Stale(StudentController.StudentView.of(now, isOwn(coach, now)));
        students.update(
                id, entry.name().strip(), entry.complaint().strip(), entry.units(), entry.profile(), entry.figure());
        return ofCoach(coach, id);
    }

    /** A one-time token for the student's sign-up; an earlier one stops working. */
    @Transactional
    public String invite(Account coach, UUID id) {
        lock(id);
        if (own(coach, id).signedUp()) throw new Conflict("This student has an account already.");
        String token = Tokens.make();
        students.invite(id, Tokens.hash(token), OffsetDateTime.now(clock).plus(INVITATION_LASTS));
        events.publishEvent(new StudentChanged(id));
        return token;
    }

    /** The day of the last invitation that was not used; empty where there is none. */
    public Optional<LocalDate> invitedOn(UUID id) {
        return students.invitedUntil(id).map(until -> today.dayOf(until.minus(INVITATION_LASTS), id));
    }

    /** A one-time link with which a student who lost the password sets a new one. */
    @Transactional
    String passwordLink(Account coach, UUID id) {
        lock(id);
        own(coach, id);
        return accounts.link(students.accountOf(id)
                .orElseThrow(() -> new Conflict("This student has no account yet: send an invitation.")));
    }

    StudentRepository.Invited invited(String token) {
        return students.invited(Tokens.hash(token))
                .orElseThrow(() -> new NotFound("invitation, or it was used already"));
    }

    /** Makes the invited student's account and uses the invitation up. */
    @Transactional
    public Account accept(String token, String email, String password) {
        StudentRepository.Invited invited = invited(token);
        lock(invited.student());
        if (!students.useUp(Tokens.hash(token))) throw new NotFound("invitation, or it was used already");
        Account account = accounts.add(email, password, Account.Role.STUDENT, invited.name());
        students.setAccount(invited.student(), account.id());
        events.publishEvent(new StudentChanged(invited.student()));
        return account;
    }
}
