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
 * @param fixed of the nitrogen in its tops, kg/ha; empty where no species stands in the simulation
 * @param moved the rest of it, which was taken from the soil
 * @param simulated what its residue frees in the season, beyond the same ground without the cover; empty without a crop ahead
 */
public record CoverSchools(
        CoverCredit content,
        Optional<Figure> table,
        Optional<Figure> simulated,
        Optional<Figure> fixed,
        Optional<Figure> moved)
        implements Figured {
    private static final Formula FIXED = Formula.of(
            "Fixed from the air",
            "tops * share / 100",
            Source.own("the fixed share of each species' nitrogen, weighted by what the simulation finds in each"),
            "tops",
            "share");
    private static final Formula MOVED = Formula.of(
                    "Taken from the soil",
                    "tops - fixed",
                    Source.identity("all of it less what is fixed"),
                    "tops",
                    "fixed")
            .remarking(
                    "moved, not made: without the cover a part of it would have leached, and the rest would be there");

    private static final Formula SIMULATED = Formula.of(
                    "Nitrogen released in the season, simulated",
                    "released * evidence",
                    Source.own("the ground simulation, with and without the cover: docs/simulation.md"),
                    "released",
                    "evidence")
            .remarking(
                    "the same question as the other schools answer; what the cover took up and what that costs a young crop stands in the"
                            + " note on early shortage, and is not taken off here");

    /** @param percent of the nitrogen in the tops that is fixed */
    public static Figure fixed(String prefix, Stand stand, double percent) {
        return FIXED.figure(
                prefix + "/coverFixed",
                "Fixed from the air",
                Unit.KG_PER_HA,
                Input.figure("tops", stand.nitrogenInTops(), Unit.KG_PER_HA),
                Input.of(
                        "share",
                        "Share of it fixed",
                        percent,
                        Unit.PERCENT,
                        Origin.FORECAST,
                        "species and simulation"));
    }

    public static Figure moved(String prefix, Stand stand, Figure fixed) {
        return MOVED.figure(
                prefix + "/coverMoved",
                "Taken from the soil",
                Unit.KG_PER_HA,
                Input.figure("tops", stand.nitrogenInTops(), Unit.KG_PER_HA),
                Input.figure("fixed", fixed, Unit.KG_PER_HA));
    }

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

    /** @param releasedKgHa out of tops and roots between two evenings; below zero they hold more than they brought */
    public static Figure simulated(String prefix, Band releasedKgHa, String between, Stand stand) {
        return SIMULATED.figure(
                prefix + "/coverSimulated",
                releasedKgHa.middle() < 0 ? "Held by the cover, simulated" : "From the cover, simulated",
                Unit.KG_PER_HA,
                Input.banded(
                        "released",
                        "Released by its tops and roots, " + between,
                        releasedKgHa,
                        Unit.KG_PER_HA,
                        Origin.FORECAST,
                        "simulation"),
                CoverCredit.evidence(stand, releasedKgHa.middle() < 0));
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
        return Figured.present(table, simulated, fixed, moved);
    }
}
