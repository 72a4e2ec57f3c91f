package app.hodegon.server.shots;

import static app.hodegon.server.db.Tables.SHOT;
import static app.hodegon.server.db.Tables.SHOT_FILE;
import static app.hodegon.server.storage.AmongCondition.among;
import static org.jooq.impl.DSL.avg;
import static org.jooq.impl.DSL.count;
import static org.jooq.impl.DSL.insertInto;
import static org.jooq.impl.DSL.stddevSamp;
import static org.jooq.impl.DSL.val;

import app.hodegon.core.shots.Shot;
import app.hodegon.core.shots.ShotFigure;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.db.tables.records.ShotRecord;
import app.hodegon.server.lesson.MeasuredBalls;
import app.hodegon.server.lesson.Stage;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jooq.BatchBindStep;
import org.jooq.DSLContext;
import org.jooq.TableField;
import org.springframework.stereotype.Repository;

@Repository
class ShotRepository implements MeasuredBalls {

    private final DSLContext db;
    private final Clock clock;

    ShotRepository(DSLContext db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    @Override
    public void keyedIn(UUID lesson, Map<Stage, List<Shot>> balls) {
        List<UUID> before = db.select(SHOT_FILE.ID)
                .from(SHOT_FILE)
                .where(SHOT_FILE.LESSON_ID.eq(lesson).and(SHOT_FILE.KEYED))
                .fetch(SHOT_FILE.ID);
        before.forEach(this::remove);
        balls.forEach((stage, shots) -> {
            if (!shots.isEmpty()) add(lesson, stage.id(), "keyed in", true, shots);
        });
    }

    /** @param stage before, after, or the name of what was tried */
    UUID add(UUID lesson, String stage, String name, List<Shot> shots) {
        return add(lesson, stage, name, false, shots);
    }

    private UUID add(UUID lesson, String stage, String name, boolean keyed, List<Shot> shots) {
        UUID id = UUID.randomUUID();
        db.insertInto(SHOT_FILE)
                .set(SHOT_FILE.ID, id)
                .set(SHOT_FILE.LESSON_ID, lesson)
                .set(SHOT_FILE.STAGE, stage)
                .set(SHOT_FILE.KEYED, keyed)
                .set(SHOT_FILE.NAME, name)
                .set(SHOT_FILE.TAKEN_AT, OffsetDateTime.now(clock))
                .execute();
        // One statement bound for every ball: records would each be rendered anew.
        BatchBindStep balls = db.batch(insertInto(SHOT, SHOT.fields()).values(new Object[SHOT.fields().length]));
        for (int i = 0; i < shots.size(); i++)
            balls = balls.bind(row(id, i, shots.get(i)).intoArray());
        balls.execute();
        return id;
    }

    private static ShotRecord row(UUID file, int ordinal, Shot shot) {
        return new ShotRecord(
                file,
                ordinal,
                shot.club(),
                orNull(shot.carry()),
                orNull(shot.offline()),
                orNull(shot.ballSpeed()),
                orNull(shot.clubSpeed()));
    }

    private static Double orNull(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }

    private static OptionalDouble maybe(Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    /** The files of a lesson in the order taken. */
    List<ShotFileView> files(UUID lesson) {
        return db.select(SHOT_FILE, count(SHOT.ORDINAL))
                .from(SHOT_FILE)
                .leftJoin(SHOT)
                .on(SHOT.FILE_ID.eq(SHOT_FILE.ID))
                .where(SHOT_FILE.LESSON_ID.eq(lesson).andNot(SHOT_FILE.KEYED))
                .groupBy(SHOT_FILE.fields())
                .orderBy(SHOT_FILE.TAKEN_AT)
                .fetch(row -> new ShotFileView(
                        row.value1().getId(),
                        row.value1().getName(),
                        row.value1().getStage(),
                        row.value2(),
                        row.value1().getTakenAt()));
    }

    /** Of which lesson the file is. */
    Optional<UUID> lessonOf(UUID file) {
        return db.select(SHOT_FILE.LESSON_ID)
                .from(SHOT_FILE)
                .where(SHOT_FILE.ID.eq(file))
                .fetchOptional(SHOT_FILE.LESSON_ID);
    }

    void remove(UUID file) {
        // In one statement: left to the key's cascade it goes ball by ball.
        db.deleteFrom(SHOT).where(SHOT.FILE_ID.eq(file)).execute();
        db.deleteFrom(SHOT_FILE).where(SHOT_FILE.ID.eq(file)).execute();
    }

    /** By stage, each in the order hit. */
    Map<String, List<Shot>> ofLesson(UUID lesson) {
        return db.select(SHOT_FILE.STAGE, SHOT)
                .from(SHOT)
                .join(SHOT_FILE)
                .on(SHOT_FILE.ID.eq(SHOT.FILE_ID))
                .where(SHOT_FILE.LESSON_ID.eq(lesson))
                .orderBy(SHOT_FILE.TAKEN_AT, SHOT.ORDINAL)
                .fetchGroups(SHOT_FILE.STAGE, row -> shot(row.value2()));
    }

    private static Shot shot(ShotRecord row) {
        return new Shot(
                row.getClub(),
                maybe(row.getCarry()),
                maybe(row.getOffline()),
                maybe(row.getBallSpeed()),
                maybe(row.getClubSpeed()));
    }

    /** Mean, deviation and number of each figure with each club at the first and the last moment of these lessons. */
    List<ShotSummary> summaries(Collection<UUID> lessons) {
        List<ShotSummary> summaries = new ArrayList<>();
        for (ShotFigure figure : ShotFigure.values()) {
            TableField<ShotRecord, Double> column = column(figure);
            db.select(SHOT_FILE.LESSON_ID, SHOT_FILE.STAGE, SHOT.CLUB, avg(column), stddevSamp(column), count(column))
                    .from(SHOT)
                    .join(SHOT_FILE)
                    .on(SHOT_FILE.ID.eq(SHOT.FILE_ID))
                    .where(among(SHOT_FILE.LESSON_ID, lessons))
                    .and(SHOT_FILE.STAGE.in(Identified.ids(Stage.class)))
                    .and(column.isNotNull())
                    .groupBy(SHOT_FILE.LESSON_ID, SHOT_FILE.STAGE, SHOT.CLUB)
                    .having(count(column).ge(val(2)))
                    .orderBy(SHOT.CLUB)
                    .forEach(row -> summaries.add(new ShotSummary(
                            row.value1(),
                            Identified.of(Stage.class, row.value2()),
                            row.value3(),
                            figure,
                            row.value4().doubleValue(),
                            row.value5().doubleValue(),
                            row.value6())));
        }
        return summaries;
    }

    private static TableField<ShotRecord, Double> column(ShotFigure figure) {
        return switch (figure) {
            case CARRY -> SHOT.CARRY;
            case OFFLINE -> SHOT.OFFLINE;
            case BALL_SPEED -> SHOT.BALL_SPEED;
            case CLUB_SPEED -> SHOT.CLUB_SPEED;
        };
    }
}
