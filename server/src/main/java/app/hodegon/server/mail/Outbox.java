package app.hodegon.server.mail;

import java.util.UUID;

/** Takes letters to people. The one that ships keeps them where the coach can read them, and sends nothing. */
public interface Outbox {

    /**
     * @param coach on whose behalf it is sent
     * @param address an e-mail address
     */
    void send(UUID coach, String address, String subject, String body);
}
