package app.hodegon.core.diagnosis;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Repeatability;
import app.hodegon.core.swing.Tally;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.special.Beta;

/** Turns what was observed into clues with likelihoods. */
final class Clues {

    /*
     * Per-ball rate of a result when its pattern is there (mean 0.4) and when it is only the odd ball (mean 0.09),
     * as beta distributions; working assumptions. The likelihood of a tally is then beta-binomial.
     */
    private static final double[] PATTERN = {2, 3};
    private static final double[] ODD_BALL = {0.6, 6};

    private static final NormalDistribution STANDARD_NORMAL = new NormalDistribution();
    private static final Map<Showing, Cause> CAUSES = causes(Catalogue.standard());

    private Clues() {}

    private static Map<Showing, Cause> causes(Catalogue catalogue) {
        Map<Showing, Cause> causes = new HashMap<>();
        for (Showing showing : catalogue.showings()) {
            causes.put(showing, Cause.of(new NoisyOr(catalogue.leak(showing), catalogue.shownBy(showing))));
        }
        return causes;
    }

    static Cause cause(Showing showing) {
        return CAUSES.get(showing);
    }

    static List<Clue> of(Observations seen, PressureSchool school, Repeatability repeatability) {
        List<Clue> clues = new ArrayList<>();
        seen.signs().forEach((sign, yes) -> addSign(clues, sign, yes));
        for (Showing showing : Catalogue.standard().showings()) {
            if (showing instanceof Showing.OfLimit of) {
                for (Reading reading : seen.readings()) addReading(clues, of, reading, school, repeatability);
            } else if (showing instanceof Showing.OfBalls of) {
                addBalls(clues, of, seen.shots());
            }
        }
        return clues;
    }

    private static void addSign(List<Clue> clues, Sign sign, boolean yes) {
        Showing showing = new Showing.OfSign(sign);
        Cause cause = CAUSES.get(showing);
        if (cause == null) return;
        String text = yes ? sign.label() : "Not seen: " + lowerFirst(sign.label());
        clues.add(new Clue(
                sign.id(),
                showing,
                cause,
                yes ? 1 - Sign.CHANCE_OF_SLIP : Sign.CHANCE_OF_SLIP,
                yes ? Sign.CHANCE_OF_SLIP : 1 - Sign.CHANCE_OF_SLIP,
                text));
    }

    private static void addReading(
            List<Clue> clues,
            Showing.OfLimit showing,
            Reading reading,
            PressureSchool school,
            Repeatability repeatability) {
        Limit limit = showing.limit();
        if (limit.measure() != reading.measure() || !limit.at().equals(reading.at())) return;
        OptionalDouble sem = repeatability.sem(reading.measure(), reading.source());
        double value = limit.value(school);
        double beyond = limit.side() == Limit.Side.ABOVE ? reading.value() - value : value - reading.value();
        // A measure nobody has a repeatability for (a ruler at the wall) is taken as good to one unit.
        double error = sem.orElse(1.0) / Math.sqrt(reading.swings());
        double slip = reading.source().chanceOfMisreading();
        double present = slip + (1 - 2 * slip) * STANDARD_NORMAL.cumulativeProbability(beyond / error);
        clues.add(new Clue(
                reading.measure().id()
                        + reading.at().map(a -> "@" + a.id()).orElse("")
                        + (limit.side() == Limit.Side.ABOVE ? ">" : "<")
                        + number(value),
                showing,
                CAUSES.get(showing),
                present,
                1 - present,
                describe(reading, limit, value, beyond)));
    }

    private static void addBalls(List<Clue> clues, Showing.OfBalls showing, Tally shots) {
        BallResult result = showing.result();
        int balls = shots.total(result.kind());
        if (balls == 0) return;
        int hits = shots.of(result);
        clues.add(new Clue(
                result.kind().id() + ":" + result.id(),
                showing,
                CAUSES.get(showing),
                betaBinomial(hits, balls, PATTERN),
                betaBinomial(hits, balls, ODD_BALL),
                "%d of %d balls: %s".formatted(hits, balls, result.label())));
    }

    /** Likelihood of the hits up to the binomial coefficient, which both sides share. */
    private static double betaBinomial(int hits, int balls, double[] shape) {
        return Math.exp(Beta.logBeta(shape[0] + hits, shape[1] + balls - hits) - Beta.logBeta(shape[0], shape[1]));
    }

    private static String describe(Reading reading, Limit limit, double value, double beyond) {
        String unit = reading.measure().quantity().unit();
        return "%s%s %s %s, %s%s %s (%s, %d %s)"
                .formatted(
                        reading.measure().label(),
                        reading.at().map(Clues::at).orElse(":"),
                        number(reading.value()),
                        unit,
                        beyond > 0 ? "" : "not ",
                        limit.side() == Limit.Side.ABOVE ? "above" : "below",
                        number(value),
                        reading.source().id(),
                        reading.swings(),
                        reading.swings() == 1 ? "swing" : "swings");
    }

    private static String at(Checkpoint checkpoint) {
        return ", " + lowerFirst(checkpoint.label()) + ":";
    }

    private static String number(double value) {
        return value == Math.rint(value) ? Long.toString((long) value) : String.format(Locale.ROOT, "%.1f", value);
    }

    private static String lowerFirst(String text) {
        return text.startsWith("{")
                ? text.replaceFirst("\\{Lead}", "{lead}").replaceFirst("\\{Trail}", "{trail}")
                : Character.toLowerCase(text.charAt(0)) + text.substring(1);
    }
}
