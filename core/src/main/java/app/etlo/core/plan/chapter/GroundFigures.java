package app.etlo.core.plan.chapter;

import static app.etlo.core.plan.growth.MiddleYear.around;
import static app.etlo.core.plan.growth.MiddleYear.banded;
import static app.etlo.core.plan.growth.MiddleYear.input;
import static app.etlo.core.plan.growth.MiddleYear.nearest;
import static app.etlo.core.plan.growth.MiddleYear.percent;
import static app.etlo.core.plan.growth.MiddleYear.scaled;

import app.etlo.core.advice.Situation;
import app.etlo.core.ground.GroundCourse;
import app.etlo.core.ground.GroundCourse.OfGround;
import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.ground.GroundSoil;
import app.etlo.core.ground.ModelError;
import app.etlo.core.knowledge.Species;
import app.etlo.core.mix.Component;
import app.etlo.core.plan.growth.PlanGround;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.termination.Termination;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;

/** Figures of the simulated ground: what a cover holds when it ends, what a crop finds when it is planted, and the whole rotation. */
public final class GroundFigures {
    static final Source SIMULATED = Source.own("the ground simulation: docs/simulation.md");
    private static final Formula SIMPLE = Formula.of("From the simulation", "value", SIMULATED, "value");
    private static final Formula NITROGEN = Formula.of(
            "Nitrogen in the tops", "mass * percent / 100", Source.identity("mass times content"), "mass", "percent");
    private static final Formula CN = Formula.of(
            "Carbon over nitrogen",
            "0.43 * mass / nitrogen",
            Source.fromMemory("carbon is 42 to 45 % of dry matter"),
            "mass",
            "nitrogen");
    private static final Formula RESIDUE_COVER = Formula.of(
                    "Ground covered by residue",
                    "(1 - exp(-lying - 0.4 * standing)) * 100",
                    Source.fromMemory("Gregory 1982: cover is 1 - exp(-k mass)"),
                    "lying",
                    "standing")
            .remarking(
                    "Spread is mass times k of each kind of residue; what stands counts for 4 parts in 10, Etlo's own share.");
    private static final Formula PERCENT =
            Formula.of("Content of nitrogen", "nitrogen / mass * 100", Source.identity("a share"), "nitrogen", "mass");
    /** What the simulation knows of water, cover and nitrate, one standard deviation; Etlo's own. */
    private static final double ERROR_OF_GROUND = 0.15;

    private static final double ERROR_OF_NITRATE = 0.35;

    private final PlanGround ground;
    private final UnitSystem units;
    private final Consumer<Figure> keep;
    private final ToDoubleFunction<String> errorOfMass;

    /**
     * @param units in which depths are named
     * @param errorOfMass of the model, by cover: less after field checks
     */
    GroundFigures(PlanGround ground, UnitSystem units, ToDoubleFunction<String> errorOfMass, Consumer<Figure> keep) {
        this.ground = ground;
        this.units = units;
        this.keep = keep;
        this.errorOfMass = errorOfMass;
    }

    void all(List<CropInTime> crops, List<Situation.Cover> covers, boolean southern) {
        covers.forEach(this::cover);
        crops.forEach(this::crop);
        crops.forEach(this::grown);
        new RotationFigures(ground, keep).all(crops, covers, southern);
    }

