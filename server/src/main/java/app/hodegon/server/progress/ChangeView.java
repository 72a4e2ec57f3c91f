package app.hodegon.server.progress;

import app.hodegon.core.progress.Change;
import app.hodegon.core.progress.Comparison.Count;
import app.hodegon.core.progress.Distance;
import app.hodegon.core.progress.Sample;
import app.hodegon.core.progress.Saying;
import app.hodegon.core.progress.Spread;
import app.hodegon.core.swing.Units.Scale;
import jakarta.validation.constraints.NotNull;

/**
 * A tally, a measure or a figure of measured balls, then and now, as it is said for a student.
 *
 * @param unit of the difference, the student's own; for balls the difference is a share of one
 * @param tries what more of would tell: balls or swings
 * @param past whether it went past what is wanted to the other side; the verdict is on how far it lies from it
 * @param concerns whether it tells of what was worked on
 * @param gain the change within the earlier lesson; null where it was not measured after it
 * @param lost from the end of the earlier lesson to now; null where it was not measured after it
 * @param comparison what was kept: first balls against first balls
 * @param distance of the present value to its target; null where there is none
 * @param spread of measured balls; null for the rest
 * @param said in words for the student
 */
record ChangeView(
        @NotNull String id,
        @NotNull String label,
        @NotNull String unit,
        @NotNull String tries,
        @NotNull String then,
        @NotNull String now,
        @NotNull boolean past,
        @NotNull boolean concerns,
        ComparisonView gain,
        ComparisonView lost,
        @NotNull ComparisonView comparison,
        DistanceView distance,
        SpreadView spread,
        @NotNull String said) {

    static final String BALLS = "balls";
    static final String SWINGS = "swings";

    /**
     * @param value 0 on target, else the way to its nearer edge, negative below it
     * @param where inside, across or outside: where the value's interval lies
     */
    record DistanceView(@NotNull double value, @NotNull String where) {

        static DistanceView of(Distance distance, Scale scale) {
            return new DistanceView(
                    scale.factor() * distance.value(), distance.where().id());
        }
    }

    /**
     * @param then and now: median of the distances from the median
     * @param p chance of such a difference if both scatter alike
     */
    record SpreadView(
            @NotNull double then,
            @NotNull double now,
            @NotNull double p,
            @NotNull String verdict) {

        static SpreadView of(Spread spread, Scale scale) {
            return new SpreadView(
                    scale.factor() * spread.first(),
                    scale.factor() * spread.second(),
                    spread.p(),
                    spread.verdict().id());
        }
    }

    static ChangeView of(Change change, Said said) {
        // The language level has no patterns in switch yet.
        if (change instanceof Change.OfBalls balls) return of(balls, said);
        if (change instanceof Change.OfReading reading) return of(reading, said);
        return of((Change.OfShots) change, said);
    }

    private static ChangeView of(Change.OfBalls balls, Said said) {
        String then = count(balls.then());
        String now = count(balls.now());
        return new ChangeView(
                balls.result().kind().id() + ":" + balls.result().id(),
                said.label(balls),
                BALLS,
                BALLS,
                then,
                now,
                balls.past(),
                balls.concerns(),
                null,
                null,
                ComparisonView.of(balls.comparison()),
                null,
                null,
                said(balls, then, now, BALLS));
    }

    private static String said(Change change, String then, String now, String tries) {
        return change.past()
                ? Saying.past(then, now, change.comparison())
                : Saying.of(then, now, change.comparison(), tries);
    }

    private static String count(Count count) {
        return count.hits() + " of " + count.of();
    }

    private static ChangeView of(Change.OfReading reading, Said said) {
        Scale scale = said.scale(reading.then());
        String then = said.value(reading.then());
        String now = said.value(reading.now());
        return new ChangeView(
                Said.series(reading.then()),
                said.label(reading),
                scale.unit(),
                SWINGS,
                then,
                now,
                reading.past(),
                reading.concerns(),
                null,
                null,
                ComparisonView.of(reading.comparison(), scale),
                reading.distance().map(d -> DistanceView.of(d, scale)).orElse(null),
                null,
                said(reading, then, now, SWINGS));
    }

    private static ChangeView of(Change.OfShots shots, Said said) {
        Scale scale = said.units().of(shots.figure().unit());
        String then = mean(shots.then(), scale);
        String now = mean(shots.now(), scale);
        return new ChangeView(
                shots.figure().id() + "/" + shots.club(),
                said.label(shots),
                scale.unit(),
                BALLS,
                then,
                now,
                shots.past(),
                shots.concerns(),
                null,
                null,
                ComparisonView.of(shots.comparison(), scale),
                null,
                shots.spread().map(s -> SpreadView.of(s, scale)).orElse(null),
                said(shots, then, now, BALLS)
                        + shots.spread().map(s -> " " + Saying.of(s)).orElse(""));
    }

    private static String mean(Sample sample, Scale scale) {
        return "%s %s (median %s, %d balls)"
                .formatted(
                        Said.number(scale.factor() * sample.mean()),
                        scale.unit(),
                        Said.number(scale.factor() * sample.median()),
                        sample.n());
    }

    ChangeView with(ChangeView gained, ChangeView lostAgain) {
        return new ChangeView(
                id,
                label,
                unit,
                tries,
                then,
                now,
                past,
                concerns,
                gained == null ? null : gained.comparison,
                lostAgain == null ? null : lostAgain.comparison,
                comparison,
                distance,
                spread,
                said);
    }
}
