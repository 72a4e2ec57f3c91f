package app.hodegon.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Source;
import app.hodegon.core.swing.Tally;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What a coach says plainly is heard, and nothing is heard that was not said. */
class HearingTest {

    private static Diagnosis diagnose(
            PressureSchool school, Map<Sign, Boolean> signs, Tally balls, Reading... readings) {
        return new Diagnostician(school, Handedness.RIGHT).diagnose(new Observations(signs, List.of(readings), balls));
    }

    private static Diagnosis seen(Sign... signs) {
        return diagnose(
                PressureSchool.EARLY_RETURN,
                Arrays.stream(signs).collect(java.util.stream.Collectors.toMap(s -> s, s -> true)),
                Tally.EMPTY);
    }

    private static Reading plate(Measure measure, Checkpoint at, double value) {
        return new Reading(measure, Optional.of(at), value, Source.PLATE, 3);
    }

    /** It is put right in three minutes: it comes first, whatever else is likely. */
    @ParameterizedTest
    @CsvSource({"HIPS_OPEN_AT_ADDRESS,OPEN_SETUP", "HIPS_CLOSED_AT_ADDRESS,CLOSED_SETUP"})
    void hipsThatStandOpenOrClosedAreBelieved(Sign sign, Fault fault) {
        assertThat(seen(sign).likely()).containsExactly(fault);
        assertThat(seen(sign, Sign.PELVIS_DRIFTS_BACK, Sign.TRAIL_OUTER_EDGE_LOADED)
                        .focus())
                .startsWith(fault)
                .contains(Fault.SWAY);
        Diagnosis denied = diagnose(PressureSchool.EARLY_RETURN, Map.of(sign, false), Tally.EMPTY);
        assertThat(denied.of(fault).grade()).isEqualTo(Grade.UNLIKELY);
    }

    @ParameterizedTest
    @EnumSource(
            value = Measure.class,
            names = {"LEAD_TOE", "TRAIL_TOE"})
    void oneFootNeverSpeaksForTwo(Measure foot) {
        for (Checkpoint at : List.of(Checkpoint.ADDRESS, Checkpoint.TOP, Checkpoint.IMPACT)) {
            for (double value : new double[] {10, 90}) {
                Diagnosis diagnosis =
                        diagnose(PressureSchool.EARLY_RETURN, Map.of(), Tally.EMPTY, plate(foot, at, value));
                assertThat(diagnosis.faults())
                        .flatExtracting(Diagnosis.Finding::evidenceFor)
                        .extracting(Evidence::text)
                        .noneMatch(text -> text.contains("Both feet"));
            }
        }
        Diagnosis both = diagnose(
                PressureSchool.EARLY_RETURN,
                Map.of(),
                Tally.EMPTY,
                plate(Measure.LEAD_TOE, Checkpoint.TOP, 15),
                plate(Measure.TRAIL_TOE, Checkpoint.TOP, 15));
        assertThat(both.faults())
                .flatExtracting(Diagnosis.Finding::evidenceFor)
                .extracting(Evidence::text)
                .anyMatch(text -> text.startsWith("Both feet in their heels going back"));
    }

    @Test
    void aStartOnTheLeadFootIsNoWrongFixForWhoTeachesIt() {
        Map<Sign, Boolean> signs = Map.of(
                Sign.LEAD_HEAVY_AT_ADDRESS,
                true,
                Sign.TRAIL_FOOT_FLAT_AT_IMPACT,
                true,
                Sign.FALLS_BACK_AT_FINISH,
                true);
        String said = "Starts with the load on the left foot";
        assertThat(diagnose(PressureSchool.EARLY_RETURN, signs, Tally.EMPTY).notes())
                .anyMatch(note -> note.startsWith(said));
        assertThat(diagnose(PressureSchool.CENTRED, signs, Tally.EMPTY).notes())
                .noneMatch(note -> note.startsWith(said));
        assertThat(diagnose(
                                PressureSchool.CENTRED,
                                signs,
                                Tally.EMPTY,
                                plate(Measure.TRAIL_SHARE, Checkpoint.ADDRESS, 20))
                        .notes())
                .as("far beyond what is taught it is one all the same")
                .anyMatch(note -> note.startsWith(said));
    }

    /** Ten balls without a shank speak against nothing that never shanks. */
    @Test
    void ballsThatHaveNothingToDoWithAFaultDoNotSpeakAgainstIt() {
        Tally balls = new Tally(Map.of(BallResult.STRAIGHT, 10, BallResult.SOLID, 10));
        for (Diagnosis.Finding finding :
                diagnose(PressureSchool.EARLY_RETURN, Map.of(), balls).faults()) {
            for (Evidence against : finding.evidenceAgainst()) {
                BallResult result = Arrays.stream(BallResult.values())
                        .filter(r -> against.id().equals(r.kind().id() + ":" + r.id()))
                        .findFirst()
                        .orElseThrow();
                assertThat(Catalogue.standard()
                                .shownBy(new Showing.OfBalls(result))
                                .keySet())
                        .as("%s against %s", against.text(), finding.fault())
                        .anyMatch(shower -> shower == finding.fault()
                                || Catalogue.standard().leadsTo(finding.fault(), shower));
            }
        }
    }

    @Test
    void whatABodyLacksStaysInTheFocusForWhatItBrings() {
        Diagnosis diagnosis = diagnose(
                PressureSchool.EARLY_RETURN,
                Map.of(
                        Sign.PELVIS_DRIFTS_BACK, true,
                        Sign.TRAIL_OUTER_EDGE_LOADED, true,
                        Sign.PELVIS_TOWARD_BALL, true,
                        Sign.POSTURE_RISES, true),
                Tally.EMPTY,
                new Reading(Measure.ANKLE_REACH, Optional.empty(), 3, Source.RULER, 2));
        assertThat(diagnosis.likely()).contains(Fault.SWAY, Fault.EARLY_EXTENSION, Fault.STIFF_TRAIL_ANKLE);
        assertThat(diagnosis.focus()).containsExactly(Fault.SWAY, Fault.STIFF_TRAIL_ANKLE);
    }

    @Test
    void aLowLoadInsideTheBandIsMentionedOnceItIsLowAllTheWayBack() {
        Reading hip = plate(Measure.TRAIL_SHARE, Checkpoint.HIP_BACK, 62);
        Reading arm = plate(Measure.TRAIL_SHARE, Checkpoint.ARM_BACK, 73);
        Reading top = plate(Measure.TRAIL_SHARE, Checkpoint.TOP, 73);
        assertThat(diagnose(PressureSchool.FULL_LOAD, Map.of(), Tally.EMPTY, hip, arm, top)
                        .notes())
                .anyMatch(note -> note.contains("on its low side"));
        assertThat(diagnose(PressureSchool.FULL_LOAD, Map.of(), Tally.EMPTY, hip, top)
                        .notes())
                .noneMatch(note -> note.contains("on its low side"));
    }
}
