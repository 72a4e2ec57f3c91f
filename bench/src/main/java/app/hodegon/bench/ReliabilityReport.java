package app.hodegon.bench;

import app.hodegon.core.simulate.Reliability;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Given chances against what happened, as a table and as a picture. */
final class ReliabilityReport {

    private static final int SIDE = 300;
    private static final int MARGIN = 46;

    private ReliabilityReport() {}

    static List<String> table(Reliability reliability, String happened) {
        List<String> lines =
                new ArrayList<>(List.of("| given | how many | mean given | " + happened + " |", "|---|---|---|---|"));
        for (int tenth = 0; tenth < Reliability.TENTHS; tenth++) {
            if (reliability.cases()[tenth] == 0) continue;
            lines.add(String.format(
                    Locale.ROOT,
                    "| %d–%d %% | %d | %.1f %% | %.1f %% |",
                    10 * tenth,
                    10 * tenth + 10,
                    reliability.cases()[tenth],
                    100 * reliability.given()[tenth],
                    100 * reliability.happened()[tenth]));
        }
        return lines;
    }

    /**
     * Given chance against what happened, with its 95 % interval (normal approximation).
     *
     * @param happened what the share is of, in words
     */
    static String plot(Reliability reliability, String happened) {
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
        for (int tenth = 0; tenth < Reliability.TENTHS; tenth++) {
            int cases = reliability.cases()[tenth];
            if (cases == 0) continue;
            double share = reliability.happened()[tenth];
            double x = MARGIN + SIDE * reliability.given()[tenth];
            double y = MARGIN + SIDE * (1 - share);
            double half = SIDE * 1.96 * Math.sqrt(share * (1 - share) / cases);
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
        svg.append("<text x=\"%d\" y=\"%d\" text-anchor=\"middle\">given</text>%n".formatted(size / 2, size - 8));
        svg.append("<text x=\"%d\" y=\"%d\">%s, 95 %% interval</text>%n".formatted(MARGIN, MARGIN - 12, happened));
        return svg.append("</svg>\n").toString();
    }
}
