package app.hodegon.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Observations;
import app.hodegon.core.progress.Changes.Moment;
import app.hodegon.core.progress.Comparison.Count;
import app.hodegon.core.progress.Evidence.Told;
import app.hodegon.core.shots.Shot;
import app.hodegon.core.shots.ShotFigure;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Repeatability;
import app.hodegon.core.swing.Source;
import app.hodegon.core.swing.Tally;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class ChangesTest {

    private static final Concern SWAY = Concern.of(List.of(Fault.SWAY));

    private static Moment moment(Map<BallResult, Integer> balls, Reading... readings) {
        return new Moment(new Observations(Map.of(), List.of(readings), new Tally(balls)), List.of());
    }

    private static Moment hit(double... carries) {
        return new Moment(
                new Observations(Map.of(), List.of(), Tally.EMPTY),
                Arrays.stream(carries)
                        .mapToObj(carry -> new Shot(
                                "7 iron",
                                OptionalDouble.of(carry),
                                OptionalDouble.empty(),
                                OptionalDouble.empty(),
                                OptionalDouble.empty()))
                        .toList());
    }

    private static Reading drift(double value, Source source) {
        return new Reading(Measure.PELVIS_DRIFT, Optional.of(Checkpoint.TOP), value, source, 3);
    }

    private static Changes between(Moment then, Moment now) {
        return new Changes(then, now, PressureSchool.EARLY_RETURN, SWAY, Repeatability.ASSUMED);
    }

    @Test
    void holdsWhatBothMomentsHold() {
        Changes changes = between(
                moment(
                        Map.of(BallResult.SLICE, 6, BallResult.STRAIGHT, 4, BallResult.FAT, 1, BallResult.SOLID, 9),
                        drift(9, Source.CLIP)),
                moment(Map.of(BallResult.SLICE, 1, BallResult.STRAIGHT, 9), drift(4, Source.CLIP)));
        assertThat(changes.list()).extracting(Change::verdict).containsOnly(Verdict.BETTER);
        assertThat(changes.list()).extracting(Change::subject).hasSize(3).contains(BallResult.SLICE);
        Change.OfReading drift = changes.list().stream()
                .filter(Change.OfReading.class::isInstance)
                .map(Change.OfReading.class::cast)
                .findFirst()
                .orElseThrow();
        assertThat(drift.distance().orElseThrow().value())
                .as("up to 5 cm are wanted")
                .isZero();
        assertThat(drift.concerns()).isTrue();
        Change.OfBalls slice = (Change.OfBalls) changes.list().get(1);
        assertThat(slice.then()).isEqualTo(new Count(6, 10));
    }

    @Test
    void twoSourcesAreNamedAndNotCompared() {
        Changes changes = between(moment(Map.of(), drift(9, Source.SEEN)), moment(Map.of(), drift(4, Source.CLIP)));
        assertThat(changes.list()).isEmpty();
        assertThat(changes.notCompared())
                .containsExactly(new Changes.TwoSources(drift(9, Source.SEEN), drift(4, Source.CLIP)));
    }

    @Test
    void measuredBallsOfOneClubAreComparedAndConcernNothing() {
        Changes changes = between(hit(120, 124, 131, 119, 127), hit(141, 139, 142, 140, 138));
        Change.OfShots carry = (Change.OfShots) changes.list().get(0);
        assertThat(carry.figure()).isEqualTo(ShotFigure.CARRY);
        assertThat(carry.verdict()).isEqualTo(Verdict.BETTER);
        assertThat(carry.then().median()).isEqualTo(124);
        assertThat(carry.spread()).isPresent();
        assertThat(carry.concerns()).isFalse();
        assertThat(between(hit(120), hit(140, 141)).list())
                .as("one ball is no sample")
                .isEmpty();
    }

    /** 5 of 20 and 12 of 20: told alone, not told among several. */
    @Test
    void worseAmongManyIsNotToldYet() {
        Changes changes = between(
                moment(Map.of(BallResult.SLICE, 5, BallResult.STRAIGHT, 15), drift(6, Source.CLIP)),
                moment(Map.of(BallResult.SLICE, 12, BallResult.STRAIGHT, 8), drift(6, Source.CLIP)));
        assertThat(changes.surelyWorse()).isEmpty();
        List<Told> told = Evidence.told(changes, List.of(), c -> c.subject().toString());
        assertThat(told).hasSize(2).allMatch(t -> t.kept().equals(Optional.of(Verdict.CANNOT_TELL)));
    }

    @Test
    void aResultThatWasNotThereAndSurelyIsNowIsNew() {
        Changes changes = between(
                moment(Map.of(BallResult.STRAIGHT, 20)), moment(Map.of(BallResult.STRAIGHT, 6, BallResult.HOOK, 14)));
        assertThat(Evidence.fresh(changes)).containsExactly(BallResult.HOOK);
        Changes few = between(
                moment(Map.of(BallResult.STRAIGHT, 10)), moment(Map.of(BallResult.STRAIGHT, 8, BallResult.HOOK, 2)));
        assertThat(Evidence.fresh(few)).isEmpty();
    }

    @Test
    void theGainBelongsToTheSameThing() {
        Moment first = moment(Map.of(BallResult.SLICE, 9, BallResult.STRAIGHT, 1));
        Moment end = moment(Map.of(BallResult.SLICE, 1, BallResult.STRAIGHT, 9));
        List<Told> told = Evidence.told(
                between(first, first),
                between(first, end).list(),
                c -> c.subject().toString());
        assertThat(told)
                .containsExactly(new Told("SLICE", Optional.of(Verdict.BETTER), Optional.of(Verdict.CANNOT_TELL)));
    }

    private static Change only(Changes changes) {
        assertThat(changes.list()).hasSize(1);
        return changes.list().get(0);
    }

    /** The early school wants 40 to 60 % under the trail foot at the top. */
    @Test
    void pastTheTargetIsNoImprovementByItsSize() {
        Change back = only(between(moment(Map.of(), share(75)), moment(Map.of(), share(52))));
        assertThat(back.past()).isFalse();
        assertThat(back.verdict()).isEqualTo(Verdict.BETTER);
        Change past = only(between(moment(Map.of(), share(75)), moment(Map.of(), share(15))));
        assertThat(past.past()).isTrue();
        assertThat(past.verdict()).as("25 below is worse than 15 above").isEqualTo(Verdict.WORSE);
        assertThat(past.comparison().difference()).isEqualTo(-60);
        Change alike = only(between(moment(Map.of(), share(75)), moment(Map.of(), share(25))));
        assertThat(alike.verdict()).isEqualTo(Verdict.NO_CHANGE);
        assertThat(Saying.past("75 %", "25 %", alike.comparison())).contains("other side", "as far from it as before");
    }

    private static Reading share(double value) {
        return new Reading(Measure.TRAIL_SHARE, Optional.of(Checkpoint.TOP), value, Source.PLATE, 3);
    }

    @Test
    void aMissAsFarToTheOtherSideIsNoBetter() {
        Change.OfShots across = (Change.OfShots) only(between(missed(9, 11, 8, 10), missed(-9, -8, -11, -10)));
        assertThat(across.past()).isTrue();
        assertThat(across.verdict()).isEqualTo(Verdict.CANNOT_TELL);
        assertThat(only(between(missed(9, 11, 8, 10), missed(-1, 1, -2, 1))).verdict())
                .isEqualTo(Verdict.BETTER);
        assertThat(only(between(missed(-9, -11, -8, -10), missed(-1, 1, -2, 1))).verdict())
                .isEqualTo(Verdict.BETTER);
        assertThat(only(between(missed(1, 3, 2, 2), missed(-9, -8, -11, -10))).verdict())
                .isEqualTo(Verdict.WORSE);
    }

    private static Moment missed(double... metres) {
        return new Moment(
                new Observations(Map.of(), List.of(), Tally.EMPTY),
                Arrays.stream(metres)
                        .mapToObj(miss -> new Shot(
                                "",
                                OptionalDouble.empty(),
                                OptionalDouble.of(miss),
                                OptionalDouble.empty(),
                                OptionalDouble.empty()))
                        .toList());
    }
}
