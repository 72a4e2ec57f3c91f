package app.hodegon.bench;

import app.hodegon.core.simulate.ForecastStudy;
import app.hodegon.core.simulate.Reliability;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Writes docs/forecast.md: whether the chance beside a gate is what it says. */
final class ForecastReport {

    private static final int STUDENTS = 1000;
    private static final long SEED = 2026;
    private static final String HAPPENED = "passed";

    private ForecastReport() {}

    static void write(Path docs) throws IOException {
        Reliability reliability = new ForecastStudy(STUDENTS, SEED).run();
        List<String> lines = new ArrayList<>(List.of(
                "# The forecast: method, limits, calibration",
                "",
                "Written by `./hodegon bench`.",
                "",
                "The chance beside a gate is the share of 400 simulated students who are through it by the next lesson. They",
                "are drawn for the student's level from all kinds of learners (the prior: as assumed in several speeds, up to a",
                "plateau, hardly at all, with a relapse), practise what the student practised, and are kept in proportion to how",
                "well they explain the student's own scored sets; then they go on with the plan, keeping as many days as the",
                "student does over all plans, the latest weeks counting most. The likely day is the first on which half are through.",
                "",
                "## Limits",
                "",
                "- The learners are an assumption (docs/decisions/0004). This study draws its students from the same ones: it shows",
                "  that the arithmetic is sound, not that people learn so. docs/loop.md has students from none of these families.",
                "- Only scored sets count as evidence; reps a student judges alone and ticks on paper are practice, not proof.",
                "- A simulated student goes on the day a gate is passed, as a plan does that is laid again at once.",
                "",
                "## Calibration",
                "",
                "%d students with random faults, levels and weeks, forecast on a random day of a 28-day plan; each gate still"
                        .formatted(STUDENTS),
                "open that day is a case.",
                "",
                "![Given and true chances](forecast.svg)",
                ""));
        lines.addAll(ReliabilityReport.table(reliability, HAPPENED));
        Files.writeString(docs.resolve("forecast.md"), String.join("\n", lines) + "\n");
        Files.writeString(docs.resolve("forecast.svg"), ReliabilityReport.plot(reliability, HAPPENED));
    }
}
