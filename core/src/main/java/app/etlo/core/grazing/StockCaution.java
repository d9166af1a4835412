package app.etlo.core.grazing;

import app.etlo.core.knowledge.Caution;
import java.util.List;

/**
 * A way in which a cover can harm stock.
 *
 * @param species that carry it, by name
 */
public record StockCaution(Caution caution, List<String> species) {
    public StockCaution {
        species = List.copyOf(species);
    }

    /** Whether it is about a kind of animal: cattle, sheep or horses. */
    public boolean concerns(String animal) {
        return caution.animals().contains(animal);
    }
}
