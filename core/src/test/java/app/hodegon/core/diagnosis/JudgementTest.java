package app.hodegon.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Look.AtMeasure;
import app.hodegon.core.diagnosis.Look.AtSign;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Quantity;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Repeatability;
import app.hodegon.core.swing.Source;
import app.hodegon.core.swing.Tally;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Answers at which a good coach would shake the head if they were otherwise. */
class JudgementTest {

    private static final PressureSchool SCHOOL = PressureSchool.EARLY_RETURN;

    private static Diagnosis diagnose(Map<Sign, Boolean> signs, Tally balls, Reading... readings) {
        return new Diagnostician(SCHOOL, Handedness.RIGHT).diagnose(new Observations(signs, List.of(readings), balls));
    }

    private static Diagnosis read(Reading... readings) {
        return diagnose(Map.of(), Tally.EMPTY, readings);
    }

    private static Reading reading(Measure measure, Checkpoint at, double value, Source source, int swings) {
        return new Reading(measure, Optional.ofNullable(at), value, source, swings);
    }

    @ParameterizedTest
    @CsvSource({
        "sway, pelvis-drift, top, 12, clip, 5, likely",
        "sway, pelvis-drift, top, 13, clip, 4, likely",
        "open-setup, hip-line, address, 14, clip, 3, likely",
        "reverse-pivot, trail-share, top, 15, plate, 3, likely",
        "lead-foot-spin, lead-foot-shift, , 5, clip, 3, likely",
        "stiff-trail-ankle, ankle-reach, , 4, ruler, 1, likely",
        "sway, pelvis-drift, top, 6, clip, 1, possible",
        "sway, pelvis-drift, top, 9, seen, 1, possible",
        "reverse-pivot, trail-share, top, 15, felt, 3, unlikely",
        "no-load, trail-share, impact, 5, plate, 5, unlikely"
    })
    void aMeasurementFarOutsideSpeaksLouderThanAGlance(
            String fault, String measure, String at, double value, String source, int swings, String grade) {
        Diagnosis.Finding finding = read(reading(
                        Identified.of(Measure.class, measure),
                        at == null ? null : Identified.of(Checkpoint.class, at),
                        value,
                        Identified.of(Source.class, source),
                        swings))
                .of(Identified.of(Fault.class, fault));
        assertThat(finding.grade().id()).as("%.2f", finding.probability()).isEqualTo(grade);
    }

    /** The docstring's worked figures. */
    @ParameterizedTest
    @CsvSource({
        "pelvis-drift, top, 6, clip, 1, 3.5",
        "pelvis-drift, top, 12, clip, 5, 135",
        "hip-line, address, 14, clip, 3, 51",
        "pelvis-drift, top, 13, seen, 3, 26",
        "trail-share, top, 15, plate, 3, 420",
        "trail-share, top, 15, felt, 3, 2.7"
    })
    void theWorkedFiguresAreTrue(String measure, String at, double value, String source, int swings, double times) {
        Reading reading = reading(
                Identified.of(Measure.class, measure),
                Identified.of(Checkpoint.class, at),
                value,
                Identified.of(Source.class, source),
                swings);
        Clue clue =
                Clues.of(new Observations(Map.of(), List.of(reading), Tally.EMPTY), SCHOOL, Repeatability.ASSUMED)
                        .stream()
                        .filter(c -> c.showing() instanceof Showing.OfLimit of
                                && !of.limit().ofSchool()
                                && Catalogue.standard().shownBy(c.showing()).containsValue(0.85))
                        .findFirst()
                        .orElseThrow();
        double ratio = clue.likelihood(0.95 * 0.15) / clue.likelihood(0.95);
        assertThat(ratio).isCloseTo(times, within(0.06 * times));
    }

    @Test
    void furtherOutNeverSpeaksLess() {
        for (Source source : List.of(Source.SEEN, Source.CLIP)) {
            double before = 0;
            for (double value = 5; value < 30; value += 0.5) {
                double now = read(reading(Measure.PELVIS_DRIFT, Checkpoint.TOP, value, source, 3))
                        .of(Fault.SWAY)
                        .probability();
                assertThat(now).as(source + " " + value).isGreaterThanOrEqualTo(before - 1e-9);
                before = now;
            }
        }
    }

