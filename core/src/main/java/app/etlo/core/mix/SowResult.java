package app.etlo.core.mix;

import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The sowing of a cover.
 *
 * @param seedPlacedLimit N and K2O that the seed bears beside it, kg/ha; where some is placed there
 * @param drillDays dry enough to drill until its window allows no more sowing
 * @param drillCapacity what the drill can do in them, ha
 * @param sownArea where it is basins, strips or open rows, ha
 * @param grownLegumes what the field grew lately of each group of rhizobium, in words
 * @param verdict on the seedbed as it was looked at
 */
public record SowResult(
        Optional<Figure> seedPlacedLimit,
        Optional<Seedbed> seedbed,
        Optional<Figure> drillDays,
        Optional<Figure> drillCapacity,
        Optional<Figure> sownArea,
        Map<String, String> grownLegumes,
        Optional<SeedbedVerdict> verdict)
        implements Figured {
    @Override
    public List<Figure> figures() {
        List<Figure> all = new ArrayList<>(Figured.present(seedPlacedLimit));
        seedbed.ifPresent(b -> all.addAll(b.figures()));
        all.addAll(Figured.present(drillDays, drillCapacity, sownArea));
        return all;
    }
}
