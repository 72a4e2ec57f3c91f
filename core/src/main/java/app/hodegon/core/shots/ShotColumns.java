package app.hodegon.core.shots;

import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/**
 * What the columns of a file mean.
 *
 * @param figures columns by figure
 * @param club column that names the club; empty where none does
 * @param plusIsRight whether a positive miss is to the right, seen towards the target; else to the left
 */
public record ShotColumns(Map<ShotFigure, Column> figures, OptionalInt club, boolean plusIsRight) {

    /**
     * @param index from 0
     */
    public record Column(int index, ShotUnit unit) {}

    public ShotColumns {
        figures = Map.copyOf(figures);
        figures.forEach((figure, column) -> {
            if (!figure.units().contains(column.unit())) {
                throw new IllegalArgumentException(
                        figure.label() + " cannot be in " + column.unit().label() + ".");
            }
            if (column.index() < 0) throw new IllegalArgumentException("A column's index begins at 0.");
        });
        long different = figures.values().stream().map(Column::index).distinct().count();
        if (different < figures.size()) {
            throw new IllegalArgumentException("One column cannot be two figures.");
        }
    }

    /** What a heading line seems to say; a coach looks over it. */
    public static ShotColumns guess(List<String> heading) {
        Map<ShotFigure, Column> figures = new EnumMap<>(ShotFigure.class);
        OptionalInt club = OptionalInt.empty();
        for (int i = 0; i < heading.size(); i++) {
            String name = heading.get(i).toLowerCase(Locale.ROOT);
            Optional<ShotFigure> figure = figure(name);
            int index = i;
            figure.ifPresent(f -> figures.putIfAbsent(f, new Column(index, unit(name, f))));
            if (figure.isEmpty() && club.isEmpty() && name.contains("club")) club = OptionalInt.of(i);
        }
        return new ShotColumns(figures, club, true);
    }

    private static Optional<ShotFigure> figure(String name) {
        boolean speed = name.contains("speed") || name.contains("velocity");
        if (speed && name.contains("ball")) return Optional.of(ShotFigure.BALL_SPEED);
        if (speed && (name.contains("club") || name.contains("head"))) return Optional.of(ShotFigure.CLUB_SPEED);
        if (name.contains("carry")) return Optional.of(ShotFigure.CARRY);
        boolean aside = name.contains("offline") || name.contains("side") || name.contains("lateral");
        return aside && !name.contains("spin") && !name.contains("angle")
                ? Optional.of(ShotFigure.OFFLINE)
                : Optional.empty();
    }

    /** The unit named apart in the heading, else the metric one. */
    private static ShotUnit unit(String name, ShotFigure figure) {
        return figure.units().stream()
                .filter(u -> Pattern.compile("(^|[^a-z])" + Pattern.quote(u.id()) + "s?($|[^a-z/])")
                                .matcher(name)
                                .find()
                        || name.contains(u.label()))
                .findFirst()
                .orElse(figure.units().get(0));
    }

    /** The columns a heading of this many has not. */
    IntStream beyond(int columns) {
        return IntStream.concat(figures.values().stream().mapToInt(Column::index), club.stream())
                .filter(i -> i >= columns);
    }
}
