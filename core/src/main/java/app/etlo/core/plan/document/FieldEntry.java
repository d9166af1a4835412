package app.etlo.core.plan.document;

import app.etlo.core.quantity.Quantity;
import com.fasterxml.jackson.databind.JsonNode;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * A field as it is stored and exported. Nothing is needed but a name and an area; what is absent is not known, and what is
 * taken in its place is marked as default wherever it is used. Frost dates are written MM-dd.
 *
 * @param boundary GeoJSON; the area is measured from it when present
 * @param point where it lies, when there is no boundary
 * @param station id of a station that ships with Etlo
 * @param weather id of an imported series; before the station
 * @param coldHollowC how much colder than the screen its nights are, degrees Celsius
 * @param evapotranspirationScale factor on the reference evapotranspiration for a windy or humid place
 * @param noxiousList weeds and plants that the law in force here lists, separated by semicolons, as typed
 * @param waterNitrateMgL nitrate nitrogen in the water given
 * @param fence none, electric or permanent
 * @param stockDistance to where the stock are kept
 * @param drillHaPerDay what the drill does in a day
 * @param penetrometerPercent share of the points of the field at which the penetrometer reads over 2 MPa
 * @param spadeTests layers of the blocks dug, each with the day on which it was scored
 */
public record FieldEntry(
        String id,
        String farmId,
        String name,
        Optional<JsonNode> boundary,
        Optional<Quantity> area,
        Optional<Point> point,
        Optional<Quantity> elevation,
        Optional<String> station,
        Optional<String> weather,
        Optional<Double> coldHollowC,
        Optional<Double> evapotranspirationScale,
        Optional<String> texture,
        Optional<String> drainage,
        Optional<Quantity> tileDepth,
        Optional<Double> organicMatterPercent,
        Optional<Double> stonePercent,
        Optional<Double> ph,
        Optional<Quantity> rootingLimit,
        Optional<List<Layer>> layers,
        Optional<Quantity> panDepth,
        Optional<Quantity> penetrometer,
        Optional<Double> slopePercent,
        Optional<Quantity> slopeLength,
        Optional<Double> slopeTowards,
        Optional<String> lastSpringFrost,
        Optional<String> firstAutumnFrost,
        Optional<List<Weed>> weeds,
        Optional<List<Pest>> pests,
        Optional<String> livestock,
        Optional<String> wildlife,
        Optional<String> waterSupply,
        Optional<Double> waterNitrateMgL,
        Optional<String> fence,
        Optional<Quantity> stockDistance,
        Optional<String> certification,
        Optional<LocalDate> inTransitionSince,
        Optional<List<Programme>> programmes,
        Optional<List<Machine>> equipment,
        Optional<Quantity> drillHaPerDay,
        Optional<List<Past>> history,
        Optional<List<Residual>> residuals,
        Optional<List<ResidualInterval>> residualIntervals,
        Optional<String> noxiousList,
        Optional<List<SoilTest>> soilTests,
        Optional<List<Zone>> zones,
        Optional<Double> penetrometerPercent,
        Optional<List<SpadeLayer>> spadeTests) {
    public FieldEntry {
        // a tree reader hands an absent member over as the tree's own null
        boundary = boundary.filter(b -> !b.isNull());
    }

    /** Degrees north and east. */
    public record Point(double lat, double lon) {}

    /**
     * A layer of soil, from the one above it down to its depth. Texture by class or by sand and clay.
     *
     * @param depth of its lower edge
     */
    public record Layer(
            Quantity depth,
            Optional<String> texture,
            Optional<Double> sandPercent,
            Optional<Double> clayPercent,
            Optional<Double> organicMatterPercent,
            Optional<Double> stonePercent,
            Optional<Double> ph) {}

    /**
     * @param pressure low, medium or high
     * @param perennial whether it comes back from roots
     * @param underControl whether it was held down in the last seasons
     */
    public record Weed(String name, String pressure, Optional<Boolean> perennial, Optional<Boolean> underControl) {}

    public record Pest(String name, Optional<Integer> year) {}

    /**
     * @param allowedSpecies names of the species its list allows, separated by semicolons; any when absent
     */
    public record Programme(
            String name, Optional<LocalDate> until, Optional<String> rules, Optional<String> allowedSpecies) {}

    /**
     * @param kind drill, planter, sprayer, roller-crimper, mower, undercutter, tillage, strip-till, spreader, combine or other
     */
    public record Machine(String name, String kind, Optional<Quantity> width) {}

    /** A crop of the past; its name as typed or an id of the library. */
    public record Past(int year, String crop) {}

    /**
     * A herbicide that may still act in the soil, as the adviser typed it from the label.
     *
     * @param intervalMonths the label's interval to the crop or cover in question
     */
    public record Residual(String activeIngredient, LocalDate appliedOn, Optional<Double> intervalMonths) {}

    /**
     * An interval on the label of a herbicide to one plant, a group of them, or feeding.
     *
     * @param activeIngredient of an entry of the history
     * @param of a species, crop or functional group of the library, or {@code feeding} for grazing and cutting
     */
    public record ResidualInterval(String activeIngredient, String of, double months) {
        public static final String FEEDING = "feeding";
    }

    public record SoilTest(
            LocalDate date,
            Optional<Quantity> depth,
            Optional<Double> ph,
            Optional<Double> organicMatterPercent,
            Optional<Double> phosphorusMgKg,
            Optional<Double> potassiumMgKg,
            Optional<Double> nitrateMgKg) {}

    /**
     * A layer of a block of soil that was dug and broken by hand, from the one above it down to its depth. Layers of one day are one
     * block.
     *
     * @param depth of its lower edge
     * @param score 1, friable, to 5, very compact
     */
    public record SpadeLayer(LocalDate on, Quantity depth, double score) {}

    /**
     * A part of the field of its own kind.
     *
     * @param kind wet-hollow, cold-hollow, compacted, weed-patch, buffer or other
     * @param outline GeoJSON
     */
    public record Zone(String id, String name, String kind, JsonNode outline) {}
}
