package app.etlo.core.plan.chapter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.asked.Alternatives;
import app.etlo.core.plan.document.Dossier;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Row zones left empty or sown to something else, a local recipe, and mixes side by side. */
class MixZonesTest {
    private static final String SHARES = "{\"method\":\"share\",\"components\":[%s]%s}";
    private static final String ZONES =
            ",\"zones\":{\"rowWidth\":{\"value\":76,\"unit\":\"in\"},\"bandWidth\":{\"value\":20,\"unit\":\"in\"}}";

    private static Evaluated with(String mix, String alternatives) {
        String text = FieldPlans.of()
                .crop("winter-wheat", "2026-10-04", "2027-07-18")
                .crop("grain-corn", "2028-05-08", "2028-10-15")
                .cover("v1", "before", "c2", "", "cereal-rye")
                .operation("sow", "v1", "2027-08-20", "\"method\":\"drilled\"")
                .text();
        Dossier d = Plans.read(text.replaceFirst("\"mix\":\\{[^]]*]}", "\"mix\":" + mix + alternatives));
        return new Evaluator(Plans.KNOWLEDGE).evaluate(d.plan(), d.context(), FieldPlans.AS_OF);
    }

    private static double figure(Evaluated e, String id) {
        return e.figures().get(id).middle();
    }

    private static String part(String species, int share, String zone) {
        return "{\"species\":\"%s\",\"sharePercent\":%d,\"zone\":\"%s\"}".formatted(species, share, zone);
    }

    /** Band spraying's arithmetic: 20 in on 76 in is 26.3 % of the area (common practice). */
    @Test
    void seed_follows_the_area_of_its_zone() {
        Evaluated e = with(
                SHARES.formatted(part("cereal-rye", 50, "middle") + "," + part("spring-oats", 50, "row"), ZONES), "");
        assertThat(figure(e, "mix/v1/zone/row")).isCloseTo(26.3, within(0.05));
        assertThat(figure(e, "mix/v1/zone/middle")).isCloseTo(73.7, within(0.05));
        Evaluated whole = with(
                SHARES.formatted(part("cereal-rye", 50, "whole") + "," + part("spring-oats", 50, "whole"), ""), "");
        for (String s : List.of("cereal-rye/middle", "spring-oats/row")) {
            String species = s.split("/")[0];
            double share = figure(e, "mix/v1/zone/" + s.split("/")[1]) / 100;
            assertThat(figure(e, "mix/v1/" + species + "/seed"))
                    .isCloseTo(share * figure(whole, "mix/v1/" + species + "/seed"), within(1e-9));
        }
        assertThat(e.covers().get(0).mix().blend().orElseThrow().boxes())
                .extracting(b -> b.id())
                .containsExactlyInAnyOrder("middle-large", "row-large");
    }

    @Test
    void empty_row_zones_leave_their_seed_in_the_bag() {
        Evaluated e = with(SHARES.formatted(part("cereal-rye", 100, "middle"), ZONES), "");
        Evaluated whole = with(SHARES.formatted(part("cereal-rye", 100, "whole"), ""), "");
        assertThat(figure(e, "mix/v1/seed") / figure(whole, "mix/v1/seed")).isCloseTo(56 / 76.0, within(1e-9));
        assertThat(figure(e, "mix/v1/mass")).isLessThanOrEqualTo(figure(whole, "mix/v1/mass") * 1.02);
    }

    @Test
    void a_band_wider_than_the_row_is_refused() {
        assertThatThrownBy(() -> with(
                        SHARES.formatted(
                                part("cereal-rye", 100, "middle"), ZONES.replace("\"value\":20", "\"value\":80")),
                        ""))
                .hasMessageContaining("wider than the row");
    }

    @Test
    void a_local_recipe_is_taken_as_pure_live_seed() {
        Evaluated e = with(
                "{\"method\":\"recipe\",\"components\":[{\"species\":\"cereal-rye\",\"rate\":{\"value\":50,\"unit\":\"kg/ha\"}}]}",
                "");
        assertThat(figure(e, "mix/v1/cereal-rye/plsRate")).isEqualTo(50);
        // usual purity 98 and germination 85 %, no lot chosen
        assertThat(figure(e, "mix/v1/cereal-rye/bulk")).isCloseTo(50 / 0.833, within(1e-9));
    }

    @Test
    void mixes_stand_side_by_side() {
        String other =
                ",\"alternatives\":[{\"id\":\"a1\",\"name\":\"with vetch\",\"mix\":{\"method\":\"share\",\"components\":["
                        + "{\"species\":\"hairy-vetch\",\"sharePercent\":100}]}}]";
        Evaluated e = with(SHARES.formatted(part("cereal-rye", 100, "whole"), ""), other);
        var columns = Alternatives.of(
                e.plan(), "v1", p -> new Evaluator(Plans.KNOWLEDGE).evaluate(p, e.context(), FieldPlans.AS_OF));
        assertThat(columns).extracting(c -> c.name()).containsExactly("own mix", "with vetch");
        assertThat(columns.get(1).parts())
                .singleElement()
                .satisfies(p -> assertThat(p.species()).isEqualTo("hairy-vetch"));
        assertThat(columns.get(0).figures()).isNotEqualTo(columns.get(1).figures());
    }
}
