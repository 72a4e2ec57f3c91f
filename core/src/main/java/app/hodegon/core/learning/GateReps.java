package app.hodegon.core.learning;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Rung;
import org.hipparchus.distribution.continuous.GammaDistribution;

/**
 * How many reps a gate takes, in units of what is assumed: learnt from students who passed one and from those who are still
 * on the way. The rate of passing is gamma distributed and the wait for it exponential, so that both only add up (Gelman
 * and others 2013, section 2.6). The assumption counts as much as twenty students.
 *
 * @param passed gates passed, those assumed among them; over 0
 * @param units reps done for them and for those not passed, each divided by what is assumed of its rung and level
 */
public record GateReps(double passed, double units) {

    private static final double STUDENTS = 20;
    private static final double EDGE = 0.025;

    /** A day's reps on one rung, and the check among them. */
    private static final int DAY = 35;

    private static final int MOST_DAYS = 300;
    private static final GateChance GATE = new GateChance(8, 10);
    private static final Fault ANY = Fault.SWAY;

    /** Nothing seen yet. */
    public static final GateReps ASSUMED = new GateReps(STUDENTS, STUDENTS);

    /** After somebody did so many units and did, or did not yet, pass. */
    public GateReps after(double done, boolean through) {
        return new GateReps(passed + (through ? 1 : 0), units + done);
    }

    /** Units to a gate: 1 for as many as assumed. */
    public double mean() {
        return units / passed;
    }

    /** Lower edge of its 95 % interval. */
    public double low() {
        return 1 / rate().inverseCumulativeProbability(1 - EDGE);
    }

    /** Upper edge of its 95 % interval. */
    public double high() {
        return 1 / rate().inverseCumulativeProbability(EDGE);
    }

    private GammaDistribution rate() {
        return new GammaDistribution(passed, 1 / units);
    }

    /**
     * What the next gate tells of this: the logarithm of the chance that was given to what happened.
     *
     * @param done units done for it, over 0
     */
    public double logScore(double done, boolean through) {
        double waits = passed * Math.log(units / (units + done));
        return through ? waits + Math.log(passed / (units + done)) : waits;
    }

    /**
     * Reps that a typical student is assumed to need for the gate of a rung, those below it passed.
     *
     * @param repsToLearn as in {@link Skill#typical}
     */
    public static double assumed(double repsToLearn, Rung rung) {
        Skill skill = Skill.typical(repsToLearn);
        if (rung.ordinal() > Rung.FEEL.ordinal()) skill.know(ANY, Rung.values()[rung.ordinal() - 1]);
        double waiting = 1;
        double oneGood = 0;
        double reps = 0;
        for (int day = 0; day < MOST_DAYS; day++) {
            reps += waiting * DAY;
            skill.practise(ANY, rung, DAY, Circumstances.plain(true));
            double good = GATE.at(skill.chanceOfGood(ANY, rung));
            double through = oneGood * good;
            oneGood = (waiting - oneGood) * good;
            waiting -= through;
            skill.sleep();
        }
        return reps;
    }
}
