package app.hodegon.server.plan;

import app.hodegon.core.diagnosis.Diagnosis;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Sign;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.plan.PlanRequest;
import app.hodegon.core.plan.Student;
import app.hodegon.core.plan.Week;
import app.hodegon.core.plan.Words;
import app.hodegon.core.practice.Easing;
import app.hodegon.core.practice.Ladder;
import app.hodegon.core.practice.PracticeSession;
import app.hodegon.server.choice.Choices;
import app.hodegon.server.drill.Drills;
import app.hodegon.server.gate.StudentGates;
import app.hodegon.server.http.Conflict;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.lesson.StoredLesson;
import app.hodegon.server.practice.House;
import app.hodegon.server.practice.PracticeLog;
import app.hodegon.server.student.StoredStudent;
import app.hodegon.server.student.StudentEntry;
import app.hodegon.server.zone.Today;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** What the planner is asked for a lesson: the student, what was found, and the coach's terms. */
@Service
class PlanRequests {

    /** What a smaller plan asks for of each day's minutes. */
    private static final double SMALLER = 0.6;

    /** Pain of so many days before a lesson still counts. */
    private static final int SORE_FOR = 21;

    private final Lessons lessons;
    private final PracticeLog practice;
    private final Drills drills;
    private final StudentGates gates;
    private final House house;
    private final Choices choices;
    private final Today today;

    PlanRequests(
            Lessons lessons,
            PracticeLog practice,
            Drills drills,
            StudentGates gates,
            House house,
            Choices choices,
            Today today) {
        this.choices = choices;
        this.house = house;
        this.lessons = lessons;
        this.practice = practice;
        this.drills = drills;
        this.gates = gates;
        this.today = today;
    }

    /**
     * @param running the plan of this lesson that the student has: what lies behind stays as it was
     */
    PlanRequest of(StoredStudent student, StoredLesson lesson, PlanTerms terms, Optional<StoredPlan> running) {
        if (lesson.focus().isEmpty()) throw new Conflict("Choose what to work on first.");
        if (terms.from().isBefore(lesson.heldOn())) {
            throw new Invalid("from", "A plan cannot begin before its lesson.");
        }
        Diagnosis diagnosis = lessons.diagnose(lesson, student);
        List<Fault> focus = terms.firstFaultOnly() ? lesson.focus().subList(0, 1) : lesson.focus();
        LocalDate from = running.map(r -> firstOpenDay(r, terms.from())).orElse(terms.from());
        if (!terms.nextLesson().isAfter(from)) {
            throw new Invalid("nextLesson", "Every day of this plan lies behind: set a later next lesson.");
        }
        DrillLibrary library = drills.of(student.coachId());
        Ladder ladder = practice.ladder(student.id());
        Student withHistory = house.knowing(ofTerms(student, terms))
                .sparing(spared(student, lesson, terms))
                .after(ladder.done().stream()
                        .filter(d -> library.has(d.drill()))
                        .toList());
        return Invalid.in(
                "nextLesson",
                () -> new PlanRequest(
                        withHistory,
                        lesson.approach(),
                        focus.stream()
                                .map(f ->
                                        new PlanRequest.Focus(f, diagnosis.of(f).grade()))
                                .toList(),
                        Set.copyOf(diagnosis.likely()),
                        seen(lesson),
                        from,
                        terms.nextLesson(),
                        Set.copyOf(practice.stopped(student.id())),
                        terms.toEdits().from(from).with(gates.of(student.id())),
                        terms.settings(),
                        new PlanRequest.SoFar(
                                ladder.worked(gates.of(student.id())), ease(student, from, terms.nextLesson()))));
    }

    private static Set<Sign> seen(StoredLesson lesson) {
        return lesson.before().signs().entrySet().stream()
                .filter(Map.Entry::getValue)
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
    }

    /** With the week and the kit that these terms give. */
    private static Student ofTerms(StoredStudent student, PlanTerms terms) {
        Student profile = student.profile();
        Week whole = terms.week() == null ? profile.week() : StudentEntry.week(terms.week());
        return terms.equipped(profile).with(terms.smaller() ? whole.scaled(SMALLER) : whole);
    }

