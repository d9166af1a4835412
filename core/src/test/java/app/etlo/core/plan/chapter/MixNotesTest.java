package app.etlo.core.plan.chapter;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.core.advice.MissingFact;
import app.etlo.core.advice.Note;
import app.etlo.core.advice.Step;
import app.etlo.core.advice.Weight;
import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.document.Dossier;
import app.etlo.core.plan.document.Json;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanReader;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Notes about species, seed and sowing: each where it should speak, and silent where it should not. */
class MixNotesTest {
    private static final String FIELD = "\"station\":\"tarrow-ridge\",\"point\":{\"lat\":43,\"lon\":-30}";

    private static final String ZONES = ",\"zones\":{\"rowWidth\":{\"value\":76,\"unit\":\"cm\"},"
            + "\"bandWidth\":{\"value\":25,\"unit\":\"cm\"}}";

    private String field = FIELD;
    private String next = "grain-corn";
    private String planted = "2028-05-08";
    private List<String> aims = List.of("build-organic-matter");
    private String method = "burndown";
    private String sowing = "\"method\":\"drilled\"";
    private String end = "2028-05-01";
    private String second = "";
    private String sown = "2027-08-20";
    private String mix = "";
    private String lots = "";
    private String zones = "";

    private List<Note> notes() {
        String text = FieldPlans.of()
                .field(field)
                .lots(lots)
                .crop("soybean", "2027-05-10", "2027-08-10")
                .crop(next, planted, "2028-10-15")
                .coverWithAims("v1", "before", "c2", aims, "cereal-rye")
                .operation("sow", "v1", sown, sowing)
                .operation("end", "v1", end, "\"method\":\"" + method + "\"")
                .text()
                .replaceFirst("\"components\":\\[[^]]*]", "\"components\":[" + mix + "]" + zones);
        Dossier d = Plans.read(text);
        PlanDocument plan = second.isEmpty() ? d.plan() : endedTwice(d.plan());
        return new Evaluator(Plans.KNOWLEDGE)
                .evaluate(plan, d.context(), FieldPlans.AS_OF)
                .notes();
    }

    private MixNotesTest mix(Object... speciesAndShares) {
        StringBuilder parts = new StringBuilder();
        for (int i = 0; i < speciesAndShares.length; i += 2) {
            parts.append(parts.isEmpty() ? "" : ",")
                    .append("{\"species\":\"%s\",\"sharePercent\":%s,\"lotId\":\"%s\"}"
                            .formatted(speciesAndShares[i], speciesAndShares[i + 1], speciesAndShares[i]));
        }
        mix = parts.toString();
        return this;
    }

    private MixNotesTest lot(String species, String members) {
        lots += (lots.isEmpty() ? "" : ",")
                + ("{\"id\":\"%s\",\"species\":\"%s\",\"label\":\"L %s\",\"purityPercent\":98,\"germinationPercent\":90,"
                                + "\"testedOn\":\"2026-05-01\"%s}")
                        .formatted(species, species, species, members);
        return this;
    }

    private PlanDocument endedTwice(PlanDocument plan) {
        ObjectNode tree = (ObjectNode) Json.tree(Json.write(plan));
        for (JsonNode o : tree.path("operations")) {
            if (o.path("kind").asText().equals("end")) {
                ((ArrayNode) o.path("passes"))
                        .addObject()
                        .put("id", "p2")
                        .put("method", second)
                        .put("afterDays", 2);
            }
        }
        return new PlanReader(Plans.KNOWLEDGE).read(tree.toString());
    }

    private Stream<Note> of(String rule) {
        return notes().stream().filter(n -> n.rule().equals(rule));
    }

    private void speaks(String rule, Weight weight) {
        assertThat(of(rule).toList()).as(rule).isNotEmpty().allMatch(n -> n.weight() == weight);
    }

    private void silent(String rule) {
        assertThat(of(rule).toList()).as(rule).isEmpty();
    }

    @Test
    void little_of_the_bag_and_much_of_the_plants() {
        mix("buckwheat", 60, "phacelia", 30).speaks("weight-share-misleads", Weight.TIP);
        mix("buckwheat", 60, "cereal-rye", 30).silent("weight-share-misleads");
    }

    @Test
    void one_species_takes_the_light() {
        mix("cereal-rye", 100, "white-clover", 5, "red-clover", 5).speaks("canopy-dominated", Weight.THINK);
        mix("hairy-vetch", 50, "winter-pea", 60, "cereal-rye", 8).silent("canopy-dominated");
    }

