package app.etlo.core.advice;

import app.etlo.core.advice.CoverJudgement.Said;
import app.etlo.core.knowledge.Species;
import app.etlo.core.knowledge.TerminationMethod.Means;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.termination.EndGap;
import app.etlo.core.termination.EndGaps;
import app.etlo.core.termination.EndRule;
import app.etlo.core.termination.Termination;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Whether the end of a cover comes at the right time for its stage, the soil, the crop and the rules. */
final class EndTiming {
    private static final double MUCH_KG_HA = 3000;
    private static final int AHEAD_DAYS = 21;

    private EndTiming() {}

    static List<Judgement> rules() {
        return List.of(
                new CoverJudgement(
                        "end-rule-broken",
                        Weight.STOP,
                        "a rule that the farm has switched on forbids the planned end: insurance zone, nesting, programme, bloom",
                        Source.commonPractice(
                                "rules as the farm switched them on; the rule in force and who decides it hold"),
                        "high",
                        EndTiming::rule),
                new CoverJudgement(
                        "label-interval",
                        Weight.STOP,
                        "an interval typed from a label does not lie between its events",
                        Source.commonPractice("the label in force decides"),
                        "high",
                        (s, c) -> gap(c, true)),
                new CoverJudgement(
                        "gap-of-practice",
                        Weight.THINK,
                        "fewer or more days than usual lie between passes, planting and stock",
                        Source.commonPractice("gaps by pest, kill and crop: docs/termination.md"),
                        "medium",
                        (s, c) -> gap(c, false)),
                new CoverJudgement(
                        "sprayed-at-planting",
                        Weight.THINK,
                        "a herbicide is sprayed on the day of planting or the day before",
                        Source.commonPractice("dust and wheels of the planter on fresh spray weaken the kill"),
                        "medium",
                        EndTiming::sprayedAtPlanting),
                new CoverJudgement(
                        "brown-at-planting",
                        Weight.THINK,
                        "over 3 t/ha of grass is dead 7 to 24 days when a crop is planted without tillage",
                        Source.commonPractice(
                                "green cuts clean, long dead breaks; two weeks dead is tough, hairpins and wraps"),
                        "medium",
                        EndTiming::brown),
                new CoverJudgement(
                        "dry-spring",
                        Weight.THINK,
                        "the cover ends within three weeks of planting where the top 60 cm is under half full then, or median rain from the"
                                + " end to emergence is less than the cover drinks",
                        Source.commonPractice("in a dry spring a cover ends 21 days before planting"),
                        "medium",
                        EndTiming::drySpring),
                new CoverJudgement(
                        "wet-spring",
                        Weight.TIP,
                        "the soil is full three weeks before planting on ground that drains poorly, and the cover ends two weeks or more ahead",
                        Source.commonPractice("a living cover dries a wet soil"),
                        "low",
                        EndTiming::wetSpring),
                new CoverJudgement(
                        "woody-ahead-of-corn",
                        Weight.THINK,
                        "tops with a C:N over 30 ahead of corn",
                        Source.commonPractice("above a C:N of 30 residue ties nitrogen up first"),
                        "medium",
                        EndTiming::woody),
                new CoverJudgement(
                        "lush-legume-ahead-of-corn",
                        Weight.THINK,
                        "over 2 t/ha of lush tops, 4 parts in 10 or more of them legumes, dead under 14 days when corn is planted",
                        Source.commonPractice(
                                "cutworm, armyworm and seedcorn maggot move from a lush cover to the crop"),
                        "medium",
                        EndTiming::lush),
                new CoverJudgement(
                        "seed-within-ten-days",
                        Weight.STOP,
                        "in half of the years a species has seed that can grow within ten days of the planned end",
                        Source.own("the ground simulation: docs/simulation.md"),
                        "medium",
                        EndTiming::seedSoon),
                new CoverJudgement(
                        "not-rolled-on-one-day",
                        Weight.STOP,
                        "rolled without herbicide on a day on which one species sets seed and another still rises",
                        Source.commonPractice(
                                "a day for rolling serves the latest species for kill and the earliest for seed"),
                        "medium",
                        EndTiming::crossing),
                new CoverJudgement(
                        "legume-before-bloom",
                        Weight.TIP,
                        "a legume that is to fix nitrogen ends well before bloom, with two weeks left to planting",
                        Source.commonPractice("total nitrogen is highest about half bloom, its share at bud"),
                        "medium",
                        EndTiming::beforeBloom));
    }

