package app.etlo.core.plan.asked;

import app.etlo.core.advice.Weight;
import app.etlo.core.mix.Blend;
import app.etlo.core.mix.Candidate;
import app.etlo.core.mix.MixDesigner;
import app.etlo.core.mix.MixDesigner.Binding;
import app.etlo.core.mix.MixDesigner.Proposal;
import app.etlo.core.mix.MixWishes;
import app.etlo.core.mix.OtherEnds;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.document.Context.LotEntry;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanDocument.ComponentEntry;
import app.etlo.core.plan.document.PlanDocument.MixEntry;
import app.etlo.core.plan.growth.MixBench;
import app.etlo.core.quantity.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Mixes proposed for a cover of a plan, in the words and units of its farm. */
public final class MixProposals {
    /** Points of the frontier of cost against what the aims get. */
    public static final int POINTS = 10;

    /** So many times species that notes stop are left out. */
    private static final int MOST_STOPS = 12;
    /** Searches under a ceiling of cost: whole bags can make a mix dearer than the search counts. */
    private static final int TRIES = 6;
    /** Each try goes down by at least this share of the ceiling asked for. */
    private static final double LEAST_STEP = 0.01;

    private final Evaluated e;
    private final MixBench bench;
    private final List<Candidate> candidates;
    private final MixDesigner designer;
    private final MixCost cost;
    private final String coverId;
    private final MixWords words;
    private final Function<PlanDocument, Evaluated> evaluate;

    /**
     * @param mix absent when nothing fits
     * @param conflict then, the wishes of which one must go
     * @param forTheEnd species that were left out because the planned end leaves them alive, and what would end them
     * @param zones what becomes of the rows and middles of the mix it is put in place of
     */
    public record Proposed(
            Optional<MixView> mix, List<String> conflict, Optional<String> forTheEnd, Optional<String> zones) {}

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
        this.bench = Candidates.bench(e, coverId);
        this.candidates = Candidates.judged(e, coverId, bench);
        this.cost = new MixCost(
                e,
                e.covers().stream()
                        .filter(c -> c.entry().id().equals(coverId))
                        .findFirst()
                        .orElseThrow(),
                lots,
                freeKg);
        this.words = new MixWords(e, cost);
        this.designer = new MixDesigner(bench.forecast(), bench.place(), candidates, cost.seed());
    }

    /** The best mix within the wishes that Etlo's own notes do not stop, or which wishes cannot all hold. */
    public Proposed propose(WishesEntry wishes) {
        MixWishes read = wishes.read(e.knowledge());
        Unstopped found = unstopped(read, this::underCeiling);
        return new Proposed(
                found.mix().map(p -> view(p, designer.binding(p), read.stockFirst())),
                found.mix().isPresent() ? List.of() : conflict(read, found.leftOut()),
                words.leftAlive(
                        OtherEnds.of(
                                candidates,
                                bench.place(),
                                e.knowledge().terminationMethods().all()),
                        bench.place()),
                inZones()
                        ? Optional.of(
                                "For the whole area: a proposal has no rows and middles of their own, and taking it"
                                        + " puts it in place of both.")
                        : Optional.empty());
    }

    /** Is any species of the cover's own mix sown to rows or middles alone? */
    private boolean inZones() {
        return e.plan().covers().stream()
                .filter(c -> c.id().equals(coverId))
                .flatMap(c -> c.mix().stream())
                .flatMap(m -> m.components().stream())
                .anyMatch(c -> c.zone().filter(z -> !z.equals("whole")).isPresent());
    }

    /**
     * @param mix that no stop note speaks against; empty when none was found
     * @param leftOut species that stop notes spoke of on the way
     */
    private record Unstopped(Optional<Proposal> mix, List<String> leftOut) {}

    /** What is found without the species that a stop note of the plan with it speaks of; what was asked for by name stays. */
    private Unstopped unstopped(MixWishes wishes, Function<MixWishes, Optional<Proposal>> find) {
        List<String> leftOut = new ArrayList<>();
        for (int i = 0; i <= MOST_STOPS; i++) {
            Optional<Proposal> found = find.apply(wishes.leavingOut(leftOut));
            List<String> stopped = found.map(this::stopped).orElse(List.of()).stream()
                    .filter(s -> !wishes.asksFor(s))
                    .toList();
            if (stopped.isEmpty()) {
                return new Unstopped(found, leftOut);
            }
            leftOut.addAll(stopped);
        }
        return new Unstopped(Optional.empty(), leftOut);
    }

    /** The species that had to be left out of the best mix at any cost and of the cheapest one. */
    private List<String> unstoppedSpecies(MixWishes wishes) {
        List<String> out = new ArrayList<>();
        for (MixWishes end : List.of(wishes.aimingAt(false).atAnyCost(), wishes.aimingAt(true))) {
            out.addAll(unstopped(end.leavingOut(out), designer::propose).leftOut());
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
                Optional.empty(),
                Optional.empty());
    }

    /**
     * @param leftOut species that stop notes spoke of
     */
    private List<String> conflict(MixWishes read, List<String> leftOut) {
        boolean endedHere = candidates.stream().anyMatch(c -> !c.excluded() && !c.stopped());
        if (!endedHere && bench.place().end().isPresent()) {
            return List.of("the planned end: nothing that fits this window is ended by it");
        }
        List<String> found = new ArrayList<>(
                designer.conflict(read).stream().map(words::words).toList());
        if (!found.isEmpty()) {
            return found;
        }
        read.cost()
                .ifPresent(c -> found.add("seed cost at most " + words.say(c, Unit.MONEY_PER_HA) + ", in whole bags"));
        if (!leftOut.isEmpty()) {
            found.add("no species that a note of this cover stops; left out: "
                    + leftOut.stream()
                            .map(s -> e.knowledge().species().get(s).name())
                            .collect(Collectors.joining(", ")));
        }
        return found.isEmpty() ? List.of("whole bags") : found;
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
        wishes.read(e.knowledge());
    }

    /** Cost against what the aims get, each point passed on as soon as it is found. */
    public void frontier(WishesEntry wishes, Consumer<MixView> found) {
        MixWishes read = wishes.read(e.knowledge());
        // the stops of the best mix hold for every point of the line
        MixWishes free = read.leavingOut(unstoppedSpecies(read));
        designer.frontier(free, POINTS, p -> found.accept(view(p, List.of(), read.stockFirst())));
    }

    /** The cover's own mix, measured as the proposals are; empty while it has no rate. */
    public Optional<MixView> own() {
        Map<String, Double> shares = e.covers().stream()
                .filter(c -> c.entry().id().equals(coverId))
                .findFirst()
                .map(cost::shares)
                .orElse(Map.of());
        return shares.isEmpty()
                ? Optional.empty()
                : Optional.of(words.view(
                        designer.own(shares),
                        List.of(),
                        e.cover(coverId)
                                .mix()
                                .blend()
                                .flatMap(Blend::costPerHa)
                                .map(f -> f.in(Unit.MONEY_PER_HA))
                                .orElseGet(() -> cost.perHa(shares, false))));
    }

    private MixView view(Proposal p, List<Binding> binding, boolean fromStock) {
        return words.view(p, binding, cost.perHa(p.shares(), fromStock));
    }
}
