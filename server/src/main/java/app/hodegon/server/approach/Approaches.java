package app.hodegon.server.approach;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.swing.Quantity;
import app.hodegon.core.swing.Repeatability;
import app.hodegon.core.swing.Source;
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

    Approaches(ApproachRepository approaches) {
        this.approaches = approaches;
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

    /** How well this coach's sources repeat. */
    public Repeatability repeatability(UUID coach) {
        return approaches.repeatability(coach);
    }

    @Transactional
    void set(UUID coach, Approach approach, List<OwnSem> own) {
        approaches.setOfCoach(coach, approach.ids());
        approaches.setRepeatability(coach, own);
    }

    /** Answers that equal the coach's are no exceptions, but stay when the coach's change. */
    @Transactional
    public void setExceptions(UUID student, Map<String, String> answers) {
        Approach.of(answers);
        approaches.setOfStudent(student, answers);
    }
}
