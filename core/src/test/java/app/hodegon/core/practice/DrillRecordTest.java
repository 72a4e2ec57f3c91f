package app.hodegon.core.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.learning.Circumstances;
import app.hodegon.core.learning.GateReps;
import app.hodegon.core.learning.Skill;
import app.hodegon.core.plan.Level;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.swing.Tally;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class DrillRecordTest {

    private static PracticeSession session(int day, String drill, String marks, boolean hurts) {
        return new PracticeSession(
                UUID.randomUUID(),
                LocalDate.of(2026, 12, day),
                List.of(new BlockResult(0, Fault.SWAY, drill, Rung.FEEL, Kind.CHECK, marks)),
                Optional.empty(),
                hurts ? Optional.of(new Pain(Joint.KNEE, 4, drill)) : Optional.empty(),
                Tally.EMPTY,
                "",
                true);
    }

    @Test
    void countsStudentsPassesAndWhatHurt() {
        String good = "++++++++++";
        String poor = "+++-------";
        List<PracticeSession> quick = List.of(session(1, "a", good, false), session(2, "a", good, false));
        List<PracticeSession> slow = List.of(
                session(1, "a", poor, true),
                session(2, "a", good, false),
                session(3, "a", good, false),
                session(4, "a", poor, false));
        List<PracticeSession> back = List.of(session(1, "a", poor, false), session(2, "a", poor, false));
        List<PracticeSession> other = List.of(session(1, "b", good, false));
        DrillRecord record = of(quick, slow, back, other);
        assertThat(record).isEqualTo(new DrillRecord(3, 8, 2, 2.5, 1, 1, record.reps()));
        assertThat(of(other)).isEqualTo(new DrillRecord(0, 0, 0, 0, 0, 0, Optional.empty()));

        DrillRecord.Reps reps = record.reps().orElseThrow();
        assertThat(reps.assumed()).isEqualTo(GateReps.half(Level.IMPROVER.repsToLearn(), Rung.FEEL));
        GateReps learnt = GateReps.ASSUMED;
        double ten = Skill.spaced(Rung.FEEL, 0, 10, Circumstances.plain(false));
        // Sets until two good ones running, and of one who is not through.
        for (int through : new int[] {2, 3}) {
            learnt = learnt.after(Level.IMPROVER.repsToLearn(), Rung.FEEL, through * ten, true);
        }
        learnt = learnt.after(Level.IMPROVER.repsToLearn(), Rung.FEEL, 2 * ten, false);
        assertThat(reps.learnt()).isCloseTo(reps.assumed() * learnt.mean(), within(1e-9));
        assertThat(reps.low()).isLessThan(reps.learnt());
        assertThat(reps.high()).isGreaterThan(reps.learnt());
    }

    @SafeVarargs
    private static DrillRecord of(List<PracticeSession>... practice) {
        return DrillRecord.of(
                Stream.of(practice)
                        .map(sessions -> new DrillRecord.Practised(Level.IMPROVER, sessions))
                        .toList(),
                "a",
                HouseReps.NONE);
    }
}
