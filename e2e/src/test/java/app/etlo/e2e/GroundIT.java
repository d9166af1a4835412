package app.etlo.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Locale;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A real field and a weather file brought, a rotation laid out, its windows seen and widened. */
class GroundIT extends InBrowser {
    /** Thirty-one years of a made-up place, written in Fahrenheit under a header that says Celsius. */
    private static String fahrenheitFile() {
        StringBuilder text = new StringBuilder("date,tmin_c,tmax_c,prcp_mm\n");
        for (LocalDate d = LocalDate.of(1995, 1, 1); d.getYear() < 2026; d = d.plusDays(1)) {
            double wave = Math.sin(d.toEpochDay() * 0.37) * 3 + Math.sin(d.getYear() * 1.7) * 1.5;
            double mean = 10 - 12 * Math.cos((d.getDayOfYear() - 18) * 2 * Math.PI / 365) + wave;
            text.append(String.format(
                    Locale.ROOT,
                    "%s,%.1f,%.1f,%.1f%n",
                    d,
                    (mean - 6) * 1.8 + 32,
                    (mean + 6) * 1.8 + 32,
                    d.getDayOfYear() % 4 == 0 ? 7.5 : 0));
        }
        return text.toString();
    }

    private static FilePayload csv(String name, String text) {
        return new FilePayload(name, "text/csv", text.getBytes(StandardCharsets.UTF_8));
    }

    private void crop(String name, String planted, String harvested) {
        choose("Next cash crop", name);
        button("Add crop").click();
        type(name + " planted", planted);
        type(name + " harvested", harvested);
    }

    @Test
    void from_a_field_and_a_weather_file_to_windows_and_what_widens_them() {
        newPracticeWithField(48);
        assertThat(page.locator("main")).containsText("no station chosen");
        weatherFile();
        soil();
        rotation();
        widen();
        repeatAndCopy();
    }

    private void weatherFile() {
        button("Import a weather file").click();
        page.getByLabel("Weather file").setInputFiles(csv("yard.csv", fahrenheitFile()));
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        assertThat(dialog).containsText("Is this °C?");
        assertThat(button("Save the record")).isDisabled();
        accessible("weather file in doubt");
        button("Read it in °F").click();
        assertThat(dialog).containsText("temperatures in °F");
        button("Save the record").click();
        assertThat(dialog).hasCount(0);
        assertThat(page.locator("main")).containsText("imported series yard, 31 years");
    }

    private void soil() {
        choose("Soil", "silt loam");
        type("Organic matter", "2.5");
        // 20 % sand, 15 % clay and 2.5 % organic matter: 11 and 31 % by the paper's table 3
        assertThat(figure("Wilting point, 0 to 30 cm")).hasText(Pattern.compile("0\\.11\\d?"));
        assertThat(figure("Field capacity, 0 to 30 cm")).hasText(Pattern.compile("0\\.3[01]\\d?"));
        page.getByLabel("Table of soil tests")
                .setInputFiles(csv("lab.csv", "Tag;pH;P\n2026-03-01;6,5;31\n2026-03-01;65;31\n"));
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        assertThat(dialog).containsText("Choose the column that holds the day");
        choose(dialog.getByLabel("day sampled"), "Tag");
        assertThat(dialog).containsText("line 3, pH: 65 cannot be");
        dialog.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Add to the field"))
                .click();
        assertThat(field("sampled, soil test 1")).hasValue("1 Mar 2026");
    }

    private void rotation() {
        step("Rotation");
        crop("Grain corn", "6 May 2027", "20 Oct 2027");
        crop("Soybean", "14 May 2028", "2 Oct 2028");
        assertThat(page.locator("main")).containsText("grain corn → soybean");
        assertEquals(207, shown("Days in the window"), 0);
        double gained = shown("Degree days above 4 °C");
        assertTrue(gained > 100 && gained < 1500, "degree days " + gained);
        figure("Degree days above 4 °C").click();
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("1 year in 10 below");
        page.keyboard().press("Escape");
        choose("How Grain corn is dated, harvested", "by degree days");
        assertThat(page.locator("main")).containsText(Pattern.compile("= \\d+ (Sept?|Oct|Nov) 2027"));
        choose("How Grain corn is dated, harvested", "on a day");
        type("Grain corn harvested", "20 Oct 2027");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Add a cover")))
                .first()
                .click();
        saved();
    }

