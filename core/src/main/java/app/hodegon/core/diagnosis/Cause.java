package app.hodegon.core.diagnosis;

/**
 * What brings a showing about, compiled for the {@link CliqueTree}.
 *
 * @param clique where its faults meet
 * @param off chance that it does not show, per combination of the clique's faults
 */
record Cause(int clique, double[] off) {

    static Cause of(NoisyOr noisyOr) {
        int clique = CliqueTree.standard().cliqueFor(noisyOr.scope());
        return new Cause(
                clique, noisyOr.offTable(CliqueTree.standard().cliques().get(clique)));
    }
}
