package app.hodegon.server.progress;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Observations;
import app.hodegon.core.progress.Aim;
import app.hodegon.core.progress.Better;
import app.hodegon.core.progress.Comparison;
import app.hodegon.core.progress.Comparison.Count;
import app.hodegon.core.progress.Concern;
import app.hodegon.core.progress.Distance;
import app.hodegon.core.progress.Estimate;
import app.hodegon.core.progress.Sample;
import app.hodegon.core.progress.Saying;
import app.hodegon.core.progress.Spread;
import app.hodegon.core.progress.Target;
import app.hodegon.core.progress.Verdict;
import app.hodegon.core.shots.Shot;
import app.hodegon.core.shots.ShotFigure;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Units.Scale;
import app.hodegon.server.progress.ProgressView.Change;
import app.hodegon.server.progress.ProgressView.DistanceView;
import app.hodegon.server.progress.ProgressView.SpreadView;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Two measuring moments compared: every tally, reading and run of measured balls that both hold. */
final class Changes {

    /** What was seen at one moment of a lesson. */
    record Moment(Observations seen, List<Shot> shots) {}

    static final String BALLS = "balls";
    static final String SWINGS = "swings";

    private final Moment then;
    private final Moment now;
    private final PressureSchool school;
    private final Concern concern;
    private final Said said;
    private final double confidence;

    /**
     * @param school in which direction an improvement lies
     * @param concern what tells of the faults worked on
     */
    Changes(Moment then, Moment now, PressureSchool school, Concern concern, Said said) {
        this(then, now, school, concern, said, Comparison.CONFIDENCE);
    }

    private Changes(Moment then, Moment now, PressureSchool school, Concern concern, Said said, double confidence) {
        this.then = then;
        this.now = now;
        this.school = school;
        this.concern = concern;
        this.said = said;
        this.confidence = confidence;
    }

    /**
     * Ids of what is worse even though so many things were compared: each is held to its part of the 5 % (Bonferroni
     * 1936). A plan is not overturned for the one of many that chance makes look worse.
     */
    Set<String> surelyWorse() {
        double strict = 1 - (1 - Comparison.CONFIDENCE) / Math.max(1, list().size());
        return new Changes(then, now, school, concern, said, strict)
                .list().stream()
                        .filter(c -> c.verdict() == Verdict.WORSE)
                        .map(Change::id)
                        .collect(Collectors.toSet());
    }

    List<Change> list() {
        return Stream.of(tallies(), readings(), samples()).flatMap(s -> s).toList();
    }

    private Stream<Change> tallies() {
        return Arrays.stream(BallResult.values()).flatMap(result -> tally(result).stream());
    }

    private Optional<Change> tally(BallResult result) {
        int ofThen = then.seen().shots().total(result.kind());
        int ofNow = now.seen().shots().total(result.kind());
        int hitsThen = then.seen().shots().of(result);
        int hitsNow = now.seen().shots().of(result);
        if (ofThen == 0 || ofNow == 0 || hitsThen + hitsNow == 0) return Optional.empty();
        return Aim.of(result).map(aim -> {
            Comparison change =
                    Comparison.ofCounts(new Count(hitsThen, ofThen), new Count(hitsNow, ofNow), aim, confidence);
            String thenSaid = hitsThen + " of " + ofThen;
            String nowSaid = hitsNow + " of " + ofNow;
            return new Change(
                    result.kind().id() + ":" + result.id(),
                    result.label(),
                    BALLS,
                    BALLS,
                    thenSaid,
                    nowSaid,
                    concern.with(result),
                    null,
                    null,
                    ComparisonView.of(change),
                    null,
                    null,
                    Saying.of(thenSaid, nowSaid, change, BALLS));
        });
    }

    private Stream<Change> readings() {
        return then.seen().readings().stream()
                .flatMap(first -> same(first).flatMap(second -> change(first, second)).stream());
    }

