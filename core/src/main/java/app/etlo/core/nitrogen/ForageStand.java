package app.etlo.core.nitrogen;

import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Map;

/**
 * What a stand of forage legumes leaves to the crop after it, and green manures to theirs, by table.
 *
 * <p>University of Wisconsin bulletin A2809, from memory.
 */
public final class ForageStand {
    public static final Source SOURCE = Source.fromMemory(
            "University of Wisconsin bulletin A2809, nitrogen credits of forage legumes and green manures");

    /** How it stood, in the order of the table. */
    public static final List<String> STANDS = List.of("good", "fair", "poor");

    /** Regrowth from which the higher column holds, cm. */
    public static final double TALL_CM = 20;

    private static final double[][] MEDIUM = {{190, 150}, {160, 120}, {130, 90}};
    private static final double[][] SAND = {{140, 100}, {110, 70}, {80, 40}};
    private static final double SECOND_YEAR = 50;
    private static final double OTHER_LEGUMES = 0.8;

    /** Green manures, lb/ac: low and high. */
    private static final Map<String, Band> GREEN = Map.of(
            "yellow-sweetclover", new Band(80, 100, 120),
            "white-sweetclover", new Band(80, 100, 120),
            "red-clover", new Band(50, 65, 80),
            "alfalfa", new Band(60, 80, 100),
            "hairy-vetch", new Band(40, 65, 90),
            "common-vetch", new Band(40, 65, 90));
    /** Less growth when killed gives at most so much. */
    public static final double SHORT_CM = 15;

    private static final double SHORT_MOST = 40;

    private static final Formula TABLE =
            Formula.of("By the table of stands", "table * share", SOURCE, "table", "share");

    private ForageStand() {}

    /**
     * To the first crop after it.
     *
     * @param stand of {@link #STANDS}
     * @param sandy whether the soil is a sand
     * @param alfalfa else red clover or trefoil
     */
    public static Figure first(String prefix, String stand, double regrowthCm, boolean sandy, boolean alfalfa) {
        double lb = (sandy ? SAND : MEDIUM)[STANDS.indexOf(stand)][regrowthCm >= TALL_CM ? 0 : 1];
        return figure(
                prefix + "/forageStand",
                "From the forage stand",
                Band.exactly(lb),
                stand + " stand, " + (regrowthCm >= TALL_CM ? "20 cm or more" : "under 20 cm") + " of regrowth"
                        + (sandy ? ", sand" : ""),
                alfalfa ? 1 : OTHER_LEGUMES);
    }

    /** To the second; none on sands or behind a poor stand. */
    public static Figure second(String prefix, String stand, boolean sandy) {
        boolean none = sandy || stand.equals("poor");
        return figure(
                prefix + "/forageStand",
                "From the forage stand, second year",
                Band.exactly(none ? 0 : SECOND_YEAR),
                none ? "none on sands or behind a poor stand" : "good or fair stand on medium or fine soil",
                1);
    }

    /** Whether the table holds a green manure. */
    public static boolean holds(String species) {
        return GREEN.containsKey(species);
    }

    /**
     * Of a green manure's part of a stand.
     *
     * @param shareOfTops 0 to 1
     */
    public static Figure green(String prefix, String species, double heightCm, double shareOfTops) {
        Band table = GREEN.get(species);
        boolean small = heightCm < SHORT_CM;
        return figure(
                prefix + "/table/" + species,
                "By the table of green manures",
                small ? new Band(0, SHORT_MOST / 2, SHORT_MOST) : table,
                small ? "under 15 cm when killed" : "green manure",
                shareOfTops);
    }

    private static Figure figure(String id, String label, Band lbAc, String row, double share) {
        return TABLE.figure(
                id,
                label,
                Unit.LB_PER_AC,
                Input.banded("table", "Credit, " + row, lbAc, Unit.LB_PER_AC, Origin.LIBRARY, SOURCE.text()),
                Input.of("share", "Of the tops", share, Unit.FRACTION, Origin.FORECAST, "simulation"));
    }
}
