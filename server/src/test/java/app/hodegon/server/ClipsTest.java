package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.hodegon.core.swing.Handedness;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Filmed swings of a lesson: stored, set by hand, kept or not, their pictures only where somebody agreed. */
@ExtendWith(RunningServer.class)
class ClipsTest {

    private static final String PICTURE = "{\"jpeg\":\"" + Still.BASE64 + "\"}";

    private static final int LARGEST_FILM = 1536 * 1024;

    private Client client;
    private String student;
    private String lesson;

    @BeforeEach
    void lesson(Client client) {
        this.client = client.coach();
        student = this.client
                .post("/api/students", """
                        {"name":"Filmed Fern","handedness":"left","level":"club","ageBand":"adult","shoes":"soft",
                         "units":"metric","complaint":"","flags":[],"kit":["ball"],"week":{}}""")
                .expect(201)
                .body()
                .path("id")
                .asString();
        lesson = this.client
                .post("/api/students/" + student + "/lessons", "")
                .expect(201)
                .body()
                .path("id")
                .asString();
    }

    @Test
    void aClipMakesReadingsThatTheDiagnosisRestsOn() {
        JsonNode view = add("before").expect(200).body();
        JsonNode clip = view.at("/clips/0");
        assertThat(clip.path("view").asString()).isEqualTo("face-on");
        assertThat(clip.at("/ruler/from").asString()).isEqualTo("marks");
        assertThat(view.path("height").isNull()).isTrue();

        JsonNode told = client.get("/api/lessons/" + lesson).expect(200).body();
        assertThat(told.path("measured").toString()).contains("pelvis-drift").contains("\"clip\"");
        assertThat(told.at("/diagnosis/faults/0/id").asString()).isEqualTo("sway");

        String id = clip.path("id").asString();
        JsonNode points = client.get("/api/clips/" + id + "/points").expect(200).body();
        assertThat(points.path("frames").size()).isEqualTo(points.path("times").size());
        assertThat(points.at("/frames/0").size()).isEqualTo(19);

        client.put("/api/clips/" + id + "/state", "{\"state\":\"thrown\",\"stage\":\"before\"}")
                .expect(200);
        assertThat(client.get("/api/lessons/" + lesson).body().path("measured").size())
                .isZero();
        client.put("/api/clips/" + id + "/state", "{\"state\":\"kept\",\"stage\":\"after\"}")
                .expect(200);
        assertThat(client.delete("/api/clips/" + id)
                        .expect(200)
                        .body()
                        .path("clips")
                        .size())
                .isZero();
    }

    @Test
    void whatIsSetByHandTakesItsReadingsAlong() {
        JsonNode clip = add("before").expect(200).body().at("/clips/0");
        String id = clip.path("id").asString();
        double top = time(clip, "top");
        JsonNode moved = client.put(
                        "/api/clips/" + id + "/told",
                        "{\"moments\":{\"top\":%s},\"scale\":null,\"height\":178}".formatted(top - 0.1))
                .expect(200)
                .body();
        assertThat(moved.path("height").asDouble()).isEqualTo(178);
        assertThat(moved.at("/clips/0/ruler/from").asString()).isEqualTo("height");
        assertThat(time(moved.at("/clips/0"), "top")).isCloseTo(top - 0.1, within(1e-3));
        assertThat(clip.at("/scale/centimetres").asDouble()).isEqualTo(91.4);
        assertThat(moved.at("/clips/0/scale").isNull()).isTrue();
        assertThat(moved.at("/clips/0/golferHeight").asDouble()).isEqualTo(178);
        JsonNode back = client.put("/api/clips/" + id + "/told", "{\"moments\":{\"top\":null}}")
                .expect(200)
                .body()
                .at("/clips/0");
        assertThat(time(back, "top")).isEqualTo(top);
        assertThat(back.at("/ruler/from").asString()).isEqualTo("none");
        client.put("/api/clips/" + id + "/told", "{\"moments\":{\"summit\":1}}").refused(422);
        client.put("/api/clips/" + id + "/told", "{\"moments\":{\"top\":99}}").refused(422);
    }

    @Test
    void pointsThatTheCoachSetAreKeptAsTheyAreAndTheirMomentsStay() {
        String swing = TracksTest.setByHand(Handedness.LEFT, TracksTest.swing(Handedness.LEFT));
        JsonNode clip = post("before", swing).expect(200).body().at("/clips/0");
        String id = clip.path("id").asString();
        JsonNode points = client.get("/api/clips/" + id + "/points").expect(200).body();
        assertThat(points.path("byHand").asBoolean()).isTrue();
        assertThat(points.path("frames").size()).isEqualTo(3);
        assertThat(client.get("/api/lessons/" + lesson).body().path("measured").toString())
                .contains("pelvis-drift");
        client.put("/api/clips/" + id + "/told", "{\"moments\":{\"top\":%s}}".formatted(time(clip, "top") - 0.1))
                .refused(422);
        client.put("/api/clips/" + id + "/told", "{\"moments\":{},\"height\":180}")
                .expect(200);
    }

