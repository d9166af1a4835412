package app.etlo.core.plan.timeline;

import app.etlo.core.knowledge.Crop;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;

/**
 * A crop of the field's history that the library knows.
 *
 * @param on its usual harvest, or the day before what came after it where that is earlier
 */
public record PastCrop(Crop crop, int year, LocalDate on) {
    /** Those harvested before something was sown, the latest first. */
    public static List<PastCrop> before(PlanInTime plan, LocalDate sown) {
        boolean southern =
                plan.site().map(s -> s.climate().place().isSouthern()).orElse(false);
        return plan.context().field().history().orElse(List.of()).stream()
                .filter(p -> p.year() <= sown.getYear())
                .flatMap(p -> plan.knowledge().crops().all().stream()
                        .filter(c -> c.id().equalsIgnoreCase(p.crop().strip())
                                || c.name().equalsIgnoreCase(p.crop().strip()))
                        .map(c -> new PastCrop(c, p.year(), harvest(c, p.year(), sown, southern))))
                .sorted(Comparator.comparing(PastCrop::on).reversed())
                .toList();
    }

    private static LocalDate harvest(Crop c, int year, LocalDate sown, boolean southern) {
        boolean autumn = c.growing().warm() || c.growing().yieldUnit().equals("t");
        LocalDate day = southern
                ? LocalDate.of(year, autumn ? 4 : 12, 5)
                : LocalDate.of(year, autumn ? 10 : 7, autumn ? 5 : 25);
        return day.isBefore(sown) ? day : sown.minusDays(1);
    }

    /** From its harvest to a day. */
    public int days(LocalDate to) {
        return (int) ChronoUnit.DAYS.between(on, to);
    }

    /** How it is named in a working. */
    public String words() {
        return crop.name().toLowerCase(Locale.ROOT) + " of " + year + " in the field's history";
    }
}
