package app.etlo.core.mix;

import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A cover's mix: its rates, how late its species may be sown, and what it grows into.
 *
 * @param blend empty while no species has a rate
 * @param useful the latest useful sowing of each species in the window; empty without weather or window
 * @param outlook empty without weather, or where its season is not known
 */
public record MixResult(Optional<Blend> blend, List<UsefulSowing> useful, Optional<MixOutlook> outlook)
        implements Figured {
    @Override
    public List<Figure> figures() {
        List<Figure> all = new ArrayList<>();
        blend.ifPresent(b -> all.addAll(b.figures()));
        useful.forEach(u -> u.figure().ifPresent(all::add));
        outlook.ifPresent(o -> all.addAll(o.figures()));
        return all;
    }
}
