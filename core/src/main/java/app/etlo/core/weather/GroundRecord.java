package app.etlo.core.weather;

/** Ground as it was through the record of a climate, day by day of the record. */
public interface GroundRecord {
    /** Temperature of bare soil at 5 to 10 cm, °C; NaN on a day that the record does not know. */
    double soilC(int i);

    /**
     * Whether a day can be worked.
     *
     * @param rainMm of the day, where a forecast knows better than the record
     */
    boolean allows(Workability work, int i, double rainMm);
}
