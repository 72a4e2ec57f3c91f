package app.hodegon.server.practice;

import app.hodegon.core.plan.Student;
import app.hodegon.core.practice.HouseReps;
import app.hodegon.server.http.Failure;
import java.time.Clock;
import java.time.LocalDate;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;

/**
 * What the house has learnt of its own students' practice. It is worked out beside everything else now and then: what one
 * evening adds can wait.
 */
@Service
public class House {

    private static final Logger LOG = LoggerFactory.getLogger(House.class);

    /** Practice from before tells of another house. */
    private static final int MONTHS = 24;

    private final PracticeRepository practice;
    private final Clock clock;
    private volatile HouseReps learnt = HouseReps.NONE;

    House(PracticeRepository practice, Clock clock) {
        this.practice = practice;
        this.clock = clock;
    }

    @Scheduled(initialDelay = 2, fixedDelay = 60, timeUnit = TimeUnit.MINUTES)
    void learn() {
        try {
            learnt = HouseReps.of(practice.ofHouse(LocalDate.now(clock).minusMonths(MONTHS)));
        } catch (RuntimeException failed) {
            LOG.error("What the house learns could not be worked out: {}", Failure.without(failed));
        }
    }

    /** What is learnt by now. */
    public HouseReps learnt() {
        return learnt;
    }

    /** The same student, of whose level the house has learnt what it needs. */
    public Student knowing(Student student) {
        return student.needing(learnt.at(student.level()));
    }
}
