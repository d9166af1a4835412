package app.etlo.core.plan.asked;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.mix.UsefulYears;
import app.etlo.core.plan.DemoPlans;
import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluated.CoverResult;
import app.etlo.core.plan.shown.Evaluation.StandView;
import app.etlo.core.plan.shown.SectionWriter;
import app.etlo.core.quantity.Unit;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.core.working.About;
import app.etlo.core.working.Figure;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** One thing has one number, whichever step, table or drawing shows it: on the demo, and on eight plans in eight climates. */
class OneNumberTest {
    private static final List<Evaluated> PLANS = new ArrayList<>();

    /** A cover between two crops in the season of its climate; on the southern half half a year apart. */
    private static Evaluated plan(String station, boolean us, String... days) {
        FieldPlans p = FieldPlans.of()
                .field("\"station\":\"" + station + "\"")
                .crop("winter-wheat", days[0], days[1])
                .crop("grain-corn", days[2], days[3])
                .coverWithAims(
                        "v1",
                        "before",
                        "c2",
                        List.of("mulch", "fix-nitrogen"),
                        "cereal-rye",
                        "hairy-vetch",
                        "daikon-radish")
                .operation("sow", "v1", days[4], "\"method\":\"drilled\"")
                .operation("end", "v1", days[5], "\"method\":\"burndown\"");
        return (us ? p.us() : p).evaluated();
    }

    @BeforeAll
    static void evaluate() throws IOException {
        PLANS.addAll(DemoPlans.evaluated(UnitSystem.US));
        PLANS.addAll(DemoPlans.evaluated(UnitSystem.METRIC));
        String[] north = {"2026-10-01", "2027-07-20", "2028-05-10", "2028-10-15", "2027-08-25", "2028-04-28"};
        String[] warm = {"2026-11-05", "2027-06-05", "2028-03-25", "2028-08-25", "2027-09-20", "2028-03-12"};
        String[] south = {"2026-05-01", "2026-12-20", "2027-10-15", "2028-03-25", "2027-03-01", "2027-10-01"};
        for (String s : List.of("vennick-plain", "tarrow-ridge", "isk-harbour", "ochremead")) {
            PLANS.add(plan(s, s.startsWith("t"), north));
        }
        for (String s : List.of("sant-oriel", "lowmarl", "amber-keys")) {
            PLANS.add(plan(s, s.startsWith("l"), warm));
        }
        PLANS.add(plan("karrel-downs", false, south));
    }

    private static String name(Evaluated e) {
        return e.plan().id() + " " + e.units() + " "
                + e.site().map(s -> s.climate().name()).orElse("");
    }

    @Test
    void figures_about_one_thing_are_one_number() {
        int shared = 0;
        for (Evaluated e : PLANS) {
            Map<About, List<Figure>> by = e.figures().values().stream()
                    .filter(f -> f.about().isPresent())
                    .collect(Collectors.groupingBy(
                            f -> f.about().orElseThrow(), LinkedHashMap::new, Collectors.toList()));
            for (var one : by.entrySet()) {
                Figure first = one.getValue().get(0);
                for (Figure f : one.getValue()) {
                    assertThat(f.in(first.unit()))
                            .as(name(e) + ": " + f.id() + " and " + first.id())
                            .isCloseTo(first.middle(), within(2e-4 * Math.max(1, Math.abs(first.middle()))));
                }
                shared += one.getValue().size() > 1 ? 1 : 0;
            }
        }
        assertThat(shared).isGreaterThan(3 * PLANS.size());
    }

    /** The last evening of the table of days, and the last point of the drawing, are what the steps show; a cover taken by frost has none. */
    @Test
    void the_table_of_days_and_the_drawing_end_on_the_same_numbers() {
        int looked = 0;
        for (Evaluated e : PLANS) {
            for (CoverResult c : e.covers()) {
                if (c.grow().isEmpty()
                        || c.mix().outlook().isEmpty()
                        || c.mix().outlook().get().growth().byWinter()) {
                    continue;
                }
                looked++;
                List<String> last = last(GroundDays.of(e, c.id()).orElseThrow().rows());
                Unit shown = e.units().shown(Unit.KG_PER_HA);
                double tops = c.grow().get().mass().in(Unit.KG_PER_HA);
                assertThat(number(last.get(0)))
                        .as(name(e))
                        .isCloseTo(Unit.KG_PER_HA.to(shown, tops), within(0.005 * tops + 1));
                for (int i = 0; i < c.mix().outlook().get().parts().size(); i++) {
                    int of = i;
                    String id = c.mix()
                            .outlook()
                            .get()
                            .growth()
                            .species()
                            .get(i)
                            .species()
                            .id();
                    double part = c.mix().outlook().get().parts().get(i).in(Unit.KG_PER_HA);
                    StandView stand = SectionWriter.write(e).stands().stream()
                            .filter(s -> s.id().equals(c.id()))
                            .findFirst()
                            .orElseThrow();
                    var plant = stand.parts().stream()
                            .filter(s -> s.id().equals(id))
                            .findFirst()
                            .orElseThrow(() -> new AssertionError(name(e) + " " + of));
                    List<Integer> masses = plant.grown().orElseThrow().massKgHa();
                    assertThat((double) masses.get(masses.size() - 1))
                            .as(name(e) + " " + id)
                            .isCloseTo(part, within(0.51));
                }
            }
        }
        assertThat(looked).isGreaterThan(5);
    }

