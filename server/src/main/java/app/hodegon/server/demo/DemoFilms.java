package app.hodegon.server.demo;

import app.hodegon.server.http.NotFound;
import jakarta.validation.constraints.NotNull;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.Map;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Films of the simulated golfer, for whoever has none at hand, with the truth about them. */
@RestController
@ConditionalOnProperty("hodegon.demo")
class DemoFilms {

    private static final String FOLDER = "demo-films/";

    private final List<DemoFilm> films;

    DemoFilms(JsonMapper json) throws IOException {
        try (InputStream in = new ClassPathResource(FOLDER + "films.json").getInputStream()) {
            films = json.readValue(in, new TypeReference<>() {});
        }
    }

    /**
     * @param fault what was put in and how far, such as sway:0.9
     * @param height of the golfer, cm
     * @param moments seconds in the film by checkpoint
     * @param readings by measure and checkpoint, cm and degrees
     */
    record DemoFilm(
            @NotNull String name,
            @NotNull String fault,
            @NotNull String hand,
            @NotNull String view,
            @NotNull String look,
            @NotNull double height,
            @NotNull Map<String, Double> moments,
            @NotNull Map<String, Double> readings) {}

    @GetMapping("/api/demo/films")
    List<DemoFilm> films() {
        return films;
    }

    @GetMapping(path = "/api/demo/films/{name}", produces = "video/mp4")
    ResponseEntity<Resource> film(@PathVariable String name) {
        DemoFilm film =
                films.stream().filter(f -> f.name().equals(name)).findFirst().orElseThrow(() -> new NotFound("film"));
        return ResponseEntity.ok(new ClassPathResource(FOLDER + film.name() + ".mp4"));
    }
}
