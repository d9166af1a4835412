package app.etlo.core.plan.chapter;

import app.etlo.core.mix.UsefulSowing;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** The day by which a cover has to be in the ground. */
final class LatestDay {
    private LatestDay() {}

    /** The species whose latest useful sowing comes first; empty where none has one. */
    static Optional<UsefulSowing> first(List<UsefulSowing> useful) {
        return useful.stream()
                .filter(u -> u.mostYears().isPresent())
                .min(Comparator.comparing(u -> u.mostYears().orElseThrow()));
    }

    /** That day, else the one on which it is sown. */
    static Optional<LocalDate> of(List<UsefulSowing> useful, Optional<LocalDate> sown) {
        return first(useful).flatMap(UsefulSowing::mostYears).or(() -> sown);
    }
}
