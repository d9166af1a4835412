package app.etlo.core.plan.chapter;

import app.etlo.core.ground.WinterStand;
import app.etlo.core.knowledge.Species;
import app.etlo.core.mix.BloomClock;
import app.etlo.core.mix.GrowVerdict;
import app.etlo.core.mix.SeedDepth;
import app.etlo.core.mix.SeedRate;
import app.etlo.core.mix.Seedbed;
import app.etlo.core.mix.StandCauses;
import app.etlo.core.plan.document.FieldEntry;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.document.PlanDocument.CheckEntry;
import app.etlo.core.plan.timeline.CoverInTime;
import app.etlo.core.plan.timeline.PlanInTime;
import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Unit;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** The step Grow: what each look into the field says of a cover, and when to look again. */
final class GrowChapter {
    /** Before so many days a count misses what still comes. */
    private static final int COUNT_FROM_DAYS = 14;

    private static final int AGAIN_DAYS = 10;
    private static final double GOOD_STAND = 0.7;
    private static final double THIN_STAND = 0.4;
    private static final double DOMINATES = 65;
    private static final double DOMINATES_OF_TWO = 75;
    private static final double PATCHY = 20;
    private static final int NODULES_FROM_DAYS = 35;

    private final PlanInTime plan;
    private final CoverInTime cover;
    private final Optional<WinterStand> winter;
    private final Optional<Seedbed> seedbed;
    private final List<BloomClock> clocks;
    private final FieldGates gates;

    GrowChapter(
            PlanInTime plan,
            CoverInTime cover,
            Optional<WinterStand> winter,
            Optional<Seedbed> seedbed,
            List<BloomClock> clocks,
            FieldGates gates) {
        this.gates = gates;
        this.plan = plan;
        this.cover = cover;
        this.winter = winter;
        this.seedbed = seedbed;
        this.clocks = clocks;
    }

    /** The verdicts of each check up to today, by its id. */
    Map<String, List<GrowVerdict>> verdicts() {
        Map<String, List<GrowVerdict>> found = new LinkedHashMap<>();
        cover.entry().checks().orElse(List.of()).stream()
                .filter(c -> !c.on().isAfter(plan.asOf()) && cover.sown().isPresent())
                .forEach(c -> found.put(c.id(), of(c)));
        return found;
    }

    private List<GrowVerdict> of(CheckEntry c) {
        List<GrowVerdict> all = new ArrayList<>();
        c.plants().ifPresent(q -> all.add(stand(c, q.in(Unit.PER_M2))));
        winter.flatMap(w -> new AutumnGate(cover, w.day()).of(c)).ifPresent(all::add);
        c.nodules().ifPresent(n -> all.add(nodules(c, n)));
        balance(c).ifPresent(all::add);
        c.patchesPercent().filter(p -> p > 0).ifPresent(p -> all.add(patches(c, p)));
        c.stage().ifPresent(s -> bloom(c, s).ifPresent(all::add));
        all.addAll(gates.of(c));
        return all;
    }

    private long ageDays(CheckEntry c) {
        return ChronoUnit.DAYS.between(cover.sown().orElseThrow(), c.on());
    }

    private double expectedM2(CheckEntry c) {
        return cover.blend().stream()
                .flatMap(b -> b.rates().stream())
                .filter(r -> c.species()
                        .map(s -> s.equals(r.component().species().id()))
                        .orElse(true))
                .mapToDouble(r ->
                        r.comesUpM2().middle() * r.component().zone().share().middle() / 100)
                .sum();
    }

