package app.hodegon.core.drill;

import app.hodegon.core.golfer.Movement;
import app.hodegon.core.swing.UnknownIdException;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Drills by id: those of the library file beside this class, and a coach's own. */
public final class DrillLibrary {

    /** Serves every fault, with nothing underfoot. */
    private static final String BRIDGE = "plain-swing";

    private static final DrillLibrary STANDARD = of(DrillFile.read(file("drills.json"), Set.of()));

    private final Map<String, Drill> drills;
    private final Map<String, Drill> setAside;

    private DrillLibrary(Map<String, Drill> drills, Map<String, Drill> setAside) {
        this.drills = drills;
        this.setAside = setAside;
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
        return new DrillLibrary(drills, Map.of());
    }

    /** The drills that ship with the product. */
    public static DrillLibrary standard() {
        return STANDARD;
    }

    /** The same with a coach's own drills after them. */
    public DrillLibrary with(Collection<Drill> own) {
        Map<String, Drill> all = new LinkedHashMap<>(drills);
        own.forEach(d -> all.put(d.id(), d));
        return new DrillLibrary(all, setAside);
    }

    /**
     * The same, answering for drills that could not be read: plans that have them still open, nothing new is planned
     * with them.
     *
     * @param names by id
     */
    public DrillLibrary settingAside(Map<String, String> names) {
        Drill bridge = drills.get(BRIDGE);
        Map<String, Drill> aside = new LinkedHashMap<>();
        names.forEach((id, name) -> aside.put(id, bridge.named(id, name)));
        return new DrillLibrary(drills, aside);
    }

    /** The half-step that a run of good ones brings at once; empty where only the drill's harder form is left. */
    public Optional<HalfStep> nextAfterAGoodRun(Drill drill, Rung rung) {
        return halfSteps(drill, rung).stream()
                .filter(HalfStep::isNextAfterAGoodRun)
                .findFirst();
    }

    /**
     * The half-steps of a drill on a rung, in the order in which they come up: the moves of a set first, then its own or
     * the usual ones, and what it goes together with.
     */
    public List<HalfStep> halfSteps(Drill drill, Rung rung) {
        List<HalfStep> steps = new ArrayList<>();
        int number = 0;
        for (String move : drill.ways().moves()) {
            if (has(move)) steps.add(HalfStep.move(++number, drill(move)));
        }
        steps.addAll(drill.ways().halfSteps().getOrDefault(rung, HalfStep.usual(rung)));
        for (String other : drill.ways().combines()) {
            if (has(other) && drill(other).covers(rung)) steps.add(HalfStep.combined(drill(other)));
        }
        return List.copyOf(steps);
    }

    public Collection<Drill> all() {
        return drills.values();
    }

    /** How a drill moves on a rung under a half-step, where that is told: a move of a set is that move's own. */
    public Optional<Movement> movement(Drill drill, Rung rung, HalfStep step) {
        Optional<Drill> other =
                step.with().stream().findFirst().filter(this::has).map(this::drill);
        int speed = drill.speed(rung);
        return switch (step.kind()) {
            case MOVE -> other.flatMap(o -> o.movement(o.nearest(rung)));
            case COMBINED ->
                drill.movement()
                        .map(m -> other.flatMap(Drill::movement)
                                .map(o -> m.on(rung, speed, o))
                                .orElseGet(() -> m.on(rung, speed)));
            default -> drill.movement().map(m -> m.on(rung, speed, step));
        };
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
        Drill drill = drills.getOrDefault(id, setAside.get(id));
        if (drill == null) throw new UnknownIdException("drill", id, List.copyOf(drills.keySet()));
        return drill;
    }
}
