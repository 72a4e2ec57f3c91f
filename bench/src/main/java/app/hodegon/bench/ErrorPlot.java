package app.hodegon.bench;

import app.hodegon.bench.ErrorStudy.What;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** Errors of values that are read, as rows of a table and as curves. */
final class ErrorPlot {

    static final String HEADING = "| what | values | median | 95 % | 99 % | largest | within what is wanted |";
    static final String RULE = "|---|---|---|---|---|---|---|";

    private static final int WIDTH = 260;
    private static final int HEIGHT = 150;
    private static final int MARGIN = 40;
    private static final int COLUMNS = 2;
    private static final String[] COLOURS = {"#1d5c73", "#b4532a", "#5c7a29"};

    private ErrorPlot() {}

    /**
     * The part of all values (up) whose error is at most so large (right).
     *
     * @param series errors without their signs, by what they come from
     */
    record Panel(What what, Map<String, List<Double>> series) {}

    /** @param all errors without their signs */
    static String row(What what, List<Double> all) {
        List<Double> sorted = all.stream().sorted().toList();
        long within = sorted.stream().filter(e -> e <= what.wanted()).count();
        return String.format(
                Locale.ROOT,
                "| %s (%s) | %,d | %.2f | %.2f | %.2f | %.2f | %.1f %% within %.1f |",
                what.label(),
                what.unit(),
                sorted.size(),
                quantile(sorted, 0.5),
                quantile(sorted, 0.95),
                quantile(sorted, 0.99),
                sorted.get(sorted.size() - 1),
                100.0 * within / sorted.size(),
                what.wanted());
    }

    private static double quantile(List<Double> sorted, double part) {
        return sorted.get((int) Math.min(sorted.size() - 1, part * sorted.size()));
    }

    static String svg(List<Panel> panels) {
        int rows = (panels.size() + COLUMNS - 1) / COLUMNS;
        int width = COLUMNS * (WIDTH + MARGIN) + MARGIN;
        int height = rows * (HEIGHT + 2 * MARGIN) + MARGIN;
        StringBuilder svg = new StringBuilder();
        svg.append(
                "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 %d %d\" font-family=\"sans-serif\" font-size=\"12\">%n"
                        .formatted(width, height));
        svg.append("<rect width=\"%d\" height=\"%d\" fill=\"#fffcf5\"/>%n".formatted(width, height));
        int s = 0;
        for (String name : panels.get(0).series().keySet()) {
            svg.append("<text x=\"%d\" y=\"22\" fill=\"%s\">%s</text>%n".formatted(MARGIN + 120 * s, COLOURS[s], name));
            s++;
        }
        for (int i = 0; i < panels.size(); i++) {
            int x = MARGIN + i % COLUMNS * (WIDTH + MARGIN);
            int y = MARGIN + 20 + i / COLUMNS * (HEIGHT + 2 * MARGIN);
            panel(svg, panels.get(i), x, y);
        }
        return svg.append("</svg>\n").toString();
    }

    private static void panel(StringBuilder svg, Panel panel, int x, int y) {
        double most = 1.4 * panel.what().wanted();
        double at = x + WIDTH * panel.what().wanted() / most;
        svg.append(String.format(
                Locale.ROOT,
                "<text x=\"%d\" y=\"%d\">%s, %s</text><rect x=\"%d\" y=\"%d\" width=\"%d\" height=\"%d\" fill=\"none\""
                        + " stroke=\"#8d8168\"/><path d=\"M%.1f %d v%d\" stroke=\"#8d8168\" stroke-dasharray=\"4 4\"/>"
                        + "<text x=\"%.1f\" y=\"%d\" text-anchor=\"middle\">%.1f</text>%n",
                x,
                y - 6,
                panel.what().label(),
                panel.what().unit(),
                x,
                y,
                WIDTH,
                HEIGHT,
                at,
                y,
                HEIGHT,
                at,
                y + HEIGHT + 15,
                panel.what().wanted()));
        int s = 0;
        for (List<Double> all : panel.series().values()) {
            String colour = COLOURS[s++];
            if (all.isEmpty()) continue;
            svg.append("<path d=\"%s\" fill=\"none\" stroke=\"%s\" stroke-width=\"1.6\"/>%n"
                    .formatted(curve(all.stream().sorted().toList(), most, x, y), colour));
        }
    }

    private static String curve(List<Double> sorted, double most, int x, int y) {
        StringBuilder path = new StringBuilder();
        for (int step = 0; step <= 100; step++) {
            double error = quantile(sorted, step / 100.0);
            if (error > most) break;
            path.append(String.format(
                    Locale.ROOT,
                    "%s%.1f %.1f",
                    step == 0 ? "M" : "L",
                    x + WIDTH * error / most,
                    y + HEIGHT * (1 - step / 100.0)));
        }
        return path.toString();
    }
}
