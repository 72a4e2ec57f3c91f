package app.hodegon.server.practice;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Form;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.practice.CheckSet;
import app.hodegon.core.practice.Feel;
import app.hodegon.core.swing.Identified;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A session's full check sets as its row holds them: parts joined by /, sets by commas. They are asked for years back, and
 * so do not have to be sought among all blocks.
 */
final class CheckColumn {

    /** As much as the column takes; a day on the phone has twenty blocks at most. */
    private static final int LONGEST = 8000;

    private CheckColumn() {}

    /**
     * @throws IllegalArgumentException for more sets than a session can have
     */
    static String write(Collection<CheckSet> checks) {
        String written = checks.stream().map(CheckColumn::written).collect(Collectors.joining(","));
        if (written.length() > LONGEST) throw new IllegalArgumentException("a session has too many checks.");
        return written;
    }

    private static String written(CheckSet set) {
        return String.join(
                "/",
                set.fault().id(),
                set.drill(),
                set.rung().id(),
                set.form().id(),
                "" + set.good(),
                "" + set.of(),
                set.feel().map(f -> "" + f.value()).orElse(""));
    }

    static Stream<CheckSet> read(LocalDate day, String stored) {
        return stored.isEmpty()
                ? Stream.empty()
                : Stream.of(stored.split(",")).map(set -> set(day, List.of(set.split("/", -1))));
    }

    private static CheckSet set(LocalDate day, List<String> parts) {
        String feel = parts.get(6);
        return new CheckSet(
                day,
                Identified.of(Fault.class, parts.get(0)),
                parts.get(1),
                Identified.of(Rung.class, parts.get(2)),
                Integer.parseInt(parts.get(4)),
                Integer.parseInt(parts.get(5)),
                feel.isEmpty() ? Optional.empty() : Optional.of(new Feel(Integer.parseInt(feel))),
                Identified.of(Form.class, parts.get(3)),
                false);
    }
}
