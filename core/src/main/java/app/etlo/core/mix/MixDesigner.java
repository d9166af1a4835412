package app.etlo.core.mix;

import app.etlo.core.knowledge.CoverPurpose;
import app.etlo.core.knowledge.Species;
import app.etlo.core.mix.MixForecast.Sown;
import app.etlo.core.mix.MixProgram.Row;
import app.etlo.core.mix.MixProgram.Wish;
import app.etlo.core.mix.MixSolver.Solution;
import app.etlo.core.weather.Percentiles;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Stream;

/**
 * Proposes mixes. The programme is linear around the forecast: what a species yields per share depends on its rivals, so the
 * mix found is grown and solved again, a few times or until no share moves by 2 % and no aim is missed, and the best seen is kept.
 */
public final class MixDesigner {
    private static final int ROUNDS = 6;
    /** The same for a point of the line of cost against aims, of which there are many. */
    private static final int ROUNDS_OF_A_POINT = 3;

    /** An aim that was missed is asked for by at most so much more in the next round. */
    private static final double MOST_MORE = 1.5;

    /** Costs that are tried where the search itself misses an amount. */
    private static final int FALLBACK_POINTS = 10;

    /** Shares of the cost of the mix found at which a better one is looked for. */
    private static final List<Double> CHEAPER = List.of(0.9, 0.75, 0.5);

    private static final double SETTLED = 0.02;
    /** A species is not worth a drill box under this share of its full rate. */
    private static final double LEAST_SHARE = 0.05;

    private static final double LEAST_BRASSICA_SHARE = 0.03;
    /** Rivals before anything is known of the mix, in shares of a full stand. */
    private static final double USUAL_RIVALS = 0.7;
    /** How thin a stand may be before it yields less, for a first guess: at half the full rate it still yields five sixths. */
    private static final double SLACK = 0.25;
    /** A wish is binding when it is met to within this share of its size. */
    private static final double TIGHT = 1e-5;

    private final MixForecast forecast;
    private final List<Candidate> candidates;
    private final Map<String, Double> weights;
    private final Map<String, Double> scale = new LinkedHashMap<>();
    private final AimDelivery delivery;
    private final Seed seed;
    private final MixSolver solver = new MixSolver();

    /**
     * The seed of the species and how it is sown.
     *
     * @param lots by species; absent: the library's usual seed
     * @param rateFactor on the drilled rate by the way it is sown
     * @param standFactor on the plants of a drilled full rate: what of the factors is not lost again by the way it is sown
     * @param waste share added for what stays in machine and sack
     * @param sownFor what a full rate is taken for
     */
    public record Seed(
            Map<String, Lot> lots, double rateFactor, double standFactor, double waste, CoverPurpose sownFor) {
        /**
         * Pure live seed of one species.
         *
         * @param pricePerKg empty: the library's usual price
         * @param stockKgHa in store per ha to be sown
         * @param perKg empty: the library's usual count
         * @param growsNow share of the live seed that germinates this season
         */
        public record Lot(Optional<Double> pricePerKg, double stockKgHa, Optional<Double> perKg, double growsNow) {}

        private static final Lot USUAL = new Lot(Optional.empty(), 0, Optional.empty(), 1);

        private Lot lot(Species s) {
            return lots.getOrDefault(s.id(), USUAL);
        }

        double price(Species s) {
            return lot(s).pricePerKg().orElse(s.use().price().middle() / 0.83);
        }

        double perKg(Species s) {
            return lot(s).perKg().orElse(s.seedsPerKg().middle());
        }

        /** Plants of a whole share over those of a drilled full rate of usual seed. */
        public double stand(Species s) {
            return sownFor.overCover(s)
                    * standFactor
                    * lot(s).growsNow()
                    * perKg(s)
                    / s.seedsPerKg().middle();
        }
    }

