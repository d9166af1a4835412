package app.etlo.core.plan.shown;

import app.etlo.core.field.FrostDates;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How a stand's outline rises to its typical height: fast in the warm half of the year, hardly in the cold one. A rule for
 * the picture, Etlo's own, where no weather is known; no figure is computed from it.
 *
 * <p>Each day counts by a half wave that is whole at midsummer and ends 45 days outside the usual frost-free time; without
 * frost dates every day counts alike. The outline rises by a smooth step over the days it is given.
 */
public final class TypicalCourse {
    static final int EVERY_DAYS = 7;
    private static final double SHOULDER_DAYS = 45;
    private static final double COLDEST_DAY = 0.03;
    /** Midsummer days in which a cover reaches its typical height. */
    private static final double COVER_DAYS = 55;
    /** A cash crop stands at its height from this share of its warm days on. */
    private static final double CROP_SHARE = 0.62;

    private static final double SEEDLING = 0.05;

    private final Optional<FrostDates> frost;

    TypicalCourse(Optional<FrostDates> frost) {
        this.frost = frost;
    }

    /** Heights of a cover, cm, every {@link #EVERY_DAYS} from its sowing to its end. */
    List<Integer> ofCover(LocalDate sown, LocalDate end, double heightM) {
        return heights(sown, end, heightM, COVER_DAYS);
    }

    /** Heights of a cash crop, cm, every {@link #EVERY_DAYS} from planting to harvest. */
    List<Integer> ofCrop(LocalDate planted, LocalDate harvested, double heightM) {
        return heights(planted, harvested, heightM, CROP_SHARE * warmth(planted, harvested));
    }

    private List<Integer> heights(LocalDate from, LocalDate to, double heightM, double whole) {
        List<Integer> found = new ArrayList<>();
        double sum = 0;
        long days = ChronoUnit.DAYS.between(from, to);
        for (long d = 0; d <= days; d++) {
            if (d % EVERY_DAYS == 0 || d == days) {
                double u = Math.min(1, sum / Math.max(1, whole));
                double share = SEEDLING + (1 - SEEDLING) * u * u * (3 - 2 * u);
                found.add((int) Math.round(heightM * 100 * share));
            }
            sum += warmth(from.plusDays(d));
        }
        return List.copyOf(found);
    }

    private double warmth(LocalDate from, LocalDate to) {
        double sum = 0;
        for (LocalDate d = from; d.isBefore(to); d = d.plusDays(1)) {
            sum += warmth(d);
        }
        return sum;
    }

    private double warmth(LocalDate day) {
        return frost.map(f -> Math.max(COLDEST_DAY, halfWave(f, day))).orElse(1.0);
    }

    private static double halfWave(FrostDates frost, LocalDate day) {
        int year = 365;
        int spring = frost.lastSpring().atYear(2001).getDayOfYear();
        int autumn = frost.firstAutumn().atYear(2001).getDayOfYear();
        double free = Math.floorMod(autumn - spring, year);
        double middle = spring + free / 2;
        double off = Math.abs(Math.floorMod(Math.round(day.getDayOfYear() - middle), year));
        double apart = Math.min(off, year - off);
        double reach = free / 2 + SHOULDER_DAYS;
        return apart >= reach ? 0 : Math.cos(Math.PI / 2 * apart / reach);
    }
}
