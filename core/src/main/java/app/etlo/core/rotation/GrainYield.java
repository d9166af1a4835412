package app.etlo.core.rotation;

import app.etlo.core.knowledge.Crop;
import app.etlo.core.quantity.Dimension;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import java.util.Optional;

/** A yield given in mass or in bushels, which weigh what the crop's test weight says. */
public final class GrainYield {
    private GrainYield() {}

    /** The yield as mass per area; empty when it is given in bushels and the crop has no test weight. */
    public static Optional<Quantity> asMass(Quantity yield, Crop crop) {
        if (yield.unit().dimension() == Dimension.MASS_PER_AREA) {
            return Optional.of(yield);
        }
        return crop.testWeightLbBu().map(lb -> new Quantity(yield.value() * lb, Unit.LB_PER_AC));
    }

    /** The yield in bushels per acre; empty for a crop without a test weight. */
    public static Optional<Quantity> asBushels(Quantity yield, Crop crop) {
        if (yield.unit() == Unit.BU_PER_AC) {
            return Optional.of(yield);
        }
        return crop.testWeightLbBu().map(lb -> new Quantity(yield.in(Unit.LB_PER_AC) / lb, Unit.BU_PER_AC));
    }
}
