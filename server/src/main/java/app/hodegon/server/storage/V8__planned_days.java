package app.hodegon.server.storage;

import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.Statement;
import org.flywaydb.core.api.migration.BaseJavaMigration;
import org.flywaydb.core.api.migration.Context;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Reads the days of the plans that students have out of their documents. */
@Component
public class V8__planned_days extends BaseJavaMigration {

    private final JsonMapper json = new JsonMapper();

    @Override
    public void migrate(Context context) throws Exception {
        try (Statement plans = context.getConnection().createStatement();
                ResultSet rows = plans.executeQuery(
                        "select p.id, d.document from plan p join plan_document d on d.plan_id = p.id where p.assigned_at is not null");
                PreparedStatement day = context.getConnection()
                        .prepareStatement("insert into plan_day (plan_id, planned_for, reps) values (?, ?, ?)")) {
            while (rows.next()) {
                for (JsonNode planned : json.readTree(rows.getString(2)).path("days")) {
                    int reps = 0;
                    for (JsonNode block : planned.path("blocks")) {
                        reps += block.path("sets").asInt()
                                * block.path("repsPerSet").asInt();
                    }
                    day.setObject(1, rows.getObject(1));
                    day.setString(2, planned.path("date").asString());
                    day.setInt(3, reps);
                    day.addBatch();
                }
            }
            day.executeBatch();
        }
    }
}
