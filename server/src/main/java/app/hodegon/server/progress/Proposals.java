package app.hodegon.server.progress;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.progress.NextPlan;
import app.hodegon.core.progress.Outcome;
import app.hodegon.core.progress.Proposal;
import app.hodegon.core.progress.Proposal.Kind;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.account.Account;
import app.hodegon.server.http.Conflict;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.lesson.StoredLesson;
import app.hodegon.server.plan.PlanDrafts;
import app.hodegon.server.plan.PlanHead;
import app.hodegon.server.plan.PlanTerms;
import app.hodegon.server.plan.Plans;
import app.hodegon.server.plan.StoredPlan;
import app.hodegon.server.progress.AnswerRepository.Given;
import app.hodegon.server.progress.ProgressService.Since;
import app.hodegon.server.progress.ProgressView.AnswerView;
import app.hodegon.server.progress.ProgressView.KindView;
import app.hodegon.server.progress.ProposalRecordView.KindLine;
import app.hodegon.server.progress.ProposalRecordView.Recent;
import app.hodegon.server.student.Students;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a coach does with what is proposed, and what came of it. */
@Service
public class Proposals {

    /** Days to the next lesson where no earlier plan tells. */
    private static final int USUAL_DAYS = 14;

    /** The record is made from so many answers, the latest. */
    private static final int MOST = 300;

    private static final int SHOWN = 20;

    private final ProgressService progress;
    private final AnswerRepository answers;
    private final Lessons lessons;
    private final Plans plans;
    private final PlanDrafts drafts;
    private final Students students;

    Proposals(
            ProgressService progress,
            AnswerRepository answers,
            Lessons lessons,
            Plans plans,
            PlanDrafts drafts,
            Students students) {
        this.progress = progress;
        this.answers = answers;
        this.lessons = lessons;
        this.plans = plans;
        this.drafts = drafts;
        this.students = students;
    }

    /**
     * Keeps the answer. What is done of it, if it leads to a plan, is laid as a draft at once: the lesson's focus is
     * set where the coach has not chosen one.
     *
     * @param seen what the coach saw proposed; if it is another by now nothing is done
     * @param instead what is done where the proposal is changed; null else
     */
    @Transactional
    AnswerView answer(Account coach, UUID lessonId, Kind seen, Answer answer, String instead, String reason) {
        lessons.toChange(coach, lessonId);
        Since since = progress.since(coach, lessonId)
                .filter(s -> s.proposal().isPresent())
                .orElseThrow(() -> new Conflict("Nothing is proposed at this lesson."));
        Proposal proposal = since.proposal().orElseThrow();
        if (proposal.kind() != seen) {
            throw new Conflict("On what is measured by now, another step is proposed: "
                    + proposal.kind().label().toLowerCase() + ". Look again.");
        }
        if (answer != Answer.TAKEN && reason.isBlank()) {
            throw new Invalid("reason", "Say in a few words why: it is kept with the record.");
        }
        Optional<Kind> done = switch (answer) {
            case TAKEN -> Optional.of(proposal.kind());
            case CHANGED -> Optional.of(other(proposal.kind(), instead));
            case REFUSED -> Optional.empty();
        };
        answers.put(lessonId, proposal, answer, done, reason.strip());
        done.filter(NextPlan::follows).ifPresent(kind -> lay(coach, since, kind));
        return answers.of(lessonId).orElseThrow();
    }

    /** Keeps what was done at a lesson whose plan is laid by other means; nothing where nothing was proposed. */
    @Transactional
    public void keep(Account coach, UUID lessonId, Kind done, String reason) {
        progress.since(coach, lessonId).flatMap(Since::proposal).ifPresent(proposal -> {
            Answer answer = proposal.kind() == done ? Answer.TAKEN : Answer.CHANGED;
            answers.put(lessonId, proposal, answer, Optional.of(done), answer == Answer.TAKEN ? "" : reason);
        });
    }

    /**
     * Reads the answer given at a lesson.
     *
     * @throws IllegalArgumentException if it cannot be
     */
    public void readWhole(UUID lesson) {
        answers.of(lesson);
    }

    private static Kind other(Kind proposed, String instead) {
        if (instead == null) throw new Invalid("instead", "Say what is done instead.");
        Kind kind = Invalid.in("instead", () -> Identified.of(Kind.class, instead));
        if (kind == proposed) throw new Invalid("instead", "This is what is proposed: take it.");
        return kind;
    }

