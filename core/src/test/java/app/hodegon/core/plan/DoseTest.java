package app.hodegon.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Dose.Sets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Arithmetic a coach can check by hand. */
class DoseTest {

    private static final Drill DISC = DrillLibrary.standard().drill("disc-turn");
    private static final int HOUR = 3600;

    @Test
    void fivesWithTwentySecondsWhileNew() {
        assertThat(Dose.main(DISC, Rung.FEEL, HOUR, 70, true)).isEqualTo(new Sets(14, 5, 20, 0, 14 * (5 * 4 + 20)));
    }

    @Test
    void tensWithAMinuteLater() {
        assertThat(Dose.main(DISC, Rung.REHEARSE, HOUR, 60, false))
                .isEqualTo(new Sets(6, 10, 60, 0, 6 * (10 * 8 + 60)));
    }

    /** 3:1 on short, 2:1 on build, 1:1 on full, 1:3 on transfer. */
    @ParameterizedTest
    @CsvSource({"SHORT, 4, 1, 8, 2", "BUILD, 3, 1, 9, 3", "FULL, 4, 2, 10, 5", "TRANSFER, 4, 3, 8, 6"})
    void ballRungsKeepTheirRhythm(Rung rung, int newReps, int newBalls, int laterReps, int laterBalls) {
        Sets isNew = Dose.main(DISC, rung, HOUR, newReps, true);
        assertThat(isNew.repsPerSet()).isEqualTo(newReps);
        assertThat(isNew.balls()).isEqualTo(newBalls);
        Sets later = Dose.main(DISC, rung, HOUR, laterReps, false);
        assertThat(later.repsPerSet()).isEqualTo(laterReps);
        assertThat(later.balls()).isEqualTo(laterBalls);
    }

    @Test
    void aRoundOfThreeRehearsalsAndABallTakesFiftyFourSecondsAndItsRest() {
        assertThat(Dose.main(DISC, Rung.SHORT, HOUR, 4, true).seconds()).isEqualTo(3 * 8 + 30 + 20);
    }

    @Test
    void whatDoesNotFitIsNotSqueezedIn() {
        assertThat(Dose.main(DISC, Rung.FEEL, 39, 70, true).sets()).isZero();
        assertThat(Dose.main(DISC, Rung.FEEL, 40, 70, true).sets()).isEqualTo(1);
        assertThat(Dose.main(DISC, Rung.FEEL, -10, 70, true).sets()).isZero();
        assertThat(Dose.main(DISC, Rung.FEEL, 60, 70, false))
                .as("a small set rather than none")
                .isEqualTo(new Sets(1, 5, 20, 0, 40));
    }

    @Test
    void aCheckIsTenScoredReps() {
        assertThat(Dose.check(DISC, Rung.FEEL)).isEqualTo(new Sets(2, 5, 20, 0, 80));
        assertThat(Dose.check(DISC, Rung.SHORT)).isEqualTo(new Sets(2, 5, 20, 10, 2 * (5 * 30 + 20)));
    }

    @ParameterizedTest
    @EnumSource(Rung.class)
    void noDayOverdoesARung(Rung rung) {
        assertThat(Dose.mostReps(rung)).isLessThan(100);
        assertThat(Dose.wantedReps(rung)).isPositive();
    }
}
