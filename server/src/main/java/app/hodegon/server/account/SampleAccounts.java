package app.hodegon.server.account;

import jakarta.validation.constraints.NotNull;
import java.util.List;

/** Accounts to try, shown on the sign-in page of an installation that has some. */
public interface SampleAccounts {

    record SampleAccount(
            @NotNull String who,
            @NotNull String email,
            @NotNull String password) {}

    List<SampleAccount> list();

    /** How far the demo's day was moved on. */
    int daysAhead();
}
