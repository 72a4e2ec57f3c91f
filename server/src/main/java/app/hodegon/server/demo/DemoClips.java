package app.hodegon.server.demo;

import app.hodegon.core.swing.Checkpoint;
import app.hodegon.server.account.Account;
import app.hodegon.server.clip.ClipEntry;
import app.hodegon.server.clip.Clips;
import app.hodegon.server.lesson.Stage;
import app.hodegon.server.lesson.StoredLesson;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.EnumMap;
import java.util.Map;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Swings of one student, filmed before the first lesson and after the last, as the page sent them when they were kept. */
@Component
@ConditionalOnProperty("hodegon.demo")
class DemoClips {

    static final String FILMED = "Petra Lund";

    /** As in the films. */
    static final String LOOK = "plum";

    private static final String FOLDER = "demo-films/kept/";

    private final Clips clips;
    private final JsonMapper json;

    DemoClips(Clips clips, JsonMapper json) {
        this.clips = clips;
        this.json = json;
    }

    /** @param film its name */
    void keep(Account coach, StoredLesson lesson, Stage stage, String film) {
        Map<Checkpoint, byte[]> stills = new EnumMap<>(Checkpoint.class);
        for (Checkpoint at : Checkpoint.values()) {
            ClassPathResource still = new ClassPathResource(FOLDER + film + "/" + at.id() + ".jpg");
            if (still.exists()) stills.put(at, bytes(still));
        }
        ClipEntry sent = json.readValue(bytes(new ClassPathResource(FOLDER + film + "/clip.json")), ClipEntry.class);
        ClipEntry entry = new ClipEntry(stage.id(), sent.name(), sent.width(), sent.height(), sent.track());
        clips.keep(coach, lesson, FILMED, entry, stills, bytes(new ClassPathResource(FOLDER + film + "/film.mp4")));
    }

    private static byte[] bytes(ClassPathResource file) {
        try (InputStream in = file.getInputStream()) {
            return in.readAllBytes();
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        }
    }
}
