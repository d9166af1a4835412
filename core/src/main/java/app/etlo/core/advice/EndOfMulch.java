package app.etlo.core.advice;

import app.etlo.core.advice.CoverJudgement.Said;
import app.etlo.core.knowledge.ForageQuality;
import app.etlo.core.knowledge.Group;
import app.etlo.core.knowledge.Species;
import app.etlo.core.knowledge.TerminationMethod.Means;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.termination.MulchGoal;
import app.etlo.core.termination.Termination;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Optional;

/** Whether what the end leaves is enough, needed at all, and harmless. */
final class EndOfMulch {
    /** Half of the years: Etlo's own round share. */
    private static final double OFTEN = 0.5;

    private EndOfMulch() {}

    static List<Judgement> rules() {
        Source mulch = MulchGoal.SOURCE;
        return List.of(
                new CoverJudgement(
                        "mulch-too-thin",
                        Weight.THINK,
                        "a cover that is to be a mulch comes to under 4.5 t/ha, and a herbicide may follow",
                        mulch,
                        "medium",
                        (s, c) -> thin(s, c, true)),
                new CoverJudgement(
                        "mulch-without-rescue",
                        Weight.STOP,
                        "a cover that is to be a mulch comes to under 4.5 t/ha where no herbicide may follow",
                        mulch,
                        "medium",
                        (s, c) -> thin(s, c, false)),
                new CoverJudgement(
                        "nothing-to-spray",
                        Weight.TIP,
                        "a herbicide is planned for a cover that lives until then in 1 year of 10 or fewer",
                        Source.commonPractice("what winter killed needs no spray"),
                        "high",
                        EndOfMulch::nothingToSpray),
                new CoverJudgement(
                        "bees-in-bloom",
                        Weight.THINK,
                        "a species that feeds insects is in bloom in half of the years when it is sprayed or mown",
                        Source.commonPractice("bees work flowering covers by day; the label decides"),
                        "medium",
                        EndOfMulch::bees),
                new CoverJudgement(
                        "grazed-and-mulch",
                        Weight.THINK,
                        "stock are to eat a cover that is to be a mulch",
                        Source.commonPractice("grazing two thirds and a full mulch cannot both be had"),
                        "high",
                        EndOfMulch::grazed),
                new CoverJudgement(
                        "sorghum-grazed",
                        Weight.STOP,
                        "stock are to eat a sorghum, sudangrass or hybrid under its height, or at or after the usual first frost",
                        Source.commonPractice(
                                "prussic acid in young, wilted or frosted sorghums: 45 cm for sudangrass, 60 cm for hybrids; after a light"
                                        + " frost new shoots are the most poisonous, after a killing frost 7 to 10 days and dry"),
                        "high",
                        EndOfMulch::sorghum),
                new CoverJudgement(
                        "stock-on-wet-soil",
                        Weight.STOP,
                        "stock are let in on a day on which the top of the soil is too wet to bear them in half of the years or more",
                        Source.commonPractice(
                                "hooves on wet ground make a pan of the top 5 to 8 cm that stays for a year or more; dry or frozen ground bears"),
                        "medium",
                        EndOfMulch::wet),
                new CoverJudgement(
                        "headed-forage",
                        Weight.THINK,
                        "a small grain that stock are to eat is headed in half of the years when it ends",
                        ForageQuality.SOURCE,
                        "medium",
                        EndOfMulch::headed));
    }

    private static boolean isMulch(Situation.Cover c) {
        return c.use().aims().contains("mulch")
                || c.use().sownFor().equals("rolled-mulch")
                || c.endings().stream().anyMatch(e -> e.method().rolls());
    }

    private static Optional<Said> thin(Situation s, Situation.Cover c, boolean herbicide) {
        boolean organic =
                s.field().certification().filter(x -> !x.equals("conventional")).isPresent();
        double tops = c.facts().stand().topsKgHa();
        if (!isMulch(c) || c.end().isEmpty() || tops <= 0 || tops >= MulchGoal.FLOOR_KG_HA || organic == herbicide) {
            return Optional.empty();
        }
        return Optional.of(new Said(
                c.end().map(Termination::date),
                "The mulch comes to about " + s.sayRound(tops, Unit.KG_PER_HA) + ": "
                        + s.sayRound(MulchGoal.AIM_KG_HA, Unit.KG_PER_HA)
                        + " is the least that is aimed at, " + s.sayRound(MulchGoal.IDEAL_KG_HA, Unit.KG_PER_HA)
                        + " or more ideal, and under " + s.sayRound(MulchGoal.FLOOR_KG_HA, Unit.KG_PER_HA)
                        + " it does not hold weeds until the crop closes. "
                        + (herbicide
                                ? "Plan a second weed control in the crop."
                                : "Where no herbicide may follow there is no rescue after planting: weigh it ten days before rolling,"
                                        + " and decide then whether it is worked in and the crop cultivated instead."),
                List.of("mulch " + Math.round(tops / 500)),
                "a denser or earlier sowing, a later end, or another way of holding weeds"));
    }

