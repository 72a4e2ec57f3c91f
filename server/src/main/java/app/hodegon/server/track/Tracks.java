package app.hodegon.server.track;

import app.hodegon.core.motion.Moment;
import app.hodegon.core.motion.SeveralSwingsException;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.track.Ruler;
import app.hodegon.core.track.Track;
import app.hodegon.core.track.TrackReader;
import app.hodegon.core.track.TrackReading;
import app.hodegon.server.http.Invalid;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** Reads tracks, refusing what is wrong for this hand and under its field's name. */
public final class Tracks {

    private Tracks() {}

    /** @param height of the golfer in cm; null if not known */
    public static TrackReading read(
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
