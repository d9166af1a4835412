package app.etlo.core.plan.chapter;

import app.etlo.core.nitrogen.CoverSchools;
import app.etlo.core.nitrogen.ForageStand;
import app.etlo.core.nitrogen.LedgerLine;
import app.etlo.core.nitrogen.LedgerLine.Kind;
import app.etlo.core.nitrogen.LedgerLine.Sureness;
import app.etlo.core.nitrogen.SoilCredits;
import app.etlo.core.plan.document.FieldEntry;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.document.PlanDocument.NitrogenEntry;
import app.etlo.core.plan.document.PlanDocument.StandBeforeEntry;
import app.etlo.core.plan.document.PlanLookup;
import app.etlo.core.plan.timeline.CropAhead;
import app.etlo.core.plan.timeline.PlanInTime;
import app.etlo.core.plan.timeline.Timeline;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.working.Figure;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** Every credit and debit of a crop that the plan and the field know of, whether it counts or not. */
final class LedgerLines {
    private static final Set<String> FORAGE = Set.of("alfalfa", "grass-clover-ley");
    /** A test so long before planting says nothing of that spring. */
    private static final int BEFORE_DAYS = 75;
    /** A test so long after it is one for side-dressing. */
    private static final int SIDE_DRESS_FROM_DAYS = 14;

    private static final int SIDE_DRESS_TO_DAYS = 70;
    private static final double USUAL_TEST_CM = 30;
    private static final double SAND_PERCENT = 70;

    private final PlanInTime plan;
    private final CropInTime crop;
    private final NitrogenEntry entry;
    private final String prefix;
    private final List<LedgerLine> lines = new ArrayList<>();

    private LedgerLines(PlanInTime plan, CropInTime crop, NitrogenEntry entry) {
        this.plan = plan;
        this.crop = crop;
        this.entry = entry;
        this.prefix = "feed/" + crop.id();
    }

    static List<LedgerLine> of(
            PlanInTime plan,
            CropInTime crop,
            NitrogenEntry entry,
            Figure need,
            Optional<CoverSchools> cover,
            boolean weighed) {
        LedgerLines l = new LedgerLines(plan, crop, entry);
        l.cropBefore();
        cover.ifPresent(c -> l.cover(c, weighed));
        l.organicMatter();
        l.tests(need);
        l.water();
        l.manure();
        return l.lines;
    }

    private void add(Kind kind, Figure amount, Sureness sure, String says) {
        lines.add(new LedgerLine(kind, amount.label(), amount, sure, says));
    }

    private void cropBefore() {
        CropAhead.of(plan, crop).ifPresent(b -> {
            Optional<StandBeforeEntry> stand = entry.standBefore();
            if (FORAGE.contains(b.crop().id()) && stand.isPresent()) {
                add(
                        Kind.FORAGE_STAND,
                        ForageStand.first(
                                prefix,
                                stand.get().stand(),
                                stand.get()
                                        .regrowth()
                                        .map(q -> q.in(Unit.CENTIMETRE))
                                        .orElse(0.0),
                                isSandy(),
                                b.crop().id().equals("alfalfa")),
                        Sureness.RULE,
                        "by stand and regrowth");
            } else if (b.crop().growing().nitrogenLeftKgHa() > 0) {
                add(
                        Kind.PREVIOUS_CROP,
                        SoilCredits.previousCrop(prefix, b.crop().growing().nitrogenLeftKgHa(), b.words()),
                        Sureness.RULE,
                        FORAGE.contains(b.crop().id())
                                ? b.words() + "; say how it stood for the table's own figure"
                                : b.words());
            }
        });
        CropAhead.before(plan, crop, 2)
                .filter(b -> b.crop().id().equals("alfalfa"))
                .flatMap(b -> entry.standBefore())
                .filter(s -> lines.stream().noneMatch(l -> l.kind() == Kind.FORAGE_STAND))
                .ifPresent(s -> add(
                        Kind.FORAGE_STAND,
                        ForageStand.second(prefix, s.stand(), isSandy()),
                        Sureness.RULE,
                        "second crop behind it"));
    }

    private boolean isSandy() {
        return plan.soil().layers().get(0).sandPercent() >= SAND_PERCENT;
    }

    private void cover(CoverSchools c, boolean weighed) {
        String school = entry.coverCredit().orElse("content");
        Figure amount = c.chosen(school);
        boolean table = school.equals("table") && c.table().isPresent();
        add(
                Kind.COVER,
                amount,
                table ? Sureness.RULE : weighed ? Sureness.MEASURED : Sureness.FORECAST,
                table
                        ? "by the table of green manures"
                        : school.equals("simulated") && c.simulated().isPresent()
                                ? "simulated, in twelve weeks from planting"
                                : "share released in a season, by its nitrogen content");
    }

