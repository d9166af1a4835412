package app.etlo.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.PlaywrightException;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.extension.TestExecutionExceptionHandler;

/** A headless Chromium on the running product. A message in the browser's console fails the test. */
abstract class InBrowser {
    private static final List<String> ARGUMENTS = List.of(
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync",
            "--disable-dev-shm-usage",
            "--font-render-hinting=none",
            "--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE 127.0.0.1, EXCLUDE localhost");

    /** How long anything is waited for that is there in a blink on a machine at rest. */
    static final int PATIENCE_MS = 120_000;

    static RunningServer server;
    private static Playwright playwright;
    static Browser browser;

    final List<String> complaints = new ArrayList<>();
    BrowserContext context;
    Page page;

    @BeforeAll
    static void start() {
        server = RunningServer.shared();
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MS);
        playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        browser = playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium"))
                        .setHeadless(true)
                        .setArgs(ARGUMENTS));
    }

    @AfterAll
    static void stop() {
        playwright.close();
    }

    @BeforeEach
    void open() {
        context = browser.newContext(new Browser.NewContextOptions()
                .setViewportSize(1280, 800)
                .setLocale("en-GB")
                .setAcceptDownloads(true)
                .setBaseURL(server.url()));
        context.setDefaultTimeout(PATIENCE_MS);
        page = listened(context.newPage());
    }

    /** What a failed test leaves behind: does the page still work, are its frames drawn, and what did it show? */
    @RegisterExtension
    final TestExecutionExceptionHandler seen = (test, failure) -> {
        for (Page p : context == null ? List.<Page>of() : context.pages()) {
            System.err.printf(
                    "%s: %s; its script %s, its frames %s%n",
                    test.getDisplayName(), p.url(), answers(p, 100.0), answers(p, null));
        }
        throw failure;
    };

    private static String answers(Page p, Double everyMs) {
        Page.WaitForFunctionOptions patience = new Page.WaitForFunctionOptions().setTimeout(5_000);
        if (everyMs != null) {
            patience.setPollingInterval(everyMs);
        }
        try {
            p.waitForFunction("() => true", null, patience);
            return "go on";
        } catch (PlaywrightException e) {
            return "stand still";
        }
    }

    /** A page whose complaints are kept. */
    Page listened(Page p) {
        p.onConsoleMessage(m -> {
            if (m.type().equals("error")) {
                complaints.add(m.text() + " @ " + m.location());
            }
        });
        p.onPageError(complaints::add);
        return p;
    }

    @AfterEach
    void close() {
        context.pages().forEach(Page::close);
        context.close();
        assertEquals(List.of(), complaints);
    }

    /** Opens a practice of its own, empty. */
    void newPractice() {
        page.navigate("/sign-in");
        button("Create an account").click();
        page.getByLabel("Name of the practice").fill("Vale advice");
        page.getByLabel("E-mail address").fill(UUID.randomUUID() + "@example.org");
        page.getByLabel("Password").fill("correct horse");
        button("Create account").click();
        assertThat(page.getByText("No farm yet.")).isVisible();
    }

    /** Opens a practice of its own with a farm and a field of 14 ha, whose weather follows from its latitude. */
    void newPracticeWithField(int latitude) {
        newPractice();
        button("New farm").click();
        type("Name of the farm", "Vale");
        button("Make the farm").click();
        assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
        button("New field").click();
        type("Name of the field", "Long Acre");
        type("or the area", "14");
        type("Latitude, ° north (for its weather; south below 0)", String.valueOf(latitude));
        button("Make the field").click();
        assertThat(page.locator("h1")).hasText("Long Acre");
    }

    /** Signs in to the demo valley. */
    void demo() {
        page.navigate("/sign-in");
        page.getByLabel("E-mail address").fill("demo@etlo.example");
        page.getByLabel("Password").fill(RunningServer.DEMO_PASSWORD);
        button("Sign in").click();
        assertThat(page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Fields"))
                        .getByRole(AriaRole.LISTITEM)
                        .first())
                .hasAttribute("aria-setsize", "20");
    }

    /** Signs out and waits for the page that follows. */
    void signOut() {
        button("Sign out").click();
        assertThat(button("Sign in")).isVisible();
    }

    Locator button(String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    Locator field(String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    }

    /** Types into a field and leaves it. */
    void type(String label, String text) {
        field(label).fill(text);
        field(label).blur();
    }

    void choose(String label, String option) {
        choose(field(label), option);
    }

    /** Opens a list and takes one of its options. */
    void choose(Locator list, String option) {
        list.click();
        option(list, option).click();
    }

    private static Locator option(Locator list, String name) {
        return list.page()
                .getByRole(
                        AriaRole.OPTION,
                        new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    void step(String name) {
        page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Steps"))
                .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(Pattern.compile("^" + name + "\\b")))
                .click();
        assertThat(page.locator("main h2").first()).hasText(name);
    }

    /** Waits until what was changed is saved and the figures are those of the plan as it is. */
    void saved() {
        assertThat(page.getByRole(AriaRole.STATUS).first()).hasText("saved");
        assertThat(page.locator("[aria-busy=true]")).hasCount(0);
    }

    /** The button of a figure, by the beginning of its name. */
    Locator figure(String label) {
        return page.locator("main")
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions()
                                .setName(Pattern.compile(
                                        "^" + label.replaceAll("[.*+?()]", "\\\\$0") + " [\u2212\\d].*working$")))
                .first();
    }

    /** The number a figure shows. */
    double shown(String label) {
        return Double.parseDouble(
                figure(label).textContent().replace("\u202f", "").replace('\u2212', '-'));
    }

    /** No fault that axe-core finds by WCAG 2.2 AA. */
    void accessible(String where) {
        accessible(where, axe().withTags(List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa")));
    }

    /** The same of what depends on the window's size: room for the finger, and what scrolls. */
    void accessibleAtThisSize(String where) {
        accessible(where, axe().withRules(List.of("target-size", "scrollable-region-focusable")));
    }

    /** It lists what is wrong and not what is right, of which there are thousands; there are no frames. */
    private AxeBuilder axe() {
        AxeRunOptions options = new AxeRunOptions();
        options.setResultTypes(List.of("violations"));
        options.setIFrames(false);
        return new AxeBuilder(page).options(options).setLegacyMode(true);
    }

    private static void accessible(String where, AxeBuilder axe) {
        var result = axe.analyze();
        List<String> found = result.getViolations().stream()
                .flatMap(v -> v.getNodes().stream().limit(3).map(n -> v.getId() + ": " + n.getHtml()))
                .toList();
        assertEquals(List.of(), found, where);
    }
}