    private static Optional<Said> nothingToSpray(Situation s, Situation.Cover c) {
        return c.endings().stream()
                .filter(e -> e.method().usesHerbicide())
                .findFirst()
                .filter(e ->
                        c.facts().stand().aliveShare() <= 0.1 && c.outlook().isPresent())
                .map(e -> new Said(
                        Optional.of(e.date()),
                        "In 9 years of 10 or more nothing of this cover lives then: look before spraying, and keep the spray for weeds"
                                + " and for the year it is needed.",
                        List.of("alive " + Math.round(100 * c.facts().stand().aliveShare())),
                        "weeds, or a mild winter"));
    }

    private static Optional<Said> bees(Situation s, Situation.Cover c) {
        List<String> blooming = c.components().stream()
                .map(x -> x.species())
                .filter(x ->
                        x.use().insects() >= 1 && c.facts().plants().inBloom().getOrDefault(x.id(), 0.0) >= 0.5)
                .map(Species::name)
                .toList();
        return c.endings().stream()
                .filter(e -> e.method().usesHerbicide() || e.method().means().contains(Means.MOWING))
                .findFirst()
                .filter(e -> !blooming.isEmpty())
                .map(e -> new Said(
                        Optional.of(e.date()),
                        String.join(", ", blooming) + (blooming.size() == 1 ? " is" : " are")
                                + " in bloom by then in most years, and bees work there by day. End it before bloom, or spray and mow late"
                                + " in the evening; no insecticide in the tank. The label decides.",
                        blooming,
                        "an end before bloom"));
    }

    private static Optional<Said> wet(Situation s, Situation.Cover c) {
        return c.facts().grazed().stream()
                .filter(g -> g.wetShare() >= OFTEN)
                .findFirst()
                .map(g -> new Said(
                        Optional.of(g.on()),
                        "Stock come in on " + Shown.date(g.on())
                                + ", when the top of the soil is too wet to bear them in about "
                                + Math.round(10 * g.wetShare())
                                + " years of 10. Let them in only when a handful no longer presses to a ribbon or the ground is frozen, and"
                                + " have a place to take them off to.",
                        List.of("wet " + g.on()),
                        "a drier or a frozen day, or another use"));
    }

    private static Optional<Said> sorghum(Situation s, Situation.Cover c) {
        return c.facts().grazed().stream()
                .flatMap(g -> g.sorghum().stream())
                .filter(g -> g.frosted() || g.heightCm() < g.neededCm())
                .findFirst()
                .map(g -> new Said(
                        Optional.of(g.on()),
                        g.name() + " would be grazed on " + Shown.date(g.on())
                                + (g.frosted()
                                        ? ", at or after the usual first frost. Frost frees prussic acid: keep stock off from any frost on; after a"
                                                + " light one new shoots are the most poisonous until they stand "
                                                + s.sayRound(g.neededCm(), Unit.CENTIMETRE)
                                                + ", after a killing one wait 7 to 10 days until it is dry."
                                        : " at about " + s.sayRound(g.heightCm(), Unit.CENTIMETRE) + ", under the "
                                                + s.sayRound(g.neededCm(), Unit.CENTIMETRE)
                                                + " from which it is grazed: young plants hold the most prussic acid, wilted ones too.")
                                + " Nitrate adds to it after drought and much nitrogen. A forage test and the veterinarian decide.",
                        List.of("grazed " + g.on(), g.frosted() ? "frost" : "height"),
                        "a later or an earlier day, or another species"));
    }

    /** Cut for forage, or kept: the stage for one is not the stage for the other. */
    private static Optional<Said> headed(Situation s, Situation.Cover c) {
        return c.components().stream()
                .map(x -> x.species())
                .filter(x -> c.use().fed() && x.group() == Group.COOL_GRASS)
                .filter(x -> c.facts().plants().stage().getOrDefault(x.id(), 0.0) >= ForageQuality.HEADED)
                .findFirst()
                .flatMap(x -> ForageQuality.of(x, c.facts().plants().stage().get(x.id()), x.heightM())
                        .map(f -> new Said(
                                c.end().map(Termination::date),
                                x.name() + " is " + f.stage() + " by then in half of the years: about "
                                        + Math.round(f.proteinPercent().low()) + " to "
                                        + Math.round(f.proteinPercent().high())
                                        + " % crude protein, against 14 to 18 % in the boot, some ten days earlier. Cut or graze it in the boot, or"
                                        + " keep it: it is a better mulch for each day from now on. A forage test decides.",
                                List.of("fed", x.id() + " " + f.stage()),
                                "an end in the boot, or no feed from it")));
    }

    private static Optional<Said> grazed(Situation s, Situation.Cover c) {
        return Optional.of(c)
                .filter(x -> x.use().fed() && isMulch(x))
                .map(x -> new Said(
                        x.end().map(Termination::date),
                        "Stock are to eat this cover, and it is to be a mulch: what is eaten does not lie on the ground."
                                + (x.facts().stand().topsKgHa() > 0
                                        ? " With what is eaten it comes to about "
                                                + s.sayRound(x.facts().stand().topsKgHa(), Unit.KG_PER_HA) + ", where "
                                                + s.sayRound(MulchGoal.AIM_KG_HA, Unit.KG_PER_HA)
                                                + " is the least that is aimed at."
                                        : "")
                                + " Decide which comes first:"
                                + " stop grazing early enough for it to grow again, or plan weed control as without a mulch.",
                        List.of("fed", "mulch"),
                        "one aim instead of two"));
    }
}
