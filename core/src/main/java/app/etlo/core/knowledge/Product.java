package app.etlo.core.knowledge;

import app.etlo.core.working.Source;
import java.util.Optional;

/**
 * A nitrogen product.
 *
 * @param nShare total N, 0 to 1 by mass
 * @param densityLbPerGal of liquids
 * @param availableShare of its N in the first season, 0 to 1
 */
public record Product(
        String id,
        String name,
        double nShare,
        Optional<Double> densityLbPerGal,
        double availableShare,
        boolean organic,
        Source source) {}
