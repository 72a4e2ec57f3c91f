package app.hodegon.core.drill;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.golfer.BodyPoint;
import app.hodegon.core.golfer.Coordinate;
import app.hodegon.core.golfer.Hands;
import app.hodegon.core.golfer.Movement;
import app.hodegon.core.golfer.Movement.Ball;
import app.hodegon.core.golfer.Movement.Base;
import app.hodegon.core.golfer.Movement.Club;
import app.hodegon.core.golfer.Movement.Manner;
import app.hodegon.core.golfer.Movement.Setting;
import app.hodegon.core.golfer.Movement.Stance;
import app.hodegon.core.golfer.Movement.Step;
import app.hodegon.core.golfer.Movement.Thing;
import app.hodegon.core.swing.Checkpoint;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * How a drill moves: what is its own, whatever the rung; length, hands, club and ball are the rung's unless the
 * drill says otherwise of it, and the pace is the speed that the drill is done at there.
 *
 * @param things what it is done with
 * @param look where to look
 * @param mistake what the usual mistake does instead
 * @param forms what is otherwise on a rung
 */
public record DrillMovement(
        Base base,
        Stance stance,
        Map<Checkpoint, Double> pauses,
        List<Step> steps,
        List<Setting> settings,
        List<Thing> things,
        Map<Checkpoint, String> names,
        Checkpoint shown,
        List<BodyPoint> look,
        Optional<Mistake> mistake,
        Map<Rung, Form> forms) {

    /**
     * The usual mistake: a fault of the swing, or other settings, or both.
     *
     * @param strength over 0 up to 1
     * @param look where it shows
     */
    public record Mistake(Optional<Fault> fault, double strength, List<Setting> settings, List<BodyPoint> look) {

        public Mistake {
            if (!(strength > 0 && strength <= 1))
                throw new IllegalArgumentException("strength must be over 0 up to 1.");
            settings = List.copyOf(settings);
            look = List.copyOf(look);
        }
    }

    /**
     * What is otherwise on a rung.
     *
     * @param bend how far the trunk is bent all along, degrees
     */
    public record Form(
            Optional<Double> length,
            Optional<Hands> hands,
            Optional<Club> club,
            Optional<Ball> ball,
            Optional<Double> bend) {

        static final Form USUAL =
                new Form(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());

        private List<Setting> settings() {
            return bend.stream()
                    .flatMap(degrees ->
                            Arrays.stream(Checkpoint.values()).map(at -> new Setting(Coordinate.BEND, at, degrees)))
                    .toList();
        }

        private Manner over(Manner usual) {
            return new Manner(
                    length.orElse(usual.length()),
                    usual.tempo(),
                    hands.orElse(usual.hands()),
                    club.orElse(usual.club()),
                    ball.orElse(usual.ball()));
        }
    }

    private static final int SLOWEST = 20;
    private static final int FASTEST = 100;

    public DrillMovement {
        pauses = Map.copyOf(pauses);
        steps = List.copyOf(steps);
        settings = List.copyOf(settings);
        things = List.copyOf(things);
        names = Map.copyOf(names);
        look = List.copyOf(look);
        forms = forms.isEmpty() ? Map.of() : new EnumMap<>(forms);
    }

    /** What a rung usually is, at this speed. */
    private static Manner usual(Rung rung, int speed) {
        return switch (rung) {
            case PREPARE, FEEL -> new Manner(100, speed, Hands.CROSSED, Club.NONE, Ball.NONE);
            case REHEARSE -> new Manner(100, speed, Hands.CLUB, Club.IRON, Ball.NONE);
            case SHORT -> new Manner(50, speed, Hands.CLUB, Club.WEDGE, Ball.TEE);
            case BUILD -> new Manner(75, speed, Hands.CLUB, Club.IRON, Ball.GROUND);
            case FULL -> new Manner(100, speed, Hands.CLUB, Club.IRON, Ball.GROUND);
            case TRANSFER -> new Manner(100, speed, Hands.CLUB, Club.DRIVER, Ball.TEE);
        };
    }

    private Form form(Rung rung) {
        return forms.getOrDefault(rung, Form.USUAL);
    }

    private Manner manner(Rung rung, int speed) {
        return form(rung).over(usual(rung, speed));
    }

    private List<Setting> settings(Rung rung) {
        return Stream.concat(settings.stream(), form(rung).settings().stream()).toList();
    }

    /** @param speed percent of full, {@value #SLOWEST} to {@value #FASTEST} */
    public Movement on(Rung rung, int speed) {
        return with(manner(rung, speed), pauses, settings(rung), List.of());
    }

    /** Under a half-step; what some of them change does not show. */
    public Movement on(Rung rung, int speed, HalfStep step) {
        Manner m = manner(rung, Math.max(SLOWEST, Math.min(FASTEST, speed + step.speed())));
        List<Setting> set = settings(rung);
        return switch (step.id()) {
            case "no-club" -> with(m.holding(Hands.CROSSED), pauses, set, List.of());
            case "with-club" -> with(m.holding(Hands.STICK), pauses, set, List.of());
            case "no-pause" -> with(m, Map.of(), set, List.of());
            default -> with(m, pauses, set, List.of());
        };
    }

    /** With another drill's movement at the same time. */
    public Movement on(Rung rung, int speed, DrillMovement other) {
        List<Setting> both =
                Stream.concat(other.settings.stream(), settings(rung).stream()).toList();
        return with(manner(rung, speed), pauses, both, List.of());
    }

    /** As the usual mistake has it, but for the fault in it; empty where none is told. */
    public Optional<Movement> mistaken(Rung rung, int speed) {
        return mistake.map(wrong -> with(manner(rung, speed), pauses, settings(rung), wrong.settings()));
    }

    private Movement with(Manner manner, Map<Checkpoint, Double> held, List<Setting> set, List<Setting> wrong) {
        return new Movement(base, manner, stance, held, steps, set, wrong, things, names, shown);
    }
}
