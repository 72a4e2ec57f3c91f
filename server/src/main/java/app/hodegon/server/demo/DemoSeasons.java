package app.hodegon.server.demo;

import app.hodegon.core.simulate.Cast;
import app.hodegon.core.simulate.Persona;
import app.hodegon.core.simulate.Season;
import app.hodegon.core.simulate.SeasonSimulator;
import java.time.LocalDate;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;

/** The cast's seasons, simulated on another core while the server is still being put together. */
public final class DemoSeasons {

    private static final Map<Persona, CompletableFuture<Season>> SEASONS = new ConcurrentHashMap<>();

    private DemoSeasons() {}

    /** Begins simulating seasons that end on this day. */
    public static void begin(LocalDate today) {
        Stream.concat(Cast.first().stream(), Cast.second().stream())
                .forEach(persona -> SEASONS.put(persona, CompletableFuture.supplyAsync(() -> live(persona, today))));
    }

    /** The persona's season; simulated now where it was not begun. */
    static Season of(Persona persona, LocalDate today) {
        CompletableFuture<Season> begun = SEASONS.remove(persona);
        return begun == null ? live(persona, today) : begun.join();
    }

    private static Season live(Persona persona, LocalDate today) {
        return SeasonSimulator.live(persona, today, SeasonSimulator.DEMO_SEED);
    }
}
