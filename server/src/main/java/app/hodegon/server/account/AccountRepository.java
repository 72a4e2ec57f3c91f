package app.hodegon.server.account;

import static app.hodegon.server.db.Tables.ACCOUNT;
import static app.hodegon.server.db.Tables.KNOWN_BROWSER;
import static app.hodegon.server.db.Tables.PASSWORD_LINK;
import static app.hodegon.server.db.Tables.RECOVERY_CODE;

import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Units;
import app.hodegon.server.account.Account.Role;
import app.hodegon.server.db.tables.records.RecoveryCodeRecord;
import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.List;
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
        return db.selectFrom(ACCOUNT)
                .where(ACCOUNT.EMAIL.eq(normal(email)).and(ACCOUNT.LEFT_AT.isNull()))
                .fetchOptional(AccountRepository::account);
    }

    boolean isTaken(String email) {
        return db.fetchExists(ACCOUNT, ACCOUNT.EMAIL.eq(normal(email)));
    }

    Optional<Account> byId(UUID id) {
        return db.selectFrom(ACCOUNT)
                .where(ACCOUNT.ID.eq(id).and(ACCOUNT.LEFT_AT.isNull()))
                .fetchOptional(AccountRepository::account);
    }

    /** Coaches of this house, those who left not among them. */
    List<Coach> coaches() {
        return db.selectFrom(ACCOUNT)
                .where(ACCOUNT.ROLE.eq(id(Role.COACH)).and(ACCOUNT.LEFT_AT.isNull()))
                .orderBy(ACCOUNT.NAME)
                .fetch(row ->
                        new Coach(row.getId(), row.getName(), row.getEmail(), Boolean.TRUE.equals(row.getOwner())));
    }

    boolean hasLeft(UUID coach) {
        return db.fetchExists(ACCOUNT, ACCOUNT.ID.eq(coach).and(ACCOUNT.LEFT_AT.isNotNull()));
    }

    List<UUID> left() {
        return db.select(ACCOUNT.ID)
                .from(ACCOUNT)
                .where(ACCOUNT.ROLE.eq(id(Role.COACH)).and(ACCOUNT.LEFT_AT.isNotNull()))
                .fetch(ACCOUNT.ID);
    }

    Optional<Units> units(UUID account) {
        return db.select(ACCOUNT.UNITS)
                .from(ACCOUNT)
                .where(ACCOUNT.ID.eq(account))
                .fetchOptional(ACCOUNT.UNITS)
                .map(id -> Identified.of(Units.class, id));
    }

    void setUnits(UUID account, Units units) {
        db.update(ACCOUNT)
                .set(ACCOUNT.UNITS, units.id())
                .where(ACCOUNT.ID.eq(account))
                .execute();
    }

    void setPassword(UUID account, String hash) {
        db.update(ACCOUNT)
                .set(ACCOUNT.PASSWORD_HASH, hash)
                .where(ACCOUNT.ID.eq(account))
                .execute();
        endLinks(account);
    }

    /** One account owns the house. */
    void setOwner(UUID coach) {
        db.update(ACCOUNT).setNull(ACCOUNT.OWNER).where(ACCOUNT.OWNER).execute();
        db.update(ACCOUNT).set(ACCOUNT.OWNER, true).where(ACCOUNT.ID.eq(coach)).execute();
    }

    /** Keeps the name beside what was decided, and nothing to sign in with. */
    void leave(UUID coach) {
        db.update(ACCOUNT)
                .set(ACCOUNT.LEFT_AT, OffsetDateTime.now(clock))
                .set(ACCOUNT.PASSWORD_HASH, "")
                .set(ACCOUNT.EMAIL, "left-" + coach)
                .where(ACCOUNT.ID.eq(coach))
                .execute();
    }

    void endLinks(UUID account) {
        db.deleteFrom(PASSWORD_LINK).where(PASSWORD_LINK.ACCOUNT_ID.eq(account)).execute();
    }

    /** Replaces any earlier link of this account. */
    void addLink(UUID account, String tokenHash, OffsetDateTime expires) {
        endLinks(account);
        db.insertInto(PASSWORD_LINK)
                .set(PASSWORD_LINK.TOKEN_HASH, tokenHash)
                .set(PASSWORD_LINK.ACCOUNT_ID, account)
                .set(PASSWORD_LINK.EXPIRES_AT, expires)
                .execute();
    }

    Optional<Account> linked(String tokenHash) {
        return db.select(ACCOUNT)
                .from(PASSWORD_LINK)
                .join(ACCOUNT)
                .on(ACCOUNT.ID.eq(PASSWORD_LINK.ACCOUNT_ID))
                .where(PASSWORD_LINK.TOKEN_HASH.eq(tokenHash))
                .and(PASSWORD_LINK.EXPIRES_AT.gt(OffsetDateTime.now(clock)))
                .and(ACCOUNT.LEFT_AT.isNull())
                .fetchOptional(row -> account(row.value1()));
    }

    /** Whether there was such a link; of two at once only one finds it. */
    boolean useUpLink(String tokenHash) {
        return db.deleteFrom(PASSWORD_LINK)
                        .where(PASSWORD_LINK.TOKEN_HASH.eq(tokenHash))
                        .execute()
                == 1;
    }

    /** In place of all earlier ones. */
    void setCodes(UUID account, List<String> hashes) {
        db.deleteFrom(RECOVERY_CODE).where(RECOVERY_CODE.ACCOUNT_ID.eq(account)).execute();
        OffsetDateTime now = OffsetDateTime.now(clock);
        db.batchInsert(hashes.stream()
                        .map(hash -> new RecoveryCodeRecord(account, hash, now, null))
                        .toList())
                .execute();
    }

    /** Whether it was one that was not used yet. */
    boolean useUpCode(UUID account, String hash) {
        return db.update(RECOVERY_CODE)
                        .set(RECOVERY_CODE.USED_AT, OffsetDateTime.now(clock))
                        .where(RECOVERY_CODE.ACCOUNT_ID.eq(account))
                        .and(RECOVERY_CODE.CODE_HASH.eq(hash))
                        .and(RECOVERY_CODE.USED_AT.isNull())
                        .execute()
                == 1;
    }

    int codesLeft(UUID account) {
        return db.fetchCount(RECOVERY_CODE, RECOVERY_CODE.ACCOUNT_ID.eq(account).and(RECOVERY_CODE.USED_AT.isNull()));
    }

    boolean knows(UUID account, String browserHash) {
        return db.fetchExists(
                KNOWN_BROWSER, KNOWN_BROWSER.TOKEN_HASH.eq(browserHash).and(KNOWN_BROWSER.ACCOUNT_ID.eq(account)));
    }

    void remember(UUID account, String browserHash) {
        db.mergeInto(KNOWN_BROWSER)
                .columns(KNOWN_BROWSER.TOKEN_HASH, KNOWN_BROWSER.ACCOUNT_ID, KNOWN_BROWSER.SEEN_ON)
                .key(KNOWN_BROWSER.TOKEN_HASH)
                .values(browserHash, account, LocalDate.now(clock))
                .execute();
    }

    boolean anyCoach() {
        return db.fetchExists(ACCOUNT, ACCOUNT.ROLE.eq(id(Role.COACH)));
    }

    /** Makes writers of what belongs to this account wait for each other until the transaction ends. */
    void lock(UUID account) {
        db.selectOne().from(ACCOUNT).where(ACCOUNT.ID.eq(account)).forUpdate().fetch();
    }

    Account add(String email, String passwordHash, Role role, String name, boolean owner) {
        UUID id = UUID.randomUUID();
        db.insertInto(ACCOUNT)
                .set(ACCOUNT.ID, id)
                .set(ACCOUNT.EMAIL, normal(email))
                .set(ACCOUNT.PASSWORD_HASH, passwordHash)
                .set(ACCOUNT.ROLE, id(role))
                .set(ACCOUNT.NAME, name)
                .set(ACCOUNT.OWNER, owner ? true : null)
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
