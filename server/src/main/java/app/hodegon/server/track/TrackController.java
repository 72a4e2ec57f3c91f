package app.hodegon.server.track;

import app.hodegon.core.motion.Moment;
import app.hodegon.core.motion.SeveralSwingsException;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.track.Ruler;
import app.hodegon.core.track.Track;
import app.hodegon.core.track.TrackReader;
import app.hodegon.core.track.TrackReading;
import app.hodegon.core.track.View;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.trace.KnownMoments;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The calculator: one swing's body points in one camera view in, its moments and readings out; stores nothing. */
@RestController
class TrackController {

    /**
     * A thing of known length in the plane of the feet.
     *
     * @param from one end, [x, y] in pixels
     */
    record MarksEntry(
            @NotNull @Size(min = 2, max = 2) double[] from,
            @NotNull @Size(min = 2, max = 2) double[] to,
            @NotNull Double centimetres) {}

    /**
     * @param frameRate frames a second, 10 to 1,000; needed without times
     * @param height of the golfer, cm
     * @param points what the columns of each frame are, any of the nineteen in any order
     * @param frames for each frame, for each point: x to the right and y down in pixels, certainty 0 to 1
     * @param times of the frames, seconds
     * @param moments known from elsewhere or corrected, by checkpoint, seconds
     */
    record TrackRequest(
            @NotNull @Size(max = 10) String handedness,
            @NotNull @Size(max = 20) String view,
            Double frameRate,
            @DecimalMin("100") @DecimalMax("230") Double height,
            @Valid MarksEntry scale,
            @NotNull @Size(min = 1, max = 19) List<@NotNull @Size(max = 20) String> points,
            @NotNull @Size(max = Track.LONGEST) double[][][] frames,
            @Size(max = Track.LONGEST) double[] times,
            @Size(max = 8) Map<@Size(max = 20) String, @NotNull Double> moments) {}

    @PostMapping("/api/tracks/read")
    TrackView read(@Valid @RequestBody TrackRequest request) {
        Handedness hand = Invalid.in("handedness", () -> Identified.of(Handedness.class, request.handedness()));
        View view = Invalid.in("view", () -> Identified.of(View.class, request.view()));
        double[] seconds = Points.seconds(request.frameRate(), request.times(), request.frames().length);
        Track track = Points.track(view, hand, request.points(), request.frames(), seconds);
        List<Moment> known = KnownMoments.of(request.moments(), 1 / track.step(), "moments");
        return TrackView.of(read(track, ruler(request.scale()), request.height(), known, hand), hand);
    }

    private static Optional<Ruler> ruler(MarksEntry scale) {
        if (scale == null) return Optional.empty();
        double pixels = Math.hypot(scale.to()[0] - scale.from()[0], scale.to()[1] - scale.from()[1]);
        return Optional.of(Invalid.in("scale", () -> Ruler.ofMarks(pixels, scale.centimetres())));
    }

    private static TrackReading read(
            Track track, Optional<Ruler> marks, Double height, List<Moment> known, Handedness hand) {
        try {
            OptionalDouble tall = height == null ? OptionalDouble.empty() : OptionalDouble.of(height);
            return TrackReader.read(track, marks, tall, known);
        } catch (SeveralSwingsException several) {
            throw new Invalid("frames", several.getMessage());
        } catch (IllegalArgumentException refused) {
            throw new Invalid("moments", hand.say(refused.getMessage()));
        }
    }
}
