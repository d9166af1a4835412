package app.etlo.core.plan.asked;

import app.etlo.core.ground.GroundVariation;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.PlantKind;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluator;
import app.etlo.core.plan.document.Context;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanEdit;
import app.etlo.core.plan.document.PlanLookup;
import app.etlo.core.plan.growth.GroundEvents;
import app.etlo.core.plan.growth.PlanGround;
import app.etlo.core.plan.shown.Evaluation.FigureView;
import app.etlo.core.plan.shown.EvaluationWriter;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Which inputs move a simulated figure most: each is put to its 1-in-10 and its 9-in-10 value while all others stay, and the plan is
 * worked out again. The spans are Etlo's own, round.
 */
public final class Sensitivities {
    public static final Source SPANS = Source.own("round spans of what is not known of a field; one input at a time");

    /** Bands narrower than this share of the middle are of high confidence, than the second of medium. */
    private static final double HIGH_BELOW = 0.5;

    private static final double MEDIUM_BELOW = 1.2;
    private static final String DERIVED =
            "; most of what grows does so by numbers derived from other species and tuned on nothing, so one class less";

    private static final int SHIFT_DAYS = 7;

    /**
     * How far a figure can be relied on: by the width of its band, which holds the spread of the weather years and the stated error of
     * the model, and one class less where most of what grows does so by numbers that Etlo derived and tuned on nothing.
     */
    public enum Confidence {
        HIGH("high", "the band is under half of the middle"),
        MEDIUM("medium", "the band is between a half and 1.2 times the middle"),
        LOW("low", "the band is over 1.2 times the middle, or there is none");

        private final String id;
        private final String words;

        Confidence(String id, String words) {
            this.id = id;
            this.words = words;
        }

        @com.fasterxml.jackson.annotation.JsonValue
        public String id() {
            return id;
        }

        private Confidence less() {
            return this == HIGH ? MEDIUM : LOW;
        }
    }

    /**
     * @param figure in the middle
     * @param confidence class of the width of its band, weather and model together
     * @param because the class in words
     * @param moves widest first
     */
    public record SensitivityView(
            FigureView figure, Confidence confidence, String because, String source, List<Move> moves) {}

    /**
     * What one input does.
     *
     * @param from what it was put to, in words
     * @param low the figure with the input at its low end, in the figure's shown unit
     */
    public record Move(
            String input, String from, String to, double low, double high, String lowText, String highText) {}

    private record Knob(String input, String from, String to, GroundVariation low, GroundVariation high) {}

    private static final List<Knob> KNOBS = List.of(
            new Knob(
                    "plants that come up",
                    "× 0.7",
                    "× 1.15",
                    GroundVariation.emergence(0.7),
                    GroundVariation.emergence(1.15)),
            new Knob("seed of the cover", "× 0.75", "× 1.25", GroundVariation.seed(0.75), GroundVariation.seed(1.25)),
            new Knob(
                    "use of light", "× 0.88", "× 1.12", GroundVariation.lightUse(0.88), GroundVariation.lightUse(1.12)),
            new Knob(
                    "degree days to bloom",
                    "× 0.9",
                    "× 1.1",
                    GroundVariation.toFlower(0.9),
                    GroundVariation.toFlower(1.1)),
            new Knob(
                    "hardiness",
                    "2 °C (3.6 °F) hardier",
                    "2 °C (3.6 °F) tenderer",
                    GroundVariation.hardiness(-2),
                    GroundVariation.hardiness(2)),
            new Knob(
                    "competition for light",
                    "weaker: more stands in patches",
                    "stronger: evenly mixed",
                    GroundVariation.patches(0.15),
                    GroundVariation.patches(-0.15)),
            new Knob(
                    "what an end leaves alive",
                    "× 0.5",
                    "× 1.5",
                    GroundVariation.survivors(0.5),
                    GroundVariation.survivors(1.5)),
            new Knob("nitrogen given", "× 0.75", "× 1.25", GroundVariation.fed(0.75), GroundVariation.fed(1.25)),
            new Knob("nitrogen from humus", "× 0.7", "× 1.3", GroundVariation.humus(0.7), GroundVariation.humus(1.3)),
            new Knob(
                    "nitrate at the start",
                    "× 0.5",
                    "× 1.6",
                    GroundVariation.nitrate(0.5),
                    GroundVariation.nitrate(1.6)),
            new Knob(
                    "water at the start",
                    "less by a quarter",
                    "more by a quarter",
                    GroundVariation.water(-0.25),
                    GroundVariation.water(0.25)),
            new Knob("water the soil holds", "× 0.8", "× 1.2", GroundVariation.holds(0.8), GroundVariation.holds(1.2)),
            new Knob("rain of the field", "× 0.85", "× 1.15", GroundVariation.rain(0.85), GroundVariation.rain(1.15)));

    private final Evaluator evaluator;
    private final PlanDocument plan;
    private final Context context;
    private final LocalDate asOf;
    private final Evaluated usual;
    private final Map<Knob, Ends> turned = new LinkedHashMap<>();

    /** A plan worked out with an input at its low and at its high end. */
    private record Ends(Evaluated low, Evaluated high) {}

    /** Of the figures of a plan; what is worked out for one of them is there for the next. Not for several threads at once. */
    public Sensitivities(Evaluator evaluator, PlanDocument plan, Context context, LocalDate asOf) {
        this.evaluator = evaluator;
        this.plan = plan;
        this.context = context;
        this.asOf = asOf;
        usual = evaluator.evaluate(plan, context, asOf);
    }

