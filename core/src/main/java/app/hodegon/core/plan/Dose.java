package app.hodegon.core.plan;

import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Kind;

/**
 * Sets, rests and seconds. Fives with 20 s rest while a movement is new, tens with 60 s later, never over fifteen; on
 * ball rungs a set is whole rounds of rehearsals and balls.
 */
final class Dose {

    /** Setting up and logging, per day. */
    static final int SET_UP_SECONDS = 120;

    static final int CHECK_REPS = 10;

    /** Never more in one set. */
    static final int LARGEST_SET = 15;

    private static final int SMALL_SET = 5;
    private static final int LARGE_SET = 10;
    private static final int SHORT_REST = 20;
    private static final int LONG_REST = 60;

    private Dose() {}

    /** Most main reps of one drill in one day: practice short and often beats one long day. */
    static int mostReps(Rung rung) {
        return switch (rung) {
            case PREPARE -> 20;
            case FEEL -> 70;
            case REHEARSE -> 60;
            case SHORT -> 96;
            case BUILD -> 48;
            case FULL, TRANSFER -> 40;
        };
    }

    /** What a new movement wants on this rung before the next one is laid; together 700 up to the first balls. */
    static int wantedReps(Rung rung) {
        return switch (rung) {
            case PREPARE -> 20;
            case FEEL -> 200;
            case REHEARSE -> 180;
            case SHORT -> 180;
            case BUILD -> 120;
            case FULL -> 100;
            case TRANSFER -> 80;
        };
    }

    /**
     * The largest main block that fits.
     *
     * @param seconds time for it
     * @param mostReps upper bound, already reduced for age and joints
     * @param isNew whether the movement is still new
     * @return no sets if not even one fits
     */
    static Sets main(Drill drill, Rung rung, int seconds, int mostReps, boolean isNew) {
        int size = isNew ? SMALL_SET : LARGE_SET;
        Sets one = oneSet(drill, rung, size);
        int sets = Math.max(0, Math.min(seconds / one.seconds(), mostReps / one.repsPerSet()));
        if (sets == 0 && !isNew) return main(drill, rung, seconds, mostReps, true);
        return one.times(sets);
    }

    /** A main block as a coach asked for it; on ball rungs the set is cut to whole rounds, at least one. */
    static Sets asAsked(Drill drill, Rung rung, int sets, int repsPerSet) {
        return oneSet(drill, rung, repsPerSet).times(sets);
    }

    /** One easy set of five from the rung below. */
    static Sets refresher(Drill drill, Rung rung) {
        return oneSet(drill, rung, SMALL_SET);
    }

    /** Ten scored reps in two fives; on ball rungs ten balls. */
    static Sets check(Drill drill, Rung rung) {
        int perRep = rung.withBall() ? Drill.SECONDS_PER_BALL : drill.secondsPerRep(rung);
        int sets = CHECK_REPS / SMALL_SET;
        return new Sets(
                sets,
                SMALL_SET,
                SHORT_REST,
                rung.withBall() ? CHECK_REPS : 0,
                sets * (SMALL_SET * perRep + SHORT_REST));
    }

    private static Sets oneSet(Drill drill, Rung rung, int size) {
        int rehearsals = size;
        int balls = 0;
        if (rung.withBall()) {
            int perRound = rung.rehearsalsPerRound() + rung.ballsPerRound();
            int rounds = Math.max(1, size / perRound);
            rehearsals = rounds * rung.rehearsalsPerRound();
            balls = rounds * rung.ballsPerRound();
        }
        int reps = rehearsals + balls;
        int rest = reps <= SMALL_SET ? SHORT_REST : LONG_REST;
        int seconds = rehearsals * drill.secondsPerRep(rung) + balls * Drill.SECONDS_PER_BALL + rest;
        return new Sets(1, reps, rest, balls, seconds);
    }

    /** Sets of one size; {@code balls} and {@code seconds} over all of them. */
    record Sets(int sets, int repsPerSet, int restSeconds, int balls, int seconds) {

        Sets times(int n) {
            return new Sets(n, repsPerSet, restSeconds, balls * n, seconds * n);
        }

        Block block(Plan.Step step, Kind kind, String cue) {
            return new Block(
                    step.fault(),
                    step.drill(),
                    step.rung(),
                    kind,
                    sets,
                    repsPerSet,
                    restSeconds,
                    balls,
                    seconds,
                    cue,
                    kind == Kind.CHECK,
                    0,
                    false,
                    false);
        }
    }
}
