package app.hodegon.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Ten balls (flight and strike) and twelve signs between two balls: by keys alone, and by touch alone. */
class CaptureTest {

    private static final int MOST_ACTIONS = 40;

    @RegisterExtension
    private static final Demo demo = new Demo();

    @Test
    void byKeyboardAlone() {
        try (Browser browser = new Browser()) {
            Page page = lesson(browser.screen());
            String keys = "sssssssaaa" + "ccccccgggt" + "4yyyN" + "5nnny";
            keys.chars().forEach(key -> page.keyboard().press(String.valueOf((char) key)));
            assertThat(keys.length()).isLessThanOrEqualTo(MOST_ACTIONS);
            showsWhatWasCaptured(page);
            explainsItself(page);
        }
    }

    @Test
    void byTouchAlone() {
        try (Browser browser = new Browser()) {
            Page page = lesson(browser.tablet());
            button(page, "To today's first balls").tap();
            int actions = 1;
            for (int ball = 0; ball < 10; ball++) {
                page.getByLabel(Pattern.compile(ball < 7 ? "^slice \\S: " : "^straight \\S: "))
                        .tap();
                page.getByLabel(Pattern.compile(ball < 6 ? "^solid \\S: " : ball < 9 ? "^fat \\S: " : "^topped \\S: "))
                        .tap();
                actions += 2;
            }
            button(page, "Top").tap();
            for (int sign = 0; sign < 3; sign++) {
                answer(page, sign, "Yes");
                actions++;
            }
            button(page, "No to the other").tap();
            button(page, "Arm down").tap();
            for (int sign = 0; sign < 4; sign++) {
                answer(page, sign, sign < 3 ? "No" : "Yes");
                actions++;
            }
            actions += 3;
            assertThat(actions).isLessThanOrEqualTo(MOST_ACTIONS);
            showsWhatWasCaptured(page);
            Browser.checkAccessible(page);
        }
    }

    private static void answer(Page page, int sign, String answer) {
        page.getByLabel("Signs")
                .getByRole(AriaRole.LISTITEM)
                .nth(sign)
                .getByRole(
                        AriaRole.RADIO,
                        new Locator.GetByRoleOptions().setName(answer).setExact(true))
                .tap();
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(Pattern.compile(name)));
    }

    private static Page lesson(Page page) {
        Browser.students(page, demo.base(), "Coach at Lindmoor");
        page.getByText("Corin Hale").click();
        page.getByText("Begin a lesson").click();
        assertThat(page.getByText("Nothing seen yet")).isVisible();
        return page;
    }

    private static void showsWhatWasCaptured(Page page) {
        assertThat(page.getByText("Saved", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        page.reload();
        assertThat(page.getByLabel("slice s: 7")).isVisible();
        assertThat(page.getByLabel("fat g: 3")).isVisible();
        assertThat(button(page, "Top")).containsText("8 of 8");
        assertThat(button(page, "Arm down")).containsText("4 of 11");
        assertThat(page.getByLabel("Faults, most probable first")
                        .getByRole(AriaRole.LISTITEM)
                        .first())
                .containsText("likely");
    }

    /** Why, what rests on what, and the feet. */
    private static void explainsItself(Page page) {
        button(page, "^Why$").click();
        assertThat(page.getByLabel("From root to ball").getByText("Sway")).isVisible();
        page.getByLabel(Pattern.compile("^Pelvis slides away")).uncheck();
        assertThat(page.getByText("To work on then")).isVisible();
        Browser.checkAccessible(page);
        button(page, "^Feet$").click();
        page.getByLabel("Hips at address").fill("10");
        assertThat(page.getByText("until the hip line has closed")).isVisible();
        Browser.checkAccessible(page);
    }

    @Test
    void theApproachIsSavedAsItIsChangedAndCountsForTheNextLesson() {
        try (Browser browser = new Browser()) {
            Page page = browser.screen();
            page.navigate(demo.base());
            page.getByText("Second coach").click();
            page.getByText("How you teach").click();
            centred(page).check();
            page.getByLabel("Shares of the load, seen by the coach").fill("100");
            assertThat(page.getByText("1.6 to 40")).isVisible();
            page.getByLabel("Shares of the load, seen by the coach").fill("6");
            assertThat(page.getByText("Saved", new Page.GetByTextOptions().setExact(true)))
                    .isVisible();
            Browser.checkAccessible(page);
            page.reload();
            assertThat(centred(page)).isChecked();
            assertThat(page.getByLabel("Shares of the load, seen by the coach")).hasValue("6");
            Find.student(page, "Mira Fenn");
            page.getByText("Begin a lesson").click();
            assertThat(page.getByLabel("Pressure school of this lesson")).hasValue("centred");
        }
    }

    private static Locator centred(Page page) {
        return page.getByRole(AriaRole.RADIO, new GetByRoleOptions().setName(Pattern.compile("^Centred")));
    }
}
