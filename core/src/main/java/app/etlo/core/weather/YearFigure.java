package app.etlo.core.weather;

import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import java.util.Arrays;
import java.util.Optional;

/**
 * A figure of many weather years: its middle and its working are those of one named year, the one nearest the median, so that
 * lines add up; its band runs from 1 year in 10 to 9 in 10.
 */
public final class YearFigure {
    private final YearsAhead years;
    private final double[] values;
    private final int member;
    private final Band band;

    private YearFigure(YearsAhead years, double[] values, double middleShare, double lowShare, double highShare) {
        this.years = years;
        this.values = values.clone();
        Percentiles p =
                Percentiles.of(Arrays.stream(values).filter(Double::isFinite).toArray());
        double median = p.at(middleShare);
        int nearest = 0;
        for (int y = 1; y < values.length; y++) {
            if (!Double.isFinite(values[nearest])
                    || Math.abs(values[y] - median) < Math.abs(values[nearest] - median)) {
                nearest = y;
            }
        }
        this.member = nearest;
        double middle = values[nearest];
        this.band = new Band(Math.min(middle, p.at(lowShare)), middle, Math.max(middle, p.at(highShare)));
    }

    /** Of values by member; those that are not finite are left out, and without any other there is no figure. */
    public static Optional<YearFigure> of(YearsAhead years, double[] values) {
        return of(years, values, 0.5, 0.1, 0.9);
    }

    /** With shares of the years of one's own for middle, low and high. */
    public static Optional<YearFigure> of(
            YearsAhead years, double[] values, double middleShare, double lowShare, double highShare) {
        boolean some = Arrays.stream(values).anyMatch(Double::isFinite);
        return some ? Optional.of(new YearFigure(years, values, middleShare, lowShare, highShare)) : Optional.empty();
    }

    /** The place among the years of the one that the middle is taken from. */
    public int member() {
        return member;
    }

    public Band band() {
        return band;
    }

    public double[] values() {
        return values.clone();
    }

    /** The year in words. */
    public String words() {
        return "weather of " + years.year(member) + " at " + years.climate().name() + ", " + years.count() + " years";
    }

    /**
     * The figure of a formula of which every input but one is exact; that one takes on the band.
     *
     * @param exact the other inputs, as they were in the named year
     * @param slope 1 where the result rises with the banded input, -1 where it falls, each by its own size
     */
    public Figure figure(
            String id,
            String label,
            Unit unit,
            Formula formula,
            String symbol,
            String inputLabel,
            Unit inputUnit,
            double slope,
            Input... exact) {
        double others = 0;
        double[] at = new double[3];
        double[] wanted = {band.low(), band.middle(), band.high()};
        Input[] all = Arrays.copyOf(exact, exact.length + 1);
        all[exact.length] = Input.of(symbol, inputLabel, 0, inputUnit, Origin.FORECAST, words());
        others = formula.figure(id, label, unit, all).middle();
        for (int i = 0; i < 3; i++) {
            at[i] = slope * (wanted[i] - others);
        }
        Arrays.sort(at);
        String from = words() + "; 1 year in 10 below " + Shown.text(at[0], inputUnit) + ", 1 in 10 above "
                + Shown.text(at[2], inputUnit);
        all[exact.length] = Input.banded(
                symbol,
                inputLabel,
                new Band(at[0], slope * (band.middle() - others), at[2]),
                inputUnit,
                Origin.FORECAST,
                from);
        return formula.figure(id, label, unit, all);
    }
}
