package app.hodegon.bench;

import app.hodegon.core.simulate.LoopStudy;
import app.hodegon.core.simulate.LoopStudy.Result;
import app.hodegon.core.simulate.LoopStudy.Share;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** Writes docs/loop.md: what follows from practice and lessons for students whom nothing assumes. */
final class LoopReport {

    private static final int STUDENTS = 200;
    private static final long[] SEEDS = {20261, 20262, 20263};

    private LoopReport() {}

    static void write(Path docs) throws IOException {
        List<Result> results = Arrays.stream(SEEDS)
                .mapToObj(seed -> new LoopStudy(STUDENTS, seed, true).run())
                .toList();
        Result forgets = new LoopStudy(STUDENTS, SEEDS[0], false).run();
        List<String> lines = new ArrayList<>(List.of(
                "# The loop: what practice and lessons say decides what comes next",
                "",
                "Written by `./hodegon bench`. %d students live four lessons a fortnight apart, three times over with another"
                        .formatted(STUDENTS),
                "seed. They learn by families that neither planner nor forecast assumes (a power law with form that changes",
                "from day to day, a plateau, a relapse after three weeks, never, a late jump), a third of them keep half of",
                "their days, a quarter call a third of the bad ones good. Their faults show otherwise than the catalogue says:",
                "strengths and leaks are drawn anew, some signs are missing, and one answer in ten is wrong.",
                "",
                "| what | seed 1 | seed 2 | seed 3 | seed 1, lessons that forget |",
                "|---|---|---|---|---|"));
        for (String what : LoopStudy.COUNTED) {
            lines.add("| %s | %s | %s |"
                    .formatted(
                            what,
                            results.stream().map(r -> said(r, what)).collect(Collectors.joining(" | ")),
                            said(forgets, what)));
        }
        lines.addAll(List.of("", "## The forecast, for learners it does not know", "", "Seed 1, by tenth:", ""));
        lines.addAll(ReliabilityReport.table(results.get(0).forecast(), "passed"));
        Files.writeString(docs.resolve("loop.md"), String.join("\n", lines) + "\n");
    }

    private static String said(Result result, String what) {
        Share share = result.counts().getOrDefault(what, new Share(0, 0));
        return share.of() == 0
                ? "none"
                : String.format(Locale.ROOT, "%d of %d (%.0f %%)", share.hits(), share.of(), 100 * share.share());
    }
}
