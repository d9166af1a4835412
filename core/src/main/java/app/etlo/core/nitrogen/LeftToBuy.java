package app.etlo.core.nitrogen;

import app.etlo.core.knowledge.Product;
import app.etlo.core.quantity.Quantity;
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
 * Need less credits, never below zero; a tie-up is a credit below zero and adds to it. In the product chosen, what that
 * weighs, measures and costs.
 *
 * @param left kg N/ha
 * @param productKgHa kg of product per ha
 * @param productLHa litres per ha, for liquids
 */
public record LeftToBuy(
        Figure left,
        Optional<Figure> productKgHa,
        Optional<Figure> productLHa,
        Optional<Figure> forField,
        Optional<Figure> costPerHa)
        implements Figured {
    private static final Formula ALL =
            Formula.of("Nitrogen left to buy", "max(need, 0)", Source.identity("need, no credit"), "need");
    private static final Formula LEFT = Formula.of(
            "Nitrogen left to buy",
            "max(need - credit, 0)",
            Source.identity("need less credits, never below zero"),
            "need",
            "credit");
    private static final Formula LEFT_FED = Formula.of(
            "Nitrogen left to buy",
            "max(need - credit - planned, 0)",
            Source.identity("need less credits and what is planned to be fed, never below zero"),
            "need",
            "credit",
            "planned");
    private static final Formula ALL_FED = Formula.of(
            "Nitrogen left to buy",
            "max(need - planned, 0)",
            Source.identity("need less what is planned to be fed, never below zero"),
            "need",
            "planned");
    private static final Formula PRODUCT = Formula.of(
            "Product for the nitrogen left to buy",
            "left / (analysis / 100 * available / 100)",
            Source.identity("product times its analysis is its nitrogen"),
            "left",
            "analysis",
            "available");
    private static final Formula VOLUME = Formula.of(
            "Volume of a liquid product",
            "mass / density",
            Source.identity("evaluated in lb/ac and lb per US gallon"),
            "mass",
            "density");
    private static final Formula FIELD =
            Formula.of("Product for the field", "rate * area", Source.identity("rate times area"), "rate", "area");
    private static final Formula COST =
            Formula.of("Cost of the product", "mass * price", Source.identity("mass times price"), "mass", "price");

    /**
     * What is left to buy.
     *
     * @param credit in kg/ha, as computed from the cover ahead of the crop; none without a cover
     * @param planned in kg/ha, what the plan's own feedings bring
     * @param price per mass of product
     */
    public static LeftToBuy of(
            String prefix,
            Figure need,
            Optional<Figure> credit,
            Optional<Figure> planned,
            Optional<Product> product,
            Optional<Quantity> price,
            Figure fieldArea) {
        Input needed = Input.figure("need", need, Unit.KG_PER_HA);
        String id = prefix + "/leftToBuy";
        List<Input> inputs = new ArrayList<>(List.of(needed));
        credit.ifPresent(c -> inputs.add(Input.figure("credit", c, Unit.KG_PER_HA)));
        planned.ifPresent(p -> inputs.add(Input.figure("planned", p, Unit.KG_PER_HA)));
        Formula rule =
                planned.isPresent() ? (credit.isPresent() ? LEFT_FED : ALL_FED) : (credit.isPresent() ? LEFT : ALL);
        Figure left = rule.figure(id, "Left to buy", Unit.KG_PER_HA, inputs.toArray(Input[]::new));
        Optional<Figure> mass = product.map(p -> product(prefix, left, p));
        Optional<Figure> volume =
                product.flatMap(p -> p.densityLbPerGal().map(d -> volume(prefix, mass.orElseThrow(), p, d)));
        Optional<Figure> forField = mass.map(m -> FIELD.figure(
                prefix + "/productForField",
                "Product for the field",
                Unit.KILOGRAM,
                Input.figure("rate", m),
                Input.figure("area", fieldArea)));
        Optional<Figure> cost = mass.flatMap(m -> price.map(q -> COST.figure(
                prefix + "/productCost",
                "Cost of the product",
                Unit.MONEY_PER_HA,
                Input.figure("mass", m),
                Input.of("price", "Price", q.in(Unit.MONEY_PER_KG), Unit.MONEY_PER_KG, Origin.ENTERED, "feed step"))));
        return new LeftToBuy(left, mass, volume, forField, cost);
    }

    @Override
    public List<Figure> figures() {
        List<Figure> all = new ArrayList<>(List.of(left));
        all.addAll(Figured.present(productKgHa, productLHa, forField, costPerHa));
        return all;
    }

    private static Figure product(String prefix, Figure left, Product p) {
        List<Input> inputs = new ArrayList<>();
        inputs.add(Input.figure("left", left));
        String from = p.source().text();
        inputs.add(
                Input.of("analysis", "Nitrogen in the product", p.nShare() * 100, Unit.PERCENT, Origin.LIBRARY, from));
        inputs.add(Input.of(
                "available",
                "Available in the first season",
                p.availableShare() * 100,
                Unit.PERCENT,
                Origin.LIBRARY,
                from));
        return PRODUCT.figure(prefix + "/product", p.name(), Unit.KG_PER_HA, inputs);
    }

    private static Figure volume(String prefix, Figure mass, Product p, double densityLbPerGal) {
        return VOLUME.figure(
                prefix + "/productVolume",
                p.name() + ", volume",
                Unit.GAL_PER_AC,
                Input.figure("mass", mass, Unit.LB_PER_AC),
                Input.of(
                        "density",
                        "Density",
                        densityLbPerGal,
                        Unit.LB_PER_GAL,
                        Origin.LIBRARY,
                        p.source().text()));
    }
}
