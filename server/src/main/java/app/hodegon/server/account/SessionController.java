package app.hodegon.server.account;

import app.hodegon.server.account.SampleAccounts.SampleAccount;
import app.hodegon.server.http.Plain;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseCookie;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CsrfAuthenticationStrategy;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.util.WebUtils;

/** Signing in and out. */
@RestController
@RequestMapping("/api")
public class SessionController {

    /** Tells a browser that signed in before. */
    private static final String KNOWN = "hodegon-known";

    private static final Duration KNOWN_FOR = Duration.ofDays(365);

    private final Accounts accounts;
    private final AccountUnits units;
    private final AuthenticationManager authentication;
    private final SecurityContextRepository contexts;
    private final CsrfAuthenticationStrategy freshToken;
    private final Guesses guesses;
    private final ObjectProvider<SampleAccounts> samples;

    SessionController(
            Accounts accounts,
            AccountUnits units,
            AuthenticationManager authentication,
            SecurityContextRepository contexts,
            CsrfTokenRepository tokens,
            Guesses guesses,
            ObjectProvider<SampleAccounts> samples) {
        this.accounts = accounts;
        this.units = units;
        this.authentication = authentication;
        this.contexts = contexts;
        this.freshToken = new CsrfAuthenticationStrategy(tokens);
        this.guesses = guesses;
        this.samples = samples;
    }

    record SignIn(
            @NotBlank @Size(max = 200) String email,
            @NotBlank @Size(max = 200) String password) {}

    /** A new account's details. */
    public record NewAccount(
            @NotBlank @Plain @Size(max = 100) String name,
            @NotBlank @Email @Size(max = 200) String email,

            @NotBlank @Size(min = Account.SHORTEST_PASSWORD, max = Account.LONGEST_PASSWORD)
            String password) {}

    public record SignedIn(
            @NotNull UUID id,
            @NotNull String name,
            @NotNull String email,
            @NotNull String role,
            @NotNull boolean owner,
            @NotNull String units) {}

    record Forgotten(
            @NotBlank @Size(max = 200) String email,
            @NotBlank @Size(max = 40) String code,

            @NotBlank @Size(min = Account.SHORTEST_PASSWORD, max = Account.LONGEST_PASSWORD)
            String password) {}

    record NewPassword(
            @NotBlank @Size(min = Account.SHORTEST_PASSWORD, max = Account.LONGEST_PASSWORD)
            String password) {}

    record LinkView(@NotNull String name, @NotNull String email) {}

    /**
     * @param account null while nobody is signed in
     * @param firstRun whether the first coach's account is still to be made
     * @param demo accounts to try; empty outside the demo
     * @param daysAhead how far the demo's day was moved on; 0 outside the demo
     */
    public record SessionView(
            SignedIn account,
            @NotNull boolean firstRun,
            @NotNull List<SampleAccount> demo,
            @NotNull int daysAhead) {}

    @GetMapping("/session")
    SessionView session(@AuthenticationPrincipal Account account, CsrfToken csrf) {
        csrf.getToken(); // sets the cookie
        return view(account);
    }

    @PostMapping("/session")
    SessionView signIn(@Valid @RequestBody SignIn signIn, HttpServletRequest request, HttpServletResponse response) {
        String email = signIn.email().strip();
        Account account = guarded(email, request, () -> (Account) authentication
                .authenticate(UsernamePasswordAuthenticationToken.unauthenticated(email, signIn.password()))
                .getPrincipal());
        return enter(account, request, response);
    }

    /** Somebody who lost the password sets a new one by a printed code, and is signed in. */
    @PostMapping("/forgotten-password")
    SessionView byCode(
            @Valid @RequestBody Forgotten forgotten, HttpServletRequest request, HttpServletResponse response) {
        String email = forgotten.email().strip();
        Account account =
                guarded(email, request, () -> accounts.setByCode(email, forgotten.code(), forgotten.password()));
        return enter(account, request, response);
    }

    /** A try that may have to wait for earlier wrong ones. */
    private Account guarded(String email, HttpServletRequest request, Supplier<Account> tried) {
        String browser = browser(request);
        Guesses.Trier trier = new Guesses.Trier(
                email.toLowerCase(Locale.ROOT),
                request.getRemoteAddr(),
                accounts.knows(email, browser) ? browser : null);
        guesses.admit(trier);
        try {
            Account account = tried.get();
            guesses.succeeded(trier);
            return account;
        } catch (BadCredentialsException wrong) {
            guesses.failed(trier);
            throw wrong;
        }
    }

    /** Whose password a one-time link sets. */
    @GetMapping("/password-links/{token}")
    LinkView link(@PathVariable String token) {
        Account account = accounts.linked(token);
        return new LinkView(account.name(), account.email());
    }

    @PostMapping("/password-links/{token}")
    SessionView byLink(
            @PathVariable String token,
            @Valid @RequestBody NewPassword entry,
            HttpServletRequest request,
            HttpServletResponse response) {
        return enter(accounts.setByLink(token, entry.password()), request, response);
    }

    @DeleteMapping("/session")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(HttpServletRequest request) {
        if (request.getSession(false) != null) request.getSession(false).invalidate();
        SecurityContextHolder.clearContext();
    }

    @PostMapping("/first-coach")
    @ResponseStatus(HttpStatus.CREATED)
    SessionView firstCoach(
            @Valid @RequestBody NewAccount account, HttpServletRequest request, HttpServletResponse response) {
        return enter(
                accounts.addFirstCoach(
                        account.email(), account.password(), account.name().strip()),
                request,
                response);
    }

    /** Signs an account in with a fresh session and token, so that earlier ones are worth nothing. */
    public SessionView enter(Account account, HttpServletRequest request, HttpServletResponse response) {
        if (request.getSession(false) != null) request.changeSessionId();
        Account kept = account.withoutHash();
        Authentication signedIn = UsernamePasswordAuthenticationToken.authenticated(kept, null, kept.getAuthorities());
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(signedIn);
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        freshToken.onAuthentication(signedIn, request, response);
        request.getSession().setAttribute(SignIns.ADDRESS, request.getRemoteAddr());
        request.getSession().setAttribute(SignIns.BROWSER, Browsers.name(request.getHeader(HttpHeaders.USER_AGENT)));
        remember(account, request, response);
        return view(kept);
    }

    private static String browser(HttpServletRequest request) {
        Cookie cookie = WebUtils.getCookie(request, KNOWN);
        return cookie == null || cookie.getValue().length() > 100 ? null : cookie.getValue();
    }

    /** The browser's next wrong passwords are its own. */
    private void remember(Account account, HttpServletRequest request, HttpServletResponse response) {
        String browser = browser(request);
        if (browser == null) browser = Tokens.make();
        accounts.remember(account, browser);
        response.addHeader(
                HttpHeaders.SET_COOKIE,
                ResponseCookie.from(KNOWN, browser)
                        .httpOnly(true)
                        .secure(request.isSecure())
                        .sameSite("Lax")
                        .path("/api")
                        .maxAge(KNOWN_FOR)
                        .build()
                        .toString());
    }

    private SessionView view(Account account) {
        return new SessionView(
                account == null
                        ? null
                        : new SignedIn(
                                account.id(),
                                account.name(),
                                account.email(),
                                account.role().name().toLowerCase(Locale.ROOT),
                                account.role() == Account.Role.COACH && accounts.isOwner(account),
                                units.of(account.id()).id()),
                accounts.firstRun(),
                samples.stream().flatMap(d -> d.list().stream()).toList(),
                samples.stream().mapToInt(SampleAccounts::daysAhead).sum());
    }
}
