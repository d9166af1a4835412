package app.etlo.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/** The log of a field over HTTP: written once, never changed, and read by every plan of the field. */
@ServerTest
class LogTest {
    private static final String ENTRY = "/api/fields/f1/log/e1";

    @Autowired
    MockMvc mvc;

    private Browser us;

    @BeforeEach
    void practice() {
        us = Samples.underWeather(mvc);
    }

    static String kill(String on, int alive) {
        return "{\"coverId\":\"" + Samples.plan().at("/covers/0/id").asText() + "\",\"on\":\"" + on
                + "\",\"check\":{\"id\":\"here\",\"on\":\"" + on + "\",\"gate\":{\"kind\":\"kill\",\"alivePercent\":"
                + alive
                + "}}}";
    }

    private JsonNode log() {
        return us.get("/api/fields/f1/log").json();
    }

    private JsonNode verdicts() {
        ObjectNode ask = Browser.JSON.createObjectNode().put("asOf", "2027-06-10");
        ask.set("plan", Samples.plan());
        return us.post("/api/evaluations", ask)
                .json()
                .at("/grow/steps/" + Samples.plan().at("/covers/0/id").asText() + "/verdicts");
    }

    @Test
    void an_entry_sent_again_is_one_entry_and_every_plan_of_the_field_reads_it() {
        assertThat(us.put(ENTRY, kill("2027-05-12", 40)).status()).isEqualTo(204);
        assertThat(us.put(ENTRY, kill("2027-05-12", 90)).status()).isEqualTo(204);
        assertThat(log()).hasSize(1);
        assertThat(log().at("/0/check/gate/alivePercent").asInt()).isEqualTo(40);
        assertThat(log().at("/0/stands").asBoolean()).isTrue();
        assertThat(verdicts().path("e1").at("/0/about").asText()).isEqualTo("kill");
    }

    @Test
    void what_is_taken_back_is_still_in_the_log_and_no_longer_counts() {
        us.put(ENTRY, kill("2027-05-12", 40));
        String taken = "{\"coverId\":\"v1\",\"on\":\"2027-05-12\",\"replaces\":\"e1\"}";
        assertThat(us.put("/api/fields/f1/log/e2", taken).status()).isEqualTo(204);
        assertThat(log()).hasSize(2);
        assertThat(log().at("/1/stands").asBoolean()).isFalse();
        assertThat(verdicts().path("e1").isMissingNode()).isTrue();
    }

    @Test
    void what_cannot_be_is_refused_at_its_place() {
        assertThat(us.put(ENTRY, kill("2027-05-12", 140)).text()).contains("/check/gate/alivePercent");
        assertThat(us.put("/api/fields/f1/log/" + "e".repeat(65), kill("2027-05-12", 40))
                        .status())
                .isEqualTo(400);
        assertThat(us.put(ENTRY, "{\"coverId\":\"v1\",\"on\":\"2027-05-12\"}").status())
                .isEqualTo(400);
        assertThat(us.put(ENTRY, kill("2027-05-12", 40).replace("{\"coverId", "{\"replaces\":\"none\",\"coverId"))
                        .text())
                .contains("/replaces");
        assertThat(us.put("/api/fields/nowhere/log/e1", kill("2027-05-12", 40)).status())
                .isEqualTo(404);
        assertThat(log()).isEmpty();
    }

    @Test
    void it_goes_with_the_plan_into_a_file_and_out_of_it() {
        us.put(ENTRY, kill("2027-05-12", 40));
        String plan = us.get("/api/plans/p1/dossier").text();
        Browser other = Browser.ofNewPractice(mvc);
        assertThat(other.file("/api/dossiers", plan.getBytes(StandardCharsets.UTF_8))
                        .status())
                .isEqualTo(200);
        assertThat(other.get("/api/fields/f1/log").json()).hasSize(1);
        assertThat(other.get("/api/plans/p1/dossier").text()).isEqualTo(plan);
    }
}
