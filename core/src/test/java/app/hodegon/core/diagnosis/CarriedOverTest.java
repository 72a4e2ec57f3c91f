package app.hodegon.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.offset;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Diagnosis.Finding;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Tally;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What earlier lessons leave to be believed. */
class CarriedOverTest {

    private static final LocalDate DAY = LocalDate.of(2026, 12, 1);
    private static final Diagnostician DIAGNOSTICIAN = new Diagnostician(PressureSchool.EARLY_RETURN, Handedness.RIGHT);
    private static final Observations SWAYS = new Observations(
            Map.of(Sign.PELVIS_DRIFTS_BACK, true, Sign.TRAIL_OUTER_EDGE_LOADED, true),
            List.of(),
            new Tally(Map.of(BallResult.SLICE, 6, BallResult.STRAIGHT, 4)));
    private static final Observations SOUND = new Observations(
            Map.of(Sign.PELVIS_DRIFTS_BACK, false, Sign.TRAIL_OUTER_EDGE_LOADED, false),
            List.of(),
            new Tally(Map.of(BallResult.SLICE, 1, BallResult.STRAIGHT, 9)));

    private static PastLesson sway(int daysAgo, double practised) {
        return new PastLesson(DAY.minusDays(daysAgo), SWAYS, Set.of(Fault.SWAY), practised);
    }

    private static Finding after(Observations seen, PastLesson... history) {
        return DIAGNOSTICIAN.diagnose(seen, List.of(history), DAY).of(Fault.SWAY);
    }

    private static double probability(Observations seen, PastLesson... history) {
        return after(seen, history).probability();
    }

    @Test
    void withoutEarlierLessonsNothingChanges() {
        assertThat(DIAGNOSTICIAN.diagnose(SWAYS, List.of(), DAY)).isEqualTo(DIAGNOSTICIAN.diagnose(SWAYS));
    }

    @Test
    void whatWasLikelyIsNotForgottenAndSaysThatItIsCarriedOver() {
        Finding carried = after(Observations.NONE, sway(14, 0));
        assertThat(carried.probability())
                .isGreaterThan(2 * probability(Observations.NONE))
                .isLessThan(0.9);
        assertThat(carried.evidenceFor())
                .singleElement()
                .satisfies(e -> assertThat(e.id()).isEqualTo(Diagnostician.HISTORY))
                .satisfies(e -> assertThat(e.weight()).isPositive());
    }

    @Test
    void itsWeightIsWhatTheDiagnosisWouldBeWithoutIt() {
        double with = probability(SOUND, sway(14, 0));
        double without = probability(SOUND);
        Evidence history = after(SOUND, sway(14, 0)).evidenceFor().stream()
                .filter(e -> e.id().equals(Diagnostician.HISTORY))
                .findFirst()
                .orElseThrow();
        assertThat(history.weight())
                .isCloseTo(Math.log(with / (1 - with)) - Math.log(without / (1 - without)), offset(1e-9));
    }

    @Test
    void practiceLetsItFadeAndTimeLetsItBeForgotten() {
        assertThat(probability(Observations.NONE, sway(28, 1))).isLessThan(probability(Observations.NONE, sway(28, 0)));
        assertThat(probability(Observations.NONE, sway(28, 1)))
                .isLessThan(probability(Observations.NONE, sway(28, 0.4)));
        assertThat(probability(Observations.NONE, sway(365, 0)))
                .isLessThan(probability(Observations.NONE, sway(14, 0)))
                .isCloseTo(probability(Observations.NONE), offset(0.08));
    }

    /** However often it was found, one lesson's clear evidence overturns it; and the other way round. */
    @Test
    void todayOverturnsWhatWasCarriedOver() {
        Finding gone = after(SOUND, sway(56, 0), sway(42, 0), sway(28, 0), sway(14, 0));
        assertThat(gone.grade()).isNotEqualTo(Grade.LIKELY);
        PastLesson never = new PastLesson(DAY.minusDays(14), SOUND, Set.of(), 0);
        PastLesson before = new PastLesson(DAY.minusDays(28), SOUND, Set.of(), 0);
        assertThat(after(SWAYS, before, never).grade()).isEqualTo(Grade.LIKELY);
    }

    @Test
    void whatIsBroughtAboutFadesWithWhatIsWorkedOn() {
        PastLesson late = new PastLesson(
                DAY.minusDays(28),
                new Observations(Map.of(Sign.WEIGHT_LATE, true, Sign.PELVIS_DRIFTS_BACK, true), List.of(), Tally.EMPTY),
                Set.of(Fault.SWAY),
                1);
        PastLesson idle = new PastLesson(late.on(), late.seen(), late.worked(), 0);
        assertThat(DIAGNOSTICIAN
                        .diagnose(Observations.NONE, List.of(late), DAY)
                        .of(Fault.LATE_RECENTRE)
                        .probability())
                .isLessThan(DIAGNOSTICIAN
                        .diagnose(Observations.NONE, List.of(idle), DAY)
                        .of(Fault.LATE_RECENTRE)
                        .probability());
    }

    @Test
    void lessonsOutOfOrderOrToComeAreRefused() {
        assertThatThrownBy(() -> after(SWAYS, sway(14, 0), sway(28, 0))).hasMessageContaining("from the oldest");
        assertThatThrownBy(() -> after(SWAYS, sway(14, 0), sway(14, 0))).hasMessageContaining("one a day");
        assertThatThrownBy(() -> after(SWAYS, sway(-1, 0))).hasMessageContaining("before this lesson");
        assertThatThrownBy(() -> sway(14, -0.1)).hasMessageContaining("practised must be 0 to");
        assertThatThrownBy(() -> sway(14, Double.NaN)).hasMessageContaining("practised must be 0 to");
    }
}
