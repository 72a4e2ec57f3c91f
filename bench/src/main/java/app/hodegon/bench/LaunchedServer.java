package app.hodegon.bench;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The product started by its own command, and one signed-in client of it. */
final class LaunchedServer implements AutoCloseable {

    static {
        // Idle connections are given up before the server, which waits for 10 s, closes them under a request.
        System.setProperty("jdk.httpclient.keepalive.timeout", "5");
    }

    private final Process process;
    private final String base;
    private final Map<String, String> versions = new HashMap<>();
    private final CookieManager cookies = new CookieManager();
    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(cookies).build();

    private LaunchedServer(Process process, String base) {
        this.process = process;
        this.base = base;
    }

    /** Starts it and waits until it says that it is ready. */
    static LaunchedServer start(Path root, int port, String... arguments) throws IOException {
        List<String> command = new ArrayList<>(List.of(root.resolve("hodegon").toString()));
        command.addAll(List.of(arguments));
        Process process = new ProcessBuilder(command)
                .directory(root.toFile())
                .redirectErrorStream(true)
                .start();
        BufferedReader lines =
                new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
        for (String line = lines.readLine(); line != null; line = lines.readLine()) {
            if (line.contains("is ready at")) return new LaunchedServer(process, "http://localhost:" + port);
        }
        throw new IllegalStateException("The server ended before it was ready.");
    }

    void signIn(String email, String password) throws IOException, InterruptedException {
        send("GET", "/api/session", null);
        send("POST", "/api/session", "{\"email\":\"%s\",\"password\":\"%s\"}".formatted(email, password));
        send("GET", "/api/session", null);
    }

    HttpResponse<String> send(String method, String path, String body) throws IOException, InterruptedException {
        HttpResponse<String> response = http.send(request(method, path, body), BodyHandlers.ofString());
        if (response.statusCode() >= 300) throw new IllegalStateException(path + ": " + response.body());
        found("\"version\":(\\d+)", response.body()).forEach(version -> versions.put(thing(path), version));
        return response;
    }

    /** A change of a thing names the version of it that was read last. */
    private static String thing(String path) {
        return path.endsWith("/entry") ? path.substring(0, path.length() - "/entry".length()) : path;
    }

    CompletableFuture<HttpResponse<String>> sendAsync(String path) {
        return http.sendAsync(request("GET", path, null), BodyHandlers.ofString());
    }

    private HttpRequest request(String method, String path, String body) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path))
                .method(method, body == null ? BodyPublishers.noBody() : BodyPublishers.ofString(body))
                .header("Content-Type", "application/json")
                .header("If-Match", versions.getOrDefault(thing(path), "0"));
        cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .forEach(token -> request.header("X-XSRF-TOKEN", token));
        return request.build();
    }

    /** What the pattern's first group matches, each time. */
    static List<String> found(String pattern, String text) {
        List<String> found = new ArrayList<>();
        Matcher matcher = Pattern.compile(pattern).matcher(text);
        while (matcher.find()) found.add(matcher.group(1));
        return found;
    }

    @Override
    public void close() throws InterruptedException {
        process.destroy();
        process.waitFor();
    }
}
