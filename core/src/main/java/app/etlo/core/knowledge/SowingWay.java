package app.etlo.core.knowledge;

import app.etlo.core.quantity.Band;
import app.etlo.core.working.Source;

/**
 * A way of sowing a cover, with its time: what it costs and what it needs.
 *
 * @param method the sowing method it is
 * @param rakedFirst whether volunteers are raked up and killed before
 * @param onPlannedDay whether it is on the day the plan says, where it says one; else from the first day behind the harvest
 * @param daysLater than that day; before it where below 0
 * @param costPerHa of its passes, library money
 * @param machine kind that is needed; {@code none} for hands, {@code aircraft} for one that is hired
 * @param emergesPercent of the live seed, as published for it
 */
public record SowingWay(
        String id,
        String name,
        String method,
        boolean rakedFirst,
        boolean onPlannedDay,
        int daysLater,
        Band costPerHa,
        double haPerDay,
        String machine,
        int people,
        Band emergesPercent,
        Source source) {}
