package app.etlo.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;

/**
 * The main job from an empty workspace to the plan on paper: boundary, frost dates, two crops, aims, lots, mix, sowing, end,
 * planting, nitrogen. Every figure is computed again here from what was typed.
 */
class MainJobIT extends InBrowser {
    private static final double LB_AC = 0.45359237 / 0.40468564224;
    /** A made-up outline with a pond left out. */
    private static final String BOUNDARY = """
            {"type":"FeatureCollection","features":[{"type":"Feature","properties":{},"geometry":{"type":"Polygon","coordinates":[
            [[-36.21,50.1],[-36.205,50.1],[-36.205,50.103],[-36.21,50.103],[-36.21,50.1]],
            [[-36.208,50.101],[-36.207,50.101],[-36.207,50.1015],[-36.208,50.1015],[-36.208,50.101]]]}}]}
            """;
    /** Planimeter's area of the outer ring less the pond, ha. */
    private static final double AREA_HA = areaHa();

    private static double areaHa() {
        return planimeter("50.1 -36.21\n50.1 -36.205\n50.103 -36.205\n50.103 -36.21\n")
                - planimeter("50.101 -36.208\n50.101 -36.207\n50.1015 -36.207\n50.1015 -36.208\n");
    }

    private static double planimeter(String ring) {
        try {
            Process p = new ProcessBuilder("Planimeter", "-p", "9")
                    .redirectErrorStream(true)
                    .start();
            p.getOutputStream().write(ring.getBytes(StandardCharsets.UTF_8));
            p.getOutputStream().close();
            String[] out = new String(p.getInputStream().readAllBytes(), StandardCharsets.UTF_8).split("\\s+");
            return Math.abs(Double.parseDouble(out[2])) / 1e4;
        } catch (IOException e) {
            throw new java.io.UncheckedIOException("Planimeter is installed by ./etlo test", e);
        }
    }

    private void lot(String species, String name, String germination, String hard, String price, boolean inoculated) {
        button("New lot").click();
        choose("Species", species);
        type("Name of the lot", name);
        type("Purity", "98");
        type("Germination", germination);
        if (!hard.isEmpty()) {
            type("Hard seed", hard);
        }
        type("Tested", "1 Jun 2026");
        type("Price, in the farm’s currency", price);
        type("Bag", "20");
        if (inoculated) {
            page.getByLabel("comes inoculated").check();
        }
        button("Save the lot").click();
        assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
        assertThat(page.getByRole(
                        AriaRole.CELL, new Page.GetByRoleOptions().setName(name).setExact(true)))
                .isVisible();
    }

    private void species(String name, String share, String lot) {
        choose("Species", name);
        button("Add species").click();
        type(name + " share", share);
        choose(name + " lot", lot);
    }

    private static void close(double expected, double shown, double tolerance, String what) {
        assertEquals(expected, shown, tolerance, what);
    }

    @Test
    void from_an_empty_workspace_to_the_plan_on_paper() throws Exception {
        newPractice();
        makeFarmAndField();
        fieldFacts();
        rotation();
        seedLots();
        aimsAndMix();
        double bulkRye = 100 * 0.40 / (0.98 * 0.90);
        double bulkVetch = 25 * 0.50 / (0.98 * 0.90);
        double bulkRadish = 10 * 0.20 / (0.98 * 0.92);
        mixFigures(bulkRye, bulkVetch, bulkRadish);
        sow(bulkRye + bulkVetch);
        double nInTops = 5200 * 0.028;
        end(nInTops);
        plant();
        double need = 9.5 * 1000 / (56 * LB_AC) * 1.1 * LB_AC;
        double credit = nInTops * (-53.44 + 16.98 * Math.sqrt(28)) / 100 / 2;
        feed(need, credit);
        workingOpens(credit);
        undoAndRedo();
        files(need - credit, bulkRye);
    }

    private void makeFarmAndField() {
        button("New farm").click();
        type("Name of the farm", "Hollin Vale");
        choose("Units", "kg/ha, metric");
        type("Currency, three letters", "EUR");
        button("Make the farm").click();
        button("New field").click();
        type("Name of the field", "Lower Rigg");
        page.getByLabel("Boundary file (GeoJSON)")
                .setInputFiles(new FilePayload(
                        "rigg.geojson", "application/geo+json", BOUNDARY.getBytes(StandardCharsets.UTF_8)));
        assertThat(page.getByText("1 left out inside")).isVisible();
        button("Make the field").click();
        assertThat(page.locator("h1")).hasText("Lower Rigg");
        assertThat(page.getByText("Put the first crop here: step Rotation")).isVisible();
    }

