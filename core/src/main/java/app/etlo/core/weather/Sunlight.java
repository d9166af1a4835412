package app.etlo.core.weather;

/**
 * What the sun sends to a place on a day of the year, by FAO Irrigation and Drainage Paper 56 (Allen and others 1998), chapter
 * 3: equations 21 to 25 for extraterrestrial radiation, 34 for day length, 37 for a clear sky, 50 for cloudy ones by the
 * span of temperature. From memory, checked in the tests against the paper's examples as remembered and against a
 * derivation by numerical integration of the sun's height.
 */
public final class Sunlight {
    /** MJ/m2/min. */
    private static final double SOLAR_CONSTANT = 0.0820;

    private Sunlight() {}

    /** Declination of the sun, rad. */
    static double declination(int dayOfYear) {
        return 0.409 * Math.sin(2 * Math.PI / 365 * dayOfYear - 1.39);
    }

    /** Sunset hour angle, rad; 0 in polar night, pi in polar day. */
    static double sunsetAngle(double latitude, int dayOfYear) {
        double x = -Math.tan(Math.toRadians(latitude)) * Math.tan(declination(dayOfYear));
        return Math.acos(Math.max(-1, Math.min(1, x)));
    }

    /** Hours from sunrise to sunset, 0 to 24. */
    public static double dayLengthH(double latitude, int dayOfYear) {
        return 24 / Math.PI * sunsetAngle(latitude, dayOfYear);
    }

    /**
     * Radiation on a level surface above the air, MJ/m2/day.
     *
     * @param latitude degrees, north above 0
     * @param dayOfYear 1 to 366
     */
    public static double extraterrestrialMj(double latitude, int dayOfYear) {
        double phi = Math.toRadians(latitude);
        double delta = declination(dayOfYear);
        double ws = sunsetAngle(latitude, dayOfYear);
        double nearness = 1 + 0.033 * Math.cos(2 * Math.PI / 365 * dayOfYear);
        double ra = 24
                * 60
                / Math.PI
                * SOLAR_CONSTANT
                * nearness
                * (ws * Math.sin(phi) * Math.sin(delta) + Math.cos(phi) * Math.cos(delta) * Math.sin(ws));
        return Math.max(0, ra);
    }

    /** What a clear sky lets through, MJ/m2/day. */
    public static double clearSkyMj(double extraterrestrialMj, double elevationM) {
        return (0.75 + 2e-5 * elevationM) * extraterrestrialMj;
    }

    /**
     * Radiation where none is measured, by Hargreaves' square root of the day's span of temperature, MJ/m2/day; never more
     * than a clear sky lets through.
     *
     * @param coastal 0.19 instead of 0.16 where large water governs the air
     */
    public static double fromSpanMj(
            double tminC, double tmaxC, double extraterrestrialMj, boolean coastal, double elevationM) {
        double k = coastal ? 0.19 : 0.16;
        double rs = k * Math.sqrt(Math.max(0, tmaxC - tminC)) * extraterrestrialMj;
        return Math.min(rs, clearSkyMj(extraterrestrialMj, elevationM));
    }

    /**
     * Reference evapotranspiration by Hargreaves and Samani (FAO-56 equation 52), mm/day, never below 0. Meant for spans of
     * five days and more; high in humid, low in windy places, 15 to 25 %.
     */
    public static double referenceEvapotranspirationMm(double tminC, double tmaxC, double extraterrestrialMj) {
        double mean = (tminC + tmaxC) / 2;
        return Math.max(0, 0.0023 * (mean + 17.8) * Math.sqrt(Math.max(0, tmaxC - tminC)) * 0.408 * extraterrestrialMj);
    }
}
