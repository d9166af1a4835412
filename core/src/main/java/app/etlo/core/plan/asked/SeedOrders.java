package app.etlo.core.plan.asked;

import app.etlo.core.plan.asked.SeedNeeds.SeedNeed;
import app.etlo.core.plan.document.Context.LotEntry;
import app.etlo.core.plan.document.LotCsv;
import app.etlo.core.quantity.Unit;
import app.etlo.core.quantity.UnitSystem;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.time.temporal.IsoFields;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/**
 * What must be bought: the needs of all fields less what they hold of the store and less what is still free of the lots they
 * name, or of any lot of the species, the soonest first. Whole bags where the lot says how large they are.
 */
public final class SeedOrders {
    private static final String NO_SUPPLIER = "no supplier named";

    private SeedOrders() {}

    /**
     * @param week of the year it should be in the yard, such as 2027-W31; empty while the sowing has no date
     * @param bags whole bags, where the size is known
     * @param fields how many fields it is for
     * @param stopped why it is not to be ordered yet
     */
    public record Order(
            String supplier,
            Optional<String> week,
            Optional<LocalDate> neededBy,
            String species,
            String speciesName,
            double kilograms,
            Optional<Long> bags,
            int fields,
            Optional<String> stopped) {}

    private record Key(String supplier, String week, String species) {}

    /**
     * The orders, by supplier, then by week.
     *
     * @param heldKg kilograms a cover holds already, by {@code plan/cover/species}
     * @param freeKg kilograms of each lot that nobody holds
     */
    public static List<Order> of(
            List<SeedNeed> needs, List<LotEntry> lots, Map<String, Double> heldKg, Map<String, Double> freeKg) {
        Map<String, Double> free = new HashMap<>(freeKg);
        Map<Key, List<SeedNeed>> short_ = new TreeMap<>(
                Comparator.comparing(Key::supplier).thenComparing(Key::week).thenComparing(Key::species));
        Map<Key, Double> kilograms = new HashMap<>();
        List<SeedNeed> soonest = needs.stream()
                .sorted(Comparator.comparing((SeedNeed n) -> n.neededBy().orElse(LocalDate.MAX))
                        .thenComparing(SeedNeed::planId)
                        .thenComparing(SeedNeed::coverId)
                        .thenComparing(SeedNeed::species))
                .toList();
        for (SeedNeed n : soonest) {
            double open = n.kilograms() - heldKg.getOrDefault(heldKey(n), 0.0);
            for (LotEntry lot : usable(n, lots)) {
                double taken = Math.max(0, Math.min(open, free.getOrDefault(lot.id(), 0.0)));
                free.merge(lot.id(), -taken, Double::sum);
                open -= taken;
            }
            if (open > 1e-6) {
                Key key = new Key(
                        supplier(n, lots), n.neededBy().map(SeedOrders::week).orElse("~"), n.species());
                short_.computeIfAbsent(key, k -> new ArrayList<>()).add(n);
                kilograms.merge(key, open, Double::sum);
            }
        }
        return short_.entrySet().stream()
                .map(s -> order(s.getKey(), s.getValue(), kilograms.get(s.getKey()), lots))
                .toList();
    }

    /** How a need's seed is named among what is held. */
    public static String heldKey(SeedNeed n) {
        return n.planId() + "/" + n.coverId() + "/" + n.species();
    }

    /** The lot the mix names, else every lot of the species. */
    private static List<LotEntry> usable(SeedNeed n, List<LotEntry> lots) {
        return lots.stream()
                .filter(l -> l.species().equals(n.species()))
                .filter(l -> n.lotId().map(l.id()::equals).orElse(!l.holdsSeveral()))
                .toList();
    }

    private static String supplier(SeedNeed n, List<LotEntry> lots) {
        return usable(n, lots).stream()
                .flatMap(l -> l.supplier().stream())
                .findFirst()
                .orElse(NO_SUPPLIER);
    }

    private static String week(LocalDate day) {
        return String.format(
                "%d-W%02d", day.get(IsoFields.WEEK_BASED_YEAR), day.get(IsoFields.WEEK_OF_WEEK_BASED_YEAR));
    }

    private static Order order(Key key, List<SeedNeed> needs, double kg, List<LotEntry> lots) {
        SeedNeed first = needs.get(0);
        Optional<Double> bag = usable(first, lots).stream()
                .flatMap(l -> l.bagSize().stream())
                .map(q -> q.in(Unit.KILOGRAM))
                .findFirst();
        return new Order(
                key.supplier(),
                first.neededBy().map(SeedOrders::week),
                first.neededBy(),
                key.species(),
                first.speciesName(),
                kg,
                bag.map(b -> (long) Math.ceil(kg / b - 1e-9)),
                (int) needs.stream().map(SeedNeed::planId).distinct().count(),
                needs.stream().flatMap(n -> n.stopped().stream()).findFirst());
    }

    /** The orders as a table, in kg or lb. */
    public static String write(List<Order> orders, UnitSystem system) {
        Unit mass = system.shown(Unit.KILOGRAM);
        StringBuilder text = new StringBuilder();
        try (CSVPrinter out = new CSVPrinter(text, CSVFormat.RFC4180)) {
            out.printRecord("supplier", "week", "needed by", "species", mass.symbol(), "bags", "fields", "stopped");
            for (Order o : orders) {
                out.printRecord(
                        LotCsv.plain(o.supplier()),
                        o.week().orElse(null),
                        o.neededBy().orElse(null),
                        o.speciesName(),
                        Math.round(Unit.KILOGRAM.to(mass, o.kilograms()) * 10) / 10.0,
                        o.bags().orElse(null),
                        o.fields(),
                        o.stopped().map(LotCsv::plain).orElse(null));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }
}
