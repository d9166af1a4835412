package app.etlo.core.quantity;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;

/** The units a farm reads: metric or US customary. What was typed stays as typed; only what is shown changes. */
public enum UnitSystem {
    METRIC("metric"),
    US("us");

    private final String id;

    UnitSystem(String id) {
        this.id = id;
    }

    @JsonValue
    public String id() {
        return id;
    }

    @JsonCreator
    public static UnitSystem of(String id) {
        for (UnitSystem s : values()) {
            if (s.id.equals(id)) {
                return s;
            }
        }
        throw new IllegalArgumentException("unknown unit system '" + id + "': metric or us");
    }

    /** The unit in which a farm of this system reads a figure that the core holds in {@code unit}. */
    public Unit shown(Unit unit) {
        if (this == METRIC) {
            return switch (unit) {
                case ACRE -> Unit.HECTARE;
                case LB_PER_AC -> Unit.KG_PER_HA;
                case INCH -> Unit.CENTIMETRE;
                case FOOT -> Unit.METRE;
                case POUND -> Unit.KILOGRAM;
                case OUNCE -> Unit.GRAM;
                case GALLON -> Unit.LITRE;
                case SQUARE_FOOT -> Unit.SQUARE_METRE;
                case MILE_PER_H -> Unit.KM_PER_H;
                case MILE -> Unit.KILOMETRE;
                case GAL_PER_AC -> Unit.L_PER_HA;
                case PER_FT2 -> Unit.PER_M2;
                case FAHRENHEIT -> Unit.CELSIUS;
                case DEGREE_DAY_F -> Unit.DEGREE_DAY_C;
                case PSI -> Unit.MEGAPASCAL;
                case AC_PER_DAY -> Unit.HA_PER_DAY;
                default -> unit;
            };
        }
        return switch (unit) {
            case HECTARE -> Unit.ACRE;
            case KG_PER_HA, G_PER_M2 -> Unit.LB_PER_AC;
            case T_PER_HA -> Unit.TON_PER_AC;
            case CENTIMETRE, MILLIMETRE -> Unit.INCH;
            case CELSIUS -> Unit.FAHRENHEIT;
            case DEGREE_DAY_C -> Unit.DEGREE_DAY_F;
            case MEGAPASCAL -> Unit.PSI;
            case HA_PER_DAY -> Unit.AC_PER_DAY;
            case METRE -> Unit.FOOT;
            case KILOGRAM -> Unit.POUND;
            case GRAM -> Unit.OUNCE;
            case LITRE -> Unit.GALLON;
            case SQUARE_METRE -> Unit.SQUARE_FOOT;
            case TONNE -> Unit.SHORT_TON;
            case L_PER_HA -> Unit.GAL_PER_AC;
            case PER_M2 -> Unit.PER_FT2;
            case PER_HA -> Unit.PER_AC;
            case PER_KG -> Unit.PER_LB;
            case KM_PER_H -> Unit.MILE_PER_H;
            case KILOMETRE -> Unit.MILE;
            case KG_PER_L -> Unit.LB_PER_GAL;
            case MONEY_PER_HA -> Unit.MONEY_PER_AC;
            case MONEY_PER_KG -> Unit.MONEY_PER_LB;
            case MONEY_PER_T -> Unit.MONEY_PER_TON;
            default -> unit;
        };
    }
}
