package app.hodegon.server.demo;

import jakarta.validation.constraints.NotNull;
import java.util.List;

/** The accounts shown on the demo's sign-in page. */
public interface DemoAccounts {

    record DemoAccount(
            @NotNull String who,
            @NotNull String email,
            @NotNull String password) {}

    List<DemoAccount> list();

    /** How far the demo's day was moved on. */
    int daysAhead();
}
