package app.etlo.core.plan.document;

import app.etlo.core.field.Texture;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.plan.document.Context.FarmEntry;
import app.etlo.core.plan.document.Context.LabelInterval;
import app.etlo.core.plan.document.Context.LotEntry;
import app.etlo.core.quantity.Dimension;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Refuses farms, fields and lots that cannot be, each problem at its place. */
public final class ContextCheck {
    public static final List<String> TEXTURES = Texture.allWords();
    private static final int MOST_DAYS = 60_000;
    /** Classes of winter hardiness that a kind of vetch, pea, barley or oat comes in. */
    public static final List<String> HARDINESS = List.of("winter", "intermediate", "spring");

    public static final List<String> DRAINAGES = List.of(
            "excessively drained",
            "well drained",
            "moderately well drained",
            "somewhat poorly drained",
            "poorly drained");

    private static final List<String> EXPERIENCE = List.of("beginner", "intermediate", "expert");
    private static final int MOST_PARTS = 20;
    private static final int MOST_LABELS = 200;

    private ContextCheck() {}

    /**
     * @throws Refused with every problem at its place
     */
    public static void farm(FarmEntry farm, Knowledge knowledge) {
        ProblemList check = new ProblemList();
        check.id(farm.id(), "/id");
        check.name(farm.name(), "/name");
        if (farm.units() == null) {
            check.problem("/units", "metric or us");
        }
        check.currency(farm.currency());
        farm.schools().orElse(Map.of()).forEach((question, side) -> {
            if (knowledge.schools().find(question).flatMap(s -> s.side(side)).isEmpty()) {
                check.problem("/schools", "'" + question + ": " + side + "' is no school of the library");
            }
        });
        check.oneOf(farm.experience(), "/experience", EXPERIENCE);
        ends(farm, knowledge, check);
        farm.familyGapYears().orElse(Map.of()).forEach((family, years) -> {
            if (knowledge.crops().all().stream().noneMatch(c -> c.family().equals(family))) {
                check.problem("/familyGapYears", "no crop of the library is of the family '" + family + "'");
            }
            check.between(years, 1, 12, "/familyGapYears/" + family);
        });
        check.done();
    }

    private static void ends(FarmEntry farm, Knowledge knowledge, ProblemList check) {
        farm.endRules().orElse(Map.of()).forEach((rule, value) -> {
            switch (rule) {
                case FarmEntry.ZONE -> {
                    if (knowledge.endZones().find(value).isEmpty()) {
                        check.problem("/endRules/zone", "'" + value + "' is no zone of the library");
                    }
                }
                case FarmEntry.NESTING_FROM, FarmEntry.NESTING_UNTIL, FarmEntry.EARLIEST ->
                    check.day(Optional.of(value), "/endRules/" + rule);
                case FarmEntry.BEES -> {
                    if (!value.equals("yes")) {
                        check.problem("/endRules/bees", "yes, or not at all");
                    }
                }
                default -> check.problem("/endRules", "there is no rule '" + rule + "'");
            }
        });
        List<LabelInterval> labels = check.list(farm.labelIntervals(), "/labelIntervals", MOST_LABELS);
        for (int i = 0; i < labels.size(); i++) {
            LabelInterval l = labels.get(i);
            String at = "/labelIntervals/" + i;
            check.name(l.product(), at + "/product");
            check.oneOf(Optional.ofNullable(l.event()), at + "/event", LabelInterval.EVENTS);
            l.crop()
                    .filter(c -> knowledge.crops().find(c).isEmpty())
                    .ifPresent(c -> check.problem(at + "/crop", "the library has no crop '" + c + "'"));
            check.between(l.days(), 0, 1500, at + "/days");
            l.mostDays().ifPresent(m -> {
                if (m < l.days()) {
                    check.problem(at + "/mostDays", "no fewer than the days that must pass");
                }
            });
        }
    }

    /**
     * @throws Refused with every problem at its place
     */
    public static void field(FieldEntry f, Knowledge knowledge) {
        FieldCheck.check(f, knowledge);
    }

