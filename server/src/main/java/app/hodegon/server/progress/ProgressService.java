package app.hodegon.server.progress;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Observations;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.practice.Ladder;
import app.hodegon.core.practice.Standing;
import app.hodegon.core.progress.Aim;
import app.hodegon.core.progress.Better;
import app.hodegon.core.progress.Comparison;
import app.hodegon.core.progress.Comparison.Count;
import app.hodegon.core.progress.Concern;
import app.hodegon.core.progress.Estimate;
import app.hodegon.core.progress.Evidence;
import app.hodegon.core.progress.Evidence.Told;
import app.hodegon.core.progress.Proposal;
import app.hodegon.core.progress.Verdict;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Repeatability;
import app.hodegon.server.account.Account;
import app.hodegon.server.approach.Approaches;
import app.hodegon.server.gate.StudentGates;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.lesson.StoredLesson;
import app.hodegon.server.plan.Done;
import app.hodegon.server.plan.PlanHead;
import app.hodegon.server.plan.PlanView.StepView;
import app.hodegon.server.plan.Plans;
import app.hodegon.server.practice.DayDone;
import app.hodegon.server.practice.PracticeLog;
import app.hodegon.server.practice.RungStanding;
import app.hodegon.server.progress.ProgressView.Change;
import app.hodegon.server.progress.ProgressView.ProposalView;
import app.hodegon.server.progress.ThreadView.Knot;
import app.hodegon.server.progress.ThreadView.Point;
import app.hodegon.server.progress.ThreadView.Series;
import app.hodegon.server.student.Students;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** What lessons and the practice between them say together. */
@Service
class ProgressService {

    private final Lessons lessons;
    private final Plans plans;
    private final PracticeLog practice;
    private final StudentGates gates;
    private final Students students;
    private final Approaches approaches;
    private final Clock clock;

    ProgressService(
            Lessons lessons,
            Plans plans,
            PracticeLog practice,
            StudentGates gates,
            Students students,
            Approaches approaches,
            Clock clock) {
        this.lessons = lessons;
        this.plans = plans;
        this.practice = practice;
        this.gates = gates;
        this.students = students;
        this.approaches = approaches;
        this.clock = clock;
    }

    /** This lesson's first balls against the last lesson's, and what was practised between. */
    ProgressView since(Account coach, UUID lessonId) {
        StoredLesson now = lessons.ofCoach(coach, lessonId);
        Optional<StoredLesson> earlier = lessons.measuredBefore(now);
        if (earlier.isEmpty()) return new ProgressView(null, null, List.of(), List.of(), null);
        StoredLesson then = earlier.get();
        Optional<PlanHead> plan = headOf(then, plans.heads(List.of(then.id())));
        Optional<Done> done = plan.map(p -> done(p, now.heldOn(), practice.days(List.of(p.id()))));
        Said said = reading(coach, now.studentId());
        Concern concern = Concern.of(then.focus());
        List<Change> kept = changes(then.before(), now.before(), now.approach().school(), concern, said);
        Map<String, Change> gained =
                changes(then.before(), then.after(), then.approach().school(), concern, said).stream()
                        .collect(Collectors.toMap(Change::id, c -> c));
        return new ProgressView(
                then.heldOn(),
                done.orElse(null),
                plan.map(p -> RungStanding.of(
                                practice.checks(List.of(p.id())).getOrDefault(p.id(), List.of()),
                                gates.of(now.studentId())))
                        .orElse(List.of()),
                kept.stream().map(c -> c.with(gained.get(c.id()))).toList(),
                then.focus().isEmpty()
                        ? null
                        : ProposalView.of(Proposal.of(evidence(now.studentId(), coach, plan, done, kept, gained))));
    }

    private Evidence evidence(
            UUID student,
            Account coach,
            Optional<PlanHead> head,
            Optional<Done> done,
            List<Change> kept,
            Map<String, Change> gained) {
        List<Told> told = new ArrayList<>();
        for (Change change : kept) {
            if (change.concerns()) {
                told.add(new Told(
                        change.label(),
                        Optional.ofNullable(gained.get(change.id())).map(Change::verdict),
                        Optional.of(change.verdict())));
            }
        }
        List<String> fresh = kept.stream()
                .filter(c -> c.verdict() == Verdict.WORSE && c.then().startsWith("0 of "))
                .map(Change::label)
                .toList();
        Ladder ladder = practice.ladder(student);
        List<StepView> route = head.flatMap(h -> plans.ofStudent(student, h.id()))
                .map(p ->
                        p.plan().route().stream().filter(s -> s.gate() != null).toList())
                .orElse(List.of());
        int passed = (int) route.stream()
                .filter(s -> ladder.on(s.id())
                        .filter(state -> state.standing() == Standing.PASSED)
                        .isPresent())
                .count();
        DrillLibrary library = plans.library(coach.id());
        return new Evidence(
                told,
                fresh,
                done.filter(d -> d.plannedReps() > 0).map(d -> (double) d.doneReps() / d.plannedReps()),
                route.size(),
                passed,
                practice.stopped(student).stream()
                        .map(id -> library.has(id) ? library.drill(id).name() : id)
                        .toList());
    }

    private static Optional<PlanHead> headOf(StoredLesson lesson, List<PlanHead> heads) {
        return heads.stream().filter(p -> p.lessonId().equals(lesson.id())).reduce((a, b) -> b);
    }