    /** The reading of the same measure, moment and source: two sources are never set against each other. */
    private Optional<Reading> same(Reading first) {
        return now.seen().readings().stream()
                .filter(r ->
                        r.measure() == first.measure() && r.at().equals(first.at()) && r.source() == first.source())
                .findFirst();
    }

    private Optional<Change> change(Reading first, Reading second) {
        if (said.repeatability().sem(first.measure(), first.source()).isEmpty()) return Optional.empty();
        return Aim.of(first, school).map(aim -> {
            Comparison change = Comparison.ofReadings(first, second, aim, said.repeatability(), confidence);
            Optional<Distance> distance = Target.of(second, school)
                    .flatMap(target -> Estimate.of(second, said.repeatability()).map(e -> Distance.of(e, target)));
            Scale scale = said.scale(first);
            return new Change(
                    Said.series(first),
                    said.label(first),
                    scale.unit(),
                    SWINGS,
                    said.value(first),
                    said.value(second),
                    concern.with(first),
                    null,
                    null,
                    ComparisonView.of(change, scale),
                    distance.map(d -> DistanceView.of(d, scale)).orElse(null),
                    null,
                    Saying.of(said.value(first), said.value(second), change, SWINGS));
        });
    }

    private Stream<Change> samples() {
        return then.shots().stream()
                .map(Shot::club)
                .distinct()
                .flatMap(club -> Arrays.stream(ShotFigure.values()).flatMap(figure -> sample(club, figure).stream()));
    }

    private Optional<Change> sample(String club, ShotFigure figure) {
        double[] first = values(then, club, figure);
        double[] second = values(now, club, figure);
        if (first.length < 2 || second.length < 2) return Optional.empty();
        Comparison change = Comparison.ofSamples(first, second, aim(figure, first));
        boolean scatters = figure == ShotFigure.CARRY || figure == ShotFigure.OFFLINE;
        Optional<Spread> spread = scatters && first.length >= 3 && second.length >= 3
                ? Optional.of(Spread.compare(first, second))
                : Optional.empty();
        Scale scale = said.units().of(figure.unit());
        String thenSaid = said(first, scale);
        String nowSaid = said(second, scale);
        return Optional.of(new Change(
                figure.id() + "/" + club,
                figure.label() + (club.isEmpty() ? "" : ", " + club),
                scale.unit(),
                BALLS,
                thenSaid,
                nowSaid,
                false,
                null,
                null,
                ComparisonView.of(change, scale),
                null,
                spread.map(s -> SpreadView.of(s, scale)).orElse(null),
                Saying.of(thenSaid, nowSaid, change, BALLS)
                        + spread.map(s -> " " + Saying.of(s)).orElse("")));
    }

    /** Further and faster is better; a miss is better the nearer it is to the line. */
    private static Better aim(ShotFigure figure, double[] first) {
        if (figure != ShotFigure.OFFLINE) return Better.HIGHER;
        return Arrays.stream(first).sum() > 0 ? Better.LOWER : Better.HIGHER;
    }

    private static double[] values(Moment moment, String club, ShotFigure figure) {
        return moment.shots().stream()
                .filter(s -> s.club().equals(club))
                .flatMapToDouble(s -> s.figure(figure).stream())
                .toArray();
    }

    private static String said(double[] values, Scale scale) {
        Sample sample = Sample.of(values);
        return "%s %s (median %s, %d balls)"
                .formatted(
                        Said.number(scale.factor() * sample.mean()),
                        scale.unit(),
                        Said.number(scale.factor() * sample.median()),
                        sample.n());
    }

    /** What was read at both moments, but by different sources. */
    List<String> notCompared() {
        List<String> notes = new ArrayList<>();
        for (Reading first : then.seen().readings()) {
            if (same(first).isPresent()) continue;
            now.seen().readings().stream()
                    .filter(r -> r.measure() == first.measure() && r.at().equals(first.at()))
                    .findFirst()
                    .ifPresent(other -> notes.add("%s: %s then, %s now. Two sources are not compared."
                            .formatted(
                                    said.label(first),
                                    first.source().id(),
                                    other.source().id())));
        }
        return List.copyOf(notes);
    }
}
