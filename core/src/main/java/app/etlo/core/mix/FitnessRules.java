package app.etlo.core.mix;

import app.etlo.core.knowledge.Caution;
import app.etlo.core.knowledge.Group;
import app.etlo.core.knowledge.Site;
import app.etlo.core.knowledge.Species;
import app.etlo.core.knowledge.Use;
import app.etlo.core.mix.FitnessRule.Case;
import app.etlo.core.mix.FitnessRule.Test;
import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** The reasons for which a species is left out of the proposals, and those that only speak against it. */
final class FitnessRules {
    /** It must do in so many of the years. */
    private static final double SOME_YEARS = 0.2;

    private static final double MOST_YEARS = 0.5;
    /** Below this kill a method does not end it. */
    private static final double HARDLY_KILLED = 0.6;

    private static final double WELL_KILLED = 0.85;
    /** From here on winter takes too little of it to be mentioned. */
    private static final double MOSTLY_ALIVE = 0.95;

    private static final double SEEDS_SOON = 0.3;
    /** From this share of hard seed on it is talked of. */
    private static final double MUCH_HARD_SEED = 0.1;
    /** From here on a slope loses soil where it is bare (common practice). */
    private static final double STEEP_PERCENT = 6;

    /** Seed cost of a full rate per ha, in the library's currency. */
    private static final double EXPENSIVE_PER_HA = 150;

    /** The least dry tops of a stand that is worth its seed (common practice: about 1 t/ha). */
    static final double USEFUL_KG_HA = 1000;

    /** Dry tops in a mix that nobody would notice; Etlo's own. */
    private static final double HARDLY_ANY_KG_HA = 50;

    private static final Set<String> SMALL_GRAINS =
            Set.of("winter-wheat", "spring-wheat", "winter-barley", "spring-barley", "oats", "grain-rye");
    private static final Set<String> VOLUNTEERS_IN_GRAIN =
            Set.of("hairy-vetch", "annual-ryegrass", "daikon-radish", "oilseed-radish", "buckwheat");
    /** Crops that usually come as plants, not as seed. */
    private static final Set<String> TRANSPLANTED = Set.of("cabbage", "processing-tomato");

    private static final Set<String> STOCK_AIMS = Set.of("feed-stock");

