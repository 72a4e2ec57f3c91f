package app.hodegon.core.diagnosis;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Diagnosis.ChainLink;
import app.hodegon.core.diagnosis.Diagnosis.Finding;
import app.hodegon.core.diagnosis.Diagnosis.NextLook;
import app.hodegon.core.swing.Handedness;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** Reasons from what was seen to the faults behind it, by exact inference in the catalogue's causal network. */
public final class Diagnostician {

    /** Evidence that moves a fault's log-odds by less is not worth a coach's reading time. */
    private static final double WORTH_SAYING = 0.05;

    /** The next look tells these many leading candidates apart. */
    private static final int CANDIDATES = 5;

    private static final int LOOKS = 8;
    private static final double[] BEFORE =
            Posterior.after(List.of()).calibrated().probabilities();

    private final PressureSchool school;
    private final Handedness hand;

    public Diagnostician(PressureSchool school, Handedness hand) {
        this.school = school;
        this.hand = hand;
    }

    /** The diagnosis; total for any observations, contradictory ones included. */
    public Diagnosis diagnose(Observations seen) {
        List<Clue> clues = Clues.of(seen, school);
        Posterior posterior = Posterior.after(clues);
        Posterior.Calibrated believed = posterior.calibrated();
        double[] probability = believed.probabilities();

        List<Finding> findings = findings(clues, posterior, probability);
        List<Fault> likely = findings.stream()
                .filter(f -> f.grade() == Grade.LIKELY)
                .map(Finding::fault)
                .toList();
        List<Fault> focus = focus(likely, seen);
        return new Diagnosis(
                findings,
                chain(believed, findings),
                focus,
                clues.isEmpty() ? List.of() : nextLooks(seen, posterior, believed),
                notes(likely, focus, seen));
    }

    private List<Finding> findings(List<Clue> clues, Posterior posterior, double[] probability) {
        Map<Clue, double[]> without = new HashMap<>();
        for (Clue clue : clues)
            without.put(clue, posterior.without(clue).calibrated().probabilities());
        List<Finding> findings = new ArrayList<>();
        for (Fault fault : Fault.values()) {
            double p = probability[fault.ordinal()];
            List<Evidence> evidence = clues.stream()
                    .map(clue -> new Evidence(
                            clue.id(), logOdds(p) - logOdds(without.get(clue)[fault.ordinal()]), hand.say(clue.text())))
                    .filter(e -> Math.abs(e.weight()) >= WORTH_SAYING)
                    .sorted(Comparator.comparingDouble(e -> -Math.abs(e.weight())))
                    .toList();
            boolean ownSeen = clues.stream()
                    .anyMatch(clue -> !(clue.showing() instanceof Showing.OfBalls)
                            && Catalogue.standard().shownBy(clue.showing()).containsKey(fault));
            findings.add(new Finding(
                    fault,
                    p,
                    Grade.of(p, ownSeen, evidence.stream().anyMatch(e -> e.weight() > 0)),
                    evidence.stream().filter(e -> e.weight() > 0).toList(),
                    evidence.stream().filter(e -> e.weight() < 0).toList()));
        }
        findings.sort(Comparator.comparingDouble(f -> -f.probability()));
        return List.copyOf(findings);
    }

    private static double logOdds(double p) {
        double kept = Math.min(1 - 1e-12, Math.max(1e-12, p));
        return Math.log(kept / (1 - kept));
    }

    private List<ChainLink> chain(Posterior.Calibrated believed, List<Finding> findings) {
        Map<Fault, Finding> byFault = findings.stream().collect(Collectors.toMap(Finding::fault, f -> f));
        return Catalogue.standard().links().stream()
                .filter(l -> byFault.get(l.from()).probability() >= Grade.POSSIBLE_FROM
                        && byFault.get(l.to()).probability() >= Grade.POSSIBLE_FROM)
                .map(l -> new ChainLink(l.from(), l.to(), believed.broughtAbout(l)))
                .sorted(Comparator.comparingDouble(l -> -l.strength()))
                .toList();
    }

