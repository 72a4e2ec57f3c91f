package app.hodegon.bench;

import app.hodegon.core.simulate.LookStudy;
import app.hodegon.core.simulate.LookStudy.Result;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Writes docs/next-looks.md: what the choice of the next look is worth, and whether probabilities are what they say. */
final class LookReport {

    private static final int STUDENTS = 2000;
    private static final int SIGNS = 8;
    private static final long SEED = 2026;

    private LookReport() {}

    static void write(Path docs) throws IOException {
        List<Result> results = new LookStudy(STUDENTS, SIGNS, SEED).run();
        List<String> lines = new ArrayList<>(List.of(
                "# What the next look is worth",
                "",
                "Written by `./hodegon bench`. %d students are drawn from the catalogue's own network, answers slipping"
                        .formatted(STUDENTS),
                "now and then as a coach's do. Each is diagnosed from %d signs, chosen in three ways; the checklist holds"
                        .formatted(SIGNS),
                "the strongest sign of each of eight common faults. %d of them have a fault in the movement."
                        .formatted(results.get(0).faulty()),
                "",
                "| signs chosen by | the most upstream true fault is first to work on | the most probable fault is really there"
                        + " | mean squared error |",
                "|---|---|---|---|"));
        for (Result result : results) {
            lines.add(String.format(
                    Locale.ROOT,
                    "| %s | %.1f %% | %.1f %% | %.4f |",
                    result.way().label(),
                    100 * result.upstreamFirst(),
                    100 * result.firstIsTrue(),
                    result.brier()));
        }
        lines.addAll(List.of(
                "",
                "A student with a fault has two or three, and eight of the thirty-six signs often leave the first of them",
                "below the grade \"likely\"; then nothing is proposed, which counts as a miss here.",
                "",
                "## Calibration",
                "",
                "![Given and true chances](next-looks.svg)",
                "",
                "All probabilities after the engine's own eight looks, by tenth:",
                ""));
        Result looks = results.get(0);
        lines.addAll(ReliabilityReport.table(looks.reliability(), "really there"));
        lines.addAll(
                List.of(
                        "",
                        "The students come from the same network that judges them, so this proves the arithmetic and the choice of",
                        "looks, not the catalogue: its strengths are teaching practice put into numbers, and real students may differ."));
        Files.writeString(docs.resolve("next-looks.md"), String.join("\n", lines) + "\n");
        Files.writeString(docs.resolve("next-looks.svg"), ReliabilityReport.plot(looks.reliability(), "really there"));
    }
}
