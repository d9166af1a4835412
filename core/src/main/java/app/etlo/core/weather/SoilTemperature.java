package app.etlo.core.weather;

/**
 * Temperature of the soil at 5 to 10 cm from that of the air: it follows an eleven-day mean of the air by a quarter of the
 * difference a day; leaves and residue hold back warming, snow holds back both. After Zheng, Hunt and Running 1993 (Climate
 * Research 2:183; from memory); the insulation by snow is Etlo's own simple rule.
 */
public final class SoilTemperature {
    private static final int RUNNING_DAYS = 11;
    private static final double FOLLOWS = 0.25;
    private static final double EXTINCTION = 0.5;
    /** Under snow the soil follows this much more slowly. */
    private static final double UNDER_SNOW = 0.15;

    private static final double SNOW_THAT_INSULATES_CM = 5;

    private SoilTemperature() {}

    /**
     * Daily soil temperature, °C; NaN from a missing day until a mean is known again.
     *
     * @param shade leaf area, m2/m2, through which warming reaches the soil; 0 for bare ground
     */
    public static double[] of(WeatherSeries weather, double[] snowCm, double shade) {
        int n = weather.days();
        double[] soil = new double[n];
        double last = Double.NaN;
        double sum = 0;
        int known = 0;
        for (int i = 0; i < n; i++) {
            if (weather.isKnown(i)) {
                sum += weather.meanC(i);
                known++;
            }
            if (i >= RUNNING_DAYS && weather.isKnown(i - RUNNING_DAYS)) {
                sum -= weather.meanC(i - RUNNING_DAYS);
                known--;
            }
            double air = known == 0 ? Double.NaN : sum / known;
            if (Double.isNaN(last)) {
                last = Double.isNaN(air) ? Double.NaN : Math.max(air, 0);
            } else if (!Double.isNaN(air)) {
                double through = air > last ? Math.exp(-EXTINCTION * shade) : 1;
                double snow = snowCm[i] >= SNOW_THAT_INSULATES_CM ? UNDER_SNOW : 1;
                last += (air - last) * FOLLOWS * through * snow;
            }
            soil[i] = last;
        }
        return soil;
    }
}
