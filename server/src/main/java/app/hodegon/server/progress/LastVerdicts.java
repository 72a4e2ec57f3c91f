package app.hodegon.server.progress;

import app.hodegon.core.progress.Evidence.Told;
import app.hodegon.core.progress.Verdict;
import app.hodegon.core.swing.Handedness;
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
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** What the last lesson said of what was worked on, for many students at once. */
@Service
public class LastVerdicts {

    private final Lessons lessons;
    private final ProgressService progress;
    private final Approaches approaches;

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

    /**
     * By student; one with fewer than two measured lessons, or nothing in common between them, has none.
     *
     * @param hands of the students, all of one coach
     * @param since only lessons from that day on say something
     */
    public Map<UUID, Last> of(UUID coach, Map<UUID, Handedness> hands, LocalDate since) {
        var repeatability = approaches.repeatability(coach);
        Map<UUID, List<StoredLesson>> two = lessons.lastMeasured(hands.keySet(), since, 2).stream()
                .collect(Collectors.groupingBy(StoredLesson::studentId));
        Map<UUID, Last> last = new HashMap<>();
        two.forEach((student, latestFirst) -> {
            if (latestFirst.size() < 2) return;
            // Names alone are taken: nobody's units matter.
            Said said = new Said(hands.get(student), Units.METRIC, repeatability);
            telling(progress.told(latestFirst.get(1), latestFirst.get(0), said))
                    .ifPresent(told -> last.put(
                            student,
                            new Last(told.name(), told.kept().orElseThrow().id())));
        });
        return last;
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
