package app.hodegon.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * The packaged server, unpacked once for all tests beside an archive of its loaded classes (which makes a start
 * twice as fast), and the demo's data, made by the run that fills the archive.
 */
final class Unpacked {

    private static final Unpacked ONCE = new Unpacked();

    private final Path folder;
    private final Path archive;
    private final Path demo;

    private Unpacked() {
        try {
            folder = Files.createTempDirectory(Path.of("target"), "app-").toAbsolutePath();
            archive = folder.resolve("hodegon.jsa");
            demo = folder.resolve("demo");
            Path app = folder.resolve("app");
            run(
                    "-Djarmode=tools",
                    "-jar",
                    System.getProperty("hodegon.jar"),
                    "extract",
                    "--destination",
                    app.toString());
            run(
                    "-XX:ArchiveClassesAtExit=" + archive,
                    "-Xlog:disable",
                    "-Dspring.context.exit=onRefresh",
                    "-jar",
                    jar().toString(),
                    "--spring.profiles.active=demo",
                    DemoDay.TOLD,
                    "--hodegon.data=" + demo);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private Path jar() {
        return folder.resolve("app").resolve("hodegon.jar");
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
                "-XX:SharedArchiveFile=" + ONCE.archive,
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
        try (var files = Files.list(ONCE.demo)) {
            for (Path file : files.toList()) Files.copy(file, to.resolve(file.getFileName()));
        }
    }
}
