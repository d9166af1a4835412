package app.etlo.core.plan;

import app.etlo.core.field.BoundaryReader;
import app.etlo.core.field.BoundaryRefused;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.plan.Context.FarmEntry;
import app.etlo.core.plan.Context.FieldEntry;
import app.etlo.core.plan.Context.LotEntry;
import app.etlo.core.quantity.Dimension;
import app.etlo.core.quantity.Quantity;
import java.time.DateTimeException;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import java.util.Optional;

/** Refuses farms, fields and lots that cannot be, each problem at its place. */
public final class ContextCheck {
    public static final List<String> TEXTURES = List.of(
            "sand",
            "loamy sand",
            "sandy loam",
            "loam",
            "silt loam",
            "silt",
            "sandy clay loam",
            "clay loam",
            "silty clay loam",
            "sandy clay",
            "silty clay",
            "clay");
    public static final List<String> DRAINAGES = List.of(
            "excessively drained",
            "well drained",
            "moderately well drained",
            "somewhat poorly drained",
            "poorly drained");

    private static final String ID = "[A-Za-z0-9][A-Za-z0-9_-]{0,63}";
    private final List<Problem> problems = new ArrayList<>();

    private ContextCheck() {}

    /**
     * @throws Refused with every problem at its place
     */
    public static void farm(FarmEntry farm) {
        ContextCheck check = new ContextCheck();
        check.id(farm.id(), "/id");
        check.name(farm.name(), "/name");
        if (farm.units() == null) {
            check.problem("/units", "metric or us");
        }
        check.currency(farm.currency());
        check.done();
    }

    /**
     * @throws Refused with every problem at its place
     */
    public static void field(FieldEntry f) {
        ContextCheck check = new ContextCheck();
        check.id(f.id(), "/id");
        check.id(f.farmId(), "/farmId");
        check.name(f.name(), "/name");
        if (f.boundary().isEmpty() && f.area().isEmpty()) {
            check.problem("/area", "a field needs a boundary file or an area");
        }
        f.boundary().ifPresent(b -> {
            try {
                BoundaryReader.read(b);
            } catch (BoundaryRefused e) {
                check.problem("/boundary" + e.pointer(), e.getMessage());
            }
        });
        check.quantity(f.area(), "/area", Dimension.AREA, 1, 1e9);
        check.quantity(f.tileDepth(), "/tileDepth", Dimension.LENGTH, 0.05, 10);
        f.texture().filter(t -> !TEXTURES.contains(t)).ifPresent(t -> check.problem("/texture", "one of " + TEXTURES));
        f.drainage()
                .filter(t -> !DRAINAGES.contains(t))
                .ifPresent(t -> check.problem("/drainage", "one of " + DRAINAGES));
        f.organicMatterPercent().ifPresent(v -> check.between(v, 0, 100, "/organicMatterPercent"));
        check.day(f.lastSpringFrost(), "/lastSpringFrost");
        check.day(f.firstAutumnFrost(), "/firstAutumnFrost");
        check.done();
    }

    /**
     * @throws Refused with every problem at its place
     */
    public static void lot(LotEntry lot, Knowledge knowledge) {
        ContextCheck check = new ContextCheck();
        check.id(lot.id(), "/id");
        check.name(lot.label(), "/label");
        if (lot.species() == null || knowledge.species().find(lot.species()).isEmpty()) {
            check.problem("/species", "'" + lot.species() + "' is no species of the library");
        }
        if (check.between(lot.purityPercent(), 0, 100, "/purityPercent") && lot.purityPercent() == 0) {
            check.problem("/purityPercent", "seed without purity is no seed; read the tag again");
        }
        check.between(lot.germinationPercent(), 0, 100, "/germinationPercent");
        lot.hardSeedPercent().ifPresent(v -> check.between(v, 0, 100, "/hardSeedPercent"));
        boolean included = lot.germinationIncludesHardSeed().orElse(false);
        double hard = lot.hardSeedPercent().orElse(0.0);
        if (lot.germinationPercent() + (included ? 0 : hard) <= 0) {
            check.problem("/germinationPercent", "no seed of this lot is alive; no rate can be set with it");
        }
        if (!included && lot.germinationPercent() + hard > 100) {
            check.problem(
                    "/hardSeedPercent",
                    "germination and hard seed are over 100 %; tick that germination includes hard seed, or read the tag again");
        }
        if (included && hard > lot.germinationPercent()) {
            check.problem("/hardSeedPercent", "hard seed is more than the germination that includes it");
        }
        check.quantity(lot.seedCount(), "/seedCount", Dimension.COUNT_PER_MASS, 100, 2e7);
        check.quantity(lot.price(), "/price", Dimension.MONEY_PER_MASS, 0, 1e5);
        check.quantity(lot.bagSize(), "/bagSize", Dimension.MASS, 0.001, 1e5);
        lot.testedOn()
                .filter(d -> d.getYear() < 1950 || d.getYear() > 2099)
                .ifPresent(d -> check.problem("/testedOn", "a date from 1950 to 2099"));
        lot.supplier().filter(t -> t.length() > 120).ifPresent(t -> check.problem("/supplier", "at most 120 letters"));
        check.done();
    }

    private void id(String id, String at) {
        if (id == null || !id.matches(ID)) {
            problem(at, "an id has up to 64 letters, figures, hyphens and underscores");
        }
    }

    private void name(String name, String at) {
        if (name == null || name.isBlank()) {
            problem(at, "give it a name");
        } else if (name.length() > 120) {
            problem(at, "at most 120 letters");
        }
    }

    private void currency(String code) {
        try {
            Currency.getInstance(code);
        } catch (IllegalArgumentException | NullPointerException e) {
            problem("/currency", "the three letters of a currency, such as EUR or USD");
        }
    }

    private void day(Optional<String> day, String at) {
        day.ifPresent(d -> {
            try {
                MonthDay.parse("--" + d);
            } catch (DateTimeException e) {
                problem(at, "a day of the year as MM-dd, such as 10-04");
            }
        });
    }

    private boolean between(double v, double low, double high, String at) {
        boolean inside = v >= low && v <= high;
        if (!inside) {
            problem(at, "from " + (long) low + " to " + (long) high);
        }
        return inside;
    }

    private void quantity(Optional<Quantity> q, String at, Dimension dimension, double low, double high) {
        q.ifPresent(v -> {
            if (v.unit() == null || v.unit().dimension() != dimension) {
                problem(at + "/unit", "this unit does not fit here");
            } else {
                double size = v.value() * v.unit().factor();
                if (!(size >= low && size <= high)) {
                    problem(at + "/value", v.value() + " " + v.unit().symbol() + " cannot be");
                }
            }
        });
    }

    private void problem(String pointer, String message) {
        problems.add(new Problem(pointer, message));
    }

    private void done() {
        if (!problems.isEmpty()) {
            throw new Refused(problems);
        }
    }
}
