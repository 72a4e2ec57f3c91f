package app.hodegon.server.account;

import app.hodegon.server.account.Account.Role;
import app.hodegon.server.http.Conflict;
import app.hodegon.server.http.Invalid;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Makes and finds accounts. */
@Service
public class Accounts implements UserDetailsService {

    private final AccountRepository accounts;
    private final PasswordEncoder passwords;

    Accounts(AccountRepository accounts, PasswordEncoder passwords) {
        this.accounts = accounts;
        this.passwords = passwords;
    }

    @Override
    public Account loadUserByUsername(String email) {
        return accounts.byEmail(email).orElseThrow(() -> new UsernameNotFoundException("unknown"));
    }

    /** Whether nobody has used this installation yet. */
    public boolean firstRun() {
        return !accounts.anyCoach();
    }

    /** The first coach's account, made in the browser; only while there is none. */
    @Transactional
    Account addFirstCoach(String email, String password, String name) {
        if (!firstRun()) throw new Conflict("There is a coach already. Sign in instead.");
        return add(email, password, Role.COACH, name);
    }

    @Transactional
    public Account add(String email, String password, Role role, String name) {
        if (accounts.byEmail(email).isPresent()) {
            throw new Invalid("email", "There is an account with this e-mail already.");
        }
        return accounts.add(email, passwords.encode(password), role, name);
    }
}
