package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.golfer.Golfer;
import app.hodegon.core.golfer.Pace;
import app.hodegon.core.golfer.Plate;
import app.hodegon.core.golfer.PlateStream;
import app.hodegon.core.golfer.PlateStream.Act;
import app.hodegon.core.motion.Cell;
import app.hodegon.core.motion.LoadUnit;
import app.hodegon.core.swing.Handedness;
import app.hodegon.server.plate.StandIn;
import java.io.BufferedReader;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.net.http.WebSocket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Swings heard from a plate: streamed in, kept, corrected, part of the lesson and of the record. */
@ExtendWith(RunningServer.class)
class SwingsTest {

    private static final double RATE = 200;
    private final String header =
            "{\"stream\":\"" + UUID.randomUUID() + "\",\"plate\":\"Bay 2\",\"rate\":200,\"unit\":\"kilogram\","
                    + "\"channels\":["
                    + IntStream.range(0, Cell.values().length)
                            .mapToObj(i -> '"' + Cell.values()[i].channel(Handedness.RIGHT) + '"')
                            .collect(Collectors.joining(","))
                    + "]}\n";

    private static final JsonMapper JSON = new JsonMapper();

    private Client coach;
    private Begun begun;
    private String token;
    private BufferedReader page;

    @BeforeEach
    void aLessonThatListens(Client first) throws Exception {
        coach = first.coach();
        begun = Begun.swayer(coach, "improver", "", 20, 60, "range");
        token = coach.post("/api/plate/token", null)
                .expect(200)
                .body()
                .path("token")
                .asString();
        page = listen("before");
    }

    /** As a page does; its events come line by line. */
    private BufferedReader listen(String stage) throws Exception {
        BufferedReader events = new BufferedReader(
                new InputStreamReader(coach.events(begun.lesson() + "/listen?stage=" + stage), StandardCharsets.UTF_8));
        until(events, line -> line.startsWith("data:{\"connected\""));
        return events;
    }

    private static void until(BufferedReader events, Predicate<String> wanted) throws Exception {
        CompletableFuture.supplyAsync(() -> events.lines().filter(wanted).findFirst())
                .get(30, TimeUnit.SECONDS);
    }

    private static String swings(int n, Map<Fault, Double> faults) {
        Golfer golfer = new Golfer(Handedness.RIGHT, 178, PressureSchool.EARLY_RETURN, faults, Pace.USUAL);
        PlateStream stream = new PlateStream(golfer, new Plate(RATE, 0.5, LoadUnit.KILOGRAM, 80), n);
        for (int i = 0; i < n; i++) stream.ask(Act.SWING);
        StringBuilder lines = new StringBuilder();
        for (int i = 0; i < 100 || !stream.resting(); i++) {
            Map<Cell, Double> loads = stream.next();
            lines.append("{\"n\":").append(i).append(",\"v\":[");
            lines.append(loads.values().stream()
                    .map(v -> String.format(Locale.ROOT, "%.2f", v))
                    .collect(Collectors.joining(",")));
            lines.append("]}\n");
            double now = i / RATE;
            stream.passed()
                    .ifPresent(at ->
                            lines.append(String.format(Locale.ROOT, "{\"event\":\"%s\",\"t\":%.4f}%n", at.id(), now)));
        }
        return lines.toString();
    }

