package app.etlo.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.Function;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/** Some thousands of documents with pieces changed at random, from fixed seeds: never a fault of the server, never a hang. */
@ServerTest
class FuzzTest {
    /** So many times the usual number of mutants; scripts/attack.sh sets more. */
    private static final int LONGER = Integer.getInteger("etlo.fuzz", 1);
    /** One request that takes longer hangs. */
    private static final Duration HANGS = Duration.ofSeconds(30);

    @Autowired
    MockMvc mvc;

    Browser browser;

    @BeforeEach
    void fresh() {
        browser = Browser.ofNewPractice(mvc);
        Samples.into(browser);
    }

    /** Sends mutants and gives which answers came. */
    private List<Integer> send(int times, long seed, Function<Random, Browser.Answer> one) {
        Random r = new Random(seed);
        List<Integer> seen = new ArrayList<>();
        for (int i = 0; i < times * LONGER; i++) {
            Browser.Answer a = assertTimeoutPreemptively(HANGS, () -> one.apply(r));
            assertThat(a.status()).as(a.text()).isIn(200, 201, 400, 404, 409, 413, 422);
            assertThat(a.text()).doesNotContain("Exception").doesNotContain("app.etlo");
            seen.add(a.status());
        }
        assertThat(seen).contains(200, 400);
        return seen;
    }

    @Test
    void plans() {
        JsonNode sound =
                Browser.JSON.createObjectNode().put("asOf", "2026-06-01").set("plan", Samples.plan());
        assertThat(send(400, 20260601, r -> browser.post("/api/evaluations", broken(sound, r))))
                .hasSize(400 * LONGER);
    }

    @Test
    void saves_of_plans() {
        JsonNode sound = Samples.plan();
        int[] revision = {1};
        assertThat(send(250, 20260602, r -> {
                    Browser.Answer a =
                            browser.save(broken(sound, r), revision[0], "fuzz-" + r.nextLong(1L << 40) + "-request");
                    if (a.status() == 200) {
                        revision[0] = a.json().path("revision").asInt();
                    }
                    return a;
                }))
                .hasSize(250 * LONGER);
        // whatever was taken, the history of it can be told
        assertThat(browser.get("/api/plans/p1/revisions").status()).isEqualTo(200);
    }

    @Test
    void dossiers() {
        String text = Samples.dossier();
        assertThat(send(300, 20260603, r -> {
                    StringBuilder cut = new StringBuilder(text);
                    int at = r.nextInt(cut.length());
                    cut.replace(
                            at,
                            Math.min(cut.length(), at + r.nextInt(12)),
                            r.nextBoolean() ? "" : PIECES.get(r.nextInt(PIECES.size())));
                    return browser.file("/api/dossiers", cut.toString().getBytes(StandardCharsets.UTF_8));
                }))
                .hasSize(300 * LONGER);
    }

    @Test
    void outlines() throws Exception {
        JsonNode sound = Browser.JSON.readTree(
                "{\"type\":\"FeatureCollection\",\"features\":[{\"type\":\"Feature\",\"properties\":{\"name\":\"a\"},"
                        + "\"geometry\":{\"type\":\"MultiPolygon\",\"coordinates\":[[[[-30,20],[-29.99,20],[-29.99,20.01],"
                        + "[-30,20.01],[-30,20]],[[-29.997,20.003],[-29.997,20.006],[-29.994,20.006],[-29.997,20.003]]],"
                        + "[[[-29.98,20],[-29.97,20],[-29.97,20.01],[-29.98,20]]]]}}]}");
        assertThat(send(450, 20260604, r -> browser.post("/api/boundaries", broken(sound, r))))
                .hasSize(450 * LONGER);
    }

    @Test
    void farms_fields_and_lots() {
        for (String path : List.of("/api/farms/farm1", "/api/fields/f1")) {
            JsonNode document = path.contains("farm1")
                    ? browser.get("/api/farms").json().get(0)
                    : browser.get(path).json();
            ObjectNode sound = Browser.JSON.createObjectNode();
            sound.set("base", document);
            sound.set("mine", document);
            assertThat(send(
                            250,
                            20260605,
                            r -> browser.put(path, broken(sound, r).toString())))
                    .hasSize(250 * LONGER);
        }
    }

    private void tables(String path, String sound, long seed) {
        assertThat(send(300, seed, r -> {
                    StringBuilder table = new StringBuilder(sound);
                    for (int k = r.nextInt(4); k >= 0; k--) {
                        int at = r.nextInt(table.length());
                        table.replace(
                                at, Math.min(table.length(), at + r.nextInt(6)), PIECES.get(r.nextInt(PIECES.size())));
                    }
                    return browser.file(path, table.toString().getBytes(StandardCharsets.UTF_8));
                }))
                .hasSize(300 * LONGER);
    }

