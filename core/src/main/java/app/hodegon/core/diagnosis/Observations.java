package app.hodegon.core.diagnosis;

import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Tally;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** What was seen in one measuring moment. A sign that is missing was not looked at and says nothing. */
public record Observations(Map<Sign, Boolean> signs, List<Reading> readings, Tally shots) {

    public static final Observations NONE = new Observations(Map.of(), List.of(), Tally.EMPTY);

    public Observations {
        signs = signs.isEmpty() ? Map.of() : java.util.Collections.unmodifiableMap(new EnumMap<>(signs));
        readings = List.copyOf(readings);
    }
}
