package app.hodegon.server.approach;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.swing.Quantity;
import app.hodegon.core.swing.Repeatability;
import app.hodegon.core.swing.Source;
import app.hodegon.server.account.Account;
import app.hodegon.server.account.Accounts;
import app.hodegon.server.student.StoredStudent;
import app.hodegon.server.student.Students;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How a coach teaches and how well they read, and where a student is taught otherwise. */
@Service
public class Approaches {

    /** A standard error of measurement that a coach put in place of the assumed one. */
    record OwnSem(Quantity quantity, Source source, double sem) {}

    private final ApproachRepository approaches;
    private final Students students;
    private final Accounts accounts;

    Approaches(ApproachRepository approaches, Students students, Accounts accounts) {
        this.approaches = approaches;
        this.students = students;
        this.accounts = accounts;
    }

    Approach ofCoach(UUID coach) {
        return Approach.of(approaches.ofCoach(coach));
    }

    /** By question, where this student is taught otherwise; empty for most. */
    Map<String, String> exceptions(UUID student) {
        return approaches.ofStudent(student);
    }

    /** The coach's approach with the student's exceptions; the caller has made sure that the student is the coach's. */
    public Approach forStudent(UUID coach, UUID student) {
        Map<String, String> answers = new HashMap<>(approaches.ofCoach(coach));
        answers.putAll(approaches.ofStudent(student));
        return Approach.of(answers);
    }

    /** How this coach teaches, or this student is taught. */
    public Approach of(Account account) {
        if (account.role() == Account.Role.COACH) return ofCoach(account.id());
        StoredStudent student = students.self(account);
        return forStudent(student.coachId(), student.id());
    }

    /** How well this coach's sources repeat. */
    public Repeatability repeatability(UUID coach) {
        return approaches.repeatability(coach);
    }

    /** How often the coach's approach was changed. */
    int version(UUID coach) {
        return approaches.version(coach);
    }

    /**
     * @param seen the version that the change is based on
     * @return whether it still was that version; else nothing is stored
     */
    @Transactional
    boolean set(UUID coach, int seen, Approach approach, List<OwnSem> own) {
        accounts.lock(coach);
        if (approaches.version(coach) != seen) return false;
        approaches.setOfCoach(coach, approach.ids());
        approaches.setRepeatability(coach, own);
        return true;
    }

    /**
     * Answers that equal the coach's are no exceptions, but stay when the coach's change.
     *
     * @param seen the student's version that the change is based on
     * @return whether it still was that version; else nothing is stored
     */
    @Transactional
    boolean setExceptions(Account coach, UUID student, int seen, Map<String, String> answers) {
        if (students.toChange(coach, student).version() != seen) return false;
        Approach.of(answers);
        approaches.setOfStudent(student, answers);
        students.changed(student);
        return true;
    }
}
