package app.etlo.core.rotation;

import app.etlo.core.knowledge.Crop;
import app.etlo.core.quantity.Quantity;
import java.time.LocalDate;
import java.util.Optional;

/**
 * A cash crop in its place of the rotation. A date that is not set yet is empty.
 *
 * @param forSeed whether it is grown for seed
 * @param turnaroundDays from its harvest until the drill can go
 */
public record CropInTime(
        String id,
        Crop crop,
        Optional<LocalDate> planted,
        Optional<LocalDate> harvested,
        int turnaroundDays,
        Optional<Quantity> yieldGoal,
        boolean forSeed) {

    /** The first day a cover can be sown after it. */
    public Optional<LocalDate> ready() {
        return harvested.map(h -> h.plusDays(turnaroundDays));
    }
}
