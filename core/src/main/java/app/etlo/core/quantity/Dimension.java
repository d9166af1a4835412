package app.etlo.core.quantity;

/** What a unit measures; only units of one dimension can be converted into each other. */
public enum Dimension {
    AREA,
    LENGTH,
    MASS,
    VOLUME,
    MASS_PER_AREA,
    VOLUME_PER_AREA,
    GRAIN_VOLUME_PER_AREA,
    COUNT_PER_AREA,
    COUNT_PER_MASS,
    MASS_PER_VOLUME,
    NITROGEN_PER_YIELD,
    NITROGEN_PER_GRAIN_VOLUME,
    SPEED,
    SHARE,
    MONEY,
    MONEY_PER_AREA,
    MONEY_PER_MASS,
    TIME,
    TEMPERATURE,
    WARMTH,
    PRESSURE,
    AREA_PER_TIME,
    DATE,
    COUNT,
    RATING
}
