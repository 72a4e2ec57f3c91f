package app.hodegon.server.trace;

import app.hodegon.core.motion.Measured;
import app.hodegon.core.motion.Moment;
import app.hodegon.core.motion.Origin;
import app.hodegon.core.motion.SwingReading;
import app.hodegon.core.motion.Trouble;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Measure;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.Optional;

/** What was read in a swing's loads. */
public record TraceView(
        @NotNull List<SwingMomentView> moments,
        @NotNull List<MeasuredView> readings,
        @NotNull List<WarningView> warnings) {

    /**
     * @param time seconds from the first sample
     * @param from given, found, estimated or corrected
     * @param uncertainty ms
     */
    public record SwingMomentView(
            @NotNull String id,
            @NotNull double time,
            @NotNull String from,
            @NotNull double uncertainty) {

        public static SwingMomentView of(Moment moment) {
            return new SwingMomentView(
                    moment.at().id(),
                    rounded(moment.seconds(), 1e4),
                    moment.from().id(),
                    rounded(moment.uncertainty(), 10));
        }

        public Moment moment() {
            return new Moment(
                    Identified.of(Checkpoint.class, id), time, Identified.of(Origin.class, from), uncertainty);
        }
    }

    /**
     * @param at null for measures of the whole swing
     * @param uncertainty standard uncertainty in the measure's unit
     */
    public record MeasuredView(
            @NotNull String measure,
            String at,
            @NotNull double value,
            @NotNull double uncertainty) {

        static MeasuredView of(Measured measured) {
            return new MeasuredView(
                    measured.measure().id(),
                    measured.at().map(Checkpoint::id).orElse(null),
                    rounded(measured.value(), 100),
                    Math.max(0.01, rounded(measured.uncertainty(), 100)));
        }

        public Measured measured() {
            return new Measured(
                    Identified.of(Measure.class, measure),
                    Optional.ofNullable(at).map(a -> Identified.of(Checkpoint.class, a)),
                    value,
                    uncertainty);
        }
    }

    public record WarningView(@NotNull String code, @NotNull String text) {

        static WarningView of(Trouble trouble, Handedness hand) {
            return new WarningView(trouble.kind().id(), hand.say(trouble.text()));
        }
    }

    public static TraceView of(SwingReading reading, Handedness hand) {
        return new TraceView(
                reading.moments().stream().map(SwingMomentView::of).toList(),
                reading.readings().stream().map(MeasuredView::of).toList(),
                reading.troubles().stream().map(t -> WarningView.of(t, hand)).toList());
    }

    private static double rounded(double value, double parts) {
        return Math.round(value * parts) / parts;
    }
}
