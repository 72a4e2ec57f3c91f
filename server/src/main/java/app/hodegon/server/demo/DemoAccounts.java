package app.hodegon.server.demo;

import app.hodegon.server.account.SessionController.DemoAccount;
import java.util.List;

/** The accounts shown on the demo's sign-in page. */
public interface DemoAccounts {
    List<DemoAccount> list();
}
