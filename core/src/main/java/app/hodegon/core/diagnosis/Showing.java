package app.hodegon.core.diagnosis;

import app.hodegon.core.swing.BallResult;

/** Something a fault can show: a sign, a measure beyond a limit, or a result turning up among the balls. */
public sealed interface Showing {

    record OfSign(Sign sign) implements Showing {}

    record OfLimit(Limit limit) implements Showing {}

    record OfBalls(BallResult result) implements Showing {}
}
