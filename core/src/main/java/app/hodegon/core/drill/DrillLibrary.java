package app.hodegon.core.drill;

import app.hodegon.core.swing.UnknownIdException;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Drills by id: those of the library file beside this class, and a coach's own. */
public final class DrillLibrary {

    private static final DrillLibrary STANDARD = of(DrillFile.read(file("drills.json"), Set.of()));

    private final Map<String, Drill> drills;

    private DrillLibrary(Map<String, Drill> drills) {
        this.drills = drills;
    }

    private static String file(String name) {
        try (InputStream file = DrillLibrary.class.getResourceAsStream(name)) {
            return new String(file.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static DrillLibrary of(Collection<Drill> all) {
        Map<String, Drill> drills = new LinkedHashMap<>();
        all.forEach(d -> drills.put(d.id(), d));
        return new DrillLibrary(drills);
    }

    /** The drills that ship with the product. */
    public static DrillLibrary standard() {
        return STANDARD;
    }

    /** The same with a coach's own drills after them. */
    public DrillLibrary with(Collection<Drill> own) {
        Map<String, Drill> all = new LinkedHashMap<>(drills);
        own.forEach(d -> all.put(d.id(), d));
        return new DrillLibrary(all);
    }

    public Collection<Drill> all() {
        return drills.values();
    }

    public boolean has(String id) {
        return drills.containsKey(id);
    }

    public Set<String> ids() {
        return Set.copyOf(drills.keySet());
    }

    /**
     * @throws UnknownIdException if the library has no such drill
     */
    public Drill drill(String id) {
        Drill drill = drills.get(id);
        if (drill == null) throw new UnknownIdException("drill", id, List.copyOf(drills.keySet()));
        return drill;
    }
}
