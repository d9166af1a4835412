package app.etlo.core.plan.asked;

import app.etlo.core.ground.GroundCourse;
import app.etlo.core.ground.GroundCourse.OfGround;
import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.ground.ModelError;
import app.etlo.core.mix.Prospect;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.growth.GroundEvents;
import app.etlo.core.plan.growth.PlanGround;
import app.etlo.core.plan.growth.StandParts;
import app.etlo.core.plan.shown.Evaluation;
import app.etlo.core.plan.shown.SectionWriter;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.quantity.UnitSystem;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.IntFunction;

/** A stand day by day: what the section shows by weeks, as a table with the middle of the years and the band of 8 in 10. */
public final class GroundDays {
    /** Carbon in dry tops (from memory: 42 to 45 %). */
    private static final double LEAST_KG_HA = 1;

    private static final OfGround[] WATER = {
        OfGround.WATER_1, OfGround.WATER_2, OfGround.WATER_3, OfGround.WATER_4, OfGround.WATER_5
    };

    private final Evaluated e;
    private final PlanGround ground;
    private final String standId;
    private final List<Integer> plants;
    private final UnitSystem units;
    private final List<DayColumn> columns = new ArrayList<>();
    private final List<Unit> computed = new ArrayList<>();
    private final List<Unit> shown = new ArrayList<>();
    private final List<IntFunction<Double>> cells = new ArrayList<>();
    private GroundCourse course;

    /**
     * @param unit as shown; empty for what has none
     */
    public record DayColumn(String name, String unit) {}

    /** One day; the cells stand under the columns, empty where there is nothing to tell. */
    public record DayRow(LocalDate day, List<String> cells) {}

    public record DaysView(String standId, String label, List<DayColumn> columns, List<DayRow> rows) {}

    private GroundDays(Evaluated e, PlanGround ground, String standId) {
        this.e = e;
        this.ground = ground;
        this.standId = standId;
        this.plants = ground.plants(standId);
        this.units = e.units();
    }

    /** The days of a stand from its sowing to its end; empty when it is not simulated. */
    public static Optional<DaysView> of(Evaluated e, String standId) {
        return SectionWriter.write(e).stands().stream()
                .filter(s -> s.id().equals(standId))
                .findFirst()
                .flatMap(s -> e.ground()
                        .filter(g -> !g.plants(standId).isEmpty())
                        .map(g -> new GroundDays(e, g, standId).view(s)));
    }

    private DaysView view(Evaluation.StandView stand) {
        course = ground.days(stand.from(), stand.to());
        tops();
        for (int i = 0; i < plants.size(); i++) {
            int of = i;
            column("dry tops, " + name(plants.get(i)), Unit.KG_PER_HA, r -> StandParts.massKgHa(course, r, plants)[of]);
        }
        column("height of the tallest", Unit.CENTIMETRE, r -> 100 * highest(r, OfPlant.HEIGHT_M));
        column("living cover", Unit.PERCENT, r -> 100 * middle(course.ground(r, OfGround.LIVING_COVER)));
        column("roots down to", Unit.CENTIMETRE, r -> 100 * highest(r, OfPlant.ROOT_M));
        plants.forEach(p -> column(
                "stage, " + name(p) + " (1 flowering, 2 ripe)",
                Unit.FRACTION,
                r -> middle(course.plant(r, p, OfPlant.STAGE))));
        column("nitrogen in the tops", Unit.KG_PER_HA, r -> StandParts.allNitrogenKgHa(course, r, plants));
        column("C:N of the tops", Unit.FRACTION, this::carbonOverNitrogen);
        column("ground under residue", Unit.PERCENT, r -> 100 * middle(course.ground(r, OfGround.RESIDUE_COVER)));
        banded("residue", Unit.KG_PER_HA, ModelError.OF_MASS, r -> course.ground(r, OfGround.RESIDUE_KG_HA));
        banded(
                "water that roots can draw",
                Unit.MILLIMETRE,
                ModelError.OF_GROUND,
                r -> course.ground(r, OfGround.AVAILABLE_WATER_MM));
        for (int l = 0; l < WATER.length; l++) {
            OfGround layer = WATER[l];
            column(
                    "layer " + (l + 1) + ", of what it holds for plants",
                    Unit.PERCENT,
                    r -> 100 * middle(course.ground(r, layer)));
        }
        column("mineral nitrogen", Unit.KG_PER_HA, r -> middle(course.ground(r, OfGround.MINERAL_N_KG_HA)));
        List<DayRow> rows = new ArrayList<>();
        for (int r = 0; r < course.records(); r++) {
            rows.add(row(r));
        }
        return new DaysView(standId, stand.label(), columns, rows);
    }

    private DayRow row(int r) {
        List<String> texts = new ArrayList<>();
        for (IntFunction<Double> cell : cells) {
            texts.add(text(cell.apply(r), texts.size()));
        }
        return new DayRow(ground.from().plusDays(course.recordedDay(r)), texts);
    }

    private String text(double value, int column) {
        return Double.isNaN(value)
                ? ""
                : Shown.text(computed.get(column).to(shown.get(column), value), shown.get(column));
    }

    private void column(String name, Unit unit, IntFunction<Double> cell) {
        Unit as = units.shown(unit);
        columns.add(new DayColumn(name, as == Unit.FRACTION ? "" : as.written()));
        computed.add(unit);
        shown.add(as);
        cells.add(cell);
    }

    private void tops() {
        banded(
                "dry tops",
                Unit.KG_PER_HA,
                e.growth().errorOfMass(standId),
                r -> course.sum(r, plants, OfPlant.MASS_KG_HA));
    }

    private void banded(String name, Unit unit, double error, IntFunction<double[]> years) {
        column(name, unit, r -> band(years.apply(r), error).middle());
        column(
                name + ", 1 year in 10 under",
                unit,
                r -> band(years.apply(r), error).low());
        column(
                name + ", 1 year in 10 over",
                unit,
                r -> band(years.apply(r), error).high());
    }

    private static Band band(double[] years, double error) {
        return ModelError.widen(GroundCourse.band(years), error);
    }

    private static double middle(double[] years) {
        return GroundCourse.band(years).middle();
    }

    private double highest(int record, OfPlant v) {
        return plants.stream()
                .mapToDouble(p -> middle(course.plant(record, p, v)))
                .max()
                .orElse(0);
    }

    /** Nothing is shown of a stand that weighs next to nothing. */
    private double carbonOverNitrogen(int record) {
        double nitrogen = StandParts.nitrogenShare(course, record, plants);
        return middle(course.sum(record, plants, OfPlant.MASS_KG_HA)) < LEAST_KG_HA || nitrogen <= 0
                ? Double.NaN
                : Prospect.CARBON_SHARE / nitrogen;
    }

    private String name(int plant) {
        String id = ground.of(standId).stream()
                .filter(s -> s.index() == plant)
                .map(GroundEvents.Standing::plantId)
                .findFirst()
                .orElseThrow();
        return e.knowledge()
                .species()
                .find(id)
                .map(s -> s.name())
                .or(() -> e.knowledge().crops().find(id).map(c -> c.name()))
                .orElse(id)
                .toLowerCase(Locale.ROOT);
    }
}
