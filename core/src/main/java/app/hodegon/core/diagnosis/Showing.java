package app.hodegon.core.diagnosis;

import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import java.util.Optional;

/** Something a fault can show: a sign, measures beyond a limit or in a pattern, or a result among the balls. */
public sealed interface Showing {

    /** Whether it rests on a reading of this measure there. */
    default boolean reads(Measure measure, Optional<Checkpoint> at) {
        if (this instanceof OfLimit of) {
            return of.limit().measure() == measure && of.limit().at().equals(at);
        }
        return this instanceof OfPattern of
                && Patterns.FEET.contains(measure)
                && at.filter(of.pattern().moments()::contains).isPresent();
    }

    record OfSign(Sign sign) implements Showing {}

    record OfLimit(Limit limit) implements Showing {}

    record OfPattern(Pattern pattern) implements Showing {}

    record OfBalls(BallResult result) implements Showing {}
}
