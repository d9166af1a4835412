package app.etlo.core.plan.chapter;

import app.etlo.core.knowledge.CoverPurpose;
import app.etlo.core.mix.GrowVerdict;
import app.etlo.core.plan.document.PlanDocument.CheckEntry;
import app.etlo.core.plan.timeline.CoverInTime;
import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Whether a cover is dense and green enough, as winter finds it, to keep what is promised of it; else plan B gets its date. */
final class AutumnGate {
    /** Around the begin of winter a look is the autumn gate. */
    private static final int BEFORE_DAYS = 45;

    private static final int AFTER_DAYS = 20;
    /** By dormancy a cereal for a rolled mulch is dense and tillers, 8 to 10 cm tall (common practice). */
    private static final double COVER = 60;

    private static final double HEIGHT_CM = 8;
    private static final double TILLERS_M2 = 300;

    private final CoverInTime cover;
    private final LocalDate winter;

    /**
     * @param winter day on which growth stops
     */
    AutumnGate(CoverInTime cover, LocalDate winter) {
        this.cover = cover;
        this.winter = winter;
    }

    private boolean isMulch() {
        return cover.sowing().sownFor().id().equals(CoverPurpose.MULCH)
                || cover.endings().stream().anyMatch(e -> e.method().rolls())
                || cover.entry().aims().orElse(List.of()).stream().limit(2).anyMatch("mulch"::equals);
    }

    /** The verdict on a look around the begin of winter; empty for any other. */
    Optional<GrowVerdict> of(CheckEntry c) {
        boolean looked = c.coverPercent().isPresent()
                || c.tillers().isPresent()
                || c.height().isPresent();
        boolean inTime =
                c.on().isAfter(winter.minusDays(BEFORE_DAYS + 1L)) && c.on().isBefore(winter.plusDays(AFTER_DAYS + 1L));
        if (!looked || c.species().isPresent() || !inTime) {
            return Optional.empty();
        }
        List<String> short_ = new ArrayList<>();
        c.coverPercent()
                .filter(v -> v < COVER)
                .ifPresent(v -> short_.add("green cover " + Math.round(v) + " %, wanted " + Math.round(COVER)));
        c.height()
                .map(q -> q.in(Unit.CENTIMETRE))
                .filter(v -> v < HEIGHT_CM)
                .ifPresent(v -> short_.add(
                        Said.of(round(v), Unit.CENTIMETRE) + " tall, wanted " + Said.of(HEIGHT_CM, Unit.CENTIMETRE)));
        if (isMulch()) {
            c.tillers()
                    .map(q -> q.in(Unit.PER_M2))
                    .filter(v -> v < TILLERS_M2)
                    .ifPresent(v -> short_.add(
                            Said.of(round(v), Unit.PER_M2) + " tillers, wanted " + Said.of(TILLERS_M2, Unit.PER_M2)));
        }
        Optional<LocalDate> spring =
                cover.end().map(e -> e.date().minusDays(28)).filter(d -> d.isAfter(c.on()));
        if (short_.isEmpty()) {
            return Optional.of(new GrowVerdict(
                    "autumn",
                    "dense and green enough",
                    "About " + Shown.date(winter) + " growth stops; what was looked at keeps the promise"
                            + (isMulch() ? " of a mulch: 400 heads a square metre by heading is dense" : "") + ".",
                    List.of(),
                    spring,
                    spring.map(d -> "look again in spring: mass and evenness")));
        }
        return Optional.of(new GrowVerdict(
                "autumn",
                "too thin",
                "When growth stops, about " + Shown.date(winter) + ": " + String.join("; ", short_) + "."
                        + (isMulch()
                                ? " A mulch against weeds is not to be counted on: where no herbicide may follow, a thin mulch has"
                                        + " no rescue after planting."
                                : " Little holds the soil until spring."),
                List.of(),
                spring,
                spring.map(d -> isMulch()
                        ? "plan B is decided by then: end it earlier and plant with tillage or another weed control"
                        : "decide by then whether it is worth keeping")));
    }

    private static double round(double v) {
        return v < 10 ? Math.round(v * 10) / 10.0 : Math.round(v);
    }
}
