package app.hodegon.server.roster;

import app.hodegon.core.swing.Handedness;
import app.hodegon.server.account.Account;
import app.hodegon.server.attention.Attentions;
import app.hodegon.server.progress.LastVerdicts;
import app.hodegon.server.roster.StrandRepository.Reps;
import app.hodegon.server.roster.StrandRepository.Taught;
import app.hodegon.server.student.Students;
import app.hodegon.server.zone.Today;
import jakarta.validation.constraints.NotNull;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The last weeks of every student of a coach, beside their names. */
@RestController
class RosterController {

    private static final int WEEKS = 6;
    private static final int DAYS = 7;

    /** Days after which a lesson's verdict is no news. */
    private static final int MEMORY = 120;

    private final StrandRepository strands;
    private final StrandReps strandReps;
    private final Students students;
    private final Attentions attentions;
    private final LastVerdicts verdicts;
    private final Today today;

    RosterController(
            StrandRepository strands,
            StrandReps strandReps,
            Students students,
            Attentions attentions,
            LastVerdicts verdicts,
            Today today) {
        this.strands = strands;
        this.strandReps = strandReps;
        this.students = students;
        this.attentions = attentions;
        this.verdicts = verdicts;
        this.today = today;
    }

    /**
     * @param weeks the last ones, oldest first, the present one up to today
     * @param last what the last lesson said of what was worked on; null where it said nothing
     * @param wants the kind of the most urgent thing that wants the coach; null for nothing
     * @param urgency its place among the kinds, 0 first; null for nothing
     */
    record StrandView(
            @NotNull UUID studentId, @NotNull List<WeekView> weeks, VerdictView last, String wants, Integer urgency) {}

    /** Reps of a week that begins on Monday. */
    record WeekView(
            @NotNull LocalDate monday,
            @NotNull int planned,
            @NotNull int done) {}

    record VerdictView(@NotNull String name, @NotNull String verdict) {}

    @GetMapping("/api/strands")
    List<StrandView> strands(@AuthenticationPrincipal Account coach) {
        LocalDate now = today.ofCoach(coach.id());
        LocalDate monday = now.with(DayOfWeek.MONDAY).minusWeeks(WEEKS - 1L);
        Set<UUID> standingInFor = students.standingInFor(coach.id());
        Map<UUID, Taught> taught = strands.taught(coach.id(), standingInFor);
        Map<UUID, Reps> reps = strandReps.since(monday, taught.keySet());
        Map<UUID, Attentions.Wanted> wanted = attentions.wanted(coach.id(), now);
        Map<UUID, LastVerdicts.Last> last = last(taught, now.minusDays(MEMORY));
        return taught.keySet().stream()
                .map(id -> new StrandView(
                        id,
                        weeks(monday, now, reps.get(id)),
                        last.containsKey(id)
                                ? new VerdictView(
                                        last.get(id).name(), last.get(id).verdict())
                                : null,
                        wanted.containsKey(id) ? wanted.get(id).kind() : null,
                        wanted.containsKey(id) ? wanted.get(id).urgency() : null))
                .toList();
    }

    /** Coach by coach: readings repeat as each has said they do. */
    private Map<UUID, LastVerdicts.Last> last(Map<UUID, Taught> taught, LocalDate since) {
        Map<UUID, Map<UUID, Handedness>> byCoach = new HashMap<>();
        taught.forEach((id, one) ->
                byCoach.computeIfAbsent(one.coach(), c -> new HashMap<>()).put(id, one.hand()));
        Map<UUID, LastVerdicts.Last> last = new HashMap<>();
        byCoach.forEach((coach, hands) -> last.putAll(verdicts.of(coach, hands, since)));
        return last;
    }

    /** What is planned after today is not asked for yet. */
    private static List<WeekView> weeks(LocalDate first, LocalDate today, Reps reps) {
        List<WeekView> weeks = new ArrayList<>();
        for (int week = 0; week < WEEKS; week++) {
            LocalDate monday = first.plusWeeks(week);
            weeks.add(new WeekView(
                    monday, within(reps.planned(), monday, today), within(reps.done(), monday, LocalDate.MAX)));
        }
        return weeks;
    }

    private static int within(Map<LocalDate, Integer> reps, LocalDate monday, LocalDate last) {
        int sum = 0;
        for (int day = 0; day < DAYS; day++) {
            LocalDate on = monday.plusDays(day);
            if (!on.isAfter(last)) sum += reps.getOrDefault(on, 0);
        }
        return sum;
    }
}
