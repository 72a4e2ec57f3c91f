package app.hodegon.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.server.db.DefaultSchema;
import app.hodegon.server.db.Tables;
import java.time.Clock;
import java.util.HashSet;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import org.jooq.Table;
import org.junit.jupiter.api.Test;

/** Nothing of a student is forgotten when the store grows. */
class RecordSectionsTest {

    /** Worked out anew, or of the installation. */
    private static final Set<Table<?>> NOT_OF_THE_RECORD = Set.of(
            Tables.ATTENTION,
            Tables.ATTENTION_DUE,
            Tables.INVITATION,
            Tables.STAND_IN,
            Tables.HANDOVER,
            Tables.STUDENT_ACCESS);

    @Test
    void everyTableOfAStudentIsPartOfTheRecord() {
        Set<Table<?>> reached = new HashSet<>(Set.of(Tables.STUDENT));
        int before;
        do {
            before = reached.size();
            for (Table<?> table : DefaultSchema.DEFAULT_SCHEMA.getTables()) {
                if (table.getReferences().stream()
                        .anyMatch(key -> reached.contains(key.getKey().getTable()))) reached.add(table);
            }
        } while (reached.size() > before);
        reached.removeAll(NOT_OF_THE_RECORD);
        assertThat(new RecordRepository(null, Clock.systemUTC())
                        .sections().stream().map(RecordSection::name))
                .containsExactlyInAnyOrderElementsOf(
                        reached.stream().map(RecordSectionsTest::camel).collect(Collectors.toSet()));
    }

    private static String camel(Table<?> table) {
        StringBuilder name = new StringBuilder();
        for (String word : table.getName().toLowerCase(Locale.ROOT).split("_")) {
            name.append(name.isEmpty() ? word : word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1));
        }
        return name.toString();
    }
}