    @Test
    void picturesAreKeptOnlyWhereSomebodyAgreedAndGoWithTheAgreement() {
        String id = add("before").expect(200).body().at("/clips/0/id").asString();
        String top = "/api/clips/" + id + "/pictures/top";
        client.put(top, PICTURE).refused(409);
        client.put("/api/students/" + student + "/pictures-agreed", "{\"by\":\"Fern herself\"}")
                .expect(204);
        client.put(top, PICTURE).expect(204);
        client.put(top, "{\"jpeg\":\"bm8gcGljdHVyZQ==\"}").refused(422);
        client.put(top.replace("top", "summit"), PICTURE).refused(422);
        JsonNode view =
                client.get("/api/lessons/" + lesson + "/clips").expect(200).body();
        assertThat(view.at("/agreed/by").asString()).isEqualTo("Fern herself");
        assertThat(view.at("/clips/0/pictures/0").asString()).isEqualTo("top");
        assertThat(client.get("/api/students/" + student + "/record")
                        .expect(200)
                        .body()
                        .toString())
                .contains("clipStill");

        client.put("/api/students/" + student + "/pictures-agreed", "{}").expect(204);
        assertThat(client.get("/api/lessons/" + lesson + "/clips")
                        .body()
                        .at("/clips/0/pictures")
                        .size())
                .isZero();
        client.get(top).refused(404);
    }

    @Test
    void theFilmIsKeptOnlyWhereSomebodyAgreedAndAsManyAsSaid() {
        String id = add("before").expect(200).body().at("/clips/0/id").asString();
        String film = "/api/clips/" + id + "/film";
        client.get(film).refused(404);
        client.put(film, film(40)).refused(409);
        client.put("/api/students/" + student + "/pictures-agreed", "{\"by\":\"Fern herself\"}")
                .expect(204);
        client.put(film, film(40).replace("AAAAAGZ0eXA", "AAAAAG5vbmU")).refused(422);
        client.put(film, film(40).replace("Fern herself", " ")).refused(400);
        client.put(film, film(LARGEST_FILM + 1)).refused(422);
        client.put(film, film(40)).expect(204);
        client.put(film, film(50)).expect(204);
        assertThat(films()).containsExactly(50);
        assertThat(client.get(film).expect(200).contentType()).isEqualTo("video/mp4");
        client.delete(film).expect(204);
        assertThat(films()).containsExactly(0);

        client.put(film, film(LARGEST_FILM)).expect(204);
        for (int more = 1; more < 12; more++) keepAnother().expect(204);
        keepAnother().refused(409);
        client.put(film, film(60)).expect(204);
        client.put("/api/students/" + student + "/pictures-agreed", "{}").expect(204);
        client.get(film).refused(404);
    }

    private Client.Answer keepAnother() {
        JsonNode clips = add("before").expect(200).body().path("clips");
        return client.put("/api/clips/" + clips.get(clips.size() - 1).path("id").asString() + "/film", film(40));
    }

    private List<Integer> films() {
        return client.get("/api/lessons/" + lesson + "/clips")
                .expect(200)
                .body()
                .path("clips")
                .valueStream()
                .map(clip -> clip.path("film").asInt(0))
                .toList();
    }

    private static String film(int bytes) {
        byte[] film = new byte[bytes];
        System.arraycopy("ftyp".getBytes(StandardCharsets.US_ASCII), 0, film, 4, 4);
        return "{\"mp4\":\"%s\",\"agreed\":\"Fern herself\"}"
                .formatted(Base64.getEncoder().encodeToString(film));
    }

    @Test
    void theClipsOfLessonsBeforeMayStandBesideOne() {
        add("after").expect(200);
        String next = client.post("/api/students/" + student + "/lessons", "")
                .expect(201)
                .body()
                .path("id")
                .asString();
        JsonNode earlier = client.get("/api/lessons/" + next + "/earlier-clips")
                .expect(200)
                .body();
        assertThat(earlier.size()).isEqualTo(1);
        assertThat(earlier.at("/0/clips/0/stage").asString()).isEqualTo("after");
        assertThat(client.get("/api/lessons/" + lesson + "/earlier-clips")
                        .expect(200)
                        .body()
                        .size())
                .isZero();
    }

    private static double time(JsonNode clip, String moment) {
        return clip.path("moments")
                .valueStream()
                .filter(m -> m.path("id").asString().equals(moment))
                .findFirst()
                .orElseThrow()
                .path("time")
                .asDouble();
    }

    private Client.Answer add(String stage) {
        return post(stage, TracksTest.request(Handedness.LEFT, TracksTest.swing(Handedness.LEFT)));
    }

    private Client.Answer post(String stage, String track) {
        return client.post("/api/lessons/" + lesson + "/clips", """
                {"stage":"%s","name":"swing.mp4","width":1280,"height":960,"track":%s}""".formatted(stage, track));
    }
}
