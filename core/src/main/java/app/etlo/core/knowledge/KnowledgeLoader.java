package app.etlo.core.knowledge;

import app.etlo.core.knowledge.TerminationMethod.Means;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Reads the knowledge tables; any row that does not fit stops the reading with its file, line and column. */
public final class KnowledgeLoader {
    private static final List<String> USES =
            List.of("sow", "plant", "strip", "till", "press", "end", "feed", "harvest");
    private static final List<String> ROOTS = List.of("fibrous", "tap");
    static final List<String> FORMS =
            List.of("cereal", "millet", "sorghum", "corn", "vetch", "clover", "bush", "radish", "sunflower");

    private final Function<String, Reader> open;
    private Map<String, String> sources = Map.of();

    private KnowledgeLoader(Function<String, Reader> open) {
        this.open = open;
    }

    /** The tables that ship with Etlo. */
    public static Knowledge shipped() {
        return new KnowledgeLoader(KnowledgeLoader::resource).load();
    }

    /** The shipped tables with some replaced by the given text, by file name. */
    public static Knowledge shippedBut(Map<String, String> replaced) {
        return new KnowledgeLoader(f -> replaced.containsKey(f) ? new StringReader(replaced.get(f)) : resource(f))
                .load();
    }

    private static Reader resource(String file) {
        return new InputStreamReader(
                Objects.requireNonNull(KnowledgeLoader.class.getResourceAsStream("/knowledge/" + file), file),
                StandardCharsets.UTF_8);
    }

    private Knowledge load() {
        sources = table("sources.csv").byId(r -> r.text("text"));
        Library<FieldOperation> operations = library("operations.csv", this::operation);
        SpeciesSheets sheets = speciesSheets();
        Library<Caution> cautions = library("cautions.csv", r -> caution(r, source(r)));
        Library<PlantKind> kinds = library("plant-kinds.csv", this::plantKind);
        return new Knowledge(
                species(sheets, cautions),
                crops(),
                operations,
                plantingSystems(operations),
                library(
                        "sowing-methods.csv",
                        r -> new SowingMethod(
                                r.id("id"),
                                r.text("name"),
                                band(r, "factorLow", "factor", "factorHigh", 0.5, 4)
                                        .middle(),
                                known(r, "operation", operations),
                                r.oneOf("seedLies", SowingMethod.SeedLies.values()),
                                source(r))),
                library("sowing-ways.csv", this::sowingWay),
                purposes(),
                schools(),
                library("termination-methods.csv", r -> terminationMethod(r, operations)),
                library(
                        "end-zones.csv",
                        r -> new EndZone(
                                r.id("id"),
                                r.text("name"),
                                (int) r.number("least", -30, 120),
                                r.text("decides"),
                                source(r))),
                lateness(),
                library("products.csv", this::product),
                library("aims.csv", r -> new Aim(r.id("id"), r.text("name"))),
                stations(),
                cautions,
                library(
                        "stock-classes.csv",
                        r -> new StockClass(
                                r.id("id"),
                                r.text("name"),
                                r.text("animals"),
                                r.number("liveWeightKg", 10, 1500),
                                band(r, "intakeLow", "intake", "intakeHigh", 1, 6),
                                source(r))),
                removals(),
                new Knowledge.PlantKinds(kinds, kindOf("species", kinds), kindOf("crop", kinds)),
                sheets);
    }

    private Library<Removal> removals() {
        Map<String, Removal> found = new LinkedHashMap<>();
        table("removals.csv").rows().forEach(r -> {
            String crop = r.id("crop");
            found.put(
                    crop,
                    new Removal(
                            crop,
                            new Removal.Nutrients(
                                    r.number("p2o5", 0, 100), r.number("k2o", 0, 100), r.number("s", 0, 100)),
                            r.optionalNumber("strawP2o5", 0, 100)
                                    .map(p -> new Removal.Nutrients(p, r.number("strawK2o", 0, 100), 0)),
                            source(r)));
        });
        return new Library<>(Collections.unmodifiableMap(found));
    }

