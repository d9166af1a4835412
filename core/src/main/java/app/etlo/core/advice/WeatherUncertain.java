package app.etlo.core.advice;

import app.etlo.core.working.Source;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The weather behind the figures stands on little. */
final class WeatherUncertain extends Judgement {
    private static final int FULL_RECORD = 30;
    private static final double POLAR = 66.5;

    WeatherUncertain() {
        super(
                "weather-uncertain",
                Weight.TIP,
                Step.FIELD,
                "no station is chosen, the record is short, or the place lies beyond the polar circle",
                Source.own("thirty years are the usual length of a climate record"),
                "high");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.weather().stream().flatMap(w -> {
            if (Math.abs(w.latitude()) > POLAR) {
                return speak(
                        "The place lies beyond the polar circle, where the rules for light and frost are not made for"
                                + " farming. Take the forecasts with care.");
            }
            if (!w.chosen()) {
                return speak(
                        "No station is chosen: " + w.name()
                                + " is taken because it is nearest in latitude, which says little. Choose one, or bring a record.");
            }
            return w.years() < FULL_RECORD
                    ? speak("The record of " + w.name() + " has " + w.years() + " whole "
                            + (w.years() == 1 ? "year" : "years") + " where " + FULL_RECORD
                            + " are usual: the bands are narrower than the truth.")
                    : Stream.empty();
        });
    }

    private Stream<Note> speak(String text) {
        return Stream.of(note(
                "field", Optional.empty(), text, List.of(text), "a station of the place's climate, or its own record"));
    }
}
