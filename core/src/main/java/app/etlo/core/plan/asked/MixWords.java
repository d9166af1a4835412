package app.etlo.core.plan.asked;

import app.etlo.core.knowledge.Species;
import app.etlo.core.knowledge.Use;
import app.etlo.core.mix.AimDelivery;
import app.etlo.core.mix.MixDesigner.Binding;
import app.etlo.core.mix.MixDesigner.Proposal;
import app.etlo.core.mix.MixPlace;
import app.etlo.core.mix.MixProgram.Wish;
import app.etlo.core.mix.OtherEnds;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.quantity.UnitSystem;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Proposed mixes and the wishes on them in the words and units of a farm. */
final class MixWords {
    /** So many species are named; the others are counted. */
    private static final int NAMED = 6;

    private final Evaluated e;
    private final MixCost cost;
    private final UnitSystem units;

    MixWords(Evaluated e, MixCost cost) {
        this.e = e;
        this.cost = cost;
        this.units = e.units();
    }

    /**
     * @param binding wishes that hold it back, where they were asked for
     * @param perHa what is bought costs, in the farm's currency
     */
    MixView view(Proposal p, List<Binding> binding, double perHa) {
        Unit money = units.shown(Unit.MONEY_PER_HA);
        return new MixView(
                p.shares().entrySet().stream()
                        .map(s -> {
                            Species species = e.knowledge().species().get(s.getKey());
                            return new MixView.ShareView(
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
                money.written().replace("¤", e.context().farm().currency()),
                costNote(p),
                p.score(),
                p.aims().entrySet().stream()
                        .map(a -> amount(a.getKey(), a.getValue()))
                        .toList(),
                binding.stream()
                        .map(b -> new MixView.BindingView(words(b.wish()), buys(b)))
                        .toList(),
                p.missed().stream().map(a -> e.knowledge().aims().get(a).name()).toList(),
                p.rounds(),
                p.proved());
    }

    /** Which species the planned end leaves alive and what would end them that day; empty when there is none. */
    Optional<String> leftAlive(OtherEnds ends, MixPlace place) {
        if (ends.left().isEmpty()) {
            return Optional.empty();
        }
        int all = ends.left().size();
        String names = ends.left().stream().limit(NAMED).map(Species::name).collect(Collectors.joining(", "));
        String other = ends.other()
                .map(w ->
                        w.method().name() + " on that day ends " + (w.ends() == all ? "all" : String.valueOf(w.ends()))
                                + " of them" + (w.method().usesHerbicide() ? ", by the label." : "."))
                .orElse("No other way ends them on that day; a later day may.");
        return Optional.of("Left out, because they live on after "
                + place.end().map(MixPlace.End::words).orElse("the end")
                + place.end().map(x -> " on " + Shown.date(x.date())).orElse("")
                + ": " + names + (all > NAMED ? " and " + (all - NAMED) + " more" : "") + ". " + other);
    }

    private Optional<String> costNote(Proposal p) {
        List<String> names = cost.unpriced(p.shares().keySet());
        return names.isEmpty()
                ? Optional.empty()
                : Optional.of("No priced lot for " + String.join(", ", names) + ": counted at the library's price, "
                        + Use.PRICE_CURRENCY + " of " + Use.PRICE_YEAR + ", not at yours.");
    }

    private MixView.AmountView amount(String aim, double value) {
        Unit unit = AimDelivery.unit(aim);
        Unit shown = units.shown(unit);
        double v = unit.to(shown, value);
        return new MixView.AmountView(aim, v, Shown.text(v, shown), shown.written());
    }

    String words(Wish w) {
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
                .max(Map.Entry.comparingByValue(Comparator.comparingDouble(v -> v)))
                .map(Map.Entry::getKey)
                .orElseThrow();
        double more = b.aims().get(aim);
        String money = b.cost() > 0.5
                ? " for " + say(b.cost(), Unit.MONEY_PER_HA)
                : b.cost() < -0.5 ? " and saves " + say(-b.cost(), Unit.MONEY_PER_HA) : " at the same cost";
        return say(more, AimDelivery.unit(aim)) + " more "
                + AimDelivery.label(aim).toLowerCase(Locale.ROOT) + money;
    }

    String say(double value, Unit unit) {
        Unit shown = units.shown(unit);
        return Shown.text(unit.to(shown, value), shown) + " "
                + shown.written().replace("¤", e.context().farm().currency());
    }

    private static String plain(double v) {
        return v == Math.rint(v) ? String.valueOf(Math.round(v)) : String.valueOf(v);
    }
}
