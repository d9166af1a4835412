package app.etlo.core.plan.chapter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.mix.GrowVerdict;
import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.document.Context;
import app.etlo.core.plan.document.FieldLog;
import app.etlo.core.plan.document.Json;
import app.etlo.core.plan.document.LogEntry;
import app.etlo.core.plan.document.Refused;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Gates of the end: what a look in the log decides, what it changes in the forecast, and when to look again. */
class FieldGatesTest {
    private static final Evaluator EVALUATOR = new Evaluator(Plans.KNOWLEDGE);
    private static final Evaluated ROLLED = plan("roller-crimper", "2027-05-20", "2027-05-25");
    private static final Evaluated SPRAYED = plan("burndown", "2027-04-20", "2027-05-12");

    private static Evaluated plan(String method, String end, String planted) {
        return FieldPlans.of()
                .field("\"texture\":\"silt loam\",\"point\":{\"lat\":41,\"lon\":-89}")
                .crop("winter-wheat", "2025-10-04", "2026-07-18")
                .crop("soybean", planted, "2027-10-15")
                .coverWithAims("v1", "before", "c2", List.of("mulch"), "cereal-rye", "hairy-vetch")
                .operation("sow", "v1", "2026-09-10", "\"method\":\"drilled\"")
                .operation("end", "v1", end, "\"method\":\"" + method + "\"")
                .evaluated();
    }

    private static LogEntry entry(String ref, String on, String members, String... replaces) {
        return new LogEntry(
                ref,
                "v1",
                LocalDate.parse(on),
                "ann@example.org",
                Instant.EPOCH,
                Optional.of(Plans.READER.readCheck(Json.tree("{\"id\":\"x\",\"on\":\"" + on + "\"," + members + "}"))),
                List.of(replaces).stream().findFirst());
    }

    private static String gate(String kind, String members) {
        return "\"gate\":{\"kind\":\"" + kind + "\"" + (members.isEmpty() ? "" : "," + members) + "}";
    }

    private static Evaluated with(Evaluated e, List<LogEntry> log, LocalDate asOf) {
        Context c = e.context();
        return EVALUATOR.evaluate(
                e.plan(),
                new Context(c.farm(), c.field(), c.lots(), c.weather(), c.forecast(), c.corrections(), log),
                asOf);
    }

    private static GrowVerdict verdict(Evaluated e, String on, String members) {
        return with(e, List.of(entry("seen-1", on, members)), LocalDate.parse(on))
                .covers()
                .get(0)
                .verdicts()
                .get("seen-1")
                .get(0);
    }

    /** Mirsky et al. 2009: about 85 % at the start of anthesis, so that the share of heads decides and not the mean. */
    @Test
    void heads_that_shed_pollen_say_when_to_roll() {
        String rye = ",\"species\":\"cereal-rye\"";
        GrowVerdict few = verdict(ROLLED, "2027-05-12", gate("pollen", "\"sheddingPercent\":20") + rye);
        assertThat(few.word()).isEqualTo("not yet");
        assertThat(few.next().orElseThrow()).isBetween("2027-05-13", "2027-05-25");
        GrowVerdict most = verdict(ROLLED, "2027-05-20", gate("pollen", "\"sheddingPercent\":90") + rye);
        assertThat(most.word()).isEqualTo("ready to roll");
        assertThat(verdict(ROLLED, "2027-05-20", gate("pollen", "\"sheddingPercent\":90"))
                        .word())
                .isEqualTo("of which species");
    }

    /** What is seen moves the stage, and with it the kill of the plan's own roller. */
    @Test
    void a_count_of_heads_moves_the_kill_that_is_forecast() {
        String rye = ",\"species\":\"cereal-rye\"";
        LocalDate on = LocalDate.parse("2027-05-10");
        double early = far(with(
                ROLLED, List.of(entry("a", "2027-05-10", gate("pollen", "\"sheddingPercent\":95") + rye)), on));
        double late =
                far(with(ROLLED, List.of(entry("a", "2027-05-10", gate("pollen", "\"sheddingPercent\":0") + rye)), on));
        assertThat(early).isGreaterThan(late + 0.02);
    }