    private Library<CropLateness> lateness() {
        Map<String, CropLateness> found = new LinkedHashMap<>();
        table("crop-lateness.csv").rows().stream()
                .collect(Collectors.groupingBy(r -> r.id("crop"), LinkedHashMap::new, Collectors.toList()))
                .forEach((crop, rows) -> found.put(
                        crop,
                        new CropLateness(
                                crop,
                                rows.stream()
                                        .map(r -> new CropLateness.Step(
                                                MonthDay.parse("--" + r.text("from")),
                                                band(r, "low", "middle", "high", 0, 10),
                                                source(r)))
                                        .toList())));
        return new Library<>(Collections.unmodifiableMap(found));
    }

    private Library<CoverPurpose> purposes() {
        Map<String, List<Row>> rules = table("purpose-rates.csv").rows().stream()
                .collect(Collectors.groupingBy(r -> r.id("purpose"), LinkedHashMap::new, Collectors.toList()));
        return library("purposes.csv", r -> {
            List<Row> own = rules.getOrDefault(r.id("id"), List.of());
            Map<String, CoverPurpose.Rule> bySpecies = new LinkedHashMap<>();
            Map<Group, CoverPurpose.Rule> byGroup = new LinkedHashMap<>();
            own.forEach(o -> {
                if (o.oneOf("unit", List.of("kg/ha", "factor")).equals("kg/ha")) {
                    bySpecies.put(
                            o.id("for"), new CoverPurpose.Rule(band(o, "low", "middle", "high", 0.5, 400), source(o)));
                } else {
                    byGroup.put(
                            o.oneOf("for", Group.values()),
                            new CoverPurpose.Rule(band(o, "low", "middle", "high", 0.1, 4), source(o)));
                }
            });
            return new CoverPurpose(
                    r.id("id"),
                    r.text("name"),
                    Collections.unmodifiableMap(bySpecies),
                    Collections.unmodifiableMap(byGroup));
        });
    }

    private SowingWay sowingWay(Row r) {
        return new SowingWay(
                r.id("id"),
                r.text("name"),
                r.id("method"),
                r.oneOf("rakedFirst", List.of("yes", "no")).equals("yes"),
                r.oneOf("from", List.of("once", "planned")).equals("planned"),
                (int) r.number("daysLater", -60, 60),
                band(r, "costLow", "cost", "costHigh", 1, 1000),
                r.number("haPerDay", 0.1, 1000),
                r.id("machine"),
                (int) r.number("people", 1, 20),
                new Band(
                        r.number("emergesLow", 1, 100),
                        (r.number("emergesLow", 1, 100) + r.number("emergesHigh", 1, 100)) / 2,
                        r.number("emergesHigh", 1, 100)),
                source(r));
    }

    private Library<School> schools() {
        Map<String, School> found = new LinkedHashMap<>();
        table("schools.csv").rows().stream()
                .collect(Collectors.groupingBy(r -> r.id("question"), LinkedHashMap::new, Collectors.toList()))
                .forEach((id, rows) -> {
                    Row first = rows.get(0);
                    found.put(
                            id,
                            new School(
                                    id,
                                    first.text("questionName"),
                                    first.oneOf("measure", School.Measure.values()),
                                    first.optional("before")
                                            .map(t -> Set.of(t.split(" ")))
                                            .orElse(Set.of()),
                                    rows.stream()
                                            .map(r -> new School.Side(
                                                    r.id("side"),
                                                    r.text("name"),
                                                    r.number("low", 0, 100),
                                                    r.number("high", 0, 100),
                                                    r.text("holds"),
                                                    source(r)))
                                            .toList()));
                });
        return new Library<>(Collections.unmodifiableMap(found));
    }