    private void cover(Situation.Cover c) {
        Optional<LocalDate> end =
                c.end().map(Termination::date).or(() -> c.next().flatMap(CropInTime::planted));
        List<Integer> plants = ground.plants(c.id());
        boolean sownInTime = c.sown()
                .map(d -> ground.day(d) >= 0 && ground.day(d) < ground.day(end.orElse(d)))
                .orElse(false);
        if (end.isEmpty() || plants.isEmpty() || !sownInTime || !ground.covers(end.get())) {
            return;
        }
        int record = ground.before(end.get());
        String id = "grow/" + c.id();
        double[] mass = ground.course().sum(record, plants, OfPlant.MASS_KG_HA);
        double[] nitrogen = ground.course().sum(record, plants, OfPlant.NITROGEN_KG_HA);
        Band massBand = GroundCourse.band(mass);
        int year = nearest(mass, massBand.middle());
        keep.accept(tops(c, id + "/mass", plants, record, mass, year));
        if (mass[year] > 0) {
            keep.accept(CN.figure(
                    id + "/cn",
                    "C:N of what stands when it ends",
                    Unit.FRACTION,
                    input("mass", "Dry tops", mass[year], Unit.KG_PER_HA),
                    input("nitrogen", "Nitrogen in the tops", nitrogen[year], Unit.KG_PER_HA)));
            Figure percent = PERCENT.figure(
                    id + "/nitrogenPercent",
                    "Nitrogen in the dry tops, simulated",
                    Unit.PERCENT,
                    input("nitrogen", "Nitrogen in the tops", nitrogen[year], Unit.KG_PER_HA),
                    input("mass", "Dry tops", mass[year], Unit.KG_PER_HA));
            keep.accept(percent);
            keep.accept(banded(
                    NITROGEN.figure(
                            id + "/nitrogen",
                            "Nitrogen in the tops when it ends, simulated",
                            Unit.KG_PER_HA,
                            input("mass", "Dry tops", mass[year], Unit.KG_PER_HA),
                            Input.figure("percent", percent)),
                    ModelError.widen(around(nitrogen, nitrogen[year]), errorOfMass.applyAsDouble(c.id()))));
        }
        int after = ground.course().recordOf(ground.day(end.get()) + 6);
        keep.accept(residueCover(id, "Ground covered by residue a week after it ends", after));
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
        return banded(f, percent(ModelError.widen(around(years, f.middle()), ERROR_OF_GROUND)));
    }

    /** What stands when it ends, species by species in the middle year; nothing where winter took it whole. */
    private Figure tops(Situation.Cover c, String figureId, List<Integer> plants, int record, double[] mass, int year) {
        Map<String, String> names = c.components().stream()
                .map(Component::species)
                .collect(Collectors.toMap(Species::id, Species::name, (a, b) -> a));
        List<Input> parts = new ArrayList<>();
        for (int i = 0; i < plants.size(); i++) {
            String id = ground.plantId(plants.get(i));
            double kgHa = ground.course().plant(record, plants.get(i), OfPlant.MASS_KG_HA, year);
            parts.add(input("s" + (i + 1), names.getOrDefault(id, id), kgHa / 1000, Unit.T_PER_HA));
        }
        Figure f = Formula.sum("Dry tops of all species", parts.size())
                .figure(figureId, "Dry tops that stand when it ends", Unit.T_PER_HA, parts);
        return banded(
                f,
                ModelError.widen(around(mass, mass[year]), errorOfMass.applyAsDouble(c.id()))
                        .map(v -> v / 1000));
    }

    private void crop(CropInTime c) {
        c.planted().filter(ground::covers).ifPresent(day -> {
            int record = ground.before(day);
            String id = "grow/" + c.id();
            water(id, record);
            mineralN(id, record);
            keep.accept(residueCover(id, "Ground covered by residue at planting", record));
        });
    }

    /** What a crop has grown to until it is harvested, also where frost ended it ripe before: to compare plans; it is not a yield. */
    private void grown(CropInTime c) {
        List<Integer> plants = ground.plants(c.id());
        c.harvested().filter(ground::covers).filter(d -> !plants.isEmpty()).ifPresent(day -> {
            Band tHa = GroundCourse.band(
                    scaled(ground.course().sum(ground.before(day), plants, OfPlant.PEAK_KG_HA), 1e-3));
            Figure f = SIMPLE.figure(
                    "grow/" + c.id() + "/cropMass",
                    "Dry tops of the crop at harvest, simulated: to compare plans",
                    Unit.T_PER_HA,
                    input("value", "Dry tops of the crop at harvest", tHa.middle(), Unit.T_PER_HA));
            keep.accept(banded(f, ModelError.widen(tHa, ModelError.OF_MASS)));
        });
    }

    /** Water that roots can draw, layer by layer in the middle year. */
    private void water(String id, int record) {
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
        keep.accept(banded(f, ModelError.widen(around(all, f.middle()), ERROR_OF_GROUND)));
    }

    /** Mineral nitrogen, layer by layer in the middle year: to be set against a soil test of the same depths. */
    private void mineralN(String id, int record) {
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
        keep.accept(banded(f, ModelError.widen(around(all, f.middle()), ERROR_OF_NITRATE)));
    }

    private String layer(int l) {
        Unit shown = units.shown(Unit.CENTIMETRE);
        double top = l == 0 ? 0 : GroundSoil.bottomsM().get(l - 1);
        return depth(shown, top) + " to " + depth(shown, GroundSoil.bottomsM().get(l)) + " " + shown.symbol() + " deep";
    }

    private static long depth(Unit shown, double m) {
        return Math.round(Unit.METRE.to(shown, m));
    }
}
