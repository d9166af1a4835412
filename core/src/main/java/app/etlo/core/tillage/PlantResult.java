package app.etlo.core.tillage;

import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The passes of a cash crop and what they do to the ground.
 *
 * @param ratings of the passes, by pass, in time
 * @param rating of all of them; empty while no pass plants the crop, as {@code disturbed}, %, is
 * @param stripShare strip over row, %, where strips are worked
 * @param residue left by the harvest, kg/ha
 */
public record PlantResult(
        Map<String, Figure> ratings,
        Optional<Figure> rating,
        Optional<Figure> disturbed,
        Optional<Figure> stripShare,
        Optional<Figure> residue)
        implements Figured {
    @Override
    public List<Figure> figures() {
        List<Figure> all = new ArrayList<>(ratings.values());
        all.addAll(Figured.present(rating, disturbed, stripShare, residue));
        return all;
    }
}
