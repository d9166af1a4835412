package app.etlo.core.plan;

import app.etlo.core.advice.Situation;
import app.etlo.core.ground.GroundCourse;
import app.etlo.core.ground.GroundCourse.OfGround;
import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.ground.ModelError;
import app.etlo.core.knowledge.Species;
import app.etlo.core.mix.Component;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.termination.Termination;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.time.Month;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Figures of the simulated ground: what a cover holds when it ends, what a crop finds when it is planted, and the whole rotation. */
final class GroundFigures {
    private static final Source SIMULATED = Source.own("the ground simulation: docs/simulation.md");
    private static final Formula SIMPLE = Formula.of("From the simulation", "value", SIMULATED, "value");
    private static final Formula YEARLY =
            Formula.of("A year of the rotation", "days / span * 365.25", SIMULATED, "days", "span");
    private static final Formula NITROGEN = Formula.of(
            "Nitrogen in the tops", "mass * percent / 100", Source.identity("mass times content"), "mass", "percent");
    private static final Formula CN = Formula.of(
            "Carbon over nitrogen",
            "0.43 * mass / nitrogen",
            Source.fromMemory("carbon is 42 to 45 % of dry matter"),
            "mass",
            "nitrogen");
    private static final Formula PERCENT =
            Formula.of("Content of nitrogen", "nitrogen / mass * 100", Source.identity("a share"), "nitrogen", "mass");
    /** What the simulation knows of water, cover and nitrate, one standard deviation; Etlo's own. */
    private static final double ERROR_OF_GROUND = 0.15;

    private static final double ERROR_OF_NITRATE = 0.35;

    private final PlanGround ground;
    private final Consumer<Figure> keep;
    private final ToDoubleFunction<String> errorOfMass;

    /**
     * @param errorOfMass of the model, by cover: less after field checks
     */
    GroundFigures(PlanGround ground, ToDoubleFunction<String> errorOfMass, Consumer<Figure> keep) {
        this.ground = ground;
        this.keep = keep;
        this.errorOfMass = errorOfMass;
    }

    void all(List<CropInTime> crops, List<Situation.Cover> covers, boolean southern) {
        covers.forEach(this::cover);
        crops.forEach(this::crop);
        crops.forEach(this::grown);
        rotation(southern);
    }

    private boolean covered(LocalDate day) {
        int d = ground.day(day);
        return d > 0 && d <= ground.course().recordedDay(ground.course().records() - 1);
    }

