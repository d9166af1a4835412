package app.etlo.core.knowledge;

import app.etlo.core.quantity.Band;
import app.etlo.core.working.Source;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * The species library as it stands in its tables, cell by cell, each with its source. A species is made from its cells, so a
 * corrected cell passes the same checks as a shipped one.
 */
public final class SpeciesSheets {
    private static final List<String> GRADES = List.of("low", "medium", "high");
    private static final List<String> REGROWTH = List.of("none", "some", "strong");
    /** Columns of earlier versions, before growth was simulated: what a practice said of them is kept and changes nothing. */
    private static final Set<String> RETIRED = Set.of("usefulDegreeDays", "establishDegreeDays", "fullCoverDegreeDays");

    private static final List<String> FORAGE = List.of("none", "fair", "good", "excellent");

    private final Map<String, SpeciesColumn> columns;
    private final Map<String, Sheet> sheets;

    /**
     * The cells of one species.
     *
     * @param rows of the tables, each with the columns of its own
     * @param sources by column
     */
    record Sheet(List<Row> rows, Map<String, Source> sources) {
        Row rowOf(String column) {
            return rows.stream().filter(r -> r.has(column)).findFirst().orElseThrow();
        }

        Sheet with(Correction c) {
            Source was = sources.get(c.column());
            Map<String, Source> changed = new LinkedHashMap<>(sources);
            changed.put(
                    c.column(),
                    Source.own("corrected by " + c.by() + " on " + c.on() + ": " + c.why() + " (library: "
                            + rowOf(c.column()).optional(c.column()).orElse("nothing") + ", " + was.text() + ")"));
            return new Sheet(
                    rows.stream()
                            .map(r -> r.has(c.column()) ? r.with(c.column(), c.value()) : r)
                            .toList(),
                    changed);
        }
    }

    SpeciesSheets(Map<String, SpeciesColumn> columns, Map<String, Sheet> sheets) {
        this.columns = columns;
        this.sheets = sheets;
    }

    /** The columns of a sheet, in their order. */
    public List<SpeciesColumn> columns() {
        return List.copyOf(columns.values());
    }

    /** A cell as it ships; empty where the library holds nothing. */
    public Optional<String> shipped(String species, String column) {
        return Optional.ofNullable(sheets.get(species))
                .flatMap(s -> s.rowOf(column).optional(column));
    }

    /**
     * A species made of its cells, with the corrections of this species among those given.
     *
     * @throws CorrectionRefused when a corrected cell cannot stand
     */
    Species read(String id, List<Correction> corrections) {
        Sheet sheet = Optional.ofNullable(sheets.get(id))
                .orElseThrow(() -> new CorrectionRefused("/species", "the library has no species '" + id + "'"));
        List<Correction> own = corrections.stream()
                .filter(c -> c.species().equals(id) && !RETIRED.contains(c.column()))
                .toList();
        if (own.isEmpty()) {
            return species(sheet);
        }
        for (Correction c : own) {
            sheet = sheet.with(refuseUnfit(c));
        }
        try {
            return species(sheet);
        } catch (BadRow e) {
            throw new CorrectionRefused("/value", e.problem());
        }
    }

    private Correction refuseUnfit(Correction c) {
        SpeciesColumn column = Optional.ofNullable(columns.get(c.column()))
                .orElseThrow(() -> new CorrectionRefused("/column", "there is no such column"));
        switch (column.kind()) {
            case FIXED -> throw new CorrectionRefused("/column", column.name() + " cannot be corrected");
            case CHOICE -> {
                if (!column.choices().contains(c.value())) {
                    throw new CorrectionRefused("/value", "one of " + String.join(", ", column.choices()));
                }
            }
            case NUMBER -> number(column, c.value());
            default -> {
                if (c.value().isBlank() || c.value().length() > 400) {
                    throw new CorrectionRefused("/value", "1 to 400 characters");
                }
            }
        }
        return c;
    }

    private static void number(SpeciesColumn column, String value) {
        double low = column.low().orElse(Double.NEGATIVE_INFINITY);
        double high = column.high().orElse(Double.POSITIVE_INFINITY);
        try {
            double v = Double.parseDouble(value);
            if (v >= low && v <= high) {
                return;
            }
        } catch (NumberFormatException e) {
            throw new CorrectionRefused("/value", "'" + value + "' is not a number", e);
        }
        throw new CorrectionRefused(
                "/value",
                "from " + plain(low) + " to " + plain(high)
                        + column.unit().map(u -> " " + u).orElse(""));
    }

    private static String plain(double v) {
        return v == Math.rint(v) ? String.valueOf(Math.round(v)) : String.valueOf(v);
    }