    /**
     * The same terms, saying what they left open.
     *
     * @param running the plan of this lesson that the student has: it goes on with the first choices it was drafted with
     */
    PlanTerms complete(StoredStudent student, PlanTerms terms, Optional<StoredPlan> running) {
        return measuring(student, terms)
                .choosing(running.map(r -> r.terms().first()).orElseGet(() -> choices.of(student.coachId())));
    }

    /** Where they do not say, ten scored balls begin the next lesson if no day before it has a real one. */
    private static PlanTerms measuring(StoredStudent student, PlanTerms terms) {
        if (terms.lessonCheck() != null) return terms;
        return terms.checking(!ofTerms(student, terms).meetsARealBall(terms.from(), terms.nextLesson()));
    }

    /** What pain asks for: the week after it, and as long as a drill is stopped for it. */
    private Optional<PlanRequest.Ease> ease(StoredStudent student, LocalDate from, LocalDate nextLesson) {
        Map<String, LocalDate> stops = practice.stops(student.id());
        // The day a stop was stored may come after the practice it came of.
        LocalDate since = Stream.concat(stops.values().stream(), Stream.of(from))
                .min(Comparator.naturalOrder())
                .map(day -> day.minusDays(SORE_FOR))
                .orElseThrow();
        return Easing.of(
                practice.since(student.id(), since),
                stops.keySet(),
                student.profile().flags(),
                from,
                nextLesson);
    }

    /**
     * Joints that are spared though nobody flagged them: a sore back of the lesson, and where pain was reported in the
     * weeks up to it and since; until the coach takes them off.
     */
    Set<Joint> spared(StoredStudent student, StoredLesson lesson, PlanTerms terms) {
        Set<Joint> sore = EnumSet.noneOf(Joint.class);
        if (lesson.before().signs().getOrDefault(Sign.BACK_SORENESS, false)) sore.add(Joint.BACK);
        practice.since(student.id(), lesson.heldOn().minusDays(SORE_FOR)).stream()
                .flatMap(s -> s.pain().stream())
                .filter(p -> p.score() > 0)
                .forEach(p -> sore.add(p.where()));
        sore.removeAll(StudentEntry.set("unspared", Joint.class, terms.unspared()));
        sore.removeAll(student.profile().flags());
        return sore;
    }

    /** Today, or the day after the last one practised; never before the plan begins. */
    LocalDate firstOpenDay(StoredPlan running, LocalDate from) {
        LocalDate practised = practice.ofPlan(running.id()).stream()
                .map(PracticeSession::day)
                .max(LocalDate::compareTo)
                .orElse(LocalDate.MIN);
        LocalDate now = today.ofStudent(running.studentId());
        LocalDate open = practised.isBefore(now) ? now : practised.plusDays(1);
        return open.isAfter(from) ? open : from;
    }

    /** Without what would keep drills in the plan that were stopped for pain. */
    PlanTerms withoutStopped(UUID student, PlanTerms terms) {
        return terms.without(Set.copyOf(practice.stopped(student)));
    }

    /**
     * @param known the terms of the lesson's plan as it is
     * @throws Invalid if the terms decide something about days that lie behind or come before the plan begins
     */
    void refuseBehind(PlanTerms terms, PlanTerms known, Optional<StoredPlan> running) {
        LocalDate open = running.map(r -> firstOpenDay(r, terms.from())).orElse(terms.from());
        List<LocalDate> behind = terms.decidedBehind(open, known);
        if (behind.isEmpty()) return;
        throw new Invalid(
                "edits",
                behind.get(0).isBefore(terms.from())
                        ? Words.day(behind.get(0)) + " is before this plan begins."
                        : "%s lies behind or is practised already: from %s on the plan can change."
                                .formatted(Words.day(behind.get(0)), Words.day(open)));
    }

    boolean isOver(StoredPlan running, PlanTerms terms) {
        return !terms.nextLesson().isAfter(firstOpenDay(running, terms.from()));
    }
}
