package app.etlo.core.mix;

import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The sowing of a cover.
 *
 * @param seedPlacedLimit N and K2O that the seed bears beside it, kg/ha; where some is placed there
 * @param drillDays dry enough to drill until its window allows no more sowing
 * @param drillCapacity what the drill can do in them, ha
 */
public record SowResult(
        Optional<Figure> seedPlacedLimit,
        Optional<Seedbed> seedbed,
        Optional<Figure> drillDays,
        Optional<Figure> drillCapacity)
        implements Figured {
    @Override
    public List<Figure> figures() {
        List<Figure> all = new ArrayList<>(Figured.present(seedPlacedLimit));
        seedbed.ifPresent(b -> all.addAll(b.figures()));
        all.addAll(Figured.present(drillDays, drillCapacity));
        return all;
    }
}