    private Ends ends(Knob k) {
        return turned.computeIfAbsent(
                k,
                knob -> new Ends(
                        evaluator.evaluate(plan, context, asOf, knob.low()),
                        evaluator.evaluate(plan, context, asOf, knob.high())));
    }

    /** Of one figure; empty where the plan has no such figure or it does not rest on the simulation. */
    public Optional<SensitivityView> of(String figureId) {
        Optional<Simulated> found =
                simulated(usual).filter(s -> s.figure().id().equals(figureId)).findFirst();
        if (found.isEmpty() || usual.ground().isEmpty()) {
            return Optional.empty();
        }
        Figure figure = found.get().figure();
        Optional<String> stand = found.get().standId();
        Unit shown = usual.units().shown(figure.unit());
        List<Move> moves = new ArrayList<>();
        for (Knob k : KNOBS) {
            move(k.input(), k.from(), k.to(), ends(k), figureId, shown).ifPresent(moves::add);
        }
        stand.flatMap(this::sownOtherwise)
                .flatMap(e -> move("day of sowing", "a week earlier", "a week later", e, figureId, shown))
                .ifPresent(moves::add);
        moves.sort(Comparator.comparingDouble((Move m) -> -Math.abs(m.high() - m.low())));
        Confidence width = confidence(figure);
        boolean derived = restsOnDerived(usual, stand);
        Confidence confidence = derived ? width.less() : width;
        return Optional.of(new SensitivityView(
                EvaluationWriter.figure(figure, usual),
                confidence,
                derived ? width.words + DERIVED : width.words,
                SPANS.text(),
                moves));
    }

    private Optional<Ends> sownOtherwise(String standId) {
        return shifted(plan, standId, -SHIFT_DAYS)
                .flatMap(early -> shifted(plan, standId, SHIFT_DAYS)
                        .map(late -> new Ends(
                                evaluator.evaluate(early, context, asOf), evaluator.evaluate(late, context, asOf))));
    }

    private static Confidence confidence(Figure f) {
        double spread = f.value().high() - f.value().low();
        double width = spread / Math.max(1e-9, Math.abs(f.middle()));
        // without a band nothing says how far it can be off
        return spread <= 0
                ? Confidence.LOW
                : width <= HIGH_BELOW ? Confidence.HIGH : width <= MEDIUM_BELOW ? Confidence.MEDIUM : Confidence.LOW;
    }

    /** Whether over half of the plants of a stand, or of all stands for the whole rotation, are of kinds or species not tuned on. */
    private static boolean restsOnDerived(Evaluated e, Optional<String> standId) {
        PlanGround ground = e.ground().orElseThrow();
        List<String> of =
                standId.filter(id -> !ground.plants(id).isEmpty()).stream().toList();
        List<GroundEvents.Standing> plants = ground.standings().stream()
                .filter(s -> of.isEmpty() || of.contains(s.standId()))
                .toList();
        long tuned =
                plants.stream().filter(s -> isTuned(e.knowledge(), s.plantId())).count();
        return 2 * tuned < plants.size();
    }

    /** A crop, or a species, that a tuned kind was tuned on. */
    private static boolean isTuned(Knowledge k, String plantId) {
        if (k.species().find(plantId).isPresent()) {
            PlantKind kind = k.plantKinds().species(plantId);
            return kind.tuned() && kind.model().equals(Optional.of(plantId));
        }
        return k.plantKinds().crop(plantId).tuned();
    }

    private static Optional<Move> move(String input, String from, String to, Ends ends, String figureId, Unit shown) {
        Optional<Figure> lower = of(ends.low(), figureId);
        Optional<Figure> higher = of(ends.high(), figureId);
        if (lower.isEmpty() || higher.isEmpty()) {
            return Optional.empty();
        }
        Figure a = lower.get();
        Figure b = higher.get();
        double lowValue = a.unit().to(shown, a.middle());
        double highValue = b.unit().to(shown, b.middle());
        return Optional.of(new Move(
                input, from, to, lowValue, highValue, Shown.text(lowValue, shown), Shown.text(highValue, shown)));
    }

    /**
     * A figure that rests on the simulation.
     *
     * @param standId of the cover or crop it is of; none for the whole rotation
     */
    private record Simulated(Figure figure, Optional<String> standId) {}

    private static Stream<Simulated> simulated(Evaluated e) {
        return Stream.of(
                        e.covers().stream()
                                .flatMap(c -> Stream.concat(
                                                c.grow().stream().flatMap(g -> g.figures().stream()),
                                                c.mix().outlook().stream().flatMap(o -> o.figures().stream()))
                                        .map(f -> new Simulated(f, Optional.of(c.id())))),
                        e.crops().stream()
                                .flatMap(c -> c.grow().figures().stream()
                                        .map(f -> new Simulated(
                                                f, Optional.of(c.crop().id())))),
                        e.rotation().figures().stream().map(f -> new Simulated(f, Optional.empty())))
                .flatMap(s -> s);
    }

    private static Optional<Figure> of(Evaluated e, String figureId) {
        return Optional.ofNullable(e.figures().get(figureId));
    }

    private static Optional<PlanDocument> shifted(PlanDocument plan, String coverId, int days) {
        boolean cover = plan.covers().stream().anyMatch(c -> c.id().equals(coverId));
        return new PlanLookup(plan)
                .sow(coverId)
                .filter(o -> cover)
                .map(Operation::when)
                .flatMap(w -> w.on())
                .map(d -> PlanEdit.dated(plan, "sow", coverId, d.plusDays(days)));
    }
}
