package app.hodegon.bench;

import app.hodegon.core.motion.Measured;
import app.hodegon.core.swing.Checkpoint;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Fills a copy of the demo's database with an academy: many students with years of lessons and practice, made by
 * repeating what the simulated students lived, each with other ids and on other days.
 */
public final class Academy {

    private static final int STUDENTS = 500;
    private static final int YEARS = 3;

    /** One lesson in so many was measured on a plate, with so many kept swings. */
    private static final int LESSONS_PER_PLATE = 5;

    private static final int SWINGS = 6;

    /** Ids of one student's repetitions lie apart by more than there can be of them. */
    private static final int MOST_REPETITIONS = 100;

    private static final Pattern DAY = Pattern.compile("\\d{4}-\\d{2}-\\d{2}");

    private Academy() {}

    /** Tables in the order in which rows may be added, and whose student each row {@code r} is. */
    private static final Map<String, String> OWNED = new LinkedHashMap<>();

    static {
        OWNED.put("student", "r.id");
        OWNED.put("student_day", "r.student_id");
        OWNED.put("lesson", "r.student_id");
        for (String part : List.of("answer", "sign", "reading", "shot", "decision")) {
            OWNED.put("lesson_" + part, "select l.student_id from lesson l where l.id = r.lesson_id");
        }
        OWNED.put("plan", "r.student_id");
        OWNED.put("plan_document", "select p.student_id from plan p where p.id = r.plan_id");
        OWNED.put("plan_day", "select p.student_id from plan p where p.id = r.plan_id");
        OWNED.put("practice_session", "r.student_id");
        for (String part : List.of("block", "shot")) {
            OWNED.put("practice_" + part, "select s.student_id from practice_session s where s.id = r.session_id");
        }
        OWNED.put("round_played", "r.student_id");
        OWNED.put("self_check", "r.student_id");
        OWNED.put("attention", "r.student_id");
    }

    /** What a student has once, however long the history. */
    private static final Set<String> ONCE = Set.of("student", "student_day", "attention");

    /** What was made. */
    record Size(long students, long lessons, long sessions, long reps, long swings) {}

    /** Another id for another student or repetition; called by the database. */
    public static UUID other(UUID id, int number) {
        return UUID.nameUUIDFromBytes((id + "/" + number).getBytes(StandardCharsets.UTF_8));
    }

    /** The same text with every date in it moved; called by the database. */
    public static String moved(String text, int days) {
        if (text == null) return null;
        return DAY.matcher(text)
                .replaceAll(day -> Matcher.quoteReplacement(
                        LocalDate.parse(day.group()).plusDays(days).toString()));
    }

    /**
     * @param folder holds the copy of the demo's database
     */
    static Size fill(Path folder) throws SQLException {
        String url = "jdbc:h2:file:" + folder.resolve("hodegon").toAbsolutePath() + ";CACHE_SIZE=262144";
        try (Connection connection = DriverManager.getConnection(url, "sa", "");
                Statement sql = connection.createStatement()) {
            sql.execute("create alias other for \"app.hodegon.bench.Academy.other\"");
            sql.execute("create alias moved for \"app.hodegon.bench.Academy.moved\"");
            sql.execute("create local temporary table copied (n int primary key, template uuid, days int) as "
                    + "select x.n, t.id, -mod(x.n, 14) from (select x as n from system_range(1, " + STUDENTS + ")) x "
                    + "join (select s.id, row_number() over (order by s.name) as r, count(*) over () as all_of from student s "
                    + "join account a on a.id = s.coach_id where a.email = 'coach@demo.example') t "
                    + "on mod(x.n, t.all_of) = t.r - 1");
            int period = 7
                    * (1
                            + number(
                                            sql,
                                            "select max(datediff(day, l.held_on, p.next_lesson)) from "
                                                    + "(select student_id, min(held_on) as held_on from lesson group by student_id) l join "
                                                    + "(select student_id, max(next_lesson) as next_lesson from plan group by student_id) p "
                                                    + "on p.student_id = l.student_id")
                                    / 7);
            for (String table : OWNED.keySet()) {
                sql.execute("create local temporary table " + lived(table) + " as select (" + OWNED.get(table)
                        + ") as owner, r.* from " + table + " r where (" + OWNED.get(table)
                        + ") in (select template from copied)");
            }
            copy(sql, "student", 0, 0);
            copy(sql, "student_day", 0, 0);
            int repetitions = YEARS * 365 / period + 1;
            for (int k = repetitions - 1; k >= 0; k--) {
                for (String table : OWNED.keySet()) {
                    if (!ONCE.contains(table)) copy(sql, table, k, k * period);
                }
            }
            copy(sql, "attention", 0, 0);
            sql.execute("update student s set running_plan = (select p.id from plan p where p.student_id = s.id and "
                    + "p.assigned_at is not null order by p.assigned_at desc limit 1) where running_plan is null");
            swings(connection);
            sql.execute("drop alias other");
            sql.execute("drop alias moved");
            sql.execute("analyze");
            return new Size(
                    number(sql, "select count(*) from student"),
                    number(sql, "select count(*) from lesson"),
                    number(sql, "select count(*) from practice_session"),
                    number(sql, "select sum(reps) from practice_session"),
                    number(sql, "select count(*) from swing"));
        }
    }

