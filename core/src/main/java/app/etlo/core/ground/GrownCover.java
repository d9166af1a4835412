package app.etlo.core.ground;

import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What stands of a cover on the day it ends, as simulated.
 *
 * @param mass dry tops, t/ha
 * @param carbonToNitrogen empty where nothing stands, as {@code nitrogenPercent} and {@code nitrogen}, kg/ha, are
 * @param residueCover ground covered by residue a week later, %
 */
public record GrownCover(
        Figure mass,
        Optional<Figure> carbonToNitrogen,
        Optional<Figure> nitrogenPercent,
        Optional<Figure> nitrogen,
        Figure residueCover)
        implements Figured {
    @Override
    public List<Figure> figures() {
        List<Figure> all = new ArrayList<>(List.of(mass));
        all.addAll(Figured.present(carbonToNitrogen, nitrogenPercent, nitrogen));
        all.add(residueCover);
        return all;
    }
}
