package app.etlo.core.quantity;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * A unit of measure of the trade, with the exact factor to the unit the core computes in.
 *
 * <p>The factors rest on definitions that are exact: 1 lb = 0.45359237 kg and 1 ft = 0.3048 m (international yard and
 * pound agreement, 1959), 1 acre = 43,560 ft2, 1 US gallon = 231 in3, 1 short ton = 2,000 lb, 1 short hundredweight =
 * 100 lb. The sign ¤ in a symbol stands for the farm's currency.
 */
public enum Unit {
    HECTARE("ha", Dimension.AREA, 1e4),
    ACRE("ac", Dimension.AREA, Exact.ACRE_M2),
    SQUARE_METRE("m2", Dimension.AREA, 1),
    SQUARE_FOOT("ft2", Dimension.AREA, Exact.FOOT_M * Exact.FOOT_M),

    METRE("m", Dimension.LENGTH, 1),
    KILOMETRE("km", Dimension.LENGTH, 1000),
    MILE("mi", Dimension.LENGTH, 5280 * Exact.FOOT_M),
    CENTIMETRE("cm", Dimension.LENGTH, 0.01),
    MILLIMETRE("mm", Dimension.LENGTH, 0.001),
    FOOT("ft", Dimension.LENGTH, Exact.FOOT_M),
    INCH("in", Dimension.LENGTH, Exact.FOOT_M / 12),

    KILOGRAM("kg", Dimension.MASS, 1),
    GRAM("g", Dimension.MASS, 0.001),
    TONNE("t", Dimension.MASS, 1000),
    POUND("lb", Dimension.MASS, Exact.POUND_KG),
    OUNCE("oz", Dimension.MASS, Exact.POUND_KG / 16),
    SHORT_TON("ton", Dimension.MASS, 2000 * Exact.POUND_KG),
    HUNDREDWEIGHT("cwt", Dimension.MASS, 100 * Exact.POUND_KG),
    QUINTAL("q", Dimension.MASS, 100),

    LITRE("L", Dimension.VOLUME, 1),
    GALLON("gal", Dimension.VOLUME, Exact.GALLON_L),
    FLUID_OUNCE("fl oz", Dimension.VOLUME, Exact.GALLON_L / 128),

    KG_PER_HA("kg/ha", Dimension.MASS_PER_AREA, 1),
    T_PER_HA("t/ha", Dimension.MASS_PER_AREA, 1000),
    G_PER_M2("g/m2", Dimension.MASS_PER_AREA, 10),
    LB_PER_AC("lb/ac", Dimension.MASS_PER_AREA, Exact.POUND_KG / Exact.ACRE_M2 * 1e4),
    CWT_PER_AC("cwt/ac", Dimension.MASS_PER_AREA, 100 * Exact.POUND_KG / Exact.ACRE_M2 * 1e4),
    TON_PER_AC("ton/ac", Dimension.MASS_PER_AREA, 2000 * Exact.POUND_KG / Exact.ACRE_M2 * 1e4),

    KG_PER_AC("kg/ac", Dimension.MASS_PER_AREA, 1e4 / Exact.ACRE_M2),
    LB_PER_HA("lb/ha", Dimension.MASS_PER_AREA, Exact.POUND_KG),
    QUINTAL_PER_HA("q/ha", Dimension.MASS_PER_AREA, 100),

    L_PER_HA("L/ha", Dimension.VOLUME_PER_AREA, 1),
    GAL_PER_AC("gal/ac", Dimension.VOLUME_PER_AREA, Exact.GALLON_L / Exact.ACRE_M2 * 1e4),
    FL_OZ_PER_AC("fl oz/ac", Dimension.VOLUME_PER_AREA, Exact.GALLON_L / 128 / Exact.ACRE_M2 * 1e4),

    BU_PER_AC("bu/ac", Dimension.GRAIN_VOLUME_PER_AREA, 1),

    PER_M2("/m2", Dimension.COUNT_PER_AREA, 1),
    PER_FT2("/ft2", Dimension.COUNT_PER_AREA, 1 / (Exact.FOOT_M * Exact.FOOT_M)),
    PER_HA("/ha", Dimension.COUNT_PER_AREA, 1e-4),
    PER_AC("/ac", Dimension.COUNT_PER_AREA, 1 / Exact.ACRE_M2),

    PER_KG("/kg seed", Dimension.COUNT_PER_MASS, 1),
    PER_LB("/lb seed", Dimension.COUNT_PER_MASS, 1 / Exact.POUND_KG),

    KG_PER_L("kg/L", Dimension.MASS_PER_VOLUME, 1),
    LB_PER_GAL("lb/gal", Dimension.MASS_PER_VOLUME, Exact.POUND_KG / Exact.GALLON_L),

    KG_N_PER_T("kg/t", Dimension.NITROGEN_PER_YIELD, 1),
    LB_N_PER_CWT("lb/cwt", Dimension.NITROGEN_PER_YIELD, 10),
    LB_N_PER_BU("lb/bu", Dimension.NITROGEN_PER_GRAIN_VOLUME, 1),

