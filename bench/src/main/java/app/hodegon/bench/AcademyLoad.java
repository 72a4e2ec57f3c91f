package app.hodegon.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.CompletableFuture;

/**
 * An academy's coach at work while requests come in at a fixed rate, whether or not the ones before were answered; so a
 * slow answer also delays the ones behind it.
 */
final class AcademyLoad {

    private static final int PORT = 8124;
    private static final int PER_SECOND = 50;
    /** A server that runs for months was compiled long ago. */
    private static final int WARM_SECONDS = 150;

    private static final int SECONDS = 40;
    private static final String ALL_NAMES = "The last weeks beside every name";
    private static final int NAMES_EVERY = 500;
    private static final long SEED = 7;

    List<String> run(Path root) throws Exception {
        Path folder = root.resolve("bench/target/academy");
        long begun = System.nanoTime();
        Academy.Size size = fill(root, folder);
        double loaded = (System.nanoTime() - begun) / 1e9;
        List<String> lines = new ArrayList<>(List.of(
                "",
                "## An academy",
                "",
                String.format(
                        Locale.ROOT,
                        "%,d students, %,d lessons, %,d practice sessions with %,d reps and %,d swings from a plate over"
                                + " three years (%,d MB, loaded in"
                                + " %.0f s); %d requests a second, come what may, for %d s after %d s of the same.",
                        size.students(),
                        size.lessons(),
                        size.sessions(),
                        size.reps(),
                        size.swings(),
                        Files.size(folder.resolve("hodegon.mv.db")) / 1_000_000,
                        loaded,
                        PER_SECOND,
                        SECONDS,
                        WARM_SECONDS),
                "",
                "| what | median | 95th percentile | wanted |",
                "|---|---|---|---|"));
        lines.addAll(loaded(root, folder));
        Files.delete(folder.resolve("hodegon.mv.db"));
        return lines;
    }

    private static Academy.Size fill(Path root, Path folder) throws Exception {
        Files.createDirectories(folder);
        Files.copy(
                root.resolve("server/target/demo/" + LocalDate.now() + "/hodegon.mv.db"),
                folder.resolve("hodegon.mv.db"),
                StandardCopyOption.REPLACE_EXISTING);
        // Of the one before, which was changed more often.
        Files.deleteIfExists(folder.resolve("installation"));
        return Academy.fill(folder);
    }

    private static List<String> loaded(Path root, Path folder) throws Exception {
        List<String> lines = new ArrayList<>();
        try (LaunchedServer server =
                LaunchedServer.start(root, PORT, "run", "--port", "" + PORT, "--data", folder.toString())) {
            server.signIn("coach@demo.example", "demo-coach");
            List<String> students = LaunchedServer.found(
                    "\"id\":\"([^\"]+)\"",
                    server.send("GET", "/api/students", null).body());
            Random random = new Random(SEED);
            load(server, students, random, WARM_SECONDS);
            load(server, students, random, SECONDS).forEach((what, times) -> {
                double[] sorted = times.stream().mapToDouble(t -> t).sorted().toArray();
                lines.add(String.format(
                        Locale.ROOT,
                        "| %s | %.0f ms | %.0f ms | %s |",
                        what,
                        sorted[sorted.length / 2],
                        sorted[sorted.length * 95 / 100],
                        what.equals(ALL_NAMES) ? "under 1 s" : "under 60 ms"));
            });
        }
        return lines;
    }

    /** Of ten requests three are for the coach's day and the others for what a student's page asks. */
    private static Map<String, List<Double>> load(
            LaunchedServer server, List<String> students, Random random, int seconds) throws InterruptedException {
        Map<String, List<Double>> times = new LinkedHashMap<>();
        List<CompletableFuture<?>> open = new ArrayList<>();
        long start = System.nanoTime();
        for (int i = 0; i < seconds * PER_SECOND; i++) {
            long due = start + i * 1_000_000_000L / PER_SECOND;
            long wait = due - System.nanoTime();
            if (wait > 0) Thread.sleep(wait / 1_000_000, (int) (wait % 1_000_000));
            String student = "/api/students/" + students.get(random.nextInt(students.size()));
            // The whole list is looked at now and then.
            Map.Entry<String, String> what = i % NAMES_EVERY == 0
                    ? Map.entry(ALL_NAMES, "/api/strands")
                    : switch (i % 10) {
                        case 0, 3, 6 -> Map.entry("The coach's day", "/api/day");
                        case 1, 4 -> Map.entry("A student's thread", student + "/thread");
                        case 2, 5 -> Map.entry("A student's practice", student + "/practice");
                        case 7 -> Map.entry("A student", student);
                        case 8 -> Map.entry("A student's planned days", student + "/planned");
                        default -> Map.entry("A student's notes", student + "/notes");
                    };
            open.add(server.sendAsync(what.getValue()).thenAccept(answer -> {
                if (answer.statusCode() != 200) throw new IllegalStateException(answer.body());
                synchronized (times) {
                    times.computeIfAbsent(what.getKey(), w -> new ArrayList<>()).add((System.nanoTime() - due) / 1e6);
                }
            }));
        }
        CompletableFuture.allOf(open.toArray(CompletableFuture[]::new)).join();
        return times;
    }

    /** For a look at one's own change: loads the academy, made only if it is not there yet, and leaves it. */
    public static void main(String[] args) throws Exception {
        Path root = Path.of(args[0]);
        Path folder = root.resolve("bench/target/academy");
        if (Files.notExists(folder.resolve("hodegon.mv.db"))) fill(root, folder);
        loaded(root, folder).forEach(System.out::println);
    }
}
