package app.etlo.core.mix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

/** What goes into which box, how often it is filled, and what must be mixed in. */
class SeedBoxTest {
    private static Blend blend(Component... components) {
        return Blend.of("mix/v1", List.of(components), Seeds.drilled(10)).orElseThrow();
    }

    /** A bushel of rye weighs 56 lb and holds 2150.42 cubic inches (35.239 L): 0.7208 kg/L. */
    @Test
    void density_follows_from_the_test_weight() {
        SeedBox box = blend(Seeds.share("cereal-rye", 1)).boxes().get(0);
        assertThat(box.densityKgL().middle()).isCloseTo(56 * 0.45359237 / 35.23907, within(1e-4));
        double litres = box.densityKgL().working().inputs().get(0).value().middle()
                / box.densityKgL().middle();
        assertThat(box.fills().orElseThrow().middle()).isCloseTo(litres / 400, within(1e-9));
    }

    @Test
    void a_box_without_its_size_has_no_fills_and_large_seed_goes_in_first() {
        Blend b = blend(
                Seeds.share("crimson-clover", 0.5), Seeds.share("cereal-rye", 0.5), Seeds.share("faba-bean", 0.2));
        assertThat(b.boxes().get(0).species()).containsExactly("faba-bean", "cereal-rye");
        assertThat(b.boxes().get(1).fills()).isEmpty();
    }

    /** 5 oz for 50 lb: a hundred pounds of vetch and pea together take ten ounces. */
    @Test
    void each_group_of_legumes_has_its_own_inoculant_unless_it_comes_with_it() {
        Blend b = blend(
                Seeds.share("hairy-vetch", 0.5),
                Seeds.share("winter-pea", 0.3),
                Seeds.share("crimson-clover", 0.5),
                Seeds.share("cereal-rye", 0.5));
        assertThat(b.inoculants()).extracting(Inoculant::group).containsExactly("pea and vetch", "true clover");
        double kg =
                b.rates().get(0).seedKg().middle() + b.rates().get(1).seedKg().middle();
        double oz = b.inoculants().get(0).amountG().middle() / 28.349523125;
        assertThat(oz / (kg / 0.45359237)).isCloseTo(0.1, within(1e-4));
    }
}
