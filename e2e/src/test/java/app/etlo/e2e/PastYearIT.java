package app.etlo.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Files;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A plan tried out: gone through in a past year, set against a copy, looked at day by day, grazed and watered. */
class PastYearIT extends InBrowser {
    private Locator slider() {
        return page.locator("input[type=range]");
    }

    /** As far as it goes: to the end, or to where something is to be decided. */
    private void toTheEnd() {
        slider().fill(slider().getAttribute("max"));
    }

    private Locator due() {
        return page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName(Pattern.compile("^Decide:")));
    }

    @Test
    void a_season_is_gone_through_and_kept_and_the_end_tells_what_other_days_would_have_given() {
        demo();
        page.navigate("/fields/field-kettle-hollow/rotation");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("past year")))
                .click();
        assertThat(page.locator("h1")).hasText("Kettle Hollow in a past year");
        button("the driest spring").click();
        assertThat(page.locator("main")).containsText("the driest spring, ");
        assertThat(page.getByText("weather of")).isVisible();
        toTheEnd();
        assertThat(due()).containsText("Today the plan says: sow the cover");
        accessible("a decision in a past year");
        button("Wait 7 days").click();
        // by keyboard, a day at a time, it comes to the day again; nothing is lost by leaving the page
        button("a week ›").focus();
        page.keyboard().press("Enter");
        assertThat(due()).containsText("sow the cover");
        page.reload();
        assertThat(due()).containsText("sow the cover");
        assertThat(page.locator("main")).containsText("1 choice made");
        button("Do it today").click();
        toTheEnd();
        assertThat(due()).containsText("end the cover");
        choose(due().getByLabel("Ended by"), "Flail or sickle mowing");
        button("Do it today").click();
        toTheEnd();
        assertThat(due()).containsText("plant ");
        button("Do it today").click();
        toTheEnd();
        Locator end = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What came of it"));
        assertThat(end).containsText("your choices");
        assertThat(end).containsText("that day one expected");
        assertThat(end.getByRole(AriaRole.IMG)).hasCount(3);
        accessible("the end of a past year");
        choose(end.getByLabel("What other days would have given in"), "Water at planting that roots can draw");
        assertThat(end.getByRole(AriaRole.IMG).first())
                .hasAttribute("aria-label", Pattern.compile("^Water at planting.* gave \\d+ mm"));
        button("take it back").click();
        assertThat(due()).containsText("plant ");
        assertThat(end).hasCount(0);
    }

    @Test
    void what_cannot_be_gone_through_is_told() {
        newPracticeWithField(48);
        page.navigate(page.url().replaceFirst("(/fields/[^/?]+).*", "$1/past-year"));
        assertThat(page.locator("main")).containsText("The plan has no cover yet");
    }

    @Test
    void a_copy_is_changed_and_set_against_the_plan() {
        demo();
        page.navigate("/fields/field-hatch-field/rotation");
        button("copy this plan").click();
        page.getByLabel("What is tried in it").fill("wheat cut later");
        button("Make the copy").click();
        assertThat(page.getByLabel("Plan", new Page.GetByLabelOptions().setExact(true)))
                .hasText(Pattern.compile("wheat cut later"));
        assertThat(page).hasURL(Pattern.compile("plan=plan-"));
        String harvested = field("Winter wheat harvested").inputValue();
        type("Winter wheat harvested", harvested.replaceFirst("^\\d+", "28"));
        saved();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("compare"))
                .click();
        assertThat(page.locator("h1")).hasText("Hatch Field: plans compared");
        Locator pictures = page.locator("figure");
        assertThat(pictures).hasCount(2);
        assertThat(pictures.nth(1)).containsText("wheat cut later");
        assertThat(page.locator("table")).containsText(Pattern.compile("[+\u2212]\\d"));
        accessible("plans compared");
        List<String> axis = pictures.nth(0).locator("text").allTextContents();
        assertTrue(pictures.nth(1).locator("text").allTextContents().containsAll(axis.subList(0, 3)));
        page.getByLabel("wheat cut later").click();
        assertThat(pictures).hasCount(1);
        page.goBack();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("remove the copy"))
                .click();
        button("Remove it").click();
        assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("compare")))
                .hasCount(0);
    }

    @Test
    void a_stand_is_read_day_by_day_and_taken_along() throws Exception {
        demo();
        page.navigate("/fields/field-kettle-hollow/rotation");
        button("a stand day by day").click();
        Locator days = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Days"));
        assertThat(days).containsText("C:N of the tops");
        accessible("day by day");
        Download csv = page.waitForDownload(() -> button("Take it along as CSV").click());
        List<String> lines = Files.readAllLines(csv.path());
        assertEquals(days.locator("tbody tr").count(), lines.size() - 1);
        assertTrue(lines.get(1).matches("\\d{4}-\\d\\d-\\d\\d,[0-9.,-]*"), lines.get(1));
    }

    @Test
    void stock_and_water_are_entered_and_felt() {
        demo();
        page.navigate("/fields/field-kettle-hollow/end");
        double before = shown("Dry tops simulated without it");
        button("Graze it").click();
        choose("Stock", "sheep");
        page.getByText("I have read this for these stock").click();
        assertThat(page.locator("main")).containsText("Eight parts in ten of the nitrogen eaten come back");
        saved();
        assertTrue(shown("Dry tops simulated without it") < before);
        type("Of the tops eaten", "400");
        assertThat(field("Of the tops eaten")).hasAttribute("aria-invalid", "true");
        type("Of the tops eaten", "20");
        saved();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Remove the grazing")))
                .click();
        saved();
        assertEquals(before, shown("Dry tops simulated without it"), 1e-9);
        step("Feed");
        button("Irrigate").click();
        assertThat(field("Water")).hasValue("25");
        saved();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Remove the watering")))
                .click();
        saved();
    }
}
