package app.etlo.core.rotation;

import app.etlo.core.knowledge.Crop;
import app.etlo.core.quantity.Quantity;
import java.time.LocalDate;
import java.util.Optional;

/** A cash crop in its place of the rotation. A date that is not set yet is empty. */
public record CropInTime(
        String id,
        Crop crop,
        Optional<LocalDate> planted,
        Optional<LocalDate> harvested,
        Optional<Quantity> yieldGoal) {}
