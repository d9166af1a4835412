package app.etlo.core.plan.asked;

import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluated.CoverResult;
import app.etlo.core.plan.document.Refused;
import app.etlo.core.rotation.CropInTime;
import java.time.LocalDate;
import java.util.Optional;

/**
 * The days of a cover that are gone through: from some weeks before it is sown until the crop after it is harvested.
 *
 * @param sown as planned
 * @param next the crop after the cover
 */
public record ReplaySpan(String coverId, LocalDate sown, LocalDate from, LocalDate to, Optional<CropInTime> next) {
    private static final int BEFORE_DAYS = 21;
    /** Gone on with after the cover's end where no crop follows. */
    private static final int AFTER_DAYS = 60;
    /** Gone on with after a planting without a harvest day. */
    private static final int CROP_DAYS = 120;

    private static final int LONGEST_DAYS = 900;

    static ReplaySpan of(Evaluated planned, String coverId) {
        CoverResult cover = planned.covers().stream()
                .filter(c -> c.entry().id().equals(coverId))
                .findFirst()
                .orElseThrow(() -> new Refused("/coverId", "the plan has no such cover"));
        LocalDate sown = cover.sown()
                .orElseThrow(
                        () -> new Refused("/coverId", "say first when the cover is sown; then it can be replayed"));
        LocalDate to = cover.next()
                .flatMap(c -> c.harvested().or(() -> c.planted().map(p -> p.plusDays(CROP_DAYS))))
                .or(() -> cover.end().map(e -> e.date().plusDays(AFTER_DAYS)))
                .orElseThrow(() -> new Refused(
                        "/coverId",
                        "say first when the cover ends or the next crop is planted; then it can be replayed"));
        if (!to.isAfter(sown) || to.isAfter(sown.plusDays(LONGEST_DAYS))) {
            throw new Refused("/coverId", "the next crop's dates do not follow the cover's sowing");
        }
        return new ReplaySpan(coverId, sown, sown.minusDays(BEFORE_DAYS), to, cover.next());
    }

    /** The calendar year that a past year stands for: the one in which the cover's season ends. */
    int yearOfEnd() {
        return to.getYear();
    }

    boolean holds(LocalDate day) {
        return !day.isBefore(from) && !day.isAfter(to);
    }
}
