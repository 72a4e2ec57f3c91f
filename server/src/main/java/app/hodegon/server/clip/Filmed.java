package app.hodegon.server.clip;

import app.hodegon.server.track.TrackRequest;

/** What was found in a film. */
interface Filmed {

    String name();

    Integer width();

    Integer height();

    TrackRequest track();
}
