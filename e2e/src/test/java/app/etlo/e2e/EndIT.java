package app.etlo.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** The end of a cover decided on one screen: what waiting gains and costs, which way fits, what is done if it fails. */
class EndIT extends InBrowser {
    private Locator region(String name) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(name));
    }

    @Test
    void a_gate_is_passed_on_a_phone_counts_after_a_reload_and_is_taken_back() {
        page.setViewportSize(390, 844);
        demo();
        page.navigate("/fields/field-kettle-hollow/grow");
        button("Soil does it carry?").click();
        Locator sheet = page.getByRole(AriaRole.DIALOG);
        accessible("a gate on a phone");
        sheet.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("rolls to a worm"))
                .click();
        sheet.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Write it down"))
                .click();
        assertThat(sheet).hasCount(0);
        assertThat(region("Gates in the field")).containsText("discs smear the walls of the slot");
        page.reload();
        assertThat(region("Gates in the field")).containsText("discs smear the walls of the slot");
        region("Gates in the field")
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Take back: Soil"))
                .click();
        assertThat(region("Gates in the field")).not().containsText("discs smear");
    }

    @Test
    void waiting_is_weighed_by_keys_a_school_taken_and_taken_back_and_plan_b_kept() {
        demo();
        page.navigate("/fields/field-whin-bank/end");
        Locator day = page.getByRole(
                AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Day on which the cover would end"));
        assertThat(region("What changes")).containsText("dry tops");
        assertThat(region("What changes")).containsText("soil water at planting");
        day.focus();
        day.press("PageUp");
        day.press("ArrowRight");
        String looked = day.getAttribute("aria-valuetext");
        day.press("Enter");
        saved();
        assertThat(page.getByLabel("Cover ended", new Page.GetByLabelOptions().setExact(true)))
                .hasValue(looked);

        page.getByText("Schools side by side").click();
        Locator schools = region("Schools of ending");
        assertThat(schools).containsText("nitrogen beside the row at planting: not met");
        schools.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions()
                                .setName("End it so: Planted green, killed before the crop is up"))
                .click();
        saved();
        assertThat(page.locator("aside").last()).containsText("no nitrogen is fed beside the row");
        button("Undo").click();
        assertThat(page.getByLabel("Cover ended", new Page.GetByLabelOptions().setExact(true)))
                .hasValue(looked);

        button("Take into the plan: the kill fails").click();
        saved();
        page.reload();
        assertThat(button("Take out of the plan: the kill fails")).isVisible();
        page.getByText("Ways of ending it").click();
        assertThat(region("Ways of ending")).containsText("Roller-crimper");
        accessible("the end with its ways");
    }
}
