package app.etlo.core.plan.document;

import app.etlo.core.field.BoundaryReader;
import app.etlo.core.field.BoundaryRefused;
import app.etlo.core.knowledge.Group;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.quantity.Dimension;
import app.etlo.core.quantity.Unit;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** Refuses fields that cannot be, each problem at its place. */
public final class FieldCheck {
    static final List<String> FENCES = List.of("none", "electric", "permanent");
    static final List<String> PRESSURES = List.of("low", "medium", "high");
    static final List<String> CERTIFICATIONS = List.of("conventional", "organic", "in transition");
    static final List<String> MACHINES = List.of(
            "drill",
            "planter",
            "sprayer",
            "roller-crimper",
            "mower",
            "undercutter",
            "tillage",
            "strip-till",
            "spreader",
            "combine",
            "other");
    static final List<String> ZONES =
            List.of("wet-hollow", "cold-hollow", "compacted", "weed-patch", "buffer", "other");
    private static final int MOST = 60;
    private static final int MOST_TESTS = 400;

    private final ProblemList check = new ProblemList();
    private final FieldEntry f;

    private FieldCheck(FieldEntry f) {
        this.f = f;
    }

    /**
     * @throws Refused with every problem at its place
     */
    static void check(FieldEntry field, Knowledge knowledge) {
        FieldCheck c = new FieldCheck(field);
        c.place(knowledge);
        c.soil();
        c.life(knowledge);
        c.work();
        c.check.done();
    }

    private void place(Knowledge knowledge) {
        check.id(f.id(), "/id");
        check.id(f.farmId(), "/farmId");
        check.name(f.name(), "/name");
        if (f.boundary().isEmpty() && f.area().isEmpty()) {
            check.problem("/area", "a field needs a boundary file or an area");
        }
        f.boundary().ifPresent(b -> outline(b, "/boundary"));
        check.quantity(f.area(), "/area", Dimension.AREA, 1, 1e9);
        f.point().ifPresent(p -> {
            check.between(p.lat(), -90, 90, "/point/lat");
            check.between(p.lon(), -180, 180, "/point/lon");
        });
        check.quantity(f.elevation(), "/elevation", Dimension.LENGTH, 0, 9000);
        f.station()
                .filter(s -> knowledge.stations().find(s).isEmpty())
                .ifPresent(s -> check.problem("/station", "'" + s + "' is not a station of the library"));
        f.weather().ifPresent(w -> check.id(w, "/weather"));
        check.number(f.coldHollowC(), 0, 10, "/coldHollowC");
        check.number(f.evapotranspirationScale(), 0.5, 2, "/evapotranspirationScale");
        check.day(f.lastSpringFrost(), "/lastSpringFrost");
        check.day(f.firstAutumnFrost(), "/firstAutumnFrost");
        List<FieldEntry.Zone> zones = check.list(f.zones(), "/zones", MOST);
        for (int i = 0; i < zones.size(); i++) {
            FieldEntry.Zone z = zones.get(i);
            check.id(z.id(), "/zones/" + i + "/id");
            check.name(z.name(), "/zones/" + i + "/name");
            check.oneOf(Optional.ofNullable(z.kind()), "/zones/" + i + "/kind", ZONES);
            outline(z.outline(), "/zones/" + i + "/outline");
        }
    }

    private void outline(JsonNode geoJson, String at) {
        try {
            BoundaryReader.read(geoJson);
        } catch (BoundaryRefused e) {
            check.problem(at + e.pointer(), e.getMessage());
        }
    }

    private void soil() {
        check.quantity(f.tileDepth(), "/tileDepth", Dimension.LENGTH, 0.05, 10);
        check.quantity(f.rootingLimit(), "/rootingLimit", Dimension.LENGTH, 0.1, 5);
        check.quantity(f.panDepth(), "/panDepth", Dimension.LENGTH, 0.02, 3);
        check.quantity(f.penetrometer(), "/penetrometer", Dimension.PRESSURE, 0.05, 20);
        check.oneOf(f.texture(), "/texture", ContextCheck.TEXTURES);
        check.oneOf(f.drainage(), "/drainage", ContextCheck.DRAINAGES);
        check.number(f.organicMatterPercent(), 0, 100, "/organicMatterPercent");
        check.number(f.stonePercent(), 0, 95, "/stonePercent");
        check.number(f.ph(), 2, 11, "/ph");
        check.number(f.slopePercent(), 0, 100, "/slopePercent");
        check.quantity(f.slopeLength(), "/slopeLength", Dimension.LENGTH, 1, 5000);
        check.number(f.slopeTowards(), 0, 360, "/slopeTowards");
        List<FieldEntry.Layer> layers = check.list(f.layers(), "/layers", 12);
        double above = 0;
        for (int i = 0; i < layers.size(); i++) {
            above = layer(layers.get(i), "/layers/" + i, above);
        }
        List<FieldEntry.SoilTest> tests = check.list(f.soilTests(), "/soilTests", MOST_TESTS);
        for (int i = 0; i < tests.size(); i++) {
            test(tests.get(i), "/soilTests/" + i);
        }
        spade();
    }

