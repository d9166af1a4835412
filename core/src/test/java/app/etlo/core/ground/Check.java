package app.etlo.core.ground;

import java.util.List;
import java.util.Locale;
import java.util.function.Supplier;
import java.util.stream.Stream;

/**
 * What is expected of the simulation in matching climates, and what it gives. Expectations are common practice and extension tables,
 * from memory, where no other source stands. Those that numbers were tuned on are marked; the others were never tuned on.
 */
record Check(String what, String unit, double low, double high, boolean tuned, String source, Supplier<Double> given) {
    private static final String PRACTICE = "common practice and extension tables";

    static List<Check> all() {
        return Stream.of(
                        RyeChecks.all(),
                        MixChecks.all(),
                        WinterChecks.all(),
                        LegumeChecks.all(),
                        FastChecks.all(),
                        CropChecks.all(),
                        ResidueChecks.all(),
                        NitrogenChecks.all(),
                        WaterChecks.all(),
                        FreshChecks.all())
                .flatMap(List::stream)
                .toList();
    }

    boolean holds() {
        double v = given.get();
        return v >= low && v <= high;
    }

    /** Outside its range by more than half of the nearer bound. */
    boolean isFarOff() {
        double v = given.get();
        return v < low * 0.5 || v > high * 1.5;
    }

    String row() {
        double v = given.get();
        String form = Math.abs(high) < 3 ? "%.2f" : Math.abs(high) < 30 ? "%.1f" : "%.0f";
        return String.format(
                Locale.ROOT,
                "| %s | %s to %s%s | " + form + "%s | %s | %s |",
                what,
                number(low),
                number(high),
                unit.isEmpty() ? "" : " " + unit,
                v,
                v >= low && v <= high ? "" : ", missed",
                tuned ? "tuned" : "never tuned",
                source);
    }

    private static String number(double v) {
        return v == Math.rint(v) ? String.valueOf((long) v) : String.valueOf(v);
    }

    static Check tuned(String what, String unit, double low, double high, Supplier<Double> given) {
        return new Check(what, unit, low, high, true, PRACTICE, given);
    }

    static Check never(String what, String unit, double low, double high, Supplier<Double> given) {
        return new Check(what, unit, low, high, false, PRACTICE, given);
    }

    Check from(String otherSource) {
        return new Check(what, unit, low, high, tuned, otherSource, given);
    }
}
