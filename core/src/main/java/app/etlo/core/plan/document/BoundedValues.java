package app.etlo.core.plan.document;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.databind.DeserializationContext;
import com.fasterxml.jackson.databind.JsonDeserializer;
import com.fasterxml.jackson.databind.JsonMappingException;
import com.fasterxml.jackson.databind.exc.InvalidFormatException;
import com.fasterxml.jackson.databind.module.SimpleModule;
import java.io.IOException;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.Locale;

/**
 * How numbers and days are read from JSON, in documents and in requests alike: numbers are finite and written as numbers, days lie
 * in the years that a plan or a record can be about.
 */
public final class BoundedValues extends SimpleModule {
    private static final long serialVersionUID = 1L;
    private static final int FIRST_YEAR = 1800;
    private static final int LAST_YEAR = 2399;
    private static final String WHICH_DAYS =
            "a date of the years " + FIRST_YEAR + " to " + LAST_YEAR + ", such as 2027-05-12";

    public BoundedValues() {
        super("bounded-values");
        addDeserializer(Double.class, new FiniteNumber(false));
        addDeserializer(double.class, new FiniteNumber(true));
        addDeserializer(LocalDate.class, new Day());
    }

    /**
     * The day in a text.
     *
     * @throws IllegalArgumentException when it is none, or too far away for any plan
     */
    public static LocalDate day(String text) {
        try {
            LocalDate day = LocalDate.parse(text);
            if (day.getYear() >= FIRST_YEAR && day.getYear() <= LAST_YEAR) {
                return day;
            }
        } catch (DateTimeException e) {
            throw new IllegalArgumentException(WHICH_DAYS, e);
        }
        throw new IllegalArgumentException(WHICH_DAYS);
    }

    private static final class FiniteNumber extends JsonDeserializer<Double> {
        private final boolean needed;

        FiniteNumber(boolean needed) {
            this.needed = needed;
        }

        @Override
        public Double deserialize(JsonParser parser, DeserializationContext context) throws IOException {
            JsonToken token = parser.currentToken();
            if (token == JsonToken.VALUE_NUMBER_INT || token == JsonToken.VALUE_NUMBER_FLOAT) {
                double value = parser.getDoubleValue();
                if (Double.isFinite(value)) {
                    return value;
                }
            }
            throw InvalidFormatException.from(
                    parser, "not a number that fits here", shortened(parser.getText()), Double.class);
        }

        @Override
        public Double getNullValue(DeserializationContext context) throws JsonMappingException {
            return needed ? context.reportInputMismatch(Double.TYPE, "a number is missing") : null;
        }

        private static String shortened(String text) {
            return text.length() <= 40 ? text : text.substring(0, 40).toLowerCase(Locale.ROOT);
        }
    }

    private static final class Day extends JsonDeserializer<LocalDate> {
        @Override
        public LocalDate deserialize(JsonParser parser, DeserializationContext context) throws IOException {
            String text = parser.getText();
            try {
                if (parser.currentToken() == JsonToken.VALUE_STRING) {
                    return day(text);
                }
            } catch (IllegalArgumentException e) {
                throw unreadable(parser, text);
            }
            throw unreadable(parser, text);
        }

        private static InvalidFormatException unreadable(JsonParser parser, String text) {
            return InvalidFormatException.from(parser, WHICH_DAYS, text, LocalDate.class);
        }
    }
}
