package app.etlo.core.plan.chapter;

import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.knowledge.CoverPurpose;
import app.etlo.core.knowledge.Crop;
import app.etlo.core.knowledge.KillOfSpecies;
import app.etlo.core.knowledge.Species;
import app.etlo.core.knowledge.StageSpread;
import app.etlo.core.knowledge.TerminationMethod;
import app.etlo.core.mix.GrowVerdict;
import app.etlo.core.plan.document.PlanDocument.CheckEntry;
import app.etlo.core.plan.document.PlanDocument.GateEntry;
import app.etlo.core.plan.document.PlanDocument.QuadratEntry;
import app.etlo.core.plan.growth.PlanGround;
import app.etlo.core.plan.timeline.CoverInTime;
import app.etlo.core.plan.timeline.PlanInTime;
import app.etlo.core.plan.timeline.Timeline;
import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.termination.EndGaps;
import app.etlo.core.termination.Fallback;
import app.etlo.core.termination.MulchGoal;
import app.etlo.core.termination.Quadrat;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.DoublePredicate;

/** The gates of a cover's end: what a look decides, and the day of the next. */
final class FieldGates {
    private static final double HALF_BLOOM = 50;
    private static final double FULL_BLOOM = 90;
    /** Stage of the middle plant at half bloom. */
    private static final double HALF_BLOOM_STAGE = 1.03;
    /** Standard deviation of the cuts over their mean from which a mulch is uneven; Etlo's own. */
    private static final double UNEVEN = 0.35;
    /** Ridges and mats from here on are beyond what drills and planters set to; clumps of slug nests (common practice). */
    private static final double DEEP_MAT_CM = 10;

    private static final double CLUMP_CM = 15;
    /** A kill shows after 7 to 14 days (common practice). */
    private static final int SHOWS_DAYS = 7;

    private static final double DEAD_PERCENT = 5;
    private static final double FAILED_PERCENT = 20;
    /** From here on what grows again is cut again before it heads. */
    private static final double HEADS = 0.9;

    private final PlanInTime plan;
    private final CoverInTime cover;
    private final Optional<PlanGround> ground;
    private final List<Fallback> fallbacks;

    /**
     * @param fallbacks what is done if the end does not go as planned
     */
    FieldGates(PlanInTime plan, CoverInTime cover, Optional<PlanGround> ground, List<Fallback> fallbacks) {
        this.plan = plan;
        this.cover = cover;
        this.ground = ground;
        this.fallbacks = fallbacks;
    }

    List<GrowVerdict> of(CheckEntry c) {
        List<GrowVerdict> found = new ArrayList<>();
        c.gate().ifPresent(g -> {
            g.sheddingPercent().ifPresent(v -> found.add(shedding(c, v)));
            g.bloomPercent().ifPresent(v -> found.add(bloom(c, v)));
            g.matDepth().or(g::clumpDepth).ifPresent(q -> found.add(mat(c, g)));
            g.soil().ifPresent(s -> found.add(soil(c, s)));
            g.alivePercent().ifPresent(v -> found.add(g.kind().equals("kill") ? killed(c, v) : wintered(c, g, v)));
            if (g.kind().equals("mulch")) {
                c.quadrat().ifPresent(q -> found.add(mulch(c, g, q)));
            }
            if (g.kind().equals("regrowth")) {
                c.height().ifPresent(q -> found.add(regrowth(c, q.in(Unit.CENTIMETRE))));
            }
        });
        return found;
    }

    private Optional<Species> species(CheckEntry c) {
        return c.species()
                .or(() -> cover.species().size() == 1
                        ? Optional.of(cover.species().get(0).id())
                        : Optional.empty())
                .flatMap(plan.knowledge().species()::find);
    }

    /** The first day after a look on which the middle plant is far enough, in the forecast as the look corrects it. */
    private Optional<LocalDate> when(CheckEntry c, Species s, DoublePredicate farEnough) {
        return ground.filter(g -> g.has(cover.id(), s.id())).flatMap(g -> {
            int plant = g.plant(cover.id(), s.id());
            for (int d = 1; d <= 60 && g.covers(c.on().plusDays(d)); d++) {
                double stage = g.on(c.on().plusDays(d), plant, OfPlant.STAGE, c.on().plusDays(60))
                        .middle();
                if (farEnough.test(stage)) {
                    return Optional.of(c.on().plusDays(d));
                }
            }
            return Optional.empty();
        });
    }

