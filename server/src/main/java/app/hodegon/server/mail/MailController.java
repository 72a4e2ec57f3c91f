package app.hodegon.server.mail;

import app.hodegon.server.account.Account;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The coach's look at what would have been sent. */
@RestController
class MailController {

    private static final int SHOWN = 50;

    private final MailRepository mails;

    MailController(MailRepository mails) {
        this.mails = mails;
    }

    @GetMapping("/api/mail")
    List<Letter> latest(@AuthenticationPrincipal Account coach) {
        return mails.latest(coach.id(), SHOWN);
    }
}
