package app.etlo.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.time.Duration;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.awaitility.Awaitility;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Several people and several pages: joining, choosing between two saves, history, being offline, a forgotten password. */
class TogetherIT extends InBrowser {
    private BrowserContext elsewhere;
    private Page other;

    @BeforeEach
    void a_field_open_in_two_places() throws Exception {
        newPractice();
        page.getByLabel("Plan file")
                .setInputFiles(new FilePayload(
                        "plan.json",
                        "application/json",
                        Product.resource("/upper-bank.json").getBytes(StandardCharsets.UTF_8)));
        assertThat(page.locator("h1")).hasText("Upper Bank");
        step("End");
        elsewhere = browser.newContext(new com.microsoft.playwright.Browser.NewContextOptions()
                .setViewportSize(1280, 800)
                .setLocale("en-GB")
                .setBaseURL(server.url()));
        elsewhere.setDefaultTimeout(PATIENCE_MS);
        other = elsewhere.newPage();
    }

    @AfterEach
    void leave() {
        other.close();
        elsewhere.close();
        // a refused save is what these tests are about; the browser reports each on its console
        complaints.removeIf(c -> c.contains("409") || c.contains("410") || c.contains("ERR_INTERNET_DISCONNECTED"));
    }

    private Locator on(Page where, String name) {
        return where.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private Locator choice(Page where) {
        return where.getByRole(AriaRole.ALERTDIALOG);
    }

    private Locator ended(Page where) {
        return where.getByLabel("Cover ended", new Page.GetByLabelOptions().setExact(true));
    }

    private static void type(Locator field, String text) {
        field.fill(text);
        field.blur();
    }

    private static void savedOn(Page where) {
        assertThat(where.getByRole(AriaRole.STATUS).first()).hasText("saved");
    }

    /** Somebody else joins by a link and opens the same step of the same field. */
    private void somebodyElse() {
        String bench = page.url();
        page.navigate("/people");
        on(page, "Make a link").click();
        String link = page.getByLabel("Link to join").inputValue();
        accessible("people");
        other.navigate(link);
        assertThat(other.getByText("Join Vale advice")).isVisible();
        other.getByLabel("Your name").fill("Oda Brill");
        other.getByLabel("E-mail address").fill(UUID.randomUUID() + "@example.org");
        other.getByLabel("Password").fill("another horse");
        on(other, "Join").click();
        assertThat(other.getByLabel("Sort by")).isVisible();
        page.navigate(bench);
        other.navigate(bench);
        savedOn(page);
        savedOn(other);
    }

    @Test
    void two_people_meet_on_one_plan_and_keep_both_changes() {
        somebodyElse();
        type(ended(other), "25 Apr 2027");
        savedOn(other);
        step("Mix");
        type("Cereal rye share", "50");
        assertThat(choice(page)).containsText("Oda Brill");
        assertThat(choice(page)).containsText("cover before grain corn 2027 ended: 1 May 2027 → 25 Apr 2027");
        assertThat(choice(page)).containsText("cereal rye, share: 40 % → 50 %");
        accessible("choice");
        on(page, "keep both").click();
        savedOn(page);
        step("End");
        assertThat(ended(page)).hasValue("25 Apr 2027");
        on(page, "History").click();
        Locator revisions = page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Revisions"));
        assertThat(revisions).containsText("put together with another’s changes");
        assertThat(revisions).containsText("Oda Brill changed");
        accessible("history");
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions()
                                .setName("Bring back revision 1")
                                .setExact(true))
                .click();
        assertThat(ended(page)).hasValue("1 May 2027");
        // restored by mistake: that is taken back like everything else, also after a reload
        page.reload();
        savedOn(page);
        on(page, "Undo").click();
        assertThat(ended(page)).hasValue("25 Apr 2027");
    }

    @Test
    void mine_is_opened_as_a_copy_and_made_the_fields_own() {
        somebodyElse();
        type(ended(other), "25 Apr 2027");
        savedOn(other);
        type(ended(page), "20 Apr 2027");
        assertThat(choice(page)).containsText("Where they meet");
        assertThat(on(page, "keep both")).hasCount(0);
        on(page, "open mine as a copy").click();
        assertThat(page.getByLabel("Plan", new Page.GetByLabelOptions().setExact(true)))
                .not()
                .hasText(Pattern.compile("^the field’s own"));
        assertThat(ended(page)).hasValue("20 Apr 2027");
        on(page, "make it the field’s own").click();
        other.reload();
        assertThat(ended(other)).hasValue("20 Apr 2027");
    }