    private Library<Station> stations() {
        Map<String, List<Row>> months = table("station-months.csv").rows().stream()
                .collect(Collectors.groupingBy(r -> r.id("station"), LinkedHashMap::new, Collectors.toList()));
        return library("stations.csv", r -> {
            List<Row> own = months.getOrDefault(r.id("id"), List.of());
            if (own.size() != 12) {
                throw r.bad("id", "station-months.csv has " + own.size() + " months of it instead of 12");
            }
            return new Station(
                    r.id("id"),
                    r.text("name"),
                    r.text("climate"),
                    r.number("latitude", -66, 66),
                    r.number("elevationM", -100, 4000),
                    r.oneOf("coastal", List.of("yes", "no")).equals("yes"),
                    r.number("wetPersistence", 0, 0.9),
                    r.number("rainShape", 0.2, 3),
                    IntStream.range(0, 12)
                            .mapToObj(i -> month(own.get(i), i + 1))
                            .toList(),
                    source(r));
        });
    }

    private static Station.Month month(Row r, int month) {
        if (r.number("month", 1, 12) != month) {
            throw r.bad("month", "the months of a station stand in their order; here comes " + month);
        }
        double tminC = r.number("tminC", -50, 40);
        return new Station.Month(
                tminC,
                r.number("tmaxC", tminC + 1, 55),
                r.number("rainMm", 0, 2000),
                r.number("wetDays", 0.1, 30),
                r.number("daySdC", 0.2, 12),
                r.number("yearSdC", 0.1, 6),
                r.number("rainCv", 0.05, 3));
    }

    private Table table(String file) {
        return new Table(file, open.apply(file));
    }

    private static Caution caution(Row r, Source source) {
        return new Caution(
                r.id("id"),
                r.optional("animals").map(t -> List.of(t.split(" "))).orElse(List.of()),
                r.text("name"),
                r.text("text"),
                source);
    }

    private <T> Library<T> library(String file, Function<Row, T> read) {
        return new Library<>(Collections.unmodifiableMap(table(file).byId(read)));
    }

    private Source source(Row r) {
        String id = r.text("source");
        String text = Optional.ofNullable(sources.get(id))
                .orElseThrow(() -> r.bad("source", "'" + id + "' is not in sources.csv"));
        return new Source(text, r.status("status"));
    }

    private static Band band(Row r, String low, String middle, String high, double least, double most) {
        double l = r.number(low, least, most);
        double m = r.number(middle, least, most);
        double h = r.number(high, least, most);
        if (!(l <= m && m <= h)) {
            throw r.bad(middle, m + " is not between " + low + " and " + high);
        }
        return new Band(l, m, h);
    }

    private static <T> String known(Row r, String column, Library<T> library) {
        return r.oneOf(column, List.copyOf(library.byId().keySet()));
    }

    private SpeciesSheets speciesSheets() {
        Map<String, SpeciesColumn> columns = new LinkedHashMap<>();
        table("species-columns.csv").rows().forEach(r -> columns.put(r.text("id"), column(r)));
        Map<String, Row> growth = byColumn("species-growth.csv", "species");
        Map<String, Row> use = byColumn("species-use.csv", "species");
        Map<String, SpeciesSheets.Sheet> sheets = table("species.csv").byId(r -> {
            List<Row> rows = Stream.of(growth, use)
                    .map(m -> Optional.ofNullable(m.get(r.id("id")))
                            .orElseThrow(() -> r.bad("id", "a table of the species library has no row for it")))
                    .collect(Collectors.toCollection(() -> new ArrayList<>(List.of(r))));
            Map<String, Source> found = new LinkedHashMap<>();
            rows.forEach(row -> found.putAll(sources(row, columns.keySet())));
            return new SpeciesSheets.Sheet(List.copyOf(rows), Collections.unmodifiableMap(found));
        });
        return new SpeciesSheets(columns, sheets);
    }

