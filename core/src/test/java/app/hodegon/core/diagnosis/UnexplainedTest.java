package app.hodegon.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Tally;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class UnexplainedTest {

    private static Diagnosis of(Map<Sign, Boolean> signs, Map<BallResult, Integer> balls) {
        return new Diagnostician(Approach.DEFAULT.school(), Handedness.RIGHT)
                .diagnose(new Observations(signs, List.of(), new Tally(balls)));
    }

    private static final Map<BallResult, Integer> SLICES = Map.of(BallResult.SLICE, 9, BallResult.STRAIGHT, 1);

    @Test
    void ballsAlikeWithNothingLikelyAreNamedWithWhatWeighsAgainstEachFault() {
        Diagnosis diagnosis =
                of(Map.of(Sign.PELVIS_TOWARD_BALL, false), Map.of(BallResult.THIN, 9, BallResult.SOLID, 1));
        assertThat(diagnosis.likely()).isEmpty();
        Unexplained thin = diagnosis.unexplained().get(0);
        assertThat(thin.result()).isEqualTo(BallResult.THIN);
        assertThat(thin.sentence()).isEqualTo("9 of 10 balls thin, and nothing likely explains it.");
        assertThat(thin.against()).hasSize(3);
        List<Fault> could = diagnosis.faults().stream()
                .map(Diagnosis.Finding::fault)
                .filter(f -> Catalogue.standard()
                        .shownBy(new Showing.OfBalls(BallResult.THIN))
                        .containsKey(f))
                .limit(3)
                .toList();
        assertThat(thin.against()).extracting(Unexplained.Against::fault).isEqualTo(could);
        for (Unexplained.Against against : thin.against()) {
            List<Evidence> all = diagnosis.of(against.fault()).evidenceAgainst();
            assertThat(against.answer()).isEqualTo(all.stream().findFirst());
        }
        assertThat(thin.against()).anyMatch(a -> a.answer().isPresent());
    }

    @Test
    void whatALikelyFaultShowsIsExplained() {
        Diagnosis diagnosis = of(
                Map.of(
                        Sign.CLUB_STEEP_OUTSIDE, true,
                        Sign.HIPS_SPIN_FIRST, true,
                        Sign.HIPS_OPEN_AT_ADDRESS, true),
                SLICES);
        assertThat(diagnosis.likely())
                .anyMatch(f -> Catalogue.standard()
                        .shownBy(new Showing.OfBalls(BallResult.SLICE))
                        .containsKey(f));
        assertThat(diagnosis.unexplained()).isEmpty();
    }

    @Test
    void whatALikelyFaultBringsAboutIsExplained() {
        Diagnosis diagnosis = of(Map.of(Sign.PELVIS_DRIFTS_BACK, true, Sign.TRAIL_OUTER_EDGE_LOADED, true), SLICES);
        assertThat(diagnosis.likely()).containsExactly(Fault.SWAY);
        assertThat(Catalogue.standard().shownBy(new Showing.OfBalls(BallResult.SLICE)))
                .as("sway slices only along its chain")
                .doesNotContainKey(Fault.SWAY);
        assertThat(diagnosis.unexplained()).isEmpty();
    }

    @Test
    void fewBallsGoodOnesAndAMixtureAreNone() {
        assertThat(of(Map.of(), Map.of(BallResult.SLICE, 5)).unexplained()).isEmpty();
        assertThat(of(Map.of(), Map.of(BallResult.STRAIGHT, 10)).unexplained()).isEmpty();
        assertThat(of(Map.of(), Map.of(BallResult.SLICE, 4, BallResult.PULL, 4, BallResult.HOOK, 2))
                        .unexplained())
                .isEmpty();
    }
}
