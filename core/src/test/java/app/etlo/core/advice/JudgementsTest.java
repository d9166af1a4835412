package app.etlo.core.advice;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.core.plan.Plans;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

/** Every judgement speaks where it should and is silent where it should be; each starts from the same sound plan. */
class JudgementsTest {
    private static List<Note> notes(String... replacements) {
        String text = Plans.text();
        for (int i = 0; i < replacements.length; i += 2) {
            assertThat(text).contains(replacements[i]);
            text = text.replace(replacements[i], replacements[i + 1]);
        }
        return Plans.evaluate(text).notes();
    }

    private static List<Note> of(String rule, List<Note> notes) {
        return notes.stream().filter(n -> n.rule().equals(rule)).toList();
    }

    private static Note one(String rule, String... replacements) {
        List<Note> found = of(rule, notes(replacements));
        assertThat(found).as(rule).hasSize(1);
        return found.get(0);
    }

    private static void silent(String rule, String... replacements) {
        assertThat(of(rule, notes(replacements))).as(rule).isEmpty();
    }

    @Test
    void a_sound_plan_draws_no_note_heavier_than_a_tip() {
        assertThat(notes()).allMatch(n -> n.weight() == Weight.TIP);
    }

    @Test
    void notes_come_heaviest_first_then_in_the_order_of_the_work() {
        List<Note> notes = notes(
                "\"2027-05-01\"",
                "\"2027-05-20\"",
                "\"sharePercent\": 10",
                "\"sharePercent\": 60",
                "\"inoculated\": true",
                "\"inoculated\": false");
        assertThat(notes).hasSizeGreaterThan(2);
        for (int i = 1; i < notes.size(); i++) {
            Note a = notes.get(i - 1);
            Note b = notes.get(i);
            assertThat(a.weight().compareTo(b.weight()) < 0
                            || a.weight() == b.weight() && a.step().compareTo(b.step()) <= 0)
                    .as(a.rule() + " before " + b.rule())
                    .isTrue();
        }
    }

    @Nested
    class SeedDensity {
        /** One note for one matter: shares far from a whole have a note of their own, and the count of seeds says nothing more. */
        @Test
        void thin_and_thick_mixes_are_spoken_of_once() {
            String[] thin = {
                "\"sharePercent\": 40", "\"sharePercent\": 4", "\"sharePercent\": 50", "\"sharePercent\": 5"
            };
            assertThat(one("shares-out-of-use", thin).text()).contains("100 to 150 % is usual");
            silent("seed-density-out-of-range", thin);
            String[] thick = {
                "\"cereal-rye\", \"sharePercent\": 40, \"lotId\": \"l1\"", "\"white-clover\", \"sharePercent\": 200"
            };
            assertThat(one("shares-out-of-use", thick).text()).contains("100 to 150 % is usual");
            silent("seed-density-out-of-range", thick);
        }

        @Test
        void an_ordinary_mix_is_not() {
            silent("seed-density-out-of-range");
        }
    }

    @Nested
    class BrassicaShare {
        @Test
        void a_radish_above_its_blend_share_crowds_out_the_rest() {
            Note n = one("brassica-above-blend-share", "\"sharePercent\": 10", "\"sharePercent\": 40");
            assertThat(n.text()).contains("Daikon radish at 40 %");
            assertThat(n.subject()).isEqualTo("v1/daikon-radish");
        }

        @Test
        void at_its_share_or_alone_it_may_stand() {
            silent("brassica-above-blend-share");
            silent(
                    "brassica-above-blend-share",
                    "{\"species\": \"cereal-rye\", \"sharePercent\": 40, \"lotId\": \"l1\"},",
                    "",
                    "{\"species\": \"hairy-vetch\", \"sharePercent\": 50, \"lotId\": \"l2\"},",
                    "",
                    "\"sharePercent\": 10",
                    "\"sharePercent\": 100");
        }
    }

    @Nested
    class FewSeeds {
        @Test
        void under_two_in_a_hundred_seeds_is_hardly_seen() {
            Note n = one("hardly-seen", "\"sharePercent\": 10", "\"sharePercent\": 2");
            assertThat(n.weight()).isEqualTo(Weight.TIP);
            assertThat(n.text()).contains("Daikon radish is").contains("will hardly be seen");
        }

