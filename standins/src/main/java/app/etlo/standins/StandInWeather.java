package app.etlo.standins;

import app.etlo.core.field.SoilProfile;
import app.etlo.core.ground.GrassGrounds;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.KnowledgeLoader;
import app.etlo.core.knowledge.Station;
import app.etlo.core.plan.timeline.Climates;
import app.etlo.core.weather.Climate;
import app.etlo.core.weather.WeatherSeries;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;

/**
 * What the stand-ins know of the weather: that of the invented station nearest in latitude, told ahead with an error that grows
 * with every day, the same for the same place and day of issue.
 */
final class StandInWeather {
    static final int DAYS = 10;
    private static final double FIRST_ERROR_C = 0.6;
    private static final double ERROR_A_DAY_C = 0.35;

    private final Knowledge knowledge = KnowledgeLoader.shipped();
    private final Climates climates = new Climates(knowledge);
    private final GrassGrounds grass = new GrassGrounds();

    record Day(LocalDate date, double tminC, double tmaxC, double prcpMm) {}

    private Climate climate(double latitude, LocalDate on) {
        Station nearest = knowledge.stations().all().stream()
                .min(Comparator.comparingDouble(s -> Math.abs(s.latitude() - latitude)))
                .orElseThrow();
        return climates.station(nearest, on);
    }

    /** The next days from one on. */
    List<Day> forecast(double latitude, double longitude, LocalDate from) {
        Random random =
                new Random((Double.hashCode(latitude) * 31L + Double.hashCode(longitude)) * 31 + from.toEpochDay());
        List<Day> days = new ArrayList<>();
        double error = 0;
        for (int i = 0; i < DAYS; i++) {
            LocalDate day = from.plusDays(i);
            WeatherSeries truth = climate(latitude, day).series();
            int at = truth.index(day);
            error = 0.7 * error + random.nextGaussian() * (FIRST_ERROR_C + ERROR_A_DAY_C * i) * 0.7;
            double blur = Math.exp(random.nextGaussian() * 0.12 * i);
            double low = truth.tminC(at) + error;
            days.add(new Day(
                    day,
                    tenths(low),
                    tenths(Math.max(low + 0.5, truth.tmaxC(at) + error)),
                    tenths(truth.rainMm(at) * Math.min(4, blur))));
        }
        return days;
    }

    /** Soil temperature at 5 cm on a day. */
    double soilC(double latitude, LocalDate on) {
        Climate climate = climate(latitude, on);
        return tenths(
                grass.of(climate, SoilProfile.usual(), 1).soilC(climate.series().index(on)));
    }

    private static double tenths(double v) {
        return Math.rint(v * 10) / 10;
    }
}
