package app.hodegon.core.diagnosis;

import java.util.Map;
import java.util.stream.Collectors;

/**
 * The joint weight of all 2^18 combinations of faults. Exact: nothing is sampled or pruned. Adding a clue, taking one
 * out and reading the marginals are each one pass over the table.
 */
final class Posterior {

    private static final Posterior PRIOR = prior(Catalogue.standard());

    private final double[] weight;

    private Posterior(double[] weight) {
        this.weight = weight;
    }

    /** Before anything is seen. */
    static Posterior prior() {
        return PRIOR;
    }

    private static Posterior prior(Catalogue catalogue) {
        double[] weight = new double[NoisyOr.STATES];
        java.util.Arrays.fill(weight, 1);
        for (Fault fault : Fault.values()) {
            Map<Fault, Double> causes = catalogue.links().stream()
                    .filter(link -> link.to() == fault)
                    .collect(Collectors.toMap(Link::from, Link::strength));
            NoisyOr cause = new NoisyOr(catalogue.prior(fault), causes);
            int mask = 1 << fault.ordinal();
            for (int s = 0; s < weight.length; s++) {
                double off = cause.off(s);
                weight[s] *= (s & mask) == 0 ? off : 1 - off;
            }
        }
        return new Posterior(weight);
    }

    /** After one more clue. */
    Posterior with(Clue clue) {
        double[] next = weight.clone();
        double present = clue.present();
        double slope = clue.absent() - present;
        NoisyOr cause = clue.cause();
        for (int s = 0; s < next.length; s++) next[s] *= present + slope * cause.off(s);
        return new Posterior(next);
    }

    /** Chance of each fault when this clue, already taken in, is left out; by {@link Fault} ordinal. */
    double[] marginalsWithout(Clue clue) {
        double[] left = new double[weight.length];
        double present = clue.present();
        double slope = clue.absent() - present;
        NoisyOr cause = clue.cause();
        for (int s = 0; s < left.length; s++) left[s] = weight[s] / (present + slope * cause.off(s));
        return fold(left);
    }

    /** Chance of each fault, by {@link Fault} ordinal. */
    double[] marginals() {
        return fold(weight.clone());
    }

    /**
     * Weight of the showing being off together with each fault: element n for fault n present, the last for all.
     * Divided by the same figures of {@link #weights()}, it gives everything a next look needs.
     */
    double[] weightsWhenOff(NoisyOr showing) {
        double[] off = new double[weight.length];
        for (int s = 0; s < off.length; s++) off[s] = weight[s] * showing.off(s);
        return foldWeights(off);
    }

    double[] weights() {
        return foldWeights(weight.clone());
    }

    /** Chance that both faults are there and the first brought the second about, given the link's strength. */
    double broughtAbout(Link link, NoisyOr causesOfSecond) {
        int both = 1 << link.from().ordinal() | 1 << link.to().ordinal();
        double brought = 0;
        double all = 0;
        for (int s = 0; s < weight.length; s++) {
            all += weight[s];
            if ((s & both) == both) brought += weight[s] * link.strength() / (1 - causesOfSecond.off(s));
        }
        return brought / all;
    }

    private static double[] fold(double[] table) {
        double[] weights = foldWeights(table);
        double total = weights[NoisyOr.FAULTS];
        double[] marginals = new double[NoisyOr.FAULTS];
        for (int f = 0; f < marginals.length; f++) marginals[f] = weights[f] / total;
        return marginals;
    }

    /** Sums the table per fault by adding its upper half onto its lower, top fault first; uses the table up. */
    private static double[] foldWeights(double[] table) {
        double[] sums = new double[NoisyOr.FAULTS + 1];
        int length = table.length;
        for (int f = NoisyOr.FAULTS - 1; f >= 0; f--) {
            length >>= 1;
            double present = 0;
            for (int s = 0; s < length; s++) {
                double upper = table[s + length];
                present += upper;
                table[s] += upper;
            }
            sums[f] = present;
        }
        sums[NoisyOr.FAULTS] = table[0];
        return sums;
    }
}
