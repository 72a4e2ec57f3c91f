package app.hodegon.server.student;

import app.hodegon.core.plan.Student;
import app.hodegon.core.swing.Handedness;
import java.util.UUID;

/**
 * A student as stored.
 *
 * @param signedUp whether the student has an account
 */
public record StoredStudent(
        UUID id, UUID coachId, boolean signedUp, String name, String complaint, String units, Student profile) {

    public Handedness hand() {
        return profile.hand();
    }
}
