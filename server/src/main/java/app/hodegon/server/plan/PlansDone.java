package app.hodegon.server.plan;

import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.lesson.WorkDone;
import app.hodegon.server.practice.DayDone;
import app.hodegon.server.practice.PracticeLog;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** The reps done of those planned, from lesson to lesson. */
@Component
class PlansDone implements WorkDone {

    private final PlanRepository plans;
    private final PracticeLog practice;

    PlansDone(PlanRepository plans, PracticeLog practice) {
        this.plans = plans;
        this.practice = practice;
    }

    @Override
    public Map<UUID, Double> shares(List<Lessons.Held> lessons, LocalDate until) {
        List<PlanHead> heads =
                plans.heads(lessons.stream().map(Lessons.Held::id).toList());
        Map<UUID, List<DayDone>> days =
                practice.days(heads.stream().map(PlanHead::id).toList());
        Map<UUID, Double> shares = new HashMap<>();
        for (int i = 0; i < lessons.size(); i++) {
            UUID lesson = lessons.get(i).id();
            LocalDate next = i + 1 < lessons.size() ? lessons.get(i + 1).on() : until;
            Optional<Double> share = PlanHead.of(lesson, heads)
                    .map(plan -> Done.of(plan.planned(), days.getOrDefault(plan.id(), List.of()), next))
                    .flatMap(Done::share);
            share.ifPresent(done -> shares.put(lesson, done));
        }
        return shares;
    }
}
