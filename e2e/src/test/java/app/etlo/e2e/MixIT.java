package app.etlo.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Species compared and corrected, a mix proposed and taken, its seed held, a drill calibrated on a phone. */
class MixIT extends InBrowser {
    private Locator region(String name) {
        return page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    @Test
    void species_are_found_compared_and_corrected_and_the_correction_reaches_the_plan() {
        demo();
        page.navigate("/species");
        type("Name, family, pest or caution", "vicia");
        assertThat(page.getByRole(AriaRole.STATUS)).hasText(Pattern.compile("5 of \\d+ species"));
        button("Compare Hairy vetch").click();
        assertThat(page.getByRole(AriaRole.COLUMNHEADER)).hasCount(3);
        accessible("species side by side");
        button("Hairy vetch, Full rate drilled: 25 kg/ha, from memory").click();
        Locator sheet = page.getByRole(AriaRole.DIALOG);
        assertThat(sheet).containsText("SARE");
        sheet.getByLabel(Pattern.compile("^Value")).fill("900");
        sheet.getByLabel(Pattern.compile("^Why")).fill("weighed in five fields");
        button("Use this value").click();
        assertThat(sheet).containsText("from 0.5 to 400 kg/ha");
        // the refusal that was asked for
        complaints.removeIf(c -> c.contains("/cells/rateKgHa"));
        sheet.getByLabel(Pattern.compile("^Value")).fill("30");
        button("Use this value").click();
        assertThat(sheet).hasCount(0);
        assertThat(page.locator("main")).containsText("weighed in five fields");
        page.navigate("/fields/field-kettle-hollow/mix");
        button(Pattern.compile("^Pure live seed rate, Hairy vetch")).first().click();
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("weighed in five fields");
    }

    private Locator button(Pattern name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    @Test
    void a_mix_is_proposed_taken_and_put_beside_another() {
        demo();
        page.navigate("/fields/field-kettle-hollow/mix");
        assertThat(region("Table of candidates")).containsText("Winter triticale");
        Locator proposals = region("Proposals");
        proposals
                .getByLabel("Seed cost at most", new Locator.GetByLabelOptions().setExact(true))
                .fill("40");
        proposals
                .getByLabel("Seed cost at most", new Locator.GetByLabelOptions().setExact(true))
                .blur();
        proposals.getByLabel("Species, least").fill("3");
        proposals.getByLabel("Species, least").blur();
        button("Propose").click();
        assertThat(proposals).containsText("limited by");
        button("Save to compare").click();
        assertThat(region("Comparison")).containsText("proposed");
        button("Cost against aims").click();
        assertThat(proposals.getByRole(
                        AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("species, .* %$"))))
                .hasCount(10);
        accessible("mix with proposals");
        button("make it the own").click();
        saved();
        assertThat(region("Comparison")).containsText("own mix before");
        // wishes that cannot all hold are named
        proposals
                .getByLabel("Seed cost at most", new Locator.GetByLabelOptions().setExact(true))
                .fill("1");
        proposals
                .getByLabel("Seed cost at most", new Locator.GetByLabelOptions().setExact(true))
                .blur();
        button("Propose").click();
        assertThat(proposals).containsText("No mix meets all of these");
    }

    @Test
    void a_share_follows_the_hand_and_is_one_save() {
        demo();
        page.navigate("/fields/field-kettle-hollow/mix");
        Locator slider = page.getByLabel("Winter triticale share, by hand");
        String before = figure("Bulk rate, Winter triticale").textContent();
        slider.focus();
        for (int i = 0; i < 5; i++) {
            page.keyboard().press("ArrowRight");
        }
        assertThat(slider).hasAttribute("aria-valuetext", "25 % of the full rate");
        assertThat(figure("Bulk rate, Winter triticale")).not().hasText(before);
        saved();
        page.reload();
        assertThat(page.getByLabel("Winter triticale share", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("25");
    }

    @Test
    void seed_that_is_not_there_is_not_held_and_stands_on_the_order_list() {
        demo();
        // a cover still to be sown, a lot of rye for it, and the store
        page.navigate("/fields/field-whin-bank/mix");
        field("Cereal rye lot").click();
        page.getByRole(AriaRole.OPTION).nth(1).click();
        saved();
        page.navigate("/seed-store");
        Locator needs = region("Needs of the fields");
        button("Hold seed for Whin Bank").click();
        assertThat(needs.getByRole(AriaRole.ALERT)).containsText("are needed");
        complaints.removeIf(c -> c.contains("/seed?"));
        assertThat(page.getByText("To order")).isVisible();
        accessible("seed store with needs");
    }

    private void wish(String label, String value) {
        Locator field = region("Proposals").getByLabel(label, new Locator.GetByLabelOptions().setExact(true));
        field.fill(value);
        field.blur();
    }

    @Test
    void from_an_empty_practice_to_a_mix_proposed_and_seen_in_a_second_tab() {
        newPracticeWithField(43);
        step("Rotation");
        for (String[] crop : new String[][] {
            {"Winter barley", "2 Oct 2026", "10 July 2027"}, {"Grain corn", "12 May 2028", "15 Oct 2028"}
        }) {
            choose("Next cash crop", crop[0]);
            button("Add crop").click();
            type(crop[0] + " planted", crop[1]);
            type(crop[0] + " harvested", crop[2]);
        }
        step("Aims");
        button("Add a cover ahead of grain corn").click();
        button("+ Fix nitrogen").click();
        step("Sow");
        type("Cover sown", "12 Aug 2027");
        step("End");
        type("Cover ended", "28 Apr 2028");
        choose("How", "Burndown herbicide");
        saved();
        step("Mix");
        assertThat(region("Table of candidates")).containsText("Hairy vetch");
        wish("Species, least", "2");
        wish("Species, most", "3");
        button("Propose").click();
        button("Save to compare").click();
        button("make it the own").click();
        saved();
        step("End");
        assertThat(page.getByRole(AriaRole.TABLE, new Page.GetByRoleOptions().setName("What stands then")))
                .containsText("Ground covered by residue");
        assertThat(page.locator("#section")).containsText("simulated");
        step("Mix");
        Page second = listened(context.newPage());
        second.navigate(page.url());
        String slider = "input[type=range]";
        assertThat(second.locator(slider).first()).isVisible();
        second.locator(slider).first().focus();
        second.keyboard().press("ArrowRight");
        assertThat(second.getByRole(AriaRole.STATUS).first()).hasText("saved");
        String share = second.locator(slider).first().getAttribute("aria-valuetext");
        // the first tab is behind; back and forward in it show what is kept
        page.goBack();
        assertThat(page.locator("main h2").first()).hasText("End");
        page.reload();
        page.goForward();
        assertThat(page.locator(slider).first()).hasAttribute("aria-valuetext", share);
        listedPlant();
    }

    /** A species that the law lists is told of as soon as the list is typed. */
    private void listedPlant() {
        String first = page.locator("input[type=range]").first().getAttribute("aria-label");
        String species = first.replace(" share, by hand", "");
        step("Field");
        page.getByText("Weeds, pests, stock, history").click();
        type("Plants the law lists as noxious, separated by semicolons", "wild oat; " + species);
        assertThat(page.getByText("field saved")).isVisible();
        step("Mix");
        assertThat(page.getByText(species + ": is on the list of noxious plants")
                        .first())
                .isVisible();
    }

    private double placeOfKeys() {
        return ((Number) button("8").evaluate("e => e.getBoundingClientRect().top + window.scrollY")).doubleValue();
    }

    @Test
    void a_drill_is_calibrated_with_one_thumb() {
        demo();
        page.setViewportSize(390, 844);
        page.navigate("/calibration");
        type("Machine", "Yard drill");
        type("Seed or product", "rye");
        type("Working width", "3");
        type("Distance", "50");
        type("Setting now", "28");
        type("It should deliver", "95");
        page.getByLabel("Caught, all outlets", new Page.GetByLabelOptions().setExact(true))
                .focus();
        double place = placeOfKeys();
        for (String key : "1180".split("")) {
            button(key).click();
        }
        Locator answer = region("What it delivers");
        assertThat(answer).containsText("21 % more is wanted");
        assertEquals(place, placeOfKeys(), 0.5, "the keys stay under the thumb when the answer comes");
        button("Save this test").click();
        assertThat(answer).containsText("saved");
        accessible("calibration on a phone");
        page.reload();
        assertThat(page.getByLabel("Machine", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("Yard drill");
        assertThat(page.getByText("Saved catch tests")).isVisible();
        assertTrue(((Number) page.evaluate("document.documentElement.scrollWidth")).intValue() <= 390);
    }
}
