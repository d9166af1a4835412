package app.etlo.core.weather;

import app.etlo.core.quantity.DayOrder;
import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import java.util.Optional;

/** In which units a weather file is read. */
public final class Reading {
    private Reading() {}

    /** What a reader was asked and answered; what is empty is taken from the file. */
    public record Given(Optional<Temperature> temperature, Optional<Rain> rain, Optional<DayOrder> dayOrder) {
        public static final Given NOTHING = new Given(Optional.empty(), Optional.empty(), Optional.empty());
    }

    /** The scale of the temperatures. */
    public enum Temperature {
        CELSIUS("c", "°C"),
        TENTHS("tenths", "tenths of °C"),
        FAHRENHEIT("f", "°F");

        private final String id;
        private final String words;

        Temperature(String id, String words) {
            this.id = id;
            this.words = words;
        }

        @JsonValue
        public String id() {
            return id;
        }

        public String words() {
            return words;
        }

        double celsius(double v) {
            return switch (this) {
                case CELSIUS -> v;
                case TENTHS -> v / 10;
                case FAHRENHEIT -> (v - 32) / 1.8;
            };
        }

        @JsonCreator
        public static Temperature of(String id) {
            for (Temperature t : values()) {
                if (t.id.equals(id)) {
                    return t;
                }
            }
            throw new IllegalArgumentException("c, tenths or f");
        }
    }

    /** The measure of precipitation. */
    public enum Rain {
        MILLIMETRE("mm", "mm"),
        TENTHS("tenths", "tenths of mm"),
        INCH("in", "inches");

        private final String id;
        private final String words;

        Rain(String id, String words) {
            this.id = id;
            this.words = words;
        }

        @JsonValue
        public String id() {
            return id;
        }

        public String words() {
            return words;
        }

        double millimetres(double v) {
            return switch (this) {
                case MILLIMETRE -> v;
                case TENTHS -> v / 10;
                case INCH -> v * 25.4;
            };
        }

        @JsonCreator
        public static Rain of(String id) {
            for (Rain r : values()) {
                if (r.id.equals(id)) {
                    return r;
                }
            }
            throw new IllegalArgumentException("mm, tenths or in");
        }
    }
}