    private void cover(Situation.Cover c) {
        Optional<LocalDate> end =
                c.end().map(Termination::date).or(() -> c.next().flatMap(CropInTime::planted));
        List<Integer> plants = ground.plants(c.id());
        boolean sownInTime = c.sown()
                .map(d -> ground.day(d) >= 0 && ground.day(d) < ground.day(end.orElse(d)))
                .orElse(false);
        if (end.isEmpty() || plants.isEmpty() || !sownInTime || !covered(end.get())) {
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
        keep.accept(simple(
                id + "/residueCover",
                "Ground covered by residue a week after it ends",
                Unit.PERCENT,
                ground.course().ground(after, OfGround.RESIDUE_COVER),
                100,
                ERROR_OF_GROUND));
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
        c.planted().filter(this::covered).ifPresent(day -> {
            int record = ground.before(day);
            String id = "grow/" + c.id();
            water(id, record);
            keep.accept(simple(
                    id + "/mineralN",
                    "Mineral nitrogen in the soil at planting",
                    Unit.KG_PER_HA,
                    ground.course().ground(record, OfGround.MINERAL_N_KG_HA),
                    1,
                    ERROR_OF_NITRATE));
            keep.accept(simple(
                    id + "/residueCover",
                    "Ground covered by residue at planting",
                    Unit.PERCENT,
                    ground.course().ground(record, OfGround.RESIDUE_COVER),
                    100,
                    ERROR_OF_GROUND));
        });
    }

    /** What a crop has grown to until it is harvested, also where frost ended it ripe before: to compare plans; no yield is told. */
    private void grown(CropInTime c) {
        List<Integer> plants = ground.plants(c.id());
        c.harvested()
                .filter(this::covered)
                .filter(d -> !plants.isEmpty())
                .ifPresent(day -> keep.accept(simple(
                        "grow/" + c.id() + "/cropMass",
                        "Dry tops of the crop at harvest, simulated: to compare plans",
                        Unit.T_PER_HA,
                        ground.course().sum(ground.before(day), plants, OfPlant.PEAK_KG_HA),
                        1e-3,
                        ModelError.OF_MASS)));
    }

    /** Water that roots can draw, layer by layer in the middle year. */
    private void water(String id, int record) {
        double[] all = ground.course().ground(record, OfGround.AVAILABLE_WATER_MM);
        int year = nearest(all, GroundCourse.band(all).middle());
        OfGround[] layers = {OfGround.WATER_1, OfGround.WATER_2, OfGround.WATER_3, OfGround.WATER_4, OfGround.WATER_5};
        List<Input> inputs = new ArrayList<>();
        for (int l = 0; l < layers.length; l++) {
            double mm = ground.soil().reachableMm(l, ground.course().ground(record, layers[l], year));
            inputs.add(input("s" + (l + 1), "Layer " + (l + 1) + " from the top", mm, Unit.MILLIMETRE));
        }
        Figure f = Formula.sum("Water that roots can draw", layers.length)
                .figure(id + "/water", "Water at planting that roots can draw", Unit.MILLIMETRE, inputs);
        keep.accept(banded(f, ModelError.widen(around(all, f.middle()), ERROR_OF_GROUND)));
    }

    private void rotation(boolean southern) {
        GroundCourse course = ground.course();
        int span = course.recordedDay(course.records() - 1) + 1;
        keep.accept(
                simple("grow/lowestCover", "Lowest cover of the rotation", Unit.PERCENT, course.lowestCover(), 100, 0));
        keep.accept(yearly("grow/bareDays", "Days a year with under 30 % covered", course.bareDays(), span));
        keep.accept(yearly("grow/livingRootDays", "Days a year with living roots", course.livingRootDays(), span));
        leached(southern);
    }

    /** Nitrogen lost below the soil in the half years of risk, October to March or April to September, kg/ha a winter. */
    private void leached(boolean southern) {
        double[] sum = new double[ground.course().members()];
        int winters = 0;
        LocalDate start = ground.from();
        LocalDate last =
                start.plusDays(ground.course().recordedDay(ground.course().records() - 1));
        for (int year = start.getYear() - 1; year <= last.getYear(); year++) {
            LocalDate from = LocalDate.of(year, southern ? Month.APRIL : Month.OCTOBER, 1);
            LocalDate to = from.plusMonths(6);
            if (!from.isBefore(start) && !to.isAfter(last)) {
                double[] before = ground.course().ground(ground.before(from), OfGround.LEACHED_N_KG_HA);
                double[] after = ground.course().ground(ground.before(to), OfGround.LEACHED_N_KG_HA);
                for (int m = 0; m < sum.length; m++) {
                    sum[m] += after[m] - before[m];
                }
                winters++;
            }
        }
        if (winters > 0) {
            int n = winters;
            double[] each = Arrays.stream(sum).map(v -> v / n).toArray();
            keep.accept(simple(
                    "grow/leached",
                    "Nitrogen leached in a winter: to compare plans, not a promise",
                    Unit.KG_PER_HA,
                    each,
                    1,
                    0.5));
        }
    }

    private static int nearest(double[] years, double value) {
        return IntStream.range(0, years.length)
                .reduce((a, b) -> Math.abs(years[b] - value) < Math.abs(years[a] - value) ? b : a)
                .orElse(0);
    }

    private static Band around(double[] years, double middle) {
        Band b = GroundCourse.band(years);
        return new Band(Math.min(b.low(), middle), middle, Math.max(b.high(), middle));
    }

    private Input input(String symbol, String label, double value, Unit unit) {
        return Input.of(symbol, label, value, unit, Origin.FORECAST, "the middle one of the weather years");
    }

    private Figure simple(String id, String label, Unit unit, double[] years, double factor, double error) {
        double[] scaled = Arrays.stream(years).map(v -> v * factor).toArray();
        Band weather = GroundCourse.band(scaled);
        Band band = error > 0 ? ModelError.widen(weather, error) : weather;
        if (unit == Unit.PERCENT) {
            band = new Band(band.low(), band.middle(), Math.max(band.middle(), Math.min(100, band.high())));
        }
        return banded(SIMPLE.figure(id, label, unit, input("value", label, band.middle(), unit)), band);
    }

    private Figure yearly(String id, String label, double[] days, int span) {
        Band weather = GroundCourse.band(days);
        Figure f = YEARLY.figure(
                id,
                label,
                Unit.DAY,
                input("days", "Days in all", weather.middle(), Unit.DAY),
                Input.of("span", "Days simulated", span, Unit.DAY, Origin.FORECAST, "plan"));
        return banded(f, weather.map(v -> v / span * 365.25));
    }

    private static Figure banded(Figure f, Band band) {
        return new Figure(f.id(), f.label(), band, f.unit(), f.origin(), f.working());
    }
}
