package app.etlo.core.termination;

import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The end of a cover.
 *
 * @param daysBeforePlanting empty without an end or a crop that follows
 * @param stand as simulated, unless it is typed or weighed; empty where nothing grows
 * @param forecast what the typed or weighed stand replaced
 */
public record EndResult(Optional<Figure> daysBeforePlanting, Optional<Stand> stand, Optional<StandForecast> forecast)
        implements Figured {
    @Override
    public List<Figure> figures() {
        List<Figure> all = new ArrayList<>(Figured.present(daysBeforePlanting));
        stand.ifPresent(s -> all.addAll(s.figures()));
        forecast.ifPresent(f -> all.addAll(f.figures()));
        return all;
    }
}