    private void widen() {
        button("Widen the window ahead of soybean").click();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        assertThat(dialog).containsText("Corn taken as silage");
        accessible("widen");
        button("Do it: Corn taken as silage").click();
        assertThat(dialog).hasCount(0);
        assertThat(page.locator("main")).containsText("silage corn → soybean");
        saved();
        button("Undo").click();
        assertThat(page.locator("main")).containsText("grain corn → soybean");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Species in the window")))
                .first()
                .click();
        assertThat(dialog).containsText("Cereal rye");
        accessible("species");
        page.keyboard().press("Escape");
    }

    private void repeatAndCopy() {
        button("Repeat the rotation").click();
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Remove Grain corn")))
                .hasCount(2);
        saved();
        button("Undo").click();
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Remove Grain corn")))
                .hasCount(1);
        page.navigate("/fields");
        button("New field").click();
        type("Name of the field", "Short Acre");
        type("or the area", "3");
        button("Make the field").click();
        assertThat(page.locator("h1")).hasText("Short Acre");
        page.navigate("/fields");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Long Acre"))
                .click();
        step("Rotation");
        button("Copy to other fields").click();
        page.getByRole(AriaRole.DIALOG).getByRole(AriaRole.CHECKBOX).check();
        button("Copy to 1 field").click();
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("is planned so now");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Short Acre"))
                .click();
        assertThat(page.locator("h1")).hasText("Short Acre");
        assertThat(page.locator("main")).containsText("grain corn → soybean");
    }

    private String ticks() {
        return page.locator("#section").textContent();
    }

    @Test
    void the_section_is_zoomed_and_moved_by_wheel_and_keys_and_a_crop_is_dragged_in_it() {
        demo();
        page.navigate("/fields/field-hatch-field/rotation");
        Locator section = page.locator("#section");
        Locator harvest = page.getByRole(
                        AriaRole.SLIDER, new Page.GetByRoleOptions().setName(Pattern.compile("^Harvest")))
                .first();
        assertThat(harvest).isVisible();
        String whole = ticks();
        section.focus();
        page.keyboard().press("+");
        assertThat(section).not().hasText(whole);
        assertThat(section).containsText("0 shows the whole rotation");
        page.keyboard().press("ArrowLeft");
        page.keyboard().press("0");
        assertThat(section).containsText("wheel or + to zoom");
        BoundingBox box = section.boundingBox();
        page.mouse().move(box.x + 520, box.y + 200);
        page.mouse().wheel(0, -600);
        assertThat(section).containsText("0 shows the whole rotation");
        // a crop's harvest is dragged while zoomed; its window follows
        String before = field("Winter wheat harvested").inputValue();
        BoundingBox pole = harvest.locator("rect").first().boundingBox();
        double x = pole.x + pole.width / 2;
        double y = pole.y + pole.height - 3;
        page.mouse().move(x, y);
        page.mouse().down();
        page.mouse().move(x + 40, y, new com.microsoft.playwright.Mouse.MoveOptions().setSteps(8));
        page.mouse().up();
        assertThat(field("Winter wheat harvested")).not().hasValue(before);
        saved();
        button("Undo").click();
        assertThat(field("Winter wheat harvested")).hasValue(before);
    }

    @Test
    void a_whole_crop_is_carried_to_other_dates_in_one_change() {
        demo();
        page.navigate("/fields/field-long-sallow/rotation");
        Locator wheat = page.locator("#section [data-stand=c1]").first();
        assertThat(wheat).isVisible();
        String planted = field("Winter wheat planted").inputValue();
        String harvested = field("Winter wheat harvested").inputValue();
        BoundingBox box = wheat.boundingBox();
        double x = box.x + box.width * 0.85;
        double y = box.y + box.height * 0.6;
        page.mouse().move(x, y);
        page.mouse().down();
        page.mouse().move(x - 40, y, new com.microsoft.playwright.Mouse.MoveOptions().setSteps(8));
        assertThat(field("Winter wheat planted")).not().hasValue(planted);
        page.mouse().up();
        assertThat(field("Winter wheat harvested")).not().hasValue(harvested);
        saved();
        button("Undo").click();
        assertThat(field("Winter wheat planted")).hasValue(planted);
        assertThat(field("Winter wheat harvested")).hasValue(harvested);
    }

