package app.etlo.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/** Candidates, proposals and the frontier over HTTP. */
@ServerTest
class MixTest {
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

    private ObjectNode ask(String wishes) throws Exception {
        ObjectNode ask = ask();
        ask.set("wishes", Browser.JSON.readTree(wishes));
        return ask;
    }

    @Test
    void what_moves_a_simulated_figure_most_is_told() {
        JsonNode s = us.post(
                        "/api/sensitivities",
                        ask().put("figureId", "grow/livingRootDays").without("coverId"))
                .json();
        assertThat(s.path("moves").size()).isGreaterThan(5);
        assertThat(s.path("confidence").asText()).isIn("high", "medium", "low");
        assertThat(s.path("source").asText()).isNotBlank();
        assertThat(us.post(
                                "/api/sensitivities",
                                ask().put("figureId", "field/area").without("coverId"))
                        .status())
                .isEqualTo(404);
    }

    @Test
    void candidates_come_with_reasons_and_workings() {
        JsonNode list = us.post("/api/mixes/candidates", ask()).json();
        assertThat(list.path("candidates").size()).isGreaterThanOrEqualTo(64);
        String figure = list.at("/candidates/0/mass/id").asText();
        JsonNode working = us.post(
                        "/api/workings", ask().put("figureId", figure).without("coverId"))
                .json();
        assertThat(working.toString()).contains("Dry tops");
    }

    @Test
    void aims_come_with_what_reaches_them_and_workings() {
        JsonNode view = us.post("/api/mixes/aims", ask()).json();
        assertThat(view.path("aims").size()).isEqualTo(13);
        String figure = view.findPath("gives").path("id").asText();
        assertThat(figure).startsWith("mix/");
        assertThat(us.post("/api/workings", ask().put("figureId", figure).without("coverId"))
                        .status())
                .isEqualTo(200);
        assertThat(us.post("/api/mixes/aims", ask().put("coverId", "none")).status())
                .isEqualTo(400);
    }

    @Test
    void the_latest_useful_sowing_of_a_cover_is_asked_for_and_opens_its_working() {
        JsonNode latest = us.post("/api/covers/latest", ask()).json();
        assertThat(latest.path("species").size()).isPositive();
        String figure = latest.at("/species/0/figureId").asText();
        assertThat(us.post("/api/workings", ask().put("figureId", figure).without("coverId"))
                        .json()
                        .toString())
                .contains("Latest useful sowing");
        assertThat(us.post("/api/covers/latest", ask().put("coverId", "none")).status())
                .isEqualTo(400);
    }

    @Test
    void a_proposal_keeps_to_its_cost_and_a_conflict_is_named() throws Exception {
        JsonNode cheap = us.post("/api/mixes/proposals", ask("{\"cost\":{\"value\":60,\"unit\":\"¤/ha\"}}"))
                .json();
        assertThat(cheap.at("/mix/cost").asDouble()).isLessThanOrEqualTo(60.01);
        JsonNode none = us.post(
                        "/api/mixes/proposals",
                        ask("{\"cost\":{\"value\":1,\"unit\":\"¤/ha\"},\"species\":{\"least\":8,\"most\":9}}"))
                .json();
        assertThat(none.path("mix").isMissingNode()).isTrue();
        assertThat(none.path("conflict").toString())
                .contains("seed cost at most")
                .contains("number of species");
    }

    @Test
    void wishes_that_cannot_be_are_refused_at_their_place() throws Exception {
        // also where points are told as they are found: before the first, not in the middle of an answer that began
        // well
        for (String path : java.util.List.of("/api/mixes/proposals", "/api/mixes/frontier")) {
            Browser.Answer answer = us.post(
                    path,
                    ask(
                            "{\"boxes\":3,\"cost\":{\"value\":1,\"unit\":\"kg/ha\"},\"aims\":{\"joy\":{\"value\":1,\"unit\":\"kg\"}}}"));
            assertThat(answer.status()).as(path).isEqualTo(400);
            assertThat(answer.text())
                    .contains("/wishes/boxes")
                    .contains("/wishes/cost")
                    .contains("/wishes/aims/joy");
        }
    }

    @Test
    void the_frontier_is_a_line_for_each_point() throws Exception {
        String[] lines =
                us.post("/api/mixes/frontier", ask("{}")).text().strip().split("\n");
        assertThat(Browser.JSON.readTree(lines[0]).has("own")).isTrue();
        assertThat(lines).hasSize(12);
        assertThat(Browser.JSON.readTree(lines[11]).path("done").asBoolean()).isTrue();
    }

    @Test
    void what_each_species_buys_and_what_one_more_would() {
        JsonNode buys = us.post("/api/mixes/buys", ask()).json();
        assertThat(buys.path("members").size())
                .isEqualTo(Samples.plan().at("/covers/0/mix/components").size());
        assertThat(buys.path("more")).isNotEmpty();
        assertThat(us.post("/api/mixes/buys", ask().put("base", "kelp")).status())
                .isEqualTo(400);
    }

    @Test
    void a_ready_made_bag_of_the_store_is_sown_as_its_species() {
        String bag = "{\"mine\":{\"id\":\"b1\",\"species\":\"cereal-rye\",\"label\":\"Ready\",\"purityPercent\":100,"
                + "\"germinationPercent\":100,\"parts\":["
                + "{\"species\":\"spring-oats\",\"percent\":70,\"germinationPercent\":90},"
                + "{\"species\":\"phacelia\",\"percent\":20,\"germinationPercent\":80}]}}";
        JsonNode kept = us.put("/api/lots/b1", bag).json();
        assertThat(kept.path("species").asText()).isEqualTo("spring-oats");
        assertThat(kept.path("purityPercent").asDouble()).isEqualTo(90);
        ObjectNode ask = ask();
        // the sample is of version 1, which knew no bags
        ask.set("plan", us.post("/api/formats/plan", ask.get("plan")).json());
        ((ObjectNode) ask.at("/plan/covers/0/mix"))
                .putObject("bag")
                .put("lotId", "b1")
                .putObject("rate")
                .put("value", 40)
                .put("unit", "kg/ha");
        assertThat(us.post("/api/mixes/buys", ask).text()).contains("spring-oats", "phacelia");
        assertThat(us.post("/api/mixes/buys", ask).json().path("members").findValuesAsText("name"))
                .contains("Phacelia");
    }

    @Test
    void mixes_are_kept_by_name_in_the_practice() {
        String mix = "{\"id\":\"m1\",\"name\":\"Rye and vetch\",\"mix\":{\"method\":\"share\",\"components\":["
                + "{\"species\":\"cereal-rye\",\"sharePercent\":50}]}}";
        assertThat(us.put("/api/kept-mixes/m1", mix).status()).isEqualTo(204);
        assertThat(us.get("/api/kept-mixes").json().at("/0/name").asText()).isEqualTo("Rye and vetch");
        assertThat(Browser.ofNewPractice(mvc).get("/api/kept-mixes").json()).isEmpty();
        assertThat(us.put("/api/kept-mixes/m1", mix.replace("cereal-rye", "kelp"))
                        .text())
                .contains("/mix/components");
        assertThat(us.put("/api/kept-mixes/m2", mix).status()).isEqualTo(400);
        assertThat(us.delete("/api/kept-mixes/m1").status()).isEqualTo(204);
        assertThat(us.get("/api/kept-mixes").json()).isEmpty();
    }
}
