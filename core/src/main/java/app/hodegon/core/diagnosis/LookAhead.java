package app.hodegon.core.diagnosis;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Diagnosis.NextLook;
import app.hodegon.core.diagnosis.Look.AtMeasure;
import app.hodegon.core.diagnosis.Look.AtSign;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Quantity;
import app.hodegon.core.swing.Repeatability;
import app.hodegon.core.swing.Source;
import app.hodegon.core.swing.Tally;
import app.hodegon.core.swing.Wording;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * Which unseen sign or measure would tell the faults apart best: the expected fall in their summed entropy
 * (Shannon 1948), in bits, per effort.
 */
final class LookAhead {

    private static final NormalDistribution STANDARD_NORMAL = new NormalDistribution();

    private static final double[] BEFORE =
            Posterior.after(List.of()).calibrated().probabilities();

    /** A fault that nothing raised so far counts for less: the leading candidates are to be told apart first. */
    private static final double NOT_RAISED = 0.5;

    /**
     * While there are only balls to go by, a fault counts by how much they raised it: the causes that the complaint
     * points to come before those that are common anyway. Where the club comes from says less about what to do than what
     * brought it there.
     */
    private static final double RAISED_LITTLE = 0.25;

    private static final double OF_THE_CLUB = 0.5;
    private static final int MORE_THAN_BALLS = 2;

    /** A measure taken on request averages this many swings. */
    private static final int SWINGS = 3;

    /** How far a reading usually lies from a limit, in the quantity's unit: a working assumption. */
    private static final Map<Quantity, Double> USUAL_DISTANCE = new EnumMap<>(Map.of(
            Quantity.SHARE, 12.0,
            Quantity.TRAVEL, 3.0,
            Quantity.TURN, 10.0,
            Quantity.POSTURE, 6.0,
            Quantity.FOOT, 2.5,
            Quantity.TIME, 60.0,
            Quantity.SHIFT, 60.0,
            Quantity.TEMPO, 1.0,
            Quantity.STANCE, 0.4,
            Quantity.REACH, 3.0));

    /** What can be measured where, with the limits it would tell about. */
    private record Place(Measure measure, Optional<Checkpoint> at) {}

    private static final Map<Place, List<Limit>> PLACES = places();

    private final PressureSchool school;
    private final Repeatability repeatability;
    private final Wording wording;

    LookAhead(PressureSchool school, Repeatability repeatability, Wording wording) {
        this.school = school;
        this.repeatability = repeatability;
        this.wording = wording;
    }

    private static Map<Place, List<Limit>> places() {
        Map<Place, List<Limit>> places = new LinkedHashMap<>();
        for (Showing showing : Catalogue.standard().showings()) {
            if (showing instanceof Showing.OfLimit of) {
                places.computeIfAbsent(
                                new Place(of.limit().measure(), of.limit().at()), p -> new ArrayList<>())
                        .add(of.limit());
            }
        }
        return places;
    }

    /** Every sign and measure not yet seen, most telling per effort first; of a measure's sources the best one. */
    List<NextLook> looks(Observations seen, Posterior posterior, Joint joint, Posterior.Calibrated believed) {
        double[] weights = weights(believed.probabilities(), ballsOnly(seen));
        double now = entropy(believed.probabilities(), weights);
        List<NextLook> looks = new ArrayList<>();
        for (Sign sign : Sign.values()) {
            Cause cause = Clues.cause(new Showing.OfSign(sign));
            if (cause == null || seen.signs().containsKey(sign)) continue;
            double gain = now - expected(outcomes(cause, sign.chanceOfSlip()), posterior, joint, weights);
            looks.add(new NextLook(new AtSign(sign), Math.max(0, gain), wording.say(sign.how())));
        }
        PLACES.forEach((place, limits) -> sources(place.measure()).stream()
                .filter(source -> adds(seen, place, source))
                .map(source -> look(place, source, limits, posterior, joint, weights, now))
                .max(Comparator.comparingDouble(NextLook::worth))
                .ifPresent(looks::add));
        looks.sort(Comparator.comparingDouble(NextLook::worth).reversed());
        return List.copyOf(looks);
    }

