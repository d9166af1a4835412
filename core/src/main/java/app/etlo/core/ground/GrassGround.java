package app.etlo.core.ground;

import app.etlo.core.field.SoilProfile;
import app.etlo.core.weather.Climate;
import app.etlo.core.weather.GroundRecord;
import app.etlo.core.weather.WeatherSeries;
import app.etlo.core.weather.Workability;
import java.util.Arrays;

/**
 * Ground under short grass through a record of the weather, day by day, by the processes that every plan goes through: how wet it is on
 * top, how much snow lies on it, how warm it would be without the grass. Days fit for work are counted on it, whatever is planned, so that
 * a place has one number of them. Days that the record does not know are NaN.
 */
public final class GrassGround implements GroundRecord {
    /** Share of the ground that short grass or weeds shade, and how deep they root, m: FAO-56's own surface, a little thinner. */
    private static final double COVER = 0.75;

    private static final double ROOTS_M = 0.6;

    private final float[] soilC;
    private final float[] snowMm;
    private final float[] topShare;

    private GrassGround(int days) {
        this.soilC = unknown(days);
        this.snowMm = unknown(days);
        this.topShare = unknown(days);
    }

    private static float[] unknown(int n) {
        float[] all = new float[n];
        Arrays.fill(all, Float.NaN);
        return all;
    }

    /**
     * @param scale factor on the reference evapotranspiration for a windy or humid place
     */
    public static GrassGround of(Climate climate, SoilProfile profile, double scale) {
        WeatherSeries s = climate.series();
        GrassGround grass = new GrassGround(s.days());
        GroundSoil soil = GroundSoil.of(profile);
        GroundWeather weather = GroundWeather.of(climate, scale);
        GroundState state = new GroundState(soil, new GroundPlant[1]);
        state.join(0);
        state.root[0] = ROOTS_M;
        state.light[0] = 1;
        for (int d = 0; d < s.days(); d++) {
            if (s.isKnown(d)) {
                weather.on(0, d, state);
                double arrivingMm = Snow.pass(state);
                SoilWarmth.pass(state);
                WaterFlow.pass(state, arrivingMm, COVER);
                grass.write(state);
            }
        }
        return grass;
    }

    private void write(GroundState s) {
        soilC[s.day] = (float) s.soilC;
        snowMm[s.day] = (float) s.lyingSnowMm();
        topShare[s.day] = (float) (s.waterMm[0] / s.soil.capacityMm[0]);
    }

    @Override
    public double soilC(int i) {
        return soilC[i];
    }

    /** Water in the top 10 cm over what they hold at field capacity; above 1 when wetter. */
    public double topShare(int i) {
        return topShare[i];
    }

    @Override
    public boolean allows(Workability work, int i, double rainMm) {
        return work.allows(topShare[i], rainMm, snowMm[i], soilC[i]);
    }
}
