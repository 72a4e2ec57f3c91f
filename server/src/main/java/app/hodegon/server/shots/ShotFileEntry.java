package app.hodegon.server.shots;

import app.hodegon.core.shots.ShotColumns;
import app.hodegon.core.shots.ShotColumns.Column;
import app.hodegon.core.shots.ShotFigure;
import app.hodegon.core.shots.ShotUnit;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.http.Invalid;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.OptionalInt;

/**
 * A file of balls with what its columns mean, sent whole each time: nothing is kept between looking and taking.
 *
 * @param text the file, comma, semicolon or tab between the cells, the first line a heading
 * @param columns null to have them remembered or guessed
 */
record ShotFileEntry(
        @NotNull @Size(max = 4_000_000) String text, @Valid ColumnsEntry columns) {

    /**
     * @param figures column by figure
     * @param club index of the column that names the club; null where none does
     */
    record ColumnsEntry(
            @NotNull @Size(max = 4) Map<String, @NotNull @Valid ColumnEntry> figures,
            Integer club,
            @NotNull Boolean plusIsRight) {

        ShotColumns toColumns() {
            Map<ShotFigure, Column> read = new EnumMap<>(ShotFigure.class);
            figures.forEach((id, column) -> {
                String field = "columns.figures." + id;
                read.put(
                        Invalid.in(field, () -> Identified.of(ShotFigure.class, id)),
                        new Column(
                                column.index(),
                                Invalid.in(field + ".unit", () -> Identified.of(ShotUnit.class, column.unit()))));
            });
            return Invalid.in(
                    "columns",
                    () -> new ShotColumns(
                            read, club == null ? OptionalInt.empty() : OptionalInt.of(club), plusIsRight));
        }

        static ColumnsEntry of(ShotColumns columns) {
            Map<String, ColumnEntry> figures = new LinkedHashMap<>();
            for (ShotFigure figure : ShotFigure.values()) {
                Column column = columns.figures().get(figure);
                if (column != null) {
                    figures.put(
                            figure.id(),
                            new ColumnEntry(column.index(), column.unit().id()));
                }
            }
            return new ColumnsEntry(
                    figures, columns.club().isPresent() ? columns.club().getAsInt() : null, columns.plusIsRight());
        }
    }

    /**
     * @param index from 0
     */
    record ColumnEntry(
            @NotNull Integer index, @NotNull @Size(max = 10) String unit) {}
}
