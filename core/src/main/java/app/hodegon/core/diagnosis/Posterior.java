package app.hodegon.core.diagnosis;

import java.util.List;
import java.util.Set;

/**
 * What is believed of all faults together after some clues. Exact: nothing is sampled or pruned. Tables of the
 * {@link CliqueTree} are multiplied by each clue and calibrated in one pass up the tree and one down.
 */
final class Posterior {

    private static final CliqueTree TREE = CliqueTree.standard();

    /** Per clique, the product of what was put there, before calibration. */
    private final double[][] potential;

    private Posterior(double[][] potential) {
        this.potential = potential;
    }

    static Posterior after(List<Clue> clues) {
        double[][] potential = new double[TREE.prior().length][];
        for (int i = 0; i < potential.length; i++) potential[i] = TREE.prior()[i].clone();
        for (Clue clue : clues) {
            double[] table = potential[clue.cause().clique()];
            double[] off = clue.cause().off();
            for (int s = 0; s < table.length; s++) table[s] *= clue.likelihood(off[s]);
        }
        return new Posterior(potential);
    }

    /**
     * The same where each fault's odds were so many times what they are of anybody.
     *
     * @param odds by the fault's ordinal
     */
    Posterior with(double[] odds) {
        double[][] next = new double[potential.length][];
        for (int i = 0; i < next.length; i++) next[i] = potential[i].clone();
        for (Fault fault : Fault.values()) {
            int at = TREE.home(fault);
            int bit = TREE.cliques().get(at).bit(fault);
            for (int s = 0; s < next[at].length; s++) if ((s & bit) != 0) next[at][s] *= odds[fault.ordinal()];
        }
        return new Posterior(next);
    }

    /** The same with a fault known to be there. */
    Posterior given(Fault fault) {
        int at = TREE.home(fault);
        int bit = TREE.cliques().get(at).bit(fault);
        double[][] next = potential.clone();
        next[at] = potential[at].clone();
        for (int s = 0; s < next[at].length; s++) if ((s & bit) == 0) next[at][s] = 0;
        return new Posterior(next);
    }

    /**
     * What an outcome of a look says of a showing's causes.
     *
     * @param present likelihood of the outcome when the showing is there
     * @param absent likelihood when it is not
     */
    record Likelihood(Cause cause, double present, double absent) {

        /** By combination of the cause's clique. */
        double[] factor() {
            double[] factor = cause.off().clone();
            for (int s = 0; s < factor.length; s++) factor[s] = present + (absent - present) * factor[s];
            return factor;
        }
    }

    /** The same with more seen; its {@link Calibrated#total()} falls by the chance of that. */
    Posterior with(List<Likelihood> seen) {
        double[][] next = potential.clone();
        for (Likelihood one : seen) {
            int at = one.cause().clique();
            double[] factor = one.factor();
            double[] table = next[at].clone();
            for (int s = 0; s < table.length; s++) table[s] *= factor[s];
            next[at] = table;
        }
        return new Posterior(next);
    }

    /** Passes messages up the tree and down again. */
    Calibrated calibrated() {
        List<Clique> cliques = TREE.cliques();
        double[][] belief = new double[potential.length][];
        for (int i = 0; i < belief.length; i++) belief[i] = potential[i].clone();
        double[][] sent = new double[belief.length][];
        double total = 1;
        for (int i = 0; i < belief.length; i++) {
            Clique clique = cliques.get(i);
            sent[i] = sumOnto(belief[i], clique.toSeparator(), clique.separatorStates());
            if (clique.parent() < 0) total *= sent[i][0];
            else multiply(belief[clique.parent()], clique.parentToSeparator(), sent[i]);
        }
        for (int i = belief.length - 1; i >= 0; i--) {
            Clique clique = cliques.get(i);
            if (clique.parent() < 0) continue;
            double[] update = sumOnto(belief[clique.parent()], clique.parentToSeparator(), clique.separatorStates());
            // What was impossible on the way up stays so: 0/0 is 0.
            for (int s = 0; s < update.length; s++) update[s] = sent[i][s] == 0 ? 0 : update[s] / sent[i][s];
            multiply(belief[i], clique.toSeparator(), update);
        }
        return new Calibrated(belief, total);
    }

    private static double[] sumOnto(double[] table, int[] index, int size) {
        double[] sums = new double[size];
        for (int s = 0; s < table.length; s++) sums[index[s]] += table[s];
        return sums;
    }

    private static void multiply(double[] table, int[] index, double[] by) {
        for (int s = 0; s < table.length; s++) table[s] *= by[index[s]];
    }

    /**
     * Tables from which marginals can be read.
     *
     * @param total weight of everything, the likelihood of the clues
     */
    record Calibrated(double[][] belief, double total) {

        double probability(Fault fault) {
            int at = TREE.home(fault);
            int bit = TREE.cliques().get(at).bit(fault);
            double present = 0;
            double all = 0;
            for (int s = 0; s < belief[at].length; s++) {
                all += belief[at][s];
                if ((s & bit) != 0) present += belief[at][s];
            }
            return present / all;
        }

        /** Chance of each fault, by ordinal. */
        double[] probabilities() {
            double[] probabilities = new double[Fault.values().length];
            for (Fault fault : Fault.values()) probabilities[fault.ordinal()] = probability(fault);
            return probabilities;
        }

        /** Chance that both faults are there and the first brought the second about. */
        double broughtAbout(Link link) {
            NoisyOr cause = TREE.causesOf(link.to());
            Set<Fault> family = cause.scope();
            family.add(link.to());
            int at = TREE.cliqueFor(family);
            Clique clique = TREE.cliques().get(at);
            double[] off = cause.offTable(clique);
            int both = clique.bit(link.from()) | clique.bit(link.to());
            double brought = 0;
            double all = 0;
            for (int s = 0; s < off.length; s++) {
                all += belief[at][s];
                if ((s & both) == both) brought += belief[at][s] * link.strength() / (1 - off[s]);
            }
            return brought / all;
        }
    }
}
