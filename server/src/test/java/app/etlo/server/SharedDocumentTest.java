package app.etlo.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.function.Consumer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/** Farms, fields and lots edited in two places at once. */
@ServerTest
class SharedDocumentTest {
    @Autowired
    MockMvc mvc;

    Browser browser;
    JsonNode field;

    @BeforeEach
    void sample() {
        browser = Browser.ofNewPractice(mvc);
        Samples.into(browser);
        field = browser.get("/api/fields/f1").json();
    }

    private static JsonNode with(JsonNode document, Consumer<ObjectNode> change) {
        ObjectNode copy = document.deepCopy();
        change.accept(copy);
        return copy;
    }

    private Browser.Answer save(JsonNode base, JsonNode mine) {
        return browser.change("/api/fields/f1", base.toString(), mine.toString());
    }

    @Test
    void changes_of_different_members_come_together() {
        save(field, with(field, f -> f.put("name", "Nether Bank")));
        Browser.Answer second = save(field, with(field, f -> f.put("organicMatterPercent", 4.5)));
        assertThat(second.status()).isEqualTo(200);
        assertThat(second.json().path("name").asText()).isEqualTo("Nether Bank");
        assertThat(browser.get("/api/fields/f1").json()).isEqualTo(second.json());
    }

    @Test
    void changes_of_one_member_are_a_conflict_with_what_is_there_now() {
        save(field, with(field, f -> f.put("name", "Nether Bank")));
        Browser.Answer second = save(field, with(field, f -> f.put("name", "Far Bank")));
        assertThat(second.status()).isEqualTo(409);
        assertThat(second.json().at("/overlaps/0").asText()).isEqualTo("name: Nether Bank → Far Bank");
        assertThat(second.json().at("/theirs/0").asText()).isEqualTo("name: Upper Bank → Nether Bank");
        JsonNode current = second.json().path("current");
        // keeping mine is saving it upon what is there now
        assertThat(save(current, with(current, f -> f.put("name", "Far Bank"))).status())
                .isEqualTo(200);
    }

    @Test
    void a_save_sent_twice_is_no_conflict_with_itself_and_kept_once() {
        JsonNode mine = with(field, f -> f.put("name", "Nether Bank"));
        save(field, mine);
        assertThat(save(field, mine).status()).isEqualTo(200);
        assertThat(browser.get("/api/history/field/f1").json()).hasSize(2);
    }

    @Test
    void a_new_document_does_not_take_the_place_of_another() {
        Browser.Answer a = browser.add(
                "/api/farms/farm1", "{\"id\":\"farm1\",\"name\":\"Other\",\"units\":\"us\",\"currency\":\"USD\"}");
        assertThat(a.status()).isEqualTo(409);
        assertThat(browser.get("/api/farms").json().get(0).path("name").asText())
                .isEqualTo("Thornlea");
    }

    @Test
    void a_lot_taken_out_elsewhere_is_told_and_its_past_remains() {
        JsonNode lot = browser.get("/api/lots").json().get(0);
        String path = "/api/lots/" + lot.path("id").asText();
        assertThat(browser.delete(path).status()).isEqualTo(204);
        Browser.Answer late = browser.change(
                path,
                lot.toString(),
                with(lot, l -> l.put("germinationPercent", 70)).toString());
        assertThat(late.status()).isEqualTo(409);
        assertThat(late.json().path("detail").asText()).contains("removed elsewhere");
        JsonNode history =
                browser.get("/api/history/lot/" + lot.path("id").asText()).json();
        assertThat(history.at("/0/removed").asBoolean()).isTrue();
        Browser.Answer back = browser.post(
                "/api/history/lot/" + lot.path("id").asText() + "/"
                        + history.at("/1/id").asLong() + "/restore",
                "");
        assertThat(back.status()).isEqualTo(204);
        assertThat(browser.get("/api/lots").json()).contains(lot);
    }

    @Test
    void the_history_tells_who_changed_what_and_brings_it_back() {
        save(field, with(field, f -> f.put("name", "Nether Bank").put("drainage", "poorly drained")));
        JsonNode history = browser.get("/api/history/field/f1").json();
        assertThat(history.at("/0/author").asText()).isEqualTo(browser.email());
        assertThat(history.at("/0/changes").toString())
                .contains("name: Upper Bank → Nether Bank")
                .contains("→ poorly drained");
        browser.post("/api/history/field/f1/" + history.at("/1/id").asLong() + "/restore", "");
        assertThat(browser.get("/api/fields/f1").json()).isEqualTo(field);
        assertThat(browser.get("/api/history/field/f1").json()).hasSize(3);
        assertThat(browser.get("/api/history/field/f9").status()).isEqualTo(404);
        assertThat(browser.get("/api/history/people/f1").status()).isEqualTo(404);
    }

    @Test
    void what_cannot_be_is_refused_at_its_place_in_what_was_sent() {
        Browser.Answer a = save(field, with(field, f -> f.put("organicMatterPercent", 400)));
        assertThat(a.json().at("/problems/0/pointer").asText()).endsWith("/organicMatterPercent");
        assertThat(browser.put("/api/fields/f1", "{}").status()).isEqualTo(400);
    }
}
