package app.etlo.core.plan.asked;

import app.etlo.core.advice.Weight;
import app.etlo.core.knowledge.Group;
import app.etlo.core.knowledge.Species;
import app.etlo.core.knowledge.Use;
import app.etlo.core.mix.AimDelivery;
import app.etlo.core.mix.Blend;
import app.etlo.core.mix.Bounds;
import app.etlo.core.mix.MixDesigner;
import app.etlo.core.mix.MixDesigner.Binding;
import app.etlo.core.mix.MixDesigner.Proposal;
import app.etlo.core.mix.MixForecast.Sown;
import app.etlo.core.mix.MixProgram.Wish;
import app.etlo.core.mix.MixWishes;
import app.etlo.core.mix.SeedBounds;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.document.Context.LotEntry;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanDocument.ComponentEntry;
import app.etlo.core.plan.document.PlanDocument.MixEntry;
import app.etlo.core.plan.document.ProblemList;
import app.etlo.core.plan.growth.MixBench;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.quantity.UnitSystem;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Mixes proposed for a cover of a plan, in the words and units of its farm. */
public final class MixProposals {
    /** Points of the frontier of cost against what the aims get. */
    public static final int POINTS = 10;

    private final Evaluated e;
    /** Searches under a ceiling of cost: whole bags can make a mix dearer than the search counts. */
    /** So many times species that notes stop are left out. */
    private static final int MOST_STOPS = 12;

    private static final int TRIES = 6;
    /** Each try goes down by at least this share of the ceiling asked for. */
    private static final double LEAST_STEP = 0.01;

    private final MixDesigner designer;
    private final MixCost cost;
    private final String coverId;
    private final UnitSystem units;
    private final Function<PlanDocument, Evaluated> evaluate;

    /**
     * Wishes as typed.
     *
     * @param goal serve: the aims as well as can be; cheapest: the least cost that reaches the minimums
     * @param aims least amounts by aim
     * @param cost most money per area
     * @param speciesShares percent of the full rate by species
     * @param groupShares percent of the full rate by group
     * @param legumePercent of the dry tops
     * @param winterkilledPercent of the dry tops
     * @param seedPercents percent of all live seeds by species; {@code weightPercents} of the weight, {@code boxPercents} of that in its box
     * @param weightKgHa pure live seed together
     */
    public record WishesEntry(
            Optional<String> goal,
            Optional<Map<String, Quantity>> aims,
            Optional<Quantity> cost,
            Optional<Bounds> species,
            Optional<Map<Group, Integer>> groups,
            Optional<Map<Group, Bounds>> groupShares,
            Optional<Map<String, Bounds>> speciesShares,
            Optional<List<String>> without,
            Optional<Bounds> totalPercent,
            Optional<Bounds> seedsM2,
            Optional<Integer> boxes,
            Optional<Boolean> stockFirst,
            Optional<Bounds> carbonToNitrogen,
            Optional<Bounds> legumePercent,
            Optional<Bounds> winterkilledPercent,
            Optional<Map<String, Bounds>> seedPercents,
            Optional<Map<String, Bounds>> weightPercents,
            Optional<Map<String, Bounds>> boxPercents,
            Optional<Bounds> weightKgHa) {}

    /**
     * @param mix absent when nothing fits
     * @param conflict then, the wishes of which one must go
     */
    public record Proposed(Optional<MixView> mix, List<String> conflict) {}

    /**
     * @param cost of what is bought per area, in the farm's units: with waste, in whole bags
     * @param costNote which species are counted at the library's price, which is no price of the farm
     * @param score what each aim gets over the most that one species alone gives it, by the aims' weights
     * @param missed aims that fall short once the species compete
     * @param proved whether no better mix exists for the linear programme
     */
    public record MixView(
            List<ShareView> shares,
            double cost,
            String costText,
            String costUnit,
            Optional<String> costNote,
            double score,
            List<AmountView> aims,
            List<BindingView> binding,
            List<String> missed,
            int rounds,
            boolean proved) {}

    /**
     * @param lotId the lot its cost is computed from
     */
    public record ShareView(String species, String name, Group group, double percent, Optional<String> lotId) {}

    public record AmountView(String aim, double value, String text, String unit) {}

    /**
     * @param buys what a step looser would bring, in words; empty when it brings nothing
     */
    public record BindingView(String words, String buys) {}

