package app.etlo.core.ground;

/**
 * A crop that the simulation does not bring to a harvest.
 *
 * @param tHa dry tops at harvest, the middle of the years
 * @param leastTHa that its lowest usual yield stands on
 * @param cause what is likely behind it
 * @param value the size of the cause: kg/ha of cover alive beside it, or mm of water left
 */
public record CropFailure(double tHa, double leastTHa, Cause cause, double value) {
    /** What is likely behind it. */
    public enum Cause {
        /** It does not come up in most years. */
        NOT_UP,
        /** Tops of a cover stand beside the young crop. */
        COVER_ALIVE,
        /** The soil has hardly any water that it could draw. */
        NO_WATER,
        /** Frost ends it before it is ripe in most years. */
        FROST,
        /** Its days, warmth or nitrogen. */
        OTHER
    }
}