    private static Optional<LocalDate> planted(Situation.Cover c) {
        return c.next().flatMap(n -> n.planted());
    }

    private static Optional<Long> deadDays(Situation.Cover c) {
        return c.lastEnd().flatMap(e -> planted(c).map(p -> ChronoUnit.DAYS.between(e.date(), p)));
    }

    private static Optional<Said> rule(Situation s, Situation.Cover c) {
        List<EndRule> broken =
                c.ending().rules().stream().filter(r -> !r.holds()).toList();
        return broken.isEmpty()
                ? Optional.empty()
                : Optional.of(new Said(
                        c.end().map(Termination::date),
                        broken.stream()
                                .map(r ->
                                        "By " + r.says() + ": " + r.found() + ". It is decided by " + r.decides() + ".")
                                .collect(Collectors.joining(" ")),
                        broken.stream().map(r -> r.id() + ": " + r.found()).toList(),
                        "another day or way, or the written yes of who decides"));
    }

    private static Optional<Said> gap(Situation.Cover c, boolean label) {
        List<EndGap> open = c.ending().gaps().stream()
                .filter(g -> g.ofLabel() == label && !g.holds())
                // an end after planting is a stop of its own: CoverEndedAfterPlanting
                .filter(g -> !g.id().equals(EndGaps.AFTER_PLANTING))
                .toList();
        return open.isEmpty()
                ? Optional.empty()
                : Optional.of(new Said(
                        Optional.of(open.get(0).fromOn()),
                        open.stream().map(EndTiming::words).collect(Collectors.joining(" ")),
                        open.stream().map(g -> g.id() + " " + g.days()).toList(),
                        "other days; or your reason for them as an answer here"));
    }

    private static String words(EndGap g) {
        String from =
                g.from().substring(0, 1).toUpperCase(Locale.ROOT) + g.from().substring(1);
        return from + " on " + Shown.date(g.fromOn()) + ", then " + g.to() + " on " + Shown.date(g.toOn()) + ": "
                + g.days() + (Math.abs(g.days()) == 1 ? " day" : " days") + " instead of " + g.wanted() + ". "
                + g.why().substring(0, 1).toUpperCase(Locale.ROOT)
                + g.why().substring(1) + ".";
    }

    private static Optional<Said> sprayedAtPlanting(Situation s, Situation.Cover c) {
        return planted(c)
                .flatMap(p -> c.endings().stream()
                        .filter(e -> e.method().usesHerbicide()
                                && (e.date().equals(p) || e.date().equals(p.minusDays(1))))
                        .findFirst()
                        .map(e -> new Said(
                                Optional.of(e.date()),
                                "Sprayed on " + (e.date().equals(p) ? "the day" : "the eve")
                                        + " of planting: dust and wheels take spray off the leaves and the kill is weaker, in the wheelings most"
                                        + " of all. Spray a week or more before, or after the planter and before the crop is up.",
                                List.of("sprayed " + e.date(), "planting " + p),
                                "a spray some days after planting, or a week before")));
    }

