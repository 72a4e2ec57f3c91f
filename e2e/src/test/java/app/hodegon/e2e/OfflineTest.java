package app.hodegon.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.Request;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A phone whose signal comes and goes, at 390x844. */
class OfflineTest {

    @TempDir
    private static Path directory;

    private static ServerProcess demo;

    private static final String STUDENT = "Petra Lund";

    private Browser browser;

    @BeforeAll
    static void start() {
        demo = ServerProcess.demo(directory);
    }

    @AfterAll
    static void stop() {
        demo.close();
    }

    @BeforeEach
    void open() {
        browser = new Browser();
    }

    @AfterEach
    void close() {
        browser.close();
    }

    /** The student's first visit: from then on the phone can do without the server. */
    private Page firstVisit() {
        Page phone = browser.phone();
        phone.navigate(demo.base());
        phone.getByText(STUDENT).click();
        assertThat(phone.getByText("How it should feel")).isVisible();
        phone.waitForFunction("() => navigator.serviceWorker.controller !== null"
                + " && localStorage.getItem('hodegon-phone')?.includes('nextLesson')");
        return phone;
    }

    /** Sets the phone's clock so many days ahead. */
    private static String onDay(Page phone, int ahead) {
        phone.clock().setFixedTime(System.currentTimeMillis() + ahead * 24 * 3600 * 1000L);
        return DemoDay.today().plusDays(ahead).toString();
    }

    /** The demo's day moves on. */
    private String nextDay() {
        Page coach = Browser.students(browser.screen(), demo.base(), "Coach at Lindmoor");
        Object status = coach.evaluate("""
                () => fetch("/api/demo/next-day", {method: "POST", headers: {
                  "X-XSRF-TOKEN": /XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1]}}).then(r => r.status)""");
        assertThat(status).isEqualTo(204);
        return DemoDay.today().plusDays(1).toString();
    }