    /**
     * The most upstream likely fault first, unless a sore back points at one; then a likely cause in the body that
     * feeds it, or else the next likely fault of another chain. What the first one explains waits.
     */
    private static List<Fault> focus(List<Fault> likely, Observations seen) {
        List<Fault> ofMovement =
                likely.stream().filter(f -> !f.ofTheBody()).sorted().toList();
        if (ofMovement.isEmpty()) return likely.stream().sorted().limit(2).toList();
        boolean sore = seen.signs().getOrDefault(Sign.BACK_SORENESS, false);
        Map<Fault, Double> soreFrom = Catalogue.standard().shownBy(new Showing.OfSign(Sign.BACK_SORENESS));
        Fault first = ofMovement.stream()
                .filter(f -> sore && soreFrom.containsKey(f))
                .findFirst()
                .orElse(ofMovement.get(0));
        List<Fault> focus = new ArrayList<>(List.of(first));
        Catalogue catalogue = Catalogue.standard();
        likely.stream()
                .filter(Fault::ofTheBody)
                .filter(body -> catalogue.leadsTo(body, first))
                .findFirst()
                .or(() -> ofMovement.stream()
                        .filter(f -> f != first && !catalogue.leadsTo(first, f))
                        .findFirst())
                .ifPresent(focus::add);
        return List.copyOf(focus);
    }

    private List<NextLook> nextLooks(Observations seen, Posterior posterior, Posterior.Calibrated believed) {
        List<Fault> candidates = candidates(believed.probabilities());
        List<NextLook> looks = new ArrayList<>();
        for (Sign sign : Sign.values()) {
            Cause cause = Clues.cause(new Showing.OfSign(sign));
            if (cause == null || seen.signs().containsKey(sign)) continue;
            double gain = expectedGain(believed, posterior.withAbsent(cause).calibrated(), candidates);
            looks.add(new NextLook(sign, gain, hand.say(sign.how())));
        }
        looks.sort(Comparator.comparingDouble(l -> -l.gain() / l.sign().effort().cost()));
        return looks.stream().limit(LOOKS).toList();
    }

    /** The faults that the evidence raised, most probable first; all of them when it raised none. */
    private static List<Fault> candidates(double[] probability) {
        List<Fault> raised = Arrays.stream(Fault.values())
                .filter(f -> probability[f.ordinal()] > BEFORE[f.ordinal()])
                .sorted(Comparator.comparingDouble(f -> -probability[f.ordinal()]))
                .limit(CANDIDATES)
                .toList();
        return raised.isEmpty() ? List.of(Fault.values()) : raised;
    }

    /** Expected fall, in bits, of the summed binary entropies of the candidates. */
    private static double expectedGain(
            Posterior.Calibrated believed, Posterior.Calibrated whenAbsent, List<Fault> candidates) {
        double absent = whenAbsent.total() / believed.total();
        double gain = 0;
        for (Fault fault : candidates) {
            double p = believed.probability(fault);
            double ifAbsent = whenAbsent.probability(fault);
            double ifPresent = (p - absent * ifAbsent) / (1 - absent);
            gain += entropy(p) - absent * entropy(ifAbsent) - (1 - absent) * entropy(ifPresent);
        }
        return Math.max(0, gain);
    }

    private static double entropy(double p) {
        if (p <= 0 || p >= 1) return 0;
        return -(p * Math.log(p) + (1 - p) * Math.log(1 - p)) / Math.log(2);
    }

    private List<String> notes(List<Fault> likely, List<Fault> focus, Observations seen) {
        List<String> notes = new ArrayList<>();
        if (seen.equals(Observations.NONE)) {
            notes.add("Nothing seen yet. Tally a few balls and answer the signs you are sure of.");
        } else if (likely.isEmpty()) {
            notes.add("Nothing is likely on what was seen so far. The next looks tell the most.");
        }
        if (seen.signs().getOrDefault(Sign.BACK_SORENESS, false)) {
            notes.add("Sore lower back: ease the session now; pain that stays belongs to a doctor or physiotherapist.");
        }
        for (Fault fault : focus) notes.add("Trap with " + fault.label().toLowerCase() + ": " + hand.say(fault.trap()));
        for (Fault fault : likely) {
            focus.stream()
                    .filter(root ->
                            !focus.contains(fault) && Catalogue.standard().leadsTo(root, fault))
                    .findFirst()
                    .ifPresent(root -> notes.add(fault.label() + " can come from "
                            + root.label().toLowerCase() + ": let it wait and look again once that has changed."));
        }
        return notes;
    }
}
