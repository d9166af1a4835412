package app.etlo.core.plan.chapter;

import app.etlo.core.advice.EndFacts;
import app.etlo.core.ground.WinterStand;
import app.etlo.core.knowledge.TerminationMethod;
import app.etlo.core.plan.document.FieldEntry;
import app.etlo.core.plan.document.PlanDocument.FallbackEntry;
import app.etlo.core.plan.timeline.CoverInTime;
import app.etlo.core.plan.timeline.PlanInTime;
import app.etlo.core.quantity.Shown;
import app.etlo.core.termination.EndPlanned;
import app.etlo.core.termination.Fallback;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Plan B of a cover: what can go wrong with its end, when that is looked at, what is done then, by when, at what cost. */
final class EndFallbacks {
    /** A mulch is weighed so long before it is rolled: then there is time for another way. */
    private static final int WEIGHED_DAYS = 10;
    /** A kill is checked 7 to 14 days after. */
    private static final int CHECKED_DAYS = 10;
    /** What winter was to kill is looked at so long before planting. */
    private static final int LOOKED_DAYS = 28;

    private static final int AFTER_PLANTING_DAYS = 5;
    private static final double SURE = 0.1;

    private final PlanInTime plan;
    private final CoverInTime cover;
    private final EndPlanned planned;
    private final EndFacts facts;
    private final Optional<WinterStand> winter;
    private final boolean organic;

    EndFallbacks(PlanInTime plan, CoverInTime cover, EndPlanned planned, EndFacts facts, Optional<WinterStand> winter) {
        this.plan = plan;
        this.cover = cover;
        this.planned = planned;
        this.facts = facts;
        this.winter = winter;
        this.organic = plan.context()
                .field()
                .certification()
                .filter(c -> !c.equals("conventional"))
                .isPresent();
    }

    List<Fallback> all() {
        List<Fallback> found = new ArrayList<>();
        if (planned.passes().isEmpty()) {
            return found;
        }
        EndPlanned.Pass first = planned.passes().get(0);
        EndPlanned.Pass last = planned.passes().get(planned.passes().size() - 1);
        boolean rolls = planned.passes().stream().anyMatch(p -> p.method().rolls());
        boolean mulch = rolls || cover.entry().aims().orElse(List.of()).contains("mulch");
        Optional<LocalDate> planting = planned.planting().map(EndPlanned.Planting::on);
        winter.filter(w -> w.day().isBefore(first.on())
                        && w.day().isAfter(cover.sown().orElse(w.day())))
                .ifPresent(w -> found.add(thin(w, mulch, first)));
        if (mulch && !first.method().isWinter()) {
            found.add(shortMulch(first, planting));
        }
        if (first.method().isWinter()) {
            found.add(aliveAfterWinter(first, planting));
        } else {
            found.add(notKilled(last, planting));
        }
        return found;
    }

    private Fallback thin(WinterStand w, boolean mulch, EndPlanned.Pass first) {
        return new Fallback(
                "thin",
                "it is thin by dormancy",
                w.day(),
                Optional.of(w.day().plusDays(14)),
                mulch
                        ? "The mulch will not hold weeds: plan the next crop with "
                                + (organic ? "cultivation" : "a residual or cultivation")
                                + ", and end the cover early for its nitrogen and water. Ask whether it can still be sown"
                                + " thicker (step Sow)."
                        : "End it as planned or sooner; what it gives is counted by what stands.",
                Optional.of(usual(first)),
                cost(usual(first)),
                taken("thin"));
    }

