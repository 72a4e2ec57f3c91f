package app.hodegon.core.progress;

import app.hodegon.core.progress.Comparison.Count;
import app.hodegon.core.shots.ShotFigure;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Reading;
import java.util.List;
import java.util.Optional;

/** Something that two measuring moments both hold, then and now. */
public sealed interface Change {

    Comparison comparison();

    /** Whether it tells of what was worked on. */
    boolean concerns();

    /** Whether it went past what is wanted to the other side; then how far it lies from it decides, not how far it went. */
    default boolean past() {
        return false;
    }

    /** What it is a change of: equal for the same thing at other moments. */
    Object subject();

    default Verdict verdict() {
        return comparison().verdict();
    }

    /** How often a ball result turned up. */
    record OfBalls(BallResult result, Count then, Count now, Comparison comparison, boolean concerns)
            implements Change {
        @Override
        public Object subject() {
            return result;
        }
    }

    /**
     * A measure at one checkpoint by one source.
     *
     * @param past whether it went past its target to the other side
     * @param distance of the present value to its target; empty where there is none
     */
    record OfReading(
            Reading then,
            Reading now,
            Comparison comparison,
            boolean concerns,
            boolean past,
            Optional<Distance> distance)
            implements Change {
        @Override
        public Object subject() {
            return List.of(then.measure(), then.at(), then.source());
        }
    }

    /**
     * A figure of the balls hit with one club; compared, yet no word on what was worked on: wind and the range's balls
     * move it too.
     *
     * @param past whether the mean went past the line to its other side
     * @param spread how far they lie apart; empty for speeds and for fewer than three balls
     */
    record OfShots(
            String club,
            ShotFigure figure,
            Sample then,
            Sample now,
            Comparison comparison,
            boolean past,
            Optional<Spread> spread)
            implements Change {
        @Override
        public boolean concerns() {
            return false;
        }

        @Override
        public Object subject() {
            return List.of(club, figure);
        }
    }
}