    @Test
    void of_the_kind_of_the_next_crop() {
        mix("cereal-rye", 100).speaks("like-next-crop", Weight.TIP);
        mix("hairy-vetch", 100).silent("like-next-crop");
        next = "soybean";
        mix("hairy-vetch", 100).speaks("like-next-crop", Weight.TIP);
        mix("cereal-rye", 100).silent("like-next-crop");
    }

    @Test
    void treated_seed_is_no_feed() {
        lot("cereal-rye", ",\"treatedWith\":\"a fungicide\"").mix("cereal-rye", 100);
        speaks("treated-seed-handled", Weight.TIP);
        silent("treated-seed-fed");
        aims = List.of("feed-stock");
        speaks("treated-seed-fed", Weight.STOP);
    }

    @Test
    void weeds_on_the_tag() {
        lot("cereal-rye", ",\"noxious\":\"wild oat, resistant\"").mix("cereal-rye", 100);
        speaks("noxious-on-tag", Weight.STOP);
        silent("tag-not-looked-at");
        lots = "";
        lot("cereal-rye", ",\"noxious\":\"none found\"").silent("noxious-on-tag");
        silent("tag-not-looked-at");
        lots = "";
        lot("cereal-rye", "").speaks("tag-not-looked-at", Weight.TIP);
    }

    @Test
    void a_spring_kind_where_a_winter_must_be_passed() {
        lot("hairy-vetch", ",\"hardiness\":\"spring\"")
                .mix("hairy-vetch", 100)
                .speaks("hardiness-of-lot", Weight.THINK);
        lots = "";
        lot("hairy-vetch", ",\"hardiness\":\"winter\"").silent("hardiness-of-lot");
    }

    @Test
    void a_lot_that_is_too_small() {
        lot("cereal-rye", ",\"stock\":{\"value\":50,\"unit\":\"kg\"}").mix("cereal-rye", 100);
        speaks("lot-too-small", Weight.THINK);
        lots = "";
        lot("cereal-rye", ",\"stock\":{\"value\":50,\"unit\":\"t\"}").silent("lot-too-small");
    }

    @Test
    void shares_far_from_a_whole() {
        mix("cereal-rye", 20, "hairy-vetch", 20).speaks("shares-out-of-use", Weight.THINK);
        mix("cereal-rye", 120, "hairy-vetch", 100).speaks("shares-out-of-use", Weight.THINK);
        mix("cereal-rye", 60, "hairy-vetch", 50).silent("shares-out-of-use");
        mix("cereal-rye", 200).silent("shares-out-of-use");
    }

    @Test
    void a_share_far_above_a_full_rate() {
        mix("hairy-vetch", 280).speaks("number-doubtful", Weight.THINK);
        mix("hairy-vetch", 100).silent("number-doubtful");
    }

    @Test
    void depths_of_one_box_apart() {
        mix("faba-bean", 50, "cereal-rye", 50).speaks("depths-apart", Weight.TIP);
        mix("hairy-vetch", 50, "cereal-rye", 50).silent("depths-apart");
    }

    @Test
    void a_depth_from_which_small_seed_does_not_come_up() {
        sowing = "\"method\":\"drilled\",\"depth\":{\"value\":5,\"unit\":\"cm\"}";
        mix("white-clover", 50, "spring-oats", 50).speaks("sown-too-deep", Weight.THINK);
        // one note for one matter
        silent("depths-apart");
        mix("winter-pea", 50, "spring-oats", 50).silent("sown-too-deep");
    }

    @Test
    void species_that_harm_the_stock_kept() {
        field = FIELD + ",\"livestock\":\"40 beef cows\"";
        aims = List.of("feed-stock");
        mix("sorghum-sudangrass", 60).speaks("harms-stock", Weight.STOP);
        assertThat(of("harms-stock").findFirst().orElseThrow().text())
                .contains("veterinarian")
                .doesNotContain("safe");
        field = FIELD + ",\"livestock\":\"200 hens\"";
        silent("harms-stock");
        field = FIELD + ",\"livestock\":\"40 beef cows\"";
        aims = List.of("mulch");
        silent("harms-stock");
    }

    /** Silence about stock that nobody has named would be worse than one question. */
    @Test
    void stock_not_entered_is_asked_for_once_where_a_species_harms_any() {
        aims = List.of("feed-stock");
        mix("sorghum-sudangrass", 60, "sweetclover", 30).speaks("harms-stock", Weight.STOP);
        List<Note> asked = of("harms-stock").toList();
        assertThat(asked).hasSize(1);
        assertThat(asked.get(0).ask()).contains(new MissingFact(MissingFact.Kind.LIVESTOCK, ""));
        assertThat(asked.get(0).text())
                .contains("Sorghum-sudangrass")
                .contains("bleeding")
                .contains("horses");
        mix("phacelia", 60).silent("harms-stock");
    }

