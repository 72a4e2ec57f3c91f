package app.hodegon.server.catalogue;

import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.server.account.Account;
import app.hodegon.server.drill.Drills;
import app.hodegon.server.student.Students;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** The drills that an account may read: a coach's, or those of the student's coach. */
@Service
public class ReadableDrills {

    private final Drills drills;
    private final Students students;

    ReadableDrills(Drills drills, Students students) {
        this.drills = drills;
        this.students = students;
    }

    /** The coach whose library it is. */
    UUID whose(Account account) {
        return account.role() == Account.Role.COACH
                ? account.id()
                : students.self(account).coachId();
    }

    public DrillLibrary of(Account account) {
        DrillLibrary library = drills.of(whose(account));
        if (account.role() != Account.Role.COACH) return library;
        // Whose students one teaches for a while, their drills one must be able to read.
        for (UUID other : students.standingInForCoaches(account.id())) {
            DrillLibrary known = library;
            library = library.with(drills.of(other).all().stream()
                    .filter(d -> !known.has(d.id()))
                    .toList());
        }
        return library;
    }
}
