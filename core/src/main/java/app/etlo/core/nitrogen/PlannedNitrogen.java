package app.etlo.core.nitrogen;

import app.etlo.core.knowledge.Product;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** The nitrogen that the feedings of a plan bring to a crop. */
public final class PlannedNitrogen {
    private PlannedNitrogen() {}

    /**
     * One feeding.
     *
     * @param nitrogenKgHa available in the season, kg/ha
     * @param placement as entered; empty where it is not said
     * @param dryShare of the years, 0 to 1, in which too little rain follows to wash urea in; empty where that is not known
     */
    public record Application(
            Product product,
            LocalDate on,
            double nitrogenKgHa,
            Optional<String> placement,
            Optional<Double> dryShare) {}

    /**
     * Their sum, kg/ha.
     *
     * @param applications at least one
     */
    public static Figure of(String prefix, List<Application> applications) {
        List<String> symbols = IntStream.rangeClosed(1, applications.size())
                .mapToObj(i -> "n" + i)
                .toList();
        Input[] inputs = IntStream.range(0, applications.size())
                .mapToObj(i -> Input.of(
                        symbols.get(i),
                        applications.get(i).product().name() + ", "
                                + Shown.date(applications.get(i).on()),
                        applications.get(i).nitrogenKgHa(),
                        Unit.KG_PER_HA,
                        Origin.ENTERED,
                        "feed step"))
                .toArray(Input[]::new);
        return Formula.of(
                        "Nitrogen planned to be fed",
                        symbols.stream().collect(Collectors.joining(" + ")),
                        Source.identity("sum of the feedings"),
                        symbols.toArray(String[]::new))
                .figure(prefix + "/planned", "Nitrogen planned", Unit.KG_PER_HA, inputs);
    }
}
