package app.etlo.core.mix;

import app.etlo.core.field.Residual;
import app.etlo.core.knowledge.Crop;
import app.etlo.core.knowledge.TerminationMethod;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.rotation.WindowKind;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What a mix is judged by beside its weather: what stands before and after it, how it ends, the ground, and what the farm must
 * keep to. What is not entered is empty, and no rule speaks of it.
 *
 * @param sownInto the window's kind when it is sown into a crop
 * @param ph of the soil as tested or entered
 * @param livestock what is typed of the stock that has access
 * @param machines kinds of machine on the farm
 * @param programmes that list the species they allow
 * @param residuals herbicides that may still act, with the label's interval as typed
 * @param noxious names that the law in force lists, as typed, lower case
 */
public record MixPlace(
        Optional<CropInTime> next,
        Optional<Crop> previous,
        Optional<WindowKind> sownInto,
        Optional<End> end,
        Optional<Double> ph,
        Optional<String> drainage,
        Optional<Double> tileDepthCm,
        Optional<Double> panDepthCm,
        Optional<Double> slopePercent,
        String livestock,
        boolean organic,
        List<String> machines,
        List<Programme> programmes,
        List<Residual> residuals,
        List<String> noxious,
        List<String> aims) {

    /**
     * How and when it ends.
     *
     * @param then passes that follow the first, which meet what that one left
     */
    public record End(LocalDate date, TerminationMethod method, List<TerminationMethod> then) {

        /** The share of a species that all passes together kill, as it is on the day of the first. */
        double kills(Prospect of) {
            double left = 1 - of.killed(method);
            for (TerminationMethod m : then) {
                left *= 1 - of.killed(m);
            }
            return 1 - left;
        }

        /** The passes in the words of the trade, lower case. */
        public String words() {
            return Stream.concat(Stream.of(method), then.stream())
                    .map(m -> m.name().toLowerCase(Locale.ROOT))
                    .collect(Collectors.joining(", then "));
        }
    }

    /**
     * @param allowed names or ids of species, lower case
     */
    public record Programme(String name, List<String> allowed) {}

    /** The same place with other aims. */
    public MixPlace wanting(List<String> others) {
        return new MixPlace(
                next,
                previous,
                sownInto,
                end,
                ph,
                drainage,
                tileDepthCm,
                panDepthCm,
                slopePercent,
                livestock,
                organic,
                machines,
                programmes,
                residuals,
                noxious,
                others);
    }

    public boolean isWet() {
        return drainage.filter(d -> d.contains("poorly")).isPresent();
    }

    /** Whether the stock that has access is of a kind. */
    boolean keeps(String animal) {
        return keeps(livestock, animal);
    }

    /** The kinds of animal that cautions distinguish. */
    public static final List<String> ANIMALS = List.of("cattle", "sheep", "horses");

    /** Whether what is typed of stock names a kind of animal: cattle, sheep or horses. */
    public static boolean keeps(String livestock, String animal) {
        String typed = livestock.toLowerCase(java.util.Locale.ROOT);
        return switch (animal) {
            case "cattle" -> typed.matches(".*\\b(cattle|cows?|heifers?|steers?|calves|bulls?|dairy|beef|stock)\\b.*");
            case "sheep" -> typed.matches(".*\\b(sheep|ewes?|lambs?|goats?|stock)\\b.*");
            case "horses" -> typed.matches(".*\\b(horses?|ponies|pony|mares?|donkeys?|mules?)\\b.*");
            default -> false;
        };
    }
}
