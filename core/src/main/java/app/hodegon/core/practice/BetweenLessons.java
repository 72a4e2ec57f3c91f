package app.hodegon.core.practice;

import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Notice;
import app.hodegon.core.progress.Aim;
import app.hodegon.core.progress.Better;
import app.hodegon.core.progress.Comparison.Count;
import app.hodegon.core.swing.Ball;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Club;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Tally;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * What a student's practice tells by itself, measure by measure and day by day: balls, what was noticed, what stayed after
 * a gap, the card's answers, felt shares, and how often coach and student saw the same.
 */
public final class BetweenLessons {

    private BetweenLessons() {}

    /** What a series is of. */
    public sealed interface Subject {

        /**
         * How often a result came, of all balls of its kind.
         *
         * @param club with it only; empty for all
         */
        record OfBalls(BallResult result, Optional<Club> club) implements Subject {}

        /** How many sets of a drill had the answer that a good set has. */
        record Noticed(String drill) implements Subject {}

        /** How often student and coach gave the same answer on the same swing. */
        record Agreement(String drill) implements Subject {}

        /** How many of the first ten after a gap were good. */
        record FirstTen() implements Subject {}

        /** Of ten shots of a round, before how many the card's thought came to mind. */
        record Thought() implements Subject {}

        /** Of ten shots of a round, in how many it held. */
        record Held() implements Subject {}

        /** The load felt under the trail foot. */
        record FeltShare(Checkpoint at) implements Subject {}
    }

    /**
     * What came of one day.
     *
     * @param count empty for felt shares
     * @param reading empty for all else
     */
    public record Point(LocalDate day, Optional<Count> count, Optional<Reading> reading) {}

    /** @param points in the order of the days */
    public record Series(Subject subject, List<Point> points) {

        /** Which way would be an improvement; empty where it depends on the target. */
        public Optional<Better> better() {
            if (subject instanceof Subject.OfBalls balls) return Aim.of(balls.result());
            return subject instanceof Subject.FeltShare ? Optional.empty() : Optional.of(Better.HIGHER);
        }

        /** All days from one on up to another, together; empty where nothing was counted then. */
        public Optional<Count> between(LocalDate from, LocalDate until) {
            int hits = 0;
            int of = 0;
            for (Point point : points) {
                if (point.day().isBefore(from)
                        || point.day().isAfter(until)
                        || point.count().isEmpty()) continue;
                hits += point.count().get().hits();
                of += point.count().get().of();
            }
            return of == 0 ? Optional.empty() : Optional.of(new Count(hits, of));
        }

        /** Week by week from one day on up to another; empty where nothing was counted in a week. */
        public List<Optional<Count>> weeks(LocalDate from, LocalDate until) {
            List<Optional<Count>> weeks = new ArrayList<>();
            for (LocalDate week = from; !week.isAfter(until); week = week.plusWeeks(1)) {
                LocalDate last = week.plusDays(6);
                weeks.add(between(week, last.isAfter(until) ? until : last));
            }
            return weeks;
        }
    }

    /** What was told outside lessons, and what was told twice within one. */
    public record Words(
            List<PracticeSession> sessions, List<RoundPlayed> rounds, List<SelfCheck> checks, List<SameSwing> swings) {}

