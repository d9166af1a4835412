package app.etlo.core.plan.chapter;

import static app.etlo.core.plan.growth.MiddleYear.around;
import static app.etlo.core.plan.growth.MiddleYear.banded;
import static app.etlo.core.plan.growth.MiddleYear.input;
import static app.etlo.core.plan.growth.MiddleYear.nearest;
import static app.etlo.core.plan.growth.MiddleYear.percent;
import static app.etlo.core.plan.growth.MiddleYear.scaled;

import app.etlo.core.ground.GroundCourse;
import app.etlo.core.ground.GroundCourse.OfGround;
import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.ground.GroundSoil;
import app.etlo.core.ground.GrownCover;
import app.etlo.core.ground.GrownCrop;
import app.etlo.core.ground.ModelError;
import app.etlo.core.mix.MixOutlook;
import app.etlo.core.mix.Prospect;
import app.etlo.core.mix.SeasonGrowth;
import app.etlo.core.plan.growth.PlanGround;
import app.etlo.core.plan.timeline.CoverInTime;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.working.About;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The simulated ground: what a cover holds when it ends, and what a crop finds when it is planted and grows to. */
final class GroundFigures {
    static final Source SIMULATED = Source.own("the ground simulation: docs/simulation.md");
    private static final Formula SIMPLE = Formula.of("From the simulation", "value", SIMULATED, "value");
    private static final Formula NITROGEN = Formula.of(
            "Nitrogen in the tops", "mass * percent / 100", Source.identity("mass times content"), "mass", "percent");
    private static final Formula CN = Formula.of(
            "Carbon over nitrogen",
            "carbon / nitrogen",
            Source.fromMemory("carbon is 42 to 45 % of dry matter"),
            "carbon",
            "nitrogen");
    private static final Formula RESIDUE_COVER = Formula.of(
                    "Ground covered by residue",
                    "(1 - exp(-lying - 0.4 * standing)) * 100",
                    Source.fromMemory("Gregory 1982: cover is 1 - exp(-k mass)"),
                    "lying",
                    "standing")
            .remarking(
                    "Spread is mass times k of each kind of residue; what stands counts for 4 parts in 10, Etlo's own share.");
    private final PlanGround ground;
    private final UnitSystem units;

    /**
     * @param units in which depths are named
     */
    GroundFigures(PlanGround ground, UnitSystem units) {
        this.ground = ground;
        this.units = units;
    }

    /**
     * What a cover comes to when it ends; empty where it is not sown and ended inside the simulation.
     *
     * @param growth of its mix in the plan's own run
     * @param outlook of the same; empty where nothing grows in the middle of the years
     * @param errorOfMass of the model for it: less after field checks
     */
    Optional<GrownCover> cover(CoverInTime c, SeasonGrowth growth, Optional<MixOutlook> outlook, double errorOfMass) {
        Optional<LocalDate> end = c.endsOn().filter(ground::covers);
        if (end.isEmpty() || c.sown().isEmpty() || growth.species().isEmpty()) {
            return Optional.empty();
        }
        String id = "grow/" + c.id();
        String when = growth.byWinter() ? ", before winter ends it" : " when it ends";
        int after = ground.course().recordOf(ground.day(end.get()) + 6);
        Figure mass = tops(id + "/mass", outlook, when).about(About.tops(c.id(), end.get()));
        Optional<Figure> percent = outlook.map(o -> SIMPLE.figure(
                        id + "/nitrogenPercent",
                        "Nitrogen in the dry tops" + when,
                        Unit.PERCENT,
                        input("value", "Nitrogen in the dry tops", growth.nitrogenShare() * 100, Unit.PERCENT))
                .about(About.nitrogenShare(c.id(), end.get())));
        return Optional.of(new GrownCover(
                mass,
                percent.map(p -> CN.figure(
                                id + "/cn",
                                "C:N of the tops" + when,
                                Unit.FRACTION,
                                input("carbon", "Carbon in the dry tops", Prospect.CARBON_SHARE * 100, Unit.PERCENT),
                                Input.figure("nitrogen", p))
                        .about(About.carbonToNitrogen(c.id(), end.get()))),
                percent,
                percent.map(p -> banded(
                                NITROGEN.figure(
                                        id + "/nitrogen",
                                        "Nitrogen in the tops" + when + ", simulated",
                                        Unit.KG_PER_HA,
                                        input("mass", "Dry tops", mass.in(Unit.KG_PER_HA), Unit.KG_PER_HA),
                                        Input.figure("percent", p)),
                                ModelError.widen(
                                        around(growth.nitrogenKgHa(), mass.in(Unit.KG_PER_HA) * p.middle() / 100),
                                        errorOfMass))
                        .about(About.nitrogen(c.id(), end.get()))),
                residueCover(id, "Ground covered by residue a week after it ends", after)));
    }

