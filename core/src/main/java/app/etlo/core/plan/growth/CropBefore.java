package app.etlo.core.plan.growth;

import app.etlo.core.ground.GroundStart;
import app.etlo.core.knowledge.Crop;
import app.etlo.core.plan.document.FieldEntry;
import app.etlo.core.plan.timeline.PastCrop;
import app.etlo.core.plan.timeline.PlanInTime;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What the field brings into a plan: nitrate and residue of the crop before its first day, by the field's history, and what has become
 * of both since that crop's usual harvest; nitrate as a soil test of the last weeks found it goes before. Without either an ordinary
 * stubble is taken.
 */
public final class CropBefore {
    /** Humus frees so much nitrogen in a day of an autumn, kg/ha for each % of organic matter: the rate of the simulation at some 11 °C. */
    private static final double FREED = 0.09;
    /** Days of an autumn in which it does. */
    private static final double AUTUMN_DAYS = 75;
    /** After so many days a winter lies between, which takes a part. */
    private static final int WINTER_DAYS = 150;

    private static final double LEFT_BY_WINTER = 0.7;
    /** A harvest so long ago says nothing. */
    private static final int TOO_LONG_DAYS = 420;
    /** Residue goes at these rates a day, as a mean of the year; a year leaves 0.45 of tough and 0.28 of fragile residue. */
    private static final double TOUGH = 0.0022;

    private static final double FRAGILE = 0.0035;
    /** Dry tops of crops without a harvest index, kg/ha; round. */
    private static final double USUAL_TOPS = 8000;
    /** A soil test speaks for the start when it is no older. */
    private static final int TEST_DAYS = 75;
    /** Soil of usual density: kg/ha for each mg/kg in a metre. */
    private static final double KG_HA_OF_MG_KG_M = 13.5;

    private static final double USUAL_TEST_M = 0.6;

    private static final double CARBON = 0.43;
    /** Grams per square metre in a pound per acre. */
    private static final double GM2_OF_LB_AC = 0.112085;

    private static final Formula NITRATE = Formula.of(
            "Mineral nitrogen at the start",
            "(left + humus * organic * days) * winter",
            Source.own("what usually is left at harvest (common practice) and what humus frees in autumn; round rates"),
            "left",
            "humus",
            "organic",
            "days",
            "winter");
    private static final Formula TESTED = Formula.of(
            "Mineral nitrogen at the start",
            "nitrate * depth * density",
            Source.identity("nitrate of a soil of 1.35 t/m3"),
            "nitrate",
            "depth",
            "density");
    private static final Formula USUAL =
            Formula.of("Mineral nitrogen at the start", "usual", Source.own("an ordinary stubble"), "usual");
    private static final Formula RESIDUE = Formula.of(
            "Residue at the start",
            "residue * left",
            Source.own("what the harvest leaves, and a round rate of decay since"),
            "residue",
            "left");

    /** Share of the available water that a crop leaves to 1.2 m when it is ripe; common practice, half to two thirds. */
    private static final double MOST_WATER = 0.6;

    private final LocalDate from;
    private final Optional<PastCrop> harvested;
    private final Optional<FieldEntry.SoilTest> test;
    private final Figure nitrate;
    private final Optional<Figure> residue;

    private CropBefore(
            LocalDate from, Optional<PastCrop> harvested, Optional<FieldEntry.SoilTest> test, Figure nitrate) {
        this.from = from;
        this.harvested = harvested;
        this.test = test;
        this.nitrate = nitrate;
        this.residue = harvested.map(h -> residue(h, from));
    }

    /**
     * @param from first day of the simulation
     */
    static CropBefore of(PlanInTime plan, LocalDate from) {
        LocalDate sown = Stream.concat(
                        plan.crops().stream().flatMap(c -> c.planted().stream()),
                        plan.covers().stream().flatMap(c -> c.sown().stream()))
                .filter(d -> !d.isBefore(from))
                .min(Comparator.naturalOrder())
                .orElse(from);
        Optional<PastCrop> before =
                PastCrop.before(plan, sown).stream().findFirst().filter(h -> h.days(sown) <= TOO_LONG_DAYS);
        Optional<FieldEntry.SoilTest> test = test(plan, sown);
        Figure found = test.map(CropBefore::tested)
                .or(() -> before.map(h -> nitrate(plan, h, from)))
                .orElseGet(CropBefore::usual);
        return new CropBefore(from, before, test, found);
    }

    /** What lies there on the first day; what is left later comes as an event. */
    GroundStart start() {
        return harvested
                .filter(h -> h.on().isBefore(from))
                .map(h -> leaves(h, nitrate.middle(), residue.orElseThrow()))
                .orElse(GroundStart.USUAL);
    }

