package app.hodegon.server.track;

import app.hodegon.core.swing.Handedness;
import app.hodegon.core.track.Ruler;
import app.hodegon.core.track.TrackReading;
import app.hodegon.server.trace.TraceView;
import jakarta.validation.constraints.NotNull;
import java.util.List;

/** What was read in a swing's film. */
public record TrackView(
        @NotNull String view,
        @NotNull RulerView scale,
        @NotNull List<TraceView.SwingMomentView> moments,
        @NotNull List<TraceView.MeasuredView> readings,
        @NotNull List<TraceView.WarningView> warnings) {

    /**
     * @param from marks, height, ball or none
     * @param pixelsPerCentimetre in the plane of the feet; null without a scale
     * @param uncertainty as a part of it
     */
    public record RulerView(@NotNull String from, Double pixelsPerCentimetre, Double uncertainty) {

        static RulerView of(Ruler ruler) {
            if (ruler.from() == Ruler.From.NONE)
                return new RulerView(ruler.from().id(), null, null);
            return new RulerView(ruler.from().id(), rounded(ruler.pixelsPerCentimetre()), rounded(ruler.uncertainty()));
        }

        private static double rounded(double value) {
            return Math.round(value * 1e4) / 1e4;
        }
    }

    public static TrackView of(TrackReading reading, Handedness hand) {
        TraceView swing = TraceView.of(reading.swing(), hand);
        return new TrackView(
                reading.view().id(),
                RulerView.of(reading.ruler()),
                swing.moments(),
                swing.readings(),
                swing.warnings());
    }
}
