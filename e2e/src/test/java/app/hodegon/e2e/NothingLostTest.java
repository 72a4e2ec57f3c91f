package app.hodegon.e2e;

import static app.hodegon.e2e.Find.button;
import static app.hodegon.e2e.Find.heading;
import static app.hodegon.e2e.Find.link;
import static app.hodegon.e2e.Find.student;
import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** What a coach entered survives a signal that goes, a session that ends, and a hand that works by keys alone. */
class NothingLostTest {

    @RegisterExtension
    private static final Demo demo = new Demo();

    private static void signIn(Page page) {
        page.navigate(demo.base() + "/sign-in");
        page.getByLabel("E-mail").fill("coach@demo.example");
        page.getByLabel("Password").fill("demo-coach");
        page.keyboard().press("Enter");
        assertThat(heading(page, "Lessons today")).isVisible();
    }

    /** A lesson begun for a student. */
    private static void lesson(Page page, String student) {
        student(page, student);
        button(page, "Begin a lesson").click();
        assertThat(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Views")))
                .isVisible();
    }

    @Test
    void aLessonWithoutASignalIsKeptAndSentWhenItIsBack() {
        try (Browser browser = new Browser()) {
            Page page = browser.screen();
            signIn(page);
            lesson(page, "Bram Ellery");
            page.keyboard().press("s");
            assertThat(page.getByText("Saved", new Page.GetByTextOptions().setExact(true)))
                    .isVisible();
            page.context().setOffline(true);
            page.keyboard().press("s");
            page.keyboard().press("s");
            assertThat(page.getByText(Pattern.compile("^Kept on this machine, not saved yet")))
                    .isVisible();
            String lesson = page.url();
            Page other = page.context().newPage();
            page.context().setOffline(false);
            other.navigate(lesson);
            // The first window sent it, or the second took it up: three balls, neither two nor five.
            assertThat(other.getByLabel("slice s: 3")).isVisible();
            assertThat(page.getByText("Saved", new Page.GetByTextOptions().setExact(true)))
                    .isVisible();
            other.reload();
            assertThat(other.getByLabel("slice s: 3")).isVisible();
        }
    }

    @Test
    void aSessionThatEndsInTheMiddleIsSignedInOnTheSpot() {
        try (Browser browser = new Browser()) {
            Page page = browser.screen();
            signIn(page);
            lesson(page, "Petra Lund");
            page.context().clearCookies();
            page.keyboard().press("h");
            Locator dialog = page.getByRole(AriaRole.DIALOG);
            dialog.getByLabel("Password").fill("wrong-word");
            page.keyboard().press("Enter");
            assertThat(dialog.getByRole(AriaRole.ALERT)).containsText("do not match");
            Browser.checkAccessible(page);
            dialog.getByLabel("Password").fill("demo-coach");
            page.keyboard().press("Enter");
            assertThat(dialog).hasCount(0);
            assertThat(page.getByText("Saved", new Page.GetByTextOptions().setExact(true)))
                    .isVisible();
            page.reload();
            assertThat(page.getByLabel("hook h: 1")).isVisible();

            String deep = page.url();
            page.context().clearCookies();
            page.navigate(deep);
            page.getByLabel("E-mail").fill("coach@demo.example");
            page.getByLabel("Password").fill("demo-coach");
            page.keyboard().press("Enter");
            assertThat(page.getByLabel("hook h: 1")).isVisible();
        }
    }

    /** By the key, as somebody without a pointer does; afterwards the next key goes somewhere. */
    private static void press(Page page, Locator what) {
        // While a change is on its way some buttons wait.
        assertThat(what).isEnabled();
        what.focus();
        page.keyboard().press("Enter");
    }

    private static void assertPlace(Page page, String after) {
        page.waitForFunction("document.activeElement && document.activeElement !== document.body");
        assertThat(page.evaluate("document.activeElement.isConnected"))
                .as(after)
                .isEqualTo(true);
    }

    @Test
    void whoWorksByKeysNeverLosesThePlace() {
        try (Browser browser = new Browser()) {
            Page page = browser.screen();
            signIn(page);
            assertPlace(page, "signing in");
            press(page, link(page, "Students"));
            assertThat(heading(page, "Students")).isVisible();
            assertPlace(page, "the students");
            press(page, link(page, "Wren Castell"));
            assertThat(heading(page, "The thread")).isVisible();
            assertPlace(page, "the student");
            press(page, button(page, "Begin a lesson"));
            assertThat(button(page, "Keys")).isVisible();
            assertPlace(page, "a lesson begun");

            press(page, button(page, "Keys"));
            assertThat(page.getByRole(AriaRole.DIALOG)).isVisible();
            page.keyboard().press("Escape");
            assertThat(button(page, "Keys")).isFocused();
            page.keyboard().press("s");
            press(page, button(page, "Undo"));
            // Nothing is left to undo, and the next key still goes somewhere.
            page.keyboard().press("Tab");
            assertPlace(page, "the last undo");
            press(page, button(page, "Choose what to work on"));
            page.getByRole(AriaRole.DIALOG).getByRole(AriaRole.COMBOBOX).first().selectOption("sway");
            page.getByRole(AriaRole.DIALOG).getByLabel("Why").fill("seen often");
            press(page, button(page, "Work on this"));
            assertThat(button(page, "Draft the plan")).isVisible();
            assertPlace(page, "a decision");
            press(page, button(page, "Draft the plan"));
            assertThat(heading(page, "The route")).isVisible();
            assertPlace(page, "a draft");
            press(page, button(page, "Hand it over"));
            assertThat(page.getByText("The student has it")).isVisible();
            assertPlace(page, "handing over");

            Locator block = page.getByRole(
                            AriaRole.BUTTON,
                            new Page.GetByRoleOptions()
                                    .setName(Pattern.compile("^[A-Z][a-z]{2} \\d+ [A-Z][a-z]{2,3}: .* reps")))
                    .last();
            block.focus();
            page.keyboard().press("L");
            assertThat(page.getByText("One change to the planner's own is kept."))
                    .isVisible();
            assertThat(focused(page)).endsWith(", locked");
            page.keyboard().press("ArrowLeft");
            assertThat(page.getByText(Pattern.compile("changes to the planner's own are kept")))
                    .isVisible();
            assertThat(focused(page)).endsWith(", locked");
            press(page, button(page, "Throw the draft away"));
            assertThat(page.getByText("The student has it")).isVisible();
            assertPlace(page, "a draft thrown away");
        }
    }

    private static String focused(Page page) {
        return page.evaluate("document.activeElement.getAttribute('aria-label')")
                .toString();
    }
}
