package app.hodegon.core.diagnosis;

import java.util.EnumSet;
import java.util.Map;
import java.util.Set;

/**
 * A yes/no variable that any of its causes may switch on, or that comes on by itself (the leak).
 *
 * @param leak chance of being on with no cause present
 * @param causes chance that each cause alone switches it on
 */
record NoisyOr(double leak, Map<Fault, Double> causes) {

    NoisyOr {
        causes = Map.copyOf(causes);
    }

    /** The faults whose presence matters. */
    Set<Fault> scope() {
        return causes.isEmpty() ? EnumSet.noneOf(Fault.class) : EnumSet.copyOf(causes.keySet());
    }

    /** The chance that it is off for each combination of a clique's faults. */
    double[] offTable(Clique clique) {
        double[] off = new double[clique.states()];
        java.util.Arrays.fill(off, 1 - leak);
        causes.forEach((fault, strength) -> {
            int bit = clique.bit(fault);
            for (int s = 0; s < off.length; s++) if ((s & bit) != 0) off[s] *= 1 - strength;
        });
        return off;
    }
}
