package app.hodegon.server.reminder;

import app.hodegon.server.account.Account;
import app.hodegon.server.student.Students;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The student's own choice whether and when to be reminded. */
@RestController
class ReminderController {

    private final Reminders reminders;
    private final Students students;

    ReminderController(Reminders reminders, Students students) {
        this.reminders = reminders;
        this.students = students;
    }

    /**
     * @param hour of day; null for no reminder
     */
    record ReminderEntry(@Min(0) @Max(23) Integer hour) {}

    @PutMapping("/api/me/reminder")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void set(@AuthenticationPrincipal Account account, @Valid @RequestBody ReminderEntry entry) {
        reminders.set(students.self(account).id(), Optional.ofNullable(entry.hour));
    }
}