    private Library<Species> species(SpeciesSheets sheets, Library<Caution> cautions) {
        return library("species.csv", r -> {
            Species s = sheets.read(r.id("id"), List.of());
            s.use().cautions().stream()
                    .filter(c -> cautions.find(c).isEmpty())
                    .findFirst()
                    .ifPresent(c -> {
                        throw r.bad("cautions", "'" + c + "' is not in cautions.csv");
                    });
            return s;
        });
    }

    private Map<String, Row> byColumn(String file, String column) {
        return table(file).rows().stream().collect(Collectors.toMap(r -> r.id(column), Function.identity(), (a, b) -> {
            throw b.bad(column, "'" + b.id(column) + "' stands twice");
        }));
    }

    private static SpeciesColumn column(Row r) {
        return new SpeciesColumn(
                r.text("id"),
                r.text("name"),
                r.optional("unit"),
                r.oneOf("kind", SpeciesColumn.Kind.values()),
                r.optionalNumber("low", -1000, 1e7),
                r.optionalNumber("high", -1000, 1e7),
                r.optional("choices").map(t -> List.of(t.split(" "))).orElse(List.of()),
                r.oneOf("section", List.of("plant", "seed", "growth", "site", "nitrogen", "ending", "use")),
                r.oneOf("confidence", List.of("high", "medium", "low")));
    }

    private Map<String, Source> sources(Row r, Set<String> columns) {
        Source usual = source(r);
        Map<String, Source.Status> exceptions = exceptions(r);
        Map<String, Source> found = new LinkedHashMap<>();
        for (String column : columns) {
            if (r.has(column)) {
                Source.Status status = exceptions.getOrDefault(column, usual.status());
                found.put(column, status == usual.status() ? usual : of(status));
            }
        }
        return found;
    }

    private static Map<String, Source.Status> exceptions(Row r) {
        Map<String, Source.Status> found = new LinkedHashMap<>();
        r.optional("exceptions").stream()
                .flatMap(t -> Arrays.stream(t.split(";", -1)))
                .forEach(pair -> {
                    String[] p = pair.split("=", -1);
                    if (p.length != 2) {
                        throw r.bad("exceptions", "'" + pair + "' is not column=status");
                    }
                    if (!r.has(p[0])) {
                        throw r.bad("exceptions", "'" + p[0] + "' is no column here");
                    }
                    try {
                        found.put(p[0], Source.Status.of(p[1]));
                    } catch (IllegalArgumentException e) {
                        throw r.bad("exceptions", p[1] + ": " + e.getMessage());
                    }
                });
        return Collections.unmodifiableMap(found);
    }

    private static Source of(Source.Status status) {
        return new Source(
                status == Source.Status.OWN ? "Etlo's own value" : "common practice of cover crop guides", status);
    }

    private Library<Crop> crops() {
        Map<String, Row> growing = byColumn("crop-growing.csv", "crop");
        return library(
                "crops.csv",
                r -> crop(
                        r,
                        Optional.ofNullable(growing.get(r.id("id")))
                                .orElseThrow(() -> r.bad("id", "crop-growing.csv has no row for it"))));
    }

    private Crop.Growing growing(Row r) {
        return new Crop.Growing(
                r.oneOf("season", List.of("cool", "warm")).equals("warm"),
                r.number("baseC", 0, 20),
                r.optionalNumber("ceilingC", 20, 45),
                r.number("maturityDegreeDays", 0, 5000),
                (int) r.number("daysToMaturity", 30, 400),
                r.number("minSoilC", 0, 25),
                r.number("depthCm", 0.5, 25),
                r.number("rowWidthCm", 10, 300),
                r.number("populationHa", 1000, 20_000_000),
                r.number("standTargetPercent", 20, 100) / 100,
                r.oneOf("yieldUnit", List.of("bu", "cwt", "lb", "t")),
                r.oneOf("residue", List.of("yes", "no")).equals("yes"),
                r.number("residueCN", 8, 200),
                r.number("coverAcPerLb", 0.00005, 0.01),
                r.number("nitrogenLeftKgHa", 0, 250),
                r.number("nitrateLeftKgHa", 0, 250),
                r.optional("sharedPests").stream()
                        .flatMap(t -> Arrays.stream(t.split(";")))
                        .map(String::strip)
                        .toList(),
                r.oneOf("mulchTolerance", List.of("good", "fair", "poor")),
                new Crop.Taken(
                        r.optionalNumber("takenPercent", 0, 100).map(v -> v / 100),
                        r.number("standingPercent", 0, 100) / 100,
                        r.optionalNumber("liftedKeptPercent", 0, 100).map(v -> v / 100)),
                r.number("thousandSeedG", 0.1, 100_000),
                r.oneOf("transplanted", List.of("yes", "no")).equals("yes"),
                (int) r.number("years", 1, 10),
                r.optional("windows").map(t -> List.of(t.split(" "))).orElse(List.of()),
                source(r));
    }

