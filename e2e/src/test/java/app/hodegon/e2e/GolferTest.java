package app.hodegon.e2e;

import static app.hodegon.e2e.Find.button;
import static app.hodegon.e2e.Find.heading;
import static app.hodegon.e2e.Find.student;
import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The golfer appears, moves, is driven by keys, holds still, and tells a sound movement from a faulty one. */
class GolferTest {

    /** Two pictures of the same differ by less than this part of their pixels, of different movements by more. */
    private static final double SAME = 0.002;

    private static final double ANOTHER = 0.01;

    @RegisterExtension
    private static final Demo demo = new Demo();

    private static Page drill(Page page, String id) {
        Browser.students(page, demo.base(), "Coach at Lindmoor");
        page.navigate(demo.base() + "/drills/" + id);
        time(page).waitFor();
        return page;
    }

    private static Locator time(Page page) {
        return page.getByRole(AriaRole.SLIDER, new GetByRoleOptions().setName("Time in the movement"));
    }

    private static Locator golfer(Page page) {
        return page.locator(".golfer-view [role=img][tabindex='0']");
    }

    @Test
    void itMovesIsDrivenByKeysAndTellsASoundMovementFromAFaultyOne() throws IOException {
        try (Browser browser = Browser.inTheRound()) {
            Page page = drill(browser.moving(), "disc-turn");
            assertThat(page.locator("canvas")).isVisible();
            page.waitForFunction("() => Number(document.querySelector('.golfer-view input[type=range]').value) > 0.3");
            golfer(page).focus();
            page.keyboard().press(" ");
            assertThat(button(page, "Play")).isVisible();
            page.keyboard().press("Home");
            for (int moment = 0; moment < 4; moment++) page.keyboard().press("ArrowRight");
            assertThat(golfer(page)).hasAttribute("aria-label", Pattern.compile("Disc turn: .* Top, seen face on\\."));
            Browser.checkAccessible(page);

            BufferedImage sound = picture(page);
            button(page, "Down the line").click();
            button(page, "Face on").click();
            assertThat(differing(sound, picture(page))).as("the same again").isLessThan(SAME);
            page.getByRole(AriaRole.RADIO, new GetByRoleOptions().setName("The usual mistake"))
                    .click();
            assertThat(page.getByText("The disc stays still: that was a slide.").first())
                    .isVisible();
            button(page, "Pause").click();
            button(page, "Top").click();
            assertThat(differing(sound, picture(page))).as("a slide").isGreaterThan(ANOTHER);
        }
    }

    /** What is drawn once the picture stands. */
    private static BufferedImage picture(Page page) throws IOException {
        page.evaluate("() => new Promise(done => requestAnimationFrame(() => requestAnimationFrame(done)))");
        return ImageIO.read(new ByteArrayInputStream(golfer(page).screenshot()));
    }

    /** Which part of the pixels is clearly another. */
    private static double differing(BufferedImage a, BufferedImage b) {
        int count = 0;
        for (int y = 0; y < a.getHeight(); y++) {
            for (int x = 0; x < a.getWidth(); x++) {
                int p = a.getRGB(x, y);
                int q = b.getRGB(x, y);
                int off = Math.abs((p >> 16 & 255) - (q >> 16 & 255)) + Math.abs((p & 255) - (q & 255));
                if (off > 60) count++;
            }
        }
        return (double) count / (a.getWidth() * a.getHeight());
    }

    @Test
    void inInkWhereNothingElseDrawsItStandsAndShowsASignAndAStudentsChain() {
        try (Browser browser = new Browser()) {
            Page page = drill(browser.screen(), "top-hold");
            assertThat(page.locator(".golfer-view > [role=img] svg.golfer")).isVisible();
            assertThat(page.locator(".golfer-view > ol.pose-strip li").first()).isVisible();
            String before = time(page).inputValue();
            assertThat(button(page, "Play")).isVisible();
            page.evaluate("() => new Promise(done => requestAnimationFrame(() => requestAnimationFrame(done)))");
            assertThat(time(page)).hasValue(before);
            button(page, "Impact").click();
            assertThat(golfer(page)).hasAttribute("aria-label", Pattern.compile("Impact"));
            Browser.checkAccessible(page);

            student(page, "Osric Vane");
            button(page, "Begin a lesson").click();
            button(page, "Before").click();
            page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(Pattern.compile("^Show: ")))
                    .first()
                    .click();
            assertThat(time(page)).isVisible();
            page.keyboard().press("Escape");
            assertThat(time(page)).not().isVisible();
            page.getByRole(AriaRole.RADIO, new GetByRoleOptions().setName("Yes"))
                    .first()
                    .click();
            button(page, "Why").click();
            button(page, "Show the student").click();
            assertThat(heading(page, "What happens in your swing")).isVisible();
            Browser.checkAccessible(page);
            button(page, "Back to the lesson").click();
            assertThat(heading(page, "What rests on what")).isVisible();
        }
    }

    @Test
    void aPhoneShowsHowItGoesWithoutASignal() {
        try (Browser browser = new Browser()) {
            Page phone = browser.phone();
            phone.navigate(demo.base());
            phone.getByText("Petra Lund").click();
            assertThat(phone.locator("svg.golfer").first()).isVisible();
            phone.waitForFunction("() => navigator.serviceWorker.controller !== null"
                    + " && (localStorage.getItem('hodegon-phone') ?? '').split('/api/motions/').length > 3");
            phone.context().setOffline(true);
            phone.reload();
            phone.getByRole(AriaRole.LINK, new GetByRoleOptions().setName(Pattern.compile("Begin|Go on")))
                    .click();
            assertThat(phone.locator(".golfer-view svg.golfer").first()).isVisible();
            button(phone, "Play").click();
            assertThat(button(phone, "Pause")).isVisible();
        }
    }
}
