package app.etlo.core.knowledge;

import app.etlo.core.quantity.Band;
import java.util.List;

/**
 * What a species is good for, how it ends and what to beware of.
 *
 * @param hosts pests and diseases it carries on
 * @param breaks pests and diseases it helps against
 * @param forage 0 none to 3 excellent
 * @param cautions ids of cautions.csv
 * @param insects 0 low to 2 high
 * @param liftsPhosphorus 0 low to 2 high
 * @param loosens 0 low to 2 high
 * @param price per kg of seed, an order of magnitude in {@link #PRICE_CURRENCY} of {@link #PRICE_YEAR}; never taken for a farm's own
 */
public record Use(
        Kill kill,
        Level regrowth,
        Level volunteerRisk,
        List<String> hosts,
        List<String> breaks,
        int forage,
        double grazeHeightCm,
        List<String> cautions,
        int insects,
        double bloomDays,
        boolean allelopathic,
        int liftsPhosphorus,
        int loosens,
        Skill skill,
        Band price) {
    /** The currency of the library's prices, which are from memory. */
    public static final String PRICE_CURRENCY = "USD";

    public static final int PRICE_YEAR = 2024;

    /** None or low, some or medium, strong or high. */
    public enum Level {
        LOW,
        MEDIUM,
        HIGH
    }

    /** Whom it suits. */
    public enum Skill {
        BEGINNER,
        INTERMEDIATE,
        EXPERT
    }

    /** The share, 0 to 1, that each way of ending it kills. */
    public record Kill(
            double herbicide,
            double rolledLeafy,
            double rolledFlowering,
            double mownLeafy,
            double mownFlowering,
            double tilled) {}
}
