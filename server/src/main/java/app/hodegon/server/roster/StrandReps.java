package app.hodegon.server.roster;

import app.hodegon.server.roster.StrandRepository.Reps;
import app.hodegon.server.student.StudentChanged;
import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.event.TransactionalEventListener;

/** Reps by student and day, read anew only of students of whom something was written since. */
@Service
class StrandReps {

    private final StrandRepository strands;
    private final Map<UUID, Long> writes = new ConcurrentHashMap<>();
    private final Map<UUID, Kept> kept = new ConcurrentHashMap<>();

    /**
     * @param writes of the student, counted before the reps were read: a write that came in between makes them old
     */
    private record Kept(LocalDate from, long writes, Reps reps) {}

    StrandReps(StrandRepository strands) {
        this.strands = strands;
    }

    @TransactionalEventListener(fallbackExecution = true)
    void on(StudentChanged changed) {
        writes.merge(changed.student(), 1L, Long::sum);
    }

    /** From that day on, planned days to come among them. */
    Map<UUID, Reps> since(LocalDate from, Collection<UUID> students) {
        Map<UUID, Long> before = new HashMap<>();
        students.forEach(s -> before.put(s, writes.getOrDefault(s, 0L)));
        List<UUID> old = students.stream()
                .filter(s -> {
                    Kept known = kept.get(s);
                    return known == null
                            || known.writes() != before.get(s)
                            || !known.from().equals(from);
                })
                .toList();
        if (!old.isEmpty()) {
            Map<UUID, Reps> read = strands.reps(old, from);
            old.forEach(s -> kept.put(s, new Kept(from, before.get(s), read.getOrDefault(s, Reps.NONE))));
        }
        Map<UUID, Reps> reps = new HashMap<>();
        students.forEach(s -> reps.put(s, kept.get(s).reps()));
        return reps;
    }
}