    @Test
    void fields_are_filtered_and_only_those_in_sight_are_drawn() {
        demo();
        Locator rows = page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Fields"))
                .getByRole(AriaRole.LISTITEM);
        choose("Show", "with a stop note");
        assertThat(rows.first()).containsText("STOP");
        choose("Show", "all");
        page.getByLabel("Find a field or farm").fill("quillan");
        assertThat(rows).hasCount(1);
        assertThat(rows.first()).containsText("Long Paddock");
    }

    @Test
    void weather_of_a_place_is_seen_in_the_units_one_reads() {
        demo();
        page.navigate("/weather?at=karrel-downs");
        assertThat(page.locator("main")).containsText("southern hemisphere");
        assertThat(page.getByRole(
                        AriaRole.IMG, new Page.GetByRoleOptions().setName(Pattern.compile("^days: 1\\. \\d+.*°C"))))
                .isVisible();
        button("show in inches and °F").click();
        assertThat(page.getByRole(
                        AriaRole.IMG, new Page.GetByRoleOptions().setName(Pattern.compile("^days: 1\\. \\d+.*°F"))))
                .isVisible();
        accessible("weather of the south");
    }

    @Test
    void the_section_tells_a_day_what_differs_between_two_and_goes_into_a_file() throws Exception {
        demo();
        page.navigate("/fields/field-kettle-hollow/rotation");
        Locator section = page.locator("#section");
        assertThat(section).containsText("simulated, middle of the weather years");
        section.focus();
        page.keyboard().press(".");
        assertThat(section).containsText("ground covered");
        assertThat(section).containsText("water for roots");
        page.keyboard().press("m");
        for (int i = 0; i < 8; i++) {
            page.keyboard().press(".");
        }
        assertThat(section).containsText(Pattern.compile("\\d{4} to \\d+ \\w+ \\d{4}"));
        assertThat(section).containsText(Pattern.compile("water for roots [+\u2212]?\\d+ mm"));
        assertTrue(shown("Days a year with living roots") > 100);
        Download svg = page.waitForDownload(() -> button("SVG drawing").click());
        String drawing = Files.readString(svg.path());
        assertTrue(drawing.startsWith("<svg") && !drawing.contains("var("), "a drawing that stands by itself");
        Download png = page.waitForDownload(() -> button("PNG picture").click());
        byte[] picture = Files.readAllBytes(png.path());
        // the signature of the PNG standard (ISO/IEC 15948)
        assertArrayEquals(new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10}, Arrays.copyOf(picture, 8));
        assertTrue(picture.length > 20_000);
    }

    @Test
    void a_quadrat_moves_the_forecast_and_says_by_how_much() {
        demo();
        page.navigate("/fields/field-kettle-hollow/grow");
        double before = shown("Dry tops simulated without it");
        button("Enter a field check").click();
        type("Seen on", "20 Oct 2026");
        for (int i = 1; i <= 4; i++) {
            type("Cut " + i + ", fresh", String.valueOf(70 + i));
        }
        Locator checks = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Field checks"));
        assertThat(checks).containsText("t/ha forecast: from here on × 0.");
        saved();
        assertTrue(shown("Dry tops simulated without it") < before);
        checks.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName(Pattern.compile("^Factor of the field check")))
                .click();
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("believed whole");
        page.keyboard().press("Escape");
        step("End");
        figure("Ground covered by residue a week after it ends").click();
        button("What moves it most").click();
        Locator moves = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What moves it most"));
        assertThat(moves).containsText("Confidence:");
        accessible("what moves a figure");
        page.keyboard().press("Escape");
        step("Grow");
        accessible("field checks");
        page.reload();
        assertThat(field("Cut 4, fresh")).hasValue("74");
        button("Remove the check of 20 Oct 2026").click();
        saved();
        assertEquals(before, shown("Dry tops simulated without it"), 1e-9);
    }
}
