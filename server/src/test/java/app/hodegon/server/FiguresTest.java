package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/**
 * What the screens say between lessons, worked out a second time by other code from the raw rows of the students'
 * records: every lesson of every student of the demo.
 */
@ExtendWith(RunningServer.class)
class FiguresTest {

    private static final double Z = 1.959963984540054;

    /** Smallest change of a share of balls that is worth having. */
    private static final double WORTH = 0.15;

    /** Wilson's interval, as shares of one. */
    private static double[] wilson(int hits, int of) {
        double p = (double) hits / of;
        double middle = (p + Z * Z / (2 * of)) / (1 + Z * Z / of);
        double half = Z / (1 + Z * Z / of) * Math.sqrt(p * (1 - p) / of + Z * Z / (4.0 * of * of));
        return new double[] {middle - half, middle + half};
    }

    /** The raw rows of one student. */
    private record Record(JsonNode rows) {

        Stream<JsonNode> of(String table, String column, String value) {
            return rows.path(table)
                    .valueStream()
                    .filter(r -> r.path(column).asString().equals(value));
        }

        int[] balls(String lesson, String stage, String kind, String result) {
            int hits = 0;
            int of = 0;
            for (JsonNode row : of("lessonShot", "lessonId", lesson).toList()) {
                if (!row.path("stage").asString().equals(stage)
                        || !row.path("kind").asString().equals(kind)) continue;
                of += row.path("hits").asInt();
                if (row.path("result").asString().equals(result))
                    hits += row.path("hits").asInt();
            }
            return new int[] {hits, of};
        }

        LocalDate heldOn(String lesson) {
            return day(of("lesson", "id", lesson).findFirst().orElseThrow(), "heldOn");
        }

        List<JsonNode> lessons() {
            return rows.path("lesson")
                    .valueStream()
                    .sorted(Comparator.comparing(l -> day(l, "heldOn")))
                    .toList();
        }

        private static LocalDate day(JsonNode row, String column) {
            return LocalDate.parse(row.path(column).asString());
        }

        /** Days and reps, planned and done, of the plans of all lessons from one up to another. */
        int[] done(LocalDate then, LocalDate now, LocalDate today) {
            LocalDate until = now.isBefore(today) ? now : today;
            int[] sum = new int[4];
            for (JsonNode lesson : lessons()) {
                if (day(lesson, "heldOn").isBefore(then)
                        || !day(lesson, "heldOn").isBefore(now)) continue;
                for (JsonNode plan :
                        of("plan", "lessonId", lesson.path("id").asString()).toList()) {
                    String id = plan.path("id").asString();
                    Map<LocalDate, Integer> planned = new HashMap<>();
                    of("planDay", "planId", id)
                            .forEach(d -> planned.put(
                                    day(d, "plannedFor"), d.path("reps").asInt()));
                    Map<LocalDate, Integer> practised = new HashMap<>();
                    of("practiceSession", "planId", id)
                            .forEach(s -> practised.merge(
                                    day(s, "practiceDay"), s.path("reps").asInt(), Integer::sum));
                    TreeSet<LocalDate> due = new TreeSet<>(practised.keySet());
                    planned.keySet().stream().filter(d -> d.isBefore(until)).forEach(due::add);
                    sum[0] += due.size();
                    sum[1] += practised.size();
                    sum[2] += due.stream()
                            .mapToInt(d -> planned.getOrDefault(d, 0))
                            .sum();
                    sum[3] += practised.values().stream().mapToInt(i -> i).sum();
                }
            }
            return sum;
        }

        /** Good ones of each scored ten on a rung, in the order of the days. */
        List<Integer> checks(String fault, String rung) {
            Map<String, LocalDate> days = new HashMap<>();
            rows.path("practiceSession").forEach(s -> days.put(s.path("id").asString(), day(s, "practiceDay")));
            return rows.path("practiceBlock")
                    .valueStream()
                    .filter(b -> b.path("kind").asString().equals("check")
                            && b.path("aside").isNull()
                            && b.path("fault").asString().equals(fault)
                            && b.path("rung").asString().equals(rung))
                    .sorted(Comparator.comparing(
                            b -> days.get(b.path("sessionId").asString())))
                    .map(b -> (int) b.path("marks")
                            .asString()
                            .chars()
                            .filter(c -> c == '+')
                            .count())
                    .toList();
        }

