package app.hodegon.e2e;

import static app.hodegon.e2e.Find.button;
import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A running plan changed by hand, put on paper and handed over again; a drill of one's own. */
class BuilderTest {

    private static final int DPI = 72;

    @RegisterExtension
    private static final Demo demo = new Demo();

    @Test
    void aPlanIsDraggedLockedTakenBackAndHandedOver() {
        try (Browser browser = new Browser()) {
            Page page = coach(browser);
            page.getByText("Osric Vane").click();
            page.getByRole(AriaRole.LINK, new GetByRoleOptions().setName("Plan").setExact(true))
                    .first()
                    .click();
            assertThat(page.getByText("The student has it")).isVisible();
            Locator climb =
                    page.getByRole(AriaRole.GROUP, new GetByRoleOptions().setName(Pattern.compile("^The climb")));
            climb.getByRole(AriaRole.BUTTON).first().hover();
            assertThat(page.getByRole(AriaRole.TOOLTIP)).containsText("Main");
            // What lies behind can be looked at and no longer be moved.
            Locator blocks = climb.locator("g.cursor-grab");
            blocks.first().focus();
            assertThat(page.getByRole(AriaRole.TOOLTIP)).containsText("% speed");
            page.keyboard().press("l");
            assertThat(page.getByText("One change to the planner's own")).isVisible();
            assertThat(button(page, "Unlock")).isVisible();
            Browser.checkAccessible(page);
            button(page, "Undo").click();
            assertThat(page.getByText("One change to the planner's own")).not().isVisible();

            BoundingBox from = blocks.first().boundingBox();
            BoundingBox to = blocks.nth(1).boundingBox();
            page.mouse().move(from.x + from.width / 2, from.y + from.height / 2);
            page.mouse().down();
            page.mouse().move(to.x + to.width / 2, from.y + from.height / 2);
            page.mouse().up();
            // To a day of another kind the block may not go: the rule is named and nothing changes.
            assertThat(page.getByText(Pattern.compile("changes to the planner|is not possible|would take"))
                            .first())
                    .isVisible();
            blocks.last().focus();
            page.keyboard().press("Delete");
            assertThat(page.getByText("What this would change")).isVisible();
            Find.handOver(page, "Hand the changes over");

            page.getByText("On paper").click();
            assertThat(page.getByText("For the pocket")).isVisible();
            Browser.checkAccessible(page);
            goesOnPaper(page);
        }
    }

