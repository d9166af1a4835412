package app.etlo.core.termination;

import app.etlo.core.quantity.Dimension;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Tank arithmetic from what the adviser typed from a label; no number of it is Etlo's. Rates are on treated ground.
 *
 * @param passId of the pass it is for
 * @param treated ground
 * @param product for all of it
 * @param active ingredient or acid equivalent on treated ground
 * @param mix water with product
 * @param fullTanks before the last
 * @param lastTank what the last part tank holds
 * @param inFull product in a full tank
 * @param inLast product in the last part tank
 */
public record SprayTank(
        String passId,
        Figure treated,
        Optional<Figure> product,
        Optional<Figure> active,
        Optional<Figure> mix,
        Optional<Figure> fullTanks,
        Optional<Figure> lastTank,
        Optional<Figure> inFull,
        Optional<Figure> inLast)
        implements Figured {
    private static final Source ARITHMETIC = Source.identity("arithmetic on what was typed from the label");
    private static final Formula TREATED =
            Formula.of("Ground that is sprayed", "area * percent / 100", ARITHMETIC, "area", "percent");
    private static final Formula PRODUCT =
            Formula.of("Product for the field", "rate * area", ARITHMETIC, "rate", "area");
    private static final Formula ACTIVE =
            Formula.of("Active ingredient or acid equivalent", "rate * strength", ARITHMETIC, "rate", "strength");
    private static final Formula MIX = Formula.of("Spray to mix", "volume * area", ARITHMETIC, "volume", "area");
    private static final Formula FULL =
            Formula.of("Full tanks", "floor(mix / tank + 0.000001)", ARITHMETIC, "mix", "tank");
    private static final Formula LAST =
            Formula.of("Last part tank", "mix - full * tank", ARITHMETIC, "mix", "full", "tank");
    private static final Formula IN_TANK =
            Formula.of("Product in a tank", "rate * held / volume", ARITHMETIC, "rate", "held", "volume");

    /**
     * Of a pass.
     *
     * @param area of the field
     * @param percent of it that is treated
     */
    public static SprayTank of(
            String prefix,
            String passId,
            Figure area,
            double percent,
            Optional<Quantity> rate,
            Optional<Quantity> strength,
            Optional<Quantity> volume,
            Optional<Quantity> tank) {
        String id = prefix + "/" + passId;
        Figure treated = TREATED.figure(
                id + "/treated",
                "Ground that is sprayed",
                Unit.HECTARE,
                Input.figure("area", area, Unit.HECTARE),
                typed("percent", "Of the field", percent, Unit.PERCENT));
        Optional<Input> ofArea = Optional.of(Input.figure("area", treated));
        boolean byVolume = rate.filter(r -> r.unit().dimension() == Dimension.VOLUME_PER_AREA)
                .isPresent();
        Unit perArea = byVolume ? Unit.L_PER_HA : Unit.KG_PER_HA;
        Unit whole = byVolume ? Unit.LITRE : Unit.KILOGRAM;
        Optional<Input> rated = rate.map(r -> typed("rate", "Rate, from the label", r.in(perArea), perArea));
        Optional<Figure> mix = volume.map(v -> MIX.figure(
                id + "/mix",
                "Spray to mix",
                Unit.LITRE,
                typed("volume", "Spray volume", v.in(Unit.L_PER_HA), Unit.L_PER_HA),
                ofArea.get()));
        Optional<Input> held = tank.map(t -> typed("tank", "The tank holds", t.in(Unit.LITRE), Unit.LITRE));
        Optional<Figure> full = mix.flatMap(m ->
                held.map(t -> FULL.figure(id + "/fullTanks", "Full tanks", Unit.COUNT, Input.figure("mix", m), t)));
        Optional<Figure> last = full.map(f -> LAST.figure(
                id + "/lastTank",
                "Last part tank",
                Unit.LITRE,
                Input.figure("mix", mix.get()),
                Input.figure("full", f),
                held.get()));
        return new SprayTank(
                passId,
                treated,
                rated.map(r -> PRODUCT.figure(id + "/product", "Product for the field", whole, r, ofArea.get())),
                strength.filter(s -> byVolume)
                        .flatMap(s -> rated.map(r -> ACTIVE.figure(
                                id + "/active",
                                "Active ingredient or acid equivalent",
                                Unit.KG_PER_HA,
                                r,
                                typed("strength", "Strength, from the label", s.in(Unit.KG_PER_L), Unit.KG_PER_L)))),
                mix,
                full,
                last,
                held.flatMap(t -> inTank(id + "/inFull", "Product in a full tank", whole, rated, volume, tank)),
                last.flatMap(l -> rated.flatMap(r -> volume.map(v -> IN_TANK.figure(
                        id + "/inLast",
                        "Product in the last part tank",
                        whole,
                        r,
                        Input.figure("held", l),
                        typed("volume", "Spray volume", v.in(Unit.L_PER_HA), Unit.L_PER_HA))))));
    }

    private static Optional<Figure> inTank(
            String id,
            String label,
            Unit whole,
            Optional<Input> rate,
            Optional<Quantity> volume,
            Optional<Quantity> tank) {
        return rate.flatMap(r -> volume.flatMap(v -> tank.map(t -> IN_TANK.figure(
                id,
                label,
                whole,
                r,
                typed("held", "The tank holds", t.in(Unit.LITRE), Unit.LITRE),
                typed("volume", "Spray volume", v.in(Unit.L_PER_HA), Unit.L_PER_HA)))));
    }

    private static Input typed(String symbol, String label, double value, Unit unit) {
        return Input.of(symbol, label, value, unit, Origin.ENTERED, "typed");
    }

    @Override
    public List<Figure> figures() {
        return Stream.concat(
                        Stream.of(treated),
                        Stream.of(product, active, mix, fullTanks, lastTank, inFull, inLast)
                                .flatMap(Optional::stream))
                .toList();
    }
}
