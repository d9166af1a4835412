package app.etlo.core.grazing;

import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import java.util.List;
import java.util.stream.Stream;

/**
 * A cover as feed.
 *
 * @param cautions of its species for any stock
 * @param grazings in the order of the plan
 * @param uses on the day it ends, side by side; none where nothing stands then
 * @param quality what is known of it as feed on that day, as sentences
 */
public record Forage(
        List<StockCaution> cautions, List<GrazingResult> grazings, List<CoverUse> uses, List<String> quality)
        implements Figured {
    public Forage {
        cautions = List.copyOf(cautions);
        grazings = List.copyOf(grazings);
        uses = List.copyOf(uses);
        quality = List.copyOf(quality);
    }

    @Override
    public List<Figure> figures() {
        return Stream.concat(
                        grazings.stream().flatMap(g -> g.figures().stream()),
                        uses.stream().flatMap(u -> u.figures().stream()))
                .toList();
    }
}
