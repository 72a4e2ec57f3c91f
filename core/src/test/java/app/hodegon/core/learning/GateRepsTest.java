package app.hodegon.core.learning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Rung;
import java.util.Random;
import org.junit.jupiter.api.Test;

class GateRepsTest {

    private static final double LEVEL = 44;

    /** What one student did towards the first gate. */
    private record Done(double reps, boolean through) {
        GateReps told(GateReps before) {
            return before.after(LEVEL, Rung.FEEL, reps, through);
        }
    }

    /** A student who needs so many times the assumed reps and is looked at after some days. */
    private static Done student(double needs, Random random) {
        Learner learner = Learner.anybody(RepsNeeded.assumed(needs * LEVEL), random);
        int days = 4 + random.nextInt(12);
        Circumstances plain = Circumstances.plain(false);
        double aDay = Skill.spaced(Rung.FEEL, 0, 35, plain);
        boolean good = false;
        for (int day = 1; day <= days; day++) {
            learner.learn(Fault.SWAY, Rung.FEEL, 25, plain);
            int count = 0;
            for (boolean rep : learner.practise(Fault.SWAY, Rung.FEEL, 10, plain)) if (rep) count++;
            if (good && count >= 8) return new Done(aDay * day, true);
            good = count >= 8;
            learner.wakeUp();
        }
        return new Done(aDay * days, false);
    }

    private static GateReps house(int students, double needs, Random random) {
        GateReps learnt = GateReps.ASSUMED;
        for (int i = 0; i < students; i++) learnt = student(needs, random).told(learnt);
        return learnt;
    }

    @Test
    void fewStudentsHardlyMoveItAndManyBringItToTheTruth() {
        assertThat(GateReps.ASSUMED.mean()).isCloseTo(1, within(1e-9));
        assertThat(house(3, 2.5, new Random(4)).mean()).isBetween(0.9, 1.5);
        assertThat(house(1500, 1, new Random(4)).mean()).isBetween(0.8, 1.25);
        assertThat(house(1500, 2.5, new Random(4)).mean()).isBetween(2.0, 3.0);
    }

    @Test
    void itsIntervalHoldsTheTruthAboutNineteenTimesInTwenty() {
        int held = 0;
        for (int house = 0; house < 200; house++) {
            Random random = new Random(house);
            double needs = Math.exp(0.5 * random.nextGaussian());
            GateReps learnt = house(60, needs, random);
            if (learnt.low() <= needs && learnt.high() >= needs) held++;
        }
        assertThat(held).isGreaterThan(182);
    }

    @Test
    void whereAHouseDiffersItForetellsTheNextGateBetterThanTheAssumption() {
        Random random = new Random(9);
        GateReps learnt = house(150, 2.5, random);
        double gain = 0;
        for (int next = 0; next < 500; next++) {
            Done done = student(2.5, random);
            gain += learnt.logScore(LEVEL, Rung.FEEL, done.reps(), done.through())
                    - GateReps.ASSUMED.logScore(LEVEL, Rung.FEEL, done.reps(), done.through());
        }
        assertThat(gain / 500).isGreaterThan(0.02);
    }

    @Test
    void whoLearnsSlowlyNeedsMore() {
        assertThat(GateReps.half(62, Rung.FEEL)).isGreaterThan(GateReps.half(26, Rung.FEEL));
        for (Rung rung : Rung.values()) {
            if (rung.gated()) assertThat(GateReps.half(44, rung)).isBetween(70.0, 1400.0);
        }
    }
}
