package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.CookieManager;
import java.net.CookiePolicy;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** One browser's worth of cookies, talking HTTP to the running server. */
public final class Client {

    private static final JsonMapper JSON = new JsonMapper();

    private final URI base;
    private final CookieManager cookies = new CookieManager(null, CookiePolicy.ACCEPT_ALL);
    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(cookies).build();

    Client(int port) {
        base = URI.create("http://localhost:" + port);
    }

    /** An answer with its body read as JSON where there is one. */
    public record Answer(int status, String contentType, JsonNode body) {
        public Answer expect(int expected) {
            assertThat(status).as(String.valueOf(body)).isEqualTo(expected);
            return this;
        }

        /** A refusal: this status, as a problem document. */
        public Answer refused(int expected) {
            expect(expected);
            assertThat(contentType).startsWith("application/problem+json");
            assertThat(body.path("detail").asString()).isNotBlank();
            return this;
        }
    }

    public Client signIn(String email, String password) {
        get("/api/session").expect(200);
        post("/api/session", "{\"email\":\"%s\",\"password\":\"%s\"}".formatted(email, password))
                .expect(200);
        get("/api/session").expect(200);
        return this;
    }

    public Client coach() {
        return signIn("coach@demo.example", "demo-coach");
    }

    public Client student() {
        return signIn("bram@demo.example", "demo-student");
    }

    public Answer get(String path) {
        return send("GET", path, null);
    }

    public Answer post(String path, String json) {
        return send("POST", path, json);
    }

    public Answer put(String path, String json) {
        return send("PUT", path, json);
    }

    public Answer delete(String path) {
        return send("DELETE", path, null);
    }

    /** A file's text. */
    public String text(String path) {
        try {
            HttpResponse<String> response =
                    http.send(HttpRequest.newBuilder(base.resolve(path)).build(), HttpResponse.BodyHandlers.ofString());
            assertThat(response.statusCode()).isEqualTo(200);
            return response.body();
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private Answer send(String method, String path, String json) {
        HttpRequest.Builder request = HttpRequest.newBuilder(base.resolve(path))
                .method(method, json == null ? BodyPublishers.noBody() : BodyPublishers.ofString(json));
        if (json != null) request.header("Content-Type", "application/json");
        cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .findFirst()
                .ifPresent(token -> request.header("X-XSRF-TOKEN", token));
        try {
            HttpResponse<String> response = http.send(request.build(), HttpResponse.BodyHandlers.ofString());
            String type = response.headers().firstValue("Content-Type").orElse("");
            return new Answer(
                    response.statusCode(),
                    type,
                    type.contains("json") ? JSON.readTree(response.body()) : JSON.createObjectNode());
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