    /** Kept swings in some lessons, all alike, with what they say together. */
    private static void swings(Connection connection) throws SQLException {
        KeptSwing swing = KeptSwing.make();
        String some = "(select id, row_number() over (order by id) as r from lesson) l where mod(l.r, "
                + LESSONS_PER_PLATE + ") = 0";
        try (PreparedStatement insert =
                connection.prepareStatement("insert into swing (id, lesson_id, stage, number, state,"
                        + " heard_at, device, rate, seconds, loads, told, moments, readings, warnings, spark) select random_uuid(),"
                        + " l.id, 'before', x.x, 'kept', current_timestamp, 'Plate', 200, 3.3, ?, '[]', ?, ?, '[]', ? from"
                        + " system_range(1, " + SWINGS + ") x, " + some)) {
            insert.setString(1, swing.loads());
            insert.setString(2, swing.moments());
            insert.setString(3, swing.readings());
            insert.setString(4, swing.spark());
            insert.executeUpdate();
        }
        try (PreparedStatement insert =
                connection.prepareStatement("insert into lesson_measured (lesson_id, stage, ordinal,"
                        + " measure, checkpoint, mean_value, swings, uncertainty, spread) select l.id, 'before', ?, ?, ?, ?, "
                        + SWINGS + ", ?, 2.0 from " + some)) {
            for (int i = 0; i < swing.measured().size(); i++) {
                Measured reading = swing.measured().get(i);
                insert.setInt(1, i);
                insert.setString(2, reading.measure().id());
                insert.setString(3, reading.at().map(Checkpoint::id).orElse(null));
                insert.setDouble(4, reading.value());
                insert.setDouble(5, reading.uncertainty());
                insert.executeUpdate();
            }
        }
    }

    private static int number(Statement sql, String query) throws SQLException {
        try (ResultSet rows = sql.executeQuery(query)) {
            rows.next();
            return rows.getInt(1);
        }
    }

    private static String lived(String table) {
        return "lived_" + table;
    }

    private static void copy(Statement sql, String table, int repetition, int daysBack) throws SQLException {
        List<String> values = new ArrayList<>();
        try (ResultSet columns = sql.executeQuery("select column_name, data_type from information_schema.columns "
                + "where table_schema = 'PUBLIC' and table_name = '" + table.toUpperCase(Locale.ROOT)
                + "' order by ordinal_position")) {
            while (columns.next()) {
                values.add(value(table, columns.getString(1), columns.getString(2), repetition, daysBack));
            }
        }
        sql.execute("insert into " + table + " select " + String.join(", ", values) + " from copied c join "
                + lived(table) + " r on r.owner = c.template");
    }

    private static String value(String table, String column, String type, int repetition, int daysBack) {
        String from = "r." + column;
        String days = "c.days - " + daysBack;
        return switch (column) {
            case "STUDENT_ID" -> "other(r.student_id, c.n)";
            case "COACH_ID" -> from;
            case "ACCOUNT_ID", "RUNNING_PLAN" -> "null";
            case "NAME" -> "r.name || ' ' || c.n";
            case "DOCUMENT", "TERMS" -> "moved(" + from + ", " + days + ")";
            case "ID" ->
                table.equals("student")
                        ? "other(r.id, c.n)"
                        : "other(r.id, c.n * " + MOST_REPETITIONS + " + " + repetition + ")";
            default ->
                column.endsWith("_ID")
                        ? "case when " + from + " is null then null else other(" + from + ", c.n * " + MOST_REPETITIONS
                                + " + " + repetition + ") end"
                        : type.equals("DATE") || type.startsWith("TIMESTAMP")
                                ? "dateadd(day, " + days + ", " + from + ")"
                                : from;
        };
    }
}
