package app.etlo.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.awaitility.Awaitility;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;

/** The list of fields: pages, search, filters and orders made by the database; a fault of one plan is its own. */
@ServerTest
class FieldListTest {
    @Autowired
    MockMvc mvc;

    @Autowired
    JdbcClient jdbc;

    Browser browser;

    @BeforeEach
    void practice() {
        browser = Browser.ofNewPractice(mvc);
    }

    private void fields(String... names) {
        for (int i = 0; i < names.length; i++) {
            String one = Samples.dossier()
                    .replace("\"p1\"", "\"p-" + i + "\"")
                    .replace("\"f1\"", "\"f-" + i + "\"")
                    .replace("\"Upper Bank\"", "\"" + names[i] + "\"");
            assertThat(browser.file("/api/dossiers", one.getBytes(StandardCharsets.UTF_8))
                            .status())
                    .isEqualTo(200);
        }
        Awaitility.await()
                .atMost(Duration.ofSeconds(60))
                .until(() -> read("").path("pending").asInt() == 0);
    }

    private JsonNode read(String query) {
        Browser.Answer a = browser.get("/api/fields" + query);
        assertThat(a.status()).as(a.text()).isEqualTo(200);
        return a.json();
    }

    private static List<String> names(JsonNode page) {
        List<String> found = new ArrayList<>();
        page.path("fields").forEach(f -> found.add(f.path("name").asText()));
        return found;
    }

    @Test
    void pages_follow_each_other_without_a_gap_or_a_field_twice() {
        fields("Delta", "alpha", "Charlie", "bravo", "Echo");
        // an empty field has nothing dated ahead and comes last
        browser.add(
                "/api/fields/bare",
                "{\"id\":\"bare\",\"farmId\":\"farm1\",\"name\":\"Aardvark\",\"area\":{\"value\":3,\"unit\":\"ha\"}}");
        for (String order : List.of("next", "name", "farm")) {
            List<String> all = new ArrayList<>();
            String after = "";
            do {
                JsonNode page = read("?limit=2&order=" + order + "&after=" + after);
                assertThat(page.path("matching").asInt()).isEqualTo(6);
                all.addAll(names(page));
                after = page.path("next").asText();
            } while (!after.isEmpty());
            assertThat(all)
                    .as(order)
                    .containsExactlyElementsOf(
                            order.equals("next")
                                    ? List.of("alpha", "bravo", "Charlie", "Delta", "Echo", "Aardvark")
                                    : List.of("Aardvark", "alpha", "bravo", "Charlie", "Delta", "Echo"));
        }
    }

    @Test
    void the_database_searches_and_filters() {
        fields("Delta", "alpha");
        read("");
        assertThat(names(read("?find=ALPH"))).containsExactly("alpha");
        assertThat(names(read("?find=thornlea"))).hasSize(2);
        String stand = browser.get("/api/field-sections?field=f-0")
                .json()
                .at("/f-0/stands/0/label")
                .asText();
        assertThat(names(read("?find=" + stand.toUpperCase(java.util.Locale.ROOT))))
                .as("what stands on it, " + stand)
                .hasSize(2);
        assertThat(names(read("?find=100%25"))).isEmpty();
        assertThat(names(read("?show=undated"))).isEmpty();
        assertThat(read("?show=due").path("matching").asInt())
                .isEqualTo(names(read("?show=due")).size());
        assertThat(names(read("?show=fault"))).isEmpty();
        assertThat(read("?find=alph").path("total").asInt()).isEqualTo(2);
    }

    @Test
    void a_page_of_fifty_carries_no_pictures_and_is_small() {
        String[] names = new String[60];
        for (int i = 0; i < names.length; i++) {
            names[i] = "Field number " + i;
        }
        fields(names);
        JsonNode page = read("");
        assertThat(page.path("fields")).hasSize(50);
        assertThat(page.toString().length()).isLessThan(150_000);
        assertThat(page.toString()).doesNotContain("stands");
        String two = "field=f-1&field=f-2&field=nowhere";
        JsonNode pictures = browser.get("/api/field-sections?" + two).json();
        assertThat(pictures).hasSize(2);
        assertThat(pictures.at("/f-1/stands").size()).isPositive();
        assertThat(browser.get("/api/field-sections?" + "field=a&".repeat(61)).status())
                .isEqualTo(400);
    }

    @Test
    void a_plan_that_cannot_be_computed_says_so_and_takes_no_other_down() {
        fields("Sound", "Broken");
        // as a later or a damaged version might have left it: it can be read, and no simulation knows what to do with
        // it
        long workspace = jdbc.sql("select max(workspace_id) from adviser")
                .query(Long.class)
                .single();
        app.etlo.server.account.Workspace.acting(
                workspace,
                () -> jdbc.sql("delete from field_summary where field_ref = 'f-1'")
                        .update());
        app.etlo.server.account.Workspace.acting(
                workspace,
                () -> jdbc.sql("update plan_revision set document = replace(document, '\"schemaVersion\":2',"
                                + " '\"schemaVersion\":2,\"strange\":1') where plan_id ="
                                + " (select id from plan where ref = 'p-1')")
                        .update());
        JsonNode page = read("?order=name");
        assertThat(names(page)).containsExactly("Broken", "Sound");
        assertThat(page.at("/fields/0/fault").asText()).startsWith("This plan cannot be computed");
        assertThat(page.at("/fields/1").has("fault")).isFalse();
        assertThat(page.path("pending").asInt())
                .as("nothing is tried over and over")
                .isZero();
        assertThat(names(read("?show=fault"))).containsExactly("Broken");
        assertThat(browser.get("/api/seed").status()).isEqualTo(200);
    }

    @Test
    void a_practice_has_one_day_by_its_own_time_zone() {
        assertThat(browser.get("/api/people").json().path("zone").asText()).isEqualTo("Z");
        assertThat(browser.put("/api/practice/zone", "{\"zone\":\"Pacific/Auckland\"}")
                        .status())
                .isEqualTo(204);
        assertThat(browser.get("/api/people").json().path("zone").asText()).isEqualTo("Pacific/Auckland");
        assertThat(browser.put("/api/practice/zone", "{\"zone\":\"Nowhere/Land\"}")
                        .status())
                .isEqualTo(400);
        fields("One");
        JsonNode first = read("");
        // a day that a browser asks for changes nothing of what is computed for everybody
        assertThat(read("?asOf=2027-03-01")).isEqualTo(first);
        ObjectNode asked =
                Browser.JSON.createObjectNode().put("practice", "Far").put("password", Browser.PASSWORD);
        asked.put("email", java.util.UUID.randomUUID() + "@example.org").put("zone", "America/Regina");
        Browser far = new Browser(mvc);
        far.get("/api/session");
        assertThat(far.post("/api/practices", asked).status()).isEqualTo(201);
        assertThat(far.get("/api/people").json().path("zone").asText()).isEqualTo("America/Regina");
    }
}
