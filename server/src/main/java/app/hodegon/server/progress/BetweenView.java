package app.hodegon.server.progress;

import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.practice.BetweenLessons.Series;
import app.hodegon.core.practice.BetweenLessons.Subject;
import app.hodegon.core.progress.Comparison.Count;
import app.hodegon.core.progress.Estimate;
import app.hodegon.core.swing.Club;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * What practice tells of one thing, day by day.
 *
 * @param tries what a point counts: balls, sets, reps, swings or shots
 * @param better higher, lower, or null where it depends on the target
 */
record BetweenView(
        @NotNull String id,
        @NotNull String label,
        @NotNull String unit,
        @NotNull String tries,
        String better,
        @NotNull List<DayPoint> points) {

    /**
     * @param low and high: 95 % interval
     * @param of how many are behind it
     */
    record DayPoint(
            @NotNull LocalDate day,
            @NotNull double value,
            @NotNull double low,
            @NotNull double high,
            @NotNull int of) {}

    static BetweenView of(Series series, DrillLibrary library, Said said) {
        Subject subject = series.subject();
        return new BetweenView(
                id(subject),
                label(subject, library, said),
                "%",
                tries(subject),
                series.better().map(b -> b.id()).orElse(null),
                series.points().stream()
                        .flatMap(p -> p
                                .count()
                                .map(c -> point(p.day(), Estimate.of(c), c.of()))
                                .or(() -> p.reading()
                                        .flatMap(r -> Estimate.of(r, said.repeatability()))
                                        .map(e -> point(p.day(), e, 1)))
                                .stream())
                        .toList());
    }

    private static DayPoint point(LocalDate day, Estimate estimate, int of) {
        return new DayPoint(day, tenth(estimate.value()), tenth(estimate.low()), tenth(estimate.high()), of);
    }

    private static double tenth(double value) {
        return Math.round(10 * value) / 10.0;
    }

    private static String id(Subject subject) {
        if (subject instanceof Subject.OfBalls balls) {
            return "practice:" + balls.result().kind().id() + ":"
                    + balls.result().id() + balls.club().map(c -> "/" + c.id()).orElse("");
        }
        if (subject instanceof Subject.Noticed noticed) return "noticed:" + noticed.drill();
        if (subject instanceof Subject.Agreement agreement) return "agreement:" + agreement.drill();
        if (subject instanceof Subject.FeltShare felt)
            return "felt:" + felt.at().id();
        if (subject instanceof Subject.FirstTen) return "first-ten";
        return subject instanceof Subject.Thought ? "round:thought" : "round:held";
    }

    static String label(Subject subject, DrillLibrary library, Said said) {
        if (subject instanceof Subject.OfBalls balls) {
            return "Practice balls: " + balls.result().label()
                    + balls.club()
                            .map(Club::label)
                            .map(c -> ", " + c.toLowerCase())
                            .orElse("");
        }
        if (subject instanceof Subject.Noticed noticed) return "Noticed right: " + name(noticed.drill(), library);
        if (subject instanceof Subject.Agreement agreement) {
            return "Same answer as the coach: " + name(agreement.drill(), library);
        }
        if (subject instanceof Subject.FeltShare felt) {
            return said.hand()
                    .say("Felt at home: load under the {trail} foot, "
                            + felt.at().label().toLowerCase());
        }
        if (subject instanceof Subject.FirstTen) return "First ten after days without practice";
        return subject instanceof Subject.Thought ? "On the course: thought of it" : "On the course: it held";
    }

    private static String name(String drill, DrillLibrary library) {
        return library.has(drill) ? library.drill(drill).name() : drill;
    }

    static String tries(Subject subject) {
        if (subject instanceof Subject.OfBalls) return ChangeView.BALLS;
        if (subject instanceof Subject.Noticed) return "sets";
        if (subject instanceof Subject.FirstTen) return "reps";
        return subject instanceof Subject.Agreement || subject instanceof Subject.FeltShare
                ? ChangeView.SWINGS
                : "shots";
    }

    /**
     * Some days of it taken together.
     *
     * @param few whether it is too little to lean on
     * @param weeks week by week from the first day on; none of a week in which nothing was counted
     */
    record Sum(
            @NotNull String id,
            @NotNull String label,
            @NotNull int hits,
            @NotNull int of,
            @NotNull String tries,
            @NotNull double low,
            @NotNull double high,
            @NotNull boolean few,
            @NotNull List<Week> weeks) {

        /** Under so many the interval is wider than anything it could tell. */
        private static final int FEW = 10;

        static Optional<Sum> of(Series series, LocalDate from, LocalDate until, DrillLibrary library, Said said) {
            return series.between(from, until)
                    .map(count -> of(series.subject(), count, series.weeks(from, until), library, said));
        }

        private static Sum of(
                Subject subject, Count count, List<Optional<Count>> weeks, DrillLibrary library, Said said) {
            Estimate share = Estimate.of(count);
            return new Sum(
                    BetweenView.id(subject),
                    BetweenView.label(subject, library, said),
                    count.hits(),
                    count.of(),
                    BetweenView.tries(subject),
                    share.low(),
                    share.high(),
                    count.of() < FEW,
                    IntStream.range(0, weeks.size())
                            .boxed()
                            .flatMap(week -> weeks.get(week).stream().map(c -> new Week(week + 1, c.hits(), c.of())))
                            .toList());
        }

        /** @param week 1 for the first */
        record Week(
                @NotNull int week,
                @NotNull int hits,
                @NotNull int of) {}

        /** In a sentence for the coach. */
        String sentence() {
            return "%s: %d of %d %s (%.0f to %.0f %%)%s."
                    .formatted(label, hits, of, tries, low, high, few ? ", few yet" : "");
        }
    }
}