    /** Layers of one day lie one below the other, in the order in which they were typed. */
    private void spade() {
        check.number(f.penetrometerPercent(), 0, 100, "/penetrometerPercent");
        List<FieldEntry.SpadeLayer> layers = check.list(f.spadeTests(), "/spadeTests", MOST);
        for (int i = 0; i < layers.size(); i++) {
            FieldEntry.SpadeLayer l = layers.get(i);
            String at = "/spadeTests/" + i;
            if (l.on() == null) {
                check.problem(at + "/on", "the day the block was dug");
            }
            check.date(Optional.ofNullable(l.on()), at + "/on");
            if (l.depth() == null || l.depth().unit().dimension() != Dimension.LENGTH) {
                check.problem(at + "/depth", "the depth of the layer's lower edge");
            } else {
                check.quantity(Optional.of(l.depth()), at + "/depth", Dimension.LENGTH, 0.02, 1);
                for (int j = 0; j < i; j++) {
                    FieldEntry.SpadeLayer above = layers.get(j);
                    if (above.on() != null
                            && above.on().equals(l.on())
                            && above.depth() != null
                            && above.depth().unit().dimension() == Dimension.LENGTH
                            && above.depth().in(Unit.METRE) >= l.depth().in(Unit.METRE)) {
                        check.problem(at + "/depth", "a layer ends below the one above it");
                        break;
                    }
                }
            }
            check.between(l.score(), 1, 5, at + "/score");
        }
    }

    private double layer(FieldEntry.Layer l, String at, double above) {
        if (l.depth() == null || l.depth().unit().dimension() != Dimension.LENGTH) {
            check.problem(at + "/depth", "the depth of the layer's lower edge");
            return above;
        }
        double depth = l.depth().in(Unit.METRE);
        if (depth <= above + 0.005 || depth > 5) {
            check.problem(at + "/depth", "a layer ends below the one above it, and above 5 m");
        }
        check.oneOf(l.texture(), at + "/texture", ContextCheck.TEXTURES);
        check.number(l.sandPercent(), 0, 100, at + "/sandPercent");
        check.number(l.clayPercent(), 0, 100, at + "/clayPercent");
        if (l.sandPercent().isPresent() != l.clayPercent().isPresent()) {
            check.problem(at + "/clayPercent", "sand and clay are given together, or neither");
        }
        if (l.sandPercent().orElse(0.0) + l.clayPercent().orElse(0.0) > 100) {
            check.problem(at + "/clayPercent", "sand and clay are together more than the whole");
        }
        check.number(l.organicMatterPercent(), 0, 100, at + "/organicMatterPercent");
        check.number(l.stonePercent(), 0, 95, at + "/stonePercent");
        check.number(l.ph(), 2, 11, at + "/ph");
        return depth;
    }

    private void test(FieldEntry.SoilTest t, String at) {
        check.date(Optional.ofNullable(t.date()), at + "/date");
        if (t.date() == null) {
            check.problem(at + "/date", "the day the sample was taken");
        }
        check.quantity(t.depth(), at + "/depth", Dimension.LENGTH, 0.01, 3);
        check.number(t.ph(), 2, 11, at + "/ph");
        check.number(t.organicMatterPercent(), 0, 100, at + "/organicMatterPercent");
        check.number(t.phosphorusMgKg(), 0, 5000, at + "/phosphorusMgKg");
        check.number(t.potassiumMgKg(), 0, 10_000, at + "/potassiumMgKg");
        check.number(t.nitrateMgKg(), 0, 1000, at + "/nitrateMgKg");
    }

