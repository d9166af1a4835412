package app.etlo.core.weather;

/** Bare ground under the record of a climate, day by day of the record. */
public interface BareGround {
    /** Temperature of the soil at 5 to 10 cm, °C; NaN on a day that the record does not know. */
    double soilC(int i);

    /**
     * Whether a day can be worked.
     *
     * @param rainMm of the day, where a forecast knows better than the record
     */
    boolean allows(Workability work, int i, double rainMm);
}