    private static Optional<Said> brown(Situation s, Situation.Cover c) {
        return deadDays(c)
                .filter(d -> d >= 7 && d <= 24)
                .filter(d -> c.facts().stand().topsKgHa() * c.facts().stand().grassShare() > MUCH_KG_HA
                        && c.next().filter(n -> s.untilled().contains(n.id())).isPresent())
                .map(d -> new Said(
                        c.end().map(Termination::date),
                        "About " + s.sayRound(c.facts().stand().topsKgHa(), Unit.KG_PER_HA) + " of cover is " + d
                                + " days dead at planting: neither green nor broken down, it is tough, hairpins into the slot and wraps."
                                + " Green cuts clean, and after four weeks it breaks. Row cleaners, sharp discs and a dry afternoon help.",
                        List.of(
                                "dead " + d,
                                "tops " + Math.round(c.facts().stand().topsKgHa() / 500)),
                        "an end four weeks before planting, or at planting"));
    }

    private static Optional<Said> drySpring(Situation s, Situation.Cover c) {
        return c.facts()
                .water()
                .filter(w -> deadDays(c).filter(d -> d < AHEAD_DAYS).isPresent())
                .filter(w -> w.topShare() < 0.5 || w.drinksMm() > 10 && w.rainMm() < w.drinksMm())
                .map(w -> new Said(
                        c.end().map(Termination::date),
                        (w.topShare() < 0.5
                                        ? "Three weeks before planting the top of the soil holds about "
                                                + Math.round(100 * w.topShare()) + " % of what it can hold for plants"
                                        : "From the end to emergence " + s.sayRound(w.rainMm(), Unit.MILLIMETRE)
                                                + " of rain falls in the middle of the years, and the cover has drunk "
                                                + s.sayRound(w.drinksMm(), Unit.MILLIMETRE))
                                + ". In such a spring end it three weeks before planting, on "
                                + Shown.date(planted(c).orElseThrow().minusDays(AHEAD_DAYS))
                                + ", whichever school is chosen."
                                + (w.dryYearsPercent() >= 5
                                        ? " As planned the seed zone is dry at planting in "
                                                + Situation.yearsIn10(w.dryYearsPercent()) + "."
                                        : ""),
                        List.of("top " + Math.round(10 * w.topShare()), "rain " + Math.round(w.rainMm() / 10)),
                        "rain, a probe in the soil three weeks ahead, or an earlier end"));
    }

    private static Optional<Said> wetSpring(Situation s, Situation.Cover c) {
        return c.facts()
                .water()
                .filter(w -> w.topShare() > 0.95
                        && s.field()
                                .drainage()
                                .filter(d -> d.contains("poorly"))
                                .isPresent()
                        && deadDays(c).filter(d -> d >= 14).isPresent())
                .map(w -> new Said(
                        c.end().map(Termination::date),
                        "Three weeks before planting this soil is full, and it drains poorly. A cover that lives on until planting dries"
                                + " it; one that is dead keeps it wet and cold.",
                        List.of("full", "drains poorly"),
                        "a dry spring, or an end nearer to planting"));
    }

    private static Optional<Said> woody(Situation s, Situation.Cover c) {
        return c.facts()
                .stand()
                .cn()
                .filter(cn -> cn > 30
                        && c.next().filter(n -> EndGaps.isCorn(n.crop())).isPresent())
                .map(cn -> new Said(
                        c.end().map(Termination::date),
                        "The tops reach a C:N of about " + Math.round(cn) + " ahead of "
                                + c.next().orElseThrow().crop().name().toLowerCase(Locale.ROOT)
                                + ": they tie nitrogen up while it is young. Give more of its nitrogen at planting, beside the row or in"
                                + " the furrow, and count on less from the cover.",
                        List.of("C:N " + Math.round(cn)),
                        "an earlier end, or a legume in the mix"));
    }

