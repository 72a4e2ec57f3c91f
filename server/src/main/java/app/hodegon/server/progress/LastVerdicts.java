package app.hodegon.server.progress;

import app.hodegon.core.progress.Evidence.Told;
import app.hodegon.core.progress.Verdict;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Repeatability;
import app.hodegon.core.swing.Units;
import app.hodegon.server.approach.Approaches;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.lesson.StoredLesson;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** What the last lesson said of what was worked on, for many students at once. */
@Service
public class LastVerdicts {

    private final Lessons lessons;
    private final ProgressService progress;
    private final Approaches approaches;
    private final Map<UUID, Kept> kept = new ConcurrentHashMap<>();

    LastVerdicts(Lessons lessons, ProgressService progress, Approaches approaches) {
        this.lessons = lessons;
        this.progress = progress;
        this.approaches = approaches;
    }

    /**
     * @param name of the measure or tally
     * @param verdict id
     */
    public record Last(String name, String verdict) {}

    /** All a verdict rests on. */
    private record Basis(Lessons.Head then, Lessons.Head now, Handedness hand, Repeatability repeatability) {}

    private record Kept(Basis basis, Optional<Last> last) {}

    /**
     * By student; one with fewer than two measured lessons, or nothing in common between them, has none. Lessons are read
     * only where one was saved since it was last asked for.
     *
     * @param hands of the students, all of one coach
     * @param since only lessons from that day on say something
     */
    public Map<UUID, Last> of(UUID coach, Map<UUID, Handedness> hands, LocalDate since) {
        var repeatability = approaches.repeatability(coach);
        Map<UUID, Basis> bases = new HashMap<>();
        lessons.lastMeasured(hands.keySet(), since, 2).stream()
                .collect(Collectors.groupingBy(Lessons.Head::studentId))
                .forEach((student, latestFirst) -> {
                    if (latestFirst.size() == 2)
                        bases.put(
                                student,
                                new Basis(latestFirst.get(1), latestFirst.get(0), hands.get(student), repeatability));
                });
        readMissing(bases);
        Map<UUID, Last> last = new HashMap<>();
        bases.keySet()
                .forEach(student -> Optional.ofNullable(kept.get(student))
                        .flatMap(Kept::last)
                        .ifPresent(l -> last.put(student, l)));
        return last;
    }

    private void readMissing(Map<UUID, Basis> bases) {
        Map<UUID, Basis> missing = new HashMap<>(bases);
        missing.entrySet()
                .removeIf(one -> kept.containsKey(one.getKey())
                        && kept.get(one.getKey()).basis().equals(one.getValue()));
        if (missing.isEmpty()) return;
        Map<UUID, StoredLesson> read = lessons
                .all(missing.values().stream()
                        .flatMap(basis ->
                                Stream.of(basis.then().id(), basis.now().id()))
                        .toList())
                .stream()
                .collect(Collectors.toMap(StoredLesson::id, lesson -> lesson));
        missing.forEach((student, basis) -> {
            StoredLesson then = read.get(basis.then().id());
            StoredLesson now = read.get(basis.now().id());
            // Changed or erased between the two looks: asked again next time.
            if (then == null || now == null) kept.remove(student);
            else kept.put(student, new Kept(basis, last(then, now, basis)));
        });
    }

    private Optional<Last> last(StoredLesson then, StoredLesson now, Basis basis) {
        // Names alone are taken: nobody's units matter.
        Said said = new Said(basis.hand(), Units.METRIC, basis.repeatability());
        return telling(progress.told(then, now, said))
                .map(told -> new Last(told.name(), told.kept().orElseThrow().id()));
    }

    /** The one that says most: a change before none. */
    private static Optional<Told> telling(List<Told> told) {
        List<Told> kept = told.stream().filter(t -> t.kept().isPresent()).toList();
        return kept.stream()
                .filter(t -> t.kept().get() != Verdict.CANNOT_TELL)
                .findFirst()
                .or(() -> kept.stream().findFirst());
    }
}
