package app.etlo.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.LoadState;
import java.util.List;
import java.util.function.Consumer;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every view at the sizes it is used at: nothing cut off sideways, no text too small, nothing axe-core finds. */
class ViewsIT extends InBrowser {
    private static final List<String> STEPS =
            List.of("field", "rotation", "aims", "mix", "sow", "grow", "end", "plant", "feed");

    private void fits(String where) {
        assertThat(page.locator("h1").first()).isVisible();
        Object wide = page.evaluate("document.documentElement.scrollWidth - document.documentElement.clientWidth");
        assertEquals(0, ((Number) wide).intValue(), where + " is wider than the window");
        Object small = page.evaluate("""
                [...document.querySelectorAll('body *')]
                  .filter((e) => [...e.childNodes].some((n) => n.nodeType === 3 && n.textContent.trim()))
                  .filter((e) => e.checkVisibility() && parseFloat(getComputedStyle(e).fontSize) < 11)
                  .map((e) => e.outerHTML.slice(0, 120))
                """);
        assertEquals(List.of(), small, where + " has text under 11 px");
    }

    @ParameterizedTest
    @CsvSource({"1280, 800", "768, 1024"})
    void each_view_fits_and_is_accessible(int width, int height) {
        page.setViewportSize(width, height);
        Consumer<String> looked = where -> {
            fits(where);
            if (width == 1280) {
                accessible(where);
            } else {
                accessibleAtThisSize(where);
            }
        };
        page.navigate("/sign-in");
        assertThat(button("Sign in")).isVisible();
        looked.accept("sign-in");
        demo();
        looked.accept("fields");
        page.navigate("/seed-store");
        assertThat(page.getByText("TR 3")).isVisible();
        looked.accept("seed store");
        page.navigate("/species");
        assertThat(page.getByText(Pattern.compile("^(\\d+) of \\1 species$"))).isVisible();
        looked.accept("species");
        page.navigate("/calibration");
        assertThat(page.getByText("Drill, driven or pushed").first()).isAttached();
        looked.accept("calibration");
        page.navigate("/weather?at=tarrow-ridge");
        assertThat(page.getByText("Field-work days")).isVisible();
        looked.accept("weather");
        page.navigate("/fields/field-kettle-hollow/past-year");
        assertThat(page.getByText("weather of")).isVisible();
        looked.accept("past year");
        page.navigate("/fields/field-kettle-hollow/compared");
        assertThat(page.locator("figure").first()).isVisible();
        looked.accept("compared");
        for (String step : STEPS) {
            page.navigate("/fields/field-kettle-hollow/" + step);
            assertThat(page.locator("#section [role=slider]").first()).isVisible();
            looked.accept(step + " at " + width);
        }
    }

    @Test
    void the_night_theme_keeps_its_contrast_and_is_kept() {
        demo();
        button("Night").click();
        page.navigate("/fields/field-kettle-hollow/mix");
        assertThat(page.locator("#section [role=slider]").first()).isVisible();
        assertThat(page.locator("html")).hasAttribute("data-theme", "night");
        accessible("mix by night");
        page.navigate("/fields/field-north-forty/end");
        assertThat(page.locator("#section [role=slider]").first()).isVisible();
        accessible("end by night");
    }

    private void rowsArePaintedInTheThemesSoil() {
        page.waitForFunction("""
                () => {
                  const row = document.querySelector('ul[aria-label=Fields] canvas');
                  const pen = document.createElement('canvas').getContext('2d');
                  pen.fillStyle = getComputedStyle(document.documentElement).getPropertyValue('--soil').trim();
                  pen.fillRect(0, 0, 1, 1);
                  const soil = String(pen.getImageData(0, 0, 1, 1).data);
                  const foot = row?.getContext('2d').getImageData(0, row.height - 4, row.width, 1).data ?? [];
                  return Array.from({ length: foot.length / 4 }, (_, i) => String(foot.slice(4 * i, 4 * i + 4)))
                    .filter((pixel) => pixel === soil).length > foot.length / 8;
                }
                """);
    }

    @Test
    void the_rows_of_fields_follow_the_theme() {
        demo();
        rowsArePaintedInTheThemesSoil();
        button("Night").click();
        rowsArePaintedInTheThemesSoil();
    }

    @Test
    void the_sheets_are_accessible() {
        demo();
        for (String opener : List.of("New farm", "New field")) {
            button(opener).click();
            assertThat(page.getByRole(AriaRole.DIALOG)).isVisible();
            accessible(opener);
            page.keyboard().press("Escape");
        }
        page.navigate("/seed-store");
        button("New lot").click();
        accessible("New lot");
        page.navigate("/fields/field-kettle-hollow/feed");
        figure("Left to buy").click();
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("max(need - credit, 0)");
        accessible("working");
    }

    @Test
    void empty_loading_and_missing_are_told() {
        newPractice();
        accessible("no farm");
        button("New farm").click();
        type("Name of the farm", "Vale");
        button("Make the farm").click();
        assertThat(page.getByText("No field yet.")).isVisible();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Seed store"))
                .click();
        assertThat(page.locator("main")).containsText("No lot yet");
        accessible("no lot");
        signOut();
        demo();
        page.getByLabel("Find a field or farm").fill("no such");
        assertThat(page.getByText("No field or farm here is called “no such”.")).isVisible();
    }

    @Test
    void a_field_that_is_not_there_is_told_and_fields_without_a_plan_are_empty() {
        demo();
        page.navigate("/fields/field-of-nobody/mix");
        assertThat(page.getByText("There is no such field or plan in this practice."))
                .isVisible();
        // the browser itself reports the 404s of both things asked for, the last maybe a moment later
        page.waitForLoadState(LoadState.NETWORKIDLE);
        complaints.removeIf(c -> c.contains("404"));
    }

    @Test
    void a_farm_in_pounds_and_one_in_kilograms_stand_side_by_side_and_switch() {
        demo();
        page.navigate("/fields/field-north-forty/mix");
        assertThat(page.locator("main")).containsText("lb/ac");
        page.navigate("/fields/field-kettle-hollow/mix");
        assertThat(page.locator("main")).containsText("kg/ha");
        double kgHa = shown("Seed of the mix");
        button("lb/ac").click();
        assertThat(page.locator("main")).containsText("/ft²");
        assertThat(figure("Seed of the mix")).hasAttribute("aria-label", Pattern.compile("lb/ac"));
        assertEquals(kgHa / 1.12085, shown("Seed of the mix"), 1);
        button("kg/ha").click();
        assertThat(page.locator("main")).containsText("/m²");
    }
}