    @Test
    void much_seed_for_a_mulch() {
        sowing = "\"method\":\"drilled\",\"purpose\":2.5";
        mix("cereal-rye", 100).speaks("seed-for-mulch", Weight.TIP);
        sowing = "\"method\":\"drilled\"";
        silent("seed-for-mulch");
    }

    @Test
    void large_seed_on_the_surface() {
        sowing = "\"method\":\"broadcast\"";
        mix("faba-bean", 50).speaks("large-seed-on-surface", Weight.THINK);
        mix("crimson-clover", 50).silent("large-seed-on-surface");
        sowing = "\"method\":\"broadcast-incorporated\"";
        mix("faba-bean", 50).silent("large-seed-on-surface");
    }

    @Test
    void machines_that_are_not_there() {
        method = "roller-crimper";
        field = FIELD + ",\"equipment\":[{\"name\":\"Old drill\",\"kind\":\"drill\"}]";
        mix("cereal-rye", 50).speaks("mix-no-machine-for-it", Weight.TIP);
        field = FIELD
                + ",\"equipment\":[{\"name\":\"Old drill\",\"kind\":\"drill\"},{\"name\":\"R\",\"kind\":\"roller-crimper\"}]";
        silent("mix-no-machine-for-it");
        field = FIELD + ",\"equipment\":[{\"name\":\"R\",\"kind\":\"roller-crimper\"}]";
        mix("white-clover", 50).speaks("mix-no-machine-for-it", Weight.TIP);
        field = FIELD;
        silent("mix-no-machine-for-it");
    }

    @Test
    void a_programme_is_asked() {
        field = FIELD + ",\"programmes\":[{\"name\":\"Clean Brook\"}]";
        mix("cereal-rye", 100).speaks("programme-asked", Weight.TIP);
        field = FIELD;
        silent("programme-asked");
    }