    static final List<FitnessRule> ALL = List.of(
            out("cannot-emerge", "emergence in the ground simulation", FitnessRules::cannotEmerge),
            out("no-useful-stand", "the ground simulation", FitnessRules::noUsefulStand),
            out(
                    "winter-ends-it",
                    "frost in the ground simulation, nights of the weather record",
                    FitnessRules::winterEndsIt),
            out("will-not-winterkill", "a cover to be ended by winter must die in it", FitnessRules::willNotWinterkill),
            out("ph-outside", "pH range of handbooks", FitnessRules::phOutside),
            out("drowns", "tolerance of wet soil in handbooks", FitnessRules::drowns),
            out("residual-herbicide", "the label's interval as typed rules", FitnessRules::residual),
            out("on-noxious-list", "the list of the law as typed; the law in force rules", FitnessRules::onNoxiousList),
            out("cannot-be-ended", "organic rules allow no herbicide as a second tool", FitnessRules::cannotBeEnded),
            out("not-on-programme", "the programme's own list as typed", FitnessRules::notOnProgramme),
            out(
                    "harms-the-stock",
                    "cautions of chapters on forage; the veterinarian decides",
                    FitnessRules::harmsStock),
            out(
                    "same-crop-follows",
                    "a crop after itself keeps its pests and volunteers",
                    FitnessRules::sameCropFollows),
            out("plugs-drains", "taproots above shallow drains plug them", FitnessRules::plugsDrains),
            but(
                    "another-must-carry",
                    "frost in the ground simulation, nights of the weather record",
                    FitnessRules::anotherMustCarry),
            but("survives-its-end", "kill by stage; Etlo's own shares", FitnessRules::survives),
            but("hard-to-end", "kill by stage; Etlo's own shares", FitnessRules::hardToEnd),
            but("winterkill-unsure", "mild winters leave what was to die", FitnessRules::winterkillUnsure),
            but(
                    "seeds-before-end",
                    "the ground simulation: seed can grow half way from bloom to ripeness",
                    FitnessRules::seedsBeforeEnd),
            but("kin-of-next-crop", "a family's pests carry over", FitnessRules::kinOfNext),
            but("hosts-a-pest", "hosts of pests in handbooks", FitnessRules::hostsPest),
            but(
                    "volunteers-in-grain",
                    "vetch, ryegrass, radish and buckwheat ahead of small grain",
                    FitnessRules::volunteers),
            but("kin-of-last-crop", "a family's diseases and volunteers carry over", FitnessRules::kinOfPrevious),
            but("lives-on", "life cycle of handbooks", FitnessRules::livesOn),
            but("hard-seed", "hard seed of handbooks: it comes up in later years", FitnessRules::hardSeed),
            but("dies-before-end", "frost in the ground simulation", FitnessRules::diesBefore),
            but(
                    "bares-the-slope",
                    "what is dead and brittle by winter holds no soil on a slope",
                    FitnessRules::baresSlope),
            but(
                    "allelopathic",
                    "small seeds after rye, sorghum or oats; a disputed effect",
                    FitnessRules::allelopathic),
            but("for-experts", "readiness: expert species want a first small area", FitnessRules::forExperts),
            but("feeds-slugs", "brassicas and clovers keep slugs", FitnessRules::feedsSlugs),
            but("no-machine-for-it", "the machines entered of the farm", FitnessRules::noMachine),
            but("expensive", "usual price times the full rate", FitnessRules::expensive),
            but("rarely-useful", "the ground simulation", FitnessRules::rarelyUseful),
            but("adds-little", "the ground simulation", FitnessRules::addsLittle),
            but("shaded-out", "sown into a standing crop it must bear shade", FitnessRules::shadedOut),
            but("caution-for-people", "contact and eating", FitnessRules::people));

    private FitnessRules() {}

    private static FitnessRule out(String name, String source, Test test) {
        return new FitnessRule(name, true, Source.commonPractice(source), test);
    }

    private static FitnessRule but(String name, String source, Test test) {
        return new FitnessRule(name, false, Source.commonPractice(source), test);
    }

    private static Optional<String> when(boolean so, String text) {
        return so ? Optional.of(text) : Optional.empty();
    }

    private static String years(double share) {
        long of10 = Math.round(share * 10);
        return of10 == 0
                ? "hardly any year"
                : of10 == 10 ? "nearly every year" : of10 + (of10 == 1 ? " year in 10" : " years in 10");
    }

    /** In so few years. */
    private static String inOnly(double share) {
        return (Math.round(share * 10) == 0 ? "in " : "in only ") + years(share);
    }

    private static Optional<String> cannotEmerge(Case c) {
        double share = c.prospect().emergesShare();
        return when(share < SOME_YEARS, "comes up " + inOnly(share) + ": the seedbed is too cold or too dry for it");
    }

    private static double useful(Case c) {
        return c.prospect().reaches(USEFUL_KG_HA);
    }

    private static Optional<String> noUsefulStand(Case c) {
        boolean emerges = c.prospect().emergesShare() >= SOME_YEARS;
        return when(
                !c.beside() && emerges && useful(c) < SOME_YEARS,
                "reaches " + Said.of(1, Unit.T_PER_HA) + " " + inOnly(useful(c)));
    }

    private static Optional<String> rarelyUseful(Case c) {
        double u = useful(c);
        return when(
                !c.beside() && u >= SOME_YEARS && u < 0.8, "reaches " + Said.of(1, Unit.T_PER_HA) + " in " + years(u));
    }

    /** Beside others: too late, too cold or too dry for it, or they leave it no light. */
    private static Optional<String> addsLittle(Case c) {
        double share = c.prospect().reaches(HARDLY_ANY_KG_HA);
        return when(
                c.beside() && c.prospect().emergesShare() >= SOME_YEARS && share < MOST_YEARS,
                "beside the others it stays under " + Said.of(HARDLY_ANY_KG_HA, Unit.KG_PER_HA) + " of dry tops in "
                        + years(1 - share));
    }