    @Test
    void what_is_typed_offline_is_kept_through_closing_the_page_and_sent_once() {
        context.setOffline(true);
        type(ended(page), "22 Apr 2027");
        assertThat(page.getByText("not saved: the server does not answer").first())
                .isVisible();
        String bench = page.url();
        page.onDialog(com.microsoft.playwright.Dialog::accept);
        page.close();
        context.setOffline(false);
        page = listened(context.newPage());
        page.navigate(bench);
        assertThat(ended(page)).hasValue("22 Apr 2027");
        savedOn(page);
        on(page, "History").click();
        assertThat(page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Revisions"))
                        .getByText("ended: 1 May 2027 → 22 Apr 2027"))
                .hasCount(1);
    }

    @Test
    void ten_minutes_without_the_server_lose_nothing_that_was_typed() {
        page.clock().install();
        context.setOffline(true);
        type(ended(page), "22 Apr 2027");
        page.clock().fastForward("05:00");
        type(ended(page), "24 Apr 2027");
        step("Field");
        type("Organic matter", "4.5");
        page.clock().fastForward("05:00");
        assertThat(page.getByText("the server does not answer").first()).isVisible();
        context.setOffline(false);
        page.clock().fastForward("01:00");
        savedOn(page);
        other.navigate(server.url() + "/sign-in");
        page.reload();
        assertThat(field("Organic matter")).hasValue("4.5");
        step("End");
        assertThat(ended(page)).hasValue("24 Apr 2027");
    }

    @Test
    void a_field_changed_in_two_tabs_comes_together_or_is_asked_about() {
        step("Field");
        Page tab = context.newPage();
        tab.navigate(page.url());
        type(tab.getByLabel("Organic matter", new Page.GetByLabelOptions().setExact(true)), "4.5");
        assertThat(tab.getByText("field saved")).isVisible();
        type("Name", "Nether Bank");
        assertThat(page.getByText("field saved")).isVisible();
        assertThat(field("Organic matter")).hasValue("4.5");
        type(tab.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)), "Far Bank");
        assertThat(choice(tab)).containsText("name: Nether Bank → Far Bank");
        on(tab, "keep mine").click();
        assertThat(tab.getByText("field saved")).isVisible();
        assertThat(tab.locator("h1")).hasText("Far Bank");
        tab.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("History of the field"))
                .click();
        assertThat(tab.getByRole(AriaRole.DIALOG)).containsText("name: Upper Bank → Nether Bank");
        tab.close();
    }

    @Test
    void a_forgotten_password_is_replaced_by_a_link() throws Exception {
        page.navigate("/people");
        String email = page.locator("tbody td").nth(1).textContent();
        other.navigate("/sign-in");
        on(other, "Forgotten password").click();
        other.getByLabel("E-mail address").fill(email);
        on(other, "Send me a link").click();
        assertThat(other.getByText("an email with a link is on its way")).isVisible();
        String mail = Awaitility.await()
                .atMost(Duration.ofSeconds(20))
                .until(
                        () -> Files.exists(server.emails()) ? Files.readString(server.emails()) : "",
                        t -> t.contains("To: " + email));
        Matcher link = Pattern.compile("(/reset#\\S+)").matcher(mail.substring(mail.indexOf("To: " + email)));
        assertTrue(link.find());
        other.navigate(link.group(1));
        other.getByLabel("New password").fill("a brand new horse");
        on(other, "Use it from now on").click();
        assertThat(other.getByText("Upper Bank").first()).isVisible();
        // everywhere else the old sessions are ended
        page.navigate("/fields");
        assertThat(button("Sign in")).isVisible();
        assertEquals(server.url() + "/sign-in", page.url());
    }

    @Test
    void a_table_of_lots_is_looked_at_before_it_is_kept() {
        page.navigate("/seed-store");
        page.getByLabel("Table of lots")
                .setInputFiles(new FilePayload(
                        "lots.csv",
                        "text/csv",
                        "\uFEFFspecies;lot;purity %;germination %\nCereal rye;R 7;98,5;91\nMoon grass;M 1;98;91\n"
                                .getBytes(StandardCharsets.UTF_8)));
        Locator sheet = page.getByRole(AriaRole.DIALOG);
        assertThat(sheet).containsText("line 3: species: 'Moon grass' is not a species of the library");
        on(page, "Add to the store").click();
        assertThat(sheet).hasCount(0);
        assertThat(page.getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText("R 7")))
                .containsText("98.5");
    }
}
