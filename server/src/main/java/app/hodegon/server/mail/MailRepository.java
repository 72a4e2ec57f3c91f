package app.hodegon.server.mail;

import static app.hodegon.server.db.Tables.MAIL;
import static org.jooq.Records.mapping;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.UUID;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

/** The stand-in for e-mail. */
@Repository
class MailRepository implements Outbox {

    private final DSLContext db;
    private final Clock clock;

    MailRepository(DSLContext db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    @Override
    public void send(UUID coach, String address, String subject, String body) {
        db.insertInto(MAIL)
                .set(MAIL.ID, UUID.randomUUID())
                .set(MAIL.COACH_ID, coach)
                .set(MAIL.ADDRESS, address)
                .set(MAIL.SUBJECT, subject)
                .set(MAIL.BODY, body)
                .set(MAIL.WRITTEN_AT, OffsetDateTime.now(clock))
                .execute();
    }

    /** Latest first. */
    List<Letter> latest(UUID coach, int limit) {
        return db.select(MAIL.ID, MAIL.ADDRESS, MAIL.SUBJECT, MAIL.BODY, MAIL.WRITTEN_AT)
                .from(MAIL)
                .where(MAIL.COACH_ID.eq(coach))
                .orderBy(MAIL.WRITTEN_AT.desc())
                .limit(limit)
                .fetch(mapping(Letter::new));
    }
}
