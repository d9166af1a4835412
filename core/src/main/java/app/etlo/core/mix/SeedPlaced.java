package app.etlo.core.mix;

import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;

/** How much nitrogen and potash may go in with the seed before their salt harms it: in proportion to the share of the seedbed they are spread over. */
public final class SeedPlaced {
    /** 11.2 kg/ha (10 lb/ac) where 1 inch of each 30 is used: so much were the whole seedbed used. */
    private static final double WHOLE_SEEDBED_KG_HA = 11.2 * 30;

    private static final Formula LIMIT = Formula.of(
                    "Fertiliser with the seed",
                    "whole * spread / row",
                    Source.commonPractice(
                            "10 lb/ac of N and K2O together beside seed in 30-inch rows with a 1-inch opener, in proportion to the seedbed used"),
                    "whole",
                    "spread",
                    "row")
            .remarking("For moist soil that is not sandy and seed that is not small: half of it in dry or sandy soil or"
                    + " with small seed. P is not counted; a label's figure of P is 1/2.29 of P2O5.");

    private SeedPlaced() {}

    /**
     * The most N and K2O together, kg/ha.
     *
     * @param spreadM width over which an opener spreads, above 0
     * @param rowM from row to row, at least the spread
     */
    public static Figure limit(String id, double spreadM, Origin spreadFrom, double rowM, Origin rowFrom) {
        return LIMIT.figure(
                id,
                "Most N and K2O with the seed",
                Unit.KG_PER_HA,
                Input.of(
                        "whole",
                        "Were the whole seedbed used",
                        WHOLE_SEEDBED_KG_HA,
                        Unit.KG_PER_HA,
                        Origin.LIBRARY,
                        "common practice"),
                Input.of("spread", "Spread of an opener", spreadM, Unit.METRE, spreadFrom, "sowing"),
                Input.of("row", "Row width", rowM, Unit.METRE, rowFrom, "sowing"));
    }
}