    /**
     * For a cover.
     *
     * @param lots of the practice, for prices and stock
     * @param freeKg what of each lot no plan has taken yet, by lot
     * @param evaluate works a plan out, to see what Etlo's own notes say of a proposal
     */
    public MixProposals(
            Evaluated e,
            String coverId,
            List<LotEntry> lots,
            Map<String, Double> freeKg,
            Function<PlanDocument, Evaluated> evaluate) {
        this.evaluate = evaluate;
        this.e = e;
        this.coverId = coverId;
        this.units = e.units();
        MixBench bench = Candidates.bench(e, coverId);
        this.cost = new MixCost(
                e,
                e.covers().stream()
                        .filter(c -> c.entry().id().equals(coverId))
                        .findFirst()
                        .orElseThrow(),
                lots,
                freeKg);
        this.designer =
                new MixDesigner(bench.forecast(), bench.place(), Candidates.judged(e, coverId, bench), cost.seed());
    }

    /** The best mix within the wishes that Etlo's own notes do not stop, or which wishes cannot all hold. */
    public Proposed propose(WishesEntry wishes) {
        MixWishes read = read(wishes);
        Optional<Proposal> found = unstopped(read, this::underCeiling);
        return new Proposed(found.map(p -> view(p, read.stockFirst())), found.isPresent() ? List.of() : conflict(read));
    }

    /** What is found without the species that a stop note of the plan with it speaks of; what was asked for by name stays. */
    private Optional<Proposal> unstopped(MixWishes wishes, Function<MixWishes, Optional<Proposal>> find) {
        MixWishes searched = wishes;
        Optional<Proposal> found = find.apply(searched);
        for (int i = 0; i < MOST_STOPS && found.isPresent(); i++) {
            List<String> stopped = stopped(found.get()).stream()
                    .filter(s -> !wishes.asksFor(s))
                    .toList();
            if (stopped.isEmpty()) {
                break;
            }
            searched = searched.leavingOut(stopped);
            found = find.apply(searched);
        }
        return found;
    }

    /** The species that had to be left out of the best mix at any cost and of the cheapest one. */
    private List<String> unstoppedSpecies(MixWishes wishes) {
        List<String> out = new ArrayList<>();
        for (MixWishes end : List.of(wishes.aimingAt(false).atAnyCost(), wishes.aimingAt(true))) {
            unstopped(end.leavingOut(out), w -> {
                out.addAll(w.without().stream()
                        .filter(s -> !out.contains(s) && !wishes.without().contains(s))
                        .toList());
                return designer.propose(w);
            });
        }
        return out;
    }

    private List<String> stopped(Proposal p) {
        return evaluate.apply(Alternatives.mixed(e.plan(), coverId, entry(p))).notes().stream()
                .filter(n -> n.weight() == Weight.STOP && n.subject().startsWith(coverId + "/"))
                .map(n -> n.subject().substring(coverId.length() + 1))
                .filter(p.shares()::containsKey)
                .distinct()
                .toList();
    }

    private MixEntry entry(Proposal p) {
        return new MixEntry(
                "share",
                p.shares().entrySet().stream()
                        .map(s -> new ComponentEntry(
                                s.getKey(),
                                Optional.of(s.getValue() * 100),
                                Optional.empty(),
                                Optional.empty(),
                                cost.lotOf(s.getKey()),
                                Optional.empty()))
                        .toList(),
                Optional.empty(),
                Optional.empty());
    }

    private List<String> conflict(MixWishes read) {
        List<String> found = designer.conflict(read).stream().map(this::words).toList();
        return found.isEmpty()
                ? List.of(read.cost()
                        .map(c -> "seed cost at most " + say(c, Unit.MONEY_PER_HA) + ", in whole bags")
                        .orElse("whole bags"))
                : found;
    }

    /** The search is given a lower ceiling until what is bought, in whole bags, stays under the one that was asked for. */
    private Optional<Proposal> underCeiling(MixWishes asked) {
        MixWishes searched = asked;
        for (int i = 0; i < TRIES; i++) {
            Optional<Proposal> found = designer.propose(searched);
            if (found.isEmpty() || asked.cost().isEmpty()) {
                return found;
            }
            double over = cost.perHa(found.get().shares(), asked.stockFirst())
                    - asked.cost().get();
            if (over <= 1e-6) {
                return found;
            }
            // a bag less may take more than what it is over
            double less = Math.max(over, LEAST_STEP * asked.cost().get());
            double lower = Math.min(searched.cost().orElseThrow(), found.get().cost()) - less;
            if (lower <= 0) {
                return Optional.empty();
            }
            searched = searched.costing(lower);
        }
        return Optional.empty();
    }

    /**
     * Looks at wishes before anything is computed from them.
     *
     * @throws Refused when they cannot be
     */
    public void check(WishesEntry wishes) {
        read(wishes);
    }

