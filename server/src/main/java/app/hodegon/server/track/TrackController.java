package app.hodegon.server.track;

import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.track.Track;
import app.hodegon.server.http.Invalid;
import jakarta.validation.Valid;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The calculator: one swing's body points in one camera view in, its moments and readings out; stores nothing. */
@RestController
class TrackController {

    @PostMapping("/api/tracks/read")
    TrackView read(@Valid @RequestBody TrackRequest request) {
        Handedness hand = Invalid.in("handedness", () -> Identified.of(Handedness.class, request.handedness()));
        Track track = request.track(hand);
        return TrackView.of(Tracks.read(track, request.ruler(), request.height(), request.known(track), hand), hand);
    }
}
