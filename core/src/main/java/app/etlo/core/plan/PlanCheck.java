package app.etlo.core.plan;

import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.Library;
import app.etlo.core.plan.PlanDocument.AlternativeEntry;
import app.etlo.core.plan.PlanDocument.CheckEntry;
import app.etlo.core.plan.PlanDocument.ComponentEntry;
import app.etlo.core.plan.PlanDocument.CoverEntry;
import app.etlo.core.plan.PlanDocument.CropEntry;
import app.etlo.core.plan.PlanDocument.MixEntry;
import app.etlo.core.plan.PlanDocument.OperationEntry;
import app.etlo.core.plan.PlanDocument.ParamsEntry;
import app.etlo.core.plan.PlanDocument.QuadratEntry;
import app.etlo.core.quantity.Dimension;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** What the schema cannot say: ids that meet, names the library knows, units that measure what is asked. */
final class PlanCheck {
    /** Kinds of operation that may be done more than once to a crop or cover. */
    private static final Set<String> REPEATED = Set.of("pass", "graze", "irrigate");

    private static final double MOST_WATER_MM = 200;

    private final Knowledge knowledge;
    private final List<Problem> problems = new ArrayList<>();

    PlanCheck(Knowledge knowledge) {
        this.knowledge = knowledge;
    }

    List<Problem> problems(PlanDocument plan) {
        Set<String> cropIds = new HashSet<>();
        Set<String> ids = new HashSet<>();
        for (int i = 0; i < plan.crops().size(); i++) {
            CropEntry crop = plan.crops().get(i);
            cropIds.add(crop.id());
            unique(ids, crop.id(), "/crops/" + i + "/id");
            crop(crop, "/crops/" + i);
        }
        for (int i = 0; i < plan.covers().size(); i++) {
            unique(ids, plan.covers().get(i).id(), "/covers/" + i + "/id");
            cover(plan.covers().get(i), "/covers/" + i, cropIds);
        }
        Set<String> once = new HashSet<>();
        Set<String> subjects = Set.copyOf(ids);
        for (int i = 0; i < plan.operations().size(); i++) {
            OperationEntry op = plan.operations().get(i);
            String at = "/operations/" + i;
            unique(ids, op.id(), at + "/id");
            operation(op, at, subjects, cropIds);
            if (!REPEATED.contains(op.kind())
                    && !once.add(op.kind() + " " + op.subject().orElse(""))) {
                problem(
                        at + "/subject",
                        "'" + op.subject().orElse("") + "' already has a " + op.kind() + "; keep one of them");
            }
        }
        return List.copyOf(problems);
    }

    private void crop(CropEntry crop, String at) {
        known(knowledge.crops(), crop.crop(), at + "/crop", "crop");
        crop.yieldGoal()
                .ifPresent(
                        q -> unit(q, at + "/yieldGoal/unit", Dimension.MASS_PER_AREA, Dimension.GRAIN_VOLUME_PER_AREA));
        crop.nitrogen().ifPresent(n -> {
            String here = at + "/nitrogen";
            n.factor()
                    .ifPresent(q -> unit(
                            q,
                            here + "/factor/unit",
                            Dimension.NITROGEN_PER_YIELD,
                            Dimension.NITROGEN_PER_GRAIN_VOLUME));
            measures(n.need(), here + "/need", Dimension.MASS_PER_AREA);
            n.product().ifPresent(p -> known(knowledge.products(), p, here + "/product", "product"));
            measures(n.productPrice(), here + "/productPrice", Dimension.MONEY_PER_MASS);
        });
    }

