package app.etlo.core.mix;

import app.etlo.core.knowledge.Species;
import app.etlo.core.quantity.Quantity;
import java.util.Optional;

/**
 * One species of a mix.
 *
 * @param share of its full single-species rate, 0 to 3, for a mix blended by share
 * @param seeds pure live seeds wanted per area, for a mix blended by density
 * @param rate pure live seed per area as a local recipe gives it
 * @param zone the part of the field it is sown to
 */
public record Component(
        Species species,
        Optional<Double> share,
        Optional<Quantity> seeds,
        Optional<Quantity> rate,
        Optional<SeedLot> lot,
        SownZone zone) {}