    private NextLook look(
            Place place,
            Source source,
            List<Limit> limits,
            Posterior posterior,
            Joint joint,
            double[] weights,
            double now) {
        double gain = now - expected(outcomes(limits, error(place.measure(), source)), posterior, joint, weights);
        return new NextLook(
                new AtMeasure(place.measure(), place.at(), source),
                Math.max(0, gain),
                wording.say(HowToMeasure.how(place.measure(), place.at(), source)));
    }

    /** Sources worth sending a coach to; what a player feels is told, not looked for. */
    private static List<Source> sources(Measure measure) {
        return Repeatability.sources(measure.quantity()).stream()
                .filter(s -> s != Source.FELT)
                .toList();
    }

    /** A measure read already is worth reading again only from a harder source. */
    private static boolean adds(Observations seen, Place place, Source source) {
        return seen.readings().stream()
                .noneMatch(r -> r.measure() == place.measure()
                        && r.at().equals(place.at())
                        && r.source().compareTo(source) >= 0);
    }

    /** The chance that a reading falls on the wrong side of its limit. */
    private double error(Measure measure, Source source) {
        double sem = repeatability.sem(measure, source).orElse(1.0);
        double slip = source.chanceOfMisreading();
        double distance = USUAL_DISTANCE.get(measure.quantity()) / (sem / Math.sqrt(SWINGS));
        return slip + (1 - 2 * slip) * STANDARD_NORMAL.cumulativeProbability(-distance);
    }

    /** What a look may bring, each as likelihoods to be put on its causes: there, or not. */
    private static List<List<Posterior.Likelihood>> outcomes(Cause cause, double error) {
        return List.of(
                List.of(new Posterior.Likelihood(cause, 1 - error, error)),
                List.of(new Posterior.Likelihood(cause, error, 1 - error)));
    }

    /** The value lies beyond one of the limits, or beyond none. */
    private static List<List<Posterior.Likelihood>> outcomes(List<Limit> limits, double error) {
        List<List<Posterior.Likelihood>> outcomes = new ArrayList<>();
        for (int beyond = -1; beyond < limits.size(); beyond++) {
            List<Posterior.Likelihood> likelihoods = new ArrayList<>();
            for (int i = 0; i < limits.size(); i++) {
                double present = i == beyond ? 1 - error : error;
                Cause cause = Clues.cause(new Showing.OfLimit(limits.get(i)));
                likelihoods.add(new Posterior.Likelihood(cause, present, 1 - present));
            }
            outcomes.add(likelihoods);
        }
        return outcomes;
    }

    private static double expected(
            List<List<Posterior.Likelihood>> outcomes, Posterior posterior, Joint joint, double[] weights) {
        double total = 0;
        double sum = 0;
        for (List<Posterior.Likelihood> outcome : outcomes) {
            Joint.After then = after(outcome, posterior, joint);
            total += then.total();
            sum += then.total() * entropy(then.probabilities(), weights);
        }
        return sum / total;
    }

    private static Joint.After after(List<Posterior.Likelihood> seen, Posterior posterior, Joint joint) {
        if (seen.size() == 1) return joint.with(seen.get(0));
        Posterior.Calibrated calibrated = posterior.with(seen).calibrated();
        return new Joint.After(calibrated.total(), calibrated.probabilities());
    }

    private static double[] weights(double[] probabilities, boolean ballsOnly) {
        double[] weights = new double[probabilities.length];
        for (Fault fault : Fault.values()) {
            int f = fault.ordinal();
            double raised = probabilities[f] / BEFORE[f];
            weights[f] = ballsOnly
                    ? Math.min(1, Math.max(RAISED_LITTLE, RAISED_LITTLE * raised * raised))
                            * (fault.ofTheClub() ? OF_THE_CLUB : 1)
                    : raised >= 1 ? 1 : NOT_RAISED;
        }
        return weights;
    }

    /** Whether hardly anything but balls was seen yet. */
    private static boolean ballsOnly(Observations seen) {
        return !seen.shots().equals(Tally.EMPTY)
                && seen.signs().size() + seen.readings().size() < MORE_THAN_BALLS;
    }

    private static double entropy(double[] probabilities, double[] weights) {
        double sum = 0;
        for (int f = 0; f < probabilities.length; f++) sum += weights[f] * entropy(probabilities[f]);
        return sum;
    }

    private static double entropy(double p) {
        if (p <= 0 || p >= 1) return 0;
        return -(p * Math.log(p) + (1 - p) * Math.log(1 - p)) / Math.log(2);
    }
}
