package app.hodegon.bench;

import static app.hodegon.bench.LaunchedServer.found;

import app.hodegon.core.diagnosis.Sign;
import app.hodegon.core.motion.Cell;
import app.hodegon.core.motion.Trace;
import app.hodegon.core.swing.Handedness;
import java.io.IOException;
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
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.zip.GZIPOutputStream;

/** Starts the demo as a user would and times what a user waits for. */
final class DemoTimes {

    private static final int WARM = 60;
    private static final int RUNS = 200;
    private static final int SHOTS = 20_000;
    private static final int PORT = 8123;
    private static final int SWINGS = 200;
    private static final int SWINGS_AT_ONCE = 20;

    private final List<String> rows = new ArrayList<>();
    private LaunchedServer server;

    List<String> run(Path root) throws IOException, InterruptedException {
        long begun = System.nanoTime();
        try (LaunchedServer demo = LaunchedServer.start(root, PORT, "demo", "--port", "" + PORT)) {
            server = demo;
            String page = server.send("GET", "/", null).body();
            row("Start to first page, warm", (System.nanoTime() - begun) / 1e9, "s", "under 6 s");
            row("JavaScript of the coach's first view, compressed", firstViewKilobytes(page), "kB", "under 250 kB");
            requests();
        }
        return rows;
    }

    /** The page's own script with what it imports, and the roster's. */
    private double firstViewKilobytes(String page) throws IOException, InterruptedException {
        Set<String> files = new LinkedHashSet<>(found("/assets/([\\w-]+\\.js)", page));
        String entry =
                server.send("GET", "/assets/" + files.iterator().next(), null).body();
        files.addAll(found("(RosterPage-[\\w-]+\\.js)", entry));
        int size = -1;
        while (size != files.size()) {
            size = files.size();
            for (String file : List.copyOf(files)) {
                files.addAll(found(
                        "from\\s*[\"`']\\./([\\w-]+\\.js)",
                        server.send("GET", "/assets/" + file, null).body()));
            }
        }
        long bytes = 0;
        for (String file : files) {
            java.io.ByteArrayOutputStream zipped = new java.io.ByteArrayOutputStream();
            try (GZIPOutputStream out = new GZIPOutputStream(zipped)) {
                out.write(server.send("GET", "/assets/" + file, null).body().getBytes(StandardCharsets.UTF_8));
            }
            bytes += zipped.size();
        }
        return bytes / 1000.0;
    }

    private void requests() throws IOException, InterruptedException {
        server.signIn("coach@demo.example", "demo-coach");
        String roster = server.send("GET", "/api/students", null).body();
        String student =
                found("\"id\":\"([^\"]+)\",\"name\":\"Corin Hale\"", roster).get(0);
        String thread =
                server.send("GET", "/api/students/" + student + "/thread", null).body();
        List<String> lessons = found("\"lessonId\":\"([^\"]+)\"", thread);
        String lesson = "/api/lessons/" + lessons.get(lessons.size() - 1);
        String entry = "{"
                + found(
                                "\"entry\":\\{(.*?)\\},\"diagnosis\"",
                                server.send("GET", lesson, null).body())
                        .get(0) + "}";
        LocalDate held = LocalDate.parse(found(
                        "\"heldOn\":\"([^\"]+)\"",
                        server.send("GET", lesson, null).body())
                .get(0));

        time("The coach's day", "GET", "/api/day", null);
        time("Students", "GET", "/api/students", null);
        time("The last weeks beside every name", "GET", "/api/strands", null);
        time("A student's thread", "GET", "/api/students/" + student + "/thread", null);
        time("A student's practice", "GET", "/api/students/" + student + "/practice", null);
        time("A lesson", "GET", lesson, null);
        time("A tap in a lesson: saved and diagnosed", "PUT", lesson + "/entry", entry);
        time("Since last time, with the proposal", "GET", lesson + "/progress", null);
        time(
                "Two lessons side by side",
                "GET",
                "/api/students/" + student + "/compare?first=" + lessons.get(0) + "&second=" + lessons.get(1),
                null);
        time("How proposals went", "GET", "/api/proposals", null);
        time("A student's whole record", "GET", "/api/students/" + student + "/record", null);
        time("A file of 20,000 measured balls looked at", "POST", lesson + "/shot-files/look", shots(), "under 2 s");
        // Whoever changes a plan has read it.
        server.send("GET", lesson + "/plan", null);
        time(
                "A plan drafted, forecast and stored",
                "PUT",
                lesson + "/plan",
                "{\"from\":\"%s\",\"nextLesson\":\"%s\"}".formatted(held.plusDays(1), held.plusDays(14)));
        time("What could be given for a better climb", "GET", lesson + "/plan/offers", null);
        time("The vocabulary", "GET", "/api/catalogue?hand=right", null);
        time("A drill in movement", "GET", "/api/motions/drills/disc-turn?rung=full", null);
        time("A pose of every drill", "GET", "/api/motions/poses", null);
        time("Diagnosis calculator, 25 pieces of evidence", "POST", "/api/diagnosis", evidence());
        time("The feet against a second school", "GET", lesson + "/feet?against=full-load", null);

        String measured = withSwings(student);
        time("A lesson of 200 swings", "GET", measured, null);
        time("Its swings", "GET", measured + "/swings", null);
        String swing = found(
                        "\"id\":\"([^\"]+)\",\"number\"",
                        server.send("GET", measured + "/swings", null).body())
                .get(0);
        time("A swing's curve", "GET", "/api/swings/" + swing + "/curve", null);
        time(
                "A swing kept: all read together",
                "PUT",
                "/api/swings/" + swing + "/state",
                "{\"state\":\"kept\",\"stage\":\"before\"}");
        time("The loads of a swing read, calculator", "POST", "/api/traces/read", loads());
        time(
                "3,000 pictures of 19 points read, calculator",
                "POST",
                "/api/tracks/read",
                FilmedSwing.request(),
                "under 300 ms");

        server.signIn("petra@demo.example", "demo-student");
        String me = server.send("GET", "/api/me", null).body();
        time("All the phone needs", "GET", "/api/me", null);
        time("A rep stored", "PUT", "/api/me/practice/" + UUID.randomUUID(), """
                {"planId":"%s","day":"%s","edition":1,"blocks":[{"block":0,"fault":"sway","drill":"disc-turn","rung":"feel",
                 "kind":"main","marks":"+++++-+++","noticed":["turned"],"told":{"speeds":[50],"club":"wedge",
                 "balls":[{"flight":"slice","strike":"fat"},{"strike":"solid"}],"turns":[]}}],"balls":{},"note":"","finished":false}""".formatted(
                        found("\"plan\":\\{\"id\":\"([^\"]+)\"", me).get(0), LocalDate.now()));
    }

