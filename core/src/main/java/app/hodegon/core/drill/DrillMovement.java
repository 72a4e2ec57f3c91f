package app.hodegon.core.drill;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.golfer.BodyPoint;
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
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * How a drill moves: what is its own, whatever the rung; length, tempo, hands, club and ball are the rung's unless the
 * drill says otherwise of it.
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

    /** What is otherwise on a rung. */
    public record Form(
            Optional<Double> length,
            Optional<Double> tempo,
            Optional<Hands> hands,
            Optional<Club> club,
            Optional<Ball> ball) {

        static final Form USUAL =
                new Form(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());

        private Manner over(Manner usual) {
            return new Manner(
                    length.orElse(usual.length()),
                    tempo.orElse(usual.tempo()),
                    hands.orElse(usual.hands()),
                    club.orElse(usual.club()),
                    ball.orElse(usual.ball()));
        }
    }

    private static final double SLOWER = 0.6;
    private static final double FASTER = 1.3;
    private static final double FASTEST = 130;
    private static final double SLOWEST = 15;

    public DrillMovement {
        pauses = Map.copyOf(pauses);
        steps = List.copyOf(steps);
        settings = List.copyOf(settings);
        things = List.copyOf(things);
        names = Map.copyOf(names);
        look = List.copyOf(look);
        forms = forms.isEmpty() ? Map.of() : new EnumMap<>(forms);
    }

    /** What a rung usually is. */
    static Manner usual(Rung rung) {
        return switch (rung) {
            case PREPARE -> new Manner(100, 40, Hands.CROSSED, Club.NONE, Ball.NONE);
            case FEEL -> new Manner(100, 50, Hands.CROSSED, Club.NONE, Ball.NONE);
            case REHEARSE -> new Manner(100, 55, Hands.CLUB, Club.IRON, Ball.NONE);
            case SHORT -> new Manner(50, 70, Hands.CLUB, Club.WEDGE, Ball.TEE);
            case BUILD -> new Manner(75, 85, Hands.CLUB, Club.IRON, Ball.GROUND);
            case FULL -> new Manner(100, 100, Hands.CLUB, Club.IRON, Ball.GROUND);
            case TRANSFER -> new Manner(100, 100, Hands.CLUB, Club.DRIVER, Ball.TEE);
        };
    }

    /** As done on a rung. */
    public Movement on(Rung rung) {
        return with(forms.getOrDefault(rung, Form.USUAL).over(usual(rung)), pauses, settings, List.of());
    }

    /** As done on a rung under a half-step; most of them change nothing that shows. */
    public Movement on(Rung rung, HalfStep step) {
        Movement plain = on(rung);
        Manner m = plain.manner();
        return switch (step.id()) {
            case "slower" -> with(tempo(m, SLOWER), pauses, settings, List.of());
            case "faster" -> with(tempo(m, FASTER), pauses, settings, List.of());
            case "no-club" ->
                with(
                        new Manner(m.length(), m.tempo(), Hands.CROSSED, Club.NONE, Ball.NONE),
                        pauses,
                        settings,
                        List.of());
            case "with-club" ->
                with(new Manner(m.length(), m.tempo(), Hands.STICK, Club.NONE, m.ball()), pauses, settings, List.of());
            case "no-pause" -> with(m, Map.of(), settings, List.of());
            default -> plain;
        };
    }

    /** With another drill's movement at the same time. */
    public Movement on(Rung rung, DrillMovement other) {
        return with(
                on(rung).manner(),
                pauses,
                Stream.concat(other.settings.stream(), settings.stream()).toList(),
                List.of());
    }

    /** As the usual mistake has it, but for the fault in it; empty where none is told. */
    public Optional<Movement> mistaken(Rung rung) {
        return mistake.map(wrong -> with(on(rung).manner(), pauses, settings, wrong.settings()));
    }

    private static Manner tempo(Manner m, double factor) {
        double tempo = Math.max(SLOWEST, Math.min(FASTEST, m.tempo() * factor));
        return new Manner(m.length(), tempo, m.hands(), m.club(), m.ball());
    }

    private Movement with(Manner manner, Map<Checkpoint, Double> held, List<Setting> set, List<Setting> wrong) {
        return new Movement(base, manner, stance, held, steps, set, wrong, things, names, shown);
    }
}
