package app.hodegon.core.diagnosis;

import java.util.Map;

/**
 * A yes/no variable that any of its causes may switch on, or that comes on by itself (the leak). The chance that it
 * stays off is a product over its causes, kept as two tables over the lower and upper half of the faults, so that it is
 * one multiplication for each of the 2^18 states.
 */
final class NoisyOr {

    static final int FAULTS = Fault.values().length;
    static final int STATES = 1 << FAULTS;
    static final int LOW_BITS = FAULTS / 2;
    static final int LOW_MASK = (1 << LOW_BITS) - 1;

    private final double[] low;
    private final double[] high;

    NoisyOr(double leak, Map<Fault, Double> causes) {
        low = new double[1 << LOW_BITS];
        high = new double[1 << (FAULTS - LOW_BITS)];
        java.util.Arrays.fill(low, 1 - leak);
        java.util.Arrays.fill(high, 1);
        causes.forEach((fault, strength) -> {
            int bit = fault.ordinal();
            double[] table = bit < LOW_BITS ? low : high;
            int mask = 1 << (bit < LOW_BITS ? bit : bit - LOW_BITS);
            for (int i = 0; i < table.length; i++) if ((i & mask) != 0) table[i] *= 1 - strength;
        });
    }

    /** The chance that it is off in this state of the faults (bit n set: fault n present). */
    double off(int state) {
        return low[state & LOW_MASK] * high[state >> LOW_BITS];
    }
}