    /** Printed and saved as a file it says the same, a page a week, with the drills' pictures. */
    private static void goesOnPaper(Page page) {
        int weeks = page.getByRole(AriaRole.REGION, new GetByRoleOptions().setName(Pattern.compile("^Week ")))
                .count();
        Path file =
                page.waitForDownload(() -> button(page, "PDF to send").click()).path();
        try (PDDocument sent = Loader.loadPDF(file.toFile());
                PDDocument printed = Loader.loadPDF(page.pdf())) {
            assertThat(sent.getNumberOfPages()).isEqualTo(weeks);
            assertThat(printed.getNumberOfPages()).isGreaterThanOrEqualTo(weeks);
            for (PDDocument paper : List.of(sent, printed)) {
                assertThat(new PDFTextStripper().getText(paper))
                        .contains("Osric Vane", "week 1 of " + weeks, "For the pocket", "Pain means stop.");
            }
            // The pictures stand in the left margin column: some of it is inked, most is paper.
            BufferedImage first = new PDFRenderer(sent).renderImageWithDPI(0, DPI);
            double inked = inked(first, 36 * DPI / 72, 80 * DPI / 72, 110 * DPI / 72, 400 * DPI / 72);
            assertThat(inked).isBetween(0.02, 0.4);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The share of a part of a picture that is not white. */
    private static double inked(BufferedImage picture, int left, int top, int right, int bottom) {
        long dark = 0;
        for (int y = top; y < bottom; y++) {
            for (int x = left; x < right; x++) {
                if ((picture.getRGB(x, y) & 0xff) < 0xe0) dark++;
            }
        }
        return (double) dark / ((bottom - top) * (right - left));
    }

    @Test
    void aSwappedDrillBecomesTheFirstChoiceFromNowOn() {
        try (Browser browser = new Browser()) {
            Page page = coach(browser);
            page.getByText("Petra Lund").click();
            Find.link(page, "Plan").first().click();
            Locator blocks = page.getByRole(
                            AriaRole.GROUP, new GetByRoleOptions().setName(Pattern.compile("^The climb")))
                    .locator("g.cursor-grab");
            assertThat(blocks).not().hasCount(0);
            Locator dialog = page.getByRole(AriaRole.DIALOG);
            Locator others = dialog.getByRole(AriaRole.LISTITEM);
            for (int i = 0; i < blocks.count(); i++) {
                blocks.nth(i).focus();
                button(page, "Swap the drill").click();
                assertThat(others.first().or(dialog.getByText("No other drill is left")))
                        .isVisible();
                if (others.count() > 0) break;
                page.keyboard().press("Escape");
                assertThat(dialog).hasCount(0);
            }
            Locator fromNowOn = others.getByText("From now on");
            String named = fromNowOn.first().getAttribute("aria-label");
            String drill = named.substring(0, named.indexOf(':'));
            Browser.checkAccessible(page);
            fromNowOn.first().click();
            assertThat(page.getByText("One change to the planner's own")).isVisible();
            assertThat(page.getByRole(AriaRole.REGION, new GetByRoleOptions().setName("The route")))
                    .containsText(drill);

            Find.link(page, "How you teach").click();
            Locator mine = page.getByRole(AriaRole.REGION, new GetByRoleOptions().setName("My drills"));
            assertThat(mine.getByText("1. " + drill)).isVisible();
            Browser.checkAccessible(page);
            mine.getByLabel(Pattern.compile("^Without " + drill)).click();
            assertThat(mine.getByText("1. " + drill)).hasCount(0);
            button(page, "Undo the last change of my drills").click();
            page.reload();
            assertThat(mine.getByText("1. " + drill)).isVisible();
        }
    }

    @Test
    void ticksFromPaperAreEnteredAndShown() {
        try (Browser browser = new Browser()) {
            Page page = coach(browser);
            page.getByText("Wren Castell").click();
            page.getByRole(AriaRole.LINK, new GetByRoleOptions().setName("Plan").setExact(true))
                    .first()
                    .click();
            page.getByText("On paper").click();
            page.getByText("Enter the ticks").click();
            Locator day = page.getByRole(AriaRole.REGION)
                    .filter(new Locator.FilterOptions().setHasText("All sets done"))
                    .first();
            day.getByText("All sets done").click();
            day.getByText("Clear").click();
            assertThat(day.getByText("Saved")).isVisible();
            Browser.checkAccessible(page);
            page.reload();
            assertThat(page.getByText("Nothing done").first()).isVisible();
            page.getByText("To the student").click();
            Locator folded = page.locator("ol[aria-label='Practice, week by week'] details:not([open]) > summary");
            assertThat(folded.first()).isVisible();
            while (folded.count() > 0) folded.first().click();
            // Done, and nobody judged it.
            assertThat(page.locator("tr")
                            .filter(new Locator.FilterOptions()
                                    .setHas(page.getByRole(
                                            AriaRole.CELL,
                                            new Page.GetByRoleOptions()
                                                    .setName("–")
                                                    .setExact(true))))
                            .filter(new Locator.FilterOptions().setHasText("clear"))
                            .first())
                    .isVisible();
        }
    }

    @Test
    void aDrillIsFoundCopiedAndKept() {
        try (Browser browser = new Browser()) {
            Page page = coach(browser);
            page.getByRole(AriaRole.LINK, new GetByRoleOptions().setName("Drills"))
                    .click();
            assertThat(page.getByText("47 of 47")).isVisible();
            Browser.checkAccessible(page);
            page.getByLabel("Any fault").selectOption("sway");
            page.getByLabel("Search the drills").fill("plate");
            page.waitForURL(Pattern.compile("text=plate"));
            page.goBack();
            assertThat(page.getByText("Osric Vane")).isVisible();
            page.goForward();
            page.getByLabel("Search the drills").fill("disc");
            page.getByText("Disc turn").first().click();
            assertThat(page.getByText("With the house's students")).isVisible();
            Browser.checkAccessible(page);
            page.getByText("Copy as my own").click();
            page.getByLabel("Name").fill("Plate turn");
            Browser.checkAccessible(page);
            button(page, "Keep it").click();
            assertThat(page.getByRole(AriaRole.HEADING, new GetByRoleOptions().setName("Plate turn")))
                    .isVisible();
            button(page, "Remove").click();
            assertThat(page.getByText("47 of 47")).isVisible();
        }
    }

    private static Page coach(Browser browser) {
        Page page = Browser.students(browser.screen(), demo.base(), "Coach at Lindmoor");
        assertThat(page.getByText("Osric Vane")).isVisible();
        return page;
    }
}
