package app.hodegon.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;

/**
 * The server as the launcher unpacked it, beside an archive of its loaded classes (which makes a start twice as fast),
 * and the demo's data of the day the tests live on, made once by the run that needs it first.
 */
final class Unpacked {

    private static final Unpacked ONCE = new Unpacked();

    private final Path app = Path.of(System.getProperty("hodegon.app"));
    private final Path folder = Path.of("target").toAbsolutePath();
    private final Path demo = folder.resolve("demo-" + DemoDay.today());

    private Unpacked() {
        try (FileChannel lock = FileChannel.open(
                        folder.resolve("demo.lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
                FileLock mine = lock.lock()) {
            Path store = demo.resolve("hodegon.mv.db");
            boolean made = Files.exists(store)
                    && Files.getLastModifiedTime(store).compareTo(Files.getLastModifiedTime(archive())) > 0;
            if (made) return;
            Path making = Files.createTempDirectory(folder, "demo-making");
            run(
                    "-XX:SharedArchiveFile=" + archive(),
                    "-Xlog:disable",
                    "-Dspring.context.exit=onRefresh",
                    "-jar",
                    jar().toString(),
                    "--spring.profiles.active=demo",
                    DemoDay.TOLD,
                    "--hodegon.data=" + making);
            Files.createDirectories(demo);
            Files.move(making.resolve("hodegon.mv.db"), store, StandardCopyOption.REPLACE_EXISTING);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private Path jar() {
        return app.resolve("hodegon.jar");
    }

    private Path archive() {
        return app.resolve("hodegon.jsa");
    }

    private void run(String... arguments) throws IOException {
        Path log = folder.resolve("unpack.log");
        Process process = new ProcessBuilder(java(List.of(arguments)))
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.appendTo(log.toFile()))
                .start();
        if (process.onExit().join().exitValue() != 0) throw new IllegalStateException(Files.readString(log));
    }

    private static List<String> java(List<String> arguments) {
        List<String> command = new ArrayList<>();
        command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
        command.addAll(arguments);
        return command;
    }

    /** The command that starts the server. */
    static List<String> command() {
        return java(List.of(
                "-XX:SharedArchiveFile=" + ONCE.archive(),
                "-Xshare:auto",
                "-Xlog:disable",
                "-XX:TieredStopAtLevel=1",
                "-XX:+UseSerialGC",
                "-Dcom.zaxxer.hikari.housekeeping.periodMs=1000",
                "-jar",
                ONCE.jar().toString()));
    }

    /** Puts a fresh copy of the demo's data into the folder, which need not be there yet. */
    static void copyDemo(Path to) throws IOException {
        Files.createDirectories(to);
        Files.copy(ONCE.demo.resolve("hodegon.mv.db"), to.resolve("hodegon.mv.db"));
    }
}
