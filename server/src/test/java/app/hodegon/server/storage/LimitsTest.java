package app.hodegon.server.storage;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.approach.Choice;
import app.hodegon.core.approach.Choice.Question;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Sign;
import app.hodegon.core.drill.DrillFile;
import app.hodegon.core.drill.Form;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Edits;
import app.hodegon.core.practice.BlockResult;
import app.hodegon.core.practice.PracticeSession;
import app.hodegon.core.practice.Told;
import app.hodegon.core.practice.Turn;
import app.hodegon.core.shots.Shot;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Club;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Source;
import app.hodegon.server.db.DefaultSchema;
import jakarta.validation.constraints.Size;
import java.lang.reflect.AnnotatedElement;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.jooq.Field;
import org.jooq.Table;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Whatever Java lets through finds room in its column. */
class LimitsTest {

    /** Columns that hold a drill's id, whatever they are called. */
    private static final Set<String> DRILLS =
            Set.of("DRILL", "PAIN_DRILL", "OWN_DRILL.ID", "PRINTED_DRILLS", "HALF_STEP");

    private static Stream<Field<?>> columns() {
        return DefaultSchema.DEFAULT_SCHEMA.getTables().stream().flatMap(Table::fieldStream);
    }

    private static int length(String table, String column) {
        Table<?> of = DefaultSchema.DEFAULT_SCHEMA.getTable(table);
        assertThat(of).as(table).isNotNull();
        assertThat(of.field(column)).as(table + "." + column).isNotNull();
        return of.field(column).getDataType().length();
    }

    @Test
    void everyDrillsIdFindsRoom() {
        long found = DefaultSchema.DEFAULT_SCHEMA.getTables().stream()
                .flatMap(table -> table.fieldStream()
                        .filter(f ->
                                DRILLS.contains(f.getName()) || DRILLS.contains(table.getName() + "." + f.getName()))
                        .peek(f -> assertThat(
                                        f.getType() == String[].class
                                                ? f.getDataType()
                                                        .getArrayComponentDataType()
                                                        .length()
                                                : f.getDataType().length())
                                .as(table.getName() + "." + f.getName())
                                .isGreaterThanOrEqualTo(DrillFile.LONGEST_NAME)))
                .count();
        assertThat(found).isGreaterThanOrEqualTo(7);
    }

    /** Ids that are known to the core, by the names of the columns that hold them. */
    static Stream<Arguments> vocabularies() {
        return Stream.of(
                Arguments.of("FAULT", Fault.values()),
                Arguments.of("RUNG", Rung.values()),
                Arguments.of("SIGN", Sign.values()),
                Arguments.of("MEASURE", Measure.values()),
                Arguments.of("CHECKPOINT", Checkpoint.values()),
                Arguments.of("AT_CHECKPOINT", Checkpoint.values()),
                Arguments.of("SOURCE", Source.values()),
                Arguments.of("PLACE", Place.values()),
                Arguments.of("FORM", Form.values()),
                Arguments.of("CLUB", Club.values()),
                Arguments.of("RESULT", BallResult.values()),
                Arguments.of("QUESTION", Question.values()),
                Arguments.of("ANSWER", Choice.values()));
    }

    @ParameterizedTest
    @MethodSource("vocabularies")
    void everyIdFindsRoom(String column, Identified[] ids) {
        int longest = Arrays.stream(ids).mapToInt(i -> i.id().length()).max().orElseThrow();
        List<Field<?>> held = columns()
                .filter(f -> f.getName().equals(column) && f.getType() == String.class)
                // What is answered to a proposal is another kind of answer.
                .filter(f -> !f.getQualifiedName().toString().contains("PROPOSAL"))
                .toList();
        assertThat(held).as(column).isNotEmpty();
        for (Field<?> one : held) {
            assertThat(one.getDataType().length()).as(one.toString()).isGreaterThanOrEqualTo(longest);
        }
    }

