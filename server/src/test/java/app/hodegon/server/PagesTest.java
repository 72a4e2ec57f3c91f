package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.InputStream;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** The interface's own files and addresses, and the vocabulary. */
@ExtendWith(RunningServer.class)
class PagesTest {

    @ParameterizedTest
    @ValueSource(strings = {"/", "/students", "/lessons/7/plan", "/welcome/some-token", "/sign-in"})
    void everyAddressOfTheInterfaceIsThePage(String path, Client client) {
        assertThat(client.get(path).expect(200).contentType()).startsWith("text/html");
    }

    @ParameterizedTest
    @ValueSource(strings = {"/assets/none.js", "/none.png", "/robots.txt"})
    void filesThatAreNotThereAreNotThePage(String path, Client client) {
        client.get(path).expect(404);
    }

    @Test
    void everyAnswerTellsTheBrowserWhatItMayDo(Client client) {
        for (String path : new String[] {"/", "/api/session", "/health"}) {
            Client.Answer answer = client.get(path);
            assertThat(answer.header("Content-Security-Policy").orElse("")).contains("default-src 'self'");
            assertThat(answer.header("Referrer-Policy")).contains("no-referrer");
            assertThat(answer.header("Permissions-Policy").orElse(""))
                    .contains("camera=(self)", "microphone=(self)", "geolocation=()");
            assertThat(answer.header("X-Content-Type-Options")).contains("nosniff");
        }
    }

    @Test
    void theVocabularyIsSaidForTheHand(Client client) {
        client.get("/api/catalogue").refused(401);
        client.student();
        JsonNode right = client.get("/api/catalogue?hand=right").expect(200).body();
        JsonNode left = client.get("/api/catalogue?hand=left").expect(200).body();
        assertThat(right.toString())
                .doesNotContain("{lead}")
                .doesNotContain("{trail}")
                .doesNotContain("{away}");
        assertThat(right.at("/drills/disc-turn/action").asString()).contains("clockwise");
        assertThat(left.at("/drills/disc-turn/action").asString()).contains("anticlockwise");
        assertThat(right.path("faults")).hasSize(18);
        assertThat(right.path("checkpoints")).hasSize(8);
        assertThat(right.path("drills").size()).isGreaterThanOrEqualTo(18);
        client.get("/api/catalogue?hand=both").refused(422);
    }

    @Test
    void thePhoneKnowsEveryDayOfThePlan(Client client) {
        client.signIn("petra@demo.example", "demo-student");
        JsonNode me = client.get("/api/me").expect(200).body();
        assertThat(me.at("/plan/plan/days")).isNotEmpty();
        assertThat(me.path("sessions")).isNotEmpty();
        assertThat(me.path("why").get(0).asString()).isNotBlank();
    }

    @Test
    void whatTheContainerRefusesHasItsHeadersToo(Client client) throws Exception {
        try (Socket socket = new Socket("localhost", client.port())) {
            socket.getOutputStream()
                    .write("GET /a%00b HTTP/1.1\r\nHost: x\r\nConnection: close\r\n\r\n"
                            .getBytes(StandardCharsets.US_ASCII));
            assertThat(new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8))
                    .startsWith("HTTP/1.1 400")
                    .contains("X-Content-Type-Options: nosniff", "Content-Security-Policy: default-src 'none'");
        }
    }

    /** Many who ask for a large file and do not read it keep nobody waiting, and none has more than a share of them. */
    @Test
    void slowReadersHoldNoThread(Client client) throws Exception {
        List<Socket> slow = new ArrayList<>();
        try {
            for (int i = 0; i < 120; i++) {
                Socket socket = new Socket();
                socket.setReceiveBufferSize(1024);
                socket.connect(new InetSocketAddress("localhost", client.port()));
                socket.getOutputStream()
                        .write("GET /pose/pose_landmark_full.tflite HTTP/1.1\r\nHost: x\r\n\r\n"
                                .getBytes(StandardCharsets.US_ASCII));
                slow.add(socket);
            }
            int served = 0;
            for (Socket socket : slow) {
                byte[] begins = socket.getInputStream().readNBytes(12);
                if (new String(begins, StandardCharsets.US_ASCII).equals("HTTP/1.1 200")) served++;
            }
            assertThat(served).isBetween(6, 24);
            client.get("/api/session").expect(200);
        } finally {
            for (Socket socket : slow) socket.close();
        }
        // The whole of it, once they have gone; and not again while it is the same.
        HttpClient http = HttpClient.newHttpClient();
        URI model = URI.create("http://localhost:" + client.port() + "/pose/pose_landmark_full.tflite");
        HttpResponse<byte[]> whole;
        do {
            whole = http.send(HttpRequest.newBuilder(model).build(), HttpResponse.BodyHandlers.ofByteArray());
        } while (whole.statusCode() == 503);
        assertThat(whole.statusCode()).isEqualTo(200);
        try (InputStream file = getClass().getResourceAsStream("/static/pose/pose_landmark_full.tflite")) {
            assertThat(whole.body()).isEqualTo(file.readAllBytes());
        }
        assertThat(whole.headers().firstValue("Content-Security-Policy")).isPresent();
        String tag = whole.headers().firstValue("ETag").orElseThrow();
        assertThat(http.send(
                                HttpRequest.newBuilder(model)
                                        .header("If-None-Match", tag)
                                        .build(),
                                HttpResponse.BodyHandlers.discarding())
                        .statusCode())
                .isEqualTo(304);
        client.get("/pose/none.js").expect(404);
        assertThat(client.get("/pose/pose.js").expect(200).contentType()).startsWith("text/javascript");
    }
}
