package app.hodegon.core.swing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.hodegon.core.swing.BallResult.Kind;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class SwingTest {

    @Test
    void leadAndTrailAreSaidOnTheStudentsOwnSides() {
        String text = "{Trail} foot turns {away}, {lead} heel light, {trail} knee in, {Lead} arm level";
        assertThat(Handedness.RIGHT.say(text))
                .isEqualTo("Right foot turns clockwise, left heel light, right knee in, Left arm level");
        assertThat(Handedness.LEFT.say(text))
                .isEqualTo("Left foot turns anticlockwise, right heel light, left knee in, Right arm level");
    }

    @ParameterizedTest
    @EnumSource(Checkpoint.class)
    void identifiersLeadBack(Checkpoint checkpoint) {
        assertThat(Identified.of(Checkpoint.class, checkpoint.id())).isSameAs(checkpoint);
        assertThat(checkpoint.brief().length())
                .isLessThanOrEqualTo(checkpoint.label().length());
    }

    @Test
    void unknownIdentifiersNameWhatIsAccepted() {
        assertThatThrownBy(() -> Identified.of(Checkpoint.class, "apex"))
                .isInstanceOf(UnknownIdException.class)
                .hasMessageContaining("checkpoint")
                .hasMessageContaining("\"apex\"")
                .hasMessageContaining("arm-down");
        assertThatThrownBy(() -> Identified.of(Source.class, "x".repeat(5000)))
                .satisfies(e -> assertThat(e.getMessage().length()).isLessThan(300));
        assertThatThrownBy(() -> Identified.of(Source.class, null)).isInstanceOf(UnknownIdException.class);
    }

    @ParameterizedTest
    @CsvSource({
        "trail-share, top, 101, plate, 3, between 0 and 100",
        "trail-share, top, -1, plate, 3, between 0 and 100",
        "trail-share, top, NaN, plate, 3, between",
        "trail-share, , 50, plate, 3, needs a checkpoint",
        "peak-trail-share, top, 50, plate, 3, leave the checkpoint",
        "trail-share, top, 50, plate, 0, swings",
        "pelvis-drift, top, 5, plate, 3, accepted sources",
        "recentre-lead, , 50, felt, 3, accepted sources"
    })
    void readingsThatCannotBeAreRefused(
            String measure, String at, double value, String source, int swings, String because) {
        assertThatThrownBy(() -> new Reading(
                        Identified.of(Measure.class, measure),
                        Optional.ofNullable(at).map(a -> Identified.of(Checkpoint.class, a)),
                        value,
                        Identified.of(Source.class, source),
                        swings))
                .hasMessageContaining(because);
    }

    @Test
    void harderSourcesRepeatBetterAndMisreadLess() {
        double felt =
                Repeatability.ASSUMED.sem(Measure.TRAIL_SHARE, Source.FELT).orElseThrow();
        double plate =
                Repeatability.ASSUMED.sem(Measure.TRAIL_SHARE, Source.PLATE).orElseThrow();
        assertThat(plate).isLessThan(felt);
        assertThat(Source.PLATE.chanceOfMisreading()).isLessThan(Source.FELT.chanceOfMisreading());
        assertThat(Repeatability.sources(Quantity.TRAVEL)).containsExactly(Source.SEEN, Source.CLIP);
        assertThat(Repeatability.sources(Quantity.DISTANCE)).isEmpty();
    }

    @Test
    void aCoachPutsInTheirOwnRepeatability() {
        Repeatability own = Repeatability.ASSUMED.with(Quantity.SHARE, Source.SEEN, 6);
        assertThat(own.sem(Measure.TRAIL_SHARE, Source.SEEN)).hasValue(6);
        assertThat(own.sem(Measure.TRAIL_SHARE, Source.PLATE)).hasValue(2.5);
        assertThat(Repeatability.ASSUMED.sem(Measure.TRAIL_SHARE, Source.SEEN)).hasValue(8);
        assertThatThrownBy(() -> own.with(Quantity.SHARE, Source.SEEN, 0))
                .hasMessageContaining("between 1.6 and 40.0 %");
        assertThatThrownBy(() -> own.with(Quantity.SHARE, Source.SEEN, Double.NaN))
                .hasMessageContaining("between");
        assertThatThrownBy(() -> own.with(Quantity.TRAVEL, Source.PLATE, 1)).hasMessageContaining("no source");
    }

    @Test
    void aThinStrikeIsNoThinDivot() {
        assertThat(BallResult.of(Kind.STRIKE, "thin")).isNotEqualTo(BallResult.of(Kind.DIVOT, "thin"));
        assertThatThrownBy(() -> BallResult.of(Kind.FLIGHT, "thin")).hasMessageContaining("slice");
    }

    @Test
    void talliesCountPerKindAndRefuseNonsense() {
        Tally tally =
                new Tally(Map.of(BallResult.SLICE, 3, BallResult.STRAIGHT, 2, BallResult.FAT, 1, BallResult.DRAW, 0));
        assertThat(tally.total(Kind.FLIGHT)).isEqualTo(5);
        assertThat(tally.total(Kind.STRIKE)).isEqualTo(1);
        assertThat(tally.total(Kind.DIVOT)).isZero();
        assertThat(tally.counts()).doesNotContainKey(BallResult.DRAW);
        assertThatThrownBy(() -> new Tally(Map.of(BallResult.FAT, -1))).hasMessageContaining("fat");
        assertThatThrownBy(() -> new Tally(Map.of(BallResult.FAT, 501))).hasMessageContaining("500");
    }

    @Test
    void lengthsAndSpeedsAreSaidInAPersonsUnits() {
        assertThat(Units.METRIC.of("cm")).isEqualTo(new Units.Scale(1, "cm"));
        assertThat(Units.IMPERIAL.of("cm").factor() * 2.54).isCloseTo(1, within(1e-12));
        assertThat(Units.IMPERIAL.of("m").factor() * 91.44).isCloseTo(100, within(1e-9));
        assertThat(Units.IMPERIAL.of("m/s").factor() * 44.704).isCloseTo(100, within(1e-9));
        assertThat(Units.IMPERIAL.of("%")).isEqualTo(new Units.Scale(1, "%"));
    }
}
