package app.etlo.core.ground;

import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import java.util.List;
import java.util.Optional;

/**
 * What the whole rotation does for the ground, as simulated.
 *
 * @param startNitrogen mineral nitrogen in the soil on the first day
 * @param startResidue on the ground then; empty where no crop before the plan is known
 * @param leached nitrogen lost below 1.2 m in a mean season of drainage, kg/ha; empty without a whole one
 * @param livingRootDays a year
 * @param bareDays a year with under 30 % covered, once a stand has ended
 * @param lowestCover on the barest day from then on, %
 */
public record GrownRotation(
        Optional<Figure> startNitrogen,
        Optional<Figure> startResidue,
        Optional<Figure> leached,
        Optional<Figure> livingRootDays,
        Optional<Figure> bareDays,
        Optional<Figure> lowestCover)
        implements Figured {
    public static final GrownRotation UNKNOWN = new GrownRotation(
            Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());

    @Override
    public List<Figure> figures() {
        return Figured.present(startNitrogen, startResidue, leached, livingRootDays, bareDays, lowestCover);
    }
}
