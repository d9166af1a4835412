package app.etlo.core.plan.shown;

import app.etlo.core.field.FrostDates;
import app.etlo.core.knowledge.Group;
import app.etlo.core.knowledge.Species;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluated.CoverResult;
import app.etlo.core.plan.chapter.Evaluated.CropResult;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.growth.PlanGround;
import app.etlo.core.plan.shown.Evaluation.FrostView;
import app.etlo.core.plan.shown.Evaluation.GrownView;
import app.etlo.core.plan.shown.Evaluation.PartView;
import app.etlo.core.plan.shown.Evaluation.PassView;
import app.etlo.core.plan.shown.Evaluation.PinView;
import app.etlo.core.plan.shown.Evaluation.ResidueView;
import app.etlo.core.plan.shown.Evaluation.SectionView;
import app.etlo.core.plan.shown.Evaluation.StandView;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.termination.Stand;
import app.etlo.core.tillage.Pass;
import app.etlo.core.working.Figure;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.stream.Stream;

/** The ground section of an evaluated plan: stands as simulated, else at their typical height, residue, passes and pins. */
public final class SectionWriter {
    private static final int MARGIN_DAYS = 20;
    private static final int EMPTY_BACK_DAYS = 60;
    private static final int EMPTY_AHEAD_DAYS = 540;
    /** How far a stand without an end is drawn. */
    private static final int OPEN_DAYS = 120;

    private static final double LEAST_HEIGHT_M = 0.8;
    private static final double LEAST_DEPTH_M = 1.2;
    /** Deeper drains are out of the roots' reach and out of the picture. */
    private static final double MOST_TILE_DEPTH_M = 2;

    private static final int FAR_YEARS = 6;
    /** A pass that leaves no mulch lying. */
    private static final double BURYING_SHARE = 0.9;

    private static final double BURYING_DEPTH_CM = 7;

    private final Evaluated e;

    private final Optional<FrostDates> frost;
    private final TypicalCourse course;

    private SectionWriter(Evaluated e) {
        this.e = e;
        this.frost = e.frost();
        this.course = new TypicalCourse(frost);
    }

    public static SectionView write(Evaluated e) {
        return new SectionWriter(e).section();
    }

    private SectionView section() {
        List<StandView> stands = Stream.concat(
                        e.crops().stream().flatMap(c -> cropStand(c).stream()),
                        e.covers().stream().flatMap(c -> coverStand(c).stream()))
                .toList();
        List<PassView> passes = Stream.concat(
                        e.crops().stream()
                                .flatMap(c -> c.passes().stream()
                                        .map(p -> EvaluationWriter.pass(
                                                c.plant().ratings(),
                                                p,
                                                c.planting().contains(p)))),
                        e.laterPasses().stream().map(p -> EvaluationWriter.pass(e.laterRatings(), p, false)))
                .toList();
        List<PinView> pins = e.plan().operations().stream()
                .flatMap(o -> pin(o).stream())
                .sorted(Comparator.comparing(PinView::date))
                .toList();
        Span span = span(Stream.concat(
                        stands.stream().flatMap(s -> Stream.of(s.from(), s.to())),
                        pins.stream().map(PinView::date))
                .toList());
        Optional<Double> tile = e.context().field().tileDepth().map(q -> q.in(Unit.CENTIMETRE));
        return new SectionView(
                span.from(),
                span.to(),
                e.asOf(),
                tile,
                frost.stream()
                        .flatMap(f -> f.coldSeasons(span.from(), span.to()).stream())
                        .map(c -> new FrostView(c.firstFrost(), c.lastFrost()))
                        .toList(),
                tallest(stands, LEAST_HEIGHT_M),
                deepest(stands, Math.max(LEAST_DEPTH_M, Math.min(MOST_TILE_DEPTH_M, tile.orElse(0.0) / 100 + 0.1))),
                stands,
                residues(span.to()),
                passes,
                pins,
                e.years().map(y -> WeatherRibbon.of(y, span.from(), span.to(), e.asOf())),
                e.context().field().panDepth().map(q -> q.in(Unit.CENTIMETRE)),
                e.context().field().layers().stream()
                        .flatMap(List::stream)
                        .map(l -> l.depth().in(Unit.CENTIMETRE))
                        .toList(),
                e.ground().map(g -> GroundSeries.weeks(g, span.from(), span.to())));
    }

