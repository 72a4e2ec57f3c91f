package app.hodegon.e2e;

import static app.hodegon.e2e.Find.button;
import static app.hodegon.e2e.Find.heading;
import static app.hodegon.e2e.Find.link;
import static app.hodegon.e2e.Find.student;
import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Days of practice that answer, on the phone; then the coach's side of them, and the next lesson with its stages. */
class PracticeWeekTest {

    private static final String STUDENT = "Petra Lund";
    private static final int DAYS = 8;

    @Test
    void practiceAnswersAndTheCoachSeesIt(@TempDir Path directory) {
        try (ServerProcess demo = ServerProcess.demo(directory);
                Browser browser = new Browser()) {
            Page phone = browser.phone();
            phone.navigate(demo.base());
            phone.getByText(STUDENT).click();
            assertThat(phone.getByText("How it should feel")).isVisible();
            Page coach = Browser.students(browser.screen(), demo.base(), "Coach at Lindmoor");
            // What the first day is goes by the weekday.
            Locator range = phone.getByText(Pattern.compile("^Range, about"));
            until(link(phone, "Begin"), phone, coach, demo.base());
            if (range.isVisible()) {
                ballsOnTheRange(phone);
                until(link(phone, "Begin"), phone, coach, demo.base());
                badDay(phone);
            } else {
                badDay(phone);
                until(range, phone, coach, demo.base());
                ballsOnTheRange(phone);
            }
            round(phone, demo.base());
            feet(phone, demo.base());
            coachsSide(coach, demo.base());
            lessonWithStages(coach);
        }
    }

    /** The demo's days go by until the student has this on the phone. */
    private static void until(Locator there, Page phone, Page coach, String base) {
        link(coach, "Today").click();
        phone.navigate(base + "/today");
        assertThat(phone.getByText(Pattern.compile("^Hello "))).isVisible();
        for (int day = 0; day < DAYS && !there.isVisible(); day++) {
            coach.waitForResponse(
                    r -> r.url().endsWith("/api/session")
                            && r.request().method().equals("GET"),
                    () -> button(coach, "Demo: on to the next day").click());
            phone.reload();
            assertThat(phone.getByText(Pattern.compile("^Hello "))).isVisible();
        }
        assertThat(there).isVisible();
    }

    private static Locator radio(Page page, String name) {
        return page.getByRole(
                AriaRole.RADIO, new GetByRoleOptions().setName(name).setExact(true));
    }

    /** One tap further, whatever it is. */
    private static void goOn(Page phone) {
        button(phone, "Go on now")
                .or(button(phone, "Next block"))
                .or(button(phone, "Felt it"))
                .or(button(phone, "Good"))
                .first()
                .click();
    }

    /** Misses running bring something easier; lost brings the rung below; what was noticed is answered at once. */
    private static void badDay(Page phone) {
        link(phone, "Begin").click();
        assertThat(button(phone, "Good")).isVisible();
        Locator main = phone.getByText(Pattern.compile("^Main block"));
        for (int tap = 0; tap < 80 && !main.isVisible(); tap++) goOn(phone);
        for (int rep = 0; rep < 3; rep++) button(phone, "Not").click();
        assertThat(phone.getByText("3 not, running.")).isVisible();
        Browser.checkAccessible(phone);
        button(phone, "Easier").click();
        assertThat(phone.getByText("Easier now.")).isVisible();
        button(phone, "Lost it").click();
        // On its lowest rung a drill has none below: then it is the easier form.
        assertThat(phone.getByText(Pattern.compile("^Lost: one set "))).isVisible();
        while (!button(phone, "Back to the block").isVisible())
            button(phone, "Good").click();
        button(phone, "Back to the block").click();
        assertThat(phone.getByText(Pattern.compile("^Main block, "))).isVisible();
        button(phone, "Stop here").click();
        assertThat(button(phone, "Done for today")).isDisabled();
        radio(phone, "Lost").click();
        button(phone, "Done for today").click();
        assertThat(heading(phone, "Done for today")).isVisible();
    }

    private static void ballsOnTheRange(Page phone) {
        link(phone, "Begin").click();
        assertThat(button(phone, "Good")).isVisible();
        Locator now = phone.getByText("Now a ball");
        for (int tap = 0; tap < 120 && !now.isVisible(); tap++) goOn(phone);
        assertThat(now).isVisible();
        phone.getByLabel("Club").selectOption("wedge");
        button(phone, "Not").click();
        button(phone, "slice").click();
        button(phone, "fat").click();
        button(phone, "solid").click();
        assertThat(button(phone, "solid")).hasAttribute("aria-pressed", "true");
        assertThat(button(phone, "fat")).hasAttribute("aria-pressed", "false");
        Browser.checkAccessible(phone);
        button(phone, "Stop here").click();
        radio(phone, "Clear").click();
        button(phone, "Done for today").click();
        assertThat(heading(phone, "Done for today")).isVisible();
    }

    /** The card is there without a signal, and its answers wait for one. */
    private static void round(Page phone, String base) {
        phone.navigate(base + "/card");
        assertThat(heading(phone, "On the course")).isVisible();
        phone.context().setOffline(true);
        phone.reload();
        assertThat(phone.getByText("Before the shot")).isVisible();
        assertThat(button(phone, "Note the round")).isDisabled();
        radio(phone, "7").first().click();
        radio(phone, "4").last().click();
        radio(phone, "From the tee").click();
        button(phone, "Note the round").click();
        assertThat(phone.getByText("Noted.")).isVisible();
        phone.context().setOffline(false);
    }

    private static void feet(Page phone, String base) {
        phone.navigate(base + "/today/feet");
        button(phone, "Next moment").click();
        phone.getByRole(AriaRole.SLIDER).fill("80");
        button(phone, "Next moment").click();
        Browser.checkAccessible(phone);
        button(phone, "Send to the coach").click();
        assertThat(phone.getByText("Kept on this phone")).not().isVisible();
    }

    private static void coachsSide(Page coach, String base) {
        student(coach, STUDENT);
        // Which days fall into the last week depends on the day of the week.
        Locator weeks = coach.getByRole(AriaRole.LIST, new GetByRoleOptions().setName("Practice, week by week"));
        assertThat(weeks).isVisible();
        Locator folded = weeks.locator("details:not([open]) > summary");
        while (folded.count() > 0) folded.first().click();
        assertThat(coach.getByText(Pattern.compile("Wedge, 1 balls: slice 1, solid 1")))
                .isVisible();
        assertThat(coach.getByText("Lost on the way; a set on the rung below").first())
                .isVisible();
        Locator series = coach.getByRole(AriaRole.COMBOBOX).first();
        series.selectOption("round:thought");
        assertThat(coach.getByText("a day of practice")).isVisible();
        series.selectOption("felt:top");
        Browser.checkAccessible(coach);
    }

    /** Which move brought what; the last one is offered to begin the plan with. */
    private static void lessonWithStages(Page coach) {
        button(coach, "Begin a lesson").click();
        assertThat(coach.getByText("Told by practice")).isVisible();
        button(coach, "To today's first balls").click();
        coach.keyboard().type("uuuuuuuua");
        button(coach, "Tried").click();
        coach.locator("section[aria-labelledby=tried] button").first().click();
        assertThat(coach.getByLabel("What was tried, 1")).isVisible();
        coach.keyboard().type("aaaaaaaaa");
        assertThat(coach.getByText("push better")).isVisible();
        Browser.checkAccessible(coach);
        coach.reload();
        assertThat(coach.getByText("push better")).isVisible();
    }
}