    /**
     * The series in the order of their subjects: what was noticed, agreement, the first ten, rounds, felt shares, balls, and
     * how each club is struck where there is more than one.
     *
     * @param library whose questions were answered; a drill it no longer has tells nothing
     */
    public static List<Series> of(Words words, DrillLibrary library) {
        Book balls = new Book();
        Book byClub = new Book();
        Book noticed = new Book();
        Book firstTen = new Book();
        for (PracticeSession session : words.sessions()) {
            for (BlockResult block : session.work()) {
                block.told().club().ifPresent(club -> byClub.solid(session.day(), block, club));
                notice(block, library).ifPresent(notice -> noticed.noticed(session.day(), block, notice));
                if (block.aside().equals(Optional.of(Aside.FIRST_TEN)) && block.judged() > 0) {
                    firstTen.add(new Subject.FirstTen(), session.day(), block.good(), block.judged());
                }
            }
            balls.add(session.day(), session.allBalls(), Optional.empty());
        }
        balls.keepWhatTurnedUp();
        Book agreed = new Book();
        words.swings().forEach(s -> agreed.add(new Subject.Agreement(s.drill()), s.day(), s.agreed() ? 1 : 0, 1));
        Book rounds = new Book();
        words.rounds().forEach(r -> {
            rounds.add(new Subject.Thought(), r.day(), r.thought(), RoundPlayed.OF);
            rounds.add(new Subject.Held(), r.day(), r.held(), RoundPlayed.OF);
        });
        return Stream.of(
                        Stream.of(noticed, agreed, firstTen, rounds).flatMap(Book::series),
                        felt(words.checks()),
                        balls.series(),
                        byClub.clubs() > 1 ? byClub.series() : Stream.<Series>empty())
                .flatMap(s -> s)
                .toList();
    }

    private static Optional<Notice> notice(BlockResult block, DrillLibrary library) {
        return library.has(block.drill()) ? library.drill(block.drill()).notice() : Optional.empty();
    }

    private static Stream<Series> felt(List<SelfCheck> checks) {
        return SelfCheck.MOMENTS.stream()
                .map(at -> new Series(
                        new Subject.FeltShare(at),
                        checks.stream()
                                .sorted(Comparator.comparing(SelfCheck::day))
                                .flatMap(check -> check.readings().stream()
                                        .filter(r -> r.at().equals(Optional.of(at)))
                                        .map(r -> new Point(check.day(), Optional.empty(), Optional.of(r))))
                                .toList()))
                .filter(series -> !series.points().isEmpty());
    }

    /** Counts by subject and day. */
    private static final class Book {

        private final Map<Subject, TreeMap<LocalDate, Count>> counts = new LinkedHashMap<>();

        void add(Subject subject, LocalDate day, int hits, int of) {
            counts.computeIfAbsent(subject, s -> new TreeMap<>())
                    .merge(day, new Count(hits, of), (a, b) -> new Count(a.hits() + b.hits(), a.of() + b.of()));
        }

        /** Of each club only how often it is struck well: every result of every club is more than anybody looks at. */
        void solid(LocalDate day, BlockResult block, Club club) {
            Tally tally = Ball.tally(block.told().balls());
            int of = tally.total(BallResult.Kind.STRIKE);
            if (of > 0) {
                add(new Subject.OfBalls(BallResult.SOLID, Optional.of(club)), day, tally.of(BallResult.SOLID), of);
            }
        }

        void add(LocalDate day, Tally tally, Optional<Club> club) {
            for (BallResult result : BallResult.values()) {
                int of = tally.total(result.kind());
                if (of > 0 && Aim.of(result).isPresent())
                    add(new Subject.OfBalls(result, club), day, tally.of(result), of);
            }
        }

        void noticed(LocalDate day, BlockResult block, Notice notice) {
            List<String> said =
                    block.told().noticed().stream().filter(n -> !n.isEmpty()).toList();
            if (said.isEmpty()) return;
            int right = (int) said.stream().filter(notice::isRight).count();
            add(new Subject.Noticed(block.drill()), day, right, said.size());
        }

        /** A result that never turned up is no story; of one that did, the days without it belong to it. */
        void keepWhatTurnedUp() {
            counts.values().removeIf(days -> days.values().stream().allMatch(c -> c.hits() == 0));
        }

        long clubs() {
            return counts.keySet().stream()
                    .flatMap(s -> ((Subject.OfBalls) s).club().stream())
                    .distinct()
                    .count();
        }

        Stream<Series> series() {
            return counts.entrySet().stream()
                    .map(e -> new Series(
                            e.getKey(),
                            e.getValue().entrySet().stream()
                                    .map(day -> new Point(day.getKey(), Optional.of(day.getValue()), Optional.empty()))
                                    .toList()));
        }
    }
}
