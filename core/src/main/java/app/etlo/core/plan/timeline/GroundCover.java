package app.etlo.core.plan.timeline;

import app.etlo.core.rotation.CropInTime;
import app.etlo.core.weather.WaterUse;
import app.etlo.core.weather.YearsAhead;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.IntFunction;

/**
 * What draws and shields water on each day of a plan, by the trapezoid of FAO-56, chapter 6 (Allen and others 1998; from
 * memory), with stage lengths as shares of the crop's life.
 */
public final class GroundCover implements IntFunction<WaterUse> {
    private static final double FULL = 1.1;
    private static final double START = 0.15;
    private static final double RIPE = 0.35;
    private static final double RISES_UNTIL = 0.45;
    private static final double RIPENS_FROM = 0.78;
    /** Days in which a cover closes. */
    private static final int COVER_CLOSES_DAYS = 50;
    /** Share of the ground that residue of a harvest keeps covered, where it is not buried. */
    private static final double MULCH = 0.5;

    private final WaterUse[] days;

    private GroundCover(int n) {
        days = new WaterUse[n];
        Arrays.fill(days, WaterUse.BARE);
    }

    /** A cover in time. */
    public record CoverSpan(LocalDate sown, Optional<LocalDate> ended) {}

    static GroundCover of(YearsAhead years, List<CropInTime> crops, List<CoverSpan> covers) {
        GroundCover ground = new GroundCover(years.days());
        for (CropInTime c : crops) {
            c.harvested().ifPresent(h -> ground.fill(years.day(h), years.days(), new WaterUse(0, 0, MULCH)));
            if (c.planted().isPresent() && c.harvested().isPresent()) {
                ground.crop(years, c.planted().get(), c.harvested().get());
            }
        }
        for (CoverSpan c : covers) {
            LocalDate end = c.ended().orElse(c.sown().plusDays(180));
            ground.cover(years, c.sown(), end);
        }
        return ground;
    }

    private void fill(int from, int to, WaterUse use) {
        for (int d = from; d < to; d++) {
            days[d] = use;
        }
    }

    private void crop(YearsAhead years, LocalDate planted, LocalDate harvested) {
        double life = Math.max(1, ChronoUnit.DAYS.between(planted, harvested));
        for (int d = years.day(planted); d < years.day(harvested); d++) {
            double u = ChronoUnit.DAYS.between(planted, years.from().plusDays(d)) / life;
            double k = u < RISES_UNTIL
                    ? START + (FULL - START) * u / RISES_UNTIL
                    : u < RIPENS_FROM ? FULL : FULL - (FULL - RIPE) * (u - RIPENS_FROM) / (1 - RIPENS_FROM);
            days[d] = new WaterUse(k, Math.min(0.95, k / FULL), 0);
        }
    }

    private void cover(YearsAhead years, LocalDate sown, LocalDate end) {
        for (int d = years.day(sown); d < years.day(end); d++) {
            double age = ChronoUnit.DAYS.between(sown, years.from().plusDays(d));
            double k = START + (FULL - START) * Math.min(1, age / COVER_CLOSES_DAYS);
            if (k > days[d].basalCoefficient()) {
                days[d] = new WaterUse(k, Math.min(0.95, k / FULL), days[d].mulch());
            }
        }
    }

    @Override
    public WaterUse apply(int day) {
        return days[day];
    }
}
