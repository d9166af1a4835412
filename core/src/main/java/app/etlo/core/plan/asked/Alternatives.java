package app.etlo.core.plan.asked;

import app.etlo.core.knowledge.Group;
import app.etlo.core.knowledge.Species;
import app.etlo.core.mix.Blend;
import app.etlo.core.mix.MixOutlook;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluated.CoverResult;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanDocument.AlternativeEntry;
import app.etlo.core.plan.document.PlanDocument.CoverEntry;
import app.etlo.core.plan.document.PlanDocument.MixEntry;
import app.etlo.core.plan.document.PlanEdit;
import app.etlo.core.plan.document.Refused;
import app.etlo.core.plan.shown.Evaluation.FigureView;
import app.etlo.core.plan.shown.EvaluationWriter;
import app.etlo.core.working.Figure;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** The mixes that are weighed against each other for a cover, each worked out in the plan as if it were the cover's own. */
public final class Alternatives {
    private Alternatives() {}

    /**
     * @param id of the alternative, empty for the cover's own mix
     * @param figures cost, seed, live seeds, dry tops, C:N and the aims, where they are there
     * @param notes heaviest weight and count of the notes about its mix
     */
    public record MixColumn(
            Optional<String> id,
            String name,
            List<FigureView> figures,
            List<MixPartView> parts,
            int stops,
            int thinks) {}

    public record MixPartView(String species, String name, Group group, FigureView seeds, Optional<FigureView> stand) {}

    /**
     * The cover's own mix first.
     *
     * @param evaluate works a plan out
     */
    public static List<MixColumn> of(PlanDocument plan, String coverId, Function<PlanDocument, Evaluated> evaluate) {
        CoverEntry cover = plan.covers().stream()
                .filter(c -> c.id().equals(coverId))
                .findFirst()
                .orElseThrow(() -> new Refused("/coverId", "the plan has no such cover"));
        List<MixColumn> columns = new ArrayList<>();
        columns.add(column(Optional.empty(), "own mix", coverId, evaluate.apply(plan)));
        for (AlternativeEntry a : cover.alternatives().orElse(List.of())) {
            columns.add(column(Optional.of(a.id()), a.name(), coverId, evaluate.apply(mixed(plan, coverId, a.mix()))));
        }
        return columns;
    }

    /** The plan with another mix in a cover. */
    static PlanDocument mixed(PlanDocument plan, String coverId, MixEntry mix) {
        UnaryOperator<CoverEntry> put = c -> new CoverEntry(
                c.id(),
                c.place(),
                c.aims(),
                c.purpose(),
                Optional.of(mix),
                c.stand(),
                c.alternatives(),
                c.checks(),
                c.fallbacks());
        return PlanEdit.cover(plan, coverId, put);
    }

    private static MixColumn column(Optional<String> id, String name, String coverId, Evaluated e) {
        CoverResult cover = e.cover(coverId);
        Optional<Blend> blend = cover.mix().blend();
        Optional<MixOutlook> outlook = cover.mix().outlook();
        Stream<Optional<Figure>> wanted = Stream.concat(
                Stream.of(
                        blend.flatMap(Blend::costPerHa),
                        blend.map(Blend::bulkKgHa),
                        blend.map(Blend::seedsM2),
                        outlook.map(MixOutlook::mass),
                        outlook.flatMap(MixOutlook::carbonToNitrogen)),
                cover.entry().aims().orElse(List.of()).stream()
                        .map(a -> outlook.flatMap(
                                o -> Optional.ofNullable(o.aims().get(a)))));
        return new MixColumn(
                id,
                name,
                wanted.flatMap(Optional::stream)
                        .map(f -> EvaluationWriter.figure(f, e))
                        .toList(),
                blend.map(b -> parts(b, outlook, e)).orElse(List.of()),
                count(e, coverId, "stop"),
                count(e, coverId, "think"));
    }

    private static List<MixPartView> parts(Blend blend, Optional<MixOutlook> outlook, Evaluated e) {
        return IntStream.range(0, blend.rates().size())
                .mapToObj(i -> {
                    Species s = blend.rates().get(i).component().species();
                    return new MixPartView(
                            s.id(),
                            s.name(),
                            s.group(),
                            EvaluationWriter.figure(blend.seedShares().get(i), e),
                            outlook.map(
                                    o -> EvaluationWriter.figure(o.standShares().get(i), e)));
                })
                .toList();
    }

    private static int count(Evaluated e, String coverId, String weight) {
        return (int) e.notes().stream()
                .filter(n -> n.weight().id().equals(weight) && n.step().id().equals("mix"))
                .filter(n -> n.subject().equals(coverId) || n.subject().startsWith(coverId + "/"))
                .count();
    }
}
