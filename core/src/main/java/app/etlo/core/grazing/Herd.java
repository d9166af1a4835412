package app.etlo.core.grazing;

import app.etlo.core.grazing.GrazingResult.OfHerd;
import app.etlo.core.knowledge.StockClass;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;

/**
 * Stock that graze together.
 *
 * @param head above zero
 * @param liveWeightKg of one
 * @param typed whether somebody entered the weight
 * @param paddocks one after the other, 1 or more
 */
public record Herd(StockClass kind, int head, double liveWeightKg, boolean typed, int paddocks) {
    private static final Source PRACTICE = Source.commonPractice(
            "stock eat 2.5 to 3 % of their live weight a day as dry matter; the rest of what stands is trodden or left");

    private static final Formula HEAD_DAYS = Formula.of(
            "Head-days", "eaten * area / (weight * intake / 100)", PRACTICE, "eaten", "area", "weight", "intake");
    private static final Formula DAYS =
            Formula.of("Days of a herd", "headDays / head", Source.identity("head-days over head"), "headDays", "head");
    private static final Formula PER_PADDOCK = Formula.of(
            "Days a paddock", "days / paddocks", Source.identity("paddocks of one size"), "days", "paddocks");
    private static final Formula REST = Formula.of(
            "Rest of a paddock",
            "days - days / paddocks",
            Source.identity("the herd is in the others meanwhile"),
            "days",
            "paddocks");

    /**
     * What the field feeds them.
     *
     * @param prefix of the figures' ids
     * @param eaten kg/ha
     */
    public OfHerd on(String prefix, Figure eaten, Figure area) {
        Figure headDays = HEAD_DAYS.figure(
                prefix + "/headDays",
                "Head-days on the field",
                Unit.DAY,
                Input.figure("eaten", eaten, Unit.KG_PER_HA),
                Input.figure("area", area, Unit.HECTARE),
                Input.of(
                        "weight",
                        "Live weight of one",
                        liveWeightKg,
                        Unit.KILOGRAM,
                        typed ? Origin.ENTERED : Origin.DEFAULT,
                        typed ? "plan" : "usual for " + kind.name()),
                Input.banded(
                        "intake",
                        "Eaten a day, of the live weight",
                        kind.intakePercent(),
                        Unit.PERCENT,
                        Origin.DEFAULT,
                        kind.source().text()));
        Figure days = DAYS.figure(
                prefix + "/days",
                "Days for the herd",
                Unit.DAY,
                Input.figure("headDays", headDays),
                Input.of("head", "Head", head, Unit.FRACTION, Origin.ENTERED, "plan"));
        Input count = Input.of("paddocks", "Paddocks", paddocks, Unit.FRACTION, Origin.ENTERED, "plan");
        return new OfHerd(
                headDays,
                days,
                PER_PADDOCK.figure(
                        prefix + "/perPaddock", "Days in a paddock", Unit.DAY, Input.figure("days", days), count),
                REST.figure(prefix + "/rest", "Rest of a paddock", Unit.DAY, Input.figure("days", days), count));
    }
}