    @Test
    void tables_of_lots() {
        tables(
                "/api/lots/tables",
                "species;lot;purity %;germination %;hard seed %;tested;bag kg;supplier\n"
                        + "Cereal rye;R 1;98,5;91;;2026-08-01;25;Somebody\n"
                        + "Hairy vetch;\"V; 2\";96;82;9;;;\n"
                        + "Crimson clover;C 3;97.5;88;4;2026-07-12;20;\n",
                20260606);
    }

    @Test
    void weather_files_and_soil_tests() {
        tables(
                "/api/weather/previews?latitude=50",
                "DATE,TMIN,TMAX,TMAX_ATTRIBUTES,PRCP,SNWD\n2020-02-28,-12,35,\",,W\",0,0\n"
                        + "2020-02-29,1,64,\",X,W\",12,-9999\n20200301,5,71,,3,0\n2020-03-05,5,71,,3,0\n",
                20260607);
        tables(
                "/api/soil-tests/tables",
                "Sampled,Depth (cm),pH,OM %,Olsen P,K\n2025-03-11,20,6.7,2.6,25,158\n2025-03-11,60,6.9,,,\n",
                20260608);
    }

    @Test
    void bytes_that_are_no_text() {
        Random r = new Random(20260607);
        for (int i = 0; i < 200 * LONGER; i++) {
            byte[] noise = new byte[r.nextInt(4000)];
            r.nextBytes(noise);
            for (String path :
                    List.of("/api/dossiers", "/api/lots/tables", "/api/weather/previews", "/api/soil-tests/tables")) {
                // of a table, a few bytes may happen to be a head without a line; it is looked at, never kept
                assertThat(browser.file(path, noise).status())
                        .as(path)
                        .isIn(path.equals("/api/dossiers") ? List.of(400) : List.of(200, 400));
            }
        }
    }

    /** Deeper than any document is, and wider. */
    @Test
    void towers_and_plains() {
        for (String body : List.of(
                "[".repeat(100_000) + "]".repeat(100_000),
                "{\"a\":".repeat(50_000) + "1" + "}".repeat(50_000),
                "{\"type\":\"Polygon\",\"coordinates\":[[" + "[0,0],".repeat(200_000) + "[0,0]]]}",
                "{\"asOf\":\"" + "9".repeat(1_000_000) + "\"}",
                "{\"n\":" + "9".repeat(1_000_000) + "}")) {
            for (String path : List.of("/api/boundaries", "/api/evaluations")) {
                Browser.Answer a = assertTimeoutPreemptively(HANGS, () -> browser.post(path, body));
                assertThat(a.status()).as(path).isIn(400, 413);
            }
        }
    }

    private static final List<String> PIECES = List.of(
            "",
            "\"",
            ";",
            ",",
            "\n",
            "\"},[9e999",
            "null",
            "-1",
            "\u0000",
            "\uFEFF",
            "NaN",
            "1e308",
            "{",
            "'",
            "=1+1",
            "99999999999");

    private static JsonNode broken(JsonNode sound, Random r) {
        JsonNode broken = sound.deepCopy();
        for (int k = r.nextInt(3); k >= 0; k--) {
            mutate(broken, r);
        }
        return broken;
    }

    private static final List<JsonNode> ODD = List.of(
            Browser.JSON.nullNode(),
            Browser.JSON.getNodeFactory().numberNode(-1),
            Browser.JSON.getNodeFactory().numberNode(0),
            Browser.JSON.getNodeFactory().numberNode(1e9),
            Browser.JSON.getNodeFactory().numberNode(1e-9),
            Browser.JSON.getNodeFactory().textNode(""),
            Browser.JSON.getNodeFactory().textNode("ha"),
            Browser.JSON.getNodeFactory().textNode("2026-02-29"),
            Browser.JSON.getNodeFactory().booleanNode(true),
            Browser.JSON.createArrayNode(),
            Browser.JSON.createObjectNode());

    /** Puts something odd somewhere, or takes something out. */
    private static void mutate(JsonNode node, Random r) {
        JsonNode at = node;
        while (true) {
            int n = at.size();
            if (n == 0) {
                return;
            }
            int k = r.nextInt(n);
            JsonNode child;
            if (at instanceof ObjectNode o) {
                String name = new ArrayList<>(iterable(o)).get(k);
                child = o.get(name);
                if (!child.isContainerNode() || r.nextInt(4) == 0) {
                    if (r.nextInt(4) == 0) {
                        o.remove(name);
                    } else {
                        o.set(name, ODD.get(r.nextInt(ODD.size())));
                    }
                    return;
                }
            } else {
                ArrayNode a = (ArrayNode) at;
                child = a.get(k);
                if (!child.isContainerNode() || r.nextInt(4) == 0) {
                    if (r.nextBoolean()) {
                        a.remove(k);
                    } else {
                        a.add(child.deepCopy());
                    }
                    return;
                }
            }
            at = child;
        }
    }

    private static List<String> iterable(ObjectNode o) {
        List<String> names = new ArrayList<>();
        o.fieldNames().forEachRemaining(names::add);
        return names;
    }
}
