package app.hodegon.core.practice;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.swing.Tally;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
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
        DrillRecord record = DrillRecord.of(List.of(quick, slow, back, other), "a");
        assertThat(record).isEqualTo(new DrillRecord(3, 8, 2, 2.5, 1, 1));
        assertThat(DrillRecord.of(List.of(other), "a")).isEqualTo(new DrillRecord(0, 0, 0, 0, 0, 0));
    }
}
