package app.hodegon.server.reminder;

import app.hodegon.server.mail.Outbox;
import app.hodegon.server.reminder.ReminderRepository.Due;
import app.hodegon.server.student.Students;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.Optional;
import java.util.UUID;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * A word on practice days, for students who want one: once a day, at the hour they chose, and not once they have
 * practised. Who has not practised for a week is not chased; the coach hears of it instead.
 */
@Service
public class Reminders {

    /** A reminder that could not go out at its hour goes out so many hours later at most. */
    private static final int LATEST = 2;

    private static final int ACTIVE_DAYS = 7;

    private final ReminderRepository reminders;
    private final Students students;
    private final Outbox outbox;
    private final Clock clock;

    Reminders(ReminderRepository reminders, Students students, Outbox outbox, Clock clock) {
        this.reminders = reminders;
        this.students = students;
        this.outbox = outbox;
        this.clock = clock;
    }

    /** Hour of day, 0 to 23, at which a student is reminded; empty for never. */
    public Optional<Integer> hour(UUID student) {
        return reminders.hour(student);
    }

    @Transactional
    void set(UUID student, Optional<Integer> hour) {
        students.lock(student);
        hour.ifPresentOrElse(h -> reminders.set(student, h), () -> reminders.remove(student));
    }

    @Scheduled(cron = "0 */5 * * * *")
    @Transactional
    void sendDue() {
        Instant now = clock.instant();
        for (Optional<ZoneId> zone : reminders.zones()) {
            sendDue(zone, now.atZone(zone.orElse(clock.getZone())).toLocalDateTime());
        }
    }

    private void sendDue(Optional<ZoneId> zone, LocalDateTime now) {
        LocalDate today = now.toLocalDate();
        for (Due due :
                reminders.due(zone, today, now.getHour() - LATEST, now.getHour(), today.minusDays(ACTIVE_DAYS))) {
            outbox.send(due.coach(), due.address(), "Practice today", """
                    Hello %s,

                    your plan has %d reps for today. If the day has no room for them, leave them out: the plan moves on with you.

                    You set this reminder on your phone, under The climb, and can end it there.
                    """.formatted(
                            due.name().split(" ")[0], due.reps()));
            reminders.reminded(due.student(), today);
        }
    }
}
