package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.swing.Handedness;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A swing that a student films between two lessons: found on the phone, looked at by the coach. */
@ExtendWith(RunningServer.class)
class SentClipsTest {

    private static final String PICTURE = Still.BASE64;

    private Client coach;
    private Client phone;
    private String student;

    @BeforeEach
    void people(Client client) {
        coach = client.coach();
        student = coach.post("/api/students", """
                        {"name":"Sorrel Sends","handedness":"right","level":"club","ageBand":"adult","shoes":"soft",
                         "units":"metric","complaint":"","flags":[],"kit":["ball"],"week":{}}""").expect(201).body().path("id").asString();
        String token = coach.post("/api/students/" + student + "/invitation", "")
                .expect(201)
                .body()
                .path("token")
                .asString();
        phone = coach.fresh();
        phone.get("/api/session").expect(200);
        String mail = "sorrel-" + student + "@lindmoor.example";
        phone.post("/api/invitations/" + token, """
                        {"email":"%s","password":"meadow-lark-9"}""".formatted(mail)).expect(201);
        phone.get("/api/session").expect(200);
    }

    @Test
    void itWaitsForTheCoachUntilItIsLookedAt() {
        JsonNode sent = send("null").expect(201).body();
        String id = sent.at("/0/clip/id").asString();
        assertThat(sent.at("/0/seen").asBoolean()).isFalse();
        assertThat(sent.at("/0/clip/pictures").size()).isZero();

        JsonNode wants = waiting(id);
        assertThat(wants.path("kind").asString()).isEqualTo("film");
        assertThat(wants.path("reason").asString()).startsWith("A swing, filmed face on: the pelvis is");
        assertThat(coach.get("/api/students/" + student + "/sent-clips")
                        .expect(200)
                        .body()
                        .at("/0/clip/view")
                        .asString())
                .isEqualTo("face-on");
        coach.get("/api/clips/" + id + "/points").expect(200);

        JsonNode told = coach.put("/api/clips/" + id + "/told", "{\"moments\":{},\"height\":181}", null)
                .expect(200)
                .body();
        assertThat(told.at("/clips/0/ruler/from").asString()).isEqualTo("height");
        assertThat(told.path("height").asDouble()).isEqualTo(181);

        coach.post("/api/clips/" + id + "/seen", "").expect(204);
        assertThat(phone.get("/api/me/clips").expect(200).body().at("/0/seen").asBoolean())
                .isTrue();
        assertThat(waiting(id)).isNull();
        // It is of no lesson: nothing of a lesson is changed by it.
        coach.put("/api/clips/" + id + "/state", "{\"state\":\"thrown\",\"stage\":\"before\"}")
                .refused(404);
    }

    @Test
    void itsPicturesAreKeptOnlyWithAWordAndItGoesWhenItIsTakenBack() {
        String silent = send("null").expect(201).body().at("/0/clip/id").asString();
        picture(silent, "top", PICTURE).refused(409);
        String id =
                send("\"Sorrel herself\"").expect(201).body().at("/0/clip/id").asString();
        picture(id, "top", PICTURE).expect(204);
        picture(id, "summit", PICTURE).refused(422);
        String film = "{\"mp4\":\"AAAAIGZ0eXBpc29tAAAAAGlzb20=\",\"agreed\":\"Sorrel herself\"}";
        phone.put("/api/me/clips/" + silent + "/film", film, null).expect(204);
        phone.put("/api/me/clips/" + id + "/film", film, null).expect(204);
        assertThat(coach.get("/api/students/" + student + "/sent-clips")
                        .body()
                        .at("/0/clip/film")
                        .asInt())
                .isEqualTo(20);
        coach.get("/api/clips/" + id + "/film").expect(200);
        picture(id, "top", "bm8gcGljdHVyZQ==").refused(422);
        assertThat(phone.get("/api/me/clips").body().at("/0/clip/pictures/0").asString())
                .isEqualTo("top");
        coach.get("/api/clips/" + id + "/pictures/top").expect(200);
        assertThat(coach.get("/api/students/" + student + "/record")
                        .expect(200)
                        .body()
                        .toString())
                .contains("\"practisedOn\"")
                .contains(id);

        phone.delete("/api/me/clips/" + id).expect(200);
        assertThat(waiting(id)).isNull();
        coach.get("/api/clips/" + id + "/points").refused(404);
        phone.delete("/api/me/clips/" + id).refused(404);
        picture(id, "top", PICTURE).refused(404);
    }

    private Client.Answer picture(String clip, String at, String jpeg) {
        return phone.put("/api/me/clips/" + clip + "/pictures/" + at, "{\"jpeg\":\"%s\"}".formatted(jpeg), null);
    }

    @Test
    void itStandsBesideAClipOfTheNextLessonAndNobodyElseSeesIt() {
        String id = send("null").expect(201).body().at("/0/clip/id").asString();
        String lesson = coach.post("/api/students/" + student + "/lessons", "")
                .expect(201)
                .body()
                .path("id")
                .asString();
        assertThat(coach.get("/api/lessons/" + lesson + "/earlier-clips")
                        .expect(200)
                        .body()
                        .at("/0/clips/0/id")
                        .asString())
                .isEqualTo(id);
        phone.get("/api/clips/" + id + "/points").refused(403);
        phone.get("/api/students/" + student + "/sent-clips").refused(403);
    }

    @Test
    void onlySoManyWaitAtATime() {
        int sent = 0;
        while (send("null").status() == 201) assertThat(++sent).isLessThan(10);
        assertThat(sent).isPositive();
        send("null").refused(409);
        for (JsonNode one : phone.get("/api/me/clips").body()) {
            coach.post("/api/clips/" + one.at("/clip/id").asString() + "/seen", "")
                    .expect(204);
        }
        send("null").expect(201);
    }

    /** What of the coach's day is about this clip; null if nothing is. */
    private JsonNode waiting(String id) {
        return coach.get("/api/day?most=1000")
                .expect(200)
                .body()
                .path("attention")
                .valueStream()
                .filter(a -> id.equals(a.path("session").asString("")))
                .findFirst()
                .orElse(null);
    }

    private Client.Answer send(String agreed) {
        return phone.post("/api/me/clips", """
                {"name":"swing.mp4","width":1280,"height":960,"track":%s,"agreed":%s}""".formatted(
                        TracksTest.request(Handedness.RIGHT, TracksTest.swing(Handedness.RIGHT)), agreed));
    }
}