    public MixDesigner(MixForecast forecast, MixPlace place, List<Candidate> candidates, Seed seed) {
        this.forecast = forecast;
        this.candidates = candidates;
        this.seed = seed;
        List<String> aims = place.aims().stream().filter(AimDelivery::measures).toList();
        this.weights = AimWeights.of(aims);
        this.delivery = new AimDelivery(place);
        for (Candidate c : candidates) {
            if (!c.excluded()) {
                delivered(c.growth()).forEach((aim, v) -> scale.merge(aim, Math.abs(v), Math::max));
            }
        }
    }

    /**
     * A mix proposed.
     *
     * @param shares of the full rate by species
     * @param cost money per ha of seed that must be bought
     * @param score what it is worth: what it delivers of each aim over the most one candidate does alone, by {@link AimUtility} and the
     *     aims' weights
     * @param aims what it delivers with competition, by aim
     * @param solved the programme it solves; empty for the adviser's own mix
     * @param missed aims that the mix misses once competition is computed, though the linear programme met them
     */
    public record Proposal(
            Map<String, Double> shares,
            double cost,
            double score,
            Map<String, Double> aims,
            Optional<Solved> solved,
            List<String> missed,
            int rounds,
            boolean proved) {
        /** The same where the ceiling of cost was the search's own, and holds nothing back. */
        Proposal atAnyCost() {
            return new Proposal(shares, cost, score, aims, solved.map(Solved::atAnyCost), missed, rounds, proved);
        }
    }

    /** A programme and the columns that solve it. */
    public record Solved(MixProgram program, Solution solution) {
        Solved atAnyCost() {
            List<Row> rows = program.rows().stream()
                    .filter(r ->
                            r.wish().filter(w -> w.id().equals(MixProgram.COST)).isEmpty())
                    .toList();
            return new Solved(program.with(rows), solution);
        }
    }

    /**
     * @param score more of it when the wish is a step looser
     * @param cost more money per ha then
     * @param aims more of each aim then
     */
    public record Binding(Wish wish, double score, double cost, Map<String, Double> aims) {}

    /** The best mix within the wishes; empty when nothing fits. */
    public Optional<Proposal> propose(MixWishes wishes) {
        Optional<Proposal> found = propose(wishes, ROUNDS);
        if (found.isEmpty() || wishes.cheapest()) {
            return found;
        }
        // where competition is not linear, less money may serve better
        Stream<Proposal> cheaper = CHEAPER.stream()
                .flatMap(of -> propose(wishes.costing(of * found.get().cost()), ROUNDS_OF_A_POINT).stream())
                .map(Proposal::atAnyCost);
        return Stream.concat(found.stream(), cheaper).reduce((a, b) -> better(b, a, wishes) ? b : a);
    }

    private Optional<Proposal> propose(MixWishes wishes, int rounds) {
        Optional<Proposal> found = search(wishes, rounds);
        boolean missed = found.filter(p -> p.missed().isEmpty()).isEmpty();
        if (!missed || wishes.aims().isEmpty()) {
            return found;
        }
        // the programme is linear and competition is not: what serves the aims at some cost may reach what the search
        // for it did not
        Comparator<Proposal> better = wishes.cheapest()
                ? Comparator.comparingDouble(Proposal::cost).reversed()
                : Comparator.comparingDouble(Proposal::score);
        return frontier(wishes.reaching(Map.of()), FALLBACK_POINTS, p -> {}).stream()
                .filter(p -> missed(p.aims(), wishes).isEmpty()
                        && wishes.cost().map(most -> p.cost() <= most).orElse(true))
                .max(better)
                .or(() -> found);
    }

    private static List<String> missed(Map<String, Double> aims, MixWishes wishes) {
        return wishes.aims().entrySet().stream()
                .filter(w -> aims.getOrDefault(w.getKey(), 0.0) < w.getValue() * (1 - 1e-3))
                .map(Map.Entry::getKey)
                .toList();
    }