    /** A species that the candidates leave out or doubt may stand in the mix; the note stays with it. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            cannot-emerge       | 2027-11-20 | burndown       | 2028-05-01 | sunn-hemp          | cereal-rye | THINK
            adds-little         | 2027-08-20 | burndown       | 2027-09-10 | red-clover         |            | TIP
            will-not-winterkill | 2027-08-20 | winterkill     | 2028-05-01 | cereal-rye         | spring-oats| THINK
            winterkill-unsure   | 2027-08-20 | winterkill     | 2028-05-01 | common-vetch       | sorghum-sudangrass | THINK
            another-must-carry  | 2027-08-20 | roller-crimper | 2028-05-01 | sorghum-sudangrass | cereal-rye | TIP
            survives-its-end    | 2027-08-20 | roller-crimper | 2028-05-01 | white-clover       | spring-oats | STOP
            hard-to-end         | 2027-05-25 | mow            | 2027-08-20 | sunn-hemp          |            | THINK
            seeds-before-end    | 2027-06-01 | burndown       | 2028-05-01 | buckwheat          | cereal-rye | THINK
            for-experts         | 2027-08-20 | burndown       | 2028-05-01 | annual-ryegrass    | cereal-rye | TIP
            """)
    void a_doubtful_species_in_the_mix_keeps_its_note(
            String rule, String day, String how, String last, String species, String other, Weight weight) {
        sown = day;
        method = how;
        end = last;
        mix(species, 50).speaks("mix-" + rule, weight);
        if (other != null) {
            mix(other, 50).silent("mix-" + rule);
        }
    }

    @Test
    void a_herbicide_on_an_organic_field_is_stopped() {
        field = FIELD + ",\"certification\":\"in transition\"";
        mix("cereal-rye", 50).speaks("herbicide-on-organic", Weight.STOP);
        method = "roll-and-burndown";
        speaks("herbicide-on-organic", Weight.STOP);
        method = "mow";
        silent("herbicide-on-organic");
        field = FIELD + ",\"certification\":\"conventional\"";
        method = "burndown";
        silent("herbicide-on-organic");
    }

    @Test
    void what_lives_on_is_said_in_one_note_with_the_way_and_the_day_of_the_end() {
        sown = "2027-08-20";
        method = "roller-crimper";
        end = "2028-04-20";
        mix("hairy-vetch", 50, "white-clover", 50).speaks("mix-survives-its-end", Weight.STOP);
        assertThat(of("mix-survives-its-end")).singleElement().satisfies(n -> {
            assertThat(n.text())
                    .contains("Hairy vetch: roller-crimper on 20 Apr 2028 kills about ")
                    .contains("White clover: roller-crimper on 20 Apr 2028 kills about ");
            assertThat(n.step()).isEqualTo(Step.END);
        });
        // a second pass meets what the first has left
        second = "burndown";
        silent("mix-survives-its-end");
    }

    @Test
    void two_brassicas_above_their_share_are_one_note() {
        mix("white-mustard", 50, "oilseed-radish", 20, "crimson-clover", 50)
                .speaks("brassica-above-blend-share", Weight.THINK);
        assertThat(of("brassica-above-blend-share"))
                .singleElement()
                .satisfies(n -> assertThat(n.text())
                        .isEqualTo(
                                "White mustard at 50 % of its full rate and oilseed radish at 20 % of its full rate shade out"
                                        + " the small and slow species."));
    }

    @Test
    void ground_and_farm_keep_their_notes() {
        field = FIELD + ",\"ph\":4.6,\"drainage\":\"poorly drained\",\"certification\":\"organic\""
                + ",\"programmes\":[{\"name\":\"Clean Brook\",\"allowedSpecies\":\"Cereal rye\"}]";
        method = "roller-crimper";
        mix("alfalfa", 50).speaks("mix-ph-outside", Weight.THINK);
        speaks("mix-drowns", Weight.THINK);
        speaks("mix-cannot-be-ended", Weight.STOP);
        speaks("mix-not-on-programme", Weight.THINK);
        field = FIELD;
        mix("cereal-rye", 50).silent("mix-ph-outside");
        silent("mix-drowns");
        silent("mix-cannot-be-ended");
        silent("mix-not-on-programme");
    }

    @Test
    void ahead_of_small_grain_and_small_seed() {
        next = "spring-wheat";
        planted = "2028-04-05";
        end = "2028-03-25";
        mix("hairy-vetch", 50).speaks("mix-volunteers-in-grain", Weight.THINK);
        mix("crimson-clover", 50).silent("mix-volunteers-in-grain");
        next = "onion";
        mix("cereal-rye", 50).speaks("mix-allelopathic", Weight.TIP);
        mix("hairy-vetch", 50).silent("mix-allelopathic");
    }

    @Test
    void the_same_crop_follows_and_species_of_one_reason_share_a_note() {
        mix("forage-corn", 50).speaks("mix-same-crop-follows", Weight.THINK);
        mix("pearl-millet", 50).silent("mix-same-crop-follows");
        method = "roller-crimper";
        mix("sorghum-sudangrass", 20, "pearl-millet", 20);
        assertThat(of("mix-another-must-carry").toList())
                .singleElement()
                .satisfies(n -> assertThat(n.text()).startsWith("Sorghum-sudangrass, Pearl millet: frost ends it"));
    }

    @Test
    void weeds_and_species_against_the_list_of_the_law() {
        field = FIELD + ",\"noxiousList\":\"Wild oat; Phacelia\"";
        lot("cereal-rye", ",\"noxious\":\"wild oat, resistant; field pansy\"").mix("cereal-rye", 60, "phacelia", 30);
        assertThat(of("noxious-on-tag").toList()).singleElement().satisfies(n -> {
            assertThat(n.text()).contains("wild oat is on the list entered");
            assertThat(n.text()).doesNotContain("field pansy is");
        });
        speaks("mix-on-noxious-list", Weight.STOP);
        lots = "";
        lot("cereal-rye", ",\"noxious\":\"field pansy\"").mix("cereal-rye", 60);
        assertThat(of("noxious-on-tag").findFirst().orElseThrow().text()).contains("None of it is on the list");
        silent("mix-on-noxious-list");
        field = FIELD;
        assertThat(of("noxious-on-tag").findFirst().orElseThrow().text()).contains("none is entered");
    }

    @Test
    void seed_into_cold_soil() {
        sown = "2027-11-10";
        mix("buckwheat", 60, "cereal-rye", 30);
        assertThat(of("seedbed-cold").toList())
                .singleElement()
                .satisfies(n -> assertThat(n.text()).startsWith("Buckwheat wants soil of"));
        sown = "2027-08-20";
        silent("seedbed-cold");
    }

    /** The place gets 10 mm in ten days of August in most years; the share is of the record, not of this test. */
    @Test
    void seed_on_the_surface_where_rain_fails() {
        mix("crimson-clover", 50);
        sowing = "\"method\":\"broadcast\"";
        field = "\"station\":\"ochremead\",\"point\":{\"lat\":39,\"lon\":-30}";
        speaks("seedbed-dry", Weight.THINK);
        sowing = "\"method\":\"drilled\"";
        silent("seedbed-dry");
    }

