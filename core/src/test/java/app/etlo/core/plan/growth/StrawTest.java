package app.etlo.core.plan.growth;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.core.ground.GroundCourse.OfGround;
import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluator;
import app.etlo.core.plan.document.Dossier;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What the harvest leaves follows the header and the straw that is taken, in the residue figure and in the ground alike. */
class StrawTest {
    private static Evaluated harvested(Optional<Double> stubbleCm, Optional<Double> strawTakenPercent) {
        Dossier d = Plans.read(FieldPlans.of()
                .field("\"texture\":\"silt loam\",\"station\":\"tarrow-ridge\",\"point\":{\"lat\":43,\"lon\":-30}")
                .crop("winter-wheat", "2026-10-04", "2027-07-18")
                .crop("grain-corn", "2028-05-10", "2028-10-15")
                .text());
        PlanDocument p = d.plan();
        List<Operation> operations = p.operations().stream()
                .map(o -> o instanceof Operation.Harvest h && h.subject().equals(Optional.of("c1"))
                        ? new Operation.Harvest(
                                h.id(),
                                h.subject(),
                                h.when(),
                                h.seq(),
                                h.zone(),
                                stubbleCm.map(cm -> new Quantity(cm, Unit.CENTIMETRE)),
                                strawTakenPercent)
                        : o)
                .toList();
        return new Evaluator(Plans.KNOWLEDGE).evaluate(Plans.with(p, operations), d.context(), FieldPlans.AS_OF);
    }

    private static double onTheGround(Evaluated e, OfGround what) {
        PlanGround g = e.ground().orElseThrow();
        return g.band(g.before(LocalDate.of(2027, 8, 10)), what).middle();
    }

    private static double residue(Evaluated e) {
        return e.crops().get(0).plant().residue().orElseThrow().in(Unit.KG_PER_HA);
    }

    @Test
    void straw_that_is_taken_is_missing_on_the_ground() {
        Evaluated left = harvested(Optional.empty(), Optional.empty());
        Evaluated baled = harvested(Optional.empty(), Optional.of(90.0));
        // six tenths of what is no grain lies behind the header, and nine tenths of that go
        assertThat(residue(baled) / residue(left)).isBetween(0.44, 0.48);
        assertThat(onTheGround(baled, OfGround.RESIDUE_KG_HA))
                .isBetween(
                        0.4 * onTheGround(left, OfGround.RESIDUE_KG_HA),
                        0.7 * onTheGround(left, OfGround.RESIDUE_KG_HA));
        assertThat(onTheGround(baled, OfGround.RESIDUE_COVER)).isLessThan(onTheGround(left, OfGround.RESIDUE_COVER));
    }

    @Test
    void a_higher_header_leaves_more_standing() {
        Evaluated low = harvested(Optional.of(8.0), Optional.empty());
        Evaluated high = harvested(Optional.of(50.0), Optional.empty());
        assertThat(onTheGround(high, OfGround.STANDING_SPREAD))
                .isGreaterThan(2 * onTheGround(low, OfGround.STANDING_SPREAD));
        assertThat(residue(high)).isEqualTo(residue(low));
    }
}
