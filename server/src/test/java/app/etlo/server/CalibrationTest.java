package app.etlo.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/** Catch tests over HTTP: worked out, remembered by machine and seed, and in the walls of the practice. */
@ServerTest
class CalibrationTest {
    @Autowired
    MockMvc mvc;

    private Browser us;

    @BeforeEach
    void practice() {
        us = Browser.ofNewPractice(mvc);
    }

    private static String test(double setting, double caughtG, String material) {
        return """
                {"kind":"drill-distance","machine":"Long drill","material":"%s","setting":%s,
                "target":{"value":100,"unit":"kg/ha"},"measured":{"caught":{"value":%s,"unit":"g"},
                "width":{"value":3,"unit":"m"},"distance":{"value":50,"unit":"m"}}}
                """.formatted(material, setting, caughtG);
    }

    @Test
    void a_catch_says_by_how_much_to_open_and_past_catches_give_the_next_setting() {
        JsonNode first =
                us.post("/api/calibrations/results", test(20, 750, "rye")).json();
        assertThat(first.path("delivered").asDouble()).isCloseTo(50, within(1e-9));
        assertThat(first.path("change").asDouble()).isCloseTo(100, within(1e-9));
        assertThat(first.path("nextSetting").asDouble()).isCloseTo(40, within(1e-9));
        assertThat(first.path("say").asText()).startsWith("Open: 100 % more");
        assertThat(us.put("/api/calibrations/k1", test(20, 750, "rye")).status())
                .isEqualTo(204);
        assertThat(us.put("/api/calibrations/k2", test(50, 2250, "rye")).status())
                .isEqualTo(204);
        // between 50 at 20 and 150 at 50: 100 at 35
        JsonNode next =
                us.post("/api/calibrations/results", test(20, 750, " RYE ")).json();
        assertThat(next.path("nextSetting").asDouble()).isCloseTo(35, within(1e-9));
        // another seed has catches of its own
        JsonNode vetch =
                us.post("/api/calibrations/results", test(20, 750, "vetch")).json();
        assertThat(vetch.path("nextSetting").asDouble()).isCloseTo(40, within(1e-9));
    }

    @Test
    void a_catch_sent_again_is_one_catch_and_nobody_else_sees_it() {
        us.put("/api/calibrations/k1", test(20, 750, "rye"));
        us.put("/api/calibrations/k1", test(20, 750, "rye"));
        assertThat(us.get("/api/calibrations").json().path("catches")).hasSize(1);
        assertThat(Browser.ofNewPractice(mvc).get("/api/calibrations").json().path("catches"))
                .isEmpty();
    }

    @Test
    void what_cannot_be_is_refused_at_its_place() {
        String bad = test(20, 750, "rye")
                .replace("\"unit\":\"g\"", "\"unit\":\"ha\"")
                .replace("\"value\":50,\"unit\":\"m\"", "\"value\":50,\"unit\":\"ft\"")
                .replace("\"value\":3,", "\"value\":300,")
                .replace("Long drill", "");
        Browser.Answer answer = us.post("/api/calibrations/results", bad);
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.text())
                .contains("/machine")
                .contains("/measured/caught")
                .contains("/measured/width")
                .doesNotContain("/measured/distance");
    }
}
