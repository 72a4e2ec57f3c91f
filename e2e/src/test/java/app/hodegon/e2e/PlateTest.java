package app.hodegon.e2e;

import static app.hodegon.e2e.Find.button;
import static app.hodegon.e2e.Find.heading;
import static app.hodegon.e2e.Find.student;
import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.assertions.LocatorAssertions.IsVisibleOptions;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A lesson lived from the plate: from the first swing to the plan, without typing one number. */
class PlateTest {

    /** A waggle, one broken off, a swing and its finish. */
    private static final double A_SWING_MS = 20_000;

    @RegisterExtension
    private static final Demo demo = new Demo();

    @Test
    void swingsAreHeardKeptAndBecomeThePlan() {
        try (Browser browser = new Browser()) {
            Page page = Browser.students(browser.screen(), demo.base(), "Coach at Lindmoor");
            student(page, "Osric Vane");
            button(page, "Begin a lesson").click();
            button(page, "Plate").click();
            assertThat(page.getByText("No plate connected")).isVisible();
            Page other = page.context().newPage();
            other.navigate(page.url());
            assertThat(other.getByText("No plate connected")).isVisible();

            swing(page, 1);
            assertThat(page.getByText("Stand-in, 200 a second")).isVisible();
            assertThat(heading(other, "Swing 1")).isVisible();
            Browser.checkAccessible(page);
            scrubbed(page);

            page.keyboard().press("Backspace");
            assertThat(page.getByRole(AriaRole.REGION, region("Swing 1"))).containsText("thrown away");
            assertThat(other.getByRole(AriaRole.REGION, region("Swing 1"))).containsText("thrown away");
            page.keyboard().press("z");
            assertThat(page.getByRole(AriaRole.REGION, region("Swing 1"))).containsText("waiting");
            page.keyboard().press("k");
            assertThat(heading(page, "1 kept")).isVisible();
            for (int number = 2; number <= 3; number++) {
                swing(page, number);
                button(page, "Keep").click();
                assertThat(heading(page, number + " kept")).isVisible();
            }
            assertThat(page.getByText("3 kept swings are readings of this lesson."))
                    .isVisible();
            movedByHand(page);

            Locator work =
                    page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(Pattern.compile("^Work on ")));
            work.click();
            button(page, "Draft the plan")
                    .or(page.getByRole(AriaRole.HEADING, new GetByRoleOptions().setName(Pattern.compile("plan|Plan"))))
                    .first()
                    .waitFor();
            assertThat(page).hasURL(Pattern.compile("/plan"));
        }
    }

    private static GetByRoleOptions region(String name) {
        return new GetByRoleOptions().setName(name);
    }

    private static void swing(Page page, int number) {
        button(page, "Let the stand-in swing").click();
        assertThat(heading(page, "Swing " + number)).isVisible(new IsVisibleOptions().setTimeout(A_SWING_MS));
    }

    /** By keys through the swing: time and load are told. */
    private static void scrubbed(Page page) {
        Locator time = page.getByRole(AriaRole.SLIDER, new GetByRoleOptions().setName("Time in the swing"));
        time.focus();
        page.keyboard().press("Home");
        assertThat(time).hasAttribute("aria-valuetext", Pattern.compile("^0.00 s, \\d+ %"));
        page.keyboard().press("ArrowRight");
        assertThat(time).hasAttribute("aria-valuetext", Pattern.compile("^0.01 s"));
        button(page, "Table").click();
        assertThat(page.getByText("told by the plate").first()).isVisible();
        button(page, "By moment").or(page.getByText("By moment")).first().click();
    }

    /** Impact set a little earlier, and its reading with it. */
    private static void movedByHand(Page page) {
        Locator region = page.getByRole(AriaRole.REGION, region("Swing 3"));
        Locator moments = region.getByRole(AriaRole.GROUP, new Locator.GetByRoleOptions().setName("Moments"));
        moments.getByText("Impact", new Locator.GetByTextOptions().setExact(true))
                .click();
        Locator time = region.getByRole(AriaRole.SLIDER);
        String before = readingAtImpact(page);
        for (int i = 0; i < 6; i++) time.press("ArrowLeft");
        region.getByText("Set impact here").click();
        assertThat(region.getByText("Leave it open")).isVisible();
        assertThat(readingAtImpact(page)).isNotEqualTo(before);
    }

    private static String readingAtImpact(Page page) {
        return page.getByRole(AriaRole.REGION, region("Readings"))
                .getByRole(AriaRole.ROW, new Locator.GetByRoleOptions().setName(Pattern.compile("^Impact")))
                .innerText();
    }
}
