package app.hodegon.core.drill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.DrillMovement.Mistake;
import app.hodegon.core.golfer.BodyPoint;
import app.hodegon.core.golfer.Coordinate;
import app.hodegon.core.golfer.Golfer;
import app.hodegon.core.golfer.Motion;
import app.hodegon.core.golfer.Motion.Frame;
import app.hodegon.core.golfer.Movement;
import app.hodegon.core.golfer.Movement.Club;
import app.hodegon.core.golfer.Movement.Spot;
import app.hodegon.core.golfer.Pace;
import app.hodegon.core.golfer.Performance;
import app.hodegon.core.golfer.Placed;
import app.hodegon.core.golfer.Point;
import app.hodegon.core.motion.Cell;
import app.hodegon.core.motion.Foot;
import app.hodegon.core.swing.Handedness;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Every drill's movement against what else is said of the drill. */
class DrillMovementTest {

    private static final double HEIGHT = 175;
    private static final DrillLibrary LIBRARY = DrillLibrary.standard();

    static Stream<Drill> drills() {
        return LIBRARY.all().stream();
    }

    private static List<Rung> rungs(Drill drill) {
        return Arrays.stream(Rung.values()).filter(drill::covers).toList();
    }

    private static Performance right(Drill drill, Rung rung) {
        return performed(drill.movement(rung).orElseThrow(), Map.of());
    }

    private static Performance wrong(Drill drill, Rung rung) {
        Mistake mistake = drill.movement().orElseThrow().mistake().orElseThrow();
        return performed(
                drill.movement().orElseThrow().mistaken(rung, drill.speed(rung)).orElseThrow(),
                mistake.fault().map(f -> Map.of(f, mistake.strength())).orElse(Map.of()));
    }

    private static Performance performed(Movement movement, Map<Fault, Double> faults) {
        return Performance.of(
                new Golfer(Handedness.RIGHT, HEIGHT, PressureSchool.EARLY_RETURN, faults, Pace.USUAL), movement);
    }

    /** All that are to be seen: right and wrong on each rung. */
    private static List<Performance> all(Drill drill) {
        List<Performance> all = new ArrayList<>();
        for (Rung rung : rungs(drill)) {
            all.add(right(drill, rung));
            if (drill.movement().orElseThrow().mistake().isPresent()) all.add(wrong(drill, rung));
        }
        return all;
    }

    @ParameterizedTest
    @MethodSource("drills")
    void aBodyHoldsTogetherAndStandsOnTheGround(Drill drill) {
        for (Performance performance : all(drill)) {
            Map<BodyPoint, Point> last = null;
            double slow = performance.movement().manner().tempo() / 100;
            for (double t = 0; t <= performance.duration(); t += 0.01) {
                Map<BodyPoint, Point> body = performance.body(t);
                for (String side : List.of("LEAD", "TRAIL")) {
                    assertThat(distance(body, side + "_HIP", side + "_KNEE")).isCloseTo(0.245 * HEIGHT, within(0.3));
                    assertThat(distance(body, side + "_KNEE", side + "_ANKLE")).isCloseTo(0.246 * HEIGHT, within(0.3));
                    assertThat(distance(body, side + "_SHOULDER", side + "_ELBOW"))
                            .isCloseTo(0.186 * HEIGHT, within(0.3));
                    assertThat(distance(body, side + "_ELBOW", side + "_WRIST")).isLessThan(0.150 * HEIGHT + 3);
                }
                for (BodyPoint point : body.keySet()) {
                    assertThat(body.get(point).z())
                            .as(drill.id() + " " + point + " at " + t)
                            .isGreaterThan(-1);
                    if (last == null || !last.containsKey(point)) continue;
                    double most = (point == BodyPoint.CLUB_HEAD ? 60 : 22) * Math.max(0.5, slow);
                    assertThat(body.get(point).distance(last.get(point)))
                            .as(drill.id() + " " + point + " at " + t)
                            .isLessThan(most);
                }
                last = body;
            }
        }
    }

    private static double distance(Map<BodyPoint, Point> body, String from, String to) {
        return body.get(BodyPoint.valueOf(from)).distance(body.get(BodyPoint.valueOf(to)));
    }

