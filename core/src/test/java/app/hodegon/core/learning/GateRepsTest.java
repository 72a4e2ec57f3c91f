package app.hodegon.core.learning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.hodegon.core.drill.Rung;
import java.util.Random;
import org.junit.jupiter.api.Test;

class GateRepsTest {

    /** Students who need so many times the assumed reps; a third of them are still on the way. */
    private static GateReps house(int students, double needs, Random random) {
        GateReps learnt = GateReps.ASSUMED;
        for (int i = 0; i < students; i++) {
            double wait = -needs * Math.log(random.nextDouble());
            double looked = random.nextInt(3) == 0 ? needs / 2 : 10 * needs;
            learnt = learnt.after(Math.min(wait, looked), wait <= looked);
        }
        return learnt;
    }

    @Test
    void fewStudentsHardlyMoveItAndManyBringItToTheTruth() {
        assertThat(GateReps.ASSUMED.mean()).isEqualTo(1);
        assertThat(house(3, 2, new Random(4)).mean()).isBetween(0.9, 1.4);
        assertThat(house(2000, 2, new Random(4)).mean()).isCloseTo(2, within(0.15));
    }

    @Test
    void itsIntervalHoldsTheTruthAboutNineteenTimesInTwenty() {
        int held = 0;
        for (int house = 0; house < 300; house++) {
            GateReps learnt = house(60, 1.2, new Random(house));
            if (learnt.low() <= 1.2 && learnt.high() >= 1.2) held++;
        }
        assertThat(held).isGreaterThan(270);
    }

    @Test
    void whereAHouseDiffersItForetellsTheNextGateBetterThanTheAssumption() {
        Random random = new Random(9);
        GateReps learnt = house(80, 2, random);
        double gain = 0;
        for (int next = 0; next < 500; next++) {
            double wait = -2 * Math.log(random.nextDouble());
            gain += learnt.logScore(wait, true) - GateReps.ASSUMED.logScore(wait, true);
        }
        assertThat(gain / 500).isGreaterThan(0.05);
    }

    @Test
    void moreIsAssumedOfAHigherRungAndOfWhoLearnsSlowly() {
        assertThat(GateReps.assumed(62, Rung.FEEL)).isGreaterThan(GateReps.assumed(26, Rung.FEEL));
        assertThat(GateReps.assumed(44, Rung.FULL)).isGreaterThan(35);
    }
}
