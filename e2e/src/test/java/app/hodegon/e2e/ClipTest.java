package app.hodegon.e2e;

import static app.hodegon.e2e.Find.button;
import static app.hodegon.e2e.Find.student;
import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Films become moments, measures and pictures; what was put into them is known. */
class ClipTest {

    @RegisterExtension
    static final Demo demo = new Demo();

    /** What finds points is off by so many pictures, and by so many cm. */
    private static final double SECONDS = 4 / 60.0;

    /** A swing's points are found in half a minute, beside other tests in a slow hour in several. */
    private static final LocatorAssertions.IsVisibleOptions FOUND =
            new LocatorAssertions.IsVisibleOptions().setTimeout(300_000);

    private static final double CM = 2.5;

    @Test
    void fromAFilmToADiagnosisAndWhatSpoilsOne() {
        try (Browser browser = Browser.inTheRound()) {
            Page page = desk(browser, "Ansel Roe");
            Locator file = page.locator("input[type=file]").first();
            file.setInputFiles(new FilePayload("notes.mp4", "video/mp4", "no film".getBytes()));
            assertThat(page.getByText("This is no film that can be read here")).isVisible();
            choose(page, "sway-before");
            button(page, "Give up").click();
            assertThat(page.getByText("A phone on a stand")).isVisible();

            choose(page, "sway-before");
            assertThat(button(page, "Keep")).isVisible(FOUND);
            page.getByLabel("Height").fill("178");
            page.keyboard().press("Tab");
            assertThat(page.getByLabel("Scale by the height")).hasValue("178");
            assertThat(page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("Face on")))
                    .isChecked();
            button(page, "Keep").click();
            assertThat(page.getByText("1 kept")).isVisible();
            near(page, film(page, "sway-before"));
            Browser.checkAccessible(page);

            // Pictures are kept with who agreed, and gone with the agreement.
            page.getByLabel("Who agrees").fill("Ansel himself");
            button(page, "Keep stills").click();
            assertThat(page.getByText("Ansel himself agreed on")).isVisible();
            button(page, "Keep the film: Ansel himself agrees").click();
            assertThat(page.getByText("Film kept")).isVisible(FOUND);
            page.reload();
            assertThat(page.locator("ol li img").first()).isVisible();
            page.getByLabel("Picture of the film").fill("20");
            assertThat(page.locator("img[src^='blob:']").first()).isVisible(FOUND);

            // A moment is set by hand, and given back.
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Top \\d")))
                    .click();
            page.getByLabel("Picture of the film").press("ArrowLeft");
            page.getByText("Top is here").click();
            assertThat(page.getByText("As it was found")).isVisible();
            page.getByText("As it was found").click();
            assertThat(page.getByText("As it was found")).not().isVisible();

            assertThat(page.getByLabel("Diagnosis").getByText("Sway").first()).isVisible();

            // The swing that the school wants stands beside it, then over it.
            page.locator("label:has-text('Against') select").selectOption("wanted");
            Locator wanted = page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("The wanted swing"));
            assertThat(wanted).isVisible();
            page.getByText("Laid over").click();
            assertThat(wanted).isVisible();

