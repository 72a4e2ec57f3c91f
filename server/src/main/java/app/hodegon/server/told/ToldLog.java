package app.hodegon.server.told;

import app.hodegon.core.practice.RoundPlayed;
import app.hodegon.core.practice.SelfCheck;
import app.hodegon.server.http.NotFound;
import app.hodegon.server.student.StudentChanged;
import app.hodegon.server.student.Students;
import app.hodegon.server.told.ToldRepository.Kept;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a student tells beside practice: rounds, and loads felt at home. The callers have made sure whose data it is. */
@Service
public class ToldLog {

    private final ToldRepository told;
    private final Students students;
    private final ApplicationEventPublisher events;

    ToldLog(ToldRepository told, Students students, ApplicationEventPublisher events) {
        this.told = told;
        this.students = students;
        this.events = events;
    }

    /** Oldest first. */
    public List<RoundPlayed> rounds(UUID student) {
        return told.rounds(student);
    }

    /** Oldest first. */
    public List<SelfCheck> checks(UUID student) {
        return told.checks(student);
    }

    /** Stores a round however often it is sent; an earlier edition after a later one is not taken. */
    @Transactional
    public void put(UUID student, RoundPlayed round, int edition) {
        students.lock(student);
        if (isNew(student, told.round(round.id()), edition)) told.put(student, round, edition);
        events.publishEvent(new StudentChanged(student));
    }

    /** The same of a self-check. */
    @Transactional
    public void put(UUID student, SelfCheck check, int edition) {
        students.lock(student);
        if (isNew(student, told.check(check.id()), edition)) told.put(student, check, edition);
        events.publishEvent(new StudentChanged(student));
    }

    private static boolean isNew(UUID student, Optional<Kept> before, int edition) {
        before.filter(kept -> !kept.student().equals(student)).ifPresent(other -> {
            throw new NotFound("entry");
        });
        return before.filter(kept -> kept.edition() > edition).isEmpty();
    }
}