    private Optional<Proposal> search(MixWishes wishes, int rounds) {
        Map<String, Double> mix = Map.of();
        Optional<Proposal> best = Optional.empty();
        MixWishes searched = wishes;
        Set<Map<String, Double>> seen = new HashSet<>();
        for (int round = 1; round <= rounds; round++) {
            MixProgram program = program(mix, searched);
            Optional<Solution> found = solver.solve(program);
            if (found.isEmpty()) {
                break;
            }
            Map<String, Double> shares = shares(program, found.get());
            Proposal p = proposal(program, found.get(), shares, wishes, round);
            if (best.isEmpty() || better(p, best.get(), wishes)) {
                best = Optional.of(p);
            }
            boolean settled = settled(mix, shares) || !seen.add(shares);
            if (settled && p.missed().isEmpty()) {
                break;
            }
            searched = searched.reaching(higher(searched, wishes, p));
            mix = best.get().shares().equals(shares)
                    ? shares
                    : halfway(best.get().shares(), shares);
        }
        return best;
    }

    /** Between two mixes: around it the programme is true of both, where from one to the other and back it would not settle. */
    private static Map<String, Double> halfway(Map<String, Double> a, Map<String, Double> b) {
        Map<String, Double> half = new LinkedHashMap<>();
        a.forEach((s, share) -> half.merge(s, share / 2, Double::sum));
        b.forEach((s, share) -> half.merge(s, share / 2, Double::sum));
        return half;
    }

    /** What was missed once grown is asked for by as much more. */
    private static Map<String, Double> higher(MixWishes searched, MixWishes wishes, Proposal p) {
        Map<String, Double> least = new LinkedHashMap<>(searched.aims());
        p.missed().forEach(aim -> {
            double wanted = wishes.aims().get(aim);
            double got = p.aims().getOrDefault(aim, 0.0);
            if (wanted > 0 && got > 0) {
                least.merge(aim, Math.min(MOST_MORE, wanted / got), (was, more) -> was * more);
            }
        });
        return least;
    }

    private static boolean better(Proposal a, Proposal b, MixWishes wishes) {
        if (a.missed().size() != b.missed().size()) {
            return a.missed().size() < b.missed().size();
        }
        return wishes.cheapest() ? a.cost() < b.cost() : a.score() > b.score();
    }

    private static boolean settled(Map<String, Double> a, Map<String, Double> b) {
        return a.keySet().equals(b.keySet())
                && a.entrySet().stream().allMatch(e -> Math.abs(e.getValue() - b.get(e.getKey())) < SETTLED);
    }

    /** Wishes that cannot all hold, none of them to spare; empty when a mix fits. */
    public List<Wish> conflict(MixWishes wishes) {
        return solver.conflict(program(Map.of(), wishes));
    }

    /**
     * The most that can be had for each of so many costs, from the cheapest mix that fits to the one that money no longer
     * betters; each is passed on as soon as it is found.
     */
    public List<Proposal> frontier(MixWishes wishes, int points, Consumer<Proposal> onFound) {
        List<Proposal> found = new ArrayList<>();
        Optional<Proposal> least = propose(wishes.aimingAt(true), ROUNDS_OF_A_POINT);
        Optional<Proposal> most = propose(wishes.aimingAt(false).atAnyCost(), ROUNDS_OF_A_POINT);
        if (least.isEmpty() || most.isEmpty()) {
            return found;
        }
        double from = least.get().cost();
        double to = Math.max(from, most.get().cost());
        for (int i = 0; i < points && !Thread.currentThread().isInterrupted(); i++) {
            double cap = from + (to - from) * i / (points - 1) + 1e-6;
            Optional<Proposal> best = propose(wishes.aimingAt(false).costing(cap), ROUNDS_OF_A_POINT);
            // what served better for less money serves here too: competition is not linear
            Optional<Proposal> before = found.isEmpty() ? least : Optional.of(found.get(found.size() - 1));
            Stream.concat(before.stream(), best.stream())
                    .max(Comparator.comparingDouble(Proposal::score))
                    .ifPresent(p -> {
                        found.add(p);
                        onFound.accept(p);
                    });
        }
        return found;
    }

