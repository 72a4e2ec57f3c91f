package app.hodegon.server.roster;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyCollection;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoMoreInteractions;
import static org.mockito.Mockito.when;

import app.hodegon.server.roster.StrandRepository.Reps;
import app.hodegon.server.student.StudentChanged;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** Reps are read once, and again after every write. */
class StrandRepsTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 11, 23);
    private static final UUID ADA = UUID.randomUUID();
    private static final UUID BO = UUID.randomUUID();

    private final StrandRepository repository = mock();
    private final StrandReps strands = new StrandReps(repository);

    private static Reps done(int reps) {
        return new Reps(Map.of(), Map.of(MONDAY, reps));
    }

    private int of(UUID student) {
        return strands.since(MONDAY, List.of(ADA, BO)).get(student).done().getOrDefault(MONDAY, 0);
    }

    @Test
    void onlyOfWhomSomethingWasWrittenIsReadAgain() {
        when(repository.reps(anyCollection(), any())).thenReturn(Map.of(ADA, done(5)));
        assertThat(of(ADA)).isEqualTo(5);
        assertThat(of(BO)).as("who did nothing").isZero();
        verify(repository, times(1)).reps(anyCollection(), any());
        when(repository.reps(List.of(ADA), MONDAY)).thenReturn(Map.of(ADA, done(9)));
        strands.on(new StudentChanged(ADA));
        assertThat(of(ADA)).isEqualTo(9);
        verify(repository).reps(List.of(ADA), MONDAY);
        verifyNoMoreInteractions(repository);
    }

    @Test
    void whatIsWrittenWhileItIsReadIsReadAgainNextTime() {
        when(repository.reps(anyCollection(), eq(MONDAY))).thenAnswer(reading -> {
            strands.on(new StudentChanged(ADA));
            return Map.of(ADA, done(5));
        });
        assertThat(of(ADA)).isEqualTo(5);
        when(repository.reps(List.of(ADA), MONDAY)).thenReturn(Map.of(ADA, done(6)));
        assertThat(of(ADA)).isEqualTo(6);
    }

    @Test
    void anotherWeekIsReadAnew() {
        when(repository.reps(anyCollection(), any())).thenReturn(Map.of(ADA, done(5)));
        of(ADA);
        strands.since(MONDAY.plusDays(7), List.of(ADA));
        verify(repository).reps(List.of(ADA), MONDAY.plusDays(7));
    }
}