    void tell(GroundEvents events) {
        harvested
                .filter(h -> !h.on().isBefore(from))
                .ifPresent(h -> events.begin(
                        h.on(), "crop before", leaves(h, nitrate.middle(), residue.orElseThrow()), MOST_WATER));
        test.map(FieldEntry.SoilTest::date)
                .ifPresent(d -> events.begin(
                        d.isBefore(from) ? from : d,
                        "soil test",
                        new GroundStart(nitrate.middle(), 0, 0, 0, 0, false),
                        1));
    }

    private static GroundStart leaves(PastCrop h, double nitrateKgHa, Figure residue) {
        return new GroundStart(
                nitrateKgHa,
                residue.middle(),
                residue.middle() * CARBON / h.crop().growing().residueCN(),
                h.crop().growing().taken().standing(),
                h.crop().growing().coverAcPerLb() / GM2_OF_LB_AC,
                h.crop().growing().fragileResidue());
    }

    private static Figure nitrate(PlanInTime plan, PastCrop h, LocalDate from) {
        int days = Math.max(0, h.days(from));
        return NITRATE.figure(
                "grow/start/mineralN",
                "Mineral nitrogen in the soil when the plan begins",
                Unit.KG_PER_HA,
                library(
                        "left",
                        "Usually left by " + h.words(),
                        h.crop().growing().nitrateLeftKgHa(),
                        Unit.KG_PER_HA),
                library("humus", "Freed in a day for each % of organic matter", FREED, Unit.KG_PER_HA),
                Input.of(
                        "organic",
                        "Organic matter of the top layer",
                        plan.soil().layers().get(0).organicPercent(),
                        Unit.PERCENT,
                        Origin.ENTERED,
                        "field"),
                library("days", "Days of autumn since", Math.min(AUTUMN_DAYS, days), Unit.DAY),
                library("winter", "Left after a winter", days > WINTER_DAYS ? LEFT_BY_WINTER : 1, Unit.COUNT));
    }

    /** The last test of the weeks before anything is sown. */
    private static Optional<FieldEntry.SoilTest> test(PlanInTime plan, LocalDate sown) {
        return plan.context().field().soilTests().orElse(List.of()).stream()
                .filter(t -> t.nitrateMgKg().isPresent()
                        && !t.date().isAfter(sown)
                        && !t.date().isBefore(sown.minusDays(TEST_DAYS)))
                .max(Comparator.comparing(FieldEntry.SoilTest::date));
    }

    private static Figure tested(FieldEntry.SoilTest t) {
        return TESTED.figure(
                "grow/start/mineralN",
                "Mineral nitrogen in the soil when the plan begins",
                Unit.KG_PER_HA,
                Input.of(
                        "nitrate",
                        "Nitrate nitrogen, mg/kg",
                        t.nitrateMgKg().orElseThrow(),
                        Unit.COUNT,
                        Origin.MEASURED,
                        "soil test of " + Shown.date(t.date())),
                Input.of(
                        "depth",
                        "Depth sampled",
                        t.depth().map(d -> d.in(Unit.METRE)).orElse(USUAL_TEST_M),
                        Unit.METRE,
                        Origin.MEASURED,
                        "soil test"),
                library("density", "kg/ha for each mg/kg in a metre", KG_HA_OF_MG_KG_M, Unit.COUNT));
    }

    private static Figure usual() {
        return USUAL.figure(
                "grow/start/mineralN",
                "Mineral nitrogen in the soil when the plan begins",
                Unit.KG_PER_HA,
                Input.of(
                        "usual",
                        "An ordinary stubble; no crop before the plan and no soil test is entered",
                        GroundStart.USUAL.nitrateKgHa(),
                        Unit.KG_PER_HA,
                        Origin.DEFAULT,
                        "own round value"));
    }

    private static Figure residue(PastCrop h, LocalDate from) {
        Crop c = h.crop();
        double grain = c.yieldKgHa().middle() * (1 - c.grainMoisture());
        double atHarvest =
                c.harvestIndex().map(hi -> grain / hi * (1 - c.takenShare())).orElse(USUAL_TOPS * (1 - c.takenShare()))
                        * c.growing().taken().liftedKept().orElse(1.0);
        double rate = c.growing().fragileResidue() ? FRAGILE : TOUGH;
        return RESIDUE.figure(
                "grow/start/residue",
                "Residue on the ground when the plan begins",
                Unit.KG_PER_HA,
                library("residue", "Usually left by " + h.words(), atHarvest, Unit.KG_PER_HA),
                library(
                        "left",
                        "Share left after " + Math.max(0, h.days(from)) + " days",
                        Math.exp(-rate * Math.max(0, h.days(from))),
                        Unit.FRACTION));
    }

    private static Input library(String symbol, String label, double value, Unit unit) {
        return Input.of(symbol, label, value, unit, Origin.DEFAULT, "common practice");
    }

    /** Mineral nitrogen when the plan begins. */
    public Figure nitrate() {
        return nitrate;
    }

    /** Residue then; empty where no crop before is known. */
    public Optional<Figure> residue() {
        return residue;
    }
}
