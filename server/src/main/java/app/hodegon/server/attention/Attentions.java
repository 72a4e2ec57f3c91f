package app.hodegon.server.attention;

import app.hodegon.core.practice.Attention;
import app.hodegon.core.practice.Attention.Situation;
import app.hodegon.core.swing.Handedness;
import app.hodegon.server.account.Account;
import app.hodegon.server.account.AccountUnits;
import app.hodegon.server.attention.AttentionRepository.Line;
import app.hodegon.server.clip.Clips;
import app.hodegon.server.gate.StudentGates;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.plan.PlanView.DayView;
import app.hodegon.server.plan.Plans;
import app.hodegon.server.plan.StoredPlan;
import app.hodegon.server.practice.PracticeLog;
import app.hodegon.server.student.StudentChanged;
import app.hodegon.server.student.Students;
import app.hodegon.server.zone.Today;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what wants the coach up to date: worked out anew within each transaction that writes something of a student's. */
@Service
public class Attentions {

    /** Practice from so many days before the running plan still counts for its gates. */
    private static final int MEMORY = 90;

    /** The days of two people differ by no more. */
    private static final int APART = 2;

    private final AttentionRepository attentions;
    private final Plans plans;
    private final Lessons lessons;
    private final PracticeLog practice;
    private final StudentGates gates;
    private final Clips clips;
    private final Students students;
    private final AccountUnits accountUnits;
    private final Today today;

    Attentions(
            AttentionRepository attentions,
            Plans plans,
            Lessons lessons,
            PracticeLog practice,
            StudentGates gates,
            Clips clips,
            Students students,
            AccountUnits accountUnits,
            Today today) {
        this.students = students;
        this.accountUnits = accountUnits;
        this.today = today;
        this.attentions = attentions;
        this.plans = plans;
        this.lessons = lessons;
        this.practice = practice;
        this.gates = gates;
        this.clips = clips;
    }

    @EventListener
    @Transactional
    void on(StudentChanged changed) {
        students.lock(changed.student());
        Handedness hand = students.byId(changed.student()).hand();
        attentions.replace(
                changed.student(),
                Attention.of(situation(changed.student())).stream()
                        .map(a -> a.said(hand))
                        .toList());
    }

    private Situation situation(UUID student) {
        Optional<StoredPlan> running = plans.running(student);
        LocalDate since = running.map(StoredPlan::from).orElse(LocalDate.EPOCH).minusDays(MEMORY);
        Optional<LocalDate> next = running.map(StoredPlan::nextLesson).filter(on -> !lessons.heldSince(student, on));
        // Once the coach has asked for less, only what is missed after that is worth a word.
        LocalDate eased = running.flatMap(p -> plans.easedOn(p.id())).orElse(LocalDate.EPOCH);
        return new Situation(
                running.map(p -> p.plan().days().stream()
                                .filter(DayView::hasWork)
                                .map(DayView::date)
                                .filter(day -> !day.isBefore(eased))
                                .toList())
                        .orElse(List.of()),
                next,
                running.map(StoredPlan::likelyOn).orElse(Map.of()),
                practice.since(student, since),
                practice.stops(student),
                practice.unread(student),
                gates.of(student),
                running.flatMap(p -> plans.printed(p.id())),
                plans.library(student),
                clips.waiting(student),
                running.map(StoredPlan::from)
                        .filter(from -> !students.byId(student).signedUp()),
                students.invitedOn(student));
    }

    /**
     * What wants a coach.
     *
     * @param first the most urgent
     * @param all how many there are
     */
    record Due(List<AttentionView> first, int all) {}

    /** The most urgent thing about each student that wants this coach on that day: its kind, and its place from 0. */
    public Map<UUID, Wanted> wanted(UUID coach, LocalDate day) {
        Map<UUID, Wanted> first = new HashMap<>();
        lines(coach, day).forEach(l -> first.putIfAbsent(l.student(), new Wanted(l.kind(), l.urgency())));
        return first;
    }

    /** @param urgency 0 for the most urgent */
    public record Wanted(String kind, int urgency) {}

    Due due(UUID coach, LocalDate day, int most) {
        List<Line> all = lines(coach, day);
        List<Line> first = all.subList(0, Math.min(most, all.size()));
        return new Due(attentions.tell(first, accountUnits.of(coach), days(first)), all.size());
    }

    /** What holds on the day that it is where the student is; only of those of whom that decides is it asked. */
    private List<Line> lines(UUID coach, LocalDate day) {
        LocalDate first = day.minusDays(APART);
        LocalDate last = day.plusDays(APART);
        List<Line> near = attentions.between(coach, students.standingInFor(coach), first, last);
        Map<UUID, LocalDate> days = days(
                near.stream().filter(l -> !l.holdsOn(first) || !l.holdsOn(last)).toList());
        return near.stream()
                .filter(l -> l.holdsOn(days.getOrDefault(l.student(), day)))
                .toList();
    }

    private Map<UUID, LocalDate> days(List<Line> lines) {
        return today.ofStudents(lines.stream().map(Line::student).collect(Collectors.toSet()));
    }

    @Transactional
    boolean see(Account coach, UUID student, String kind, String key) {
        students.toChange(coach, student);
        return attentions.see(student, kind, key) == 1;
    }
}
