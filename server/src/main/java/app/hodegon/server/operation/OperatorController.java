package app.hodegon.server.operation;

import app.hodegon.server.account.Account;
import app.hodegon.server.account.Accounts;
import app.hodegon.server.account.Tokens;
import app.hodegon.server.storage.Backups;
import app.hodegon.server.storage.Installation;
import jakarta.annotation.PreDestroy;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.URI;
import java.net.URISyntaxException;
import java.net.URLDecoder;
import java.net.UnknownHostException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.web.server.context.WebServerInitializedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.env.Environment;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;

/** Orders of the machine's owner to the running server: only from this machine, only with the secret of its file. */
@Controller
class OperatorController {

    private static final Logger LOG = LoggerFactory.getLogger(OperatorController.class);

    private static final String LOOPBACK = "127.0.0.1";

    private final Backups backups;
    private final Accounts accounts;
    private final Installation installation;
    private final Environment environment;
    private final String secret = Tokens.make();

    OperatorController(Backups backups, Accounts accounts, Installation installation, Environment environment) {
        this.backups = backups;
        this.accounts = accounts;
        this.installation = installation;
        this.environment = environment;
    }

    @EventListener
    void on(WebServerInitializedEvent started) {
        Path file = installation.folder().operator();
        if (!Files.isDirectory(installation.folder().path())) return;
        try {
            new OperatorFile(address(started.getWebServer().getPort()), secret).write(file);
        } catch (IOException | URISyntaxException unusable) {
            LOG.warn("The command line will not be able to ask this server.");
        }
    }

    /** Where this machine reaches the server: it may listen on one address only. */
    private String address(int port) throws UnknownHostException, URISyntaxException {
        boolean tls = Certificate.isUsed(environment);
        InetAddress bound = InetAddress.getByName(environment.getProperty("server.address", LOOPBACK));
        String host = bound.isAnyLocalAddress() ? LOOPBACK : bound.getHostAddress();
        return new URI(tls ? "https" : "http", null, host, port, null, null, null).toString();
    }

    @PreDestroy
    void forget() throws IOException {
        Files.deleteIfExists(installation.folder().operator());
    }

    @PostMapping("/operator/{order}")
    ResponseEntity<String> order(
            @PathVariable String order,
            @RequestHeader(name = OperatorFile.HEADER, defaultValue = "") String shown,
            @RequestHeader(name = "X-About", defaultValue = "") String about,
            HttpServletRequest request)
            throws IOException {
        boolean mine =
                MessageDigest.isEqual(shown.getBytes(StandardCharsets.UTF_8), secret.getBytes(StandardCharsets.UTF_8));
        if (!mine || !isThisMachine(request.getRemoteAddr())) {
            return answer(HttpStatus.NOT_FOUND, "There is nothing here.");
        }
        String said = URLDecoder.decode(about, StandardCharsets.UTF_8);
        return switch (order) {
            case "ping" -> answer(HttpStatus.OK, "here");
            case "backup" -> backup(Path.of(said));
            case "link" -> link(said);
            case "owner" -> owner(said);
            default -> answer(HttpStatus.NOT_FOUND, "There is no such order.");
        };
    }

    private static boolean isThisMachine(String address) throws IOException {
        InetAddress sender = InetAddress.getByName(address);
        return sender.isLoopbackAddress() || NetworkInterface.getByInetAddress(sender) != null;
    }

    private ResponseEntity<String> backup(Path to) {
        try {
            return answer(HttpStatus.OK, backups.make(to));
        } catch (IOException | RuntimeException failed) {
            return answer(
                    HttpStatus.CONFLICT,
                    "The backup could not be written to " + to + ": is there room, and may Hodegon write there?");
        }
    }

    private ResponseEntity<String> link(String email) {
        return accounts.find(email)
                .map(account -> answer(HttpStatus.OK, accounts.link(account.id())))
                .orElseGet(() -> answer(HttpStatus.NOT_FOUND, "There is no account with this e-mail."));
    }

    private ResponseEntity<String> owner(String email) {
        return accounts.find(email)
                .filter(account -> account.role() == Account.Role.COACH)
                .map(account ->
                        answer(HttpStatus.OK, accounts.makeOwner(account.id()).name()))
                .orElseGet(() -> answer(HttpStatus.NOT_FOUND, "There is no coach with this e-mail."));
    }

    private static ResponseEntity<String> answer(HttpStatus status, String text) {
        return ResponseEntity.status(status).contentType(MediaType.TEXT_PLAIN).body(text);
    }
}
