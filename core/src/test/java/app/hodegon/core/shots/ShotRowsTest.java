package app.hodegon.core.shots;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.hodegon.core.shots.ShotColumns.Column;
import app.hodegon.core.shots.ShotRows.Broken;
import app.hodegon.core.swing.Handedness;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ShotRowsTest {

    private static final List<String> HEADING = List.of("No", "Club", "Carry [yd]", "Side", "Ball speed (mph)");

    private static ShotRows read(Handedness hand, String... rows) {
        return ShotRows.read(
                HEADING,
                List.of(rows).stream().map(r -> List.of(r.split(";", -1))).toList(),
                ShotColumns.guess(HEADING),
                hand);
    }

    @Test
    void guessesColumnsAndUnitsFromTheirNames() {
        ShotColumns guessed = ShotColumns.guess(HEADING);
        assertThat(guessed.club()).isEqualTo(OptionalInt.of(1));
        assertThat(guessed.figures())
                .containsOnly(
                        Map.entry(ShotFigure.CARRY, new Column(2, ShotUnit.YARDS)),
                        Map.entry(ShotFigure.OFFLINE, new Column(3, ShotUnit.METRES)),
                        Map.entry(ShotFigure.BALL_SPEED, new Column(4, ShotUnit.MILES_AN_HOUR)));
        assertThat(ShotColumns.guess(List.of("Club head speed km/h", "Side spin", "Launch angle side"))
                        .figures())
                .containsOnly(Map.entry(ShotFigure.CLUB_SPEED, new Column(0, ShotUnit.KILOMETRES_AN_HOUR)));
    }

    @Test
    void storesMetres() {
        Shot shot = read(Handedness.RIGHT, "1;7 iron;100;3.5;90").shots().get(0);
        assertThat(shot.club()).isEqualTo("7 iron");
        assertThat(shot.carry().orElseThrow()).isCloseTo(91.44, within(1e-9));
        assertThat(shot.ballSpeed().orElseThrow()).isCloseTo(40.2336, within(1e-9));
        assertThat(shot.clubSpeed()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "RIGHT, 5.2,    5.2",
        "LEFT,  5.2,    -5.2",
        "RIGHT, L 5.2,  -5.2",
        "LEFT,  5.2 left, 5.2",
        "RIGHT, '5,2R', 5.2",
        "RIGHT, −5.2,   -5.2",
        "LEFT,  0,      0",
        "RIGHT, L -5.2, -5.2",
        "RIGHT, 5.2 m, 5.2"
    })
    void aMissIsPlusToTheTrailHand(Handedness hand, String cell, double expected) {
        assertThat(read(hand, "1;;100;" + cell + ";90").shots().get(0).offline().orElseThrow())
                .isEqualTo(expected);
    }

    @Test
    void saysWhichRowsAreBrokenAndWhy() {
        ShotRows rows = read(
                Handedness.RIGHT, "1;7 iron;100;2;90", ";;;;", "2;7 iron;n/a;2;90", "3;x;900;2;90", "4;x;;;", "5;x");
        assertThat(rows.shots()).hasSize(1);
        assertThat(rows.broken())
                .extracting(Broken::row, Broken::column)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple(4, "Carry [yd]"),
                        org.assertj.core.groups.Tuple.tuple(5, "Carry [yd]"),
                        org.assertj.core.groups.Tuple.tuple(6, ""),
                        org.assertj.core.groups.Tuple.tuple(7, ""));
        assertThat(rows.broken().get(0).reason()).contains("\"n/a\" is no number");
        assertThat(rows.broken().get(1).reason()).isEqualTo("carry of 900.0 yd lies outside 0 to 437 yd");
    }

    @Test
    void refusesColumnsThatCannotBe() {
        assertThatThrownBy(() -> new ShotColumns(
                        Map.of(ShotFigure.CARRY, new Column(1, ShotUnit.MILES_AN_HOUR)), OptionalInt.empty(), true))
                .hasMessageContaining("cannot be in miles");
        ShotColumns beyond =
                new ShotColumns(Map.of(ShotFigure.CARRY, new Column(7, ShotUnit.METRES)), OptionalInt.empty(), true);
        assertThatThrownBy(() -> ShotRows.read(HEADING, List.of(), beyond, Handedness.RIGHT))
                .hasMessage("There is no column 8.");
        ShotColumns none = ShotColumns.guess(List.of("a", "b"));
        assertThatThrownBy(() -> ShotRows.read(HEADING, List.of(), none, Handedness.RIGHT))
                .hasMessageContaining("Say which column");
    }
}
