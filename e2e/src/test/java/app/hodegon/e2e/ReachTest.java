package app.hodegon.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.LoadState;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Every page can be read by whoever comes, on whatever screen: nothing sideways, and not one finding. */
class ReachTest {

    private static final List<Integer> WIDTHS = List.of(320, 360, 390, 820, 1280);
    private static final List<String> THEMES = List.of("light", "dark", "sunlight");

    private static final String WRITE = """
            ([path, body]) => fetch(path, {
                method: "POST",
                headers: {
                    "Content-Type": "application/json",
                    "X-XSRF-TOKEN": decodeURIComponent(/XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1]),
                },
                body,
            }).then((r) => r.text()).then((t) => (t ? JSON.parse(t) : {}))""";

    private static final int LOOKS = 100;

    private static final String LONG_NAME = "W".repeat(100);

    private final List<String> wrong = new ArrayList<>();
    private int looks;

    @Test
    void everyPageOnEveryScreenInEveryTheme(@TempDir Path directory) {
        try (ServerProcess demo = ServerProcess.demo(directory);
                Browser browser = new Browser()) {
            Page coach = browser.screen();
            signIn(coach, demo.base(), "coach@demo.example", "demo-coach");
            coach.waitForURL("**/day");
            String bram = student(coach, "Bram Ellery");
            String lesson = coach.evaluate(
                            "(id) => fetch(`/api/students/${id}/thread`).then((r) => r.json()).then((t) => t.knots.at(-1).lessonId)",
                            bram)
                    .toString();
            String newcomer = id(coach, "/api/students", """
                    {"name":"%s","handedness":"left","level":"beginner","ageBand":"junior","shoes":"soft",
                     "units":"metric","complaint":"%s","flags":[],"kit":["ball"],"week":{}}""".formatted(LONG_NAME, LONG_NAME));
            String begun = id(coach, "/api/students/" + newcomer + "/lessons", "");
            Stream.of(
                            Stream.of("/day", "/students", "/approach", "/drills", "/drills/new", "/drills/disc-turn"),
                            Stream.of("/proposals", "/outbox", "/account", "/academy", "/students/new", "/nowhere"),
                            Stream.of("", "/edit", "/compare", "/approach").map(p -> "/students/" + bram + p),
                            Stream.of(
                                            "",
                                            "?view=since",
                                            "?view=feet",
                                            "?view=why",
                                            "?view=tried",
                                            "?view=after",
                                            "/report")
                                    .map(p -> "/lessons/" + lesson + p),
                            Stream.of("/plan", "/plan/sheet", "/plan/paper").map(p -> "/lessons/" + lesson + p),
                            Stream.of("/students/" + newcomer, "/students/" + newcomer + "/edit"),
                            Stream.of("", "/plan", "/plan/sheet").map(p -> "/lessons/" + begun + p))
                    .flatMap(paths -> paths)
                    .forEach(path -> look(coach, demo.base() + path));

            // What was said about a note stands on the phone.
            String said = "Try it on tiles and slower than you think that it can still be right.";
            coach.evaluate("""
                    async ([id, said]) => {
                        const notes = await fetch(`/api/students/${id}/notes`).then((r) => r.json());
                        const write = %s;
                        for (const note of notes.slice(0, 1))
                            await write([`/api/students/${id}/notes/${note.session}/answers`, JSON.stringify({ said })]);
                    }""".formatted(WRITE), List.of(student(coach, "Petra Lund"), said));
            Page phone = browser.phone();
            signIn(phone, demo.base(), "petra@demo.example", "demo-student");
            phone.waitForURL("**/today");
            for (String path : List.of("/today", "/today/practice", "/today/feet", "/card", "/climb", "/climb/account"))
                look(phone, demo.base() + path);
            Page nobody = browser.screen();
            for (String path : List.of("/sign-in", "/forgotten")) look(nobody, demo.base() + path);
        }
        assertThat(wrong).isEmpty();
    }

    private static void signIn(Page page, String base, String email, String password) {
        page.navigate(base + "/sign-in");
        page.getByLabel("E-mail").fill(email);
        page.getByLabel("Password").fill(password);
        page.keyboard().press("Enter");
    }

    private static String student(Page coach, String name) {
        return coach.evaluate(
                        "(name) => fetch('/api/students').then((r) => r.json()).then((all) => all.find((s) => s.name === name).id)",
                        name)
                .toString();
    }

    private static String id(Page page, String path, String body) {
        return ((Map<?, ?>) page.evaluate(WRITE, List.of(path, body))).get("id").toString();
    }

    private void look(Page page, String address) {
        page.setViewportSize(1280, 800);
        page.navigate(address);
        page.waitForLoadState(LoadState.NETWORKIDLE);
        String path = address.replaceFirst("^.*:\\d+", "");
        // What is loaded late has its title late.
        for (int look = 0; look < LOOKS && !page.title().endsWith(" · Hodegon"); look++) page.waitForTimeout(100);
        if (!page.title().endsWith(" · Hodegon")) wrong.add(path + " has no title of its own: " + page.title());
        // What is folded is to be read as well.
        page.evaluate("document.querySelectorAll('main details').forEach((d) => (d.open = true))");
        for (int width : WIDTHS) {
            page.setViewportSize(width, 800);
            Object over = page.evaluate("document.documentElement.scrollWidth - window.innerWidth");
            if (((Number) over).intValue() > 0) wrong.add(path + " is " + over + " px too wide at " + width);
        }
        // From page to page another width and theme: each pair comes up several times.
        int width = WIDTHS.get(looks % WIDTHS.size());
        page.setViewportSize(width, 800);
        findings(page, path + " at " + width);
    }

    private void findings(Page page, String where) {
        String theme = THEMES.get(looks++ % THEMES.size());
        page.evaluate("(theme) => (document.documentElement.dataset.theme = theme)", theme);
        Browser.violations(page)
                .forEach(v -> wrong.add(where + " in " + theme + ": " + v.getId() + " "
                        + v.getNodes().stream().map(n -> n.getHtml()).limit(2).toList()));
    }
}
