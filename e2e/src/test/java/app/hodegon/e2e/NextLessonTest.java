package app.hodegon.e2e;

import static app.hodegon.e2e.Find.button;
import static app.hodegon.e2e.Find.heading;
import static app.hodegon.e2e.Find.link;
import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** From what was kept to the next plan and the report; a record out, erased and in again. */
class NextLessonTest {

    private static final String SHOTS = "Nr;Club;Carry yd;Side\n1;7 iron;150;L 4\n2;7 iron;far;3\n3;7 iron;148;2\n";

    @RegisterExtension
    private static final Demo demo = new Demo();

    private static Page student(Browser browser, String name) {
        Page page = Browser.students(browser.screen(), demo.base(), "Coach at Lindmoor");
        link(page, name).click();
        assertThat(heading(page, "The thread")).isVisible();
        return page;
    }

    @Test
    void opensWithWhatWasKeptAndEndsWithAReport() {
        try (Browser browser = new Browser()) {
            Page page = student(browser, "Bram Ellery");
            page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(Pattern.compile("^Readings of")))
                    .last()
                    .click();
            assertThat(link(page, "Open the lesson")).isVisible();
            Browser.checkAccessible(page);
            page.getByText(Pattern.compile("^Beside ")).click();
            assertThat(heading(page, "What can be said")).isVisible();
            assertThat(heading(page, "The feet")).isVisible();
            Browser.checkAccessible(page);

            page.goBack();
            button(page, "Begin a lesson").click();
            assertThat(page.getByText("practised,")).isVisible();
            button(page, "To today's first balls").click();
            page.getByRole(AriaRole.GROUP, new GetByRoleOptions().setName(Pattern.compile("good of ten")))
                    .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("8"))
                    .click();
            assertThat(page.getByText(Pattern.compile("^8 of 10\\."))).isVisible();
            page.keyboard().type("aaaaaaaaaacccccccccc");
            takeMeasuredBalls(page);

            button(page, "Since last time").click();
            assertThat(page.getByText(Pattern.compile("^Proposed:"))).isVisible();
            assertThat(page.getByText("Carry, 7 iron")).hasCount(1);
            Browser.checkAccessible(page);
            decide(page);
            report(page);
        }
    }

    /** One row is broken: it is named, and stays out. */
    private static void takeMeasuredBalls(Page page) {
        page.getByLabel("File of measured balls")
                .setInputFiles(new FilePayload("range.csv", "text/csv", SHOTS.getBytes(StandardCharsets.UTF_8)));
        assertThat(page.getByText("Row 3, Carry yd: \"far\" is no number")).isVisible();
        Browser.checkAccessible(page);
        button(page, "Take 2 balls, leave 1 row out").click();
        assertThat(page.getByText("range.csv: 2 balls")).isVisible();
    }

    /** Something else than proposed needs a reason, and opens the plan fitted to it. */
    private static void decide(Page page) {
        button(page, "Something else").click();
        page.getByLabel("Instead").selectOption("smaller-plan");
        button(page, "Do this instead").click();
        assertThat(page.getByLabel("Why")).isFocused();
        page.getByLabel("Why").fill("exams");
        button(page, "Do this instead").click();
        assertThat(heading(page, "Plan for Bram Ellery")).isVisible();
        Find.handOver(page, "Hand it over");
        page.goBack();
        assertThat(page.getByText("Instead: a smaller plan.")).isVisible();
        link(page, "How proposals went").click();
        assertThat(page.getByText("exams")).isVisible();
        Browser.checkAccessible(page);
        page.goBack();
    }

    private static void report(Page page) {
        link(page, "Report for the student").click();
        assertThat(heading(page, "What changed since last time")).isVisible();
        Browser.checkAccessible(page);
        Path file =
                page.waitForDownload(() -> button(page, "PDF to send").click()).path();
        try (PDDocument sent = Loader.loadPDF(file.toFile());
                PDDocument printed = Loader.loadPDF(page.pdf())) {
            assertThat(sent.getNumberOfPages()).isEqualTo(1);
            assertThat(printed.getNumberOfPages()).isEqualTo(1);
            assertThat(new PDFTextStripper().getText(sent))
                    .contains("Bram Ellery", "What we work on", "What to do until", "Pain means stop.");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void aRecordGoesOutIsErasedAndComesInAgain() {
        try (Browser browser = new Browser()) {
            Page page = student(browser, "Corin Hale");
            String address = page.url();
            link(page, "Details").click();
            Browser.checkAccessible(page);
            Path file = page.waitForDownload(
                            () -> link(page, "As one file (JSON)").click())
                    .path();
            assertThat(page.waitForDownload(() -> link(page, "As tables (CSV)").click())
                            .suggestedFilename())
                    .isEqualTo("corin-hale.zip");
            button(page, "Erase the record").click();
            page.getByLabel("Type").fill("Corin");
            button(page, "Erase for good").click();
            assertThat(page.getByText("as it stands in the record")).isVisible();
            Browser.checkAccessible(page);
            page.getByLabel("Type").fill("Corin Hale");
            button(page, "Erase for good").click();
            assertThat(page.getByText("One record was erased.")).isVisible();
            assertThat(link(page, "Corin Hale")).hasCount(0);

            page.getByLabel("Record file")
                    .setInputFiles(new FilePayload("corin.json", "application/json", Files.readAllBytes(file)));
            assertThat(heading(page, "The thread")).isVisible();
            assertThat(page).hasURL(address);
            assertThat(button(page, "Invite to the phone")).isVisible();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
