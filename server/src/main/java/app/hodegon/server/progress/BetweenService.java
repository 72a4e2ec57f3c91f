package app.hodegon.server.progress;

import app.hodegon.core.practice.BetweenLessons;
import app.hodegon.core.practice.BetweenLessons.Series;
import app.hodegon.core.practice.BetweenLessons.Words;
import app.hodegon.core.practice.SameSwing;
import app.hodegon.core.practice.Tried;
import app.hodegon.server.lesson.StoredLesson;
import app.hodegon.server.plan.Plans;
import app.hodegon.server.practice.PracticeLog;
import app.hodegon.server.told.ToldLog;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** What practice tells by itself, and how often coach and student saw the same. */
@Service
class BetweenService {

    private final PracticeLog practice;
    private final ToldLog told;
    private final Plans plans;

    BetweenService(PracticeLog practice, ToldLog told, Plans plans) {
        this.practice = practice;
        this.told = told;
        this.plans = plans;
    }

    /**
     * All of it from one day on.
     *
     * @param lessons in which the same was asked of coach and student
     */
    List<Series> since(UUID student, LocalDate day, List<StoredLesson> lessons) {
        return BetweenLessons.of(
                new Words(
                        practice.since(student, day),
                        told.rounds(student).stream()
                                .filter(r -> !r.day().isBefore(day))
                                .toList(),
                        told.checks(student).stream()
                                .filter(c -> !c.day().isBefore(day))
                                .toList(),
                        lessons.stream().flatMap(BetweenService::sameSwings).toList()),
                plans.library(student));
    }

    private static Stream<SameSwing> sameSwings(StoredLesson lesson) {
        return lesson.tried().stream()
                .filter(t -> t.drill().isPresent())
                .flatMap(t -> t.same().stream()
                        .map(pair -> sameSwing(lesson.heldOn(), t.drill().get(), pair)));
    }

    private static SameSwing sameSwing(LocalDate day, String drill, Tried.Pair pair) {
        return new SameSwing(day, drill, pair.student(), pair.coach());
    }
}