    private Fallback shortMulch(EndPlanned.Pass first, Optional<LocalDate> planting) {
        LocalDate look = first.on().minusDays(WEIGHED_DAYS);
        boolean herbicide = !organic;
        String method = herbicide ? "roll-and-burndown" : "till";
        // tillage needs its own weeks before planting; where they are over by the look, nothing can be done
        Optional<LocalDate> by = herbicide
                ? Optional.of(first.on())
                : planting.map(p -> p.minusDays(plan.knowledge()
                                .terminationMethods()
                                .get("till")
                                .practice()
                                .gapDays()))
                        .filter(d -> !d.isBefore(look));
        return new Fallback(
                "short-mulch",
                "the mulch falls short before rolling",
                look,
                by,
                herbicide
                        ? "Weigh quadrats. Under the floor of a mulch: roll and spray, and plan weed control in the crop."
                        : by.isPresent()
                                ? "Weigh quadrats. Under the floor of a mulch: work it in by then, plant into tilled soil and"
                                        + " cultivate: after planting there is no rescue."
                                : "Weigh quadrats sooner: by that day tillage comes too late for this planting, and where no"
                                        + " herbicide may follow a thin mulch has no rescue after it. A later planting is what is"
                                        + " left.",
                by.map(d -> method),
                by.flatMap(d -> cost(method)),
                taken("short-mulch"));
    }

    private Fallback aliveAfterWinter(EndPlanned.Pass first, Optional<LocalDate> planting) {
        String method = organic ? "till" : "burndown";
        int gap = Math.max(
                10, plan.knowledge().terminationMethods().get(method).practice().gapDays());
        LocalDate look = planting.map(p -> p.minusDays(LOOKED_DAYS)).orElse(first.on());
        return new Fallback(
                "alive-after-winter",
                "winter leaves it alive, which it does in "
                        + (facts.stand().aliveShare() < SURE
                                ? "under 1 year of 10"
                                : Math.round(10 * facts.stand().aliveShare()) + " years of 10"),
                look,
                planting.map(p -> p.minusDays(gap)).or(() -> Optional.of(look.plusDays(14))),
                "End it by " + name(method) + " while it is small.",
                Optional.of(method),
                cost(method),
                taken("alive-after-winter"));
    }

    private Fallback notKilled(EndPlanned.Pass last, Optional<LocalDate> planting) {
        LocalDate look = last.on().plusDays(CHECKED_DAYS);
        boolean sprayed = last.method().usesHerbicide();
        String method =
                organic ? (owns("mower") ? "mow" : last.method().rolls() ? "roller-crimper" : "till") : "burndown";
        boolean moves = method.equals("till");
        Optional<LocalDate> by = planting.map(p -> moves ? p.minusDays(1) : p.plusDays(AFTER_PLANTING_DAYS))
                .or(() -> Optional.of(look.plusDays(14)));
        boolean open = by.filter(d -> !d.isBefore(look)).isPresent();
        return new Fallback(
                "not-killed",
                "the kill fails",
                look,
                open ? by : Optional.empty(),
                open
                        ? (sprayed
                                        ? "A second spray by another mode of action, as far as the label's yearly cap allows."
                                        : "A second pass by " + name(method) + ".")
                                + planting.map(p -> " After " + Shown.date(p.plusDays(AFTER_PLANTING_DAYS))
                                                + " the crop is up: then only what it bears, between the rows.")
                                        .orElse("")
                        : "By the day the kill shows, the crop is up: only what it bears, between the rows. End the cover"
                                + " earlier, or plant later, if that is no plan.",
                open ? Optional.of(method) : Optional.empty(),
                open ? cost(method) : Optional.empty(),
                taken("not-killed"));
    }

    private boolean owns(String kind) {
        return plan.context().field().equipment().orElse(List.of()).stream()
                .map(FieldEntry.Machine::kind)
                .anyMatch(kind::equals);
    }

    private String usual(EndPlanned.Pass first) {
        return organic
                ? "till"
                : first.method().usesHerbicide() ? first.method().id() : "burndown";
    }

    private String name(String method) {
        return plan.knowledge().terminationMethods().get(method).name().toLowerCase(Locale.ROOT);
    }

    private Optional<app.etlo.core.quantity.Band> cost(String method) {
        TerminationMethod m = plan.knowledge().terminationMethods().get(method);
        return Optional.of(m.practice().costPerHa()).filter(b -> b.high() > 0);
    }

    private boolean taken(String id) {
        return cover.entry().fallbacks().orElse(List.of()).stream()
                .map(FallbackEntry::when)
                .anyMatch(id::equals);
    }
}
