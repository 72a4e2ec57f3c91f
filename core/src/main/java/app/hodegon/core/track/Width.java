package app.hodegon.core.track;

import app.hodegon.core.motion.Parabola;
import java.util.Optional;

/**
 * How far a line between two joints is turned, from how wide it looks: its width over the width it has when it lies square
 * to the camera. The sign changes when the lead side passes the trail side, so that more than a quarter turn is told too.
 * A line passes square at address or shortly before or after it, and again on the way down.
 */
final class Width {

    /** The widest is looked for in a curve smoothed over so much to each side, seconds: going back, and coming down. */
    private static final double SMOOTH_BACK = 0.1;

    private static final double SMOOTH_DOWN = 0.04;

    /** Only so many standard deviations wider than at address was it not square there. */
    private static final double BEYOND = 4;

    /** And by so much in parts of the width at least: bodies come nearer and go, and so do points that are found. */
    private static final double LEAST = 0.03;

    /** What is not seen to be turned at address is at most so many times nearer to square; an assumption. */
    private static final double USUALLY_SQUARE = 3;

    private final Curve across;
    private final double noise;
    private final double square;
    private final double squareNoise;
    private final double squareAgain;
    private final double atAddress;
    private final double addressUncertainty;

    /**
     * @param line against square, degrees: closed is plus
     * @param since against address
     * @param uncertainty standard uncertainty of both, degrees
     */
    record Turned(double line, double since, double uncertainty) {}

    Width(Curve across, double address, double top, Optional<Double> impact) {
        this.across = across;
        this.noise = across.noise();
        double rest = across.median(address - Stillness.LASTS, address);
        double restNoise = noise / Math.sqrt(0.64 * Math.max(1, across.seen(address - Stillness.LASTS, address)));
        Widest back = widest(address, top, SMOOTH_BACK);
        Widest down = widest(top, impact.orElse(top), SMOOTH_DOWN);
        double beyond = Math.max(BEYOND * Math.hypot(restNoise, back.noise()), LEAST * rest);
        if (back.width() > rest + beyond) {
            square = back.width();
            squareNoise = back.noise();
            // Wider on the way back: it was open at address.
            atAddress = -degrees(rest / square);
        } else if (down.width() > rest + beyond) {
            square = down.width();
            squareNoise = down.noise();
            atAddress = degrees(rest / square);
        } else {
            square = rest;
            squareNoise = restNoise;
            atAddress = 0;
        }
        addressUncertainty = atAddress == 0
                ? degrees(rest / (rest + beyond)) / USUALLY_SQUARE
                : uncertainty(rest / square, Math.hypot(restNoise, squareNoise) / square);
        squareAgain = Double.isNaN(down.at()) ? Double.POSITIVE_INFINITY : down.at();
    }

    private record Widest(double at, double width, double noise) {}

    private Widest widest(double from, double to, double reach) {
        double at = Double.NaN;
        double width = 0;
        double gain = 1;
        for (int i = across.from(from); i < across.length() && across.time(i) <= to; i++) {
            Parabola.Fit fit = across.at(across.time(i), reach);
            if (fit.value() > width) {
                width = fit.value();
                at = across.time(i);
                gain = fit.gain();
            }
        }
        return new Widest(at, width, noise * gain);
    }

    private static double degrees(double part) {
        return Math.toDegrees(Math.acos(Math.max(-1, Math.min(1, part))));
    }

    /** @param late uncertainty of the moment, seconds */
    Turned turn(double moment, double reach, double late) {
        Parabola.Fit fit = across.at(moment, reach);
        double part = fit.value() / square;
        double scatter = together(noise * fit.gain(), fit.slope() * late, part * squareNoise) / square;
        double angle = degrees(part);
        double line = moment > squareAgain ? -angle : angle;
        return new Turned(line, line - atAddress, Math.hypot(uncertainty(part, scatter), addressUncertainty));
    }

    /** Near square the width hardly changes: an error of it is a large one of the angle, and its sign is not known. */
    private static double uncertainty(double part, double scatter) {
        double widest = part + scatter;
        double spread = widest > 1 ? degrees(part - scatter) : (degrees(part - scatter) - degrees(widest)) / 2;
        return Math.max(spread, Math.toDegrees(scatter));
    }

    private static double together(double a, double b, double c) {
        return Math.sqrt(a * a + b * b + c * c);
    }
}
