package app.hodegon.core.progress;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Observations;
import app.hodegon.core.progress.Comparison.Count;
import app.hodegon.core.shots.Shot;
import app.hodegon.core.shots.ShotFigure;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Repeatability;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Two measuring moments compared: every tally, reading and run of measured balls that both hold. */
public final class Changes {

    /** What was seen at one moment of a lesson. */
    public record Moment(Observations seen, List<Shot> shots) {}

    /** The same measure at the same checkpoint, read by two sources: never set against each other. */
    public record TwoSources(Reading then, Reading now) {}

    /** Fewer points of a ball share nobody practises for. */
    private static final double WORTH_BALLS = 0.15;

    private final Moment then;
    private final Moment now;
    private final PressureSchool school;
    private final Concern concern;
    private final Repeatability repeatability;
    private final List<Change> weighed;
    private final List<Change> list;
    private final Set<Object> surelyWorse;

    /**
     * @param school in which direction an improvement lies
     * @param concern what tells of the faults worked on
     */
    public Changes(Moment then, Moment now, PressureSchool school, Concern concern, Repeatability repeatability) {
        this.then = then;
        this.now = now;
        this.school = school;
        this.concern = concern;
        this.repeatability = repeatability;
        weighed = weighed(Comparison.CONFIDENCE);
        list = Stream.concat(weighed.stream(), samples()).toList();
        double strict = 1 - (1 - Comparison.CONFIDENCE) / Math.max(1, weighed.size());
        surelyWorse = weighed(strict).stream()
                .filter(c -> c.verdict() == Verdict.WORSE)
                .map(Change::subject)
                .collect(Collectors.toSet());
    }

    /** With their 95 % intervals: tallies, readings, measured balls. */
    public List<Change> list() {
        return list;
    }

    /** How many tallies and readings were compared: measured balls decide nothing. */
    public int weighed() {
        return weighed.size();
    }

    /**
     * Subjects of the tallies and readings that are worse even though so many things were compared: each is held to its part of the 5 %
     * (Bonferroni 1936). A plan is not overturned for the one of many that chance makes look worse.
     */
    public Set<Object> surelyWorse() {
        return surelyWorse;
    }

    private List<Change> weighed(double confidence) {
        return Stream.concat(
                        Arrays.stream(BallResult.values()).flatMap(r -> tally(r, confidence).stream()),
                        then.seen().readings().stream().flatMap(r -> reading(r, confidence).stream()))
                .toList();
    }

    private Optional<Change> tally(BallResult result, double confidence) {
        int ofThen = then.seen().shots().total(result.kind());
        int ofNow = now.seen().shots().total(result.kind());
        int hitsThen = then.seen().shots().of(result);
        int hitsNow = now.seen().shots().of(result);
        if (ofThen == 0 || ofNow == 0 || hitsThen + hitsNow == 0) return Optional.empty();
        Count first = new Count(hitsThen, ofThen);
        Count second = new Count(hitsNow, ofNow);
        return Aim.of(result)
                .map(aim -> new Change.OfBalls(
                        result,
                        first,
                        second,
                        Comparison.ofCounts(first, second, aim, confidence).weighing(WORTH_BALLS),
                        concern.with(result)));
    }

    private Optional<Change> reading(Reading first, double confidence) {
        if (repeatability.sem(first).isEmpty()) return Optional.empty();
        return same(first).flatMap(second -> Aim.of(first, school).map(aim -> reading(first, second, aim, confidence)));
    }

    private Change reading(Reading first, Reading second, Better aim, double confidence) {
        Optional<Target> target = Target.of(second, school);
        Optional<Reading> mirrored = target.filter(t -> t.beyond(first.value()) * t.beyond(second.value()) < 0)
                .map(t -> second.at(t.mirrored(second.value())));
        UnaryOperator<Comparison> weighed =
                c -> target.flatMap(Target::worth).map(c::weighing).orElse(c);
        Comparison change = weighed.apply(Comparison.ofReadings(first, second, aim, repeatability, confidence));
        return new Change.OfReading(
                first,
                second,
                mirrored.map(m -> change.judgedBy(
                                weighed.apply(Comparison.ofReadings(first, m, aim, repeatability, confidence))))
                        .orElse(change),
                concern.with(first),
                mirrored.isPresent(),
                target.flatMap(t -> Estimate.of(second, repeatability).map(e -> Distance.of(e, t))));
    }

    private Optional<Reading> same(Reading first) {
        return at(first).filter(r -> r.source() == first.source()).findFirst();
    }

    private Stream<Reading> at(Reading first) {
        return now.seen().readings().stream().filter(r -> r.measure() == first.measure() && r.at().equals(first.at()));
    }

    private Stream<Change> samples() {
        return then.shots().stream()
                .map(Shot::club)
                .distinct()
                .flatMap(club -> Arrays.stream(ShotFigure.values()).flatMap(f -> sample(club, f).stream()));
    }

    private Optional<Change> sample(String club, ShotFigure figure) {
        double[] first = values(then, club, figure);
        double[] second = values(now, club, figure);
        if (first.length < 2 || second.length < 2) return Optional.empty();
        Sample then = Sample.of(first);
        Sample now = Sample.of(second);
        boolean past = figure == ShotFigure.OFFLINE && then.mean() * now.mean() < 0;
        Better aim = figure != ShotFigure.OFFLINE || then.mean() < 0 ? Better.HIGHER : Better.LOWER;
        Comparison change = Comparison.ofSamples(first, second, aim);
        boolean scatters = figure == ShotFigure.CARRY || figure == ShotFigure.OFFLINE;
        return Optional.of(new Change.OfShots(
                club,
                figure,
                then,
                now,
                past ? change.judgedBy(Comparison.ofSamples(first, mirrored(second), aim)) : change,
                past,
                scatters && first.length >= 3 && second.length >= 3
                        ? Optional.of(Spread.compare(first, second))
                        : Optional.empty()));
    }

    /** The same balls on the other side of the line. */
    private static double[] mirrored(double[] values) {
        return Arrays.stream(values).map(v -> -v).toArray();
    }

    private static double[] values(Moment moment, String club, ShotFigure figure) {
        return moment.shots().stream()
                .filter(s -> s.club().equals(club))
                .flatMapToDouble(s -> s.figure(figure).stream())
                .toArray();
    }

    /** What was read at both moments, but by different sources. */
    public List<TwoSources> notCompared() {
        List<TwoSources> pairs = new ArrayList<>();
        for (Reading first : then.seen().readings()) {
            if (same(first).isEmpty()) at(first).findFirst().ifPresent(r -> pairs.add(new TwoSources(first, r)));
        }
        return List.copyOf(pairs);
    }
}
