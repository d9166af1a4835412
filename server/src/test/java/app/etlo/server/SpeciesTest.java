package app.etlo.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/** A practice's own values win over the library's, are shown in workings, and stay in its walls. */
@ServerTest
class SpeciesTest {
    private static final String RATE = "/api/species/cereal-rye/cells/rateKgHa";

    @Autowired
    MockMvc mvc;

    private Browser us;

    @BeforeEach
    void practice() {
        us = Browser.ofNewPractice(mvc);
        Samples.into(us);
    }

    private static JsonNode sheet(Browser who) {
        for (JsonNode s : who.get("/api/species").json().path("species")) {
            if (s.path("id").asText().equals("cereal-rye")) {
                return s;
            }
        }
        throw new AssertionError("no rye");
    }

    private JsonNode rateWorking() {
        ObjectNode ask = Browser.JSON.createObjectNode().put("asOf", "2026-06-01");
        ask.set("plan", Samples.plan());
        String cover = Samples.plan().at("/covers/0/id").asText();
        return us.post("/api/workings", ask.put("figureId", "mix/" + cover + "/cereal-rye/plsRate"))
                .json();
    }

    @Test
    void a_correction_changes_evaluations_and_is_shown_in_workings_until_it_is_taken_back() {
        String before = rateWorking().toString();
        assertThat(before).contains("100");
        assertThat(us.put(RATE, "{\"value\":\"80\",\"why\":\"five trials on our silt\"}")
                        .status())
                .isEqualTo(204);
        assertThat(rateWorking().toString()).contains("five trials on our silt").contains("library: 100");
        JsonNode own = sheet(us);
        assertThat(own.at("/cells/rateKgHa").asText()).isEqualTo("80");
        assertThat(own.at("/corrections/rateKgHa/library").asText()).isEqualTo("100");
        assertThat(own.at("/corrections/rateKgHa/by").asText()).contains("@");
        assertThat(us.delete(RATE).status()).isEqualTo(204);
        assertThat(rateWorking().toString()).isEqualTo(before);
        JsonNode history = us.get("/api/species/cereal-rye/corrections").json();
        assertThat(history).hasSize(2);
        assertThat(history.at("/1/value").asText()).isEqualTo("80");
    }

    @Test
    void another_practice_sees_nothing_of_it() {
        us.put(RATE, "{\"value\":\"80\",\"why\":\"ours\"}");
        Browser other = Browser.ofNewPractice(mvc);
        assertThat(sheet(other).path("corrections")).isEmpty();
        assertThat(other.get("/api/species/cereal-rye/corrections").json()).isEmpty();
    }

    @Test
    void an_export_carries_the_corrections() {
        us.put(RATE, "{\"value\":\"80\",\"why\":\"ours\"}");
        assertThat(us.get("/api/plans/p1/dossier").text())
                .contains("\"corrections\"")
                .contains("ours");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            /api/species/cereal-rye/cells/rateKgHa | {"value":"9000","why":"x"} | 400 | /value
            /api/species/cereal-rye/cells/rateKgHa | {"value":"90"}             | 400 | /why
            /api/species/cereal-rye/cells/rateKgHa | {"value":"","why":"x"}     | 400 | /value
            /api/species/cereal-rye/cells/group    | {"value":"kelp","why":"x"} | 400 | /column
            /api/species/cereal-rye/cells/nothing  | {"value":"90","why":"x"}   | 400 | /column
            /api/species/kelp/cells/rateKgHa       | {"value":"90","why":"x"}   | 404 | species
            """)
    void what_cannot_stand_is_refused_at_its_place(String path, String body, int status, String place) {
        Browser.Answer answer = us.put(path, body);
        assertThat(answer.status()).isEqualTo(status);
        assertThat(answer.text()).contains(place);
    }
}
