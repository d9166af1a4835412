package app.etlo.core.plan.document;

import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.Library;
import app.etlo.core.plan.document.PlanDocument.AlternativeEntry;
import app.etlo.core.plan.document.PlanDocument.CheckEntry;
import app.etlo.core.plan.document.PlanDocument.ComponentEntry;
import app.etlo.core.plan.document.PlanDocument.CoverEntry;
import app.etlo.core.plan.document.PlanDocument.CropEntry;
import app.etlo.core.plan.document.PlanDocument.FallbackEntry;
import app.etlo.core.plan.document.PlanDocument.MixEntry;
import app.etlo.core.plan.document.PlanDocument.QuadratEntry;
import app.etlo.core.plan.document.PlanDocument.ResponseEntry;
import app.etlo.core.quantity.Dimension;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import app.etlo.core.termination.Fallback;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** What the schema cannot say: ids that meet, names the library knows, units that measure what is asked. */
public final class PlanCheck {
    /** Kinds of operation that may be done more than once to a crop or cover. */
    private static final Set<String> REPEATED = Set.of("pass", "feed", "graze", "irrigate");

    private static final double HIGHEST_STUBBLE_CM = 200;
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
            Operation op = plan.operations().get(i);
            String at = "/operations/" + i;
            unique(ids, op.id(), at + "/id");
            operation(op, at, plan, subjects, cropIds);
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
            measures(n.ceiling(), here + "/ceiling", Dimension.MASS_PER_AREA);
            dayOfYear(n.closedFrom(), here + "/closedFrom");
            dayOfYear(n.closedTo(), here + "/closedTo");
            n.product().ifPresent(p -> known(knowledge.products(), p, here + "/product", "product"));
            measures(n.productPrice(), here + "/productPrice", Dimension.MONEY_PER_MASS);
            n.standBefore().ifPresent(s -> measures(s.regrowth(), here + "/standBefore/regrowth", Dimension.LENGTH));
            n.response().ifPresent(r -> response(r, here + "/response"));
        });
    }

    private void dayOfYear(Optional<String> day, String at) {
        day.filter(d -> !ProblemList.isDayOfYear(d)).ifPresent(d -> problem(at, ProblemList.A_DAY_OF_YEAR));
    }

    private void response(ResponseEntry r, String at) {
        measures(r.grainPrice(), at + "/grainPrice", Dimension.MONEY_PER_MASS);
        measures(r.nitrogenPrice(), at + "/nitrogenPrice", Dimension.MONEY_PER_MASS);
        List<PlanDocument.TriedEntry> tried = r.tried().orElse(List.of());
        for (int i = 0; i < tried.size(); i++) {
            unit(tried.get(i).rate(), at + "/tried/" + i + "/rate/unit", Dimension.MASS_PER_AREA);
            unit(
                    tried.get(i).yield(),
                    at + "/tried/" + i + "/yield/unit",
                    Dimension.MASS_PER_AREA,
                    Dimension.GRAIN_VOLUME_PER_AREA);
        }
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
        List<FallbackEntry> fallbacks = cover.fallbacks().orElse(List.of());
        for (int i = 0; i < fallbacks.size(); i++) {
            FallbackEntry f = fallbacks.get(i);
            String here = at + "/fallbacks/" + i;
            if (!Fallback.WHAT.contains(f.when())) {
                problem(here + "/if", "one of " + String.join(", ", Fallback.WHAT));
            }
            for (int j = 0; j < f.passes().size(); j++) {
                known(
                        knowledge.terminationMethods(),
                        f.passes().get(j).method(),
                        here + "/passes/" + j + "/method",
                        "method");
            }
        }
        List<CheckEntry> checks = cover.checks().orElse(List.of());
        Set<String> ids = new HashSet<>();
        for (int i = 0; i < checks.size(); i++) {
            CheckEntry c = checks.get(i);
            String here = at + "/checks/" + i;
            if (!ids.add(c.id())) {
                problem(here + "/id", "'" + c.id() + "' stands twice");
            }
            check(c, here);
        }
    }

    /** What is wrong with one check alone, at its places. */
    List<Problem> problems(CheckEntry alone) {
        check(alone, "");
        alone.species().ifPresent(s -> known(knowledge.species(), s, "/species", "species"));
        return problems;
    }

    private void check(CheckEntry c, String here) {
        c.quadrat().ifPresent(q -> quadrat(q, here + "/quadrat"));
        measures(c.plants(), here + "/plants", Dimension.COUNT_PER_AREA);
        measures(c.height(), here + "/height", Dimension.LENGTH);
        measures(c.tillers(), here + "/tillers", Dimension.COUNT_PER_AREA);
        c.gate().ifPresent(g -> {
            measures(g.matDepth(), here + "/gate/matDepth", Dimension.LENGTH);
            measures(g.clumpDepth(), here + "/gate/clumpDepth", Dimension.LENGTH);
        });
        c.transect().ifPresent(t -> {
            for (int k = 0; k < t.hits().size(); k++) {
                if (t.hits().get(k) > t.points()) {
                    problem(here + "/transect/hits/" + k, "more beads hit than a line has");
                }
            }
        });
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
        mix.bag().ifPresent(b -> measures(Optional.of(b.rate()), at + "/bag/rate", Dimension.MASS_PER_AREA));
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

    private void operation(Operation op, String at, PlanDocument plan, Set<String> subjects, Set<String> cropIds) {
        op.subject()
                .filter(s -> !subjects.contains(s))
                .ifPresent(s -> problem(at + "/subject", "there is no crop or cover '" + s + "' in this plan"));
        boolean ofCrop = op.subject().map(cropIds::contains).orElse(false);
        date(op, at + "/when", ofCrop, plan);
        op.zone()
                .filter(z -> !z.equals("whole") && (ofCrop || !(op instanceof Operation.Sow)))
                .ifPresent(z -> problem(at + "/zone", "only the sowing of a cover is limited to a zone"));
        op.as(new Members(at, ofCrop));
    }

    private void date(Operation op, String at, boolean ofCrop, PlanDocument plan) {
        if (!ofCrop
                && (op.when().degreeDays().isPresent()
                        || op.when().countedBack().isPresent())) {
            problem(at, "only a crop's own dates follow degree days or a market date; give a day");
        }
        op.when().offset().ifPresent(x -> {
            Optional<Operation> from = new PlanLookup(plan).operation(x.from());
            if (from.isEmpty()) {
                problem(at + "/offset/from", "there is no operation '" + x.from() + "' in this plan");
            } else if (from.get().when().offset().isPresent()) {
                problem(at + "/offset/from", "the day of '" + x.from() + "' follows another one itself; name that one");
            }
        });
    }

    /** The members of an operation, by its kind. */
    private final class Members implements Operation.Cases<Void> {
        private final String at;
        private final boolean ofCrop;

        Members(String at, boolean ofCrop) {
            this.at = at;
            this.ofCrop = ofCrop;
        }

        @Override
        public Void sow(Operation.Sow o) {
            o.method().ifPresent(m -> known(knowledge.sowingMethods(), m, at + "/method", "method"));
            o.tool().ifPresent(t -> known(knowledge.operations(), t, at + "/tool", "field operation"));
            measures(o.depth(), at + "/depth", Dimension.LENGTH);
            measures(o.speed(), at + "/speed", Dimension.SPEED);
            measures(o.catchWidth(), at + "/catchWidth", Dimension.LENGTH);
            measures(o.catchDistance(), at + "/catchDistance", Dimension.LENGTH);
            measures(o.largeBox(), at + "/largeBox", Dimension.VOLUME);
            measures(o.smallBox(), at + "/smallBox", Dimension.VOLUME);
            measures(o.sownArea(), at + "/sownArea", Dimension.AREA);
            o.sownArea()
                    .filter(q -> q.value() <= 0)
                    .ifPresent(q -> problem(at + "/sownArea/value", "a sown area is above zero"));
            o.withSeed().ifPresent(w -> {
                measures(w.nAndK2O(), at + "/withSeed/nAndK2O", Dimension.MASS_PER_AREA);
                measures(w.openerSpread(), at + "/withSeed/openerSpread", Dimension.LENGTH);
            });
            o.rows().ifPresent(r -> rows(r, at + "/rows"));
            o.sownAs().ifPresent(a -> sownAs(a, at + "/sownAs"));
            o.seedbedCheck().ifPresent(c -> {
                measures(c.heelSinks(), at + "/seedbedCheck/heelSinks", Dimension.LENGTH);
                measures(c.moistFrom(), at + "/seedbedCheck/moistFrom", Dimension.LENGTH);
                measures(c.weeds(), at + "/seedbedCheck/weeds", Dimension.COUNT_PER_AREA);
            });
            List<Operation.InoculantEntry> inoculants = o.inoculants().orElse(List.of());
            for (int i = 0; i < inoculants.size(); i++) {
                measures(inoculants.get(i).dose(), at + "/inoculants/" + i + "/dose", Dimension.SHARE);
                measures(inoculants.get(i).price(), at + "/inoculants/" + i + "/price", Dimension.MONEY_PER_MASS);
            }
            return null;
        }

        private void sownAs(Operation.SownAsEntry a, String here) {
            measures(a.basinRadius(), here + "/basinRadius", Dimension.LENGTH);
            measures(a.stripWidth(), here + "/stripWidth", Dimension.LENGTH);
            measures(a.stripEvery(), here + "/stripEvery", Dimension.LENGTH);
            Optional<Double> every = metres(a.stripEvery());
            if (every.isPresent()
                    && metres(a.stripWidth()).filter(w -> w > every.get()).isPresent()) {
                problem(here + "/stripWidth/value", "a strip is no wider than from strip to strip");
            }
        }

        private void rows(Operation.RowsEntry r, String here) {
            measures(r.spacing(), here + "/spacing", Dimension.LENGTH);
            measures(r.strip(), here + "/strip", Dimension.LENGTH);
            r.spacing()
                    .filter(q -> q.value() <= 0)
                    .ifPresent(q -> problem(here + "/spacing/value", "a row has a width above zero"));
            Optional<Double> spacing = metres(r.spacing());
            if (ofCrop
                    && metres(r.strip())
                            .filter(s -> spacing.filter(w -> s > w).isPresent())
                            .isPresent()) {
                problem(here + "/strip/value", "a strip is no wider than its row");
            }
        }

        private Optional<Double> metres(Optional<Quantity> q) {
            return q.filter(v -> v.unit().dimension() == Dimension.LENGTH).map(v -> v.in(Unit.METRE));
        }

        @Override
        public Void end(Operation.End o) {
            Set<String> ids = new HashSet<>();
            for (int i = 0; i < o.passes().size(); i++) {
                String here = at + "/passes/" + i;
                known(knowledge.terminationMethods(), o.passes().get(i).method(), here + "/method", "method");
                if (!ids.add(o.passes().get(i).id())) {
                    problem(here + "/id", "'" + o.passes().get(i).id() + "' is used twice");
                }
                o.passes().get(i).spray().ifPresent(s -> spray(s, here + "/spray"));
                if (i == 0 && o.passes().get(0).afterDays().filter(d -> d > 0).isPresent()) {
                    problem(here + "/afterDays", "the first pass is on the day of the end");
                }
            }
            return null;
        }

        private void spray(Operation.SprayEntry s, String here) {
            measures(s.strength(), here + "/strength", Dimension.MASS_PER_VOLUME);
            s.rate().ifPresent(q -> unit(q, here + "/rate/unit", Dimension.MASS_PER_AREA, Dimension.VOLUME_PER_AREA));
            measures(s.volume(), here + "/volume", Dimension.VOLUME_PER_AREA);
            measures(s.tank(), here + "/tank", Dimension.VOLUME);
            positive(s.rate(), here + "/rate");
            positive(s.volume(), here + "/volume");
            positive(s.tank(), here + "/tank");
            if (s.strength().isPresent()
                    && s.rate()
                            .filter(q -> q.unit().dimension() == Dimension.MASS_PER_AREA)
                            .isPresent()) {
                problem(here + "/strength", "a strength per volume needs a rate by volume");
            }
        }

        private void positive(Optional<Quantity> q, String here) {
            q.filter(v -> v.value() <= 0).ifPresent(v -> problem(here + "/value", "above zero"));
        }

        @Override
        public Void pass(Operation.Pass o) {
            known(knowledge.operations(), o.tool(), at + "/tool", "field operation");
            measures(o.depth(), at + "/depth", Dimension.LENGTH);
            measures(o.speed(), at + "/speed", Dimension.SPEED);
            o.system().ifPresent(s -> known(knowledge.plantingSystems(), s, at + "/system", "planting system"));
            return null;
        }

        @Override
        public Void feed(Operation.Feed o) {
            known(knowledge.products(), o.material().product(), at + "/material/product", "product");
            unit(o.rate(), at + "/rate/unit", Dimension.MASS_PER_AREA);
            return null;
        }

        @Override
        public Void graze(Operation.Graze o) {
            if (ofCrop) {
                problem(at + "/subject", "stock graze a cover");
            } else if (o.takePercent() <= 0) {
                problem(at + "/takePercent", "grazing says how much of the tops is eaten");
            }
            o.stock().ifPresent(s -> {
                known(knowledge.stockClasses(), s.kind(), at + "/stock/class", "class of stock");
                measures(s.liveWeight(), at + "/stock/liveWeight", Dimension.MASS);
                s.liveWeight()
                        .filter(w -> w.unit().dimension() == Dimension.MASS)
                        .filter(w -> w.in(Unit.KILOGRAM) < 1 || w.in(Unit.KILOGRAM) > 2000)
                        .ifPresent(w -> problem(
                                at + "/stock/liveWeight/value",
                                "the live weight of one head, 1 to 2000 kg (4,400 lb)"));
            });
            measures(o.residualHeight(), at + "/residualHeight", Dimension.LENGTH);
            positive(o.residualHeight(), at + "/residualHeight");
            o.when()
                    .on()
                    .filter(d -> o.until()
                            .filter(u -> u.isBefore(d) || u.isAfter(d.plusDays(Operation.Graze.MOST_DAYS)))
                            .isPresent())
                    .ifPresent(d -> problem(
                            at + "/until",
                            "the last day of a grazing, from its first day to " + Operation.Graze.MOST_DAYS
                                    + " days after"));
            return null;
        }

        @Override
        public Void irrigate(Operation.Irrigate o) {
            unit(o.depth(), at + "/depth/unit", Dimension.LENGTH);
            Optional.of(o.depth())
                    .filter(q -> q.unit().dimension() == Dimension.LENGTH)
                    .map(q -> q.in(Unit.MILLIMETRE))
                    .filter(mm -> mm <= 0 || mm > MOST_WATER_MM)
                    .ifPresent(
                            mm -> problem(at + "/depth/value", "one irrigation is above zero and no more than 200 mm"));
            return null;
        }

        @Override
        public Void harvest(Operation.Harvest o) {
            if (!ofCrop) {
                problem(at + "/subject", "a crop is harvested");
            }
            measures(o.stubble(), at + "/stubble", Dimension.LENGTH);
            o.stubble()
                    .filter(q -> q.unit().dimension() == Dimension.LENGTH)
                    .map(q -> q.in(Unit.CENTIMETRE))
                    .filter(cm -> cm < 0 || cm > HIGHEST_STUBBLE_CM)
                    .ifPresent(cm -> problem(at + "/stubble/value", "stubble stands no more than 200 cm (79 in) high"));
            return null;
        }
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
            problem(at, "'" + q.unit().written() + "' does not fit here; use one of " + right);
        }
    }

    private void problem(String pointer, String message) {
        problems.add(new Problem(pointer, message));
    }
}