    @ParameterizedTest
    @MethodSource("drills")
    void aFootInTheAirBearsNothingAndStepsAreThoseOfTheDrill(Drill drill) {
        Performance performance = right(drill, drill.lowest());
        boolean leadSteps = false;
        boolean trailSteps = false;
        for (double t = 0; t <= performance.duration(); t += 0.01) {
            boolean lead = performance.value(Coordinate.LEAD_LIFT, t) > 3;
            boolean trail = performance.value(Coordinate.TRAIL_LIFT, t) > 3;
            assertThat(lead && trail).as("nobody jumps").isFalse();
            if (lead)
                assertThat(load(performance, Foot.LEAD, t))
                        .as(drill.id() + " at " + t)
                        .isLessThan(45);
            if (trail)
                assertThat(load(performance, Foot.TRAIL, t))
                        .as(drill.id() + " at " + t)
                        .isLessThan(45);
            leadSteps |= lead;
            trailSteps |= trail;
        }
        // Sitting, a foot travels with hardly a load on it; walking through, the trail foot is the one that steps.
        if (Set.of("seated-hip-roll", "walk-through").contains(drill.id())) return;
        Diagram.Move move = drill.diagram().move();
        assertThat(trailSteps).as(drill.id()).isEqualTo(move == Diagram.Move.STEP_TRAIL);
        assertThat(leadSteps)
                .as(drill.id())
                .isEqualTo(move == Diagram.Move.STEP_LEAD || drill.id().equals("two-step-swing"));
    }

    private static double load(Performance performance, Foot foot, double t) {
        return Arrays.stream(Cell.values())
                .filter(c -> c.foot() == foot)
                .mapToDouble(c -> performance.load(c, t))
                .sum();
    }

    @ParameterizedTest
    @MethodSource("drills")
    void whatTheDiagramPressesIsLoaded(Drill drill) {
        Performance performance = right(drill, drill.lowest());
        for (Spot zone : drill.diagram().press()) {
            boolean loaded = performance.moments().stream().anyMatch(m -> isLoaded(performance, zone, m.seconds()));
            assertThat(loaded).as(drill.id() + ": " + zone.id()).isTrue();
        }
    }

    /** A part bears more than its half of the foot; a whole sole at least its half of both. */
    private static boolean isLoaded(Performance performance, Spot zone, double t) {
        Foot foot = zone.id().startsWith("lead") ? Foot.LEAD : Foot.TRAIL;
        double whole = load(performance, foot, t);
        if (zone.id().endsWith("-sole")) {
            return whole >= 0.48 * (load(performance, Foot.LEAD, t) + load(performance, Foot.TRAIL, t));
        }
        Predicate<Cell> part = switch (zone.id().substring(zone.id().indexOf('-') + 1)) {
            case "toe" -> Cell::front;
            case "heel" -> c -> !c.front();
            case "outer" -> Cell::outer;
            default -> c -> !c.outer();
        };
        double borne = Arrays.stream(Cell.values())
                .filter(c -> c.foot() == foot)
                .filter(part)
                .mapToDouble(c -> performance.load(c, t))
                .sum();
        return whole > 10 && borne > 0.55 * whole;
    }

    @ParameterizedTest
    @MethodSource("drills")
    void clubAndBallAreThoseOfTheRungAndThingsLieWhereTheyAreDrawn(Drill drill) {
        for (Rung rung : rungs(drill)) {
            Performance performance = right(drill, rung);
            assertThat(performance.ball().isPresent())
                    .as(drill.id() + " " + rung)
                    .isEqualTo(rung.withBall());
            if (rung.withBall()) {
                assertThat(performance.movement().manner().club()).isNotEqualTo(Club.NONE);
                Point head =
                        performance.body(performance.moments().get(6).seconds()).get(BodyPoint.CLUB_HEAD);
                assertThat(head.distance(performance.ball().orElseThrow()))
                        .as(drill.id() + " " + rung + ": the club is at the ball when it strikes")
                        .isLessThan(6);
            }
        }
        Motion motion = Motion.of(right(drill, drill.lowest()));
        Map<BodyPoint, Point> stands = motion.frames().get(0).body();
        for (Placed thing : motion.things()) {
            Point middle = new Point(
                    (thing.from().x() + thing.to().x()) / 2,
                    (thing.from().y() + thing.to().y()) / 2,
                    0);
            double nearest = stands.values().stream()
                    .mapToDouble(p -> Math.hypot(p.x() - middle.x(), p.y() - middle.y()))
                    .min()
                    .orElseThrow();
            assertThat(nearest).as(drill.id() + ": " + thing.kind().id()).isLessThan(20);
        }
    }

