package app.etlo.core.plan.shown;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.core.plan.DemoPlans;
import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import java.io.IOException;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where each number comes from: measured, entered, forecast, default or library, and the source behind it. */
class OriginsTest {
    private static Figure of(Evaluated e, String id) {
        assertThat(e.figures()).containsKey(id);
        return e.figures().get(id);
    }

    private static Map<String, Origin> inputs(Figure f) {
        Map<String, Origin> found = new TreeMap<>();
        for (Input i : f.working().inputs()) {
            found.put(i.symbol(), i.origin());
        }
        return found;
    }

    private static Evaluated kettleHollow;

    @BeforeAll
    static void evaluate() throws IOException {
        kettleHollow = DemoPlans.evaluated(UnitSystem.METRIC).stream()
                .filter(e -> e.plan().id().equals("plan-kettle-hollow"))
                .findFirst()
                .orElseThrow();
    }

    /** The fullest plan of the demo: a boundary from a map, lots with tags, a cover that is only expected. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            field/area                  | MEASURED | Karney 2013
            field/water                 | ENTERED  | Saxton and Rawls 2006
            window/c2/days              | ENTERED  | the difference of two dates
            window/c2/degreeDays        | FORECAST | McMaster and Wilhelm 1997
            window/c2/firstFrost        | FORECAST | nights below freezing
            window/c2/water             | FORECAST | the simulated ground
            window/overseeded-c1/light  | LIBRARY  | a round share of light
            mix/v1/cowpea/pls           | MEASURED | seed tag arithmetic
            mix/v1/cowpea/plsRate       | ENTERED  | seeding arithmetic
            mix/v1/cowpea/comesUp       | DEFAULT  | a round share of drilled seed
            mix/v1/cowpea/mass          | FORECAST | docs/simulation.md
            end/v1/biomass              | FORECAST | the adviser's own expectation
            feed/c2/released            | FORECAST | Vigil & Kissel 1991
            feed/c2/need                | DEFAULT  | yield-goal school
            plant/c2/rating             | ENTERED  | a sum
            plant/c1/rating             | LIBRARY  | a sum
            """)
    void a_figure_of_the_demo_has_the_origin_and_source_of_what_it_rests_on(String id, Origin origin, String source) {
        Figure f = of(kettleHollow, id);
        assertThat(f.origin()).isEqualTo(origin);
        assertThat(f.working().source().text()).contains(source);
    }

    @Test
    void an_input_is_measured_entered_or_default_by_where_it_came_from() {
        Evaluated e = kettleHollow;
        assertThat(inputs(of(e, "mix/v1/cowpea/seed")))
                .containsEntry("area", Origin.MEASURED)
                .containsEntry("bulk", Origin.ENTERED);
        assertThat(inputs(of(e, "mix/v1/cowpea/pls")))
                .containsEntry("purity", Origin.MEASURED)
                .containsEntry("germination", Origin.MEASURED);
        assertThat(inputs(of(e, "mix/v1/cowpea/plsRate")))
                .containsEntry("full", Origin.LIBRARY)
                .containsEntry("share", Origin.ENTERED);
        assertThat(inputs(of(e, "feed/c2/need")))
                .containsEntry("goal", Origin.ENTERED)
                .containsEntry("factor", Origin.DEFAULT);
    }

    @Test
    void what_nobody_typed_is_default_until_it_is_typed() {
        Evaluated untyped = seeding("");
        assertThat(inputs(of(untyped, "mix/v1/cereal-rye/seed")))
                .containsEntry("area", Origin.ENTERED)
                .containsEntry("waste", Origin.DEFAULT);
        assertThat(inputs(of(untyped, "mix/v1/cereal-rye/pls"))).doesNotContainValue(Origin.MEASURED);
        assertThat(of(untyped, "mix/v1/box/large/catch").origin()).isEqualTo(Origin.DEFAULT);
        assertThat(of(untyped, "field/water").origin()).isEqualTo(Origin.DEFAULT);

        Evaluated typed =
                seeding("\"catchWidth\":{\"value\":3,\"unit\":\"m\"},\"catchDistance\":{\"value\":50,\"unit\":\"m\"}");
        assertThat(inputs(of(typed, "mix/v1/box/large/catch")))
                .containsEntry("width", Origin.ENTERED)
                .containsEntry("distance", Origin.ENTERED);
    }

    private static Evaluated seeding(String parameters) {
        return FieldPlans.of()
                .crop("winter-wheat", "2026-10-04", "2027-07-18")
                .crop("soybean", "2028-05-14", "2028-10-02")
                .cover("v1", "before", "c2", "", "cereal-rye")
                .operation("sow", "v1", "2027-08-20", parameters)
                .evaluated();
    }
}
