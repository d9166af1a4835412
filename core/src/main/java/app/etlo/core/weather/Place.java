package app.etlo.core.weather;

/**
 * Where weather was measured.
 *
 * @param latitude degrees, north above 0
 * @param elevationM above the sea
 * @param coastal whether large water governs the air
 */
public record Place(double latitude, double elevationM, boolean coastal) {
    public boolean isSouthern() {
        return latitude < 0;
    }
}
