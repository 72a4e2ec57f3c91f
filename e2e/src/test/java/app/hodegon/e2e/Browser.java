package app.hodegon.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.nio.file.Path;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Debian's Chromium, with a coach's screen and a student's phone. One of each kind runs for all tests of a JVM; every
 * page is somebody else's, with cookies and storage of its own.
 */
final class Browser implements AutoCloseable {

    /** Of clicks as of assertions: a slow machine is no failure. */
    private static final int PATIENCE_MS = 60_000;

    private static final List<String> FLAT = List.of("--disable-gpu", "--disable-3d-apis");

    private static final Playwright PLAYWRIGHT = Playwright.create();
    private static final Map<List<String>, com.microsoft.playwright.Browser> RUNNING = new HashMap<>();

    static {
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MS);
        Runtime.getRuntime().addShutdownHook(new Thread(PLAYWRIGHT::close));
    }

    private final com.microsoft.playwright.Browser chromium;
    private final List<BrowserContext> contexts = new ArrayList<>();
    private final List<String> failures = new ArrayList<>();

    /** One that draws nothing in the round, as a machine without a graphics card. */
    Browser() {
        this(FLAT);
    }

    private Browser(List<String> graphics) {
        chromium = RUNNING.compute(
                graphics, (g, running) -> running != null && running.isConnected() ? running : launch(g));
    }

    private static com.microsoft.playwright.Browser launch(List<String> graphics) {
        List<String> args = new ArrayList<>(List.of(
                "--no-sandbox",
                "--disable-dev-shm-usage",
                "--disable-background-networking",
                "--disable-component-update",
                "--disable-sync",
                "--no-first-run"));
        args.addAll(graphics);
        return PLAYWRIGHT
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium"))
                        .setArgs(args));
    }

    /** One that draws in the round, by the processor. */
    static Browser inTheRound() {
        return new Browser(List.of("--use-angle=swiftshader", "--enable-unsafe-swiftshader"));
    }

    /** One with a camera that films nobody, and may be used. */
    static Browser filming() {
        List<String> graphics = new ArrayList<>(FLAT);
        graphics.add("--use-fake-device-for-media-stream");
        graphics.add("--use-fake-ui-for-media-stream");
        return new Browser(graphics);
    }

    Page screen() {
        return page(1280, 800);
    }

    Page phone() {
        return page(390, 844);
    }

    /** Of somebody in that zone. */
    Page phone(ZoneId zone) {
        return page(sized(390, 844).setTimezoneId(zone.getId()));
    }

    /** A tablet held upright, touched and not typed on. */
    Page tablet() {
        return page(820, 1180);
    }

    /** Of somebody to whom motion is welcome. */
    Page moving() {
        return page(sized(1280, 800).setReducedMotion(com.microsoft.playwright.options.ReducedMotion.NO_PREFERENCE));
    }

    private Page page(int width, int height) {
        return page(sized(width, height));
    }

    private static com.microsoft.playwright.Browser.NewContextOptions sized(int width, int height) {
        return new com.microsoft.playwright.Browser.NewContextOptions()
                .setViewportSize(width, height)
                .setHasTouch(width < 1000)
                .setReducedMotion(com.microsoft.playwright.options.ReducedMotion.REDUCE);
    }

    private Page page(com.microsoft.playwright.Browser.NewContextOptions options) {
        BrowserContext context = chromium.newContext(options);
        contexts.add(context);
        context.setDefaultTimeout(PATIENCE_MS);
        Page page = context.newPage();
        page.onPageError(failures::add);
        return page;
    }

    /** Signs in from the demo's first page and goes to the students. */
    static Page students(Page page, String base, String who) {
        page.navigate(base);
        page.getByText(who).click();
        Find.students(page);
        return page;
    }

    /** No serious or critical finding of the accessibility check on what is shown now. */
    static void checkAccessible(Page page) {
        List<String> serious = violations(page).stream()
                .filter(v -> List.of("serious", "critical").contains(v.getImpact()))
                .map(Browser::describe)
                .toList();
        assertThat(serious).as(page.url()).isEmpty();
    }

    /** What the accessibility check finds; what is right need not be listed. */
    static List<Rule> violations(Page page) {
        AxeRunOptions options = new AxeRunOptions();
        options.setResultTypes(List.of("violations"));
        return new AxeBuilder(page)
                .setLegacyMode(true)
                .options(options)
                .analyze()
                .getViolations();
    }

    private static String describe(Rule rule) {
        return rule.getId() + ": " + rule.getHelp() + " "
                + rule.getNodes().stream().map(n -> n.getHtml()).limit(3).toList();
    }

    @Override
    public void close() {
        contexts.forEach(BrowserContext::close);
        assertThat(failures).as("script errors").isEmpty();
    }
}
