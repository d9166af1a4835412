package app.etlo.core.ground;

import app.etlo.core.field.SoilProfile;
import app.etlo.core.weather.BareGround;
import app.etlo.core.weather.Climate;
import app.etlo.core.weather.WeatherSeries;
import app.etlo.core.weather.Workability;
import java.util.Arrays;
import java.util.List;

/**
 * Bare ground under a record of the weather, day by day, by the processes that grow every plan: how warm it is, how wet on top, how
 * much snow lies on it. Days fit for work are counted on it, whatever is planned, so that a place has one number of them. Days that the
 * record does not know are NaN.
 */
public final class OpenGround implements BareGround {
    private final float[] soilC;
    private final float[] snowMm;
    private final float[] topShare;

    private OpenGround(int days) {
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
    public static OpenGround of(Climate climate, SoilProfile profile, double scale) {
        WeatherSeries s = climate.series();
        OpenGround open = new OpenGround(s.days());
        GroundSoil soil = GroundSoil.of(profile);
        GroundLoop loop =
                new GroundLoop(new GroundScript(soil, List.of(), List.of()), GroundWeather.of(climate, scale));
        GroundState state = new GroundState(soil, new GroundPlant[0]);
        int from = 0;
        while (from < s.days()) {
            int to = from;
            while (to < s.days() && s.isKnown(to)) {
                to++;
            }
            loop.play(0, from, to, state, open::write);
            from = to + 1;
        }
        return open;
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
