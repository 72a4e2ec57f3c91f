package app.hodegon.server.clip;

import app.hodegon.server.trace.KeptMeasures.MeasuredSwing;
import app.hodegon.server.trace.TraceView.MeasuredView;
import app.hodegon.server.trace.TraceView.SwingMomentView;
import app.hodegon.server.trace.TraceView.WarningView;
import app.hodegon.server.track.TrackRequest.MarksEntry;
import app.hodegon.server.track.TrackView.RulerView;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.UUID;

/**
 * The filmed swings of a lesson.
 *
 * @param height of the student in cm; null if not known
 * @param agreed null while nobody agreed that pictures are kept
 */
record ClipsView(@NotNull List<ClipView> clips, Double height, PicturesAgreed agreed) {

    /** @param by the student, or for a junior the adult */
    record PicturesAgreed(@NotNull LocalDate on, @NotNull String by) {}

    /**
     * A clip that a student sent.
     *
     * @param seen whether the coach has looked at it
     */
    record SentClip(
            @NotNull LocalDate practisedOn,
            @NotNull boolean seen,
            @NotNull ClipView clip) {}

    /** The kept clips of a day. */
    record EarlierClips(@NotNull LocalDate heldOn, @NotNull List<ClipView> clips) {}

    /**
     * @param width of the picture in which the points lie, pixels
     * @param from the first picture's time, seconds
     * @param scale the marks it is measured by; null to go by the height
     * @param golferHeight in cm, as said for this clip; null if it was not
     * @param pictures moments of which a picture is kept
     * @param film bytes of the film that is kept; null for none
     */
    record ClipView(
            @NotNull UUID id,
            @NotNull int number,
            @NotNull String stage,
            @NotNull String state,
            @NotNull String view,
            @NotNull String name,
            @NotNull OffsetDateTime takenAt,
            @NotNull int width,
            @NotNull int height,
            @NotNull double from,
            @NotNull double to,
            @NotNull RulerView ruler,
            MarksEntry scale,
            Double golferHeight,
            @NotNull List<SwingMomentView> moments,
            @NotNull List<MeasuredView> readings,
            @NotNull List<WarningView> warnings,
            @NotNull List<String> pictures,
            Integer film)
            implements MeasuredSwing {}

    /**
     * Where a clip's points lie.
     *
     * @param points what the columns are
     * @param frames for each picture, for each point: x to the right and y down in pixels, certainty; null where not seen
     * @param byHand they were set by somebody, in the pictures of the moments
     */
    record ClipPoints(
            @NotNull List<Double> times,
            @NotNull List<String> points,
            @NotNull List<List<List<Double>>> frames,
            boolean byHand) {}
}
