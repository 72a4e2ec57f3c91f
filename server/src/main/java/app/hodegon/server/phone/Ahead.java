package app.hodegon.server.phone;

import app.hodegon.server.http.Invalid;
import java.time.LocalDate;

/** What a phone says of a day that has not come: its clock may be wrong. */
final class Ahead {

    private Ahead() {}

    /**
     * @param latest the latest day that it can be where the student is
     * @throws Invalid if it lies after that
     */
    static void refuse(LocalDate day, LocalDate latest) {
        if (!day.isAfter(latest)) return;
        throw new Invalid(
                "day",
                "This is dated " + day + ", and that day has not come yet: the phone's clock may be wrong. "
                        + "Set it right; what was done is kept on the phone.");
    }
}
