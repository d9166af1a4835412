package app.etlo.core.mix;

import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A cover's mix: its rates, and what it grows into.
 *
 * @param blend empty while no species has a rate
 * @param useful in how many years it grows to a useful stand; empty without weather, or where it is not sown
 * @param outlook empty without weather, or where its season is not known
 * @param schools where it stands on what is disputed
 */
public record MixResult(
        Optional<Blend> blend, Optional<UsefulYears> useful, Optional<MixOutlook> outlook, List<MixSchool> schools)
        implements Figured {
    @Override
    public List<Figure> figures() {
        List<Figure> all = new ArrayList<>();
        blend.ifPresent(b -> all.addAll(b.figures()));
        outlook.ifPresent(o -> all.addAll(o.figures()));
        return all;
    }
}
