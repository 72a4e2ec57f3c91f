package app.hodegon.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.VerboseMode;

/** Runs every benchmark and study and writes their pages in docs/. */
public final class Bench {

    private Bench() {}

    /**
     * @param args the project's folder; after it {@code studies} for the studies alone
     */
    public static void main(String[] args) throws Exception {
        Path root = Path.of(args[0]);
        String part = args.length > 1 ? args[1] : "";
        if (!part.equals("times")) {
            LookReport.write(root.resolve("docs"));
            PlanReport.write(root.resolve("docs"));
            ForecastReport.write(root.resolve("docs"));
            LoopReport.write(root.resolve("docs"));
            MeasuringReport.write(root.resolve("docs"));
        }
        if (part.equals("studies")) return;
        List<String> lines = new ArrayList<>(List.of(
                "# Benchmarks",
                "",
                "Written by `./hodegon bench` on " + Runtime.getRuntime().availableProcessors() + " cores, Java "
                        + Runtime.version().feature() + ", demo data.",
                "",
                "| what | median | 95th percentile | wanted |",
                "|---|---|---|---|"));
        lines.addAll(shown(new DemoTimes().run(root)));
        lines.addAll(shown(core()));
        lines.addAll(shown(new AcademyLoad().run(root)));
        Files.writeString(root.resolve("docs/benchmarks.md"), String.join("\n", lines) + "\n");
    }

    /** At once: what comes after it takes long, and may fail. */
    private static List<String> shown(List<String> rows) {
        rows.forEach(System.out::println);
        return rows;
    }

    private static List<String> core() throws Exception {
        List<String> rows = new ArrayList<>();
        var options = new OptionsBuilder()
                .include(CoreBenchmark.class.getSimpleName())
                .verbosity(VerboseMode.SILENT)
                .build();
        for (RunResult result : new Runner(options).run()) {
            String label = result.getPrimaryResult().getLabel();
            var times = result.getPrimaryResult().getStatistics();
            rows.add(String.format(
                    Locale.ROOT,
                    "| core: %s | %.2f ms | %.2f ms | %s |",
                    label.replaceAll("(?<=[a-z])(?=[A-Z0-9])|(?<=[0-9])(?=[A-Z])", " ")
                            .toLowerCase(Locale.ROOT),
                    times.getPercentile(50),
                    times.getPercentile(95),
                    label.startsWith("plan") ? "under 50 ms" : label.startsWith("diagnosis") ? "under 10 ms" : ""));
        }
        return rows;
    }
}