        @Test
        void a_fair_share_is_seen() {
            silent("hardly-seen", "\"sharePercent\": 10", "\"sharePercent\": 15");
        }
    }

    @Nested
    class GerminationTest {
        @Test
        void a_test_older_than_nine_months_at_sowing_is_old() {
            Note n = one("germination-test-old", "\"2026-05-01\"", "\"2025-11-04\"");
            assertThat(n.text()).contains("4 Nov 2025");
            silent("germination-test-old", "\"2026-05-01\"", "\"2025-11-05\"");
        }
    }

    @Nested
    class Inoculant {
        @Test
        void a_legume_whose_lot_comes_without_its_rhizobium() {
            assertThat(one("legume-without-inoculant", "\"inoculated\": true", "\"inoculated\": false")
                            .text())
                    .contains("pea and vetch group");
        }

        @Test
        void an_inoculated_lot_and_a_grass_are_fine() {
            silent("legume-without-inoculant");
        }
    }

    @Nested
    class Late {
        @Test
        void each_species_sown_after_its_latest_day_is_named() {
            List<Note> late = of("sown-after-latest-date", notes("\"2026-08-05\"", "\"2026-10-20\""));
            assertThat(late)
                    .singleElement()
                    .satisfies(n -> assertThat(n.text())
                            .contains("hairy vetch by ")
                            .contains("daikon radish by ")
                            .doesNotContain("cereal rye"));
        }

        @Test
        void without_frost_dates_nothing_is_said() {
            silent(
                    "sown-after-latest-date",
                    "\"2026-08-05\"",
                    "\"2026-10-20\"",
                    ", \"lastSpringFrost\": \"04-25\", \"firstAutumnFrost\": \"10-12\"",
                    "");
        }
    }

    @Nested
    class SameFamily {
        @Test
        void vetch_ahead_of_soybean_is_a_bridge() {
            assertThat(one("legume-before-soybean", "grain-corn", "soybean").text())
                    .contains("is disputed", "the field's record");
        }

        @Test
        void rye_ahead_of_corn_is_left_to_other_rules() {
            silent("same-family-as-next-crop");
        }
    }

    @Nested
    class ShallowTile {
        private static final String DRAINS = "\"texture\": \"silt loam\"";

        @Test
        void a_deep_taproot_above_shallow_drains_stops() {
            Note n = one(
                    "taproot-above-shallow-tile",
                    DRAINS,
                    DRAINS + ", \"tileDepth\": {\"value\": 70, \"unit\": \"cm\"}");
            assertThat(n.text()).contains("daikon radish").contains("70 cm");
        }

        @Test
        void deep_drains_and_none_are_safe() {
            silent("taproot-above-shallow-tile");
            silent("taproot-above-shallow-tile", DRAINS, DRAINS + ", \"tileDepth\": {\"value\": 1.6, \"unit\": \"m\"}");
        }
    }

    @Nested
    class EndedAfterPlanting {
        @Test
        void a_cover_alive_in_the_crop_stops() {
            Note n = one("cover-ended-after-planting", "\"2027-05-01\"", "\"2027-05-18\"");
            assertThat(n.weight()).isEqualTo(Weight.STOP);
            assertThat(n.text()).startsWith("Ended 6 days after planting on 12 May 2027");
        }

        @Test
        void within_five_days_of_planting_is_planting_green() {
            silent("cover-ended-after-planting", "\"2027-05-01\"", "\"2027-05-17\"");
        }
    }

    @Nested
    class TieUp {
        @Test
        void nitrogen_below_the_rules_zero_ties_up() {
            // 0.99 % is just below 9.905 g/kg, 1.0 % above
            assertThat(one("tie-up-expected", "\"nitrogenPercent\": 2.5", "\"nitrogenPercent\": 0.99")
                            .subject())
                    .isEqualTo("c2");
            silent("tie-up-expected", "\"nitrogenPercent\": 2.5", "\"nitrogenPercent\": 1.0");
        }
    }