        /** Shots of rounds from one day to another, by week: how many of how many. */
        TreeMap<Integer, int[]> rounds(String column, LocalDate from, LocalDate until) {
            TreeMap<Integer, int[]> weeks = new TreeMap<>();
            for (JsonNode round : rows.path("roundPlayed")) {
                LocalDate on = day(round, "playedOn");
                if (on.isBefore(from) || on.isAfter(until)) continue;
                int[] week = weeks.computeIfAbsent((int) (ChronoUnit.DAYS.between(from, on) / 7) + 1, w -> new int[2]);
                week[0] += round.path(column).asInt();
                week[1] += 10;
            }
            return weeks;
        }

        /** Balls of a kind told by the phone from one day to another, by week. */
        TreeMap<Integer, int[]> practised(String kind, String result, LocalDate from, LocalDate until) {
            TreeMap<Integer, int[]> weeks = new TreeMap<>();
            for (JsonNode session : rows.path("practiceSession")) {
                LocalDate on = day(session, "practiceDay");
                if (on.isBefore(from) || on.isAfter(until)) continue;
                int[] week = weeks.computeIfAbsent((int) (ChronoUnit.DAYS.between(from, on) / 7) + 1, w -> new int[2]);
                of("practiceShot", "sessionId", session.path("id").asString())
                        .filter(s -> s.path("kind").asString().equals(kind))
                        .forEach(s -> {
                            week[1] += s.path("hits").asInt();
                            if (s.path("result").asString().equals(result))
                                week[0] += s.path("hits").asInt();
                        });
                // Ball by ball: flight/strike.
                int part = kind.equals("flight") ? 0 : 1;
                of("practiceBlock", "sessionId", session.path("id").asString())
                        .map(block -> block.path("balls").asString())
                        .filter(balls -> !balls.isEmpty())
                        .flatMap(balls -> Stream.of(balls.split(",")))
                        .map(ball -> ball.split("/", -1)[part])
                        .filter(seen -> !seen.isEmpty())
                        .forEach(seen -> {
                            week[1]++;
                            if (seen.equals(result)) week[0]++;
                        });
            }
            weeks.values().removeIf(w -> w[1] == 0);
            return weeks;
        }
    }

    private static void isTheChange(JsonNode comparison, int[] first, int[] second, String what) {
        double p1 = (double) first[0] / first[1];
        double p2 = (double) second[0] / second[1];
        double[] w1 = wilson(first[0], first[1]);
        double[] w2 = wilson(second[0], second[1]);
        double low = p2 - p1 - Math.hypot(p2 - w2[0], w1[1] - p1);
        double high = p2 - p1 + Math.hypot(w2[1] - p2, p1 - w1[0]);
        assertThat(comparison.path("difference").asDouble()).as(what).isCloseTo(p2 - p1, within(1e-9));
        assertThat(comparison.path("low").asDouble()).as(what).isCloseTo(low, within(1e-9));
        assertThat(comparison.path("high").asDouble()).as(what).isCloseTo(high, within(1e-9));
        String verdict = comparison.path("verdict").asString();
        if (low >= -WORTH && high <= WORTH) assertThat(verdict).as(what).isEqualTo("no-change");
        else if (low <= 0 && high >= 0) assertThat(verdict).as(what).isEqualTo("cannot-tell");
        else assertThat(verdict).as(what).isIn("better", "worse");
    }

