package app.etlo.core.plan.timeline;

import app.etlo.core.knowledge.Crop;
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
    /** A harvest so long before the plan's first crop is not the one before it. */
    private static final int TOO_LONG_DAYS = 420;

    private static final int YEAR_DAYS = 365;

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

    /** In a place of the history, the latest first; what was harvested years before it says nothing. */
    private static Optional<CropAhead> ofHistory(PlanInTime plan, int skip) {
        LocalDate sown = plan.crops().stream()
                .flatMap(c -> c.planted().stream())
                .min(Comparator.naturalOrder())
                .orElse(plan.asOf());
        return PastCrop.before(plan, sown).stream()
                .skip(skip)
                .findFirst()
                .filter(p -> p.days(sown) <= TOO_LONG_DAYS + skip * YEAR_DAYS)
                .map(p -> new CropAhead(p.crop(), p.words()));
    }
}