    @ParameterizedTest
    @MethodSource("drills")
    void theUsualMistakeIsAnother(Drill drill) {
        DrillMovement movement = drill.movement().orElseThrow();
        if (drill.id().equals("plain-swing")) return;
        Mistake mistake = movement.mistake().orElseThrow();
        assertThat(mistake.look()).as("where to look").isNotEmpty();
        Performance right = right(drill, drill.lowest());
        Performance wrong = wrong(drill, drill.lowest());
        double farthest = 0;
        double load = 0;
        for (double part = 0; part <= 1; part += 0.02) {
            Frame a = Motion.frame(right, part * right.duration());
            Frame b = Motion.frame(wrong, part * wrong.duration());
            for (BodyPoint point : mistake.look()) {
                farthest =
                        Math.max(farthest, a.body().get(point).distance(b.body().get(point)));
            }
            for (int i = 0; i < a.loads().length; i++) load = Math.max(load, Math.abs(a.loads()[i] - b.loads()[i]));
        }
        assertThat(farthest > 2.5 || load > 8)
                .as("%s: %.1f cm, %.1f %%", drill.id(), farthest, load)
                .isTrue();
    }

    @Test
    void halfStepsThatLookDifferentDo() {
        Drill disc = LIBRARY.drill("disc-turn");
        DrillMovement movement = disc.movement().orElseThrow();
        double plain = right(disc, Rung.FEEL).duration();
        assertThat(performed(movement.on(Rung.FEEL, disc.speed(Rung.FEEL), HalfStep.STANDARD.get("slower")), Map.of())
                        .duration())
                .isGreaterThan(1.3 * plain);
        assertThat(movement.on(Rung.FEEL, 50, HalfStep.STANDARD.get("with-club"))
                        .manner()
                        .hands()
                        .id())
                .isEqualTo("stick");
        Drill hold = LIBRARY.drill("top-hold");
        assertThat(hold.movement()
                        .orElseThrow()
                        .on(Rung.REHEARSE, 50, HalfStep.STANDARD.get("no-pause"))
                        .pauses())
                .isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{\"base\":\"flying\"}",
                "{\"pauses\":{\"lunch\":1}}",
                "{\"pauses\":{\"top\":-1}}",
                "{\"steps\":[{\"foot\":\"lead\",\"from\":\"top\",\"to\":\"address\",\"along\":1,\"in\":0}]}",
                "{\"steps\":[{\"foot\":\"lead\",\"from\":\"address\",\"to\":\"top\",\"along\":900,\"in\":0}]}",
                "{\"set\":{\"luck\":1}}",
                "{\"set\":{\"bend\":{\"top\":\"far\"}}}",
                "{\"things\":{\"trail-toe\":\"piano\"}}",
                "{\"names\":{\"top\":\"\"}}",
                "{\"mistake\":{\"strength\":2}}",
                "{\"on\":{\"feel\":{\"length\":900}}}",
                "{\"twirl\":1}",
                "\"swing\""
            })
    void whatCannotBeIsRefusedByName(String movement) {
        String file = DrillFile.write(List.of(LIBRARY.drill("disc-turn")));
        int at = file.indexOf("\"movement\"");
        String broken = file.substring(0, at) + "\"movement\": " + movement + "}]";
        assertThatThrownBy(() -> DrillFile.read(broken, Set.of()))
                .isInstanceOf(DrillFile.Broken.class)
                .hasMessageContaining("[0].movement");
    }

    @Test
    void theGolferHasWhatIsDrawnWithTheSolesUnlessTheDrillSaysOtherwise() {
        assertThat(LIBRARY.drill("disc-turn").movement().orElseThrow().things())
                .isEqualTo(LIBRARY.drill("disc-turn").diagram().things())
                .isNotEmpty();
        assertThat(LIBRARY.drill("forward-ball").movement().orElseThrow().things())
                .as("the ball that is drawn is the one that is hit")
                .isEmpty();
    }

    @Test
    void aDrillIsShownAsFastAsItIsAskedFor() {
        Drill disc = LIBRARY.drill("disc-turn");
        for (Rung rung : rungs(disc)) {
            assertThat(disc.movement(rung).orElseThrow().manner().tempo()).isEqualTo(disc.speed(rung));
        }
    }

    @Test
    void aMovementComesBackFromAFileAsItWas() {
        List<Drill> all = List.copyOf(LIBRARY.all());
        assertThat(DrillFile.read(DrillFile.write(all), Set.of()))
                .extracting(Drill::movement)
                .isEqualTo(all.stream().map(Drill::movement).toList());
    }
}