    @Nested
    class Doubtful {
        @Test
        void tonnes_typed_as_kilograms_are_asked_back() {
            Note n = one("number-doubtful", "\"value\": 5200", "\"value\": 5.2");
            assertThat(n.text()).contains("5.2 kg/ha is doubtful").contains("Did you mean 5.2 t/ha");
            assertThat(n.step()).isEqualTo(Step.END);
        }

        @Test
        void what_was_typed_is_computed_with_all_the_same() {
            assertThat(Plans.with("\"value\": 5200", "\"value\": 5.2")
                            .figures()
                            .get("end/v1/biomass")
                            .middle())
                    .isEqualTo(5.2);
        }

        @Test
        void a_germination_typed_as_a_fraction_is_asked_back() {
            assertThat(one("number-doubtful", "\"germinationPercent\": 90", "\"germinationPercent\": 0.9")
                            .text())
                    .contains("90.0 % (a fraction typed for a percentage)");
        }

        @Test
        void bushels_are_measured_by_the_crop() {
            assertThat(one(
                                    "number-doubtful",
                                    "\"value\": 160, \"unit\": \"bu/ac\"",
                                    "\"value\": 1600, \"unit\": \"bu/ac\"")
                            .text())
                    .contains("Yield goal of Grain corn");
        }
    }

    @Nested
    class Dates {
        @Test
        void a_harvest_before_its_planting_and_an_end_before_its_sowing_cannot_be() {
            assertThat(one("dates-out-of-order", "\"2027-10-15\"", "\"2027-04-15\"")
                            .text())
                    .contains("harvested on 15 Apr 2027, before it is planted");
            assertThat(one("dates-out-of-order", "\"2026-08-05\"", "\"2027-05-05\"")
                            .step())
                    .isEqualTo(Step.END);
        }

        @Test
        void a_crop_planted_before_the_last_is_off_cannot_be() {
            assertThat(one("dates-out-of-order", "\"2027-05-12\"", "\"2026-06-12\"")
                            .subject())
                    .isEqualTo("c2");
        }

        @Test
        void a_year_far_away_is_asked_back() {
            assertThat(one("date-far-away", "\"2027-10-15\"", "\"2037-10-15\"").text())
                    .contains("Harvest of Grain corn is dated 15 Oct 2037, 11 years from today");
            silent("date-far-away");
        }
    }

    @Test
    void an_answer_holds_until_its_facts_change() {
        Note open = one("cover-ended-after-planting", "\"2027-05-01\"", "\"2027-05-18\"");
        Note moved = one("cover-ended-after-planting", "\"2027-05-01\"", "\"2027-05-19\"");
        assertThat(open.factsHash()).isNotEqualTo(moved.factsHash());
        assertThat(one("cover-ended-after-planting", "\"2027-05-01\"", "\"2027-05-18\"")
                        .factsHash())
                .isEqualTo(open.factsHash());
    }

    @Test
    void every_rule_is_named_once_and_tells_when_it_speaks() {
        Map<String, Long> names = Judgements.all().stream()
                .collect(Collectors.groupingBy(Judgement::name, TreeMap::new, Collectors.counting()));
        assertThat(names.values()).allMatch(n -> n == 1);
        assertThat(names.keySet()).allMatch(n -> n.matches("[a-z]+(-[a-z]+)+"));
        assertThat(Judgements.all()).allMatch(j -> j.speaks().length() > 15);
    }

    @Test
    void the_catalogue_in_docs_is_the_one_of_the_rules() throws Exception {
        Path kept = Stream.of(Path.of("../docs/judgements.md"), Path.of("docs/judgements.md"))
                .filter(Files::exists)
                .findFirst()
                .orElse(Path.of("../docs/judgements.md"));
        String now = Judgements.catalogue();
        if (!Files.exists(kept) || !Files.readString(kept).equals(now)) {
            Files.writeString(Path.of("target/judgements.md"), now);
        }
        assertThat(Files.exists(kept) ? Files.readString(kept) : "")
                .as("the rules changed: copy core/target/judgements.md to docs/")
                .isEqualTo(now);
    }
}
