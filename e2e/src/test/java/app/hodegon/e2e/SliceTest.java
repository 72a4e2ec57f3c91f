package app.hodegon.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The main job in the browser: coach at 1280x800, student at 390x844. */
class SliceTest {

    @TempDir
    private static Path directory;

    private static ServerProcess server;
    private static ServerProcess demo;

    @BeforeAll
    static void start() {
        server = ServerProcess.start(directory.resolve("run.log"), "--hodegon.data=" + directory);
        demo = ServerProcess.demo(directory);
    }

    @AfterAll
    static void stop() {
        server.close();
        demo.close();
    }

    @Test
    void fromAFreshInstallationToTheNextLessonsVerdict() {
        try (Browser browser = new Browser()) {
            Page coach = browser.screen();
            makeFirstCoach(coach);
            addStudent(coach);
            String student = coach.url();
            teachFirstLesson(coach);
            planAndHandOver(coach);

            coach.navigate(student);
            coach.getByText("Invite to the phone").click();
            String link = coach.getByText(Pattern.compile("/welcome/")).innerText();
            Browser.checkAccessible(coach);
            practise(browser.phone(EAST), link);

            coach.navigate(student);
            assertThat(coach.getByText("Felt easy by the end")).isVisible();
            assertThat(coach.getByText("Nothing practised yet")).not().isVisible();
            teachNextLesson(coach);
        }
    }

    private static void makeFirstCoach(Page coach) {
        coach.navigate(server.base());
        coach.getByLabel("Your name").fill("Ida Marlow");
        coach.getByLabel("E-mail").fill("ida@ground.example");
        coach.getByLabel("Password").fill("long-enough");
        Browser.checkAccessible(coach);
        button(coach, "Begin").click();
        assertThat(coach.getByText("No students yet")).isVisible();
    }

    private static void addStudent(Page coach) {
        coach.getByText("New student").click();
        coach.getByLabel("Name").fill("Ferris Dunmore");
        coach.getByLabel("What they complain of").fill("Slices the driver");
        for (String day : List.of("Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Sunday")) {
            coach.getByLabel("Minutes on " + day).fill("20");
        }
        coach.getByLabel("Minutes on Saturday").fill("60");
        coach.getByLabel("Place on Saturday").selectOption("range");
        button(coach, "Add student").click();
        assertThat(coach.getByText("No lesson yet")).isVisible();
    }

    /** Tally and signs by keys, one wrong reading on the way. */
    private static void teachFirstLesson(Page coach) {
        button(coach, "Begin a lesson").click();
        assertThat(coach.getByText("Nothing seen yet")).isVisible();
        type(coach, "ssssssssssssssaaaaaacccccgggttt");
        type(coach, "4yyy");
        assertThat(ranking(coach).first()).containsText("Sway");
        assertThat(ranking(coach).first()).containsText("likely");
        type(coach, "z");
        assertThat(coach.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName("Redo")))
                .isEnabled();
        type(coach, "Z");

        coach.getByLabel("Value in %").fill("140");
        assertThat(coach.getByText("From 0 to 100 %.")).isVisible();
        assertThat(button(coach, "Add")).isDisabled();
        coach.getByLabel("Value in %").fill("72");
        button(coach, "Add").click();
        assertThat(coach.getByText("Saved", new Page.GetByTextOptions().setExact(true)))
                .isVisible();