    private static double far(Evaluated e) {
        return e.covers().get(0).facts().plants().stage().get("cereal-rye");
    }

    @ParameterizedTest
    @CsvSource({
        "2027-04-22, 60, too early",
        "2027-04-30, 3, dead",
        "2027-04-30, 12, partly alive",
        "2027-04-30, 60, not killed"
    })
    void a_kill_is_looked_at_after_a_week_and_a_failed_one_has_a_second_action(String on, int alive, String word) {
        GrowVerdict v = verdict(SPRAYED, on, gate("kill", "\"alivePercent\":" + alive));
        assertThat(v.word()).isEqualTo(word);
        assertThat(v.next()).isPresent();
        assertThat(word.equals("not killed") == v.toDo().orElse("").startsWith("second action"))
                .isTrue();
    }

    @Test
    void what_a_look_finds_alive_lives_on_in_the_forecast_and_what_it_finds_dead_does_not() {
        LocalDate on = LocalDate.parse("2027-04-30");
        double dead = topsAtPlanting(
                with(SPRAYED, List.of(entry("k", "2027-04-30", gate("kill", "\"alivePercent\":0"))), on));
        double half = topsAtPlanting(
                with(SPRAYED, List.of(entry("k", "2027-04-30", gate("kill", "\"alivePercent\":50"))), on));
        assertThat(dead).isCloseTo(0, within(1e-6));
        assertThat(half).isGreaterThan(500);
    }

    private static double topsAtPlanting(Evaluated e) {
        var g = e.growth().ground().orElseThrow();
        return app.etlo.core.ground.GroundCourse.band(g.course()
                        .sum(
                                g.before(LocalDate.parse("2027-05-12")),
                                g.plants("v1"),
                                app.etlo.core.ground.GroundCourse.OfPlant.MASS_KG_HA))
                .middle();
    }

    /** Frames of 0.25 m2, dry matter 25 %: 400 g fresh are 100 g dry, 4 t/ha. */
    @ParameterizedTest
    @CsvSource({"400, too thin", "500, thin", "600, enough", "900, holds"})
    void a_mulch_is_weighed_against_what_holds_weeds(int fresh, String word) {
        String cuts = "";
        for (int i = 0; i < 4; i++) {
            cuts += (i > 0 ? "," : "") + "{\"value\":" + (fresh + 20 * (i - 1.5)) + ",\"unit\":\"g\"}";
        }
        GrowVerdict v = verdict(
                ROLLED,
                "2027-05-12",
                gate("mulch", "") + ",\"quadrat\":{\"frameArea\":{\"value\":0.25,\"unit\":\"m2\"},\"samples\":[" + cuts
                        + "],\"dryMatterPercent\":25}");
        assertThat(v.word()).isEqualTo(word);
        assertThat(v.said()).contains("agree within");
        assertThat(v.toDo().isPresent()).isEqualTo(fresh < 560);
    }

    @ParameterizedTest
    @CsvSource({"crumbles, fit", "worm, wait", "ribbon, too wet", "wet, wet"})
    void a_handful_of_soil_decides_whether_to_drive(String feel, String word) {
        GrowVerdict v = verdict(ROLLED, "2027-05-12", gate("soil", "\"soil\":\"" + feel + "\""));
        assertThat(v.word()).isEqualTo(word);
        assertThat(v.next().isPresent()).isEqualTo(!feel.equals("crumbles"));
    }

    @Test
    void clumps_of_a_mat_are_slug_nests() {
        assertThat(verdict(ROLLED, "2027-05-22", gate("mat", "\"matDepth\":{\"value\":6,\"unit\":\"cm\"}"))
                        .word())
                .isEqualTo("even");
        assertThat(verdict(ROLLED, "2027-05-22", gate("mat", "\"clumpDepth\":{\"value\":16,\"unit\":\"cm\"}"))
                        .said())
                .contains("slug nests");
    }

