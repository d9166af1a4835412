package app.etlo.core.mix;

import app.etlo.core.knowledge.Growth;
import app.etlo.core.knowledge.Growth.Tops;
import app.etlo.core.knowledge.Species;
import app.etlo.core.weather.DegreeDays;
import app.etlo.core.weather.YearsAhead;
import java.util.Arrays;

/**
 * What a species would do alone, at its full rate, in a season: once for every weather year. A simple forecast for
 * screening; a plan itself is simulated.
 *
 * <p>Dry tops follow the degree days after emergence by a power curve through two values of the library: 1 t/ha at the degree
 * days of the least useful stand, the full mass at flowering; after it a tenth more until seed. Drought takes off what rain,
 * soil water and the species' own tolerance leave missing. Winter kinds do not flower before some weeks of cold. It hardens by cool days and is ended by the first night colder than
 * it then bears. Etlo's own simplification; nitrogen in the soil does not limit it.
 *
 * @param massKgHa dry tops at the end, or when frost ended it, by member
 * @param alive whether it still lives at the end, by member
 * @param stage degree days over those of flowering when it ended, by member
 * @param bloomDays days in flower before the end, by member
 * @param emerges whether the soil is ever warm enough, by member
 * @param seeds whether it sheds seed that can grow before the end, by member
 */
