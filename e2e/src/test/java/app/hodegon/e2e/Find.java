package app.hodegon.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByLabelOptions;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;

/** What somebody looks for on a page, by its whole name. */
final class Find {

    private Find() {}

    static Locator button(Page page, String name) {
        return named(page, AriaRole.BUTTON, name);
    }

    /** Hands a plan over; where hardly a gate is to be expected, once that was seen. */
    static void handOver(Page page, String name) {
        named(page, AriaRole.BUTTON, name).click();
        Locator allTheSame = named(page, AriaRole.BUTTON, "Hand it over all the same");
        Locator handedOver = page.getByText("The student has it");
        assertThat(allTheSame.or(handedOver)).isVisible();
        if (allTheSame.isVisible()) allTheSame.click();
        assertThat(handedOver).isVisible();
    }

    static Locator link(Page page, String name) {
        return named(page, AriaRole.LINK, name);
    }

    /** Opens a student from the list; the page before it may name the student more than once. */
    static void student(Page page, String name) {
        students(page);
        link(page, name).click();
    }

    static void students(Page page) {
        link(page, "Students").click();
        // The page before it stays in sight until the list is there.
        assertThat(heading(page, "Students")).isVisible();
    }

    static Locator heading(Page page, String name) {
        return named(page, AriaRole.HEADING, name);
    }

    static Locator field(Page page, String label) {
        return page.getByLabel(label, new GetByLabelOptions().setExact(true));
    }

    private static Locator named(Page page, AriaRole role, String name) {
        return page.getByRole(role, new GetByRoleOptions().setName(name).setExact(true));
    }
}
