package app.etlo.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;

/** Weather that is brought, and what a plan makes of it. */
@ServerTest
class WeatherTest {
    @Autowired
    MockMvc mvc;

    private Browser browser;

    @BeforeEach
    void sample() {
        browser = Browser.ofNewPractice(mvc);
        Samples.into(browser);
    }

    private static ObjectNode request(JsonNode plan) {
        ObjectNode body = Browser.JSON.createObjectNode().put("asOf", "2026-06-01");
        body.set("plan", plan);
        return body;
    }

    private JsonNode evaluated() {
        return browser.post("/api/evaluations", request(Samples.plan())).json();
    }

    private void changeField(String member, String value) {
        JsonNode field = browser.get("/api/fields/f1").json();
        ObjectNode mine = field.deepCopy();
        mine.put(member, value);
        assertThat(browser.change("/api/fields/f1", field.toString(), mine.toString())
                        .status())
                .isEqualTo(200);
    }

    @Test
    void a_field_takes_on_the_weather_that_was_imported() {
        String id = Samples.weatherInto(browser);
        changeField("weather", id);
        JsonNode weather = evaluated().path("weather");
        assertThat(weather.path("name").asText()).isEqualTo("Yard");
        assertThat(weather.path("years").asInt()).isEqualTo(2);
        assertThat(weather.path("origin").asText()).isEqualTo("entered");
        JsonNode climate = browser.get("/api/fields/f1/climate?asOf=2026-06-01").json();
        assertThat(climate.path("months")).hasSize(12);
        // 10 of July's 31 days are divisible by three: 62 mm
        assertThat(climate.at("/months/6/rain/middle").asDouble())
                .isEqualTo(62, org.assertj.core.api.Assertions.within(0.1));
    }

    @Test
    void a_dossier_carries_its_weather_into_another_practice() {
        changeField("weather", Samples.weatherInto(browser));
        byte[] file = browser.get("/api/plans/p1/dossier").bytes();
        Browser other = Browser.ofNewPractice(mvc);
        assertThat(other.file("/api/dossiers", file).status()).isEqualTo(200);
        assertThat(other.get("/api/weather").json().at("/series/0/name").asText())
                .isEqualTo("Yard");
    }

    @Test
    void a_file_in_fahrenheit_is_asked_about_and_put_right_by_one_word() {
        StringBuilder fahrenheit = new StringBuilder();
        for (String line : Samples.weatherFile().lines().toList()) {
            String[] c = line.split(",");
            fahrenheit.append(
                    line.startsWith("date")
                            ? line
                            : c[0] + "," + (Double.parseDouble(c[1]) * 1.8 + 32) + ","
                                    + (Double.parseDouble(c[2]) * 1.8 + 32) + "," + c[3]);
            fahrenheit.append('\n');
        }
        byte[] file = fahrenheit.toString().getBytes(StandardCharsets.UTF_8);
        JsonNode asked = browser.file("/api/weather/previews?latitude=50", file).json();
        assertThat(asked.path("temperatureDoubt").asText()).contains("warmest days reach");
        assertThat(asked.path("temperatureOr").toString()).contains("\"f\"");
        JsonNode right = browser.file("/api/weather/previews?latitude=50&temperature=f", file)
                .json();
        assertThat(right.has("temperatureDoubt")).isFalse();
    }

    @Test
    void what_is_no_weather_is_refused_in_words() {
        Browser.Answer a = browser.file("/api/weather/previews", "rye,3\n".getBytes(StandardCharsets.UTF_8));
        assertThat(a.status()).isEqualTo(400);
        assertThat(a.json().at("/problems/0/message").asText()).contains("date,tmin_c,tmax_c,prcp_mm");
        byte[] good = Samples.weatherFile().getBytes(StandardCharsets.UTF_8);
        assertThat(browser.file("/api/weather?name=x&latitude=91", good).status())
                .isEqualTo(400);
        assertThat(browser.file("/api/weather?name=&latitude=50", good).status())
                .isEqualTo(400);
        assertThat(browser.file("/api/weather?name=x&latitude=50&temperature=kelvin", good)
                        .status())
                .isEqualTo(400);
        assertThat(browser.file("/api/weather?name=x&latitude=50&replaces=nothing", good)
                        .status())
                .isEqualTo(404);
    }

    private static JsonNode windowAheadOfC2(JsonNode evaluation) {
        for (JsonNode w : evaluation.path("windows")) {
            if (w.path("beforeCropId").asText().equals("c2")
                    && w.path("kind").asText().equals("between")) {
                return w;
            }
        }
        throw new AssertionError("no window ahead of c2");
    }

