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
    private static final int SIDE = 300;
    private static final int MARGIN = 46;

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
                "",
                "| given | how many | mean given | really there |",
                "|---|---|---|---|"));
        Result looks = results.get(0);
        for (int tenth = 0; tenth < looks.given().length; tenth++) {
            lines.add(String.format(
                    Locale.ROOT,
                    "| %d–%d %% | %d | %.1f %% | %.1f %% |",
                    10 * tenth,
                    10 * tenth + 10,
                    looks.given()[tenth],
                    100 * looks.meanGiven()[tenth],
                    100 * looks.happened()[tenth]));
        }
        lines.addAll(
                List.of(
                        "",
                        "The students come from the same network that judges them, so this proves the arithmetic and the choice of",
                        "looks, not the catalogue: its strengths are teaching practice put into numbers, and real students may differ."));
        Files.writeString(docs.resolve("next-looks.md"), String.join("\n", lines) + "\n");
        Files.writeString(docs.resolve("next-looks.svg"), plot(looks));
    }

    private static String plot(Result result) {
        StringBuilder svg = new StringBuilder();
        int size = SIDE + 2 * MARGIN;
        svg.append(
                "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 %d %d\" font-family=\"sans-serif\" font-size=\"12\">%n"
                        .formatted(size, size));
        svg.append("<rect width=\"%d\" height=\"%d\" fill=\"#fffcf5\"/>%n".formatted(size, size));
        svg.append("<rect x=\"%d\" y=\"%d\" width=\"%d\" height=\"%d\" fill=\"none\" stroke=\"#8d8168\"/>%n"
                .formatted(MARGIN, MARGIN, SIDE, SIDE));
        svg.append("<path d=\"M%d %d L%d %d\" stroke=\"#8d8168\" stroke-dasharray=\"4 4\"/>%n"
                .formatted(MARGIN, MARGIN + SIDE, MARGIN + SIDE, MARGIN));
        for (int tenth = 0; tenth < result.given().length; tenth++) {
            double x = MARGIN + SIDE * result.meanGiven()[tenth];
            double y = MARGIN + SIDE * (1 - result.happened()[tenth]);
            double half = SIDE
                    * 1.96
                    * Math.sqrt(result.happened()[tenth] * (1 - result.happened()[tenth]) / result.given()[tenth]);
            svg.append(String.format(
                    Locale.ROOT,
                    "<path d=\"M%.1f %.1f V%.1f\" stroke=\"#1d5c73\"/><circle cx=\"%.1f\" cy=\"%.1f\" r=\"4\" fill=\"#1d5c73\"/>%n",
                    x,
                    y - half,
                    y + half,
                    x,
                    y));
        }
        for (int percent = 0; percent <= 100; percent += 50) {
            double at = SIDE * percent / 100.0;
            svg.append(String.format(
                    Locale.ROOT,
                    "<text x=\"%.0f\" y=\"%d\" text-anchor=\"middle\">%d %%</text><text x=\"%d\" y=\"%.0f\" text-anchor=\"end\">%d %%</text>%n",
                    MARGIN + at,
                    MARGIN + SIDE + 18,
                    percent,
                    MARGIN - 6,
                    MARGIN + SIDE - at + 4,
                    percent));
        }
        svg.append("<text x=\"%d\" y=\"%d\" text-anchor=\"middle\">given by the engine</text>%n"
                .formatted(size / 2, size - 8));
        svg.append("<text x=\"%d\" y=\"%d\">really there, 95 %% interval</text>%n".formatted(MARGIN, MARGIN - 12));
        return svg.append("</svg>\n").toString();
    }
}
