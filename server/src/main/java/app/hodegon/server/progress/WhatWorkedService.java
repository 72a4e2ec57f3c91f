package app.hodegon.server.progress;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.practice.Ladder;
import app.hodegon.core.progress.Outcome;
import app.hodegon.core.progress.Proposal.Kind;
import app.hodegon.core.progress.WhatWorked;
import app.hodegon.core.progress.WhatWorked.Tried;
import app.hodegon.core.swing.Units;
import app.hodegon.server.account.Account;
import app.hodegon.server.approach.Approaches;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.lesson.StoredLesson;
import app.hodegon.server.plan.Plans;
import app.hodegon.server.plan.Promise;
import app.hodegon.server.plan.PromisedGate;
import app.hodegon.server.practice.PracticeLog;
import app.hodegon.server.practice.Worked;
import app.hodegon.server.student.StoredStudent;
import app.hodegon.server.student.Students;
import app.hodegon.server.student.Whose;
import app.hodegon.server.zone.Today;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** What worked for whom: by drill of a fault, gates passed by the day promised, and lessons that found it better. */
@Service
class WhatWorkedService {

    private final Plans plans;
    private final PracticeLog practice;
    private final Lessons lessons;
    private final Students students;
    private final ProgressService progress;
    private final Approaches approaches;
    private final Today today;

    WhatWorkedService(
            Plans plans,
            PracticeLog practice,
            Lessons lessons,
            Students students,
            ProgressService progress,
            Approaches approaches,
            Today today) {
        this.plans = plans;
        this.practice = practice;
        this.lessons = lessons;
        this.students = students;
        this.progress = progress;
        this.approaches = approaches;
        this.today = today;
    }

    /**
     * @param whose students
     * @param gates with each drill, those passed by the day promised among those promised by now
     * @param better with each drill, lessons that found something better and nothing worse, among those that could tell
     */
    record Told(Whose whose, WhatWorked gates, WhatWorked better) {}

    Told of(Account coach, Fault fault) {
        Whose whose = students.whose(coach);
        List<Promise> promises = plans.promises(whose, fault);
        Map<UUID, List<Worked>> worked = practice
                .worked(promises.stream().map(Promise::plan).toList(), fault)
                .stream()
                .collect(Collectors.groupingBy(Worked::plan));
        Map<UUID, StoredStudent> who = new HashMap<>();
        promises.forEach(p -> who.computeIfAbsent(p.student(), students::byId));
        List<Practised> all = promises.stream()
                .filter(p -> worked.containsKey(p.plan()))
                .map(p -> new Practised(p, who.get(p.student()), worked.get(p.plan()), coach.id()))
                .toList();
        return new Told(whose, WhatWorked.of(gates(all)), WhatWorked.of(better(all)));
    }

    /** What was promised of a fault and practised. */
    private record Practised(Promise promise, StoredStudent student, List<Worked> worked, UUID coach) {

        Practised and(Practised other) {
            return new Practised(
                    promise,
                    student,
                    Stream.concat(worked.stream(), other.worked.stream()).toList(),
                    coach);
        }

        /** The drills practised where that holds; another coach's own are left out: their names are that coach's. */
        List<Tried> tried(Predicate<Worked> where, boolean success) {
            return worked.stream()
                    .filter(where)
                    .map(Worked::drill)
                    .filter(drill -> student.coachId().equals(coach)
                            || DrillLibrary.standard().has(drill))
                    .distinct()
                    .map(drill -> new Tried(drill, success))
                    .toList();
        }
    }

    private List<Tried> gates(List<Practised> all) {
        Map<UUID, Ladder> ladders = new HashMap<>();
        List<Tried> tried = new ArrayList<>();
        for (Practised one : all) {
            UUID student = one.promise().student();
            Ladder ladder = ladders.computeIfAbsent(student, practice::ladder);
            LocalDate now = today.ofStudent(student);
            for (PromisedGate promised : one.promise().gates()) {
                ladder.on(promised.id())
                        .flatMap(state -> promised.inTime(state, one.promise().from(), now))
                        .ifPresent(inTime -> tried.addAll(
                                one.tried(w -> w.rung() == promised.id().rung(), inTime)));
            }
        }
        return tried;
    }

    private List<Tried> better(List<Practised> all) {
        // A plan handed over a second time goes on with the first.
        Map<UUID, Practised> byLesson = all.stream()
                .collect(Collectors.toMap(
                        p -> p.promise().lesson(), Function.identity(), Practised::and, LinkedHashMap::new));
        Set<UUID> ids = byLesson.keySet();
        Map<UUID, StoredLesson> at = lessons.all(ids).stream().collect(Collectors.toMap(StoredLesson::id, l -> l));
        Map<UUID, StoredLesson> next = lessons.following(ids);
        List<Tried> tried = new ArrayList<>();
        for (Practised one : byLesson.values()) {
            StoredLesson now = next.get(one.promise().lesson());
            if (now == null) continue;
            Said said = new Said(
                    one.student().hand(),
                    Units.METRIC,
                    approaches.repeatability(one.student().coachId()));
            Outcome outcome =
                    Outcome.of(Kind.GO_ON, progress.told(at.get(one.promise().lesson()), now, said));
            if (outcome != Outcome.OPEN) tried.addAll(one.tried(w -> true, outcome == Outcome.BORNE_OUT));
        }
        return tried;
    }
}
