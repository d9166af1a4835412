package app.etlo.core.plan.timeline;

import app.etlo.core.knowledge.Crop;
import app.etlo.core.plan.document.FieldEntry;
import app.etlo.core.rotation.CropInTime;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * The crop that stood on the ground before another: of the plan, else of the field's history.
 *
 * @param words how it is named in a working
 */
public record CropAhead(Crop crop, String words) {
    /** Empty where none is entered. */
    public static Optional<CropAhead> of(PlanInTime plan, CropInTime crop) {
        return before(plan, crop, 1);
    }

    /**
     * The last but one, and so on.
     *
     * @param back 1 for the one before
     */
    public static Optional<CropAhead> before(PlanInTime plan, CropInTime crop, int back) {
        List<CropInTime> crops = plan.crops();
        int i = crops.indexOf(crop) - back;
        return i >= 0
                ? Optional.of(new CropAhead(
                        crops.get(i).crop(), crops.get(i).crop().name().toLowerCase(Locale.ROOT) + " before it"))
                : ofHistory(plan, -i - 1);
    }

    private static Optional<CropAhead> ofHistory(PlanInTime plan, int skip) {
        int first = plan.crops().stream()
                .flatMap(c -> c.planted().stream())
                .min(Comparator.naturalOrder())
                .map(LocalDate::getYear)
                .orElse(plan.asOf().getYear());
        return plan.context().field().history().orElse(List.of()).stream()
                .filter(p -> p.year() <= first)
                .sorted(Comparator.comparingInt(FieldEntry.Past::year).reversed())
                .skip(skip)
                .findFirst()
                .flatMap(p -> plan.knowledge().crops().all().stream()
                        .filter(c -> c.id().equalsIgnoreCase(p.crop().strip())
                                || c.name().equalsIgnoreCase(p.crop().strip()))
                        .findFirst()
                        .map(c -> new CropAhead(
                                c, c.name().toLowerCase(Locale.ROOT) + " of " + p.year() + " in the field's history")));
    }
}
