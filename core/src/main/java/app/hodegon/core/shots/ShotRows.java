package app.hodegon.core.shots;

import app.hodegon.core.shots.ShotColumns.Column;
import app.hodegon.core.swing.Handedness;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The balls of a file, and what could not be read of it. A row without any cell is no ball and no error.
 */
public record ShotRows(List<Shot> shots, List<Broken> broken) {

    /**
     * A row that is no ball.
     *
     * @param row as a table program numbers it: the heading is row 1
     * @param column its heading; empty where the whole row is meant
     */
    public record Broken(int row, String column, String reason) {}

    /** A number with an optional side before or behind it; a comma may stand for the point. */
    private static final Pattern NUMBER =
            Pattern.compile("(?<before>[lr]|left|right)?\\s*(?<number>[-+−]?\\d+(?:[.,]\\d+)?)\\s*(?<behind>[a-z/]*)");

    /**
     * Reads the rows under a heading.
     *
     * @param hand turns right and left into trail and lead side
     * @throws IllegalArgumentException if no figure has a column, or a column is not there
     */
    public static ShotRows read(List<String> heading, List<List<String>> rows, ShotColumns columns, Handedness hand) {
        if (columns.figures().isEmpty()) {
            throw new IllegalArgumentException("Say which column is the carry, the miss or a speed.");
        }
        columns.beyond(heading.size()).findFirst().ifPresent(index -> {
            throw new IllegalArgumentException("There is no column " + (index + 1) + ".");
        });
        List<Shot> shots = new ArrayList<>();
        List<Broken> broken = new ArrayList<>();
        for (int i = 0; i < rows.size(); i++) {
            List<String> row = rows.get(i);
            if (row.stream().allMatch(String::isBlank)) continue;
            int number = i + 2;
            Map<ShotFigure, Double> figures = new EnumMap<>(ShotFigure.class);
            int before = broken.size();
            columns.figures().forEach((figure, column) -> {
                String cell = cell(row, column.index());
                if (cell.isEmpty()) return;
                try {
                    double value = value(cell, figure, column, columns.plusIsRight(), hand);
                    figure.check(value, column.unit());
                    figures.put(figure, value);
                } catch (IllegalArgumentException unreadable) {
                    broken.add(new Broken(number, heading.get(column.index()), unreadable.getMessage()));
                }
            });
            if (broken.size() > before) continue;
            try {
                shots.add(new Shot(
                        columns.club().isPresent() ? cell(row, columns.club().getAsInt()) : "",
                        of(figures, ShotFigure.CARRY),
                        of(figures, ShotFigure.OFFLINE),
                        of(figures, ShotFigure.BALL_SPEED),
                        of(figures, ShotFigure.CLUB_SPEED)));
            } catch (IllegalArgumentException noBall) {
                broken.add(new Broken(number, "", noBall.getMessage()));
            }
        }
        return new ShotRows(List.copyOf(shots), List.copyOf(broken));
    }

    private static OptionalDouble of(Map<ShotFigure, Double> figures, ShotFigure figure) {
        Double value = figures.get(figure);
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    private static String cell(List<String> row, int index) {
        return index < row.size() ? row.get(index).strip() : "";
    }

    private static double value(String cell, ShotFigure figure, Column column, boolean plusIsRight, Handedness hand) {
        Matcher matcher = NUMBER.matcher(cell.toLowerCase(Locale.ROOT));
        if (!matcher.matches()) throw new IllegalArgumentException("\"" + shortened(cell) + "\" is no number");
        double number =
                Double.parseDouble(matcher.group("number").replace('−', '-').replace(',', '.'));
        double metric = column.unit().toMetric(number);
        if (figure != ShotFigure.OFFLINE) return metric;
        String side = matcher.group("before") != null ? matcher.group("before") : matcher.group("behind");
        boolean left = side.equals("l") || side.equals("left");
        boolean right = side.equals("r") || side.equals("right");
        // A side that is written out says it all; a sign beside it would say it twice.
        double toTheRight = left ? -Math.abs(metric) : right ? Math.abs(metric) : plusIsRight ? metric : -metric;
        return hand == Handedness.RIGHT ? toTheRight : 0 - toTheRight;
    }

    private static String shortened(String cell) {
        return cell.length() <= 20 ? cell : cell.substring(0, 20) + "…";
    }
}