    private Crop crop(Row r, Row growing) {
        Optional<Crop.NeedFactor> need = r.optional("needUnit")
                .map(u -> new Crop.NeedFactor(
                        band(r, "needLow", "need", "needHigh", 0, 300),
                        Unit.of(r.oneOf("needUnit", List.of("lb/bu", "lb/cwt", "kg/t", "kg/ha")))));
        return new Crop(
                r.id("id"),
                r.text("name"),
                r.text("botanical"),
                r.text("family"),
                r.oneOf("group", Group.values()),
                r.oneOf("form", FORMS),
                r.optionalNumber("testWeightLbBu", 10, 80),
                r.optionalNumber("harvestIndex", 0.05, 0.9),
                r.optionalNumber("grainMoisturePercent", 0, 40).orElse(0.0) / 100,
                band(r, "yieldLowKgHa", "yieldKgHa", "yieldHighKgHa", 50, 200_000),
                r.number("heightM", 0.05, 4),
                r.number("rootDepthM", 0.1, 4),
                r.oneOf("rootType", ROOTS).equals("tap"),
                r.number("phLow", 4, 8),
                need,
                growing(growing),
                source(r));
    }

    private PlantKind plantKind(Row r) {
        return new PlantKind(
                r.id("id"),
                r.text("name"),
                r.optional("model"),
                r.number("emergenceBaseC", 0, 15),
                r.number("emergenceSum", 20, 300),
                r.number("baseC", 0, 15),
                r.number("optimumLowC", 8, 32),
                r.number("optimumHighC", 15, 40),
                r.number("highestC", 25, 48),
                r.number("rue", 0.5, 4.5),
                r.number("extinction", 0.3, 1.0),
                r.number("seedlingLeafCm2", 0.01, 60),
                r.number("leafGrowthPerDd", 0.003, 0.03),
                r.number("specificLeafAreaM2G", 0.005, 0.05),
                r.number("leafShare", 0.2, 0.9),
                r.number("stageBaseC", 0, 15),
                r.number("tsum", 150, 6000),
                r.number("ripeningSum", 200, 3000),
                r.number("vernalDays", 0, 90),
                r.number("dayLengthFromH", 0, 14),
                r.number("dayLengthToH", 0, 20),
                r.number("rosetteM", 0.02, 0.6),
                r.number("heightM", 0.1, 4),
                r.number("heightMassGM2", 50, 1500),
                r.number("tenderC", -12, 1),
                r.number("hardyC", -40, 1),
                r.number("exposed", 0, 1),
                r.number("rootMmPerDd", 0.2, 4),
                r.number("rootM", 0.2, 3),
                r.number("nitrogenA", 1, 7),
                r.number("nitrogenB", 0, 0.7),
                r.number("nitrogenFromTHa", 0.3, 3),
                r.number("nitrogenLeastPercent", 0.3, 3),
                r.number("fixesMostGG", 0, 0.08),
                r.number("topsShareEarly", 0.2, 1),
                r.number("vineM", 0, 3),
                r.number("coverM2G", 0.0005, 0.02),
                r.oneOf("warm", List.of("yes", "no")).equals("yes"),
                r.text("source").equals("growthtuned"),
                source(r));
    }

