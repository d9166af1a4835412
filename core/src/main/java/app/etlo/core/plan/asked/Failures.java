package app.etlo.core.plan.asked;

import app.etlo.core.mix.AimDelivery;
import app.etlo.core.mix.MixForecast;
import app.etlo.core.mix.MixForecast.Sown;
import app.etlo.core.mix.MixOutlook;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.growth.MixBench;
import app.etlo.core.plan.shown.Evaluation.FigureView;
import app.etlo.core.plan.shown.EvaluationWriter;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What is left of a mix when one of its species does not emerge: the others take its room. */
public final class Failures {
    private Failures() {}

    /**
     * @param species the one that does not emerge
     * @param mass dry tops of the others, absent when none is left
     * @param aims what the others deliver, in the order of the aims
     * @param lost share of the weighted aims that goes with it, %
     */
    public record FailureView(
            String species, String name, Optional<FigureView> mass, List<FigureView> aims, double lost) {}

    /** For each species of a cover's mix. */
    public static List<FailureView> of(Evaluated e, String coverId) {
        MixBench bench = Candidates.bench(e, coverId);
        String currency = e.context().farm().currency();
        List<Sown> mix = e.covers().stream()
                .filter(c -> c.entry().id().equals(coverId))
                .flatMap(c -> c.mix().blend().stream())
                .flatMap(b -> MixBench.sown(b.rates()).stream())
                .toList();
        Optional<MixOutlook> whole = outlook(coverId, mix, bench.forecast(), bench);
        List<FailureView> found = new ArrayList<>();
        for (Sown gone : mix) {
            List<Sown> rest = mix.stream().filter(s -> s != gone).toList();
            Optional<MixOutlook> left = outlook(coverId, rest, bench.forecast(), bench);
            found.add(new FailureView(
                    gone.species().id(),
                    gone.species().name(),
                    left.map(o -> EvaluationWriter.figure(o.mass(), e.units(), currency)),
                    left.map(o -> o.aims().values().stream()
                                    .map(f -> EvaluationWriter.figure(f, e.units(), currency))
                                    .toList())
                            .orElse(List.of()),
                    lost(bench, whole, left)));
        }
        return found;
    }

    private static Optional<MixOutlook> outlook(String coverId, List<Sown> mix, MixForecast forecast, MixBench bench) {
        return MixOutlook.of("mix/" + coverId + "/without", coverId + "/without", mix, forecast, bench.place());
    }

    private static double lost(MixBench bench, Optional<MixOutlook> whole, Optional<MixOutlook> left) {
        Map<String, Double> weights = app.etlo.core.mix.AimWeights.of(
                bench.place().aims().stream().filter(AimDelivery::measures).toList());
        double sum = 0;
        for (var w : weights.entrySet()) {
            double was = whole.map(o -> o.aims().get(w.getKey()).middle()).orElse(0.0);
            double is = left.map(o -> o.aims().get(w.getKey()).middle()).orElse(0.0);
            sum += was == 0 ? 0 : w.getValue() * (was - is) / Math.abs(was);
        }
        return Math.round(sum * 100);
    }
}
