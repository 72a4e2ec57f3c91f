package app.hodegon.server.progress;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Observations;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.progress.Aim;
import app.hodegon.core.progress.Better;
import app.hodegon.core.progress.Comparison.Count;
import app.hodegon.core.progress.Distance;
import app.hodegon.core.progress.Estimate;
import app.hodegon.core.progress.Target;
import app.hodegon.core.shots.ShotFigure;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Units.Scale;
import app.hodegon.server.account.Account;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.lesson.Stage;
import app.hodegon.server.lesson.StoredLesson;
import app.hodegon.server.plan.PlanHead;
import app.hodegon.server.plan.Plans;
import app.hodegon.server.practice.PracticeLog;
import app.hodegon.server.progress.ChangeView.DistanceView;
import app.hodegon.server.progress.ThreadView.Knot;
import app.hodegon.server.progress.ThreadView.Point;
import app.hodegon.server.progress.ThreadView.Series;
import app.hodegon.server.progress.ThreadView.TargetView;
import app.hodegon.server.shots.ShotFiles;
import app.hodegon.server.shots.ShotSummary;
import app.hodegon.server.zone.Today;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** A student's last lessons as knots with the practice between as strands. */
@Service
class ThreadService {

    private final Today today;
    private static final Scale PER_CENT = new Scale(1, "%");

    private final Lessons lessons;
    private final Plans plans;
    private final PracticeLog practice;
    private final ShotFiles shots;
    private final ProgressService progress;
    private final BetweenService between;

    ThreadService(
            Lessons lessons,
            Plans plans,
            PracticeLog practice,
            ShotFiles shots,
            ProgressService progress,
            BetweenService between,
            Today today) {
        this.today = today;
        this.lessons = lessons;
        this.plans = plans;
        this.practice = practice;
        this.shots = shots;
        this.progress = progress;
        this.between = between;
    }

    ThreadView thread(Account coach, UUID studentId, int last, Reader reader) {
        Said said = progress.said(coach, studentId, reader);
        List<StoredLesson> shown = lessons.last(studentId, last);
        List<UUID> ids = shown.stream().map(StoredLesson::id).toList();
        List<PlanHead> heads = plans.heads(ids);
        var days = practice.days(heads.stream().map(PlanHead::id).toList());
        Map<UUID, List<ShotSummary>> measured =
                shots.summaries(ids).stream().collect(Collectors.groupingBy(ShotSummary::lesson));
        Set<BallResult> turnedUp = shown.stream()
                .flatMap(l -> Stream.of(l.before(), l.after()))
                .flatMap(seen -> seen.shots().counts().keySet().stream())
                .collect(Collectors.toSet());
        LocalDate now = today.ofStudent(studentId);
        Book book = new Book(turnedUp, said);
        List<Knot> knots = new ArrayList<>();
        for (int i = 0; i < shown.size(); i++) {
            StoredLesson lesson = shown.get(i);
            Optional<LocalDate> next =
                    i + 1 < shown.size() ? Optional.of(shown.get(i + 1).heldOn()) : Optional.empty();
            Optional<PlanHead> plan = PlanHead.of(lesson.id(), heads);
            List<ShotSummary> balls = measured.getOrDefault(lesson.id(), List.of());
            PressureSchool school = lesson.approach().school();
            knots.add(new Knot(
                    lesson.id(),
                    lesson.heldOn(),
                    lesson.focus().stream().map(f -> f.id()).toList(),
                    book.points(lesson.before(), of(balls, Stage.BEFORE), school),
                    book.points(lesson.after(), of(balls, Stage.AFTER), school),
                    plan.map(PlanHead::nextLesson).orElse(null),
                    plan.map(p -> progress.done(p, next.orElse(p.nextLesson()), days, now))
                            .orElse(null)));
        }
        List<Series> inOrder = book.series.values().stream()
                .sorted(Comparator.comparingInt(ThreadService::rank))
                .toList();
        return new ThreadView(inOrder, knots, between(studentId, shown, said), lessons.count(studentId));
    }

    /** Since the first lesson shown; all there is before there was one. */
    private List<BetweenView> between(UUID student, List<StoredLesson> shown, Said said) {
        DrillLibrary library = plans.library(student);
        return between
                .since(student, shown.isEmpty() ? LocalDate.EPOCH : shown.get(0).heldOn(), shown)
                .stream()
                .map(series -> BetweenView.of(series, library, said))
                .toList();
    }

    /** Tallies, then readings, then measured balls. */
    private static int rank(Series series) {
        if (series.id().contains(":")) return 0;
        return series.tries().equals(ChangeView.SWINGS) ? 1 : 2;
    }

    private static List<ShotSummary> of(List<ShotSummary> balls, Stage stage) {
        return balls.stream().filter(b -> b.stage() == stage).toList();
    }

    /** The series of some lessons, found while their points are read. */
    private static final class Book {

        private final Map<String, Series> series = new LinkedHashMap<>();
        private final Set<BallResult> turnedUp;
        private final Said said;

        /**
         * @param turnedUp results that are part of the story: one that never turned up is none, of one that did the zeros
         *     belong to it
         */
        Book(Set<BallResult> turnedUp, Said said) {
            this.turnedUp = turnedUp;
            this.said = said;
        }

        Map<String, Point> points(Observations seen, List<ShotSummary> measured, PressureSchool school) {
            Map<String, Point> points = new HashMap<>();
            for (BallResult result : BallResult.values()) {
                int balls = seen.shots().total(result.kind());
                if (balls == 0 || Aim.of(result).isEmpty() || !turnedUp.contains(result)) continue;
                int hits = seen.shots().of(result);
                String id = result.kind().id() + ":" + result.id();
                String better = Aim.of(result).orElseThrow().id();
                series.putIfAbsent(id, new Series(id, "Balls: " + result.label(), "%", ChangeView.BALLS, better, null));
                points.put(id, point(Estimate.of(new Count(hits, balls)), balls, Optional.empty(), PER_CENT));
            }
            for (Reading reading : seen.readings()) {
                String id = Said.series(reading);
                Optional<Target> target = Target.of(reading, school);
                Scale scale = said.scale(reading);
                Estimate.of(reading, said.repeatability()).ifPresent(estimate -> {
                    series.put(
                            id,
                            new Series(
                                    id,
                                    said.label(reading) + " ("
                                            + reading.source().id() + ")",
                                    scale.unit(),
                                    ChangeView.SWINGS,
                                    null,
                                    target.map(t -> TargetView.of(t, scale)).orElse(null)));
                    points.put(id, point(estimate, reading.swings(), target, scale));
                });
            }
            for (ShotSummary one : measured) {
                String id = one.figure().id() + "/" + one.club();
                Scale scale = said.units().of(one.figure().unit());
                String better = one.figure() == ShotFigure.OFFLINE ? null : Better.HIGHER.id();
                series.putIfAbsent(
                        id,
                        new Series(
                                id,
                                Said.label(one.figure(), one.club()),
                                scale.unit(),
                                ChangeView.BALLS,
                                better,
                                null));
                points.put(
                        id,
                        point(
                                Estimate.ofMean(one.mean(), one.deviation(), one.balls()),
                                one.balls(),
                                Optional.empty(),
                                scale));
            }
            return points;
        }
    }

    private static Point point(Estimate estimate, int of, Optional<Target> target, Scale scale) {
        return new Point(
                scale.factor() * estimate.value(),
                scale.factor() * estimate.low(),
                scale.factor() * estimate.high(),
                of,
                target.map(t -> DistanceView.of(Distance.of(estimate, t), scale))
                        .orElse(null));
    }
}