            sentByAStudent(page, browser.phone());
        }
    }

    @Test
    void aFilmFromThePageIsMeasuredByHandWhereNothingFindsABody() {
        try (Browser browser = Browser.filming()) {
            Page page = desk(browser, "Tobin Marsh");
            page.context().route("**/pose/**", Route::abort);
            button(page, "Film now").click();
            assertThat(page.getByText("whoever swings fills the figure")).isVisible();
            Browser.checkAccessible(page);
            button(page, "Film").click();
            assertThat(page.getByText(Pattern.compile("Filming, [1-3] s left"))).isVisible();
            button(page, "Stop").click();
            assertThat(page.getByText("What finds a body cannot run here")).isVisible();
            button(page, "Set points by hand").click();
            page.getByLabel("Height").fill("172");
            setPlaces(page, "Address", "Home", 0);
            assertThat(button(page, "Keep")).isDisabled();
            setPlaces(page, "Top", "End", 30);
            Browser.checkAccessible(page);
            button(page, "Keep").click();
            assertThat(page.getByText("1 kept")).isVisible();
            Locator pelvis = page.getByRole(
                    AriaRole.ROW, new Page.GetByRoleOptions().setName(Pattern.compile("^Pelvis travel")));
            // From ear to ankle 340 pixels, which are 82 % of 172 cm; the hips went 30 pixels.
            assertThat(pelvis).containsText(Pattern.compile("cm12 ± "));
            assertThat(button(page, "Top is here")).hasCount(0);
        }
    }

    /**
     * Presses every place that is asked for at a moment, on the film's first or last picture: a slow machine films few.
     * The body stands so many pixels further back.
     */
    private static void setPlaces(Page page, String moment, String key, int back) {
        page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Moments of the swing"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^" + moment)))
                .click();
        page.getByLabel("Picture of the film").press(key);
        button(page, moment + " is here").click();
        Locator film = page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName(Pattern.compile("^film\\.")));
        int[][] places = {{200, 60}, {230, 110}, {170, 110}, {220, 220}, {180, 220}, {230, 400}, {170, 400}};
        for (int[] place : places) {
            boolean foot = place[1] == 400;
            film.click(new Locator.ClickOptions().setPosition(place[0] - (foot ? 0 : back), place[1]));
        }
        assertThat(page.getByText(moment + " is set.")).isVisible();
    }

    private Page desk(Browser browser, String who) {
        Page page = browser.screen();
        page.navigate(demo.base() + "/sign-in");
        page.getByLabel("E-mail").fill("coach@demo.example");
        page.getByLabel("Password").fill("demo-coach");
        page.keyboard().press("Enter");
        page.waitForURL("**/day");
        student(page, who);
        button(page, "Begin a lesson").click();
        button(page, "Clip").click();
        return page;
    }

    /** What a phone found reaches the coach, who looks at it. */
    private void sentByAStudent(Page coach, Page phone) {
        String points = (String) coach.evaluate("""
                async () => {
                  const lesson = location.pathname.split("/")[2];
                  const { clips } = await fetch(`/api/lessons/${lesson}/clips`).then((r) => r.json());
                  const told = await fetch(`/api/clips/${clips[0].id}/points`).then((r) => r.json());
                  return JSON.stringify({ ...told, frames: told.frames.map((f) => f.map((p) => p ?? [0, 0, 0])) });
                }""");
        phone.navigate(demo.base());
        phone.getByText("Petra Lund").click();
        phone.getByText("Send a swing").click();
        assertThat(phone.getByText("The film stays here")).isVisible();
        Browser.checkAccessible(phone);
        assertThat((int) phone.evaluate("""
                async (points) => {
                  const token = document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1];
                  const track = { handedness: "right", view: "face-on", ...JSON.parse(points) };
                  const answer = await fetch("/api/me/clips", {
                    method: "POST",
                    headers: { "Content-Type": "application/json", "X-XSRF-TOKEN": token },
                    body: JSON.stringify({ name: "mine.mp4", width: 360, height: 480, track }),
                  });
                  return answer.status;
                }""", points)).isEqualTo(201);
        phone.reload();
        assertThat(phone.getByText("Waits for your coach")).isVisible();

        coach.navigate(demo.base() + "/day");
        coach.getByText("Look at it").click();
        assertThat(coach.getByText("filmed on")).isVisible();
        assertThat(coach.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Moments of the swing")))
                .isVisible();
        Browser.checkAccessible(coach);
        phone.reload();
        assertThat(phone.getByText("Your coach has looked at it")).isVisible();
    }

    private static void choose(Page page, String film) {
        page.getByLabel("Or a demo film").selectOption(film);
    }

    private static Map<?, ?> film(Page page, String name) {
        List<?> films = (List<?>) page.evaluate("fetch('/api/demo/films').then(r => r.json())");
        return films.stream()
                .map(f -> (Map<?, ?>) f)
                .filter(f -> f.get("name").equals(name))
                .findFirst()
                .orElseThrow();
    }

    /** What was read of the lesson's clip lies near the truth. */
    private static void near(Page page, Map<?, ?> film) {
        String lesson = page.url().replaceFirst(".*/lessons/([^?/]+).*", "$1");
        Map<?, ?> read = (Map<?, ?>) page.evaluate(
                "(id) => fetch(`/api/lessons/${id}/clips`).then(r => r.json()).then(v => v.clips[0])", lesson);
        Map<?, ?> moments = (Map<?, ?>) film.get("moments");
        for (Object moment : (List<?>) read.get("moments")) {
            Map<?, ?> found = (Map<?, ?>) moment;
            if (!List.of("top", "arm-down", "impact").contains(found.get("id"))) continue;
            assertThat(number(found.get("time")))
                    .as(found.get("id").toString())
                    .isCloseTo(number(moments.get(found.get("id"))), within(SECONDS));
        }
        ((Map<?, ?>) film.get("readings")).forEach((key, truth) -> {
            String[] of = key.toString().split("@");
            Map<?, ?> reading = ((List<?>) read.get("readings"))
                    .stream()
                            .map(r -> (Map<?, ?>) r)
                            .filter(r -> r.get("measure").equals(of[0]) && of[1].equals(r.get("at")))
                            .findFirst()
                            .orElseThrow(() -> new AssertionError(key + " was not read"));
            assertThat(number(reading.get("value"))).as(key.toString()).isCloseTo(number(truth), within(CM));
        });
    }

    private static double number(Object value) {
        return ((Number) value).doubleValue();
    }
}