    @Test
    void whatIsToldOfABlockFindsRoom() {
        int reps = BlockResult.MOST_REPS;
        int flight = longest(BallResult.Kind.FLIGHT);
        int strike = longest(BallResult.Kind.STRIKE);
        int turn = Arrays.stream(Turn.Kind.values())
                .mapToInt(k -> k.id().length())
                .max()
                .orElseThrow();
        Map<String, Integer> needed = Map.of(
                "MARKS", reps,
                // 20 to 100, and a comma.
                "SPEEDS", reps * 4,
                "BALLS", reps * (flight + strike + 2),
                "TURNS", Told.MOST_TURNS * (turn + 5),
                "NOTICED", Edits.MOST_SETS * 21);
        needed.forEach((column, letters) ->
                assertThat(length("PRACTICE_BLOCK", column)).as(column).isGreaterThanOrEqualTo(letters));
    }

    private static int longest(BallResult.Kind kind) {
        return Arrays.stream(BallResult.values())
                .filter(r -> r.kind() == kind)
                .mapToInt(r -> r.id().length())
                .max()
                .orElseThrow();
    }

    @Test
    void textsOfTheCoreFindRoom() {
        assertThat(length("PRACTICE_SESSION", "NOTE")).isGreaterThanOrEqualTo(PracticeSession.LONGEST_NOTE);
        assertThat(length("SESSION_ANSWER", "SAID")).isGreaterThanOrEqualTo(PracticeSession.LONGEST_NOTE);
        assertThat(length("SHOT", "CLUB")).isGreaterThanOrEqualTo(Shot.LONGEST_CLUB);
    }

    /** What is typed freely, by the record that takes it in. */
    @ParameterizedTest
    @CsvSource({
        "student.StudentEntry, name, STUDENT, NAME",
        "student.StudentEntry, complaint, STUDENT, COMPLAINT",
        "account.SessionController$NewAccount, name, ACCOUNT, NAME",
        "account.SessionController$NewAccount, email, ACCOUNT, EMAIL",
        "student.StudentController$Acceptance, email, ACCOUNT, EMAIL",
        "academy.AcademyController$InvitationEntry, name, COACH_INVITATION, NAME",
        "academy.AcademyController$OfferEntry, words, HANDOVER, WORDS",
        "lesson.LessonEntry, note, LESSON, NOTE",
        "lesson.LessonController$Decision, reason, LESSON_DECISION, REASON",
        "progress.ProgressController$AnswerEntry, reason, PROPOSAL_ANSWER, REASON",
        "plan.TemplateController$TemplateEntry, name, PLAN_TEMPLATE, NAME",
        "phone.PhoneController$AdultEntry, name, STUDENT, ADULT",
        "phone.PhoneController$BlockEntry, drill, PRACTICE_BLOCK, DRILL",
        "phone.PhoneController$BlockEntry, marks, PRACTICE_BLOCK, MARKS",
        "phone.PhoneController$PainEntry, drill, PRACTICE_SESSION, PAIN_DRILL",
        "phone.PhoneController$PainEntry, where, PRACTICE_SESSION, PAIN_WHERE",
        "clip.ClipEntry, name, CLIP, NAME",
        "clip.ClipController$Agreement, by, STUDENT, PICTURES_AGREED_BY",
        "shots.ShotController$TakeEntry, name, SHOT_FILE, NAME",
        "plate.TraceImportController$TraceImportEntry, name, TRACE_FILE, NAME",
    })
    void whatIsTypedFindsRoom(String record, String component, String table, String column) throws Exception {
        Class<?> type = Class.forName("app.hodegon.server." + record);
        AnnotatedElement part = Arrays.stream(type.getRecordComponents())
                .filter(c -> c.getName().equals(component))
                .findFirst()
                .orElseThrow()
                .getAccessor();
        Size size = part.getAnnotation(Size.class);
        if (size == null) {
            size = Arrays.stream(type.getDeclaredFields())
                    .filter(f -> f.getName().equals(component))
                    .findFirst()
                    .orElseThrow()
                    .getAnnotation(Size.class);
        }
        assertThat(size).as(record + "." + component).isNotNull();
        assertThat(length(table, column)).isGreaterThanOrEqualTo(size.max());
    }
}