    private record Span(LocalDate from, LocalDate to) {}

    /** The days with a margin. A day far off the others' years, which is a slip of the pen, does not press the rest flat. */
    private Span span(List<LocalDate> all) {
        List<LocalDate> near = all.stream()
                .filter(d -> Math.abs(ChronoUnit.YEARS.between(e.asOf(), d)) < FAR_YEARS)
                .sorted()
                .toList();
        if (near.isEmpty()) {
            return new Span(e.asOf().minusDays(EMPTY_BACK_DAYS), e.asOf().plusDays(EMPTY_AHEAD_DAYS));
        }
        return new Span(
                near.get(0).minusDays(MARGIN_DAYS), near.get(near.size() - 1).plusDays(MARGIN_DAYS));
    }

    private static double tallest(List<StandView> stands, double least) {
        return stands.stream()
                .flatMap(s -> s.parts().stream())
                .mapToDouble(PartView::heightM)
                .reduce(least, Math::max);
    }

    private static double deepest(List<StandView> stands, double least) {
        return stands.stream()
                .flatMap(s -> s.parts().stream())
                .mapToDouble(PartView::rootDepthM)
                .reduce(least, Math::max);
    }

    private Optional<StandView> cropStand(CropResult c) {
        CropInTime t = c.crop();
        var crop = t.crop();
        return stand(
                t.id(),
                false,
                crop.name(),
                t.planted(),
                t.harvested(),
                (from, to) -> List.of(new PartView(
                        crop.id(),
                        crop.name(),
                        crop.group(),
                        crop.form(),
                        crop.heightM(),
                        crop.rootDepthM(),
                        crop.taproot(),
                        Optional.empty(),
                        simulatedHeights(t.id(), crop.id(), from, to)
                                .orElseGet(() -> course.ofCrop(from, to, crop.heightM())),
                        grown(t.id(), crop.id(), from, to))));
    }

    private Optional<StandView> coverStand(CoverResult c) {
        Optional<LocalDate> end = c.end().map(t -> t.date()).or(() -> c.next().flatMap(CropInTime::planted));
        return stand(
                        c.entry().id(),
                        true,
                        EvaluationWriter.name(c),
                        c.sown(),
                        end,
                        (from, to) -> c.species().stream()
                                .map(s -> part(c.entry().id(), s, from, to))
                                .toList())
                .map(s -> c.end().isPresent()
                        ? s
                        : new StandView(s.id(), true, s.label(), s.from(), s.to(), true, s.parts()));
    }

    private Optional<List<Integer>> simulatedHeights(String stand, String plant, LocalDate from, LocalDate to) {
        return e.ground().filter(g -> g.has(stand, plant)).map(g -> GroundSeries.heightsCm(g, stand, plant, from, to));
    }

    private Optional<GrownView> grown(String stand, String plant, LocalDate from, LocalDate to) {
        return e.ground()
                .filter(g -> g.has(stand, plant))
                .map(g ->
                        GroundSeries.grown(g, stand, plant, from, to, e.growth().errorOfMass(stand)));
    }

