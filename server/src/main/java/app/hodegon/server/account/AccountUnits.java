package app.hodegon.server.account;

import static app.hodegon.server.db.Tables.ACCOUNT;

import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Units;
import java.util.UUID;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

/** In which units a coach reads and types. A student's are part of the record. */
@Repository
public class AccountUnits {

    private final DSLContext db;

    AccountUnits(DSLContext db) {
        this.db = db;
    }

    public Units of(UUID account) {
        return db.select(ACCOUNT.UNITS)
                .from(ACCOUNT)
                .where(ACCOUNT.ID.eq(account))
                .fetchOptional(ACCOUNT.UNITS)
                .map(id -> Identified.of(Units.class, id))
                .orElse(Units.METRIC);
    }

    void set(UUID account, Units units) {
        db.update(ACCOUNT)
                .set(ACCOUNT.UNITS, units.id())
                .where(ACCOUNT.ID.eq(account))
                .execute();
    }
}
