package app.hodegon.core.diagnosis;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Repeatability;
import app.hodegon.core.swing.Tally;
import app.hodegon.core.swing.Units;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.special.Beta;

/**
 * Turns what was observed into clues with likelihoods.
 *
 * <p>A reading lies {@code z} beyond a limit, in units of its own uncertainty (the source's SEM over the root of its
 * swings). It is taken as beyond with the chance {@code m + (1 − 2m)·Φ(z)}, {@code m} being the source's chance of
 * misreading. Up to {@value #NEAR} units that is all. Further out, both the chance that it lies there without its fault
 * and the chance that it was misread fall by {@code e} for every unit, the latter down to the source's chance of gross
 * misreading. Worked figures, for a fault that shows the limit with 0.85 and chance with 0.05: 6 cm of drift on one
 * clip (z = 1) makes a sway 3.5 times as likely as it was against not; 12 cm on five swings (z = 16) 135 times, enough
 * alone; a hip line 14° open on three (z = 3.1) 51 times; 13 cm seen by eye on three (z = 5.5) 26 times; on the plate
 * 15 % at the top (z = 17) 420 times; the same felt 2.7 times.
 */
final class Clues {

    /*
     * Per-ball rate of a result when its pattern is there (mean 0.4) and when it is only the odd ball (mean 0.09),
     * as beta distributions; working assumptions. The likelihood of a tally is then beta-binomial.
     */
    private static final double[] PATTERN = {2, 3};
    private static final double[] ODD_BALL = {0.6, 6};

    /** Up to here, in units of a reading's uncertainty, a reading beyond its limit may well be chance. */
    static final double NEAR = 1.5;

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
        List<Reading> readings = Tempo.workedOut(seen.readings());
        for (Showing showing : Catalogue.standard().showings()) {
            if (showing instanceof Showing.OfLimit of) {
                for (Reading reading : readings) addReading(clues, of, reading, school, repeatability);
            } else if (showing instanceof Showing.OfPattern of) {
                Patterns.chance(of.pattern(), seen.readings(), repeatability)
                        .ifPresent(chance -> clues.add(clue(of, chance)));
            } else if (showing instanceof Showing.OfBalls of) {
                addBalls(clues, of, seen.shots());
            }
        }
        return clues;
    }

    private static Clue clue(Showing.OfPattern showing, Patterns.Chance chance) {
        return new Clue(
                showing.pattern().id(),
                showing,
                CAUSES.get(showing),
                chance.present(),
                chance.absent(),
                (chance.likely() ? "" : "Not so: ") + chance.text());
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
                yes ? 1 - sign.chanceOfSlip() : sign.chanceOfSlip(),
                yes ? sign.chanceOfSlip() : 1 - sign.chanceOfSlip(),
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
        double value = limit.value(school);
        double beyond = limit.side() == Limit.Side.ABOVE ? reading.value() - value : value - reading.value();
        double z = beyond / error(reading, repeatability);
        double chanceAlone = Catalogue.standard().rulesOutChance(limit) ? Math.min(1, Math.exp(NEAR - z)) : 1;
        double slip = Math.max(
                reading.source().chanceOfGrossMisreading(), reading.source().chanceOfMisreading() * chanceAlone);
        double present = slip + (1 - 2 * slip) * STANDARD_NORMAL.cumulativeProbability(z);
        double leak = Catalogue.standard().leak(showing);
        clues.add(new Clue(
                reading.measure().id()
                        + reading.at().map(a -> "@" + a.id()).orElse("")
                        + (limit.side() == Limit.Side.ABOVE ? ">" : "<")
                        + number(value),
                showing,
                CAUSES.get(showing),
                present,
                1 - present,
                (1 - leak * chanceAlone) / (1 - leak),
                describe(reading, limit, value, beyond)));
    }

    /** Uncertainty of a reading in its unit; of what nobody has a repeatability for, one unit. */
    static double error(Reading reading, Repeatability repeatability) {
        return repeatability.sem(reading).orElse(1.0) / Math.sqrt(reading.swings());
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
        return "%s%s %s, %s%s %s (%s, %d %s)"
                .formatted(
                        reading.measure().label(),
                        reading.at().map(Clues::at).orElse(":"),
                        Units.inText(number(reading.value()), unit),
                        beyond > 0 ? "" : "not ",
                        limit.side() == Limit.Side.ABOVE ? "above" : "below",
                        Units.inText(number(value), unit),
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
