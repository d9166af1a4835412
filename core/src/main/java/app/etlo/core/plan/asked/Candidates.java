package app.etlo.core.plan.asked;

import app.etlo.core.knowledge.Group;
import app.etlo.core.mix.AimDelivery;
import app.etlo.core.mix.AimWeights;
import app.etlo.core.mix.Candidate;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluated.CoverResult;
import app.etlo.core.plan.document.Refused;
import app.etlo.core.plan.growth.MixBench;
import app.etlo.core.plan.shown.Evaluation.FigureView;
import app.etlo.core.plan.shown.EvaluationWriter;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Every species of the library judged for a cover: from its ranked aims to a short list with reasons. */
public final class Candidates {
    private static final String PLACE = "/candidate";

    private Candidates() {}

    /**
     * @param from the day it is sown, or the window's first
     * @param to the day it ends, or the window's last
     */
    public record CandidateList(LocalDate from, LocalDate to, List<AimView> aims, List<CandidateView> candidates) {}

    /**
     * @param weight of its rank, 0 to 1
     */
    public record AimView(String id, String name, String measure, String unit, double weight) {}

    /**
     * @param delivers what it would deliver alone at its full rate, by aim in their order
     * @param alive share of the years in which it lives to the end
     * @param flowers share of the years in which it flowers before it
     */
    public record CandidateView(
            String species,
            String name,
            Group group,
            boolean excluded,
            double score,
            FigureView mass,
            List<FigureView> delivers,
            double alive,
            double flowers,
            List<FindingView> findings) {}

    public record FindingView(String rule, boolean excludes, String text, String source, Source.Status status) {}

    /**
     * The candidates for a cover, best first, the excluded last.
     *
     * @throws Refused when the plan has no such cover, or nothing says when and where it grows
     */
    public static CandidateList of(Evaluated e, String coverId) {
        MixBench bench = bench(e, coverId);
        String currency = e.context().farm().currency();
        List<String> aims =
                bench.place().aims().stream().filter(AimDelivery::measures).toList();
        Map<String, Double> weights = AimWeights.of(aims);
        return new CandidateList(
                bench.forecast().season().sown(),
                bench.forecast().season().end(),
                aims.stream()
                        .map(a -> new AimView(
                                a,
                                e.knowledge().aims().get(a).name(),
                                AimDelivery.label(a),
                                e.units().shown(AimDelivery.unit(a)).written(),
                                weights.get(a)))
                        .toList(),
                judged(e, coverId, bench).stream()
                        .map(c -> view(c, e, currency))
                        .toList());
    }

    /** The bench of a cover. */
    static MixBench bench(Evaluated e, String coverId) {
        return e.covers().stream()
                .filter(c -> c.entry().id().equals(coverId))
                .findFirst()
                .orElseThrow(() -> new Refused("/coverId", "the plan has no such cover"))
                .bench()
                .orElseThrow(() -> new Refused(
                        "/coverId", "say where the field lies and when the cover grows first: its dates, or a window"));
    }

    static List<Candidate> judged(Evaluated e, String coverId, MixBench bench) {
        return Candidate.all("mix/" + coverId + PLACE, e.knowledge(), bench.forecast(), bench.place());
    }

    private static CandidateView view(Candidate c, Evaluated e, String currency) {
        return new CandidateView(
                c.species().id(),
                c.species().name(),
                c.species().group(),
                c.excluded(),
                c.score(),
                EvaluationWriter.figure(c.mass(), e.units(), currency),
                c.delivers().values().stream()
                        .map(f -> EvaluationWriter.figure(f, e.units(), currency))
                        .toList(),
                c.aliveShare(),
                c.flowersShare(),
                c.findings().stream()
                        .map(f -> new FindingView(
                                f.rule(),
                                f.excludes(),
                                e.said(f.text()),
                                f.source().text(),
                                f.source().status()))
                        .toList());
    }

    /** A figure of the candidates by its id; empty for others. */
    public static Optional<Figure> figure(Evaluated e, String figureId) {
        return e.covers().stream()
                .map(CoverResult::entry)
                .map(c -> c.id())
                .filter(id -> figureId.startsWith("mix/" + id + PLACE + "/"))
                .findFirst()
                .flatMap(id -> judged(e, id, bench(e, id)).stream()
                        .flatMap(c -> java.util.stream.Stream.concat(
                                java.util.stream.Stream.of(c.mass()), c.delivers().values().stream()))
                        .filter(f -> f.id().equals(figureId))
                        .findFirst());
    }
}
