package app.hodegon.e2e;

import static app.hodegon.e2e.Find.button;
import static app.hodegon.e2e.Find.field;
import static app.hodegon.e2e.Find.heading;
import static app.hodegon.e2e.Find.link;
import static app.hodegon.e2e.Find.student;
import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Response;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Several coaches in one house, lost passwords, and two windows on one lesson. */
class AcademyTest {

    @RegisterExtension
    private static final Demo demo = new Demo();

    /** The one-time address that a sheet shows. */
    private static String address(Page page) {
        String address = page.locator(
                        "p", new Page.LocatorOptions().setHasText(Pattern.compile("^http.*/[\\w-]{20,}$")))
                .first()
                .textContent();
        page.keyboard().press("Escape");
        return address;
    }

    private static void signIn(Page page, String email, String password) {
        page.navigate(demo.base() + "/sign-in");
        page.getByLabel("E-mail").fill(email);
        page.getByLabel("Password").fill(password);
        button(page, "Sign in").click();
    }

    @Test
    void aCoachIsInvitedAndTakesAStudentOver() {
        try (Browser browser = new Browser()) {
            Page owner = browser.screen();
            signIn(owner, "coach@demo.example", "demo-coach");
            link(owner, "Tamsin Harrow").click();
            link(owner, "The academy, which you own").click();
            assertThat(heading(owner, "The installation")).isVisible();
            Browser.checkAccessible(owner);
            button(owner, "Invite a coach").click();
            owner.getByLabel("Name").fill("Maren Tolk");
            button(owner, "Make the invitation").click();
            String invitation = address(owner);

            Page maren = browser.screen();
            maren.navigate(invitation);
            assertThat(heading(maren, "Hello Maren Tolk")).isVisible();
            maren.getByLabel("Your name").fill("Maren Tolk");
            maren.getByLabel("E-mail").fill("maren@x.example");
            maren.getByLabel("Password").fill("a-long-word");
            button(maren, "Begin").click();
            assertThat(maren.getByText("No students yet.")).isVisible();
            Page late = browser.screen();
            late.navigate(invitation);
            assertThat(late.getByText(Pattern.compile("was used already"))).isVisible();

            details(owner, "Petra Lund");
            field(owner, "To").selectOption("Maren Tolk");
            owner.getByLabel("A word about it").fill("Stiff ankle, patient.");
            button(owner, "Offer").click();
            assertThat(owner.getByText("who has not answered yet")).isVisible();
            Browser.checkAccessible(owner);

            maren.reload();
            assertThat(maren.getByText("Stiff ankle, patient.")).isVisible();
            button(maren, "Take over").click();
            student(maren, "Petra Lund");
            assertThat(heading(maren, "The thread")).isVisible();
            owner.navigate(demo.base() + "/students");
            assertThat(link(owner, "Bram Ellery")).isVisible();
            assertThat(link(owner, "Petra Lund")).hasCount(0);
        }
    }

    private static void details(Page page, String student) {
        student(page, student);
        link(page, "Details").click();
        assertThat(heading(page, "The record")).isVisible();
    }

    @Test
    void aStandInTeachesAndIsOnRecord() {
        try (Browser browser = new Browser()) {
            Page owner = browser.screen();
            signIn(owner, "coach@demo.example", "demo-coach");
            details(owner, "Bram Ellery");
            field(owner, "Coach").selectOption("Joren Aldwick");
            button(owner, "Let stand in").click();
            assertThat(button(owner, "End it for Joren Aldwick")).isVisible();

            Page second = browser.screen();
            signIn(second, "second@demo.example", "demo-coach");
            link(second, "Students").click();
            assertThat(second.getByText("of Tamsin Harrow")).isVisible();
            link(second, "Bram Ellery").click();
            assertThat(second.getByText("what you do is on record")).isVisible();
            assertThat(button(second, "Begin a lesson")).isVisible();

            owner.reload();
            owner.getByText(Pattern.compile("^What other coaches did")).click();
            assertThat(owner.getByText(Pattern.compile("Joren Aldwick looked at the student's page")))
                    .isVisible();
            Browser.checkAccessible(owner);
            button(owner, "End it for Joren Aldwick").click();
            assertThat(button(owner, "End it for Joren Aldwick")).hasCount(0);
            second.reload();
            assertThat(second.getByText("There is no such student.")).isVisible();
        }
    }

    @Test
    void lostPasswordsAreFoundAgain() {
        try (Browser browser = new Browser()) {
            Page coach = browser.screen();
            signIn(coach, "second@demo.example", "demo-coach");
            link(coach, "Joren Aldwick").click();
            button(coach, "Make codes").click();
            Locator sheet = coach.getByRole(AriaRole.DIALOG);
            sheet.getByLabel("Present password").fill("wrong-word");
            button(coach, "Make eight codes").click();
            assertThat(sheet.getByText("This is not your password.")).isVisible();
            sheet.getByLabel("Present password").fill("demo-coach");
            button(coach, "Make eight codes").click();
            assertThat(sheet.getByRole(AriaRole.LISTITEM)).hasCount(8);
            List<String> codes = sheet.getByRole(AriaRole.LISTITEM).allTextContents();
            Browser.checkAccessible(coach);

            Page lost = browser.screen();
            lost.navigate(demo.base() + "/sign-in");
            link(lost, "The password is lost").click();
            Browser.checkAccessible(lost);
            lost.getByLabel("E-mail").fill("second@demo.example");
            field(lost, "Code").fill("AAAAA-BBBBB");
            lost.getByLabel("New password").fill("another-word");
            button(lost, "Set it and sign in").click();
            assertThat(lost.getByRole(AriaRole.ALERT)).isVisible();
            field(lost, "Code").fill(codes.get(0).strip().toLowerCase());
            button(lost, "Set it and sign in").click();
            assertThat(heading(lost, "Lessons today")).isVisible();

            link(lost, "Joren Aldwick").click();
            lost.getByLabel("Present password").fill("another-word");
            lost.getByLabel("New password").fill("demo-coach");
            button(lost, "Change it").click();
            assertThat(lost.getByText("Every other browser is signed out.")).isVisible();
            Browser.checkAccessible(lost);
        }
    }

    /** An answer to an entry that holds this, and was taken. */
    private static Predicate<Response> stored(String part) {
        return r -> r.request().method().equals("PUT")
                && r.status() == 200
                && r.request().postData().contains(part);
    }

    @Test
    void twoWindowsOnOneLessonLoseNothing() {
        try (Browser browser = new Browser()) {
            Page one = browser.screen();
            signIn(one, "coach@demo.example", "demo-coach");
            student(one, "Bram Ellery");
            button(one, "Begin a lesson").click();
            button(one, "To today's first balls").click();
            Page two = one.context().newPage();
            two.navigate(one.url());
            assertThat(two.getByText("Saved")).isVisible();

            one.waitForResponse(stored("\"straight\":3"), () -> one.keyboard().type("aaa"));
            two.waitForResponse(stored("\"straight\":5"), () -> two.keyboard().type("aa"));
            two.waitForResponse(stored("\"solid\":1"), () -> two.keyboard().type("c"));
            assertThat(two.getByText(Pattern.compile("Changed meanwhile.*balls before")))
                    .isVisible();
            assertThat(two.getByText("Saved", new Page.GetByTextOptions().setExact(true)))
                    .isVisible();
            Browser.checkAccessible(two);
            one.reload();
            assertThat(one.getByText(Pattern.compile("Flight\\s*5 balls"))).isVisible();
        }
    }
}
