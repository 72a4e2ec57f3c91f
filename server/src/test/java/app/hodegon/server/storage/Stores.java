package app.hodegon.server.storage;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import org.tukaani.xz.XZInputStream;

/** Whole installations as earlier versions wrote them, each with the demo of its day. */
public final class Stores {

    private Stores() {}

    /**
     * The data folder of an installation that this version wrote.
     *
     * @param version a commit whose schema was another
     */
    public static DataFolder of(String version, Path folder) throws IOException {
        DataFolder data = new DataFolder(folder);
        Files.createDirectories(folder);
        try (InputStream packed = Stores.class.getResourceAsStream("/stores/" + version + ".mv.db.xz");
                InputStream store = new XZInputStream(packed)) {
            Files.copy(store, data.database());
        }
        return data;
    }
}
