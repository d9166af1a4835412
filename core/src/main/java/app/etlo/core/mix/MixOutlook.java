package app.etlo.core.mix;

import app.etlo.core.mix.MixForecast.Sown;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import app.etlo.core.weather.YearFigure;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * What a mix grows into and delivers. Middles come from one named weather year, the one nearest the median of the whole mass,
 * so that the species add up.
 *
 * @param mass of the whole, t/ha
 * @param parts dry tops by species, t/ha, in the order of the mix
 * @param standShares share of the whole, %
 * @param carbonToNitrogen of the whole
 * @param aims what the whole delivers, by aim
 */
public record MixOutlook(
        Figure mass,
        List<Figure> parts,
        List<Figure> standShares,
        Optional<Figure> carbonToNitrogen,
        Map<String, Figure> aims,
        List<Figure> working)
        implements Figured {
    private static final Formula SHARE =
            Formula.of("Share of the whole", "part / whole * 100", Source.identity("a share"), "part", "whole");
    /** Carbon in dry matter; 42 to 45 % in published tables. */
    private static final double CARBON_SHARE = 0.43;

    private static final Formula CN = Formula.of(
            "C:N of the mix", "carbon / nitrogen", Source.identity("carbon over nitrogen"), "carbon", "nitrogen");

    /**
     * The outlook of a mix; empty when no species has a rate or the place has no weather.
     *
     * @param prefix of the figures' ids, {@code mix/<cover>}
     */
    public static Optional<MixOutlook> of(String prefix, List<Sown> mix, MixForecast forecast, MixPlace place) {
        if (mix.isEmpty()) {
            return Optional.empty();
        }
        double[][] mass = forecast.massKgHa(mix);
        double[] sum = new double[mass[0].length];
        for (double[] part : mass) {
            for (int y = 0; y < sum.length; y++) {
                sum[y] += part[y];
            }
        }
        return YearFigure.of(forecast.season().years(), sum)
                .filter(y -> y.band().middle() > 0)
                .map(year -> worked(prefix, mix, mass, year, forecast, place));
    }

    private static MixOutlook worked(
            String prefix, List<Sown> mix, double[][] mass, YearFigure year, MixForecast forecast, MixPlace place) {
        List<Figure> parts = new ArrayList<>();
        List<Input> sums = new ArrayList<>();
        for (int i = 0; i < mix.size(); i++) {
            Figure part = part(prefix, mix, i, mass[i], year, forecast);
            parts.add(part);
            sums.add(middle("s" + (i + 1), part));
        }
        Figure whole = banded(
                Formula.sum("Dry tops of the mix", mix.size())
                        .remarking(
                                "The middle is the sum in one year; the band is that of the sums of all years, and where growth is simulated of the model's own error.")
                        .figure(prefix + "/mass", "Dry tops of the mix", Unit.T_PER_HA, sums),
                forecast.widened(year.band()).map(v -> v / 1000));
        List<Figure> shares = IntStream.range(0, mix.size())
                .mapToObj(i -> SHARE.figure(
                        prefix + "/" + mix.get(i).species().id() + "/standShare",
                        "Share of the dry tops",
                        Unit.PERCENT,
                        middle("part", parts.get(i)),
                        middle("whole", whole)))
                .toList();
        List<Figure> working = new ArrayList<>();
        AimDelivery delivery = new AimDelivery(place);
        Map<String, Figure> aims = new LinkedHashMap<>();
        place.aims().stream().filter(AimDelivery::measures).forEach(aim -> {
            List<Input> each = new ArrayList<>();
            double low = 0;
            double high = 0;
            for (int i = 0; i < mix.size(); i++) {
                Prospect p = forecast.alone(mix.get(i).species());
                Figure f = delivery.figure(
                        prefix + "/" + p.species().id() + "/aim/" + aim,
                        aim,
                        p,
                        middle("mass", parts.get(i), Unit.KG_PER_HA),
                        year.member());
                working.add(f);
                each.add(Input.figure("s" + (i + 1), f));
                double perTonne =
                        parts.get(i).middle() > 0 ? f.middle() / parts.get(i).middle() : 0;
                low += perTonne
                        * parts.get(i).middle()
                        * year.band().low()
                        / year.band().middle();
                high += perTonne
                        * parts.get(i).middle()
                        * year.band().high()
                        / year.band().middle();
            }
            Figure f = Formula.sum(AimDelivery.label(aim), mix.size())
                    .remarking("The band is that of the whole mass, in proportion.")
                    .figure(
                            prefix + "/aim/" + aim,
                            AimDelivery.label(aim) + ", whole mix",
                            AimDelivery.unit(aim),
                            each);
            aims.put(
                    aim,
                    banded(
                            f,
                            new Band(
                                    Math.min(low, Math.min(high, f.middle())),
                                    f.middle(),
                                    Math.max(high, Math.max(low, f.middle())))));
        });
        return new MixOutlook(whole, parts, shares, cn(prefix, mix, parts, forecast, year), aims, working);
    }

    private static Figure part(
            String prefix, List<Sown> mix, int i, double[] mass, YearFigure year, MixForecast forecast) {
        Figure f = forecast.part(prefix + "/" + mix.get(i).species().id() + "/mass", mix, i, year);
        Band weather = band(mass, f.middle() * 1000);
        return banded(f, forecast.widened(weather).map(v -> v / 1000));
    }

    private static Optional<Figure> cn(
            String prefix, List<Sown> mix, List<Figure> parts, MixForecast forecast, YearFigure year) {
        double carbon = 0;
        double nitrogen = 0;
        for (int i = 0; i < mix.size(); i++) {
            carbon += parts.get(i).middle() * 1000 * CARBON_SHARE;
            nitrogen += forecast.nitrogenKgHa(mix, i, year.member());
        }
        return nitrogen <= 0
                ? Optional.empty()
                : Optional.of(CN.figure(
                        prefix + "/cn",
                        "C:N of the mix when it ends",
                        Unit.FRACTION,
                        Input.of("carbon", "Carbon in the tops", carbon, Unit.KG_PER_HA, Origin.FORECAST, year.words()),
                        Input.of(
                                "nitrogen",
                                "Nitrogen in the tops",
                                nitrogen,
                                Unit.KG_PER_HA,
                                Origin.FORECAST,
                                year.words())));
    }

    private static Input middle(String symbol, Figure f) {
        return middle(symbol, f, f.unit());
    }

    private static Input middle(String symbol, Figure f, Unit unit) {
        return new Input(
                symbol,
                f.label(),
                Band.exactly(f.unit().to(unit, f.middle())),
                unit,
                f.origin(),
                "computed, middle year",
                Optional.of(f.id()));
    }

    /** One year in ten to nine in ten, around a middle. */
    private static Band band(double[] years, double middle) {
        double[] sorted = years.clone();
        Arrays.sort(sorted);
        double low = sorted[(int) (0.1 * (sorted.length - 1))];
        double high = sorted[(int) Math.ceil(0.9 * (sorted.length - 1))];
        return new Band(Math.min(low, middle), middle, Math.max(high, middle));
    }

    /** The same figure with the band of the weather years in place of its inputs'. */
    private static Figure banded(Figure f, Band band) {
        return new Figure(f.id(), f.label(), band, f.unit(), f.origin(), f.working());
    }

    @Override
    public List<Figure> figures() {
        List<Figure> all = new ArrayList<>(parts);
        all.add(mass);
        all.addAll(standShares);
        carbonToNitrogen.ifPresent(all::add);
        all.addAll(working);
        all.addAll(aims.values());
        return all;
    }
}
