package app.hodegon.server.account;

import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Units;
import app.hodegon.server.account.SignIns.SignedInAt;
import app.hodegon.server.http.Invalid;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** One's own account: the password, where one is signed in, and codes for the day the password is lost. */
@RestController
@RequestMapping("/api/account")
class AccountController {

    private final Accounts accounts;
    private final AccountUnits units;
    private final SignIns signIns;

    AccountController(Accounts accounts, AccountUnits units, SignIns signIns) {
        this.accounts = accounts;
        this.units = units;
        this.signIns = signIns;
    }

    /**
     * @param codesLeft printed one-time codes that were not used yet
     */
    record AccountView(
            @NotNull List<SignedInAt> signedIn, @NotNull int codesLeft) {}

    record PasswordChange(
            @NotBlank @Size(max = 200) String current,

            @NotBlank @Size(min = Account.SHORTEST_PASSWORD, max = Account.LONGEST_PASSWORD)
            String next) {}

    record Proof(@NotBlank @Size(max = 200) String current) {}

    /**
     * @param codes shown once
     */
    record Codes(@NotNull List<String> codes) {}

    @GetMapping
    AccountView get(@AuthenticationPrincipal Account account, HttpServletRequest request) {
        return new AccountView(signIns.of(account.id(), present(request)), accounts.codesLeft(account));
    }

    private static String present(HttpServletRequest request) {
        return request.getSession().getId();
    }

    record UnitsEntry(@NotNull @Size(max = 10) String units) {}

    /** In which units this coach reads and types. */
    @PutMapping("/units")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void setUnits(@AuthenticationPrincipal Account account, @Valid @RequestBody UnitsEntry entry) {
        units.set(account.id(), Invalid.in("units", () -> Identified.of(Units.class, entry.units)));
    }

    /** Every other browser is signed out with it. */
    @PutMapping("/password")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changePassword(
            @AuthenticationPrincipal Account account,
            @Valid @RequestBody PasswordChange change,
            HttpServletRequest request) {
        accounts.change(account, change.current(), change.next(), present(request));
    }

    @PostMapping("/codes")
    Codes newCodes(@AuthenticationPrincipal Account account, @Valid @RequestBody Proof proof) {
        return new Codes(accounts.newCodes(account, proof.current()));
    }

    /** Signs out everywhere else. */
    @DeleteMapping("/sessions")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void endOthers(@AuthenticationPrincipal Account account, HttpServletRequest request) {
        signIns.endOthers(account.id(), present(request));
    }

    @DeleteMapping("/sessions/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void end(@AuthenticationPrincipal Account account, @PathVariable String id) {
        signIns.end(account.id(), id);
    }
}
