package app.etlo.core.rotation;

import java.time.LocalDate;
import java.util.Optional;

/** Water in the root zone of a plan's ground, as it is simulated. */
public interface RootZone {
    /** The recorded evening nearest before a day; empty where the day is not simulated. */
    Optional<LocalDate> eveningBefore(LocalDate day);

    /**
     * Water that roots can draw on the evening before a day that is simulated, mm.
     *
     * @param member of the weather years
     */
    double availableMm(LocalDate day, int member);
}
