package app.etlo.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.server.account.Workspace;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Predicate;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;

/** A dead, slow or lying service outside never holds up a plan; the last good answer is used, and the screen is told. */
@ServerTest
class OutsideTest {
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);

    @Autowired
    MockMvc mvc;

    @Autowired
    JdbcClient jdbc;

    private Browser browser;

    @BeforeEach
    void sample() {
        browser = Browser.ofNewPractice(mvc);
        Samples.into(browser);
    }

    private void liesAt(double latitude) {
        JsonNode field = browser.get("/api/fields/f1").json();
        ObjectNode mine = field.deepCopy();
        mine.put("station", "tarrow-ridge")
                .putObject("point")
                .put("lat", latitude)
                .put("lon", 7.5);
        browser.change("/api/fields/f1", field.toString(), mine.toString());
    }

    private static String forecast(double tminC, double tmaxC) {
        ObjectNode body =
                Browser.JSON.createObjectNode().put("issued", Instant.now().toString());
        ArrayNode days = body.putArray("days");
        for (int i = 0; i < 10; i++) {
            days.addObject()
                    .put("date", TODAY.plusDays(i).toString())
                    .put("tmin_c", tminC)
                    .put("tmax_c", tmaxC)
                    .put("prcp_mm", 1.5);
        }
        return body.toString();
    }

    private JsonNode outsideOnce(Predicate<JsonNode> so) {
        Instant end = Instant.now().plus(Duration.ofSeconds(20));
        JsonNode seen = browser.get("/api/fields/f1/outside").json();
        while (!so.test(seen)) {
            assertThat(Instant.now()).as(seen.toString()).isBefore(end);
            LockSupport.parkNanos(Duration.ofMillis(50).toNanos());
            seen = browser.get("/api/fields/f1/outside").json();
        }
        return seen;
    }

    private JsonNode evaluated() {
        ObjectNode body = Browser.JSON.createObjectNode().put("asOf", TODAY.toString());
        body.set("plan", Samples.plan());
        Browser.Answer a = browser.post("/api/evaluations", body);
        assertThat(a.status()).isEqualTo(200);
        return a.json();
    }

    @Test
    void a_good_forecast_stands_for_the_next_days_and_says_when_it_was_made() {
        Outdoors.says("forecast", 41.5, () -> forecast(3, 9));
        Outdoors.says("probe", 41.5, () -> "{\"measured\":\"2026-01-01T06:00:00Z\",\"depth_cm\":5,\"celsius\":7.4}");
        liesAt(41.5);
        assertThat(evaluated().path("weather").has("forecastIssued")).isFalse();
        JsonNode said = outsideOnce(
                o -> o.at("/forecast").has("answered") && o.at("/probe").has("answered"));
        assertThat(said.at("/forecast/answer/days")).hasSize(10);
        assertThat(said.at("/probe/answer/celsius").asDouble()).isEqualTo(7.4);
        assertThat(evaluated().path("weather").has("forecastIssued")).isTrue();
    }

    @Test
    void a_lie_is_not_believed_and_the_last_good_answer_stays() {
        Outdoors.says("forecast", 42.25, () -> forecast(3, 9));
        liesAt(42.25);
        String issued = outsideOnce(o -> o.at("/forecast").has("answered"))
                .at("/forecast/answered")
                .asText();
        Outdoors.says("forecast", 42.25, () -> forecast(12, 4));
        // three hours later it would be asked again
        long mine = jdbc.sql("select max(workspace_id) from adviser")
                .query(Long.class)
                .single();
        int aged = Workspace.acting(
                mine,
                () -> jdbc.sql("update service_answer set fetched_at = fetched_at - interval '4 hours'"
                                + " where place like '42.25,%' and service = 'forecast'")
                        .update());
        assertThat(aged).isEqualTo(1);
        JsonNode then = outsideOnce(o -> o.at("/forecast").has("fault"));
        assertThat(then.at("/forecast/fault").asText())
                .isEqualTo("The forecast service sent a night warmer than its day.");
        assertThat(then.at("/forecast/answered").asText()).isEqualTo(issued);
        assertThat(evaluated().path("weather").has("forecastIssued")).isTrue();
    }

    @Test
    void a_slow_service_is_left_and_plans_are_computed_meanwhile() {
        CountDownLatch never = new CountDownLatch(1);
        Outdoors.says("forecast", 42.75, Outdoors.held(never));
        liesAt(42.75);
        browser.get("/api/fields/f1/outside");
        assertThat(evaluated().path("weather").path("years").asInt()).isEqualTo(30);
        JsonNode then = outsideOnce(o -> o.at("/forecast").has("fault"));
        assertThat(then.at("/forecast/fault").asText()).contains("did not answer in time");
        never.countDown();
    }

    @Test
    void a_dead_service_is_told_and_not_asked_again_at_once() {
        liesAt(43.25);
        JsonNode then = outsideOnce(o -> o.at("/forecast").has("fault"));
        assertThat(then.at("/forecast/fault").asText()).contains("answered 503");
        assertThat(then.at("/forecast/asking").asBoolean()).isFalse();
        assertThat(evaluated().path("weather").has("forecastIssued")).isFalse();
    }
}
