package app.hodegon.core.progress;

import app.hodegon.core.swing.BallResult;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What two lessons and the practice between them tell about one student.
 *
 * @param told the measures and tallies that belong to what was worked on
 * @param newResults bad ball results that the earlier lesson had not and this one has beyond chance, by name
 * @param shareDone reps done of those planned, 0 to 1 and more; empty where nothing was planned
 * @param due gates that half of such students would have passed by now, and those that are passed
 * @param passed how many of them are passed
 * @param ended whether every gate of the way up is passed
 * @param gone whether today's diagnosis finds all that was worked on unlikely
 * @param stopped names of drills that hurt and are stopped
 * @param practised what practice tells by itself, in sentences
 */
public record Evidence(
        List<Told> told,
        List<String> newResults,
        Optional<Double> shareDone,
        int due,
        int passed,
        boolean ended,
        boolean gone,
        List<String> stopped,
        List<String> practised) {

    /**
     * A measure or tally over two lessons.
     *
     * @param gain after the first lesson against before it; empty where one was not measured
     * @param kept before the second lesson against before the first; empty where one was not measured
     */
    public record Told(String name, Optional<Verdict> gain, Optional<Verdict> kept) {}

    /**
     * What first balls against first balls tell of the work. What looks worse, but not among all that was compared, counts
     * as not told yet.
     *
     * @param gained the changes within the earlier lesson
     * @param name how a change is called
     */
    public static List<Told> told(Changes kept, List<Change> gained, Function<Change, String> name) {
        Set<Object> surelyWorse = kept.surelyWorse();
        Map<Object, Verdict> gains = gained.stream().collect(Collectors.toMap(Change::subject, Change::verdict));
        return kept.list().stream()
                .filter(Change::concerns)
                .map(change -> new Told(
                        name.apply(change),
                        Optional.ofNullable(gains.get(change.subject())),
                        Optional.of(
                                change.verdict() == Verdict.WORSE && !surelyWorse.contains(change.subject())
                                        ? Verdict.CANNOT_TELL
                                        : change.verdict())))
                .toList();
    }

    /** Bad ball results that were not there at all and now surely are. */
    public static List<BallResult> fresh(Changes kept) {
        Set<Object> surelyWorse = kept.surelyWorse();
        return kept.list().stream()
                .filter(change -> surelyWorse.contains(change.subject()))
                .flatMap(change ->
                        change instanceof Change.OfBalls balls && balls.then().hits() == 0
                                ? Stream.of(balls.result())
                                : Stream.empty())
                .toList();
    }

    public Evidence {
        told = List.copyOf(told);
        newResults = List.copyOf(newResults);
        stopped = List.copyOf(stopped);
        practised = List.copyOf(practised);
        if (passed < 0 || passed > due) throw new IllegalArgumentException("passed must be 0 to " + due + ".");
    }
}
