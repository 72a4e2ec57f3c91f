package app.hodegon.server.motion;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.DrillMovement;
import app.hodegon.core.drill.DrillMovement.Mistake;
import app.hodegon.core.drill.HalfStep;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.golfer.BodyPoint;
import app.hodegon.core.golfer.FaultLook;
import app.hodegon.core.golfer.FaultLook.Seen;
import app.hodegon.core.golfer.Golfer;
import app.hodegon.core.golfer.Motion;
import app.hodegon.core.golfer.Movement;
import app.hodegon.core.golfer.OwnSwing;
import app.hodegon.core.golfer.Pace;
import app.hodegon.core.golfer.Performance;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Reading;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Drills, faults and sound swings as movements of one golfer. */
final class Motions {

    private Motions() {}

    /** Whose movement it is. */
    record Who(Handedness hand, PressureSchool school, double height) {

        private Golfer golfer(Map<Fault, Double> faults) {
            return new Golfer(hand, height, school, faults, Pace.USUAL);
        }
    }

    /** Empty where the drill's movement is not told. */
    static Optional<MotionView> drill(
            Who who, DrillLibrary library, Drill drill, Rung rung, Optional<HalfStep> halfStep) {
        return halfStep.map(h -> library.movement(drill, rung, h))
                .orElseGet(() -> drill.movement(rung))
                .map(m -> view(who, Map.of(), m, looks(drill)));
    }

    private static List<BodyPoint> looks(Drill drill) {
        return drill.movement().map(DrillMovement::look).orElse(List.of());
    }

    static MotionView right(Who who, DrillMovement drill, Rung rung, int speed) {
        return view(who, Map.of(), drill.on(rung, speed), drill.look());
    }

    /** Empty where the usual mistake is not told. */
    static Optional<MotionView> mistake(Who who, DrillMovement drill, Rung rung, int speed) {
        return drill.mistaken(rung, speed).map(movement -> {
            Mistake wrong = drill.mistake().orElseThrow();
            Map<Fault, Double> faults =
                    wrong.fault().map(f -> Map.of(f, wrong.strength())).orElse(Map.of());
            return view(who, faults, movement, wrong.look());
        });
    }

    /**
     * Seen as the first of its faults is best seen.
     *
     * @param faults each over 0 up to 1; empty for the school's sound swing
     */
    static MotionView swing(Who who, Map<Fault, Double> faults) {
        return swung(who, faults, Performance.of(who.golfer(faults), Movement.SWING));
    }

    /** As {@link #swing}, with what was measured as it was. */
    static MotionView own(Who who, Map<Fault, Double> faults, List<Reading> measured) {
        return swung(who, faults, OwnSwing.of(who.golfer(faults), measured));
    }

    private static MotionView swung(Who who, Map<Fault, Double> faults, Performance performance) {
        Motion motion = Motion.of(performance);
        Optional<FaultLook> look = faults.keySet().stream().findFirst().map(FaultLook::of);
        return MotionView.of(motion, look.orElse(new FaultLook(Seen.FACE, motion.shown(), List.of())), who.hand());
    }

    private static MotionView view(Who who, Map<Fault, Double> faults, Movement movement, List<BodyPoint> look) {
        Motion motion = Motion.of(Performance.of(who.golfer(faults), movement));
        return MotionView.of(motion, new FaultLook(Seen.FACE, motion.shown(), look), who.hand());
    }

    /** The one picture that shows most of a drill on a rung. */
    static Optional<MotionView> pose(Who who, Drill drill, Rung rung) {
        return drill.movement(rung).map(movement -> {
            Motion still = Motion.still(Performance.of(who.golfer(Map.of()), movement));
            return MotionView.of(still, new FaultLook(Seen.FACE, still.shown(), looks(drill)), who.hand());
        });
    }
}
