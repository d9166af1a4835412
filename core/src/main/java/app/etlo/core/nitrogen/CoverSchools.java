package app.etlo.core.nitrogen;

import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import app.etlo.core.termination.Stand;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A cover's credit by three schools, side by side; one of them counts.
 *
 * @param content mass times nitrogen content times the share that such residue releases in a season
 * @param table of green manures; empty where it holds none of the species
 * @param simulated what the crop finds by six weeks, beyond the same ground without the cover; empty without a crop ahead
 */
public record CoverSchools(CoverCredit content, Optional<Figure> table, Optional<Figure> simulated) implements Figured {
    private static final Formula SIMULATED = Formula.of(
                    "Nitrogen by six weeks, simulated",
                    "-less * evidence",
                    Source.own("the ground simulation, with and without the cover: docs/simulation.md"),
                    "less",
                    "evidence")
            .remarking("what the cover still holds then comes later, and is not in it");

    /** A green manure's credit, with its species. */
    public static Optional<Figure> table(String prefix, List<Figure> bySpecies) {
        if (bySpecies.isEmpty()) {
            return Optional.empty();
        }
        List<Input> inputs = new ArrayList<>();
        for (int i = 0; i < bySpecies.size(); i++) {
            inputs.add(Input.figure("s" + (i + 1), bySpecies.get(i), Unit.LB_PER_AC));
        }
        return Optional.of(Formula.sum("Table of green manures", bySpecies.size())
                .figure(prefix + "/coverTable", "From the cover, by table", Unit.LB_PER_AC, inputs));
    }

    /** @param lessKgHa that the crop finds six weeks after planting than without the cover */
    public static Figure simulated(String prefix, Band lessKgHa, Stand stand) {
        return SIMULATED.figure(
                prefix + "/coverSimulated",
                lessKgHa.middle() > 0 ? "Held by the cover, simulated" : "From the cover, simulated",
                Unit.KG_PER_HA,
                Input.banded(
                        "less",
                        "Less than without the cover, six weeks after planting",
                        lessKgHa,
                        Unit.KG_PER_HA,
                        Origin.FORECAST,
                        "simulation"),
                CoverCredit.evidence(stand, lessKgHa.middle() > 0));
    }

    /** The one chosen, content where the chosen one has nothing to say. */
    public Figure chosen(String school) {
        return switch (school) {
            case "table" -> table.orElseGet(content::credit);
            case "simulated" -> simulated.orElseGet(content::credit);
            default -> content.credit();
        };
    }

    /** Those beside the content, which has figures of its own. */
    @Override
    public List<Figure> figures() {
        return Figured.present(table, simulated);
    }
}