    @Test
    void whatIsSaidBetweenLessonsIsWhatTheRowsSay(Client client) {
        Client coach = client.coach();
        int changes = 0;
        int gates = 0;
        int sums = 0;
        int pairs = 0;
        for (JsonNode student : coach.get("/api/students").expect(200).body()) {
            String id = student.path("id").asString();
            LocalDate today = LocalDate.parse(student.path("today").asString());
            Record record = new Record(
                    coach.get("/api/students/" + id + "/record").expect(200).body());
            for (JsonNode lesson : record.lessons()) {
                String now = lesson.path("id").asString();
                JsonNode said = coach.get("/api/lessons/" + now + "/progress")
                        .expect(200)
                        .body();
                if (said.path("sinceLesson").isNull()) continue;
                String then = said.path("sinceLesson").asString();
                String where = student.path("name").asString() + " on " + record.heldOn(now) + ": ";
                LocalDate from = record.heldOn(then);
                LocalDate until = record.heldOn(now);
                pairs++;
                assertThat(said.path("since").asString()).isEqualTo(from.toString());
                if (!said.path("done").isNull()) {
                    JsonNode done = said.path("done");
                    assertThat(new int[] {
                                done.path("plannedDays").asInt(),
                                done.path("doneDays").asInt(),
                                done.path("plannedReps").asInt(),
                                done.path("doneReps").asInt()
                            })
                            .as(where + "practised")
                            .isEqualTo(record.done(from, until, today));
                }
                List<JsonNode> compared = new ArrayList<>();
                said.path("changes").forEach(compared::add);
                for (JsonNode change : compared) {
                    if (!change.path("unit").asString().equals("balls")) continue;
                    String[] what = change.path("id").asString().split(":");
                    int[] first = record.balls(then, "before", what[0], what[1]);
                    int[] second = record.balls(now, "before", what[0], what[1]);
                    int[] last = record.balls(then, "after", what[0], what[1]);
                    String name = where + change.path("id").asString();
                    assertThat(change.path("then").asString()).as(name).isEqualTo(first[0] + " of " + first[1]);
                    assertThat(change.path("now").asString()).as(name).isEqualTo(second[0] + " of " + second[1]);
                    isTheChange(change.path("comparison"), first, second, name);
                    if (!change.path("gain").isNull()) isTheChange(change.path("gain"), first, last, name + " gain");
                    if (!change.path("lost").isNull()) isTheChange(change.path("lost"), last, second, name + " lost");
                    changes++;
                }
                JsonNode whole = said.path("whole");
                for (JsonNode change : whole.path("changes")) {
                    if (!change.path("unit").asString().equals("balls")) continue;
                    String[] what = change.path("id").asString().split(":");
                    isTheChange(
                            change.path("comparison"),
                            record.balls(whole.path("lesson").asString(), "before", what[0], what[1]),
                            record.balls(now, "before", what[0], what[1]),
                            where + "over the whole work, " + change.path("id").asString());
                    changes++;
                }
                for (JsonNode gate : said.path("promised")) {
                    assertThat(gate.path("checks").valueStream().map(JsonNode::asInt))
                            .as(where + gate.path("rung").asString())
                            .containsExactlyElementsOf(record.checks(
                                    gate.path("fault").asString(),
                                    gate.path("rung").asString()));
                    gates++;
                }
                for (JsonNode sum : said.path("between")) {
                    String[] what = sum.path("id").asString().split(":");
                    double[] share =
                            wilson(sum.path("hits").asInt(), sum.path("of").asInt());
                    assertThat(sum.path("low").asDouble()).isCloseTo(100 * share[0], within(1e-6));
                    assertThat(sum.path("high").asDouble()).isCloseTo(100 * share[1], within(1e-6));
                    TreeMap<Integer, int[]> weeks = what[0].equals("round")
                            ? record.rounds(what[1], from, until)
                            : what[0].equals("practice") && !what[2].contains("/")
                                    ? record.practised(what[1], what[2], from, until)
                                    : null;
                    if (weeks == null) continue;
                    assertThat(sum.path("weeks")
                                    .valueStream()
                                    .map(w -> List.of(
                                            w.path("week").asInt(),
                                            w.path("hits").asInt(),
                                            w.path("of").asInt())))
                            .as(where + sum.path("id").asString())
                            .containsExactlyElementsOf(weeks.entrySet().stream()
                                    .map(w -> List.of(w.getKey(), w.getValue()[0], w.getValue()[1]))
                                    .toList());
                    sums++;
                }
            }
        }
        // The demo has all of it, so that none of this is said of nothing.
        assertThat(pairs).isGreaterThan(10);
        assertThat(changes).isGreaterThan(50);
        assertThat(gates).isGreaterThan(10);
        assertThat(sums).isPositive();
    }

    @Test
    void whatTheThreadSaysOfBallsIsWhatTheRowsSay(Client client) {
        Client coach = client.coach();
        int shares = 0;
        for (JsonNode student : coach.get("/api/students").expect(200).body()) {
            String id = student.path("id").asString();
            Record record = new Record(
                    coach.get("/api/students/" + id + "/record").expect(200).body());
            JsonNode thread =
                    coach.get("/api/students/" + id + "/thread").expect(200).body();
            for (JsonNode knot : thread.path("knots")) {
                for (Map.Entry<String, JsonNode> one : knot.path("before").properties()) {
                    String[] what = one.getKey().split(":");
                    if (what.length < 2) continue;
                    int[] count = record.balls(knot.path("lessonId").asString(), "before", what[0], what[1]);
                    double[] share = wilson(count[0], count[1]);
                    JsonNode said = one.getValue();
                    assertThat(said.path("of").asInt()).isEqualTo(count[1]);
                    assertThat(said.path("value").asDouble()).isCloseTo(100.0 * count[0] / count[1], within(1e-9));
                    assertThat(said.path("low").asDouble()).isCloseTo(100 * share[0], within(1e-6));
                    assertThat(said.path("high").asDouble()).isCloseTo(100 * share[1], within(1e-6));
                    shares++;
                }
            }
        }
        assertThat(shares).isGreaterThan(50);
    }
}
