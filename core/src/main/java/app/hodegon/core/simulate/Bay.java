package app.hodegon.core.simulate;

import static app.hodegon.core.swing.Checkpoint.ADDRESS;
import static app.hodegon.core.swing.Checkpoint.ARM_DOWN;
import static app.hodegon.core.swing.Checkpoint.FINISH;
import static app.hodegon.core.swing.Checkpoint.IMPACT;
import static app.hodegon.core.swing.Checkpoint.TOP;

import app.hodegon.core.diagnosis.Catalogue;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Observations;
import app.hodegon.core.diagnosis.Showing;
import app.hodegon.core.diagnosis.Sign;
import app.hodegon.core.swing.Ball;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.BallResult.Kind;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Repeatability;
import app.hodegon.core.swing.Source;
import app.hodegon.core.swing.Tally;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;

/** Draws what a coach would see of a student whose true faults are known: balls, signs and readings with their noise. */
final class Bay {

    private static final int SWINGS = 3;
    private static final double CHANCE_LEAK = 0.04;

    /** Ball results of a sound swing, as weights. */
    private static final Map<BallResult, Double> SOUND = Map.ofEntries(
            Map.entry(BallResult.STRAIGHT, 0.6),
            Map.entry(BallResult.DRAW, 0.12),
            Map.entry(BallResult.FADE, 0.12),
            Map.entry(BallResult.SLICE, 0.05),
            Map.entry(BallResult.HOOK, 0.03),
            Map.entry(BallResult.PUSH, 0.05),
            Map.entry(BallResult.PULL, 0.05),
            Map.entry(BallResult.SOLID, 0.8),
            Map.entry(BallResult.FAT, 0.07),
            Map.entry(BallResult.THIN, 0.1),
            Map.entry(BallResult.TOE, 0.04));

    /** How much heavier a fault's own ball results weigh than in a sound swing. */
    private static final double SPOILS = 1.6;

    private static final Map<Checkpoint, Double> SOUND_SHARE =
            Map.of(ADDRESS, 50.0, TOP, 52.0, ARM_DOWN, 32.0, IMPACT, 18.0, FINISH, 6.0);

    /** What a full-blown fault adds to the trail share, %. */
    private static final Map<Fault, Map<Checkpoint, Double>> SHARE_SHIFT = Map.of(
            Fault.SWAY, Map.of(TOP, 26.0, ARM_DOWN, 16.0, IMPACT, 10.0),
            Fault.REVERSE_PIVOT, Map.of(TOP, -24.0, ARM_DOWN, 14.0, IMPACT, 24.0, FINISH, 26.0),
            Fault.NO_LOAD, Map.of(ADDRESS, -10.0, TOP, -22.0, ARM_DOWN, -8.0, IMPACT, -6.0),
            Fault.LATE_RECENTRE, Map.of(TOP, 28.0, ARM_DOWN, 34.0, IMPACT, 10.0),
            Fault.HANGING_BACK, Map.of(ARM_DOWN, 26.0, IMPACT, 32.0, FINISH, 24.0),
            Fault.ARMS_FIRST, Map.of(ARM_DOWN, 14.0, IMPACT, 10.0),
            Fault.LEAD_FOOT_SPIN, Map.of(IMPACT, 10.0, FINISH, 18.0));

    /** One more measure that tells a fault: its value in a sound swing and in a full-blown fault. */
    private record Tell(Measure measure, Optional<Checkpoint> at, double sound, double full, Source source) {}

    private static final Map<Fault, Tell> TELLS = Map.of(
            Fault.SWAY, new Tell(Measure.PELVIS_DRIFT, Optional.of(TOP), 3, 10, Source.CLIP),
            Fault.FROZEN_FEET, new Tell(Measure.HIP_TURN, Optional.of(TOP), 41, 21, Source.CLIP),
            Fault.EARLY_EXTENSION, new Tell(Measure.PELVIS_THRUST, Optional.of(IMPACT), 2, 7.5, Source.CLIP),
            Fault.LEAD_FOOT_SPIN, new Tell(Measure.LEAD_FOOT_SHIFT, Optional.empty(), 0.8, 6.5, Source.SEEN),
            Fault.NO_LOAD, new Tell(Measure.PEAK_TRAIL_SHARE, Optional.empty(), 76, 42, Source.SEEN));

    private final Random random;
    private final Source reads;

    Bay(Random random, Source reads) {
        this.random = random;
        this.reads = reads;
    }

    /** Everything of the warming-up moment: balls, the signs a careful coach gets to, readings. */
    Observations before(Map<Fault, Double> faults, int balls) {
        return new Observations(signs(faults), readings(faults), tally(faults, balls));
    }

    /** The end of a lesson: balls and readings, no second round of signs. */
    Observations after(Map<Fault, Double> faults, int balls) {
        return new Observations(Map.of(), readings(faults), tally(faults, balls));
    }