    private GrowVerdict stand(CheckEntry c, double seenM2) {
        double expected = expectedM2(c);
        double share = expected > 0 ? seenM2 / expected : 1;
        String counted = Said.of(round(seenM2), Unit.PER_M2) + " plants"
                + (expected > 0
                        ? ", " + Math.round(100 * share) + " % of the " + Said.of(round(expected), Unit.PER_M2)
                                + " that should come up"
                        : "");
        if (ageDays(c) < COUNT_FROM_DAYS && share < GOOD_STAND) {
            return new GrowVerdict(
                    "stand",
                    "early",
                    counted + ", " + ageDays(c) + " days after sowing: some may still come. Do not sow again yet.",
                    List.of(),
                    Optional.of(cover.sown().orElseThrow().plusDays(COUNT_FROM_DAYS + 7L)),
                    Optional.of("count again"));
        }
        if (share >= GOOD_STAND) {
            return new GrowVerdict(
                    "stand", "good", counted + ".", List.of(), nextAfterStand(), Optional.of("look before winter"));
        }
        boolean failed = share < THIN_STAND;
        return new GrowVerdict(
                "stand",
                failed ? "failed" : "thin",
                counted
                        + (failed
                                ? ". Find the cause before anything is sown again; the step Sow says until when that is useful."
                                : ". Tillering and branching make up for part of it; weeds find the rest."),
                causes(c),
                Optional.of(c.on().plusDays(AGAIN_DAYS)),
                Optional.of(failed ? "decide whether to sow again, another species or none" : "count again"));
    }

    private Optional<LocalDate> nextAfterStand() {
        return winter.map(WinterStand::day).filter(d -> d.isAfter(plan.asOf()));
    }

    private List<String> causes(CheckEntry c) {
        List<String> pests = plan.context().field().pests().orElse(List.of()).stream()
                .map(FieldEntry.Pest::name)
                .map(n -> n.toLowerCase(Locale.ROOT))
                .toList();
        Optional<Double> depth =
                plan.timeline().sow(cover.id()).flatMap(Operation.Sow::depth).map(d -> d.in(Unit.CENTIMETRE));
        return StandCauses.ranked(
                c.evidence(),
                new StandCauses.Known(
                        pests.stream().anyMatch(p -> p.contains("slug")),
                        pests.stream().anyMatch(p -> p.contains("cutworm")),
                        depth.filter(d -> cover.species().stream().anyMatch(s -> d > SeedDepth.safeCm(s) + 0.5))
                                .isPresent(),
                        seedbed.map(b -> b.dryPercent().middle()).orElse(0.0),
                        seedbed.stream()
                                .flatMap(b -> b.coldPercent().values().stream())
                                .mapToDouble(f -> f.middle())
                                .max()
                                .orElse(0),
                        cover.sowing().method().onSurface(),
                        cover.components().stream()
                                .anyMatch(k -> k.lot()
                                        .map(l -> l.testedOn()
                                                .map(t -> t.plusMonths(9)
                                                        .isBefore(cover.sown().orElseThrow()))
                                                .orElse(true))
                                        .orElse(false))));
    }

    private GrowVerdict nodules(CheckEntry c, String seen) {
        boolean early = ageDays(c) < NODULES_FROM_DAYS;
        return switch (seen) {
            case "pink" ->
                new GrowVerdict(
                        "nodules", "good", "Pink inside: they fix.", List.of(), Optional.empty(), Optional.empty());
            case "few" ->
                new GrowVerdict(
                        "nodules",
                        early ? "early" : "weak",
                        early
                                ? "Few so far, " + ageDays(c)
                                        + " days after sowing: they form within five to six weeks."
                                : "Few: half the fixation is counted from here on.",
                        early ? List.of() : noduleCauses(),
                        Optional.of(c.on().plusDays(14)),
                        Optional.of("dig again"));
            default ->
                new GrowVerdict(
                        "nodules",
                        early ? "early" : "none",
                        early
                                ? "None so far, " + ageDays(c)
                                        + " days after sowing: dig again before it is counted on."
                                : "None: no fixation is counted, and the next crop gets no credit for it.",
                        early ? List.of() : noduleCauses(),
                        Optional.of(c.on().plusDays(14)),
                        Optional.of("dig again, with the roots washed and not pulled"));
        };
    }

    private static List<String> noduleCauses() {
        return List.of(
                "no live rhizobium of its group: inoculant missing, old or dried out",
                "much nitrate in the soil: it need not fix",
                "acid, wet or very dry soil");
    }

