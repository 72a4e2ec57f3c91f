package app.hodegon.core.plan;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Plan.Step;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A day on the course is a round: a few swings of the game with one thought, spread over it, of a drill that needs nothing
 * underfoot. It counts as work once the climb has come to the course, or where no other day has balls; before that it is
 * a try.
 */
final class CourseRound {

    private static final int FEWEST_SWINGS = 4;
    private static final int MOST_SWINGS = 8;

    /** A swing with the thought comes about so often, in minutes. */
    private static final int MINUTES_A_SWING = 15;

    private final PlanRequest request;
    private final DrillLibrary library;
    private final DrillChoice choice;

    CourseRound(PlanRequest request, DrillLibrary library, DrillChoice choice) {
        this.request = request;
        this.library = library;
        this.choice = choice;
    }

    static int swings(int minutes) {
        return Math.max(FEWEST_SWINGS, Math.min(MOST_SWINGS, minutes / MINUTES_A_SWING));
    }

    /** Whether what is swung there is work on this step, so that it is checked too. */
    boolean isWork(Step step, Climb climb) {
        return step.rung().withBall()
                && !Dose.isSetUp(step.fault())
                && !climb.keepsUp(step)
                && (step.rung() == Rung.TRANSFER || choice.places().stream().noneMatch(CourseRound::hasBalls));
    }

    private static boolean hasBalls(Place place) {
        return place.ballsAllowed() && place != Place.COURSE;
    }

    /** What is swung there on the way: the coach's own drill for the course, or the best that is bare; empty if none is. */
    Optional<Step> onTheWay(Fault fault) {
        return Optional.ofNullable(request.edits().chosen().get(new Edits.StepId(fault, Rung.TRANSFER)))
                .filter(library::has)
                .map(library::drill)
                .filter(this::goesAlong)
                .or(() -> choice.best(
                        fault, Rung.TRANSFER, this::goesAlong, request.student()::hasPassed, Optional.empty()))
                .map(drill ->
                        new Step(Rung.TRANSFER, fault, drill.id(), Optional.empty(), "the thought for the round"));
    }

    private boolean goesAlong(Drill drill) {
        return choice.possibleAt(drill, Place.COURSE, Rung.TRANSFER);
    }

    /** The thought: of the drill itself, or of what was met highest on the way; one that needs nothing underfoot goes first. */
    String thought(Step step, Climb climb) {
        Drill own = Optional.of(library.drill(step.drill()))
                .filter(d -> !d.servesEveryFault())
                .or(() -> met(climb).filter(Drill::bare).findFirst())
                .or(() -> met(climb).findFirst())
                .orElseGet(() -> library.drill(step.drill()));
        return request.student().hand().say(own.texts().cue());
    }

    private Stream<Drill> met(Climb climb) {
        return climb.met().map(s -> library.drill(s.drill())).filter(d -> !d.servesEveryFault());
    }
}
