package app.hodegon.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.hodegon.core.Effort;
import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Quantity;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Repeatability;
import app.hodegon.core.swing.Source;
import app.hodegon.core.swing.Tally;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class DiagnosticianTest {

    private static final Diagnostician RIGHT = new Diagnostician(PressureSchool.EARLY_RETURN, Handedness.RIGHT);
    private static final Diagnostician LEFT = new Diagnostician(PressureSchool.EARLY_RETURN, Handedness.LEFT);

    static Stream<Observations> random() {
        return IntStream.range(0, 12).mapToObj(seed -> random(new Random(seed)));
    }

    private static Observations random(Random random) {
        Map<Sign, Boolean> signs = new EnumMap<>(Sign.class);
        for (Sign sign : Sign.values()) if (random.nextInt(4) == 0) signs.put(sign, random.nextBoolean());
        List<Reading> readings = List.of(
                new Reading(Measure.TRAIL_SHARE, Optional.of(Checkpoint.TOP), 20 + random.nextInt(70), Source.SEEN, 3));
        return new Observations(
                signs, readings, new Tally(Map.of(BallResult.SLICE, random.nextInt(5), BallResult.STRAIGHT, 4)));
    }

    static Stream<Observations> few() {
        return random().limit(Effort.of(1, 4));
    }

    /** The same network written out plainly: every state, every factor, no tables and no passes. */
    @Tag("slow")
    @ParameterizedTest
    @MethodSource("few")
    void agreesWithPlainEnumeration(Observations seen) {
        Catalogue catalogue = Catalogue.standard();
        List<Clue> clues = Clues.of(seen, PressureSchool.EARLY_RETURN, Repeatability.ASSUMED);
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
        for (Sign sign : Sign.values()) {
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
    void nextLooksAreUnseenAndSeparateTheCandidates() {
        Observations seen = new Observations(Map.of(Sign.WEIGHT_LEAD_AT_TOP, true), List.of(), Tally.EMPTY);
        List<Diagnosis.NextLook> looks = RIGHT.diagnose(seen).nextLooks();
        assertThat(looks).hasSize(12).noneMatch(l -> l.look().equals(new Look.AtSign(Sign.WEIGHT_LEAD_AT_TOP)));
        assertThat(looks.subList(0, 3)).anyMatch(l -> l.look().equals(new Look.AtSign(Sign.FALLS_BACK_AT_FINISH)));
        assertThat(looks)
                .isSortedAccordingTo(
                        Comparator.comparingDouble(Diagnosis.NextLook::worth).reversed());
    }

    /** The looked-for fall in entropy is an average: of all outcomes, weighed by their chance, worked out plainly. */
    @Test
    void theGainOfASignIsTheMeanFallInEntropy() {
        Observations none = Observations.NONE;
        Diagnosis before = RIGHT.diagnose(none);
        Diagnosis.NextLook look = before.nextLooks().stream()
                .filter(l -> l.look() instanceof Look.AtSign)
                .findFirst()
                .orElseThrow();
        Sign sign = ((Look.AtSign) look.look()).sign();
        double yes = 0;
        double[] entropies = new double[2];
        for (int answer = 0; answer < 2; answer++) {
            Diagnosis then = RIGHT.diagnose(new Observations(Map.of(sign, answer == 1), List.of(), Tally.EMPTY));
            for (Fault fault : Fault.values())
                entropies[answer] += entropy(then.of(fault).probability());
        }
        // The chance of a yes follows from any fault it moves: before = yes·after yes + (1 − yes)·after no.
        Fault moved = Catalogue.standard()
                .shownBy(new Showing.OfSign(sign))
                .keySet()
                .iterator()
                .next();
        double ifYes = RIGHT.diagnose(new Observations(Map.of(sign, true), List.of(), Tally.EMPTY))
                .of(moved)
                .probability();
        double ifNo = RIGHT.diagnose(new Observations(Map.of(sign, false), List.of(), Tally.EMPTY))
                .of(moved)
                .probability();
        yes = (before.of(moved).probability() - ifNo) / (ifYes - ifNo);
        double now = before.faults().stream()
                .mapToDouble(f -> entropy(f.probability()))
                .sum();
        assertThat(look.gain()).isCloseTo(now - yes * entropies[1] - (1 - yes) * entropies[0], within(1e-9));
    }

    private static double entropy(double p) {
        return -(p * Math.log(p) + (1 - p) * Math.log(1 - p)) / Math.log(2);
    }

    @Test
    void measuresAreOfferedWithTheirSourceAndOnlyFromAHarderOneOnceRead() {
        Observations late = new Observations(Map.of(Sign.WEIGHT_LEAD_AT_TOP, true), List.of(), Tally.EMPTY);
        Diagnosis.NextLook measure =
                measureLook(late, Measure.TRAIL_SHARE, Checkpoint.IMPACT).orElseThrow();
        assertThat(measure.gain()).isPositive();
        assertThat(measure.how()).contains("right foot").contains("at impact");
        for (Source source : List.of(Source.SEEN, Source.PLATE)) {
            Observations read = new Observations(
                    late.signs(),
                    List.of(new Reading(Measure.TRAIL_SHARE, Optional.of(Checkpoint.IMPACT), 40, source, 3)),
                    Tally.EMPTY);
            measureLook(read, Measure.TRAIL_SHARE, Checkpoint.IMPACT)
                    .ifPresent(l ->
                            assertThat(((Look.AtMeasure) l.look()).source()).isGreaterThan(source));
        }
        assertThat(measureLook(
                        new Observations(
                                Map.of(),
                                List.of(new Reading(
                                        Measure.TRAIL_SHARE, Optional.of(Checkpoint.IMPACT), 40, Source.PLATE, 3)),
                                Tally.EMPTY),
                        Measure.TRAIL_SHARE,
                        Checkpoint.IMPACT))
                .isEmpty();
    }

    private static Optional<Diagnosis.NextLook> measureLook(Observations seen, Measure measure, Checkpoint at) {
        return RIGHT.diagnose(seen).nextLooks().stream()
                .filter(l -> l.look() instanceof Look.AtMeasure of
                        && of.measure() == measure
                        && of.at().equals(Optional.of(at)))
                .findFirst();
    }

    @Test
    void aCoachWhoReadsBetterIsBelievedMore() {
        Observations seen = topShare(Source.SEEN);
        Repeatability sharp = Repeatability.ASSUMED.with(Quantity.SHARE, Source.SEEN, 3);
        Diagnostician trusted = new Diagnostician(PressureSchool.EARLY_RETURN, sharp, Handedness.RIGHT);
        assertThat(trusted.diagnose(seen).of(Fault.LATE_RECENTRE).probability())
                .isGreaterThan(RIGHT.diagnose(seen).of(Fault.LATE_RECENTRE).probability());
    }

    @ParameterizedTest
    @MethodSource("random")
    void switchingEvidenceOffAndOnReturnsTheSameNumbers(Observations seen) {
        Diagnosis before = RIGHT.diagnose(seen);
        for (Sign sign : seen.signs().keySet()) {
            Map<Sign, Boolean> fewer = new EnumMap<>(Sign.class);
            fewer.putAll(seen.signs());
            Boolean answer = fewer.remove(sign);
            Diagnosis without = RIGHT.diagnose(new Observations(fewer, seen.readings(), seen.shots()));
            // What the evidence says of itself is exactly what switching it off does.
            for (Fault fault : Fault.values()) {
                double weight = Stream.concat(
                                before.of(fault).evidenceFor().stream(), before.of(fault).evidenceAgainst().stream())
                        .filter(e -> e.id().equals(sign.id()))
                        .mapToDouble(Evidence::weight)
                        .sum();
                double moved = logOdds(before.of(fault).probability())
                        - logOdds(without.of(fault).probability());
                assertThat(weight).isCloseTo(Math.abs(moved) < 0.05 ? 0 : moved, within(1e-6));
            }
            fewer.put(sign, answer);
            assertThat(RIGHT.diagnose(new Observations(fewer, seen.readings(), seen.shots())))
                    .isEqualTo(before);
        }
    }

    private static double logOdds(double p) {
        return Math.log(p / (1 - p));
    }

    @Test
    void aLeadHeavyAddressIsNamedWhereItHarms() {
        Map<Sign, Boolean> signs = Map.of(
                Sign.LEAD_HEAVY_AT_ADDRESS, true,
                Sign.TRAIL_FOOT_FLAT_AT_IMPACT, true,
                Sign.FALLS_BACK_AT_FINISH, true,
                Sign.FLIPS_HANDS, true);
        assertThat(LEFT.diagnose(new Observations(signs, List.of(), Tally.EMPTY))
                        .notes())
                .anyMatch(n -> n.contains("right foot, where it cannot be held"));
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
