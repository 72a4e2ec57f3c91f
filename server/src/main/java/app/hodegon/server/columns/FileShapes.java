package app.hodegon.server.columns;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/** What the columns of files mean, by their heading: said once by each coach. */
@Service
public class FileShapes {

    /** What the files hold. */
    public enum Kind {
        SHOTS,
        LOADS;

        private String id() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    private static final int LONGEST_HEADING = 2000;

    private final FileShapeRepository shapes;
    private final JsonMapper json;

    FileShapes(FileShapeRepository shapes, JsonMapper json) {
        this.shapes = shapes;
        this.json = json;
    }

    public <T> Optional<T> columns(UUID coach, Kind kind, List<String> heading, Class<T> as) {
        return shapes.columns(coach, kind.id(), key(heading)).map(stored -> json.readValue(stored, as));
    }

    public void remember(UUID coach, Kind kind, List<String> heading, Object columns) {
        shapes.remember(coach, kind.id(), key(heading), json.writeValueAsString(columns));
    }

    private static String key(List<String> heading) {
        String key = String.join("\t", heading).toLowerCase(Locale.ROOT);
        return key.substring(0, Math.min(LONGEST_HEADING, key.length()));
    }
}
