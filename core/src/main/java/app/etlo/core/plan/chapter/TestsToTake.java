package app.etlo.core.plan.chapter;

import app.etlo.core.nitrogen.LedgerLine;
import app.etlo.core.nitrogen.LedgerLine.Kind;
import app.etlo.core.nitrogen.NitrogenLedger;
import app.etlo.core.nitrogen.TestToTake;
import app.etlo.core.plan.timeline.PlanInTime;
import app.etlo.core.plan.timeline.Timeline;
import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.weather.DegreeDays;
import app.etlo.core.weather.Percentiles;
import app.etlo.core.weather.YearsAhead;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** The tests that decide on a crop's nitrogen, with the days on which they say something. */
final class TestsToTake {
    private static final int BEFORE_DAYS = 21;
    private static final int LAST_BEFORE_DAYS = 3;
    /**
     * Corn degree days, °C, from planting to four leaves and a half and to six and a half: about 15 and 30 cm tall (Iowa State PMR 1009, from
     * memory: 115 °F days to emergence and 82 for each leaf).
     */
    private static final double FROM_DEGREE_DAYS = (115 + 4.5 * 82) / 1.8;

    private static final double TO_DEGREE_DAYS = (115 + 6.5 * 82) / 1.8;
    private static final int LATEST_DAYS = 75;
    /** A strip that was fed more shows by then. */
    private static final int STRIP_FROM_DAYS = 35;

    private static final int STRIP_TO_DAYS = 60;

    private TestsToTake() {}

    /** None for a crop that needs no nitrogen, is not dated, or whose days are over. */
    static List<TestToTake> of(PlanInTime plan, CropInTime crop, NitrogenLedger ledger) {
        boolean needs = crop.crop().need().filter(n -> n.value().middle() > 0).isPresent();
        return crop.planted().filter(d -> needs).stream()
                .flatMap(planted -> all(plan, crop, ledger, planted).stream())
                .filter(t -> !t.to().isBefore(plan.asOf()))
                .toList();
    }

    private static List<TestToTake> all(PlanInTime plan, CropInTime crop, NitrogenLedger ledger, LocalDate planted) {
        List<TestToTake> all = new ArrayList<>();
        all.add(new TestToTake(
                "pre-plant",
                "Nitrate before planting",
                planted.minusDays(BEFORE_DAYS),
                planted.minusDays(LAST_BEFORE_DAYS),
                "15 to 20 cores to " + Said.of(60, Unit.CENTIMETRE)
                        + ", kept cold and sent the same day. Most telling in dry places, behind manure or bare ground.",
                has(ledger, Kind.SOIL_TEST)));
        if (crop.crop().id().endsWith("corn")) {
            plan.years()
                    .filter(y -> y.day(planted) >= 0 && y.day(planted) < y.days())
                    .map(y -> sideDress(y, planted, has(ledger, Kind.SIDE_DRESS_TEST)))
                    .ifPresent(all::add);
        }
        LocalDate fed = plan.timeline().feedings(crop.id()).stream()
                .findFirst()
                .map(Timeline.Feeding::date)
                .filter(d -> d.isAfter(planted))
                .orElse(planted);
        all.add(new TestToTake(
                "strip",
                "Reference strip",
                fed.plusDays(STRIP_FROM_DAYS),
                fed.plusDays(STRIP_TO_DAYS),
                "Give one strip the width of the spreader half as much again at the first feeding. Where the rest is as green as the strip,"
                        + " the next split can be smaller; where it is paler, what is planned is needed.",
                false));
        return all;
    }

    private static boolean has(NitrogenLedger ledger, Kind kind) {
        return Stream.concat(
                        ledger.counted().stream(), ledger.leftOut().stream().map(NitrogenLedger.LeftOut::line))
                .map(LedgerLine::kind)
                .anyMatch(k -> k == kind);
    }

    private static TestToTake sideDress(YearsAhead years, LocalDate planted, boolean done) {
        return new TestToTake(
                "side-dress",
                "Nitrate before side-dressing",
                after(years, planted, FROM_DEGREE_DAYS),
                after(years, planted, TO_DEGREE_DAYS),
                "15 to 20 cores to " + Said.of(30, Unit.CENTIMETRE) + " while the corn stands "
                        + Said.span(15, 30, Unit.CENTIMETRE)
                        + " tall, between the rows and not where a band lies. At 25 mg/kg of nitrate nitrogen it wants no more.",
                done);
    }

    /** In the middle of the years; a season that never gets so warm ends the search. */
    private static LocalDate after(YearsAhead years, LocalDate planted, double degreeDays) {
        double days = Percentiles.of(years.daysTo(DegreeDays.CORN, planted, degreeDays))
                .at(0.5);
        return planted.plusDays(Double.isFinite(days) ? Math.round(days) : LATEST_DAYS);
    }
}
