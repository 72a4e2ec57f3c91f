package app.hodegon.server.student;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.hodegon.server.account.Account;
import app.hodegon.server.account.Account.Role;
import app.hodegon.server.account.Accounts;
import app.hodegon.server.http.Conflict;
import app.hodegon.server.http.NotFound;
import app.hodegon.server.zone.Today;
import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.mockito.ArgumentCaptor;
import org.mockito.Mock;
import org.mockito.junit.jupiter.MockitoExtension;
import org.springframework.context.ApplicationEventPublisher;

/** Invitations: hashed, for fourteen days, for one account. */
@ExtendWith(MockitoExtension.class)
class InvitationTest {

    private static final Account COACH = new Account(UUID.randomUUID(), "c@x.example", "", Role.COACH, "Coach");
    private static final UUID STUDENT = UUID.randomUUID();
    private static final Clock NOON = Clock.fixed(Instant.parse("2026-12-01T12:00:00Z"), ZoneOffset.UTC);

    @Mock
    private StudentRepository repository;

    @Mock
    private StandInRepository standIns;

    @Mock
    private AccessLog accesses;

    @Mock
    private Accounts accounts;

    @Mock
    private ApplicationEventPublisher events;

    private Students students;

    @BeforeEach
    void setUp() {
        students = new Students(repository, standIns, accesses, accounts, NOON, mock(Today.class), events);
    }

    private static StoredStudent student(boolean signedUp) {
        return new StoredStudent(
                STUDENT, COACH.id(), signedUp, "Name", "", "metric", null, Optional.empty(), Figure.UNKNOWN, 0);
    }

    @Test
    void onlyTheHashIsStoredAndItExpires() {
        when(repository.byId(STUDENT)).thenReturn(Optional.of(student(false)));
        String token = students.invite(COACH, STUDENT);
        ArgumentCaptor<String> stored = ArgumentCaptor.forClass(String.class);
        verify(repository).invite(eq(STUDENT), stored.capture(), eq(OffsetDateTime.parse("2026-12-15T12:00:00Z")));
        assertThat(stored.getValue()).hasSize(64).doesNotContain(token);
        verify(events).publishEvent(new StudentChanged(STUDENT));
    }

    @Test
    void whoHasAnAccountIsNotInvitedAgain() {
        when(repository.byId(STUDENT)).thenReturn(Optional.of(student(true)));
        assertThatThrownBy(() -> students.invite(COACH, STUDENT)).isInstanceOf(Conflict.class);
    }

    @Test
    void ofTwoAtOnceOnlyOneGetsTheAccount() {
        when(repository.invited(anyString()))
                .thenReturn(Optional.of(new StudentRepository.Invited(STUDENT, "Name", "Coach")));
        when(repository.useUp(anyString())).thenReturn(false);
        assertThatThrownBy(() -> students.accept("token", "a@x.example", "long-enough"))
                .isInstanceOf(NotFound.class);
        verify(accounts, never()).add(any(), any(), any(), any());
    }
}
