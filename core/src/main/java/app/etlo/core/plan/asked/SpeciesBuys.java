package app.etlo.core.plan.asked;

import app.etlo.core.knowledge.Group;
import app.etlo.core.knowledge.Species;
import app.etlo.core.mix.AimDelivery;
import app.etlo.core.mix.AimWeights;
import app.etlo.core.mix.AimWorth;
import app.etlo.core.mix.Candidate;
import app.etlo.core.mix.MixForecast.Sown;
import app.etlo.core.mix.MixOutlook;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluated.CoverResult;
import app.etlo.core.plan.document.Context.LotEntry;
import app.etlo.core.plan.document.Refused;
import app.etlo.core.plan.growth.MixBench;
import app.etlo.core.plan.shown.Evaluation.FigureView;
import app.etlo.core.plan.shown.EvaluationWriter;
import app.etlo.core.quantity.Dimension;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * What each species of a mix buys: the mix grown with it and without it in the plan's own ground, what it costs, and in how many years
 * it is seen. The same for one more species beside the mix, or beside one species of it that is fixed.
 */
public final class SpeciesBuys {
    /** A species is seen in a year when it is so much of the dry tops. */
    private static final double SEEN = 0.05;
    /** One more goes in at this share of its full rate, brassicas at their own lower bound. */
    private static final double ONE_MORE = 0.25;

    private static final double MOST_OF_A_BRASSICA = 0.08;
    /** So many candidates are tried as one more, those of which seed is in store before others. */
    private static final int TRIED = 14;

    private final Evaluated e;
    private final MixBench bench;
    private final CoverResult cover;
    private final MixCost cost;
    private final List<String> aims;
    private final List<Candidate> candidates;
    private final Map<String, Double> weights;
    private final String currency;

    /**
     * @param base the species that is fixed, by name; empty where it is the whole mix
     * @param whole what the mix, or the fixed species alone, comes to
     */
    public record BuysView(
            Optional<String> base,
            List<AimView> aims,
            WholeView whole,
            List<MemberView> members,
            List<MoreView> more) {}

    /**
     * @param unit of one of it, after the name of a price
     */
    public record AimView(String id, String name, String measure, String unit) {}

    /**
     * @param cost of its seed per area, in whole bags
     * @param perAim cost of one of each aim, where an aim is an amount; in the order of the aims
     */
    public record WholeView(
            Optional<FigureView> mass,
            List<FigureView> aims,
            String cost,
            String costUnit,
            List<Optional<String>> perAim) {}

    /**
     * What a species buys.
     *
     * @param adds what it adds to each aim, signed, in the order of the aims
     * @param worth that goes with it, % of the aims as far as they are counted on
     * @param seenYears of {@code years} in which it is 5 % or more of the most dry tops
     * @param costs of its seed per area
     * @param perAim what one more of each aim costs through it
     */
    public record BoughtView(
            List<String> adds,
            double worth,
            int seenYears,
            int years,
            String costs,
            List<Optional<String>> perAim,
            boolean inStore) {}

    /**
     * One species of the mix.
     *
     * @param left dry tops of the others without it: what is there where it does not emerge; absent when none is left
     * @param leaves what the others deliver, in the order of the aims
     * @param substitute where no seed of it is in store
     */
    public record MemberView(
            String species,
            String name,
            Group group,
            Optional<FigureView> left,
            List<FigureView> leaves,
            BoughtView buys,
            Optional<SubstituteView> substitute) {}

    /** In its place, of the same group. */
    public record SubstituteView(String species, String name, boolean inStore) {}

    /**
     * One more species.
     *
     * @param percent of its full rate
     */
    public record MoreView(
            String species, String name, Group group, double percent, BoughtView buys, Optional<String> concern) {}

    private SpeciesBuys(Evaluated e, String coverId, List<LotEntry> lots, Map<String, Double> freeKg) {
        this.e = e;
        this.bench = Candidates.bench(e, coverId);
        this.cover = e.covers().stream()
                .filter(c -> c.entry().id().equals(coverId))
                .findFirst()
                .orElseThrow();
        this.cost = new MixCost(e, cover, lots, freeKg);
        this.aims = bench.place().aims().stream().filter(AimDelivery::measures).toList();
        this.candidates = Candidates.judged(e, coverId, bench);
        this.weights = AimWeights.of(aims);
        this.currency = e.context().farm().currency();
    }