    private void lay(Account coach, Since since, Kind kind) {
        StoredLesson now = since.now();
        if (now.focus().isEmpty()) {
            List<Fault> focus = NextPlan.focus(
                    kind,
                    since.then().focus(),
                    lessons.diagnose(now, students.ofCoach(coach, now.studentId())),
                    Gated.allPassed(since.gates()));
            if (kind == Kind.ADVANCE && focus.equals(since.then().focus())) {
                throw new Conflict("No other fault is likely or possible today: there is none to advance to.");
            }
            lessons.decide(
                    coach,
                    now.id(),
                    focus.stream().map(Fault::id).toList(),
                    "After the last plan: " + kind.label() + ".");
        }
        LocalDate from = now.heldOn().plusDays(1);
        DrillLibrary library = plans.library(now.studentId());
        StoredPlan draft = drafts.draft(
                coach,
                now.id(),
                PlanTerms.between(from, now.heldOn().plusDays(daysToNext(since))),
                request -> NextPlan.fit(kind, request, library, since.shareDone()));
        if (!draft.hasWork()) throw new Conflict(Plans.NO_WORK);
    }

    /** As long as the last plan was meant to run. */
    private static long daysToNext(Since since) {
        return since.plan()
                .map(PlanHead::nextLesson)
                .map(next -> ChronoUnit.DAYS.between(since.then().heldOn(), next))
                .filter(days -> days > 1)
                .orElse((long) USUAL_DAYS);
    }

    /** Takes an answer back; a plan drafted on it stays. */
    @Transactional
    void takeBack(Account coach, UUID lessonId) {
        lessons.toChange(coach, lessonId);
        answers.remove(lessonId);
    }

    /** An answer and what the next lesson said of it. */
    private record Judged(Given given, Outcome outcome, Optional<StoredLesson> lesson) {
        Kind proposed() {
            return Identified.of(Kind.class, given.answer().proposed().id());
        }

        boolean is(Answer answer) {
            return given.answer().answer().equals(answer.id());
        }
    }

    /** How often a coach took what was proposed, and how often the next lesson bore it out. */
    ProposalRecordView record(Account coach) {
        List<Judged> judged = judged(coach, answers.last(coach.id(), MOST));
        Map<Kind, List<Judged>> byKind = judged.stream().collect(Collectors.groupingBy(Judged::proposed));
        List<KindLine> lines = new ArrayList<>();
        for (Kind kind : Kind.values()) {
            List<Judged> of = byKind.getOrDefault(kind, List.of());
            if (!of.isEmpty()) lines.add(line(kind, of));
        }
        return new ProposalRecordView(
                judged.size(),
                lines,
                judged.stream().limit(SHOWN).map(Proposals::recent).toList());
    }

    private static KindLine line(Kind kind, List<Judged> of) {
        Function<Predicate<Judged>, Integer> count =
                which -> (int) of.stream().filter(which).count();
        Predicate<Judged> taken = j -> j.is(Answer.TAKEN);
        Predicate<Judged> told = j -> j.outcome() != Outcome.OPEN;
        Predicate<Judged> borneOut = j -> j.outcome() == Outcome.BORNE_OUT;
        return new KindLine(
                KindView.of(kind),
                of.size(),
                count.apply(taken),
                count.apply(j -> j.is(Answer.CHANGED)),
                count.apply(j -> j.is(Answer.REFUSED)),
                count.apply(taken.and(told)),
                count.apply(taken.and(borneOut)),
                count.apply(taken.negate().and(told)),
                count.apply(taken.negate().and(borneOut)));
    }

    private static Recent recent(Judged judged) {
        Given given = judged.given();
        return new Recent(
                given.lesson(),
                judged.lesson().map(StoredLesson::heldOn).orElse(null),
                given.studentId(),
                given.student(),
                given.answer(),
                judged.outcome().id());
    }

    private List<Judged> judged(Account coach, List<Given> all) {
        List<UUID> ids = all.stream().map(Given::lesson).toList();
        Map<UUID, StoredLesson> at = lessons.all(ids).stream().collect(Collectors.toMap(StoredLesson::id, l -> l));
        Map<UUID, StoredLesson> next = lessons.following(ids);
        Map<UUID, Said> said = new HashMap<>();
        return all.stream()
                .map(given -> {
                    StoredLesson then = at.get(given.lesson());
                    StoredLesson now = next.get(given.lesson());
                    Kind kind = Identified.of(
                            Kind.class,
                            (given.answer().done() == null
                                            ? given.answer().proposed()
                                            : given.answer().done())
                                    .id());
                    Outcome outcome = now == null
                            ? Outcome.OPEN
                            : Outcome.of(
                                    kind,
                                    progress.told(
                                            then,
                                            now,
                                            said.computeIfAbsent(given.studentId(), id -> progress.said(coach, id))));
                    return new Judged(given, outcome, Optional.ofNullable(then));
                })
                .toList();
    }
}
