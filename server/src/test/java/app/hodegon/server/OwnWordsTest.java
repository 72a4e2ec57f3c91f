package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Base64;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A coach's own words and film on a drill reach the coach's students and nobody else; a student's cue reaches the coach. */
@ExtendWith(RunningServer.class)
class OwnWordsTest {

    private static final String WORDS = "/api/drill-words/disc-turn";

    private Client coach;
    private Client student;

    @BeforeEach
    void signedIn(Client first) {
        coach = first.coach();
        student = first.fresh().student();
        coach.put(WORDS, "{\"words\":\"\"}", (Integer) null).expect(204);
    }

    private static String film(int bytes) {
        byte[] mp4 = new byte[bytes];
        Arrays.fill(mp4, (byte) 7);
        System.arraycopy("ftyp".getBytes(StandardCharsets.US_ASCII), 0, mp4, 4, 4);
        return Base64.getEncoder().encodeToString(mp4);
    }

    private static String body(String film) {
        return "{\"mp4\":\"" + film + "\",\"agreed\":\"Tamsin Harrow\"}";
    }

    @Test
    void theCoachsWordsReachTheStudentsPhoneAndAreTakenBack() {
        coach.put(WORDS, "{\"words\":\"  Turn as if to see who is behind you.  \"}", (Integer) null)
                .expect(204);
        assertThat(coach.get("/api/drill-words")
                        .expect(200)
                        .body()
                        .at("/disc-turn/words")
                        .asString())
                .isEqualTo("Turn as if to see who is behind you.");
        assertThat(student.get("/api/me")
                        .expect(200)
                        .body()
                        .at("/words/disc-turn/words")
                        .asString())
                .isEqualTo("Turn as if to see who is behind you.");
        coach.put(WORDS, "{\"words\":\"\"}", (Integer) null).expect(204);
        assertThat(student.get("/api/me").body().path("words").has("disc-turn")).isFalse();
        coach.put("/api/drill-words/no-such-drill", "{\"words\":\"a\"}", (Integer) null)
                .refused(404);
        coach.put(WORDS, "{\"words\":\"" + "a".repeat(601) + "\"}", (Integer) null)
                .refused(400);
        student.put(WORDS, "{\"words\":\"mine\"}", (Integer) null).refused(403);
    }

    @Test
    void aFilmIsKeptSmallByWhoAgreedAndShownToTheCoachsStudentsOnly() {
        coach.put(WORDS + "/film", body(film(2_000)), (Integer) null).expect(204);
        assertThat(student.get("/api/me")
                        .body()
                        .at("/words/disc-turn/film/bytes")
                        .asInt())
                .isEqualTo(2_000);
        Client.Answer film = student.get("/api/me/drill-words/disc-turn/film").expect(200);
        assertThat(film.header("Content-Security-Policy"))
                .as("a page plays what it has fetched")
                .hasValueSatisfying(rules -> assertThat(rules).contains("media-src 'self' blob:"));
        coach.fresh()
                .signIn("second@demo.example", "demo-coach")
                .get(WORDS + "/film")
                .refused(404);
        coach.put(WORDS + "/film", body("bm8gZmlsbSBhdCBhbGwsIG5vdCBhIGJpdA=="), (Integer) null)
                .refused(422);
        coach.put(WORDS + "/film", body(film(1536 * 1024 + 1)), (Integer) null).refused(422);
        coach.put(WORDS + "/film", body(film(2_000)).replace("Tamsin Harrow", " "), (Integer) null)
                .refused(400);
        coach.delete(WORDS + "/film").expect(204);
        coach.delete(WORDS + "/film").refused(404);
        student.get("/api/me/drill-words/disc-turn/film").refused(404);
    }

    @Test
    void aStudentsOwnWordsForACueAreKeptInTheRecordAndSeenByTheCoach() {
        String id = coach.student("Bram Ellery");
        student.put("/api/me/cues/disc-turn", "{\"words\":\"see who is there\",\"edition\":1}", (Integer) null)
                .expect(204);
        assertThat(student.get("/api/me").body().at("/cues/disc-turn").asString())
                .isEqualTo("see who is there");
        assertThat(coach.get("/api/students/" + id + "/own-words")
                        .expect(200)
                        .body()
                        .at("/cues/disc-turn")
                        .asString())
                .isEqualTo("see who is there");
        assertThat(coach.get("/api/students/" + id + "/record").body().path("studentCue"))
                .hasSize(1);
        coach.fresh()
                .signIn("second@demo.example", "demo-coach")
                .get("/api/students/" + id + "/own-words")
                .refused(404);
        student.put("/api/me/cues/no-such-drill", "{\"words\":\"a\",\"edition\":1}", (Integer) null)
                .refused(404);
        student.put("/api/me/cues/disc-turn", "{\"words\":\"\",\"edition\":2}", (Integer) null)
                .expect(204);
        assertThat(student.get("/api/me").body().path("cues")).isEmpty();
    }
}