    /**
     * @throws Refused with every problem at its place
     */
    public static void weather(WeatherEntry w) {
        ProblemList check = new ProblemList();
        check.id(w.id(), "/id");
        check.name(w.name(), "/name");
        check.between(w.latitude(), -90, 90, "/latitude");
        w.elevationM().ifPresent(e -> check.between(e, -500, 9000, "/elevationM"));
        if (w.first() == null || w.first().getYear() < 1800 || w.first().getYear() > 2200) {
            check.problem("/first", "a day from 1800 to 2200");
        }
        int n = w.tmin() == null ? 0 : w.tmin().size();
        if (n == 0 || n > MOST_DAYS || w.tmax() == null || w.rain() == null) {
            check.problem("/tmin", "columns of 1 to " + MOST_DAYS + " days");
        } else if (w.tmax().size() != n
                || w.rain().size() != n
                || w.solar().filter(c -> c.size() != n).isPresent()
                || w.snow().filter(c -> c.size() != n).isPresent()) {
            check.problem("/tmax", "the columns of a series are of one length");
        }
        check.done();
    }

    /**
     * @throws Refused with every problem at its place
     */
    public static void lot(LotEntry lot, Knowledge knowledge) {
        ProblemList check = new ProblemList();
        check.id(lot.id(), "/id");
        check.name(lot.label(), "/label");
        if (lot.species() == null || knowledge.species().find(lot.species()).isEmpty()) {
            check.problem("/species", "'" + lot.species() + "' is not a species of the library");
        }
        if (check.between(lot.purityPercent(), 0, 100, "/purityPercent") && lot.purityPercent() == 0) {
            check.problem("/purityPercent", "purity is above 0 %; read the tag again");
        }
        check.between(lot.germinationPercent(), 0, 100, "/germinationPercent");
        lot.hardSeedPercent().ifPresent(v -> check.between(v, 0, 100, "/hardSeedPercent"));
        boolean included = lot.germinationIncludesHardSeed().orElse(false);
        lot.dormantPercent().ifPresent(v -> check.between(v, 0, 100, "/dormantPercent"));
        double hard = lot.hardSeedPercent().orElse(0.0) + lot.dormantPercent().orElse(0.0);
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
        check.quantity(lot.stock(), "/stock", Dimension.MASS, 0, 1e7);
        check.quantity(lot.cleaningCost(), "/cleaningCost", Dimension.MONEY_PER_MASS, 0, 1e5);
        lot.weedSeedPercent().ifPresent(v -> check.between(v, 0, 100, "/weedSeedPercent"));
        if (lot.purityPercent() + lot.weedSeedPercent().orElse(0.0) > 100) {
            check.problem("/weedSeedPercent", "purity and weed seed are over 100 %; read the tag again");
        }
        List<LotEntry.PartEntry> parts = lot.parts().orElse(List.of());
        if (parts.size() > MOST_PARTS) {
            check.problem("/parts", "a bag of at most " + MOST_PARTS + " species");
        }
        for (int i = 0; i < Math.min(parts.size(), MOST_PARTS); i++) {
            LotEntry.PartEntry p = parts.get(i);
            String at = "/parts/" + i;
            if (p.species() == null || knowledge.species().find(p.species()).isEmpty()) {
                check.problem(at + "/species", "choose a species of the library");
            } else if (parts.subList(0, i).stream().anyMatch(o -> p.species().equals(o.species()))) {
                check.problem(at + "/species", "it stands twice; put its shares together");
            }
            if (check.between(p.percent(), 0, 100, at + "/percent") && p.percent() == 0) {
                check.problem(at + "/percent", "above 0 %");
            }
            check.between(p.germinationPercent(), 0, 100, at + "/germinationPercent");
            p.hardSeedPercent().ifPresent(v -> check.between(v, 0, 100, at + "/hardSeedPercent"));
            if (p.germinationPercent() + p.hardSeedPercent().orElse(0.0) > 100) {
                check.problem(at + "/hardSeedPercent", "germination and hard seed are over 100 %; read the tag again");
            }
        }
        if (parts.stream().mapToDouble(LotEntry.PartEntry::percent).sum() > 100 + 1e-6) {
            check.problem("/parts", "the parts of a bag are 100 % at most; read the tag again");
        }
        check.quantity(lot.storedAt(), "/storedAt", Dimension.TEMPERATURE, -40, 60);
        lot.moisturePercent().ifPresent(v -> check.between(v, 2, 40, "/moisturePercent"));
        check.text(lot.noxious(), "/noxious", 200);
        check.text(lot.treatedWith(), "/treatedWith", 200);
        check.oneOf(lot.hardiness(), "/hardiness", HARDINESS);
        lot.testedOn()
                .filter(d -> d.getYear() < 1950 || d.getYear() > 2099)
                .ifPresent(d -> check.problem("/testedOn", "a date from 1950 to 2099"));
        lot.supplier()
                .filter(t -> t.length() > 120)
                .ifPresent(t -> check.problem("/supplier", "at most 120 characters"));
        check.done();
    }
}
