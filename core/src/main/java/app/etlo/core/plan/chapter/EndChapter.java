package app.etlo.core.plan.chapter;

import app.etlo.core.plan.document.PlanDocument.StandEntry;
import app.etlo.core.plan.timeline.CoverInTime;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.termination.EndResult;
import app.etlo.core.termination.Evidence;
import app.etlo.core.termination.Quadrat;
import app.etlo.core.termination.Stand;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The step End: when a cover is dead before planting, and what stands of it as typed or weighed. */
final class EndChapter {
    private EndChapter() {}

    /** By cover. */
    static Map<String, EndResult> of(List<CoverInTime> covers) {
        Map<String, EndResult> results = new LinkedHashMap<>();
        covers.forEach(c -> results.put(c.id(), cover(c)));
        return results;
    }

    private static EndResult cover(CoverInTime c) {
        String prefix = "end/" + c.id();
        return new EndResult(
                c.end()
                        .flatMap(e -> c.next()
                                .flatMap(CropInTime::planted)
                                .map(p -> e.daysBefore(prefix + "/daysBeforePlanting", p))),
                c.entry().stand().flatMap(s -> stand(prefix, s)));
    }

    private static Optional<Stand> stand(String prefix, StandEntry s) {
        return s.nitrogenPercent().flatMap(n -> {
            if (s.evidence() == Evidence.WEIGHED && s.quadrat().isPresent()) {
                return s.quadrat()
                        .map(q -> Stand.weighed(
                                prefix, new Quadrat(q.frameArea(), q.samples(), q.dryMatterPercent() / 100), n));
            }
            return s.biomass().map(b -> Stand.typed(prefix, s.evidence(), b, n));
        });
    }
}
