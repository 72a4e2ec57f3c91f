package app.hodegon.server;

import java.time.LocalDate;
import tools.jackson.databind.JsonNode;

/**
 * A student with time at home every day and a lesson on sway today: what tests of plans begin with.
 *
 * @param lesson the lesson's address
 */
record Begun(String student, String lesson, LocalDate today) {

    /**
     * @param flags JSON strings, comma separated
     * @param home minutes at home, but for Saturdays
     */
    static Begun swayer(Client coach, String level, String flags, int home, int saturday, String saturdaysPlace) {
        String day = "{\"minutes\":%d,\"place\":\"home\"}".formatted(home);
        String student = coach.post("/api/students", """
                        {"name":"Isolde Brack","handedness":"right","level":"%1$s","ageBand":"adult","shoes":"soft",
                         "units":"metric","complaint":"","flags":[%2$s],"kit":["ball","disc","rod"],
                         "week":{"mon":%3$s,"tue":%3$s,"wed":%3$s,"thu":%3$s,"fri":%3$s,"sun":%3$s,
                                 "sat":{"minutes":%4$d,"place":"%5$s"}}}""".formatted(level, flags, day, saturday, saturdaysPlace))
                .expect(201)
                .body()
                .path("id")
                .asString();
        JsonNode lesson = coach.post("/api/students/" + student + "/lessons", null)
                .expect(201)
                .body();
        String path = "/api/lessons/" + lesson.path("id").asString();
        coach.put(path + "/focus", "{\"faults\":[\"sway\"],\"reason\":\"seen often\"}")
                .expect(200);
        return new Begun(student, path, LocalDate.parse(lesson.path("heldOn").asString()));
    }

    /** A plan for two weeks from today on, not handed over yet. */
    String draft(Client coach) {
        return coach.put(
                        lesson + "/plan",
                        "{\"from\":\"%s\",\"nextLesson\":\"%s\"}".formatted(today, today.plusDays(14)))
                .expect(200)
                .body()
                .path("id")
                .asString();
    }
}
