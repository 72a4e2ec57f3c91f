package app.hodegon.core.plan;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.Form;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Kind;
import java.util.Optional;

/**
 * Sets, rests and seconds of one drill on one rung in one form. Fives with 20 s rest while a movement is new, tens with
 * 60 s later, never over fifteen; on ball rungs a set is whole rounds of rehearsals and strikes. A fault of the set-up is
 * no movement: a few set-ups with a look each, five before every ball.
 *
 * @param setUp whether a set-up is put right, not a movement
 */
record Dose(Drill drill, Rung rung, Form form, boolean setUp) {

    /** Setting up and logging, per day. */
    static final int SET_UP_SECONDS = 120;

    static final int CHECK_REPS = 10;

    /** Never more in one set. */
    static final int LARGEST_SET = 15;

    static final int SMALL_SET = 5;
    private static final int LARGE_SET = 10;
    private static final int SHORT_REST = 20;
    private static final int LONG_REST = 60;

    /** Set-ups, each with a look, before one ball. */
    private static final int SET_UPS_PER_BALL = 5;

    /** Up to so many strikes stand each by itself. */
    private static final int FEW_STRIKES = 5;

    /** A set-up with its look takes this long. */
    private static final int SET_UP_REP_SECONDS = 12;

    private static final int SET_UPS_A_DAY = 20;
    private static final int SET_UPS_WITH_BALLS_A_DAY = 36;

    /** Of one plain movement in a day, in a block of one thing. */
    static final int ONE_THING_A_DAY = 120;

    static Dose of(Plan.Step step, Drill drill, Form form) {
        return new Dose(drill, step.rung(), form, isSetUp(step.fault()));
    }

    static boolean isSetUp(Fault fault) {
        return fault.stage() == Fault.Stage.SET_UP;
    }

    /** Most main reps of one drill in one day: practice short and often beats one long day. */
    int mostReps() {
        if (setUp) return rung.withBall() ? SET_UPS_WITH_BALLS_A_DAY : SET_UPS_A_DAY;
        return mostReps(rung);
    }

    private static int mostReps(Rung rung) {
        return switch (rung) {
            case PREPARE -> 20;
            case FEEL -> 70;
            case REHEARSE -> 60;
            case SHORT -> 96;
            case BUILD -> 48;
            case FULL, TRANSFER -> 40;
        };
    }

    /** What this wants on a rung before the next one is laid; of a new movement 700 up to the first balls. */
    static int wantedReps(Fault fault, Rung rung) {
        if (isSetUp(fault)) return rung.withBall() ? SET_UPS_WITH_BALLS_A_DAY : 2 * SET_UPS_A_DAY;
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
    Sets main(int seconds, int mostReps, boolean isNew) {
        Sets one = oneSet(isNew || setUp ? SMALL_SET : LARGE_SET);
        int sets = Math.max(0, Math.min(seconds / one.seconds(), mostReps / one.repsPerSet()));
        if (sets == 0 && !isNew) return main(seconds, mostReps, true);
        return one.times(sets);
    }

    /** A main block in sets of a size that the coach chose, as many as fit. */
    Sets inSetsOf(int size, int seconds, int mostReps) {
        Sets one = oneSet(size);
        return one.times(Math.max(0, Math.min(seconds / one.seconds(), mostReps / one.repsPerSet())));
    }

    /** In a block of one thing: tens to fifteens once it is no longer new. */
    Sets oneThing(int seconds, int mostReps, boolean isNew) {
        return inSetsOf(isNew ? LARGE_SET : LARGEST_SET, seconds, mostReps);
    }

    /**
     * Strikes with their rehearsals that are no work of their own: round by round where they are few, else in tens.
     *
     * @param strikes wanted; rounded up to whole sets, as far as the time goes
     */
    Sets strikes(int seconds, int strikes) {
        Sets round = oneSet(1);
        Sets ten = oneSet(setUp ? 1 : LARGE_SET);
        Sets one = strikes > FEW_STRIKES && ten.seconds() * 2 <= seconds ? ten : round;
        int wanted = (strikes + one.strikes() - 1) / one.strikes();
        return one.times(Math.max(0, Math.min(seconds / one.seconds(), wanted)));
    }

    /** A main block as a coach asked for it; on ball rungs the set is cut to whole rounds, at least one. */
    Sets asAsked(int sets, int repsPerSet) {
        return oneSet(repsPerSet).times(sets);
    }

    /** Single swings on the course, as far as the time goes, each rehearsed first; the game is the rest between them. */
    Sets spread(int seconds, int swings) {
        int rehearsals = rung.rehearsalsPerRound();
        int one = rehearsals * secondsPerRep() + form.seconds();
        return new Sets(1, rehearsals + 1, 0, 1, one).times(Math.max(0, Math.min(seconds / one, swings)));
    }

    /** One easy set of five from the rung below. */
    Sets refresher() {
        return oneSet(SMALL_SET);
    }

    /** Ten scored reps in two fives; on ball rungs ten strikes. */
    Sets check() {
        int perRep = rung.withBall() ? form.seconds() : secondsPerRep();
        int sets = CHECK_REPS / SMALL_SET;
        return new Sets(
                sets,
                SMALL_SET,
                SHORT_REST,
                rung.withBall() ? CHECK_REPS : 0,
                sets * (SMALL_SET * perRep + SHORT_REST));
    }

    private int secondsPerRep() {
        return setUp ? SET_UP_REP_SECONDS : drill.secondsPerRep(rung);
    }

    private Sets oneSet(int size) {
        int rehearsals = size;
        int strikes = 0;
        if (rung.withBall()) {
            int before = setUp ? SET_UPS_PER_BALL : rung.rehearsalsPerRound();
            int perRound = setUp ? 1 : rung.ballsPerRound();
            int rounds = Math.max(1, size / (before + perRound));
            rehearsals = rounds * before;
            strikes = rounds * perRound;
        }
        int reps = rehearsals + strikes;
        int rest = reps <= SMALL_SET + 1 ? SHORT_REST : LONG_REST;
        return new Sets(1, reps, rest, strikes, rehearsals * secondsPerRep() + strikes * form.seconds() + rest);
    }

    /** Sets of one size; {@code strikes} and {@code seconds} over all of them. */
    record Sets(int sets, int repsPerSet, int restSeconds, int strikes, int seconds) {

        Sets times(int n) {
            return new Sets(n, repsPerSet, restSeconds, strikes * n, seconds * n);
        }
    }

    Block block(Sets sets, Plan.Step step, Kind kind, String cue) {
        return new Block(
                step.fault(),
                step.drill(),
                step.rung(),
                kind,
                sets.sets(),
                sets.repsPerSet(),
                sets.restSeconds(),
                sets.strikes(),
                sets.seconds(),
                cue,
                kind == Kind.CHECK,
                0,
                false,
                false,
                Optional.empty(),
                form,
                rung == Rung.PREPARE ? 0 : drill.speed(rung),
                Optional.empty());
    }
}
