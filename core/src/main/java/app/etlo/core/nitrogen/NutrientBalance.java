package app.etlo.core.nitrogen;

import app.etlo.core.knowledge.Product;
import app.etlo.core.knowledge.Removal;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a crop takes of a nutrient and is fed of it, kg/ha.
 *
 * @param balance fed less removed
 * @param running the same with all crops of the plan before it, of the first the balance itself: a soil that gives it every year shows here, not in one test
 */
public record NutrientBalance(Nutrient nutrient, Figure removed, Figure fed, Figure balance, Figure running)
        implements Figured {
    private static final Formula REMOVED = Formula.of(
            "Taken off by the yield",
            "goal * each + straw * eachStraw",
            Source.fromMemory("nutrients in what is harvested, kg a tonne; removals.csv"),
            "goal",
            "each",
            "straw",
            "eachStraw");
    private static final Formula BALANCE =
            Formula.of("Fed less taken off", "fed - removed", Source.identity("fed less taken off"), "fed", "removed");
    private static final Formula RUNNING = Formula.of(
            "Balance of the plan until here",
            "before + balance",
            Source.identity("sum of the balances"),
            "before",
            "balance");

    /**
     * What is brought out.
     *
     * @param kgHa of product
     */
    public record Given(Product product, double kgHa) {}

    /**
     * @param prefix of the figures' ids
     * @param yieldTHa as sold
     * @param strawTHa baled, dry
     * @param before balance of the crops ahead, kg/ha
     */
    public static NutrientBalance of(
            String prefix,
            Nutrient nutrient,
            Removal removal,
            double yieldTHa,
            double strawTHa,
            List<Given> given,
            Optional<Figure> before) {
        String at = prefix + "/" + nutrient.id();
        Figure removed = REMOVED.figure(
                at + "/removed",
                nutrient.symbol() + " taken off",
                Unit.KG_PER_HA,
                Input.of("goal", "Yield goal, t/ha", yieldTHa, Unit.COUNT, Origin.ENTERED, "rotation"),
                Input.of(
                        "each",
                        "In a tonne, kg",
                        nutrient.of(removal.yield()),
                        Unit.COUNT,
                        Origin.LIBRARY,
                        removal.source().text()),
                Input.of(
                        "straw", "Straw baled, t/ha", strawTHa, Unit.COUNT, Origin.FORECAST, "yield and harvest index"),
                Input.of(
                        "eachStraw",
                        "In a tonne of straw, kg",
                        removal.straw().map(nutrient::of).orElse(0.0),
                        Unit.COUNT,
                        Origin.LIBRARY,
                        removal.source().text()));
        Figure fed = fed(at, nutrient, given);
        Figure balance = BALANCE.figure(
                at + "/balance",
                nutrient.symbol() + ", fed less taken off",
                Unit.KG_PER_HA,
                Input.figure("fed", fed),
                Input.figure("removed", removed));
        Figure running = before.map(b -> RUNNING.figure(
                        at + "/running",
                        nutrient.symbol() + ", balance of the plan until here",
                        Unit.KG_PER_HA,
                        Input.figure("before", b),
                        Input.figure("balance", balance)))
                .orElse(balance);
        return new NutrientBalance(nutrient, removed, fed, balance, running);
    }

    private static Figure fed(String at, Nutrient nutrient, List<Given> given) {
        List<Input> inputs = new ArrayList<>();
        for (int i = 0; i < given.size(); i++) {
            inputs.add(Input.of(
                    "s" + (i + 1),
                    nutrient.symbol() + " in " + given.get(i).product().name(),
                    given.get(i).kgHa() * nutrient.of(given.get(i).product()),
                    Unit.KG_PER_HA,
                    Origin.ENTERED,
                    "plan"));
        }
        return Formula.sum("Fed", given.size()).figure(at + "/fed", nutrient.symbol() + " fed", Unit.KG_PER_HA, inputs);
    }

    @Override
    public List<Figure> figures() {
        return running == balance ? List.of(removed, fed, balance) : List.of(removed, fed, balance, running);
    }
}
