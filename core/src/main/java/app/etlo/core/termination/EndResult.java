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
 * @param gaps what must lie between its passes, planting and stock
 * @param rules that bind it on this farm
 * @param tanks of its sprays, as far as they are typed
 * @param fallbacks what is done if it fails
 */
public record EndResult(
        Optional<Figure> daysBeforePlanting,
        Optional<Stand> stand,
        Optional<StandForecast> forecast,
        List<EndGap> gaps,
        List<EndRule> rules,
        List<SprayTank> tanks,
        List<Fallback> fallbacks)
        implements Figured {
    public EndResult {
        gaps = List.copyOf(gaps);
        rules = List.copyOf(rules);
        tanks = List.copyOf(tanks);
        fallbacks = List.copyOf(fallbacks);
    }

    @Override
    public List<Figure> figures() {
        List<Figure> all = new ArrayList<>(Figured.present(daysBeforePlanting));
        stand.ifPresent(s -> all.addAll(s.figures()));
        forecast.ifPresent(f -> all.addAll(f.figures()));
        tanks.forEach(t -> all.addAll(t.figures()));
        return all;
    }
}
