package app.hodegon.core.track;

import app.hodegon.core.motion.SwingReading;

/** What one camera's view of a swing says. */
public record TrackReading(View view, Ruler ruler, SwingReading swing) {}
