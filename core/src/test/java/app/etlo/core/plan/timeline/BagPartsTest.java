package app.etlo.core.plan.timeline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.mix.Blend;
import app.etlo.core.mix.SeedRate;
import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.asked.SeedNeeds;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluator;
import app.etlo.core.plan.document.Json;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** A ready-made bag is one lot of several species: judged, topped up and priced like any mix. What is sown is not always the field. */
class BagPartsTest {
    private static final String BAG =
            "{\"id\":\"b1\",\"species\":\"cereal-rye\",\"label\":\"Ready 1\",\"purityPercent\":95,"
                    + "\"germinationPercent\":90,\"price\":{\"value\":2,\"unit\":\"¤/kg\"},\"bagSize\":{\"value\":25,\"unit\":\"kg\"},"
                    + "\"parts\":[{\"species\":\"cereal-rye\",\"percent\":70,\"germinationPercent\":90},"
                    + "{\"species\":\"hairy-vetch\",\"percent\":25,\"germinationPercent\":80,\"hardSeedPercent\":10}]}";

    private static final Evaluated PLAN = FieldPlans.of()
            .field("\"texture\":\"loam\"")
            .lots(BAG)
            .crop("winter-wheat", "2026-10-04", "2027-07-18")
            .crop("grain-corn", "2028-05-08", "2028-10-15")
            .cover("v1", "before", "c2", "", "cereal-rye")
            .operation("sow", "v1", "2027-08-20", "\"method\":\"drilled\"")
            .evaluated();

    /** The plan with the cover's mix, and members more of its sowing; twenty hectares. */
    private static Evaluated sown(String mix, String sow) {
        ObjectNode plan = (ObjectNode) Json.tree(Json.write(PLAN.plan()));
        ((ObjectNode) plan.at("/covers/0")).set("mix", Json.tree(mix));
        for (JsonNode o : plan.path("operations")) {
            if (o.path("subject").asText().equals("v1")) {
                ((ObjectNode) o).setAll((ObjectNode) Json.tree("{" + sow + "}"));
            }
        }
        return new Evaluator(Plans.KNOWLEDGE).evaluate(Plans.READER.read(plan), PLAN.context(), Plans.AS_OF);
    }

    private static Blend blend(Evaluated e) {
        return e.covers().get(0).mix().blend().orElseThrow();
    }

    private static Map<String, SeedRate> rates(Evaluated e) {
        return blend(e).rates().stream()
                .collect(Collectors.toMap(r -> r.component().species().id(), Function.identity()));
    }

    private static final String SIXTY =
            "{\"method\":\"share\",\"components\":[],\"wastePercent\":0,\"bag\":{\"lotId\":\"b1\",\"rate\":{\"value\":60,\"unit\":\"kg/ha\"}}}";

    @Test
    void the_parts_sum_to_the_bag_and_are_priced_in_whole_bags() {
        Evaluated e = sown(SIXTY, "\"method\":\"drilled\"");
        // 70 of 95 % pure parts by weight
        assertThat(rates(e).get("cereal-rye").bulkKgHa().middle()).isCloseTo(60 * 70 / 95.0, within(1e-6));
        assertThat(rates(e).get("hairy-vetch").plsKgHa().middle()).isCloseTo(60 * 0.25 * 0.9, within(1e-6));
        assertThat(blend(e).bulkKgHa().middle()).isCloseTo(60, within(1e-6));
        // 1200 kg are 48 bags of 25 kg
        assertThat(blend(e).cost().orElseThrow().middle()).isCloseTo(2400, within(1e-6));
        // 1220 kg would be 49 bags, not 48.8
        assertThat(blend(sown(SIXTY.replace("\"value\":60", "\"value\":61"), "\"method\":\"drilled\""))
                        .cost()
                        .orElseThrow()
                        .middle())
                .isCloseTo(2450, within(1e-6));
    }

    @Test
    void a_top_up_stands_beside_the_bag_or_adds_to_its_part() {
        String more = SIXTY.replace(
                "\"components\":[]",
                "\"components\":[{\"species\":\"phacelia\",\"sharePercent\":20},{\"species\":\"hairy-vetch\",\"sharePercent\":20}]");
        Map<String, SeedRate> rates = rates(sown(more, "\"method\":\"drilled\""));
        assertThat(rates).containsOnlyKeys("cereal-rye", "hairy-vetch", "phacelia");
        // a fifth of the full 25 kg/ha
        assertThat(rates.get("hairy-vetch").plsKgHa().middle()).isCloseTo(60 * 0.25 * 0.9 + 5, within(1e-6));
    }

    @Test
    void it_is_needed_as_one_lot() {
        var needs = SeedNeeds.of(sown(SIXTY, "\"method\":\"drilled\""));
        assertThat(needs).singleElement().satisfies(n -> {
            assertThat(n.kilograms()).isCloseTo(1200, within(1e-6));
            assertThat(n.speciesName()).isEqualTo("Ready 1");
        });
    }

    @Test
    void the_sown_area_can_be_basins_strips_or_open_rows() {
        // 400 basins of 1.5 m radius: 400 x 7.07 m2 = 0.283 ha
        assertThat(area("\"sownAs\":{\"basinRadius\":{\"value\":1.5,\"unit\":\"m\"},\"basins\":400}"))
                .isCloseTo(0.2827, within(1e-4));
        assertThat(
                        area(
                                "\"sownAs\":{\"stripWidth\":{\"value\":2,\"unit\":\"m\"},\"stripEvery\":{\"value\":5,\"unit\":\"m\"}}"))
                .isCloseTo(8, within(1e-9));
        assertThat(area("\"sownAs\":{\"rowsSown\":2,\"rowsBlocked\":1}")).isCloseTo(20 * 2 / 3.0, within(1e-9));
        // half said is nothing said
        assertThat(area("\"sownAs\":{\"rowsSown\":2}")).isCloseTo(20, within(1e-9));
    }

    private static double area(String sow) {
        return sown(SIXTY, sow).covers().get(0).inTime().sowing().areaHa();
    }
}
