package app.hodegon.server.account;

import app.hodegon.server.account.Account.Role;
import app.hodegon.server.http.Conflict;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.http.NotFound;
import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Makes and finds accounts. */
@Service
public class Accounts implements UserDetailsService {

    private static final String THERE_IS_ONE = "There is a coach already. Sign in instead.";
    private static final Duration LINK_LASTS = Duration.ofDays(2);
    private static final int CODES = 8;

    private final AccountRepository accounts;
    private final PasswordEncoder passwords;
    private final SignIns sessions;
    private final Clock clock;

    Accounts(AccountRepository accounts, PasswordEncoder passwords, SignIns sessions, Clock clock) {
        this.accounts = accounts;
        this.passwords = passwords;
        this.sessions = sessions;
        this.clock = clock;
    }

    @Override
    public Account loadUserByUsername(String email) {
        return accounts.byEmail(email).orElseThrow(() -> new UsernameNotFoundException("unknown"));
    }

    public Optional<Account> find(String email) {
        return accounts.byEmail(email);
    }

    /** Whether nobody has used this installation yet. */
    public boolean firstRun() {
        return !accounts.anyCoach();
    }

    /** The first coach's account, made in the browser; only while there is none. It owns the house. */
    @Transactional
    Account addFirstCoach(String email, String password, String name) {
        if (!firstRun()) throw new Conflict(THERE_IS_ONE);
        try {
            return add(email, password, Role.COACH, name, true);
        } catch (DuplicateKeyException another) {
            throw new Conflict(THERE_IS_ONE);
        }
    }

    /** Puts writers of what belongs to this account in order, until the caller's transaction ends. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void lock(UUID account) {
        accounts.lock(account);
    }

    /**
     * Puts writers of what rests on this coach in order, until the caller's transaction ends.
     *
     * @throws NotFound if the coach has left
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public Coach lockCoach(UUID id) {
        accounts.lock(id);
        return coach(id).orElseThrow(() -> new NotFound("coach in this house"));
    }

    @Transactional
    public Account add(String email, String password, Role role, String name) {
        return add(email, password, role, name, false);
    }

    private Account add(String email, String password, Role role, String name, boolean owner) {
        if (accounts.isTaken(email)) throw new Invalid("email", "There is an account with this e-mail already.");
        try {
            return accounts.add(email, passwords.encode(password), role, name, owner);
        } catch (DuplicateKeyException atTheSameTime) {
            if (owner) throw atTheSameTime;
            throw new Invalid("email", "There is an account with this e-mail already.");
        }
    }

    /** The coaches of this house. */
    public List<Coach> coaches() {
        return accounts.coaches();
    }

    public Optional<Coach> coach(UUID id) {
        return coaches().stream().filter(c -> c.id().equals(id)).findFirst();
    }

    /** Whether there was such a coach who has left. */
    public boolean hasLeft(UUID coach) {
        return accounts.hasLeft(coach);
    }

    /** Coaches who left; their students are the owner's to see to. */
    public List<UUID> left() {
        return accounts.left();
    }

    public boolean isOwner(Account account) {
        return coach(account.id()).filter(Coach::owner).isPresent();
    }

    /** Makes a coach who is here the owner of the house. */
    @Transactional
    public Coach makeOwner(UUID coach) {
        Coach next = lockCoach(coach);
        accounts.setOwner(coach);
        return next;
    }

    /** Ends a coach's account; what was decided keeps the name. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void leave(UUID coach) {
        accounts.leave(coach);
        sessions.endAll(coach);
    }

    /** A one-time link with which the owner of this account sets a new password; an earlier one stops working. */
    @Transactional
    public String link(UUID account) {
        accounts.lock(account);
        String token = Tokens.make();
        accounts.addLink(account, Tokens.hash(token), OffsetDateTime.now(clock).plus(LINK_LASTS));
        return token;
    }

    /** A link that was made before opens the account no more. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void endLinks(UUID account) {
        accounts.endLinks(account);
    }

    Account linked(String token) {
        return accounts.linked(Tokens.hash(token)).orElseThrow(() -> new NotFound("link, or it was used already"));
    }

    /** Sets the password by a one-time link and ends every session. */
    @Transactional
    Account setByLink(String token, String password) {
        Account account = linked(token);
        if (!accounts.useUpLink(Tokens.hash(token))) throw new NotFound("link, or it was used already");
        return set(account, password);
    }

    /**
     * Sets the password by one of the printed codes and ends every session.
     *
     * @throws BadCredentialsException if e-mail and code do not belong together
     */
    @Transactional
    Account setByCode(String email, String code, String password) {
        Account account = accounts.byEmail(email).orElseThrow(() -> new BadCredentialsException("unknown"));
        if (!accounts.useUpCode(account.id(), Tokens.hash(plain(code)))) {
            throw new BadCredentialsException("no such code");
        }
        return set(account, password);
    }

    private static String plain(String code) {
        return code.toUpperCase(Locale.ROOT).replaceAll("[^A-Z0-9]", "");
    }

    private Account set(Account account, String password) {
        accounts.setPassword(account.id(), passwords.encode(password));
        sessions.endAll(account.id());
        return account;
    }

    /**
     * Changes the password and ends every session but the present one.
     *
     * @param keep id of the session that goes on
     */
    @Transactional
    void change(Account account, String current, String next, String keep) {
        accounts.lock(account.id());
        prove(account, current);
        accounts.setPassword(account.id(), passwords.encode(next));
        sessions.endOthers(account.id(), keep);
    }

    private void prove(Account account, String password) {
        String hash = accounts.byId(account.id()).map(Account::passwordHash).orElse("");
        if (!passwords.matches(password, hash)) throw new Invalid("current", "This is not your password.");
    }

    /** New one-time codes to be printed, in place of all earlier ones. */
    @Transactional
    List<String> newCodes(Account account, String password) {
        accounts.lock(account.id());
        prove(account, password);
        List<String> codes = Stream.generate(Tokens::makeLegible).limit(CODES).toList();
        accounts.setCodes(
                account.id(), codes.stream().map(c -> Tokens.hash(plain(c))).toList());
        return codes;
    }

    int codesLeft(Account account) {
        return accounts.codesLeft(account.id());
    }

    /** Whether this browser signed in to the account of that e-mail before. */
    boolean knows(String email, String browser) {
        return browser != null
                && accounts.byEmail(email)
                        .filter(a -> accounts.knows(a.id(), Tokens.hash(browser)))
                        .isPresent();
    }

    @Transactional
    void remember(Account account, String browser) {
        accounts.remember(account.id(), Tokens.hash(browser));
    }
}
