package app.hodegon.server.reminder;

import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.contains;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.lenient;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.hodegon.server.mail.Outbox;
import app.hodegon.server.storage.V8__planned_days;
import app.hodegon.server.student.Students;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.UUID;
import org.flywaydb.core.Flyway;
import org.jooq.DSLContext;
import org.jooq.SQLDialect;
import org.jooq.impl.DSL;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.mockito.Mock;
import org.mockito.junit.jupiter.MockitoExtension;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;

/** Who is reminded, and who is left in peace. */
@ExtendWith(MockitoExtension.class)
class RemindersTest {

    private static final UUID STUDENT = UUID.randomUUID();

    @Mock
    private Outbox outbox;

    @Mock
    private Clock clock;

    private DSLContext db;
    private Reminders reminders;

    @BeforeEach
    void aStudentWithPracticeOnTheSecondAndThirdOfMarch() {
        var memory = new SingleConnectionDataSource("jdbc:h2:mem:" + UUID.randomUUID(), true);
        Flyway.configure()
                .dataSource(memory)
                .javaMigrations(new V8__planned_days())
                .load()
                .migrate();
        db = DSL.using(memory, SQLDialect.H2);
        String rows = """
                insert into account (id, email, password_hash, role, name, created_at) values (random_uuid(), 'c@x.example', '', 'coach', 'C', current_timestamp);
                insert into account (id, email, password_hash, role, name, created_at) values (random_uuid(), 's@x.example', '', 'student', 'S', current_timestamp);
                insert into student (id, coach_id, account_id, name, handedness, playing_level, age_band, shoes,
                    units, complaint, flags, kit, created_at) select '%s', c.id, s.id, 'Sela Moor', 'right', 'club', 'adult', 'soft', 'metric', '',
                    array[], array[], current_timestamp from account c, account s where c.role = 'coach' and s.role = 'student';
                insert into lesson (id, student_id, held_on, note, focus, focus_reason, created_at)
                    select random_uuid(), id, date '2026-03-01', '', array[], '', current_timestamp from student;
                insert into plan (id, student_id, lesson_id, from_day, next_lesson, assigned_at, created_at, revision)
                    select random_uuid(), student_id, id, date '2026-03-02', date '2026-03-15',
                    timestamp '2026-03-01 18:00:00+00', current_timestamp, 1 from lesson;
                update student set running_plan = (select id from plan);
                insert into plan_day select id, date '2026-03-02', 40 from plan;
                insert into plan_day select id, date '2026-03-03', 60 from plan;
                insert into plan_day select id, date '2026-03-14', 60 from plan""".formatted(STUDENT);
        for (String row : rows.split(";")) db.execute(row);
        reminders = new Reminders(new ReminderRepository(db, clock), mock(Students.class), outbox, clock);
        reminders.set(STUDENT, Optional.of(17));
    }

    private void at(String instant) {
        lenient().when(clock.getZone()).thenReturn(ZoneOffset.UTC);
        when(clock.instant()).thenReturn(Instant.parse(instant));
        reminders.sendDue();
    }

    private void reminded(int count) {
        verify(outbox, times(count)).send(any(), eq("s@x.example"), any(), any());
    }

    @Test
    void theHourIsTheStudentsOwn() {
        db.execute("update account set zone = 'Pacific/Auckland' where role = 'student'");
        at("2026-03-02T17:05:00Z");
        reminded(0);
        // Tuesday, five in the afternoon there.
        at("2026-03-03T04:05:00Z");
        reminded(1);
    }

    @Test
    void onceADayAtTheHourChosen() {
        at("2026-03-02T16:55:00Z");
        reminded(0);
        at("2026-03-02T17:05:00Z");
        at("2026-03-02T17:10:00Z");
        reminded(1);
        verify(outbox).send(any(), any(), any(), contains("40 reps"));
        at("2026-03-03T18:10:00Z");
        reminded(2);
        at("2026-03-04T17:10:00Z");
        reminded(2);
    }

    @Test
    void notAfterPracticeNotLateNotWhenSwitchedOff() {
        db.execute("""
                insert into practice_session (id, student_id, plan_id, practice_day, feel, note, finished, updated_at,
                    edition, earlier_plan, reps)
                    select random_uuid(), student_id, id, date '2026-03-02', 4, '', true, current_timestamp, 1, false, 40
                    from plan""");
        at("2026-03-02T17:05:00Z");
        at("2026-03-03T20:05:00Z");
        reminders.set(STUDENT, Optional.empty());
        at("2026-03-03T17:05:00Z");
        verify(outbox, never()).send(any(), any(), any(), any());
    }

    @Test
    void whoStoppedPractisingIsNotChased() {
        at("2026-03-14T17:05:00Z");
        reminded(0);
    }
}