    /** The adviser's own mix, measured as the proposals are. */
    public Proposal own(Map<String, Double> shares) {
        MixProgram program = program(shares, MixWishes.none());
        double cost = program.items().stream()
                .mapToDouble(i -> i.cost() * shares.getOrDefault(i.species(), 0.0))
                .sum();
        Map<String, Double> aims = aims(shares);
        return new Proposal(shares, cost, score(aims), aims, Optional.empty(), List.of(), 0, false);
    }

    private MixProgram program(Map<String, Double> mix, MixWishes wishes) {
        SeasonGrowth grown = grow(mix);
        List<MixItem> items = candidates.stream()
                .filter(c -> !c.excluded() && !c.stopped()
                        || mix.containsKey(c.species().id())
                        || wishes.asksFor(c.species().id()))
                .filter(c -> middle(c.growth().grownKgHa()) > 0)
                .map(c -> grown.of(c.species())
                        .filter(i -> mix.get(c.species().id()) > 0)
                        .map(i -> item(
                                c,
                                grown,
                                i,
                                wholeShare(c, grown, i, mix.get(c.species().id()))))
                        .orElseGet(() -> item(c, c.growth(), 0, seed.stand(c.species()) * perShare(c.species(), mix))))
                .toList();
        return MixProgram.of(items, weights, scale, wishes);
    }

    /**
     * What one whole share of a species brings.
     *
     * @param grown alone, or in the mix of the round before
     * @param of its place there
     * @param factor from what is grown there to a whole share of it
     */
    private MixItem item(Candidate c, SeasonGrowth grown, int of, double factor) {
        Species s = c.species();
        Prospect p = grown.species().get(of);
        double counted = middle(grown.massKgHa(of)) * factor;
        double mass = middle(p.grownKgHa()) * factor;
        double rate = seed.sownFor().fullRateKgHa(s).middle();
        double had = rate * seed.rateFactor() * (1 + seed.waste());
        Map<String, Double> aims = new LinkedHashMap<>();
        weights.keySet().forEach(aim -> aims.put(aim, delivered(aim, grown, of) * factor));
        return new MixItem(
                s.id(),
                s.group(),
                SeedBox.isSmall(s),
                had * seed.price(s),
                rate * seed.rateFactor() * seed.perKg(s) / 1e4,
                rate * seed.rateFactor(),
                mass,
                counted * Prospect.CARBON_SHARE,
                counted * p.nitrogenShare(),
                p.mostlyLives() ? 0 : mass,
                aims,
                s.maxShare() < 1 ? LEAST_BRASSICA_SHARE : LEAST_SHARE,
                s.maxShare(),
                seed.lot(s).stockKgHa() / had);
    }

    /** From what a share of a species grows to in a mix to a whole share of it: no more than a whole share alone. */
    private double wholeShare(Candidate c, SeasonGrowth grown, int of, double share) {
        double alone = middle(c.growth().grownKgHa()) * Math.max(1, seed.stand(c.species()));
        return Math.min(
                1 / share, alone / Math.max(1e-9, middle(grown.species().get(of).grownKgHa())));
    }

    /** A first guess of how much of what it yields alone one whole share of a species yields beside a mix. */
    private double perShare(Species s, Map<String, Double> mix) {
        double own = s.growth().competitiveness();
        double rivals = mix.isEmpty()
                ? USUAL_RIVALS
                : candidates.stream()
                        .filter(c -> mix.containsKey(c.species().id())
                                && !c.species().id().equals(s.id()))
                        .mapToDouble(c ->
                                mix.get(c.species().id()) * c.species().growth().competitiveness() / own)
                        .sum();
        return (1 + SLACK) / (SLACK + rivals);
    }