    private GrowVerdict shedding(CheckEntry c, double percent) {
        Optional<Species> s = species(c);
        String seen = Math.round(percent) + " % of the heads shed pollen or have";
        if (s.isEmpty()) {
            return new GrowVerdict(
                    "pollen",
                    "of which species",
                    seen + ": say of which species.",
                    List.of(),
                    Optional.empty(),
                    Optional.empty());
        }
        KillOfSpecies k = roller().kills(s.get());
        double killed = k.share(percent / 100, 1.0);
        String about = s.get().name() + ": " + seen + "; a roller would kill about " + Math.round(100 * killed)
                + " %. Count late tillers too: they decide.";
        if (killed >= TerminationMethod.KILLS_WELL) {
            return new GrowVerdict(
                    "pollen",
                    "ready to roll",
                    about,
                    List.of(),
                    Optional.of(c.on().plusDays(10)),
                    Optional.of("have it rolled well before then: seed follows"));
        }
        Optional<LocalDate> ready = when(
                c,
                s.get(),
                stage -> k.share(StageSpread.farEnough(stage, k.half()), 1.0) >= TerminationMethod.KILLS_WELL);
        return new GrowVerdict(
                "pollen",
                "not yet",
                about
                        + ready.map(d -> " By the forecast it is far enough about " + Shown.date(d) + ".")
                                .orElse(""),
                List.of(),
                ready.map(d -> d.isAfter(c.on().plusDays(5)) ? d.minusDays(3) : d)
                        .or(() -> Optional.of(c.on().plusDays(4))),
                Optional.of("count again"));
    }

    private TerminationMethod roller() {
        return plan.knowledge().terminationMethods().get("roller-crimper");
    }

    private GrowVerdict bloom(CheckEntry c, double percent) {
        Optional<Species> s = species(c);
        String seen = s.map(x -> x.name() + ": ").orElse("") + Math.round(percent) + " % of the flowers open";
        if (percent < HALF_BLOOM) {
            Optional<LocalDate> half = s.flatMap(x -> when(c, x, stage -> stage >= HALF_BLOOM_STAGE));
            return new GrowVerdict(
                    "bloom",
                    "before half bloom",
                    seen + ". Total nitrogen still rises, its share in the tops is at its highest at bud."
                            + half.map(d -> " Half bloom by the forecast about " + Shown.date(d) + ".")
                                    .orElse(""),
                    List.of(),
                    half.or(() -> Optional.of(c.on().plusDays(5))),
                    Optional.of("look again"));
        }
        return new GrowVerdict(
                "bloom",
                percent < FULL_BLOOM ? "half bloom" : "full bloom",
                seen
                        + (percent < FULL_BLOOM
                                ? ": about the most nitrogen that the tops will hold. A roller alone still leaves many alive before full"
                                        + " bloom; a spray or tillage need not wait."
                                : ": a roller kills it from now until early pods. Nitrogen hardly rises further. Bees work it by day."),
                List.of(),
                Optional.of(c.on().plusDays(10)),
                Optional.of("end it before the first seed can grow"));
    }

    private GrowVerdict mulch(CheckEntry c, GateEntry g, QuadratEntry q) {
        double kgHa = new Quadrat(q.frameArea(), q.samples(), q.dryMatterPercent() / 100)
                .biomass("gate/" + cover.id() + "/" + c.id())
                .in(Unit.KG_PER_HA);
        double[] grams = q.samples().stream().mapToDouble(x -> x.in(Unit.GRAM)).toArray();
        double uneven = variation(grams);
        String where = g.zone()
                .map(z -> z.equals("row") ? "In the rows: " : "Between the rows: ")
                .orElse("");
        boolean wanted = cover.sowing().sownFor().id().equals(CoverPurpose.MULCH)
                || cover.endings().stream().anyMatch(e -> e.method().rolls())
                || cover.entry().aims().orElse(List.of()).contains("mulch");
        String word = !wanted
                ? "weighed"
                : kgHa >= MulchGoal.IDEAL_KG_HA
                        ? "holds"
                        : kgHa >= MulchGoal.AIM_KG_HA ? "enough" : kgHa >= MulchGoal.FLOOR_KG_HA ? "thin" : "too thin";
        Optional<Fallback> b = fallbacks.stream()
                .filter(f -> f.id().equals("short-mulch") && kgHa < MulchGoal.AIM_KG_HA)
                .findFirst();
        return new GrowVerdict(
                "mulch",
                word,
                where + "about " + Said.of(round100(kgHa), Unit.KG_PER_HA) + " of dry tops"
                        + (wanted
                                ? ", against " + Said.of(MulchGoal.AIM_KG_HA, Unit.KG_PER_HA) + " at least and "
                                        + Said.of(MulchGoal.IDEAL_KG_HA, Unit.KG_PER_HA) + " where it must hold weeds"
                                : "")
                        + "."
                        + (grams.length < 4
                                ? " Fewer than four cuts say little of the whole field."
                                : uneven > UNEVEN
                                        ? " The cuts are " + Math.round(100 * uneven)
                                                + " % apart: weeds come where it is thin. Mark those places for a second look."
                                        : " The cuts agree within " + Math.round(100 * uneven) + " %."),
                List.of(),
                b.flatMap(Fallback::by).filter(d -> d.isAfter(c.on())),
                b.map(f -> "plan B: " + f.then()));
    }

