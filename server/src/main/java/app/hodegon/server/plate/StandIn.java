package app.hodegon.server.plate;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.golfer.Golfer;
import app.hodegon.core.golfer.Pace;
import app.hodegon.core.golfer.PlateStream.Act;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.WebSocket;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ConcurrentLinkedQueue;

/**
 * A pressure plate that is none: {@code ./hodegon plate}. Streams a simulated golfer over the socket that real bridges
 * use, and comes back when the connection is lost.
 */
public final class StandIn {

    private static final double STRENGTH = 0.8;
    private static final int BATCH_MS = 25;
    private static final int AGAIN_MS = 1000;

    private final PrintStream out;
    private final PrintStream err;
    private final ConcurrentLinkedQueue<String> typed = new ConcurrentLinkedQueue<>();

    public StandIn(PrintStream out, PrintStream err) {
        this.out = out;
        this.err = err;
    }

    /** @return the exit code: 0 when all swings that were wanted are made */
    public int run(List<String> arguments) {
        try {
            Map<String, String> options = options(arguments);
            URI to = socket(needed(options, "to"));
            String token = needed(options, "token");
            StandInLines lines = new StandInLines(golfer(options), System.nanoTime());
            double every = Double.parseDouble(options.getOrDefault("every", "0"));
            int swings = Integer.parseInt(options.getOrDefault("swings", "0"));
            if (every == 0) listenToKeys();
            stream(to, token, lines, every, swings);
            return 0;
        } catch (IllegalArgumentException wrong) {
            err.println(wrong.getMessage());
            return 1;
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            return 1;
        }
    }

    private static Map<String, String> options(List<String> arguments) {
        Map<String, String> options = new HashMap<>();
        for (int i = 0; i < arguments.size(); i += 2) {
            if (!arguments.get(i).startsWith("--") || i + 1 == arguments.size()) {
                throw new IllegalArgumentException("Not understood: " + arguments.get(i));
            }
            options.put(arguments.get(i).substring(2), arguments.get(i + 1));
        }
        return options;
    }

    private static String needed(Map<String, String> options, String name) {
        return Optional.ofNullable(options.get(name))
                .orElseThrow(() -> new IllegalArgumentException("--" + name + " is needed."));
    }

    private static URI socket(String url) {
        return URI.create(url.replaceFirst("^http", "ws").replaceFirst("/$", "") + "/plate/socket");
    }

    private static Golfer golfer(Map<String, String> options) {
        String who = options.getOrDefault("student", "sound");
        Map<Fault, Double> faults = who.equals("sound") ? Map.of() : Map.of(Identified.of(Fault.class, who), STRENGTH);
        return new Golfer(
                Identified.of(Handedness.class, options.getOrDefault("hand", "right")),
                178,
                Identified.of(PressureSchool.class, options.getOrDefault("school", "early-return")),
                faults,
                Pace.USUAL);
    }

    private void listenToKeys() {
        out.println("Enter swings; w waggles, f breaks off, q ends.");
        Thread keys = new Thread(() -> {
            try (BufferedReader in = new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8))) {
                for (String line = in.readLine(); line != null; line = in.readLine()) typed.add(line.strip());
            } catch (IOException closed) {
                // Nobody types any more; the golfer stands there.
            }
        });
        keys.setDaemon(true);
        keys.start();
    }

    private void stream(URI to, String token, StandInLines lines, double every, int swings)
            throws InterruptedException {
        HttpClient http = HttpClient.newHttpClient();
        WebSocket socket = null;
        long begun = System.nanoTime();
        long sent = 0;
        double nextSwing = every;
        while (true) {
            double now = (System.nanoTime() - begun) / 1e9;
            if (every > 0 && now >= nextSwing && lines.resting() && (swings == 0 || lines.swings() < swings)) {
                lines.swing();
                nextSwing = now + every;
            }
            for (String key = typed.poll(); key != null; key = typed.poll()) {
                switch (key) {
                    case "w" -> lines.ask(Act.WAGGLE);
                    case "f" -> lines.ask(Act.FALSE_START);
                    case "q" -> {
                        return;
                    }
                    default -> lines.swing();
                }
            }
            if (swings > 0 && lines.swings() >= swings && lines.resting() && now > nextSwing) return;
            String samples = lines.lines((int) (now * StandInLines.RATE - sent));
            sent = (long) (now * StandInLines.RATE);
            socket = send(http, to, token, socket, lines.header(), samples);
            // The plate has a clock of its own: nothing else tells when the next sample is due.
            Thread.sleep(socket == null ? AGAIN_MS : BATCH_MS);
        }
    }

    /** What is sent while there is no connection is lost, as from a plate. */
    private WebSocket send(HttpClient http, URI to, String token, WebSocket socket, String header, String samples) {
        try {
            WebSocket open = socket;
            if (open == null) {
                open = http.newWebSocketBuilder()
                        .header("Authorization", PlateController.BEARER + token)
                        .buildAsync(to, new WebSocket.Listener() {
                            @Override
                            public java.util.concurrent.CompletionStage<?> onClose(
                                    WebSocket closed, int status, String reason) {
                                if (!reason.isEmpty()) err.println(reason);
                                closed.abort();
                                return null;
                            }
                        })
                        .join();
                open.sendText(header, true).join();
                out.println("Connected.");
            }
            if (!samples.isEmpty()) open.sendText(samples, true).join();
            return open;
        } catch (CompletionException lost) {
            if (socket != null) socket.abort();
            err.println("No connection: " + lost.getCause().getMessage());
            return null;
        }
    }
}
