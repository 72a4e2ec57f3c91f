package app.hodegon.core.practice;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Form;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.swing.Ball;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Tally;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** A try above the day's rung is told and does not count: not as work, not against the student, not as the rung of a pain. */
class TriesTest {

    private static final LocalDate DAY = LocalDate.of(2026, 12, 5);
    private static final DrillLibrary LIBRARY = DrillLibrary.standard();

    private static BlockResult block(int at, Rung rung, Kind kind, Told told) {
        return new BlockResult(
                at, Fault.SWAY, "disc-turn", rung, kind, "++-++", Form.RANGE, Optional.empty(), told, Optional.empty());
    }

    private static Told balls(int solid, int fat) {
        List<Ball> balls = Stream.concat(
                        Collections.nCopies(solid, BallResult.SOLID).stream(),
                        Collections.nCopies(fat, BallResult.FAT).stream())
                .map(strike -> new Ball(Optional.empty(), Optional.of(strike)))
                .toList();
        return new Told(List.of(), List.of(), Optional.empty(), balls, List.of());
    }

    private static PracticeSession session(LocalDate day, Optional<Pain> pain, BlockResult... blocks) {
        return new PracticeSession(new UUID(0, 1), day, List.of(blocks), Optional.empty(), pain, Tally.EMPTY, "", true);
    }

    @Test
    void itsRepsAreNoWork() {
        PracticeSession session = session(
                DAY,
                Optional.empty(),
                block(0, Rung.FEEL, Kind.MAIN, Told.NOTHING),
                block(1, Rung.FULL, Kind.TRY, balls(1, 4)));
        assertThat(session.reps()).isEqualTo(5);
        assertThat(session.allBalls().total(BallResult.Kind.STRIKE))
                .as("its balls were hit all the same")
                .isEqualTo(5);
    }

    @Test
    void painDoesNotOpenTheRungsThatWereOnlyTried() {
        Optional<Pain> pain = Optional.of(new Pain(Joint.BACK, 5, "plain-swing"));
        PracticeSession session = session(
                DAY, pain, block(0, Rung.FEEL, Kind.MAIN, Told.NOTHING), block(1, Rung.FULL, Kind.TRY, Told.NOTHING));
        assertThat(Easing.of(List.of(session), Set.of(), Set.of(), DAY.plusDays(1), DAY.plusDays(20))
                        .orElseThrow()
                        .notAbove())
                .isEqualTo(Map.of(Fault.SWAY, Rung.FEEL));
    }

    /** Solid on their own rung, poor above it: nothing fell apart. */
    @Test
    void poorTriesAreNoStrikeThatFallsApart() {
        List<PracticeSession> tried = new ArrayList<>();
        List<PracticeSession> worked = new ArrayList<>();
        for (int day = 0; day < 7; day++) {
            Told told = day < 5 ? balls(9, 1) : balls(0, 10);
            tried.add(session(DAY.plusDays(day), Optional.empty(), block(0, Rung.FULL, Kind.TRY, told)));
            worked.add(session(DAY.plusDays(day), Optional.empty(), block(0, Rung.FULL, Kind.MAIN, told)));
        }
        assertThat(StrikeFalls.of(worked)).isPresent();
        assertThat(StrikeFalls.of(tried)).isEmpty();
    }

    @Test
    void wrongAnswersOfATryAreNoHabit() {
        Told slid = Told.noticing(List.of("slid", "slid", "slid", "slid"));
        List<PracticeSession> tried = new ArrayList<>();
        List<PracticeSession> worked = new ArrayList<>();
        for (int day = 0; day < 3; day++) {
            tried.add(session(DAY.plusDays(day), Optional.empty(), block(0, Rung.FULL, Kind.TRY, slid)));
            worked.add(session(DAY.plusDays(day), Optional.empty(), block(0, Rung.FULL, Kind.MAIN, slid)));
        }
        assertThat(Slipping.of(worked, LIBRARY)).isNotEmpty();
        assertThat(Slipping.of(tried, LIBRARY)).isEmpty();
    }
}
