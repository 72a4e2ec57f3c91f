package app.hodegon.server;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;

/**
 * A student with time at home every day and a lesson on sway today: what tests of plans begin with.
 *
 * @param lesson the lesson's address
 */
record Begun(String student, String lesson, LocalDate today) {

    /**
     * @param flags JSON strings, comma separated
     * @param home minutes at home, but for one day of the week: tomorrow's, so that a plan is the same one
     *     whatever day it is
     */
    static Begun swayer(Client coach, String level, String flags, int home, int longDay, String longDaysPlace) {
        DayOfWeek apart = LocalDate.now().plusDays(1).getDayOfWeek();
        String week = Stream.of(DayOfWeek.values())
                .map(day -> "\"%s\":{\"minutes\":%d,\"place\":\"%s\"}"
                        .formatted(
                                day.getDisplayName(TextStyle.SHORT, Locale.ROOT).toLowerCase(Locale.ROOT),
                                day == apart ? longDay : home,
                                day == apart ? longDaysPlace : "home"))
                .collect(Collectors.joining(","));
        String student = coach.post("/api/students", """
                        {"name":"Isolde Brack","handedness":"right","level":"%s","ageBand":"adult","shoes":"soft",
                         "units":"metric","complaint":"","flags":[%s],"kit":["ball","disc","rod"],"week":{%s}}""".formatted(level, flags, week))
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