    /** A new lesson with as many kept swings, from a file. */
    private String withSwings(String student) throws IOException, InterruptedException {
        String lesson = "/api/lessons/"
                + found(
                                "\"id\":\"([^\"]+)\"",
                                server.send("POST", "/api/students/" + student + "/lessons", null)
                                        .body())
                        .get(0);
        String columns = Arrays.stream(Cell.values())
                .map(c -> "\"%s\":%d".formatted(c.channel(Handedness.RIGHT), c.ordinal()))
                .collect(Collectors.joining(","));
        String begun = server.send("POST", lesson + "/trace-imports", """
                        {"name":"bench.csv","stage":"before","rate":200,"heading":["a","b"],
                         "columns":{"time":null,"perSecond":1,"unit":"kilogram","channels":{%s}}}""".formatted(columns))
                .body();
        String path =
                "/api/trace-imports/" + found("\"id\":\"([^\"]+)\"", begun).get(0);
        List<Cell> order = found("\"((?:left|right)-[a-z-]+)\"", begun).stream()
                .map(name -> Arrays.stream(Cell.values())
                        .filter(c -> c.channel(Handedness.RIGHT).equals(name))
                        .findFirst()
                        .orElseThrow())
                .toList();
        KeptSwing swing = KeptSwing.make();
        long first = 0;
        for (int batch = 0; batch < SWINGS / SWINGS_AT_ONCE; batch++) {
            StringBuilder rows = new StringBuilder();
            for (int i = 0; i < SWINGS_AT_ONCE; i++) {
                rows.append(rows.isEmpty() ? "" : ",").append(swing.rows(order, first));
                first += swing.trace().length();
            }
            server.send("POST", path + "/rows", "{\"rows\":[" + rows + "]}");
        }
        server.send("POST", path + "/take", "{\"leaveOut\":[]}");
        return lesson;
    }

    /** Eight cells of one swing. */
    private static String loads() {
        Trace trace = KeptSwing.make().trace();
        String channels = Arrays.stream(Cell.values())
                .map(c -> "\"%s\":[%s]"
                        .formatted(
                                c.channel(Handedness.RIGHT),
                                IntStream.range(0, trace.length())
                                        .mapToObj(i -> String.format(Locale.ROOT, "%.2f", trace.load(c, i)))
                                        .collect(Collectors.joining(","))))
                .collect(Collectors.joining(","));
        return "{\"handedness\":\"right\",\"rate\":200,\"unit\":\"kilogram\",\"channels\":{" + channels + "}}";
    }

    /** As a bay would write them; every thousandth row is broken. */
    private static String shots() {
        StringBuilder rows = new StringBuilder("Nr,Club,Carry (m),Side (m),Ball speed (m/s)\\n");
        for (int i = 1; i <= SHOTS; i++) {
            String carry = i % 1000 == 0 ? "far" : Integer.toString(120 + i % 30);
            rows.append("%d,7 iron,%s,%d,%d\\n".formatted(i, carry, i % 25 - 12, 40 + i % 9));
        }
        return "{\"text\":\"" + rows + "\",\"columns\":null}";
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

    private void time(String what, String method, String path, String body) throws IOException, InterruptedException {
        time(what, method, path, body, "under 100 ms");
    }

    private void time(String what, String method, String path, String body, String wanted)
            throws IOException, InterruptedException {
        for (int i = 0; i < WARM; i++) server.send(method, path, body);
        double[] millis = new double[RUNS];
        for (int i = 0; i < RUNS; i++) {
            long begun = System.nanoTime();
            server.send(method, path, body);
            millis[i] = (System.nanoTime() - begun) / 1e6;
        }
        Arrays.sort(millis);
        rows.add("| %s | %.1f ms | %.1f ms | %s |".formatted(what, millis[RUNS / 2], millis[RUNS * 95 / 100], wanted));
    }

    private void row(String what, double value, String unit, String wanted) {
        rows.add(String.format(Locale.ROOT, "| %s | %.1f %s | | %s |", what, value, unit, wanted));
    }
}
