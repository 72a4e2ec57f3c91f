package app.hodegon.server.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.drill.Shoes;
import app.hodegon.core.plan.AgeBand;
import app.hodegon.core.plan.Level;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.plan.Student;
import app.hodegon.core.plan.Week;
import app.hodegon.core.practice.BlockResult;
import app.hodegon.core.practice.DrillRecord.Practised;
import app.hodegon.core.practice.PracticeSession;
import app.hodegon.core.swing.Handedness;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class HouseTest {

    private static final Student STUDENT = new Student(
            Handedness.RIGHT, Level.CLUB, AgeBand.ADULT, Set.of(), Set.of(), new Week(Map.of()), Shoes.SOFT, List.of());

    private final PracticeRepository practice = mock();
    private final House house = new House(practice, Clock.systemUTC());

    private static Practised slow() {
        return new Practised(
                Level.CLUB,
                IntStream.range(0, 25)
                        .mapToObj(day -> PracticeSession.of(
                                UUID.randomUUID(),
                                LocalDate.of(2026, 3, 1).plusDays(day),
                                List.of(new BlockResult(
                                        0, Fault.SWAY, "disc-turn", Rung.FEEL, Kind.CHECK, "+++-------"))))
                        .toList());
    }

    @Test
    void knowsOfAStudentWhatItHasLearntAndKeepsThatWhenItCannotLearn() {
        assertThat(house.knowing(STUDENT))
                .isEqualTo(STUDENT.needing(house.learnt().at(Level.CLUB)));
        when(practice.ofHouse(any())).thenReturn(Collections.nCopies(40, slow()).stream());
        house.learn();
        double times = house.knowing(STUDENT).needs().rungs().get(Rung.FEEL);
        assertThat(times).isGreaterThan(1);
        when(practice.ofHouse(any())).thenThrow(new IllegalStateException("the disk is gone"));
        house.learn();
        assertThat(house.knowing(STUDENT).needs().rungs().get(Rung.FEEL)).isEqualTo(times);
    }
}