    /** Standard deviation over the mean. */
    private static double variation(double[] values) {
        double mean = 0;
        for (double v : values) {
            mean += v / values.length;
        }
        double squares = 0;
        for (double v : values) {
            squares += (v - mean) * (v - mean);
        }
        return values.length < 2 || mean <= 0 ? 0 : Math.sqrt(squares / (values.length - 1)) / mean;
    }

    private static GrowVerdict mat(CheckEntry c, GateEntry g) {
        double deep = g.matDepth().map(q -> q.in(Unit.CENTIMETRE)).orElse(0.0);
        double clump = g.clumpDepth().map(q -> q.in(Unit.CENTIMETRE)).orElse(0.0);
        boolean clumped = clump >= CLUMP_CM;
        boolean thick = deep > DEEP_MAT_CM;
        return new GrowVerdict(
                "mat",
                clumped ? "clumped" : thick ? "deep" : "even",
                "The mat is " + Said.of(deep, Unit.CENTIMETRE) + " deep"
                        + (clump > 0 ? ", its clumps " + Said.of(clump, Unit.CENTIMETRE) : "") + "."
                        + (clumped
                                ? " Clumps of " + Said.of(CLUMP_CM, Unit.CENTIMETRE)
                                        + " are slug nests and lift a planter out: spread them on a dry afternoon."
                                : "")
                        + (thick
                                ? " Over " + Said.of(DEEP_MAT_CM, Unit.CENTIMETRE)
                                        + " few openers reach the soil: move it off the row, or wait until it settles."
                                : "")
                        + " Seed depth is measured from mineral soil, not from the top of the mat.",
                List.of(),
                Optional.empty(),
                Optional.empty());
    }

    private static GrowVerdict soil(CheckEntry c, String feel) {
        return switch (feel) {
            case "crumbles" ->
                new GrowVerdict(
                        "soil",
                        "fit",
                        "It crumbles at planting depth: it carries, and a slot closes.",
                        List.of(),
                        Optional.empty(),
                        Optional.empty());
            case "worm" ->
                new GrowVerdict(
                        "soil",
                        "wait",
                        "It rolls into a worm: discs smear the walls of the slot, and a strip would clod.",
                        List.of(),
                        Optional.of(c.on().plusDays(1)),
                        Optional.of("take another handful, also at the wettest place"));
            case "ribbon" ->
                new GrowVerdict(
                        "soil",
                        "too wet",
                        "It presses into a ribbon: wheels and hooves press it together for years; nothing drives or grazes here today.",
                        List.of(),
                        Optional.of(c.on().plusDays(2)),
                        Optional.of("take another handful"));
            default ->
                new GrowVerdict(
                        "soil",
                        "wet",
                        "Water comes out of it: keep off.",
                        List.of(),
                        Optional.of(c.on().plusDays(4)),
                        Optional.of("look again"));
        };
    }

    private GrowVerdict killed(CheckEntry c, double alive) {
        Optional<Timeline.Ending> last = plan.timeline().endings(cover.id()).stream()
                .filter(e -> !e.date().isAfter(c.on()))
                .reduce((a, b) -> b);
        if (last.isEmpty()) {
            return new GrowVerdict(
                    "kill",
                    "not ended yet",
                    "No pass that ends it lies before that day: a kill is looked at 7 to 14 days after it.",
                    List.of(),
                    cover.end().map(e -> e.date().plusDays(SHOWS_DAYS)),
                    Optional.of("look then"));
        }
        long days = ChronoUnit.DAYS.between(last.get().date(), c.on());
        String seen = Math.round(alive) + " % alive " + days + (days == 1 ? " day" : " days") + " after "
                + last.get().method().name().toLowerCase(Locale.ROOT) + ".";
        if (alive <= DEAD_PERCENT) {
            return new GrowVerdict(
                    "kill",
                    "dead",
                    seen + " What is left, along the edges most of all, is looked at once more.",
                    List.of(),
                    Optional.of(c.on().plusDays(14)),
                    Optional.of("look for what grows again"));
        }
        if (days < SHOWS_DAYS) {
            return new GrowVerdict(
                    "kill",
                    "too early",
                    seen + " A kill shows after a week; a systemic spray and a rolled stalk take as long.",
                    List.of(),
                    Optional.of(last.get().date().plusDays(SHOWS_DAYS)),
                    Optional.of("look again before a second pass"));
        }
        boolean failed = alive > FAILED_PERCENT;
        Optional<Fallback> b =
                fallbacks.stream().filter(f -> f.id().equals("not-killed")).findFirst();
        Optional<LocalDate> by = b.flatMap(Fallback::by).filter(d -> !d.isBefore(c.on()));
        return new GrowVerdict(
                "kill",
                failed ? "not killed" : "partly alive",
                seen
                        + (failed
                                ? " It drinks, feeds and shades beside the crop, and sets seed."
                                : " It may still die back.")
                        + safe(),
                List.of(),
                failed ? by.or(() -> Optional.of(c.on().plusDays(1))) : Optional.of(c.on().plusDays(5)),
                failed
                        ? b.map(f -> "second action: " + f.then())
                        : Optional.of("look again; a second pass if it greens"));
    }

