package app.etlo.core.mix;

import app.etlo.core.mix.MixForecast.Sown;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import app.etlo.core.weather.Percentiles;
import app.etlo.core.working.About;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a mix grows into and delivers, as simulated. The whole is the middle of the weather years; each species has its middle share of
 * it, so that the lines add up.
 *
 * @param mass of the whole, t/ha
 * @param parts dry tops by species, t/ha, in the order of the mix
 * @param standShares share of the whole, %
 * @param carbonToNitrogen of the whole
 * @param aims what the whole delivers, by aim
 */
public record MixOutlook(
        SeasonGrowth growth,
        Figure mass,
        List<Figure> parts,
        List<Figure> standShares,
        Optional<Figure> carbonToNitrogen,
        Map<String, Figure> aims,
        List<Figure> working)
        implements Figured {
    private static final Source SIMULATED = Source.own("the ground simulation: docs/simulation.md");
    private static final Formula SHARE = Formula.of("Share of the whole", "share", SIMULATED, "share")
            .remarking("The middle of its shares in all weather years, scaled so that the species sum to 100 %.");
    private static final Formula PART =
            Formula.of("Its share of what is simulated", "whole * share / 100", SIMULATED, "whole", "share");
    private static final Formula CN = Formula.of(
            "C:N of the mix",
            "carbon / nitrogen",
            Source.fromMemory("carbon is 42 to 45 % of dry matter"),
            "carbon",
            "nitrogen");
    private static final String MIDDLE = "simulated, the middle of the weather years";

    /**
     * The outlook of a mix; empty when no species has a rate or none grows in the middle of the years.
     *
     * @param prefix of the figures' ids, {@code mix/<cover>}
     * @param subject what the figures are of: the cover
     */
    public static Optional<MixOutlook> of(
            String prefix, String subject, List<Sown> mix, MixForecast forecast, MixPlace place) {
        if (mix.isEmpty()) {
            return Optional.empty();
        }
        SeasonGrowth growth = forecast.grow(mix);
        double[] whole = growth.massKgHa();
        double middle = Percentiles.of(whole).at(0.5);
        return middle > 0
                ? Optional.of(new Outlook(prefix, subject, growth, forecast, place, whole, middle).worked())
                : Optional.empty();
    }

    private record Outlook(
            String prefix,
            String subject,
            SeasonGrowth growth,
            MixForecast forecast,
            MixPlace place,
            double[] wholeKgHa,
            double middleKgHa) {

        MixOutlook worked() {
            String when = growth.byWinter() ? " before winter ends it" : " when it ends";
            double[] share = growth.shares();
            List<Figure> shares = new ArrayList<>();
            List<Figure> parts = new ArrayList<>();
            List<Input> lines = new ArrayList<>();
            for (int i = 0; i < share.length; i++) {
                shares.add(share(i, share[i]));
                parts.add(part(i, shares.get(i), when));
                lines.add(exactly("s" + (i + 1), parts.get(i), parts.get(i).unit()));
            }
            Figure mass = banded(
                            Formula.sum("Dry tops of the mix", lines.size())
                                    .remarking(
                                            "The middle of the weather years, by species; the band is that of all years and of the simulation's own error.")
                                    .figure(prefix + "/mass", "Dry tops of the mix" + when, Unit.T_PER_HA, lines),
                            wholeKgHa,
                            1e-3)
                    .about(About.tops(subject, end()));
            List<Figure> working = new ArrayList<>();
            Map<String, Figure> aims = new LinkedHashMap<>();
            place.aims().stream().filter(AimDelivery::measures).forEach(a -> aims.put(a, aim(a, working)));
            return new MixOutlook(growth, mass, parts, shares, carbonToNitrogen(), aims, working);
        }

        private LocalDate end() {
            return forecast.season().end();
        }

        private String of(int i) {
            return prefix + "/" + growth.species().get(i).species().id();
        }

        private Figure share(int i, double share) {
            return SHARE.figure(
                    of(i) + "/standShare",
                    "Share of the dry tops",
                    Unit.PERCENT,
                    Input.of("share", "Share of the dry tops", share * 100, Unit.PERCENT, Origin.FORECAST, MIDDLE));
        }

        private Figure part(int i, Figure share, String when) {
            Figure f = PART.figure(
                    of(i) + "/mass",
                    "Dry tops, " + growth.species().get(i).species().name() + when,
                    Unit.T_PER_HA,
                    Input.of(
                            "whole",
                            "Dry tops of all species",
                            middleKgHa / 1000,
                            Unit.T_PER_HA,
                            Origin.FORECAST,
                            MIDDLE),
                    exactly("share", share, Unit.PERCENT));
            return banded(f, growth.massKgHa(i), 1e-3)
                    .about(About.tops(
                            subject + "/" + growth.species().get(i).species().id(), end()));
        }

        private Optional<Figure> carbonToNitrogen() {
            double n = growth.nitrogenShare();
            return n <= 0
                    ? Optional.empty()
                    : Optional.of(CN.figure(
                                    prefix + "/cn",
                                    growth.byWinter()
                                            ? "C:N of the mix before winter ends it"
                                            : "C:N of the mix when it ends",
                                    Unit.FRACTION,
                                    Input.of(
                                            "carbon",
                                            "Carbon in the dry tops",
                                            Prospect.CARBON_SHARE * 100,
                                            Unit.PERCENT,
                                            Origin.LIBRARY,
                                            "42 to 45 % in published tables"),
                                    Input.of(
                                            "nitrogen",
                                            "Nitrogen in the dry tops",
                                            n * 100,
                                            Unit.PERCENT,
                                            Origin.FORECAST,
                                            MIDDLE))
                            .about(About.carbonToNitrogen(subject, end())));
        }

        /** The sum of what each species delivers; its band is that of the masses, in proportion. */
        private Figure aim(String aim, List<Figure> working) {
            AimDelivery delivery = new AimDelivery(place);
            double grown = Percentiles.of(growth.grownKgHa()).at(0.5);
            List<Input> each = new ArrayList<>();
            double[] years = new double[wholeKgHa.length];
            for (int i = 0; i < growth.species().size(); i++) {
                double[] counted = AimDelivery.counted(aim, growth, i);
                double kgHa = Percentiles.of(counted).at(0.5);
                Prospect p = growth.species().get(i);
                Figure f = delivery.figure(
                        of(i) + "/aim/" + aim,
                        aim,
                        p,
                        Input.of("mass", "Dry tops that count", kgHa, Unit.KG_PER_HA, Origin.FORECAST, MIDDLE),
                        grown);
                working.add(f);
                each.add(exactly("s" + (i + 1), f, f.unit()));
                double perKg = kgHa > 0 ? f.middle() / kgHa : 0;
                for (int y = 0; y < years.length; y++) {
                    years[y] += perKg * counted[y];
                }
            }
            Figure f = Formula.sum(AimDelivery.label(aim), each.size())
                    .remarking("The band is that of the masses in all years, in proportion.")
                    .figure(
                            prefix + "/aim/" + aim,
                            AimDelivery.label(aim) + ", whole mix",
                            AimDelivery.unit(aim),
                            each);
            return f.banded(
                    AimDelivery.isOfMass(aim)
                            ? forecast.widened(around(years, f.middle()))
                            : around(years, f.middle()));
        }

        private Figure banded(Figure f, double[] yearsKgHa, double factor) {
            double[] years = Arrays.stream(yearsKgHa).map(v -> v * factor).toArray();
            return f.banded(forecast.widened(around(years, f.middle())));
        }
    }

    private static Band around(double[] years, double middle) {
        Percentiles p = Percentiles.of(years);
        return new Band(Math.min(p.at(0.1), middle), middle, Math.max(p.at(0.9), middle));
    }

    private static Input exactly(String symbol, Figure f, Unit unit) {
        return new Input(
                symbol,
                f.label(),
                Band.exactly(f.unit().to(unit, f.middle())),
                unit,
                f.origin(),
                "computed, the middle of its band",
                Optional.of(f.id()));
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
