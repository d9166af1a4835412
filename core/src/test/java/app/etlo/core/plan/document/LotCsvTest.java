package app.etlo.core.plan.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.plan.Plans;
import app.etlo.core.plan.document.Context.LotEntry;
import app.etlo.core.quantity.DayOrder;
import app.etlo.core.quantity.NumberText.DecimalSign;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import app.etlo.core.quantity.UnitSystem;
import java.time.LocalDate;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Seed lots from tables as spreadsheets of several countries write them. Quoting as in RFC 4180. */
class LotCsvTest {
    private static LotCsv.Read read(String text) {
        return LotCsv.read(text, Plans.KNOWLEDGE, Optional.empty(), Optional.empty());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "species,lot,purity %,germination %\nCereal rye,R 1,98.5,91\n",
                "species;lot;purity;germination\ncereal-rye;R 1;98,5;91 %\n",
                "\uFEFFSpecies\tLot\tPurity (%)\tGermination (%)\r\nSecale cereale\tR 1\t98,5\t91\r\n",
                "lot,germination,purity,colour,species\n\"R 1\",91,\"98,5\",green,CEREAL RYE",
            })
    void the_same_lot_however_it_is_written(String text) {
        LotCsv.Read read = read(text);
        assertThat(read.problems()).isEmpty();
        assertThat(read.lots()).singleElement().satisfies(l -> {
            assertThat(l.species()).isEqualTo("cereal-rye");
            assertThat(l.label()).isEqualTo("R 1");
            assertThat(l.purityPercent()).isEqualTo(98.5);
            assertThat(l.germinationPercent()).isEqualTo(91);
        });
    }

    @Test
    void lines_that_cannot_be_are_told_by_number_and_the_others_are_read() {
        LotCsv.Read read = read("species;lot;purity;germination;hard seed;tested\n"
                + "cereal-rye;A;98;91;;2026-08-01\n"
                + "moon grass;B;98;91;;\n"
                + "hairy vetch;C;ninety;85;10;\n"
                + "hairy vetch;D;95;85;30;\n"
                + "hairy vetch;E;95;;;\n"
                + "cereal-rye;A;97;90;;\n"
                + "cereal-rye;F;98;91;;1 August\n");
        assertThat(read.lots()).extracting(Context.LotEntry::label).containsExactly("A");
        assertThat(read.problems()).extracting(LotCsv.LineProblem::line).containsExactly(3L, 4L, 5L, 6L, 7L, 8L);
        assertThat(read.problems().get(0).message()).contains("'moon grass' is not a species");
        assertThat(read.problems().get(1).message()).contains("purity").contains("'ninety' is not a number");
        assertThat(read.problems().get(2).message()).contains("over 100 %");
        assertThat(read.problems().get(4).message()).contains("twice");
    }

    @Test
    void what_is_no_table_of_lots_is_refused_with_why() {
        assertThatThrownBy(() -> read("")).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> read("species,lot,purity\nrye,A,98"))
                .isInstanceOfSatisfying(
                        Refused.class,
                        e -> assertThat(e.problems().get(0).message()).contains("names no column 'germination'"));
        assertThatThrownBy(() -> read("species,lot,purity,germination\n\"cereal rye,A,98,91\n"))
                .isInstanceOf(Refused.class);
        StringBuilder long_ = new StringBuilder("species,lot,purity,germination\n");
        for (int i = 0; i < 50_000; i++) {
            long_.append("cereal-rye,L").append(i).append(",98,91\n");
        }
        assertThatThrownBy(() -> read(long_.toString()))
                .isInstanceOfSatisfying(
                        Refused.class,
                        e -> assertThat(e.problems().get(0).message()).contains("over 5000 lines"));
    }

    @Test
    void what_is_written_is_read_again() {
        String text = """
                species,lot,purity %,germination %,hard seed %,germination includes hard seed,seed count per kg,dormant %,weed seed %,noxious weeds,treated with,coated,own grown,hardiness,tested,price per kg,cleaning per kg,bag kg,stock kg,inoculated,supplier
                Hairy vetch,"V, 7",97.0,70.0,15.0,,36000.0,2.0,0.4,none found,,yes,,winter,2026-05-02,5.4,,25.0,310.0,yes,Seed House
                """.replace("\n", "\r\n");
        LotCsv.Read read = read(text);
        assertThat(read.problems()).isEmpty();
        assertThat(LotCsv.write(read.lots(), Plans.KNOWLEDGE, UnitSystem.METRIC))
                .isEqualTo(text);
        assertThat(read.lots().get(0).stockKg()).isEqualTo(310);
    }

    @Test
    void units_are_taken_from_the_names_of_the_columns() {
        LotCsv.Read read =
                read("species,lot,purity,germination,price per lb,bag lb,stock lb,Seed count (per lb),colour\n"
                        + "cereal-rye,A,98,91,0.45,50,\"1,250\",\"18,000\",green\n");
        assertThat(read.problems()).isEmpty();
        assertThat(read.unknownColumns()).containsExactly("colour");
        Context.LotEntry lot = read.lots().get(0);
        assertThat(lot.price()).contains(new Quantity(0.45, Unit.MONEY_PER_LB));
        assertThat(lot.bagSize()).contains(new Quantity(50, Unit.POUND));
        assertThat(lot.stock()).contains(new Quantity(1250, Unit.POUND));
        assertThat(lot.seedCount()).contains(new Quantity(18_000, Unit.PER_LB));
        String american = LotCsv.write(read.lots(), Plans.KNOWLEDGE, UnitSystem.US);
        assertThat(american)
                .contains("price per lb,cleaning per lb,bag lb,stock lb")
                .contains(",0.45,,50.0,1250.0,");
        assertThat(read(american).lots().get(0).stock()).isEqualTo(lot.stock());
        assertThat(read(LotCsv.write(read.lots(), Plans.KNOWLEDGE, UnitSystem.METRIC))
                        .lots()
                        .get(0)
                        .stockKg())
                .isCloseTo(1250 * 0.45359237, within(1e-5));
    }

    @Test
    void a_number_that_can_be_read_two_ways_is_asked_about() {
        String table = "species;lot;purity;germination;stock\ncereal-rye;A;98;91;1,250\n";
        LotCsv.Read read = read(table);
        assertThat(read.decimalSignNeeded()).isTrue();
        assertThat(read.problems().get(0).message()).contains("'1,250' can be 1250 or 1.25");
        assertThat(LotCsv.read(table, Plans.KNOWLEDGE, Optional.of(DecimalSign.POINT), Optional.empty())
                        .lots()
                        .get(0)
                        .stockKg())
                .isEqualTo(1250);
        assertThat(LotCsv.read(table, Plans.KNOWLEDGE, Optional.of(DecimalSign.COMMA), Optional.empty())
                        .lots()
                        .get(0)
                        .stockKg())
                .isEqualTo(1.25);
        // another number of the table shows its sign
        assertThat(read("species;lot;purity;germination;stock\ncereal-rye;A;98,5;91;1.250\n")
                        .lots()
                        .get(0)
                        .stockKg())
                .isEqualTo(1250);
    }

    /** OWASP's advice on injection into spreadsheets, from memory: a cell must not begin like a formula. */
    @Test
    void no_cell_that_is_written_is_a_formula() {
        LotCsv.Read read = read("species,lot,purity,germination,supplier\nCereal rye,=1+1,98,90,@sum\n");
        for (String cell : java.util.List.of("\t=1+1", "\r=1", "\n+1", " -1", "\t", "\u00a0@x", "\r\n=1")) {
            assertThat(LotCsv.plain(cell)).as(cell).isEqualTo("'" + cell);
        }
        assertThat(LotCsv.plain("R 1")).isEqualTo("R 1");
        assertThat(LotCsv.write(read.lots(), Plans.KNOWLEDGE, UnitSystem.METRIC))
                .contains(",'=1+1,")
                .contains(",'@sum");
    }

    /** As seed houses head their tables. */
    @Test
    void columns_are_known_by_the_trades_other_names() {
        LotCsv.Read read = read("Kind,Lot No.,Pure Seed %,Germ %,Cost per lb,Bag weight lb,On hand lb,Test Date\n"
                + "Cereal rye,R-1,98,90,0.22,50,\"4,000\",2/28/2026\n");
        assertThat(read.problems()).isEmpty();
        assertThat(read.unknownColumns()).isEmpty();
        LotEntry lot = read.lots().get(0);
        assertThat(lot.germinationPercent()).isEqualTo(90);
        assertThat(lot.stock()).contains(new Quantity(4000, Unit.POUND));
        assertThat(lot.price()).contains(new Quantity(0.22, Unit.MONEY_PER_LB));
        assertThat(lot.testedOn()).contains(LocalDate.of(2026, 2, 28));
    }

    @Test
    void a_date_that_can_be_two_days_is_asked_about_once() {
        String table = "species,lot,purity,germination,tested\nCereal rye,R-1,98,90,3/4/2026\n";
        LotCsv.Read asked = read(table);
        assertThat(asked.dayOrderNeeded()).isTrue();
        assertThat(asked.lots()).isEmpty();
        assertThat(asked.problems().get(0).message()).contains("can be two days");
        for (DayOrder order : DayOrder.values()) {
            assertThat(LotCsv.read(table, Plans.KNOWLEDGE, Optional.empty(), Optional.of(order))
                            .lots()
                            .get(0)
                            .testedOn())
                    .contains(order == DayOrder.DAY_FIRST ? LocalDate.of(2026, 4, 3) : LocalDate.of(2026, 3, 4));
        }
    }
}
