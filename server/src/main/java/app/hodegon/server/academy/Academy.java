package app.hodegon.server.academy;

import app.hodegon.server.account.Account;
import app.hodegon.server.account.Account.Role;
import app.hodegon.server.account.Accounts;
import app.hodegon.server.account.Coach;
import app.hodegon.server.account.Tokens;
import app.hodegon.server.drill.Drills;
import app.hodegon.server.http.Conflict;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.http.NotFound;
import app.hodegon.server.plan.Plans;
import app.hodegon.server.student.StoredStudent;
import app.hodegon.server.student.StudentChanged;
import app.hodegon.server.student.Students;
import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Several coaches in one house: invited by its owner, each with own students, who can change hands. */
@Service
class Academy {

    private static final Duration INVITATION_LASTS = Duration.ofDays(14);

    private final AcademyRepository academy;
    private final Accounts accounts;
    private final Students students;
    private final Plans plans;
    private final Drills drills;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    Academy(
            AcademyRepository academy,
            Accounts accounts,
            Students students,
            Plans plans,
            Drills drills,
            ApplicationEventPublisher events,
            Clock clock) {
        this.academy = academy;
        this.accounts = accounts;
        this.students = students;
        this.plans = plans;
        this.drills = drills;
        this.events = events;
        this.clock = clock;
    }

    List<Coach> coaches() {
        return accounts.coaches();
    }

    /** Coaches who left and whose students have no other yet, for the owner to hand on; none for anybody else. */
    List<Coach> gone(Account owner) {
        return accounts.isOwner(owner) ? academy.leftWithStudents() : List.of();
    }

    Map<UUID, Integer> studentsByCoach() {
        return academy.students();
    }

    List<Handover> handovers(Account coach) {
        return academy.handovers(coach.id());
    }

    /** A one-time token for another coach's sign-up. */
    @Transactional
    String invite(Account owner, String name) {
        mustOwn(owner);
        String token = Tokens.make();
        academy.invite(
                Tokens.hash(token),
                name.strip(),
                owner.id(),
                OffsetDateTime.now(clock).plus(INVITATION_LASTS));
        return token;
    }

    private void mustOwn(Account account) {
        if (!accounts.isOwner(account)) throw new NotOwner();
    }

    AcademyRepository.Invited invited(String token) {
        return academy.invited(Tokens.hash(token))
                .orElseThrow(() -> new NotFound("invitation, or it was used already"));
    }

    @Transactional
    Account accept(String token, String email, String password, String name) {
        invited(token);
        if (!academy.useUp(Tokens.hash(token))) throw new NotFound("invitation, or it was used already");
        return accounts.add(email, password, Role.COACH, name);
    }

    /** Makes another coach the owner. */
    @Transactional
    void makeOwner(Account owner, UUID coach) {
        // In one order, so that two who hand it to each other do not wait for ever.
        Stream.of(owner.id(), coach).distinct().sorted().forEach(accounts::lock);
        mustOwn(owner);
        accounts.makeOwner(coach);
    }

    /** Offers a student to another coach, who has to agree. */
    @Transactional
    Handover offer(Account coach, UUID student, UUID to, String words) {
        students.lock(student);
        students.own(coach, student);
        if (to.equals(coach.id())) throw new Invalid("coachId", "This is your own student already.");
        academy.offer(student, accounts.lockCoach(to).id(), coach.id(), words.strip());
        return academy.handover(student).orElseThrow();
    }

    /**
     * The owner offers all students of a coach, who may be gone already, to another.
     *
     * @return how many
     */
    @Transactional
    int offerAll(Account owner, UUID from, UUID to) {
        mustOwn(owner);
        String whose = accounts.coach(from).map(c -> c.name() + ", who leaves").orElse("a coach who left");
        if (accounts.coach(from).isEmpty() && !accounts.hasLeft(from)) throw new NotFound("coach in this house");
        if (to.equals(from)) throw new Invalid("coachId", "These are that coach's students already.");
        List<UUID> all = students.ownIds(from);
        all.forEach(students::lock);
        accounts.lockCoach(to);
        all.forEach(student -> academy.offer(student, to, owner.id(), "Students of " + whose + "."));
        return all.size();
    }

    /** Takes an offered student over, with the history and the drills it was taught with. */
    @Transactional
    StoredStudent accept(Account coach, UUID student) {
        students.lock(student);
        Handover offered = academy.handover(student)
                .filter(h -> h.toId().equals(coach.id()))
                .orElseThrow(() -> new NotFound("student offered to you"));
        accounts.lockCoach(coach.id());
        takeDrillsAlong(offered);
        academy.withdraw(student);
        students.move(student, coach.id());
        students.changed(student);
        events.publishEvent(new StudentChanged(student));
        return students.own(coach, student);
    }

    /** The drills of the earlier coach's own that the student's running plan has. */
    private void takeDrillsAlong(Handover offered) {
        List<String> own = drills.own(offered.fromId());
        List<String> used = plans.running(offered.studentId())
                .map(p -> p.drills().stream().filter(own::contains).distinct().toList())
                .orElse(List.of());
        if (!used.isEmpty()) drills.takeMissing(offered.toId(), drills.file(offered.fromId(), used));
    }

    /** By the one who offered, the one it was offered to, or the owner. */
    @Transactional
    void withdraw(Account coach, UUID student) {
        students.lock(student);
        Handover offered = academy.handover(student)
                .filter(h -> h.toId().equals(coach.id()) || h.fromId().equals(coach.id()) || accounts.isOwner(coach))
                .orElseThrow(() -> new NotFound("offer"));
        academy.withdraw(offered.studentId());
    }

    /** A coach leaves, by own will or the owner's: students go into other hands first. */
    @Transactional
    void leave(Account by, UUID coach) {
        if (!coach.equals(by.id())) mustOwn(by);
        Coach leaving = accounts.lockCoach(coach);
        if (leaving.owner()) throw new Conflict("The owner cannot leave: make another coach the owner first.");
        int students = academy.students().getOrDefault(coach, 0);
        if (students > 0) {
            throw new Conflict(leaving.name() + " still has " + students + (students == 1 ? " student" : " students")
                    + ": hand " + (students == 1 ? "it" : "them") + " over first.");
        }
        academy.withdrawAllTo(coach);
        accounts.leave(coach);
    }
}
