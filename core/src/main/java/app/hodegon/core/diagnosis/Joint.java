package app.hodegon.core.diagnosis;

/**
 * What is believed of every fault together with each clique. Most evidence touches one clique only, so what a clue more
 * or less does to all faults is read off here without passing messages again.
 */
final class Joint {

    private final double[][] belief;
    private final double[][][] beliefWith;

    /** Calibrates once as it is, and once for each fault known to be there. */
    Joint(Posterior posterior, Posterior.Calibrated believed) {
        belief = believed.belief();
        Fault[] faults = Fault.values();
        beliefWith = new double[faults.length][][];
        for (Fault fault : faults) {
            beliefWith[fault.ordinal()] = posterior.given(fault).calibrated().belief();
        }
    }

    /**
     * All faults after something changed.
     *
     * @param total weight of everything; falls by the chance of what was seen
     * @param probabilities by the fault's ordinal
     */
    record After(double total, double[] probabilities) {}

    /** After one clique's combinations were each multiplied by a factor. */
    After after(int clique, double[] factor) {
        double total = dot(belief[clique], factor);
        double[] probabilities = new double[beliefWith.length];
        for (int f = 0; f < probabilities.length; f++) probabilities[f] = dot(beliefWith[f][clique], factor) / total;
        return new After(total, probabilities);
    }

    /** After leaving out a clue that was taken in. */
    After without(Clue clue) {
        double[] off = clue.cause().off();
        double[] factor = new double[off.length];
        for (int s = 0; s < off.length; s++) factor[s] = 1 / clue.likelihood(off[s]);
        return after(clue.cause().clique(), factor);
    }

    /** After something seen of one showing. */
    After with(Posterior.Likelihood seen) {
        return after(seen.cause().clique(), seen.factor());
    }

    private static double dot(double[] a, double[] b) {
        double sum = 0;
        for (int i = 0; i < a.length; i++) sum += a[i] * b[i];
        return sum;
    }
}