    private void fieldFacts() {
        close(AREA_HA, shown("Field area"), 0.05, "area");
        choose("Soil", "silt loam");
        choose("Drainage", "well drained");
        page.getByText("Place and frost").click();
        type("Usual last spring frost, day", "25");
        choose("Usual last spring frost, month", "April");
        type("Usual first autumn frost, day", "12");
        choose("Usual first autumn frost, month", "October");
        assertThat(page.getByText("field saved")).isVisible();
    }

    private void rotation() {
        step("Rotation");
        for (String crop : new String[] {"Winter barley", "Grain corn"}) {
            choose("Next cash crop", crop);
            button("Add crop").click();
        }
        type("Winter barley planted", "2 Oct 2025");
        type("Winter barley harvested", "10 July 2026");
        type("Winter barley yield goal", "6.5");
        type("Grain corn planted", "12 May 2027");
        type("Grain corn harvested", "15 Oct 2027");
        type("Grain corn yield goal", "9.5");
        saved();
        // 10 July 2026 to 12 May 2027
        assertEquals(306, shown("Days in the window"));
        assertThat(page.getByText("window 306 days")).isVisible();
    }

    private void seedLots() {
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Seed store"))
                .click();
        lot("Cereal rye", "R 26", "90", "", "0.6", false);
        lot("Hairy vetch", "V 26", "80", "10", "4.2", true);
        lot("Daikon radish", "D 26", "92", "", "5", false);
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Fields"))
                .click();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Lower Rigg"))
                .click();
    }

    private void aimsAndMix() {
        step("Aims");
        button("Add a cover ahead of grain corn").click();
        button("+ Mulch to plant through").click();
        button("+ Fix nitrogen").click();
        button("Fix nitrogen up").click();
        assertThat(page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Ranked aims"))
                        .getByRole(AriaRole.LISTITEM)
                        .first())
                .containsText("Fix nitrogen");
        step("Mix");
        species("Cereal rye", "40", "R 26");
        species("Hairy vetch", "50", "V 26");
        species("Daikon radish", "20", "D 26");
        saved();
    }

    private void mixFigures(double rye, double vetch, double radish) {
        close(rye, shown("Bulk rate, Cereal rye"), 0.5, "rye in the box");
        close(vetch, shown("Bulk rate, Hairy vetch"), 0.05, "vetch in the box");
        close(radish, shown("Bulk rate, Daikon radish"), 0.05, "radish in the box");
        double seeds = (40 * 39_700 + 12.5 * 35_300 + 2.0 * 75_000) / 1e4;
        close(seeds, shown("Live seeds of the mix"), 0.5, "live seeds");
        double bulk = rye + vetch + radish;
        close(bulk, shown("Seed of the mix"), 0.5, "seed of the mix");
        // whole bags of 20 kg with 3 % waste
        double cost = 0;
        double[][] parts = {{rye, 0.6}, {vetch, 4.2}, {radish, 5}};
        for (double[] p : parts) {
            cost += Math.ceil(p[0] * AREA_HA * 1.03 / 20) * 20 * p[1];
        }
        close(cost, shown("Seed cost"), 0.5, "cost");
        assertThat(page.getByText("Large box").first()).isVisible();
        assertThat(page.getByText(java.util.regex.Pattern.compile("live seeds? of (one|a) square metre")))
                .isVisible();
    }

    private void sow(double largeBox) {
        step("Sow");
        type("Cover sown", "5 Aug 2026");
        choose("Method", "Drilled");
        type("Working width", "4");
        type("Distance driven", "50");
        saved();
        // 4 m x 50 m are a fiftieth of a hectare
        close(largeBox * 0.02 * 1000, shown("Catch target, large box"), 1, "catch");
    }

    private void end(double nInTops) {
        step("End");
        type("Cover ended", "1 May 2027");
        choose("How", "Roller-crimper");
        type("Biomass, dry", "5200");
        type("Nitrogen in the dry tops", "2.8");
        saved();
        assertEquals(11, shown("Days dead before planting"));
        close(nInTops, shown("Nitrogen in the tops"), 0.5, "nitrogen in the tops");
    }

    private void plant() {
        step("Plant");
        choose("Planting pass", "Strip-till");
        type("Strip width", "25");
        type("Row width", "75");
        saved();
        close(100.0 / 3, shown("Ground disturbed by planting"), 0.05, "ground disturbed");
        double drill = 0.5 * 5 * 3.25 * 0.8 * 1.5 * 0.3;
        double roller = 0.5 * 5 * 3.25 * 0.15 * 0.5;
        double strip = 0.5 * 5 * 3.25 * 0.7 * 7 / 3;
        double planter = 0.5 * 5 * 3.25 * 1.0 * 2 * 0.15;
        close(drill + roller + strip + planter, shown("Soil disturbance"), 0.5, "rating");
    }