    @Test
    void salt_beside_the_seed() {
        sowing = "\"method\":\"drilled\",\"seedPlaced\":{\"value\":30,\"unit\":\"kg/ha\"}";
        mix("cereal-rye", 50).silent("fertiliser-beside-seed");
        mix("cereal-rye", 50, "crimson-clover", 20).speaks("fertiliser-beside-seed", Weight.THINK);
        sowing = "\"method\":\"drilled\",\"seedPlaced\":{\"value\":30,\"unit\":\"kg/ha\"},"
                + "\"rowWidth\":{\"value\":30,\"unit\":\"in\"},\"openerSpread\":{\"value\":1,\"unit\":\"in\"}";
        mix("cereal-rye", 50);
        // 10 lb/ac with a 1-inch opener in 30-inch rows, as extension sheets have it
        assertThat(of("fertiliser-beside-seed").findFirst().orElseThrow().text())
                .contains("11.2 kg/ha");
    }

    @Test
    void row_zones_that_winter_leaves_alive() {
        mix = "{\"species\":\"cereal-rye\",\"sharePercent\":50,\"zone\":\"row\"},"
                + "{\"species\":\"hairy-vetch\",\"sharePercent\":50,\"zone\":\"middle\"}";
        zones = ZONES;
        speaks("row-zone-stays-green", Weight.THINK);
        mix = mix.replace("cereal-rye", "daikon-radish");
        silent("row-zone-stays-green");
    }

    @Test
    void a_flight_off_the_fall_of_leaves() {
        for (String[] c : new String[][] {{"2027-09-20", "false"}, {"2027-10-01", "true"}, {"2027-08-01", "true"}}) {
            String text = FieldPlans.of()
                    .crop("soybean", "2027-05-10", "2027-10-05")
                    .crop("grain-corn", "2028-05-10", "2028-10-15")
                    .cover("v1", "into", "c1", "overseeded", "cereal-rye")
                    .operation("sow", "v1", c[0], "\"method\":\"flown\"")
                    .operation("end", "v1", "2028-05-01", "\"method\":\"burndown\"")
                    .text();
            Dossier d = Plans.read(text);
            assertThat(new Evaluator(Plans.KNOWLEDGE)
                            .evaluate(d.plan(), d.context(), FieldPlans.AS_OF).notes().stream()
                                    .anyMatch(n -> n.rule().equals("flown-off-leaf-drop")))
                    .as(c[0])
                    .isEqualTo(Boolean.valueOf(c[1]));
        }
    }

    @Test
    void shade_of_a_standing_crop() {
        for (String[] c : new String[][] {{"daikon-radish", "true"}, {"red-clover", "false"}}) {
            String text = FieldPlans.of()
                    .crop("grain-corn", "2027-05-10", "2027-10-15")
                    .crop("soybean", "2028-05-20", "2028-10-15")
                    .cover("v1", "into", "c1", "interseeded", c[0])
                    .operation("sow", "v1", "2027-06-15", "\"method\":\"broadcast\"")
                    .operation("end", "v1", "2028-05-01", "\"method\":\"burndown\"")
                    .text();
            Dossier d = Plans.read(text);
            assertThat(new Evaluator(Plans.KNOWLEDGE)
                            .evaluate(d.plan(), d.context(), FieldPlans.AS_OF).notes().stream()
                                    .anyMatch(n -> n.rule().equals("mix-shaded-out")))
                    .as(c[0])
                    .isEqualTo(Boolean.valueOf(c[1]));
        }
    }

    /** A living mulch that is to be rolled must live until then. */
    @Test
    void winter_ends_what_was_to_be_rolled() {
        aims = List.of("mulch");
        method = "roller-crimper";
        mix("sorghum-sudangrass", 50).speaks("mix-winter-ends-it", Weight.THINK);
        mix("cereal-rye", 50).silent("mix-winter-ends-it");
    }

    @Test
    void pests_slugs_and_people() {
        mix("cereal-rye", 50).speaks("mix-hosts-a-pest", Weight.TIP);
        mix("phacelia", 50).silent("mix-hosts-a-pest");
        // where it is ended before it flowers it harms nobody
        mix("phacelia", 50).silent("mix-caution-for-people");
        sown = "2027-08-11";
        mix("phacelia", 50).speaks("mix-caution-for-people", Weight.TIP);
        next = "soybean";
        mix("winter-rape", 10).speaks("mix-feeds-slugs", Weight.TIP);
        mix("cereal-rye", 50).silent("mix-feeds-slugs");
    }
}
