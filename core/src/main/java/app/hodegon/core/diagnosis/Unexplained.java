package app.hodegon.core.diagnosis;

import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Tally;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Balls that go the same way too often to be chance, while no fault that shows it, or brings about one that does, is
 * likely: face, grip or ball position can do that without the feet.
 *
 * @param hits balls that went so
 * @param of balls of that tally
 * @param against what could have done it, most probable first
 */
public record Unexplained(BallResult result, int hits, int of, List<Against> against) {

    /** From so many balls of one tally on. */
    private static final int ENOUGH = 6;

    /** From this share on, balls go the same way by more than chance. */
    private static final double ALIKE = 0.5;

    private static final int MOST = 3;

    /**
     * A fault that would explain it.
     *
     * @param probability 0 to 1
     * @param answer the given answer that weighs most against it; empty where nothing does
     */
    public record Against(Fault fault, double probability, Optional<Evidence> answer) {}

    /** What is not explained, for a coach. */
    public String sentence() {
        return "%d of %d balls %s, and nothing likely explains it.".formatted(hits, of, result.label());
    }

    /**
     * @param findings most probable first
     */
    static List<Unexplained> of(Tally shots, List<Diagnosis.Finding> findings) {
        List<Unexplained> all = new ArrayList<>();
        for (Map.Entry<BallResult, Integer> counted : shots.counts().entrySet()) {
            BallResult result = counted.getKey();
            int of = shots.total(result.kind());
            if (of < ENOUGH || counted.getValue() < ALIKE * of) continue;
            Map<Fault, Double> shownBy = Catalogue.standard().shownBy(new Showing.OfBalls(result));
            List<Diagnosis.Finding> could = findings.stream()
                    .filter(f -> shownBy.containsKey(f.fault()))
                    .toList();
            boolean explained = findings.stream()
                    .filter(f -> f.grade() == Grade.LIKELY)
                    .anyMatch(likely -> could.stream().anyMatch(f -> f == likely || leadsTo(likely, f)));
            if (could.isEmpty() || explained) continue;
            all.add(new Unexplained(
                    result,
                    counted.getValue(),
                    of,
                    could.stream().limit(MOST).map(Unexplained::against).toList()));
        }
        all.sort(Comparator.comparingDouble((Unexplained u) -> (double) u.hits / u.of)
                .reversed());
        return List.copyOf(all);
    }

    private static boolean leadsTo(Diagnosis.Finding from, Diagnosis.Finding to) {
        return Catalogue.standard().leadsTo(from.fault(), to.fault());
    }

    private static Against against(Diagnosis.Finding finding) {
        return new Against(
                finding.fault(),
                finding.probability(),
                finding.evidenceAgainst().stream().findFirst());
    }
}
