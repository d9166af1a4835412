package app.etlo.core.plan.chapter;

import app.etlo.core.advice.FieldFacts;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.plan.document.Context.FarmEntry;
import app.etlo.core.plan.document.FieldEntry;
import app.etlo.core.plan.growth.MixBench;
import app.etlo.core.quantity.Unit;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What is entered of a field, as judgements look at it. */
public final class EnteredFacts {
    private EnteredFacts() {}

    static FieldFacts of(FieldEntry f, FarmEntry farm, Knowledge knowledge) {
        return new FieldFacts(
                f.weeds().orElse(List.of()).stream()
                        .map(w -> new FieldFacts.Weed(
                                w.name(),
                                w.pressure(),
                                w.perennial().orElse(false),
                                w.underControl().orElse(false)))
                        .toList(),
                f.residuals().orElse(List.of()).stream()
                        .map(r -> MixBench.residual(f, r))
                        .toList(),
                f.residuals().isPresent(),
                f.soilTests().orElse(List.of()).stream()
                        .map(FieldEntry.SoilTest::date)
                        .max(Comparator.naturalOrder()),
                f.drainage(),
                MixBench.names(f.noxiousList()),
                f.certification(),
                f.pests().orElse(List.of()).stream()
                        .map(p -> new FieldFacts.Pest(p.name(), p.year()))
                        .toList(),
                f.panDepth().map(q -> q.in(Unit.CENTIMETRE)),
                f.penetrometer().map(q -> q.in(Unit.MEGAPASCAL)),
                f.history().orElse(List.of()).stream()
                        .flatMap(p -> grown(p, knowledge).stream())
                        .toList(),
                farm.familyGapYears().orElse(Map.of()),
                farm.experience(),
                f.penetrometerPercent(),
                spadeTests(f.spadeTests().orElse(List.of())),
                MixBench.ph(f));
    }

    private static List<FieldFacts.SpadeTest> spadeTests(List<FieldEntry.SpadeLayer> layers) {
        return layers.stream()
                .map(FieldEntry.SpadeLayer::on)
                .distinct()
                .sorted()
                .map(day -> spadeTest(
                        day, layers.stream().filter(l -> l.on().equals(day)).toList()))
                .toList();
    }

    /** The mean of a block weighted by the thickness of its layers (Ball et al. 2007). */
    private static FieldFacts.SpadeTest spadeTest(LocalDate day, List<FieldEntry.SpadeLayer> layers) {
        double from = 0;
        double sum = 0;
        double worst = 0;
        double worstFrom = 0;
        double worstTo = 0;
        for (FieldEntry.SpadeLayer l : layers) {
            double to = l.depth().in(Unit.CENTIMETRE);
            sum += l.score() * (to - from);
            if (l.score() > worst) {
                worst = l.score();
                worstFrom = from;
                worstTo = to;
            }
            from = to;
        }
        return new FieldFacts.SpadeTest(day, sum / from, worst, worstFrom, worstTo);
    }

    /** A crop of the past by its id or name; empty where the library has none like it. */
    private static Optional<FieldFacts.Grown> grown(FieldEntry.Past p, Knowledge knowledge) {
        return knowledge.crops().all().stream()
                .filter(c -> p.crop().equalsIgnoreCase(c.id()) || p.crop().equalsIgnoreCase(c.name()))
                .findFirst()
                .map(c -> new FieldFacts.Grown(p.year(), c.id(), c.name(), c.family()))
                .or(() -> knowledge.species().all().stream()
                        .filter(s ->
                                p.crop().equalsIgnoreCase(s.id()) || p.crop().equalsIgnoreCase(s.name()))
                        .findFirst()
                        .map(s -> new FieldFacts.Grown(p.year(), s.id(), s.name(), s.family())));
    }
}
