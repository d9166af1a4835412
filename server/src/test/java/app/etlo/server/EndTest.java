package app.etlo.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.zip.ZipFile;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/** The days and schools of the end over HTTP, and what a farm switches on. */
@ServerTest
class EndTest {
    @Autowired
    MockMvc mvc;

    private Browser us;

    @BeforeEach
    void practice() {
        us = Samples.underWeather(mvc);
    }

    private static ObjectNode ask() {
        return Samples.ask();
    }

    private static JsonNode row(JsonNode dates, String id) {
        for (JsonNode r : dates.path("rows")) {
            if (r.path("id").asText().equals(id)) {
                return r;
            }
        }
        throw new AssertionError("no row " + id);
    }

    @Test
    void days_come_coarse_and_whole_and_schools_beside_them() {
        JsonNode first = us.post("/api/covers/end-dates", ask().put("coarse", true))
                .json()
                .path("dates");
        assertThat(first.path("coarse").asBoolean()).isTrue();
        JsonNode whole = us.post("/api/covers/end-dates", ask().put("coarse", false))
                .json()
                .path("dates");
        assertThat(row(whole, "water").path("points").size()).isGreaterThan(10);
        assertThat(row(whole, "tops")).isEqualTo(row(first, "tops"));
        JsonNode schools = us.post("/api/covers/end-schools", ask()).json();
        assertThat(schools.path("schools").size()).isGreaterThan(5);
    }

    /** A page asks for it by itself: that there is nothing to compare yet is no error. */
    @Test
    void a_cover_whose_days_are_past_is_told_so() {
        JsonNode past = us.post(
                        "/api/covers/end-dates", ask().put("asOf", "2029-01-01").put("coarse", false))
                .json();
        assertThat(past.path("why").asText()).contains("past");
        assertThat(past.path("dates").isMissingNode() || past.path("dates").isNull())
                .isTrue();
    }

    @Test
    void a_cover_that_is_not_there_is_refused_at_its_place() {
        Browser.Answer refused =
                us.post("/api/covers/end-dates", ask().put("coarse", false).put("coverId", "nobody"));
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.text()).contains("no such cover");
    }

    private static String part(ZipFile zip, String name) throws IOException {
        return new String(zip.getInputStream(zip.getEntry(name)).readAllBytes(), StandardCharsets.UTF_8);
    }

    /** A workbook is a zip of parts (ECMA-376): its sheet holds a line a day. */
    @Test
    void the_table_is_a_workbook(@TempDir Path folder) throws IOException {
        Browser.Answer file = us.post("/api/covers/end-dates/workbook", ask().put("coarse", false));
        assertThat(file.response().getContentType()).contains("spreadsheetml");
        Path kept = Files.write(folder.resolve("days.xlsx"), file.bytes());
        String sheet;
        String strings;
        try (ZipFile zip = new ZipFile(kept.toFile())) {
            sheet = part(zip, "xl/worksheets/sheet1.xml");
            strings = part(zip, "xl/sharedStrings.xml");
        }
        assertThat(strings).contains("cover ended on").contains("Dry tops");
        assertThat(sheet.split("<row ").length).isGreaterThan(30);
    }

    @Test
    void a_zone_that_the_farm_switches_on_is_a_stop_and_one_that_is_not_there_is_refused() {
        String farmId = us.get("/api/fields/f1").json().path("farmId").asText();
        String farm = us.get("/api/farms").json().get(0).toString();
        Browser.Answer refused = us.change(
                "/api/farms/" + farmId, farm, farm.replaceFirst("\\{", "{\"endRules\":{\"zone\":\"zone-9\"},"));
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.text()).contains("no zone of the library");
        assertThat(us.change(
                                "/api/farms/" + farmId,
                                farm,
                                farm.replaceFirst("\\{", "{\"endRules\":{\"zone\":\"zone-1-v4\"},"))
                        .status())
                .isEqualTo(200);
        ObjectNode asked = Browser.JSON.createObjectNode().put("asOf", "2026-06-01");
        asked.set("plan", Samples.plan());
        assertThat(us.post("/api/evaluations", asked).text()).contains("end-rule-broken");
    }
}