    private HttpResponse<String> post(String lines) throws IOException, InterruptedException {
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://localhost:" + coach.port() + "/plate/samples"))
                                .header("Authorization", "Bearer " + token)
                                .header("Content-Type", "application/x-ndjson")
                                .POST(BodyPublishers.ofString(lines))
                                .build(),
                        BodyHandlers.ofString());
    }

    private JsonNode heard() {
        return coach.get(begun.lesson() + "/swings").expect(200).body();
    }

    private JsonNode keep(JsonNode swing) {
        return decide(swing, "kept", "before");
    }

    private JsonNode decide(JsonNode swing, String state, String stage) {
        return coach.put(
                        "/api/swings/" + swing.path("id").asString() + "/state",
                        "{\"state\":\"%s\",\"stage\":\"%s\"}".formatted(state, stage),
                        (Integer) null)
                .expect(200)
                .body();
    }

    private static JsonNode reading(JsonNode readings, String measure, String at) {
        for (JsonNode one : readings) {
            String name = one.has("measure") ? "measure" : "id";
            if (one.path(name).asString().equals(measure)
                    && one.path("at").asString("").equals(at)) return one;
        }
        throw new AssertionError(measure + " is not in " + readings);
    }

    @Test
    void threeKeptSwingsAreReadingsOfTheLessonAndCanBeTakenBack() throws Exception {
        assertThat(post(header + swings(4, Map.of(Fault.HANGING_BACK, 1.0))).statusCode())
                .isEqualTo(204);
        until(page, line -> line.equals("event:swings"));
        JsonNode all = heard();
        assertThat(all.path("swings")).hasSize(4);
        JsonNode first = all.at("/swings/0");
        assertThat(first.path("state").asString()).isEqualTo("heard");
        assertThat(first.path("device").asString()).isEqualTo("Bay 2");
        assertThat(first.path("moments").valueStream().map(m -> m.path("id").asString()))
                .contains("address", "top", "arm-down", "impact", "finish");
        assertThat(reading(first.path("readings"), "trail-share", "impact")
                        .path("value")
                        .asDouble())
                .isGreaterThan(40);

        double unlikely = chance("hanging-back");
        keep(all.at("/swings/0"));
        keep(all.at("/swings/1"));
        assertThat(coach.get(begun.lesson()).body().path("measured")).isEmpty();
        JsonNode kept = keep(all.at("/swings/2"));
        JsonNode joint = reading(kept.path("measured"), "trail-share", "impact");
        assertThat(joint.path("swings").asInt()).isEqualTo(3);
        assertThat(joint.path("own").isNull()).isTrue();
        JsonNode lesson = coach.get(begun.lesson()).body();
        assertThat(lesson.at("/entry/before/readings")).as("nothing was typed").isEmpty();
        assertThat(lesson.path("measured")).isNotEmpty();
        assertThat(chance("hanging-back")).isGreaterThan(unlikely + 0.3);
        coach.get(begun.lesson() + "/feet?against=centred").expect(200);

        decide(all.at("/swings/2"), "thrown", "before");
        assertThat(coach.get(begun.lesson()).body().path("measured")).isEmpty();
        decide(all.at("/swings/2"), "kept", "after");
        assertThat(coach.get(begun.lesson()).body().path("measured")).isEmpty();
        coach.put(
                        "/api/swings/" + first.path("id").asString() + "/state",
                        "{\"state\":\"loved\",\"stage\":\"before\"}",
                        (Integer) null)
                .refused(422);
    }

    private double chance(String fault) {
        for (JsonNode one : coach.get(begun.lesson()).body().at("/diagnosis/faults")) {
            if (one.path("id").asString().equals(fault))
                return one.path("probability").asDouble();
        }
        throw new AssertionError("no " + fault);
    }

    @Test
    void aMomentThatIsMovedTakesItsReadingsAlongAndComesBack() throws Exception {
        post(header + swings(1, Map.of()));
        JsonNode swing = heard().at("/swings/0");
        double impact =
                reading(swing.path("moments"), "impact", "").path("time").asDouble();
        double share = reading(swing.path("readings"), "trail-share", "impact")
                .path("value")
                .asDouble();
        String path = "/api/swings/" + swing.path("id").asString() + "/moments";

        JsonNode moved = coach.put(path, "{\"moments\":{\"impact\":%s}}".formatted(impact - 0.06), (Integer) null)
                .expect(200)
                .body()
                .at("/swings/0");
        assertThat(reading(moved.path("moments"), "impact", "").path("from").asString())
                .isEqualTo("corrected");
        assertThat(reading(moved.path("readings"), "trail-share", "impact")
                        .path("value")
                        .asDouble())
                .isGreaterThan(share + 3);
        coach.put(path, "{\"moments\":{\"impact\":99}}", (Integer) null).refused(422);
        coach.put(path, "{\"moments\":{\"lunch\":1}}", (Integer) null).refused(422);
        JsonNode left = coach.put(path, "{\"moments\":{\"impact\":null}}", (Integer) null)
                .expect(200)
                .body()
                .at("/swings/0");
        assertThat(left.path("moments").valueStream().map(m -> m.path("id").asString()))
                .doesNotContain("impact");
        JsonNode curve = coach.get("/api/swings/" + swing.path("id").asString() + "/curve")
                .expect(200)
                .body();
        assertThat(curve.path("trailShare").size() * curve.path("step").asDouble())
                .isCloseTo(swing.path("seconds").asDouble(), within(0.03));
        assertThat(curve.at("/halves/leadFront").size())
                .isEqualTo(curve.path("push").size());
    }

    @Test
    void nothingIsLostOrDoubledWhenTheConnectionIsCutAndComesBack() throws Exception {
        String[] lines = swings(3, Map.of()).split("\n");
        List<String> samples = new ArrayList<>(List.of(lines));
        post(header + String.join("\n", samples.subList(0, 900)));
        // Sent again from before the cut, as by a bridge that does not know what arrived.
        post(header + String.join("\n", samples.subList(850, samples.size())));
        assertThat(heard().path("swings")).hasSize(3);
        assertThat(post("{\"n\":1}\n").statusCode()).isEqualTo(422);
        assertThat(post("no json\n").body()).contains("no JSON");
    }

    @Test
    void theSocketTakesTheSameAndKnowsWhoComes() throws Exception {
        WebSocket socket = socket(token).join();
        socket.sendText(header, true).join();
        String[] lines = swings(1, Map.of()).split("\n");
        for (int i = 0; i < lines.length; i += 100) {
            String batch = String.join("\n", List.of(lines).subList(i, Math.min(lines.length, i + 100)));
            socket.sendText(batch, true).join();
        }
        until(page, line -> line.equals("event:swings"));
        assertThat(heard().path("swings")).hasSize(1);
        socket.sendClose(WebSocket.NORMAL_CLOSURE, "").join();
        assertThat(socket("guessed").handle((s, failed) -> failed).get(10, TimeUnit.SECONDS))
                .isInstanceOf(CompletionException.class);
        String old = token;
        token = coach.post("/api/plate/token", null).body().path("token").asString();
        assertThat(post(header).statusCode()).isEqualTo(204);
        token = old;
        assertThat(post(header).statusCode()).isEqualTo(401);
    }

    private CompletableFuture<WebSocket> socket(String with) {
        return HttpClient.newHttpClient()
                .newWebSocketBuilder()
                .header("Authorization", "Bearer " + with)
                .buildAsync(URI.create("ws://localhost:" + coach.port() + "/plate/socket"), new WebSocket.Listener() {
                    @Override
                    public CompletionStage<?> onText(WebSocket from, CharSequence text, boolean last) {
                        return null;
                    }
                });
    }

    @Test
    void fiveSwingsMayBeJudgedByTheirOwnSpread() throws Exception {
        post(header + swings(5, Map.of()));
        JsonNode all = heard();
        for (JsonNode swing : all.path("swings")) keep(swing);
        JsonNode joint = reading(heard().path("measured"), "trail-share", "top");
        double mean = 0;
        for (JsonNode swing : all.path("swings")) {
            mean += reading(swing.path("readings"), "trail-share", "top")
                            .path("value")
                            .asDouble()
                    / 5;
        }
        assertThat(joint.path("mean").asDouble()).isCloseTo(mean, within(0.01));
        assertThat(joint.path("own").asDouble()).isBetween(0.3, 6.0);
        assertThat(joint.path("assumed").asDouble()).isEqualTo(2.5);
        double assumed = halfWidth();
        coach.put(begun.lesson() + "/own-spread", "{\"own\":true}", (Integer) null)
                .expect(200);
        double own =
                Math.max(joint.path("own").asDouble(), joint.path("uncertainty").asDouble());
        assertThat(halfWidth()).isCloseTo(assumed * own / 2.5, within(0.1));
        coach.put(begun.lesson() + "/own-spread", "{\"own\":false}", (Integer) null)
                .expect(200);
        assertThat(halfWidth()).isEqualTo(assumed);
    }

    /** Of the interval of the share at the top, as the thread draws it. */
    private double halfWidth() {
        JsonNode thread = coach.get("/api/students/" + begun.student() + "/thread")
                .expect(200)
                .body();
        JsonNode point = thread.at("/knots/0/before").path("trail-share@top/plate");
        if (point.isMissingNode()) throw new AssertionError(thread.at("/knots/0/before"));
        return point.path("high").asDouble() - point.path("value").asDouble();
    }

    @Test
    void whoDoesNotTeachTheStudentGetsAtNothing() throws Exception {
        post(header + swings(1, Map.of()));
        String swing = "/api/swings/" + heard().at("/swings/0/id").asString();
        Client other = coach.fresh().signIn("second@demo.example", "demo-coach");
        other.get(begun.lesson() + "/swings").refused(404);
        other.get(swing + "/curve").refused(404);
        other.get(swing + "/loads").refused(404);
        other.put(swing + "/state", "{\"state\":\"kept\",\"stage\":\"before\"}", (Integer) null)
                .refused(404);
        other.put(swing + "/moments", "{\"moments\":{\"impact\":1}}", (Integer) null)
                .refused(404);
        other.get(begun.lesson() + "/listen?stage=before").refused(404);
        other.put(begun.lesson() + "/own-spread", "{\"own\":true}", (Integer) null)
                .refused(404);
    }

    /** The stand-in of the command line, in real time: a swing takes it some seconds. */
    @Test
    void theStandInSwingsAndEnds() throws Exception {
        String to = "http://localhost:" + coach.port();
        ByteArrayOutputStream said = new ByteArrayOutputStream();
        PrintStream out = new PrintStream(said, true, StandardCharsets.UTF_8);
        assertThat(new StandIn(out, out).run(List.of("--to", to))).isEqualTo(1);
        assertThat(said.toString(StandardCharsets.UTF_8)).contains("--token is needed.");
        assertThat(new StandIn(out, out).run(List.of("--to", to, "--token", token, "--student", "lunch")))
                .isEqualTo(1);
        assertThat(said.toString(StandardCharsets.UTF_8)).contains("lunch");
        assertThat(new StandIn(out, out).run(List.of("--to", to, "--token", token, "--every", "0.5", "--swings", "1")))
                .isZero();
        until(page, line -> line.equals("event:swings"));
        assertThat(heard().path("swings")).hasSize(1);
        assertThat(heard().at("/swings/0/device").asString()).isEqualTo("Stand-in");
        assertThat(heard().at("/swings/0/warnings")).isEmpty();
    }

    @Test
    void theRecordTakesSwingsOutAndIn() throws Exception {
        post(header + swings(3, Map.of()));
        JsonNode all = heard();
        for (JsonNode swing : all.path("swings")) keep(swing);
        JsonNode record = coach.get("/api/students/" + begun.student() + "/record")
                .expect(200)
                .body();
        assertThat(record.path("swing")).hasSize(3);
        coach.post("/api/students/" + begun.student() + "/erasure", "{\"name\":\"Isolde Brack\"}")
                .expect(204);
        coach.get("/api/swings/" + all.at("/swings/0/id").asString() + "/curve").refused(404);
        coach.post("/api/records", record.toString()).expect(201);
        assertThat(heard().path("measured")).isNotEmpty();
        assertThat(coach.get("/api/swings/" + all.at("/swings/0/id").asString() + "/curve")
                        .expect(200)
                        .body()
                        .path("trailShare"))
                .isNotEmpty();
    }

    @Test
    void keptSwingsOfEarlierLessonsMayBeLaidUnder() throws Exception {
        post(header + swings(2, Map.of()));
        keep(heard().at("/swings/0"));
        String next = "/api/lessons/"
                + coach.post("/api/students/" + begun.student() + "/lessons", null)
                        .expect(201)
                        .body()
                        .path("id")
                        .asString();
        JsonNode earlier = coach.get(next + "/earlier-swings").expect(200).body();
        assertThat(earlier).hasSize(1);
        assertThat(earlier.at("/0/swings")).hasSize(1);
        assertThat(earlier.at("/0/swings/0/number").asInt()).isEqualTo(1);
        assertThat(coach.get(begun.lesson() + "/earlier-swings").expect(200).body())
                .isEmpty();
    }

    @Test
    void aRecordWithSwingsNoPlateCouldHaveMadeIsRefused() throws Exception {
        post(header + swings(1, Map.of()));
        keep(heard().at("/swings/0"));
        String student = "/api/students/" + begun.student();
        JsonNode record = coach.get(student + "/record").expect(200).body();
        coach.post(student + "/erasure", "{\"name\":\"Isolde Brack\"}").expect(204);
        Map<String, String> broken = Map.of(
                "/loads", "\"AAAA\"",
                "/state", "\"loved\"",
                "/stage", "\"noon\"",
                "/spark", "\"a,b\"",
                "/readings/0/measure", "\"luck\"",
                "/readings/0/uncertainty", "-1",
                "/readings/0/value", "1e9",
                "/moments/0/time", "-5",
                "/moments/0/id", "\"lunch\"",
                "/told/0/from", "\"hearsay\"");
        for (Map.Entry<String, String> one : broken.entrySet()) {
            JsonNode other = JSON.readTree(record.toString());
            String path = "/swing/0" + one.getKey();
            ObjectNode holder = (ObjectNode) other.at(path.substring(0, path.lastIndexOf('/')));
            holder.set(path.substring(path.lastIndexOf('/') + 1), JSON.readTree(one.getValue()));
            assertThat(coach.post("/api/records", other.toString()).status())
                    .as(one.toString())
                    .isEqualTo(422);
        }
        coach.post("/api/records", record.toString()).expect(201);
    }

    @Test
    void aFileIsLookedAtTakenInAndOutAgainAsAWhole() {
        String heading = "[\"Time (s)\",\"Left N\",\"Right N\"]";
        JsonNode shape = coach.post("/api/trace-shapes", "{\"heading\":%s}".formatted(heading))
                .expect(200)
                .body();
        assertThat(shape.at("/columns/channels/right").asInt()).isEqualTo(2);
        JsonNode running = coach.post(begun.lesson() + "/trace-imports", """
                        {"name":"morning.csv","stage":"before","rate":200,"heading":%s,"columns":%s}""".formatted(heading, shape.path("columns")))
                .expect(201)
                .body();
        String path = "/api/trace-imports/" + running.path("id").asString();
        int found = 0;
        String[] rows = feet(3, running.path("channels").get(0).asString().equals("left"));
        for (int i = 0; i < rows.length; i += 500) {
            String batch = String.join(",", List.of(rows).subList(i, Math.min(rows.length, i + 500)));
            found += coach.post(path + "/rows", "{\"rows\":[" + batch + "]}")
                    .expect(200)
                    .body()
                    .size();
        }
        assertThat(found).isEqualTo(3);
        assertThat(heard().path("swings")).as("nothing is stored yet").isEmpty();
        coach.post(path + "/rows", "{\"rows\":[[1,2]]}").refused(400);
        coach.fresh()
                .signIn("second@demo.example", "demo-coach")
                .post(path + "/take", "{\"leaveOut\":[]}")
                .refused(404);
        coach.post(path + "/take", "{\"leaveOut\":[0,1,2]}").refused(422);
        coach.post(path + "/take", "{\"leaveOut\":[0]}").expect(204);
        JsonNode all = heard();
        assertThat(all.path("swings").valueStream().map(s -> s.path("state").asString()))
                .containsExactly("kept", "kept");
        assertThat(all.at("/files/0/swings").asInt()).isEqualTo(2);
        String csv = coach.text("/api/swings/" + all.at("/swings/0/id").asString() + "/loads");
        assertThat(csv).startsWith("seconds,left_newton,right_newton\n0.0000,");
        assertThat(csv.lines().count()).isGreaterThan(500);
        assertThat(coach.post("/api/trace-shapes", "{\"heading\":%s}".formatted(heading))
                        .body()
                        .path("remembered")
                        .asBoolean())
                .isTrue();
        assertThat(coach.delete("/api/trace-files/" + all.at("/files/0/id").asString())
                        .expect(200)
                        .body()
                        .path("swings"))
                .isEmpty();
    }

    /** Rows as a page sends them: the sample's number and the load of each foot. */
    private static String[] feet(int n, boolean leftFirst) {
        Golfer golfer = new Golfer(Handedness.RIGHT, 178, PressureSchool.CENTRED, Map.of(), Pace.USUAL);
        PlateStream stream = new PlateStream(golfer, new Plate(RATE, 0.5, LoadUnit.NEWTON, 800), 5);
        for (int i = 0; i < n; i++) stream.ask(Act.SWING);
        List<String> rows = new ArrayList<>();
        while (rows.size() < 100 || !stream.resting()) {
            double[] feet = new double[2];
            stream.next().forEach((cell, load) -> feet[cell.foot().ordinal()] += load);
            rows.add(String.format(
                    Locale.ROOT, "[%d,%.1f,%.1f]", rows.size(), feet[leftFirst ? 0 : 1], feet[leftFirst ? 1 : 0]));
        }
        return rows.toArray(String[]::new);
    }

    @Test
    void aStandInWhoEndedStoresNothingMoreAndWhatWasStoredIsOnRecord(Client other) throws Exception {
        other.signIn("second@demo.example", "demo-coach");
        String id = other.coachId();
        String standIns = "/api/students/" + begun.student() + "/stand-ins";
        coach.post(standIns, "{\"coachId\":\"%s\",\"until\":\"%s\"}".formatted(id, begun.today()))
                .expect(200);
        token = other.post("/api/plate/token", null).body().path("token").asString();
        BufferedReader theirs = new BufferedReader(
                new InputStreamReader(other.events(begun.lesson() + "/listen?stage=before"), StandardCharsets.UTF_8));
        until(theirs, line -> line.startsWith("data:{\"connected\""));
        post(header + swings(1, Map.of()));
        assertThat(heard().path("swings")).hasSize(1);
        JsonNode accesses =
                coach.get("/api/students/" + begun.student() + "/accesses").body();
        assertThat(accesses.valueStream().filter(a -> a.path("what").asString().equals("changed")))
                .as("what the plate stored is on record")
                .isNotEmpty();

        coach.delete(standIns + "/" + id).expect(204);
        post(header.replace("Bay 2", "Bay 3") + swings(2, Map.of()));
        assertThat(heard().path("swings")).hasSize(1);
        // The page is told nothing more, and ended.
        until(theirs, line -> false);
    }

    @Test
    void manyEventsHoldNobodyUp() throws Exception {
        StringBuilder events = new StringBuilder(header);
        for (int i = 0; i < 50_000; i++) events.append("{\"event\":\"top\",\"t\":1}\n");
        assertThat(post(events.toString()).statusCode()).isEqualTo(204);
        assertThat(post(header.replace("Bay 2", "Bay 4") + swings(1, Map.of())).statusCode())
                .isEqualTo(204);
        assertThat(heard().path("swings")).hasSize(1);
    }

    @Test
    void aNewTokenEndsTheSocketOfTheOld() throws Exception {
        CompletableFuture<Integer> closed = new CompletableFuture<>();
        WebSocket socket = HttpClient.newHttpClient()
                .newWebSocketBuilder()
                .header("Authorization", "Bearer " + token)
                .buildAsync(URI.create("ws://localhost:" + coach.port() + "/plate/socket"), new WebSocket.Listener() {
                    @Override
                    public CompletionStage<?> onClose(WebSocket from, int code, String reason) {
                        closed.complete(code);
                        return null;
                    }
                })
                .join();
        socket.sendText(header, true).join();
        coach.post("/api/plate/token", null).expect(200);
        for (long n = 0; !closed.isDone() && n < 400; n++) {
            try {
                socket.sendText("{\"n\":" + n + ",\"v\":[1,1,1,1,1,1,1,1]}", true)
                        .join();
                closed.copy().get(50, TimeUnit.MILLISECONDS);
            } catch (CompletionException | TimeoutException notYet) {
                continue;
            }
        }
        assertThat(closed.get(10, TimeUnit.SECONDS)).isEqualTo(1008);
    }
}
