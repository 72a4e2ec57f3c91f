package app.hodegon.bench;

import app.hodegon.core.diagnosis.Sign;
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
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.GZIPOutputStream;

/** Starts the demo as a user would and times what a user waits for. */
final class DemoTimes {

    private static final int WARM = 60;
    private static final int RUNS = 200;
    private static final int PORT = 8123;
    private static final String BASE = "http://localhost:" + PORT;

    private final CookieManager cookies = new CookieManager();
    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(cookies).build();
    private final List<String> rows = new ArrayList<>();

    List<String> run(Path root) throws IOException, InterruptedException {
        long begun = System.nanoTime();
        Process demo = new ProcessBuilder(root.resolve("hodegon").toString(), "demo", "--port", "" + PORT)
                .directory(root.toFile())
                .redirectErrorStream(true)
                .start();
        try {
            awaitReady(demo);
            String page = send("GET", "/", null).body();
            row("Start to first page, warm", (System.nanoTime() - begun) / 1e9, "s", "under 6 s");
            row("JavaScript of the coach's first view, compressed", firstViewKilobytes(page), "kB", "under 250 kB");
            requests();
        } finally {
            demo.destroy();
            demo.waitFor();
        }
        return rows;
    }

    private static void awaitReady(Process demo) throws IOException {
        BufferedReader lines = new BufferedReader(new InputStreamReader(demo.getInputStream(), StandardCharsets.UTF_8));
        for (String line = lines.readLine(); line != null; line = lines.readLine()) {
            if (line.contains("is ready at")) return;
        }
        throw new IllegalStateException("The demo ended before it was ready.");
    }

    /** The page's own script with what it imports, and the roster's. */
    private double firstViewKilobytes(String page) throws IOException, InterruptedException {
        Set<String> files = new LinkedHashSet<>(found("/assets/([\\w-]+\\.js)", page));
        String entry = send("GET", "/assets/" + files.iterator().next(), null).body();
        files.addAll(found("(RosterPage-[\\w-]+\\.js)", entry));
        int size = -1;
        while (size != files.size()) {
            size = files.size();
            for (String file : List.copyOf(files)) {
                files.addAll(found(
                        "from\\s*[\"`']\\./([\\w-]+\\.js)",
                        send("GET", "/assets/" + file, null).body()));
            }
        }
        long bytes = 0;
        for (String file : files) {
            java.io.ByteArrayOutputStream zipped = new java.io.ByteArrayOutputStream();
            try (GZIPOutputStream out = new GZIPOutputStream(zipped)) {
                out.write(send("GET", "/assets/" + file, null).body().getBytes(StandardCharsets.UTF_8));
            }
            bytes += zipped.size();
        }
        return bytes / 1000.0;
    }

    private static List<String> found(String pattern, String text) {
        List<String> found = new ArrayList<>();
        Matcher matcher = Pattern.compile(pattern).matcher(text);
        while (matcher.find()) found.add(matcher.group(1));
        return found;
    }

