package app.etlo.core.plan.asked;

import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.core.weather.Climate;
import app.etlo.core.weather.WeatherSeries;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.IntToDoubleFunction;

/** Past years of a place by what was remarkable in them, as seasons that end in that calendar year. */
public final class PastYears {
    private final Climate climate;
    private final List<Integer> years;
    private final UnitSystem units;
    private final boolean southern;

    /**
     * A year to go through.
     *
     * @param kind such as wettest-spring
     * @param words what it is, with its number and the usual one
     */
    public record Pick(String kind, int year, String name, String words) {}

    /**
     * @param years that can be gone through
     */
    PastYears(Climate climate, List<Integer> years, UnitSystem units) {
        this.climate = climate;
        this.years = years;
        this.units = units;
        this.southern = climate.place().isSouthern();
    }

    List<Pick> picks() {
        List<Pick> picks = new ArrayList<>();
        IntToDoubleFunction springRain = y -> rain(spring(y), 3);
        IntToDoubleFunction autumnRain = y -> rain(spring(y).minusMonths(6), 3);
        IntToDoubleFunction winter = y -> mean(spring(y).minusMonths(3), 3);
        IntToDoubleFunction summer = y -> mean(spring(y).plusMonths(3), 3);
        pick(picks, "wettest-spring", "the wettest spring", springRain, true, this::millimetres);
        pick(picks, "driest-spring", "the driest spring", springRain, false, this::millimetres);
        pick(picks, "wettest-autumn", "the wettest autumn before", autumnRain, true, this::millimetres);
        pick(picks, "driest-autumn", "the driest autumn before", autumnRain, false, this::millimetres);
        pick(picks, "earliest-freeze", "the earliest freeze", this::firstFreeze, false, this::dayAfterMidsummer);
        pick(picks, "latest-frost", "the latest spring frost", this::lastFrost, true, this::dayAfterMidsummer);
        pick(picks, "coldest-winter", "the coldest winter", winter, false, this::celsius);
        pick(picks, "mildest-winter", "the mildest winter", winter, true, this::celsius);
        pick(picks, "hottest-summer", "the hottest summer", summer, true, this::celsius);
        return picks;
    }

    /** First day of the spring of a calendar year. */
    private LocalDate spring(int year) {
        return LocalDate.of(year, southern ? 9 : 3, 1);
    }

    private LocalDate midsummerBefore(int year) {
        return LocalDate.of(southern ? year : year - 1, southern ? 1 : 7, 15);
    }

    private interface Words {
        String of(double value, int year);
    }

    private void pick(List<Pick> picks, String kind, String name, IntToDoubleFunction of, boolean most, Words words) {
        Comparator<Integer> by = Comparator.comparingDouble(of::applyAsDouble);
        Optional<Integer> found =
                years.stream().filter(y -> Double.isFinite(of.applyAsDouble(y))).min(most ? by.reversed() : by);
        double[] all = years.stream()
                .mapToDouble(of::applyAsDouble)
                .filter(Double::isFinite)
                .sorted()
                .toArray();
        found.ifPresent(y -> picks.add(new Pick(
                kind, y, name, words.of(of.applyAsDouble(y), y) + "; usually " + words.of(all[all.length / 2], y))));
    }

    private String millimetres(double mm, int year) {
        Unit shown = units.shown(Unit.MILLIMETRE);
        return Shown.text(Unit.MILLIMETRE.to(shown, mm), shown) + " " + shown.written();
    }

    private String celsius(double c, int year) {
        Unit shown = units.shown(Unit.CELSIUS);
        return Shown.text(Unit.CELSIUS.to(shown, c), shown) + " " + shown.written();
    }

    private String dayAfterMidsummer(double days, int year) {
        LocalDate day = midsummerBefore(year).plusDays(Math.round(days));
        return Shown.date(day).replaceFirst(" \\d{4}$", "");
    }

    private double rain(LocalDate from, int months) {
        double mm = 0;
        WeatherSeries s = climate.series();
        for (int i = s.index(from); i < s.index(from.plusMonths(months)); i++) {
            mm += known(i) ? s.rainMm(i) : Double.NaN;
        }
        return mm;
    }

    private double mean(LocalDate from, int months) {
        double sum = 0;
        WeatherSeries s = climate.series();
        int a = s.index(from);
        int b = s.index(from.plusMonths(months));
        for (int i = a; i < b; i++) {
            sum += known(i) ? s.meanC(i) : Double.NaN;
        }
        return sum / (b - a);
    }

    private boolean known(int i) {
        return climate.series().isKnown(i);
    }

    /** Days from midsummer to the first freezing night; infinite when there was none. */
    private double firstFreeze(int year) {
        int from = climate.series().index(midsummerBefore(year));
        for (int d = 0; d < 365; d++) {
            if (known(from + d) && climate.series().tminC(from + d) < 0) {
                return d;
            }
        }
        return Double.POSITIVE_INFINITY;
    }

    private double lastFrost(int year) {
        int from = climate.series().index(midsummerBefore(year));
        double last = Double.NEGATIVE_INFINITY;
        for (int d = 0; d < 365; d++) {
            last = known(from + d) && climate.series().tminC(from + d) < 0 ? d : last;
        }
        return last;
    }
}