public record Prospect(
        Species species,
        double[] massKgHa,
        boolean[] alive,
        double[] stage,
        double[] bloomDays,
        boolean[] emerges,
        boolean[] seeds) {
    private static final double USEFUL_KG_HA = 1000;
    /** Growth after flowering, as a share of the mass at flowering. */
    private static final double AFTER_FLOWERING = 0.1;
    /** A day in this span hardens; twenty of them harden fully. */
    private static final double HARDENING_LOW_C = -2;

    private static final double HARDENING_HIGH_C = 10;
    /** Cool days after which a winter kind may flower. */
    private static final int COLD_DAYS = 35;
    /** How far towards flowering it comes before them. */
    private static final double BEFORE_WINTER = 0.8;

    private static final double WARM_C = 13;
    private static final double HARDENING_DAYS = 20;
    /** Days in which a sown seed must find its temperature. */
    private static final int PATIENCE_DAYS = 40;

    public static Prospect of(Species s, MixSeason season) {
        YearsAhead years = season.years();
        int n = years.count();
        Prospect p = new Prospect(
                s, new double[n], new boolean[n], new double[n], new double[n], new boolean[n], new boolean[n]);
        double[][] warmth = years.cumulative(DegreeDays.above(s.baseC()));
        int a = years.day(season.sown());
        int b = Math.max(a, years.day(season.end()));
        for (int y = 0; y < n; y++) {
            p.play(y, years, warmth[y], a, b, season.soilWaterMm());
        }
        return p;
    }

    private void play(int y, YearsAhead years, double[] warmth, int a, int b, double soilWaterMm) {
        Growth g = species.growth();
        int start = firstWarm(y, years, a, b);
        emerges[y] = start >= 0;
        if (start < 0) {
            return;
        }
        int end = b;
        double hardened = 0;
        double stages = 0;
        int coldDays = 0;
        int bloomed = 0;
        double rain = 0;
        double demand = 0;
        for (int d = start; d < b; d++) {
            double low = years.tminC(y, d);
            double mean = (low + years.tmaxC(y, d)) / 2;
            if (mean >= HARDENING_LOW_C && mean <= HARDENING_HIGH_C) {
                hardened = Math.min(1, hardened + 1 / HARDENING_DAYS);
            } else if (mean > WARM_C) {
                hardened = Math.max(0, hardened - 2 / HARDENING_DAYS);
            }
            boolean up = warmth[d] - warmth[start] >= g.emergenceDegreeDays();
            if (up && low <= g.killTenderC() + hardened * (species.killC() - g.killTenderC())) {
                end = d;
                break;
            }
            coldDays += mean >= 0 && mean <= HARDENING_HIGH_C ? 1 : 0;
            boolean waits =
                    g.needsWinter() && coldDays < COLD_DAYS && stages >= BEFORE_WINTER * g.floweringDegreeDays();
            stages += waits ? 0 : warmth[d + 1] - warmth[d];
            bloomed += stages >= g.floweringDegreeDays() ? 1 : 0;
            rain += years.rainMm(y, d);
            demand += years.et0Mm(y, d) * Math.min(1, (warmth[d] - warmth[start]) / g.fullCoverDegreeDays());
        }
        alive[y] = end == b;
        double sum = warmth[end] - warmth[start];
        stage[y] = stages / g.floweringDegreeDays();
        seeds[y] = stages >= g.seedDegreeDays();
        bloomDays[y] = Math.min(bloomed, species.use().bloomDays());
        massKgHa[y] = unstressed(sum) * watered(rain + soilWaterMm, demand);
    }

    private int firstWarm(int y, YearsAhead years, int a, int b) {
        for (int d = a; d < Math.min(b, a + PATIENCE_DAYS); d++) {
            if (years.soilC(y, d) >= species.growth().minSoilC()) {
                return d;
            }
        }
        return -1;
    }

    /** Dry tops where nothing lacks, after so many degree days, kg/ha. */
    double unstressed(double degreeDays) {
        Growth g = species.growth();
        double full = g.massTHa().middle() * 1000;
        double emergence = g.emergenceDegreeDays();
        double x = (degreeDays - emergence) / (g.floweringDegreeDays() - emergence);
        if (x <= 0) {
            return 0;
        }
        if (x >= 1) {
            double ripening = (degreeDays - g.floweringDegreeDays()) / (g.seedDegreeDays() - g.floweringDegreeDays());
            return full * (1 + AFTER_FLOWERING * Math.min(1, ripening));
        }
        double useful = (species.usefulDegreeDays() - emergence) / (g.floweringDegreeDays() - emergence);
        double power =
                useful > 0 && useful < 1 && full > USEFUL_KG_HA ? Math.log(USEFUL_KG_HA / full) / Math.log(useful) : 1;
        return full * Math.pow(x, Math.max(0.8, Math.min(3, power)));
    }

    /** What drought leaves of the mass, 0 to 1: the whole of a shortage hurts a species that bears it poorly, half of it one that bears it well. */
    private double watered(double supplyMm, double demandMm) {
        double shortage = demandMm <= 0 ? 0 : Math.max(0, 1 - supplyMm / demandMm);
        double hurt = switch (species.site().drought()) {
            case POOR -> 1;
            case FAIR -> 0.75;
            case GOOD -> 0.5;
        };
        return 1 - hurt * shortage;
    }

    /** What its tops hold in a year, between leafy, flowering and mature by its stage there. */
    public Tops tops(int member) {
        Growth g = species.growth();
        double x = stage[member];
        if (x <= 0.5) {
            return g.leafy();
        }
        if (x <= 1) {
            return between(g.leafy(), g.flowering(), (x - 0.5) / 0.5);
        }
        double mature = g.seedDegreeDays() / g.floweringDegreeDays();
        return between(g.flowering(), g.mature(), Math.min(1, (x - 1) / (mature - 1)));
    }

    private static Tops between(Tops a, Tops b, double t) {
        return new Tops(
                a.nitrogenShare() + t * (b.nitrogenShare() - a.nitrogenShare()),
                a.carbonToNitrogen() + t * (b.carbonToNitrogen() - a.carbonToNitrogen()));
    }

    public boolean flowers(int member) {
        return stage[member] >= 1;
    }

    /** Share of the years, 0 to 1, in which something is so. */
    public static double share(boolean[] years) {
        int n = 0;
        for (boolean y : years) {
            n += y ? 1 : 0;
        }
        return years.length == 0 ? 0 : (double) n / years.length;
    }

    /** The middle of what it would weigh, kg/ha. */
    public double medianKgHa() {
        double[] sorted = massKgHa.clone();
        Arrays.sort(sorted);
        return sorted.length == 0 ? 0 : sorted[sorted.length / 2];
    }
}
