package app.hodegon.server.demo;

import app.hodegon.core.diagnosis.Diagnosis;
import app.hodegon.core.diagnosis.Diagnosis.Finding;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.practice.PracticeSession;
import app.hodegon.core.progress.Proposal.Kind;
import app.hodegon.core.simulate.Cast;
import app.hodegon.core.simulate.Persona;
import app.hodegon.core.simulate.RangeBay;
import app.hodegon.core.simulate.RangeBay.Club;
import app.hodegon.core.simulate.Season;
import app.hodegon.core.simulate.SeasonSimulator;
import app.hodegon.server.account.Account;
import app.hodegon.server.account.Account.Role;
import app.hodegon.server.account.Accounts;
import app.hodegon.server.account.SampleAccounts;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.lesson.Stage;
import app.hodegon.server.lesson.StoredLesson;
import app.hodegon.server.plan.PlanDrafts;
import app.hodegon.server.plan.PlanFollowsPractice;
import app.hodegon.server.plan.PlanTerms;
import app.hodegon.server.plan.Plans;
import app.hodegon.server.plan.StoredPlan;
import app.hodegon.server.practice.PracticeLog;
import app.hodegon.server.progress.Proposals;
import app.hodegon.server.shots.ShotFiles;
import app.hodegon.server.student.Figure;
import app.hodegon.server.student.StoredStudent;
import app.hodegon.server.student.StudentChanged;
import app.hodegon.server.student.StudentEntry;
import app.hodegon.server.student.Students;
import app.hodegon.server.told.ToldLog;
import app.hodegon.server.word.OwnWords;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Fills an empty database with the simulated cast, through the same services a coach and a student use. */
@Component
@ConditionalOnProperty("hodegon.demo")
class DemoData implements SampleAccounts, SmartInitializingSingleton {

    /** Of those who are filmed, cm. */
    private static final Map<String, Double> HEIGHTS =
            Map.of("Ansel Roe", 178.0, "Bram Ellery", 184.0, DemoClips.FILMED, 169.0);

    private static final SampleAccount COACH =
            new SampleAccount("Coach at Lindmoor", "coach@demo.example", "demo-coach");
    private static final SampleAccount SECOND = new SampleAccount("Second coach", "second@demo.example", "demo-coach");
    private static final List<SampleAccount> STUDENTS = List.of(
            new SampleAccount("Bram Ellery, left-hander who sways", "bram@demo.example", "demo-student"),
            new SampleAccount("Petra Lund, good player with a stiff ankle", "petra@demo.example", "demo-student"));

    private static final Map<String, String> SAID = Map.of(
            "ball-inside-ankle",
            "Listen for the ball: it should still be quiet when the club is back at hip height. If it rattles early, start again slower.",
            "heel-toe-exchange",
            "Think of a seesaw under your feet. One end sinks, the other comes up; nothing jumps.");
    private static final Map<String, String> CALLED = Map.of("heel-toe-exchange", "Seesaw, no hop");

    private static final String MEASURED = "Bram Ellery";
    private static final int BALLS = 12;

    private final Accounts accounts;
    private final Students students;
    private final Lessons lessons;
    private final Plans plans;
    private final PlanDrafts drafts;
    private final PracticeLog practice;
    private final Proposals proposals;
    private final ShotFiles shots;
    private final ToldLog told;
    private final DemoClips clips;
    private final OwnWords words;
    private final PlanFollowsPractice following;
    private final ApplicationEventPublisher events;
    private final DemoClock clock;
    private final TransactionTemplate transaction;
    private final List<UUID> practising = new ArrayList<>();

    DemoData(
            Accounts accounts,
            Students students,
            Lessons lessons,
            Plans plans,
            PlanDrafts drafts,
            PracticeLog practice,
            Proposals proposals,
            ShotFiles shots,
            ToldLog told,
            DemoClips clips,
            OwnWords words,
            PlanFollowsPractice following,
            ApplicationEventPublisher events,
            DemoClock clock,
            TransactionTemplate transaction) {
        this.accounts = accounts;
        this.students = students;
        this.lessons = lessons;
        this.plans = plans;
        this.drafts = drafts;
        this.practice = practice;
        this.proposals = proposals;
        this.shots = shots;
        this.told = told;
        this.clips = clips;
        this.words = words;
        this.following = following;
        this.events = events;
        this.clock = clock;
        this.transaction = transaction;
    }

    @Override
    public List<SampleAccount> list() {
        return Stream.concat(Stream.of(COACH, SECOND), STUDENTS.stream()).toList();
    }

    @Override
    public int daysAhead() {
        return clock.daysAhead();
    }

