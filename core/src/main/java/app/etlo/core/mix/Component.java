package app.etlo.core.mix;

import app.etlo.core.knowledge.Species;
import app.etlo.core.quantity.Quantity;
import java.util.Optional;

/**
 * One species of a mix.
 *
 * @param share of its full single-species rate, 0 to 3, for a mix blended by share
 * @param seeds pure live seeds wanted per area, for a mix blended by density
 */
public record Component(Species species, Optional<Double> share, Optional<Quantity> seeds, Optional<SeedLot> lot) {}
