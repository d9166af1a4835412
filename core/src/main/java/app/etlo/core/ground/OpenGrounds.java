package app.etlo.core.ground;

import app.etlo.core.field.SoilProfile;
import app.etlo.core.weather.Climate;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;

/** Bare ground of the places and soils looked at last, so that it is played once for each. */
public final class OpenGrounds {
    private static final int KEPT = 40;

    private record Key(Climate climate, SoilProfile profile, double scale) {}

    private final Cache<Key, OpenGround> kept =
            Caffeine.newBuilder().maximumSize(KEPT).build();

    /**
     * @param scale factor on the reference evapotranspiration
     */
    public OpenGround of(Climate climate, SoilProfile profile, double scale) {
        return kept.get(new Key(climate, profile, scale), k -> OpenGround.of(k.climate(), k.profile(), k.scale()));
    }
}
