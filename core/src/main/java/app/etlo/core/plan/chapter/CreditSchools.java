package app.etlo.core.plan.chapter;

import app.etlo.core.ground.CoverCost;
import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.mix.Component;
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
                .flatMap(content -> c.ending().stand().map(stand -> {
                    Optional<Figure> fixed = growth.ground()
                            .flatMap(g -> fixedPercent(c.inTime(), g))
                            .map(percent -> CoverSchools.fixed(prefix, stand, percent));
                    return new CoverSchools(
                            content,
                            growth.ground().flatMap(g -> CoverSchools.table(prefix, green(prefix, c.inTime(), g))),
                            growth.cost(c.inTime())
                                    .map(CoverCost::released)
                                    .map(r -> CoverSchools.simulated(
                                            prefix,
                                            r.kgHa(),
                                            Shown.date(r.from()) + " to " + Shown.date(r.until()),
                                            stand)),
                            fixed,
                            fixed.map(f -> CoverSchools.moved(prefix, stand, f)));
                }));
    }

    /** Of the nitrogen in the tops on the day it ends; empty where none is simulated. */
    private static Optional<Double> fixedPercent(CoverInTime cover, PlanGround g) {
        return cover.endsOn()
                .filter(g::covers)
                .filter(d -> cover.sown().isPresent())
                .flatMap(d -> {
                    List<Integer> plants = g.plants(cover.id());
                    double[] parts = StandParts.nitrogenKgHa(g.course(), g.before(d), plants);
                    double all = Arrays.stream(parts).sum();
                    double fixed = 0;
                    for (int i = 0; i < parts.length; i++) {
                        String id = g.plantId(plants.get(i));
                        fixed += parts[i]
                                * cover.components().stream()
                                        .map(Component::species)
                                        .filter(s -> s.id().equals(id))
                                        .mapToDouble(s -> s.growth().fixedShare())
                                        .findFirst()
                                        .orElse(0);
                    }
                    return all > 0 ? Optional.of(100 * fixed / all) : Optional.empty();
                });
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
