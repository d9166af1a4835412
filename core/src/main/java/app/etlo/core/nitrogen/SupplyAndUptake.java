package app.etlo.core.nitrogen;

import app.etlo.core.quantity.Band;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * What a crop takes up and what is there for it, week by week, over the weather years.
 *
 * @param weeks in which it takes up 1 kg/ha or more in 1 year of 10, or is fed, and the first
 * @param years simulated
 * @param beforeKgHa free to 60 cm on the evening before planting
 * @param says where it runs short, and what would close the gap
 */
public record SupplyAndUptake(List<Week> weeks, int years, Band beforeKgHa, List<String> says) {
    public static final Source SOURCE = Source.own(
            "the ground simulation; short is under 15 kg/ha free to 60 cm in a week that takes up 5 or more");
    /** Less is short. */
    public static final double SHORT_KG_HA = 15;
    /** A week that takes up less does not ask for more. */
    public static final double ASKS_KG_HA = 5;

    /** Until then a gap is early: the young crop lives on what is close to it. */
    private static final int EARLY_WEEKS = 6;

    private static final double OFTEN = 0.3;

    /**
     * @param week after planting, 1 the first
     * @param on its last evening
     * @param uptakeKgHa in the week
     * @param freeKgHa mineral nitrogen to 60 cm on the evening
     * @param heldKgHa in residue on and in the ground
     * @param fedKgHa in the week, planned or assumed
     * @param shortYears of the years
     */
    public record Week(
            int week, LocalDate on, Band uptakeKgHa, Band freeKgHa, double heldKgHa, double fedKgHa, int shortYears) {}

    public SupplyAndUptake {
        weeks = List.copyOf(weeks);
        says = List.copyOf(says);
    }

    public static SupplyAndUptake of(List<Week> weeks, int years, Band beforeKgHa) {
        return new SupplyAndUptake(weeks, years, beforeKgHa, says(weeks, years));
    }

    /** Fed in all, kg/ha. */
    public double fedKgHa() {
        return weeks.stream().mapToDouble(Week::fedKgHa).sum();
    }

    /** Free to 60 cm when it has taken up what it takes; empty where it still takes up much in the last week that is known. */
    public Optional<Band> leftKgHa() {
        return weeks.isEmpty()
                ? Optional.empty()
                : Optional.of(weeks.get(weeks.size() - 1))
                        .filter(w -> w.uptakeKgHa().middle() < ASKS_KG_HA)
                        .map(Week::freeKgHa);
    }

    private static List<String> says(List<Week> weeks, int years) {
        return weeks.stream()
                .filter(w -> w.shortYears() > OFTEN * years)
                .findFirst()
                .map(w -> List.of("It runs short from about week " + w.week() + " in " + w.shortYears() + " of " + years
                        + " years. "
                        + (w.week() <= EARLY_WEEKS
                                ? "Nitrogen beside the row at planting, or an earlier kill, closes an early gap; more in total does not."
                                : weeks.stream().mapToDouble(Week::fedKgHa).sum() > 0
                                        ? "A later split before that week closes it."
                                        : "Feeding before that week closes it.")))
                .orElse(List.of("In most years it does not run short."));
    }
}