    /**
     * For a cover.
     *
     * @param base a species of the mix that is fixed while companions are weighed; the whole mix when empty
     * @throws Refused when the mix has no such species, or nothing says when and where it grows
     */
    public static BuysView of(
            Evaluated e, String coverId, Optional<String> base, List<LotEntry> lots, Map<String, Double> freeKg) {
        return new SpeciesBuys(e, coverId, lots, freeKg).view(base);
    }

    /** A mix grown. */
    private record Grown(Map<String, Double> shares, Optional<MixOutlook> outlook) {
        double aim(String aim) {
            return outlook.map(o -> o.aims().get(aim).middle()).orElse(0.0);
        }
    }

    private Grown grow(Map<String, Double> shares) {
        List<Sown> sown = shares.entrySet().stream()
                .map(s -> {
                    Species species = e.knowledge().species().get(s.getKey());
                    return new Sown(species, s.getValue() * cost.seed().stand(species));
                })
                .toList();
        String id = "mix/" + cover.id() + "/buys";
        return new Grown(shares, MixOutlook.of(id, cover.id() + "/buys", sown, bench.forecast(), bench.place()));
    }

    private BuysView view(Optional<String> base) {
        Map<String, Double> own = cost.shares(cover);
        if (base.isPresent() && !own.containsKey(base.get())) {
            throw new Refused("/base", "the mix has no such species");
        }
        Grown mix = grow(own);
        List<Candidate> free =
                candidates.stream().filter(c -> !c.excluded() && !c.stopped()).toList();
        Grown whole = base.map(b -> grow(Map.of(b, own.get(b)))).orElse(mix);
        return new BuysView(
                base.map(b -> e.knowledge().species().get(b).name()),
                aims.stream()
                        .map(a -> new AimView(
                                a,
                                e.knowledge().aims().get(a).name(),
                                AimDelivery.label(a),
                                e.units().shown(AimDelivery.unit(a)).written()))
                        .toList(),
                whole(whole),
                base.isPresent()
                        ? List.of()
                        : own.keySet().stream().map(s -> member(mix, s, free)).toList(),
                own.isEmpty() ? List.of() : more(whole, free));
    }

    private WholeView whole(Grown g) {
        double perHa = cost.perHa(g.shares(), false);
        return new WholeView(
                g.outlook().map(o -> figure(o.mass())),
                g.outlook()
                        .map(o -> o.aims().values().stream().map(this::figure).toList())
                        .orElse(List.of()),
                money(perHa),
                e.units().shown(Unit.MONEY_PER_HA).written().replace("¤", currency),
                aims.stream().map(a -> perAim(perHa, g.aim(a), a)).toList());
    }

    private FigureView figure(Figure f) {
        return EvaluationWriter.figure(f, e.units(), currency);
    }

    private MemberView member(Grown mix, String id, List<Candidate> free) {
        Species species = e.knowledge().species().get(id);
        Map<String, Double> rest = new LinkedHashMap<>(mix.shares());
        rest.remove(id);
        Grown left = grow(rest);
        return new MemberView(
                id,
                species.name(),
                species.group(),
                left.outlook().map(o -> figure(o.mass())),
                left.outlook()
                        .map(o -> o.aims().values().stream().map(this::figure).toList())
                        .orElse(List.of()),
                bought(id, left, mix),
                cost.inStore(id) ? Optional.empty() : substitute(species, mix, free));
    }

    /** What comes with a species, from the mix without it to the one with it. */
    private BoughtView bought(String species, Grown without, Grown with) {
        double perHa = cost.perHa(Map.of(species, with.shares().get(species)), false);
        return new BoughtView(
                adds(without, with),
                worth(without, with),
                seen(with, species),
                years(with),
                money(perHa),
                aims.stream()
                        .map(a -> perAim(perHa, with.aim(a) - without.aim(a), a))
                        .toList(),
                cost.inStore(species));
    }