    private Species species(Sheet sheet) {
        Function<String, Row> at = sheet::rowOf;
        Row r = sheet.rows().get(0);
        Group group = r.oneOf("group", Group.values());
        Optional<String> inoculant = r.optional("inoculant");
        if (group.isLegume() != inoculant.isPresent()) {
            throw r.bad("inoculant", "legumes have an inoculant group, other species have none");
        }
        Growth growth = growth(at);
        double killC = number(at, "killC");
        if (growth.killTenderC() < killC) {
            throw at.apply("killTenderC").bad("killTenderC", "is colder than what kills it when hardened");
        }
        return new Species(
                r.id("id"),
                r.text("name"),
                r.text("botanical"),
                r.text("family"),
                group,
                band(at, "seedsPerKgLow", "seedsPerKg", "seedsPerKgHigh"),
                band(at, "rateLowKgHa", "rateKgHa", "rateHighKgHa"),
                number(at, "depthCm"),
                number(at, "heightM"),
                number(at, "rootDepthM"),
                choice(at, "rootType").equals("tap"),
                inoculant,
                number(at, "maxShare"),
                (int) number(at, "latestSowDaysBeforeFrost"),
                number(at, "baseC"),
                killC,
                r.oneOf("form", KnowledgeLoader.FORMS),
                number(at, "testWeightLbBu"),
                growth,
                site(at),
                use(at),
                sheet.sources());
    }

    private Growth growth(Function<String, Row> at) {
        return new Growth(
                at.apply("lifeCycle").text("lifeCycle"),
                number(at, "minSoilC"),
                number(at, "bestSoilC"),
                number(at, "emergenceDegreeDays"),
                number(at, "floweringDegreeDays"),
                number(at, "seedDegreeDays"),
                band(at, "massLowTHa", "massTHa", "massHighTHa"),
                number(at, "killTenderC"),
                number(at, "competitiveness"),
                new Growth.Tops(number(at, "nPercentLeafy") / 100, number(at, "cnLeafy")),
                new Growth.Tops(number(at, "nPercentFlowering") / 100, number(at, "cnFlowering")),
                new Growth.Tops(number(at, "nPercentMature") / 100, number(at, "cnMature")),
                number(at, "fixedPercent") / 100,
                number(at, "hardSeedPercent") / 100);
    }

    private Site site(Function<String, Row> at) {
        double low = number(at, "phLow");
        double high = number(at, "phHigh");
        if (low >= high) {
            throw at.apply("phLow").bad("phLow", "is not below the highest");
        }
        return new Site(degree(at, "drought"), degree(at, "wet"), degree(at, "shade"), degree(at, "salt"), low, high);
    }

    private Use use(Function<String, Row> at) {
        return new Use(
                new Use.Kill(
                        number(at, "killHerbicide") / 100,
                        number(at, "killRollLeafy") / 100,
                        number(at, "killRollFlowering") / 100,
                        number(at, "killMowLeafy") / 100,
                        number(at, "killMowFlowering") / 100,
                        number(at, "killTill") / 100),
                Use.Level.values()[REGROWTH.indexOf(choice(at, "regrowth"))],
                Use.Level.values()[GRADES.indexOf(choice(at, "volunteerRisk"))],
                list(at, "hosts", ";"),
                list(at, "breaks", ";"),
                FORAGE.indexOf(choice(at, "forage")),
                number(at, "grazeHeightCm"),
                list(at, "cautions", " "),
                GRADES.indexOf(choice(at, "insects")),
                number(at, "bloomDays"),
                choice(at, "allelopathic").equals("yes"),
                GRADES.indexOf(choice(at, "liftsPhosphorus")),
                GRADES.indexOf(choice(at, "loosens")),
                Use.Skill.values()[columns.get("level").choices().indexOf(choice(at, "level"))],
                band(at, "priceLow", "price", "priceHigh"));
    }

    private double number(Function<String, Row> at, String column) {
        SpeciesColumn c = columns.get(column);
        return at.apply(column).number(column, c.low().orElseThrow(), c.high().orElseThrow());
    }

    private String choice(Function<String, Row> at, String column) {
        return at.apply(column).oneOf(column, columns.get(column).choices());
    }

    private static Site.Degree degree(Function<String, Row> at, String column) {
        return at.apply(column).oneOf(column, Site.Degree.values());
    }

    private static List<String> list(Function<String, Row> at, String column, String between) {
        return at.apply(column).optional(column).stream()
                .flatMap(t -> Arrays.stream(t.split(between)))
                .map(String::strip)
                .filter(t -> !t.isEmpty())
                .collect(Collectors.toUnmodifiableList());
    }

    private Band band(Function<String, Row> at, String low, String middle, String high) {
        double l = number(at, low);
        double m = number(at, middle);
        double h = number(at, high);
        if (!(l <= m && m <= h)) {
            throw at.apply(middle).bad(middle, m + " is not between " + low + " and " + high);
        }
        return new Band(l, m, h);
    }
}
