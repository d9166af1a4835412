package app.etlo.core.plan.asked;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.plan.Plans;
import app.etlo.core.plan.asked.SeedNeeds.SeedNeed;
import app.etlo.core.plan.document.Context.LotEntry;
import app.etlo.core.plan.document.LotCsv;
import app.etlo.core.quantity.UnitSystem;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

/** What must be bought across all fields, and what the store covers. */
class SeedOrdersTest {
    private static SeedNeed need(String plan, String species, double kg, String by, String lot) {
        Optional<LocalDate> day = Optional.of(LocalDate.parse(by));
        return new SeedNeed(
                plan,
                "v1",
                "cover",
                Optional.empty(),
                species,
                species,
                Optional.ofNullable(lot),
                kg,
                day.map(d -> d.plusDays(14)),
                day,
                Optional.empty());
    }

    private static LotEntry lot(String species, String name, double stockKg) {
        return LotCsv.read(
                        "species,lot,purity,germination,bag kg,stock kg,supplier\n%s,%s,98,90,25,%s,Hay Barn\n"
                                .formatted(species, name, stockKg),
                        Plans.KNOWLEDGE,
                        Optional.empty(),
                        Optional.empty())
                .lots()
                .get(0);
    }

    @Test
    void the_store_goes_to_the_soonest_and_the_rest_is_bought_in_whole_bags() {
        LotEntry rye = lot("cereal-rye", "R", 100);
        List<SeedOrders.Order> orders = SeedOrders.of(
                List.of(
                        need("late", "cereal-rye", 80, "2027-09-20", null),
                        need("soon", "cereal-rye", 70, "2027-08-20", null),
                        need("soon", "hairy-vetch", 10, "2027-08-20", null)),
                List.of(rye),
                Map.of(),
                Map.of(rye.id(), 100.0));
        assertThat(orders).hasSize(2);
        SeedOrders.Order bought = orders.get(0);
        assertThat(bought.supplier()).isEqualTo("Hay Barn");
        assertThat(bought.week()).contains("2027-W38");
        assertThat(bought.kilograms()).isCloseTo(50, within(1e-9));
        assertThat(bought.bags()).contains(2L);
        assertThat(orders.get(1).supplier()).isEqualTo("no supplier named");
    }

    @Test
    void what_is_held_is_not_bought_and_a_named_lot_is_not_replaced_by_another() {
        LotEntry one = lot("cereal-rye", "one", 100);
        LotEntry other = lot("cereal-rye", "other", 100);
        List<SeedOrders.Order> orders = SeedOrders.of(
                List.of(need("p", "cereal-rye", 120, "2027-09-20", one.id())),
                List.of(one, other),
                Map.of("p/v1/cereal-rye", 40.0),
                Map.of(one.id(), 60.0, other.id(), 100.0));
        assertThat(orders)
                .singleElement()
                .satisfies(o -> assertThat(o.kilograms()).isCloseTo(20, within(1e-9)));
    }

    @Test
    void the_table_has_a_line_for_each_order() {
        List<SeedOrders.Order> orders = SeedOrders.of(
                List.of(need("p", "cereal-rye", 12.34, "2026-12-30", null)), List.of(), Map.of(), Map.of());
        assertThat(SeedOrders.write(orders, UnitSystem.US))
                .contains("species,lb,")
                .contains(",27.2,");
        assertThat(SeedOrders.write(orders, UnitSystem.METRIC))
                .isEqualTo("supplier,week,needed by,species,kg,bags,fields,stopped\r\n"
                        + "no supplier named,2026-W53,2026-12-30,cereal-rye,12.3,,1,\r\n");
    }

    @Property(tries = 200)
    void need_is_what_is_taken_and_what_is_bought(
            @ForAll @Size(min = 1, max = 8) List<@DoubleRange(min = 0.1, max = 500) Double> wanted,
            @ForAll @IntRange(min = 0, max = 2000) int stock) {
        LotEntry rye = lot("cereal-rye", "R", stock);
        List<SeedNeed> needs = new java.util.ArrayList<>();
        double sum = 0;
        for (int i = 0; i < wanted.size(); i++) {
            needs.add(need("p" + i, "cereal-rye", wanted.get(i), "2027-09-0" + (i + 1), null));
            sum += wanted.get(i);
        }
        double bought = SeedOrders.of(needs, List.of(rye), Map.of(), Map.of(rye.id(), (double) stock)).stream()
                .mapToDouble(SeedOrders.Order::kilograms)
                .sum();
        assertThat(bought).isCloseTo(Math.max(0, sum - stock), within(1e-4));
    }
}
