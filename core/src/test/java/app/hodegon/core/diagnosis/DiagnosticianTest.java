package app.hodegon.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Source;
import app.hodegon.core.swing.Tally;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class DiagnosticianTest {

    private static final Diagnostician RIGHT = new Diagnostician(PressureSchool.EARLY_RETURN, Handedness.RIGHT);
    private static final Diagnostician LEFT = new Diagnostician(PressureSchool.EARLY_RETURN, Handedness.LEFT);

    static Stream<Observations> random() {
        return IntStream.range(0, 4).mapToObj(seed -> random(new Random(seed)));
    }

    private static Observations random(Random random) {
        Map<Sign, Boolean> signs = new EnumMap<>(Sign.class);
        for (Sign sign : Sign.values()) if (random.nextInt(4) == 0) signs.put(sign, random.nextBoolean());
        List<Reading> readings = List.of(
                new Reading(Measure.TRAIL_SHARE, Optional.of(Checkpoint.TOP), 20 + random.nextInt(70), Source.SEEN, 3));
        return new Observations(
                signs, readings, new Tally(Map.of(BallResult.SLICE, random.nextInt(5), BallResult.STRAIGHT, 4)));
    }

    /** The same network written out plainly: every state, every factor, no tables and no passes. */
    @ParameterizedTest
    @MethodSource("random")
    void agreesWithPlainEnumeration(Observations seen) {
        Catalogue catalogue = Catalogue.standard();
        List<Clue> clues = Clues.of(seen, PressureSchool.EARLY_RETURN);
        double[] present = new double[Fault.values().length];
        double all = 0;
        for (int state = 0; state < 1 << Fault.values().length; state++) {
            double weight = 1;
            for (Fault fault : Fault.values()) {
                double off = 1 - catalogue.prior(fault);
                for (Link link : catalogue.links()) {
                    if (link.to() == fault && has(state, link.from())) off *= 1 - link.strength();
                }
                weight *= has(state, fault) ? 1 - off : off;
            }
            for (Clue clue : clues) {
                double off = 1 - catalogue.leak(clue.showing());
                for (Map.Entry<Fault, Double> by :
                        catalogue.shownBy(clue.showing()).entrySet()) {
                    if (has(state, by.getKey())) off *= 1 - by.getValue();
                }
                weight *= clue.present() * (1 - off) + clue.absent() * off;
            }
            all += weight;
            for (Fault fault : Fault.values()) if (has(state, fault)) present[fault.ordinal()] += weight;
        }
        Diagnosis diagnosis = RIGHT.diagnose(seen);
        for (Fault fault : Fault.values()) {
            assertThat(diagnosis.of(fault).probability()).isCloseTo(present[fault.ordinal()] / all, within(1e-9));
        }
    }

    private static boolean has(int state, Fault fault) {
        return (state >> fault.ordinal() & 1) == 1;
    }

    @ParameterizedTest
    @MethodSource("random")
    void mirroredHandChangesWordsOnly(Observations seen) {
        Diagnosis right = RIGHT.diagnose(seen);
        Diagnosis left = LEFT.diagnose(seen);
        assertThat(left.focus()).isEqualTo(right.focus());
        for (Fault fault : Fault.values()) {
            assertThat(left.of(fault).probability()).isEqualTo(right.of(fault).probability());
        }
        assertThat(left.toString()).doesNotContain("{lead}").doesNotContain("{trail}");
    }

    @ParameterizedTest
    @MethodSource("random")
    void yesToAnOwnSignNeverLowersAFault(Observations seen) {
        Diagnosis before = RIGHT.diagnose(seen);
        for (Sign sign : List.of(Sign.PELVIS_DRIFTS_BACK, Sign.LEAD_FOOT_SPINS, Sign.FLIPS_HANDS)) {
            if (seen.signs().containsKey(sign)) continue;
            Map<Sign, Boolean> signs = new EnumMap<>(Sign.class);
            signs.putAll(seen.signs());
            signs.put(sign, true);
            Diagnosis after = RIGHT.diagnose(new Observations(signs, seen.readings(), seen.shots()));
            for (Fault fault :
                    Catalogue.standard().shownBy(new Showing.OfSign(sign)).keySet()) {
                assertThat(after.of(fault).probability())
                        .isGreaterThanOrEqualTo(before.of(fault).probability() - 1e-12);
            }
        }
    }

    @Test
    void nothingSeenGradesNothingAndSaysSo() {
        Diagnosis diagnosis = RIGHT.diagnose(Observations.NONE);
        assertThat(diagnosis.faults()).hasSize(18).allMatch(f -> f.grade() == Grade.NOT_ENOUGH_SEEN);
        assertThat(diagnosis.focus()).isEmpty();
        assertThat(diagnosis.notes()).singleElement().asString().contains("Nothing seen yet");
    }

    @Test
    void feltReadingMovesLessThanPlateReading() {
        double felt =
                RIGHT.diagnose(topShare(Source.FELT)).of(Fault.LATE_RECENTRE).probability();
        double plate =
                RIGHT.diagnose(topShare(Source.PLATE)).of(Fault.LATE_RECENTRE).probability();
        double none = RIGHT.diagnose(Observations.NONE).of(Fault.LATE_RECENTRE).probability();
        assertThat(felt).isBetween(none, none + (plate - none) / 2);
    }

    private static Observations topShare(Source source) {
        return new Observations(
                Map.of(),
                List.of(new Reading(Measure.TRAIL_SHARE, Optional.of(Checkpoint.TOP), 75, source, 3)),
                Tally.EMPTY);
    }

    @Test
    void aClearReversePivotExplainsFatShotsWithoutASway() {
        Tally fat = new Tally(Map.of(BallResult.FAT, 5, BallResult.SOLID, 4));
        double without = RIGHT.diagnose(new Observations(Map.of(), List.of(), fat))
                .of(Fault.SWAY)
                .probability();
        double with = RIGHT.diagnose(new Observations(Map.of(Sign.WEIGHT_LEAD_AT_TOP, true), List.of(), fat))
                .of(Fault.SWAY)
                .probability();
        assertThat(with).isLessThan(without);
    }

    @Test
    void nextLooksAreUnseenSignsAndSeparateTheCandidates() {
        Observations seen = new Observations(Map.of(Sign.WEIGHT_LEAD_AT_TOP, true), List.of(), Tally.EMPTY);
        List<Diagnosis.NextLook> looks = RIGHT.diagnose(seen).nextLooks();
        assertThat(looks).hasSize(8).noneMatch(l -> l.sign() == Sign.WEIGHT_LEAD_AT_TOP);
        assertThat(looks.subList(0, 3)).anyMatch(l -> l.sign() == Sign.FALLS_BACK_AT_FINISH);
    }

    @Test
    void soreBackBringsItsCauseFirst() {
        Diagnosis diagnosis = RIGHT.diagnose(new Observations(
                Map.of(
                        Sign.PELVIS_DRIFTS_BACK, true,
                        Sign.TRAIL_OUTER_EDGE_LOADED, true,
                        Sign.BACK_SORENESS, true,
                        Sign.FEET_FROZEN, true,
                        Sign.LITTLE_HIP_TURN, true),
                List.of(),
                Tally.EMPTY));
        assertThat(diagnosis.focus()).startsWith(Fault.FROZEN_FEET);
        assertThat(diagnosis.notes()).anyMatch(n -> n.contains("doctor"));
    }

    @Test
    void evidenceIsSaidForTheStudentsHand() {
        Observations seen = new Observations(Map.of(Sign.TRAIL_OUTER_EDGE_LOADED, true), List.of(), Tally.EMPTY);
        assertThat(RIGHT.diagnose(seen).of(Fault.SWAY).evidenceFor().get(0).text())
                .contains("right foot");
        assertThat(LEFT.diagnose(seen).of(Fault.SWAY).evidenceFor().get(0).text())
                .contains("left foot");
    }
}
