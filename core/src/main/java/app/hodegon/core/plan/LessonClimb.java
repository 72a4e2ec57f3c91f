package app.hodegon.core.plan;

import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Plan.Step;
import app.hodegon.core.swing.SwingLength;
import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The climb of a session with balls, led by the coach within one lesson: the drill, then short, to the shoulder, full. */
final class LessonClimb {

    /** Shortest and longest that is asked for, in minutes. */
    static final int SHORTEST = 10;

    static final int LONGEST = 120;

    /** The lesson's own place, whatever the student's week is. */
    static final Week BAY = new Week(Arrays.stream(DayOfWeek.values())
            .collect(Collectors.toMap(d -> d, d -> new Week.Slot(60, Place.RANGE))));

    /** Of ten parts of the time; those of a rung that is left out go to the others. */
    private static final Map<Rung, Integer> TENTHS = Map.of(Rung.SHORT, 3, Rung.BUILD, 2, Rung.FULL, 2);

    private static final int TENTHS_OF_THE_DRILL = 3;

    private LessonClimb() {}

    /**
     * One part for the drill without a ball and one for each rung with one; empty where nothing is swung.
     *
     * @param allowed whether a step may be done there
     * @throws IllegalArgumentException if the minutes are not {@value #SHORTEST} to {@value #LONGEST}
     */
    static List<Planner.ClimbPart> of(Route route, Predicate<Step> allowed, int minutes) {
        if (minutes < SHORTEST || minutes > LONGEST) {
            throw new IllegalArgumentException("A climb takes " + SHORTEST + " to " + LONGEST + " min.");
        }
        List<Step> steps = new ArrayList<>();
        Stream.concat(route.steps().stream(), route.below().stream())
                .filter(s -> !s.rung().withBall() && s.rung().gated() && allowed.test(s))
                .findFirst()
                .ifPresent(steps::add);
        for (Rung rung : List.of(Rung.SHORT, Rung.BUILD, Rung.FULL)) {
            // What is passed is climbed again within a lesson.
            Stream.concat(route.steps().stream(), route.below().stream())
                    .filter(s -> s.rung() == rung && allowed.test(s))
                    .findFirst()
                    .ifPresent(steps::add);
        }
        if (steps.stream().noneMatch(s -> s.rung().withBall())) return List.of();
        return shared(steps, minutes);
    }

    /** The parts add up to the minutes: each ends where its share of all of them ends. */
    private static List<Planner.ClimbPart> shared(List<Step> steps, int minutes) {
        int of = steps.stream().mapToInt(LessonClimb::tenths).sum();
        List<Planner.ClimbPart> parts = new ArrayList<>();
        int tenths = 0;
        for (Step step : steps) {
            int begins = Math.round((float) minutes * tenths / of);
            tenths += tenths(step);
            int ends = Math.round((float) minutes * tenths / of);
            parts.add(new Planner.ClimbPart(step, length(step.rung()), ends - begins));
        }
        return List.copyOf(parts);
    }

    private static int tenths(Step step) {
        return TENTHS.getOrDefault(step.rung(), TENTHS_OF_THE_DRILL);
    }

    private static Optional<SwingLength> length(Rung rung) {
        return switch (rung) {
            case SHORT -> Optional.of(SwingLength.WAIST);
            case BUILD -> Optional.of(SwingLength.SHOULDER);
            case FULL -> Optional.of(SwingLength.FULL);
            default -> Optional.empty();
        };
    }
}