    /** Plants of single species counted about the same day, against each other and against what was sown. */
    private Optional<GrowVerdict> balance(CheckEntry c) {
        if (c.species().isEmpty() || c.plants().isEmpty()) {
            return Optional.empty();
        }
        Map<String, Double> m2 = new LinkedHashMap<>();
        cover.entry().checks().orElse(List.of()).stream()
                .filter(k -> k.species().isPresent() && k.plants().isPresent())
                .filter(k -> Math.abs(ChronoUnit.DAYS.between(k.on(), c.on())) <= 7 && !k.on().isAfter(c.on()))
                .forEach(k -> m2.put(
                        k.species().orElseThrow(), k.plants().orElseThrow().in(Unit.PER_M2)));
        double sum = m2.values().stream().mapToDouble(v -> v).sum();
        if (m2.size() < 2 || sum <= 0) {
            return Optional.empty();
        }
        List<String> shares = new ArrayList<>();
        double most = 0;
        for (Map.Entry<String, Double> e : m2.entrySet()) {
            double share = 100 * e.getValue() / sum;
            most = Math.max(most, share);
            shares.add(name(e.getKey()) + " " + Math.round(share) + " % of the plants, sown as "
                    + Math.round(sownPercent(e.getKey(), m2.keySet().stream().toList())) + " %");
        }
        boolean dominated = most > (m2.size() > 2 ? DOMINATES : DOMINATES_OF_TWO);
        return Optional.of(new GrowVerdict(
                "balance",
                dominated ? "dominated" : "balanced",
                String.join("; ", shares) + ".",
                List.of(),
                dominated ? Optional.of(c.on().plusDays(21)) : Optional.empty(),
                dominated
                        ? Optional.of(
                                "look whether the others still live; next season sow less of what leads. Mowing or grazing"
                                        + " high sets tall species back")
                        : Optional.empty()));
    }

    private String name(String species) {
        return plan.knowledge()
                .species()
                .find(species)
                .map(Species::name)
                .orElse(species)
                .toLowerCase(Locale.ROOT);
    }

    private double sownPercent(String species, List<String> among) {
        List<SeedRate> rates = cover.blend().map(b -> b.rates()).orElse(List.of()).stream()
                .filter(r -> among.contains(r.component().species().id()))
                .toList();
        double sum = rates.stream().mapToDouble(r -> r.comesUpM2().middle()).sum();
        return sum <= 0
                ? 0
                : 100
                        * rates.stream()
                                .filter(r -> r.component().species().id().equals(species))
                                .mapToDouble(r -> r.comesUpM2().middle())
                                .sum()
                        / sum;
    }

    private static GrowVerdict patches(CheckEntry c, double percent) {
        boolean many = percent >= PATCHY;
        return new GrowVerdict(
                "balance",
                many ? "patchy" : "even",
                Math.round(percent) + " % of the field is bare or failed"
                        + (many ? ": the mean of the rest is not the field's, and weeds have those places." : "."),
                List.of(),
                many ? Optional.of(c.on().plusDays(AGAIN_DAYS)) : Optional.empty(),
                many
                        ? Optional.of(
                                "sow the patches again or mark them: their weeds and their crop are treated by themselves")
                        : Optional.empty());
    }

    private Optional<GrowVerdict> bloom(CheckEntry c, String stage) {
        boolean flowers = stage.equals("in-bloom");
        boolean seed = stage.equals("seed-set") || stage.equals("ripe");
        if (!flowers && !seed) {
            return Optional.empty();
        }
        Optional<LocalDate> seeds = clocks.stream()
                .filter(k -> c.species().map(s -> s.equals(k.species().id())).orElse(true))
                .flatMap(k -> k.seeds().stream())
                .map(BloomClock.Span::early)
                .filter(d -> d.isAfter(c.on()))
                .min(LocalDate::compareTo);
        return Optional.of(
                seed
                        ? new GrowVerdict(
                                "bloom",
                                "seed",
                                "Seed is set: what ripens is a weed of the next years. Mowing now may spread it.",
                                List.of(),
                                Optional.of(c.on().plusDays(3)),
                                Optional.of("end it, or take it off the field"))
                        : new GrowVerdict(
                                "bloom",
                                "in bloom",
                                "In bloom: bees work it by day. No insecticide now, and other sprays in the evening, by the label."
                                        + " Mowing before seed sets makes many species flower again.",
                                List.of(),
                                seeds.or(() -> Optional.of(c.on().plusDays(14))),
                                Optional.of("clip or end it before the first seed can grow")));
    }

    private static double round(double v) {
        return v < 10 ? Math.round(v * 10) / 10.0 : Math.round(v);
    }
}
