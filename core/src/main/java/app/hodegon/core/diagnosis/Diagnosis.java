package app.hodegon.core.diagnosis;

import java.util.List;

/**
 * The answer to "what causes this?".
 *
 * @param faults every fault of the catalogue, most probable first
 * @param chain links between faults that are at least possible, strongest first
 * @param focus one or two faults in the order to work on; empty when nothing is likely
 * @param nextLooks what to look at next, most telling per effort first
 * @param unexplained balls that no likely fault explains, most alike first
 * @param notes what the coach should know before planning: traps, soreness, what upstream explains
 */
public record Diagnosis(
        List<Finding> faults,
        List<ChainLink> chain,
        List<Fault> focus,
        List<NextLook> nextLooks,
        List<Unexplained> unexplained,
        List<String> notes) {

    /** A fault with its probability, 0 to 1, and the evidence on both sides, strongest first. */
    public record Finding(
            Fault fault, double probability, Grade grade, List<Evidence> evidenceFor, List<Evidence> evidenceAgainst) {}

    /**
     * @param strength probability that both are there and the first brought the second about
     */
    public record ChainLink(Fault from, Fault to, double strength) {}

    /**
     * @param gain expected fall in the entropy of the candidates, in bits
     * @param how where to stand and what to watch, for the student's hand
     */
    public record NextLook(Look look, double gain, String how) {

        /** Gain per effort. */
        public double worth() {
            return gain / look.cost();
        }
    }

    public Finding of(Fault fault) {
        return faults.stream().filter(f -> f.fault() == fault).findFirst().orElseThrow();
    }

    /** The faults graded likely, most probable first. */
    public List<Fault> likely() {
        return faults.stream()
                .filter(f -> f.grade() == Grade.LIKELY)
                .map(Finding::fault)
                .toList();
    }
}
