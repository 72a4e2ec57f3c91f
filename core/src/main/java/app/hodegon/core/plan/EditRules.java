package app.hodegon.core.plan;

import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Place;
import app.hodegon.core.plan.Edits.Locked;
import java.util.Optional;

/** The rules a coach's edit cannot set aside. What only goes against custom is a warning, not refused here. */
final class EditRules {

    private EditRules() {}

    /**
     * @throws IllegalArgumentException if an edit breaks a rule; the message says which
     */
    static void check(PlanRequest request, DrillChoice choice, DrillLibrary library) {
        for (Locked locked : request.edits().locked()) {
            if (locked.date().isBefore(request.from()) || !locked.date().isBefore(request.nextLesson())) {
                throw new IllegalArgumentException(Words.day(locked.date()) + " is outside this plan.");
            }
            if (request.focus().stream().noneMatch(f -> f.fault() == locked.fault())) {
                throw new IllegalArgumentException("This plan does not work on "
                        + request.student().hand().say(locked.fault().label().toLowerCase()) + ".");
            }
            Optional<Week.Slot> slot = request.student().week().on(locked.date());
            if (slot.isEmpty()) {
                throw new IllegalArgumentException("There is no time to practise on " + Words.day(locked.date()) + ".");
            }
            fits(locked, library.drill(locked.drill()), slot.get().place(), choice);
        }
    }

    private static void fits(Locked locked, Drill drill, Place place, DrillChoice choice) {
        String rung = locked.rung().label().toLowerCase();
        if (!choice.worksOn(drill, locked.fault(), locked.rung())) {
            throw new IllegalArgumentException(drill.name() + " is no drill for that fault on the rung " + rung + ".");
        }
        if (!choice.possibleAt(drill, place, locked.rung())) {
            throw new IllegalArgumentException("%s (%s) is not possible on %s: %s."
                    .formatted(
                            drill.name(),
                            rung,
                            Words.day(locked.date()),
                            locked.rung().withBall() && drill.isDoneAt(place)
                                    ? "nothing of that length is swung " + place.where()
                                    : "it cannot be done " + place.where()));
        }
        choice.refuseWhatHarms(drill);
    }
}
