package app.etlo.core.nitrogen;

import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;

/** Nitrogen that the ground, a crop before and water bring. */
public final class SoilCredits {
    /** Ground of usual density, t/m3. */
    private static final double DENSITY = 1.35;
    /** A side-dress test at which corn wants no more, mg/kg of nitrate nitrogen in the top 30 cm. */
    private static final double SIDE_DRESS_CRITICAL = 25;
    /** lb/ac of nitrogen for each mg/kg below it. */
    private static final double LB_AC_FOR_EACH = 8;

    /** By local rule the credit of a crop spreads about so far to both sides. */
    private static final double SPREAD = 0.25;

    private static final Formula PREVIOUS = Formula.of(
                    "Left by the crop before",
                    "left",
                    Source.commonPractice("credits of grain legumes and others that leave nitrogen; by local rule"),
                    "left")
            .remarking("many local recommendations have it inside: count it once");
    private static final Formula ORGANIC = Formula.of(
            "More organic matter than the reference",
            "each * (organic - reference)",
            Source.commonPractice("20 lb/ac for each 1 % above the reference of the local recommendation"),
            "each",
            "organic",
            "reference");
    private static final Formula NITRATE = Formula.of(
            "Nitrate found in the soil",
            "nitrate * depth * density / 10",
            Source.identity("mg/kg x cm x t/m3 / 10 is kg/ha"),
            "nitrate",
            "depth",
            "density");
    private static final Formula SIDE_DRESS = Formula.of(
            "What the side-dress test leaves to feed",
            "need - fed - each * max(critical - nitrate, 0)",
            Source.fromMemory(
                    "pre-sidedress nitrate test of corn: 25 mg/kg in the top 30 cm is enough, 8 lb/ac for each mg/kg below it (Iowa State"
                            + " PM 1714)"),
            "need",
            "fed",
            "each",
            "critical",
            "nitrate");
    private static final Formula MANURE = Formula.of(
            "Nitrogen of an earlier year's manure",
            "total * share / 100",
            Source.commonPractice("organic nitrogen that comes free in the second and third season; products.csv"),
            "total",
            "share");
    private static final Formula WATER = Formula.of(
            "Nitrate in the water given",
            "nitrate * water / 100",
            Source.identity("mg/L x mm / 100 is kg/ha"),
            "nitrate",
            "water");

    private SoilCredits() {}

    /** @param from the crop, in words */
    public static Figure previousCrop(String prefix, double leftKgHa, String from) {
        return PREVIOUS.figure(
                prefix + "/previousCrop",
                "From the crop before",
                Unit.KG_PER_HA,
                Input.banded(
                        "left",
                        "Usually left by " + from,
                        new Band((1 - SPREAD) * leftKgHa, leftKgHa, (1 + SPREAD) * leftKgHa),
                        Unit.KG_PER_HA,
                        Origin.LIBRARY,
                        "crop table, a quarter to either side"));
    }

    /** Below zero where the soil holds less than the reference. */
    public static Figure organicMatter(String prefix, double organicPercent, String from, double referencePercent) {
        return ORGANIC.figure(
                prefix + "/organicMatter",
                "From organic matter",
                Unit.LB_PER_AC,
                Input.of("each", "For each % more", 20, Unit.LB_PER_AC, Origin.DEFAULT, "common practice"),
                Input.of("organic", "Organic matter, %", organicPercent, Unit.COUNT, Origin.MEASURED, from),
                Input.of(
                        "reference",
                        "Reference of the recommendation, %",
                        referencePercent,
                        Unit.COUNT,
                        Origin.ENTERED,
                        "feed step"));
    }

    public static Figure nitrate(String prefix, double mgKg, double depthCm, String from) {
        return NITRATE.figure(
                prefix + "/soilTest",
                "Nitrate in the soil",
                Unit.KG_PER_HA,
                Input.of("nitrate", "Nitrate nitrogen, mg/kg", mgKg, Unit.COUNT, Origin.MEASURED, from),
                Input.of("depth", "Depth sampled", depthCm, Unit.CENTIMETRE, Origin.MEASURED, from),
                Input.of("density", "Density, t/m3", DENSITY, Unit.COUNT, Origin.DEFAULT, "usual density"));
    }

    /**
     * Such that the need, less what was fed until the test and less this, is what the test says is still to be fed.
     *
     * @param fedKgHa until the test
     */
    public static Figure sideDress(String prefix, Figure need, double fedKgHa, double mgKg, String from) {
        return SIDE_DRESS.figure(
                prefix + "/sideDressTest",
                "Side-dress nitrate test",
                Unit.LB_PER_AC,
                Input.figure("need", need, Unit.LB_PER_AC),
                Input.of(
                        "fed",
                        "Fed until the test",
                        Unit.KG_PER_HA.to(Unit.LB_PER_AC, fedKgHa),
                        Unit.LB_PER_AC,
                        Origin.ENTERED,
                        "plan"),
                Input.of("each", "For each mg/kg below", LB_AC_FOR_EACH, Unit.LB_PER_AC, Origin.LIBRARY, "the test"),
                Input.of("critical", "Enough, mg/kg", SIDE_DRESS_CRITICAL, Unit.COUNT, Origin.LIBRARY, "the test"),
                Input.of("nitrate", "Nitrate nitrogen, mg/kg", mgKg, Unit.COUNT, Origin.MEASURED, from));
    }

    /**
     * What a manure or compost of an earlier season still frees.
     *
     * @param totalKgHa all of its nitrogen
     * @param share of it that comes free in this season, 0 to 1; it may be half as much, or half as much again
     * @param from product and day, in words
     */
    public static Figure manure(String prefix, String id, double totalKgHa, double share, String from) {
        return MANURE.figure(
                prefix + "/manure/" + id,
                "From earlier manure",
                Unit.KG_PER_HA,
                Input.of("total", "All its nitrogen", totalKgHa, Unit.KG_PER_HA, Origin.ENTERED, "plan"),
                Input.banded(
                        "share",
                        "Comes free in this season, " + from,
                        new Band(50 * share, 100 * share, 150 * share),
                        Unit.PERCENT,
                        Origin.LIBRARY,
                        "products, half as much to half as much again"));
    }

    public static Figure water(String prefix, double mgL, double mm) {
        return WATER.figure(
                prefix + "/water",
                "From irrigation water",
                Unit.KG_PER_HA,
                Input.of("nitrate", "Nitrate nitrogen, mg/L", mgL, Unit.COUNT, Origin.MEASURED, "field"),
                Input.of("water", "Water given", mm, Unit.MILLIMETRE, Origin.ENTERED, "plan"));
    }
}
