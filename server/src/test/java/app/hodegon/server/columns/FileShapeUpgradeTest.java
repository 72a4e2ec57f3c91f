package app.hodegon.server.columns;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.server.Upgraded;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What a coach said of columns before all kinds of files had one place. */
class FileShapeUpgradeTest {

    @TempDir
    private Path folder;

    @Test
    void whatWasRememberedOfEitherKindIsStillKnown() throws Exception {
        Upgraded.withACoachAndAStudent(folder, "17");
        try (Connection store = DriverManager.getConnection(Upgraded.url(folder), "sa", "");
                Statement sql = store.createStatement()) {
            sql.execute("insert into shot_shape select id, 'nr\tcarry', '{\"s\":1}' from account");
            sql.execute("insert into trace_shape select id, 'ms\tleft', '{\"t\":1}' from account");
        }
        Upgraded.migrate(folder, "latest");
        List<String> known = new ArrayList<>();
        try (Connection store = DriverManager.getConnection(Upgraded.url(folder), "sa", "");
                Statement sql = store.createStatement();
                ResultSet rows = sql.executeQuery("select kind, heading, columns from file_shape order by kind")) {
            while (rows.next()) known.add(rows.getString(1) + " " + rows.getString(2) + " " + rows.getString(3));
        }
        assertThat(known).containsExactly("loads ms\tleft {\"t\":1}", "shots nr\tcarry {\"s\":1}");
    }
}