    /** Until which stage of the crop a second pass is usually safe (common practice). */
    private String safe() {
        Optional<Crop> crop = cover.next().map(n -> n.crop());
        return crop.filter(EndGaps::isCorn)
                .map(x -> " Over corn: a roller until its second leaf, nothing that moves the soil on the row;"
                        + " a spray only by the label for that stage.")
                .or(() -> crop.filter(x -> x.id().equals("soybean"))
                        .map(x -> " Over soybean: a roller until its third leaf, when its stems still bend;"
                                + " a spray only by the label for that stage."))
                .orElse("");
    }

    private GrowVerdict regrowth(CheckEntry c, double cm) {
        Optional<Species> s = species(c);
        Optional<LocalDate> heads = s.flatMap(x -> when(c, x, stage -> stage >= HEADS));
        return new GrowVerdict(
                "regrowth",
                "growing again",
                s.map(x -> x.name() + " has").orElse("It has") + " grown again to "
                        + Said.of(Math.round(cm), Unit.CENTIMETRE)
                        + ". What was mown or rolled too early rises within two weeks and still sets seed."
                        + heads.map(d -> " It would head about " + Shown.date(d) + ".")
                                .orElse(""),
                List.of(),
                heads.or(() -> Optional.of(c.on().plusDays(10))),
                Optional.of("cut or roll it again before it heads, or take another tool"));
    }

    private GrowVerdict wintered(CheckEntry c, GateEntry g, double alive) {
        Optional<Species> s = species(c);
        String seen = s.map(x -> x.name() + ": ").orElse("") + Math.round(alive) + " % alive after winter"
                + g.coldestC()
                        .map(t -> ", coldest night " + Said.of(t, Unit.CELSIUS))
                        .orElse("") + ".";
        if (!winterIsOver(c.on())) {
            return new GrowVerdict(
                    "winter",
                    "too early",
                    seen + " Winter is not over.",
                    List.of(),
                    Optional.of(endOfWinter(c.on())),
                    Optional.of("look then, at crowns and not at leaves"));
        }
        Optional<GrowVerdict.LibraryProposal> proposal =
                s.flatMap(x -> g.coldestC().flatMap(t -> hardiness(c, x, t, alive)));
        return new GrowVerdict(
                "winter",
                alive >= HALF_BLOOM ? "wintered" : alive > DEAD_PERCENT ? "thinned" : "winter took it",
                seen
                        + proposal.map(p ->
                                        " That is not as the library has it: one winter is one winter, and snow or mulch keep a"
                                                + " crown warmer than the air.")
                                .orElse(""),
                List.of(),
                Optional.empty(),
                alive > DEAD_PERCENT
                                && cover.end()
                                        .filter(e -> e.method().isWinter())
                                        .isPresent()
                        ? Optional.of("it was to winterkill: plan B, while it is small")
                        : Optional.empty(),
                proposal);
    }

    private boolean isSouthern() {
        return plan.site().filter(x -> x.climate().place().isSouthern()).isPresent();
    }

    /** From the last month of winter until the end of spring. */
    private boolean winterIsOver(LocalDate on) {
        int month = (on.getMonthValue() + (isSouthern() ? 6 : 0) - 1) % 12 + 1;
        return month >= 2 && month <= 6;
    }

    private LocalDate endOfWinter(LocalDate on) {
        LocalDate march = on.withDayOfMonth(1).withMonth(isSouthern() ? 9 : 3);
        return march.isAfter(on) ? march : march.plusYears(1);
    }

    private static Optional<GrowVerdict.LibraryProposal> hardiness(
            CheckEntry c, Species s, double coldestC, double alive) {
        boolean tenderer = alive < HALF_BLOOM && coldestC > s.killC();
        boolean hardier = alive >= HALF_BLOOM && coldestC < s.killC();
        return tenderer || hardier
                ? Optional.of(new GrowVerdict.LibraryProposal(
                        s.id(),
                        "killC",
                        String.valueOf(Math.round(coldestC)),
                        Math.round(alive) + " % alive on " + Shown.date(c.on()) + " after a night of "
                                + Math.round(coldestC) + " °C here"))
                : Optional.empty();
    }

    private static double round100(double v) {
        return Math.round(v / 100) * 100.0;
    }
}