    private static boolean byWinter(Case c) {
        return c.place().end().filter(e -> e.method().isWinter()).isPresent();
    }

    private static boolean deadBeforeRolling(Case c) {
        boolean rolled = c.place().end().filter(e -> e.method().rolls()).isPresent();
        return rolled && c.prospect().aliveShare() < MOST_YEARS;
    }

    private static boolean onlyMulch(Case c) {
        return c.place().aims().equals(List.of("mulch"));
    }

    /** Where a living mulch is all that is wanted it must live to its end. */
    private static Optional<String> winterEndsIt(Case c) {
        return when(
                onlyMulch(c) && deadBeforeRolling(c),
                "frost ends it in " + years(1 - c.prospect().aliveShare()) + ", and it must live to be rolled");
    }

    /** With other aims beside it, a companion may die if another species carries the mulch. */
    private static Optional<String> anotherMustCarry(Case c) {
        return when(
                !onlyMulch(c) && deadBeforeRolling(c) && (c.beside() || useful(c) >= SOME_YEARS),
                "frost ends it in " + years(1 - c.prospect().aliveShare()) + ": another species must carry the mulch");
    }

    private static Optional<String> willNotWinterkill(Case c) {
        double alive = c.prospect().aliveShare();
        return when(byWinter(c) && alive > 1 - SOME_YEARS, "lives through winter in " + years(alive));
    }

    private static Optional<String> winterkillUnsure(Case c) {
        double alive = c.prospect().aliveShare();
        return when(
                byWinter(c) && alive > 0.1 && alive <= 1 - SOME_YEARS,
                "lives through winter in " + years(alive) + ": have a second tool ready");
    }

    private static Optional<String> phOutside(Case c) {
        Site site = c.species().site();
        return c.place()
                .ph()
                .filter(ph -> ph < site.phLow() || ph > site.phHigh())
                .map(ph -> "pH " + ph + "; its limits are " + site.phLow() + " to " + site.phHigh());
    }

    private static Optional<String> drowns(Case c) {
        boolean wet = c.place()
                .drainage()
                .filter(d -> d.equals("poorly drained") || d.equals("very poorly drained"))
                .isPresent();
        return when(wet && c.species().site().wet() == Site.Degree.POOR, "bears wet soil poorly");
    }

    private static Optional<String> residual(Case c) {
        return c.place().residuals().stream()
                .filter(r -> r.safeFrom().map(d -> d.isAfter(c.season().sown())).orElse(true))
                .findFirst()
                .map(r -> r.safeFrom()
                        .map(d -> r.activeIngredient() + " keeps the ground until " + d + " by the interval typed")
                        .orElse(r.activeIngredient() + ": type the label's interval to this species first"));
    }

    private static Optional<String> cannotBeEnded(Case c) {
        return killed(c, 0, HARDLY_KILLED)
                .filter(text -> c.place().organic())
                .map(text -> text + ", and no herbicide may follow");
    }

    private static Optional<String> notOnProgramme(Case c) {
        String name = c.species().name().toLowerCase(Locale.ROOT);
        return c.place().programmes().stream()
                .filter(p -> !p.allowed().isEmpty())
                .filter(p -> p.allowed().stream()
                        .noneMatch(a -> a.equals(name) || a.equals(c.species().id())))
                .findFirst()
                .map(p -> "not on the list of " + p.name());
    }

    private static Optional<String> harmsStock(Case c) {
        boolean grazed = c.place().aims().stream().anyMatch(STOCK_AIMS::contains)
                || c.place().end().filter(e -> e.method().grazes()).isPresent();
        Set<String> worst = Set.of(
                "vetch-poisoning",
                "sunn-hemp-alkaloids",
                "lupin-alkaloids",
                "horses-sorghum",
                "foxtail-horses",
                "lathyrism",
                "velvetbean");
        List<Caution> harm = c.species().use().cautions().stream()
                .filter(worst::contains)
                .map(id -> c.knowledge().cautions().get(id))
                .filter(k -> k.animals().stream().anyMatch(c.place()::keeps))
                .toList();
        return when(
                grazed && !harm.isEmpty(),
                "to be grazed: "
                        + harm.stream()
                                .map(k -> k.name().toLowerCase(Locale.ROOT))
                                .collect(Collectors.joining(", ")));
    }

