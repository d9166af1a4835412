package app.etlo.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Dates by hand and by keyboard, several tabs, a server that goes away, files that are none. */
class HandIT extends InBrowser {
    private static final String DOSSIER = sample();

    private static String sample() {
        try (var in = HandIT.class.getResourceAsStream("/upper-bank.json")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (java.io.IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    @BeforeEach
    void sample_field() {
        newPractice();
        page.getByLabel("Plan file")
                .setInputFiles(
                        new FilePayload("plan.json", "application/json", DOSSIER.getBytes(StandardCharsets.UTF_8)));
        assertThat(page.locator("h1")).hasText("Upper Bank");
        step("End");
    }

    private Locator pin(String operation) {
        return page.locator("[data-pin=" + operation + "]");
    }

    private void end(String day) {
        assertThat(field("Cover ended")).hasValue(day);
    }

    @Test
    void a_pin_is_stepped_by_keyboard_and_everything_follows() {
        pin("o4").focus();
        page.keyboard().press("]");
        end("2 May 2027");
        page.keyboard().press("Shift+[");
        end("25 Apr 2027");
        page.keyboard().press("ArrowRight");
        end("26 Apr 2027");
        assertThat(pin("o4")).hasAttribute("aria-valuetext", "26 Apr 2027");
        assertThat(figure("Days dead before planting")).hasText("16");
        saved();
        page.keyboard().press("Control+z");
        end("1 May 2027");
    }

    @Test
    void a_drag_is_one_change_and_escape_puts_it_back() {
        BoundingBox sheet = page.locator("#section").boundingBox();
        // the foot of the pole on the ground line, left of its words
        BoundingBox pole = pin("o4").locator("rect").first().boundingBox();
        double x = pole.x + pole.width / 2;
        double y = pole.y + pole.height - 3;
        page.mouse().move(x, y);
        page.mouse().down();
        page.mouse().move(x - 60, y, new com.microsoft.playwright.Mouse.MoveOptions().setSteps(12));
        assertThat(field("Cover ended")).not().hasValue("1 May 2027");
        page.mouse().up();
        saved();
        String dragged = field("Cover ended").inputValue();
        assertTrue(dragged.endsWith("Mar 2027") || dragged.endsWith("Apr 2027"), dragged);
        button("Undo").click();
        end("1 May 2027");
        assertThat(button("Undo")).isDisabled();
        assertTrue(sheet.width > 1000);

        page.mouse().move(x, y);
        page.mouse().down();
        page.mouse().move(x - 40, y, new com.microsoft.playwright.Mouse.MoveOptions().setSteps(8));
        assertThat(field("Cover ended")).not().hasValue("1 May 2027");
        pin("o4").focus();
        page.keyboard().press("Escape");
        end("1 May 2027");
        page.mouse().up();
        end("1 May 2027");
    }

    @Test
    void the_whole_bench_is_walked_by_keyboard() {
        page.locator("body").focus();
        page.keyboard().press("/");
        assertThat(page.getByRole(AriaRole.DIALOG)).isVisible();
        page.keyboard().type("feed");
        page.keyboard().press("Enter");
        assertThat(page.locator("main h2").first()).hasText("Feed");
        page.keyboard().press("?");
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("the pin in focus a day earlier or later");
        page.keyboard().press("Escape");
        assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
        figure("Left to buy").focus();
        page.keyboard().press("Enter");
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("need - credit");
        page.keyboard().press("Escape");
        assertThat(figure("Left to buy")).isFocused();
        // from the first link on, Tab reaches every pin of the section
        page.locator("header a").first().focus();
        int pins = 0;
        for (int i = 0; i < 60 && pins < 6; i++) {
            page.keyboard().press("Tab");
            pins += ((Number) page.evaluate("document.activeElement.getAttribute('role') === 'slider' ? 1 : 0"))
                    .intValue();
        }
        assertEquals(6, pins);
    }

    @Test
    void a_note_is_opened_from_its_flag_answered_and_kept() {
        type("Cover ended", "18 May 2027");
        Locator flag = page.getByRole(
                AriaRole.BUTTON,
                new Page.GetByRoleOptions()
                        .setName(java.util.regex.Pattern.compile("^stop: Grain corn is planted green.* more here")));
        assertThat(flag).isVisible();
        flag.focus();
        page.keyboard().press("Enter");
        Locator notes = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Notes"));
        Locator ended = notes.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("Ended 6 days after planting"));
        ended.getByText("why, and answer").click();
        ended.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("accept it with a reason"))
                .click();
        page.getByLabel("Reason").fill("contact herbicide before emergence");
        button("Save").click();
        assertThat(notes).containsText("accepted: contact herbicide before emergence");
        saved();
        page.reload();
        assertThat(notes).containsText("accepted: contact herbicide before emergence");
        // changed facts open it again
        type("Cover ended", "19 May 2027");
        assertThat(notes).not().containsText("contact herbicide");
    }

    @Test
    void two_tabs_get_a_choice_and_nothing_is_lost() {
        Page other = listened(context.newPage());
        other.navigate(page.url());
        assertThat(other.getByLabel("Cover ended", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("1 May 2027");
        type("Cover ended", "3 May 2027");
        saved();
        Locator theirs = other.getByLabel("Cover ended", new Page.GetByLabelOptions().setExact(true));
        theirs.fill("5 May 2027");
        theirs.blur();
        assertThat(other.getByText("not saved: the plan was changed elsewhere")).isVisible();
        assertThat(theirs).hasValue("5 May 2027");
        other.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("keep mine"))
                .click();
        assertThat(other.getByRole(AriaRole.STATUS).first()).hasText("saved");
        page.reload();
        end("5 May 2027");
        complaints.removeIf(c -> c.contains("409"));
    }

    @Test
    void a_server_killed_in_the_middle_loses_nothing_typed() throws Exception {
        server.kill();
        type("Cover ended", "7 May 2027");
        type("Nitrogen in the dry tops", "2.2");
        assertThat(page.getByText("not saved: the server does not answer")).isVisible();
        end("7 May 2027");
        server.start();
        assertThat(page.getByRole(AriaRole.STATUS).first()).hasText("saved");
        page.reload();
        end("7 May 2027");
        assertThat(field("Nitrogen in the dry tops")).hasValue("2.2");
        complaints.removeIf(c -> c.contains("ERR_CONNECTION_") || c.contains("ERR_INCOMPLETE_"));
    }

    @Test
    void back_and_forward_walk_the_steps() {
        step("Plant");
        step("Feed");
        page.goBack();
        assertThat(page.locator("main h2").first()).hasText("Plant");
        page.goBack();
        assertThat(page.locator("main h2").first()).hasText("End");
        page.goForward();
        assertThat(page.locator("main h2").first()).hasText("Plant");
    }

    @Test
    void wrong_input_is_told_at_its_field_and_stays_typed() {
        type("Cover ended", "4/5/2027");
        assertThat(page.getByText("which is the month?")).isVisible();
        assertThat(field("Cover ended")).hasValue("4/5/2027");
        type("Cover ended", "1 May 2027");
        type("Biomass, dry", "-5");
        assertThat(page.getByText("not below zero")).isVisible();
        type("Biomass, dry", "5.2");
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Notes")))
                .containsText("Did you mean 5.2 t/ha");
        assertThat(field("Biomass, dry")).hasValue("5.2");
        step("Plant");
        type("Strip width", "40");
        assertThat(page.getByText("a strip is no wider than its row").first()).isVisible();
        assertThat(field("Strip width")).hasValue("40");
        type("Strip width", "10");
        saved();
        complaints.removeIf(c -> c.contains("400"));
    }

    @Test
    void files_that_are_none_are_refused_with_the_reason() {
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Fields"))
                .click();
        page.getByLabel("Plan file").setInputFiles(payload("plan.json", "{\"format\":\"other\"}"));
        assertThat(page.getByText("this is not an Etlo plan file")).isVisible();
        button("New field").click();
        page.getByLabel("Boundary file (GeoJSON)").setInputFiles(payload("a.geojson", "not json"));
        assertThat(page.getByText("the file is not readable JSON")).isVisible();
        page.getByLabel("Boundary file (GeoJSON)")
                .setInputFiles(payload(
                        "b.geojson",
                        "{\"type\":\"Polygon\",\"coordinates\":[[[4500000,5500000],[1,1],[2,2],[4500000,5500000]]]}"));
        assertThat(page.getByText("export the outline again in that system, not in metres or feet"))
                .isVisible();
        byte[] huge = new byte[5 * 1024 * 1024 + 1];
        Arrays.fill(huge, (byte) ' ');
        page.getByLabel("Boundary file (GeoJSON)")
                .setInputFiles(new FilePayload("c.geojson", "application/json", huge));
        assertThat(page.getByText("The file is over 5 MB.")).isVisible();
        complaints.removeIf(c -> c.contains("400"));
    }

    private static FilePayload payload(String name, String text) {
        return new FilePayload(name, "application/json", text.getBytes(StandardCharsets.UTF_8));
    }

    /** What can be done on the page and does not lie on it, or is cut off by what it lies in. */
    private static final String OFF_THE_PAGE = """
            () => {
              const width = document.documentElement.clientWidth;
              const found = [];
              if (document.documentElement.scrollWidth > width + 1)
                found.push('the page is ' + document.documentElement.scrollWidth + ' wide');
              for (const e of document.querySelectorAll('a,button,input,select,textarea,summary')) {
                const r = e.getBoundingClientRect();
                if (!r.width || !r.height || e.closest('.sr-only, svg') || getComputedStyle(e).visibility === 'hidden')
                  continue;
                const name = (e.getAttribute('aria-label') || e.textContent || e.id).trim().slice(0, 40);
                if (r.right > width + 1 || r.left < -1) found.push(name + ' at ' + Math.round(r.left));
                for (let p = e.parentElement; p && p !== document.body; p = p.parentElement) {
                  const box = p.getBoundingClientRect();
                  if (/auto|scroll|hidden/.test(getComputedStyle(p).overflowX) && r.right > box.right + 1)
                    found.push(name + ' is cut off');
                }
              }
              return found;
            }""";

    @Test
    void nothing_that_can_be_done_lies_off_the_page_however_narrow_it_is() {
        String field = page.url().replaceFirst("/[^/]*$", "").replace(server.url(), "");
        for (int width : new int[] {1280, 768, 360}) {
            page.setViewportSize(width, 800);
            for (String view : new String[] {
                "/fields",
                "/weather",
                "/species?of=cereal-rye%20hairy-vetch",
                "/seed-store",
                "/calibration",
                "/people",
                field + "/field",
                field + "/rotation",
                field + "/aims",
                field + "/mix",
                field + "/sow",
                field + "/end",
                field + "/plant",
                field + "/feed"
            }) {
                page.navigate(view);
                assertThat(page.locator("main h1, main h2").first()).isVisible();
                page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
                assertEquals(java.util.List.of(), page.evaluate(OFF_THE_PAGE), view + " at " + width);
            }
        }
    }

    @Test
    void the_work_is_a_skip_away_and_a_jump_lands_in_it() {
        page.reload();
        assertThat(page.locator("main h2").first()).isVisible();
        page.keyboard().press("Tab");
        assertThat(page.getByText("Skip to the work")).isFocused();
        page.keyboard().press("Enter");
        assertThat(page.locator("[data-work]")).isFocused();
        page.keyboard().press("/");
        page.keyboard().type("Rotation");
        page.keyboard().press("Enter");
        assertThat(page).hasURL(java.util.regex.Pattern.compile(".*/rotation$"));
        assertThat(page.locator("[data-work]")).isFocused();
    }
}
