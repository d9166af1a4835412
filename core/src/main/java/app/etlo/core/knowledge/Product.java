package app.etlo.core.knowledge;

import app.etlo.core.working.Source;
import java.util.Optional;

/**
 * A nitrogen product.
 *
 * @param nShare total N, 0 to 1 by mass, as the other shares are
 * @param densityLbPerGal of liquids
 * @param availableShare of its N in the first season, 0 to 1
 * @param secondShare of its N in the second season, 0 to 1
 * @param thirdShare in the third
 */
public record Product(
        String id,
        String name,
        double nShare,
        double p2o5Share,
        double k2oShare,
        double sShare,
        Optional<Double> densityLbPerGal,
        double availableShare,
        double secondShare,
        double thirdShare,
        boolean organic,
        Source source) {}
