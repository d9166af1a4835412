package app.etlo.core.grazing;

import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A cover as feed.
 *
 * @param cautions of its species for any stock
 * @param grazings in the order of the plan
 * @param uses on the day it ends, side by side; none where nothing stands then
 * @param protein of all that stands on that day, % of the dry tops
 * @param quality what is known of it as feed on that day, as sentences
 */
public record Forage(
        List<StockCaution> cautions,
        List<GrazingResult> grazings,
        List<CoverUse> uses,
        Optional<Figure> protein,
        List<String> quality)
        implements Figured {
    private static final Formula PROTEIN = Formula.of(
            "Crude protein",
            "n * 6.25 / 10",
            Source.commonPractice("crude protein is 6.25 times the nitrogen; a forage test decides"),
            "n");

    /** @param nitrogen of the dry tops */
    public static Figure protein(String prefix, Figure nitrogen) {
        return PROTEIN.figure(
                prefix + "/protein", "Crude protein", Unit.PERCENT, Input.figure("n", nitrogen, Unit.G_PER_KG));
    }

    public Forage {
        cautions = List.copyOf(cautions);
        grazings = List.copyOf(grazings);
        uses = List.copyOf(uses);
        quality = List.copyOf(quality);
    }

    @Override
    public List<Figure> figures() {
        return Stream.of(
                        grazings.stream().flatMap(g -> g.figures().stream()),
                        uses.stream().flatMap(u -> u.figures().stream()),
                        protein.stream())
                .flatMap(s -> s)
                .toList();
    }
}
