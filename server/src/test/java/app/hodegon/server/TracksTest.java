package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.golfer.BodyPoint;
import app.hodegon.core.golfer.GolfSwing;
import app.hodegon.core.golfer.Golfer;
import app.hodegon.core.golfer.Pace;
import app.hodegon.core.simulate.Camera;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.track.Track;
import app.hodegon.core.track.View;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** The calculator for a film's points. */
@ExtendWith(RunningServer.class)
class TracksTest {

    private static final List<BodyPoint> POINTS = List.copyOf(Track.POINTS);
    private static final double RATE = 60;
    private static final double BEFORE = 0.8;
    private static final Map<Fault, Double> SWAY = Map.of(Fault.SWAY, 1.0);

    private Client client;

    @BeforeEach
    void coach(Client client) {
        this.client = client.coach();
    }

    @Test
    void eitherHandIsReadTheSame() {
        JsonNode right = read(Handedness.RIGHT);
        JsonNode left = read(Handedness.LEFT);
        assertThat(right.path("view").asString()).isEqualTo("face-on");
        assertThat(right.at("/scale/from").asString()).isEqualTo("marks");
        assertThat(right.at("/scale/pixelsPerCentimetre").asDouble()).isCloseTo(3.2, within(0.01));
        assertThat(right.path("moments").findValuesAsString("id")).contains("address", "arm-back", "top", "impact");
        double drift = reading(right, "pelvis-drift", "top");
        GolfSwing swing = swing(Handedness.RIGHT);
        assertThat(drift)
                .isCloseTo(
                        swing.truth(Measure.PELVIS_DRIFT, Optional.of(Checkpoint.TOP))
                                .orElseThrow(),
                        within(1.0));
        assertThat(reading(left, "pelvis-drift", "top")).isCloseTo(drift, within(0.05));
        assertThat(reading(left, "shoulder-turn", "top"))
                .isCloseTo(reading(right, "shoulder-turn", "top"), within(1.0));
    }

    @Test
    void whatIsWrongIsRefusedByName() {
        String good = request(Handedness.RIGHT, swing(Handedness.RIGHT));
        refused(good.replace("\"right\"", "\"middle\""), "handedness");
        refused(good.replace("face-on", "from-above"), "view");
        refused(good.replace("\"nose\"", "\"tail\""), "points");
        refused(good.replace("\"left-ear\"", "\"nose\""), "points");
        refused(good.replace("\"frameRate\":60", "\"frameRate\":2"), "frameRate");
        refused(good.replace("\"frameRate\":60,", ""), "frameRate");
        refused(good.replace("\"centimetres\":91.4", "\"centimetres\":0"), "scale");
        refused(good.replace("\"moments\":{}", "\"moments\":{\"top\":-1}"), "moments");
        refused(good.replace("\"moments\":{}", "\"moments\":{\"summit\":1}"), "moments");
        refused(good.replace("\"moments\":{}", "\"moments\":{\"impact\":99}"), "moments");
        refused(good.replace("\"moments\":{}", "\"moments\":{},\"times\":[0,0.1]"), "times");
        refused(good.replaceFirst("\\[\\[\\[[^]]*]", "[[[1,2]"), "frames");
        refused(good.replaceFirst("\\[\\[\\[[^]]*]", "[[[1,2,7]"), "frames");
        refused(good.replaceFirst("\\[\\[\\[[^]]*]", "[[[1e9,2,1]"), "frames");
        refused(good.replaceFirst("\"frames\":\\[\\[", "\"frames\":[[],["), "frames");
        refused(good.replaceFirst("\"frames\":.*?]]]", "\"frames\":[[[1,2,1]]]"), "frames");
        for (String broken : List.of("\"frames\":\"no\"", "\"frames\":[[[\"a\",2,1]]]", "\"frames\":null")) {
            assertThat(client.post("/api/tracks/read", good.replaceFirst("\"frames\":.*?]]]", broken))
                            .status())
                    .isBetween(400, 422);
        }
        assertThat(client.fresh().post("/api/tracks/read", good).status()).isIn(401, 403);
    }

