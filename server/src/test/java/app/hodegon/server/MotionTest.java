package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.motion.Cell;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Movements of the golfer, as pages fetch them. */
@ExtendWith(RunningServer.class)
class MotionTest {

    private Client coach;

    @BeforeEach
    void signIn(Client client) {
        coach = client.coach();
    }

    private JsonNode motion(String path) {
        return coach.get("/api/motions/" + path).expect(200).body();
    }

    /** Where a point is in a picture, mm. */
    private static int[] place(JsonNode motion, JsonNode frame, String point) {
        for (int i = 0; i < motion.path("points").size(); i++) {
            if (motion.at("/points/" + i).asString().equals(point)) {
                JsonNode p = frame.path("p");
                return new int[] {
                    p.path(3 * i).asInt(),
                    p.path(3 * i + 1).asInt(),
                    p.path(3 * i + 2).asInt()
                };
            }
        }
        throw new AssertionError(point);
    }

    /** The picture at a moment. */
    private static JsonNode at(JsonNode motion, String moment) {
        for (JsonNode one : motion.path("moments")) {
            if (!one.path("id").asString().equals(moment)) continue;
            int ms = (int) Math.round(1000 * one.path("time").asDouble());
            for (JsonNode frame : motion.path("frames"))
                if (Math.abs(frame.path("at").asInt() - ms) <= 1) return frame;
        }
        throw new AssertionError(moment);
    }

    @Test
    void everyDrillThatShipsMovesOnEachOfItsRungs() {
        JsonNode catalogue = coach.get("/api/catalogue").body();
        for (String id : DrillLibrary.standard().ids()) {
            assertThat(catalogue.at("/drills/" + id + "/moving").asBoolean())
                    .as(id)
                    .isTrue();
            JsonNode motion = motion("drills/" + id);
            assertThat(motion.path("frames").size()).as(id).isBetween(20, 250);
            assertThat(motion.at("/frames/0/l")).hasSize(Cell.values().length);
        }
        JsonNode full = motion("drills/plain-swing?rung=full");
        assertThat(full.path("held").asString()).isEqualTo("iron");
        assertThat(full.path("strike").asDouble()).isPositive();
        assertThat(full.at("/frames/0/p").size())
                .isEqualTo(3 * full.path("points").size());
        JsonNode feel = motion("drills/disc-turn?rung=feel");
        assertThat(feel.path("held").isNull()).isTrue();
        assertThat(feel.at("/things/0/kind").asString()).isEqualTo("disc");
        assertThat(feel.at("/things/0/follows").asString()).isEqualTo("trail-foot");
    }

    @Test
    void aSwayGoesAwayFromTheTargetAndSaysWhereToLook() {
        JsonNode sound = motion("swing?school=full-load");
        JsonNode sway = motion("swing?school=full-load&fault=sway:1");
        JsonNode little = motion("swing?school=full-load&fault=sway:0.5");
        int there = place(sway, at(sway, "top"), "trail-hip")[0];
        int wanted = place(sound, at(sound, "top"), "trail-hip")[0];
        assertThat(wanted - there).as("mm away from the target").isBetween(50, 140);
        assertThat(place(little, at(little, "top"), "trail-hip")[0]).isBetween(there + 15, wanted - 15);
        assertThat(sway.path("look").valueStream().map(JsonNode::asString)).contains("trail-hip");
        assertThat(sway.path("seen").asString()).isEqualTo("face");
        assertThat(motion("swing?fault=early-extension:1").path("seen").asString())
                .isEqualTo("line");
        assertThat(motion("swing?fault=sway:1&fault=hanging-back:0.7").path("frames"))
                .isNotEmpty();
    }

    @Test
    void aStudentsOwnSwingMovesAsWasMeasured() {
        String lesson = Begun.swayer(coach, "improver", "", 20, 20, "range").lesson();
        JsonNode sound = coach.get(lesson + "/motion").expect(200).body();
        assertThat(sound.path("measured")).isEmpty();
        assertThat(sound.path("height").asDouble()).isEqualTo(175);
        coach.put(lesson + "/entry", """
                        {"approach":{"pressure":"full-load"},"signs":{},"before":{"readings":[
                          {"id":"pelvis-drift","at":"top","value":11,"source":"clip","swings":3},
                          {"id":"trail-share","at":"top","value":88,"source":"plate","swings":5},
                          {"id":"backswing-time","value":1100,"source":"clip","swings":3},
                          {"id":"carry","value":140,"source":"monitor","swings":3}],
                          "shots":{"flight":{},"strike":{},"divot":{}}},
                         "after":{"readings":[],"shots":{"flight":{},"strike":{},"divot":{}}},"note":""}""").expect(200);
        JsonNode own = coach.get(lesson + "/motion").expect(200).body();
        assertThat(own.path("measured")).hasSize(3);
        JsonNode motion = own.path("motion");
        int there = place(motion, at(motion, "top"), "trail-hip")[0];
        JsonNode before = sound.path("motion");
        int wanted = place(before, at(before, "top"), "trail-hip")[0];
        assertThat(wanted - there).as("mm away from the target").isBetween(60, 140);
        assertThat(trailLoad(at(motion, "top"))).isBetween(830, 930);
        assertThat(motion.path("seconds").asDouble())
                .isGreaterThan(before.path("seconds").asDouble() + 0.2);
    }

    /** Tenths of a percent of what is under both feet. */
    private static int trailLoad(JsonNode frame) {
        int[] loads = new int[8];
        for (int i = 0; i < loads.length; i++)
            loads[i] = frame.path("l").path(i).asInt();
        int trail = loads[4] + loads[5] + loads[6] + loads[7];
        return 1000 * trail / (trail + loads[0] + loads[1] + loads[2] + loads[3]);
    }

