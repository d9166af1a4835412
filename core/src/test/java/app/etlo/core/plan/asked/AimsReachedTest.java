package app.etlo.core.plan.asked;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.etlo.core.mix.AimDelivery;
import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.asked.AimsReached.AimsView;
import app.etlo.core.plan.asked.AimsReached.ReachView;
import app.etlo.core.plan.asked.AimsReached.StartView;
import app.etlo.core.plan.asked.AimsReached.Verdict;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.document.Refused;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Which aims a window lets a cover reach, which pull apart, and where to start. */
class AimsReachedTest {
    private static final Evaluated SUMMER = plan(
            "\"texture\":\"silt loam\",\"slopePercent\":6,\"station\":\"tarrow-ridge\",\"point\":{\"lat\":43,\"lon\":-30}",
            "grain-corn",
            "2027-08-15",
            "2028-05-05");

    private static Evaluated plan(String field, String next, String sown, String ended) {
        return FieldPlans.of()
                .field(field)
                .crop("winter-wheat", "2026-10-04", "2027-07-18")
                .crop(next, "2028-05-10", "2028-10-15")
                .coverWithAims("v1", "before", "c2", List.of("mulch", "fix-nitrogen", "feed-stock"), "cereal-rye")
                .operation("sow", "v1", sown, "\"method\":\"drilled\"")
                .operation("end", "v1", ended, "\"method\":\"burndown\"")
                .evaluated();
    }

    private static ReachView reach(AimsView v, String aim) {
        return v.aims().stream().filter(a -> a.aim().equals(aim)).findFirst().orElseThrow();
    }

    @Test
    void every_aim_that_can_be_measured_has_a_verdict_by_what_serves_it_best() {
        AimsView v = AimsReached.of(SUMMER, "v1");
        assertThat(v.aims()).hasSize(13);
        ReachView fixed = reach(v, "fix-nitrogen");
        assertThat(fixed.verdict()).isEqualTo(Verdict.WELL);
        assertThat(fixed.by()).hasSizeBetween(1, 3).extracting(b -> b.species()).contains("hairy-vetch");
        for (ReachView r : v.aims()) {
            if (!r.by().isEmpty() && !r.aim().equals("manage-water")) {
                double best = r.by().get(0).gives().value();
                double unit = AimDelivery.unit(r.aim())
                        .to(
                                SUMMER.units().shown(AimDelivery.unit(r.aim())),
                                AimDelivery.useful(r.aim()).well());
                assertThat(r.verdict() == Verdict.WELL).as(r.aim()).isEqualTo(best >= unit);
            }
        }
        // each number opens its working
        String id = fixed.by().get(0).gives().id();
        assertThat(AimsReached.figure(SUMMER, id).orElseThrow().middle())
                .isEqualTo(fixed.by().get(0).gives().value());
        assertThat(AimsReached.figure(SUMMER, "mix/v1/bulk")).isEmpty();
    }

    /** Sown in late October at 43° N and killed in April nothing fixes nitrogen worth the seed. */
    @Test
    void a_short_window_reaches_less() {
        AimsView late = AimsReached.of(
                plan(
                        "\"texture\":\"silt loam\",\"station\":\"tarrow-ridge\",\"point\":{\"lat\":43,\"lon\":-30}",
                        "grain-corn",
                        "2027-10-25",
                        "2028-04-20"),
                "v1");
        assertThat(reach(late, "fix-nitrogen").verdict()).isIn(Verdict.LITTLE, Verdict.NONE);
        assertThat(reach(late, "mulch").verdict()).isIn(Verdict.LITTLE, Verdict.NONE);
        assertThat(late.start()).noneMatch(s -> s.aim().equals("fix-nitrogen"));
    }

    @Test
    void aims_that_pull_against_each_other_are_told_with_their_numbers() {
        AimsView v = AimsReached.of(SUMMER, "v1");
        assertThat(v.pulls()).anySatisfy(p -> assertThat(p.words()).contains("two thirds leave"));
        assertThat(v.pulls())
                .anySatisfy(p ->
                        assertThat(p.words()).contains("keeps the seedbed cool").contains("grain corn"));
        assertThat(v.pulls()).allSatisfy(p -> assertThat(p.aims()).isSubsetOf("mulch", "fix-nitrogen", "feed-stock"));
    }

    @Test
    void the_order_to_start_from_follows_the_field_and_the_next_crop() {
        List<StartView> corn = AimsReached.of(SUMMER, "v1").start();
        assertThat(corn.get(0).aim()).isEqualTo("protect-soil");
        assertThat(corn.get(0).because()).contains("slopes 6 %");
        assertThat(corn).extracting(StartView::aim).contains("fix-nitrogen").doesNotHaveDuplicates();
        List<StartView> soybean = AimsReached.of(
                        plan(
                                "\"texture\":\"silt loam\",\"station\":\"tarrow-ridge\",\"point\":{\"lat\":43,\"lon\":-30}",
                                "soybean",
                                "2027-09-05",
                                "2028-05-20"),
                        "v1")
                .start();
        assertThat(soybean.get(0).aim()).isEqualTo("suppress-weeds");
        assertThat(soybean).noneMatch(s -> s.aim().equals("fix-nitrogen"));
    }

    /** Rolled in April vetch lives on: the step Mix leaves it out of a proposal, and so do the aims, and say it. */
    @Test
    void what_the_planned_end_leaves_alive_is_not_counted_on() {
        Evaluated rolled = FieldPlans.of()
                .crop("winter-wheat", "2026-10-04", "2027-07-18")
                .crop("grain-corn", "2028-05-10", "2028-10-15")
                .coverWithAims("v1", "before", "c2", List.of("fix-nitrogen"), "cereal-rye")
                .operation("sow", "v1", "2027-08-15", "\"method\":\"drilled\"")
                .operation("end", "v1", "2028-04-28", "\"method\":\"roller-crimper\"")
                .evaluated();
        ReachView fixed = reach(AimsReached.of(rolled, "v1"), "fix-nitrogen");
        assertThat(fixed.by()).noneMatch(b -> b.species().equals("hairy-vetch"));
        assertThat(fixed.said().orElseThrow()).contains("would give more");
    }

    @Test
    void no_cover_of_that_name() {
        assertThatThrownBy(() -> AimsReached.of(SUMMER, "v9")).isInstanceOf(Refused.class);
    }
}