    /** The kind that each plant of a sort, species or crop, grows as. */
    private Map<String, String> kindOf(String sort, Library<PlantKind> kinds) {
        Map<String, String> found = new LinkedHashMap<>();
        table("plant-kind-of.csv").rows().stream()
                .filter(r -> r.oneOf("of", List.of("species", "crop")).equals(sort))
                .forEach(r -> found.put(r.id("plant"), known(r, "kind", kinds)));
        return Collections.unmodifiableMap(found);
    }

    private FieldOperation operation(Row r) {
        return new FieldOperation(
                r.id("id"),
                r.text("name"),
                r.oneOf("use", USES),
                r.oneOf("type", DisturbanceType.values()),
                r.number("speedMph", 0.1, 120),
                r.number("depthIn", 0, 40),
                r.number("shareDisturbed", 0, 1),
                r.number("residueKept", 0, 1),
                r.number("residueKeptFragile", 0, 1),
                r.number("flattens", 0, 1),
                source(r));
    }

    private Library<PlantingSystem> plantingSystems(Library<FieldOperation> operations) {
        Map<String, PlantingSystem> found = new LinkedHashMap<>();
        Map<String, List<Row>> bySystem = table("planting-systems.csv").rows().stream()
                .collect(Collectors.groupingBy(r -> r.id("system"), LinkedHashMap::new, Collectors.toList()));
        bySystem.forEach((id, rows) -> found.put(
                id,
                new PlantingSystem(
                        id,
                        rows.get(0).text("name"),
                        rows.stream()
                                .map(r -> new PlantingSystem.Step(
                                        known(r, "operation", operations), (int) r.number("daysBefore", 0, 400)))
                                .toList())));
        return new Library<>(Collections.unmodifiableMap(found));
    }

    private TerminationMethod terminationMethod(Row r, Library<FieldOperation> operations) {
        List<String> passes =
                r.optional("operations").map(t -> List.of(t.split(" "))).orElse(List.of());
        passes.stream().filter(p -> operations.find(p).isEmpty()).findFirst().ifPresent(p -> {
            throw r.bad("operations", "'" + p + "' is not in operations.csv");
        });
        Set<Means> means = new LinkedHashSet<>();
        for (String name : r.text("means").split(" ")) {
            means.add(Arrays.stream(Means.values())
                    .filter(m -> m.id().equals(name))
                    .findFirst()
                    .orElseThrow(() -> r.bad(
                            "means",
                            "'" + name + "' is none of "
                                    + Arrays.stream(Means.values())
                                            .map(Means::id)
                                            .collect(Collectors.joining(", ")))));
        }
        return new TerminationMethod(
                r.id("id"),
                r.text("name"),
                passes,
                means,
                r.number("standingPercent", 0, 100) / 100,
                new TerminationMethod.Practice(
                        r.text("machine").equals("none")
                                ? List.of()
                                : List.of(r.text("machine").split(" ")),
                        band(r, "costLow", "cost", "costHigh", 0, 1000),
                        r.optionalNumber("haPerHour", 0.1, 100),
                        r.optionalNumber("speedKmh", 1, 30),
                        (int) r.number("gapDays", 0, 60),
                        r.text("works"),
                        r.text("weather"),
                        r.text("leaves"),
                        source(r)));
    }

    private Product product(Row r) {
        return new Product(
                r.id("id"),
                r.text("name"),
                r.number("nPercent", 0.1, 100) / 100,
                r.number("p2o5Percent", 0, 100) / 100,
                r.number("k2oPercent", 0, 100) / 100,
                r.number("sPercent", 0, 100) / 100,
                r.optionalNumber("densityLbPerGal", 5, 20),
                r.number("availableShare", 0.01, 1),
                r.number("secondShare", 0, 1),
                r.number("thirdShare", 0, 1),
                r.oneOf("organic", List.of("yes", "no")).equals("yes"),
                source(r));
    }
}
