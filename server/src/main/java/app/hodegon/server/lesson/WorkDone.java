package app.hodegon.server.lesson;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** What was done of the plans of lessons. */
public interface WorkDone {

    /**
     * The share of the reps planned that was done from each lesson to the next, 0 to 1 and more; a lesson without a plan
     * is left out.
     *
     * @param lessons of one student, oldest first
     * @param until the day up to which the last one counts
     */
    Map<UUID, Double> shares(List<Lessons.Held> lessons, LocalDate until);
}
