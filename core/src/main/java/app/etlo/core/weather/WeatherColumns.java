package app.etlo.core.weather;

import app.etlo.core.weather.Reading.Rain;
import app.etlo.core.weather.Reading.Temperature;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * Which column of a weather file holds what. Two kinds of header are known: the names of the public GHCN-Daily files (DATE,
 * TMIN, TMAX, PRCP, SNWD, each with an _ATTRIBUTES column whose second mark is a quality flag) and plain ones that carry their
 * unit (date, tmin_c or tmin_f, prcp_mm or prcp_in, srad_mj, snow_cm).
 *
 * @param snowMm whether snow is given in millimetres
 * @param temperature the scale, where the header says it
 * @param rain the measure, where the header says it
 */
record WeatherColumns(
        int date,
        int tmin,
        int tmax,
        int rain,
        Optional<Integer> solar,
        Optional<Integer> snow,
        boolean snowMm,
        Map<Integer, Integer> flags,
        Optional<Temperature> temperature,
        Optional<Rain> measure) {

    /**
     * @throws UnreadableWeather when a column that is needed is not there
     */
    static WeatherColumns of(List<String> header) {
        Map<String, Integer> at = new HashMap<>();
        for (int i = 0; i < header.size(); i++) {
            at.putIfAbsent(header.get(i).strip().toLowerCase(Locale.ROOT), i);
        }
        Optional<Temperature> scale = at.containsKey("tmin_c") && at.containsKey("tmax_c")
                ? Optional.of(Temperature.CELSIUS)
                : at.containsKey("tmin_f") && at.containsKey("tmax_f")
                        ? Optional.of(Temperature.FAHRENHEIT)
                        : Optional.empty();
        Optional<Rain> measure = at.containsKey("prcp_mm")
                ? Optional.of(Rain.MILLIMETRE)
                : at.containsKey("prcp_in") ? Optional.of(Rain.INCH) : Optional.empty();
        List<String> lacking = new ArrayList<>();
        int date = find(at, lacking, "date");
        int tmin = find(at, lacking, "tmin", "tmin_c", "tmin_f");
        int tmax = find(at, lacking, "tmax", "tmax_c", "tmax_f");
        int rain = find(at, lacking, "prcp", "prcp_mm", "prcp_in");
        if (!lacking.isEmpty()) {
            throw new UnreadableWeather("The first line has no column " + String.join(", ", lacking)
                    + ". It holds: " + String.join(", ", header)
                    + ". A plain file begins with date,tmin_c,tmax_c,prcp_mm.");
        }
        Map<Integer, Integer> flags = new HashMap<>();
        for (String name : List.of("tmin", "tmax", "prcp", "snwd")) {
            Integer value = at.get(name);
            Integer flag = at.get(name + "_attributes");
            if (value != null && flag != null) {
                flags.put(value, flag);
            }
        }
        Optional<Integer> ghcnSnow = Optional.ofNullable(at.get("snwd"));
        return new WeatherColumns(
                date,
                tmin,
                tmax,
                rain,
                Optional.ofNullable(at.get("srad_mj")),
                ghcnSnow.or(() -> Optional.ofNullable(at.get("snow_cm"))),
                ghcnSnow.isPresent(),
                flags,
                scale,
                measure);
    }

    private static int find(Map<String, Integer> at, List<String> lacking, String... names) {
        for (String name : names) {
            if (at.containsKey(name)) {
                return at.get(name);
            }
        }
        lacking.add(names[0]);
        return -1;
    }
}
