package app.etlo.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A plan of one's own, begun in an empty practice: looked at in the field, gone through in a past year, set against a copy. */
class OwnPlanIT extends InBrowser {
    private static final String STANDS = "Biomass above ground, dry";

    @BeforeEach
    void own_plan() {
        newPracticeWithField(48);
        choose("Soil", "silt loam");
        assertThat(page.getByText("field saved")).isVisible();
        step("Rotation");
        crop("Winter barley", "2 Oct 2025", "10 July 2026");
        crop("Grain corn", "12 May 2027", "15 Oct 2027");
        step("Aims");
        button("Add a cover ahead of grain corn").click();
        step("Mix");
        species("Cereal rye", "60");
        species("Hairy vetch", "50");
        step("Sow");
        type("Cover sown", "20 Aug 2026");
        choose("Method", "Drilled");
        step("End");
        type("Cover ended", "28 Apr 2027");
        choose("How", "Roller-crimper");
        saved();
    }

    private void crop(String name, String planted, String harvested) {
        choose("Next cash crop", name);
        button("Add crop").click();
        type(name + " planted", planted);
        type(name + " harvested", harvested);
    }

    private void species(String name, String share) {
        choose("Species", name);
        button("Add species").click();
        type(name + " share", share);
    }

    private Locator checks() {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Field checks"));
    }

    @Test
    void a_species_is_looked_at_alone_by_beads_and_by_stage_and_the_plan_set_against_a_copy() {
        step("Grow");
        double forecast = shown(STANDS);
        button("Enter a field check").click();
        type("Seen on", "20 Oct 2026");
        type("Plants counted", "5");
        choose("Where plants are missing", "leaves with holes");
        assertThat(checks()).containsText(Pattern.compile("Stand: failed.*slugs.*By 30 Oct"));
        choose("Where plants are missing", "not dug");
        type("Plants counted", "");
        type("Beads over a living leaf, line by line", "12 9 x");
        assertThat(field("Beads over a living leaf, line by line")).hasAttribute("aria-invalid", "true");
        assertThat(checks()).containsText("whole numbers, one for each line");
        assertThat(checks()).containsText("nothing measured yet");
        // three lines of a hundred beads: a tenth of the ground
        type("Beads over a living leaf, line by line", "12 9 9");
        assertThat(checks()).containsText(Pattern.compile("10 % cover seen, \\d+ % forecast: from here on × 0\\."));
        saved();
        double thin = shown(STANDS);
        assertTrue(thin < forecast, thin + " of " + forecast);
        choose("Looked at", "Hairy vetch alone");
        saved();
        double vetchThin = shown(STANDS);
        assertTrue(vetchThin > thin, "one of two species is thin: " + vetchThin);
        type("Beads over a living leaf, line by line", "12 9");
        saved();
        button("Undo").click();
        assertThat(field("Beads over a living leaf, line by line")).hasValue("12 9 9");
        button("Redo").click();
        assertThat(field("Beads over a living leaf, line by line")).hasValue("12 9");
        type("Beads over a living leaf, line by line", "12 9 120");
        assertThat(checks()).containsText("more beads hit than a line has");
        assertThat(field("Beads over a living leaf, line by line")).hasAttribute("aria-invalid", "true");
        type("Beads over a living leaf, line by line", "");
        choose("Looked at", "Cereal rye alone");
        choose("Stage", "stems");
        assertThat(checks()).containsText(Pattern.compile("stems.*, forecast .*: it is farther on"));
        saved();
        accessible("a field check of one species");
        page.reload();
        assertThat(field("Looked at")).hasText("Cereal rye alone");
        assertThat(field("Stage")).hasText("stems");
        button("Remove the check of 20 Oct 2026").click();
        saved();
        assertEquals(forecast, shown(STANDS), 1e-9);
        button("Undo").click();
        assertThat(field("Stage")).hasText("stems");
        saved();
        setAgainstACopyInAnotherTab();
        // the browser itself reports the refusal that was asked for
        complaints.removeIf(c -> c.contains("400"));
    }

    private void setAgainstACopyInAnotherTab() {
        step("Rotation");
        button("copy this plan").click();
        page.getByLabel("What is tried in it").fill("ended early");
        button("Make the copy").click();
        assertThat(page).hasURL(Pattern.compile("plan=plan-"));
        step("End");
        type("Cover ended", "2 Apr 2027");
        saved();
        Page tab = listened(context.newPage());
        tab.navigate(page.url().replaceFirst("(/fields/[^/?]+).*", "$1/compared"));
        Locator tops = tab.getByRole(AriaRole.ROW)
                .filter(new Locator.FilterOptions().setHasText("Dry tops when it ends"))
                .first();
        assertThat(tops).containsText(Pattern.compile("\u2212\\d"));
        String early = tops.textContent();
        type("Cover ended", "20 Mar 2027");
        saved();
        tab.reload();
        assertThat(tops).containsText(Pattern.compile("\u2212\\d"));
        assertThat(tops).not().hasText(early);
    }

    private Locator due() {
        return page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName(Pattern.compile("^Decide:")));
    }

    private void toTheEnd() {
        Locator slider = page.locator("input[type=range]");
        slider.fill(slider.getAttribute("max"));
    }

    @Test
    void its_season_is_gone_through_in_a_past_year_though_the_server_dies_meanwhile() throws Exception {
        step("Rotation");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("past year")))
                .click();
        assertThat(page.locator("h1")).hasText("Long Acre in a past year");
        toTheEnd();
        assertThat(due()).containsText("Today the plan says: sow the cover");
        button("Do it today").click();
        assertThat(page.locator("main")).containsText("1 choice made");
        server.kill();
        button("a week ›").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("This day could not be worked out");
        server.start();
        button("Try again").click();
        assertThat(page.getByRole(AriaRole.ALERT)).hasCount(0);
        // the browser itself reports what the dead server did not answer
        complaints.removeIf(c -> c.contains("/api/"));
        assertThat(page.locator("main")).containsText("1 choice made");
        toTheEnd();
        assertThat(due()).containsText("end the cover");
        button("Wait 7 days").click();
        toTheEnd();
        assertThat(due()).containsText("end the cover");
        button("Do it today").click();
        toTheEnd();
        assertThat(due()).containsText("plant grain corn");
        button("Do it today").click();
        toTheEnd();
        Locator end = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What came of it"));
        assertThat(end).containsText("that day one expected");
        // a week later is heavier, whatever the year: the rye is not yet ripe at the end of April at 48 degrees
        assertThat(end.getByRole(AriaRole.ROW)
                        .filter(new Locator.FilterOptions().setHasText("Dry tops"))
                        .first())
                .containsText(Pattern.compile("\\+\\d"));
        page.goBack();
        assertThat(page.locator("h1")).hasText("Long Acre");
    }
}
