package app.hodegon.core.learning;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Rung;
import java.util.Random;
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
