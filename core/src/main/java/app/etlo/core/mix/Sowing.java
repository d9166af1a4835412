package app.etlo.core.mix;

import app.etlo.core.knowledge.CoverPurpose;
import app.etlo.core.knowledge.SowingMethod;
import app.etlo.core.working.Input;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;

/**
 * How the mix goes into the ground, with the factors on the drilled rate.
 *
 * @param lateness factor for late sowing, 1 when in time
 * @param seedbed factor for a rough or dry seedbed, 1 for a good one
 * @param purpose factor typed for a dense mulch, 1 for none
 * @param sownFor what the full rates are taken for
 * @param area sown area, ha: typed, else the field's
 * @param waste share added for what stays in machine and sack, 0 to 1
 * @param widthM working width of the catch test
 * @param distanceM distance of the catch test
 * @param largeBoxL what the drill's large box holds, litres
 * @param smallBoxL what its small box holds
 * @param inoculants what is said of the rhizobium of a group, by group
 */
public record Sowing(
        SowingMethod method,
        double lateness,
        double seedbed,
        double purpose,
        CoverPurpose sownFor,
        Input area,
        double waste,
        boolean wasteTyped,
        double widthM,
        double distanceM,
        boolean catchTyped,
        Optional<Double> largeBoxL,
        Optional<Double> smallBoxL,
        Map<String, InoculantUse> inoculants) {
    public Sowing {
        inoculants = Map.copyOf(inoculants);
    }

    /**
     * What is said of the rhizobium of a group.
     *
     * @param notNeeded left out on purpose
     * @param doseGKg on the seed; the usual packet's when empty
     * @param pricePerKg of the inoculant
     */
    public record InoculantUse(
            boolean notNeeded, Optional<Double> doseGKg, Optional<Double> pricePerKg, Optional<LocalDate> useBy) {}

    public double areaHa() {
        return area.value().middle();
    }
}
