package app.hodegon.server.trace;

import app.hodegon.core.motion.KeptSwings;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.server.trace.TraceView.MeasuredView;
import app.hodegon.server.trace.TraceView.SwingMomentView;
import app.hodegon.server.trace.TraceView.WarningView;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.UUID;

/**
 * The swings of a lesson, and what the kept ones say together.
 *
 * @param ownSpread whether the spread of these swings counts in place of what is assumed
 * @param readingFrom so many kept swings make a reading
 * @param spreadFrom and from so many their spread can be told
 */
record SwingsView(
        @NotNull List<SwingView> swings,
        @NotNull List<TraceFileView> files,
        @NotNull List<JointView> measured,
        @NotNull boolean ownSpread,
        @NotNull int readingFrom,
        @NotNull int spreadFrom) {

    /** @param swings how many it brought */
    record TraceFileView(
            @NotNull UUID id,
            @NotNull String name,
            @NotNull String stage,
            @NotNull int swings) {}

    /** The kept swings of an earlier lesson. */
    record EarlierSwings(@NotNull LocalDate heldOn, @NotNull List<SwingView> swings) {}

    /**
     * @param state heard, kept or thrown
     * @param spark trail share at even steps, %
     */
    record SwingView(
            @NotNull UUID id,
            @NotNull int number,
            @NotNull String stage,
            @NotNull String state,
            @NotNull OffsetDateTime heardAt,
            @NotNull String device,
            @NotNull double rate,
            @NotNull double seconds,
            @NotNull List<SwingMomentView> moments,
            @NotNull List<MeasuredView> readings,
            @NotNull List<WarningView> warnings,
            @NotNull List<Integer> spark)
            implements KeptMeasures.MeasuredSwing {}

    /**
     * @param at null for measures of the whole swing
     * @param uncertainty of one swing, from its measuring alone
     * @param assumed SEM of one swing as assumed of a plate
     * @param own SEM of one swing from these swings' spread; null while there are too few
     */
    record JointView(
            @NotNull String stage,
            @NotNull String measure,
            String at,
            @NotNull double mean,
            @NotNull int swings,
            @NotNull double uncertainty,
            @NotNull double assumed,
            Double own) {

        static JointView of(String stage, KeptSwings.Joint joint, double assumed) {
            return new JointView(
                    stage,
                    joint.measure().id(),
                    joint.at().map(Checkpoint::id).orElse(null),
                    joint.mean(),
                    joint.swings(),
                    joint.uncertainty(),
                    assumed,
                    joint.own().isPresent() ? joint.own().getAsDouble() : null);
        }
    }

    /**
     * A swing as drawn: every list has one value per step; null where nothing can be told.
     *
     * @param step seconds
     * @param push load under both feet, % of the load at rest
     * @param halves null where only the feet were told
     */
    record CurveView(
            @NotNull UUID id,
            @NotNull double step,
            @NotNull List<Double> trailShare,
            @NotNull List<Double> push,
            HalvesView halves) {}

    /** Load of the front and outer halves, % of the foot's. */
    record HalvesView(
            @NotNull List<Double> leadFront,
            @NotNull List<Double> leadOuter,
            @NotNull List<Double> trailFront,
            @NotNull List<Double> trailOuter) {}
}