    /** Botanically one species: its diseases and volunteers are the same. */
    private static Optional<String> sameCropFollows(Case c) {
        return c.place()
                .next()
                .filter(n ->
                        species(n.crop().botanical()).equals(species(c.species().botanical())))
                .map(n -> n.crop().name().toLowerCase(Locale.ROOT) + " follows, which is the same species");
    }

    private static List<String> species(String botanical) {
        String[] words = botanical.split(" ");
        return List.of(words[0], words.length > 1 ? words[1] : "");
    }

    private static Optional<String> onNoxiousList(Case c) {
        return when(
                NoxiousList.names(c.place().noxious(), c.species().name())
                        || NoxiousList.names(c.place().noxious(), c.species().botanical()),
                "is on the list of noxious plants entered for this field. Read the law in force before any seed is bought");
    }

    private static Optional<String> plugsDrains(Case c) {
        return c.place()
                .tileDepthCm()
                .filter(cm -> c.species().taproot()
                        && c.species().use().loosens() == 2
                        && c.species().rootDepthM() * 100 > cm)
                .map(cm -> "taproot to " + Said.of(c.species().rootDepthM(), Unit.METRE) + " above drains at "
                        + Said.of(Math.round(cm), Unit.CENTIMETRE));
    }

    private static Optional<String> hardToEnd(Case c) {
        return killed(c, HARDLY_KILLED, WELL_KILLED);
    }

    /** With organic certification it is left out of the proposals by another rule. */
    private static Optional<String> survives(Case c) {
        return killed(c, 0, HARDLY_KILLED).filter(text -> !c.place().organic());
    }

    /**
     * What the method kills, where so much is gone after it and winter together; nothing where winter is the method. What winter has
     * killed before needs no method.
     */
    private static Optional<String> killed(Case c, double from, double to) {
        double alive = c.prospect().aliveShare();
        return c.killed()
                .filter(k -> !byWinter(c) && 1 - alive * (1 - k) >= from && 1 - alive * (1 - k) < to)
                .flatMap(k -> c.place()
                        .end()
                        .map(e -> e.words()
                                + " on " + Shown.date(e.date()) + " kills about " + Math.round(k * 100) + " % of "
                                + (alive > MOSTLY_ALIVE ? "it" : "what lives till then (" + years(alive) + ")")));
    }

    private static Optional<String> seedsBeforeEnd(Case c) {
        double share = c.prospect().seedsShare();
        return when(share > SEEDS_SOON, "ripe seed before the end in " + years(share));
    }

    private static Optional<String> kinOfNext(Case c) {
        return c.place()
                .next()
                .filter(n -> n.crop().family().equals(c.species().family()))
                .map(n -> "of the family of " + n.crop().name().toLowerCase(Locale.ROOT) + ", which follows");
    }

    private static Optional<String> kinOfPrevious(Case c) {
        return c.place()
                .previous()
                .filter(p -> p.family().equals(c.species().family()))
                .map(p -> "of the family of " + p.name().toLowerCase(Locale.ROOT)
                        + ", which it follows: diseases and volunteers carry over");
    }

    private static Optional<String> livesOn(Case c) {
        return when(
                c.species().growth().isPerennial()
                        && !byWinter(c)
                        && c.prospect().aliveShare() >= SOME_YEARS,
                "perennial: what is not killed by its end comes again");
    }

    private static Optional<String> hardSeed(Case c) {
        double share = c.species().growth().hardSeedShare();
        return when(
                share >= MUCH_HARD_SEED,
                "about " + Math.round(share * 100) + " % hard seed: it comes up in later years");
    }

