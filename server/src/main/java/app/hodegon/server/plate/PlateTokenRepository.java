package app.hodegon.server.plate;

import static app.hodegon.server.db.Tables.ACCOUNT;
import static app.hodegon.server.db.Tables.PLATE_TOKEN;

import app.hodegon.server.account.Tokens;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

/** One token per coach, by which a bridge says whose plate it is. */
@Repository
class PlateTokenRepository {

    private final DSLContext db;
    private final Clock clock;

    PlateTokenRepository(DSLContext db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    /** A new one in place of the old. */
    String make(UUID coach) {
        String token = Tokens.make();
        db.mergeInto(PLATE_TOKEN)
                .columns(PLATE_TOKEN.COACH_ID, PLATE_TOKEN.TOKEN_HASH, PLATE_TOKEN.MADE_AT)
                .key(PLATE_TOKEN.COACH_ID)
                .values(coach, Tokens.hash(token), OffsetDateTime.now(clock))
                .execute();
        return token;
    }

    Optional<OffsetDateTime> madeAt(UUID coach) {
        return db.select(PLATE_TOKEN.MADE_AT)
                .from(PLATE_TOKEN)
                .where(PLATE_TOKEN.COACH_ID.eq(coach))
                .fetchOptional(PLATE_TOKEN.MADE_AT);
    }

    /** Whose token it is; a coach who left has none. */
    Optional<UUID> coachOf(String token) {
        return db.select(PLATE_TOKEN.COACH_ID)
                .from(PLATE_TOKEN)
                .join(ACCOUNT)
                .on(ACCOUNT.ID.eq(PLATE_TOKEN.COACH_ID))
                .where(PLATE_TOKEN.TOKEN_HASH.eq(Tokens.hash(token)))
                .and(ACCOUNT.LEFT_AT.isNull())
                .fetchOptional(PLATE_TOKEN.COACH_ID);
    }
}