    /** The lines of the mix's own outlook; none where nothing grows. */
    private static Figure tops(String id, Optional<MixOutlook> outlook, String when) {
        String label = "Dry tops" + when;
        return outlook.map(o -> {
                    List<Input> parts = new ArrayList<>();
                    for (int i = 0; i < o.parts().size(); i++) {
                        Figure part = o.parts().get(i);
                        parts.add(input(
                                "s" + (i + 1),
                                o.growth().species().get(i).species().name(),
                                part.middle(),
                                part.unit()));
                    }
                    Figure f = Formula.sum("Dry tops of all species", parts.size())
                            .figure(id, label, Unit.T_PER_HA, parts);
                    return banded(f, o.mass().value());
                })
                .orElseGet(() -> SIMPLE.figure(id, label, Unit.T_PER_HA, input("value", "Dry tops", 0, Unit.T_PER_HA)));
    }

    /** By what lies and what stands in the middle year. */
    private Figure residueCover(String id, String label, int record) {
        double[] years = scaled(ground.course().ground(record, OfGround.RESIDUE_COVER), 100);
        int year = nearest(years, GroundCourse.band(years).middle());
        Figure f = RESIDUE_COVER.figure(
                id + "/residueCover",
                label,
                Unit.PERCENT,
                input(
                        "lying",
                        "Spread of residue that lies, area on area",
                        ground.course().ground(record, OfGround.LYING_SPREAD, year),
                        Unit.FRACTION),
                input(
                        "standing",
                        "Spread of residue that stands, area on area",
                        ground.course().ground(record, OfGround.STANDING_SPREAD, year),
                        Unit.FRACTION));
        return banded(f, percent(ModelError.widen(around(years, f.middle()), ModelError.OF_GROUND)));
    }

    GrownCrop crop(CropInTime c) {
        String id = "grow/" + c.id();
        Optional<Integer> planted = c.planted().filter(ground::covers).map(ground::before);
        return new GrownCrop(
                planted.map(r -> water(id, r)),
                planted.map(r -> mineralN(id, r)),
                planted.map(r -> residueCover(id, "Ground covered by residue at planting", r)),
                grown(c));
    }

    /** What a crop has grown to until it is harvested, also where frost ended it ripe before: to compare plans; it is not a yield. */
    private Optional<Figure> grown(CropInTime c) {
        List<Integer> plants = ground.plants(c.id());
        return c.harvested()
                .filter(ground::covers)
                .filter(d -> !plants.isEmpty())
                .map(day -> {
                    Band tHa = GroundCourse.band(
                            scaled(ground.course().sum(ground.before(day), plants, OfPlant.PEAK_KG_HA), 1e-3));
                    Figure f = SIMPLE.figure(
                            "grow/" + c.id() + "/cropMass",
                            "Dry tops of the crop at harvest, simulated: to compare plans",
                            Unit.T_PER_HA,
                            input("value", "Dry tops of the crop at harvest", tHa.middle(), Unit.T_PER_HA));
                    return banded(f, ModelError.widen(tHa, ModelError.OF_MASS));
                });
    }

    /** Water that roots can draw, layer by layer in the middle year. */
    private Figure water(String id, int record) {
        double[] all = ground.course().ground(record, OfGround.AVAILABLE_WATER_MM);
        int year = nearest(all, GroundCourse.band(all).middle());
        OfGround[] layers = {OfGround.WATER_1, OfGround.WATER_2, OfGround.WATER_3, OfGround.WATER_4, OfGround.WATER_5};
        List<Input> inputs = new ArrayList<>();
        for (int l = 0; l < layers.length; l++) {
            double mm = ground.soil().reachableMm(l, ground.course().ground(record, layers[l], year));
            inputs.add(input("s" + (l + 1), layer(l), mm, Unit.MILLIMETRE));
        }
        Figure f = Formula.sum("Water that roots can draw", layers.length)
                .figure(id + "/water", "Water at planting that roots can draw", Unit.MILLIMETRE, inputs);
        return banded(f, ModelError.widen(around(all, f.middle()), ModelError.OF_GROUND));
    }

    /** Mineral nitrogen, layer by layer in the middle year: to be set against a soil test of the same depths. */
    private Figure mineralN(String id, int record) {
        double[] all = ground.course().ground(record, OfGround.MINERAL_N_KG_HA);
        int year = nearest(all, GroundCourse.band(all).middle());
        OfGround[] layers = {
            OfGround.MINERAL_N_1, OfGround.MINERAL_N_2, OfGround.MINERAL_N_3, OfGround.MINERAL_N_4, OfGround.MINERAL_N_5
        };
        List<Input> inputs = new ArrayList<>();
        for (int l = 0; l < layers.length; l++) {
            double kgHa = ground.course().ground(record, layers[l], year);
            inputs.add(input("s" + (l + 1), layer(l), kgHa, Unit.KG_PER_HA));
        }
        Figure f = Formula.sum("Mineral nitrogen of all layers", layers.length)
                .figure(id + "/mineralN", "Mineral nitrogen in the soil at planting", Unit.KG_PER_HA, inputs);
        return banded(f, ModelError.widen(around(all, f.middle()), ModelError.OF_NITRATE));
    }

    private String layer(int l) {
        Unit shown = units.shown(Unit.CENTIMETRE);
        double top = l == 0 ? 0 : GroundSoil.bottomsM().get(l - 1);
        return depth(shown, top) + " to " + depth(shown, GroundSoil.bottomsM().get(l)) + " " + shown.written()
                + " deep";
    }

    private static long depth(Unit shown, double m) {
        return Math.round(Unit.METRE.to(shown, m));
    }
}