    private static Optional<Said> lush(Situation s, Situation.Cover c) {
        EndFacts.Stand stand = c.facts().stand();
        return deadDays(c)
                .filter(d -> d >= 0 && d < 14)
                .filter(d -> stand.topsKgHa() > 2000
                        && stand.legumeShare() >= 0.4
                        && stand.cn().filter(cn -> cn < 18).isPresent()
                        && c.next().filter(n -> EndGaps.isCorn(n.crop())).isPresent())
                .map(d -> new Said(
                        c.end().map(Termination::date),
                        "A lush cover is dead only " + d + (d == 1 ? " day" : " days")
                                + " when corn is planted: cutworm and armyworm move over, and fresh green draws seedcorn maggot."
                                + " Two weeks dead, or a later planting, costs less than a second stand. Scout from emergence;"
                                + " 3 plants cut in 100 by small larvae is the usual limit.",
                        List.of("dead " + d),
                        "an end two weeks before planting"));
    }

    private static Optional<Said> seedSoon(Situation s, Situation.Cover c) {
        List<String> soon = c.facts().plants().seedSoon().entrySet().stream()
                .filter(x -> x.getValue() >= 0.5)
                .map(x -> name(c, x.getKey()))
                .sorted()
                .toList();
        return c.end()
                .filter(e -> !e.method().isWinter() && !soon.isEmpty())
                .map(e -> new Said(
                        Optional.of(e.date()),
                        String.join(", ", soon) + (soon.size() == 1 ? " has" : " have")
                                + " seed that can grow within ten days of this end in half of the years: a wet week then sows weeds for"
                                + " years. End it sooner.",
                        soon,
                        "an earlier end"));
    }

    private static String name(Situation.Cover c, String species) {
        return c.components().stream()
                .map(x -> x.species())
                .filter(x -> x.id().equals(species))
                .findFirst()
                .map(Species::name)
                .orElse(species);
    }

    private static Optional<Said> crossing(Situation s, Situation.Cover c) {
        boolean rolledAlone = !c.endings().isEmpty()
                && c.endings().stream().anyMatch(e -> e.method().rolls())
                && c.endings().stream()
                        .noneMatch(e ->
                                e.method().usesHerbicide() || e.method().means().contains(Means.TILLING));
        Map<String, Double> far = c.facts().plants().farEnough();
        Map<String, Double> soon = c.facts().plants().seedSoon();
        Optional<String> rises = far.entrySet().stream()
                .filter(x -> x.getValue() < 0.5)
                .map(Map.Entry::getKey)
                .sorted()
                .findFirst();
        Optional<String> seeds = soon.entrySet().stream()
                .filter(x -> x.getValue() >= 0.3)
                .map(Map.Entry::getKey)
                .sorted()
                .findFirst();
        return rises.filter(r -> rolledAlone && seeds.isPresent())
                .map(r -> new Said(
                        c.end().map(Termination::date),
                        "On that day " + name(c, seeds.get()) + " is about to seed and " + name(c, r)
                                + " still rises again: this mix cannot be rolled cleanly on one day. Take one of them out, or plan a"
                                + " second tool.",
                        List.of(r, seeds.get()),
                        "a mix that flowers together"));
    }

    private static Optional<Said> beforeBloom(Situation s, Situation.Cover c) {
        boolean wanted = c.use().aims().contains("fix-nitrogen");
        List<String> early = c.components().stream()
                .map(x -> x.species())
                .filter(x -> x.group().isLegume())
                .filter(x -> c.facts().plants().inBloom().getOrDefault(x.id(), 1.0) < 0.2
                        && c.facts().plants().farEnough().getOrDefault(x.id(), 1.0) < 0.1)
                .map(Species::name)
                .toList();
        return deadDays(c)
                .filter(d -> wanted
                        && d >= 14
                        && !early.isEmpty()
                        && !c.end().orElseThrow().method().isWinter())
                .map(d -> new Said(
                        c.end().map(Termination::date),
                        String.join(", ", early) + " ends before bloom with " + d
                                + " days left to planting: the nitrogen in a legume still rises until about half bloom. The table of days"
                                + " says what waiting gives, and what it costs in water.",
                        early,
                        "a dry spring, or a planter that needs the days"));
    }
}
