package app.hodegon.core.simulate;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Observations;
import app.hodegon.core.progress.Changes;
import app.hodegon.core.progress.Changes.Moment;
import app.hodegon.core.progress.Concern;
import app.hodegon.core.progress.Evidence;
import app.hodegon.core.progress.Proposal;
import app.hodegon.core.progress.Proposal.Kind;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Repeatability;
import app.hodegon.core.swing.Source;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What is proposed to simulated students whose faults are known to have gone, stayed or grown. */
class ProposalStudyTest {

    private static final int STUDENTS = 500;
    private static final int BALLS = 10;

    /** How often each is proposed, in per cent, after a plan with two gates due. */
    private static Map<Kind, Integer> proposed(double then, double now, double shareDone, int passed) {
        Map<Kind, Integer> counts = new EnumMap<>(Kind.class);
        for (int student = 0; student < STUDENTS; student++) {
            Bay bay = new Bay(new Random(student), student % 2 == 0 ? Source.SEEN : Source.PLATE);
            Observations first = bay.before(Map.of(Fault.SWAY, then), BALLS);
            Observations second = bay.before(Map.of(Fault.SWAY, now), BALLS);
            Changes kept = new Changes(
                    new Moment(first, List.of()),
                    new Moment(second, List.of()),
                    PressureSchool.EARLY_RETURN,
                    Concern.of(List.of(Fault.SWAY)),
                    Repeatability.ASSUMED);
            Evidence evidence = new Evidence(
                    Evidence.told(kept, List.of(), c -> c.subject().toString()),
                    Evidence.fresh(kept).stream().map(BallResult::label).toList(),
                    new Evidence.Work(
                            Optional.of(shareDone), 2, passed, false, false, List.of(), Optional.empty(), () -> true),
                    new Evidence.Today(false, true, false, List.of(), List.of()),
                    List.of(),
                    List.of());
            counts.merge(Proposal.of(evidence).kind(), 1, Integer::sum);
        }
        counts.replaceAll((kind, count) -> Math.round(100f * count / STUDENTS));
        return counts;
    }

    @Test
    void aFaultThatWentIsToldSo() {
        assertThat(proposed(1, 0.1, 0.9, 1).get(Kind.GO_ON)).isGreaterThanOrEqualTo(90);
    }

    @Test
    void aFaultThatStayedDoesNotOverturnTheDiagnosis() {
        Map<Kind, Integer> stayed = proposed(0.8, 0.8, 0.9, 0);
        assertThat(stayed.getOrDefault(Kind.LOOK_AGAIN, 0)).isLessThanOrEqualTo(5);
        assertThat(stayed.get(Kind.OTHER_FEEDBACK)).isGreaterThanOrEqualTo(50);
        assertThat(proposed(0.8, 0.8, 0.9, 1).get(Kind.GO_ON_AND_MEASURE))
                .as("with a gate passed the drill is not blamed")
                .isGreaterThanOrEqualTo(50);
        assertThat(proposed(0.8, 0.8, 0.3, 0).get(Kind.SMALLER_PLAN)).isGreaterThanOrEqualTo(50);
    }

    @Test
    void aFaultThatGrewIsLookedAtAgain() {
        assertThat(proposed(0.1, 1, 0.9, 1).get(Kind.LOOK_AGAIN)).isGreaterThanOrEqualTo(80);
    }
}