    private void organicMatter() {
        Optional<FieldEntry.SoilTest> test = tests().filter(
                        t -> t.organicMatterPercent().isPresent())
                .max(Comparator.comparing(FieldEntry.SoilTest::date));
        Optional<Double> percent = test.flatMap(FieldEntry.SoilTest::organicMatterPercent)
                .or(() -> plan.context().field().organicMatterPercent());
        percent.flatMap(p -> entry.organicMatterReference()
                        .map(r -> SoilCredits.organicMatter(
                                prefix,
                                p,
                                test.map(t -> "soil test of " + Shown.date(t.date()))
                                        .orElse("field"),
                                r)))
                .ifPresent(f -> add(
                        Kind.ORGANIC_MATTER,
                        f,
                        test.isPresent() ? Sureness.MEASURED : Sureness.SEEN,
                        "against the reference of the recommendation"));
    }

    private Stream<FieldEntry.SoilTest> tests() {
        return plan.context().field().soilTests().orElse(List.of()).stream();
    }

    private void tests(Figure need) {
        crop.planted().ifPresent(planted -> {
            latest(planted.minusDays(BEFORE_DAYS), planted.plusDays(SIDE_DRESS_FROM_DAYS - 1L))
                    .ifPresent(t -> add(
                            Kind.SOIL_TEST,
                            SoilCredits.nitrate(
                                    prefix,
                                    t.nitrateMgKg().orElseThrow(),
                                    t.depth().map(d -> d.in(Unit.CENTIMETRE)).orElse(USUAL_TEST_CM),
                                    from(t)),
                            Sureness.MEASURED,
                            from(t)));
            if (crop.crop().id().endsWith("corn")) {
                latest(planted.plusDays(SIDE_DRESS_FROM_DAYS), planted.plusDays(SIDE_DRESS_TO_DAYS))
                        .ifPresent(t -> add(
                                Kind.SIDE_DRESS_TEST,
                                SoilCredits.sideDress(
                                        prefix,
                                        need,
                                        fedUntil(t.date()),
                                        t.nitrateMgKg().orElseThrow(),
                                        from(t)),
                                Sureness.MEASURED,
                                from(t) + "; top 30 cm, corn 15 to 30 cm tall, not where a band was sampled"));
            }
        });
    }

    private double fedUntil(LocalDate day) {
        return plan.timeline().feedings(crop.id()).stream()
                .filter(f -> !f.date().isAfter(day))
                .mapToDouble(Timeline.Feeding::nitrogenKgHa)
                .sum();
    }

    private static String from(FieldEntry.SoilTest t) {
        return "soil test of " + Shown.date(t.date());
    }

    private Optional<FieldEntry.SoilTest> latest(LocalDate from, LocalDate to) {
        return tests().filter(t -> t.nitrateMgKg().isPresent()
                        && !t.date().isBefore(from)
                        && !t.date().isAfter(to))
                .max(Comparator.comparing(FieldEntry.SoilTest::date));
    }

    /** Manure and compost given to what stood here a season or two ago. */
    private void manure() {
        crop.planted()
                .ifPresent(planted -> plan.timeline().feedings().stream()
                        .filter(f -> !f.subject().equals(crop.id()))
                        .forEach(f -> {
                            long seasons = Math.round(ChronoUnit.DAYS.between(f.date(), planted) / 365.25);
                            double share = seasons == 1
                                    ? f.product().secondShare()
                                    : seasons == 2 ? f.product().thirdShare() : 0;
                            if (share > 0) {
                                String from =
                                        f.product().name().toLowerCase(Locale.ROOT) + " of " + Shown.date(f.date());
                                add(
                                        Kind.MANURE,
                                        SoilCredits.manure(prefix, f.id(), f.totalKgHa(), share, from),
                                        Sureness.RULE,
                                        from);
                            }
                        }));
    }

    private void water() {
        double mm = new PlanLookup(plan.plan())
                .all(Operation.Irrigate.class)
                .filter(o -> o.subject().filter(crop.id()::equals).isPresent())
                .mapToDouble(o -> o.depth().in(Unit.MILLIMETRE))
                .sum();
        plan.context()
                .field()
                .waterNitrateMgL()
                .filter(n -> n > 0 && mm > 0)
                .ifPresent(n -> add(
                        Kind.WATER,
                        SoilCredits.water(prefix, n, mm),
                        Sureness.MEASURED,
                        "what is planned to be given"));
    }
}
