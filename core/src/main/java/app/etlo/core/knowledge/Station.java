package app.etlo.core.knowledge;

import app.etlo.core.working.Source;
import java.util.List;

/**
 * An invented weather station, described by its normals; years are made from them by a seeded generator.
 *
 * @param climate in words, such as humid continental
 * @param latitude degrees, north above 0
 * @param wetPersistence how much likelier than its share a wet day is after a wet day, 0 to 1
 * @param rainShape shape of the gamma distribution of a wet day's rain
 * @param months January to December
 */
public record Station(
        String id,
        String name,
        String climate,
        double latitude,
        double elevationM,
        boolean coastal,
        double wetPersistence,
        double rainShape,
        List<Month> months,
        Source source) {
    public Station {
        months = List.copyOf(months);
    }

    /**
     * @param tminC mean of the nights' lowest, °C
     * @param tmaxC mean of the days' highest, °C
     * @param rainMm mean precipitation of the month, mm
     * @param wetDays days with precipitation
     * @param daySdC standard deviation of a day's temperature within a month
     * @param yearSdC standard deviation of the month's mean temperature from year to year
     * @param rainCv standard deviation of the month's rain from year to year over its mean
     */
    public record Month(
            double tminC, double tmaxC, double rainMm, double wetDays, double daySdC, double yearSdC, double rainCv) {
        public double meanC() {
            return (tminC + tmaxC) / 2;
        }
    }
}