    /** Where the cover is not left to frost and need not live to be rolled. */
    private static Optional<String> diesBefore(Case c) {
        double alive = c.prospect().aliveShare();
        return when(
                !byWinter(c)
                        && !deadBeforeRolling(c)
                        && c.prospect().emergesShare() >= SOME_YEARS
                        && alive < MOST_YEARS,
                "frost ends it in " + years(1 - alive) + ", before the day the cover ends");
    }

    private static Optional<String> baresSlope(Case c) {
        boolean brittle = c.species().group() != Group.COOL_GRASS && c.species().group() != Group.WARM_GRASS;
        return c.place()
                .slopePercent()
                .filter(p -> p >= STEEP_PERCENT && brittle && c.prospect().aliveShare() < MOST_YEARS)
                .map(p -> "dead in " + years(1 - c.prospect().aliveShare())
                        + ", and its remains hold little soil on a slope of " + Math.round(p) + " %");
    }

    private static Optional<String> hostsPest(Case c) {
        return c.place()
                .next()
                .flatMap(n -> AimDelivery.sharedPest(
                                c.species(), n.crop().growing().sharedPests())
                        .map(p -> "host of " + p + ", which also attacks "
                                + n.crop().name().toLowerCase(Locale.ROOT)));
    }

    private static Optional<String> volunteers(Case c) {
        return c.place()
                .next()
                .filter(n -> SMALL_GRAINS.contains(n.crop().id())
                        && VOLUNTEERS_IN_GRAIN.contains(c.species().id()))
                .map(n -> "volunteers in grain sold as seed or food");
    }

    private static Optional<String> allelopathic(Case c) {
        return c.place()
                .next()
                .filter(n -> c.species().use().allelopathic()
                        && n.crop().growing().thousandSeedG() < 10
                        && !TRANSPLANTED.contains(n.crop().id()))
                .map(n -> "may suppress the small seed of " + n.crop().name().toLowerCase(Locale.ROOT)
                        + "; the effect is disputed");
    }

    private static Optional<String> forExperts(Case c) {
        return when(
                c.species().use().skill() == Use.Skill.EXPERT, "for experienced growers: try it on a small area first");
    }

    private static Optional<String> feedsSlugs(Case c) {
        boolean liked = c.species().group() == Group.BRASSICA
                || c.species().use().hosts().contains("slugs");
        return when(
                liked
                        && c.place()
                                .next()
                                .filter(n -> n.crop().growing().sharedPests().contains("slugs"))
                                .isPresent(),
                "a favourite of slugs, ahead of a crop they eat");
    }

    /** Small seed wants a drill, or a spreader; speaks only where machines are entered. */
    private static Optional<String> noMachine(Case c) {
        List<String> machines = c.place().machines();
        if (machines.isEmpty()) {
            return Optional.empty();
        }
        boolean rolled = c.place().end().filter(e -> e.method().rolls()).isPresent();
        if (rolled
                && !machines.contains("roller-crimper")
                && c.species().use().kill().rolledFlowering() > WELL_KILLED) {
            return Optional.of("to be rolled, and no roller-crimper is entered");
        }
        return when(
                SeedBox.isSmall(c.species()) && !machines.contains("drill") && !machines.contains("spreader"),
                "small seed, and neither drill nor spreader is entered");
    }

    private static Optional<String> expensive(Case c) {
        Species s = c.species();
        double perHa = s.use().price().middle() * s.fullRateKgHa().middle();
        return when(
                perHa > EXPENSIVE_PER_HA,
                "expensive: the full rate costs about "
                        + Said.of(Math.round(perHa), Unit.MONEY_PER_HA, Use.PRICE_CURRENCY)
                        + " at the library's price of " + Use.PRICE_YEAR);
    }

    private static Optional<String> shadedOut(Case c) {
        return when(
                c.place().sownInto().isPresent() && c.species().site().shade() == Site.Degree.POOR,
                "bears shade poorly, and it starts under a crop");
    }

    private static Optional<String> people(Case c) {
        return c.species().use().cautions().stream()
                .map(id -> c.knowledge().cautions().get(id))
                .filter(k -> k.animals().contains("people"))
                // what is ended before it flowers sets no pods
                .filter(k -> c.flowering() > 0.5)
                .findFirst()
                .map(Caution::text);
    }
}
