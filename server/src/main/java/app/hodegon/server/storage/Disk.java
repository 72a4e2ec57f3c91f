package app.hodegon.server.storage;

import java.io.File;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** The room on the disk that the data is on. */
@Component
public class Disk {

    private final File folder;
    private final long reserve;

    Disk(
            @Value("${hodegon.data:./data}") String folder,
            @Value("${hodegon.disk-reserve-mb:48}") long reserveMegabytes) {
        this.folder = new File(folder).getAbsoluteFile();
        this.reserve = reserveMegabytes * 1024 * 1024;
    }

    /** Bytes that can still be written. */
    public long free() {
        return existing().getUsableSpace();
    }

    public long size() {
        return existing().getTotalSpace();
    }

    private File existing() {
        File file = folder;
        while (!file.exists() && file.getParentFile() != null) file = file.getParentFile();
        return file;
    }

    /** Whether so little room is left that nothing more may be stored: the database itself needs some to go on. */
    public boolean isFull() {
        return free() < reserve;
    }
}