    private static double middle(double[] years) {
        return years.length == 0 ? 0 : Percentiles.of(years).at(0.5);
    }

    private static Map<String, Double> shares(MixProgram program, Solution s) {
        Map<String, Double> shares = new LinkedHashMap<>();
        for (int i = 0; i < program.items().size(); i++) {
            double share = Math.round(s.columns()[i] * 1000) / 1000.0;
            if (share > 0) {
                shares.put(program.items().get(i).species(), share);
            }
        }
        return shares;
    }

    private SeasonGrowth grow(Map<String, Double> shares) {
        return forecast.grow(candidates.stream()
                .filter(c -> shares.containsKey(c.species().id()))
                .map(c -> new Sown(c.species(), shares.get(c.species().id()) * seed.stand(c.species())))
                .toList());
    }

    private Map<String, Double> aims(Map<String, Double> shares) {
        return delivered(grow(shares));
    }

    /** What all species of a mix deliver, by aim: the same sums as the mix's own outlook. */
    private Map<String, Double> delivered(SeasonGrowth grown) {
        Map<String, Double> aims = new LinkedHashMap<>();
        weights.keySet().forEach(aim -> {
            double sum = 0;
            for (int i = 0; i < grown.species().size(); i++) {
                sum += delivered(aim, grown, i);
            }
            aims.put(aim, sum);
        });
        return aims;
    }

    private double delivered(String aim, SeasonGrowth grown, int of) {
        return delivery.value(
                aim, grown.species().get(of), middle(AimDelivery.counted(aim, grown, of)), middle(grown.grownKgHa()));
    }

    private double score(Map<String, Double> aims) {
        return weights.entrySet().stream()
                .mapToDouble(w -> w.getValue()
                        * AimUtility.of(aims.get(w.getKey()) / Math.max(1e-9, scale.getOrDefault(w.getKey(), 1.0))))
                .sum();
    }

    private Proposal proposal(MixProgram program, Solution s, Map<String, Double> shares, MixWishes wishes, int round) {
        Map<String, Double> aims = aims(shares);
        List<String> missed = missed(aims, wishes);
        return new Proposal(
                shares,
                program.cost(s.columns()),
                score(aims),
                aims,
                Optional.of(new Solved(program, s)),
                missed,
                round,
                s.proved());
    }

    /** Wishes that hold a proposal back, and what loosening each would buy; each is a search of its own. */
    public List<Binding> binding(Proposal p) {
        return p.solved().map(s -> binding(s.program(), s.solution(), p.aims())).orElse(List.of());
    }

    private List<Binding> binding(MixProgram program, Solution s, Map<String, Double> aims) {
        List<Binding> found = new ArrayList<>();
        for (Row r : program.rows()) {
            if (r.wish().isEmpty() || !isTight(r, s.columns())) {
                continue;
            }
            List<Row> rows = new ArrayList<>(program.rows());
            rows.set(rows.indexOf(r), r.looser().orElseThrow());
            solver.solve(program.with(rows)).ifPresent(looser -> {
                Map<String, Double> then = aims(shares(program, looser));
                Map<String, Double> more = new LinkedHashMap<>();
                then.forEach((a, v) -> more.put(a, v - aims.get(a)));
                found.add(new Binding(
                        r.wish().get(),
                        score(then) - score(aims),
                        program.cost(looser.columns()) - program.cost(s.columns()),
                        more));
            });
        }
        return found;
    }

    private static boolean isTight(Row r, double[] columns) {
        double v = r.at(columns);
        double size = 0;
        for (int i = 0; i < r.weights().length; i++) {
            size += Math.abs(r.weights()[i] * columns[i]);
        }
        double slack = Math.min(
                Double.isFinite(r.least()) ? v - r.least() : Double.POSITIVE_INFINITY,
                Double.isFinite(r.most()) ? r.most() - v : Double.POSITIVE_INFINITY);
        return slack <= TIGHT * Math.max(1, size);
    }
}
