package app.hodegon.server.plate;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.golfer.Golfer;
import app.hodegon.core.golfer.Pace;
import app.hodegon.core.simulate.Cast;
import app.hodegon.core.simulate.Persona;
import app.hodegon.server.account.Account;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.lesson.StoredLesson;
import app.hodegon.server.student.StoredStudent;
import app.hodegon.server.student.Students;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The demo's plate: the student of the lesson stands on it and swings when asked to, as they truly do. */
@RestController
@ConditionalOnProperty("hodegon.demo")
class DemoPlate implements DisposableBean {

    private static final int BATCH_MS = 25;

    /** Of a fault's strength at the first lesson so much is still there. */
    private static final double LEFT = 0.85;

    private final Plates plates;
    private final Lessons lessons;
    private final Students students;
    private final Map<UUID, Standing> standing = new ConcurrentHashMap<>();
    private final ScheduledExecutorService clock = Executors.newSingleThreadScheduledExecutor();

    DemoPlate(Plates plates, Lessons lessons, Students students) {
        this.plates = plates;
        this.lessons = lessons;
        this.students = students;
        clock.scheduleAtFixedRate(this::stream, BATCH_MS, BATCH_MS, TimeUnit.MILLISECONDS);
    }

    /** Who stands on a coach's plate, since when (ns), and how many samples were sent. */
    private static final class Standing {
        private final UUID student;
        private final StandInLines lines;
        private final long since = System.nanoTime();
        private long sent;

        Standing(UUID student, StandInLines lines) {
            this.student = student;
            this.lines = lines;
        }
    }

    @PostMapping("/api/demo/lessons/{id}/swing")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void swing(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        StoredLesson lesson = lessons.ofCoach(coach, id);
        Standing now = standing.compute(
                coach.id(),
                (c, before) -> before != null && before.student.equals(lesson.studentId())
                        ? before
                        : begun(coach.id(), lesson));
        synchronized (now) {
            now.lines.swing();
        }
    }

    private Standing begun(UUID coach, StoredLesson lesson) {
        StoredStudent student = students.byId(lesson.studentId());
        Map<Fault, Double> faults = Stream.concat(Cast.first().stream(), Cast.second().stream())
                .filter(p -> p.name().equals(student.name()))
                .findFirst()
                .map(Persona::faults)
                .orElse(Map.of())
                .entrySet()
                .stream()
                .collect(Collectors.toMap(Map.Entry::getKey, e -> Math.min(1, LEFT * e.getValue())));
        Golfer golfer = new Golfer(student.hand(), 176, lesson.approach().school(), faults, Pace.USUAL);
        Standing begun = new Standing(student.id(), new StandInLines(golfer, System.nanoTime()));
        plates.take(coach, begun.lines.header());
        return begun;
    }

    private void stream() {
        standing.forEach((coach, who) -> {
            synchronized (who) {
                long due = (long) ((System.nanoTime() - who.since) / 1e9 * StandInLines.RATE);
                plates.take(coach, who.lines.lines((int) (due - who.sent)));
                who.sent = due;
            }
        });
    }

    @Override
    public void destroy() {
        clock.shutdownNow();
    }
}
