package app.etlo.core.mix;

import app.etlo.core.mix.FitnessRule.Case;
import java.util.Optional;

/** Words and bounds that the reasons share. */
final class Reasons {
    /** It must do in so many of the years. */
    static final double SOME_YEARS = 0.2;

    private Reasons() {}

    static Optional<String> when(boolean so, String text) {
        return so ? Optional.of(text) : Optional.empty();
    }

    static String years(double share) {
        long of10 = Math.round(share * 10);
        return of10 == 0
                ? "hardly any year"
                : of10 == 10 ? "nearly every year" : of10 + (of10 == 1 ? " year in 10" : " years in 10");
    }

    /** In so few years. */
    static String inOnly(double share) {
        return (Math.round(share * 10) == 0 ? "in " : "in only ") + years(share);
    }

    static boolean byWinter(Case c) {
        return c.place().end().filter(e -> e.method().isWinter()).isPresent();
    }
}
