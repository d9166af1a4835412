package app.etlo.core.knowledge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class KnowledgeLoaderTest {
    private static final Knowledge SHIPPED = KnowledgeLoader.shipped();

    private static String shippedText(String file) {
        try (InputStream in =
                Objects.requireNonNull(KnowledgeLoader.class.getResourceAsStream("/knowledge/" + file), file)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void ships_enough_to_plan_with() {
        assertThat(SHIPPED.species().all()).hasSizeGreaterThanOrEqualTo(24);
        assertThat(SHIPPED.operations().all()).hasSizeGreaterThanOrEqualTo(12);
        assertThat(SHIPPED.species().all().stream().map(Species::group).collect(Collectors.toSet()))
                .isEqualTo(Set.of(Group.values()));
    }

    @Test
    void every_value_has_a_source_and_says_how_far_it_was_checked() {
        SHIPPED.species().all().forEach(s -> assertThat(s.sources()).as(s.id()).hasSizeGreaterThan(60));
        SHIPPED.crops()
                .all()
                .forEach(c -> assertThat(c.source().text()).as(c.id()).isNotBlank());
        SHIPPED.operations()
                .all()
                .forEach(o -> assertThat(o.source().text()).as(o.id()).isNotBlank());
        SHIPPED.products()
                .all()
                .forEach(p -> assertThat(p.source().text()).as(p.id()).isNotBlank());
        assertThat(SHIPPED.species()
                        .get("cereal-rye")
                        .sourceOf("latestSowDaysBeforeFrost")
                        .status()
                        .words())
                .isEqualTo("own");
        assertThat(SHIPPED.species()
                        .get("cereal-rye")
                        .sourceOf("heightM")
                        .status()
                        .words())
                .isEqualTo("from memory");
    }

    @Test
    void thirty_cash_crops_or_more_with_how_each_is_grown() {
        assertThat(SHIPPED.crops().all()).hasSizeGreaterThanOrEqualTo(30);
        for (Crop c : SHIPPED.crops().all()) {
            Crop.Growing g = c.growing();
            assertThat(g.source().text()).as(c.id()).isNotBlank();
            assertThat(g.sharedPests()).as(c.id()).isNotEmpty();
            // seeds at a usual weight make a seed rate that a planter can put out; potatoes go by tubers, some tonnes
            double seedKgHa = g.populationHa() * g.thousandSeedG() / 1e6;
            assertThat(seedKgHa).as(c.id() + ": seed, kg/ha").isBetween(0.03, 3000.0);
            // 30 % cover takes some hundred pounds of residue an acre (Gregory 1982), never more than four thousand
            double for30 = -Math.log(0.7) / g.coverAcPerLb();
            assertThat(for30).as(c.id()).isBetween(200.0, 4000.0);
            if (!g.isPerennial()) {
                assertThat(g.maturityDegreeDays() / g.daysToMaturity())
                        .as(c.id() + ": degree days a day of its life")
                        .isBetween(5.0, 20.0);
            }
        }
    }

    /** The check of RUSLE Agriculture Handbook 703, chapter 5, from memory: 30 % cover is 940 lb/ac of corn, 600 of soybean. */
    @Test
    void residue_cover_of_corn_and_soybean() {
        assertThat(-Math.log(0.7) / SHIPPED.crops().get("grain-corn").growing().coverAcPerLb())
                .isBetween(930.0, 950.0);
        assertThat(-Math.log(0.7) / SHIPPED.crops().get("soybean").growing().coverAcPerLb())
                .isBetween(590.0, 610.0);
    }

    @Test
    void a_crop_without_its_row_of_growing_is_refused() {
        String text = shippedText("crop-growing.csv").replaceFirst("grain-corn,warm", "grain-cornx,warm");
        assertThatThrownBy(() -> KnowledgeLoader.shippedBut(Map.of("crop-growing.csv", text)))
                .hasMessageContaining("crops.csv line 2, column id: crop-growing.csv has no row for it");
    }

    @Test
    void a_station_without_its_twelve_months_is_refused() {
        String text = shippedText("station-months.csv").replaceFirst("vennick-plain,12.*\n", "");
        assertThatThrownBy(() -> KnowledgeLoader.shippedBut(Map.of("station-months.csv", text)))
                .hasMessageContaining("11 months of it instead of 12");
    }

    @Test
    void library_values_hang_together() {
        for (Species s : SHIPPED.species().all()) {
            double seedsM2 = s.fullRateKgHa().middle() * s.seedsPerKg().middle() / 1e4;
            assertThat(seedsM2)
                    .as(s.id() + ": live seeds per m2 at the full rate")
                    .isBetween(8.0, 1500.0);
            assertThat(s.maxShare()).as(s.id()).isBetween(0.05, 1.0);
        }
        assertThat(SHIPPED.species().all().stream()
                        .filter(s -> s.group() == Group.BRASSICA && s.growth().competitiveness() > 1)
                        .map(Species::maxShare))
                .allMatch(share -> share <= 0.15);
    }

    /** One piece of a shipped table replaced; the message must name file, line and column. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    species.csv    | Cereal rye,Secale cereale,Poaceae,cool-grass | Cereal rye,Secale cereale,Poaceae,tall-grass | species.csv line 2, column group
                    species.csv    | cool,35000,39700,45000                       | cool,35000,many,45000                        | species.csv line 2, column seedsPerKg
                    species.csv    | cool,35000,39700,45000                       | cool,35000,20000,45000                       | column seedsPerKg
                    species.csv    | cool,35000,39700,45000                       | cool,35000,NaN,45000                         | column seedsPerKg
                    species.csv    | cool,35000,39700,45000                       | cool,35000,-5,45000                          | column seedsPerKg
                    species.csv    | winter-triticale,Winter                      | cereal-rye,Winter                            | line 3, column id: 'cereal-rye' stands twice
                    species.csv    | cereal-rye,Cereal                            | Cereal Rye,Cereal                            | line 2, column id
                    species.csv    | handbook,from memory,latest                  | hearsay,from memory,latest                   | column source: 'hearsay' is not in sources.csv
                    species.csv    | handbook,from memory,latest                  | handbook,certain,latest                      | column status
                    operations.csv | mouldboard-plough,Mouldboard plough,till     | mouldboard-plough,Mouldboard plough,dance    | operations.csv line 10, column use
                    operations.csv | inversion,4,10,1,                            | inversion,4,10,1.4,                          | line 10, column shareDisturbed
                    crops.csv      | corn,56,0.50                                 | corn,56,0                                    | crops.csv line 2, column harvestIndex
                    crops.csv      | corn,56,0.50                                 | corn,5600,0.50                               | line 2, column testWeightLbBu
                    products.csv   | urea,Urea 46-0-0,46                          | urea,Urea 46-0-0,146                         | products.csv line 2, column nPercent
                    planting-systems.csv | no-till,No-till,no-till-planter        | no-till,No-till,no-such-planter              | planting-systems.csv line 2, column operation
                    termination-methods.csv | Roller-crimper,roller-crimper       | Roller-crimper,steam-roller                  | termination-methods.csv line 4, column operations
                    termination-methods.csv | roller-crimper,rolling,10           | roller-crimper,steaming,10                   | termination-methods.csv line 4, column means
                    """)
    void a_bad_row_is_refused_by_file_line_and_column(String file, String piece, String bad, String message) {
        String text = shippedText(file);
        assertThat(text).contains(piece);
        int at = text.indexOf(piece);
        String broken = text.substring(0, at) + bad + text.substring(at + piece.length());
        assertThatThrownBy(() -> KnowledgeLoader.shippedBut(Map.of(file, broken)))
                .isInstanceOf(BadRow.class)
                .hasMessageContaining(message);
    }

    @Test
    void a_legume_without_its_inoculant_group_is_refused() {
        String text = shippedText("species.csv").replaceFirst("pea and vetch", "");
        assertThatThrownBy(() -> KnowledgeLoader.shippedBut(Map.of("species.csv", text)))
                .isInstanceOf(BadRow.class)
                .hasMessageContaining("column inoculant");
    }

    @Test
    void a_row_too_short_and_a_column_left_out_are_refused() {
        assertThatThrownBy(() -> KnowledgeLoader.shippedBut(Map.of("aims.csv", "id,name\nfix\n")))
                .hasMessageContaining("aims.csv line 2, column name: the row is too short");
        assertThatThrownBy(() -> KnowledgeLoader.shippedBut(Map.of("aims.csv", "id,title\nfix,Fix\n")))
                .hasMessageContaining("the table has no such column");
    }
}