    @Test
    void half_bloom_is_the_most_nitrogen_and_regrowth_has_a_day() {
        String vetch = ",\"species\":\"hairy-vetch\"";
        assertThat(verdict(ROLLED, "2027-05-10", gate("bloom", "\"bloomPercent\":10") + vetch)
                        .word())
                .isEqualTo("before half bloom");
        assertThat(verdict(ROLLED, "2027-05-18", gate("bloom", "\"bloomPercent\":60") + vetch)
                        .word())
                .isEqualTo("half bloom");
        GrowVerdict again =
                verdict(ROLLED, "2027-05-02", gate("regrowth", "") + ",\"height\":{\"value\":12,\"unit\":\"cm\"}");
        assertThat(again.next().orElseThrow()).isAfter("2027-05-02");
    }

    /** A winter that is not as the library has it is proposed, with what was seen, and never taken over by itself. */
    @Test
    void a_winter_that_contradicts_the_library_is_a_proposal() {
        String vetch = ",\"species\":\"hairy-vetch\"";
        double killC = Plans.KNOWLEDGE.species().get("hairy-vetch").killC();
        GrowVerdict tender = verdict(
                SPRAYED, "2027-03-25", gate("winter", "\"alivePercent\":5,\"coldestC\":" + (killC + 6)) + vetch);
        assertThat(tender.proposal().orElseThrow().value()).isEqualTo(String.valueOf(Math.round(killC + 6)));
        assertThat(verdict(
                                SPRAYED,
                                "2027-03-25",
                                gate("winter", "\"alivePercent\":90,\"coldestC\":" + (killC + 6)) + vetch)
                        .proposal())
                .isEmpty();
        GrowVerdict early =
                verdict(SPRAYED, "2026-12-02", gate("winter", "\"alivePercent\":5,\"coldestC\":-10") + vetch);
        assertThat(early.word()).isEqualTo("too early");
        assertThat(early.next()).contains(LocalDate.parse("2027-03-01"));
    }

    @Test
    void an_entry_stands_until_a_later_one_replaces_it_or_takes_it_back() {
        LogEntry first = entry("a", "2027-04-30", gate("kill", "\"alivePercent\":50"));
        LogEntry mended = entry("b", "2027-04-30", gate("kill", "\"alivePercent\":0"), "a");
        LogEntry taken = new LogEntry(
                "c",
                "v1",
                LocalDate.parse("2027-04-30"),
                "ann@example.org",
                Instant.EPOCH,
                Optional.empty(),
                Optional.of("b"));
        assertThat(FieldLog.standing(List.of(first, mended)))
                .extracting(LogEntry::ref)
                .containsExactly("b");
        assertThat(FieldLog.standing(List.of(first, mended, taken))).isEmpty();
        List<LogEntry> foreign = new ArrayList<>(List.of(first));
        assertThat(FieldLog.into(SPRAYED.plan(), foreign)
                        .covers()
                        .get(0)
                        .checks()
                        .orElseThrow())
                .singleElement()
                .satisfies(c -> assertThat(c.id()).isEqualTo("a"));
    }

    @Test
    void what_cannot_be_is_refused_at_its_place() {
        org.assertj.core.api.Assertions.assertThatThrownBy(
                        () -> entry("a", "2027-04-30", gate("kill", "\"alivePercent\":150")))
                .isInstanceOfSatisfying(
                        Refused.class,
                        r -> assertThat(r.problems().get(0).pointer()).isEqualTo("/gate/alivePercent"));
        org.assertj.core.api.Assertions.assertThatThrownBy(
                        () -> entry("a", "2027-04-30", gate("mat", "\"matDepth\":{\"value\":6,\"unit\":\"kg\"}")))
                .isInstanceOfSatisfying(
                        Refused.class,
                        r -> assertThat(r.problems().get(0).pointer()).startsWith("/gate/matDepth"));
    }
}
