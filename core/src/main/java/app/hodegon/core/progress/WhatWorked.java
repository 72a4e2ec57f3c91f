package app.hodegon.core.progress;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.hipparchus.distribution.continuous.BetaDistribution;

/**
 * How often each of several drills worked, as far as that can be told. Each share is drawn towards that of all together as
 * if it were ten tries (a beta-binomial model; Gelman and others 2013, section 5.3). One drill is said to have worked more
 * often than another only where their intervals lie apart.
 *
 * @param drills by drill, in the order first tried
 * @param apart pairs whose intervals do not touch
 */
public record WhatWorked(Map<String, Share> drills, List<Apart> apart) {

    private static final double TRIES = 10;
    private static final double EDGE = 0.025;

    /** A drill tried with a student, and whether it worked. */
    public record Tried(String drill, boolean worked) {}

    /**
     * How often it worked.
     *
     * @param worked times
     * @param of tries, 1 and more
     * @param share that is likeliest to be its own, 0 to 1
     * @param low lower edge of its 95 % interval
     * @param high upper edge
     */
    public record Share(int worked, int of, double share, double low, double high) {}

    /** One that surely worked more often than another. */
    public record Apart(String more, String less) {}

    public static WhatWorked of(List<Tried> tried) {
        Map<String, List<Tried>> byDrill = new LinkedHashMap<>();
        tried.forEach(
                t -> byDrill.computeIfAbsent(t.drill(), d -> new ArrayList<>()).add(t));
        // With one success and one failure more than were seen: nothing is sure.
        double all = (count(tried) + 1.0) / (tried.size() + 2);
        Map<String, Share> drills = new LinkedHashMap<>();
        byDrill.forEach((drill, times) -> drills.put(drill, share(count(times), times.size(), all)));
        List<Apart> apart = new ArrayList<>();
        drills.forEach((more, high) -> drills.forEach((less, low) -> {
            if (high.low() > low.high()) apart.add(new Apart(more, less));
        }));
        return new WhatWorked(drills, List.copyOf(apart));
    }

    private static int count(List<Tried> tried) {
        return (int) tried.stream().filter(Tried::worked).count();
    }

    private static Share share(int worked, int of, double all) {
        BetaDistribution chance = new BetaDistribution(TRIES * all + worked, TRIES * (1 - all) + of - worked);
        return new Share(
                worked,
                of,
                chance.getNumericalMean(),
                chance.inverseCumulativeProbability(EDGE),
                chance.inverseCumulativeProbability(1 - EDGE));
    }
}
