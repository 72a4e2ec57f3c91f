package app.hodegon.server.operation;

import app.hodegon.server.http.Failure;
import app.hodegon.server.storage.DataFolder;
import java.io.PrintStream;
import java.net.BindException;
import java.net.Inet4Address;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.net.UnknownHostException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import org.springframework.boot.web.server.PortInUseException;
import org.springframework.core.env.ConfigurableEnvironment;
import org.springframework.core.env.Environment;
import org.springframework.core.env.MapPropertySource;

/** What is looked at before the server starts, what it says once it is ready, and why it did not start. */
public final class Start {

    private Start() {}

    /**
     * Looks at what the server is given, before anything opens the database: that would make a new one in place of one
     * that is gone.
     *
     * @throws DataFolder.Refused if the folder or the certificate cannot be used
     * @throws DataFolder.InUse if another server runs on the folder
     */
    public static void prepare(ConfigurableEnvironment environment) {
        Certificate.of(environment).ifPresent(certificate -> certificate.use(environment));
        boolean upToDate = new DataFolder(Path.of(environment.getProperty("hodegon.data", "./data"))).prepare();
        // Looked at already: looking once more would take a tenth of the start.
        if (upToDate) {
            environment
                    .getPropertySources()
                    .addFirst(new MapPropertySource("schema", Map.of("spring.flyway.enabled", "false")));
        }
    }

    /** Says that the server can be used, and under which addresses. */
    public static void ready(Environment environment, PrintStream out) {
        String scheme = Certificate.isUsed(environment) ? "https" : "http";
        String port = environment.getProperty("local.server.port");
        InetAddress bound = bound(environment);
        boolean everywhere = bound == null || bound.isAnyLocalAddress();
        String own = everywhere || bound.isLoopbackAddress() ? "localhost" : host(bound);
        out.println("Hodegon is ready at " + scheme + "://" + own + ":" + port);
        Certificate.of(environment).flatMap(Certificate::warning).ifPresent(out::println);
        if (!everywhere) return;
        List<String> others = others();
        if (others.isEmpty()) out.println("This machine is on no network: a phone cannot reach it.");
        for (String host : others)
            out.println("On this network, for phones too: " + scheme + "://" + host + ":" + port);
        if (!others.isEmpty() && scheme.equals("http")) {
            out.println("There a browser films and works without a signal only by HTTPS: docs/running.md says how.");
        }
    }

    private static InetAddress bound(Environment environment) {
        String address = environment.getProperty("server.address");
        try {
            return address == null ? null : InetAddress.getByName(address);
        } catch (UnknownHostException unknown) {
            return null;
        }
    }

    private static String host(InetAddress address) {
        String text = address.getHostAddress().replaceAll("%.*", "");
        return address instanceof Inet4Address ? text : "[" + text + "]";
    }

    /** Addresses of this machine that others on its networks can open; those of version 4 first, they are shorter. */
    static List<String> others() {
        List<String> hosts = new ArrayList<>();
        try {
            for (NetworkInterface one : Collections.list(NetworkInterface.getNetworkInterfaces())) {
                if (!one.isUp() || one.isLoopback()) continue;
                for (InetAddress address : Collections.list(one.getInetAddresses())) {
                    if (!address.isLinkLocalAddress() && !address.isLoopbackAddress()) hosts.add(host(address));
                }
            }
        } catch (SocketException none) {
            return List.of();
        }
        hosts.sort((a, b) -> Boolean.compare(a.startsWith("["), b.startsWith("[")));
        return hosts;
    }

    /** Why the server did not start, in a sentence where it is known. */
    public static String problem(Throwable failed) {
        for (Throwable cause = failed; cause != null; cause = cause.getCause()) {
            if (cause instanceof DataFolder.Refused refused) return refused.getMessage();
            if (cause instanceof DataFolder.InUse) return "Hodegon is running already on this data.";
            if (cause instanceof PortInUseException taken) {
                return "Port " + taken.getPort() + " is in use: choose another with --port.";
            }
            if (cause instanceof BindException) {
                return "The address cannot be listened on: it is not this machine's, or the port is in use or needs"
                        + " more rights. Choose another with --address and --port.";
            }
        }
        return "Hodegon could not start.\n" + Failure.without(failed);
    }
}
