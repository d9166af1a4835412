package app.etlo.core.plan.chapter;

import app.etlo.core.knowledge.Species;
import app.etlo.core.mix.BloomClock;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.document.Operation.EndPassEntry;
import app.etlo.core.plan.document.PlanLookup;
import app.etlo.core.plan.timeline.CoverInTime;
import app.etlo.core.plan.timeline.DatedBy;
import app.etlo.core.plan.timeline.PlanInTime;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.termination.EndGaps;
import app.etlo.core.termination.EndPlanned;
import app.etlo.core.termination.EndRule;
import app.etlo.core.termination.SprayTank;
import app.etlo.core.working.Figure;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The end of a cover as the plan has it, with what binds it on this farm. */
public final class EndPlanning {
    private EndPlanning() {}

    /**
     * @param clocks when its species flower
     */
    public static EndPlanned of(PlanInTime plan, CoverInTime cover, List<BloomClock> clocks) {
        Optional<Operation.End> end = end(plan, cover);
        Optional<LocalDate> on = end.flatMap(o -> day(plan, o.id()));
        List<EndPlanned.Pass> passes = end.flatMap(o -> on.map(d -> o.passes().stream()
                        .map(p -> new EndPlanned.Pass(
                                d.plusDays(p.afterDays().orElse(0)),
                                plan.knowledge().terminationMethods().get(p.method()),
                                p.spray().flatMap(Operation.SprayEntry::product)))
                        .sorted(Comparator.comparing(EndPlanned.Pass::on))
                        .toList()))
                .orElse(List.of());
        return new EndPlanned(
                passes,
                cover.next().flatMap(n -> n.planted().map(d -> new EndPlanned.Planting(d, n.crop()))),
                new PlanLookup(plan.plan())
                        .all(Operation.Graze.class)
                        .filter(g -> g.subject().equals(Optional.of(cover.id())))
                        .flatMap(g -> day(plan, g.id()).stream())
                        .toList(),
                cover.species().stream().map(Species::group).anyMatch(g -> g.isGrass()),
                clocks.stream()
                        .filter(c -> c.bloomYears() * 2 > c.years())
                        .flatMap(c -> c.blooms().stream())
                        .map(BloomClock.Span::early)
                        .min(Comparator.naturalOrder()));
    }

    static Optional<Operation.End> end(PlanInTime plan, CoverInTime cover) {
        return new PlanLookup(plan.plan()).first(Operation.End.class, cover.id());
    }

    private static Optional<LocalDate> day(PlanInTime plan, String operation) {
        return Optional.ofNullable(plan.dates().all().get(operation)).map(DatedBy::on);
    }

    public static EndRule.Rules rules(PlanInTime plan) {
        return EndRule.Rules.of(
                plan.context().farm().endRules().orElse(Map.of()),
                plan.knowledge().endZones().byId());
    }

    public static List<EndGaps.Label> labels(PlanInTime plan) {
        return plan.context().farm().labelIntervals().orElse(List.of()).stream()
                .map(l -> new EndGaps.Label(l.product(), l.event(), l.crop(), l.days(), l.mostDays()))
                .toList();
    }

    /** Tank arithmetic of the passes that spray. */
    static List<SprayTank> tanks(PlanInTime plan, CoverInTime cover, Figure area) {
        return end(plan, cover).stream()
                .flatMap(o -> o.passes().stream())
                .filter(p -> p.spray().isPresent()
                        && plan.knowledge().terminationMethods().get(p.method()).usesHerbicide())
                .map(p -> tank(cover, p, area))
                .toList();
    }

    private static SprayTank tank(CoverInTime cover, EndPassEntry p, Figure area) {
        Operation.SprayEntry s = p.spray().orElseThrow();
        return SprayTank.of(
                "end/" + cover.id(),
                p.id(),
                area,
                s.treatedPercent().orElse(100.0),
                s.rate(),
                s.strength(),
                s.volume(),
                s.tank());
    }

    /** The planting of the crop that follows. */
    static Optional<LocalDate> planted(CoverInTime cover) {
        return cover.next().flatMap(CropInTime::planted);
    }
}