    @Test
    void theUsualMistakeAndHalfStepsAreTheirOwnMovements() {
        JsonNode right = motion("drills/foot-fence?rung=rehearse");
        JsonNode wrong = motion("drills/foot-fence?rung=rehearse&mistake=true");
        int[] kept = place(right, at(right, "finish"), "lead-toe");
        int[] moved = place(wrong, at(wrong, "finish"), "lead-toe");
        assertThat(Math.hypot(kept[0] - moved[0], kept[1] - moved[1])).isGreaterThan(30);
        assertThat(motion("drills/disc-turn?rung=feel&halfStep=slower")
                        .path("seconds")
                        .asDouble())
                .isGreaterThan(1.3
                        * motion("drills/disc-turn?rung=feel").path("seconds").asDouble());
        coach.get("/api/motions/drills/plain-swing?mistake=true").refused(404);
        JsonNode set = motion("drills/across-in-three?rung=feel");
        JsonNode first = motion("drills/across-in-three?rung=feel&halfStep=move-1");
        assertThat(first.path("moments").size())
                .as("the first move's own")
                .isNotEqualTo(set.path("moments").size());
    }

    @Test
    void whoeverIsSignedInMayWatchAndNonsenseIsNamed() {
        Client student = coach.fresh().student();
        assertThat(student.get("/api/motions/drills/disc-turn?hand=left")
                        .expect(200)
                        .body()
                        .path("moments"))
                .hasSize(8);
        for (String wrong : List.of(
                "drills/disc-turn?rung=prepare",
                "drills/disc-turn?rung=moon",
                "drills/disc-turn?hand=both",
                "swing?school=none",
                "swing?fault=luck:1")) {
            coach.get("/api/motions/" + wrong).refused(422);
        }
        coach.get("/api/motions/drills/none").refused(404);
        for (String wrong : List.of("swing?fault=sway", "swing?fault=sway:7", "swing?height=12", "swing?height=x")) {
            coach.get("/api/motions/" + wrong).refused(400);
        }
        student.post("/api/motions/preview?rung=feel", "{}").refused(403);
    }

    @Test
    void aMovementBeingWrittenIsShownAndWhatIsWrongIsSaid() {
        String held = "{\"pauses\":{\"top\":2},\"mistake\":{\"fault\":\"sway\"}}";
        JsonNode shown =
                coach.post("/api/motions/preview?rung=feel", held).expect(200).body();
        JsonNode plain =
                coach.post("/api/motions/preview?rung=feel", "{}").expect(200).body();
        assertThat(shown.path("seconds").asDouble())
                .isGreaterThan(plain.path("seconds").asDouble() + 1.9);
        coach.post("/api/motions/preview?rung=feel&mistake=true", held).expect(200);
        assertThat(coach.post("/api/motions/preview?rung=feel", "{\"pauses\":{\"lunch\":2}}")
                        .refused(422)
                        .body()
                        .toString())
                .contains("lunch");
        coach.post("/api/motions/preview?rung=feel", "[]").refused(422);
    }

    @Test
    void allPosesComeAtOnce() {
        JsonNode poses = motion("poses?hand=left");
        assertThat(poses.size()).isEqualTo(DrillLibrary.standard().ids().size());
        poses.forEach(pose -> assertThat(pose.path("frames")).hasSize(1));
        JsonNode asked =
                motion("poses?of=step-in-swing:feel&of=step-in-swing:build&of=gone:feel&of=step-in-swing:full");
        assertThat(asked.propertyNames()).containsExactly("step-in-swing:feel", "step-in-swing:build");
        assertThat(asked.path("step-in-swing:feel").path("held").isNull()).isTrue();
        assertThat(asked.path("step-in-swing:build").path("held").asString()).isEqualTo("iron");
    }

    @Test
    void theGolferLoadsAsTheCoachTeachesAndTheStudentIsTaught() {
        JsonNode approach = coach.get("/api/students/" + coach.student("Petra Lund") + "/approach")
                .expect(200)
                .body();
        String taught = approach.at("/exceptions/pressure")
                .asString(approach.at("/coach/pressure").asString());
        Client petra = coach.fresh().signIn("petra@demo.example", "demo-student");
        assertThat(loads(petra, "")).isEqualTo(loads(petra, "&school=" + taught));
        String own = approach.at("/coach/pressure").asString();
        assertThat(loads(coach, "")).isEqualTo(loads(coach, "&school=" + own));
        assertThat(loads(coach, "")).isNotEqualTo(loads(coach, "&school=centred"));
    }

    @Test
    void aStudentSeesAGolferOfTheirOwnHeight() {
        Client petra = coach.fresh().signIn("petra@demo.example", "demo-student");
        String drill = "/api/motions/drills/plain-swing?rung=full";
        int usual = head(petra, drill + "&height=175");
        int coachs = head(coach, drill);
        String path = "/api/students/" + coach.student("Petra Lund");
        ObjectNode profile = (ObjectNode) coach.get(path).expect(200).body().path("profile");
        double was = profile.path("height").asDouble();
        coach.put(path, profile.put("height", 150).toString()).expect(200);
        assertThat(head(petra, drill)).isBetween(usual * 150 / 175 - 20, usual * 150 / 175 + 20);
        assertThat(head(coach, drill)).isEqualTo(coachs);
        coach.put(path, profile.put("height", was).toString()).expect(200);
    }

    /** Over the ground at address, mm. */
    private static int head(Client client, String motion) {
        JsonNode shown = client.get(motion).expect(200).body();
        return place(shown, at(shown, "address"), "nose")[2];
    }

    private static String loads(Client client, String school) {
        JsonNode motion = client.get("/api/motions/drills/plain-swing?rung=full" + school)
                .expect(200)
                .body();
        return at(motion, "top").path("l").toString();
    }
}
