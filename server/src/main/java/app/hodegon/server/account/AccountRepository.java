package app.hodegon.server.account;

import static app.hodegon.server.db.Tables.ACCOUNT;

import app.hodegon.server.account.Account.Role;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.springframework.stereotype.Repository;

@Repository
class AccountRepository {

    private final DSLContext db;
    private final Clock clock;

    AccountRepository(DSLContext db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    Optional<Account> byEmail(String email) {
        return db.selectFrom(ACCOUNT).where(ACCOUNT.EMAIL.eq(normal(email))).fetchOptional(AccountRepository::account);
    }

    boolean anyCoach() {
        return db.fetchExists(ACCOUNT, ACCOUNT.ROLE.eq(id(Role.COACH)));
    }

    Account add(String email, String passwordHash, Role role, String name) {
        UUID id = UUID.randomUUID();
        db.insertInto(ACCOUNT)
                .set(ACCOUNT.ID, id)
                .set(ACCOUNT.EMAIL, normal(email))
                .set(ACCOUNT.PASSWORD_HASH, passwordHash)
                .set(ACCOUNT.ROLE, id(role))
                .set(ACCOUNT.NAME, name)
                .set(ACCOUNT.CREATED_AT, OffsetDateTime.now(clock))
                .execute();
        return new Account(id, normal(email), passwordHash, role, name);
    }

    private static Account account(Record row) {
        return new Account(
                row.get(ACCOUNT.ID),
                row.get(ACCOUNT.EMAIL),
                row.get(ACCOUNT.PASSWORD_HASH),
                Role.valueOf(row.get(ACCOUNT.ROLE).toUpperCase(Locale.ROOT)),
                row.get(ACCOUNT.NAME));
    }

    private static String normal(String email) {
        return email.strip().toLowerCase(Locale.ROOT);
    }

    private static String id(Role role) {
        return role.name().toLowerCase(Locale.ROOT);
    }
}
