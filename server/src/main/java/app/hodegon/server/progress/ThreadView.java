package app.hodegon.server.progress;

import app.hodegon.core.progress.Target;
import app.hodegon.core.swing.Units.Scale;
import app.hodegon.server.plan.Done;
import app.hodegon.server.progress.ChangeView.DistanceView;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/**
 * A student's history.
 *
 * @param knots the last lessons, oldest first
 * @param between what practice tells by itself
 * @param all how many lessons there are
 */
record ThreadView(
        @NotNull List<Series> series,
        @NotNull List<Knot> knots,
        @NotNull List<BetweenView> between,
        @NotNull int all) {

    /**
     * @param tries what a point counts: balls or swings
     * @param better higher, lower, or null where it depends on the target
     * @param target where it should lie, as the last lesson was taught; null where nothing is agreed
     */
    record Series(
            @NotNull String id,
            @NotNull String label,
            @NotNull String unit,
            @NotNull String tries,
            String better,
            TargetView target) {}

    /**
     * @param low and high: the edges; null where there is none
     */
    record TargetView(Double low, Double high) {

        static TargetView of(Target target, Scale scale) {
            return new TargetView(finite(target.low(), scale), finite(target.high(), scale));
        }

        private static Double finite(double edge, Scale scale) {
            return Double.isInfinite(edge) ? null : scale.factor() * edge;
        }
    }

    /**
     * A lesson with what followed it.
     *
     * @param before and after: points by series
     * @param done practice of this lesson's plan so far; null without one
     */
    record Knot(
            @NotNull UUID lessonId,
            @NotNull LocalDate heldOn,
            @NotNull List<String> focus,
            @NotNull Map<String, Point> before,
            @NotNull Map<String, Point> after,
            LocalDate nextLesson,
            Done done) {}

    /**
     * @param low and high: 95 % interval
     * @param of swings or balls behind it
     * @param distance to the target; null where there is none
     */
    record Point(
            @NotNull double value,
            @NotNull double low,
            @NotNull double high,
            @NotNull int of,
            DistanceView distance) {}
}
