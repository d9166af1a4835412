package app.etlo.core.plan.chapter;

import app.etlo.core.ground.GrownCover;
import app.etlo.core.plan.document.PlanDocument.StandEntry;
import app.etlo.core.plan.growth.StandSeen;
import app.etlo.core.plan.timeline.CoverInTime;
import app.etlo.core.plan.timeline.PlanInTime;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.termination.EndGaps;
import app.etlo.core.termination.EndPlanned;
import app.etlo.core.termination.EndResult;
import app.etlo.core.termination.EndRule;
import app.etlo.core.termination.Fallback;
import app.etlo.core.termination.Quadrat;
import app.etlo.core.termination.Stand;
import app.etlo.core.termination.StandForecast;
import java.util.List;
import java.util.Optional;

/** The step End: when a cover is dead before planting, and what stands of it. */
final class EndChapter {
    private EndChapter() {}

    /**
     * @param grown what the cover comes to when it ends, brought to what was said of its stand
     * @param planned its passes, with what follows
     * @param fallbacks what is done if it fails
     * @param seen what was said of it, where it acts on the course
     */
    static EndResult of(
            PlanInTime plan,
            CoverInTime c,
            Optional<GrownCover> grown,
            Optional<StandSeen> seen,
            double errorOfForecast,
            EndPlanned planned,
            List<Fallback> fallbacks) {
        String prefix = "end/" + c.id();
        return new EndResult(
                c.end()
                        .flatMap(e -> c.next()
                                .flatMap(CropInTime::planted)
                                .map(p -> e.daysBefore(prefix + "/daysBeforePlanting", p))),
                c.entry()
                        .stand()
                        .flatMap(s -> s.on().isPresent() && seen.isPresent()
                                ? grown.flatMap(g -> Stand.since(prefix, s.evidence(), g))
                                : said(prefix, s, grown))
                        .or(() -> grown.flatMap(g -> Stand.simulated(prefix, g)))
                        .map(s -> c.endsOn().map(d -> s.of(c.id(), d)).orElse(s)),
                seen.flatMap(s -> StandForecast.of(prefix + "/forecast", s.forecast(), errorOfForecast)),
                EndGaps.of(planned, EndPlanning.labels(plan)),
                EndRule.of(planned, EndPlanning.rules(plan)),
                EndPlanning.tanks(plan, c, plan.area()),
                fallbacks);
    }

    private static Optional<Stand> said(String prefix, StandEntry s, Optional<GrownCover> grown) {
        Optional<Quadrat> quadrat = StandSeen.cuts(s);
        boolean saysNothing = quadrat.isEmpty()
                && s.biomass().isEmpty()
                && s.nitrogenPercent().isEmpty();
        return saysNothing
                ? Optional.empty()
                : Stand.said(prefix, s.evidence(), s.biomass(), quadrat, s.nitrogenPercent(), grown);
    }
}
