package app.hodegon.core.diagnosis;

import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Repeatability;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import org.hipparchus.distribution.continuous.NormalDistribution;

/** How far readings of the feet's front halves speak for a {@link Pattern}. */
final class Patterns {

    private static final NormalDistribution STANDARD_NORMAL = new NormalDistribution();
    static final List<Measure> FEET = List.of(Measure.TRAIL_TOE, Measure.LEAD_TOE);

    /** Of the four ways two feet can stand in toe or heel, three are not the pattern. */
    private static final double OTHERS = 3;

    private Patterns() {}

    /**
     * Likelihoods of the readings.
     *
     * @param present when the pattern is there
     * @param absent when it is not
     * @param text the readings it rests on, in lead/trail placeholders
     */
    record Chance(double present, double absent, String text) {

        boolean likely() {
            return present > absent;
        }
    }

    /** Empty where none of its readings is there. */
    static Optional<Chance> chance(Pattern pattern, List<Reading> readings, Repeatability repeatability) {
        List<Reading> toes =
                readings.stream().filter(r -> FEET.contains(r.measure())).toList();
        return pattern.side() == Pattern.Side.NEITHER
                ? noExchange(pattern, toes, repeatability)
                : bothFeet(pattern, toes, repeatability);
    }

    /** At the moment that speaks most for it; one foot never speaks for both. */
    private static Optional<Chance> bothFeet(Pattern pattern, List<Reading> toes, Repeatability repeatability) {
        ToDoubleFunction<Reading> there = reading -> {
            double beyond = pattern.side() == Pattern.Side.TOES
                    ? reading.value() - Pattern.TOES_FROM
                    : Pattern.HEELS_BELOW - reading.value();
            return chanceOf(beyond, Clues.error(reading, repeatability), reading);
        };
        Chance best = null;
        for (Checkpoint at : pattern.moments()) {
            List<Reading> here = at(toes, at);
            if (here.stream().map(Reading::measure).distinct().count() < FEET.size()) continue;
            double all = 1;
            for (Reading reading : here) all *= there.applyAsDouble(reading);
            Chance chance = new Chance(all, (1 - all) / OTHERS, said(pattern, here));
            if (best == null || chance.present() / chance.absent() > best.present() / best.absent()) best = chance;
        }
        return Optional.ofNullable(best);
    }

    /** By the feet that were read going back and coming down. */
    private static Optional<Chance> noExchange(Pattern pattern, List<Reading> toes, Repeatability repeatability) {
        List<Reading> used = new ArrayList<>();
        double same = 1;
        for (Measure foot : FEET) {
            Optional<Reading> back = last(toes, foot, Pattern.Moments.BACK);
            Optional<Reading> down = last(toes, foot, Pattern.Moments.DOWN);
            if (back.isEmpty() || down.isEmpty()) continue;
            double error = Math.hypot(Clues.error(back.get(), repeatability), Clues.error(down.get(), repeatability));
            double change = Math.abs(down.get().value() - back.get().value());
            same *= chanceOf(Pattern.EXCHANGE - change, error, back.get());
            used.add(back.get());
            used.add(down.get());
        }
        if (used.isEmpty()) return Optional.empty();
        return Optional.of(new Chance(same, 1 - same, said(pattern, used)));
    }

    private static double chanceOf(double beyond, double error, Reading reading) {
        double slip = reading.source().chanceOfMisreading();
        return slip + (1 - 2 * slip) * STANDARD_NORMAL.cumulativeProbability(beyond / error);
    }

    private static List<Reading> at(List<Reading> toes, Checkpoint at) {
        return toes.stream().filter(r -> r.at().equals(Optional.of(at))).toList();
    }

    private static Optional<Reading> last(List<Reading> toes, Measure foot, List<Checkpoint> moments) {
        return toes.stream()
                .filter(r ->
                        r.measure() == foot && r.at().filter(moments::contains).isPresent())
                .reduce((earlier, later) ->
                        later.at().orElseThrow().compareTo(earlier.at().orElseThrow()) >= 0 ? later : earlier);
    }

    private static String said(Pattern pattern, List<Reading> readings) {
        return pattern.label() + ": "
                + readings.stream()
                        .map(r -> "%s %s %d %%"
                                .formatted(
                                        r.measure() == Measure.TRAIL_TOE ? "{trail}" : "{lead}",
                                        r.at().map(Identified::id).orElse(""),
                                        Math.round(r.value())))
                        .collect(Collectors.joining(", "));
    }
}