    KM_PER_H("km/h", Dimension.SPEED, 1),
    MILE_PER_H("mph", Dimension.SPEED, 5280 * Exact.FOOT_M / 1000),

    FRACTION("", Dimension.SHARE, 1),
    PERCENT("%", Dimension.SHARE, 0.01),
    G_PER_KG("g/kg", Dimension.SHARE, 0.001),

    MONEY("¤", Dimension.MONEY, 1),
    MONEY_PER_HA("¤/ha", Dimension.MONEY_PER_AREA, 1),
    MONEY_PER_AC("¤/ac", Dimension.MONEY_PER_AREA, 1e4 / Exact.ACRE_M2),
    MONEY_PER_KG("¤/kg", Dimension.MONEY_PER_MASS, 1),
    MONEY_PER_LB("¤/lb", Dimension.MONEY_PER_MASS, 1 / Exact.POUND_KG),
    MONEY_PER_T("¤/t", Dimension.MONEY_PER_MASS, 0.001),
    MONEY_PER_TON("¤/ton", Dimension.MONEY_PER_MASS, 1 / (2000 * Exact.POUND_KG)),

    CELSIUS("°C", Dimension.TEMPERATURE, 1),
    FAHRENHEIT("°F", Dimension.TEMPERATURE, 5 / 9.0, 32),
    /** Degree days: differences of temperature, so without the 32 of the Fahrenheit scale. */
    DEGREE_DAY_C("°C d", Dimension.WARMTH, 1),
    DEGREE_DAY_F("°F d", Dimension.WARMTH, 5 / 9.0),

    MEGAPASCAL("MPa", Dimension.PRESSURE, 1),
    PSI("psi", Dimension.PRESSURE, Exact.POUND_KG * 9.80665 / (0.0254 * 0.0254) / 1e6),

    HA_PER_DAY("ha/d", Dimension.AREA_PER_TIME, 1),
    AC_PER_DAY("ac/d", Dimension.AREA_PER_TIME, Exact.ACRE_M2 / 1e4),

    DAY("d", Dimension.TIME, 1),
    DATE("date", Dimension.DATE, 1),
    COUNT("", Dimension.COUNT, 1),
    BAGS("bags", Dimension.COUNT, 1),
    DISTURBANCE("STIR", Dimension.RATING, 1);

    private static final class Exact {
        static final double POUND_KG = 0.45359237;
        static final double FOOT_M = 0.3048;
        static final double ACRE_M2 = 43_560 * FOOT_M * FOOT_M;
        /** 231 cubic inches. */
        static final double GALLON_L = 231 * 0.0254 * 0.0254 * 0.0254 * 1000;
    }

    private static final Map<String, Unit> BY_SYMBOL = Arrays.stream(values())
            .filter(u -> u != COUNT && u != FRACTION)
            .collect(Collectors.toUnmodifiableMap(u -> u.symbol, Function.identity()));

    private final String symbol;
    private final Dimension dimension;
    private final double factor;
    /** Where the core's own scale has its zero, in this unit; other than 0 for the Fahrenheit scale only. */
    private final double zero;

    Unit(String symbol, Dimension dimension, double factor) {
        this(symbol, dimension, factor, 0);
    }

    Unit(String symbol, Dimension dimension, double factor, double zero) {
        this.symbol = symbol;
        this.dimension = dimension;
        this.factor = factor;
        this.zero = zero;
    }

    /** The symbol as it stands in documents, e.g. {@code lb/ac} or {@code /ft2}. */
    @JsonValue
    public String symbol() {
        return symbol;
    }

    /** The same as people read it: {@code /ft²}. */
    public String written() {
        return symbol.replace("m2", "m²").replace("ft2", "ft²");
    }

    public Dimension dimension() {
        return dimension;
    }

    /** How many of the core's own unit of this dimension one of this unit is. */
    public double factor() {
        return factor;
    }

    /**
     * Converts a value of this unit.
     *
     * @throws IllegalArgumentException when the other unit measures something else
     */
    public double to(Unit other, double value) {
        if (other.dimension != dimension) {
            throw new IllegalArgumentException("cannot turn " + symbol + " into " + other.symbol);
        }
        return other == this ? value : (value - zero) * factor / other.factor + other.zero;
    }

    /** The unit of this symbol, as in documents or as people write it. */
    public static Optional<Unit> find(String symbol) {
        return Optional.ofNullable(BY_SYMBOL.get(symbol.replace('²', '2')));
    }

    /**
     * The unit of this symbol.
     *
     * @throws IllegalArgumentException when there is none
     */
    @JsonCreator
    public static Unit of(String symbol) {
        return find(symbol).orElseThrow(() -> new IllegalArgumentException("unknown unit '" + symbol + "'"));
    }
}
