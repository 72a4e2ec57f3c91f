package app.hodegon.server.progress;

import app.hodegon.core.progress.Change;
import app.hodegon.core.shots.ShotFigure;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Repeatability;
import app.hodegon.core.swing.Units;
import app.hodegon.core.swing.Units.Scale;

/** How readings are said for a student, and how well they repeat. */
record Said(Handedness hand, Units units, Repeatability repeatability) {

    String label(Reading reading) {
        return hand.say(reading.measure().label()
                + reading.at().map(a -> ", " + a.label().toLowerCase()).orElse(""));
    }

    String label(Change change) {
        if (change instanceof Change.OfBalls balls) return balls.result().label();
        if (change instanceof Change.OfReading reading) return label(reading.then());
        Change.OfShots shots = (Change.OfShots) change;
        return label(shots.figure(), shots.club());
    }

    static String label(ShotFigure figure, String club) {
        return figure.label() + (club.isEmpty() ? "" : ", " + club);
    }

    Scale scale(Reading reading) {
        return units.of(reading.measure().quantity().unit());
    }

    String value(Reading reading) {
        Scale scale = scale(reading);
        return number(scale.factor() * reading.value()) + " " + scale.unit() + " ("
                + reading.source().id() + ")";
    }

    /** Rounded to a tenth, without a tenth where there is none. */
    static String number(double value) {
        double tenths = Math.round(value * 10) / 10.0;
        String plain = tenths == Math.rint(tenths) ? Long.toString((long) tenths) : Double.toString(tenths);
        return plain.replace('-', '−');
    }

    static String series(Reading reading) {
        return reading.measure().id() + reading.at().map(a -> "@" + a.id()).orElse("") + "/"
                + reading.source().id();
    }
}
