package app.etlo.core.plan.chapter;

import app.etlo.core.advice.FieldFacts;
import app.etlo.core.plan.document.FieldEntry;
import app.etlo.core.plan.growth.MixBench;
import app.etlo.core.quantity.Unit;
import java.util.Comparator;
import java.util.List;

/** What is entered of a field, as judgements look at it. */
public final class EnteredFacts {
    private EnteredFacts() {}

    static FieldFacts of(FieldEntry f) {
        return new FieldFacts(
                f.weeds().orElse(List.of()).stream()
                        .map(w -> new FieldFacts.Weed(
                                w.name(),
                                w.pressure(),
                                w.perennial().orElse(false),
                                w.underControl().orElse(false)))
                        .toList(),
                f.residuals().orElse(List.of()).stream()
                        .map(r -> new FieldFacts.Residual(r.activeIngredient(), r.appliedOn(), r.intervalMonths()))
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
                f.penetrometer().map(q -> q.in(Unit.MEGAPASCAL)));
    }
}
