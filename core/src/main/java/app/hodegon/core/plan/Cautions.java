package app.hodegon.core.plan;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Equipment;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.golfer.Movement.Spot;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Day;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** The cautions that apply to a plan, and only those. */
final class Cautions {

    private Cautions() {}

    static List<String> of(PlanRequest request, List<Day> days, DrillLibrary library) {
        Student student = request.student();
        Set<Drill> drills = new LinkedHashSet<>();
        days.forEach(d -> d.blocks().forEach(b -> b.drills().map(library::drill).forEach(drills::add)));
        List<String> cautions = new ArrayList<>();
        if (drills.isEmpty()) return cautions;
        cautions.add("Pain means stop. Pain that stays goes to a doctor or physiotherapist; this plan is no medical"
                + " advice.");
        if (request.focus().stream().anyMatch(f -> f.fault() == Fault.REVERSE_PIVOT)) {
            cautions.add("A sore back comes before ball flight: stop the session when it starts.");
        }
        if (request.settings().oneThing()) {
            cautions.add(
                    "A block of one thing is many reps of one movement: for healthy joints only. Stop for the day when"
                            + " it drops, and begin the next day with its plainest form.");
        }
        if (!student.flags().isEmpty()) {
            cautions.add("What loads a flagged joint stands here at half of the usual. Do less where that is too much:"
                    + " the doctor's or physiotherapist's word comes before this plan's.");
        }
        request.soFar()
                .ease()
                .ifPresent(ease -> cautions.add("It hurt: before " + Words.day(ease.before())
                        + " half as much at half the speed, and nothing above the rung it hurt on."));
        if (drills.stream().anyMatch(Cautions::standsOnProp)) {
            cautions.add("Props underfoot only on dry, even, clear ground with something to hold on to.");
        }
        drills.stream()
                .filter(d -> d.footing().notIn().contains(student.shoes()))
                .forEach(d -> cautions.add(d.name() + ": at home only, and not in "
                        + student.shoes().label().toLowerCase() + "."));
        if (drills.stream().anyMatch(d -> d.kit().contains(Equipment.SPIKES))) {
            cautions.add("Spikes slip on hard floors: grass only.");
        }
        if (days.stream().anyMatch(d -> d.place() == Place.HOME && swingsClub(d))) {
            cautions.add(
                    "Indoors, look around and above before you swing; nothing of full length, and soft balls only.");
        }
        if (days.stream().anyMatch(d -> d.place() == Place.RANGE || d.place() == Place.COURSE)) {
            cautions.add("Nobody in line, and the range's and the course's own rules stand.");
        }
        if (student.age() == AgeBand.JUNIOR) cautions.add("Juniors practise with an adult's knowledge.");
        drills.stream()
                .filter(d -> !d.texts().caution().isEmpty())
                .forEach(d -> cautions.add(
                        d.name() + ": " + student.hand().say(d.texts().caution())));
        return List.copyOf(cautions);
    }

    private static boolean standsOnProp(Drill drill) {
        return drill.diagram().props().stream()
                .map(p -> p.at())
                .anyMatch(z -> z != Spot.TRAIL_INNER || drill.careWith().size() > 1);
    }

    private static boolean swingsClub(Day day) {
        return day.blocks().stream().map(Block::rung).anyMatch(r -> r.compareTo(Rung.REHEARSE) >= 0);
    }
}