    @Test
    void a_series_imported_anew_takes_the_place_of_the_old_one_at_once() {
        String id = Samples.weatherInto(browser);
        changeField("weather", id);
        double before = windowAheadOfC2(evaluated()).at("/degreeDays/value").asDouble();
        String warmer = Samples.weatherFile().replace(",6.2", ",0.1");
        byte[] file = warmer.getBytes(StandardCharsets.UTF_8);
        browser.file("/api/weather?name=Yard&latitude=50&replaces=" + id, file);
        JsonNode now = windowAheadOfC2(evaluated());
        assertThat(now.at("/degreeDays/value").asDouble()).isEqualTo(before);
        assertThat(now.at("/water/value").asDouble()).isLessThan(300);
    }

    @Test
    void a_station_nobody_chose_is_a_default_and_says_so() {
        assertThat(evaluated().has("weather")).isFalse();
        JsonNode field = browser.get("/api/fields/f1").json();
        ObjectNode mine = field.deepCopy();
        mine.putObject("point").put("lat", 43).put("lon", -30);
        browser.change("/api/fields/f1", field.toString(), mine.toString());
        assertThat(evaluated().at("/weather/origin").asText()).isEqualTo("default");
        changeField("station", "tarrow-ridge");
        assertThat(evaluated().at("/weather/origin").asText()).isEqualTo("entered");
        assertThat(browser.get("/api/weather/tarrow-ridge?asOf=2026-06-01&units=us")
                        .json()
                        .path("temperatureUnit")
                        .asText())
                .isEqualTo("°F");
    }

    @Test
    void a_window_is_widened_by_a_plan_that_can_be_saved_as_it_comes() {
        changeField("station", "tarrow-ridge");
        ObjectNode body = request(Samples.plan()).put("windowId", "c1-c2");
        JsonNode proposals = browser.post("/api/windows/proposals", body).json().path("proposals");
        assertThat(proposals).isNotEmpty();
        JsonNode first = proposals.get(0);
        assertThat(first.path("days").asInt()).isPositive();
        assertThat(first.path("degreeDays").asText()).contains("°C d");
        assertThat(browser.save(first.path("plan"), 1, "widen-12345").status()).isEqualTo(200);
        JsonNode species = browser.post("/api/windows/species", body).json();
        assertThat(species).hasSizeGreaterThan(20);
        assertThat(browser.post("/api/windows/species", request(Samples.plan()).put("windowId", "c9-c8"))
                        .status())
                .isEqualTo(400);
    }

    @Test
    void a_rotation_is_repeated_and_taken_to_another_field() {
        JsonNode twice =
                browser.post("/api/rotations/repeated", request(Samples.plan())).json();
        assertThat(twice.path("crops")).hasSize(4);
        assertThat(browser.save(twice, 1, "repeat-12345").status()).isEqualTo(200);
        ObjectNode other = browser.get("/api/fields/f1").json().deepCopy();
        other.put("id", "f2").put("name", "Lower bank");
        browser.add("/api/fields/f2", other.toString());
        Map<String, String> headers = Map.of("X-Request-Id", "copy-1234567");
        ArrayNode fields = Browser.JSON.createArrayNode().add("f2");
        byte[] body = Browser.JSON
                .createObjectNode()
                .set("fieldIds", fields)
                .toString()
                .getBytes(StandardCharsets.UTF_8);
        for (int i = 0; i < 2; i++) {
            JsonNode made = browser.send("POST", "/api/plans/p1/fields", body, MediaType.APPLICATION_JSON, headers)
                    .json();
            assertThat(made.at("/0/current").asBoolean()).isTrue();
        }
        JsonNode copy = browser.get("/api/fields/f2/plan").json();
        assertThat(copy.at("/plan/crops")).hasSize(4);
        assertThat(copy.at("/plan/covers/0/mix/components/0").has("lotId")).isFalse();
        assertThat(browser.get("/api/fields/f2/plans").json()).hasSize(1);
    }

    @Test
    void the_list_of_fields_is_read_from_what_was_computed_until_something_changes() {
        // a reading computes what changed while nobody waits, at least one field, so a few may be needed
        await().until(() -> browser.get("/api/fields").json().path("pending").asInt() == 0);
        JsonNode first = browser.get("/api/fields").json();
        assertThat(browser.get("/api/fields").json()).isEqualTo(first);
        changeField("name", "Upper bank, west");
        assertThat(browser.get("/api/fields").json().at("/fields/0/name").asText())
                .isEqualTo("Upper bank, west");
    }
}
