package app.hodegon.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/** The packaged server, running as a process of its own that can be killed. */
final class ServerProcess implements AutoCloseable {

    private static final Duration PATIENCE = Duration.ofSeconds(180);
    private static final Duration PAUSE = Duration.ofMillis(100);

    /** Connections to the store that live seconds: nothing may rest on the one that made it. */
    private static final List<String> SHORT_LIVES = List.of(
            "--spring.datasource.hikari.minimum-idle=0",
            "--spring.datasource.hikari.idle-timeout=10000",
            "--spring.datasource.hikari.max-lifetime=30000");

    private final Process process;
    private final int port;

    private ServerProcess(Process process, int port) {
        this.process = process;
        this.port = port;
    }

    /** Starts it and waits until it answers. */
    static ServerProcess start(Path log, String... arguments) {
        try {
            int port = freePort();
            List<String> command = new ArrayList<>(Unpacked.command());
            command.add("--server.port=" + port);
            command.addAll(SHORT_LIVES);
            command.addAll(List.of(arguments));
            Process process = new ProcessBuilder(command)
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.appendTo(log.toFile()))
                    .start();
            ServerProcess server = new ServerProcess(process, port);
            server.awaitReady();
            return server;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Starts it on a fresh copy of the demo's data, in the folder given. */
    static ServerProcess demo(Path folder) {
        try {
            Path data = folder.resolve("demo");
            Unpacked.copyDemo(data);
            return start(
                    folder.resolve("demo.log"),
                    "--spring.profiles.active=demo",
                    DemoDay.TOLD,
                    "--hodegon.data=" + data);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    private void awaitReady() {
        HttpRequest probe =
                HttpRequest.newBuilder(URI.create(base() + "/api/session")).build();
        Instant end = Instant.now().plus(PATIENCE);
        HttpClient http = HttpClient.newHttpClient();
        while (Instant.now().isBefore(end)) {
            if (!process.isAlive()) throw new IllegalStateException("The server ended at once; see its log.");
            try {
                if (http.send(probe, BodyHandlers.discarding()).statusCode() == 200) return;
            } catch (IOException notYet) {
                pause();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new IllegalStateException(e);
            }
        }
        throw new IllegalStateException("The server did not answer within " + PATIENCE);
    }

    private static void pause() {
        try {
            Thread.sleep(PAUSE.toMillis());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    String base() {
        return "http://localhost:" + port;
    }

    /** SIGKILL: no goodbye, no flushing. */
    void kill() {
        process.destroyForcibly();
        process.onExit().join();
    }

    @Override
    public void close() {
        process.destroy();
        process.onExit().join();
    }
}
