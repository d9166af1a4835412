package app.etlo.core.plan.asked;

import app.etlo.core.knowledge.Aim;
import app.etlo.core.mix.AimDelivery;
import app.etlo.core.mix.Candidate;
import app.etlo.core.mix.Fitness;
import app.etlo.core.mix.MixPlace;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.document.Refused;
import app.etlo.core.plan.growth.MixBench;
import app.etlo.core.plan.shown.Evaluation.FigureView;
import app.etlo.core.plan.shown.EvaluationWriter;
import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import com.fasterxml.jackson.annotation.JsonValue;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * Which aims a window, its soil and the next crop let a cover reach, how far and by which species; which of the ranked ones pull against
 * each other; and an order to start from. By every species sown alone at its full rate into the plan's own ground: a mix gives each aim
 * less than the best species for it alone.
 */
public final class AimsReached {
    /** So many species are named, each with at least this share of what the best gives. */
    private static final int NAMED = 3;

    private static final double WORTH_NAMING = 0.5;
    /** Aims pull apart where what is best for one gives less than this of the other, both ways. */
    private static final double APART = 0.4;
    /** Among so many of the ranked ones: what is ranked lower gives way anyhow. */
    private static final int RANKED_FIRST = 3;
    /** What grazing leaves of the tops (take half, leave half to two thirds taken). */
    private static final double LEFT_BY_STOCK = 1.0 / 3;

    private AimsReached() {}

    /** How far an aim can be reached. */
    public enum Verdict {
        WELL("well"),
        SOME("in part"),
        LITTLE("too little"),
        NONE("not here");

        private final String words;

        Verdict(String words) {
            this.words = words;
        }

        @JsonValue
        public String words() {
            return words;
        }
    }

    /**
     * @param from the day it is sown, or the window's first
     * @param to the day it ends, or the window's last
     * @param pulls between ranked aims, or a ranked aim and the next crop
     * @param start aims to begin with, in order
     */
    public record AimsView(
            LocalDate from, LocalDate to, List<ReachView> aims, List<PullView> pulls, List<StartView> start) {}

    /**
     * @param by what serves it, best first, alone at the full rate
     * @param wanted from how much on it is served, in words
     */
    public record ReachView(
            String aim,
            String name,
            String measure,
            Verdict verdict,
            List<ByView> by,
            String wanted,
            Optional<String> said) {}

    /** A species and what it gives. */
    public record ByView(String species, String name, FigureView gives) {}

    /**
     * @param aims that pull against each other; one where it is the next crop that pulls
     */
    public record PullView(List<String> aims, String words) {}

    /** An aim to begin with, and why. */
    public record StartView(String aim, String name, String because) {}

    /**
     * @param stopped what would give more than the best, were it not that a note stops a mix with it
     */
    private record Reach(Aim aim, Verdict verdict, List<Candidate> by, double best, Optional<Candidate> stopped) {}

    /**
     * Of a cover.
     *
     * @throws Refused when the plan has no such cover, or nothing says when and where it grows
     */
    public static AimsView of(Evaluated e, String coverId) {
        MixBench bench = Candidates.bench(e, coverId);
        MixPlace place = forAll(e, bench);
        List<Candidate> candidates =
                judged(e, coverId).stream().filter(c -> !c.excluded()).toList();
        Map<String, Reach> reached = new LinkedHashMap<>();
        place.aims().stream().map(e.knowledge().aims()::get).forEach(a -> reached.put(a.id(), reach(a, candidates)));
        return new AimsView(
                bench.forecast().season().sown(),
                bench.forecast().season().end(),
                reached.values().stream().map(r -> view(e, place, r)).toList(),
                pulls(e, bench.place(), reached),
                new StartingAims(e, place)
                        .of().stream()
                                .filter(s -> reached.get(s.aim()).verdict() != Verdict.LITTLE
                                        && reached.get(s.aim()).verdict() != Verdict.NONE)
                                .limit(StartingAims.MOST)
                                .toList());
    }

    /** Every species, by all aims that can be measured. */
    private static List<Candidate> judged(Evaluated e, String coverId) {
        MixBench bench = Candidates.bench(e, coverId);
        return Candidate.all("mix/" + coverId + "/aim", e.knowledge(), bench.forecast(), forAll(e, bench));
    }

    private static MixPlace forAll(Evaluated e, MixBench bench) {
        return bench.place()
                .wanting(e.knowledge().aims().all().stream()
                        .map(Aim::id)
                        .filter(AimDelivery::measures)
                        .toList());
    }

    private static Reach reach(Aim aim, List<Candidate> candidates) {
        List<Candidate> giving = candidates.stream()
                .filter(c -> given(c, aim.id()) > 0)
                .sorted(Comparator.comparingDouble((Candidate c) -> given(c, aim.id()))
                        .reversed())
                .toList();
        // what a proposal leaves out is left out here
        List<Candidate> best = giving.stream().filter(c -> !c.stopped()).toList();
        double most = best.isEmpty() ? 0 : given(best.get(0), aim.id());
        AimDelivery.Useful useful = AimDelivery.useful(aim.id());
        Verdict verdict = best.isEmpty()
                ? Verdict.NONE
                : most >= useful.well() ? Verdict.WELL : most >= useful.some() ? Verdict.SOME : Verdict.LITTLE;
        return new Reach(
                aim,
                verdict,
                best.stream()
                        .filter(c -> given(c, aim.id()) >= WORTH_NAMING * most)
                        .limit(NAMED)
                        .toList(),
                most,
                giving.stream()
                        .findFirst()
                        .filter(Candidate::stopped)
                        .filter(c -> given(c, aim.id()) >= useful.some()));
    }