    /** Cost against what the aims get, each point passed on as soon as it is found. */
    public void frontier(WishesEntry wishes, Consumer<MixView> found) {
        MixWishes read = read(wishes);
        // the stops of the best mix hold for every point of the line
        MixWishes free = read.leavingOut(unstoppedSpecies(read));
        designer.frontier(free, POINTS, p -> found.accept(view(p, read.stockFirst())));
    }

    /** The cover's own mix, measured as the proposals are; empty while it has no rate. */
    public Optional<MixView> own() {
        Map<String, Double> shares = e.covers().stream()
                .filter(c -> c.entry().id().equals(coverId))
                .flatMap(c -> c.mix().blend().stream())
                .flatMap(b -> MixBench.sown(b.rates()).stream())
                .collect(Collectors.toMap(s -> s.species().id(), Sown::share, Double::sum, LinkedHashMap::new));
        return shares.isEmpty()
                ? Optional.empty()
                : Optional.of(view(
                        designer.own(shares),
                        e.cover(coverId)
                                .mix()
                                .blend()
                                .flatMap(Blend::costPerHa)
                                .map(f -> f.in(Unit.MONEY_PER_HA))
                                .orElseGet(() -> cost.perHa(shares, false))));
    }

    private MixWishes read(WishesEntry w) {
        ProblemList check = new ProblemList();
        MixWishes usual = MixWishes.none();
        check.oneOf(w.goal(), "/wishes/goal", List.of("serve", "cheapest"));
        Map<String, Double> aims = new LinkedHashMap<>();
        w.aims().orElse(Map.of()).forEach((aim, q) -> {
            if (!AimDelivery.measures(aim)) {
                check.problem("/wishes/aims/" + aim, "there is no such aim");
            } else if (q.unit().dimension() != AimDelivery.unit(aim).dimension()) {
                check.problem(
                        "/wishes/aims/" + aim, "in " + AimDelivery.unit(aim).symbol() + " or a unit like it");
            } else {
                aims.put(aim, q.in(AimDelivery.unit(aim)));
            }
        });
        w.cost()
                .filter(q -> q.unit().dimension() != Unit.MONEY_PER_HA.dimension() || q.value() < 0)
                .ifPresent(q -> check.problem("/wishes/cost", "money per area, not below zero"));
        w.boxes().filter(b -> b != 1 && b != 2).ifPresent(b -> check.problem("/wishes/boxes", "one or two"));
        Bounds species = w.species().orElse(usual.species());
        if (species.most().orElse(1.0) > MixWishes.MOST_SPECIES
                || species.least().orElse(1.0) > species.most().orElse(10.0)) {
            check.problem("/wishes/species", "from 1 to " + MixWishes.MOST_SPECIES + ", the least first");
        }
        Map.of(
                        "speciesShares", w.speciesShares(),
                        "seedPercents", w.seedPercents(),
                        "weightPercents", w.weightPercents(),
                        "boxPercents", w.boxPercents())
                .forEach((member, bounds) -> bounds.orElse(Map.of()).keySet().stream()
                        .filter(s -> e.knowledge().species().find(s).isEmpty())
                        .forEach(s -> check.problem("/wishes/" + member + "/" + s, "the library has no such species")));
        check.done();
        return new MixWishes(
                w.goal().filter("cheapest"::equals).isPresent(),
                aims,
                w.cost().map(q -> q.in(Unit.MONEY_PER_HA)),
                new Bounds(species.least(), Optional.of(species.most().orElse(10.0))),
                w.groups().orElse(Map.of()),
                hundredth(w.groupShares().orElse(Map.of())),
                hundredth(w.speciesShares().orElse(Map.of())),
                w.without().orElse(List.of()),
                w.totalPercent().map(MixProposals::hundredth).orElse(usual.totalShare()),
                w.seedsM2().orElse(Bounds.OPEN),
                w.boxes().orElse(2),
                w.stockFirst().orElse(false),
                w.carbonToNitrogen().orElse(Bounds.OPEN),
                w.legumePercent().map(MixProposals::hundredth).orElse(Bounds.OPEN),
                w.winterkilledPercent().map(MixProposals::hundredth).orElse(Bounds.OPEN),
                new SeedBounds(
                        hundredth(w.seedPercents().orElse(Map.of())),
                        hundredth(w.weightPercents().orElse(Map.of())),
                        hundredth(w.boxPercents().orElse(Map.of())),
                        w.weightKgHa().orElse(Bounds.OPEN)));
    }

    private static Bounds hundredth(Bounds b) {
        return new Bounds(b.least().map(v -> v / 100), b.most().map(v -> v / 100));
    }

