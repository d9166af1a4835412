package app.etlo.core.mix;

import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.Species;
import app.etlo.core.quantity.Unit;
import app.etlo.core.weather.YearFigure;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A species judged for a window: what it would deliver alone at its full rate, and the concerns about it.
 *
 * @param mass dry tops alone
 * @param delivers by aim, in their rank
 * @param findings those that exclude first
 * @param score what it delivers of each aim over the most that any candidate left in does, by the aims' weights, 0 to 1
 */
public record Candidate(
        Species species,
        Prospect prospect,
        Figure mass,
        Map<String, Figure> delivers,
        List<Finding> findings,
        double score,
        double aliveShare,
        double flowersShare) {
    private static final Formula ALONE = Formula.of(
            "Dry tops alone, at the full rate",
            "grown / 1000",
            Source.own("power curve of degree days through the library's least useful stand and mass at flowering, less"
                    + " drought, ended by frost; each species alone, apart from the simulation of the plan"),
            "grown");

    public boolean excluded() {
        return findings.stream().anyMatch(Finding::excludes);
    }

    /**
     * Every species of the library, best first, the excluded last.
     *
     * @param prefix of the figures' ids
     */
    public static List<Candidate> all(String prefix, Knowledge knowledge, MixForecast forecast, MixPlace place) {
        List<String> aims = place.aims().stream().filter(AimDelivery::measures).toList();
        List<Candidate> judged = knowledge.species().all().stream()
                .flatMap(s -> of(prefix, s, knowledge, forecast, place, aims).stream())
                .toList();
        Map<String, Double> weights = AimWeights.of(aims);
        Map<String, Double> most = new LinkedHashMap<>();
        for (Candidate c : judged) {
            if (!c.excluded()) {
                c.delivers.forEach((aim, f) -> most.merge(aim, f.middle(), Math::max));
            }
        }
        return judged.stream()
                .map(c -> c.scored(weights, most))
                .sorted(Comparator.comparing(Candidate::excluded)
                        .thenComparing(
                                Comparator.comparingDouble(Candidate::score).reversed())
                        .thenComparing(c -> c.species().name()))
                .toList();
    }

    private Candidate scored(Map<String, Double> weights, Map<String, Double> most) {
        double sum = 0;
        for (var w : weights.entrySet()) {
            double best = most.getOrDefault(w.getKey(), 0.0);
            sum += best > 0 ? w.getValue() * delivers.get(w.getKey()).middle() / best : 0;
        }
        return new Candidate(species, prospect, mass, delivers, findings, sum, aliveShare, flowersShare);
    }

    private static Optional<Candidate> of(
            String prefix, Species s, Knowledge knowledge, MixForecast forecast, MixPlace place, List<String> aims) {
        Prospect p = forecast.alone(s);
        return YearFigure.of(forecast.season().years(), p.massKgHa()).map(year -> {
            String id = prefix + "/" + s.id();
            Input grown =
                    Input.banded("grown", "Dry tops alone", year.band(), Unit.KG_PER_HA, Origin.FORECAST, year.words());
            Figure mass = ALONE.figure(id + "/alone", "Dry tops alone, " + s.name(), Unit.T_PER_HA, grown);
            AimDelivery delivery = new AimDelivery(place);
            Map<String, Figure> delivers = new LinkedHashMap<>();
            Input tops = Input.figure("mass", mass, Unit.KG_PER_HA);
            aims.forEach(a -> delivers.put(a, delivery.figure(id + "/alone/" + a, a, p, tops, year.member())));
            FitnessRule.Case c = new FitnessRule.Case(s, p, place, forecast.season(), knowledge);
            List<Finding> findings = new ArrayList<>();
            FitnessRules.ALL.forEach(r -> r.judge(c).ifPresent(findings::add));
            return new Candidate(s, p, mass, delivers, findings, 0, Prospect.share(p.alive()), c.flowering());
        });
    }
}