    /** What a ball did comes with its file and is told by the tally; all else that can be entered tells something. */
    @ParameterizedTest
    @EnumSource(Measure.class)
    void everythingThatIsMeasuredCountsOrIsNotAskedFor(Measure measure) {
        Set<Optional<Checkpoint>> asked = Catalogue.standard().asksFor(measure);
        if (measure.quantity() == Quantity.DISTANCE) {
            assertThat(asked).isEmpty();
            return;
        }
        assertThat(asked).isNotEmpty();
        Source source = Repeatability.sources(measure.quantity()).stream()
                .reduce((softer, harder) -> harder)
                .orElseThrow();
        for (Optional<Checkpoint> at : asked) {
            // The trigger's share belongs to the school alone and is laid over its corridor.
            if (measure == Measure.TRAIL_SHARE && at.equals(Optional.of(Checkpoint.TRIGGER))) continue;
            double lowest = Math.max(measure.quantity().lowest(), -80);
            double highest = Math.min(measure.quantity().highest(), 3000);
            Set<String> answers = new java.util.HashSet<>();
            for (int i = 0; i <= 40; i++) {
                double value = lowest + i * (highest - lowest) / 40;
                Reading one = new Reading(measure, at, value, source, 3);
                // One foot does not speak for two: the other one stands on its toes.
                Measure otherFoot = measure == Measure.LEAD_TOE ? Measure.TRAIL_TOE : Measure.LEAD_TOE;
                Diagnosis diagnosis = Patterns.FEET.contains(measure)
                        ? read(one, new Reading(otherFoot, at, 80, source, 3))
                        : read(one);
                answers.add(diagnosis.faults().stream()
                        .sorted(java.util.Comparator.comparing(Diagnosis.Finding::fault))
                        .map(f -> "%.2f".formatted(f.probability()))
                        .collect(Collectors.joining()));
            }
            assertThat(answers).as(measure.id() + at).hasSizeGreaterThan(1);
        }
    }

    @Test
    void everyLimitHasItsReason() {
        for (Showing showing : Catalogue.standard().showings()) {
            if (showing instanceof Showing.OfSign || showing instanceof Showing.OfBalls) continue;
            for (Fault fault : Catalogue.standard().shownBy(showing).keySet()) {
                String why = Catalogue.standard().reason(showing, fault).orElseThrow();
                assertThat(why).as(showing + " " + fault).isNotBlank().doesNotContainPattern("\\b(left|right)\\b");
            }
        }
    }

    @ParameterizedTest
    @CsvSource({
        "toe-fall, 70, 75, 70, 72",
        "early-extension, 30, 60, 75, 74",
        "frozen-feet, 50, 50, 51, 52",
        "hanging-back, 30, 65, 25, 20"
    })
    void theExchangeOfToesAndHeelsIsJudgedAsOnePattern(
            String fault, double trailTop, double leadTop, double trailDown, double leadDown) {
        Fault expected = Identified.of(Fault.class, fault);
        double before = read().of(expected).probability();
        double sound = exchange(30, 65, 70, 40).of(expected).probability();
        double faulty =
                exchange(trailTop, leadTop, trailDown, leadDown).of(expected).probability();
        assertThat(sound).isLessThan(before);
        assertThat(faulty).isGreaterThan(2 * before);
    }

    private static Diagnosis exchange(double trailTop, double leadTop, double trailDown, double leadDown) {
        return read(
                reading(Measure.TRAIL_TOE, Checkpoint.TOP, trailTop, Source.PLATE, 3),
                reading(Measure.LEAD_TOE, Checkpoint.TOP, leadTop, Source.PLATE, 3),
                reading(Measure.TRAIL_TOE, Checkpoint.ARM_DOWN, trailDown, Source.PLATE, 3),
                reading(Measure.LEAD_TOE, Checkpoint.ARM_DOWN, leadDown, Source.PLATE, 3));
    }

    @Test
    void theTempoIsWorkedOutFromTheTimes() {
        Diagnosis timed = read(
                reading(Measure.BACKSWING_TIME, null, 1150, Source.CLIP, 3),
                reading(Measure.DOWNSWING_TIME, null, 215, Source.CLIP, 3));
        Diagnosis asRatio = read(reading(Measure.TEMPO_RATIO, null, 1150.0 / 215, Source.CLIP, 3));
        assertThat(timed.of(Fault.ARMS_FIRST).probability())
                .isEqualTo(asRatio.of(Fault.ARMS_FIRST).probability())
                .isGreaterThan(2 * read().of(Fault.ARMS_FIRST).probability());
        assertThat(timed.of(Fault.ARMS_FIRST).evidenceFor())
                .extracting(Evidence::id)
                .contains("tempo-ratio>4");
    }

    @ParameterizedTest
    @EnumSource(names = {"ANKLE_REACH", "STANCE_RATIO", "TEMPO_RATIO"})
    void reachStanceAndTempoAreEnteredLikeTheOthers(Measure measure) {
        List<Source> sources = Repeatability.sources(measure.quantity());
        assertThat(sources).contains(Source.CLIP).doesNotContain(Source.FELT);
        if (measure != Measure.TEMPO_RATIO) assertThat(sources).contains(Source.RULER);
        for (Source source : sources) {
            assertThat(read(reading(measure, null, 3, source, 1)).faults()).hasSize(Fault.values().length);
        }
    }

