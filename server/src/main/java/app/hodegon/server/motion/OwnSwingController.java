package app.hodegon.server.motion;

import app.hodegon.core.diagnosis.Diagnosis;
import app.hodegon.core.diagnosis.Diagnosis.Finding;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Grade;
import app.hodegon.core.golfer.Movement;
import app.hodegon.core.golfer.OwnSwing;
import app.hodegon.core.swing.Reading;
import app.hodegon.server.account.Account;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.lesson.StoredLesson;
import app.hodegon.server.motion.Motions.Who;
import app.hodegon.server.student.StoredStudent;
import app.hodegon.server.student.Students;
import jakarta.validation.constraints.NotNull;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** A student's own swing in the golfer. */
@RestController
@RequestMapping("/api/lessons/{id}/motion")
class OwnSwingController {

    private final Lessons lessons;
    private final Students students;

    OwnSwingController(Lessons lessons, Students students) {
        this.lessons = lessons;
        this.students = students;
    }

    /**
     * The swing that a lesson began with.
     *
     * @param measured labels of what was measured and moves the golfer; what else there is follows the faults
     * @param height of the golfer, cm
     */
    record OwnSwingView(
            @NotNull MotionView motion,
            @NotNull List<String> measured,
            @NotNull double height) {}

    @GetMapping
    OwnSwingView own(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        StoredLesson lesson = lessons.ofCoach(coach, id);
        StoredStudent student = students.ofCoach(coach, lesson.studentId());
        Who who = new Who(
                student.hand(), lesson.approach().school(), student.height().orElse(Movement.FOR_HEIGHT));
        List<Reading> shown =
                lesson.before().readings().stream().filter(OwnSwing::shows).toList();
        return new OwnSwingView(
                Motions.own(who, faults(lessons.diagnose(lesson, student)), shown),
                shown.stream()
                        .map(r -> student.hand().say(r.measure().label()))
                        .distinct()
                        .toList(),
                who.height());
    }

    /** The likely faults, the surer the stronger; where none is, the possible ones. */
    private static Map<Fault, Double> faults(Diagnosis diagnosis) {
        Grade grade = diagnosis.likely().isEmpty() ? Grade.POSSIBLE : Grade.LIKELY;
        Map<Fault, Double> faults = new LinkedHashMap<>();
        for (Finding finding : diagnosis.faults()) {
            if (finding.grade() == grade && finding.probability() > 0)
                faults.put(finding.fault(), finding.probability());
        }
        return faults;
    }
}
