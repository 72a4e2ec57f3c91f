package app.hodegon.core.learning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Rung;
import java.util.Random;
import java.util.function.Function;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** The assumptions of the learner, each by itself. */
class SkillTest {

    private static Skill after(int days, int repsADay, boolean external) {
        Skill skill = Skill.typical(50);
        for (int day = 0; day < days; day++) {
            skill.practise(Fault.SWAY, Rung.FEEL, repsADay, Circumstances.plain(external));
            skill.sleep();
        }
        return skill;
    }

    @Test
    void learningSlowsDownAndSpreadingHelps() {
        double first = after(1, 30, false).learned(Fault.SWAY, Rung.FEEL);
        double second = after(2, 30, false).learned(Fault.SWAY, Rung.FEEL);
        double third = after(3, 30, false).learned(Fault.SWAY, Rung.FEEL);
        assertThat(second - first).isPositive().isLessThan(first);
        assertThat(third - second).isPositive().isLessThan(second - first);
        assertThat(after(1, 90, false).learned(Fault.SWAY, Rung.FEEL)).isLessThan(third);
    }

    @Test
    void outsideFeedbackHelpsEarlyAndNightsWithoutPracticeTakeALittle() {
        assertThat(after(1, 30, true).learned(Fault.SWAY, Rung.FEEL))
                .isGreaterThan(after(1, 30, false).learned(Fault.SWAY, Rung.FEEL));
        Skill idle = after(3, 30, false);
        double then = idle.learned(Fault.SWAY, Rung.FEEL);
        for (int night = 0; night < 7; night++) idle.sleep();
        assertThat(idle.learned(Fault.SWAY, Rung.FEEL)).isLessThan(then).isGreaterThan(0.8 * then);
    }

    @Test
    void aRungWithoutGroundIsLearnedSlowlyAndGroundCarriesOver() {
        Skill without = Skill.typical(50);
        without.practise(Fault.SWAY, Rung.REHEARSE, 60, Circumstances.plain(false));
        Skill with = after(4, 60, false);
        assertThat(with.chanceOfGood(Fault.SWAY, Rung.REHEARSE))
                .isGreaterThan(Skill.typical(50).chanceOfGood(Fault.SWAY, Rung.REHEARSE));
        with.practise(Fault.SWAY, Rung.REHEARSE, 60, Circumstances.plain(false));
        assertThat(with.learned(Fault.SWAY, Rung.REHEARSE))
                .isGreaterThan(1.5 * without.learned(Fault.SWAY, Rung.REHEARSE));
        assertThat(with.learned(Fault.TOE_FALL, Rung.FEEL)).isZero();
    }

    @Test
    void aGatesChanceRisesAndIsBluntedByForm() {
        GateChance gate = new GateChance(8, 10);
        for (int i = 1; i < 100; i++) assertThat(gate.at(i / 100.0)).isGreaterThanOrEqualTo(gate.at((i - 1) / 100.0));
        // Without the spread of form 8 of 10 at 0.9 is 0.930 (any table of the binomial).
        assertThat(gate.at(0.9)).isBetween(0.8, 0.93);
        assertThat(gate.at(0.35)).isLessThan(0.05);
    }

    /** Chance of a good rep after a month on one rung, of so many students, sorted. */
    private static double[] month(Function<Random, Learner> drawn) {
        Random random = new Random(11);
        return IntStream.range(0, 400)
                .mapToDouble(i -> {
                    Learner learner = drawn.apply(random);
                    double chance = 0;
                    for (int day = 0; day < 28; day++) {
                        learner.wakeUp();
                        learner.learn(Fault.SWAY, Rung.FEEL, 20, Circumstances.plain(true));
                        chance += day < 14 ? 0 : learner.chanceOfGood(Fault.SWAY, Rung.FEEL) / 14;
                    }
                    return chance;
                })
                .sorted()
                .toArray();
    }

    @Test
    void ofAnybodyMoreStandStillThanOfTheAssumed() {
        double[] assumed = month(random -> Learner.draw(44, random));
        double[] anybody = month(random -> Learner.anybody(RepsNeeded.assumed(44), random));
        assertThat(assumed[20]).as("nearly all of the assumed learn").isGreaterThan(0.7);
        assertThat(anybody[100]).as("a quarter of anybody do not").isLessThan(0.65);
        assertThat(anybody[300]).as("and the best do as well").isGreaterThan(0.8);
    }

    @Test
    void whoLearnsNearlyAlikeStandsWhereTheOtherDoes() {
        Learner one = Learner.anybody(RepsNeeded.assumed(44), new Random(5));
        for (int day = 0; day < 10; day++) {
            one.wakeUp();
            one.learn(Fault.SWAY, Rung.FEEL, 20, Circumstances.plain(true));
        }
        Learner other = one.alike();
        assertThat(other.chanceOfGood(Fault.SWAY, Rung.FEEL))
                .isCloseTo(one.chanceOfGood(Fault.SWAY, Rung.FEEL), within(0.12))
                .isNotEqualTo(one.chanceOfGood(Fault.SWAY, Rung.FEEL));
    }

    @Test
    void aLearnerIsTheSameForTheSameSeed() {
        Learner one = Learner.draw(50, new Random(3));
        Learner other = Learner.draw(50, new Random(3));
        one.wakeUp();
        other.wakeUp();
        assertThat(one.practise(Fault.SWAY, Rung.FEEL, 10, Circumstances.plain(true)))
                .isEqualTo(other.practise(Fault.SWAY, Rung.FEEL, 10, Circumstances.plain(true)));
    }
}