    @Override
    public void afterSingletonsInstantiated() {
        // One transaction: the demo is there as a whole or not at all.
        Boolean filled = transaction.execute(status -> {
            if (!accounts.firstRun()) return false;
            fill(LocalDate.now(clock));
            return true;
        });
        if (Boolean.TRUE.equals(filled)) practising.forEach(following::catchUp);
    }

    private void fill(LocalDate today) {
        Account first = accounts.add(COACH.email(), COACH.password(), Role.COACH, "Tamsin Harrow");
        accounts.makeOwner(first.id());
        Account second = accounts.add(SECOND.email(), SECOND.password(), Role.COACH, "Joren Aldwick");
        SAID.forEach((drill, said) -> words.say(first, drill, said));
        Cast.first().forEach(persona -> add(first, persona, today));
        Cast.second().forEach(persona -> add(second, persona, today));
    }

    private void add(Account coach, Persona persona, LocalDate today) {
        StoredStudent student = students.add(coach, entry(persona));
        String mail = persona.name().split(" ")[0].toLowerCase(Locale.ROOT) + "@demo.example";
        STUDENTS.stream()
                .filter(a -> a.email().equals(mail))
                .findFirst()
                .ifPresent(a -> students.accept(students.invite(coach, student.id()), a.email(), a.password()));
        live(coach, student, persona, today);
        if (persona.name().equals(DemoClips.FILMED)) CALLED.forEach((drill, cue) -> words.call(student, drill, cue));
        practising.add(student.id());
        events.publishEvent(new StudentChanged(student.id()));
    }

    /** Why another focus than proposed; nothing where it is the same. */
    private static String reason(List<Fault> focus, List<Fault> before, Diagnosis diagnosis) {
        if (diagnosis.focus().equals(focus)) return "";
        return focus.equals(before) ? "Staying with what we began." : "What was seen today points here.";
    }

    private void live(Account coach, StoredStudent student, Persona persona, LocalDate today) {
        List<Fault> worked = List.of();
        List<Season.Lesson> all =
                SeasonSimulator.live(persona, today, SeasonSimulator.DEMO_SEED).lessons();
        for (Season.Lesson lesson : all) {
            StoredLesson stored = lessons.begin(coach, student.id(), lesson.on());
            lessons.enter(stored.id(), lesson.approach(), lesson.before(), lesson.after(), lesson.tried());
            keepWhatTheBayMeasured(persona, lesson, stored);
            if (persona.name().equals(DemoClips.FILMED)) {
                if (lesson == all.get(0)) clips.keep(coach, stored, Stage.BEFORE, "extension-before");
                else if (lesson == all.get(all.size() - 1)) clips.keep(coach, stored, Stage.AFTER, "extension-after");
            }
            lessons.decide(
                    coach,
                    stored.id(),
                    lesson.focus().stream().map(f -> f.id()).toList(),
                    reason(lesson.focus(), worked, lessons.diagnose(lessons.byId(stored.id()), student)));
            proposals.keep(
                    coach,
                    stored.id(),
                    lesson.focus().equals(worked) ? Kind.GO_ON : Kind.ADVANCE,
                    "Staying with what we began.");
            worked = lesson.focus();
            StoredPlan plan = drafts.draft(
                    coach, stored.id(), PlanTerms.between(lesson.on().plusDays(1), lesson.nextLesson()));
            plans.assign(coach, plan.id());
            lesson.rounds().forEach(round -> told.put(student.id(), round, 1));
            lesson.felt().forEach(check -> told.put(student.id(), check, 1));
            for (PracticeSession session : lesson.practice()) {
                practice.restore(student.id(), persona.profile().flags(), plan.id(), session);
            }
        }
    }

    /** One student hits into a bay that measures. */
    private void keepWhatTheBayMeasured(Persona persona, Season.Lesson lesson, StoredLesson stored) {
        if (!persona.name().equals(MEASURED)) return;
        Map<Fault, Double> faults =
                lesson.diagnosis().faults().stream().collect(Collectors.toMap(Finding::fault, Finding::probability));
        RangeBay bay = new RangeBay(lesson.on().toEpochDay());
        for (Stage stage : Stage.values()) {
            shots.keep(
                    stored.id(),
                    stage,
                    "bay-" + stage.id() + ".csv",
                    bay.hit(persona.profile().level(), faults, Club.SEVEN_IRON, BALLS));
        }
    }

    private static StudentEntry entry(Persona persona) {
        return StudentEntry.of(
                persona.name(),
                persona.complaint(),
                "metric",
                persona.profile(),
                new Figure(
                        Optional.ofNullable(HEIGHTS.get(persona.name())),
                        Optional.of(DemoClips.LOOK)
                                .filter(look -> persona.name().equals(DemoClips.FILMED))));
    }
}
