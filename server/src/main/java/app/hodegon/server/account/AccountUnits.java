package app.hodegon.server.account;

import app.hodegon.core.swing.Units;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** In which units a coach reads and types. A student's are part of the record. */
@Service
public class AccountUnits {

    private final AccountRepository accounts;

    AccountUnits(AccountRepository accounts) {
        this.accounts = accounts;
    }

    public Units of(UUID account) {
        return accounts.units(account).orElse(Units.METRIC);
    }

    @Transactional
    void set(UUID account, Units units) {
        accounts.setUnits(account, units);
    }
}
