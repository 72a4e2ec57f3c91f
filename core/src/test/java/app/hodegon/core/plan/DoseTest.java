package app.hodegon.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Form;
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

    private static Dose dose(Rung rung) {
        return new Dose(DISC, rung, Form.usual(rung), false);
    }

    @Test
    void fivesWithTwentySecondsWhileNew() {
        assertThat(dose(Rung.FEEL).main(HOUR, 70, true)).isEqualTo(new Sets(14, 5, 20, 0, 14 * (5 * 4 + 20)));
    }

    @Test
    void tensWithAMinuteLater() {
        assertThat(dose(Rung.REHEARSE).main(HOUR, 60, false)).isEqualTo(new Sets(6, 10, 60, 0, 6 * (10 * 8 + 60)));
    }

    /** 3:1 on short, 2:1 on build, 1:1 on full, 1:3 on transfer. */
    @ParameterizedTest
    @CsvSource({"SHORT, 4, 1, 8, 2", "BUILD, 3, 1, 9, 3", "FULL, 4, 2, 10, 5", "TRANSFER, 4, 3, 8, 6"})
    void ballRungsKeepTheirRhythm(Rung rung, int newReps, int newBalls, int laterReps, int laterBalls) {
        Sets isNew = dose(rung).main(HOUR, newReps, true);
        assertThat(isNew.repsPerSet()).isEqualTo(newReps);
        assertThat(isNew.strikes()).isEqualTo(newBalls);
        Sets later = dose(rung).main(HOUR, laterReps, false);
        assertThat(later.repsPerSet()).isEqualTo(laterReps);
        assertThat(later.strikes()).isEqualTo(laterBalls);
    }

    @Test
    void aRoundOfThreeRehearsalsAndABallTakesFiftyFourSecondsAndItsRest() {
        assertThat(dose(Rung.SHORT).main(HOUR, 4, true).seconds()).isEqualTo(3 * 8 + 30 + 20);
    }

    @Test
    void whatDoesNotFitIsNotSqueezedIn() {
        assertThat(dose(Rung.FEEL).main(39, 70, true).sets()).isZero();
        assertThat(dose(Rung.FEEL).main(40, 70, true).sets()).isEqualTo(1);
        assertThat(dose(Rung.FEEL).main(-10, 70, true).sets()).isZero();
        assertThat(dose(Rung.FEEL).main(60, 70, false))
                .as("a small set rather than none")
                .isEqualTo(new Sets(1, 5, 20, 0, 40));
    }

    @Test
    void aCheckIsTenScoredReps() {
        assertThat(dose(Rung.FEEL).check()).isEqualTo(new Sets(2, 5, 20, 0, 80));
        assertThat(dose(Rung.SHORT).check()).isEqualTo(new Sets(2, 5, 20, 10, 2 * (5 * 30 + 20)));
    }

    @ParameterizedTest
    @EnumSource(Rung.class)
    void noDayOverdoesARung(Rung rung) {
        assertThat(dose(rung).mostReps()).isLessThan(100);
        assertThat(Dose.wantedReps(Fault.SWAY, rung)).isPositive();
    }

    /** A brushed mark takes 10 s where a ball takes 30. */
    @Test
    void aLesserStrikeTakesLess() {
        Dose brush = new Dose(DISC, Rung.SHORT, Form.BRUSH, false);
        assertThat(brush.main(HOUR, 4, true).seconds()).isEqualTo(3 * 8 + 10 + 20);
        assertThat(brush.check().seconds()).isEqualTo(2 * (5 * 10 + 20));
    }

    @Test
    void aSetUpIsPutRightFiveTimesBeforeEachBall() {
        Dose setUp = new Dose(DrillLibrary.standard().drill("set-up-stick"), Rung.SHORT, Form.RANGE, true);
        Sets round = setUp.main(HOUR, 6, false);
        assertThat(round.repsPerSet()).isEqualTo(6);
        assertThat(round.strikes()).isEqualTo(1);
        assertThat(setUp.mostReps()).isLessThan(40);
    }
}
