package app.etlo.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/** Evaluation, workings and the whole plan as a file. */
@ServerTest
class EvaluationTest {
    @Autowired
    MockMvc mvc;

    Browser browser;

    @BeforeEach
    void fresh() {
        browser = Browser.ofNewPractice(mvc);
        Samples.into(browser);
    }

    private static ObjectNode ask(JsonNode plan) {
        ObjectNode ask = Browser.JSON.createObjectNode().put("asOf", "2026-06-01");
        ask.set("plan", plan);
        return ask;
    }

    @Test
    void a_plan_is_evaluated_whether_saved_or_not() {
        ObjectNode plan = Samples.plan().deepCopy();
        ((ObjectNode) plan.at("/covers/0/mix/components/0")).put("sharePercent", 80);
        JsonNode e = browser.post("/api/evaluations", ask(plan)).json();
        // 100 kg/ha x 80 % / (0.98 x 0.90)
        assertThat(e.at("/mix/v1/rates/0/bulk/value").asDouble()).isCloseTo(80 / 0.882, within(1e-9));
        assertThat(browser.get("/api/fields/f1/plan")
                        .json()
                        .at("/plan/covers/0/mix/components/0/sharePercent")
                        .asInt())
                .isEqualTo(40);
    }

    @Test
    void parts_of_the_answer_can_be_asked_for_and_names_and_dates_are_always_there() {
        ObjectNode asked = ask(Samples.plan());
        asked.putArray("parts").add("grow").add("feed");
        JsonNode e = browser.post("/api/evaluations", asked).json();
        assertThat(e.at("/feed/c2/coverCredit/value").isNumber()).isTrue();
        assertThat(e.path("section").isMissingNode()).isTrue();
        assertThat(e.path("mix")).isEmpty();
        assertThat(e.at("/crops/0/name").asText()).isNotBlank();
        asked.putArray("parts").add("everything");
        Browser.Answer refused = browser.post("/api/evaluations", asked);
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.json().at("/problems/0/pointer").asText()).startsWith("/parts");
        ObjectNode nothing = ask(Samples.plan());
        nothing.remove("asOf");
        Browser.Answer missing = browser.post("/api/evaluations", nothing);
        assertThat(missing.status()).isEqualTo(400);
        assertThat(missing.json().at("/problems/0/pointer").asText()).isEqualTo("/asOf");
        assertThat(missing.json().at("/problems/0/message").asText()).isEqualTo("is missing");
    }

    @Test
    void a_working_gives_formula_inputs_result_and_source() {
        JsonNode w = browser.post("/api/workings", ask(Samples.plan()).put("figureId", "feed/c2/coverCredit"))
                .json();
        assertThat(w.path("expression").asText()).isEqualTo("tops * released / 100 * evidence");
        assertThat(w.path("inputs").findValuesAsText("symbol")).containsExactly("tops", "released", "evidence");
        assertThat(w.at("/inputs/0/figureId").asText()).isEqualTo("end/v1/nitrogenInTops");
        assertThat(w.path("source").asText()).isNotBlank();
        assertThat(browser.post("/api/workings", ask(Samples.plan()).put("figureId", "feed/c2/magic"))
                        .status())
                .isEqualTo(404);
    }

    @Test
    void what_is_wrong_is_told_at_its_place_in_the_request() {
        ObjectNode plan = Samples.plan().deepCopy();
        ((ObjectNode) plan.at("/covers/0/mix/components/0")).put("species", "dragon-weed");
        Browser.Answer a = browser.post("/api/evaluations", ask(plan));
        assertThat(a.status()).isEqualTo(400);
        assertThat(a.response().getContentType()).startsWith("application/problem+json");
        assertThat(a.json().at("/problems/0/pointer").asText()).isEqualTo("/plan/covers/0/mix/components/0/species");
    }

    @Test
    void today_is_no_hidden_input() {
        ObjectNode without = ask(Samples.plan());
        without.remove("asOf");
        assertThat(browser.post("/api/evaluations", without)
                        .json()
                        .at("/problems/0/pointer")
                        .asText())
                .isEqualTo("/asOf");
        String one = browser.post("/api/evaluations", ask(Samples.plan())).text();
        assertThat(browser.post("/api/evaluations", ask(Samples.plan())).text()).isEqualTo(one);
    }

    @Test
    void a_dossier_comes_back_to_the_byte_after_a_round_through_another_practice() {
        byte[] first = browser.get("/api/plans/p1/dossier").bytes();
        Browser other = Browser.ofNewPractice(mvc);
        assertThat(other.file("/api/dossiers", first).status()).isEqualTo(200);
        assertThat(other.get("/api/plans/p1/dossier").bytes()).isEqualTo(first);
        // taken in again where it is already, it changes nothing
        assertThat(other.file("/api/dossiers", first).json().path("planId").asText())
                .isEqualTo("p1");
        assertThat(other.get("/api/plans/p1/dossier").bytes()).isEqualTo(first);
        assertThat(other.get("/api/fields/f1/plan").json().path("revision").asInt())
                .isEqualTo(1);
    }

    @Test
    void an_import_over_a_changed_plan_can_be_undone() {
        String text = Samples.dossier().replace("\"sharePercent\": 40", "\"sharePercent\": 45");
        byte[] file = text.getBytes(StandardCharsets.UTF_8);
        // nothing is overwritten unasked
        Browser.Answer asked = browser.file("/api/dossiers", file);
        assertThat(asked.status()).isEqualTo(409);
        assertThat(asked.json().path("differences").toString()).contains("45");
        assertThat(browser.get("/api/fields/f1/plan").json().path("revision").asInt())
                .isEqualTo(1);
        JsonNode copy = browser.file("/api/dossiers?existing=copy", file).json();
        assertThat(copy.path("current").asBoolean()).isFalse();
        assertThat(copy.path("planId").asText()).isNotEqualTo("p1");
        assertThat(browser.file("/api/dossiers?existing=replace", file).status())
                .isEqualTo(200);
        JsonNode now = browser.get("/api/fields/f1/plan").json();
        assertThat(now.path("revision").asInt()).isEqualTo(2);
        assertThat(browser.step("undo", "p1", 2)
                        .json()
                        .at("/plan/covers/0/mix/components/0/sharePercent")
                        .asInt())
                .isEqualTo(40);
    }

    @Test
    void a_dossier_that_cannot_be_taken_leaves_nothing_behind() {
        Browser other = Browser.ofNewPractice(mvc);
        String bad = Samples.dossier().replace("\"uan28\"", "\"magic\"");
        Browser.Answer a = other.file("/api/dossiers", bad.getBytes(StandardCharsets.UTF_8));
        assertThat(a.status()).isEqualTo(400);
        assertThat(a.json().at("/problems/0/pointer").asText()).isEqualTo("/plan/crops/1/nitrogen/product");
        assertThat(other.get("/api/farms").json()).isEmpty();
        assertThat(other.get("/api/lots").json()).isEmpty();
    }

    @Test
    void the_list_of_fields_tells_the_next_decision_and_the_heaviest_note() {
        JsonNode row = browser.get("/api/fields").json().at("/fields/0");
        assertThat(row.path("area").asText()).isEqualTo("12 ha");
        assertThat(row.at("/next/what").asText()).isEqualTo("harvest winter barley");
        assertThat(row.at("/next/date").asText()).isEqualTo("2026-07-10");
        assertThat(browser.get("/api/fields").json().path("asOf").asText()).isEqualTo("2026-06-01");
    }

    @Test
    void the_schema_is_served_without_signing_in() {
        Browser stranger = new Browser(mvc);
        assertThat(stranger.get("/api/formats/plan.schema.json")
                        .json()
                        .path("title")
                        .asText())
                .isEqualTo("Etlo plan document");
    }

    @Test
    void lots_and_boundaries_are_looked_at_before_they_are_taken() {
        Browser.Answer lot = browser.add(
                "/api/lots/x",
                "{\"id\":\"x\",\"species\":\"cereal-rye\",\"label\":\"X\",\"purityPercent\":98,\"germinationPercent\":-4}");
        assertThat(lot.json().at("/problems/0/pointer").asText()).isEqualTo("/germinationPercent");
        Browser.Answer seen = browser.post(
                "/api/boundaries",
                "{\"type\":\"Polygon\",\"coordinates\":[[[0,50],[0.01,50],[0.01,50.01],[0,50.01],[0,50]]]}");
        assertThat(seen.json().path("areaHa").asDouble()).isBetween(79.0, 80.0);
        Browser.Answer open = browser.post(
                "/api/boundaries",
                "{\"type\":\"Polygon\",\"coordinates\":[[[0,50],[0.01,50],[0.01,50.01],[0,50.01]]]}");
        assertThat(open.json().at("/problems/0/pointer").asText()).isEqualTo("/coordinates/0");
    }
}
