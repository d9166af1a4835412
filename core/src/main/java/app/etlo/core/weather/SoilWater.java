package app.etlo.core.weather;

import app.etlo.core.field.SoilProfile;
import app.etlo.core.field.SoilWaterLimits.Limits;
import java.util.function.IntFunction;

/**
 * A daily balance of water in the root zone and in the layer from which the surface dries, after the dual crop coefficient of
 * FAO-56, chapter 7 (Allen and others 1998; from memory): evaporation from the top 10 cm falls with its depletion, water use
 * of plants falls when more than half of what the roots can reach is gone, what is above field capacity drains within the
 * day. Heavy rain runs off by a simple rule of Etlo's own. Mulch lowers evaporation by 5 % for each 10 % of ground it covers
 * (chapter 10), by half at most.
 */
public final class SoilWater {
    private static final double TOP_M = 0.1;
    private static final double READILY_EVAPORABLE_MM = 8;
    private static final double MOST_COEFFICIENT = 1.2;
    /** Share of the available water that can go before plants lack it. */
    private static final double READILY_AVAILABLE = 0.5;
    /** Of a day's rain above this, a part runs off. */
    private static final double SOAKS_MM = 30;

    private static final double RUNS_OFF = 0.4;
    private static final double MULCH_SPARES = 0.5;

    private final double availableMm;
    private final double rootedM;
    private final double evaporableMm;
    private final double topHeldMm;
    private double depletionMm;
    private double topDepletionMm;

    /** A soil at field capacity. */
    public SoilWater(SoilProfile profile) {
        this(profile, 1);
    }

    /**
     * @param share of the available water that is there at the start, 0 to 1
     */
    public SoilWater(SoilProfile profile, double share) {
        Limits top = profile.layers().get(0).limits();
        this.availableMm = profile.availableMm();
        this.rootedM = Math.max(TOP_M, profile.rootingM());
        this.evaporableMm = 1000 * (top.fieldCapacity() - 0.5 * top.wiltingPoint()) * TOP_M;
        this.topHeldMm = 1000 * top.fieldCapacity() * TOP_M;
        this.depletionMm = availableMm * (1 - share);
        this.topDepletionMm = Math.min(evaporableMm, depletionMm);
    }

    /** What a day did with the water, mm. */
    public record Day(
            double rainMm, double runoffMm, double drainageMm, double evaporationMm, double transpirationMm) {}

    /** One day: rain soaks in, the rest drains, then plants and the surface draw; plants draw from the top layer too. */
    public Day pass(double rainMm, double et0Mm, WaterUse use) {
        double runoff = Math.max(0, rainMm - SOAKS_MM) * RUNS_OFF;
        double in = rainMm - runoff;
        double drainage = Math.max(0, in - depletionMm);
        depletionMm = Math.max(0, depletionMm - in);
        topDepletionMm = Math.max(0, topDepletionMm - in);
        double wet = topDepletionMm <= READILY_EVAPORABLE_MM
                ? 1
                : Math.max(0, (evaporableMm - topDepletionMm) / Math.max(1e-9, evaporableMm - READILY_EVAPORABLE_MM));
        double exposed = 1 - use.shade();
        double soil = Math.min(wet * (MOST_COEFFICIENT - use.basalCoefficient()), exposed * MOST_COEFFICIENT)
                * (1 - MULCH_SPARES * use.mulch());
        double evaporation = Math.max(0, Math.min(soil * et0Mm, evaporableMm - topDepletionMm));
        evaporation = Math.min(evaporation, availableMm - depletionMm);
        double left = availableMm - depletionMm;
        double stress = Math.min(1, left / Math.max(1e-9, availableMm * (1 - READILY_AVAILABLE)));
        double transpiration = Math.min(stress * use.basalCoefficient() * et0Mm, left - evaporation);
        topDepletionMm = Math.min(evaporableMm, topDepletionMm + evaporation + fromTop(transpiration));
        depletionMm += evaporation + transpiration;
        return new Day(rainMm, runoff, drainage, evaporation, transpiration);
    }

    /**
     * The share of what plants draw that comes from the top layer: by its part of the roots' depth, and less as it dries sooner than
     * what lies below (Allen and others 2005, Journal of Irrigation and Drainage Engineering 131:2; from memory).
     */
    private double fromTop(double transpiration) {
        double below = Math.max(1e-9, 1 - depletionMm / Math.max(1e-9, availableMm));
        double wetter = Math.min(1, Math.max(0, 1 - topDepletionMm / evaporableMm) / below);
        return transpiration * wetter * Math.pow(Math.min(1, TOP_M / rootedM), 0.6);
    }

    /** Water plants can still draw, mm. */
    public double availableMm() {
        return availableMm - depletionMm;
    }

    /** Water in the top 10 cm over what they hold at field capacity, 0 to 1. */
    public double topShare() {
        return 1 - topDepletionMm / topHeldMm;
    }

    /** The balance of one year ahead, day by day. */
    public static final class Course {
        private final double[] availableMm;
        private final double[] topShare;

        private Course(int days) {
            availableMm = new double[days];
            topShare = new double[days];
        }

        /** At the end of a day. */
        public double availableMm(int day) {
            return availableMm[day];
        }

        public double topShare(int day) {
            return topShare[day];
        }
    }

    /**
     * Plays one member of the years ahead from field capacity.
     *
     * @param scale factor on the reference evapotranspiration for a windy or humid place
     */
    public static Course course(
            SoilProfile profile, YearsAhead years, int member, IntFunction<WaterUse> use, double scale) {
        SoilWater soil = new SoilWater(profile);
        Course course = new Course(years.days());
        for (int d = 0; d < years.days(); d++) {
            soil.pass(years.rainMm(member, d), years.et0Mm(member, d) * scale, use.apply(d));
            course.availableMm[d] = soil.availableMm();
            course.topShare[d] = soil.topShare();
        }
        return course;
    }
}