    private static <K> Map<K, Bounds> hundredth(Map<K, Bounds> all) {
        Map<K, Bounds> found = new LinkedHashMap<>();
        all.forEach((k, b) -> found.put(k, hundredth(b)));
        return found;
    }

    private MixView view(Proposal p, boolean fromStock) {
        return view(p, cost.perHa(p.shares(), fromStock));
    }

    private MixView view(Proposal p, double perHa) {
        Unit money = units.shown(Unit.MONEY_PER_HA);
        return new MixView(
                p.shares().entrySet().stream()
                        .map(s -> {
                            Species species = e.knowledge().species().get(s.getKey());
                            return new ShareView(
                                    species.id(),
                                    species.name(),
                                    species.group(),
                                    Math.round(s.getValue() * 1000) / 10.0,
                                    cost.lotOf(species.id()));
                        })
                        .sorted((a, b) -> a.group() == b.group()
                                ? Double.compare(b.percent(), a.percent())
                                : a.group().compareTo(b.group()))
                        .toList(),
                Unit.MONEY_PER_HA.to(money, perHa),
                Shown.text(Unit.MONEY_PER_HA.to(money, perHa), money),
                money.symbol().replace("¤", e.context().farm().currency()),
                costNote(p),
                p.score(),
                p.aims().entrySet().stream()
                        .map(a -> amount(a.getKey(), a.getValue()))
                        .toList(),
                p.binding().stream()
                        .map(b -> new BindingView(words(b.wish()), buys(b)))
                        .toList(),
                p.missed().stream().map(a -> e.knowledge().aims().get(a).name()).toList(),
                p.rounds(),
                p.proved());
    }

    private Optional<String> costNote(Proposal p) {
        List<String> names = cost.unpriced(p.shares().keySet());
        return names.isEmpty()
                ? Optional.empty()
                : Optional.of("No priced lot for " + String.join(", ", names) + ": counted at the library's price, "
                        + Use.PRICE_CURRENCY + " of " + Use.PRICE_YEAR + ", not at yours.");
    }

    private AmountView amount(String aim, double value) {
        Unit unit = AimDelivery.unit(aim);
        Unit shown = units.shown(unit);
        double v = unit.to(shown, value);
        return new AmountView(aim, v, Shown.text(v, shown), shown.symbol());
    }

    private String words(Wish w) {
        String end = w.upper() ? "at most " : "at least ";
        String id = w.id();
        if (id.equals("cost")) {
            return "seed cost at most " + say(w.bound(), Unit.MONEY_PER_HA);
        }
        if (id.equals("seeds")) {
            return "live seeds " + end + say(w.bound(), Unit.PER_M2);
        }
        if (id.startsWith("aim/")) {
            return w.words() + " " + say(w.bound(), AimDelivery.unit(id.substring(4)));
        }
        if (id.equals("weight")) {
            return "live seed " + end + say(w.bound(), Unit.KG_PER_HA);
        }
        boolean percent = id.startsWith("share/")
                || id.startsWith("ofSeeds/")
                || id.startsWith("ofWeight/")
                || id.startsWith("ofBox/")
                || id.startsWith("groupShare/")
                || id.equals("total")
                || id.equals("legumes")
                || id.equals("winterkilled");
        return w.words() + " " + end + (percent ? Math.round(w.bound() * 100) + " %" : plain(w.bound()));
    }

    /** What one step looser brings: the aim that gains most, and the money. */
    private String buys(Binding b) {
        if (b.score() <= 1e-4) {
            return b.cost() < -0.5 ? say(-b.cost(), Unit.MONEY_PER_HA) + " less to pay" : "";
        }
        String aim = b.aims().entrySet().stream()
                .max(Map.Entry.comparingByValue(java.util.Comparator.comparingDouble(v -> v)))
                .map(Map.Entry::getKey)
                .orElseThrow();
        double more = b.aims().get(aim);
        String money = b.cost() > 0.5
                ? " for " + say(b.cost(), Unit.MONEY_PER_HA)
                : b.cost() < -0.5 ? " and saves " + say(-b.cost(), Unit.MONEY_PER_HA) : " at the same cost";
        return say(more, AimDelivery.unit(aim)) + " more "
                + AimDelivery.label(aim).toLowerCase(Locale.ROOT) + money;
    }

    private String say(double value, Unit unit) {
        Unit shown = units.shown(unit);
        return Shown.text(unit.to(shown, value), shown) + " "
                + shown.symbol().replace("¤", e.context().farm().currency());
    }

    private static String plain(double v) {
        return v == Math.rint(v) ? String.valueOf(Math.round(v)) : String.valueOf(v);
    }
}