    private void cover(CoverEntry cover, String at, Set<String> cropIds) {
        if (!cropIds.contains(cover.place().cropId())) {
            problem(at + "/place/cropId", "there is no crop '" + cover.place().cropId() + "' in this plan");
        }
        List<String> aims = cover.aims().orElse(List.of());
        for (int i = 0; i < aims.size(); i++) {
            known(knowledge.aims(), aims.get(i), at + "/aims/" + i, "aim");
        }
        cover.mix().ifPresent(mix -> mix(mix, at + "/mix"));
        List<AlternativeEntry> others = cover.alternatives().orElse(List.of());
        for (int i = 0; i < others.size(); i++) {
            mix(others.get(i).mix(), at + "/alternatives/" + i + "/mix");
        }
        cover.stand().ifPresent(stand -> {
            measures(stand.biomass(), at + "/stand/biomass", Dimension.MASS_PER_AREA);
            stand.quadrat().ifPresent(q -> quadrat(q, at + "/stand/quadrat"));
        });
        List<CheckEntry> checks = cover.checks().orElse(List.of());
        Set<String> ids = new HashSet<>();
        for (int i = 0; i < checks.size(); i++) {
            CheckEntry c = checks.get(i);
            String here = at + "/checks/" + i;
            if (!ids.add(c.id())) {
                problem(here + "/id", "'" + c.id() + "' stands twice");
            }
            c.quadrat().ifPresent(q -> quadrat(q, here + "/quadrat"));
            measures(c.plants(), here + "/plants", Dimension.COUNT_PER_AREA);
            measures(c.height(), here + "/height", Dimension.LENGTH);
            c.transect().ifPresent(t -> {
                for (int k = 0; k < t.hits().size(); k++) {
                    if (t.hits().get(k) > t.points()) {
                        problem(here + "/transect/hits/" + k, "more beads hit than a line has");
                    }
                }
            });
        }
    }

    private void quadrat(QuadratEntry q, String here) {
        unit(q.frameArea(), here + "/frameArea/unit", Dimension.AREA);
        if (q.frameArea().value() <= 0) {
            problem(here + "/frameArea/value", "a frame has an area above zero");
        }
        for (int i = 0; i < q.samples().size(); i++) {
            unit(q.samples().get(i), here + "/samples/" + i + "/unit", Dimension.MASS);
        }
    }

    private void mix(MixEntry mix, String at) {
        Set<String> species = new HashSet<>();
        for (int i = 0; i < mix.components().size(); i++) {
            component(mix.components().get(i), at + "/components/" + i, species);
        }
        mix.zones().ifPresent(z -> {
            measures(Optional.of(z.rowWidth()), at + "/zones/rowWidth", Dimension.LENGTH);
            measures(Optional.of(z.bandWidth()), at + "/zones/bandWidth", Dimension.LENGTH);
            boolean lengths = z.rowWidth().unit().dimension() == Dimension.LENGTH
                    && z.bandWidth().unit().dimension() == Dimension.LENGTH;
            if (lengths && z.rowWidth().in(Unit.METRE) < z.bandWidth().in(Unit.METRE)) {
                problem(at + "/zones/bandWidth", "the row zone is wider than the row");
            }
            if (lengths && z.rowWidth().value() <= 0) {
                problem(at + "/zones/rowWidth", "rows stand some way apart");
            }
        });
    }

    private void component(ComponentEntry c, String at, Set<String> taken) {
        known(knowledge.species(), c.species(), at + "/species", "species");
        if (!taken.add(c.species())) {
            problem(at + "/species", "'" + c.species() + "' stands twice in the mix; put its shares together");
        }
        measures(c.seeds(), at + "/seeds", Dimension.COUNT_PER_AREA);
        measures(c.rate(), at + "/rate", Dimension.MASS_PER_AREA);
    }