    /** From now on the phone tries from time to time, and has told everything before long. */
    private static void getsASignal(Page phone) {
        phone.context().setOffline(false);
        assertThat(phone.getByText("Kept on this phone"))
                .not()
                .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(20_000));
    }

    private static void tap(Page phone, String button) {
        phone.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(button).setExact(true))
                .click();
    }

    private static void finish(Page phone) {
        tap(phone, "Stop here");
        phone.getByRole(AriaRole.RADIO, new GetByRoleOptions().setName("Clear")).click();
        tap(phone, "Done for today");
        assertThat(phone.getByRole(AriaRole.HEADING, new GetByRoleOptions().setName("Done for today")))
                .isVisible();
    }

    /** What the coach sees of a student's day. */
    private List<JsonNode> stored(String day) {
        Page coach = Browser.students(browser.screen(), demo.base(), "Coach at Lindmoor");
        JsonMapper json = new JsonMapper();
        String id = json.readTree(
                        coach.request().get(demo.base() + "/api/students").text())
                .valueStream()
                .filter(s -> s.path("name").asString().equals(STUDENT))
                .findFirst()
                .orElseThrow()
                .path("id")
                .asString();
        return json.readTree(coach.request()
                        .get(demo.base() + "/api/students/" + id + "/practice")
                        .text())
                .path("sessions")
                .valueStream()
                .filter(s -> s.path("day").asString().equals(day))
                .toList();
    }

    @Test
    void aSessionEndedWithoutASignalArrivesOnce() {
        Page phone = firstVisit();
        phone.getByText("Begin").click();
        tap(phone, "Good");
        phone.context().setOffline(true);
        tap(phone, "Not");
        tap(phone, "Good");
        finish(phone);
        assertThat(phone.getByText("Kept on this phone")).isVisible();

        phone.reload();
        assertThat(phone.getByRole(AriaRole.HEADING, new GetByRoleOptions().setName("Done for today")))
                .isVisible();
        phone.getByText("To today").click();
        assertThat(phone.getByText("Today is done")).isVisible();
        assertThat(phone.getByText("Kept on this phone")).isVisible();
        Browser.checkAccessible(phone);
        phone.getByText("The climb").click();
        assertThat(phone.getByText("Coming days")).isVisible();

        getsASignal(phone);
        List<JsonNode> sessions = stored(DemoDay.today().toString());
        assertThat(sessions).hasSize(1);
        assertThat(sessions.get(0).at("/blocks/0/marks").asString()).isEqualTo("+-+");
        assertThat(sessions.get(0).path("finished").asBoolean()).isTrue();
    }

    @Test
    void tomorrowWorksWithoutASignalToo() {
        Page phone = firstVisit();
        phone.context().setOffline(true);
        String tomorrow = onDay(phone, 1);
        phone.reload();
        phone.getByText("Begin").click();
        tap(phone, "Good");
        onDay(phone, 0);
        phone.navigate(demo.base() + "/today");
        assertThat(phone.getByText("Kept on this phone")).isVisible();
        assertThat(nextDay()).isEqualTo(tomorrow);
        getsASignal(phone);
        assertThat(stored(tomorrow)).hasSize(1);
    }

    @Test
    void theSameSessionSentTwiceAndOutOfOrderIsStoredOnceAsItEnded() throws IOException {
        onAServerOfItsOwn(this::sendTwiceAndOutOfOrder);
    }

    @Test
    void aClockThatRunsAheadIsNamedAndNothingIsLost() throws IOException {
        onAServerOfItsOwn(this::practiseADayAhead);
    }

    /** The day it practises is another test's tomorrow. */
    private void onAServerOfItsOwn(Runnable test) throws IOException {
        ServerProcess shared = demo;
        demo = ServerProcess.demo(Files.createTempDirectory(directory, "own"));
        try {
            test.run();
        } finally {
            demo.close();
            demo = shared;
        }
    }

    private void practiseADayAhead() {
        Page phone = firstVisit();
        String later = onDay(phone, 2);
        phone.reload();
        phone.getByText("Begin").click();
        tap(phone, "Good");
        phone.navigate(demo.base() + "/today");
        assertThat(phone.getByText("the phone's clock may be wrong")).isVisible();
        assertThat(stored(later)).isEmpty();
        onDay(phone, 0);
        nextDay();
        nextDay();
        phone.navigate(demo.base() + "/today");
        phone.waitForResponse(r -> r.request().method().equals("PUT"), () -> tap(phone, "Send it again"));
        assertThat(phone.getByText("the phone's clock may be wrong")).not().isVisible();
        assertThat(stored(later)).hasSize(1);
    }

    private void sendTwiceAndOutOfOrder() {
        Page phone = firstVisit();
        String later = nextDay();
        phone.reload();
        List<Request> sent = new ArrayList<>();
        phone.onRequest(request -> {
            if (request.method().equals("PUT")) sent.add(request);
        });
        phone.getByText("Begin").click();
        for (String mark : List.of("Good", "Good", "Not")) {
            phone.waitForResponse(r -> r.request().method().equals("PUT"), () -> tap(phone, mark));
        }
        phone.waitForResponse(r -> r.request().method().equals("PUT"), () -> finish(phone));
        assertThat(sent).hasSizeGreaterThan(3);
        for (int i = sent.size() - 1; i >= 0; i--) {
            Object status = phone.evaluate(
                    """
                    ({url, body}) => fetch(url, {method: "PUT", body, headers: {
                      "Content-Type": "application/json",
                      "X-XSRF-TOKEN": /XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1]}}).then(r => r.status)""", Map.of("url", sent.get(i).url(), "body", sent.get(i).postData()));
            assertThat(status).isEqualTo(200);
        }
        List<JsonNode> sessions = stored(later);
        assertThat(sessions).hasSize(1);
        assertThat(sessions.get(0).at("/blocks/0/marks").asString()).isEqualTo("++-");
        assertThat(sessions.get(0).path("feel").asInt()).isEqualTo(5);
    }
}