    /** What was planned before {@code until}, or before today if that is earlier, and what was done of it. */
    private Done done(PlanHead plan, LocalDate until, Map<UUID, List<DayDone>> days) {
        LocalDate today = LocalDate.now(clock);
        LocalDate end = until.isBefore(today) ? until : today;
        return Done.of(plan.planned(), days.getOrDefault(plan.id(), List.of()), end);
    }

    /** How readings are said for a student and how well they repeat. */
    private record Said(Handedness hand, Repeatability repeatability) {
        String label(Reading reading) {
            return hand.say(reading.measure().label()
                    + reading.at().map(a -> ", " + a.label().toLowerCase()).orElse(""));
        }
    }

    private Said reading(Account coach, UUID student) {
        return new Said(students.ofCoach(coach, student).hand(), approaches.repeatability(coach.id()));
    }

    /** Every tally and reading that both hold. */
    private static List<Change> changes(
            Observations then, Observations now, PressureSchool school, Concern concern, Said said) {
        List<Change> changes = new ArrayList<>();
        for (BallResult result : BallResult.values()) {
            int ofThen = then.shots().total(result.kind());
            int ofNow = now.shots().total(result.kind());
            int hitsThen = then.shots().of(result);
            int hitsNow = now.shots().of(result);
            Optional<Better> aim = Aim.of(result);
            if (aim.isEmpty() || ofThen == 0 || ofNow == 0 || hitsThen + hitsNow == 0) continue;
            changes.add(new Change(
                    result.kind().id() + ":" + result.id(),
                    result.label(),
                    "balls",
                    hitsThen + " of " + ofThen,
                    hitsNow + " of " + ofNow,
                    concern.with(result),
                    null,
                    ComparisonView.of(
                            Comparison.ofCounts(new Count(hitsThen, ofThen), new Count(hitsNow, ofNow), aim.get()))));
        }
        for (Reading first : then.readings()) {
            if (said.repeatability().sem(first.measure(), first.source()).isEmpty()) continue;
            Optional<Better> aim = Aim.of(first, school);
            now.readings().stream()
                    .filter(r ->
                            r.measure() == first.measure() && r.at().equals(first.at()) && r.source() == first.source())
                    .findFirst()
                    .filter(second -> aim.isPresent())
                    .ifPresent(second -> changes.add(new Change(
                            seriesId(first),
                            said.label(first),
                            first.measure().quantity().unit(),
                            said(first),
                            said(second),
                            concern.with(first),
                            null,
                            ComparisonView.of(Comparison.ofReadings(first, second, aim.get(), said.repeatability())))));
        }
        return changes;
    }

    private static String said(Reading reading) {
        String value = reading.value() == Math.rint(reading.value())
                ? Long.toString((long) reading.value())
                : Double.toString(reading.value());
        return value + " " + reading.measure().quantity().unit() + " ("
                + reading.source().id() + ")";
    }

    private static String seriesId(Reading reading) {
        return reading.measure().id() + reading.at().map(a -> "@" + a.id()).orElse("") + "/"
                + reading.source().id();
    }

    /** A student's last lessons as knots with the practice between as strands. */
    ThreadView thread(Account coach, UUID studentId, int last) {
        Said said = reading(coach, studentId);
        List<StoredLesson> shown = lessons.last(studentId, last);
        List<PlanHead> heads = plans.heads(shown.stream().map(StoredLesson::id).toList());
        var days = practice.days(heads.stream().map(PlanHead::id).toList());
        Map<String, Series> series = new LinkedHashMap<>();
        List<Knot> knots = new ArrayList<>();
        for (StoredLesson lesson : shown) {
            Optional<PlanHead> plan = headOf(lesson, heads);
            knots.add(new Knot(
                    lesson.id(),
                    lesson.heldOn(),
                    lesson.focus().stream().map(f -> f.id()).toList(),
                    points(lesson.before(), series, said),
                    points(lesson.after(), series, said),
                    plan.map(PlanHead::nextLesson).orElse(null),
                    plan.map(p -> done(p, p.nextLesson(), days)).orElse(null)));
        }
        return new ThreadView(List.copyOf(series.values()), knots, lessons.count(studentId));
    }

    private static Map<String, Point> points(Observations seen, Map<String, Series> series, Said said) {
        Map<String, Point> points = new HashMap<>();
        for (BallResult result : BallResult.values()) {
            int balls = seen.shots().total(result.kind());
            if (balls == 0 || Aim.of(result).isEmpty()) continue;
            int hits = seen.shots().of(result);
            String id = result.kind().id() + ":" + result.id();
            // A result that never turned up is no story; once it has, its zeros are part of it.
            if (hits == 0 && !series.containsKey(id)) continue;
            series.putIfAbsent(
                    id,
                    new Series(
                            id,
                            "Balls: " + result.label(),
                            "%",
                            Aim.of(result).orElseThrow().id()));
            points.put(id, point(Estimate.of(new Count(hits, balls)), balls));
        }
        for (Reading reading : seen.readings()) {
            String id = seriesId(reading);
            Estimate.of(reading, said.repeatability()).ifPresent(estimate -> {
                series.putIfAbsent(
                        id,
                        new Series(
                                id,
                                said.label(reading) + " (" + reading.source().id() + ")",
                                reading.measure().quantity().unit(),
                                null));
                points.put(id, point(estimate, reading.swings()));
            });
        }
        return points;
    }

    private static Point point(Estimate estimate, int of) {
        return new Point(estimate.value(), estimate.low(), estimate.high(), of);
    }
}