    private Optional<SubstituteView> substitute(Species gone, Grown mix, List<Candidate> free) {
        return free.stream()
                .filter(c -> c.species().group() == gone.group()
                        && !mix.shares().containsKey(c.species().id()))
                .max(Comparator.<Candidate>comparingInt(
                                c -> cost.inStore(c.species().id()) ? 1 : 0)
                        .thenComparingDouble(Candidate::score))
                .map(c -> new SubstituteView(
                        c.species().id(),
                        c.species().name(),
                        cost.inStore(c.species().id())));
    }

    private List<MoreView> more(Grown base, List<Candidate> free) {
        return free.stream()
                .filter(c -> !base.shares().containsKey(c.species().id()))
                .sorted(Comparator.comparing(
                        (Candidate c) -> !cost.inStore(c.species().id())))
                .limit(TRIED)
                .map(c -> oneMore(base, c))
                .sorted(Comparator.comparing(
                                (MoreView m) -> !(m.buys().inStore() && m.buys().worth() > 0))
                        .thenComparing(Comparator.comparingDouble(
                                        (MoreView m) -> m.buys().worth())
                                .reversed()))
                .toList();
    }

    private MoreView oneMore(Grown base, Candidate c) {
        Species s = c.species();
        double share = s.maxShare() < 1 ? Math.min(MOST_OF_A_BRASSICA, s.maxShare()) : ONE_MORE;
        Map<String, Double> shares = new LinkedHashMap<>(base.shares());
        shares.put(s.id(), share);
        Grown with = grow(shares);
        return new MoreView(
                s.id(),
                s.name(),
                s.group(),
                Math.round(share * 100),
                bought(s.id(), base, with),
                c.findings().stream().findFirst().map(f -> e.said(f.text())));
    }

    private List<String> adds(Grown without, Grown with) {
        return aims.stream()
                .map(a -> {
                    Unit unit = AimDelivery.unit(a);
                    Unit shown = e.units().shown(unit);
                    double v = unit.to(shown, with.aim(a)) - unit.to(shown, without.aim(a));
                    String text = Shown.text(Math.abs(v), shown);
                    return (text.matches("[0.,]+") ? "±" : v < 0 ? "−" : "+") + text;
                })
                .toList();
    }

    /** What one mix is worth to the aims more than another, %; 100 is each aim as far as it is counted on. */
    private double worth(Grown from, Grown to) {
        return Math.round(100 * (AimWorth.of(weights, amounts(to)) - AimWorth.of(weights, amounts(from))));
    }

    private Map<String, Double> amounts(Grown g) {
        Map<String, Double> amounts = new LinkedHashMap<>();
        aims.forEach(a -> amounts.put(a, g.aim(a)));
        return amounts;
    }

    private static int seen(Grown g, String id) {
        if (g.outlook().isEmpty()) {
            return 0;
        }
        var growth = g.outlook().get().growth();
        double[] whole = growth.grownKgHa();
        int of = IntStream.range(0, growth.species().size())
                .filter(i -> growth.species().get(i).species().id().equals(id))
                .findFirst()
                .orElseThrow();
        double[] own = growth.species().get(of).grownKgHa();
        return (int) IntStream.range(0, whole.length)
                .filter(y -> whole[y] > 0 && own[y] >= SEEN * whole[y])
                .count();
    }

    private static int years(Grown g) {
        return g.outlook().map(o -> o.growth().years()).orElse(0);
    }

    private String money(double perHa) {
        Unit shown = e.units().shown(Unit.MONEY_PER_HA);
        return Shown.text(Unit.MONEY_PER_HA.to(shown, perHa), shown);
    }

    /** What one of an aim costs, in the farm's units; empty where the aim is no amount, or nothing is added of it. */
    private Optional<String> perAim(double perHa, double adds, String aim) {
        Unit unit = AimDelivery.unit(aim);
        if (unit.dimension() != Dimension.MASS_PER_AREA || adds <= 0) {
            return Optional.empty();
        }
        Unit shown = e.units().shown(unit);
        double price = Unit.MONEY_PER_HA.to(e.units().shown(Unit.MONEY_PER_HA), perHa) / unit.to(shown, adds);
        String mass = shown.written().replaceAll("/.*", "").strip();
        return price > 999
                ? Optional.empty()
                : Optional.of(Shown.plain(price, price < 10 ? 2 : 0) + " " + currency + "/" + mass);
    }
}