    private static double given(Candidate c, String aim) {
        return c.delivers().get(aim).middle();
    }

    private static ReachView view(Evaluated e, MixPlace place, Reach r) {
        String aim = r.aim().id();
        return new ReachView(
                aim,
                r.aim().name(),
                AimDelivery.label(aim),
                r.verdict(),
                r.by().stream()
                        .map(c -> new ByView(
                                c.species().id(),
                                c.species().name(),
                                EvaluationWriter.figure(
                                        c.delivers().get(aim),
                                        e.units(),
                                        e.context().farm().currency())))
                        .toList(),
                say(e, AimDelivery.useful(aim).some(), aim) + " are noticed, "
                        + say(e, AimDelivery.useful(aim).well(), aim) + " counted on",
                aim.equals("manage-water") && !place.isWet()
                        ? Optional.of(
                                "This ground is not entered as wet: whatever grows uses water here. What saves it is an early end"
                                        + " and a mulch.")
                        : r.stopped().map(c -> stopped(e, c, aim)));
    }

    /** Why the best is not named. */
    private static String stopped(Evaluated e, Candidate c, String aim) {
        return c.species().name() + " would give more, " + say(e, given(c, aim), aim) + ", but "
                + c.findings().stream()
                        .filter(f -> Fitness.stops(f.rule()))
                        .findFirst()
                        .map(f -> e.said(f.text()))
                        .orElse("a note stops a mix with it")
                + ".";
    }

    private static String say(Evaluated e, double value, String aim) {
        Unit unit = AimDelivery.unit(aim);
        Unit shown = e.units().shown(unit);
        double v = unit.to(shown, value);
        double step = Math.pow(10, Math.floor(Math.log10(v)) - 1);
        double round = Math.round(v / step) * step;
        return Shown.plain(round, round == Math.rint(round) ? 0 : 1) + " " + shown.written();
    }

    private static List<PullView> pulls(Evaluated e, MixPlace place, Map<String, Reach> reached) {
        List<PullView> found = new ArrayList<>();
        List<String> ranked = place.aims().stream().filter(reached::containsKey).toList();
        List<String> first = ranked.subList(0, Math.min(RANKED_FIRST, ranked.size()));
        for (int i = 0; i < first.size(); i++) {
            for (int j = i + 1; j < first.size(); j++) {
                apart(reached.get(first.get(i)), reached.get(first.get(j))).ifPresent(found::add);
            }
        }
        if (ranked.contains("mulch") && ranked.contains("feed-stock")) {
            stockEatMulch(e, reached.get("mulch")).ifPresent(found::add);
        }
        if (ranked.contains("mulch")) {
            coolSeedbed(e, place).ifPresent(found::add);
        }
        return found;
    }

    /** What is best for one gives little of the other, both ways. */
    private static Optional<PullView> apart(Reach a, Reach b) {
        if (a.by().isEmpty() || b.by().isEmpty()) {
            return Optional.empty();
        }
        double forB = share(a, b);
        double forA = share(b, a);
        if (forB >= APART || forA >= APART) {
            return Optional.empty();
        }
        return Optional.of(new PullView(
                List.of(a.aim().id(), b.aim().id()),
                a.aim().name() + " and " + lower(b.aim().name()) + ": " + names(a) + ", best for the one, gives "
                        + percent(forB) + " of what can be had for the other, and " + names(b) + " "
                        + percent(forA) + " the other way."));
    }

    private static double share(Reach of, Reach other) {
        return of.by().stream()
                .mapToDouble(c -> Math.max(0, given(c, other.aim().id())) / other.best())
                .max()
                .orElse(0);
    }

    private static Optional<PullView> stockEatMulch(Evaluated e, Reach mulch) {
        double left = mulch.best() * LEFT_BY_STOCK;
        AimDelivery.Useful useful = AimDelivery.useful("mulch");
        return Optional.of(
                        new PullView(
                                List.of("mulch", "feed-stock"),
                                "Stock that take two thirds leave about " + say(e, Math.max(0.1, left), "mulch")
                                        + " of "
                                        + say(e, Math.max(0.1, mulch.best()), "mulch") + " of mulch; from "
                                        + say(e, useful.well(), "mulch")
                                        + " on it keeps weeds down. Graze early and let it grow again, or give up one of the two."))
                .filter(p -> left < useful.well());
    }

    /** Under a mulch the soil warms late: a crop that wants warmth meets it cold. */
    private static Optional<PullView> coolSeedbed(Evaluated e, MixPlace place) {
        return place.next()
                .filter(n -> n.crop().growing().warm())
                .map(n -> new PullView(
                        List.of("mulch"),
                        "A mulch keeps the seedbed cool and moist: "
                                + lower(n.crop().name()) + " wants "
                                + e.said(Said.of(n.crop().growing().minSoilC(), Unit.CELSIUS))
                                + " in the seed zone. Allow days for it, or clear the strip that is planted."));
    }

    private static String names(Reach r) {
        return lower(r.by().get(0).species().name());
    }

    private static String lower(String name) {
        return name.toLowerCase(Locale.ROOT);
    }

    private static String percent(double share) {
        return Math.round(100 * share) + " %";
    }

    /** A figure of what is shown by its id; empty for others. */
    public static Optional<Figure> figure(Evaluated e, String figureId) {
        return e.covers().stream()
                .map(c -> c.entry().id())
                .filter(id -> figureId.startsWith("mix/" + id + "/aim/"))
                .findFirst()
                .flatMap(id -> judged(e, id).stream()
                        .flatMap(c -> c.delivers().values().stream())
                        .filter(f -> f.id().equals(figureId))
                        .findFirst());
    }
}
