package app.etlo.core.plan.chapter;

import app.etlo.core.ground.CoverCost;
import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.nitrogen.CoverSchools;
import app.etlo.core.nitrogen.ForageStand;
import app.etlo.core.plan.chapter.Evaluated.CoverResult;
import app.etlo.core.plan.growth.PlanGround;
import app.etlo.core.plan.growth.PlanGrowth;
import app.etlo.core.plan.growth.StandParts;
import app.etlo.core.plan.timeline.CoverInTime;
import app.etlo.core.quantity.Shown;
import app.etlo.core.working.Figure;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** A cover's credit by each school, from what stands of it and from the plan's ground. */
final class CreditSchools {
    private CreditSchools() {}

    /** Empty where nothing stands. */
    static Optional<CoverSchools> of(String prefix, CoverResult c, PlanGrowth growth) {
        return c.credit()
                .flatMap(content -> c.ending()
                        .stand()
                        .map(stand -> new CoverSchools(
                                content,
                                growth.ground().flatMap(g -> CoverSchools.table(prefix, green(prefix, c.inTime(), g))),
                                growth.cost(c.inTime())
                                        .map(CoverCost::released)
                                        .map(r -> CoverSchools.simulated(
                                                prefix,
                                                r.kgHa(),
                                                Shown.date(r.from()) + " to " + Shown.date(r.until()),
                                                stand)))));
    }

    private static List<Figure> green(String prefix, CoverInTime cover, PlanGround g) {
        List<Figure> found = new ArrayList<>();
        List<Integer> plants = g.plants(cover.id());
        cover.endsOn().filter(g::covers).filter(d -> cover.sown().isPresent()).ifPresent(d -> {
            int r = g.before(d);
            double[] parts = StandParts.massKgHa(g.course(), r, plants);
            double whole = Arrays.stream(parts).sum();
            for (int i = 0; i < parts.length; i++) {
                String species = g.plantId(plants.get(i));
                if (whole > 0 && ForageStand.holds(species)) {
                    found.add(ForageStand.green(
                            prefix,
                            species,
                            100 * g.band(r, plants.get(i), OfPlant.HEIGHT_M).middle(),
                            parts[i] / whole));
                }
            }
        });
        return found;
    }
}
