package app.hodegon.server.track;

import app.hodegon.core.golfer.BodyPoint;
import app.hodegon.core.motion.Moment;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.track.Ruler;
import app.hodegon.core.track.Track;
import app.hodegon.core.track.Track.Path;
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

/**
 * @param frameRate frames a second, 10 to 1,000; needed without times
 * @param height of the golfer, cm
 * @param points what the columns of each frame are, any of the nineteen in any order
 * @param frames for each frame, for each point: x to the right and y down in pixels, certainty 0 to 1
 * @param times of the frames, seconds
 * @param moments known from elsewhere or corrected, by checkpoint, seconds
 * @param found whether a program found the points in a film: what that may be off by is then part of every reading
 * @param byHand the frames are those of the moments alone, with points that somebody set; needs frameRate and times
 */
public record TrackRequest(
        @NotNull @Size(max = 10) String handedness,
        @NotNull @Size(max = 20) String view,
        Double frameRate,
        @DecimalMin("100") @DecimalMax("230") Double height,
        @Valid MarksEntry scale,
        @NotNull @Size(min = 1, max = 19) List<@NotNull @Size(max = 20) String> points,
        @NotNull @Size(max = Track.LONGEST) double[][][] frames,
        @Size(max = Track.LONGEST) double[] times,
        @Size(max = 8) Map<@Size(max = 20) String, @NotNull Double> moments,
        Boolean byHand,
        Boolean found) {

    /**
     * A thing of known length in the plane of the feet.
     *
     * @param from one end, [x, y] in pixels
     */
    public record MarksEntry(
            @NotNull @Size(min = 2, max = 2) double[] from,
            @NotNull @Size(min = 2, max = 2) double[] to,
            @NotNull Double centimetres) {

        public Ruler ruler() {
            double pixels = Math.hypot(to[0] - from[0], to[1] - from[1]);
            return Invalid.in("scale", () -> Ruler.ofMarks(pixels, centimetres));
        }
    }

    public Track track(Handedness hand) {
        View of = Invalid.in("view", () -> Identified.of(View.class, view));
        double[] seconds = Points.seconds(frameRate, times, frames.length);
        Map<BodyPoint, Path> paths = Points.paths(of, hand, points, frames);
        if (Boolean.TRUE.equals(byHand)) {
            if (frameRate == null || times == null) {
                throw new Invalid("byHand", "Give the film's frameRate, and the times of its frames.");
            }
            return Invalid.in("frames", () -> Track.byHand(of, seconds, paths, 1 / frameRate));
        }
        Track track = Invalid.in("frames", () -> new Track(of, seconds, paths));
        return Boolean.TRUE.equals(found) ? track.asFound() : track;
    }

    public Optional<Ruler> ruler() {
        return Optional.ofNullable(scale).map(MarksEntry::ruler);
    }

    public List<Moment> known(Track track) {
        return KnownMoments.of(moments, 1 / track.step(), "moments");
    }
}
