package app.hodegon.server.account;

import app.hodegon.server.demo.DemoAccounts;
import app.hodegon.server.demo.DemoAccounts.DemoAccount;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out. */
@RestController
@RequestMapping("/api")
public class SessionController {

    private final Accounts accounts;
    private final AuthenticationManager authentication;
    private final SecurityContextRepository contexts;
    private final ObjectProvider<DemoAccounts> demo;

    SessionController(
            Accounts accounts,
            AuthenticationManager authentication,
            SecurityContextRepository contexts,
            ObjectProvider<DemoAccounts> demo) {
        this.accounts = accounts;
        this.authentication = authentication;
        this.contexts = contexts;
        this.demo = demo;
    }

    record SignIn(
            @NotBlank @Size(max = 200) String email,
            @NotBlank @Size(max = 200) String password) {}

    /** A new account's details; bcrypt reads 72 bytes, so a password may not be longer. */
    public record NewAccount(
            @NotBlank @Size(max = 100) String name,
            @NotBlank @Email @Size(max = 200) String email,
            @NotBlank @Size(min = 8, max = 72) String password) {}

    public record SignedIn(
            @NotNull String name,
            @NotNull String email,
            @NotNull String role) {}

    /**
     * @param account null while nobody is signed in
     * @param firstRun whether the first coach's account is still to be made
     * @param demo accounts to try; empty outside the demo
     * @param daysAhead how far the demo's day was moved on; 0 outside the demo
     */
    public record SessionView(
            SignedIn account,
            @NotNull boolean firstRun,
            @NotNull List<DemoAccount> demo,
            @NotNull int daysAhead) {}

    @GetMapping("/session")
    SessionView session(@AuthenticationPrincipal Account account, CsrfToken csrf) {
        csrf.getToken(); // sets the cookie
        return view(account);
    }

    @PostMapping("/session")
    SessionView signIn(@Valid @RequestBody SignIn signIn, HttpServletRequest request, HttpServletResponse response) {
        Account account = (Account) authentication
                .authenticate(UsernamePasswordAuthenticationToken.unauthenticated(
                        signIn.email().strip(), signIn.password()))
                .getPrincipal();
        return enter(account, request, response);
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

    /** Signs an account in with a fresh session, so that an earlier session id is worth nothing. */
    public SessionView enter(Account account, HttpServletRequest request, HttpServletResponse response) {
        if (request.getSession(false) != null) request.changeSessionId();
        Account kept = account.withoutHash();
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(kept, null, kept.getAuthorities()));
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        return view(kept);
    }

    private SessionView view(Account account) {
        return new SessionView(
                account == null
                        ? null
                        : new SignedIn(
                                account.name(),
                                account.email(),
                                account.role().name().toLowerCase()),
                accounts.firstRun(),
                demo.stream().flatMap(d -> d.list().stream()).toList(),
                demo.stream().mapToInt(DemoAccounts::daysAhead).sum());
    }
}