    private void requests() throws IOException, InterruptedException {
        signIn("coach@demo.example", "demo-coach");
        String roster = send("GET", "/api/students", null).body();
        String student =
                found("\"id\":\"([^\"]+)\",\"name\":\"Corin Hale\"", roster).get(0);
        String thread =
                send("GET", "/api/students/" + student + "/thread", null).body();
        List<String> lessons = found("\"lessonId\":\"([^\"]+)\"", thread);
        String lesson = "/api/lessons/" + lessons.get(lessons.size() - 1);
        String entry = "{"
                + found(
                                "\"entry\":\\{(.*?)\\},\"diagnosis\"",
                                send("GET", lesson, null).body())
                        .get(0) + "}";
        LocalDate held = LocalDate.parse(
                found("\"heldOn\":\"([^\"]+)\"", send("GET", lesson, null).body())
                        .get(0));

        time("The coach's day", "GET", "/api/day", null);
        time("Students", "GET", "/api/students", null);
        time("A student's thread", "GET", "/api/students/" + student + "/thread", null);
        time("A student's practice", "GET", "/api/students/" + student + "/practice", null);
        time("A lesson", "GET", lesson, null);
        time("A tap in a lesson: saved and diagnosed", "PUT", lesson + "/entry", entry);
        time("Since last time", "GET", lesson + "/progress", null);
        time(
                "A plan drafted, forecast and stored",
                "PUT",
                lesson + "/plan",
                "{\"from\":\"%s\",\"nextLesson\":\"%s\"}".formatted(held.plusDays(1), held.plusDays(14)));
        time("What could be given for a better climb", "GET", lesson + "/plan/offers", null);
        time("The vocabulary", "GET", "/api/catalogue?hand=right", null);
        time("Diagnosis calculator, 25 pieces of evidence", "POST", "/api/diagnosis", evidence());
        time("The feet against a second school", "GET", lesson + "/feet?against=full-load", null);

        signIn("petra@demo.example", "demo-student");
        String today = send("GET", "/api/me/today", null).body();
        time("The phone's today", "GET", "/api/me/today", null);
        time("A rep stored", "PUT", "/api/me/practice/" + UUID.randomUUID(), """
                {"planId":"%s","day":"%s","blocks":[{"block":0,"marks":"+++++-+++"}],"balls":{},"note":"","finished":false}""".formatted(
                        found("\"plan\":\\{\"id\":\"([^\"]+)\"", today).get(0),
                        found("\"date\":\"([^\"]+)\"", today).get(0)));
    }

    /** 20 signs, three readings and two tallies. */
    private static String evidence() {
        StringBuilder signs = new StringBuilder();
        for (Sign sign : Arrays.copyOf(Sign.values(), 20)) {
            signs.append(signs.isEmpty() ? "" : ",")
                    .append("\"%s\":\"%s\"".formatted(sign.id(), sign.ordinal() % 3 == 0 ? "yes" : "no"));
        }
        return """
                {"signs":{%s},
                 "measures":[{"id":"trail-share","at":"top","value":76,"source":"plate","swings":3},
                             {"id":"trail-share","at":"arm-down","value":58,"source":"plate","swings":3},
                             {"id":"pelvis-drift","at":"top","value":8,"source":"clip","swings":3}],
                 "shots":{"flight":{"slice":6,"straight":2},"strike":{"fat":2,"solid":6}}}""".formatted(signs);
    }

    private void signIn(String email, String password) throws IOException, InterruptedException {
        send("GET", "/api/session", null);
        send("POST", "/api/session", "{\"email\":\"%s\",\"password\":\"%s\"}".formatted(email, password));
        send("GET", "/api/session", null);
    }

    private void time(String what, String method, String path, String body) throws IOException, InterruptedException {
        for (int i = 0; i < WARM; i++) send(method, path, body);
        double[] millis = new double[RUNS];
        for (int i = 0; i < RUNS; i++) {
            long begun = System.nanoTime();
            send(method, path, body);
            millis[i] = (System.nanoTime() - begun) / 1e6;
        }
        Arrays.sort(millis);
        rows.add(
                "| %s | %.1f ms | %.1f ms | under 100 ms |".formatted(what, millis[RUNS / 2], millis[RUNS * 95 / 100]));
    }

    private void row(String what, double value, String unit, String wanted) {
        rows.add(String.format(Locale.ROOT, "| %s | %.1f %s | | %s |", what, value, unit, wanted));
    }

    private HttpResponse<String> send(String method, String path, String body)
            throws IOException, InterruptedException {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(BASE + path))
                .method(method, body == null ? BodyPublishers.noBody() : BodyPublishers.ofString(body))
                .header("Content-Type", "application/json");
        cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .forEach(token -> request.header("X-XSRF-TOKEN", token));
        HttpResponse<String> response = http.send(request.build(), BodyHandlers.ofString());
        if (response.statusCode() >= 300) throw new IllegalStateException(path + ": " + response.body());
        return response;
    }
}
