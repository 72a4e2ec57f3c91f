package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.net.CookieManager;
import java.net.CookiePolicy;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpHeaders;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** One browser's worth of cookies, talking HTTP to the running server. */
public final class Client {

    private String zone;
    private String page;
    private static final JsonMapper JSON = new JsonMapper();

    private final URI base;
    private final CookieManager cookies;
    private final HttpClient http;

    Client(int port) {
        this(port, new CookieManager(null, CookiePolicy.ACCEPT_ALL));
    }

    private Client(int port, CookieManager cookies) {
        base = URI.create("http://localhost:" + port);
        this.cookies = cookies;
        http = HttpClient.newBuilder().cookieHandler(cookies).build();
    }

    /** The same browser at a server that came back on another port. */
    Client at(int port) {
        return new Client(port, cookies);
    }

    /** An answer with its body read as JSON where there is one. */
    public record Answer(int status, String contentType, JsonNode body, HttpHeaders headers) {

        public Optional<String> header(String name) {
            return headers.firstValue(name);
        }

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

    /** Another browser at the same server. */
    public Client fresh() {
        return new Client(base.getPort());
    }

    int port() {
        return base.getPort();
    }

    /** The token that writes have to bring. */
    public String token() {
        return cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElse("");
    }

    /** The id of a student of this coach's. */
    public String student(String name) {
        for (JsonNode line : get("/api/students").expect(200).body()) {
            if (line.path("name").asString().equals(name))
                return line.path("id").asString();
        }
        throw new AssertionError("no student " + name);
    }

    /** What of a student stands on this coach's list, most urgent first. */
    public List<String> wantedOf(String student) {
        return get("/api/day")
                .expect(200)
                .body()
                .path("attention")
                .valueStream()
                .filter(a -> a.path("studentId").asString().equals(student))
                .map(a -> a.path("kind").asString())
                .toList();
    }

    /** From now on a browser in that zone. */
    public Client in(String otherZone) {
        zone = otherZone;
        return this;
    }

    /** From now on a page of that account. */
    public Client pageOf(String account) {
        page = account;
        return this;
    }

    public Client coach() {
        return signIn("coach@demo.example", "demo-coach");
    }

    /** The coach's own id. */
    public String coachId() {
        return get("/api/academy")
                .expect(200)
                .body()
                .path("coaches")
                .valueStream()
                .filter(c -> c.path("you").asBoolean())
                .findFirst()
                .orElseThrow()
                .path("id")
                .asString();
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

    /** Saves over whatever is there: reads its version first, where it has one. */
    public Answer put(String path, String json) {
        return put(path, json, version(path));
    }

    /**
     * @param seen version that the save is based on; null to name none
     */
    public Answer put(String path, String json, Integer seen) {
        return send("PUT", path, json, seen == null ? Map.of() : Map.of("If-Match", "\"" + seen + "\""));
    }

    /** Saves by a name of its own. */
    public Answer put(String path, String json, int seen, String save) {
        return send("PUT", path, json, Map.of("If-Match", "\"" + seen + "\"", "Save-Id", save));
    }

    private Integer version(String path) {
        String read = path.endsWith("/entry") ? path.substring(0, path.length() - "/entry".length()) : path;
        Answer now = read.contains("/me/") ? null : send("GET", read, null);
        if (now == null || now.status() == 404) return 0;
        return now.body().has("version") ? now.body().path("version").asInt() : null;
    }

    public Answer delete(String path) {
        return send("DELETE", path, null);
    }

    /** What a page listens to: read as it comes, and closed by the caller. */
    public InputStream events(String path) {
        return read(path, HttpResponse.BodyHandlers.ofInputStream());
    }

    /** A file's text. */
    public String text(String path) {
        return read(path, HttpResponse.BodyHandlers.ofString());
    }

    private <T> T read(String path, HttpResponse.BodyHandler<T> as) {
        try {
            HttpResponse<T> response =
                    http.send(HttpRequest.newBuilder(base.resolve(path)).build(), as);
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
        return send(method, path, json, Map.of());
    }

    private Answer send(String method, String path, String json, Map<String, String> headers) {
        HttpRequest.Builder request = HttpRequest.newBuilder(base.resolve(path))
                .method(method, json == null ? BodyPublishers.noBody() : BodyPublishers.ofString(json));
        headers.forEach(request::header);
        if (json != null) request.header("Content-Type", "application/json");
        if (zone != null) request.header("Time-Zone", zone);
        if (page != null) request.header("For-Account", page);
        if (!token().isEmpty()) request.header("X-XSRF-TOKEN", token());
        try {
            HttpResponse<String> response = http.send(request.build(), HttpResponse.BodyHandlers.ofString());
            String type = response.headers().firstValue("Content-Type").orElse("");
            return new Answer(
                    response.statusCode(),
                    type,
                    type.contains("json") ? JSON.readTree(response.body()) : JSON.createObjectNode(),
                    response.headers());
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
