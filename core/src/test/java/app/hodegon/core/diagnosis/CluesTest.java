package app.hodegon.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Repeatability;
import app.hodegon.core.swing.Source;
import app.hodegon.core.swing.Tally;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How what is seen, measured and tallied becomes evidence, and in which words. */
class CluesTest {

    private static List<Clue> clues(Map<Sign, Boolean> signs, List<Reading> readings, Tally balls) {
        return Clues.of(new Observations(signs, readings, balls), PressureSchool.EARLY_RETURN, Repeatability.ASSUMED);
    }

    private static Reading drift(double value, Source source, int swings) {
        return new Reading(Measure.PELVIS_DRIFT, Optional.of(Checkpoint.TOP), value, source, swings);
    }

    private static Clue above(Reading reading) {
        return clues(Map.of(), List.of(reading), Tally.EMPTY).stream()
                .filter(c -> c.id().equals("pelvis-drift@top>5"))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aSignIsYesOrNoUpToASlip() {
        Clue yes = clues(Map.of(Sign.PELVIS_DRIFTS_BACK, true), List.of(), Tally.EMPTY)
                .get(0);
        assertThat(yes.likelihood(0)).isCloseTo(1 - Sign.CHANCE_OF_SLIP, within(1e-12));
        assertThat(yes.likelihood(1)).isCloseTo(Sign.CHANCE_OF_SLIP, within(1e-12));
        Clue no = clues(Map.of(Sign.PELVIS_DRIFTS_BACK, false), List.of(), Tally.EMPTY)
                .get(0);
        assertThat(no.likelihood(0)).isCloseTo(Sign.CHANCE_OF_SLIP, within(1e-12));
        assertThat(no.text()).startsWith("Not seen: ");
        assertThat(no.text().charAt("Not seen: ".length()))
                .as("within a sentence")
                .matches(c -> Character.isLowerCase(c) || c == '{');
    }

    @ParameterizedTest
    @CsvSource({"5, CLIP, 1", "6, CLIP, 1", "5.5, CLIP, 4", "3, SEEN, 3", "7, SEEN, 2"})
    void nearItsLimitAReadingCountsByItsDistanceOverItsError(double value, Source source, int swings) {
        double sem = source == Source.CLIP ? 1 : 2.5;
        double slip = source.chanceOfMisreading();
        double expected = slip
                + (1 - 2 * slip)
                        * new NormalDistribution().cumulativeProbability((value - 5) / (sem / Math.sqrt(swings)));
        Clue clue = above(drift(value, source, swings));
        assertThat(clue.likelihood(0)).as("if it is there").isCloseTo(expected, within(1e-9));
        assertThat(clue.likelihood(1)).as("if it is not").isCloseTo(1 - expected, within(1e-9));
    }

    @Test
    void aReadingIsSaidWithItsLimitSourceAndSwings() {
        assertThat(above(drift(9, Source.CLIP, 3)).text())
                .isEqualTo("Pelvis travel away from the target, top: {9 cm}, above {5 cm} (clip, 3 swings)");
        assertThat(above(drift(4.5, Source.SEEN, 1)).text())
                .isEqualTo("Pelvis travel away from the target, top: {4.5 cm}, not above {5 cm} (seen, 1 swing)");
        assertThat(above(drift(5, Source.SEEN, 1)).text()).contains("not above {5 cm}");
    }

    @Test
    void aReadingOfAnotherMomentIsNoEvidence() {
        Reading atImpact = new Reading(Measure.PELVIS_DRIFT, Optional.of(Checkpoint.TRIGGER), 12, Source.CLIP, 3);
        assertThat(clues(Map.of(), List.of(atImpact), Tally.EMPTY)).isEmpty();
    }

    @Test
    void ballsCountByTheirShare() {
        Map<BallResult, Integer> counts = new EnumMap<>(BallResult.class);
        counts.put(BallResult.SLICE, 6);
        counts.put(BallResult.STRAIGHT, 2);
        Clue many = clues(Map.of(), List.of(), new Tally(counts)).stream()
                .filter(c -> c.id().equals("flight:slice"))
                .findFirst()
                .orElseThrow();
        counts.put(BallResult.SLICE, 1);
        counts.put(BallResult.STRAIGHT, 7);
        Clue few = clues(Map.of(), List.of(), new Tally(counts)).stream()
                .filter(c -> c.id().equals("flight:slice"))
                .findFirst()
                .orElseThrow();
        assertThat(many.text()).isEqualTo("6 of 8 balls: slice");
        assertThat(many.likelihood(0) / many.likelihood(1)).isGreaterThan(10);
        assertThat(few.likelihood(0) / few.likelihood(1)).isLessThan(1);
        assertThat(clues(Map.of(), List.of(), Tally.EMPTY)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "FELT, 'Ask the player before telling anything, at the top: how much of the load is under the {trail} foot.'",
        "SEEN, 'Face on, at the top: judge how much of the load is under the {trail} foot.'",
        "CLIP, 'Clip face on, stopped at the top: measure how much of the load is under the {trail} foot.'",
        "PLATE, 'Three swings on the plate, at the top: read how much of the load is under the {trail} foot.'"
    })
    void howToMeasureIsSaidBySource(Source source, String how) {
        assertThat(HowToMeasure.how(Measure.TRAIL_SHARE, Optional.of(Checkpoint.TOP), source))
                .isEqualTo(how);
    }

    @Test
    void everyMomentHasItsWords() {
        for (Checkpoint at : Checkpoint.values()) {
            assertThat(HowToMeasure.how(Measure.TRAIL_SHARE, Optional.of(at), Source.SEEN))
                    .startsWith("Face on, ")
                    .contains(": judge");
        }
        assertThat(HowToMeasure.how(Measure.ANKLE_REACH, Optional.empty(), Source.SEEN))
                .contains("wall");
        assertThat(HowToMeasure.how(Measure.PEAK_TRAIL_SHARE, Optional.empty(), Source.PLATE))
                .startsWith("Three swings on the plate: read");
    }

    @Test
    void aDiagnosisKeepsToItsOwnRules() {
        Diagnosis sway = new Diagnostician(PressureSchool.EARLY_RETURN, Handedness.RIGHT)
                .diagnose(new Observations(
                        Map.of(
                                Sign.PELVIS_DRIFTS_BACK, true,
                                Sign.TRAIL_OUTER_EDGE_LOADED, true,
                                Sign.WEIGHT_LATE, true,
                                Sign.CLUB_STEEP_OUTSIDE, true,
                                Sign.FEET_FROZEN, false),
                        List.of(),
                        Tally.EMPTY));
        assertThat(sway.likely()).contains(Fault.SWAY);
        assertThat(sway.focus().get(0)).isEqualTo(Fault.SWAY);
        assertThat(sway.chain()).isNotEmpty().allSatisfy(link -> {
            assertThat(sway.of(link.from()).probability()).isGreaterThanOrEqualTo(Grade.POSSIBLE_FROM);
            assertThat(sway.of(link.to()).probability()).isGreaterThanOrEqualTo(Grade.POSSIBLE_FROM);
        });
        assertThat(sway.chain())
                .extracting(Diagnosis.ChainLink::strength)
                .isSortedAccordingTo((a, b) -> Double.compare(b, a));
        sway.faults().forEach(finding -> {
            assertThat(finding.evidenceFor()).allMatch(e -> e.weight() > 0);
            assertThat(finding.evidenceAgainst()).allMatch(e -> e.weight() < 0);
            assertThat(finding.evidenceFor())
                    .extracting(e -> Math.abs(e.weight()))
                    .isSortedAccordingTo((a, b) -> Double.compare(b, a));
        });
        assertThat(sway.faults())
                .extracting(Diagnosis.Finding::probability)
                .isSortedAccordingTo((a, b) -> Double.compare(b, a));
        assertThat(sway.of(Fault.FROZEN_FEET).evidenceAgainst())
                .extracting(Evidence::id)
                .contains("feet-frozen");
        assertThat(sway.notes()).anyMatch(n -> n.startsWith("Trap with sway: "));
        assertThat(sway.notes()).anyMatch(n -> n.contains("can come from sway"));
    }
}
