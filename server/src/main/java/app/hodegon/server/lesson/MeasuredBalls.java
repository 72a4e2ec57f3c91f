package app.hodegon.server.lesson;

import app.hodegon.core.shots.Shot;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** How far the balls of lessons came. */
public interface MeasuredBalls {

    /** Keeps what was keyed in at a lesson's moments, in place of what was keyed in before. */
    void keyedIn(UUID lesson, Map<Stage, List<Shot>> balls);
}
