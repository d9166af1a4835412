package app.etlo.core.grazing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.ReferenceProgram;
import app.etlo.core.field.FieldArea;
import app.etlo.core.grazing.GrazingResult.OfHerd;
import app.etlo.core.knowledge.KnowledgeLoader;
import app.etlo.core.knowledge.StockClass;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** Grazing arithmetic: what is eaten over what stock eat a day. */
class HerdTest {
    private static final StockClass BEEF =
            KnowledgeLoader.shipped().stockClasses().get("beef-cow");
    private static final Figure TEN_HECTARES = FieldArea.typed(new Quantity(10, Unit.HECTARE));

    private static Figure eaten(double topsKgHa, double percent) {
        return Grazed.eaten("g", new Band(0.8 * topsKgHa, topsKgHa, 1.2 * topsKgHa), percent);
    }

    /**
     * By hand: 3,000 kg/ha of which half is eaten are 1,500; a cow of 600 kg eats 2.75 %, 16.5 kg a day (common practice: 2.5 to 3 %), so
     * that a hectare feeds 90.9 cows for a day, ten hectares 60 cows for 15.2 days, 3.0 in each of five paddocks with 12.1 of rest.
     */
    @Test
    void a_field_feeds_a_herd_for_so_many_days() {
        OfHerd h = new Herd(BEEF, 60, 600, true, 5).on("g", eaten(3000, 50), TEN_HECTARES);
        assertThat(h.headDays().middle()).isCloseTo(909.1, within(0.1));
        assertThat(h.days().middle()).isCloseTo(15.15, within(0.01));
        assertThat(h.perPaddock().middle()).isCloseTo(3.03, within(0.01));
        assertThat(h.rest().middle()).isCloseTo(12.12, within(0.01));
        assertThat(h.days().value().low()).isLessThan(h.days().middle());
    }

    /** The stocking arithmetic of grazing handbooks (area x dry matter x share used / daily intake), worked in pounds and acres by GNU units. */
    @Test
    void head_days_are_those_that_gnu_units_finds() {
        Figure acres = FieldArea.typed(new Quantity(30, Unit.ACRE));
        Figure eaten = Grazed.eaten("g", Band.exactly(new Quantity(2000, Unit.LB_PER_AC).in(Unit.KG_PER_HA)), 50);
        double weightKg = new Quantity(1200, Unit.POUND).in(Unit.KILOGRAM);
        assertThat(new Herd(BEEF, 25, weightKg, true, 1)
                        .on("g", eaten, acres)
                        .headDays()
                        .middle())
                .isCloseTo(
                        ReferenceProgram.units("30 intacre * 2000 lb/intacre * 0.5 / (1200 lb * 0.0275/day)", "day"),
                        within(1e-6));
    }

    @Property
    void what_is_eaten_and_what_is_left_are_what_stood(
            @ForAll @DoubleRange(min = 10, max = 9000) double tops,
            @ForAll @DoubleRange(min = 1, max = 100) double percent) {
        double left = Grazed.left("g", Band.exactly(tops), percent).middle();
        assertThat(eaten(tops, percent).middle() + left).isCloseTo(tops, within(1e-6));
    }

    @Property
    void more_head_stay_fewer_days_and_eat_the_same(
            @ForAll @IntRange(min = 1, max = 2000) int head, @ForAll @IntRange(min = 1, max = 40) int paddocks) {
        OfHerd few = new Herd(BEEF, head, 500, true, paddocks).on("g", eaten(2000, 60), TEN_HECTARES);
        OfHerd many = new Herd(BEEF, 2 * head, 500, true, paddocks).on("g", eaten(2000, 60), TEN_HECTARES);
        assertThat(many.days().middle()).isCloseTo(few.days().middle() / 2, within(1e-6));
        assertThat(many.headDays().middle()).isCloseTo(few.headDays().middle(), within(1e-6));
        assertThat(few.rest().middle())
                .isCloseTo((paddocks - 1) * few.perPaddock().middle(), within(1e-6));
    }
}
