package app.hodegon.core.progress;

import app.hodegon.core.diagnosis.Diagnosis;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Grade;
import app.hodegon.core.diagnosis.Unexplained;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Tally;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What two lessons and the practice between them tell about one student.
 *
 * @param told the measures and tallies that belong to what was worked on
 * @param newResults bad ball results that the earlier lesson had not and this one has beyond chance, by name
 * @param work what became of the plan
 * @param today what today's diagnosis says of it
 * @param stopped names of drills that hurt and are stopped
 * @param practised what practice tells by itself, in sentences
 */
public record Evidence(
        List<Told> told,
        List<String> newResults,
        Work work,
        Today today,
        List<String> stopped,
        List<String> practised) {

    /**
     * A measure or tally over two lessons.
     *
     * @param gain after the first lesson against before it; empty where one was not measured
     * @param kept before the second lesson against before the first; empty where one was not measured
     * @param toTell how many more of it each time would tell; empty where it is told, or no reasonable number would
     */
    public record Told(String name, Optional<Verdict> gain, Optional<Verdict> kept, OptionalInt toTell) {

        /** Of which nobody knows how many more would tell. */
        public Told(String name, Optional<Verdict> gain, Optional<Verdict> kept) {
            this(name, gain, kept, OptionalInt.empty());
        }
    }

    /**
     * What became of a plan.
     *
     * @param share reps done of those planned, 0 to 1 and more; empty where nothing was planned
     * @param due gates that half of such students would have passed by now, and those that are passed
     * @param passed how many of them are passed
     * @param ended whether every gate of the way up is passed
     * @param atOnce whether the gates passed fell at their first checks
     * @param rising good reps of the checks on a gate not passed, in order, where they rise beyond chance; else empty
     * @param before what was done at the lesson before that; empty for the first
     * @param tellsOtherwise whether another drill would tell otherwise and be the main work of most days; asked only where
     *     it matters
     */
    public record Work(
            Optional<Double> share,
            int due,
            int passed,
            boolean ended,
            boolean atOnce,
            List<Integer> rising,
            Optional<Proposal.Kind> before,
            BooleanSupplier tellsOtherwise) {

        public Work {
            rising = List.copyOf(rising);
            if (passed < 0 || passed > due) throw new IllegalArgumentException("passed must be 0 to " + due + ".");
        }
    }

    /**
     * What today's diagnosis says of what was worked on.
     *
     * @param gone whether all of it is unlikely
     * @param likely whether any of it is likely
     * @param next whether there is another fault to go on to
     * @param unexplained balls that no likely fault explains, in sentences
     * @param instead what is likely where the first of it is unlikely, each side in sentences; empty without such a conflict
     */
    public record Today(boolean gone, boolean likely, boolean next, List<String> unexplained, List<String> instead) {

        /** From so many balls on, and from this share of them astray on, a swing is not done. */
        private static final int BALLS = 6;

        private static final double ASTRAY = 0.5;

        /**
         * @param worked what the last lesson chose, one or two
         * @param shots the balls that today's diagnosis rests on
         */
        public static Today of(List<Fault> worked, Diagnosis now, Tally shots) {
            return new Today(
                    worked.stream().allMatch(f -> now.of(f).grade() == Grade.UNLIKELY),
                    worked.stream().anyMatch(f -> now.of(f).grade() == Grade.LIKELY),
                    NextPlan.hasNext(worked, now),
                    unexplained(now, shots),
                    NextPlan.instead(worked, now));
        }

        private static List<String> unexplained(Diagnosis now, Tally shots) {
            if (!now.unexplained().isEmpty()) {
                return now.unexplained().stream().map(Unexplained::sentence).toList();
            }
            if (!now.focus().isEmpty()) return List.of();
            List<String> astray = new ArrayList<>();
            for (BallResult.Kind kind : List.of(BallResult.Kind.FLIGHT, BallResult.Kind.STRIKE)) {
                int of = shots.total(kind);
                int hits = BallResult.of(kind).stream()
                        .filter(r ->
                                Aim.of(r).filter(aim -> aim == Better.LOWER).isPresent())
                        .mapToInt(shots::of)
                        .sum();
                if (of >= BALLS && hits >= ASTRAY * of) {
                    astray.add("%d of %d balls still %s, and nothing likely explains it."
                            .formatted(hits, of, kind == BallResult.Kind.FLIGHT ? "go astray" : "are struck badly"));
                }
            }
            return astray;
        }

        public Today {
            unexplained = List.copyOf(unexplained);
            instead = List.copyOf(instead);
        }
    }

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
                                        : change.verdict()),
                        change.comparison().worthAsking()))
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
    }
}
