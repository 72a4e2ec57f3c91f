package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Bodies that come slowly, in another form, or never. */
@OwnServer
@ExtendWith(RunningServer.class)
class BodiesTest {

    private static final int MORE_THAN_THREADS = 120;

    private static Socket begin(Client client, String path, String headers) throws IOException {
        Socket socket = new Socket("localhost", client.port());
        write(socket, "POST " + path + " HTTP/1.1\r\nHost: localhost\r\n" + headers + "\r\n");
        return socket;
    }

    private static void write(Socket socket, String text) throws IOException {
        OutputStream out = socket.getOutputStream();
        out.write(text.getBytes(StandardCharsets.UTF_8));
        out.flush();
    }

    private static String answer(Socket socket) throws IOException {
        return new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8)).readLine();
    }

    @Test
    void moreSlowSendersThanThreadsKeepNobodyWaiting(Client client) throws IOException {
        List<Socket> slow = new ArrayList<>();
        try {
            for (int i = 0; i < MORE_THAN_THREADS; i++) {
                slow.add(begin(client, "/api/session", "Content-Type: application/json\r\nContent-Length: 200\r\n"));
                write(slow.get(i), "{");
            }
            client.coach();
            for (int i = 0; i < 50; i++) {
                write(slow.get(MORE_THAN_THREADS - 1 - i), " ");
                client.get("/api/students").expect(200);
                client.post("/api/diagnosis", "{\"handedness\":\"right\"}").expect(200);
            }
            // One address may hold so many open: the oldest gave way.
            assertThat(answer(slow.get(0))).as("or was silent for too long").containsPattern(" (503|408)");
        } finally {
            for (Socket socket : slow) socket.close();
        }
    }

    @Test
    void aSlowBodyThatArrivesInTimeIsTaken(Client client) throws IOException {
        String body = "{\"email\":\"x@x.example\",\"password\":\"wrong-word\"}";
        try (Socket socket = begin(
                client,
                "/api/session",
                "Content-Type: application/json\r\nContent-Length: " + body.length() + "\r\n")) {
            for (char c : body.toCharArray()) write(socket, String.valueOf(c));
            assertThat(answer(socket))
                    .as("taken, and refused for want of a token")
                    .contains(" 403");
        }
    }

    @Test
    void chunksBeyondTheLimitAreRefused(Client client) throws IOException {
        try (Socket socket =
                begin(client, "/api/session", "Content-Type: application/json\r\nTransfer-Encoding: chunked\r\n")) {
            String chunk = "4000\r\n" + "x".repeat(0x4000) + "\r\n";
            for (int i = 0; i < 20; i++) write(socket, chunk);
            write(socket, "0\r\n\r\n");
            assertThat(answer(socket)).contains(" 413");
        }
    }

    @ParameterizedTest
    @CsvSource({
        "multipart/form-data, nothing like a part",
        "multipart/form-data; boundary=x, --x",
        "application/x-www-form-urlencoded, a=%zz&b=%",
        "text/plain, hello",
        "no/such/type, x"
    })
    void otherFormsAreRefusedInWords(String type, String body, Client client) throws IOException {
        for (String path : List.of("/api/session", "/api/no-such-thing", "/", "/error", "/health")) {
            try (Socket socket =
                    begin(client, path, "Content-Type: " + type + "\r\nContent-Length: " + body.length() + "\r\n")) {
                write(socket, body);
                assertThat(answer(socket)).as(path).contains(" 415");
            }
        }
    }

    @Test
    void theErrorPageIsNoPage(Client client) {
        client.get("/error").refused(404);
        client.coach().get("/error").refused(404);
    }
}
