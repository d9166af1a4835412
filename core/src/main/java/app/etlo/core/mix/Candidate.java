package app.etlo.core.mix;

import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.Species;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import app.etlo.core.weather.Percentiles;
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

/**
 * A species judged for a window: what it would deliver alone at its full rate, and the concerns about it.
 *
 * @param growth alone
 * @param mass dry tops alone
 * @param delivers by aim, in their rank
 * @param findings those that exclude first
 * @param score what it delivers of each aim over the most that any candidate left in does, by the aims' weights, 0 to 1
 */
public record Candidate(
        Species species,
        SeasonGrowth growth,
        Figure mass,
        Map<String, Figure> delivers,
        List<Finding> findings,
        double score,
        double aliveShare,
        double flowersShare) {
    private static final Formula ALONE = Formula.of(
            "Dry tops alone, at the full rate",
            "grown / 1000",
            Source.own("the ground simulation, sown alone into the plan's own ground: docs/simulation.md"),
            "grown");
    private static final String SIMULATED = "simulated, the middle and 8 of 10 weather years";

    public boolean excluded() {
        return findings.stream().anyMatch(Finding::excludes);
    }

    /** Whether a note would stop a mix that holds it. */
    public boolean stopped() {
        return findings.stream().anyMatch(f -> Fitness.stops(f.rule()));
    }

    /**
     * Every species of the library, best first, the excluded last.
     *
     * @param prefix of the figures' ids
     */
    public static List<Candidate> all(String prefix, Knowledge knowledge, MixForecast forecast, MixPlace place) {
        List<String> aims = place.aims().stream().filter(AimDelivery::measures).toList();
        List<Candidate> judged = knowledge.species().all().stream()
                .map(s -> of(prefix, s, knowledge, forecast, place, aims))
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
        return new Candidate(species, growth, mass, delivers, findings, sum, aliveShare, flowersShare);
    }

    private static Candidate of(
            String prefix, Species s, Knowledge knowledge, MixForecast forecast, MixPlace place, List<String> aims) {
        SeasonGrowth growth = forecast.alone(s);
        Prospect p = growth.species().get(0);
        String id = prefix + "/" + s.id();
        Percentiles years = Percentiles.of(growth.massKgHa());
        Band band = forecast.widened(new Band(years.at(0.1), years.at(0.5), years.at(0.9)));
        Figure mass = ALONE.figure(
                id + "/alone",
                "Dry tops alone, " + s.name(),
                Unit.T_PER_HA,
                Input.banded("grown", "Dry tops alone", band, Unit.KG_PER_HA, Origin.FORECAST, SIMULATED));
        AimDelivery delivery = new AimDelivery(place);
        double grown = Percentiles.of(growth.grownKgHa()).at(0.5);
        Map<String, Figure> delivers = new LinkedHashMap<>();
        aims.forEach(a -> {
            Percentiles counted = Percentiles.of(AimDelivery.counted(a, growth, 0));
            Band kgHa = forecast.widened(new Band(counted.at(0.1), counted.at(0.5), counted.at(0.9)));
            Input tops = Input.banded("mass", "Dry tops that count", kgHa, Unit.KG_PER_HA, Origin.FORECAST, SIMULATED);
            delivers.put(a, delivery.figure(id + "/alone/" + a, a, p, tops, grown));
        });
        FitnessRule.Case c = new FitnessRule.Case(s, p, false, place, forecast.season(), knowledge);
        List<Finding> findings = new ArrayList<>();
        FitnessRules.ALL.forEach(r -> r.judge(c).ifPresent(findings::add));
        return new Candidate(s, growth, mass, delivers, findings, 0, p.aliveShare(), p.flowersShare());
    }
}
