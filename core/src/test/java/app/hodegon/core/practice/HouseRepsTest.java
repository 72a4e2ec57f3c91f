package app.hodegon.core.practice;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Form;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.learning.RepsNeeded;
import app.hodegon.core.plan.Level;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.practice.DrillRecord.Practised;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class HouseRepsTest {

    private static final String GOOD = "+++++++++-";
    private static final String POOR = "+++++-----";

    private static PracticeSession evening(int day, String drill, Rung rung, Form form, String check) {
        LocalDate on = LocalDate.of(2026, 3, 1).plusDays(day);
        return PracticeSession.of(
                UUID.randomUUID(),
                on,
                List.of(
                        new BlockResult(0, Fault.SWAY, drill, rung, Kind.MAIN, "o".repeat(30), form, Optional.empty()),
                        new BlockResult(1, Fault.SWAY, drill, rung, Kind.CHECK, check, form, Optional.empty())));
    }

    /** So many evenings without enough good ones, and two with. */
    private static Practised student(Level level, String drill, int poor) {
        List<PracticeSession> sessions = new ArrayList<>();
        for (int day = 0; day < poor + 2; day++) {
            sessions.add(evening(day, drill, Rung.FEEL, Form.NONE, day < poor ? POOR : GOOD));
        }
        return new Practised(level, sessions);
    }

    private static HouseReps house(int students, String drill, int poor) {
        return HouseReps.of(Collections.nCopies(students, student(Level.CLUB, drill, poor)).stream());
    }

    private static double times(HouseReps house, Level level, Rung rung) {
        return house.at(level).rungs().get(rung);
    }

    @Test
    void withoutPracticeItIsTheAssumption() {
        RepsNeeded needs = HouseReps.NONE.at(Level.BEGINNER);
        assertThat(needs.rungs().values()).containsOnly(1.0);
        assertThat(needs.drills()).isEmpty();
        assertThat(needs.assumed()).isEqualTo(Level.BEGINNER.repsToLearn());
        assertThat(HouseReps.NONE.students()).isZero();
        assertThat(HouseReps.NONE.gain()).isZero();
    }

    @Test
    void aHouseWhoseGatesTakeLongTellsItOfThatRungMostAndOfTheOthersLess() {
        HouseReps slow = house(60, "disc-turn", 18);
        assertThat(times(slow, Level.CLUB, Rung.FEEL)).isGreaterThan(1.3);
        assertThat(times(slow, Level.BEGINNER, Rung.FULL))
                .isLessThanOrEqualTo(times(slow, Level.CLUB, Rung.FEEL))
                .isGreaterThanOrEqualTo(1);
        assertThat(slow.students()).isEqualTo(60);
        assertThat(slow.gain()).isPositive();
        assertThat(times(house(60, "disc-turn", 0), Level.CLUB, Rung.FEEL)).isLessThan(0.8);
    }

    @Test
    void aFewStudentsChangeNothing() {
        assertThat(times(house(2, "disc-turn", 18), Level.CLUB, Rung.FEEL)).isEqualTo(1);
    }

    @Test
    void aDrillThatTakesLongerThanTheOthersOfItsRungCountsForLess() {
        HouseReps house = HouseReps.of(Stream.concat(
                Collections.nCopies(60, student(Level.CLUB, "disc-turn", 25)).stream(),
                Collections.nCopies(60, student(Level.CLUB, "toe-prop", 0)).stream()));
        RepsNeeded needs = house.at(Level.CLUB);
        assertThat(needs.worth("disc-turn")).isLessThan(1);
        assertThat(needs.worth("toe-prop")).isGreaterThanOrEqualTo(1);
        assertThat(needs.worth("never-done")).isEqualTo(1);
    }

    @Test
    void aCoachsOwnDrillIsNotToldToOthers() {
        assertThat(house(60, "my-own", 20).at(Level.CLUB).drills()).isEmpty();
    }

    @Test
    void waitingForARealBallIsNotLearningSlowly() {
        List<PracticeSession> brushed = new ArrayList<>();
        for (int day = 0; day < 20; day++) brushed.add(evening(day, "disc-turn", Rung.SHORT, Form.BRUSH, GOOD));
        HouseReps house = HouseReps.of(Collections.nCopies(40, new Practised(Level.CLUB, brushed)).stream());
        assertThat(times(house, Level.CLUB, Rung.SHORT)).isLessThanOrEqualTo(1);
    }
}