    private static List<String> last(List<GroundDays.DayRow> rows) {
        return rows.get(rows.size() - 1).cells();
    }

    private static double number(String text) {
        return text.isEmpty() ? 0 : Double.parseDouble(text.replace(",", "").replace("\u202f", ""));
    }

    /** Seed as the mix shows it is what the order list, and its file, asks for where nothing is in store. */
    @Test
    void the_order_list_asks_for_the_seed_that_the_mix_shows() throws IOException {
        int lines = 0;
        for (Evaluated e : PLANS) {
            Map<String, Double> shown = new TreeMap<>();
            for (CoverResult c : e.covers()) {
                if (c.sown().map(d -> !d.isBefore(e.asOf())).orElse(true)) {
                    c.mix().blend().stream()
                            .flatMap(b -> b.rates().stream())
                            .forEach(r -> shown.merge(
                                    r.component().species().name(), r.seedKg().in(Unit.KILOGRAM), Double::sum));
                }
            }
            String csv = SeedOrders.write(SeedOrders.of(SeedNeeds.of(e), List.of(), Map.of(), Map.of()), e.units());
            Map<String, Double> ordered = new TreeMap<>();
            Unit mass = e.units().shown(Unit.KILOGRAM);
            try (CSVParser rows = CSVParser.parse(
                    csv,
                    CSVFormat.RFC4180
                            .builder()
                            .setHeader()
                            .setSkipHeaderRecord(true)
                            .get())) {
                for (CSVRecord row : rows) {
                    ordered.merge(row.get("species"), Double.parseDouble(row.get(mass.symbol())), Double::sum);
                    lines++;
                }
            }
            assertThat(ordered.keySet()).as(name(e)).isEqualTo(shown.keySet());
            ordered.forEach((species, kg) -> assertThat(kg)
                    .as(name(e) + " " + species)
                    .isCloseTo(Unit.KILOGRAM.to(mass, shown.get(species)), within(0.16)));
        }
        assertThat(lines).isGreaterThan(20);
    }

    /** What the note says of useful years is what the bench's own growth says. */
    @Test
    void a_useful_stand_is_counted_in_one_way() {
        for (Evaluated e : PLANS) {
            for (CoverResult c : e.covers()) {
                c.mix().useful().ifPresent(u -> {
                    var growth = c.bench()
                            .orElseThrow()
                            .own(c.mix().blend().orElseThrow().rates());
                    assertThat(u.reached()).as(name(e)).isEqualTo(growth.yearsReaching(UsefulYears.USEFUL_KG_HA));
                });
            }
        }
    }

    /** A date that moves moves the ledger with it: nothing of it is typed here. */
    @Test
    void the_ledger_follows_the_dates() {
        Evaluated early = plan(
                "tarrow-ridge",
                false,
                "2026-10-01",
                "2027-07-20",
                "2028-05-10",
                "2028-10-15",
                "2027-08-25",
                "2028-04-20");
        Evaluated late = plan(
                "tarrow-ridge",
                false,
                "2026-10-01",
                "2027-07-20",
                "2028-05-10",
                "2028-10-15",
                "2027-08-25",
                "2028-05-06");
        assertThat(nitrogenInTops(late)).isGreaterThan(nitrogenInTops(early));
        assertThat(early.cover("v1").credit()).isPresent();
        assertThat(early.cover("v1").credit().orElseThrow().credit().middle())
                .isNotCloseTo(late.cover("v1").credit().orElseThrow().credit().middle(), within(0.1));
    }

    private static double nitrogenInTops(Evaluated e) {
        return e.cover("v1").ending().stand().orElseThrow().nitrogenInTops().middle();
    }
}