    private void operation(OperationEntry op, String at, Set<String> subjects, Set<String> cropIds) {
        op.subject()
                .filter(s -> !subjects.contains(s))
                .ifPresent(s -> problem(at + "/subject", "there is no crop or cover '" + s + "' in this plan"));
        if (op.subject().isEmpty() && !op.kind().equals("pass")) {
            problem(at + "/subject", "a " + op.kind() + " names the crop or cover it is done to");
        }
        boolean ofCrop = op.subject().map(cropIds::contains).orElse(false);
        if (!ofCrop && op.when().on().isEmpty()) {
            problem(at + "/when", "only a crop's own dates follow degree days or a market date; give a day");
        }
        ParamsEntry p = op.params().orElse(ParamsEntry.NONE);
        String here = at + "/params";
        p.method()
                .ifPresent(m -> known(
                        op.kind().equals("end") ? knowledge.terminationMethods() : knowledge.sowingMethods(),
                        m,
                        here + "/method",
                        "method"));
        p.operation().ifPresent(o -> known(knowledge.operations(), o, here + "/operation", "field operation"));
        if (op.kind().equals("pass") && p.operation().isEmpty()) {
            problem(here + "/operation", "a pass names its field operation");
        }
        if (op.kind().equals("graze")
                && (ofCrop || p.sharePercent().filter(v -> v > 0).isEmpty())) {
            problem(
                    ofCrop ? at + "/subject" : here + "/sharePercent",
                    ofCrop ? "stock graze a cover" : "grazing says how much of the tops is eaten");
        }
        if (op.kind().equals("irrigate")) {
            water(p, here);
        }
        p.system().ifPresent(s -> known(knowledge.plantingSystems(), s, here + "/system", "planting system"));
        measures(p.stripWidth(), here + "/stripWidth", Dimension.LENGTH);
        measures(p.rowWidth(), here + "/rowWidth", Dimension.LENGTH);
        measures(p.catchWidth(), here + "/catchWidth", Dimension.LENGTH);
        measures(p.catchDistance(), here + "/catchDistance", Dimension.LENGTH);
        measures(p.largeBox(), here + "/largeBox", Dimension.VOLUME);
        measures(p.smallBox(), here + "/smallBox", Dimension.VOLUME);
        measures(p.seedPlaced(), here + "/seedPlaced", Dimension.MASS_PER_AREA);
        measures(p.openerSpread(), here + "/openerSpread", Dimension.LENGTH);
        measures(p.depth(), here + "/depth", Dimension.LENGTH);
        measures(p.sownArea(), here + "/sownArea", Dimension.AREA);
        measures(p.speed(), here + "/speed", Dimension.SPEED);
        p.sownArea()
                .filter(q -> q.value() <= 0)
                .ifPresent(q -> problem(here + "/sownArea/value", "a sown area is above zero"));
        p.rowWidth()
                .filter(q -> q.value() <= 0)
                .ifPresent(q -> problem(here + "/rowWidth/value", "a row has a width above zero"));
        if (ofCrop && p.stripWidth().isPresent() && p.rowWidth().isPresent() && widerThanRow(p)) {
            problem(here + "/stripWidth/value", "a strip is no wider than its row");
        }
    }

    private void water(ParamsEntry p, String here) {
        if (p.depth().isEmpty()) {
            problem(here + "/depth", "an irrigation says how much water is given");
        }
        p.depth()
                .filter(q -> q.unit().dimension() == Dimension.LENGTH)
                .map(q -> q.in(Unit.MILLIMETRE))
                .filter(mm -> mm <= 0 || mm > MOST_WATER_MM)
                .ifPresent(
                        mm -> problem(here + "/depth/value", "one irrigation is above zero and no more than 200 mm"));
    }

    private static boolean widerThanRow(ParamsEntry p) {
        Quantity strip = p.stripWidth().orElseThrow();
        Quantity row = p.rowWidth().orElseThrow();
        return strip.unit().dimension() == Dimension.LENGTH
                && row.unit().dimension() == Dimension.LENGTH
                && strip.in(Unit.METRE) > row.in(Unit.METRE);
    }

    private void unique(Set<String> ids, String id, String at) {
        if (!ids.add(id)) {
            problem(at, "the id '" + id + "' is taken in this plan");
        }
    }

    private void known(Library<?> library, String id, String at, String what) {
        if (library.find(id).isEmpty()) {
            problem(at, "the library has no " + what + " '" + id + "'");
        }
    }

    private void measures(Optional<Quantity> q, String at, Dimension dimension) {
        q.ifPresent(v -> unit(v, at + "/unit", dimension));
    }

    private void unit(Quantity q, String at, Dimension... allowed) {
        List<Dimension> dimensions = Arrays.asList(allowed);
        if (!dimensions.contains(q.unit().dimension())) {
            String right = Arrays.stream(Unit.values())
                    .filter(u -> dimensions.contains(u.dimension()))
                    .map(Unit::symbol)
                    .filter(s -> !s.isEmpty())
                    .collect(Collectors.joining(", "));
            problem(at, "'" + q.unit().symbol() + "' does not fit here; use one of " + right);
        }
    }

    private void problem(String pointer, String message) {
        problems.add(new Problem(pointer, message));
    }
}