    @Test
    void pointsSetByHandAtThreeMomentsAreMeasuredLessWell() {
        String set = setByHand(Handedness.LEFT, swing(Handedness.LEFT));
        JsonNode read = client.post("/api/tracks/read", set).expect(200).body();
        assertThat(read.path("moments").findValuesAsString("id")).containsExactly("address", "top", "impact");
        assertThat(reading(read, "pelvis-drift", "top"))
                .isCloseTo(reading(read(Handedness.LEFT), "pelvis-drift", "top"), within(1.0));
        refused(set.replace("\"address\":0.8", "\"address\":0.7"), "moments");
        refused(set.replaceFirst("\"times\":.*?],", ""), "byHand");
        refused(set.replace("\"frameRate\":60", "\"frameRate\":1e9"), "frames");
    }

    private void refused(String body, String field) {
        JsonNode problem = client.post("/api/tracks/read", body).refused(422).body();
        assertThat(problem.toString()).contains(field);
    }

    private JsonNode read(Handedness hand) {
        return client.post("/api/tracks/read", request(hand, swing(hand)))
                .expect(200)
                .body();
    }

    private static double reading(JsonNode answer, String measure, String at) {
        return answer.path("readings")
                .valueStream()
                .filter(r -> r.path("measure").asString().equals(measure)
                        && r.path("at").asString("").equals(at))
                .findFirst()
                .orElseThrow()
                .path("value")
                .asDouble();
    }

    static GolfSwing swing(Handedness hand) {
        return new Golfer(hand, 178, PressureSchool.CENTRED, SWAY, Pace.USUAL).swing();
    }

    private static Track film(GolfSwing swing) {
        return Camera.ideal(View.FACE_ON, RATE, 0.3).film(swing, BEFORE, 0.8, new Random(2));
    }

    static String request(Handedness hand, GolfSwing swing) {
        Track film = film(swing);
        return request(hand, film, IntStream.range(0, film.length()), "{}");
    }

    /** The points of three pictures alone, as somebody set them. */
    static String setByHand(Handedness hand, GolfSwing swing) {
        List<Checkpoint> asked = List.of(Checkpoint.ADDRESS, Checkpoint.TOP, Checkpoint.IMPACT);
        int[] pictures = asked.stream()
                .mapToInt(at -> (int) Math.round((BEFORE + swing.seconds(at)) * RATE))
                .toArray();
        String times = IntStream.of(pictures).mapToObj(i -> "" + i / RATE).collect(Collectors.joining(",", "[", "]"));
        String moments = IntStream.range(0, pictures.length)
                .mapToObj(i -> "\"%s\":%s".formatted(asked.get(i).id(), pictures[i] / RATE))
                .collect(Collectors.joining(",", "{", "}"));
        return request(hand, film(swing), IntStream.of(pictures), moments)
                .replaceFirst("\\{", "{\"byHand\":true,\"times\":" + times + ",");
    }

    private static String request(Handedness hand, Track film, IntStream pictures, String moments) {
        int sign = View.FACE_ON.sign(hand);
        String frames = pictures.mapToObj(i -> POINTS.stream()
                        .map(p -> film.path(p).orElseThrow())
                        .map(p -> String.format(
                                Locale.ROOT,
                                "[%.2f,%.2f,%.2f]",
                                640 + sign * p.along()[i],
                                500 - p.up()[i],
                                p.certainty()[i]))
                        .collect(Collectors.joining(",", "[", "]")))
                .collect(Collectors.joining(",", "[", "]"));
        String names = POINTS.stream().map(p -> '"' + p.name(hand) + '"').collect(Collectors.joining(",", "[", "]"));
        return """
                {"handedness":"%s","view":"face-on","frameRate":60,
                 "scale":{"from":[100,900],"to":[392.48,900],"centimetres":91.4},"moments":%s,
                 "points":%s,"frames":%s}""".formatted(hand.id(), moments, names, frames);
    }
}
