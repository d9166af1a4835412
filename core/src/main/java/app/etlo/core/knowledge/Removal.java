package app.etlo.core.knowledge;

import app.etlo.core.working.Source;
import java.util.Optional;

/**
 * What a crop takes off the field, kg a tonne: of its yield as it is sold, and of straw or stover.
 *
 * @param straw empty where none is baled
 */
public record Removal(String crop, Nutrients yield, Optional<Nutrients> straw, Source source) {
    /** kg a tonne. */
    public record Nutrients(double p2o5, double k2o, double s) {}
}
