package app.etlo.core.plan.document;

import app.etlo.core.knowledge.Correction;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import app.etlo.core.quantity.UnitSystem;
import com.fasterxml.jackson.annotation.JsonInclude;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a plan is evaluated against: the farm, the field, the seed lots and the field's own weather, as they are stored and
 * exported.
 *
 * @param forecast the last good forecast for its place
 * @param corrections the practice's own values in the species library
 * @param log what was seen of the field and written down there
 * @param weather an imported series; absent when the field uses a station that ships with Etlo
 */
public record Context(
        FarmEntry farm,
        FieldEntry field,
        List<LotEntry> lots,
        Optional<WeatherEntry> weather,
        Optional<ForecastEntry> forecast,
        @JsonInclude(JsonInclude.Include.NON_EMPTY) List<Correction> corrections,
        @JsonInclude(JsonInclude.Include.NON_EMPTY) List<LogEntry> log) {
    public Context {
        log = log == null ? List.of() : List.copyOf(log);
        corrections = corrections == null ? List.of() : List.copyOf(corrections);
        lots = lots == null ? List.of() : List.copyOf(lots);
        weather = weather == null ? Optional.empty() : weather;
        forecast = forecast == null ? Optional.empty() : forecast;
    }

    /** The same without what was seen in its own season. */
    public Context unseen() {
        return new Context(farm, field, lots, weather, forecast, corrections, List.of());
    }

    /**
     * @param currency ISO 4217 letters
     * @param schools the side it takes, by disputed question; none where it has not chosen
     * @param experience with covers and no-till: beginner, intermediate or expert
     * @param endRules what binds the end of a cover here, by rule; none where it is not switched on
     * @param labelIntervals of products that end covers, from their labels
     * @param familyGapYears years from one crop of a plant family to the next that it keeps, by family
     */
    public record FarmEntry(
            String id,
            String name,
            UnitSystem units,
            String currency,
            Optional<Map<String, String>> schools,
            Optional<Map<String, Integer>> familyGapYears,
            Optional<String> experience,
            Optional<Map<String, String>> endRules,
            Optional<List<LabelInterval>> labelIntervals) {
        /** The zone of the insurance or programme rule. */
        public static final String ZONE = "zone";
        /** Birds nest from and until, MM-dd. */
        public static final String NESTING_FROM = "nesting-from";

        public static final String NESTING_UNTIL = "nesting-until";
        /** A programme lets no cover end before, MM-dd. */
        public static final String EARLIEST = "earliest";
        /** Nothing is sprayed or mown in bloom. */
        public static final String BEES = "bees";
    }

    /**
     * An interval from the label of a product, as typed.
     *
     * @param event what it is to: planting, rolling, grazing, feeding, or re-entry: whatever is done in the field next
     * @param crop the one it is to, where it is not to all; a crop of the library
     * @param days that must pass at least
     * @param mostDays that may pass at most
     */
    public record LabelInterval(
            String product, String event, Optional<String> crop, int days, Optional<Integer> mostDays) {
        public static final List<String> EVENTS = List.of("planting", "rolling", "grazing", "feeding", "re-entry");
    }

    /**
     * A lot of seed.
     *
     * @param stock what lies in store
     * @param noxious listed weeds and resistant weeds on the tag, or "none found"; absent: the tag was not looked at for them
     * @param treatedWith what the seed is treated with; absent: untreated
     * @param coated whether purity is net of a coat
     * @param cleaningCost of own-grown seed, with its test
     * @param hardiness class of winter hardiness of its kind: winter, intermediate or spring
     * @param parts of a ready-made bag, by its tag; then species, purity and germination are those of {@link #ofParts}
     * @param inoculantUseBy of the coat or the inoculant on the seed
     * @param storedAt temperature of the store
     * @param moisturePercent of the seed in it
     */
    public record LotEntry(
            String id,
            String species,
            String label,
            double purityPercent,
            double germinationPercent,
            Optional<Double> hardSeedPercent,
            Optional<Boolean> germinationIncludesHardSeed,
            Optional<Quantity> seedCount,
            Optional<LocalDate> testedOn,
            Optional<Quantity> price,
            Optional<Quantity> bagSize,
            Optional<Boolean> inoculated,
            Optional<String> supplier,
            Optional<Quantity> stock,
            Optional<Double> dormantPercent,
            Optional<Double> weedSeedPercent,
            Optional<String> noxious,
            Optional<String> treatedWith,
            Optional<Boolean> coated,
            Optional<Boolean> ownGrown,
            Optional<Quantity> cleaningCost,
            Optional<String> hardiness,
            Optional<List<PartEntry>> parts,
            Optional<LocalDate> inoculantUseBy,
            Optional<Quantity> storedAt,
            Optional<Double> moisturePercent) {
        /**
         * One species of a ready-made bag.
         *
         * @param percent pure seed of it, of the weight of the bag
         * @param germinationPercent hard seed left out
         */
        public record PartEntry(
                String species, double percent, double germinationPercent, Optional<Double> hardSeedPercent) {}

        /** What stands under noxious weeds on a tag that was looked at and names none. */
        public static final String NONE_FOUND = "none found";

        /** Whether it is a ready-made bag of several species; no getter by its name, or it would be written with the rest. */
        public boolean holdsSeveral() {
            return parts.filter(p -> !p.isEmpty()).isPresent();
        }

        /** A bag with species, purity and germination as its parts make them: the heaviest, the sum, and the mean by weight. */
        public LotEntry ofParts() {
            if (!holdsSeveral()) {
                return this;
            }
            List<PartEntry> all = parts.orElseThrow();
            double pure = all.stream().mapToDouble(PartEntry::percent).sum();
            double live = all.stream()
                    .mapToDouble(p -> p.percent() * p.germinationPercent())
                    .sum();
            double hard = all.stream()
                    .mapToDouble(p -> p.percent() * p.hardSeedPercent().orElse(0.0))
                    .sum();
            return new LotEntry(
                    id,
                    all.stream()
                            .max(Comparator.comparingDouble(PartEntry::percent))
                            .orElseThrow()
                            .species(),
                    label,
                    pure,
                    pure > 0 ? live / pure : 0,
                    hard > 0 ? Optional.of(hard / pure) : Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    testedOn,
                    price,
                    bagSize,
                    inoculated,
                    supplier,
                    stock,
                    Optional.empty(),
                    weedSeedPercent,
                    noxious,
                    treatedWith,
                    coated,
                    ownGrown,
                    cleaningCost,
                    hardiness,
                    parts,
                    inoculantUseBy,
                    storedAt,
                    moisturePercent);
        }

        /** Kilograms in store; nothing said is nothing there. */
        public double stockKg() {
            return stock.map(q -> q.in(Unit.KILOGRAM)).orElse(0.0);
        }
    }
}