    private void life(Knowledge knowledge) {
        List<FieldEntry.Weed> weeds = check.list(f.weeds(), "/weeds", MOST);
        for (int i = 0; i < weeds.size(); i++) {
            check.name(weeds.get(i).name(), "/weeds/" + i + "/name");
            check.oneOf(Optional.ofNullable(weeds.get(i).pressure()), "/weeds/" + i + "/pressure", PRESSURES);
        }
        List<FieldEntry.Pest> pests = check.list(f.pests(), "/pests", MOST);
        for (int i = 0; i < pests.size(); i++) {
            check.name(pests.get(i).name(), "/pests/" + i + "/name");
        }
        check.text(f.livestock(), "/livestock", 200);
        check.text(f.wildlife(), "/wildlife", 200);
        check.text(f.waterSupply(), "/waterSupply", 200);
        check.number(f.waterNitrateMgL(), 0, 200, "/waterNitrateMgL");
        check.oneOf(f.fence(), "/fence", FENCES);
        check.quantity(f.stockDistance(), "/stockDistance", Dimension.LENGTH, 0, 200_000);
        List<FieldEntry.Residual> residuals = check.list(f.residuals(), "/residuals", MOST);
        for (int i = 0; i < residuals.size(); i++) {
            FieldEntry.Residual r = residuals.get(i);
            check.name(r.activeIngredient(), "/residuals/" + i + "/activeIngredient");
            if (r.appliedOn() == null) {
                check.problem("/residuals/" + i + "/appliedOn", "the day it was applied");
            }
            check.date(Optional.ofNullable(r.appliedOn()), "/residuals/" + i + "/appliedOn");
            check.number(r.intervalMonths(), 0, 60, "/residuals/" + i + "/intervalMonths");
        }
        List<FieldEntry.ResidualInterval> intervals = check.list(f.residualIntervals(), "/residualIntervals", MOST);
        for (int i = 0; i < intervals.size(); i++) {
            FieldEntry.ResidualInterval r = intervals.get(i);
            String at = "/residualIntervals/" + i;
            if (residuals.stream()
                    .noneMatch(h -> h.activeIngredient() != null
                            && h.activeIngredient().equalsIgnoreCase(r.activeIngredient()))) {
                check.problem(at + "/activeIngredient", "no herbicide of that name is entered above");
            }
            boolean known = FieldEntry.ResidualInterval.FEEDING.equals(r.of())
                    || r.of() != null
                            && (knowledge.species().find(r.of()).isPresent()
                                    || knowledge.crops().find(r.of()).isPresent()
                                    || Arrays.stream(Group.values()).anyMatch(g -> g.id().equals(r.of())));
            if (!known) {
                check.problem(at + "/of", "choose a species, a crop, a group, or feeding");
            }
            check.between(r.months(), 0, 60, at + "/months");
        }
    }

    private void work() {
        check.text(f.noxiousList(), "/noxiousList", 4000);
        check.oneOf(f.certification(), "/certification", CERTIFICATIONS);
        check.date(f.inTransitionSince(), "/inTransitionSince");
        List<FieldEntry.Programme> programmes = check.list(f.programmes(), "/programmes", MOST);
        for (int i = 0; i < programmes.size(); i++) {
            check.name(programmes.get(i).name(), "/programmes/" + i + "/name");
            check.date(programmes.get(i).until(), "/programmes/" + i + "/until");
            check.text(programmes.get(i).rules(), "/programmes/" + i + "/rules", 1000);
            check.text(programmes.get(i).allowedSpecies(), "/programmes/" + i + "/allowedSpecies", 4000);
        }
        List<FieldEntry.Machine> machines = check.list(f.equipment(), "/equipment", MOST);
        for (int i = 0; i < machines.size(); i++) {
            check.name(machines.get(i).name(), "/equipment/" + i + "/name");
            check.oneOf(Optional.ofNullable(machines.get(i).kind()), "/equipment/" + i + "/kind", MACHINES);
            check.quantity(machines.get(i).width(), "/equipment/" + i + "/width", Dimension.LENGTH, 0.2, 60);
        }
        check.quantity(f.drillHaPerDay(), "/drillHaPerDay", Dimension.AREA_PER_TIME, 0.01, 1000);
        List<FieldEntry.Past> history = check.list(f.history(), "/history", MOST);
        for (int i = 0; i < history.size(); i++) {
            check.name(history.get(i).crop(), "/history/" + i + "/crop");
            check.between(history.get(i).year(), 1900, 2099, "/history/" + i + "/year");
        }
    }
}
