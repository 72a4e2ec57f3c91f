package app.hodegon.core.simulate;

import app.hodegon.core.diagnosis.Catalogue;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Showing;
import app.hodegon.core.diagnosis.Sign;
import java.util.EnumMap;
import java.util.Map;
import java.util.Random;

/**
 * How faults show themselves in a world that is not the catalogue's: the same signs with other strengths, some that a fault
 * does not show at all, other leaks, and a coach who errs.
 */
final class OtherEyes {

    private static final double NOT_AT_ALL = 0.12;
    private static final double MOST_LEAK = 0.12;

    private final Map<Sign, Map<Fault, Double>> shows = new EnumMap<>(Sign.class);
    private final Map<Sign, Double> leak = new EnumMap<>(Sign.class);
    private final double errs;

    /** @param errs how often an answer is the wrong one */
    OtherEyes(Random random, double errs) {
        this.errs = errs;
        for (Sign sign : Sign.values()) {
            Map<Fault, Double> by = new EnumMap<>(Fault.class);
            Catalogue.standard().shownBy(new Showing.OfSign(sign)).forEach((fault, strength) -> {
                double other = random.nextDouble() < NOT_AT_ALL ? 0 : strength * (0.6 + 0.6 * random.nextDouble());
                by.put(fault, Math.min(0.95, other));
            });
            shows.put(sign, by);
            leak.put(sign, MOST_LEAK * random.nextDouble());
        }
    }

    /** What a coach answers who looks at a sign. */
    boolean sees(Sign sign, Map<Fault, Double> showing, Random random) {
        double off = 1 - leak.get(sign);
        for (Map.Entry<Fault, Double> by : shows.get(sign).entrySet()) {
            off *= 1 - by.getValue() * showing.getOrDefault(by.getKey(), 0.0);
        }
        boolean there = random.nextDouble() >= off;
        return random.nextDouble() < errs ? !there : there;
    }
}
