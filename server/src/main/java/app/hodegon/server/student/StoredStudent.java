package app.hodegon.server.student;

import app.hodegon.core.plan.Student;
import app.hodegon.core.swing.Handedness;
import java.util.Optional;
import java.util.UUID;

/**
 * A student as stored.
 *
 * @param signedUp whether the student has an account
 * @param adult which adult knows that a junior practises, once said
 * @param version how often what the coach knows was changed
 */
public record StoredStudent(
        UUID id,
        UUID coachId,
        boolean signedUp,
        String name,
        String complaint,
        String units,
        Student profile,
        Optional<String> adult,
        Figure figure,
        int version) {

    public Handedness hand() {
        return profile.hand();
    }

    /** In cm. */
    public Optional<Double> height() {
        return figure.height();
    }
}
