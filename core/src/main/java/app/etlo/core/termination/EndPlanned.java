package app.etlo.core.termination;

import app.etlo.core.knowledge.Crop;
import app.etlo.core.knowledge.TerminationMethod;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;

/**
 * The end of a cover as planned, with what follows it.
 *
 * @param passes in time
 * @param planting of the crop that follows
 * @param grazed days on which stock are on the cover or the ground after it
 * @param grass whether grasses are much of the cover
 * @param blooms the earliest day on which a species is in bloom in most years
 */
public record EndPlanned(
        List<Pass> passes,
        Optional<Planting> planting,
        List<LocalDate> grazed,
        boolean grass,
        Optional<LocalDate> blooms) {
    public EndPlanned {
        passes = List.copyOf(passes);
        grazed = List.copyOf(grazed);
    }

    /**
     * @param product that is sprayed, as typed
     */
    public record Pass(LocalDate on, TerminationMethod method, Optional<String> product) {}

    public record Planting(LocalDate on, Crop crop) {}

    /** The same ended by other methods, all on one day. */
    public EndPlanned by(LocalDate day, List<TerminationMethod> methods) {
        return new EndPlanned(
                methods.stream().map(m -> new Pass(day, m, Optional.empty())).toList(),
                planting,
                grazed,
                grass,
                blooms);
    }

    /** The same ended on another day, with its passes as far apart. */
    public EndPlanned endedOn(LocalDate day) {
        if (passes.isEmpty()) {
            return this;
        }
        long by = ChronoUnit.DAYS.between(passes.get(0).on(), day);
        return new EndPlanned(
                passes.stream()
                        .map(p -> new Pass(p.on().plusDays(by), p.method(), p.product()))
                        .toList(),
                planting,
                grazed,
                grass,
                blooms);
    }
}
