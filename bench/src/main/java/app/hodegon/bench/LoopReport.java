package app.hodegon.bench;

import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Level;
import app.hodegon.core.practice.HouseReps;
import app.hodegon.core.simulate.LoopStudy;
import app.hodegon.core.simulate.LoopStudy.Counted;
import app.hodegon.core.simulate.LoopStudy.Result;
import app.hodegon.core.simulate.LoopStudy.Share;
import app.hodegon.core.simulate.StrikeStudy;
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
    private static final long[] SEEDS = {30271, 30272, 30273};

    private static final int HOUSE = 100;
    private static final long HOUSE_SEED = 30291;

    /** A house whose students need so many times what is assumed. */
    private static final double SLOW = 2.5;

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
                "strengths and leaks are drawn anew, some signs are missing, and one answer in ten is wrong. A lesson has ten balls,",
                "one film and eight looks, up to sixteen while nothing is likely.",
                "",
                "| what | seed 1 | seed 2 | seed 3 | seed 1, lessons that forget |",
                "|---|---|---|---|---|"));
        for (Counted what : Counted.values()) {
            lines.add("| %s | %s | %s |"
                    .formatted(
                            what.label(),
                            results.stream().map(r -> said(r, what)).collect(Collectors.joining(" | ")),
                            said(forgets, what)));
        }
        lines.addAll(List.of("", "## The forecast, for learners it does not know"));
        for (int seed = 0; seed < results.size(); seed++) {
            lines.addAll(List.of("", "Seed %d, by tenth:".formatted(seed + 1), ""));
            lines.addAll(ReliabilityReport.table(results.get(seed).forecast(), "passed"));
        }
        StrikeStudy.Result strike = new StrikeStudy(STUDENTS, SEEDS[0]).run();
        lines.addAll(List.of(
                "",
                "## The strike that falls apart",
                "",
                "%d students hit twenty balls on 150 days of a year, with form that changes from day to day, and are looked at"
                        .formatted(STUDENTS),
                "every day: on level play %.2f alarms a student and year. Of others who fall to two solid balls in five, %.0f %%"
                        .formatted(strike.alarms(), 100 * strike.found()),
                "are found within four days with balls."));
        lines.addAll(house());
        Files.writeString(docs.resolve("loop.md"), String.join("\n", lines) + "\n");
    }

    /** What a house learns of its students, and whether that tells of others better than the assumption. */
    private static List<String> house() {
        List<String> lines = new ArrayList<>(List.of(
                "",
                "## The house learns",
                "",
                "%d students of a house live their seasons; what is learnt of their gates is then known of %d others of it. The score"
                        .formatted(HOUSE, HOUSE),
                "is the mean logarithm of the chance given to what happened: nearer to 0 is better. By gate it is the gain over the",
                "assumption while the house learns, student by student; by plan, that of the others' forecasts of the same plans.",
                "",
                "| students of the house | a gate, gained | others' plans, not knowing | knowing | rungs told as other than assumed |",
                "|---|---|---|---|---|"));
        for (double times : new double[] {1, SLOW}) {
            HouseReps learnt = HouseReps.of(
                    new LoopStudy(HOUSE, HOUSE_SEED, true, HouseReps.NONE, times).run().practice().stream());
            Result knowing = new LoopStudy(HOUSE, HOUSE_SEED + 1, true, learnt, times).run();
            long told = Arrays.stream(Level.values())
                    .flatMap(level -> learnt.at(level).rungs().values().stream())
                    .filter(t -> t != 1)
                    .count();
            lines.add(String.format(
                    Locale.ROOT,
                    "| need %s the reps | %+.3f | %.4f | %.4f | %d of %d |",
                    times == 1 ? "about" : times + " times",
                    learnt.gain(),
                    knowing.notKnowing(),
                    knowing.logScore(),
                    told,
                    Level.values().length * Rung.values().length));
        }
        return lines;
    }

    private static String said(Result result, Counted what) {
        Share share = result.counts().getOrDefault(what, new Share(0, 0));
        return share.of() == 0
                ? "none"
                : String.format(Locale.ROOT, "%d of %d (%.0f %%)", share.hits(), share.of(), 100 * share.share());
    }
}