        coach.reload();
        assertThat(coach.getByLabel("slice s: 14")).isVisible();
        button(coach, "Feet").click();
        assertThat(coach.getByText("wanted under trail")).isVisible();
    }

    private static void planAndHandOver(Page coach) {
        button(coach, "Why").click();
        button(coach, "Work on sway").click();
        button(coach, "Draft the plan").click();
        assertThat(coach.getByRole(AriaRole.GROUP, new GetByRoleOptions().setName(Pattern.compile("^The climb"))))
                .isVisible();
        Find.handOver(coach, "Hand it over");
    }

    /** The student lives where it may well be tomorrow already. */
    private static final ZoneId EAST = ZoneId.of("Pacific/Kiritimati");

    private static void noonOn(Page phone, int daysAhead) {
        phone.clock()
                .setFixedTime(LocalDate.now()
                        .plusDays(daysAhead)
                        .atTime(12, 0)
                        .atZone(EAST)
                        .toInstant()
                        .toEpochMilli());
    }

    private static void practise(Page phone, String link) {
        noonOn(phone, 0);
        phone.navigate(link);
        phone.getByLabel("E-mail").fill("ferris@phone.example");
        phone.getByLabel("Password").fill("long-enough");
        Browser.checkAccessible(phone);
        button(phone, "Make my account").click();
        // The plan begins tomorrow: today is free, and says so.
        assertThat(phone.getByText("Next practice")).isVisible();
        Browser.checkAccessible(phone);
        noonOn(phone, 1);
        phone.reload();
        phone.getByText("Begin").click();
        button(phone, "Good").click();
        button(phone, "Not").click();
        assertThat(phone.getByText("1 good of 2")).isVisible();
        button(phone, "Undo").click();
        assertThat(phone.getByText("1 good of 1")).isVisible();
        Browser.checkAccessible(phone);
        phone.reload();
        assertThat(phone.getByText("1 good of 1")).isVisible();
        button(phone, "Skip the rest").click();
        button(phone, "Good").click();
        // On a day with balls a few of them stand before the check.
        Pattern place = Pattern.compile(", (\\d) of (\\d)");
        Matcher at = place.matcher(phone.getByText(place).first().innerText());
        int blocks = at.find() ? Integer.parseInt(at.group(2)) : 0;
        for (int block = 2; block < blocks; block++) {
            assertThat(phone.getByText(", %d of %d".formatted(block, blocks))).isVisible();
            button(phone, "Skip the rest").click();
        }
        assertThat(phone.getByText("Check, scored")).isVisible();
        scoreTheCheck(phone);

        assertThat(button(phone, "Done for today")).isDisabled();
        phone.getByRole(AriaRole.RADIO, new GetByRoleOptions().setName("Clear")).click();
        phone.getByLabel("A note to your coach").fill("Felt easy by the end");
        Browser.checkAccessible(phone);
        button(phone, "Done for today").click();
        assertThat(phone.getByText("10 of 10. Once more like this")).isVisible();
        phone.getByText("To today").click();
        phone.getByText("The climb").click();
        assertThat(phone.getByText("Your checks")).isVisible();
        Browser.checkAccessible(phone);
    }

    private static void scoreTheCheck(Page phone) {
        for (int rep = 1; rep <= 10; rep++) {
            button(phone, "Good").click();
            if (rep == 5) button(phone, "Go on now").click();
        }
        button(phone, "To the end").click();
    }

    private static void teachNextLesson(Page coach) {
        button(coach, "Begin a lesson").click();
        button(coach, "To today's first balls").click();
        assertThat(coach.getByText("Saved", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        type(coach, "aaaaaaaaaaaaaaaaasssccccccccccccccccg");
        assertThat(coach.getByLabel("straight a: 17")).isVisible();
        button(coach, "Since last time").click();
        assertThat(coach.getByText("practised,")).isVisible();
        var slice = coach.getByRole(AriaRole.ROW, new GetByRoleOptions().setName(Pattern.compile("^slice")));
        assertThat(slice).containsText("14 of 20");
        assertThat(slice).containsText("3 of 20");
        assertThat(slice).containsText("better");
        var fat = coach.getByRole(AriaRole.ROW, new GetByRoleOptions().setName(Pattern.compile("^fat")));
        assertThat(fat).containsText("cannot tell yet");
        Browser.checkAccessible(coach);
    }

    @Test
    void theDemoShowsACoachsDayAndAStudentsPhone() {
        try (Browser browser = new Browser()) {
            Page coach = browser.screen();
            coach.navigate(demo.base());
            Browser.checkAccessible(coach);
            coach.getByLabel("E-mail").fill("coach@demo.example");
            coach.getByLabel("Password").fill("not-it");
            button(coach, "Sign in").click();
            assertThat(coach.getByText("do not match")).isVisible();
            coach.getByLabel("Password").fill("demo-coach");
            button(coach, "Sign in").click();
            assertThat(coach.getByText("Who needs you")).isVisible();
            Browser.checkAccessible(coach);
            coach.getByLabel("Answer Ansel Roe").fill("Stay below the shoulder until Thursday.");
            button(coach, "Send").click();
            assertThat(coach.getByLabel("Answer Ansel Roe")).not().isVisible();

            coach.getByText("Ansel Roe").first().click();
            assertThat(coach.getByText("Stay below the shoulder")).isVisible();
            assertThat(coach.getByText("Lift the stop only when")).isVisible();
            Browser.checkAccessible(coach);
            button(coach, "Lift the stop").click();
            assertThat(coach.getByText("Lift the stop only when")).not().isVisible();
            coach.getByRole(AriaRole.RADIO, new GetByRoleOptions().setName("Dark"))
                    .click();
            Browser.checkAccessible(coach);

            coach.getByText("Today").click();
            String day = coach.getByRole(AriaRole.HEADING, new GetByRoleOptions().setLevel(1))
                    .innerText();
            coach.getByText("on to the next day").click();
            assertThat(coach.getByRole(AriaRole.HEADING, new GetByRoleOptions().setLevel(1)))
                    .not()
                    .hasText(day);
            assertThat(coach.getByText("Lift the stop")).hasCount(0);

            Page phone = browser.phone();
            phone.navigate(demo.base());
            phone.getByText("Petra Lund").click();
            assertThat(phone.getByText("How it should feel")).isVisible();
            Browser.checkAccessible(phone);
        }
    }

    private static com.microsoft.playwright.Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new GetByRoleOptions().setName(name).setExact(true));
    }

    private static com.microsoft.playwright.Locator ranking(Page page) {
        return page.getByLabel("Faults, most probable first").getByRole(AriaRole.LISTITEM);
    }

    private static void type(Page page, String keys) {
        keys.chars().forEach(key -> page.keyboard().press(String.valueOf((char) key)));
    }
}