    private void feed(double need, double credit) {
        step("Feed");
        choose("Nitrogen per yield, unit", "lb/bu");
        type("Nitrogen per yield", "1.1");
        choose("Product", "UAN solution 28 %");
        type("Its price", "400");
        saved();
        close(need, shown("Need"), 0.5, "need");
        close(credit, shown("From the cover"), 0.5, "credit");
        double left = need - credit;
        close(left, shown("Left to buy"), 0.5, "left to buy");
        close(left / 0.28, shown("UAN solution 28 %"), 0.5, "product");
        close(left / 0.28 * AREA_HA, shown("Product for the field"), 5, "product for the field");
        close(left / 0.28 * 0.4, shown("Cost of the product"), 0.5, "its cost");
    }

    private void workingOpens(double credit) {
        figure("From the cover").click();
        var working = page.getByRole(AriaRole.DIALOG);
        assertThat(working).containsText("tops * released / 100 * evidence");
        working.getByRole(
                        AriaRole.BUTTON,
                        new com.microsoft.playwright.Locator.GetByRoleOptions()
                                .setName("Share of the cover's nitrogen released"))
                .click();
        assertThat(working).containsText("-53.44 + 16.98 * sqrt(n)");
        assertThat(working).containsText("Vigil & Kissel 1991");
        assertThat(working).containsText("28");
        assertTrue(credit > 0);
        page.keyboard().press("Escape");
        assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Notes")))
                .containsText("Daikon radish at 20 % of its full rate");
    }

    private void undoAndRedo() {
        double before = shown("Left to buy");
        type("Nitrogen per yield", "1.2");
        saved();
        assertThat(figure("Left to buy")).not().hasText(String.valueOf((int) before));
        button("Undo").click();
        assertThat(field("Nitrogen per yield")).hasValue("1.1");
        button("Redo").click();
        assertThat(field("Nitrogen per yield")).hasValue("1.2");
        button("Undo").click();
        assertThat(field("Nitrogen per yield")).hasValue("1.1");
        saved();
        assertThat(figure("Left to buy")).hasText(String.valueOf((int) before));
    }

    private void files(double left, double bulkRye) throws Exception {
        Download pdf = page.waitForDownload(() -> button("Plan as PDF").click());
        assertEquals("lower-rigg.pdf", pdf.suggestedFilename());
        try (PDDocument document = Loader.loadPDF(Files.readAllBytes(pdf.path()))) {
            PDFTextStripper stripper = new PDFTextStripper();
            stripper.setSortByPosition(true);
            String text = stripper.getText(document).replaceAll("\\s+", " ");
            assertTrue(text.contains("Lower Rigg"), text);
            assertTrue(text.contains(Math.round(left) + " kg/ha"), "left to buy in print");
            // among others it carries the decimals of their sum
            assertTrue(
                    text.matches(".*\\b" + (long) bulkRye + "(\\.\\d)? kg/ha.*"),
                    "rye of " + bulkRye + " kg/ha in print: " + text);
            assertTrue(text.contains("Vigil & Kissel 1991"), "source in print");
        }
        Download json = page.waitForDownload(() -> button("Plan as JSON").click());
        byte[] file = Files.readAllBytes(json.path());
        JsonNode dossier = new ObjectMapper().readTree(file);
        assertEquals("etlo-dossier", dossier.path("format").asText());
        assertEquals(5200, dossier.at("/plan/covers/0/stand/biomass/value").asInt());
        assertEquals("kg/ha", dossier.at("/plan/covers/0/stand/biomass/unit").asText());
        assertEquals(
                2,
                dossier.at("/context/field/boundary/features/0/geometry/coordinates")
                        .size());

        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Fields"))
                .click();
        page.getByLabel("Plan file").setInputFiles(new FilePayload("plan.json", "application/json", file));
        assertThat(page.locator("h1")).hasText("Lower Rigg");
        Download again = page.waitForDownload(() -> button("Plan as JSON").click());
        assertArrayEquals(file, Files.readAllBytes(again.path()));

        signOut();
        newPractice();
        page.getByLabel("Plan file").setInputFiles(new FilePayload("plan.json", "application/json", file));
        assertThat(page.locator("h1")).hasText("Lower Rigg");
        Download elsewhere = page.waitForDownload(() -> button("Plan as JSON").click());
        assertArrayEquals(file, Files.readAllBytes(elsewhere.path()));
    }
}
