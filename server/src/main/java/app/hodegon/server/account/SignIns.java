package app.hodegon.server.account;

import jakarta.validation.constraints.NotNull;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Service;

/** Where an account is signed in. */
@Service
public class SignIns {

    static final String BROWSER = "browser";
    static final String ADDRESS = "address";

    private static final int SHOWN = 12;

    private final FindByIndexNameSessionRepository<? extends Session> sessions;

    SignIns(FindByIndexNameSessionRepository<? extends Session> sessions) {
        this.sessions = sessions;
    }

    /**
     * A browser that is signed in.
     *
     * @param address empty for the server's own machine
     * @param id names it without giving the session away
     * @param here whether it is the one that asks
     */
    public record SignedInAt(
            @NotNull String id,
            @NotNull String browser,
            @NotNull String address,
            @NotNull Instant since,
            @NotNull Instant last,
            @NotNull boolean here) {}

    /** The latest used first. */
    List<SignedInAt> of(UUID account, String present) {
        return byId(account).entrySet().stream()
                .map(e -> new SignedInAt(
                        id(e.getKey()),
                        text(e.getValue(), BROWSER),
                        where(text(e.getValue(), ADDRESS)),
                        e.getValue().getCreationTime(),
                        e.getValue().getLastAccessedTime(),
                        e.getKey().equals(present)))
                .sorted(Comparator.comparing(SignedInAt::last).reversed())
                .toList();
    }

    /** Empty for this machine. */
    private static String where(String address) {
        return address.equals("127.0.0.1") || address.equals("0:0:0:0:0:0:0:1") ? "" : address;
    }

    private static String text(Session session, String attribute) {
        String text = session.getAttribute(attribute);
        return text == null ? "" : text;
    }

    private static String id(String session) {
        return Tokens.hash(session).substring(0, SHOWN);
    }

    private Map<String, ? extends Session> byId(UUID account) {
        return sessions.findByPrincipalName(account.toString());
    }

    /** Ends one session; one that is not there is no error. */
    void end(UUID account, String shownId) {
        byId(account).keySet().stream().filter(s -> id(s).equals(shownId)).forEach(sessions::deleteById);
    }

    void endOthers(UUID account, String present) {
        byId(account).keySet().stream().filter(s -> !s.equals(present)).forEach(sessions::deleteById);
    }

    /** Whether a session goes on, seen from outside its own requests. */
    public boolean goesOn(String session) {
        return sessions.findById(session) != null;
    }

    /** Signs an account out everywhere. */
    public void endAll(UUID account) {
        byId(account).keySet().forEach(sessions::deleteById);
    }
}
