package app.etlo.core.ground;

import app.etlo.core.field.SoilProfile;
import app.etlo.core.weather.Climate;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;

/** Ground under short grass of the places and soils looked at last, so that it is played once for each. */
public final class GrassGrounds {
    private static final int KEPT = 40;

    private record Key(Climate climate, SoilProfile profile, double scale) {}

    private final Cache<Key, GrassGround> kept =
            Caffeine.newBuilder().maximumSize(KEPT).build();

    /**
     * @param scale factor on the reference evapotranspiration
     */
    public GrassGround of(Climate climate, SoilProfile profile, double scale) {
        return kept.get(new Key(climate, profile, scale), k -> GrassGround.of(k.climate(), k.profile(), k.scale()));
    }
}
