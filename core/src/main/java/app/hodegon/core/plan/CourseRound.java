package app.hodegon.core.plan;

import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.plan.Plan.Step;
import java.util.Comparator;
import java.util.Set;

/**
 * A day on the course is a round: a few swings of the game with one thought, spread over it, of a drill that needs no prop.
 * It counts as work once the climb has come to the course, or where no other day has balls; before that it is a try.
 */
final class CourseRound {

    private static final int FEWEST_SWINGS = 4;
    private static final int MOST_SWINGS = 8;

    /** A swing with the thought comes about so often, in minutes. */
    private static final int MINUTES_A_SWING = 15;

    private final Student student;
    private final DrillLibrary library;
    private final Set<Place> places;

    /** @param places where this student practises before the next lesson */
    CourseRound(Student student, DrillLibrary library, Set<Place> places) {
        this.student = student;
        this.library = library;
        this.places = places;
    }

    /** Whether what is swung there is work on this step, so that it is checked too. */
    boolean isWork(Step step, Climb climb) {
        return step.rung().withBall()
                && !Dose.isSetUp(step.fault())
                && !climb.keepsUp(step)
                && (step.rung() == Rung.TRANSFER || places.stream().noneMatch(CourseRound::hasBalls));
    }

    private static boolean hasBalls(Place place) {
        return place.ballsAllowed() && place != Place.COURSE;
    }

    /** Whether there is no other place, so that what needs no ball is done there too. */
    boolean isAllThereIs() {
        return places.size() == 1;
    }

    /** The swings of a round of so many minutes; none where not even one fits. */
    Block swings(int minutes, Dose dose, Step step, Kind kind, Climb climb) {
        int swings = Math.max(FEWEST_SWINGS, Math.min(MOST_SWINGS, minutes / MINUTES_A_SWING));
        Dose.Sets sets = dose.spread(minutes * 60 - Dose.SET_UP_SECONDS, swings);
        return dose.block(
                sets,
                step,
                kind,
                student.hand().say(thought(step, climb).texts().cue()));
    }

    /** The drill whose cue goes along: its own, or of what was met highest on the way; one without a prop goes first. */
    private Drill thought(Step step, Climb climb) {
        Drill swung = library.drill(step.drill());
        if (!swung.servesEveryFault()) return swung;
        return climb.met()
                .map(met -> library.drill(met.drill()))
                .filter(d -> !d.servesEveryFault())
                .min(Comparator.comparing(d -> !d.bare()))
                .orElse(swung);
    }
}