    @ParameterizedTest
    @EnumSource(names = {"FELT", "CLIP", "PLATE"})
    void aLeadSideAddressIsFoundFromReadingsForEveryLikelyFault(Source source) {
        Reading address = reading(Measure.TRAIL_SHARE, Checkpoint.ADDRESS, 28, source, 3);
        Map<Fault, Sign> shownBy = Map.of(
                Fault.REVERSE_PIVOT, Sign.WEIGHT_LEAD_AT_TOP,
                Fault.ARMS_FIRST, Sign.ARMS_START_DOWN_FIRST,
                Fault.HANGING_BACK, Sign.TRAIL_FOOT_FLAT_AT_IMPACT);
        shownBy.forEach((fault, sign) -> {
            Diagnosis diagnosis = diagnose(
                    Map.of(
                            sign,
                            true,
                            Sign.FALLS_BACK_AT_FINISH,
                            true,
                            Sign.PELVIS_DRIFTS_BACK,
                            true,
                            Sign.TRAIL_OUTER_EDGE_LOADED,
                            true,
                            Sign.PICKS_UP_CLUB,
                            fault == Fault.REVERSE_PIVOT),
                    Tally.EMPTY,
                    address);
            assertThat(diagnosis.likely()).contains(fault);
            assertThat(diagnosis.notes())
                    .as(fault.id())
                    .anyMatch(n -> n.startsWith("Starts with the load on the left foot")
                            && n.contains(Handedness.RIGHT.say(fault.label().toLowerCase())));
        });
        assertThat(diagnose(
                                Map.of(Sign.WEIGHT_LEAD_AT_TOP, true),
                                Tally.EMPTY,
                                reading(Measure.TRAIL_SHARE, Checkpoint.ADDRESS, 50, source, 3))
                        .notes())
                .noneMatch(n -> n.startsWith("Starts with the load"));
    }

    @Test
    void trapsAreNamedForEverythingLikely() {
        Diagnosis diagnosis = diagnose(
                Map.of(
                        Sign.PELVIS_DRIFTS_BACK, true,
                        Sign.TRAIL_OUTER_EDGE_LOADED, true,
                        Sign.CLUB_STEEP_OUTSIDE, true,
                        Sign.ARMS_START_DOWN_FIRST, true),
                Tally.EMPTY,
                reading(Measure.BACKSWING_TIME, null, 1500, Source.CLIP, 3));
        assertThat(diagnosis.likely()).hasSizeGreaterThan(diagnosis.focus().size());
        for (Fault fault : diagnosis.likely()) {
            assertThat(diagnosis.notes())
                    .anyMatch(n -> n.startsWith(
                            "Trap with " + Handedness.RIGHT.say(fault.label().toLowerCase())));
        }
        assertThat(diagnosis.notes()).anyMatch(n -> n.startsWith("The backswing is already very slow"));
    }

    @Test
    void aHeavyTopWithAFullTurnIsSaidToBeNoSway() {
        Diagnosis diagnosis = read(
                reading(Measure.TRAIL_SHARE, Checkpoint.TOP, 82, Source.PLATE, 3),
                reading(Measure.HIP_TURN, Checkpoint.TOP, 44, Source.CLIP, 3),
                reading(Measure.PELVIS_DRIFT, Checkpoint.TOP, 2, Source.CLIP, 3));
        assertThat(diagnosis.notes()).anyMatch(n -> n.startsWith("No sway: "));
    }

    @Test
    void eightHooksLeadAtOnceToTheTwoLooksThatSeparateTheirCauses() {
        Diagnosis diagnosis = diagnose(Map.of(), new Tally(Map.of(BallResult.HOOK, 8)));
        Set<Fault> ledTo = diagnosis.nextLooks().stream()
                .limit(2)
                .map(next -> ownOf(next.look()))
                .collect(Collectors.toSet());
        assertThat(ledTo).containsExactlyInAnyOrder(Fault.LEAD_FOOT_SPIN, Fault.TOE_FALL);
        assertThat(diagnosis.notes()).anyMatch(n -> n.startsWith("A hook has two causes in the feet"));
    }

    /** The fault that a look shows most. */
    private static Fault ownOf(Look look) {
        List<Showing> shown = new ArrayList<>();
        if (look instanceof AtSign sign) shown.add(new Showing.OfSign(sign.sign()));
        if (look instanceof AtMeasure measure) {
            for (Showing showing : Catalogue.standard().showings()) {
                if (showing instanceof Showing.OfLimit of
                        && of.limit().measure() == measure.measure()
                        && of.limit().at().equals(measure.at())) shown.add(showing);
            }
        }
        return Arrays.stream(Fault.values())
                .max(java.util.Comparator.comparingDouble(f -> shown.stream()
                        .mapToDouble(s -> Catalogue.standard().shownBy(s).getOrDefault(f, 0.0))
                        .sum()))
                .orElseThrow();
    }

    @Test
    void aStronglyClosedSlideWithAnUnloadedFootAndPushesIsLikely() {
        Diagnosis diagnosis = diagnose(
                Map.of(),
                new Tally(Map.of(BallResult.PUSH, 5, BallResult.STRAIGHT, 3)),
                reading(Measure.HIP_LINE, Checkpoint.ARM_DOWN, -25, Source.CLIP, 3),
                reading(Measure.TRAIL_SHARE, Checkpoint.ARM_DOWN, 12, Source.PLATE, 3));
        assertThat(diagnosis.likely()).contains(Fault.CLOSED_SLIDE);
        assertThat(diagnosis.focus().get(0)).isEqualTo(Fault.CLOSED_SLIDE);
    }
}
