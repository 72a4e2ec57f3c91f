package app.hodegon.server.told;

import static app.hodegon.server.db.Tables.ROUND_PLAYED;
import static app.hodegon.server.db.Tables.SELF_CHECK;

import app.hodegon.core.practice.RoundPlayed;
import app.hodegon.core.practice.SelfCheck;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.db.tables.records.RoundPlayedRecord;
import app.hodegon.server.db.tables.records.SelfCheckRecord;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

@Repository
class ToldRepository {

    /** Whose it is and how often the phone had changed it. */
    record Kept(UUID student, int edition) {}

    private final DSLContext db;
    private final Clock clock;

    ToldRepository(DSLContext db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    Optional<Kept> round(UUID id) {
        return db.fetchOptional(ROUND_PLAYED, ROUND_PLAYED.ID.eq(id))
                .map(row -> new Kept(row.getStudentId(), row.getEdition()));
    }

    void put(UUID student, RoundPlayed round, int edition) {
        db.mergeInto(ROUND_PLAYED)
                .columns(ROUND_PLAYED.fields())
                .key(ROUND_PLAYED.ID)
                .values(new RoundPlayedRecord(
                                round.id(),
                                student,
                                round.day(),
                                (short) round.thought(),
                                (short) round.held(),
                                round.cost().id(),
                                edition,
                                OffsetDateTime.now(clock))
                        .intoArray())
                .execute();
    }

    /** Oldest first. */
    List<RoundPlayed> rounds(UUID student) {
        return db.selectFrom(ROUND_PLAYED)
                .where(ROUND_PLAYED.STUDENT_ID.eq(student))
                .orderBy(ROUND_PLAYED.PLAYED_ON, ROUND_PLAYED.UPDATED_AT)
                .fetch(row -> new RoundPlayed(
                        row.getId(),
                        row.getPlayedOn(),
                        row.getThought(),
                        row.getHeld(),
                        Identified.of(RoundPlayed.Cost.class, row.getCost())));
    }

    Optional<Kept> check(UUID id) {
        return db.fetchOptional(SELF_CHECK, SELF_CHECK.ID.eq(id))
                .map(row -> new Kept(row.getStudentId(), row.getEdition()));
    }

    void put(UUID student, SelfCheck check, int edition) {
        Map<Checkpoint, Integer> share = check.trailShare();
        db.mergeInto(SELF_CHECK)
                .columns(SELF_CHECK.fields())
                .key(SELF_CHECK.ID)
                .values(new SelfCheckRecord(
                                check.id(),
                                student,
                                check.day(),
                                share.get(Checkpoint.ADDRESS).shortValue(),
                                share.get(Checkpoint.TOP).shortValue(),
                                share.get(Checkpoint.IMPACT).shortValue(),
                                edition,
                                OffsetDateTime.now(clock))
                        .intoArray())
                .execute();
    }

    /** Oldest first. */
    List<SelfCheck> checks(UUID student) {
        return db.selectFrom(SELF_CHECK)
                .where(SELF_CHECK.STUDENT_ID.eq(student))
                .orderBy(SELF_CHECK.CHECKED_ON, SELF_CHECK.UPDATED_AT)
                .fetch(row -> new SelfCheck(
                        row.getId(),
                        row.getCheckedOn(),
                        Map.of(
                                Checkpoint.ADDRESS, row.getAtAddress().intValue(),
                                Checkpoint.TOP, row.getAtTop().intValue(),
                                Checkpoint.IMPACT, row.getAtImpact().intValue())));
    }
}