    private PartView part(String stand, Species s, LocalDate from, LocalDate to) {
        Optional<PlanGround> ground = e.ground().filter(g -> g.has(stand, s.id()));
        if (ground.isPresent()) {
            return new PartView(
                    s.id(),
                    s.name(),
                    s.group(),
                    s.form(),
                    s.heightM(),
                    s.rootDepthM(),
                    s.taproot(),
                    GroundSeries.lost(ground.get(), stand, s.id(), from, to),
                    GroundSeries.heightsCm(ground.get(), stand, s.id(), from, to),
                    grown(stand, s.id(), from, to));
        }
        boolean tender = s.group() == Group.WARM_GRASS || s.group() == Group.WARM_LEGUME;
        Optional<LocalDate> frosted = frost.filter(f -> tender)
                .flatMap(f -> f.autumnFrostFor(from))
                .filter(d -> d.isAfter(from) && d.isBefore(to));
        return new PartView(
                s.id(),
                s.name(),
                s.group(),
                s.form(),
                s.heightM(),
                s.rootDepthM(),
                s.taproot(),
                frosted,
                course.ofCover(from, frosted.orElse(to), s.heightM()),
                Optional.empty());
    }

    private static Optional<StandView> stand(
            String id,
            boolean cover,
            String label,
            Optional<LocalDate> from,
            Optional<LocalDate> to,
            BiFunction<LocalDate, LocalDate, List<PartView>> parts) {
        return from.filter(f -> to.map(t -> f.isBefore(t) && ChronoUnit.YEARS.between(f, t) < FAR_YEARS)
                        .orElse(true))
                .map(f -> {
                    LocalDate last = to.orElse(f.plusDays(OPEN_DAYS));
                    return new StandView(id, cover, label, f, last, to.isEmpty(), parts.apply(f, last));
                });
    }

    /** Without a simulation what was left lies as it fell; with one the weekly residue is drawn. */
    private List<ResidueView> residues(LocalDate sectionEnd) {
        List<ResidueView> found = new ArrayList<>();
        for (CropResult c : e.crops()) {
            c.crop()
                    .harvested()
                    .ifPresent(day -> residue(
                            found,
                            c.crop().id(),
                            c.crop().crop().name(),
                            day,
                            c.plant().residue(),
                            sectionEnd));
        }
        for (CoverResult c : e.covers()) {
            c.end()
                    .ifPresent(t -> residue(
                            found,
                            c.entry().id(),
                            EvaluationWriter.name(c),
                            t.date(),
                            c.ending().stand().map(Stand::biomass),
                            sectionEnd));
        }
        return List.copyOf(found);
    }

    /** Lies from its day until a pass buries it or the next crop is harvested: a picture, not a forecast of decay. */
    private void residue(
            List<ResidueView> found,
            String id,
            String label,
            LocalDate day,
            Optional<Figure> mass,
            LocalDate sectionEnd) {
        Stream<LocalDate> buried = Stream.concat(
                        e.crops().stream().flatMap(c -> c.passes().stream()), e.laterPasses().stream())
                .filter(SectionWriter::buries)
                .map(Pass::date);
        Stream<LocalDate> harvests = e.crops().stream().flatMap(c -> c.crop().harvested().stream());
        LocalDate until = Stream.concat(buried, harvests)
                .filter(d -> d.isAfter(day))
                .min(Comparator.naturalOrder())
                .orElse(sectionEnd);
        mass.ifPresent(f -> found.add(new ResidueView(id, label, day, until, f.in(Unit.T_PER_HA), f.id())));
    }

    private static boolean buries(Pass p) {
        return p.shareDisturbed() >= BURYING_SHARE && p.operation().depthCm() >= BURYING_DEPTH_CM;
    }

    private Optional<PinView> pin(Operation o) {
        String subject = o.subject().orElse("");
        boolean cover = e.covers().stream().anyMatch(c -> c.entry().id().equals(subject));
        String word = switch (o.kind()) {
            case "sow" -> cover ? "Sow" : "Plant";
            case "end" -> "End";
            case "harvest" -> "Harvest";
            case "graze" -> "Graze";
            case "irrigate" -> "Irrigate";
            case "feed" -> "Feed";
            default -> "Pass";
        };
        return Optional.ofNullable(e.dates().get(o.id()))
                .map(d -> new PinView(o.id(), o.kind(), subject, cover, d.on(), d.early(), d.late(), word));
    }
}
