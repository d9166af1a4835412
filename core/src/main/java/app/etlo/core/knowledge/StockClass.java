package app.etlo.core.knowledge;

import app.etlo.core.quantity.Band;
import app.etlo.core.working.Source;

/**
 * A class of stock.
 *
 * @param name of several, lower case
 * @param animal as cautions name it: cattle, sheep or horses
 * @param liveWeightKg of one, usual
 * @param intakePercent dry matter eaten a day, of the live weight
 */
public record StockClass(
        String id, String name, String animal, double liveWeightKg, Band intakePercent, Source source) {}