    /** A few balls straight after something was tried. */
    Observations few(Map<Fault, Double> faults, int balls) {
        return new Observations(Map.of(), List.of(), tally(faults, balls));
    }

    /** What a film of a few swings tells, whoever the student is. */
    List<Reading> film(Map<Fault, Double> faults) {
        return TELLS.keySet().stream()
                .sorted()
                .filter(fault -> TELLS.get(fault).source() == Source.CLIP)
                .map(fault -> tell(fault, faults.getOrDefault(fault, 0.0)))
                .toList();
    }

    /** One ball of practice. */
    Ball ball(Map<Fault, Double> faults) {
        return new Ball(Optional.of(draw(Kind.FLIGHT, faults)), Optional.of(draw(Kind.STRIKE, faults)));
    }

    private Map<Sign, Boolean> signs(Map<Fault, Double> faults) {
        Map<Sign, Boolean> seen = new EnumMap<>(Sign.class);
        for (Sign sign : Sign.values()) {
            Map<Fault, Double> by = Catalogue.standard().shownBy(new Showing.OfSign(sign));
            double off = 1 - CHANCE_LEAK;
            boolean telling = false;
            for (Map.Entry<Fault, Double> entry : by.entrySet()) {
                double strength = faults.getOrDefault(entry.getKey(), 0.0);
                off *= 1 - entry.getValue() * strength;
                telling |= strength > 0;
            }
            if (telling || random.nextInt(4) == 0) seen.put(sign, random.nextDouble() > off);
        }
        return seen;
    }

    private List<Reading> readings(Map<Fault, Double> faults) {
        List<Reading> readings = new ArrayList<>();
        SOUND_SHARE.keySet().stream().sorted().forEach(at -> {
            double share = SOUND_SHARE.get(at);
            for (Map.Entry<Fault, Double> fault : faults.entrySet()) {
                share += fault.getValue()
                        * SHARE_SHIFT.getOrDefault(fault.getKey(), Map.of()).getOrDefault(at, 0.0);
            }
            readings.add(read(Measure.TRAIL_SHARE, Optional.of(at), share, reads));
        });
        faults.forEach((fault, strength) -> {
            if (TELLS.containsKey(fault)) readings.add(tell(fault, strength));
        });
        return readings;
    }

    private Reading tell(Fault fault, double strength) {
        Tell tell = TELLS.get(fault);
        return read(tell.measure(), tell.at(), tell.sound() + strength * (tell.full() - tell.sound()), tell.source());
    }

    private Reading read(Measure measure, Optional<Checkpoint> at, double truth, Source source) {
        double error = Repeatability.ASSUMED.sem(measure, source).orElse(0) / Math.sqrt(SWINGS);
        double read = truth + error * random.nextGaussian();
        double kept = Math.max(
                Math.max(0, measure.quantity().lowest()),
                Math.min(measure.quantity().highest(), read));
        double rounded = source == Source.SEEN && measure.quantity().unit().equals("%")
                ? Math.round(kept / 5) * 5.0
                : Math.round(kept * 10) / 10.0;
        return new Reading(measure, at, rounded, source, SWINGS);
    }

    private Tally tally(Map<Fault, Double> faults, int balls) {
        Map<BallResult, Integer> counts = new EnumMap<>(BallResult.class);
        for (Kind kind : List.of(Kind.FLIGHT, Kind.STRIKE)) {
            Map<BallResult, Double> weights = weights(kind, faults);
            for (int ball = 0; ball < balls; ball++) counts.merge(draw(weights), 1, Integer::sum);
        }
        return new Tally(counts);
    }

    private BallResult draw(Kind kind, Map<Fault, Double> faults) {
        return draw(weights(kind, faults));
    }

    private static Map<BallResult, Double> weights(Kind kind, Map<Fault, Double> faults) {
        Map<BallResult, Double> weights = new EnumMap<>(BallResult.class);
        for (BallResult result : BallResult.of(kind)) weights.put(result, weight(result, faults));
        return weights;
    }

    private static double weight(BallResult result, Map<Fault, Double> faults) {
        double weight = SOUND.getOrDefault(result, 0.0);
        Map<Fault, Double> by = Catalogue.standard().shownBy(new Showing.OfBalls(result));
        for (Map.Entry<Fault, Double> entry : by.entrySet()) {
            weight += SPOILS * entry.getValue() * faults.getOrDefault(entry.getKey(), 0.0);
        }
        return weight;
    }

    private BallResult draw(Map<BallResult, Double> weights) {
        double left = random.nextDouble()
                * weights.values().stream().mapToDouble(Double::doubleValue).sum();
        BallResult last = null;
        for (Map.Entry<BallResult, Double> entry : weights.entrySet()) {
            last = entry.getKey();
            left -= entry.getValue();
            if (left <= 0) return last;
        }
        return last;
    }
}
